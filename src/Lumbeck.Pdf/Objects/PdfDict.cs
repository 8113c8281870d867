using System.Collections;

namespace Lumbeck.Pdf.Objects;

/// <summary>
/// A dictionary (ISO 32000-2, 7.3.7). Its entries keep the order they were first set in, so that the same object is the
/// same bytes; an entry set to nothing is not there.
/// </summary>
public sealed class PdfDict : PdfObject, IEnumerable<KeyValuePair<string, PdfObject>>
{
    private readonly OrderedDictionary<string, PdfObject> _entries;

    public PdfDict() => _entries = new(StringComparer.Ordinal);

    /// <summary>The same entries, to be changed without changing those.</summary>
    public PdfDict(IEnumerable<KeyValuePair<string, PdfObject>> entries) => _entries = new(entries, StringComparer.Ordinal);

    /// <summary>An entry as it is written, a reference or what it is; null where there is none.</summary>
    public PdfObject? this[string key]
    {
        get => _entries.GetValueOrDefault(key);
        init => Set(key, value);
    }

    public int Count => _entries.Count;

    /// <summary>Sets an entry; nothing leaves it out.</summary>
    public PdfDict Set(string key, PdfObject? value)
    {
        if (value is null) _entries.Remove(key);
        else _entries[key] = value;
        return this;
    }

    /// <summary>A copy with other entries after its own, or in their place.</summary>
    public PdfDict With(IEnumerable<KeyValuePair<string, PdfObject>> others)
    {
        var all = new PdfDict(this);
        foreach (var (key, value) in others) all._entries[key] = value;
        return all;
    }

    public IEnumerator<KeyValuePair<string, PdfObject>> GetEnumerator() => _entries.GetEnumerator();
    IEnumerator IEnumerable.GetEnumerator() => GetEnumerator();
}

/// <summary>A stream as it was read (7.3.8): what describes it, and its bytes, packed as its filters say.</summary>
/// <param name="dict">Its dictionary.</param>
/// <param name="data">Its bytes as they stand in the file.</param>
public sealed class PdfStream(PdfDict dict, ReadOnlyMemory<byte> data) : PdfObject
{
    public PdfDict Dict => dict;
    public ReadOnlyMemory<byte> Data => data;
}
