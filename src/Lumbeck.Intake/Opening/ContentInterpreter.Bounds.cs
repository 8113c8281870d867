using UglyToad.PdfPig.Core;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Intake.Opening;

// Where what is painted lies.
internal sealed partial class ContentInterpreter
{
    private static (double L, double B, double R, double T)? Box(List<(char, double X, double Y)> path,
        GraphicsState state)
    {
        if (path.Count == 0) return null;
        var (l, b, r, t) = (double.MaxValue, double.MaxValue, double.MinValue, double.MinValue);
        foreach (var (_, x, y) in path)
        {
            var p = state.Ctm.Transform(new PdfPoint(x, y));
            (l, b, r, t) = (Math.Min(l, p.X), Math.Min(b, p.Y), Math.Max(r, p.X), Math.Max(t, p.Y));
        }
        return (l, b, r, t);
    }

    private static (double L, double B, double R, double T)? Both((double L, double B, double R, double T)? a,
        (double L, double B, double R, double T)? b) =>
        a is not { } x
            ? b
            : b is not { } y
            ? a
            : (Math.Max(x.L, y.L), Math.Max(x.B, y.B), Math.Min(x.R, y.R), Math.Min(x.T, y.T));

    /// <summary>Whether any of what is painted is seen outside the bleed.</summary>
    private bool Outside((double L, double B, double R, double T) box, GraphicsState state)
    {
        if (state.Clip is { } c)
            box = (Math.Max(box.L, c.L), Math.Max(box.B, c.B), Math.Min(box.R, c.R), Math.Min(box.T, c.T));
        return box.R >= box.L && box.T >= box.B
            && (box.L < bleed.L - 0.5 || box.B < bleed.B - 0.5 || box.R > bleed.R + 0.5 || box.T > bleed.T + 0.5);
    }

    private bool Beyond((double L, double B, double R, double T) box) =>
        box.R <= bleed.L + 0.01 || box.L >= bleed.R - 0.01 || box.T <= bleed.B + 0.01 || box.B >= bleed.T - 0.01;
}
