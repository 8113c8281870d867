using System.Collections.Concurrent;
using HarfBuzzSharp;
using Buffer = HarfBuzzSharp.Buffer;

namespace Lumbeck.Press.Faces;

/// <summary>
/// The faces that ship, shaped with HarfBuzz: files <c>faces/family/400i.ttf</c> beside the program.
/// Faces are opened on first use and kept; safe for several threads.
/// </summary>
public sealed class FaceShelf : IType
{
    private readonly Dictionary<FaceId, string> _files;
    private readonly ConcurrentDictionary<FaceId, Lazy<OpenFace>> _open = new();
    private readonly ConcurrentDictionary<(FaceId, string, bool), ShapedRun> _shaped = new();
    private readonly ConcurrentDictionary<(FaceId, ushort), Outline> _outlines = new();

    /// <param name="folder">The folder of families; the shipped one where null.</param>
    public FaceShelf(string? folder = null)
    {
        folder ??= Path.Combine(AppContext.BaseDirectory, "faces");
        _files = Directory.EnumerateFiles(folder, "*.ttf", SearchOption.AllDirectories)
            .Select(f => (File: f, Ok: FaceId.TryParse($"{Path.GetFileName(Path.GetDirectoryName(f))}/{Path.GetFileNameWithoutExtension(f)}", out var id), Id: id))
            .Where(f => f.Ok).ToDictionary(f => f.Id, f => f.File);
        Faces = [.. _files.Keys.OrderBy(f => f.Family, StringComparer.Ordinal).ThenBy(f => f.Weight).ThenBy(f => f.Italic)];
    }

    public IReadOnlyList<FaceId> Faces { get; }

    /// <summary>“Cormorant Garamond SemiBold Italic”.</summary>
    public string NameOf(FaceId face)
    {
        var family = string.Join(' ', face.Family.Split('-').Select(w => w is "eb" or "b612" ? w.ToUpperInvariant() : char.ToUpperInvariant(w[0]) + w[1..]));
        var weight = face.Weight switch { 300 => " Light", 500 => " Medium", 600 => " SemiBold", 700 => " Bold", 900 => " Black", _ => "" };
        return family + weight + (face.Italic ? " Italic" : "");
    }

    public ShapedRun Shape(FaceId face, string text, bool ligatures)
    {
        // Lines and short texts come again and again; a long paragraph changes with every key and would only fill the memory.
        if (text.Length > 200) return Open(face).Shape(text, ligatures);
        if (_shaped.Count > 20_000) _shaped.Clear();
        return _shaped.GetOrAdd((face, text, ligatures), k => Open(k.Item1).Shape(k.Item2, k.Item3));
    }

    public FaceMetrics Metrics(FaceId face) => Open(face).Metrics;

    public Outline Glyph(FaceId face, ushort glyph) => _outlines.GetOrAdd((face, glyph), k => Open(k.Item1).Draw(k.Item2));

    /// <summary>The opened face.</summary>
    /// <exception cref="Core.Refusal">No such face is on the shelf.</exception>
    internal OpenFace Open(FaceId face) => _open.GetOrAdd(face, id => new(() => _files.TryGetValue(id, out var file)
        ? new OpenFace(id, NameOf(id), File.ReadAllBytes(file))
        : throw new Core.Refusal("face", $"no face is called `{id}`: pick one from the list"))).Value;
}

/// <summary>One face, held open by HarfBuzz over its file's bytes.</summary>
[System.Diagnostics.CodeAnalysis.SuppressMessage("Reliability", "CA1001", Justification = "Shipped faces stay open for the life of the program.")]
internal sealed unsafe class OpenFace
{
    private readonly Font _font;

    public OpenFace(FaceId id, string name, byte[] file)
    {
        Id = id;
        PostScriptName = Plain(name, id);
        // HarfBuzz reads the bytes for as long as the face lives: they are kept out of the collector's way, as the face is never closed.
        var memory = System.Runtime.InteropServices.NativeMemory.Alloc((nuint)file.Length);
        file.CopyTo(new Span<byte>(memory, file.Length));
        var blob = new Blob((nint)memory, file.Length, MemoryMode.ReadOnly);
        blob.MakeImmutable();
        Face = new Face(blob, 0);
        Face.MakeImmutable();
        _font = new Font(Face);
        _font.SetFunctionsOpenType();
        if (!_font.TryGetHorizontalFontExtents(out var extents)) throw new Core.Refusal("face", $"{name} has no vertical measures");
        var os2 = Face.ReferenceTable(Tag.Parse("OS/2")).AsSpan();
        var head = Face.ReferenceTable(Tag.Parse("head")).AsSpan();
        var post = Face.ReferenceTable(Tag.Parse("post")).AsSpan();
        var upem = Face.UnitsPerEm;
        Metrics = new(upem, extents.Ascender, -extents.Descender, os2.Length >= 90 ? Short(os2, 88) : upem * 7 / 10);
        Box = [Short(head, 36), Short(head, 38), Short(head, 40), Short(head, 42)];
        ItalicAngle = Short(post, 4);
    }

    public FaceId Id { get; }
    public string PostScriptName { get; }
    public Face Face { get; }
    public FaceMetrics Metrics { get; }
    /// <summary>The face's box in font units: left, foot, right, head (table head).</summary>
    public int[] Box { get; }
    public int ItalicAngle { get; }

    public int Advance(ushort glyph) => _font.GetHorizontalGlyphAdvance(glyph);

    public ShapedRun Shape(string text, bool ligatures)
    {
        if (text.Length == 0) return new([], false);
        using var buffer = new Buffer();
        buffer.AddUtf16(text);
        buffer.GuessSegmentProperties();
        _font.Shape(buffer, ligatures ? [] : [new Feature(Tag.Parse("liga"), 0), new Feature(Tag.Parse("clig"), 0)]);
        var infos = buffer.GetGlyphInfoSpan();
        var places = buffer.GetGlyphPositionSpan();
        var glyphs = ImmutableArray.CreateBuilder<ShapedGlyph>(infos.Length);
        for (var i = 0; i < infos.Length; i++)
            glyphs.Add(new((ushort)infos[i].Codepoint, (int)infos[i].Cluster, places[i].XAdvance, places[i].XOffset, places[i].YOffset));
        return new(glyphs.MoveToImmutable(), buffer.Direction == Direction.RightToLeft);
    }

    public Outline Draw(ushort glyph) => HarfBuzzDraw.Draw(_font.Handle, glyph);

    private static short Short(ReadOnlySpan<byte> table, int at) => System.Buffers.Binary.BinaryPrimitives.ReadInt16BigEndian(table[at..]);

    private static string Plain(string name, FaceId id)
    {
        var words = name.Split(' ');
        var styles = words.Where(w => w is "Light" or "Medium" or "SemiBold" or "Bold" or "Black" or "Italic").ToArray();
        var style = styles.Length == 0 ? "Regular" : string.Concat(styles);
        return string.Concat(words.Except(styles)) + "-" + (id.Italic && styles.Length == 1 ? "Italic" : style);
    }
}
