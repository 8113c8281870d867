namespace Lumbeck.Core.Drawing.Marked;

/// <summary>Paints between paints, in the press's own numbers.</summary>
public static class Mixing
{
    /// <summary>An ink so far on the way to another.</summary>
    public static Ink Between(Ink from, Ink to, double share) => new(
        Mixed(from.C, to.C, share), Mixed(from.M, to.M, share), Mixed(from.Y, to.Y, share), Mixed(from.K, to.K, share));

    /// <summary>A paint so far on the way to what it lies on; a finishing ink as a tint of itself.</summary>
    /// <param name="paint">The paint.</param>
    /// <param name="under">What it lies on; a gradient counts as its middle stop; null for white.</param>
    /// <param name="share">From 0 to 1.</param>
    /// <param name="swatches">The job's.</param>
    public static Paint Toward(Paint paint, Paint? under, double share, IReadOnlyList<Swatch> swatches) => paint switch
    {
        FinishPaint f => f with { Tint = (int)(f.Tint * (1 - share)) },
        _ => new InkPaint(Between(paint.Resolve(swatches), Under(under, swatches), share)),
    };

    private static Ink Under(Paint? under, IReadOnlyList<Swatch> swatches) => under switch
    {
        null or FinishPaint => Ink.White,
        GradientPaint g => g.Stops[g.Stops.Count / 2].Paint.Resolve(swatches),
        var plain => plain.Resolve(swatches),
    };

    private static int Mixed(int from, int to, double share) => (int)Math.Round(from + ((to - from) * share));
}
