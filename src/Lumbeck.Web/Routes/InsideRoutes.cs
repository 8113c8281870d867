using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Http.Features;

namespace Lumbeck.Web.Routes;

/// <summary>
/// Where inside PDFs come in, as they are, up to 500 MB: onto a job's ticket, or to begin a job with.
/// </summary>
public static class InsideRoutes
{
    public static void Map(WebApplication app)
    {
        app.MapPost("/jobs/{slug}/inside", (string slug, string? name, Desk.AppServices desk, IAntiforgery antiforgery,
            HttpContext http) => Taken(http, antiforgery, async () =>
        {
            _ = desk.Jobs.Job(slug);
            var inside = await desk.Drawer.ReadInside(http.Request.Body, name ?? "", http.RequestAborted);
            desk.Jobs.Apply(slug, new(Guid.NewGuid().ToString(), "inside", _ => new LayInside(inside)));
            return Results.NoContent();
        }));
        app.MapPost("/begin/inside", (string? name, string? house, string? title, Desk.AppServices desk,
            IAntiforgery antiforgery, HttpContext http) => Taken(http, antiforgery, async () =>
        {
            var printer = desk.Houses.Get(house ?? "").House;
            var inside = await desk.Drawer.ReadInside(http.Request.Body, name ?? "", http.RequestAborted);
            var job = Starters.Job(printer, (title ?? "").Trim() is { Length: <= 300 } t ? t : "", inside);
            return Results.Json(new { href = $"/jobs/{desk.Bench.Begin(job.Ticket.Title, job, "bench").Slug}/ticket" });
        }));
    }

    private static async Task<IResult> Taken(HttpContext http, IAntiforgery antiforgery, Func<Task<IResult>> take)
    {
        if (http.Features.Get<IHttpMaxRequestBodySizeFeature>() is { IsReadOnly: false } size)
            size.MaxRequestBodySize = InsideDesk.Most + 1_000_000;
        if (!await antiforgery.IsRequestValidAsync(http)) return Answers.Stale();
        if (http.Request.ContentLength > InsideDesk.Most)
            return Answers.Say("ticket/inside",
                $"This file is over {InsideDesk.Most / 1_000_000} MB: export it with pictures at 300 per inch, or " +
                    $"type its pages and size.",
                413);
        return await take();
    }
}
