using Lumbeck.Web.Screens;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Lumbeck.Web.Pages;

/// <summary>A job's steps with small pictures; any can be named or brought back.</summary>
public sealed class HistoryModel(Desk.AppServices desk) : PageModel, ITellsRefusals
{
    public OnBench On { get; private set; } = null!;
    public IReadOnlyList<Step> Steps { get; private set; } = [];
    public bool Named { get; private set; }
    /// <summary>Steps older than this revision follow; null where none do.</summary>
    public long? Older => Steps.Count == History.Page ? Steps[^1].Row.Revision : null;
    public string? Problem { get; private set; }

    /// <summary>When a step was made, by the clock of this machine.</summary>
    public string When(string at) =>
        DateTimeOffset.Parse(at, CultureInfo.InvariantCulture).ToLocalTime()
            .ToString("d MMM yyyy, HH:mm", CultureInfo.InvariantCulture);

    public IActionResult OnGet(string slug, long? before, bool named) => Show(slug, before, named);

    public IActionResult OnPostBring(string slug, long revision, long tick)
    {
        if (desk.Jobs.Tick(slug) != tick)
            throw new Refusal("history",
                "The cover was changed since this page was opened. What is there now is shown first below; bring " +
                    "it back again if you still want it.");
        desk.Jobs.Apply(slug, new(Guid.NewGuid().ToString(), "history", _ => desk.Jobs.BringBack(slug, revision)));
        return Redirect($"/jobs/{Uri.EscapeDataString(slug)}/wrap");
    }

    public IActionResult OnPostName(string slug, long revision, string? name, bool named)
    {
        desk.Jobs.NameStep(slug, revision, name ?? "");
        return Redirect($"/jobs/{Uri.EscapeDataString(slug)}/history{(named ? "?named=true" : "")}#step-{revision}");
    }

    public ValueTask<IActionResult?> Tell(Refusal refusal, string handler)
    {
        Problem = refusal.Sentence();
        return new(Show((string)RouteData.Values["slug"]!, null, false));
    }

    private IActionResult Show(string slug, long? before, bool named)
    {
        On = desk.Jobs.Job(slug);
        Named = named;
        Steps = desk.Jobs.StepList(On, before, named);
        return Page();
    }
}
