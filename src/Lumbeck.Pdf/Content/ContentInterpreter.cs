using Lumbeck.Pdf.Colours;
using Lumbeck.Pdf.Reading;

namespace Lumbeck.Pdf.Content;

/// <summary>An operator as it stands in content, with its operands.</summary>
/// <param name="Op">What it is.</param>
/// <param name="Index">Which operator of its content, from 0.</param>
/// <param name="Token">Its own token.</param>
/// <param name="Operands">What stands before it.</param>
/// <param name="Lexer">Whose tokens they are.</param>
public sealed record Operation(Operator Op, int Index, ContentToken Token, IReadOnlyList<ContentToken> Operands,
    ContentLexer Lexer)
{
    /// <summary>What an inline image is, after its <c>EI</c>; null of all else.</summary>
    public PdfStream? Image { get; init; }

    public double[] Numbers() => [.. Operands.Where(o => o.Kind == TokenKind.Number).Select(o => o.Number)];

    /// <summary>The first name among the operands; empty where there is none.</summary>
    public string Name(int from = 0) =>
        Operands.Skip(from).FirstOrDefault(o => o.Kind == TokenKind.Name) is { Kind: TokenKind.Name } name
            ? Lexer.Name(name) : "";
}

/// <summary>Is told what content does, operator by operator.</summary>
public interface IContentReader
{
    /// <param name="operation">The operator.</param>
    /// <param name="before">The state it met.</param>
    /// <param name="now">The state it leaves.</param>
    /// <exception cref="PdfReadException">What it names can't be read.</exception>
    void Do(Operation operation, GraphicsState before, GraphicsState now);

    /// <summary>Told of an operator that can't be read, for its own sake or by what was thrown of it.</summary>
    /// <returns>Whether content is read on.</returns>
    bool Unreadable(Operation operation, GraphicsState now, string why) => false;
}

/// <summary>
/// Reads content (ISO 32000-2, 7.8.2) and keeps its graphics state, within bounds: on operands, and on how deep
/// states lie within each other.
/// </summary>
/// <param name="content">Unpacked.</param>
/// <param name="file">Where what it names is.</param>
/// <param name="spaces">Reads colour spaces; null where colours are not asked for.</param>
/// <param name="resources">What it names.</param>
public sealed class ContentInterpreter(byte[] content, PdfFile file, ColorSpaceParser? spaces, PdfDict? resources)
{
    private const int MostOperands = 4096, Deepest = 200;

    private readonly PdfDict? _named = file.Dict(resources, "ColorSpace");
    private readonly Stack<GraphicsState> _saved = new();

    /// <summary>States that were saved and not brought back, when all is read.</summary>
    public int Unrestored => _saved.Count;

    /// <exception cref="PdfReadException">Something in it can't be read, and its reader does not go on.</exception>
    public void Run(IContentReader reader)
    {
        var (lexer, operands, now, index) = (new ContentLexer(content), new List<ContentToken>(), new GraphicsState(), 0);
        for (var n = 0; ; n++)
        {
            if ((n & 0xfff) == 0) file.Decoder.Cancel.ThrowIfCancellationRequested();
            var token = lexer.Next();
            if (token.Kind == TokenKind.End) return;
            if (token.Kind != TokenKind.Operator) { if (operands.Count < MostOperands) operands.Add(token); continue; }
            var raw = lexer.Raw(token);
            if (raw.SequenceEqual("true"u8) || raw.SequenceEqual("false"u8) || raw.SequenceEqual("null"u8))
            {
                operands.Add(token);
                continue;
            }
            var operation = new Operation(Operators.Of(raw), index++, token, operands, lexer);
            try
            {
                // What was never saved is not brought back.
                if (operation.Op == Operator.Restore && _saved.Count == 0) continue;
                if (operation.Op == Operator.BeginInlineImage) operation = operation with { Image = Inline(lexer) };
                var before = now;
                now = After(operation, before);
                reader.Do(operation, before, now);
            }
            catch (PdfReadException e) { if (!reader.Unreadable(operation, now, e.Message)) throw; }
            finally { operands.Clear(); }
        }
    }

    private PdfStream Inline(ContentLexer lexer) => InlineImage.Read(lexer, file, image =>
        spaces?.Read(image["ColorSpace"] ?? "G", _named).Components);

    private GraphicsState After(Operation o, GraphicsState now)
    {
        switch (o.Op)
        {
            case Operator.Save:
                if (_saved.Count > Deepest) throw new PdfReadException("it saves its state deeper than is read");
                _saved.Push(now);
                return now;
            case Operator.Restore:
                return _saved.Pop();
            case Operator.ConcatMatrix:
                return o.Numbers() is [var a, var b, var c, var d, var e, var f]
                    ? now with { Ctm = new PdfMatrix(a, b, c, d, e, f).Then(now.Ctm) } : now;
            case Operator.LineWidth:
                return now with { LineWidth = o.Numbers().FirstOrDefault() };
            case Operator.LineCap:
                return now with { LineCap = (int)o.Numbers().FirstOrDefault() };
            case Operator.LineJoin:
                return now with { LineJoin = (int)o.Numbers().FirstOrDefault() };
            case Operator.MiterLimit:
                return now with { MiterLimit = o.Numbers().FirstOrDefault() };
            case Operator.GraphicsStateParameters:
                return With(now, file.Dict(file.Dict(resources, "ExtGState"), o.Name()));
            case >= Operator.StrokeColorSpace and <= Operator.FillCmyk:
                return spaces is null ? now : Coloured(o, now, spaces);
            case >= Operator.CharacterSpacing and <= Operator.Rise:
                return now with { Text = After(o, now.Text) };
            case Operator.NextLineShowTextSpaced when o.Numbers() is [var word, var letter, ..]:
                return now with { Text = now.Text with { WordSpacing = word, CharacterSpacing = letter } };
            default:
                return now;
        }
    }

    private TextState After(Operation o, TextState now)
    {
        var first = o.Numbers().FirstOrDefault();
        return o.Op switch
        {
            Operator.CharacterSpacing => now with { CharacterSpacing = first },
            Operator.WordSpacing => now with { WordSpacing = first },
            Operator.HorizontalScaling => now with { HorizontalScaling = first },
            Operator.Leading => now with { Leading = first },
            Operator.Font => now with { Font = file.Dict(resources, "Font")?[o.Name()], FontSize = first },
            Operator.RenderingMode => now with { RenderingMode = (int)first },
            _ => now with { Rise = first },
        };
    }

    private GraphicsState Coloured(Operation o, GraphicsState now, ColorSpaceParser read)
    {
        ColorSpace space(PdfObject name) => read.Read(name, _named);
        GraphicsState stroke(ColorSpace s, double[] c) => now with { StrokeColorSpace = s, StrokeColor = c };
        GraphicsState fill(ColorSpace s, double[] c) => now with { FillColorSpace = s, FillColor = c };
        switch (o.Op)
        {
            case Operator.StrokeColorSpace: { var s = space(o.Name()); return stroke(s, s.Initial); }
            case Operator.FillColorSpace: { var s = space(o.Name()); return fill(s, s.Initial); }
            case Operator.StrokeGray: return stroke(space("DeviceGray"), o.Numbers());
            case Operator.FillGray: return fill(space("DeviceGray"), o.Numbers());
            case Operator.StrokeRgb: return stroke(space("DeviceRGB"), o.Numbers());
            case Operator.FillRgb: return fill(space("DeviceRGB"), o.Numbers());
            case Operator.StrokeCmyk: return stroke(space("DeviceCMYK"), o.Numbers());
            case Operator.FillCmyk: return fill(space("DeviceCMYK"), o.Numbers());
            case Operator.StrokeColor or Operator.StrokeColorN when now.StrokeColorSpace is not PatternColorSpace:
                return now with { StrokeColor = Given(o.Numbers(), now.StrokeColorSpace) };
            case Operator.FillColor or Operator.FillColorN when now.FillColorSpace is not PatternColorSpace:
                return now with { FillColor = Given(o.Numbers(), now.FillColorSpace) };
            default: return now;
        }
    }

    private static double[] Given(double[] colour, ColorSpace space) => colour.Length > 0 ? colour : space.Initial;

    /// <summary>What a dictionary of parameters changes (8.4.5).</summary>
    private GraphicsState With(GraphicsState now, PdfDict? d)
    {
        if (d is null) return now;
        bool? flag(string key) => (file.Get(d, key) as PdfBoolean)?.Value;
        var stroke = flag("OP");
        var blend = file.Get(d, "BM") is PdfArray { Items: [var first, ..] } ? file.Resolve(first) : file.Get(d, "BM");
        return now with
        {
            OverprintStroke = stroke ?? now.OverprintStroke,
            OverprintFill = flag("op") ?? stroke ?? now.OverprintFill,
            OverprintMode = (int)(file.Number(d, "OPM") ?? now.OverprintMode),
            LineWidth = file.Number(d, "LW") ?? now.LineWidth,
            StrokeAlpha = file.Number(d, "CA") ?? now.StrokeAlpha,
            FillAlpha = file.Number(d, "ca") ?? now.FillAlpha,
            BlendMode = (blend as PdfName)?.Value ?? now.BlendMode,
        };
    }
}
