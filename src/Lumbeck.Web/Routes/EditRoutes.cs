using Lumbeck.Running;
using Lumbeck.Web.Screens;
using Lumbeck.Web.Wire;
using Microsoft.AspNetCore.Antiforgery;

namespace Lumbeck.Web.Routes;

/// <summary>Where a job's edits come in and differences go out.</summary>
public static class EditRoutes
{
    public static void Map(WebApplication app)
    {
        app.MapPost("/jobs/{slug}/edit", Edit);
        app.MapPost("/jobs/{slug}/try", Try);
        app.MapGet("/jobs/{slug}/news", News);
        app.MapGet("/jobs/{slug}/plated", Plated);
        app.MapGet("/jobs/{slug}/wrap.txt", Words);
        app.MapGet("/jobs/{slug}/pack.zip", Packed);
        app.MapPost("/jobs/{slug}/clip", Copied);
        app.MapGet("/jobs/{slug}/files/{id:long}", File);
        app.MapGet("/jobs/{slug}/blank.{kind}", BlankSheet);
    }

    private static async Task<IResult> Edit(string slug, Sent sent, Desk.AppServices desk, ScreenMaker screens,
        IAntiforgery antiforgery, HttpContext http)
    {
        if (!await antiforgery.IsRequestValidAsync(http)) return Answers.Stale();
        if (sent.Id.Length is < 8 or > 64 || sent.Session.Length is < 8 or > 64) return Results.BadRequest();
        if (sent.Ask is not { } ask) return Answers.Say("edit", "Nothing to change was named.", 422);
        var (on, stepped) = ask switch
        {
            UndoOrRedo { Way: Way.Back } => (desk.Jobs.Undo(slug, sent.Session, sent.Id,
                sent.Base is null ? null : sent.Opened),
                "Undone: now after "),
            UndoOrRedo => (desk.Jobs.Redo(slug, sent.Session, sent.Id), "Redone: "),
            _ =>
                (desk.Jobs.Apply(slug,
                    new(sent.Id, sent.Session, job => ask.Make(Asking.Of(job, desk, slug, sent.Wrap)), sent.Base,
                        sent.Gesture)),
                    ""),
        };
        desk.Pressing.GrowBeside(on);
        http.Response.Headers["X-Says"] = Uri.EscapeDataString(stepped + desk.Jobs.Says(on));
        return await Difference(slug, on, sent.Seen, sent.Place, sent.Sheet, sent.Open, sent.Open, sent.Tried, desk,
            screens, http);
    }

    /// <summary>What an edit would do to the ticket's sheet; nothing is kept.</summary>
    private static async Task<IResult> Try(string slug, Sent sent, Desk.AppServices desk, ScreenMaker screens,
        IAntiforgery antiforgery, HttpContext http)
    {
        if (!await antiforgery.IsRequestValidAsync(http)) return Answers.Stale();
        if (sent.Ask is not { } ask) return Answers.Say("edit", "Nothing to try was named.", 422);
        var on = desk.Jobs.Job(slug);
        var would = desk.Jobs.Preview(on.Composed, ask.Make(Asking.Of(on.Job, desk, slug, sent.Wrap)));
        http.Response.Headers.CacheControl = "no-store";
        return Results.Content(await screens.Tried(on, would, sent.Sheet), "text/html; charset=utf-8");
    }

    /// <summary>What changed since a tick, or with another item picked; 204 where nothing did.</summary>
    private static async Task<IResult> News(string slug, long seen, Place place, string? sheet, string? open,
        string? was, bool? tried, Desk.AppServices desk, ScreenMaker screens, HttpContext http)
    {
        if (open == was && tried != true && desk.Jobs.Tick(slug) == seen) return Results.NoContent();
        return await Difference(slug, desk.Jobs.Job(slug), seen, place, sheet, open, was, tried == true, desk,
            screens, http);
    }

    /// <summary>What the plates show, once they were looked at: the parts of the screen that tell findings.</summary>
    private static async Task<IResult> Plated(string slug, long seen, Place place, string? sheet, string? open,
        Desk.AppServices desk, ScreenMaker screens, HttpContext http)
    {
        var on = desk.Jobs.Job(slug);
        if (on.Tick != seen) return Results.NoContent();
        var plated = on with { Composed = await desk.Pressing.CheckBeside(on) };
        // Another edit took its place, and the page will ask for that.
        if (!plated.Composed.IsPlated) return Results.NoContent();
        var now = await screens.Now(plated, place, sheet, open);
        var then = await screens.Shown(on with { Composed = on.Composed with { Plates = null } }, place, sheet,
            open);
        http.Response.Headers["X-Tick"] = on.Tick.ToString(CultureInfo.InvariantCulture);
        http.Response.Headers.CacheControl = "no-store";
        return Results.Content(now.Since(then, ["findings", "foot", "finds"]), "text/html; charset=utf-8");
    }

    private static async Task<IResult> Difference(string slug, OnBench on, long seen, Place place, string? sheet,
        string? open, string? was, bool tried, Desk.AppServices desk, ScreenMaker screens, HttpContext http)
    {
        var before = on with { Tick = seen, Composed = desk.Jobs.At(slug, seen) };
        var now = await screens.Now(on, place, sheet, open);
        var then = await screens.Shown(before, place, sheet, was);
        http.Response.Headers["X-Tick"] = on.Tick.ToString(CultureInfo.InvariantCulture);
        http.Response.Headers.CacheControl = "no-store";
        return Results.Content(now.Since(then, tried ? ScreenMaker.TriedParts : []), "text/html; charset=utf-8");
    }

    private static IResult Words(string slug, string? sheet, Desk.AppServices desk)
    {
        var shown = desk.Jobs.Job(slug).Composed;
        return Results.Text(InWords.Say(shown.Job, shown.Named(sheet).On));
    }

    /// <summary>The job with all it needs.</summary>
    private static IResult Packed(string slug, Desk.AppServices desk)
    {
        var on = desk.Jobs.Job(slug);
        return Answers.Pack($"{on.Slug}.zip", file => desk.Bench.WritePack(on, file));
    }

    /// <summary>The named items as text for the clipboard.</summary>
    private static async Task<IResult> Copied(string slug, Copying sent, Desk.AppServices desk,
        IAntiforgery antiforgery,
        HttpContext http)
    {
        if (!await antiforgery.IsRequestValidAsync(http)) return Answers.Stale();
        return Results.Text(Clip.Write(desk.Jobs.Job(slug).Job, sent.Items ?? []));
    }

    private static IResult File(string slug, long id, Desk.AppServices desk)
    {
        var (row, file) = desk.Pressing.Pressed(slug, id);
        return Results.File(file,
            Path.GetExtension(row.Name) switch
            {
                ".png" => "image/png",
                ".jpg" => "image/jpeg",
                _ => "application/pdf",
            },
            row.Name);
    }

    private static IResult BlankSheet(string slug, string kind, string? sheet, string? panel, Desk.AppServices desk)
    {
        var on = desk.Jobs.Job(slug);
        if (!Blank.Kinds.Contains(kind) || !Parts.TryParse(panel ?? "sheet", out var part))
            return Results.NotFound();
        var shown = on.Composed.Named(sheet);
        if (part != Part.Sheet && shown.Sheet.Panel(part) is null) return Results.NotFound();
        var file = new MemoryStream();
        Blank.Write(file, kind, shown.Geometry, shown.Sheet, part, on.Job.Ticket.Title, desk.Drawer.Shelf);
        return Results.File(file.ToArray(),
            kind switch { "pdf" => "application/pdf", "svg" => "image/svg+xml", _ => "image/png" },
            Blank.FileName(kind, shown.Geometry, shown.Sheet, part, on.Job.Ticket.Title));
    }
}

/// <summary>Answers that say what is wrong, as problem details (RFC 9457) with the path of the fact at fault.</summary>
internal static class Answers
{
    public static IResult Overtaken(Conflict c) => Results.Problem(
        c.Message, statusCode: 409, extensions: new Dictionary<string, object?>
        {
            ["path"] = c.Path,
            ["label"] = c.Label,
            ["theirs"] = c.Theirs,
            ["yours"] = c.Yours,
        });

    /// <summary>A pack, made aside so that no half file leaves.</summary>
    public static IResult Pack(string name, Action<Stream> write)
    {
        var file = new FileStream(Aside.FilePath(), new FileStreamOptions
        {
            Mode = FileMode.CreateNew,
            Access = FileAccess.ReadWrite,
            Options = FileOptions.DeleteOnClose,
        });
        var whole = false;
        try
        {
            write(file);
            whole = true;
        }
        finally { if (!whole) file.Dispose(); }
        file.Position = 0;
        return Results.File(file, "application/zip", name);
    }

    public static IResult Stale() =>
        Say("", "This page is from before the server was set up anew: load it again.", 400);

    public static IResult Say(string path, string sentence, int status) =>
        Results.Problem(sentence, statusCode: status, extensions: new Dictionary<string, object?> { ["path"] = path });
}
