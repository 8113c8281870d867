using System.Text;

namespace Lumbeck.Press.Tests.Import;

/// <summary>A PDF written object by object, as other programs write theirs, to hold one feature each.</summary>
internal sealed class HandMade
{
    private readonly List<byte[]> _objects = [];

    public string Entries { get; init; } = "/MediaBox [0 0 300 400]";

    /// <summary>In the catalog, besides its pages.</summary>
    public string Catalog { get; init; } = "";

    /// <summary>Adds an object; its number is 4 and on, in the order they are added.</summary>
    public HandMade With(string body)
    {
        _objects.Add(Encoding.Latin1.GetBytes(body));
        return this;
    }

    public HandMade With(string entries, string stream) => With(entries, Encoding.Latin1.GetBytes(stream));

    public HandMade With(string entries, byte[] stream)
    {
        _objects.Add([.. Encoding.Latin1.GetBytes($"<< {entries} /Length {stream.Length} >>\nstream\n"), .. stream,
            .. "\nendstream"u8]);
        return this;
    }

    /// <summary>One page of this content.</summary>
    public byte[] Page(string content, string resources) => Pages(resources, content);

    /// <summary>A page for each content, all with the same resources.</summary>
    public byte[] Pages(string resources, params ReadOnlySpan<string> contents)
    {
        var first = 4 + _objects.Count;
        List<string> kids = [];
        for (var n = 0; n < contents.Length; n++) kids.Add($"{first + (2 * n) + 1} 0 R");
        List<byte[]> all = [Encoding.Latin1.GetBytes($"<< /Type /Catalog /Pages 2 0 R {Catalog} >>"),
            Encoding.Latin1.GetBytes($"<< /Type /Pages /Count {contents.Length} /Kids [{string.Join(' ', kids)}] >>"),
            Encoding.Latin1.GetBytes($"<< {resources} >>"), .. _objects];
        for (var n = 0; n < contents.Length; n++)
        {
            var bytes = Encoding.Latin1.GetBytes(contents[n]);
            all.Add([.. Encoding.Latin1.GetBytes($"<< /Length {bytes.Length} >>\nstream\n"), .. bytes, .. "\nendstream"u8]);
            all.Add(Encoding.Latin1.GetBytes($"<< /Type /Page /Parent 2 0 R {Entries} /Resources 3 0 R /Contents " +
                $"{first + (2 * n)} 0 R >>"));
        }
        return File(all);
    }

    /// <summary>A whole file of these objects, numbered from 1; the first is its catalog.</summary>
    public static byte[] File(IReadOnlyList<byte[]> all)
    {
        var (to, at) = (new MemoryStream(), new List<long>());
        void put(string text) => to.Write(Encoding.Latin1.GetBytes(text));
        put("%PDF-1.7\n%\u00e2\u00e3\u00cf\u00d3\n");
        foreach (var (n, body) in all.Index())
        {
            at.Add(to.Position);
            put($"{n + 1} 0 obj\n");
            to.Write(body);
            put("\nendobj\n");
        }
        var xref = to.Position;
        put($"xref\n0 {all.Count + 1}\n0000000000 65535 f \n{string.Concat(at.Select(p => $"{p:0000000000} 00000 n \n"))}");
        put($"trailer\n<< /Size {all.Count + 1} /Root 1 0 R >>\nstartxref\n{xref}\n%%EOF\n");
        return to.ToArray();
    }
}
