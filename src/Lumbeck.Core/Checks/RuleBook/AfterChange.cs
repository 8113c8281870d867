namespace Lumbeck.Core.Checks.RuleBook;

/// <summary>What a change of the sheet did to the items on it: which of them now want a look, and why.</summary>
public static class AfterChange
{
    /// <summary>
    /// The items that want a look when a sheet becomes another: those newly past a safe line, over a fold or in a band,
    /// those whose words no longer fit, those newly over one another, and those that lost their panel.
    /// </summary>
    /// <param name="was">The sheets before, with what was found on them.</param>
    /// <param name="now">The sheets after, with what is found on them.</param>
    public static IReadOnlyList<ToLookAt> Of((Job Job, IReadOnlyList<Scene> Scenes, IEnumerable<Finding> Findings) was,
        (Job Job, IReadOnlyList<Scene> Scenes, IEnumerable<Finding> Findings) now)
    {
        var looks = new List<ToLookAt>();
        var known = was.Findings.Where(f => f.Item is not null).Select(f => (f.Item, f.Id)).ToHashSet();
        foreach (var f in now.Findings.Where(f =>
            f.Item is not null && f.Place is not null
                && (f.Id is "text.overset" or "barcode.room" || f.Id.StartsWith("zone.", StringComparison.Ordinal))
                && !known.Contains((f.Item, f.Id))))
            Add(f.Item!, f.Id == "text.overset" ? "its words do not fit their box any more" : f.Measured);
        foreach (var item in now.Job.Items)
        {
            var (before, after) = (Drawn(was.Scenes, item.Id), Drawn(now.Scenes, item.Id));
            if (before is not null && after is null && !item.Hidden
                && !now.Scenes.Any(s => s.Item(item.Id) is { Frame.IsEmpty: false }))
                looks.Add(new(item.Id, $"has no {item.Hold.Panel.Say()} to hang on any more", before.Inked.ToBox(),
                    default));
        }
        var overlapsBefore = was.Scenes.SelectMany(Overlaps).ToHashSet();
        foreach (var (a, b) in now.Scenes.SelectMany(Overlaps).Where(o => !overlapsBefore.Contains(o)))
            Add(b, $"lies in front of the {now.Job.Item(a)?.Said} now");
        return looks;

        void Add(string id, string why)
        {
            if (looks.Any(l => l.Item == id) || Drawn(was.Scenes, id) is not { } before) return;
            looks.Add(new(id, why, before.Inked.ToBox(),
                (now.Scenes.Select(s => s.Item(id)).FirstOrDefault(p => p is { Frame.IsEmpty: false }) is not { } after
                    ? default : after.Inked.IsEmpty ? after.Frame : after.Inked)
                    .ToBox()));
        }
    }

    private static DrawnItem? Drawn(IReadOnlyList<Scene> scenes, string id) =>
        scenes.Select(s => s.Item(id)).FirstOrDefault(p => p is { Inked.IsEmpty: false });

    /// <summary>Pairs of words, a barcode’s too, whose ink meets; the lower first.</summary>
    private static IEnumerable<(string, string)> Overlaps(Scene scene)
    {
        var said = scene.Items.Where(p => !p.Inked.IsEmpty && p.Marks.OfType<GlyphMark>().Any()).ToList();
        for (var i = 0; i < said.Count; i++)
            for (var j = i + 1; j < said.Count; j++)
                if (!said[i].Inked.ToBox().Intersect(said[j].Inked.ToBox()).IsEmpty)
                    yield return (said[i].Item, said[j].Item);
    }

    /// <summary>
    /// Earlier looks and new ones together: those whose item is gone are dropped, and an item keeps the place it had at
    /// first.
    /// </summary>
    public static ImmutableList<ToLookAt> Merge(Job job, IEnumerable<ToLookAt> added)
    {
        var looks = job.Looks.Where(l => job.Item(l.Item) is not null).ToImmutableList();
        foreach (var look in added)
        {
            var at = looks.FindIndex(l => l.Item == look.Item);
            looks = at < 0 ? looks.Add(look) : looks.SetItem(at, look with { Was = looks[at].Was });
        }
        return looks;
    }
}
