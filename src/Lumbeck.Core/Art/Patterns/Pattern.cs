namespace Lumbeck.Core.Art.Patterns;

/// <summary>
/// An endless drawing: the same seed draws the same one for ever, and a wider window shows more of it. Which inks it is
/// drawn in is said by its paints, one for each of its slots. A pattern is added by a file of its own and its line in
/// <see cref="PatternShelf"/>.
/// </summary>
public abstract record Pattern : Sketch
{
    /// <summary>Least and greatest scale, in percent.</summary>
    public const decimal ScaleLeast = 40, ScaleMost = 400;

    /// <summary>How large it is drawn, in percent.</summary>
    public decimal Scale { get; init; } = 100;

    /// <summary>How far it is turned, in degrees clockwise, from −180 to 180.</summary>
    public decimal Turn { get; init; }

    /// <summary>How far it is moved from where it starts, in millimetres.</summary>
    public decimal MovedRight { get; init; }
    public decimal MovedDown { get; init; }

    /// <summary>The point of the sheet or shape from which its drawing is reckoned.</summary>
    public PatternStart Start { get; init; }

    /// <summary>
    /// Whether what is seen on the front is seen in a mirror beyond the spine's middle; in a shape, its own.
    /// </summary>
    public bool Mirrored { get; init; }

    /// <summary>Where it fades into what it lies on.</summary>
    public PatternFade Fade { get; init; }

    /// <summary>Where it is calm, so that words can be read there.</summary>
    public ImmutableList<CalmBox> Calm { get; init; } = [];

    protected sealed override IReadOnlyList<Field> LayFields =>
        [ScaleField, TurnField, RightField, DownField, StartField, MirrorField, FadeField];

    private static readonly Field<Pattern, decimal> ScaleField =
        new("scale", "Scale", Values.Numbers(" %", "scale", "100 %"), p => p.Scale,
            (p, scale) => p with { Scale = scale })
        {
            Fault = (s, _) => s is < ScaleLeast or > ScaleMost
                ? $"a scale of {Typed.Show(s, " %")} can't be drawn: from {ScaleLeast} to {ScaleMost} %"
                : null,
        };

    private static readonly Field<Pattern, decimal> TurnField =
        new("turn", "Turned", Values.Numbers("°", "angle", "45°"), p => p.Turn, (p, turn) => p with { Turn = turn })
        {
            Fault = (t, _) => t is < -180 or > 180 ? $"{Typed.Show(t, "°")} is no turn: from -180 to 180°" : null,
        };

    /// <summary>It can be moved so far, in millimetres.</summary>
    private const decimal MostMoved = 2000;

    private static readonly Field<Pattern, decimal> RightField = Number<Pattern>("moved-right", "Moved right", " mm",
        -MostMoved, MostMoved, p => p.MovedRight, (p, mm) => p with { MovedRight = mm });

    private static readonly Field<Pattern, decimal> DownField = Number<Pattern>("moved-down", "Moved down", " mm",
        -MostMoved, MostMoved, p => p.MovedDown, (p, mm) => p with { MovedDown = mm });

    private static readonly (string, PatternStart)[] Starts =
        [("at the fold", PatternStart.Fold), ("in the middle", PatternStart.Middle)];

    private static readonly Field<Pattern, PatternStart> StartField = OneOf("start", "Starts", Starts,
        p => p.Start, (p, start) => p with { Start = start });

    private static readonly Field<Pattern, bool> MirrorField =
        new("mirrored", "Mirrored", Values.Switch, p => p.Mirrored, (p, is_) => p with { Mirrored = is_ })
        {
            Choices = [("no", "no"), ("yes", "yes")],
        };

    private static readonly (string, PatternFade)[] Fades =
    [
        ("nowhere", PatternFade.None), ("to the left", PatternFade.Left), ("to the right", PatternFade.Right),
        ("to the head", PatternFade.Head), ("to the foot", PatternFade.Foot),
    ];

    private static readonly Field<Pattern, PatternFade> FadeField = OneOf("fade", "Fades", Fades,
        p => p.Fade, (p, fade) => p with { Fade = fade });

    private static Field<Pattern, T> OneOf<T>(string key, string label, (string Word, T Value)[] all,
        Func<Pattern, T> of, Func<Pattern, T, Pattern> to) where T : struct =>
        new(key, label, Values.OneOf(all), of, to) { Choices = [.. all.Select(a => (a.Word, a.Word))] };

    [System.Text.Json.Serialization.JsonIgnore]
    public override bool IsSound =>
        base.IsSound && Calm is { Count: <= MostCalm } && Calm.All(c => c is { IsSound: true });

    /// <summary>The most boxes it can be calm in.</summary>
    public const int MostCalm = 40;

    /// <summary>The same as it is drawn by itself: neither moved, mirrored, faded nor calmed.</summary>
    public Pattern Bare() => this with
    {
        Paints = [],
        MovedRight = 0,
        MovedDown = 0,
        Start = default,
        Mirrored = false,
        Fade = default,
        Calm = [],
    };

    /// <summary>Draws what lies in a window, scaled and turned.</summary>
    /// <param name="window">In millimetres from its origin.</param>
    /// <returns>
    /// In millimetres, widths in points; what is drawn inside a window does not depend on how much more is asked for.
    /// </returns>
    public IEnumerable<Drawn> Over(Bounds window)
    {
        if (Scale == 100 && Turn == 0) return Draw(window);
        var scale = (double)Scale / 100;
        var place = new Affine(scale, 0, 0, scale, 0, 0).Then(Affine.Rotate((double)Turn));
        return Draw(place.Inverse().Of(window)).Select(d => d.Under(place, scale));
    }

    /// <summary>The same at its own scale, and level.</summary>
    protected abstract IEnumerable<Drawn> Draw(Bounds window);

    public virtual bool Equals(Pattern? other) =>
        base.Equals(other)
            && (Scale, Turn, MovedRight, MovedDown, Start, Mirrored, Fade)
                == (other!.Scale, other.Turn, other.MovedRight, other.MovedDown, other.Start, other.Mirrored,
                    other.Fade)
            && Calm.SequenceEqual(other.Calm);

    public override int GetHashCode() => HashCode.Combine(base.GetHashCode(), Scale, Turn, MovedRight, MovedDown, Fade);
}

/// <summary>Where a paper starts: at the front's fold and head, or in the middle of what it fills.</summary>
public enum PatternStart { Fold, Middle }

/// <summary>The edge that a paper fades toward.</summary>
public enum PatternFade { None, Left, Right, Head, Foot }

/// <summary>
/// A box in which a paper is calm, in millimetres from the front's fold and head or its shape's corner.
/// </summary>
/// <param name="X">Its left.</param>
/// <param name="Y">Its top.</param>
/// <param name="Wide">Its width.</param>
/// <param name="High">Its height.</param>
/// <param name="Share">How far its paints go toward what they lie on, in percent.</param>
public sealed record CalmBox(decimal X, decimal Y, decimal Wide, decimal High, int Share)
{
    /// <summary>A paper is calmed over so far about a box, in millimetres.</summary>
    public const double Edge = 8;

    [System.Text.Json.Serialization.JsonIgnore]
    public bool IsSound => Share is >= 0 and <= 100 && Wide is > 0 and <= 5000 && High is > 0 and <= 5000
        && Math.Abs(X) <= 5000 && Math.Abs(Y) <= 5000;
}
