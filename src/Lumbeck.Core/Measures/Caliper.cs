using System.Numerics;

namespace Lumbeck.Core.Measures;

/// <summary>How a house rounds a spine (docs/geometry.md, From pages to spine).</summary>
public enum Rounding { None, Nearest, Up }

/// <summary>
/// A thickness of paper as an exact rational number of micrometres: 376 pages per inch has no end as a decimal.
/// Multiply by leaves, add what belongs to the block, and make one <see cref="Length"/> at the end.
/// </summary>
public readonly record struct Caliper : IComparable<Caliper>
{
    private readonly BigInteger _top;
    private readonly BigInteger _bottomLessOne;

    private Caliper(BigInteger top, BigInteger bottom)
    {
        var shared = BigInteger.GreatestCommonDivisor(top, bottom);
        if (bottom.Sign < 0) shared = -shared;
        _top = top / shared;
        _bottomLessOne = (bottom / shared) - 1;
    }

    private BigInteger Bottom => _bottomLessOne + 1;

    public static Caliper Zero => default;
    public static Caliper FromMicrometres(decimal micrometres) { var (t, b) = Ratio(micrometres); return new(t, b); }
    public static Caliper FromMillimetres(decimal millimetres)
    {
        var (t, b) = Ratio(millimetres);
        return new(t * 1000, b);
    }
    public static Caliper FromLength(Length length) => new(length.Units, 45_000);
    /// <summary>A leaf is two pages: t = 2 × the thickness of a page.</summary>
    public static Caliper FromPageThickness(Caliper page) => page * 2;
    /// <summary>t = 50,800 / PPI micrometres.</summary>
    /// <exception cref="ArgumentOutOfRangeException">Not above zero.</exception>
    public static Caliper FromPagesPerInch(decimal pagesPerInch)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(pagesPerInch);
        var (t, b) = Ratio(pagesPerInch);
        return new(50_800 * b, t);
    }
    /// <summary>t in µm = grammage in g/m² × bulk in cm³/g.</summary>
    public static Caliper FromBulk(decimal grammage, decimal bulk)
    {
        var (gt, gb) = Ratio(grammage);
        var (bt, bb) = Ratio(bulk);
        return new(gt * bt, gb * bb);
    }

    public bool IsPositive => _top.Sign > 0;

    /// <summary>The exact value as “top/bottom” in micrometres.</summary>
    public string Fraction => $"{_top}/{Bottom}";

    /// <summary>Reads what <see cref="Fraction"/> writes; up to 60 digits a side.</summary>
    public static bool TryParseFraction(string? text, out Caliper caliper)
    {
        caliper = default;
        if (text is not { Length: <= 121 } || text.Split('/') is not [var top, var bottom]) return false;
        if (!BigInteger.TryParse(top, System.Globalization.CultureInfo.InvariantCulture, out var t)
            || !BigInteger.TryParse(bottom, System.Globalization.CultureInfo.InvariantCulture, out var b)
            || b.Sign <= 0)
            return false;
        caliper = new(t, b);
        return true;
    }

    /// <summary>Micrometres to about 20 digits, for show.</summary>
    public decimal Micrometres
    {
        get
        {
            var scaled = _top * BigInteger.Pow(10, 12) / Bottom;
            return (decimal)scaled / 1_000_000_000_000m;
        }
    }

    public decimal Millimetres => Micrometres / 1000m;

    public static Caliper operator *(Caliper leaf, int leaves) => new(leaf._top * leaves, leaf.Bottom);
    /// <summary>By an exact decimal factor, such as a round back's.</summary>
    public static Caliper operator *(Caliper thickness, decimal factor)
    {
        var (t, b) = Ratio(factor);
        return new(thickness._top * t, thickness.Bottom * b);
    }
    public static Caliper operator +(Caliper a, Caliper b) =>
        new((a._top * b.Bottom) + (b._top * a.Bottom), a.Bottom * b.Bottom);
    public static bool operator <(Caliper a, Caliper b) => a.CompareTo(b) < 0;
    public static bool operator >(Caliper a, Caliper b) => a.CompareTo(b) > 0;
    public static bool operator <=(Caliper a, Caliper b) => a.CompareTo(b) <= 0;
    public static bool operator >=(Caliper a, Caliper b) => a.CompareTo(b) >= 0;

    public int CompareTo(Caliper other) => (_top * other.Bottom).CompareTo(other._top * Bottom);

    /// <summary>The nearest <see cref="Length"/> (1/45,000 µm), ties up.</summary>
    public Length ToLength() => Length.FromUnits((long)Divide(_top * 45_000, Bottom, Rounding.Nearest));

    /// <summary>
    /// Rounded once to a whole number of steps: nearest (ties up) or up; a value already on a step stays.
    /// </summary>
    /// <param name="step">Above zero, unless nothing is rounded.</param>
    public Length ToLength(Rounding how, Length step)
    {
        if (how == Rounding.None) return ToLength();
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(step.Units);
        var steps = Divide(_top * 45_000, Bottom * step.Units, how);
        return Length.FromUnits((long)(steps * step.Units));
    }

    private static BigInteger Divide(BigInteger top, BigInteger bottom, Rounding how)
    {
        // Ties go up, towards the thicker spine: floor(x + 1/2), or the ceiling.
        if (how == Rounding.Nearest) (top, bottom) = ((2 * top) + bottom, 2 * bottom);
        var whole = BigInteger.DivRem(top, bottom, out var rest);
        if (rest.Sign < 0) { whole -= 1; rest += bottom; }
        return how == Rounding.Up && rest.Sign > 0 ? whole + 1 : whole;
    }

    private static (BigInteger Top, BigInteger Bottom) Ratio(decimal value)
    {
        Span<int> bits = stackalloc int[4];
        decimal.GetBits(value, bits);
        var top = ((BigInteger)(uint)bits[2] << 64) | ((BigInteger)(uint)bits[1] << 32) | (uint)bits[0];
        return (bits[3] < 0 ? -top : top, BigInteger.Pow(10, (bits[3] >> 16) & 0xff));
    }

    public override string ToString() =>
        $"{Math.Round(Micrometres, 3).ToString("0.###", System.Globalization.CultureInfo.InvariantCulture)} µm";
}
