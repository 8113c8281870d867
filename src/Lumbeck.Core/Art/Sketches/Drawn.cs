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

/// <summary>A shape of a drawing that is filled in one of its paint slots.</summary>
/// <param name="Shape">Its outline, by the non-zero rule.</param>
/// <param name="Slot">Its paint's place among the paints.</param>
public sealed record Area(Outline Shape, int Slot = 0) : Drawn
{
    /// <summary>Its paint goes so far on the way to another slot's.</summary>
    public (int Slot, double Share) Toward { get; init; }

    public override Drawn Under(Affine place, double scale) => this with { Shape = Shape.Under(place) };
}

/// <summary>A line of a drawing, in one of its paint slots.</summary>
/// <param name="Shape">The line.</param>
/// <param name="Width">In points.</param>
/// <param name="Slot">Its paint's place among the paints.</param>
public sealed record Line(Outline Shape, double Width, int Slot = 0) : Drawn
{
    /// <summary>No line is drawn finer, however small the drawing is, in points.</summary>
    public const double Least = 0.3;

    /// <summary>Whether its ends are round; its corners always are.</summary>
    public bool Round { get; init; }

    /// <summary>Lengths of strokes and gaps in turn, in points; none for a whole line.</summary>
    public ImmutableArray<double> Dash { get; init; } = [];

    /// <summary>Its paint goes so far on the way to another slot's.</summary>
    public (int Slot, double Share) Toward { get; init; }

    public override Drawn Under(Affine place, double scale) => this with
    {
        Shape = Shape.Under(place),
        Width = Math.Max(Least, Width * scale),
        Dash = [.. Dash.Select(d => d * scale)],
    };
}

/// <summary>A paint slot, so far on the way to another.</summary>
public readonly record struct Tone(int Slot, int Toward = 0, double Share = 0)
{
    /// <summary>A third slot that all of it goes toward: light that lies over it.</summary>
    public (int Slot, double Share) Lit { get; init; }

    public static implicit operator Tone(int slot) => new(slot);
}

/// <summary>A shape that runs from one tone to another.</summary>
/// <param name="Shape">Its outline.</param>
/// <param name="From">The tone where the run begins.</param>
/// <param name="To">The tone where it ends.</param>
/// <param name="X1">Where it begins; of a round run, its middle.</param>
/// <param name="Y1">From the head.</param>
/// <param name="X2">Where it ends; of a round run, its rim.</param>
/// <param name="Y2">From the head.</param>
/// <param name="Round">Outward from a middle.</param>
public sealed record Graded(Outline Shape, Tone From, Tone To, double X1, double Y1, double X2, double Y2,
    bool Round = false)
    : Drawn
{
    public override Drawn Under(Affine place, double scale)
    {
        var ((x1, y1), (x2, y2)) = (place.At(X1, Y1), place.At(X2, Y2));
        return this with { Shape = Shape.Under(place), X1 = x1, Y1 = y1, X2 = x2, Y2 = y2 };
    }
}

/// <summary>A drawing from elsewhere in several places, each time about the middle of a square.</summary>
/// <param name="Side">The square's side.</param>
/// <param name="Places">From the square's middle to the whole, without a stretch.</param>
public sealed record Motifs(double Side, ImmutableArray<Affine> Places) : Drawn
{
    public override Drawn Under(Affine place, double scale)
    {
        // The square takes the scale, its places the turn and the rest.
        var smaller = new Affine(1 / scale, 0, 0, 1 / scale, 0, 0);
        return new Motifs(Side * scale, [.. Places.Select(p => smaller.Then(p).Then(place))]);
    }
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
