namespace Lumbeck.Intake.Opening;

/// <summary>
/// A file that can be read for so long and no longer: a reader that is led astray by a damaged or hostile file, and
/// searches all of it for what is not there, is stopped.
/// </summary>
internal sealed class Rationed(Stream file, TimeSpan most, CancellationToken cancel = default) : Stream
{
    private readonly OwnTime _own = new();

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
        cancel.ThrowIfCancellationRequested();
        return _own.Spent <= most ? file.Read(buffer) : throw new TimeoutException();
    }

    public override long Seek(long offset, SeekOrigin origin) => file.Seek(offset, origin);
    public override void Flush() { }
    public override void SetLength(long value) => throw new NotSupportedException();
    public override void Write(byte[] buffer, int offset, int count) => throw new NotSupportedException();
}
