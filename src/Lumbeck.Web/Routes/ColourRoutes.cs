using Lumbeck.Press.Colour;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Http.Features;

namespace Lumbeck.Web.Routes;

/// <summary>Palettes and printers' profiles, in and out as files.</summary>
public static class ColourRoutes
{
    public static void Map(WebApplication app)
    {
        app.MapGet("/jobs/{slug}/swatches.gpl", (string slug, Desk.AppServices desk) =>
        {
            return Results.File(System.Text.Encoding.UTF8.GetBytes(desk.Drawer.WritePalette(desk.Jobs.Job(slug).Job)),
                "text/plain; charset=utf-8", slug + ".gpl");
        });
        app.MapPost("/jobs/{slug}/swatches", async (string slug, Desk.AppServices desk, IAntiforgery antiforgery,
            HttpContext http) =>
        {
            if (!await antiforgery.IsRequestValidAsync(http)) return Answers.Stale();
            _ = desk.Jobs.Job(slug);
            var text = System.Text.Encoding.UTF8.GetString(await Body(http, GimpPalette.Longest));
            var read = GimpPalette.Read(text);
            var made = "swatch-" + Guid.NewGuid().ToString("n")[..8];
            desk.Jobs.Apply(slug,
                new(Guid.NewGuid().ToString(), "palette",
                    job =>
                        desk.Drawer.AddColours(job, read.Select(c => (c.Name, (Asked)c.Colour)), made,
                            $"{read.Count} swatches brought in")));
            return Results.Json(new { count = read.Count });
        });
        app.MapPost("/profiles", async (string? name, Desk.AppServices desk, IAntiforgery antiforgery,
            HttpContext http) =>
        {
            if (!await antiforgery.IsRequestValidAsync(http)) return Answers.Stale();
            var row = desk.Drawer.Profiles.TakeIn(await Body(http, IccProfile.MostBytes), name ?? "the profile");
            return Results.Json(new { name = ProfileDesk.NameOf(row.Hash), says = row.Says });
        });
    }

    private static async Task<byte[]> Body(HttpContext http, int most)
    {
        if (http.Features.Get<IHttpMaxRequestBodySizeFeature>() is { IsReadOnly: false } size)
            size.MaxRequestBodySize = most + 1_000_000;
        using var m = new MemoryStream();
        var buffer = new byte[1 << 16];
        for (int n; (n = await http.Request.Body.ReadAsync(buffer, http.RequestAborted)) > 0;)
        {
            m.Write(buffer, 0, n);
            if (m.Length > most)
                throw new Refusal("file",
                    $"this file is over {(most >= 1_000_000 ? $"{most / 1_000_000} MB" : $"{most / 1000} kB")}, more " +
                        $"than is read of one");
        }
        return m.ToArray();
    }
}
