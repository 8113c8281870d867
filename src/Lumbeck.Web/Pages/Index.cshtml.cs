using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Lumbeck.Web.Pages;

/// <summary>The bench: all jobs with small wraps, and how ready each is.</summary>
public sealed class IndexModel(Desk.Desk desk) : PageModel
{
    public IReadOnlyList<OnBench> Jobs { get; private set; } = [];
    public string? Problem { get; private set; }
    public string Typed { get; private set; } = "";

    public void OnGet() => Jobs = desk.Jobs();

    public IActionResult OnPost(string? title, string? house)
    {
        Typed = (title ?? "").Trim();
        if (Typed.Length is 0 or > 300) Problem = "A cover begins with its title: type up to 300 letters.";
        else if (HouseFile.Shipped.GetValueOrDefault(house ?? "") is not { } printer) Problem = "Pick one of the printers.";
        else return Redirect($"/jobs/{desk.Begin(Typed, Starters.Job(printer, Typed), "bench").Slug}/ticket");
        Jobs = desk.Jobs();
        return Page();
    }

    /// <summary>What Press has to show for a job.</summary>
    public string Pressed(OnBench on) => Pressing.State(desk.Pressings(on.Slug), on.Revision).Say();
}
