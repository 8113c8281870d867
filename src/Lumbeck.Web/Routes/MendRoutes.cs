using Lumbeck.Caching;
using Lumbeck.Desk.Making;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Import;

namespace Lumbeck.Web.Routes;

/// <summary>Mended files and their pages, before and after.</summary>
public static class MendRoutes
{
    private static readonly ByteCache<(string, string, int), byte[]> Known = new(16_000_000, jpeg => jpeg.Length);

    public static void Map(WebApplication app)
    {
        app.MapGet("/jobs/{slug}/mended/{id}/{which}.pdf", File);
        app.MapGet("/jobs/{slug}/mended/{id}/page.jpg", Page);
    }

    private static IResult File(string slug, string id, string which, Desk.AppServices desk)
    {
        if (which is not ("file" or "came") || desk.Pressing.FindMended(desk.Jobs.Job(slug), id) is not { } row)
            return Results.NotFound();
        var stem = Path.GetFileNameWithoutExtension(row.Name);
        var isPdf = which == "file" || row.Name.EndsWith(".pdf", StringComparison.OrdinalIgnoreCase);
        return Results.File(desk.Pressing.Files.PathOf(which == "file" ? row.File : row.Came),
            isPdf ? "application/pdf" : "application/octet-stream", which == "file" ? $"{stem}-mended.pdf" : row.Name);
    }

    /// <param name="slug">The job.</param>
    /// <param name="id">The mended file.</param>
    /// <param name="which">“came”, “left” or “apart”.</param>
    /// <param name="n">Which page, from 1.</param>
    private static IResult Page(string slug, string id, string? which, int? n, Desk.AppServices desk, HttpContext http)
    {
        var on = desk.Jobs.Job(slug);
        if (desk.Pressing.FindMended(on, id) is not { } row) return Results.NotFound();
        const double perInch = 90;
        var page = Math.Clamp(n ?? 1, 1, 2000);
        var house = row.Inside ? on.Job.Ticket.House.ForPages() : on.Job.Ticket.House;
        var (condition, files, cancel) = (PrintingCondition.Of(house), desk.Pressing.Files, http.RequestAborted);
        var (plan, shelf) = (MendDesk.Wants(on, row.Inside), desk.Drawer.Shelf);
        var jpeg = Known.GetOrAdd((row.Id, which ?? "", page), _ => which switch
        {
            "came" => PageSeen.Came(files.PathOf(row.Came), page, perInch, plan, shelf, cancel),
            "left" => PageSeen.Left(files.PathOf(row.File), page, perInch, condition, cancel),
            _ => PageSeen.Apart((files.PathOf(row.Came), page), (files.PathOf(row.File), page), perInch, plan, shelf,
                condition, cancel),
        });
        http.Response.Headers.CacheControl = "private, max-age=86400";
        return Results.File(jpeg, "image/jpeg");
    }
}
