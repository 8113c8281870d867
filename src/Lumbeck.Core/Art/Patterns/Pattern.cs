using System.Text.Json.Serialization;

namespace Lumbeck.Core.Art.Patterns;

/// <summary>
/// An endless drawing: the same seed draws the same one for ever, and a wider window shows more of it. Which inks it is
/// drawn in is said by its paints,
/// one for each of its slots. A pattern is added by a file of its own and its word here.
/// </summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "is")]
[JsonDerivedType(typeof(ContourLines), "contour-lines")]
public abstract record Pattern
{
    /// <summary>Every kind, as it is when it is first laid.</summary>
    public static ImmutableArray<Pattern> Kinds { get; } = [new ContourLines { Seed = 1,
        Paints = [new InkPaint(Ink.Black)] }];

    public int Seed { get; init; }

    /// <summary>The version of its drawing. A version draws the same for ever, so that a reprint matches.</summary>
    public int Version { get; init; } = 1;

    /// <summary>One plain paint for each slot, in their order.</summary>
    public required ImmutableList<Paint> Paints { get; init; }

    /// <summary>What people call it.</summary>
    [JsonIgnore]
    public abstract string Kind { get; }

    /// <summary>What each of its paints is for.</summary>
    [JsonIgnore]
    public abstract ImmutableArray<string> Slots { get; }

    /// <summary>Whether an edit could have made it so.</summary>
    [JsonIgnore]
    public virtual bool IsSound =>
        Version == 1 && Paints is { } p && p.Count == Slots.Length && p.All(x => x is not (null or GradientPaint));

    /// <summary>Draws what lies in a window.</summary>
    /// <param name="window">In millimetres from its origin.</param>
    /// <returns>
    /// In millimetres, widths in points; what is drawn inside a window does not depend on how much more is asked for.
    /// </returns>
    public abstract IEnumerable<Drawn> Draw(Bounds window);

    public virtual bool Equals(Pattern? other) =>
        other is not null && EqualityContract == other.EqualityContract
            && (Seed, Version) == (other.Seed, other.Version) && Paints.SequenceEqual(other.Paints);

    public override int GetHashCode() =>
        Paints.Aggregate(HashCode.Combine(EqualityContract, Seed, Version), HashCode.Combine);
}
