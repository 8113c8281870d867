using Lumbeck.Store;

namespace Lumbeck.Desk.Looks;

/// <summary>One livery that can be put on a job.</summary>
/// <param name="Id">Its word.</param>
/// <param name="Name">What people read.</param>
/// <param name="Shelves">What sort of books it is for.</param>
/// <param name="Ways">Its sets of colours, by name.</param>
/// <param name="Own">Whether it was kept from a cover.</param>
public sealed record LiveryToWear(string Id, string Name, IReadOnlyList<string> Shelves, IReadOnlyList<string> Ways,
    bool Own);

/// <summary>Whole looks: those that ship, and those that were kept from covers.</summary>
public sealed class LiveryDesk
{
    /// <summary>Most that can be kept.</summary>
    public const int Most = 200;

    private readonly LookShelf _shelf;
    private readonly JobDesk _jobs;

    private readonly PagePictures _pages;

    internal LiveryDesk(JobDesk jobs) =>
        (_jobs, _shelf, _pages) = (jobs, new(jobs.Store, "livery"), new(jobs.Drawer));

    /// <summary>Every livery, those kept from covers first.</summary>
    public IReadOnlyList<LiveryToWear> All() =>
    [
        .. _shelf.All().Select(r => new LiveryToWear(r.Id, r.Name, ["kept from a cover"], ["as kept"], true)),
        .. LiveryShelf.All.Select(l => new LiveryToWear(l.Id, l.Name, l.Shelves, [.. l.Colourways.Select(w => w.Name)], false)),
    ];

    /// <summary>When a kept livery was kept, which tells it from an earlier one of its word; empty for one that ships.</summary>
    public string KeptAt(string name) => _shelf.Find(name)?.At ?? "";

    /// <summary>A kept livery of a word or name; null where there is none.</summary>
    public OwnLivery? Own(string name)
    {
        return _shelf.Find(name) is { } row && _shelf.Body(row.Id) is { } body
            ? OwnLiveryJson.Read(body, _ => true) with { Id = row.Id, Name = row.Name }
            : null;
    }

    /// <summary>Keeps what is on the bench as a livery.</summary>
    /// <exception cref="Refusal">It has no name, or there are too many.</exception>
    public OwnLivery Keep(Job job, string name)
    {
        name = Named(name);
        if (job.Items.All(i => i.Hidden)) throw new Refusal("livery", "nothing lies on this cover yet: there is no look to keep");
        var own = OwnLivery.Of(job, Free.Id(Plain.Word(name, 16, "look"), Taken), name);
        _shelf.Put(own.Id, own.Name, "", OwnLiveryJson.Write(own));
        return own;
    }

    /// <summary>Takes a file in.</summary>
    /// <exception cref="Refusal">It is no livery; the place in it that is wrong is named.</exception>
    public OwnLivery TakeIn(byte[] file)
    {
        var own = OwnLiveryJson.Read(file, _jobs.Drawer.Shelf.Holds);
        own = own with { Id = Free.Id(own.Id, Taken), Name = Named(own.Name) };
        _shelf.Put(own.Id, own.Name, "", OwnLiveryJson.Write(own));
        return own;
    }

    /// <summary>A kept livery as a file.</summary>
    /// <exception cref="Refusal">None is kept by that name.</exception>
    public byte[] Export(string name) =>
        OwnLiveryJson.Export(Own(name) ?? throw new Refusal("livery", $"no livery `{LengthText.Clip(name)}` was kept"));

    public void Remove(string id) => _shelf.Remove(id);

    private bool Taken(string id) => LiveryShelf.All.Any(l => l.Id == id) || _shelf.Find(id) is not null;

    private string Named(string name)
    {
        name = Plain.Line(name);
        if (name.Length is 0 or > OwnLivery.LongestName)
            throw new Refusal("livery", $"a livery needs a name of up to {OwnLivery.LongestName} letters");
        var all = All();
        if (all.Count(l => l.Own) >= Most) throw new Refusal("livery", $"{Most} liveries are kept: remove one first");
        return Free.Like(name, n => all.Any(l => l.Name.Equals(n, StringComparison.OrdinalIgnoreCase)));
    }

    /// <summary>A livery on a job, as an edit that lays it.</summary>
    /// <param name="job">The job.</param>
    /// <param name="livery">Its word or name.</param>
    /// <param name="colourway">Which of its sets of colours, from 1; it goes round.</param>
    /// <param name="seed">A number or a word; null for its own.</param>
    /// <param name="id">Of the take.</param>
    /// <param name="colour">The volume’s own ink, for one that was kept from a cover.</param>
    /// <exception cref="Refusal">There is none of that name.</exception>
    public (LayTakes Edit, ImmutableArray<string> Unfit) Wear(Job job, string livery, int colourway, string? seed, string id,
        Ink? colour = null)
    {
        if (Own(livery) is not { } own)
            return Wearing.Of(job, livery, colourway, seed, id, _jobs.Drawer.Shelf,
                LiveryShelf.Of(livery).IsForUse ? _pages.Of(job) : null);
        var composed = OwnComposing.Compose(job, own, seed is null ? null : Seed.Of(seed), id, _jobs.Drawer.Shelf);
        return (new(composed.Takes, OwnComposing.Swatches(own, colour), own.Name), composed.Unfit);
    }

    /// <summary>
    /// A job whose ticket knows more than before, its designs set again where a livery laid them: what the ticket
    /// got has its place, but for what a hand has moved.
    /// </summary>
    internal Job Follow(Job before, Job after)
    {
        if (after.Take.Worn is null) return after;
        // A livery that is here no more, or can't lay this, leaves the design as it is.
        return Attempt.Or(() => Again(after).Apply(after), _ => after);
    }

    /// <summary>The designs on the bench as their livery would set them now, but for what a hand has moved.</summary>
    /// <exception cref="Refusal">No livery laid them, or it is here no more.</exception>
    public SetAgain Again(Job job)
    {
        if (job.Take.Worn is not { } worn) throw new Refusal("takes", "no livery laid this design");
        if (Own(worn.Livery) is not { } own) return Wearing.Again(job, _jobs.Drawer.Shelf,
            LiveryShelf.Of(worn.Livery).IsForUse ? _pages.Of(job) : null);
        var laid = OwnComposing.Compose(job, own, worn.Seed.Value == 0 ? null : worn.Seed, job.Take.Id, _jobs.Drawer.Shelf);
        return new(Wearing.Merged(job, laid.Takes), OwnComposing.Swatches(own, null), own.Name);
    }
}
