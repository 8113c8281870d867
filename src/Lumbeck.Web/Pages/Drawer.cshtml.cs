using Lumbeck.Store;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Lumbeck.Web.Pages;

/// <summary>All pictures, where each is from, and which covers use it.</summary>
public sealed class DrawerModel(Desk.Desk desk) : PageModel
{
    public IReadOnlyList<PictureRow> Pictures { get; private set; } = [];
    /// <summary>Titles of jobs by their address.</summary>
    public IReadOnlyDictionary<string, string> Titles { get; private set; } = new Dictionary<string, string>();
    public string? Problem { get; private set; }
    /// <summary>The profile that small pictures are shown through.</summary>
    public string Profile => Core.Houses.HouseFile.Shipped.Values.First().Profile;

    public IReadOnlyList<JobRow> Uses(string hash) => desk.Pictures.Uses(hash);

    public void OnGet() => Show();

    public IActionResult OnPostSay(string? hash, string? source, string? maker, string? licence) => Do(() => desk.Pictures.Say(hash ?? "", source, maker, licence), hash);

    public IActionResult OnPostRemove(string? hash) => Do(() => desk.Pictures.Remove(hash ?? ""), null);

    private IActionResult Do(Action act, string? hash)
    {
        try { act(); }
        catch (Refusal r) { Problem = r.Message; Show(); return Page(); }
        catch (FileNotFoundException) { return NotFound(); }
        return Redirect("/drawer" + (hash is { Length: > 12 } ? "#picture-" + hash[..12] : ""));
    }

    private void Show()
    {
        Pictures = desk.Pictures.All();
        Titles = desk.Jobs().ToDictionary(j => j.Slug, j => j.Job.Ticket.Title is { Length: > 0 } t ? t : "Untitled");
    }
}
