using Lumbeck.Store;
using Lumbeck.Web.Screens;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Lumbeck.Web.Pages;

/// <summary>All pictures, where each is from, and which covers use it.</summary>
public sealed class DrawerModel(Desk.AppServices desk) : PageModel, ITellsRefusals
{
    public IReadOnlyList<PictureRow> Pictures { get; private set; } = [];
    /// <summary>Titles of jobs by their address.</summary>
    public IReadOnlyDictionary<string, string> Titles { get; private set; } = new Dictionary<string, string>();
    public string? Problem { get; private set; }
    /// <summary>How small pictures are shown: through the first house's profile.</summary>
    public string Condition =>
        Screens.PictureLinks.Named(Press.Colour.PrintingCondition.Of(HouseFile.Shipped.Values.First()), false);
    /// <summary>Only what this job uses is listed, where it is one.</summary>
    public string? Job { get; private set; }
    /// <summary>Printers' own profiles.</summary>
    public IReadOnlyList<ProfileRow> Profiles => desk.Drawer.Profiles.All();

    /// <summary>Tables whose rows make pages, with their heads.</summary>
    public IReadOnlyList<(string Name, int Rows, string Columns)> Tables =>
        [.. desk.Drawer.Tables.All().Select(t => desk.Drawer.Tables.Kept(t.Hash)).OfType<TableRef>()
            .Select(t => (t.Name, t.Rows, string.Join(", ", t.Columns)))];

    /// <summary>Makers' own faces.</summary>
    public IReadOnlyList<(FaceRow Row, Press.Faces.FaceFacts Facts)> Faces =>
        [.. desk.Drawer.Faces.All().Where(f => FaceId.TryParse(f.Id, out var id) && desk.Drawer.Shelf.Holds(id))
            .Select(f => (f, desk.Drawer.Shelf.Facts(FaceId.TryParse(f.Id, out var id) ? id : default)))];

    public IActionResult OnPostSayFace(string? hash, string? licence)
    {
        desk.Drawer.Faces.Say(hash ?? "", licence);
        return Redirect("/drawer#face-" + (hash is { Length: > 12 } ? hash[..12] : ""));
    }

    public IReadOnlyList<JobRow> Uses(string hash) => desk.Drawer.Pictures.Uses(hash);

    public void OnGet(string? job)
    {
        Job = job;
        Show();
    }

    public IActionResult OnPostSay(string? hash, string? source, string? maker, string? licence) =>
        Do(() => desk.Drawer.Pictures.Say(hash ?? "", source, maker, licence), hash);

    public IActionResult OnPostRemove(string? hash) => Do(() => desk.Drawer.Pictures.Remove(hash ?? ""), null);

    private IActionResult Do(Action act, string? hash)
    {
        try { act(); }
        catch (FileNotFoundException) { return NotFound(); }
        return Redirect("/drawer" + (hash is { Length: > 12 } ? "#picture-" + hash[..12] : ""));
    }

    public ValueTask<IActionResult?> Tell(Refusal refusal, string handler)
    {
        Problem = refusal.Sentence();
        Show();
        return new(Page());
    }

    /// <summary>Titles of all jobs by their address, those that are put away among them.</summary>
    private IReadOnlyDictionary<string, string> All { get; set; } = new Dictionary<string, string>();

    /// <summary>What a job that uses a picture is called; its address where it can’t be read.</summary>
    public string TitleOf(JobRow job) => All.GetValueOrDefault(job.Slug, job.Slug);

    private static string Named(BenchPlace at) => at.Job is null ? at.Slug : at.Job.Title is { Length: > 0 } t ? t : "Untitled";

    private void Show()
    {
        var jobs = desk.Bench.Places(soon: true).Where(p => p.Job is not null).ToList();
        Pictures = desk.Drawer.Pictures.All();
        if (jobs.FirstOrDefault(j => j.Slug == Job) is { } only)
            Pictures = [.. Pictures.Where(p => only.Job!.Pictures.Contains(p.Hash))];
        else Job = null;
        Titles = jobs.ToDictionary(j => j.Slug, j => Named(j));
        // What is put away uses its pictures still.
        All = Titles.Concat(desk.Bench.Places(away: true, soon: true).ToDictionary(j => j.Slug, j => $"{Named(j)} (put away)"))
            .ToDictionary();
    }
}
