namespace Lumbeck.Core.Art.Sketches;

/// <summary>
/// Something that a pattern or a page's design draws, in one of its paint slots: which ink that is, is said elsewhere.
/// </summary>
public abstract record Drawn
{
    /// <summary>The same placed elsewhere.</summary>
    /// <param name="place">Where.</param>
    /// <param name="scale">How much larger its lines are.</param>
    public abstract Drawn Under(Affine place, double scale);
}

/// <summary>A filled shape.</summary>
/// <param name="Shape">Its outline, by the non-zero rule.</param>
/// <param name="Slot">Its paint's place among the paints.</param>
public sealed record Area(Outline Shape, int Slot = 0) : Drawn
{
    public override Drawn Under(Affine place, double scale) => this with { Shape = Shape.Under(place) };
}

/// <summary>A line.</summary>
/// <param name="Shape">The line.</param>
/// <param name="Width">In points.</param>
/// <param name="Slot">Its paint's place among the paints.</param>
public sealed record Line(Outline Shape, double Width, int Slot = 0) : Drawn
{
    /// <summary>No line is drawn finer, however small the drawing is, in points.</summary>
    public const double Least = 0.3;

    /// <summary>Lengths of strokes and gaps in turn, in points; none for a whole line.</summary>
    public ImmutableArray<double> Dash { get; init; } = [];

    public override Drawn Under(Affine place, double scale) => this with
    {
        Shape = Shape.Under(place),
        Width = Math.Max(Least, Width * scale),
        Dash = [.. Dash.Select(d => d * scale)],
    };
}

/// <summary>The same drawing in several places: a file holds it once.</summary>
/// <param name="Symbol">What is repeated; nothing in it is repeated again.</param>
/// <param name="Places">From the symbol's own coordinates to those of the whole, without a stretch.</param>
public sealed record Repeated(ImmutableArray<Drawn> Symbol, ImmutableArray<Affine> Places) : Drawn
{
    public override Drawn Under(Affine place, double scale)
    {
        // The symbol takes the scale, its places the turn and the rest.
        var larger = new Affine(scale, 0, 0, scale, 0, 0);
        var smaller = new Affine(1 / scale, 0, 0, 1 / scale, 0, 0);
        return new Repeated([.. Symbol.Select(d => d.Under(larger, scale))],
            [.. Places.Select(p => smaller.Then(p).Then(place))]);
    }
}
