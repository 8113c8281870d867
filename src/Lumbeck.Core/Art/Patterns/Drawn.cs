namespace Lumbeck.Core.Art.Patterns;

/// <summary>
/// Something that a pattern or a page's design draws, in one of its paint slots: which ink that is, is said elsewhere.
/// </summary>
public abstract record Drawn;

/// <summary>A filled shape.</summary>
/// <param name="Shape">Its outline, by the non-zero rule.</param>
/// <param name="Slot">Its paint's place among the paints.</param>
public sealed record Area(Outline Shape, int Slot = 0) : Drawn;

/// <summary>A line.</summary>
/// <param name="Shape">The line.</param>
/// <param name="Width">In points.</param>
/// <param name="Slot">Its paint's place among the paints.</param>
public sealed record Line(Outline Shape, double Width, int Slot = 0) : Drawn
{
    /// <summary>Lengths of strokes and gaps in turn, in points; none for a whole line.</summary>
    public ImmutableArray<double> Dash { get; init; } = [];
}

/// <summary>The same drawing in several places: a file holds it once.</summary>
/// <param name="Symbol">What is repeated; nothing in it is repeated again.</param>
/// <param name="Places">From the symbol's own coordinates to those of the whole, without a stretch.</param>
public sealed record Repeated(ImmutableArray<Drawn> Symbol, ImmutableArray<Affine> Places) : Drawn;
