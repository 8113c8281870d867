namespace Lumbeck.Core.Art.Patterns;

/// <summary>
/// What fills a shape, a plate or the ground: a paint, a pattern, or a pattern over a paint. Without a paint, what lies
/// under it shows between the pattern's marks.
/// </summary>
public sealed record Fill(Paint? Paint = null, Pattern? Pattern = null)
{
    /// <summary>A paint and a pattern as one; null where there is neither.</summary>
    public static Fill? Of(Paint? paint, Pattern? pattern) =>
        paint is null && pattern is null ? null : new(paint, pattern);

    public static implicit operator Fill?(Paint? paint) => Of(paint, null);

    /// <summary>The kept pictures that it shows.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public IEnumerable<Picture> Pictures => Pattern is OwnMotif { Motif: { } motif } ? [motif] : [];

    /// <summary>Whether it lets nothing of what lies under it through.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool Hides => Paint is not (null or FinishPaint);

    /// <summary>The same with each of its paints as it is mapped.</summary>
    public Fill Painted(Func<Paint?, Paint?> each) =>
        new(each(Paint), Pattern is { } p ? p with { Paints = [.. p.Paints.Select(x => each(x)!)] } : null);
}
