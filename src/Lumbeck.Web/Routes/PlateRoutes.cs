using Lumbeck.Caching;
using Lumbeck.Press.Colour;
using Lumbeck.Web.Screens;

namespace Lumbeck.Web.Routes;

/// <summary>
/// What the plates have, as pictures: parts of a sheet for the editor, and whole sheets, small, for lists.
/// </summary>
public static class PlateRoutes
{
    private static readonly ByteCache<(string Data, long Revision, int Sheet, string Take, int Wide, string Panel), byte[]> Small =
        new(24_000_000, picture => picture.Length);

    public static void Map(WebApplication app)
    {
        app.MapGet("/jobs/{slug}/plates/{key}", Part);
        app.MapGet("/jobs/{slug}/wrap.jpg", Whole);
        app.MapGet("/jobs/{slug}/paper.jpg", Paper);
        app.MapGet("/jobs/{slug}/art.jpg", Art);
        app.MapGet("/jobs/{slug}/drawn/{key}.svg", (string slug, string key, PlatedItems plated, HttpContext http) =>
        {
            if (plated.ArtOf(slug, key) is not { } svg) return Results.NotFound();
            http.Response.Headers.CacheControl = "private, max-age=31536000, immutable";
            return Results.Text(svg, "image/svg+xml");
        });
    }

    private static IResult Part(string slug, string key, int? ppi, Desk.AppServices desk, PlatedItems plated,
        HttpContext http)
    {
        if (plated.Picture(slug, key, ppi ?? PlatedItems.PerInch) is not { } picture) return Results.NotFound();
        http.Response.Headers.CacheControl = "private, max-age=31536000, immutable";
        return Results.File(picture, "image/jpeg");
    }

    /// <summary>
    /// A small picture that a paper is chosen by; its address says what it is of, so it never changes.
    /// </summary>
    private static IResult Paper(string slug, string kind, string? seed, string? item, int? sheet, int? wide,
        Desk.AppServices desk,
        HttpContext http)
    {
        var on = desk.Jobs.Job(slug);
        var shown = on.Composed.Sheets[Math.Clamp(sheet ?? 0, 0, on.Composed.Sheets.Length - 1)];
        var there = on.Job.Wraps[shown.On.Wrap].Take.Ground.Pattern;
        var asked = PatternShelf.All.FirstOrDefault(p => p.Word == kind).First;
        var with = there is null ? null : Companions.Of(there, kind);
        if ((with ?? asked) is null) return Results.NotFound();
        var pixels = Math.Clamp(wide ?? 120, 40, 400);
        Seed? other = string.IsNullOrWhiteSpace(seed) ? null : Seed.Of(seed);
        var shape = on.Job.Item(item ?? "") as ShapeItem;
        var key = $"{PatternPictures.Key(on.Job, shown, shape)} {kind} {other}";
        http.Response.Headers.CacheControl = "private, max-age=31536000, immutable";
        return Results.File(Small.GetOrAdd((desk.Folder, 0, shown.On.Number, key, pixels, "paper"),
            _ => PatternPictures.Of(on.Job, shown, shape, with, asked, other, pixels, desk.Drawer)), "image/jpeg");
    }

    /// <summary>The same of an ornament or a vista, as another kind or from another seed.</summary>
    private static IResult Art(string slug, string item, string? kind, string? seed, string? of, int? wide,
        Desk.AppServices desk,
        HttpContext http)
    {
        var on = desk.Jobs.Job(slug);
        if (on.Job.Item(item) is not SketchedItem there) return Results.NotFound();
        var sheet = on.Composed.Sheets.FirstOrDefault(s => s.Scene.Item(item) is not null)
            ?? on.Composed.Sheets[0];
        var (pixels, other) = (Math.Clamp(wide ?? 160, 40, 400),
            string.IsNullOrWhiteSpace(seed) ? (Seed?)null : Seed.Of(seed));
        var key = $"{ArtPictures.Key(on.Job, sheet, there)} {kind} {other}";
        // An address that is of what lies there no more is answered, and not kept.
        if (of == ArtPictures.Key(on.Job, sheet, there))
            http.Response.Headers.CacheControl = "private, max-age=31536000, immutable";
        return Results.File(Small.GetOrAdd((desk.Folder, 0, sheet.On.Number, key, pixels, "art"),
            _ => ArtPictures.Of(on.Job, sheet, there, kind, other, pixels, desk.Drawer)), "image/jpeg");
    }

    /// <summary>
    /// A sheet of what is on the bench, of a revision <paramref name="at"/> which it lay, or with another take of its
    /// wrap, or one panel of it; so many pixels wide.
    /// </summary>
    private static IResult Whole(string slug, long? r, long? at, string? sheet, string? take, int? wide, string? panel,
        Desk.AppServices desk, HttpContext http)
    {
        var on = desk.Jobs.Job(slug);
        var revision = at ?? on.Revision;
        var shown = at is null ? on.Composed : desk.Jobs.Revision(slug, revision);
        var printed = shown.Named(sheet);
        var pixels = Math.Clamp(wide ?? 480, 40, 1600);
        var face = Parts.TryParse(panel ?? "", out var part) ? printed.Sheet.Panel(part)?.Face : null;
        if (panel is not null && face is null) return Results.NotFound();
        http.Response.Headers.CacheControl = at is not null || r == on.Revision
            ? "private, max-age=31536000, immutable"
            : "no-store";
        return Results.File(Small.GetOrAdd((desk.Folder, revision, printed.On.Number, take ?? "", pixels,
            panel ?? ""), _ =>
        {
            var scene = take is { } t ? desk.Jobs.OfTake(shown, printed.On, t) : printed.Scene;
            var house = shown.Job.Ticket.House;
            var window = face is { } f
                ? Bounds.Of(f)
                : new Bounds(0, 0, scene.Width, scene.Height);
            return desk.Drawer.PlatesOf(house)
                .Paint(scene, window, pixels / (window.Right - window.Left) * 72, likeness: true)
                .ToJpeg(PrintingCondition.Of(house), 82);
        }), "image/jpeg");
    }
}
