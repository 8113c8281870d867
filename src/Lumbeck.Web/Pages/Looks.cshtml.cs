using Lumbeck.Running;
using Lumbeck.Web.Screens;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Lumbeck.Web.Pages;

/// <summary>A look on the shelf: a livery or a starter.</summary>
/// <param name="Kind">“livery” or “starter”.</param>
/// <param name="File">Where its file is saved from; null where it ships and has none.</param>
public sealed record LookOnShelf(string Kind, string Id, string Name, string Says, bool Own, string? File)
{
    public bool IsStarter => Kind == LooksModel.Starter;
}

/// <summary>One shelf of looks: those that ship, those kept here, and their files.</summary>
[RequestSizeLimit(MostBytes), RequestFormLimits(MultipartBodyLengthLimit = MostBytes)]
public sealed class LooksModel(Desk.AppServices desk) : PageModel, ITellsRefusals
{
    /// <summary>Largest pack of a starter, in bytes.</summary>
    public const long MostBytes = 200_000_000;

    internal const string Livery = "livery", Starter = "starter";

    /// <summary>One's own first, then by kind, as each shelf has them.</summary>
    public IReadOnlyList<LookOnShelf> Looks { get; private set; } = [];

    /// <summary>The jobs on the bench, the newest first.</summary>
    public IReadOnlyList<(string Slug, string Title)> Jobs { get; private set; } = [];
    public string? Problem { get; private set; }

    public void OnGet()
    {
        Looks =
        [
            .. desk.Liveries.All().Select(l => new LookOnShelf(Livery, l.Id, l.Name, string.Join(", ", l.Shelves)
                + (l.Own ? "" : "; " + string.Join(", ", l.Ways)), l.Own, l.Own ? $"/looks/liveries/{l.Id}.json" : null))
                .Concat(desk.Starters.All().Select(s =>
                    new LookOnShelf(Starter, s.Id, s.Name, s.Says, s.Own, $"/looks/starters/{s.Id}.zip")))
                .OrderByDescending(l => l.Own),
        ];
        Jobs = [.. desk.Bench.Places(soon: true).Where(p => p.Job is not null).Reverse().Take(200)
            .Select(p => (p.Slug, p.Job!.Title.Length == 0 ? "Untitled" : p.Job.Title))];
    }

    public IActionResult OnPostKeep(string? kind, string? slug, string? name)
    {
        var job = desk.Jobs.Job(slug ?? "").Job;
        return Redirect(kind == Starter ? $"/looks#{Starter}-{desk.Starters.Keep(job, name ?? "").Id}"
            : $"/looks#{Livery}-{desk.Liveries.Keep(job, name ?? "").Id}");
    }

    public IActionResult OnPostRemove(string? kind, string? id)
    {
        if (kind == Starter) desk.Starters.Remove(id ?? "");
        else desk.Liveries.Remove(id ?? "");
        return Redirect("/looks");
    }

    public IActionResult OnPostBegin(string? id) =>
        Redirect($"/jobs/{desk.Bench.Begin("", desk.Starters.Begun(id ?? "", ""), "bench").Slug}/ticket");

    /// <summary>A starter's pack begins as every ZIP does (“PK”); all else is read as a livery's file.</summary>
    public async Task<IActionResult> OnPostBringAsync(IFormFile? file)
    {
        if (file is null) return Said("Pick the file to bring in");
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
        var pack = s.ReadByte() == 'P' && s.ReadByte() == 'K';
        s.Position = 0;
        if (pack) return Redirect($"/looks#{Starter}-{(await desk.Starters.TakeIn(s)).Id}");
        if (s.Length > OwnLiveryJson.Most) return Said($"{file.FileName} is over {OwnLiveryJson.Most / 1_000_000} MB");
        var bytes = new byte[s.Length];
        await s.ReadExactlyAsync(bytes);
        return Redirect($"/looks#{Livery}-{desk.Liveries.TakeIn(bytes).Id}");
    }

    public ValueTask<IActionResult?> Tell(Refusal refusal, string handler) => new(Said(refusal.Message));

    private PageResult Said(string problem)
    {
        Problem = problem.Capital() + ".";
        OnGet();
        return Page();
    }
}
