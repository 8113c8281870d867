namespace Lumbeck.Running;

/// <summary>
/// A file that can be read for so long and no longer: a reader that is led astray by a damaged or hostile file, and
/// searches all of it for what is not there, is stopped.
/// </summary>
/// <param name="file">The file.</param>
/// <param name="most">Processor time of the thread that reads.</param>
/// <param name="cancel">Whoever asked has gone.</param>
public sealed class BoundedStream(Stream file, TimeSpan most, CancellationToken cancel = default) : Stream
{
    /// <summary>A reader takes a byte at a time: what a clock costs is asked of one in so many.</summary>
    private const int Between = 1024;

    private readonly ThreadCpuTime _own = new();
    private int _reads;

    /// <summary>
    /// Most time to find out where the parts of a file are; a sound file of 500 MB takes a fraction of it.
    /// </summary>
    public static readonly TimeSpan Opening = TimeSpan.FromSeconds(2);

    /// <summary>Once its parts are found: it may be read for so long in all.</summary>
    public void Allow(TimeSpan all) => _most = all;

    /// <summary>
    /// Whether the words that say where a PDF’s parts are stand at its end (ISO 32000-1, 7.5.5): they do not in one that
    /// was cut off, which a reader would search through for nothing. The place is left as it was.
    /// </summary>
    public static bool EndsAsPdf(Stream file)
    {
        var (was, tail) = (file.Position, new byte[Math.Min(file.Length, 1 << 16)]);
        file.Position = file.Length - tail.Length;
        file.ReadExactly(tail);
        file.Position = was;
        return tail.AsSpan().LastIndexOf("startxref"u8) >= 0;
    }

    private TimeSpan _most = most;

    public override bool CanRead => true;
    public override bool CanSeek => true;
    public override bool CanWrite => false;
    public override long Length => file.Length;
    public override long Position { get => file.Position; set => file.Position = value; }
    public override int Read(byte[] buffer, int offset, int count) => Read(buffer.AsSpan(offset, count));

    /// <exception cref="TimeoutException">Its time is over.</exception>
    /// <exception cref="OperationCanceledException">Whoever asked has gone.</exception>
    public override int Read(Span<byte> buffer)
    {
        Look();
        return file.Read(buffer);
    }

    /// <inheritdoc cref="Read(Span{byte})"/>
    public override int ReadByte()
    {
        Look();
        return file.ReadByte();
    }

    private void Look()
    {
        if (_reads++ % Between != 0) return;
        cancel.ThrowIfCancellationRequested();
        if (_own.Spent > _most) throw new TimeoutException();
    }

    public override long Seek(long offset, SeekOrigin origin) => file.Seek(offset, origin);
    public override void Flush() { }
    public override void SetLength(long value) => throw new NotSupportedException();
    public override void Write(byte[] buffer, int offset, int count) => throw new NotSupportedException();
}
