using Lumbeck.Running;
using Lumbeck.Web.Screens;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Lumbeck.Web.Pages;

/// <summary>What was typed to begin a cover with.</summary>
public sealed record Beginning(string Title = "", string House = "", string Trim = "", string Pages = "",
    string Binding = "", string Look = "");

/// <summary>The bench: all jobs with small wraps and how ready each is, and four ways to begin another.</summary>
[RequestSizeLimit(PressModel.MostBytes), RequestFormLimits(MultipartBodyLengthLimit = PressModel.MostBytes)]
public sealed class IndexModel(Desk.AppServices desk) : PageModel, ITellsRefusals
{
    /// <summary>How many jobs lie on the bench.</summary>
    public int Count { get; private set; }
    public IReadOnlyList<KnownHouse> Houses { get; private set; } = [];
    public string? Problem { get; private set; }
    /// <summary>The field it is about.</summary>
    public string At { get; private set; } = "";
    public Beginning Typed { get; private set; } = new();

    /// <summary>Jobs that can't be shown, with why.</summary>
    public IReadOnlyList<BenchPlace> Spoilt { get; private set; } = [];

    /// <summary>The jobs that are listed, in their order.</summary>
    public IReadOnlyList<BenchPlace> Listed { get; private set; } = [];

    /// <summary>Jobs of one page of the list; the next comes when its end is in view.</summary>
    public int PageLength => Most;

    private const int Most = 60;

    /// <summary>Jobs that a copy can be begun from: those begun last.</summary>
    public IReadOnlyList<BenchPlace> Copies { get; private set; } = [];

    /// <summary>The printer that is offered first: the one that was typed, or that of the job begun last.</summary>
    public string Printer => Typed.House.Length > 0 ? Typed.House : _last;

    private string _last = "";

    /// <summary>Covers to begin from, and whole looks to begin with.</summary>
    public IReadOnlyList<StarterOffered> Starters => desk.Starters.All();
    public IReadOnlyList<LiveryToWear> Liveries => desk.Liveries.All();

    /// <summary>The first of the next page; null where this is the last.</summary>
    public int? Next { get; private set; }
    /// <summary>What is looked for, how the list is sorted, and whether it is of what is put away.</summary>
    public BenchList Asked { get; private set; } = BenchList.Asked(null, null);
    public bool Away { get; private set; }
    public int CountAway { get; private set; }

    private void Fill(string? find, string? sort, bool away, int from)
    {
        (Asked, Away) = (BenchList.Asked(find, sort), away);
        var places = desk.Bench.Places(away, soon: true);
        Count = away ? desk.Bench.Count : places.Count;
        Spoilt = from > 0 ? [] : [.. places.Where(p => p.Job is null)];
        var all = Asked.Of(places);
        Listed = [.. all.Skip(from).Take(Most)];
        Copies = away ? [] : [.. places.Where(p => p.Job is not null).Reverse().Take(200)];
        _last = places.LastOrDefault(p => p.Job is not null)?.Job!.HouseId ?? "";
        Next = from + Most < all.Count ? from + Most : null;
        Houses = desk.Houses.All();
        _rules = Houses.ToDictionary(k => k.House.Id, k => JobSummary.RulesOf(k.House));
        CountAway = desk.Bench.CountAway;
    }

    /// <summary>Where another page of the list is.</summary>
    public string Address(int from) =>
        $"/?from={from}&sort={Asked.Sort}&find={Uri.EscapeDataString(Asked.Find)}{(Away ? "&away=true" : "")}";

    private IReadOnlyDictionary<string, string> _rules = new Dictionary<string, string>();

    public void OnGet(string? find, string? sort, bool away, int from)
    {
        Fill(find, sort, away, Math.Max(0, from));
        // Their inks are looked at beside the page, one job after the other; the next look at the bench knows.
        desk.Pressing.CheckBeside(Listed.Where(p => !p.Job!.Plated));
    }

    public async Task<IActionResult> OnPostAsync(string? title, string? house, string? trim, string? pages, string? binding,
        string? look, IFormFile? cover)
    {
        Typed = new((title ?? "").Trim(), house ?? "", trim ?? "", pages ?? "", binding ?? "", look ?? "");
        if (Typed.Title.Length > 300)
            throw new Refusal("ticket/title", "a title has up to 300 letters: shorten it");
        var first = Lumbeck.Desk.Jobs.Starters.Job(desk.Houses.Get(Typed.House).House, Typed.Title, trim, pages, binding);
        var on = desk.Bench.Begin(Typed.Title, first, "bench",
            then: Typed.Look.Length > 0 ? job => desk.Liveries.Wear(job, Typed.Look, 1, null,
                "first-look").Edit : null);
        return Redirect($"/jobs/{on.Slug}/{(cover is null ? "ticket" : await Finished(on, cover))}");
    }

    /// <summary>What a new job can't be made of is said where it was typed.</summary>
    public ValueTask<IActionResult?> Tell(Refusal refusal, string handler)
    {
        if (handler.Length > 0) return default;
        (Problem, At) = (refusal.Sentence(), refusal.Path.Split('/')[^1]);
        OnGet(null, null, false, 0);
        return new(Page());
    }

    /// <summary>A cover from elsewhere, to be mended and laid as a take; where to go on.</summary>
    private async Task<string> Finished(OnBench on, IFormFile cover)
    {
        var aside = Aside.FilePath();
        try
        {
            await using (var s = new FileStream(aside, FileMode.CreateNew)) await cover.CopyToAsync(s,
                HttpContext.RequestAborted);
            var name = Path.GetFileName(cover.FileName.Replace('\\', '/'));
            // The job is begun all the same: what is wrong with the file is told where files are.
            if (await Task.Run(() => Attempt.Of(() =>
                {
                    desk.Pressing.MendBeside(on, new(aside, name, false, new()), lay: true);
                })) is { } no)
                TempData["unmended"] = $"{cover.FileName}: {no.Message}.";
        }
        finally { System.IO.File.Delete(aside); }
        return "press";
    }

    public IActionResult OnPostCopy(string? slug)
    {
        if (slug?.StartsWith("starter:", StringComparison.Ordinal) == true)
            return Redirect($"/jobs/{desk.Bench.Begin("", desk.Starters.Begun(slug[8..], ""), "bench").Slug}/ticket");
        var copy = Lumbeck.Desk.Jobs.Starters.Copy(desk.Jobs.Job(slug ?? "").Job);
        return Redirect($"/jobs/{desk.Bench.Begin(copy.Ticket.Title, copy, "bench").Slug}/ticket");
    }

    public IActionResult OnPostAway(string? slug) => Act(() => desk.Bench.PutAway(slug ?? ""), "/");

    public IActionResult OnPostBack(string? slug) => Act(() => desk.Bench.PutAway(slug ?? "", away: false), "/");

    public IActionResult OnPostRemove(string? slug) => Act(() => desk.Bench.Remove(slug ?? ""), "/?away=true");

    private IActionResult Act(Action act, string to)
    {
        act();
        return Redirect(to);
    }

    /// <summary>What Press has to show for a job.</summary>
    public string Pressed(BenchPlace at) => PressedFile.State(desk.Pressing.Pressings(at.Slug), at.Revision).Say();

    /// <summary>Whether a job's house has changed since the job took its rules.</summary>
    public bool News(BenchPlace at) => _rules.TryGetValue(at.Job!.HouseId, out var now) && now != at.Job.Rules;
}
