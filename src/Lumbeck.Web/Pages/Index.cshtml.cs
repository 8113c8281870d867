using Lumbeck.Web.Screens;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Lumbeck.Web.Pages;

/// <summary>What was typed to begin a cover with.</summary>
public sealed record Beginning(string Title = "", string House = "", string Trim = "", string Pages = "",
    string Binding = "");

/// <summary>The bench: all jobs with small wraps and how ready each is, and three ways to begin another.</summary>
public sealed class IndexModel(Desk.Desk desk) : PageModel
{
    public IReadOnlyList<OnBench> Jobs { get; private set; } = [];
    public IReadOnlyList<KnownHouse> Houses { get; private set; } = [];
    public string? Problem { get; private set; }
    public Beginning Typed { get; private set; } = new();

    /// <summary>Jobs that can't be shown, with why.</summary>
    public IReadOnlyList<BenchPlace> Spoilt { get; private set; } = [];

    /// <summary>The jobs that are listed, in their order.</summary>
    public IReadOnlyList<OnBench> Listed { get; private set; } = [];
    /// <summary>What is looked for, how the list is sorted, and whether it is of what is put away.</summary>
    public BenchList Asked { get; private set; } = BenchList.Asked(null, null);
    public bool Away { get; private set; }
    public int CountAway { get; private set; }

    private void Fill(string? find, string? sort, bool away)
    {
        (Asked, Away) = (BenchList.Asked(find, sort), away);
        var places = desk.Bench.Places(away);
        Jobs = [.. (away ? desk.Bench.Places() : places).Select(p => p.On).OfType<OnBench>()];
        Spoilt = [.. places.Where(p => p.On is null)];
        Listed = Asked.Of(places);
        Houses = desk.Houses.All();
        CountAway = desk.Bench.CountAway;
    }

    public void OnGet(string? find, string? sort, bool away)
    {
        Fill(find, sort, away);
        // Their inks are looked at beside the page, one job after the other; the next look at the bench knows.
        desk.Checks.Warm(Jobs.Select(j => j.Composed));
    }

    public IActionResult OnPost(string? title, string? house, string? trim, string? pages, string? binding)
    {
        Typed = new((title ?? "").Trim(), house ?? "", trim ?? "", pages ?? "", binding ?? "");
        try
        {
            if (Typed.Title.Length > 300)
                throw new Refusal("ticket/title", "a title has up to 300 letters: shorten it");
            return Redirect($"/jobs/{desk.Bench.Begin(Typed.Title, Starters.Job(desk.Houses.Get(Typed.House).House, Typed.Title, trim, pages, binding), "bench").Slug}/ticket");
        }
        catch (Refusal r) { Problem = r.Message.Capital() + "."; }
        OnGet(null, null, false);
        return Page();
    }

    public IActionResult OnPostCopy(string? slug)
    {
        try
        {
            var copy = Starters.Copy(desk.Jobs.Job(slug ?? "").Job);
            return Redirect($"/jobs/{desk.Bench.Begin(copy.Ticket.Title, copy, "bench").Slug}/ticket");
        }
        catch (Refusal) { return NotFound(); }
    }

    public IActionResult OnPostAway(string? slug) => Act(() => desk.Bench.PutAway(slug ?? ""), "/");

    public IActionResult OnPostBack(string? slug) => Act(() => desk.Bench.PutAway(slug ?? "", away: false), "/");

    public IActionResult OnPostRemove(string? slug) => Act(() => desk.Bench.Remove(slug ?? ""), "/?away=true");

    private IActionResult Act(Action act, string to)
    {
        try { act(); }
        catch (Refusal r) when (r.Path == "job") { return NotFound(); }
        return Redirect(to);
    }

    /// <summary>What Press has to show for a job.</summary>
    public string Pressed(OnBench on) => PressedFile.State(desk.Pressing.Pressings(on.Slug), on.Revision).Say();

    /// <summary>Whether a job's house has changed since the job took its rules.</summary>
    public bool News(OnBench on) => desk.Houses.HasNews(on.Job);
}
