namespace Lumbeck.Core.Measures;

/// <summary>
/// A physical length. Exact for inches, mils, micrometres, millimetres and points: stored in
/// 1/1,143,000,000 inch, which makes all of them whole (docs/geometry.md, Quantities). Range about ±8 × 10⁹ inches.
/// </summary>
public readonly record struct Length : IComparable<Length>
{
    /// <summary>Base units in one inch.</summary>
    public const long PerInch = 1_143_000_000;
    /// <summary>Base units in one millimetre.</summary>
    public const long PerMillimetre = 45_000_000;
    /// <summary>Base units in one point (1/72 inch).</summary>
    public const long PerPoint = 15_875_000;

    private Length(long units) => Units = units;

    /// <summary>The length in base units of 1/1,143,000,000 inch.</summary>
    public long Units { get; }

    public static Length Zero => default;

    public static Length FromUnits(long units) => new(units);
    /// <summary>Nearest base unit, halves away from zero; so for every other <c>From</c>.</summary>
    public static Length FromInches(decimal inches) => Whole(inches * PerInch);
    public static Length FromMillimetres(decimal millimetres) => Whole(millimetres * PerMillimetre);
    public static Length FromPoints(decimal points) => Whole(points * PerPoint);
    /// <summary>From a drawing's double; for results of drawing only, never for sums that people see.</summary>
    public static Length FromDrawing(double points) => new((long)Math.Round(points * PerPoint));

    public decimal Inches => (decimal)Units / PerInch;
    public decimal Millimetres => (decimal)Units / PerMillimetre;
    /// <summary>Points as a double, for drawing.</summary>
    public double Points => (double)Units / PerPoint;

    public bool IsZero => Units == 0;

    public static Length operator +(Length a, Length b) => new(checked(a.Units + b.Units));
    public static Length operator -(Length a, Length b) => new(checked(a.Units - b.Units));
    public static Length operator -(Length a) => new(-a.Units);
    public static Length operator *(int times, Length a) => new(checked(times * a.Units));
    /// <summary>A share of a length, to the nearest base unit.</summary>
    public static Length operator *(decimal share, Length a) => Whole(share * a.Units);
    public static bool operator <(Length a, Length b) => a.Units < b.Units;
    public static bool operator >(Length a, Length b) => a.Units > b.Units;
    public static bool operator <=(Length a, Length b) => a.Units <= b.Units;
    public static bool operator >=(Length a, Length b) => a.Units >= b.Units;

    public static Length Min(Length a, Length b) => a < b ? a : b;
    public static Length Max(Length a, Length b) => a > b ? a : b;
    public static Length Abs(Length a) => a.Units < 0 ? -a : a;

    public int CompareTo(Length other) => Units.CompareTo(other.Units);

    /// <summary>
    /// In millimetres to six places, for debugging; what people see comes from <see cref="LengthText"/>.
    /// </summary>
    public override string ToString() =>
        $"{Math.Round(Millimetres, 6).ToString("0.######", System.Globalization.CultureInfo.InvariantCulture)} mm";

    private static Length Whole(decimal units) => new((long)Math.Round(units, MidpointRounding.AwayFromZero));
}

/// <summary>The unit in which a job's lengths are shown and bare numbers are read.</summary>
public enum Unit { Millimetre, Inch }
