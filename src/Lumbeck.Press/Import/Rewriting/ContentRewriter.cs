using System.Buffers;
using System.Text;
using Lumbeck.Press.Import.Parsing;
using Lumbeck.Press.Pdf;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Press.Import.Rewriting;

/// <summary>
/// Content rewritten in a house's inks: its paths, clips and words stay as they stand there; what says a colour says it
/// in inks, what is hidden when it is printed goes, and of what it names only what it uses is carried over.
/// </summary>
internal sealed partial class ContentRewriter
{
    private readonly ImportResources _has;
    private readonly byte[] _content;
    private readonly DictionaryToken? _resources;
    private readonly DictionaryToken? _spaces;
    private readonly ContentLexer _lexer;
    private readonly ArrayBufferWriter<byte> _to = new();
    private readonly List<ContentToken> _operands = [];
    private readonly Stack<State> _saved = new();
    private readonly Stack<(bool Hidden, bool Kept)> _marked = new();
    private readonly bool _plain;
    private readonly int _depth;
    private readonly DrawnAlone? _alone;
    private int _word;
    private bool _inText, _adrift;
    private string? _waiting;
    private State _now = new(new GrayColorSpace(), [0], new GrayColorSpace(), [0]);

    /// <summary>What is kept by <c>q</c> and brought back by <c>Q</c>, as far as colour asks for it.</summary>
    private sealed record State(ColorSpace Fill, double[] FillAt, ColorSpace Line, double[] LineAt)
    {
        /// <summary>What overprints as the file sets it: lines, fills, and whether inks of nothing leave what is
        /// there.</summary>
        public (bool Line, bool Fill, bool Nothing) Over { get; init; }
        /// <summary>What overprints as it was written.</summary>
        public (bool Line, bool Fill) Set { get; init; }
        /// <summary>
        /// Whether the file mixes what is painted by a rule of its own, and whether it is multiplied here.
        /// </summary>
        public (bool Own, bool Here) Mixes { get; init; }
        public int Mode { get; init; }
        public double Width { get; init; } = 1;
        /// <summary>To the points that this content begins in.</summary>
        public Affine Place { get; init; } = Affine.Identity;
        /// <summary>Why what is painted now can’t be read: its fill, its line, its face or its settings.</summary>
        public (string? Fill, string? Line, string? Face, string? Settings) Unread { get; init; }
    }

    /// <param name="has">What the file has, and what is written of it.</param>
    /// <param name="content">Unpacked.</param>
    /// <param name="resources">What it names.</param>
    /// <param name="used">Is told what is written of that.</param>
    /// <param name="plain">Colours are not its own: of a pattern or a letter that is painted in another's.</param>
    /// <param name="depth">How far within others.</param>
    /// <param name="alone">Draws by itself what can't be read; null where all of it is to be given up then.</param>
    public ContentRewriter(ImportResources has, byte[] content, DictionaryToken? resources, ResourceDictionary used,
        bool plain, int depth,
        DrawnAlone? alone = null)
    {
        (_has, _content, _resources, _plain, _depth, Used, _alone) = (has, content, resources, plain, depth, used,
            alone);
        _spaces = has.File.Dictionary(resources, "ColorSpace");
        _lexer = new(content);
    }

    public ResourceDictionary Used { get; }

    /// <exception cref="Refusal">Something in it can’t be read.</exception>
    public byte[] Rewritten()
    {
        if (_depth == 0 && !_plain) Foresee();
        for (var n = 0; ; n++)
        {
            if ((n & 0xfff) == 0) _has.File.Decoder.Cancel.ThrowIfCancellationRequested();
            var token = _lexer.Next();
            if (token.Kind == TokenKind.End) break;
            if (token.Kind != TokenKind.Operator) { if (_operands.Count < 4096) _operands.Add(token); continue; }
            var word = Encoding.Latin1.GetString(_lexer.Raw(token));
            if (word is "true" or "false" or "null") { _operands.Add(token); continue; }
            try { Do(word); }
            catch (Refusal r) when (_alone is not null) { Unread(word, r.Message); }
            _operands.Clear();
            _word++;
        }
        while (_marked.TryPop(out var open)) if (open.Kept) Put("EMC\n");
        while (_saved.Count > 0) { _saved.Pop(); Put("Q\n"); }
        return _to.WrittenSpan.ToArray();
    }

    /// <summary>
    /// Colours of the whole page are brought to inks at once: setting a transform up for each costs far more than it
    /// does to carry them through.
    /// </summary>
    private void Foresee()
    {
        var (lexer, at, seen) = (new ContentLexer(_content), new double[3], new HashSet<(double, double, double)>());
        var count = 0;
        for (var token = lexer.Next(); token.Kind != TokenKind.End && seen.Count < MostForeseen; token = lexer.Next())
        {
            if (token.Kind == TokenKind.Number) { if (count < 3) at[count] = token.Number; count++; continue; }
            if (token.Kind == TokenKind.Operator && count == 3 && lexer.Raw(token) is [(byte)'r',
                (byte)'g'] or [(byte)'R', (byte)'G']
                or [(byte)'s', (byte)'c', ..] or [(byte)'S', (byte)'C', ..])
                seen.Add((at[0], at[1], at[2]));
            // Samples of pictures are no words.
            if (token.Kind == TokenKind.Operator && lexer.Raw(token).SequenceEqual("ID"u8)) lexer.Samples(null);
            count = 0;
        }
        if (seen.Count < 4) return;
        foreach (var space in _has.Spaces.OfRgb(_resources)) space.Many(_has.Inks, [.. seen.Select(c =>
            (double[])[c.Item1, c.Item2, c.Item3])]);
    }

    private const int MostForeseen = 100_000;

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

    private string Name(int from = 0) => _operands.Skip(from).FirstOrDefault(o =>
        o.Kind == TokenKind.Name) is { Kind: TokenKind.Name } name
        ? _lexer.Name(name) : "";

    private double[] Figures() => [.. _operands.Where(o => o.Kind == TokenKind.Number).Select(o => o.Number)];

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
                _now = _now with { Unread = _now.Unread with { Face = null } };
                break;
            case "Tr":
                _now = _now with { Mode = (int)Figures().FirstOrDefault() };
                Same(word);
                break;
            case "Td" or "TD" or "Tm" or "T*":
                _adrift = false;
                Same(word);
                break;
            case "BT" or "ET":
                (_inText, _adrift) = (word == "BT", false);
                Same(word);
                if (!_inText && _waiting is { } drawn) { Put(drawn); _waiting = null; }
                break;
            case "cm":
                if (Figures() is [var a, var b, var c, var d, var e, var f])
                    _now = _now with { Place = new Affine(a, b, c, d, e, f).Then(_now.Place) };
                Same(word);
                break;
            case "Tj" or "TJ" or "'" or "\"": Words(word); break;
            case "BDC":
                // What its letters mean is kept, so that they can be found and read aloud.
                var means = _operands is [.., { Kind: TokenKind.Dictionary } told] && _lexer.Raw(told)
                    .IndexOf("/ActualText"u8) >= 0;
                _marked.Push((Name() == "OC" && _has.IsHidden(SourceFile.Raw(_has.File.Dictionary(_resources,
                    "Properties"),
                    Name(1))), means));
                if (means) Same(word);
                break;
            case "BMC": _marked.Push((false, false)); break;
            case "EMC":
                if (_marked.TryPop(out var mark) && mark.Kept) Same(word);
                break;
            case "MP" or "DP" or "BX" or "EX" or "ri": break;
            case "BI":
                var inline = InlineImage.Read(_lexer, _has, _spaces);
                if (!Hidden) Put($"/{Used.Add("XObject", _has.Pictures.Write(inline, _spaces, _has.Light))} Do\n");
                break;
            case "w":
                var width = Figures().FirstOrDefault();
                _now = _now with { Width = width == 0 ? _has.LeastLine : width };
                // A line of no width is as thin as the device can: it is given the least that the house prints.
                if (width == 0) { Put($"{PdfSyntax.Figure(_has.LeastLine)} w\n"); _has.Report.ThinLines++; }
                else Same(word);
                break;
            case "f" or "F" or "f*" or "S" or "s" or "B" or "B*" or "b" or "b*": Paint(word); break;
            default: Same(word); break;
        }
    }

    private ColorSpace Device(string word) => _has.Spaces.Read(NameToken.Create(word.ToLowerInvariant() switch
    {
        "g" => "DeviceGray",
        "rg" => "DeviceRGB",
        _ => "DeviceCMYK",
    }), _spaces);

    private void Coloured(bool fill)
    {
        var space = fill ? _now.Fill : _now.Line;
        if (space is not PatternColorSpace pattern)
        {
            var at = Figures();
            if (fill) Fill(space, at.Length > 0 ? at : space.Initial);
            else Line(space, at.Length > 0 ? at : space.Initial);
            return;
        }
        if (_plain) return;
        _now = _now with { Unread = fill ? _now.Unread with { Fill = null } : _now.Unread with { Line = null } };
        var name = Used.Pattern(_has, SourceFile.Raw(_has.File.Dictionary(_resources, "Pattern"), Name()), _spaces,
            _resources, _depth);
        if (pattern.Under is null || Figures().Length == 0)
            Put($"/Pattern {(fill ? "cs" : "CS")} /{name} {(fill ? "scn" : "SCN")}\n");
        else
            Put($"/{Used.PatternInInks(_has)} {(fill ? "cs" : "CS")} {_has.InInks(pattern.Under, Figures())} " +
                $"/{name} {(fill ? "scn" : "SCN")}\n");
    }

    private void Object()
    {
        var token = SourceFile.Raw(_has.File.Dictionary(_resources, "XObject"), Name());
        if (Hidden || _has.File.Resolve(token) is not StreamToken stream
            || _has.IsHidden(SourceFile.Raw(stream.StreamDictionary, "OC")))
            return;
        if (Used.Object(_has, token, stream, _spaces, _resources, _depth) is { } name) Put($"/{name} Do\n");
    }

    private void Graphics()
    {
        var token = SourceFile.Raw(_has.File.Dictionary(_resources, "ExtGState"), Name());
        if (SourceFile.Dictionary(_has.File.Resolve(token)) is not { } d) return;
        bool? flag(string key) => _has.File.Get(d, key) is BooleanToken b ? b.Data : null;
        var (line, was) = (flag("OP"), _now.Over);
        var over = (line ?? was.Line, flag("op") ?? line ?? was.Fill, _has.File.Number(d, "OPM") is { } m ? m == 1
            : was.Nothing);
        Put($"/{Used.Graphics(_has, token, d, _resources, _depth)} gs\n");
        _now = _now with
        {
            Over = over,
            Set = (line ?? _now.Set.Line, flag("op") ?? line ?? _now.Set.Fill),
            Width = _has.File.Number(d, "LW") ?? _now.Width,
            Mixes = _has.File.Get(d, "BM") is { } mixed ? (mixed is not NameToken { Data: "Normal" or "Compatible" },
                false) : _now.Mixes,
            Unread = _now.Unread with { Settings = null },
        };
        Settle(changed: over != was);
    }
}
