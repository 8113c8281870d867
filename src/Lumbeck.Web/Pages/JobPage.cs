using Lumbeck.Web.Screens;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Lumbeck.Web.Pages;

/// <summary>A page of one job: its screen, made of the same parts that edits answer with.</summary>
public abstract class JobPage(Desk.Desk desk, ScreenMaker screens, Place place) : PageModel
{
    public OnBench On { get; private set; } = null!;
    public Screen Screen { get; private set; } = null!;
    public string? Open { get; private set; }
    public int Sheet { get; private set; }
    public ComposedSheet Shown => On.Composed.Sheets[Sheet];
    public Place Place => place;
    protected Desk.Desk Desk => desk;

    public async Task<IActionResult> OnGetAsync(string slug, string? item, int? sheet)
    {
        try { On = desk.Job(slug); }
        catch (Refusal) { return NotFound(); }
        Open = item is not null ? string.Join(',', item.Split(',').Where(id => On.Job.Item(id) is not null)) is { Length: > 0 } some ? some : null : null;
        Sheet = Open is not null ? On.Composed.SheetOf(Open.Split(',')[^1]).On.Number : Math.Clamp(sheet ?? 0, 0, On.Composed.Sheets.Length - 1);
        Screen = await screens.Now(On, place, Sheet, Open);
        Response.Headers.CacheControl = "no-store";
        return Page();
    }
}

public sealed class TicketModel(Desk.Desk desk, ScreenMaker screens) : JobPage(desk, screens, Place.Ticket);

public sealed class WrapModel(Desk.Desk desk, ScreenMaker screens) : JobPage(desk, screens, Place.Wrap);

public sealed class CheckModel(Desk.Desk desk, ScreenMaker screens) : JobPage(desk, screens, Place.Check);

public sealed class ColoursModel(Desk.Desk desk, ScreenMaker screens) : JobPage(desk, screens, Place.Colours);

public sealed class PressModel(Desk.Desk desk, ScreenMaker screens) : JobPage(desk, screens, Place.Press)
{
    public IActionResult OnPost(string slug, bool outlines)
    {
        try { Desk.PressBeside(Desk.Job(slug), PressKind.X4, outlines); }
        catch (Refusal r) when (r.Path == "job") { return NotFound(); }
        catch (Refusal r) { TempData["problem"] = r.Message; }
        return Redirect($"/jobs/{Uri.EscapeDataString(slug)}/press");
    }
}
