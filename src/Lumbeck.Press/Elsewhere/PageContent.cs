using System.Buffers;
using System.Text;
using Lumbeck.Press.Elsewhere.Source;
using Lumbeck.Press.Pdf;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Press.Elsewhere;

/// <summary>
/// Content rewritten in a house's inks: its paths, clips and words stay as they stand there; what says a colour says it
/// in inks, what is hidden when it is printed goes, and of what it names only what it uses is carried over.
/// </summary>
internal sealed class PageContent
{
    private readonly ElsewhereResources _has;
    private readonly DictionaryToken? _resources;
    private readonly DictionaryToken? _spaces;
    private readonly ContentLexer _lexer;
    private readonly ArrayBufferWriter<byte> _to = new();
    private readonly List<Token> _operands = [];
    private readonly Stack<State> _saved = new();
    private readonly Stack<(bool Hidden, bool Kept)> _marked = new();
    private readonly bool _plain;
    private readonly int _depth;
    private State _now = new(new GraySpace(), [0], new GraySpace(), [0]);

    /// <summary>What is kept by <c>q</c> and brought back by <c>Q</c>, as far as colour asks for it.</summary>
    private sealed record State(Space Fill, double[] FillAt, Space Line, double[] LineAt)
    {
        public bool OverFill { get; init; }
        public bool OverLine { get; init; }
        public int Mode { get; init; }
    }

    /// <param name="has">What the file has, and what is written of it.</param>
    /// <param name="content">Unpacked.</param>
    /// <param name="resources">What it names.</param>
    /// <param name="used">Is told what is written of that.</param>
    /// <param name="plain">Colours are not its own: of a pattern or a letter that is painted in another's.</param>
    /// <param name="depth">How far within others.</param>
    public PageContent(ElsewhereResources has, byte[] content, DictionaryToken? resources, UsedResources used, bool plain, int depth)
    {
        (_has, _resources, _plain, _depth, Used) = (has, resources, plain, depth, used);
        _spaces = has.File.Dictionary(resources, "ColorSpace");
        _lexer = new(content);
    }

    public UsedResources Used { get; }

    /// <exception cref="Refusal">Something in it can’t be read.</exception>
    public byte[] Rewritten()
    {
        for (var n = 0; ; n++)
        {
            if ((n & 0xfff) == 0) _has.File.Unpacking.Cancel.ThrowIfCancellationRequested();
            var token = _lexer.Next();
            if (token.Kind == Said.End) break;
            if (token.Kind != Said.Word) { if (_operands.Count < 4096) _operands.Add(token); continue; }
            var word = Encoding.Latin1.GetString(_lexer.Raw(token));
            if (word is "true" or "false" or "null") { _operands.Add(token); continue; }
            Do(word);
            _operands.Clear();
        }
        while (_marked.TryPop(out var open)) if (open.Kept) Put("EMC\n");
        while (_saved.Count > 0) { _saved.Pop(); Put("Q\n"); }
        return _to.WrittenSpan.ToArray();
    }

    private bool Hidden => _marked.Any(m => m.Hidden);

    private void Put(string text) => _to.Write(Encoding.Latin1.GetBytes(text));

    /// <summary>As it stood there.</summary>
    private void Same(string word)
    {
        foreach (var operand in _operands)
        {
            _to.Write(_lexer.Raw(operand));
            _to.Write(" "u8);
        }
        Put(word + "\n");
    }

    private string Name(int from = 0) => _operands.Skip(from).FirstOrDefault(o => o.Kind == Said.Name) is { Kind: Said.Name } name
        ? _lexer.Name(name) : "";

    private double[] Figures() => [.. _operands.Where(o => o.Kind == Said.Number).Select(o => o.Number)];

    private void Do(string word)
    {
        switch (word)
        {
            case "q":
                if (_saved.Count > 200) throw new Refusal("file", "it saves its state deeper than is read");
                _saved.Push(_now);
                Same(word);
                break;
            case "Q":
                if (!_saved.TryPop(out var saved)) break;
                _now = saved;
                Same(word);
                break;
            case "g" or "rg" or "k": Fill(Device(word), Figures()); break;
            case "G" or "RG" or "K": Line(Device(word), Figures()); break;
            case "cs": Fill(_has.Spaces.Read(NameToken.Create(Name()), _spaces), null); break;
            case "CS": Line(_has.Spaces.Read(NameToken.Create(Name()), _spaces), null); break;
            case "sc" or "scn": Coloured(fill: true); break;
            case "SC" or "SCN": Coloured(fill: false); break;
            case "sh":
                if (Hidden) break;
                var shading = SourceFile.Raw(_has.File.Dictionary(_resources, "Shading"), Name());
                Put($"/{Used.Shading(_has, shading, _spaces)} sh\n");
                break;
            case "Do": Object(); break;
            case "gs": Graphics(); break;
            case "Tf":
                if (_operands.Count < 2) break;
                Put($"/{Used.Face(_has, SourceFile.Raw(_has.File.Dictionary(_resources, "Font"), Name()), _depth)} ");
                _to.Write(_lexer.Raw(_operands[^1]));
                Put(" Tf\n");
                break;
            case "Tr":
                _now = _now with { Mode = (int)Figures().FirstOrDefault() };
                Same(word);
                break;
            case "Tj" or "TJ" or "'" or "\"": Words(word); break;
            case "BDC":
                // What its letters mean is kept, so that they can be found and read aloud.
                var means = _operands is [.., { Kind: Said.Dictionary } told] && _lexer.Raw(told).IndexOf("/ActualText"u8) >= 0;
                _marked.Push((Name() == "OC" && _has.IsHidden(SourceFile.Raw(_has.File.Dictionary(_resources, "Properties"),
                    Name(1))), means));
                if (means) Same(word);
                break;
            case "BMC": _marked.Push((false, false)); break;
            case "EMC":
                if (_marked.TryPop(out var mark) && mark.Kept) Same(word);
                break;
            case "MP" or "DP" or "BX" or "EX" or "ri": break;
            case "BI": Inline(); break;
            case "w":
                // A line of no width is as thin as the device can: it is given the least that the house prints.
                if (Figures() is [0]) { Put($"{PdfText.Figure(_has.LeastLine)} w\n"); _has.Report.ThinLines++; }
                else Same(word);
                break;
            case "f" or "F" or "f*" or "S" or "s" or "B" or "B*" or "b" or "b*":
                if (Hidden) Put("n\n"); else Same(word);
                break;
            default: Same(word); break;
        }
    }

    private Space Device(string word) => _has.Spaces.Read(NameToken.Create(word.ToLowerInvariant() switch
    {
        "g" => "DeviceGray",
        "rg" => "DeviceRGB",
        _ => "DeviceCMYK",
    }), _spaces);

    private void Fill(Space space, double[]? at)
    {
        _now = _now with { Fill = space, FillAt = at ?? space.Initial };
        if (!_plain && space is not PatternSpace) Put(_has.Said(space, _now.FillAt, fill: true, Used));
        Overprint(space, fill: true);
    }

    private void Line(Space space, double[]? at)
    {
        _now = _now with { Line = space, LineAt = at ?? space.Initial };
        if (!_plain && space is not PatternSpace) Put(_has.Said(space, _now.LineAt, fill: false, Used));
        Overprint(space, fill: false);
    }

    /// <summary>
    /// Overprint's mode 1 acts on what was inks from the start: what becomes inks here knocks out, as it did.
    /// </summary>
    private void Overprint(Space space, bool fill)
    {
        if (space.IsInk || space is PatternSpace || !(fill ? _now.OverFill : _now.OverLine)) return;
        Put($"/{Used.NoOverprint(_has)} gs\n");
        _has.Report.Overprints++;
    }

    private void Coloured(bool fill)
    {
        var space = fill ? _now.Fill : _now.Line;
        if (space is not PatternSpace pattern)
        {
            var at = Figures();
            if (fill) Fill(space, at.Length > 0 ? at : space.Initial);
            else Line(space, at.Length > 0 ? at : space.Initial);
            return;
        }
        if (_plain) return;
        var name = Used.Pattern(_has, SourceFile.Raw(_has.File.Dictionary(_resources, "Pattern"), Name()), _spaces,
            _resources, _depth);
        if (pattern.Under is null || Figures().Length == 0)
            Put($"/Pattern {(fill ? "cs" : "CS")} /{name} {(fill ? "scn" : "SCN")}\n");
        else
            Put($"/{Used.PatternInInks(_has)} {(fill ? "cs" : "CS")} {_has.InInks(pattern.Under, Figures())} " +
                $"/{name} {(fill ? "scn" : "SCN")}\n");
    }

    private void Words(string word)
    {
        if (Hidden) { if (word is "'" or "\"") Put("T*\n"); return; }
        // Words in a black of several inks are hard to keep sharp: black alone is what was meant.
        var rich = !_plain && _now.Mode is 0 or 2 or 4 or 6 && _now.Fill is CmykSpace && _has.IsRichBlack(_now.FillAt);
        if (rich) { Put("0 0 0 1 k\n"); _has.Report.RichWords++; }
        Same(word);
        if (rich) Put(_has.Said(_now.Fill, _now.FillAt, fill: true, Used));
    }

    private void Object()
    {
        var token = SourceFile.Raw(_has.File.Dictionary(_resources, "XObject"), Name());
        if (Hidden || _has.File.Solid(token) is not StreamToken stream
            || _has.IsHidden(SourceFile.Raw(stream.StreamDictionary, "OC")))
            return;
        if (Used.Object(_has, token, stream, _spaces, _resources, _depth) is { } name) Put($"/{name} Do\n");
    }

    private void Graphics()
    {
        var token = SourceFile.Raw(_has.File.Dictionary(_resources, "ExtGState"), Name());
        if (SourceFile.Dictionary(_has.File.Solid(token)) is not { } d) return;
        bool? flag(string key) => _has.File.Get(d, key) is BooleanToken b ? b.Data : null;
        var line = flag("OP");
        _now = _now with { OverLine = line ?? _now.OverLine, OverFill = flag("op") ?? line ?? _now.OverFill };
        Put($"/{Used.Graphics(_has, token, d, _resources, _depth)} gs\n");
        if (!_plain && flag("op") is true or null && line is true) { Overprint(_now.Fill, true); Overprint(_now.Line, false); }
    }

    private void Inline()
    {
        var entries = new Dictionary<NameToken, IToken>();
        while (_lexer.Next() is { Kind: Said.Name } key)
            entries[NameToken.Create(Long(_lexer.Name(key)))] = Value(_lexer.Next());
        var d = new DictionaryToken(entries);
        int of(string key) => (int)(_has.File.Number(d, key) ?? 0);
        int? count = null;
        if (_has.File.Get(d, "Filter") is null)
        {
            var bits = _has.File.Get(d, "ImageMask") is BooleanToken { Data: true } ? 1
                : Math.Max(1, of("BitsPerComponent")) * _has.Spaces.Read(SourceFile.Raw(d, "ColorSpace")
                    ?? NameToken.Create("G"), _spaces).Components;
            count = (int)Math.Min(((((long)of("Width") * bits) + 7) / 8) * of("Height"), 1 << 28);
        }
        var samples = _lexer.Samples(count).ToArray();
        if (Hidden) return;
        var number = _has.Pictures.Write(new StreamToken(d, samples), _spaces, _has.Light);
        Put($"/{Used.Add("XObject", number)} Do\n");
    }

    private IToken Value(Token token) => token.Kind switch
    {
        Said.Number => new NumericToken(token.Number),
        Said.Name => NameToken.Create(Short(_lexer.Name(token))),
        Said.Array => new ArrayToken([.. Parts(_lexer.Raw(token)[1..^1].ToArray())]),
        Said.Dictionary => Settings(_lexer.Raw(token)[2..^2].ToArray()),
        Said.Text when _lexer.Raw(token) is [(byte)'<', .., (byte)'>'] hex =>
            new HexToken(Encoding.Latin1.GetString(hex[1..^1]).ToCharArray()),
        Said.Text => new StringToken(Encoding.Latin1.GetString(_lexer.Raw(token)[1..^1])),
        _ => Encoding.Latin1.GetString(_lexer.Raw(token)) == "true" ? BooleanToken.True : BooleanToken.False,
    };

    private static List<IToken> Parts(byte[] raw)
    {
        var (inner, all) = (new ContentLexer(raw), new List<IToken>());
        for (var t = inner.Next(); t.Kind != Said.End; t = inner.Next())
            if (t.Kind == Said.Number) all.Add(new NumericToken(t.Number));
            else if (t.Kind == Said.Name) all.Add(NameToken.Create(Short(inner.Name(t))));
            else if (t.Kind == Said.Text && inner.Raw(t) is [(byte)'<', .., (byte)'>'] hex)
                all.Add(new HexToken(Encoding.Latin1.GetString(hex[1..^1]).ToCharArray()));
            else if (t.Kind == Said.Text) all.Add(new StringToken(Encoding.Latin1.GetString(inner.Raw(t)[1..^1])));
            else if (t.Kind == Said.Dictionary) all.Add(Settings(inner.Raw(t)[2..^2].ToArray()));
        return all;
    }

    private static DictionaryToken Settings(byte[] raw)
    {
        var (inner, all) = (new ContentLexer(raw), new Dictionary<NameToken, IToken>());
        while (inner.Next() is { Kind: Said.Name } key)
        {
            var value = inner.Next();
            all[NameToken.Create(inner.Name(key))] = value.Kind == Said.Number ? new NumericToken(value.Number)
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
