using Lumbeck.Web.Screens;
using Microsoft.AspNetCore.Antiforgery;

namespace Lumbeck.Web;

/// <summary>What a browser sends to change a house: a key and its text, or a step.</summary>
public sealed record HouseWire(string? Id, long Seen, string? Open, string? Path, string? Text, string? Step)
{
    /// <summary>What every request of a browser says besides: which browser it is, and what it shows.</summary>
    public string? Session { get; init; }
    public long? Base { get; init; }
    public string? Gesture { get; init; }
    public Place? Place { get; init; }
    public int Sheet { get; init; }
    public bool Tried { get; init; }
}

/// <summary>Where a house's figures come in and differences go out; house files are handed out here too.</summary>
public static class HouseRoutes
{
    public static void Map(WebApplication app)
    {
        app.MapPost("/houses/{id}/edit", Edit);
        app.MapGet("/houses/{id}/news", News);
        app.MapGet("/houses/{id}.json", (string id, Desk.Desk desk) => desk.FindHouse(id) is { } k
            ? Results.File(System.Text.Encoding.UTF8.GetBytes(HouseFile.Write(k.House)), "application/json", k.House.Id + ".json") : Results.NotFound());
    }

    private static async Task<IResult> Edit(string id, HouseWire wire, Desk.Desk desk, HouseScreens screens, IAntiforgery antiforgery, HttpContext http)
    {
        if (!await antiforgery.IsRequestValidAsync(http)) return Answers.Stale();
        if (wire.Id is not { Length: >= 8 and <= 64 }) return Results.BadRequest();
        try
        {
            var now = wire.Step is { } step ? desk.StepHouse(id, forward: step == "forward")
                : desk.EditHouse(id, wire.Id, (wire.Path ?? "").Replace("house/", "", StringComparison.Ordinal), wire.Text ?? "");
            return await Difference(now, wire.Seen, wire.Open, wire.Open, desk, screens, http);
        }
        // A key's refusal is told at its field.
        catch (Refusal r) { return Answers.Refused(HouseKeys.Find(r.Path.Split('.')[0]) is { } key ? r.At("house/" + key.Name) : r); }
    }

    private static async Task<IResult> News(string id, long seen, string? open, string? was, Desk.Desk desk, HouseScreens screens, HttpContext http)
    {
        if (desk.FindHouse(id) is not { } now) return Answers.Say("", "This house was put away.", 404);
        return open == was && now.Tick == seen ? Results.NoContent() : await Difference(now, seen, open, was, desk, screens, http);
    }

    private static async Task<IResult> Difference(KnownHouse now, long seen, string? open, string? was, Desk.Desk desk, HouseScreens screens, HttpContext http)
    {
        http.Response.Headers["X-Tick"] = now.Tick.ToString(CultureInfo.InvariantCulture);
        http.Response.Headers.CacheControl = "no-store";
        var screen = await screens.Of(now, open);
        return Results.Content(screen.Since(await screens.Of(desk.HouseAt(now, seen), was)), "text/html; charset=utf-8");
    }
}
