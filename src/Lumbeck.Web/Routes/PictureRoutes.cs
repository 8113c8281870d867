using Lumbeck.Press.Colour;
using Lumbeck.Press.Pictures;
using Lumbeck.Web.Wire;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Http.Features;

namespace Lumbeck.Web.Routes;

/// <summary>Where pictures come in, onto a frame or a panel, and where a page finds their previews.</summary>
public static class PictureRoutes
{
    public static void Map(WebApplication app)
    {
        app.MapPost("/jobs/{slug}/picture", TakeIn);
        app.MapPost("/jobs/{slug}/ticket-picture", OfTicket);
        app.MapGet("/jobs/{slug}/credits.txt", (string slug, Desk.AppServices desk) =>
            Results.Text(desk.Drawer.Pictures.Credits(desk.Jobs.Job(slug).Job)));
        app.MapGet("/pictures/{hash}/{wide:int}/{condition}", Preview);
        app.MapGet("/pictures/{hash}/gamut/{condition}", Gamut);
        app.MapGet("/grown/{recipe}/{wide:int}/{condition}", Grown);
        app.MapPost("/jobs/{slug}/tracing", Trace);
        app.MapGet("/jobs/{slug}/pictures",
            (string slug) => Results.Redirect($"/drawer?job={Uri.EscapeDataString(slug)}"));
    }

    private static (PrintingCondition Condition, bool Convert) Read(string condition)
    {
        var parts = condition.Split('~');
        return (new(parts[0],
            parts.Length > 1 && Enum.TryParse<Intent>(parts[1], out var intent) && Enum.IsDefined(intent)
                ? intent
                : Intent.Relative),
            parts.Length > 2);
    }

    private static Task<IResult> TakeIn(string slug, [AsParameters] Dropped at, Desk.AppServices desk,
        IAntiforgery antiforgery,
        HttpContext http) => Sent(slug, desk, antiforgery, http, async () =>
    {
        var picture = await desk.Drawer.Pictures.TakeIn(http.Request.Body, at.Name ?? "", http.RequestAborted);
        var id = "picture-" + Guid.NewGuid().ToString("n")[..8];
        desk.Jobs.Apply(slug,
            new(Guid.NewGuid().ToString(), at.Session ?? "picture", job => at.Make(job, picture, ref id), at.Base));
        return Results.Json(new { item = id });
    });

    /// <summary>Takes a picture in that is a fact of the ticket.</summary>
    private static Task<IResult> OfTicket(string slug, string? name, string? which, Desk.AppServices desk,
        IAntiforgery antiforgery,
        HttpContext http) => Sent(slug, desk, antiforgery, http, async () =>
    {
        var fact = PutTicketPicture.Named(which ?? "");
        var picture = await desk.Drawer.Pictures.TakeIn(http.Request.Body, name ?? "", http.RequestAborted);
        desk.Jobs.Apply(slug, new(Guid.NewGuid().ToString(), "picture", _ => new SetTicketPicture(fact, picture)));
        return Results.Json(new { picture = picture.Name });
    });

    /// <summary>Takes a picture, or a page of a PDF, in and lays it under a wrap to be traced.</summary>
    private static Task<IResult> Trace(string slug, string? name, string? sheet, int? page, Desk.AppServices desk,
        IAntiforgery antiforgery, HttpContext http) => Sent(slug, desk, antiforgery, http, async () =>
    {
        var picture = await desk.Drawer.TakeInTracing(http.Request.Body, name ?? "", page ?? 1, http.RequestAborted);
        desk.Jobs.Apply(slug, new(Guid.NewGuid().ToString(), "picture",
            job => new LayTracing(new(picture), Asking.WrapOf(job, sheet))));
        return Results.Json(new { tracing = picture.Name });
    });

    /// <summary>A file sent to a job: bounds first, then what is made of it; what is refused is said.</summary>
    private static async Task<IResult> Sent(string slug, Desk.AppServices desk, IAntiforgery antiforgery,
        HttpContext http,
        Func<Task<IResult>> make)
    {
        if (http.Features.Get<IHttpMaxRequestBodySizeFeature>() is { IsReadOnly: false } size)
            size.MaxRequestBodySize = PictureReading.MostBytes + 1_000_000;
        if (!await antiforgery.IsRequestValidAsync(http)) return Answers.Stale();
        if (http.Request.ContentLength > PictureReading.MostBytes)
            return Answers.Say("picture",
                $"This file is over {PictureReading.MostBytes / 1_000_000} MB: save it smaller.", 413);
        _ = desk.Jobs.Job(slug);
        return await make();
    }

    private static IResult Preview(string hash, int wide, string condition, Desk.AppServices desk,
        HttpContext http) => Made(http, () =>
    {
        var (on, convert) = Read(condition);
        if (desk.Drawer.Pictures.Find(hash) is { Drawn: true })
            return (System.Text.Encoding.UTF8.GetBytes(desk.Drawer.Drawing(hash, on)), "image/svg+xml");
        return (desk.Drawer.Pictures.Preview(hash, wide, on, convert), "image/webp");
    });

    /// <summary>Where an RGB picture has colours that the press can't show.</summary>
    private static IResult Gamut(string hash, string condition, Desk.AppServices desk, HttpContext http) =>
        Made(http, () => (desk.Drawer.Pictures.Gamut(hash, Read(condition).Condition).Where, "image/webp"));

    private static IResult Grown(string recipe, int wide, string condition, Desk.AppServices desk,
        HttpContext http) => Made(http, () =>
    {
        var (on, convert) = Read(condition);
        if (Core.Drawing.Marked.Grown.Read(recipe) is not { } how || wide is < 16 or > 40_000)
            throw new FileNotFoundException("No such recipe.");
        return (desk.Drawer.Pictures.GrownPreview(how, wide, on, convert), "image/webp");
    });

    private static IResult Made(HttpContext http, Func<(byte[] File, string Type)> make)
    {
        try
        {
            var (file, type) = make();
            http.Response.Headers.CacheControl = "private, max-age=31536000, immutable";
            return Results.File(file, type);
        }
        catch (IOException) { return Results.NotFound(); }
    }
}
