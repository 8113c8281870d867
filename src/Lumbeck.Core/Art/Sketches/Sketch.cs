using System.Text.Json.Serialization;

namespace Lumbeck.Core.Art.Sketches;

/// <summary>
/// Art that is drawn from a seed, in paint slots: patterns, vistas, ornaments. Which inks it is drawn in is said by its
/// paints, one for each of its slots; what else is given of it, by its fields.
/// </summary>
public abstract record Sketch
{
    public Seed Seed { get; init; }

    /// <summary>The version of its drawing. A version draws the same for ever, so that a reprint matches.</summary>
    public int Version { get; init; } = 1;

    /// <summary>One plain paint for each slot, in their order.</summary>
    public required ImmutableList<Paint> Paints { get; init; }

    /// <summary>
    /// Drawn as its visible edges in lines so heavy, for colouring and for foil; filled where null.
    /// </summary>
    public Length? Outlined { get; init; }

    /// <summary>What people call it.</summary>
    [JsonIgnore]
    public abstract string Kind { get; }

    /// <summary>What each of its paints is for.</summary>
    [JsonIgnore]
    public abstract ImmutableArray<string> Slots { get; }

    /// <summary>The newest version of its drawing.</summary>
    [JsonIgnore]
    public virtual int Newest => 1;

    /// <summary>Its seed, what is given of its own kind, how it is laid, then its paints.</summary>
    [JsonIgnore]
    public IReadOnlyList<Field> Fields => [SeedField, .. OwnFields, .. LayFields, OutlinedField, .. Slots.Select(PaintField)];

    /// <summary>What is given of its own kind.</summary>
    protected virtual IReadOnlyList<Field> OwnFields => [];

    /// <summary>What is given of how it is laid, whatever its kind.</summary>
    protected virtual IReadOnlyList<Field> LayFields => [];

    private static readonly Field<Sketch, Seed> SeedField =
        new("seed", "Seed", Values.Seeds, p => p.Seed, (p, seed) => p with { Seed = seed });

    /// <summary>The lightest and the heaviest line of an outline.</summary>
    private static readonly Length Finest = Length.FromPoints(0.25m), Heaviest = Length.FromPoints(6);

    private static readonly Field<Sketch, Length?> OutlinedField =
        new("outlines", "Outlines", Values.PointsOr("filled"), s => s.Outlined, (s, weight) => s with { Outlined = weight })
        {
            Suggested = ["filled", "0.75 pt", "1.5 pt"],
            Fault = (weight, _) => weight is { } w && (w < Finest || w > Heaviest)
                ? $"outlines of {w.ShowPoints()} can't be drawn: from {Finest.ShowPoints()} to {Heaviest.ShowPoints()}, " +
                    "or filled"
                : null,
        };

    private static Field PaintField(string slot, int n) => new Field<Sketch, Paint>(
        string.Create(System.Globalization.CultureInfo.InvariantCulture, $"paint-{n + 1}"), slot,
            Values.PlainPaint("a drawing’s marks"),
        p => p.Paints[n], (p, paint) => p with { Paints = p.Paints.SetItem(n, paint) });

    /// <summary>A setting of a sketch that is a number.</summary>
    /// <param name="key">Its word.</param>
    /// <param name="label">What people read.</param>
    /// <param name="unit">Its unit as it is written after the figure; a length in “ mm” is typed in any unit.</param>
    /// <param name="least">The least it may be.</param>
    /// <param name="most">The most.</param>
    /// <param name="of">Its value.</param>
    /// <param name="to">The same sketch with another.</param>
    protected internal static Field<T, decimal> Number<T>(string key, string label, string unit, decimal least, decimal most,
        Func<T, decimal> of, Func<T, decimal, T> to) where T : Sketch
    {
        var kind = unit == Millimetres
            ? Values.Millimetres
            : Values.Numbers(unit, label.ToLowerInvariant(), Typed.Show(least, unit));
        return new(key, label, kind, of, to)
        {
            Range = (least, most, unit.Trim()),
            Fault = (n, _) => n < least || n > most
                ? $"{Typed.Show(n, unit)} can't be drawn: from {Typed.Show(least, unit)} to {Typed.Show(most, unit)}"
                : null,
        };
    }

    private const string Millimetres = " mm";

    /// <summary>The same with another value of a field.</summary>
    /// <exception cref="Refusal">It has no such field, or the value is out of its range.</exception>
    public Sketch With(string field, FieldValue value, string path)
    {
        var given = Fields.FirstOrDefault(f => f.Key == field)
            ?? throw new Refusal(path, $"{Kind} have no such setting");
        return Attempt.At(path, () => (Sketch)given.With(this, value, Unit.Millimetre));
    }

    /// <summary>Whether an edit could have made it so.</summary>
    [JsonIgnore]
    public virtual bool IsSound =>
        Version >= 1 && Version <= Newest && Paints is { } p && p.Count == Slots.Length
            && Fields.All(f => f.IsSound(this));

    public virtual bool Equals(Sketch? other) =>
        other is not null && EqualityContract == other.EqualityContract
            && (Seed, Version, Outlined) == (other.Seed, other.Version, other.Outlined) && Paints.SequenceEqual(other.Paints);

    public override int GetHashCode() =>
        Paints.Aggregate(HashCode.Combine(EqualityContract, Seed, Version), HashCode.Combine);
}
