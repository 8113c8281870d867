using System.IO.Compression;
using UglyToad.PdfPig.Filters;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Intake.Opening;

/// <summary>
/// Filters that stop when a file unpacks to more than reception looks at: a few kilobytes can say they are gigabytes.
/// </summary>
/// <param name="most">All streams together, in bytes; reception's own measure where null.</param>
/// <param name="cancel">Whoever asked has gone.</param>
internal sealed class BoundedFilters(long? most = null, CancellationToken cancel = default) : IFilterProvider
{
    /// <summary>All streams together, in bytes, before it is known how large the pages are.</summary>
    public const long Most = 160_000_000;

    private readonly IFilterProvider _all = DefaultFilterProvider.Instance;
    private long _left = most ?? Most;
    private readonly CancellationToken _cancel = cancel;

    /// <summary>From here on no more than so many bytes.</summary>
    public void Narrow(long bytes) => _left = Math.Min(_left, bytes);

    /// <summary>
    /// Allows as much more as a page of this many square inches may need: three layers of four inks at 400 pixels an
    /// inch.
    /// </summary>
    public void Allow(double squareInches) => _left += (long)(Math.Clamp(squareInches, 0, 2000) * 400 * 400 * 4 * 3);

    public IReadOnlyList<IFilter> GetFilters(DictionaryToken dictionary) => Rationed(_all.GetFilters(dictionary));
    public IReadOnlyList<IFilter> GetNamedFilters(IReadOnlyList<NameToken> names) =>
        Rationed(_all.GetNamedFilters(names));
    public IReadOnlyList<IFilter> GetAllFilters() => _all.GetAllFilters();

    private List<IFilter> Rationed(IReadOnlyList<IFilter> filters) => [.. filters.Select(f => new One(f, this))];

    private sealed class One(IFilter inner, BoundedFilters ration) : IFilter
    {
        public bool IsSupported => inner.IsSupported;

        public Memory<byte> Decode(Memory<byte> input, DictionaryToken streamDictionary, IFilterProvider filterProvider,
            int filterIndex)
        {
            ration._cancel.ThrowIfCancellationRequested();
            if (inner is FlateFilter) Measure(input);
            var unpacked = inner.Decode(input, streamDictionary, filterProvider, filterIndex);
            return (ration._left -= unpacked.Length) >= 0 ? unpacked : throw new BoundsExceededException();
        }

        /// <summary>How much a stream unpacks to, without keeping it.</summary>
        private void Measure(Memory<byte> input)
        {
            var (left, buffer) = (ration._left, new byte[65_536]);
            try
            {
                using var z = new ZLibStream(new MemoryStream(input.ToArray()), CompressionMode.Decompress);
                for (int read; (read = z.Read(buffer)) > 0;)
                {
                    ration._cancel.ThrowIfCancellationRequested();
                    if ((left -= read) < 0) throw new BoundsExceededException();
                }
            }
            catch (InvalidDataException) { /* the filter itself says so */ }
        }
    }
}

/// <summary>A file holds more than reception looks at.</summary>
internal sealed class BoundsExceededException() : Exception("It unpacks to more than is looked at.");
