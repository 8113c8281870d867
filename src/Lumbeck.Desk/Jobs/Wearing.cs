namespace Lumbeck.Desk.Jobs;

/// <summary>A livery on a job, as an edit that lays it.</summary>
public static class Wearing
{
    /// <param name="job">The job.</param>
    /// <param name="livery">Its word or name.</param>
    /// <param name="colourway">Which of its sets of colours, from 1; it goes round.</param>
    /// <param name="seed">A number or a word; null for one that follows from the livery.</param>
    /// <param name="id">Of the take.</param>
    /// <param name="type">Faces.</param>
    /// <exception cref="Refusal">There is none of that name.</exception>
    public static (LayTakes Edit,
        ImmutableArray<string> Unfit) Of(Job job, string livery, int colourway, string? seed, string id,
        IType type)
    {
        var wears = LiveryShelf.Of(livery);
        var way = wears.Colourways[(((colourway - 1) % wears.Colourways.Length) + wears.Colourways.Length) % wears.Colourways.Length];
        var composed = LiveryComposing.Compose(job, wears, way, Seed.Of(seed ?? wears.Id), id, type);
        return (new(composed.Takes, LiveryComposing.Swatches(wears, way), wears.Name), composed.Unfit);
    }
}
