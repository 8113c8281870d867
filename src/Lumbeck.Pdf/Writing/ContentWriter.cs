using System.Buffers;
using System.Security.Cryptography;
using System.Text;
using Lumbeck.Pdf.Content;

namespace Lumbeck.Pdf.Writing;

/// <summary>
/// Content, operator by operator (ISO 32000-2, 7.8.2): operands, then what is done with them. Operators follow each
/// other on a line until <see cref="Break"/> ends it.
/// </summary>
public sealed class ContentWriter
{
    private readonly ArrayBufferWriter<byte> _to;
    private bool _gap;

    public ContentWriter(int capacity = 256) => _to = new(capacity);

    public ReadOnlyMemory<byte> Written => _to.WrittenMemory;

    public bool IsEmpty => _to.WrittenCount == 0;

    /// <summary>What is the same for the same content, and for no other.</summary>
    public string Key() => Convert.ToHexString(SHA256.HashData(_to.WrittenSpan));

    /// <summary>Ends a line.</summary>
    public ContentWriter Break()
    {
        _to.Write("\n"u8);
        _gap = false;
        return this;
    }

    /// <summary>An operator after its operands.</summary>
    public ContentWriter Op(Operator op) => Raw(op.Token());

    public ContentWriter Op(Operator op, params ReadOnlySpan<double> operands)
    {
        foreach (var operand in operands) Number(operand);
        return Raw(op.Token());
    }

    /// <summary>An operator whose operand is the name of a resource.</summary>
    public ContentWriter Op(Operator op, string name) => Name(name).Raw(op.Token());

    public ContentWriter Number(double value, int places = 4)
    {
        Gap();
        PdfSyntax.Number(_to, value, places);
        return this;
    }

    public ContentWriter Name(string name)
    {
        Gap();
        PdfSyntax.Name(_to, name);
        return this;
    }

    public ContentWriter Object(PdfObject o)
    {
        Gap();
        PdfSyntax.Write(_to, o);
        return this;
    }

    /// <summary>A token as it stands.</summary>
    public ContentWriter Raw(ReadOnlySpan<byte> token)
    {
        Gap();
        _to.Write(token);
        return this;
    }

    /// <summary>Other content, whole lines of it.</summary>
    public ContentWriter Append(ContentWriter other)
    {
        if (_gap && !other.IsEmpty) _to.Write(" "u8);
        _to.Write(other._to.WrittenSpan);
        _gap = other._gap;
        return this;
    }

    private void Gap()
    {
        if (_gap) _to.Write(" "u8);
        _gap = true;
    }

    public ContentWriter Save() => Op(Operator.Save);
    public ContentWriter Restore() => Op(Operator.Restore);

    /// <summary>Places what follows; shares to so many places, for a small unit may be carried far.</summary>
    public ContentWriter Concat(PdfMatrix m, int places = 8) => Number(m.A, places).Number(m.B, places)
        .Number(m.C, places).Number(m.D, places).Number(m.E, places > 8 ? places : 4)
        .Number(m.F, places > 8 ? places : 4).Op(Operator.ConcatMatrix);

    public ContentWriter State(string name) => Op(Operator.GraphicsStateParameters, name);
    public ContentWriter XObject(string name) => Op(Operator.XObject, name);
    public ContentWriter Rectangle(double x, double y, double wide, double high) =>
        Op(Operator.Rectangle, x, y, wide, high);

    /// <summary>Clips to the path, and ends it.</summary>
    public ContentWriter ClipToPath(bool evenOdd = false) =>
        Op(evenOdd ? Operator.ClipEvenOdd : Operator.Clip).Op(Operator.EndPath);

    public ContentWriter Fill(bool evenOdd = false) => Op(evenOdd ? Operator.FillEvenOdd : Operator.Fill);

    /// <summary>A straight line, stroked.</summary>
    public ContentWriter Line(double x1, double y1, double x2, double y2) =>
        Op(Operator.MoveTo, x1, y1).Op(Operator.LineTo, x2, y2).Op(Operator.Stroke);

    /// <summary>Dashes and gaps (8.4.3.6); none for a line without.</summary>
    public ContentWriter Dash(ReadOnlySpan<double> dashes, double phase = 0) =>
        Object(PdfArray.Of(dashes)).Op(Operator.DashPattern, phase);

    /// <summary>Tints in a colour space of the resources (8.6.8).</summary>
    public ContentWriter Tint(string space, bool stroke, params ReadOnlySpan<double> tints) =>
        Op(stroke ? Operator.StrokeColorSpace : Operator.FillColorSpace, space)
            .Op(stroke ? Operator.StrokeColorN : Operator.FillColorN, tints);

    /// <summary>A pattern of the resources with colours of its own (8.7.2).</summary>
    public ContentWriter Pattern(string name, bool stroke = false) =>
        Op(stroke ? Operator.StrokeColorSpace : Operator.FillColorSpace, "Pattern")
            .Op(stroke ? Operator.StrokeColorN : Operator.FillColorN, name);

    public ContentWriter Font(string name, double size) => Name(name).Op(Operator.Font, size);

    /// <summary>Letters by what they mean (14.9.4), until the mark ends.</summary>
    public ContentWriter BeginActualText(string letters) =>
        Name("Span").Object(new PdfDict { ["ActualText"] = PdfString.Text(letters) }).Op(Operator.BeginMarkedProperties);

    public ContentWriter EndMarked() => Op(Operator.EndMarked);

    public override string ToString() => Encoding.Latin1.GetString(_to.WrittenSpan);
}

/// <summary>
/// Glyphs of two bytes each with what moves the pen between them (ISO 32000-2, 9.4.3): an operand of
/// <see cref="Operator.ShowTextAdjusted"/>.
/// </summary>
public sealed class GlyphRun
{
    private readonly ArrayBufferWriter<byte> _to = new(256);

    public bool IsEmpty => _to.WrittenCount == 0;

    public void Add(ushort glyph)
    {
        var span = _to.GetSpan(6);
        if (IsEmpty) { "[<"u8.CopyTo(span); _to.Advance(2); span = _to.GetSpan(4); }
        for (var n = 0; n < 4; n++) span[n] = "0123456789ABCDEF"u8[(glyph >> (12 - (4 * n))) & 15];
        _to.Advance(4);
    }

    /// <summary>Moves the pen back by so many thousandths of the size, to two places.</summary>
    public void Adjust(double thousandths)
    {
        if (IsEmpty) _to.Write("[<"u8);
        _to.Write("> "u8);
        PdfSyntax.Number(_to, thousandths, 4);
        _to.Write(" <"u8);
    }

    /// <summary>Shows them, and begins anew.</summary>
    public void Show(ContentWriter content)
    {
        _to.Write(">]"u8);
        content.Raw(_to.WrittenSpan).Op(Operator.ShowTextAdjusted);
        _to.ResetWrittenCount();
    }
}
