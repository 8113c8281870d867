namespace Lumbeck.Web.Wire;

/// <summary>What one press or one key does with the picked items, by its word.</summary>
public static class Arranging
{
    /// <summary>The same edit of each of several things, as one step.</summary>
    public static Edit Each<T>(IReadOnlyList<T> of, Func<T, Edit> edit, Job job, string does)
    {
        var edits = of.Select(edit).ToImmutableList();
        return edits.Count == 1 ? edits[0] : new Together(edits, $"{does} {Many.Items(edits.Count)}");
    }

    /// <summary>Moves items over (+) or under (−) their neighbours, keeping their own order.</summary>
    public static Edit Order(Job job, string[] items, int steps)
    {
        int at(string id) =>
            job.WrapOf(id) is >= 0 and var wrap
                ? job.Wraps[wrap].Take.Items.FindIndex(i => i.Id == id)
                : throw Job.Gone(id);
        var ordered = steps > 0 ? items.OrderByDescending(at) : items.OrderBy(at);
        return Each([.. ordered], id => new OrderItem(id, steps), job, "order of");
    }

    /// <param name="job">The job.</param>
    /// <param name="items">The picked items; where one is the measure of the others, it is the last.</param>
    /// <param name="how">The word.</param>
    /// <param name="made">What ids of new items begin with.</param>
    /// <param name="panel">The panel of a copy.</param>
    /// <param name="drawn">From the middle of an item's box to the middle of what is drawn in it.</param>
    /// <exception cref="Refusal">There is no such word, or it asks for more items.</exception>
    public static Edit Of(Job job, string[] items, string how, string made, string? panel,
        Func<string, (Length Right, Length Down)>? drawn = null)
    {
        CentreItem centre(string id, bool down = false, Part? over = null, bool safe = false) =>
            new(id, down, over, safe) { Drawn = drawn?.Invoke(id) ?? default };
        Edit each(Func<string, Edit> edit) => Each(items, edit, job, how);
        return how switch
        {
            "centre" => IsGroup(job, items) ? new CentreGroup([.. items]) : each(id => centre(id)),
            "middle" =>
                IsGroup(job, items)
                    ? new CentreGroup([.. items], DownToo: true)
                    : each(id => centre(id, down: true)),
            "safe" =>
                IsGroup(job, items)
                    ? new CentreGroup([.. items], DownToo: true, Safe: true)
                    : each(id => centre(id, down: true, safe: true)),
            "spine" =>
                IsGroup(job, items)
                    ? new CentreGroup([.. items], DownToo: true, Over: Part.Spine)
                    : each(id => centre(id, down: true, over: Part.Spine)),
            "panel" => each(id => new StretchItem(id, Reach.Panel)),
            "bleed" => each(id => new StretchItem(id, Reach.Bleed)),
            "sheet" => each(id => new StretchItem(id, Reach.Sheet)),
            "quarter" => each(id => new TurnItem(id, (job.Item(id) ?? throw Job.Gone(id)).Turned + 90)),
            "copy" => Copies(job, items, made, (id, copy, group) => new DuplicateItem(id, copy, Group: group)),
            "other-cover" =>
                Copies(job, items, made, (id, copy, group) => new DuplicateItem(id, copy, ToOtherCover: true, Group: group)),
            "copy-to" when Parts.TryParse(panel ?? "", out var to) => Copies(job, items, made,
                (id, copy, group) => new DuplicateItem(id, copy, To: to, Group: group)),
            "four-corners" => new FourCorners(items[^1], made),
            "words-in" => new WordsInOrnament(items[^1], made),
            "in-swatches" => each(id => new VistaInSwatches(id)),
            ['a', 't', '-', .. var hour] when Enum.TryParse<Hour>(hour, ignoreCase: true, out var at) && Enum.IsDefined(at) =>
                each(id => new VistaInSwatches(id, at)),
            "take-apart" => new TakeApart(items[^1], made),
            "left" => new LineUp([.. items], Along.Left),
            "across" => new LineUp([.. items], Along.Centre),
            "right" => new LineUp([.. items], Along.Right),
            "head" => new LineUp([.. items], Along.Head),
            "level" => new LineUp([.. items], Along.Middle),
            "foot" => new LineUp([.. items], Along.Foot),
            "gaps-across" => new SpaceOut([.. items], DownTheSheet: false),
            "gaps-down" => new SpaceOut([.. items], DownTheSheet: true),
            "same-width" => new SameSize([.. items], High: false),
            "same-height" => new SameSize([.. items], Wide: false),
            "same-size" => new SameSize([.. items]),
            "group" => new GroupItems([.. items], Free.Numbered("Group", n => job.Items.Any(i => i.Group == n))),
            "ungroup" => new Ungroup([.. items]),
            _ => throw new Refusal("edit", "nothing to arrange was named"),
        };
    }

    /// <summary>Whether all of one group is meant, which is moved as one.</summary>
    private static bool IsGroup(Job job, string[] items) =>
        items.Length > 1 && job.Item(items[0])?.Group is { Length: > 0 } group
            && items.All(i => job.Item(i)?.Group == group);

    private static Edit Copies(Job job, string[] items, string made, Func<string, string, string, Edit> copy)
    {
        // Copies of a group are a group of their own.
        var groups = items.Select(id => job.Item(id)?.Group ?? "").Where(g => g.Length > 0).Distinct()
            .ToDictionary(g => g, g => Free.Like(g, n => job.Items.Any(i => i.Group == n)));
        var n = 0;
        return Each(items,
            id =>
                copy(id, items.Length == 1 ? made : $"{made}-{++n}",
                    items.Length == 1 ? "" : groups.GetValueOrDefault(job.Item(id)?.Group ?? "", "")),
            job, "copy");
    }
}
