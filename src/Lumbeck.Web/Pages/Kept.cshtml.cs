using Lumbeck.Press.Colour;
using Lumbeck.Store;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Lumbeck.Web.Pages;

/// <summary>What the Drawer keeps, as small pictures to choose from: part of a panel's list and of the papers.</summary>
public sealed class KeptModel(Desk.AppServices desk) : PageModel
{
    /// <summary>No more are shown at once: a name finds the others.</summary>
    private const int Most = 48;

    public IReadOnlyList<PictureRow> Pictures { get; private set; } = [];
    public string Condition { get; private set; } = "";
    /// <summary>What is looked for.</summary>
    public string Find { get; private set; } = "";
    /// <summary>The panel that what is chosen goes on.</summary>
    public string Panel { get; private set; } = "";
    /// <summary>The shape that what is chosen fills; empty for the ground.</summary>
    public string Item { get; private set; } = "";
    /// <summary>Whether drawings are shown that a paper repeats.</summary>
    public bool Motifs { get; private set; }

    public IActionResult OnGet(string slug, string? find, string? panel, string? item, bool motifs = false)
    {
        var house = desk.Jobs.Job(slug).Job.Ticket.House;
        (Find, Panel, Item, Motifs) = (LengthText.Clip((find ?? "").Trim()), panel ?? "", item ?? "", motifs);
        Condition = Screens.PictureLinks.Named(PrintingCondition.Of(house), false);
        Pictures = [.. desk.Drawer.Pictures.All()
            .Where(p => !motifs || p.Drawn)
            .Where(p => $"{p.Name} {p.Maker} {p.Source}".Contains(Find, StringComparison.OrdinalIgnoreCase))
            .Take(Most)];
        Response.Headers.CacheControl = "no-store";
        return Page();
    }
}
