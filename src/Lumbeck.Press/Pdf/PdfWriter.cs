using System.IO.Compression;
using System.Security.Cryptography;
using System.Text;

namespace Lumbeck.Press.Pdf;

/// <summary>
/// Writes a PDF's objects as they come, then its cross-reference table (ISO 32000-1, 7.5). Nothing is kept but offsets:
/// a stream's length follows it as an object of its own. The file's ID is the MD5 of all that precedes the table, so
/// the same
/// objects give the same bytes.
/// </summary>
public sealed class PdfWriter : IDisposable
{
    private readonly Stream _out;
    private readonly List<long> _offsets = [];
    private readonly IncrementalHash _hash = IncrementalHash.CreateHash(HashAlgorithmName.MD5);
    private long _position;

    /// <param name="output">Written to from front to back; not closed.</param>
    /// <param name="version">Such as <c>1.6</c>.</param>
    public PdfWriter(Stream output, string version)
    {
        _out = output;
        Write($"%PDF-{version}\n%");
        // Four bytes above 127 tell transfer programs that the file is binary (7.5.2).
        Write([0xE2, 0xE3, 0xCF, 0xD3, (byte)'\n']);
    }

    /// <summary>An object number, to be written later.</summary>
    public int Reserve()
    {
        _offsets.Add(-1);
        return _offsets.Count;
    }

    /// <summary>Writes a reserved object.</summary>
    public int Object(int number, string body)
    {
        Begin(number);
        Write(body);
        Write("\nendobj\n");
        return number;
    }

    public int Object(string body) => Object(Reserve(), body);

    /// <summary>Writes a stream, Flate-compressed unless asked not to be.</summary>
    /// <param name="number">A reserved number.</param>
    /// <param name="entries">Dictionary entries besides length and filter.</param>
    /// <param name="fill">Writes the stream's data.</param>
    /// <param name="compress">False only for what other programs must find by reading bytes, such as XMP.</param>
    /// <param name="level">How hard it is compressed.</param>
    public int Stream(int number, string entries, Action<Stream> fill, bool compress = true,
        CompressionLevel level = CompressionLevel.Optimal)
    {
        var length = Reserve();
        Begin(number);
        Write($"<< {entries} {(compress ? "/Filter /FlateDecode " : "")}/Length {length} 0 R >>\nstream\n");
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
        Write("\nendstream\nendobj\n");
        Object(length, written.ToString(CultureInfo.InvariantCulture));
        return number;
    }

    public int Stream(string entries, Action<Stream> fill, bool compress = true,
        CompressionLevel level = CompressionLevel.Optimal) => Stream(Reserve(), entries, fill, compress, level);

    /// <summary>Ends the file: cross-reference table and trailer.</summary>
    /// <exception cref="InvalidOperationException">An object was reserved and never written.</exception>
    public void Finish(int catalog, int info)
    {
        if (_offsets.IndexOf(-1) is >= 0 and var missing)
            throw new InvalidOperationException($"Object {missing + 1} was reserved and never written.");
        var id = Convert.ToHexString(_hash.GetCurrentHash());
        var at = _position;
        var s = new StringBuilder()
            .Append(CultureInfo.InvariantCulture, $"xref\n0 {_offsets.Count + 1}\n0000000000 65535 f \n");
        foreach (var offset in _offsets) s.Append(CultureInfo.InvariantCulture, $"{offset:0000000000} 00000 n \n");
        s.Append(CultureInfo.InvariantCulture,
            $"trailer\n<< /Size {_offsets.Count + 1} /Root {catalog} 0 R /Info {info} 0 R /ID [<{id}> <{id}>] " +
                $">>\nstartxref\n{at}\n%%EOF\n");
        Write(s.ToString());
        _out.Flush();
    }

    public void Dispose() => _hash.Dispose();

    private void Begin(int number)
    {
        if (_offsets[number - 1] >= 0) throw new InvalidOperationException($"Object {number} was written twice.");
        _offsets[number - 1] = _position;
        Write($"{number.ToString(CultureInfo.InvariantCulture)} 0 obj\n");
    }

    private void Write(string ascii) => Write(Encoding.Latin1.GetBytes(ascii));

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
