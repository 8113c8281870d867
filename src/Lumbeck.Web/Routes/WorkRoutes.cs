using Lumbeck.Store;
using Lumbeck.Web.Wire;
using Microsoft.AspNetCore.Antiforgery;

namespace Lumbeck.Web.Routes;

/// <summary>Where a page asks how long work gets on, and leaves it.</summary>
public static class WorkRoutes
{
    public static void Map(WebApplication app)
    {
        app.MapGet("/jobs/{slug}/works", (string slug, string? since, Desk.AppServices desk, HttpContext http) =>
        {
            http.Response.Headers.CacheControl = "no-store";
            var now = desk.Pressing.Queue.Now();
            return Results.Json(new WorkList(now,
                [.. desk.Pressing.Queue.Of(slug, since is { Length: > 0 and < 40 } ? since : now).Select(Told)]));
        });
        app.MapPost("/works/{id}/leave", async (string id, Desk.AppServices desk, IAntiforgery antiforgery,
            HttpContext http) =>
        {
            if (!await antiforgery.IsRequestValidAsync(http)) return Answers.Stale();
            desk.Pressing.Queue.Leave(id);
            return Results.NoContent();
        });
    }

    private static Work Told(WorkRow w) => new(w.Id, w.Kind, w.Says, w.State, Math.Round(w.Share, 3), w.Problem);
}
