using Lumbeck.Web.Screens;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Lumbeck.Web.Pages;

/// <summary>Printers and their rules: those that ship to be read and copied, one's own to be changed.</summary>
public sealed class HousesModel(Desk.AppServices desk, HouseScreens screens) : PageModel, ITellsRefusals
{
    private const int MostBytes = 500_000;

    public KnownHouse Known { get; private set; } = null!;
    public IReadOnlyList<KnownHouse> All { get; private set; } = [];
    public IReadOnlyList<string> Away { get; private set; } = [];
    /// <summary>Houses that can't be read, with why.</summary>
    public IReadOnlyList<(string Id, string Problem)> Spoilt { get; private set; } = [];
    public Screen Screen { get; private set; } = null!;
    public string? Open { get; private set; }
    public string? Problem { get; private set; }

    /// <summary>The profiles a house can name.</summary>
    public IReadOnlyList<(string Name, string Says)> Profiles => desk.Drawer.Profiles.Names();

    public int Jobs(KnownHouse house) => desk.Bench.CountAt(house.House.Id);

    public Task<IActionResult> OnGetAsync(string? id, string? key) => Show(id, key, null);

    public IActionResult OnPostCopy(string? id) => Redirect($"/houses/{desk.Houses.Copy(id ?? "").House.Id}?key=name");

    public IActionResult OnPostAway(string? id)
    {
        desk.Houses.PutAway(id ?? "");
        return Redirect("/houses");
    }

    public IActionResult OnPostOut(string? id)
    {
        desk.Houses.TakeOut(id ?? "");
        return Redirect($"/houses/{Uri.EscapeDataString(id ?? "")}");
    }

    public async Task<IActionResult> OnPostImportAsync(string? id, IFormFile? file)
    {
        if (file is null) return await Show(id, null, "Pick a house file first.");
        if (file.Length > MostBytes)
            return await Show(id, null,
                $"A house file is under {MostBytes / 1000} kB; this one has {file.Length / 1000} kB.");
        using var reader = new StreamReader(file.OpenReadStream());
        var text = await reader.ReadToEndAsync();
        return Redirect($"/houses/{desk.Houses.Import(text).House.Id}");
    }

    /// <summary>What can't be done is said on the house's page; of one that was put away, on the first's.</summary>
    public async ValueTask<IActionResult?> Tell(Refusal refusal, string handler) => await Show(
        handler == "Out" ? null : ModelState["id"]?.AttemptedValue, null,
        handler == "Import" ? $"Not brought in: {refusal.Message}." : refusal.Sentence());

    private async Task<IActionResult> Show(string? id, string? key, string? problem)
    {
        All = desk.Houses.All();
        if ((id is null ? All[0] : All.FirstOrDefault(k => k.House.Id == id)) is not { } known) return NotFound();
        (Known, Open, Problem, Away) = (known, HouseKeys.Find(key ?? "")?.Name, problem, desk.Houses.Away());
        Spoilt = desk.Houses.Spoilt();
        Screen = await screens.Of(known, Open);
        Response.Headers.CacheControl = "no-store";
        return Page();
    }
}
