using System.Text;
using Lumbeck.Web.Screens;
using Microsoft.AspNetCore.Antiforgery;

namespace Lumbeck.Web.Routes;

/// <summary>Where pages of an inside are found, one by one and by openings, and where tables come in.</summary>
public static class PageRoutes
{
    public static void Map(WebApplication app)
    {
        app.MapGet("/jobs/{slug}/page.svg", Page);
        app.MapGet("/jobs/{slug}/opening", Opening);
        app.MapGet("/jobs/{slug}/inside.txt", (string slug, Desk.AppServices desk) =>
            Results.Text(InsideInWords.Say(desk.Jobs.Job(slug).Composed.Pages)));
        app.MapGet("/jobs/{slug}/page.pdf", (string slug, int n, Desk.AppServices desk) =>
        {
            var file = new MemoryStream();
            desk.Pressing.WriteOnePage(desk.Jobs.Job(slug), n, file);
            return Results.File(file.ToArray(), "application/pdf", $"{slug}-page-{n}.pdf");
        });
        app.MapGet("/jobs/{slug}/making", Making);
        app.MapPost("/jobs/{slug}/table", Table);
    }

    /// <summary>A page as it is drawn, by itself; of a revision it never changes.</summary>
    private static IResult Page(string slug, int n, long? r, Desk.AppServices desk, Drawings drawings, HttpContext http)
    {
        var on = desk.Jobs.Job(slug);
        var composed = on.Composed;
        if (composed.Pages is not { } plan || n < 1 || n > plan.Printed) return Results.NotFound();
        // While puzzles are being made a page is not yet what it will be.
        http.Response.Headers.CacheControl = r != on.Revision || desk.Drawer.Puzzles.Progress(plan) is not null
            ? "no-store"
            : "private, max-age=31536000, immutable";
        return Results.Text(drawings.Page(composed, n), "image/svg+xml", Encoding.UTF8);
    }

    /// <summary>
    /// Sees to it that the puzzles of an inside are made, and says how far they are: “12 of 100”; nothing where they are.
    /// </summary>
    private static IResult Making(string slug, Desk.AppServices desk, HttpContext http)
    {
        http.Response.Headers.CacheControl = "no-store";
        if (desk.Jobs.Job(slug).Composed.Pages is not { } plan) return Results.NoContent();
        desk.Drawer.Puzzles.Begin(plan);
        if (desk.Drawer.Puzzles.Progress(plan) is var (made, of)) return Results.Text($"{made} of {of}");
        http.Response.Headers["X-Made"] = desk.Drawer.Puzzles.Finished.ToString(CultureInfo.InvariantCulture);
        return Results.NoContent();
    }

    /// <summary>The opening of a page, to leaf to.</summary>
    private static async Task<IResult> Opening(string slug, int page, string? open, Desk.AppServices desk,
        ScreenMaker screens,
        HttpContext http)
    {
        http.Response.Headers.CacheControl = "no-store";
        return Results.Content(await screens.Leafed(desk.Jobs.Job(slug), page, open), "text/html; charset=utf-8");
    }

    /// <summary>A table dropped on the inside; it is kept, and the run that is picked is made of its rows.</summary>
    private static async Task<IResult> Table(string slug, string? name, Desk.AppServices desk, IAntiforgery antiforgery,
        HttpContext http)
    {
        if (!await antiforgery.IsRequestValidAsync(http)) return Answers.Stale();
        if (http.Request.ContentLength > TableDesk.MostBytes)
            return Answers.Say("table",
                $"This table is over {TableDesk.MostBytes / 1_000_000} MB: leave out what no page says.", 413);
        _ = desk.Jobs.Job(slug);
        using var all = new MemoryStream();
        var buffer = new byte[1 << 16];
        for (int read; (read = await http.Request.Body.ReadAsync(buffer, http.RequestAborted)) > 0;)
        {
            all.Write(buffer, 0, read);
            if (all.Length > TableDesk.MostBytes) break;
        }
        all.Position = 0;
        var table = desk.Drawer.Tables.TakeIn(all, name ?? "");
        return Results.Json(new { hash = table.Hash, says = $"{table.Name}: {table.Rows} rows" });
    }
}
