using ZXing;
using ZXing.Common;

namespace Lumbeck.Press.Codes;

/// <summary>Reads barcodes and QR codes off plates, as a reader's red light sees them.</summary>
public static class CodeReading
{
    private static readonly BarcodeFormat[] Formats = [BarcodeFormat.EAN_13, BarcodeFormat.UPC_A,
        BarcodeFormat.QR_CODE];

    /// <summary>
    /// What is read in a part of a sheet: thirteen digits, with five more where an EAN-5 stands beside them; a QR
    /// code's text.
    /// </summary>
    public static IReadOnlyList<string> Read(PlateContext plates, Box place)
    {
        var (left, top, right, bottom) = plates.Pixels(place);
        var (wide, high) = (right - left, bottom - top);
        if (wide < 20 || high < 20) return [];
        var seen = new byte[wide * high];
        for (var y = 0; y < high; y++)
            for (var x = 0; x < wide; x++)
            {
                var inks = plates.At(left + x, top + y);
                seen[(y * wide) + x] = (byte)((255 - (inks[0] * 0.9)) * (255 - inks[3]) / 255);
            }
        return Read(seen, wide, high);
    }

    /// <param name="seen">Brightness, row by row, 255 for white.</param>
    /// <param name="wide">Pixels across.</param>
    /// <param name="high">Pixels down.</param>
    public static IReadOnlyList<string> Read(byte[] seen, int wide, int high)
    {
        var light = new PlanarYUVLuminanceSource(seen, wide, high, 0, 0, wide, high, false);
        foreach (var source in (LuminanceSource[])[light, light.rotateCounterClockwise()])
        {
            var reader = new MultiFormatReader
            {
                Hints = new Dictionary<DecodeHintType, object>
                {
                    [DecodeHintType.POSSIBLE_FORMATS] = Formats,
                    [DecodeHintType.TRY_HARDER] = true,
                },
            };
            var found = reader.decodeWithState(new BinaryBitmap(new HybridBinarizer(source)))
                ?? reader.decodeWithState(new BinaryBitmap(new GlobalHistogramBinarizer(source)));
            if (found is null) continue;
            var beside = found.ResultMetadata is { } data
                && data.TryGetValue(ResultMetadataType.UPC_EAN_EXTENSION, out var five)
                ? five?.ToString()
                : null;
            return [found.Text + beside];
        }
        return [];
    }
}
