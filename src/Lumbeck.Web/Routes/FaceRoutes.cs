using System.Text;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Svg;
using Lumbeck.Web.Screens;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Http.Features;

namespace Lumbeck.Web.Routes;

/// <summary>Faces to choose from, each showing the item's own words, and where makers' own come in.</summary>
public static class FaceRoutes
{
    public static void Map(WebApplication app)
    {
        app.MapGet("/jobs/{slug}/faces", List);
        app.MapGet("/faces/{family}/{face}.svg", Sample);
        app.MapPost("/faces", TakeIn);
    }

    private static async Task<IResult> List(string slug, string item, string? range, Desk.AppServices desk,
        PartialRenderer partials, HttpContext http)
    {
        var on = desk.Jobs.Job(slug);
        if (on.Job.Item(item) is not TextItem text) return Results.NotFound();
        http.Response.Headers.CacheControl = "no-store";
        return Results.Content(await partials.Render("_Faces",
            new FacesView(on.Job, text, range is { Length: > 0 } ? "@" + range : "", desk.Drawer.Shelf)),
            "text/html; charset=utf-8");
    }

    /// <summary>Words on one line in a face; those that it lacks are drawn in the face that stands in for it.</summary>
    private static IResult Sample(string family, string face, string? words, string? language, Desk.AppServices desk,
        HttpContext http)
    {
        if (!FaceId.TryParse($"{family}/{face}", out var id) || !desk.Drawer.Shelf.Holds(id)) return Results.NotFound();
        var shown = string.Concat((words ?? "").Where(c => !char.IsControl(c)));
        if (shown.Length > 60) shown = shown[..60];
        if (shown.Length == 0) shown = desk.Drawer.Shelf.NameOf(id);
        const double size = 24;
        var known = Language.Of(language ?? "en");
        var set = Typesetter.Set(new TextToSet(shown,
            new() { Face = id, Size = Length.FromPoints((decimal)size) })
        {
            Language = known.Code,
            RightToLeft = known.Reading == Reading.RightToLeft
        },
            20_000, 200, desk.Drawer.Shelf);
        var s = new StringBuilder();
        var wide = 10.0;
        if (set.Lines is [var line, ..])
        {
            wide = Math.Max(wide, line.Width);
            var marks = line.Runs.Select(r =>
                new GlyphMark(r.Face, r.Size, 0, line.Baseline, r.Glyphs, r.Text, Ink.Black, false));
            s.Append("<path fill=\"#22302b\" d=\"").Path(TextDrawing.Shape(marks, desk.Drawer.Shelf), 1).Append("\"/>");
        }
        var height = size * 1.35;
        http.Response.Headers.CacheControl = "private, max-age=86400";
        var svg = new StringBuilder("<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"-2 -2 ")
            .Figure(wide + 4, 1).Append(' ').Figure(height + 2, 1)
            .Append("\" width=\"").Figure(wide + 4, 1).Append("\" height=\"").Figure(height + 2, 1)
            .Append("\">").Append(s).Append("</svg>");
        return Results.Text(svg.ToString(), "image/svg+xml");
    }

    private static async Task<IResult> TakeIn(string? name, Desk.AppServices desk, IAntiforgery antiforgery,
        HttpContext http)
    {
        if (http.Features.Get<IHttpMaxRequestBodySizeFeature>() is { IsReadOnly: false } size)
            size.MaxRequestBodySize = FaceReading.MostBytes + 1_000_000;
        if (!await antiforgery.IsRequestValidAsync(http)) return Answers.Stale();
        if (http.Request.ContentLength > FaceReading.MostBytes)
            return Answers.Say("face",
                $"This file is over {FaceReading.MostBytes / 1_000_000} MB: bring a face of one script.", 413);
        using var file = new MemoryStream();
        await http.Request.Body.CopyToAsync(file, http.RequestAborted);
        var row = desk.Drawer.Faces.TakeIn(file.ToArray(), name ?? "");
        return Results.Json(new { id = row.Id, name = row.Name });
    }
}

/// <summary>
/// The faces that a text, or some of its letters, can be set in: those its job uses first, then by name.
/// </summary>
public sealed record FacesView(Job Job, TextItem Text, string Range, FaceShelf Shelf)
{
    public string Path => $"item/{Text.Id}/face{Range}";
    public string Now => Facts.Read(Job, Path);

    /// <summary>What is shown in each face: the picked letters, or the text's first.</summary>
    public string Words
    {
        get
        {
            var words = Range.Length > 0 && Range[1..].Split('-') is [var a, var b] && int.TryParse(a, out var from)
                && int.TryParse(b, out var to) && from >= 0 && from < to && to <= Text.Words.Length
                ? Text.Words[from..to]
                : Text.Words;
            words = words.ReplaceLineEndings(" ").Trim();
            if (Text.Style.Case == LetterCase.Upper) words = words.ToUpperInvariant();
            return words.Length > 42 ? words[..(words.LastIndexOf(' ', 42) is > 12 and var space ? space : 42)] : words;
        }
    }

    public IEnumerable<(FaceId Id, FaceFacts Facts, bool Used)> All()
    {
        var used = Job.Faces.ToHashSet();
        return Shelf.Faces.Select(f => (f, Shelf.Facts(f), used.Contains(f))).OrderBy(f => f.Item3 ? 0 : 1)
            .ThenBy(f => Shelf.NameOf(f.f), StringComparer.OrdinalIgnoreCase);
    }
}
