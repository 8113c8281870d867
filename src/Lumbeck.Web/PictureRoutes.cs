using Lumbeck.Press.Pictures;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Http.Features;

namespace Lumbeck.Web;

/// <summary>Where pictures come in, onto a frame or a panel, and where a page finds their previews.</summary>
public static class PictureRoutes
{
    public static void Map(WebApplication app)
    {
        app.MapPost("/jobs/{slug}/picture", TakeIn);
        app.MapGet("/jobs/{slug}/credits.txt", (string slug, Desk.Desk desk) =>
        {
            try { return Results.Text(desk.Pictures.Credits(desk.Job(slug).Job)); }
            catch (Refusal) { return Results.NotFound(); }
        });
        app.MapGet("/pictures/{hash}/{wide:int}/{profile}", Preview);
    }

    /// <summary>The address of a preview in a house's colours.</summary>
    public static string Address(Picture picture, string profile) => $"/pictures/{picture.Hash}/{PictureDesk.Widths[^1]}/{profile}";

    private static async Task<IResult> TakeIn(string slug, string? name, string? item, string? panel, int? sheet, Desk.Desk desk, IAntiforgery antiforgery, HttpContext http)
    {
        if (http.Features.Get<IHttpMaxRequestBodySizeFeature>() is { IsReadOnly: false } size) size.MaxRequestBodySize = PictureReading.MostBytes + 1_000_000;
        if (!await antiforgery.IsRequestValidAsync(http)) return Answers.Stale();
        if (http.Request.ContentLength > PictureReading.MostBytes) return Answers.Say("picture", $"This file is over {PictureReading.MostBytes / 1_000_000} MB: save it smaller.", 413);
        try
        {
            _ = desk.Job(slug);
            var picture = await desk.Pictures.TakeIn(http.Request.Body, name ?? "", http.RequestAborted);
            var id = "picture-" + Guid.NewGuid().ToString("n")[..8];
            desk.Apply(slug, new(Guid.NewGuid().ToString(), "picture", job =>
            {
                if (item is not null && job.Item(item) is PictureItem) { id = item; return new HangPicture(item, picture); }
                var sheets = job.Sheets();
                var wrap = sheets[Math.Clamp(sheet ?? 0, 0, sheets.Length - 1)].Wrap;
                var part = Parts.TryParse(panel ?? "", out var p) ? p : Part.Front;
                return new AddItem(Starters.Pictured(job, part, id, picture, wrap), Wrap: wrap);
            }));
            return Results.Json(new { item = id });
        }
        catch (Refusal r) { return Answers.Refused(r); }
        catch (OperationCanceledException) { return Results.Empty; }
    }

    private static IResult Preview(string hash, int wide, string profile, Desk.Desk desk, HttpContext http)
    {
        try
        {
            var file = desk.Pictures.Preview(hash, wide, profile);
            http.Response.Headers.CacheControl = "private, max-age=31536000, immutable";
            return Results.File(file, "image/webp");
        }
        catch (Exception e) when (e is Refusal or FileNotFoundException) { return Results.NotFound(); }
    }
}
