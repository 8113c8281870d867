using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using CsvHelper;
using CsvHelper.Configuration;
using Lumbeck.Caching;
using Lumbeck.Store;

namespace Lumbeck.Desk.Assets;

/// <summary>The drawer's tables: CSV files (RFC 4180), kept untouched, and calendar files as the table of their days.</summary>
public sealed class TableDesk : ITables
{
    /// <summary>Largest file, and most rows and columns of it.</summary>
    public const int MostBytes = 8_000_000, MostRows = 20_000, MostColumns = 100;

    private readonly TableShelf _rows;
    private readonly FileShelf _files;
    private readonly ByteCache<string, Told> _read = new(16_000_000, t => t.Bytes);

    private sealed record Told(ImmutableArray<ImmutableArray<string>> Rows, long Bytes);

    internal TableDesk(JobStore store) => (_rows, _files) = (new(store), new(Path.Combine(store.Folder, "tables")));

    public IReadOnlyList<TableRow> All() => _rows.All();

    /// <summary>A kept table as runs name it; null where it is not here.</summary>
    public TableRef? Kept(string hash) => _rows.Find(hash) is { } row
        ? new(row.Hash, row.Name, (int)row.Rows, [.. JsonSerializer.Deserialize<string[]>(row.Heads) ?? []])
        : null;

    public string PathOf(string hash) => _files.PathOf(hash);

    public ImmutableArray<ImmutableArray<string>>? Rows(string hash)
    {
        if (_read.TryGet(hash, out var known)) return known.Rows;
        if (_rows.Find(hash) is not { } row || !File.Exists(_files.PathOf(hash))) return null;
        using var file = _files.Open(hash);
        var (_, rows) = Read(file, row.Name);
        return _read.Keep(hash, new(rows, row.Bytes * 3)).Rows;
    }

    /// <summary>Takes a table in.</summary>
    /// <exception cref="Refusal">It is too large, no text, empty, or has rows that don’t go with its heads.</exception>
    public TableRef TakeIn(Stream upload, string name)
    {
        var called = Plain.Line(Path.GetFileName(name.Replace('\\', '/'))) is { Length: > 0 } n
            ? n.Length > 80
            ? n[..80]
            : n
            : "table.csv";
        using var all = new MemoryStream();
        var buffer = new byte[1 << 16];
        for (int read; (read = upload.Read(buffer)) > 0;)
        {
            all.Write(buffer, 0, read);
            if (all.Length > MostBytes)
                throw new Refusal("table", $"{called} is over {MostBytes / 1_000_000} MB: leave out what no page says");
        }
        var bytes = all.ToArray();
        if (CalendarFile.IsOne(bytes)) bytes = CalendarFile.AsTable(bytes, called);
        var (heads, rows) = Read(new MemoryStream(bytes), called);
        var (hash, length) = _files.Keep(s => s.Write(bytes));
        _rows.Add(new()
        {
            Hash = hash,
            Name = called,
            Rows = rows.Length,
            Heads = JsonSerializer.Serialize(heads),
            Bytes = length
        });
        return Kept(hash)!;
    }

    /// <summary>The hash that a file of these bytes goes by.</summary>
    public static string HashOf(byte[] bytes) => Convert.ToHexStringLower(SHA256.HashData(bytes));

    /// <summary>Reads a table by itself, without keeping it.</summary>
    /// <exception cref="Refusal">It can't be read, and why.</exception>
    public static (TableRef Table, ImmutableArray<ImmutableArray<string>> Rows) Open(byte[] file, string name)
    {
        if (CalendarFile.IsOne(file)) file = CalendarFile.AsTable(file, name);
        var (heads, rows) = Read(new MemoryStream(file), name);
        return (new(HashOf(file), name, rows.Length, [.. heads]), rows);
    }

    private static (string[] Heads, ImmutableArray<ImmutableArray<string>> Rows) Read(Stream file, string name)
    {
        Refusal no(string why) => new("table", $"{name} {why}");
        try
        {
            using var text = new StreamReader(file, new UTF8Encoding(false, throwOnInvalidBytes: true),
                detectEncodingFromByteOrderMarks: true, leaveOpen: true);
            using var csv = new CsvParser(text, new CsvConfiguration(CultureInfo.InvariantCulture)
            {
                DetectDelimiter = true,
                DetectDelimiterValues = [",", ";", "\t"],
                MaxFieldSize = 20_000,
                BadDataFound = c => throw no($"has a quote in the middle of a cell on row {c.Context.Parser?.RawRow}: write it twice"),
                TrimOptions = TrimOptions.Trim,
            });
            if (!csv.Read() || csv.Record is not { Length: > 0 } heads)
                throw no("is empty: its first row are its heads");
            heads = [.. heads.Select(Plain.Line)];
            if (heads.Length > MostColumns) throw no($"has {heads.Length} columns: up to {MostColumns} are read");
            if (heads.All(h => h.Length == 0)) throw no("has no heads: its first row are its heads");
            var rows = ImmutableArray.CreateBuilder<ImmutableArray<string>>();
            while (csv.Read())
            {
                if (csv.Record is not { } cells || cells.All(c => c.Length == 0)) continue;
                if (cells.Length != heads.Length)
                    throw no($"has {cells.Length} cells on row {csv.RawRow}, where its heads are {heads.Length}: " +
                        $"mend that row");
                if (rows.Count == MostRows) throw no($"has over {MostRows} rows: part it");
                rows.Add([.. cells.Select(c => Plain.Text(c).Trim())]);
            }
            return rows.Count > 0
                ? (heads, rows.ToImmutable())
                : throw no("has heads and no rows: each row makes a page");
        }
        catch (DecoderFallbackException) { throw no("is no text in UTF-8: save it as CSV in UTF-8"); }
        catch (CsvHelperException e) { throw no($"can’t be read as CSV near row {e.Context?.Parser?.RawRow ?? 1}"); }
    }
}
