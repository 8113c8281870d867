using Lumbeck.Caching;
using Lumbeck.Press.Colour;
using Lumbeck.Running;

namespace Lumbeck.Web.Routes;

/// <summary>
/// A job's own sheet as a livery would have it, as a picture: to try one on after the other without a step.
/// </summary>
public static class LiveryRoutes
{
    private sealed record Tried(byte[] Jpeg, string Unfit);

    /// <summary>What is tried on, with when its livery was kept.</summary>
    private sealed record Asked(string Data, long Revision, int Sheet, string Livery, int Way, string Seed, int Wide,
        string Kept);

    private static readonly ByteCache<Asked, Tried> Known = new(24_000_000, tried => tried.Jpeg.Length);

    public static void Map(WebApplication app)
    {
        app.MapGet("/jobs/{slug}/worn.jpg", Worn);
        app.MapGet("/looks/liveries/{id}.json", (string id, Desk.AppServices desk) =>
            Results.File(desk.Liveries.Export(id), "application/json", $"{id}.json"));
        app.MapGet("/looks/starters/{id}.zip", (string id, Desk.AppServices desk) =>
            Answers.Pack($"{id}.zip", file => desk.Starters.Export(id, file)));
    }

    /// <param name="slug">The job.</param>
    /// <param name="livery">Its word.</param>
    /// <param name="way">Which of its sets of colours, from 1.</param>
    /// <param name="seed">Of what it draws by chance; the livery’s own where there is none.</param>
    /// <param name="tick">Of the job as the page shows it; where that lies on the bench the page keeps the picture.</param>
    /// <param name="sheet">Which sheet.</param>
    /// <param name="wide">In pixels.</param>
    private static IResult Worn(string slug, string livery, int? way, string? seed, long? tick, string? sheet, int? wide,
        Desk.AppServices desk, HttpContext http)
    {
        var on = desk.Jobs.Job(slug);
        var shown = on.Composed.Named(sheet).On;
        var pixels = Math.Clamp(wide ?? 160, 40, 2000);
        var tried = Known.GetOrAdd(new(desk.Folder, on.Revision, shown.Number, livery, way ?? 1, seed ?? "", pixels,
            desk.Liveries.KeptAt(livery)), _ =>
        {
            var (edit, unfit) = desk.Liveries.Wear(on.Job, livery, way ?? 1,
                string.IsNullOrWhiteSpace(seed) ? null : seed, "tried-on");
            var worn = desk.Jobs.TriedOn(on.Job, edit);
            var (house, plates) = (worn.Ticket.House, desk.Drawer.PlatesOf(worn.Ticket.House));
            var scene = SceneBuilder.Build(worn, shown, desk.Drawer.Shelf, desk.Drawer.DrawingsOf(house));
            return new Tried(plates.Paint(scene, new(0, 0, scene.Width, scene.Height), pixels / scene.Width * 72,
                likeness: true).ToJpeg(PrintingCondition.Of(house), 88), string.Join("; ", unfit));
        });
        http.Response.Headers["X-Unfit"] = Uri.EscapeDataString(tried.Unfit);
        http.Response.Headers.CacheControl = tick == on.Tick ? "private, max-age=3600" : "no-store";
        return Results.File(tried.Jpeg, "image/jpeg");
    }
}
