using System.Text.Json.Serialization;

namespace Lumbeck.Core.Art.Patterns;

/// <summary>
/// An endless drawing: the same seed draws the same one for ever, and a wider window shows more of it. Which inks it is
/// drawn in is said by its paints, one for each of its slots. A pattern is added by a file of its own and its line in
/// <see cref="Papers"/>.
/// </summary>
public abstract record Pattern
{
    /// <summary>Least and greatest scale, in percent.</summary>
    public const decimal ScaleLeast = 40, ScaleMost = 400;

    /// <summary>The greatest seed.</summary>
    public const int SeedMost = 999_999;

    public int Seed { get; init; }

    /// <summary>The version of its drawing. A version draws the same for ever, so that a reprint matches.</summary>
    public int Version { get; init; } = 1;

    /// <summary>How large it is drawn, in percent.</summary>
    public decimal Scale { get; init; } = 100;

    /// <summary>How far it is turned, in degrees clockwise, from −180 to 180.</summary>
    public decimal Turn { get; init; }

    /// <summary>One plain paint for each slot, in their order.</summary>
    public required ImmutableList<Paint> Paints { get; init; }

    /// <summary>What people call it.</summary>
    [JsonIgnore]
    public abstract string Kind { get; }

    /// <summary>What each of its paints is for.</summary>
    [JsonIgnore]
    public abstract ImmutableArray<string> Slots { get; }

    /// <summary>What is given of every pattern, then what is given of this kind, then its paints.</summary>
    [JsonIgnore]
    public IReadOnlyList<Field> Fields => [SeedField, .. OwnFields, ScaleField, TurnField, .. Slots.Select(PaintField)];

    /// <summary>What is given of its own kind.</summary>
    protected virtual IReadOnlyList<Field> OwnFields => [];

    private static readonly Field<Pattern, int> SeedField =
        new("seed", "Seed", Values.Counts("41"), p => p.Seed, (p, seed) => p with { Seed = seed })
        {
            Fault = (n, _) => n is < 0 or > SeedMost ? $"{n} is no seed: from 0 to {SeedMost}" : null,
        };

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

    private static Field PaintField(string slot, int n) => new Field<Pattern, Paint>(
        string.Create(System.Globalization.CultureInfo.InvariantCulture, $"paint-{n + 1}"), slot,
            Values.PlainPaint("a paper’s lines"),
        p => p.Paints[n], (p, paint) => p with { Paints = p.Paints.SetItem(n, paint) });

    /// <summary>A setting of a pattern that is a number.</summary>
    /// <param name="key">Its word.</param>
    /// <param name="label">What people read.</param>
    /// <param name="unit">Its unit as it is written after the figure; a length in “ mm” is typed in any unit.</param>
    /// <param name="least">The least it may be.</param>
    /// <param name="most">The most.</param>
    /// <param name="of">Its value.</param>
    /// <param name="to">The same pattern with another.</param>
    protected static Field<T, decimal> Number<T>(string key, string label, string unit, decimal least, decimal most,
        Func<T, decimal> of, Func<T, decimal, T> to) where T : Pattern
    {
        var kind = unit == Millimetres ? Values.Millimetres : Values.Numbers(unit, label.ToLowerInvariant(), Typed.Show(least, unit));
        return new(key, label, kind, of, to)
        {
            Fault = (n, _) => n < least || n > most
                ? $"{Typed.Show(n, unit)} can't be drawn: from {Typed.Show(least, unit)} to {Typed.Show(most, unit)}"
                : null,
        };
    }

    private const string Millimetres = " mm";

    /// <summary>The same with another value of a field.</summary>
    /// <exception cref="Refusal">It has no such field, or the value is out of its range.</exception>
    public Pattern With(string field, FieldValue value, string path)
    {
        var given = Fields.FirstOrDefault(f => f.Key == field)
            ?? throw new Refusal(path, $"{Kind} have no such setting");
        try { return (Pattern)given.With(this, value, Unit.Millimetre); }
        catch (Refusal r) when (r.Path.Length == 0) { throw r.At(path); }
    }

    /// <summary>Whether an edit could have made it so.</summary>
    [JsonIgnore]
    public bool IsSound =>
        Version == 1 && Paints is { } p && p.Count == Slots.Length && Fields.All(f => f.IsSound(this));

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
        other is not null && EqualityContract == other.EqualityContract
            && (Seed, Version, Scale, Turn) == (other.Seed, other.Version, other.Scale, other.Turn)
                && Paints.SequenceEqual(other.Paints);

    public override int GetHashCode() =>
        Paints.Aggregate(HashCode.Combine(EqualityContract, Seed, Version, Scale, Turn), HashCode.Combine);
}
