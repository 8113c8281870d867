using System.Buffers;
using System.Buffers.Text;
using System.Text;

namespace Lumbeck.Pdf.Writing;

/// <summary>Objects as a PDF writes them (ISO 32000-2, 7.3).</summary>
public static class PdfSyntax
{
    private static readonly double[] Tens = [1, 10, 100, 1e3, 1e4, 1e5, 1e6, 1e7, 1e8, 1e9, 1e10, 1e11, 1e12];

    /// <summary>A number to so many places, never with an exponent, and without what says nothing.</summary>
    /// <param name="value">Finite.</param>
    /// <param name="places">0 to 12.</param>
    public static void Number(IBufferWriter<byte> to, double value, int places = 4)
    {
        var (scale, at) = (Tens[places], 0);
        var span = to.GetSpan(40);
        var whole = Math.Round(value * scale);
        // Beyond what a double holds exactly it is written as the library does.
        if (!(Math.Abs(whole) < 1e15))
        {
            var rounded = Math.Round(value, places);
            var said = rounded.ToString("0." + new string('#', places), CultureInfo.InvariantCulture);
            to.Write(Encoding.ASCII.GetBytes(said));
            return;
        }
        var all = (long)whole;
        if (all == 0) { span[0] = (byte)'0'; to.Advance(1); return; }
        if (all < 0) { span[at++] = (byte)'-'; all = -all; }
        var unit = (long)scale;
        var (before, after) = Math.DivRem(all, unit);
        Utf8Formatter.TryFormat(before, span[at..], out var written);
        at += written;
        if (after != 0)
        {
            span[at++] = (byte)'.';
            for (unit /= 10; after != 0; unit /= 10)
            {
                span[at++] = (byte)('0' + (after / unit));
                after %= unit;
            }
        }
        to.Advance(at);
    }

    /// <summary>An object with all that is in it; what it refers to stays a reference.</summary>
    public static void Write(IBufferWriter<byte> to, PdfObject o)
    {
        switch (o)
        {
            case PdfName name: Name(to, name.Value); break;
            case PdfNumber number: Number(to, number.Value, number.Places); break;
            case PdfRef r:
                Number(to, r.Number, 0);
                to.Write(" "u8);
                Number(to, r.Generation, 0);
                to.Write(" R"u8);
                break;
            case PdfString s: String(to, s); break;
            case PdfBoolean b: to.Write(b.Value ? "true"u8 : "false"u8); break;
            case PdfArray array:
                to.Write("["u8);
                for (var n = 0; n < array.Items.Count; n++)
                {
                    if (n > 0) to.Write(" "u8);
                    Write(to, array.Items[n]);
                }
                to.Write("]"u8);
                break;
            case PdfDict dict: Dict(to, dict); break;
            case PdfStream: throw new ArgumentException("a stream is an indirect object, and is named by its reference");
            default: to.Write("null"u8); break;
        }
    }

    public static void Dict(IBufferWriter<byte> to, PdfDict dict)
    {
        to.Write("<< "u8);
        foreach (var (key, value) in dict)
        {
            Name(to, key);
            to.Write(" "u8);
            Write(to, value);
            to.Write(" "u8);
        }
        to.Write(">>"u8);
    }

    /// <summary>A name with its slash: what is no regular character by its number (7.3.5).</summary>
    public static void Name(IBufferWriter<byte> to, string name)
    {
        to.Write("/"u8);
        foreach (var b in Encoding.UTF8.GetBytes(name))
            if (IsRegular(b)) to.Write([b]);
            else to.Write(Encoding.ASCII.GetBytes($"#{b:X2}"));
    }

    private static bool IsRegular(byte b) => b is > 32 and < 127 && !"()<>[]{}/%#"u8.Contains(b);

    public static void String(IBufferWriter<byte> to, PdfString s)
    {
        if (s.IsHex)
        {
            to.Write("<"u8);
            to.Write(Encoding.ASCII.GetBytes(Convert.ToHexString(s.Bytes)));
            to.Write(">"u8);
            return;
        }
        to.Write("("u8);
        foreach (var b in s.Bytes)
        {
            if (b is (byte)'\\' or (byte)'(' or (byte)')') to.Write("\\"u8);
            to.Write([b]);
        }
        to.Write(")"u8);
    }
}
