namespace Lumbeck.Intake.Opening;

/// <summary>
/// A file that can be read for so long and no longer: a reader that is led astray by a damaged or hostile file, and
/// searches all of it for what is not there, is stopped.
/// </summary>
internal sealed class Rationed(Stream file, TimeSpan most, CancellationToken cancel = default) : Stream
{
    /// <summary>A reader takes a byte at a time: what a clock costs is asked of one in so many.</summary>
    private const int Between = 1024;

    private readonly OwnTime _own = new();
    private int _reads;

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
        if (_own.Spent > most) throw new TimeoutException();
    }

    public override long Seek(long offset, SeekOrigin origin) => file.Seek(offset, origin);
    public override void Flush() { }
    public override void SetLength(long value) => throw new NotSupportedException();
    public override void Write(byte[] buffer, int offset, int count) => throw new NotSupportedException();
}
