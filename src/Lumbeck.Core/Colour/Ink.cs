namespace Lumbeck.Core.Colour;

/// <summary>Process ink in hundredths of a percent of cyan, magenta, yellow and black, each 0 to 10,000.</summary>
public readonly record struct Ink(int C, int M, int Y, int K)
{
    public static Ink Black => new(0, 0, 0, 10_000);
    /// <summary>Bare paper: no ink, and what lies beneath knocked out.</summary>
    public static Ink White => default;

    /// <summary>From percent, each 0 to 100, kept to 0.01 %.</summary>
    /// <exception cref="ArgumentOutOfRangeException">A share outside 0 to 100.</exception>
    public static Ink Percent(decimal c, decimal m, decimal y, decimal k)
    {
        foreach (var share in (ReadOnlySpan<decimal>)[c, m, y, k])
            if (share is < 0 or > 100)
                throw new ArgumentOutOfRangeException(nameof(c), share, "An ink runs from 0 to 100 %.");
        return new((int)Math.Round(c * 100), (int)Math.Round(m * 100), (int)Math.Round(y * 100),
            (int)Math.Round(k * 100));
    }

    /// <summary>Whether it needs an ink besides black.</summary>
    public bool IsColoured => C > 0 || M > 0 || Y > 0;

    /// <summary>All four inks together, in percent.</summary>
    public decimal Total => (C + M + Y + K) / 100m;

    /// <summary>A tint: every ink at this many hundredths of a percent of itself.</summary>
    public Ink Tint(int share) =>
        new((int)((long)C * share / 10_000), (int)((long)M * share / 10_000), (int)((long)Y * share / 10_000),
            (int)((long)K * share / 10_000));

    /// <summary>“82 38 56 32”, in percent.</summary>
    public override string ToString() =>
        string.Create(CultureInfo.InvariantCulture, $"{C / 100m:0.##} {M / 100m:0.##} {Y / 100m:0.##} {K / 100m:0.##}");
}
