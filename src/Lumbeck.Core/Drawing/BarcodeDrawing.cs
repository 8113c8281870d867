using Lumbeck.Core.Barcodes;
using Lumbeck.Core.Jobs;
using Lumbeck.Core.Type;

namespace Lumbeck.Core.Drawing;

/// <summary>
/// The barcode as drawn: a white plate that covers the quiet zones, the hyphenated ISBN line, bars in 100 K, digits below.
/// </summary>
public static class BarcodeDrawing
{
    /// <summary>A plain face with wide, open figures, as scanners' own digits have.</summary>
    public static readonly FaceId Digits = new("b612-mono", 400, false);

    /// <summary>Room for the ISBN line above the bars, at 100 %.</summary>
    private static readonly Length Above = Length.FromMillimetres(3.9m);

    /// <summary>The plate at a magnification in percent.</summary>
    public static Size PlateSize(decimal percent) =>
        new(percent / 100m * Ean13.Symbol.Width, percent / 100m * (Ean13.Symbol.Height + Above));

    /// <summary>Marks in points from the plate's corner; the plate alone where there is no number.</summary>
    public static IEnumerable<Mark> Draw(string? digits, decimal percent, Length barReduction, IType type)
    {
        var plate = PlateSize(percent);
        yield return new FillMark(Outline.Rectangle(0, 0, plate.Width.Points, plate.Height.Points), Ink.White);
        if (digits is not { Length: 13 }) yield break;

        var k = (double)percent / 100;
        var module = Ean13.Module.Points * k;
        var left = Ean13.QuietLeft * module;
        var top = Above.Points * k;
        var bars = new Pen();
        foreach (var (start, width, guard) in Ean13.Bars(digits))
        {
            var x = left + (start * module) + (barReduction.Points / 2);
            var w = (width * module) - barReduction.Points;
            var h = (Ean13.BarHeight.Points + (guard ? Ean13.GuardBeyond.Points : 0)) * k;
            bars.Move(x, top); bars.Line(x + w, top); bars.Line(x + w, top + h); bars.Line(x, top + h); bars.Close();
        }
        yield return new FillMark(bars.Done(), Ink.Black);

        var baseline = top + ((Ean13.BarHeight.Points + Length.FromMillimetres(2.75m).Points) * k);
        var size = 7.4 * k;
        yield return Line(digits[..1], size, 1.5 * module, 7 * module, baseline, type);
        yield return Line(digits[1..7], size, left + (4 * module), 38 * module, baseline, type);
        yield return Line(digits[7..], size, left + (52 * module), 38 * module, baseline, type);
        yield return Line("ISBN " + Isbn.Hyphenate(digits), 6.9 * k, left, 95 * module, Length.FromMillimetres(2.9m).Points * k, type);
    }

    /// <summary>A short line spread evenly over a width: single characters sit in the middle of their share.</summary>
    private static GlyphMark Line(string text, double size, double x, double width, double baseline, IType type)
    {
        var scale = size / type.Metrics(Digits).UnitsPerEm;
        var run = type.Shape(Digits, text, ligatures: false);
        var share = width / run.Glyphs.Length;
        var glyphs = run.Glyphs.Select((g, i) => new PlacedGlyph(g.Id, (i * share) + ((share - (g.Advance * scale)) / 2), 0, text.Substring(g.Cluster, 1)));
        return new GlyphMark(Digits, size, x, baseline, [.. glyphs], text, Ink.Black, Overprint: false);
    }

    /// <summary>The number an item draws: its own, or the ticket's.</summary>
    public static string? Number(BarcodeItem item, Ticket ticket) => item.Number ?? ticket.Isbn?.Digits;
}
