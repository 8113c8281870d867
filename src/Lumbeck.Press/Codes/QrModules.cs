using ZXing.QrCode.Internal;

namespace Lumbeck.Press.Codes;

/// <summary>The squares of a QR code (ISO/IEC 18004), in UTF-8.</summary>
public static class QrModules
{
    /// <summary>Dark as true, row by row, without the quiet zone; null where no version holds so much.</summary>
    public static bool[,]? Of(string text, CodeLevel level)
    {
        if (text.Length == 0) return null;
        try
        {
            var matrix = Encoder.encode(text,
                level switch
                {
                    CodeLevel.L => ErrorCorrectionLevel.L,
                    CodeLevel.Q => ErrorCorrectionLevel.Q,
                    CodeLevel.H => ErrorCorrectionLevel.H,
                    _ => ErrorCorrectionLevel.M,
                },
                new Dictionary<ZXing.EncodeHintType, object> { [ZXing.EncodeHintType.CHARACTER_SET] = "UTF-8" })
                .Matrix;
            var squares = new bool[matrix.Height, matrix.Width];
            for (var y = 0; y < matrix.Height; y++)
                for (var x = 0; x < matrix.Width; x++) squares[y, x] = matrix[x, y] == 1;
            return squares;
        }
        catch (ZXing.WriterException) { return null; }
    }
}
