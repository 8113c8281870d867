namespace Lumbeck.Core.Drawing;

/// <summary>
/// The barcode as drawn (docs/press-files.md, Barcodes): a white plate that covers the quiet zones, the hyphenated ISBN
/// line, bars in 100 K, digits below;
/// beside it the price add-on, its digits above.
/// </summary>
public static class BarcodeDrawing
{
    /// <summary>A plain face with wide, open figures, as scanners' own digits have.</summary>
    public static readonly FaceId Digits = new("b612-mono", 400, false);

    /// <summary>Room for the line above the bars, and for the digits under them, at 100 %.</summary>

    /// <summary>Marks in points from the plate's corner; the plate alone where there is no number.</summary>
    public static IEnumerable<Mark> Draw(BarcodeItem code, Ticket ticket, IType type)
    {
        var plate = code.PlateSize;
        if (code.Plate)
            yield return new FillMark(Outline.Rectangle(0, 0, plate.Width.Points, plate.Height.Points), Ink.White);
        if (Number(code, ticket) is not { } number) yield break;

        var upc = number.Length == 12;
        var thirteen = upc ? "0" + number : number;
        var k = (double)code.Percent / 100;
        var module = Ean13.Module.Points * k;
        var (left, top) = (Ean13.QuietLeft * module, code.Head.Points * k);
        var (high, beyond) = (code.BarHeight.Points, Ean13.GuardBeyond.Points * k);
        var narrower = ticket.House.BarcodeBarReduction.Points;
        var bars = new Pen();
        void bar(double x, double y, int modules, double height)
        {
            var w = (modules * module) - narrower;
            x += narrower / 2;
            bars.Move(x, y); bars.Line(x + w, y); bars.Line(x + w, y + height); bars.Line(x, y + height); bars.Close();
        }
        foreach (var (start, width) in Ean13.Bars(Ean13.Pattern(thirteen)))
            bar(left + (start * module), top, width, high + (Ean13.IsGuard(start, upc) ? beyond : 0));
        var five = AddOn(code, ticket);
        var beside = left + ((Ean13.Modules + Ean5.Gap) * module);
        var drop = Length.FromMillimetres(3.1m).Points * k;
        if (five is not null)
            foreach (var (start, width) in Ean13.Bars(Ean5.Pattern(five)))
                bar(beside + (start * module), top + drop, width, high + beyond - drop);
        yield return new FillMark(bars.Done(), Ink.Black);

        var baseline = top + high + (Length.FromMillimetres(2.75m).Points * k);
        var size = 7.4 * k;
        if (upc)
        {
            yield return Line(number[..1], size * 0.8, 1.5 * module, 7 * module, baseline, type);
            yield return Line(number[1..6], size, left + (11 * module), 33 * module, baseline, type);
            yield return Line(number[6..11], size, left + (51 * module), 33 * module, baseline, type);
            yield return Line(number[11..], size * 0.8, left + (96 * module), 6 * module, baseline, type);
        }
        else
        {
            yield return Line(number[..1], size, 1.5 * module, 7 * module, baseline, type);
            yield return Line(number[1..7], size, left + (4 * module), 38 * module, baseline, type);
            yield return Line(number[7..], size, left + (52 * module), 38 * module, baseline, type);
        }
        if (five is not null)
            yield return Line(five, size, beside + (4 * module), 39 * module, top + drop - (0.6 * k), type);
        if (code.For == BarcodeFor.Book && !upc)
            yield return Line("ISBN " + Isbn.Hyphenate(number), 6.9 * k, left, 95 * module,
                Length.FromMillimetres(2.9m).Points * k, type);
    }

    /// <summary>A short line spread evenly over a width: single characters sit in the middle of their share.</summary>
    private static GlyphMark Line(string text, double size, double x, double width, double baseline, IType type)
    {
        var scale = size / type.Metrics(Digits).UnitsPerEm;
        var run = type.Shape(Digits, text, ligatures: false);
        var share = width / run.Glyphs.Length;
        var glyphs = run.Glyphs.Select((g, i) =>
            new PlacedGlyph(g.Id, (i * share) + ((share - (g.Advance * scale)) / 2), 0, text.Substring(g.Cluster, 1)));
        return new GlyphMark(Digits, size, x, baseline, [.. glyphs], text, Ink.Black, Overprint: false);
    }

    /// <summary>The number an item draws: its own, or the ticket's.</summary>
    public static string? Number(BarcodeItem item, Ticket ticket) => item.Number ?? ticket.Isbn?.Digits;

    /// <summary>
    /// The five digits it draws beside that; null where it draws none, or where the ticket's price makes none.
    /// </summary>
    public static string? AddOn(BarcodeItem item, Ticket ticket) =>
        item.AddOn is "" ? ticket.Price is { } p ? Ean5.Of(p) : null : item.AddOn;

    /// <summary>What a reader makes of it: thirteen digits, and five more where they are drawn.</summary>
    public static string? Reads(BarcodeItem item, Ticket ticket) =>
        Number(item, ticket) is { } n ? (n.Length == 12 ? "0" + n : n) + AddOn(item, ticket) : null;
}
