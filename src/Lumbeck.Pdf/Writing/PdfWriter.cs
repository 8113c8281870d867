using System.Buffers;
using System.IO.Compression;
using System.Security.Cryptography;
using System.Text;

namespace Lumbeck.Pdf.Writing;

/// <summary>
/// Writes a PDF's objects as they come, then its cross-reference table (ISO 32000-2, 7.5). Nothing is kept but
/// offsets: a stream's length follows it as an object of its own. The file's ID is the MD5 of all that precedes the
/// table, so the same objects give the same bytes.
/// </summary>
public sealed class PdfWriter : IDisposable
{
    private readonly Stream _out;
    private readonly List<long> _offsets = [];
    private readonly IncrementalHash _hash = IncrementalHash.CreateHash(HashAlgorithmName.MD5);
    private readonly ArrayBufferWriter<byte> _said = new(512);
    private long _position;

    /// <param name="output">Written to from front to back; not closed.</param>
    /// <param name="version">Such as <c>1.6</c>.</param>
    public PdfWriter(Stream output, string version)
    {
        _out = output;
        Write(Encoding.ASCII.GetBytes($"%PDF-{version}\n%"));
        // Four bytes above 127 tell transfer programs that the file is binary (7.5.2).
        Write([0xE2, 0xE3, 0xCF, 0xD3, (byte)'\n']);
    }

    /// <summary>A reference to an object that is written later.</summary>
    public PdfRef Reserve()
    {
        _offsets.Add(-1);
        return new(_offsets.Count);
    }

    /// <summary>Writes a reserved object.</summary>
    /// <exception cref="InvalidOperationException">It is written already.</exception>
    public PdfRef Object(PdfRef at, PdfObject value)
    {
        Begin(at);
        PdfSyntax.Write(_said, value);
        _said.Write("\nendobj\n"u8);
        Flush();
        return at;
    }

    public PdfRef Object(PdfObject value) => Object(Reserve(), value);

    /// <summary>Writes a stream, Flate-compressed unless asked not to be.</summary>
    /// <param name="at">A reserved reference.</param>
    /// <param name="dict">Its entries besides length, and besides the filter where it is compressed here.</param>
    /// <param name="fill">Writes the stream's data.</param>
    /// <param name="compress">False for what is packed already, and for what other programs must find by reading bytes,
    /// such as XMP.</param>
    /// <param name="level">How hard it is compressed.</param>
    public PdfRef Stream(PdfRef at, PdfDict dict, Action<Stream> fill, bool compress = true,
        CompressionLevel level = CompressionLevel.Optimal)
    {
        var length = Reserve();
        Begin(at);
        var entries = new PdfDict(dict);
        if (compress) entries.Set("Filter", "FlateDecode");
        PdfSyntax.Dict(_said, entries.Set("Length", length));
        _said.Write("\nstream\n"u8);
        Flush();
        var from = _position;
        var raw = new Counted(this);
        if (compress)
        {
            using (var z = new ZLibStream(raw, level, leaveOpen: true)) fill(z);
            // Of nothing the packer writes nothing, which is no stream: an empty one has its own six bytes (RFC 1950).
            if (_position == from) Write([0x78, 0x9C, 0x03, 0x00, 0x00, 0x00, 0x00, 0x01]);
        }
        else fill(raw);
        var written = _position - from;
        Write("\nendstream\nendobj\n"u8);
        Object(length, new PdfNumber(written, 0));
        return at;
    }

    public PdfRef Stream(PdfDict dict, Action<Stream> fill, bool compress = true,
        CompressionLevel level = CompressionLevel.Optimal) => Stream(Reserve(), dict, fill, compress, level);

    /// <summary>Writes a stream of what is at hand.</summary>
    public PdfRef Stream(PdfDict dict, ReadOnlyMemory<byte> data, CompressionLevel level = CompressionLevel.Optimal) =>
        Stream(Reserve(), dict, s => s.Write(data.Span), compress: true, level);

    /// <summary>Ends the file: cross-reference table and trailer (7.5.4, 7.5.5).</summary>
    /// <exception cref="InvalidOperationException">An object was reserved and never written.</exception>
    public void Finish(PdfRef catalog, PdfRef info)
    {
        if (_offsets.IndexOf(-1) is >= 0 and var missing)
            throw new InvalidOperationException($"Object {missing + 1} was reserved and never written.");
        var id = PdfString.Hex(_hash.GetCurrentHash());
        var at = _position;
        var s = new StringBuilder()
            .Append(CultureInfo.InvariantCulture, $"xref\n0 {_offsets.Count + 1}\n0000000000 65535 f \n");
        foreach (var offset in _offsets) s.Append(CultureInfo.InvariantCulture, $"{offset:0000000000} 00000 n \n");
        Write(Encoding.ASCII.GetBytes(s.Append("trailer\n").ToString()));
        PdfSyntax.Dict(_said, new()
        {
            ["Size"] = _offsets.Count + 1,
            ["Root"] = catalog,
            ["Info"] = info,
            ["ID"] = PdfArray.Of(id, id),
        });
        Flush();
        Write(Encoding.ASCII.GetBytes(string.Create(CultureInfo.InvariantCulture, $"\nstartxref\n{at}\n%%EOF\n")));
        _out.Flush();
    }

    public void Dispose() => _hash.Dispose();

    private void Begin(PdfRef at)
    {
        if (_offsets[at.Number - 1] >= 0) throw new InvalidOperationException($"Object {at.Number} was written twice.");
        _offsets[at.Number - 1] = _position;
        PdfSyntax.Number(_said, at.Number, 0);
        _said.Write(" 0 obj\n"u8);
    }

    private void Flush()
    {
        Write(_said.WrittenSpan);
        _said.ResetWrittenCount();
    }

    private void Write(ReadOnlySpan<byte> bytes)
    {
        _out.Write(bytes);
        _hash.AppendData(bytes);
        _position += bytes.Length;
    }

    private sealed class Counted(PdfWriter writer) : Stream
    {
        public override bool CanRead => false;
        public override bool CanSeek => false;
        public override bool CanWrite => true;
        public override long Length => throw new NotSupportedException();
        public override long Position
        {
            get => throw new NotSupportedException();
            set => throw new NotSupportedException();
        }
        public override void Flush() { }
        public override void Write(byte[] buffer, int offset, int count) => writer.Write(buffer.AsSpan(offset, count));
        public override void Write(ReadOnlySpan<byte> buffer) => writer.Write(buffer);
        public override int Read(byte[] buffer, int offset, int count) => throw new NotSupportedException();
        public override long Seek(long offset, SeekOrigin origin) => throw new NotSupportedException();
        public override void SetLength(long value) => throw new NotSupportedException();
    }
}
