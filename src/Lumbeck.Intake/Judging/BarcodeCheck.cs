using Lumbeck.Intake.Opening;
using ZXing;
using ZXing.Common;

namespace Lumbeck.Intake.Judging;

/// <summary>The barcode, read off the finished page as another program draws it, in red light.</summary>
internal static class BarcodeCheck
{
    private const int PerInch = 300;

    public static void Look(PageDrawings drawings, int page, PageBoxes shape, ExpectedSheet sheet, Expected expected,
        Findings found)
    {
        if (sheet.Barcode is not { } room || expected.Number is not { Length: > 0 } number) return;
        if (!PageDrawings.IsHere) { found.NotExamined("barcode: no program to draw pages is here"); return; }
        if (drawings.Inks(page, PerInch, Part(shape, room)) is not { } drawn)
        {
            found.NotExamined("barcode: the page could not be drawn");
            return;
        }
        var read = Read(drawn);
        if (read is null)
            found.Stop("barcode", "nothing read", number, "A reader held over the printed sheet reads no barcode.");
        else if (!Same(read, number))
            found.Stop("barcode", LengthText.Clip(read), number, "The barcode on the page is another book’s.");
    }

    /// <summary>Begins to draw the barcode's room.</summary>
    public static void Begin(PageDrawings drawings, int page, PageBoxes shape, ExpectedSheet sheet, Expected expected)
    {
        if (sheet.Barcode is { } room && expected.Number is { Length: > 0 })
            drawings.Begin(page, PerInch, Part(shape, room));
    }

    /// <summary>The room in pixels of the drawn page, with a little of what lies round it.</summary>
    private static (int X, int Y, int Wide, int High) Part(PageBoxes shape, Box room)
    {
        var (left, _, _, top) = shape.Bleed ?? shape.Media;
        static int px(double points) => (int)(points * PerInch / 72);
        var margin = Length.FromMillimetres(2).Points;
        return (px(left - shape.Media.L + room.X.Points - margin), px(shape.Media.T - top + room.Y.Points - margin),
            px(room.Width.Points + (2 * margin)), px(room.Height.Points + (2 * margin)));
    }

    private static bool Same(string read, string number) =>
        read == number || read == number[..Math.Min(13, number.Length)]
            || (number.StartsWith('0') && read == number[1..Math.Min(13, number.Length)]);

    private static string? Read(DrawnInks drawn)
    {
        var red = drawn.InRedLight();
        LuminanceSource lit(byte[] seen) => new PlanarYUVLuminanceSource(seen, drawn.Wide, drawn.High, 0, 0, drawn.Wide,
            drawn.High, false);
        var (dark, bright) = ((int)red.Min(), (int)red.Max());
        // As it is; then, as over a picture, at one level between its darkest and its brightest after the other.
        foreach (var share in (double[])[0, 0.12, 0.2, 0.3, 0.4, 0.5, 0.65])
        {
            var level = dark + (share * (bright - dark));
            var light = lit(share == 0 ? red : [.. red.Select(v => v > level ? (byte)255 : (byte)0)]);
            if (Decoded(light) is { } read) return read;
        }
        return null;
    }

    private static string? Decoded(LuminanceSource light)
    {
        foreach (var source in (LuminanceSource[])[light, light.rotateCounterClockwise()])
        {
            var reader = new MultiFormatReader
            {
                Hints = new Dictionary<DecodeHintType, object>
                {
                    [DecodeHintType.POSSIBLE_FORMATS] = (BarcodeFormat[])[BarcodeFormat.EAN_13, BarcodeFormat.UPC_A],
                    [DecodeHintType.TRY_HARDER] = true,
                },
            };
            if ((reader.decodeWithState(new BinaryBitmap(new HybridBinarizer(source)))
                ?? reader.decodeWithState(new BinaryBitmap(new GlobalHistogramBinarizer(source)))) is { } found)
                return found.Text;
        }
        return null;
    }
}
