using System.Text;
using Lumbeck.Pdf.Reading;

namespace Lumbeck.Pdf.Content;

/// <summary>An image that stands within content (ISO 32000-2, 8.9.7), its short names read as the long ones.</summary>
internal static class InlineImage
{
    /// <param name="lexer">After its <c>BI</c>; is left after its samples.</param>
    /// <param name="file">Where what it names is.</param>
    /// <param name="components">How many components a sample of it has; nothing where that is not asked for.</param>
    public static PdfStream Read(ContentLexer lexer, PdfFile file, Func<PdfDict, int?> components)
    {
        var d = new PdfDict();
        while (lexer.Next() is { Kind: TokenKind.Name } key) d.Set(Long(lexer.Name(key)), Value(lexer, lexer.Next()));
        int of(string key) => (int)(file.Number(d, key) ?? 0);
        int? count = null;
        if (file.Get(d, "Filter") is null)
        {
            var bits = file.Get(d, "ImageMask") is PdfBoolean { Value: true } ? 1
                : Math.Max(1, of("BitsPerComponent")) * components(d);
            if (bits is { } each) count = (int)Math.Min((((long)of("Width") * each) + 7) / 8 * of("Height"), 1 << 28);
        }
        return new(d, lexer.Samples(count).ToArray());
    }

    private static PdfObject Value(ContentLexer lexer, ContentToken token) => token.Kind switch
    {
        TokenKind.Number => new PdfNumber(token.Number, 8),
        TokenKind.Name => Short(lexer.Name(token)),
        TokenKind.Array => new PdfArray(Parts(lexer.Raw(token)[1..^1].ToArray())),
        TokenKind.Dictionary => Settings(lexer.Raw(token)[2..^2].ToArray()),
        TokenKind.String => Text(lexer.Raw(token)),
        _ => lexer.Raw(token).SequenceEqual("true"u8),
    };

    private static PdfString Text(ReadOnlySpan<byte> raw) => raw is [(byte)'<', .., (byte)'>']
        ? PdfString.Hex(FromHex(raw[1..^1])) : new(raw[1..^1].ToArray(), hex: false);

    private static byte[] FromHex(ReadOnlySpan<byte> raw)
    {
        var digits = string.Concat(Encoding.Latin1.GetString(raw).Where(char.IsAsciiHexDigit));
        return Convert.FromHexString(digits.Length % 2 == 0 ? digits : digits + "0");
    }

    private static List<PdfObject> Parts(byte[] raw)
    {
        var (inner, all) = (new ContentLexer(raw), new List<PdfObject>());
        for (var t = inner.Next(); t.Kind != TokenKind.End; t = inner.Next())
            if (t.Kind is TokenKind.Number or TokenKind.Name or TokenKind.String or TokenKind.Dictionary)
                all.Add(Value(inner, t));
        return all;
    }

    private static PdfDict Settings(byte[] raw)
    {
        var (inner, all) = (new ContentLexer(raw), new PdfDict());
        while (inner.Next() is { Kind: TokenKind.Name } key)
        {
            var value = inner.Next();
            all.Set(inner.Name(key), value.Kind == TokenKind.Number ? new PdfNumber(value.Number, 8)
                : inner.Raw(value).SequenceEqual("true"u8));
        }
        return all;
    }

    private static string Long(string key) => key switch
    {
        "W" => "Width",
        "H" => "Height",
        "CS" => "ColorSpace",
        "BPC" => "BitsPerComponent",
        "D" => "Decode",
        "DP" => "DecodeParms",
        "F" => "Filter",
        "IM" => "ImageMask",
        "I" => "Interpolate",
        _ => key,
    };

    private static string Short(string name) => name switch
    {
        "AHx" => "ASCIIHexDecode",
        "A85" => "ASCII85Decode",
        "LZW" => "LZWDecode",
        "Fl" => "FlateDecode",
        "RL" => "RunLengthDecode",
        "CCF" => "CCITTFaxDecode",
        "DCT" => "DCTDecode",
        _ => name,
    };
}
