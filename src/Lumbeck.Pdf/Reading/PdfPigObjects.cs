using UglyToad.PdfPig.Core;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Pdf.Reading;

/// <summary>
/// What the library that reads files' structure calls its tokens, as objects; nothing else here names them.
/// </summary>
internal static class PdfPigObjects
{
    /// <summary>Nothing that is sound lies deeper within itself.</summary>
    private const int Deepest = 400;

    public static IndirectReference Reference(PdfRef r) => new(r.Number, r.Generation);

    public static PdfObject Of(IToken? token, int depth = 0) => depth > Deepest ? PdfNull.Value : token switch
    {
        NameToken name => new PdfName(name.Data),
        NumericToken number => new PdfNumber(number.Double, 8),
        IndirectReferenceToken r => new PdfRef((int)r.Data.ObjectNumber, r.Data.Generation),
        DictionaryToken dict => Dict(dict, depth),
        ArrayToken array => Array(array, depth),
        StreamToken stream => new PdfStream(Dict(stream.StreamDictionary, depth), stream.Data),
        StringToken text => new PdfString(text.GetBytes(), hex: true),
        HexToken hex => new PdfString(hex.Bytes.ToArray(), hex: true),
        BooleanToken truth => truth.Data ? PdfBoolean.True : PdfBoolean.False,
        _ => PdfNull.Value,
    };

    public static PdfDict Dict(DictionaryToken dict, int depth = 0)
    {
        var made = new PdfDict();
        foreach (var (key, value) in dict.Data) made.Set(key, Of(value, depth + 1));
        return made;
    }

    private static PdfArray Array(ArrayToken array, int depth)
    {
        var made = new PdfObject[array.Data.Count];
        for (var n = 0; n < made.Length; n++) made[n] = Of(array.Data[n], depth + 1);
        return new(made);
    }

    /// <summary>Back again, as the library's own filters ask for it.</summary>
    public static IToken Token(PdfObject o) => o switch
    {
        PdfName name => NameToken.Create(name.Value),
        PdfNumber number => new NumericToken(number.Value),
        PdfBoolean truth => truth.Value ? BooleanToken.True : BooleanToken.False,
        PdfArray array => new ArrayToken([.. array.Items.Select(Token)]),
        PdfDict dict => new DictionaryToken(dict.ToDictionary(e => NameToken.Create(e.Key), e => Token(e.Value))),
        PdfStream stream => new StreamToken((DictionaryToken)Token(stream.Dict), stream.Data.ToArray()),
        _ => NullToken.Instance,
    };
}
