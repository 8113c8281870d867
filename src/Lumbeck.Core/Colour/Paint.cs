using System.Text.Json.Serialization;

namespace Lumbeck.Core.Colour;

/// <summary>What a shape is painted with.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "is")]
[JsonDerivedType(typeof(InkPaint), "ink")]
[JsonDerivedType(typeof(SwatchPaint), "swatch")]
[JsonDerivedType(typeof(FinishPaint), "finish")]
[JsonDerivedType(typeof(GradientPaint), "gradient")]
public abstract record Paint;

/// <summary>A mix given in numbers, which leave in exactly those numbers.</summary>
public sealed record InkPaint(Ink Ink) : Paint;

/// <summary>A swatch of the job, whole or as a tint in hundredths of a percent (10,000 = solid).</summary>
public sealed record SwatchPaint(string Swatch, int Tint = 10_000) : Paint;

/// <summary>
/// A finishing ink that the house offers (foil, varnish, emboss, white), on a plate of its own over all others; its
/// tint in hundredths of a percent.
/// </summary>
public sealed record FinishPaint(string Finish, int Tint = 10_000) : Paint;

/// <summary>How a gradient runs: along a line, or outward from the middle to the corners.</summary>
public enum Run { Straight, Round }

/// <summary>
/// One colour of a gradient, an ink or a swatch, and where it stands, in hundredths of a percent of the way.
/// </summary>
public sealed record Stop(Paint Paint, int At);

/// <summary>A run through several inks, mixed in the press's own numbers.</summary>
/// <param name="Run">How it runs.</param>
/// <param name="Angle">Of a straight run: degrees clockwise from left to right; 90 runs down.</param>
/// <param name="Stops">Two or more, in order.</param>
public sealed record GradientPaint(Run Run, decimal Angle, ImmutableList<Stop> Stops) : Paint
{
    public const int MostStops = 12;

    public bool Equals(GradientPaint? other) =>
        other is not null && Run == other.Run && Angle == other.Angle && Stops.SequenceEqual(other.Stops);

    public override int GetHashCode() => Stops.Aggregate(HashCode.Combine(Run, Angle), HashCode.Combine);
}

/// <summary>A named mix of the job; changing it changes every use.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Ink">The mix as it prints.</param>
public sealed record Swatch(string Id, string Name, Ink Ink)
{
    /// <summary>
    /// The colour that was asked for where that was not a mix, as typed: <c>#2a6350</c>, <c>lab 38 -28 12</c>; empty
    /// for a mix.
    /// </summary>
    public string Asked { get; init; } = "";
}

/// <summary>Finishing inks: what stands for them on screen.</summary>
public static class Finishes
{
    /// <summary>A likeness in process inks, for screens alone; in print each has a plate of its own.</summary>
    public static Ink Likeness(string finish) => finish.ToLowerInvariant() switch
    {
        "foil" => Ink.Percent(14, 30, 72, 6),
        "varnish" => Ink.Percent(6, 2, 0, 8),
        "emboss" => Ink.Percent(0, 0, 4, 14),
        "white" => Ink.White,
        _ => Ink.Percent(0, 0, 0, 30),
    };

    /// <summary>How much of the likeness shows: varnish and blind embossing let through what lies under them.</summary>
    public static double Strength(string finish) => finish.ToLowerInvariant() is "varnish" or "emboss" ? 0.45 : 1;
}
