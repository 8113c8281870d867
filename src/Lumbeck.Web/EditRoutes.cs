using Lumbeck.Web.Screens;
using Microsoft.AspNetCore.Antiforgery;

namespace Lumbeck.Web;

/// <summary>What a browser sends to change a job. One of the ways to say what to change is given; rules are Core's.</summary>
public sealed record EditWire
{
    public string Id { get; init; } = "";
    public string Session { get; init; } = "";
    public long? Base { get; init; }
    public string? Gesture { get; init; }
    /// <summary>What the browser shows: the tick, place and picked item that the answer is the difference from.</summary>
    public long Seen { get; init; }
    public Place Place { get; init; }
    public string? Open { get; init; }
    /// <summary>The number of the sheet that is shown.</summary>
    public int Sheet { get; init; }
    /// <summary>A fact's path and the text typed there.</summary>
    public string? Path { get; init; }
    public string? Text { get; init; }
    /// <summary>An item's id, with one of: steps to nudge it, steps to order it, or its removal.</summary>
    public string? Item { get; init; }
    public int Right { get; init; }
    public int Down { get; init; }
    public bool Far { get; init; }
    public int Order { get; init; }
    public bool Remove { get; init; }
    /// <summary>A kind of item to add to a panel, under <see cref="Item"/>'s id; <c>swatch</c> adds a swatch.</summary>
    public string? Add { get; init; }
    public string? Panel { get; init; }
    /// <summary>Back or forward through the steps, instead of an edit.</summary>
    public string? Step { get; init; }

    /// <exception cref="Refusal">What was sent says nothing that can be done.</exception>
    public Edit Make(Job job)
    {
        if (Path is not null) return Facts.Write(job, Path, Text ?? "");
        if (Item is null) throw new Refusal("edit", "nothing to change was named");
        if (Add is "swatch") return new AddSwatch(new(Item, Free(job), Core.Colour.Ink.Percent(0, 0, 0, 60)));
        if (Add is not null)
        {
            var sheets = job.Sheets();
            var wrap = sheets[Math.Clamp(Sheet, 0, sheets.Length - 1)].Wrap;
            return new AddItem(Starters.Item(job, Add, Parts.TryParse(Panel ?? "", out var part) ? part : throw new Refusal("edit", "no such panel"), Item, wrap), Wrap: wrap);
        }
        if (Remove) return new RemoveItem(Item);
        if (Order != 0) return new OrderItem(Item, Math.Clamp(Order, -1000, 1000));
        return Nudge.Of(job, Item, Math.Clamp(Right, -1000, 1000), Math.Clamp(Down, -1000, 1000), Far);
    }

    private static string Free(Job job)
    {
        for (var n = job.Swatches.Count + 1; ; n++)
            if ($"Swatch {n}" is var name && job.Swatches.All(s => s.Name != name)) return name;
    }
}

/// <summary>Where edits come in and differences go out.</summary>
public static class EditRoutes
{
    public static void Map(WebApplication app)
    {
        app.MapPost("/jobs/{slug}/edit", Edit);
        app.MapGet("/jobs/{slug}/news", News);
        app.MapGet("/jobs/{slug}/wrap.svg", Picture);
        app.MapGet("/jobs/{slug}/files/{id:long}", File);
    }

    private static async Task<IResult> Edit(string slug, EditWire wire, Desk.Desk desk, ScreenMaker screens, IAntiforgery antiforgery, HttpContext http)
    {
        if (!await antiforgery.IsRequestValidAsync(http)) return Refused("", "This page is from before the server was set up anew: load it again.", 400);
        if (wire.Id.Length is < 8 or > 64 || wire.Session.Length is < 8 or > 64) return Results.BadRequest();
        try
        {
            var on = wire.Step switch
            {
                "back" => desk.StepBack(slug, wire.Session),
                "forward" => desk.StepForward(slug, wire.Session),
                _ => desk.Apply(slug, new(wire.Id, wire.Session, wire.Make, wire.Base, wire.Gesture)),
            };
            return await Difference(slug, on, wire.Seen, wire.Place, wire.Sheet, wire.Open, wire.Open, desk, screens, http);
        }
        catch (Refusal r) when (r.Path != "job") { return Refused(r.Path, r.Message, 422); }
        catch (Refusal r) { return Refused("", r.Message, 404); }
        catch (Conflict c) { return Results.Problem(c.Message, statusCode: 409, extensions: new Dictionary<string, object?> { ["path"] = c.Path, ["label"] = c.Label, ["theirs"] = c.Theirs, ["yours"] = c.Yours }); }
    }

    /// <summary>A refusal as problem details (RFC 9457), with the path of the fact at fault.</summary>
    private static IResult Refused(string path, string sentence, int status) =>
        Results.Problem(sentence, statusCode: status, extensions: new Dictionary<string, object?> { ["path"] = path });

    /// <summary>What changed since a tick, or with another item picked; 204 where nothing did.</summary>
    private static async Task<IResult> News(string slug, long seen, Place place, int? sheet, string? open, string? was, Desk.Desk desk, ScreenMaker screens, HttpContext http)
    {
        try
        {
            if (open == was && desk.Tick(slug) == seen) return Results.NoContent();
            return await Difference(slug, desk.Job(slug), seen, place, sheet ?? 0, open, was, desk, screens, http);
        }
        catch (Refusal r) { return Refused("", r.Message, 404); }
    }

    private static async Task<IResult> Difference(string slug, OnBench on, long seen, Place place, int sheet, string? open, string? was, Desk.Desk desk, ScreenMaker screens, HttpContext http)
    {
        var before = on with { Tick = seen, Composed = desk.At(slug, seen) };
        var now = await screens.Now(on, place, sheet, open);
        var then = await screens.Shown(before, place, sheet, was);
        http.Response.Headers["X-Tick"] = on.Tick.ToString(CultureInfo.InvariantCulture);
        http.Response.Headers.CacheControl = "no-store";
        return Results.Content(now.Since(then), "text/html; charset=utf-8");
    }

    private static IResult Picture(string slug, long? r, int? sheet, Desk.Desk desk, Drawings drawings, HttpContext http)
    {
        try
        {
            var on = desk.Job(slug);
            // A picture of a named revision never changes.
            http.Response.Headers.CacheControl = r == on.Revision ? "private, max-age=31536000, immutable" : "no-store";
            return Results.Content(drawings.Painter(on.Composed).Picture(on.Composed.Sheets[Math.Clamp(sheet ?? 0, 0, on.Composed.Sheets.Length - 1)].Scene), "image/svg+xml");
        }
        catch (Refusal) { return Results.NotFound(); }
    }

    private static IResult File(string slug, long id, Desk.Desk desk)
    {
        try
        {
            var (row, file) = desk.Pressed(slug, id);
            return Results.File(file, "application/pdf", row.Name);
        }
        catch (Exception e) when (e is Refusal or FileNotFoundException) { return Results.NotFound(); }
    }
}
