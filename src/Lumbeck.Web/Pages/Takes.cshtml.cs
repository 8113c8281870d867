using Lumbeck.Web.Wire;
using Lumbeck.Web.Screens;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Lumbeck.Web.Pages;

/// <summary>The takes of one wrap side by side.</summary>
public sealed class TakesModel(Desk.AppServices desk) : PageModel, ITellsRefusals
{
    public OnBench On { get; private set; } = null!;
    public int Wrap { get; private set; }
    /// <summary>The first sheet that carries the wrap.</summary>
    public string Sheet => On.Composed.Sheets.First(s => s.On.Wrap == Wrap).On.Id;
    public string? Problem { get; private set; }

    public IActionResult OnGet(string slug, int wrap) => Show(slug, wrap);

    public IActionResult OnPostNew(string slug, int wrap, string? name) =>
        Do(slug, wrap, job => new BeginTake(name).Make(new(job, desk, slug, Math.Clamp(wrap, 0, job.Wraps.Count - 1))));

    public IActionResult OnPostName(string slug, int wrap, string? take, string? name) =>
        Do(slug, wrap, _ => new NameTake(wrap, take ?? "", name ?? ""));

    public IActionResult OnPostChoose(string slug, int wrap, string? take) =>
        Do(slug, wrap, _ => new ChooseTake(wrap, take ?? ""));

    public IActionResult OnPostRemove(string slug, int wrap, string? take) =>
        Do(slug, wrap, _ => new RemoveTake(wrap, take ?? ""));

    private IActionResult Do(string slug, int wrap, Func<Job, Edit> edit)
    {
        desk.Jobs.Apply(slug, new(Guid.NewGuid().ToString(), "takes", edit));
        return Redirect($"/jobs/{Uri.EscapeDataString(slug)}/takes?wrap={wrap}");
    }

    public ValueTask<IActionResult?> Tell(Refusal refusal, string handler)
    {
        Problem = refusal.Sentence();
        return new(Show((string)RouteData.Values["slug"]!,
            int.TryParse(ModelState["wrap"]?.AttemptedValue, CultureInfo.InvariantCulture, out var wrap) ? wrap : 0));
    }

    private IActionResult Show(string slug, int wrap)
    {
        On = desk.Jobs.Job(slug);
        Wrap = Math.Clamp(wrap, 0, On.Composed.Sheets.Max(s => s.On.Wrap));
        return Page();
    }
}
