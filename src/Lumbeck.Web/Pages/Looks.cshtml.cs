using Lumbeck.Running;
using Lumbeck.Web.Screens;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Lumbeck.Web.Pages;

/// <summary>Starters and liveries: those that ship, those kept here, and their files.</summary>
[RequestSizeLimit(MostBytes), RequestFormLimits(MultipartBodyLengthLimit = MostBytes)]
public sealed class LooksModel(Desk.AppServices desk) : PageModel
{
    /// <summary>Largest pack of a starter, in bytes.</summary>
    public const long MostBytes = 200_000_000;

    public IReadOnlyList<StarterOffered> Starters { get; private set; } = [];
    public IReadOnlyList<LiveryToWear> Liveries { get; private set; } = [];

    /// <summary>The jobs on the bench, the newest first.</summary>
    public IReadOnlyList<(string Slug, string Title)> Jobs { get; private set; } = [];
    public string? Problem { get; private set; }

    public void OnGet()
    {
        (Starters, Liveries) = (desk.Starters.All(), desk.Liveries.All());
        Jobs = [.. desk.Bench.Places().Where(p => p.Job is not null).Reverse().Take(200)
            .Select(p => (p.Slug, p.Job!.Title.Length == 0 ? "Untitled" : p.Job.Title))];
    }

    public IActionResult OnPostKeepStarter(string? slug, string? name) =>
        Do(() => "#starter-" + desk.Starters.Keep(desk.Jobs.Job(slug ?? "").Job, name ?? "").Id);

    public IActionResult OnPostKeepLivery(string? slug, string? name) =>
        Do(() => "#livery-" + desk.Liveries.Keep(desk.Jobs.Job(slug ?? "").Job, name ?? "").Id);

    public IActionResult OnPostRemoveStarter(string? id) => Do(() => { desk.Starters.Remove(id ?? ""); return ""; });

    public IActionResult OnPostRemoveLivery(string? id) => Do(() => { desk.Liveries.Remove(id ?? ""); return ""; });

    public IActionResult OnPostBegin(string? id)
    {
        try { return Redirect($"/jobs/{desk.Bench.Begin("", desk.Starters.Begun(id ?? "", ""), "bench").Slug}/ticket"); }
        catch (Refusal r) { return Said(r.Message); }
    }

    public async Task<IActionResult> OnPostBringStarterAsync(IFormFile? file)
    {
        if (file is null) return Said("Pick the pack to bring in");
        // A pack is read from its end, so it is laid aside first.
        var aside = Aside.FilePath();
        await using var s = new FileStream(aside, new FileStreamOptions
        {
            Mode = FileMode.CreateNew,
            Access = FileAccess.ReadWrite,
            Options = FileOptions.DeleteOnClose,
        });
        await file.CopyToAsync(s);
        s.Position = 0;
        try { return Redirect("/looks#starter-" + (await desk.Starters.TakeIn(s)).Id); }
        catch (Refusal r) { return Said(r.Message); }
    }

    public IActionResult OnPostBringLivery(IFormFile? file)
    {
        if (file is null) return Said("Pick the file to bring in");
        if (file.Length > OwnLiveryJson.Most) return Said($"{file.FileName} is over {OwnLiveryJson.Most / 1_000_000} MB");
        using var m = new MemoryStream();
        file.CopyTo(m);
        return Do(() => "#livery-" + desk.Liveries.TakeIn(m.ToArray()).Id);
    }

    private IActionResult Do(Func<string> act)
    {
        try { return Redirect("/looks" + act()); }
        catch (Refusal r) { return Said(r.Message); }
    }

    private PageResult Said(string problem)
    {
        Problem = problem.Capital() + ".";
        OnGet();
        return Page();
    }
}
