namespace Lumbeck.Desk.Looks;

/// <summary>A livery on a job, as an edit that lays it.</summary>
public static class Wearing
{
    /// <param name="job">The job.</param>
    /// <param name="livery">Its word or name.</param>
    /// <param name="colourway">Which of its sets of colours, from 1; it goes round.</param>
    /// <param name="seed">A number or a word; null for one that follows from the livery.</param>
    /// <param name="id">Of the take.</param>
    /// <param name="type">Faces.</param>
    /// <param name="inside">What its back may show of its pages.</param>
    /// <exception cref="Refusal">There is none of that name.</exception>
    public static (LayTakes Edit,
        ImmutableArray<string> Unfit) Of(Job job, string livery, int colourway, string? seed, string id,
        IType type, InsideShown? inside = null)
    {
        var wears = LiveryShelf.Of(livery);
        var way = wears.Colourways[(((colourway - 1) % wears.Colourways.Length) + wears.Colourways.Length) % wears.Colourways.Length];
        var composed = LiveryComposing.Compose(job, wears, way, Seed.Of(seed ?? wears.Id), id, type, inside);
        return (new(composed.Takes, LiveryComposing.Swatches(wears, way), wears.Name), composed.Unfit);
    }

    /// <summary>The designs on the bench as their livery would set them now, but for what a hand has moved.</summary>
    /// <exception cref="Refusal">No livery laid them, or it is here no more.</exception>
    public static SetAgain Again(Job job, IType type, InsideShown? inside = null)
    {
        if (job.Take.Worn is not { } worn) throw new Refusal("takes", "no livery laid this design");
        var wears = LiveryShelf.Of(worn.Livery);
        var way = wears.Colourways[Math.Clamp(worn.Way, 1, wears.Colourways.Length) - 1];
        var composed = LiveryComposing.Compose(job, wears, way, worn.Seed, job.Take.Id, type, inside);
        return new(Merged(job, composed.Takes), LiveryComposing.Swatches(wears, way), wears.Name);
    }

    /// <summary>What is on the bench, with what its livery composed anew.</summary>
    internal static ImmutableList<Take> Merged(Job job, ImmutableList<Take> laid) => LiveryComposing.Apart(
    [
        .. laid.Select((t, n) => job.Wraps[n].Take is var now && now.Worn?.Livery == t.Worn!.Livery
            ? SettingAgain.Merge(now, t, job.Ticket)
            : now),
    ]);
}
