using Lumbeck.Pdf.Content;
using Lumbeck.Pdf.Reading;
using Lumbeck.Pdf.Writing;

namespace Lumbeck.Press.Import.Rewriting;

/// <summary>Content as it stands, but that only some of its operators paint.</summary>
/// <param name="words">Which operators paint, from 0.</param>
internal sealed class ContentFilter(HashSet<int> words) : IContentReader
{
    private readonly ContentWriter _to = new();

    /// <param name="content">Unpacked.</param>
    /// <param name="file">Where what it names is.</param>
    public ReadOnlyMemory<byte> Written(byte[] content, PdfFile file)
    {
        new ContentInterpreter(content, file, null, null).Run(this);
        return _to.Written;
    }

    public void Do(Operation o, GraphicsState before, GraphicsState now)
    {
        var stays = words.Contains(o.Index);
        switch (o.Op)
        {
            case var paint when paint.PaintsPath():
                if (stays) _to.Same(o);
                else _to.Op(Operator.EndPath).Break();
                break;
            case Operator.XObject or Operator.Shading:
                if (stays) _to.Same(o);
                break;
            case Operator.BeginInlineImage:
                break;
            // Where words end is where the next begin: they are set, and not seen.
            case var show when show.ShowsText():
                if (!stays) _to.Op(Operator.RenderingMode, 3).Break();
                _to.Same(o);
                if (!stays) _to.Op(Operator.RenderingMode, now.Text.RenderingMode).Break();
                break;
            default:
                _to.Same(o);
                break;
        }
    }
}

internal static class SameContent
{
    /// <summary>An operator as it stood, on a line of its own.</summary>
    public static void Same(this ContentWriter to, Operation o)
    {
        foreach (var operand in o.Operands) to.Raw(o.Lexer.Raw(operand));
        to.Raw(o.Lexer.Raw(o.Token)).Break();
    }
}
