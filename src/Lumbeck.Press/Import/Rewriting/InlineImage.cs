using System.Text;
using Lumbeck.Press.Import.Parsing;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Press.Import.Rewriting;

/// <summary>A picture that stands within content (ISO 32000-1, 8.9.7), its short names read as the long ones.</summary>
internal static class InlineImage
{
    /// <param name="lexer">After its <c>BI</c>; is left after its samples.</param>
    /// <param name="has">What the file has.</param>
    /// <param name="spaces">The page's own spaces.</param>
    public static StreamToken Read(ContentLexer lexer, ImportResources has, DictionaryToken? spaces)
    {
        var entries = new Dictionary<NameToken, IToken>();
        while (lexer.Next() is { Kind: TokenKind.Name } key)
            entries[NameToken.Create(Long(lexer.Name(key)))] = Value(lexer, lexer.Next());
        var d = new DictionaryToken(entries);
        int of(string key) => (int)(has.File.Number(d, key) ?? 0);
        int? count = null;
        if (has.File.Get(d, "Filter") is null)
        {
            var bits = has.File.Get(d, "ImageMask") is BooleanToken { Data: true } ? 1
                : Math.Max(1, of("BitsPerComponent")) * has.Spaces.Read(SourceFile.Raw(d, "ColorSpace")
                    ?? NameToken.Create("G"), spaces).Components;
            count = (int)Math.Min(((((long)of("Width") * bits) + 7) / 8) * of("Height"), 1 << 28);
        }
        return new(d, lexer.Samples(count).ToArray());
    }

    private static IToken Value(ContentLexer lexer, ContentToken token) => token.Kind switch
    {
        TokenKind.Number => new NumericToken(token.Number),
        TokenKind.Name => NameToken.Create(Short(lexer.Name(token))),
        TokenKind.Array => new ArrayToken([.. Parts(lexer.Raw(token)[1..^1].ToArray())]),
        TokenKind.Dictionary => Settings(lexer.Raw(token)[2..^2].ToArray()),
        TokenKind.String when lexer.Raw(token) is [(byte)'<', .., (byte)'>'] hex =>
            new HexToken(Encoding.Latin1.GetString(hex[1..^1]).ToCharArray()),
        TokenKind.String => new StringToken(Encoding.Latin1.GetString(lexer.Raw(token)[1..^1])),
        _ => Encoding.Latin1.GetString(lexer.Raw(token)) == "true" ? BooleanToken.True : BooleanToken.False,
    };

    private static List<IToken> Parts(byte[] raw)
    {
        var (inner, all) = (new ContentLexer(raw), new List<IToken>());
        for (var t = inner.Next(); t.Kind != TokenKind.End; t = inner.Next())
            if (t.Kind == TokenKind.Number) all.Add(new NumericToken(t.Number));
            else if (t.Kind == TokenKind.Name) all.Add(NameToken.Create(Short(inner.Name(t))));
            else if (t.Kind == TokenKind.String && inner.Raw(t) is [(byte)'<', .., (byte)'>'] hex)
                all.Add(new HexToken(Encoding.Latin1.GetString(hex[1..^1]).ToCharArray()));
            else if (t.Kind == TokenKind.String) all.Add(new StringToken(Encoding.Latin1.GetString(inner.Raw(t)[1..^1])));
            else if (t.Kind == TokenKind.Dictionary) all.Add(Settings(inner.Raw(t)[2..^2].ToArray()));
        return all;
    }

    private static DictionaryToken Settings(byte[] raw)
    {
        var (inner, all) = (new ContentLexer(raw), new Dictionary<NameToken, IToken>());
        while (inner.Next() is { Kind: TokenKind.Name } key)
        {
            var value = inner.Next();
            all[NameToken.Create(inner.Name(key))] = value.Kind == TokenKind.Number ? new NumericToken(value.Number)
                : inner.Raw(value).SequenceEqual("true"u8) ? BooleanToken.True : BooleanToken.False;
        }
        return new(all);
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
