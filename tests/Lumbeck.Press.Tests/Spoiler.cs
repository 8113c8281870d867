using System.Text;
using System.Text.RegularExpressions;

namespace Lumbeck.Press.Tests;

/// <summary>
/// A PDF taken apart into its objects, spoiled, and put together again with a new cross-reference table.
/// </summary>
internal sealed partial class Spoiler
{
    private readonly SortedDictionary<int, string> _objects;
    private int _next;
    private string _trailer;
    private string _header;

    [GeneratedRegex(@"(?<number>\d+) 0 obj\n")]
    private static partial Regex Begins();

    /// <summary>Reads a file as qpdf unfolds it, so that content can be read and changed.</summary>
    public Spoiler(string file)
    {
        _objects = [];
        using var folder = new Folder();
        Tool.Run("qpdf", "--qdf", "--object-streams=disable", "--normalize-content=n", "--compress-streams=n",
            "--decode-level=generalized", file, folder["open.pdf"]);
        var text = Encoding.Latin1.GetString(File.ReadAllBytes(folder["open.pdf"]));
        _header = text[..text.IndexOf('\n', StringComparison.Ordinal)];
        // Objects follow each other; what lies within a stream is passed over by its length's own object coming after
        // it.
        for (var m = Begins().Match(text); m.Success;)
        {
            var end = text.IndexOf("\nendobj\n", m.Index + m.Length, StringComparison.Ordinal);
            var body = text[(m.Index + m.Length)..end];
            if (body.Contains("\nstream\n", StringComparison.Ordinal)
                && !body.EndsWith("endstream", StringComparison.Ordinal))
            {
                end = text.IndexOf("endstream\nendobj\n", m.Index, StringComparison.Ordinal) + "endstream".Length;
                body = text[(m.Index + m.Length)..end];
            }
            _objects[int.Parse(m.Groups["number"].Value, CultureInfo.InvariantCulture)] = body;
            m = Begins().Match(text, end);
        }
        _next = _objects.Keys.Max() + 1;
        var at = text.LastIndexOf("trailer <<", StringComparison.Ordinal);
        _trailer = text[(at + "trailer ".Length)..text.LastIndexOf("startxref", StringComparison.Ordinal)].Trim();
    }

    private Spoiler(Spoiler other) =>
        (_objects, _next, _trailer, _header) = (new(other._objects), other._next, other._trailer, other._header);

    /// <summary>The same file, to be spoiled another way.</summary>
    public Spoiler Copy() => new(this);

    /// <summary>Changes every object in which a text stands.</summary>
    public Spoiler Swap(string what, string with) =>
        Each(o => o.Contains(what, StringComparison.Ordinal) ? o.Replace(what, with, StringComparison.Ordinal) : o,
            what);

    public Spoiler Swap(Regex what, string with) => Each(o => what.Replace(o, with), what.ToString());

    /// <summary>Changes the last object alone in which it stands.</summary>
    public Spoiler Last(Regex what, string with)
    {
        var (number, body) = _objects.Last(o => what.IsMatch(o.Value));
        _objects[number] = what.Replace(body, with);
        return this;
    }

    private Spoiler Each(Func<string, string> change, string what)
    {
        var changed = false;
        foreach (var (number, body) in _objects.ToList())
        {
            // A picture's pixels are no text.
            var end = body.IndexOf("\nstream\n", StringComparison.Ordinal);
            var text = end > 0 && body.AsSpan(0, end).Contains("/Subtype /Image", StringComparison.Ordinal)
                ? body[..end]
                : body;
            if (change(text) is not { } now || now == text) continue;
            _objects[number] = now + body[text.Length..];
            changed = true;
        }
        if (change(_trailer) is var trailer && trailer != _trailer) { _trailer = trailer; changed = true; }
        return changed ? this : throw new InvalidOperationException($"There is no {what} to spoil.");
    }

    /// <summary>Adds an object and gives its number.</summary>
    public int Add(string body)
    {
        var number = _next++;
        _objects[number] = body;
        return number;
    }

    /// <summary>Adds entries to the page, the catalog or the first page's content.</summary>
    public Spoiler OnPage(string entries) => InDictionary("/Type /Page\n", entries);
    public Spoiler InCatalog(string entries) => InDictionary("/Type /Catalog", entries);

    private Spoiler InDictionary(string marked, string entries)
    {
        var (number, body) = _objects.First(o => o.Value.Contains(marked, StringComparison.Ordinal));
        _objects[number] = body.Insert(body.IndexOf("<<", StringComparison.Ordinal) + 2, "\n" + entries + "\n");
        return this;
    }

    /// <summary>Puts more after the page's content.</summary>
    public Spoiler Painting(string content)
    {
        var page = _objects.First(o => o.Value.Contains("/Type /Page\n", StringComparison.Ordinal)).Value;
        var number = int.Parse(Regex.Match(page, @"/Contents (\d+) 0 R").Groups[1].Value, CultureInfo.InvariantCulture);
        _objects[number] = _objects[number]
            .Replace("\nendstream", "\n" + content + "\nendstream", StringComparison.Ordinal);
        return this;
    }

    /// <summary>Adds a resource to the page: its kind, name and value.</summary>
    public Spoiler With(string kind, string name, string value)
    {
        var page = _objects.First(o => o.Value.Contains("/Type /Page\n", StringComparison.Ordinal)).Value;
        var number = int.Parse(Regex.Match(page, @"/Resources (\d+) 0 R").Groups[1].Value,
            CultureInfo.InvariantCulture);
        var body = _objects[number];
        var at = body.IndexOf($"/{kind} <<", StringComparison.Ordinal);
        _objects[number] = at < 0
            ? body.Insert(body.IndexOf("<<", StringComparison.Ordinal) + 2, $"\n/{kind} << /{name} {value} >>\n")
            : body.Insert(at + kind.Length + 4, $" /{name} {value} ");
        return this;
    }

    public Spoiler Header(string header)
    {
        _header = header;
        return this;
    }

    public string Write(string file)
    {
        using var s = File.Create(file);
        void put(string text) => s.Write(Encoding.Latin1.GetBytes(text));
        put(_header + "\n%\u00bf\u00f7\u00a2\u00fe\n");
        var offsets = new SortedDictionary<int, long>();
        foreach (var (number, body) in _objects)
        {
            offsets[number] = s.Position;
            var fixedLength = body;
            if (body.IndexOf("\nstream\n", StringComparison.Ordinal) is >= 0 and var at)
            {
                var length = body.Length - at - "\nstream\n".Length - (body.EndsWith("\nendstream",
                    StringComparison.Ordinal)
                    ? "\nendstream".Length : "endstream".Length);
                fixedLength = Regex.Replace(body[..at], @"/Length \d+( 0 R)?", $"/Length {length}") + body[at..];
            }
            put($"{number} 0 obj\n{fixedLength}\nendobj\n");
        }
        var xref = s.Position;
        var size = _objects.Keys.Max() + 1;
        put($"xref\n0 {size}\n0000000000 65535 f \n");
        for (var n = 1; n < size; n++)
            put(offsets.TryGetValue(n, out var offset) ? $"{offset:0000000000} 00000 n \n" : "0000000000 65535 f \n");
        put($"trailer {Regex.Replace(_trailer, @"/Size \d+", $"/Size {size}")}\nstartxref\n{xref}\n%%EOF\n");
        return file;
    }
}
