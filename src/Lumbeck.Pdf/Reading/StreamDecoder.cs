using System.IO.Compression;
using UglyToad.PdfPig.Filters;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Pdf.Reading;

/// <summary>
/// Streams unpacked (ISO 32000-1, 7.4) within bounds: a few kilobytes can say they are gigabytes. Flate is unpacked
/// here, so that it ends in time; samples in a picture's own coding stay as they are.
/// </summary>
public sealed class StreamDecoder(CancellationToken cancel)
{
    /// <summary>Of one stream, in bytes: of a picture's samples, and of anything else.</summary>
    public const int Most = 256_000_000, MostWords = 64_000_000;

    public CancellationToken Cancel => cancel;

    /// <summary>All that a stream says, unpacked.</summary>
    /// <exception cref="PdfReadException">It is more than is taken, or in a coding of pictures.</exception>
    public byte[] All(PdfFile file, PdfStream stream)
    {
        var (bytes, left) = DecodeUntilImage(file, stream, MostWords);
        return left is null ? bytes : throw new PdfReadException($"a stream is packed as {left}, which is for pictures");
    }

    /// <summary>A stream unpacked as far as a picture's own coding; that coding, where there is one.</summary>
    public (byte[] Bytes, string? Coding) DecodeUntilImage(PdfFile file, PdfStream stream, int most = Most)
    {
        var d = stream.Dict;
        List<string> filters = [.. Listed(file, d, "Filter", "F").OfType<PdfName>().Select(n => n.Value)];
        var settings = Listed(file, d, "DecodeParms", "DP").Select(PdfFile.Dict).ToList();
        var bytes = stream.Data.ToArray();
        foreach (var (n, filter) in filters.Index())
        {
            cancel.ThrowIfCancellationRequested();
            var how = n < settings.Count ? settings[n] : null;
            switch (filter)
            {
                case "FlateDecode" or "Fl":
                    bytes = Predicted(file, Inflated(bytes, most), how);
                    break;
                case "Crypt":
                    break;
                case "DCTDecode" or "DCT" or "JPXDecode" or "CCITTFaxDecode" or "CCF" or "JBIG2Decode":
                    return (bytes, filter switch { "DCT" => "DCTDecode", "CCF" => "CCITTFaxDecode", _ => filter });
                default:
                    bytes = ByLibrary(file, bytes, filter, how);
                    break;
            }
            if (bytes.Length > most) throw TooMuch(most);
        }
        return (bytes, null);
    }

    private static IEnumerable<PdfObject?> Listed(PdfFile file, PdfDict d, string key, string brief) =>
        file.Get(d, key, brief) switch
        {
            null => [],
            PdfArray a => a.Items.Select(file.Resolve),
            var one => [one],
        };

    private byte[] Inflated(byte[] packed, int most)
    {
        // In pieces, so that no more is held than twice what comes out.
        var (pieces, all, piece, read) = (new List<byte[]>(), 0L, new byte[1 << 18], 0);
        try
        {
            using var z = new ZLibStream(new MemoryStream(packed), CompressionMode.Decompress);
            for (int n; (n = z.Read(piece, read, piece.Length - read)) > 0;)
            {
                cancel.ThrowIfCancellationRequested();
                if ((all += n) > most) throw TooMuch(most);
                if ((read += n) < piece.Length) continue;
                pieces.Add(piece);
                (piece, read) = (new byte[1 << 18], 0);
            }
        }
        // What came before the damage is what other readers show, too.
        catch (InvalidDataException) { }
        pieces.Add(piece[..read]);
        var made = new byte[all];
        var at = 0;
        foreach (var part in pieces)
        {
            part.CopyTo(made, at);
            at += part.Length;
        }
        return made;
    }

    private static PdfReadException TooMuch(int most) =>
        new($"a stream of it unpacks to more than {most / 1_000_000} MB, which no page needs");

    /// <summary>Rows told by what differs from the row above or the sample before (7.4.4.4).</summary>
    private static byte[] Predicted(PdfFile file, byte[] data, PdfDict? how)
    {
        int of(string key, int usual) => (int)Math.Clamp(file.Number(how, key) ?? usual, 1, 1 << 20);
        var predictor = of("Predictor", 1);
        if (predictor == 1) return data;
        var (colours, bits, columns) = (of("Colors", 1), of("BitsPerComponent", 8), of("Columns", 1));
        var step = Math.Max(1, colours * bits / 8);
        var row = (int)((((long)colours * bits * columns) + 7) / 8);
        if (predictor == 2)
        {
            if (bits == 8)
                for (var at = 0; at + row <= data.Length; at += row)
                    for (var n = step; n < row; n++) data[at + n] += data[at + n - step];
            return data;
        }
        var rows = (data.Length + row) / (row + 1);
        var plain = new byte[(long)rows * row];
        for (var y = 0; y < rows; y++)
        {
            var from = y * (row + 1);
            var count = Math.Min(row, data.Length - from - 1);
            if (count <= 0) break;
            var (kind, to) = (data[from], y * row);
            for (var n = 0; n < count; n++)
            {
                int left = n >= step ? plain[to + n - step] : 0, up = y > 0 ? plain[to + n - row] : 0,
                    corner = n >= step && y > 0 ? plain[to + n - row - step] : 0;
                plain[to + n] = (byte)(data[from + 1 + n] + kind switch
                {
                    1 => left,
                    2 => up,
                    3 => (left + up) / 2,
                    4 => Nearest(left, up, corner),
                    _ => 0,
                });
            }
        }
        return plain;
    }

    private static int Nearest(int left, int up, int corner)
    {
        var guess = left + up - corner;
        var (a, b, c) = (Math.Abs(guess - left), Math.Abs(guess - up), Math.Abs(guess - corner));
        return a <= b && a <= c ? left : b <= c ? up : corner;
    }

    private static byte[] ByLibrary(PdfFile file, byte[] data, string filter, PdfDict? how)
    {
        // These grow by a bounded factor; what goes in is bounded, so that what comes out is.
        if (data.Length > Most / 8) throw TooMuch(Most);
        var solid = how is null ? null : new DictionaryToken(how.ToDictionary(e => NameToken.Create(e.Key),
            e => PdfPigObjects.Token(file.Resolve(e.Value) ?? e.Value)));
        var d = new DictionaryToken(new Dictionary<NameToken,
            IToken> { [NameToken.Filter] = NameToken.Create(filter) });
        if (solid is not null) d = d.With(NameToken.DecodeParms, solid);
        try
        {
            foreach (var one in DefaultFilterProvider.Instance.GetNamedFilters([NameToken.Create(filter)]))
                data = one.Decode(data, d, DefaultFilterProvider.Instance, 0).ToArray();
            return data;
        }
        catch (Exception e) when (e is not (OutOfMemoryException or OperationCanceledException))
        {
            throw new PdfReadException($"a stream is packed as `{Clip(filter)}`, which can’t be unpacked");
        }
    }

    private static string Clip(string name) => name.Length > 40 ? name[..40] + "…" : name;
}
