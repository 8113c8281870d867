using Lumbeck.Pdf.Colours;
using Lumbeck.Pdf.Content;
using Lumbeck.Pdf.Writing;
using Lumbeck.Press.Import.Parsing;
using Lumbeck.Press.Import.Resources;

namespace Lumbeck.Press.Import.Rewriting;

/// <summary>Colours of a file as they are written: in a house's inks, no more of them than dry.</summary>
/// <param name="inks">The house's.</param>
/// <param name="light">Within a mask by lightness: only how light things are counts.</param>
/// <param name="most">Most ink in one place, of four in all.</param>
/// <param name="report">Is told what became of them.</param>
internal sealed class ImportedColours(PressInks inks, bool light, double most, ImportCounts report)
{
    private readonly Dictionary<(ColorSpace Space, string Colour), double[]> _known = [];

    /// <summary>Sets a colour.</summary>
    public void Set(ContentWriter to, ColorSpace space, double[] at, bool fill)
    {
        if (!space.IsInk() && space is not PatternColorSpace) report.Colours++;
        if (space is RgbColorSpace or LabColorSpace) report.ByLight++;
        if (space is SeparationOrDeviceN { IsSpot: true } lost) report.LostSpots.Add(lost.Names[0]);
        var numbers = Numbers(space, at);
        to.Op(numbers.Length == 1 ? fill ? Operator.FillGray : Operator.StrokeGray
            : fill ? Operator.FillCmyk : Operator.StrokeCmyk, numbers).Break();
    }

    private double[] Numbers(ColorSpace space, double[] at)
    {
        var key = (space, string.Join(' ', at));
        return _known.TryGetValue(key, out var known) ? known
            : _known[key] = space is GrayColorSpace && !light ? [1 - inks.Of(space, at).K] : InInks(space, at);
    }

    /// <summary>As figures before a pattern's name: gray where there is one ink, or where lightness counts.</summary>
    public double[] InInks(ColorSpace space, double[] at) => light ? [Lightness(space, at)]
        : inks.BlackAlone ? [1 - inks.Of(space, at).K] : Limited(inks.Of(space, at)).Numbers;

    /// <summary>Many at once, as shadings ask for them.</summary>
    public IReadOnlyList<Inks> Many(ColorSpace space, IReadOnlyList<double[]> all, bool alone) =>
        [.. inks.Many(space, all, alone).Select(Shown)];

    /// <summary>No more ink than dries: the colours give way before the black does.</summary>
    private Inks Limited(Inks i)
    {
        var over = i.C + i.M + i.Y + i.K - most;
        if (over <= 0.0005 || most <= 1) return i;
        report.TooMuchInk++;
        var share = Math.Max(0, (most - i.K) / (i.C + i.M + i.Y));
        return new(i.C * share, i.M * share, i.Y * share, i.K);
    }

    private Inks Shown(Inks i) => light ? Inks.Black(1 - Lightness(i.Numbers)) : i;

    private double Lightness(ColorSpace space, double[] at) => space switch
    {
        RgbColorSpace when at.Length > 2 => Lightness(at),
        GrayColorSpace => at.FirstOrDefault(),
        _ => Lightness(inks.Of(space, at, false).Numbers),
    };

    /// <summary>How light a colour of a device is, from 0 to 1 (ISO 32000-2, 10.4.2).</summary>
    /// <param name="device">One figure of gray, three of red, green and blue, or four of inks.</param>
    public static double Lightness(double[] device) => device switch
    {
        [var gray] => gray,
        [var r, var g, var b] => (0.3 * r) + (0.59 * g) + (0.11 * b),
        [var c, var m, var y, var k] => 1 - Math.Min(1, (0.3 * c) + (0.59 * m) + (0.11 * y) + k),
        _ => 0,
    };

    /// <summary>A black of several inks: nearly all of the black, and some of each of the others.</summary>
    public bool IsRichBlack(double[] at) => !light && at is [var c, var m, var y, >= 0.85]
        && c > 0.05 && m > 0.05 && y > 0.05 && Math.Max(c, Math.Max(m, y)) - Math.Min(c, Math.Min(m, y)) < 0.4;
}
