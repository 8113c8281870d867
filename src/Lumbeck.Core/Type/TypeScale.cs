namespace Lumbeck.Core.Type;

/// <summary>Sizes that go together: each so many times the one before.</summary>
/// <param name="Name">The proportion, as intervals are named.</param>
/// <param name="Ratio">From one size to the next.</param>
public sealed record TypeScale(string Name, decimal Ratio)
{
    public static IReadOnlyList<TypeScale> All { get; } = [new("6 : 5", 1.2m), new("5 : 4", 1.25m),
        new("4 : 3", 4m / 3), new("3 : 2", 1.5m), new("golden", 1.618m), new("2 : 1", 2)];

    /// <summary>
    /// Two sizes below one and three above it, in tenths of a point, in whole ones from 20 on; none under 4 or over 400
    /// pt.
    /// </summary>
    public IEnumerable<Length> From(Length size)
    {
        var at = size.Points / Math.Pow((double)Ratio, 2);
        for (var i = 0; i < 6; i++, at *= (double)Ratio)
            if (at is >= 4 and <= 400)
                yield return i == 2 ? size : Length.FromPoints((decimal)Math.Round(at, at < 20 ? 1 : 0));
    }
}
