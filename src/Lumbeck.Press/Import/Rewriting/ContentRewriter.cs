using Lumbeck.Pdf.Colours;
using Lumbeck.Pdf.Content;
using Lumbeck.Pdf.Reading;
using Lumbeck.Pdf.Writing;

namespace Lumbeck.Press.Import.Rewriting;

/// <summary>
/// Content rewritten in a house's inks: its paths, clips and words stay as they stand there; what says a colour says it
/// in inks, what is hidden when it is printed goes, and of what it names only what it uses is carried over.
/// </summary>
internal sealed partial class ContentRewriter : IContentReader
{
    private readonly ImportResources _has;
    private readonly byte[] _content;
    private readonly PdfDict? _resources;
    private readonly PdfDict? _spaces;
    private readonly ContentWriter _to = new(4096);
    private readonly Stack<Written> _saved = new();
    private readonly Stack<(bool Hidden, bool Kept)> _marked = new();
    private readonly bool _plain;
    private readonly int _depth;
    private readonly DrawnAlone? _alone;
    private bool _inText, _adrift;
    private ContentWriter? _waiting;
    private GraphicsState _now = new();
    private Written _set = new();

    /// <summary>What was written, where that is not what the file's own state is.</summary>
    private sealed record Written
    {
        /// <summary>What overprints.</summary>
        public (bool Stroke, bool Fill) Over { get; init; }

        /// <summary>Whether what is painted is multiplied, though the file does not say so.</summary>
        public bool Multiplied { get; init; }

        /// <summary>Why what is painted now can’t be read: its fill, its line, its face or its settings.</summary>
        public (string? Fill, string? Stroke, string? Face, string? Settings) Unread { get; init; }
    }

    /// <param name="has">What the file has, and what is written of it.</param>
    /// <param name="content">Unpacked.</param>
    /// <param name="resources">What it names.</param>
    /// <param name="used">Is told what is written of that.</param>
    /// <param name="plain">Colours are not its own: of a pattern or a letter that is painted in another's.</param>
    /// <param name="depth">How far within others.</param>
    /// <param name="alone">Draws by itself what can't be read; null where all of it is to be given up then.</param>
    public ContentRewriter(ImportResources has, byte[] content, PdfDict? resources, ResourceDictionary used,
        bool plain, int depth, DrawnAlone? alone = null)
    {
        (_has, _content, _resources, _plain, _depth, Used, _alone) = (has, content, resources, plain, depth, used,
            alone);
        _spaces = has.File.Dict(resources, "ColorSpace");
    }

    public ResourceDictionary Used { get; }

    /// <exception cref="PdfReadException">Something in it can’t be read.</exception>
    public ReadOnlyMemory<byte> Rewritten()
    {
        if (_depth == 0 && !_plain) new ColoursForeseen(_has, _resources).Of(_content);
        new ContentInterpreter(_content, _has.File, _has.Spaces, _resources).Run(this);
        while (_marked.TryPop(out var open)) if (open.Kept) _to.EndMarked().Break();
        while (_saved.TryPop(out _)) _to.Restore().Break();
        return _to.Written;
    }

    private bool Hidden => _marked.Any(m => m.Hidden);

    private PdfObject? Named(string kind, string name) => _has.File.Dict(_resources, kind)?[name];

    public void Do(Operation o, GraphicsState before, GraphicsState now)
    {
        _now = now;
        switch (o.Op)
        {
            case Operator.Save:
                _saved.Push(_set);
                _to.Same(o);
                break;
            case Operator.Restore:
                _set = _saved.Pop();
                _to.Same(o);
                break;
            case Operator.FillGray or Operator.FillRgb or Operator.FillCmyk or Operator.FillColorSpace: Fill(); break;
            case Operator.StrokeGray or Operator.StrokeRgb or Operator.StrokeCmyk or Operator.StrokeColorSpace: Stroke(); break;
            case Operator.FillColor or Operator.FillColorN:
                if (now.FillColorSpace is PatternColorSpace pattern) Pattern(o, pattern, fill: true);
                else Fill();
                break;
            case Operator.StrokeColor or Operator.StrokeColorN:
                if (now.StrokeColorSpace is PatternColorSpace lined) Pattern(o, lined, fill: false);
                else Stroke();
                break;
            case Operator.Shading:
                if (!Hidden) _to.Op(Operator.Shading, Used.Shading(_has, Named("Shading", o.Name()), _spaces)).Break();
                break;
            case Operator.XObject: XObject(o); break;
            case Operator.GraphicsStateParameters: Graphics(o, before); break;
            case Operator.Font:
                if (o.Operands.Count < 2) break;
                _to.Name(Used.Face(_has, now.Text.Font, _depth)).Raw(o.Lexer.Raw(o.Operands[^1])).Op(Operator.Font).Break();
                _set = _set with { Unread = _set.Unread with { Face = null } };
                break;
            case Operator.MoveText or Operator.MoveTextLeading or Operator.TextMatrix or Operator.NextLine:
                _adrift = false;
                _to.Same(o);
                break;
            case Operator.BeginText or Operator.EndText:
                (_inText, _adrift) = (o.Op == Operator.BeginText, false);
                _to.Same(o);
                if (!_inText && _waiting is { } drawn) { _to.Append(drawn); _waiting = null; }
                break;
            case var show when show.ShowsText(): Words(o); break;
            case >= Operator.MarkedPoint and <= Operator.EndCompatibility: Marked(o); break;
            case Operator.RenderingIntent: break;
            case Operator.BeginInlineImage:
                if (!Hidden)
                    _to.XObject(Used.Add("XObject", _has.Pictures.Write(o.Image!, _spaces, _has.Light))).Break();
                break;
            case Operator.LineWidth:
                // A line of no width is as thin as the device can: it is given the least that the house prints.
                if (now.LineWidth != 0) { _to.Same(o); break; }
                _to.Op(Operator.LineWidth, _has.LeastLine).Break();
                _has.Report.ThinLines++;
                break;
            case var paint when paint.PaintsPath(): Paint(o); break;
            default: _to.Same(o); break;
        }
    }

    private void Marked(Operation o)
    {
        switch (o.Op)
        {
            case Operator.BeginMarkedProperties:
                // What its letters mean is kept, so that they can be found and read aloud.
                var means = o.Operands is [.., { Kind: TokenKind.Dictionary } told]
                    && o.Lexer.Raw(told).IndexOf("/ActualText"u8) >= 0;
                _marked.Push((o.Name() == "OC" && _has.IsHidden(Named("Properties", o.Name(1))), means));
                if (means) _to.Same(o);
                break;
            case Operator.BeginMarked: _marked.Push((false, false)); break;
            case Operator.EndMarked:
                if (_marked.TryPop(out var mark) && mark.Kept) _to.Same(o);
                break;
        }
    }

    private void Pattern(Operation o, PatternColorSpace pattern, bool fill)
    {
        if (_plain) return;
        var unread = _set.Unread;
        _set = _set with { Unread = fill ? unread with { Fill = null } : unread with { Stroke = null } };
        var name = Used.Pattern(_has, Named("Pattern", o.Name()), _spaces, _resources, _depth);
        if (pattern.Under is null || o.Numbers().Length == 0) { _to.Pattern(name, stroke: !fill).Break(); return; }
        _to.Op(fill ? Operator.FillColorSpace : Operator.StrokeColorSpace, Used.PatternInInks(_has));
        foreach (var figure in _has.Colours.InInks(pattern.Under, o.Numbers())) _to.Number(figure);
        _to.Op(fill ? Operator.FillColorN : Operator.StrokeColorN, name).Break();
    }

    private void XObject(Operation o)
    {
        var named = Named("XObject", o.Name());
        if (Hidden || _has.File.Resolve(named) is not PdfStream stream || _has.IsHidden(stream.Dict["OC"])) return;
        if (Used.Object(_has, named, stream, _spaces, _resources, _depth) is { } name) _to.XObject(name).Break();
    }

    private void Graphics(Operation o, GraphicsState before)
    {
        var named = Named("ExtGState", o.Name());
        if (PdfFile.Dict(_has.File.Resolve(named)) is not { } d) return;
        bool? flag(string key) => (_has.File.Get(d, key) as PdfBoolean)?.Value;
        _to.State(Used.Graphics(_has, named, d, _resources, _depth)).Break();
        var line = flag("OP");
        _set = _set with
        {
            Over = (line ?? _set.Over.Stroke, flag("op") ?? line ?? _set.Over.Fill),
            Multiplied = _set.Multiplied && _has.File.Get(d, "BM") is null,
            Unread = _set.Unread with { Settings = null },
        };
        Settle(changed: (before.OverprintStroke, before.OverprintFill, before.OverprintMode)
            != (_now.OverprintStroke, _now.OverprintFill, _now.OverprintMode));
    }
}
