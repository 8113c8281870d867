using Lumbeck.Web.Screens;
using Lumbeck.Web.Wire;
using Microsoft.AspNetCore.Antiforgery;

namespace Lumbeck.Web.Routes;

/// <summary>Where a house's figures come in and differences go out; house files are handed out here too.</summary>
public static class HouseRoutes
{
    public static void Map(WebApplication app)
    {
        app.MapPost("/houses/{id}/edit", Edit);
        app.MapGet("/houses/{id}/news", News);
        app.MapGet("/houses/{id}.json", (string id, Desk.AppServices desk) => desk.Houses.Find(id) is { } k
            ? Results.File(System.Text.Encoding.UTF8.GetBytes(HouseFile.Write(k.House)), "application/json",
                k.House.Id + ".json")
                : Results.NotFound());
    }

    private static async Task<IResult> Edit(string id, Sent sent, Desk.AppServices desk, HouseScreens screens,
        IAntiforgery antiforgery, HttpContext http)
    {
        if (!await antiforgery.IsRequestValidAsync(http)) return Answers.Stale();
        if (sent.Id is not { Length: >= 8 and <= 64 }) return Results.BadRequest();
        // A key's refusal is told at its field.
        var now = Attempt.Telling(r => HouseKeys.Find(r.Path.Split('.')[0]) is { } key ? r.At("house/" + key.Name) : r,
            () => sent.Ask switch
            {
                UndoOrRedo step => desk.Houses.Step(id, forward: step.Way == Way.Forward, sent.Id),
                WriteFact { Path: { } path, Text: { } text } => desk.Houses.Edit(id, sent.Id,
                    path.Replace("house/", "", StringComparison.Ordinal), text),
                _ => throw new Refusal("edit", "nothing to change of a printer was named"),
            });
        return await Difference(now, sent.Seen, sent.Open, sent.Open, desk, screens, http);
    }

    private static async Task<IResult> News(string id, long seen, string? open, string? was, Desk.AppServices desk,
        HouseScreens screens, HttpContext http)
    {
        if (desk.Houses.Find(id) is not { } now) return Answers.Say("", "This printer was put away.", 404);
        return open == was && now.Tick == seen
            ? Results.NoContent()
            : await Difference(now, seen, open, was, desk, screens, http);
    }

    private static async Task<IResult> Difference(KnownHouse now, long seen, string? open, string? was,
        Desk.AppServices desk,
        HouseScreens screens, HttpContext http)
    {
        http.Response.Headers["X-Tick"] = now.Tick.ToString(CultureInfo.InvariantCulture);
        http.Response.Headers.CacheControl = "no-store";
        var screen = await screens.Of(now, open);
        return Results.Content(screen.Since(await screens.Of(desk.Houses.At(now, seen), was)),
            "text/html; charset=utf-8");
    }
}
