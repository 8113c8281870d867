using System.Buffers.Binary;
using System.Runtime.InteropServices;
using HarfBuzzSharp;
using Buffer = HarfBuzzSharp.Buffer;

namespace Lumbeck.Press.Faces;

/// <summary>One face, held open by HarfBuzz over its file's bytes.</summary>
[System.Diagnostics.CodeAnalysis.SuppressMessage("Reliability", "CA1001",
    Justification = "Faces stay open for the life of the program.")]
internal sealed unsafe class OpenFace
{
    private readonly Font _font;
    private readonly Lazy<HashSet<int>> _letters;
    private readonly Lazy<FaceFacts> _facts;

    /// <exception cref="Refusal">The file is no face that can be set; it is named.</exception>
    public OpenFace(FaceId id, string name, byte[] file)
    {
        Id = id;
        PostScriptName = Plain(name, id);
        // HarfBuzz reads the bytes for as long as the face lives: they are kept out of the collector's way, as the face
        // is never closed.
        var memory = NativeMemory.Alloc((nuint)file.Length);
        file.CopyTo(new Span<byte>(memory, file.Length));
        var blob = new Blob((nint)memory, file.Length, MemoryMode.ReadOnly);
        blob.MakeImmutable();
        Face = new Face(blob, 0);
        Face.MakeImmutable();
        _font = new Font(Face);
        _font.SetFunctionsOpenType();
        if (Face.GlyphCount == 0 || !_font.TryGetHorizontalFontExtents(out var extents))
            throw new Refusal("face", $"{name} has no vertical measures");
        var os2 = Table("OS/2");
        var head = Table("head");
        var post = Table("post");
        var upem = Face.UnitsPerEm;
        Metrics = new(upem, extents.Ascender, -extents.Descender,
            os2.Length >= 90 && Short(os2, 88) > 0 ? Short(os2, 88) : upem * 7 / 10);
        Box = head.Length >= 44
            ? [Short(head, 36), Short(head, 38), Short(head, 40), Short(head, 42)]
            : [0, -upem / 4, upem, upem];
        ItalicAngle = post.Length >= 6 ? Short(post, 4) : 0;
        Cff = Table("CFF ").Length > 0;
        _letters = new(() => HarfBuzzDraw.Letters(Face.Handle));
        _facts = new(Look);
    }

    public FaceId Id { get; }
    public string PostScriptName { get; }
    public Face Face { get; }
    public FaceMetrics Metrics { get; }
    /// <summary>The face's box in font units: left, foot, right, head (table head).</summary>
    public int[] Box { get; }
    public int ItalicAngle { get; }
    /// <summary>Whether its outlines are in a CFF table.</summary>
    public bool Cff { get; }
    public FaceFacts Facts => _facts.Value;

    public int Advance(ushort glyph) => _font.GetHorizontalGlyphAdvance(glyph);

    public bool Has(int codePoint) => _letters.Value.Contains(codePoint);

    public ReadOnlySpan<byte> Table(string tag) => Face.ReferenceTable(Tag.Parse(tag)).AsSpan();

    public ShapedRun Shape(string text, int from, int length, ShapingProperties how)
    {
        using var buffer = new Buffer();
        buffer.AddUtf16(text, from, length);
        buffer.Direction = how.Vertical
            ? Direction.TopToBottom
            : how.RightToLeft
            ? Direction.RightToLeft
            : Direction.LeftToRight;
        buffer.Script = Script.Parse(how.Script);
        buffer.ClusterLevel = ClusterLevel.Characters;
        buffer.Language = Languages.GetOrAdd(how.Language, l => new(l));
        // Letters and their points stay glyphs of their own, so that they can be read back from a file one by one; the
        // face puts the points where they belong.
        var features = how.Script == "Hebr" && Facts.Has("mark") ? ("-ccmp " + how.Features).TrimEnd() : how.Features;
        _font.Shape(buffer, Features.GetOrAdd(features, Parse));
        var infos = buffer.GetGlyphInfoSpan();
        var places = buffer.GetGlyphPositionSpan();
        var glyphs = ImmutableArray.CreateBuilder<ShapedGlyph>(infos.Length);
        // A point is a part of the letter that it points.
        Span<int> letters = length <= 512 ? stackalloc int[length] : new int[length];
        for (var i = 0; i < length; i++)
            letters[i] = i > 0
                && (char.IsLowSurrogate(text[from + i])
                    || CharacterProperties.Of(text[from + i]).LineBreakClass is LineBreakClass.CM or LineBreakClass.ZWJ)
                ? letters[i - 1]
                : from + i;
        for (var i = 0; i < infos.Length; i++)
        {
            var at = (int)infos[i].Cluster;
            glyphs.Add(new((ushort)infos[i].Codepoint, letters[at - from],
                how.Vertical ? -places[i].YAdvance : places[i].XAdvance, places[i].XOffset, places[i].YOffset, at));
        }
        return new(glyphs.MoveToImmutable(), how.RightToLeft);
    }

    private static readonly System.Collections.Concurrent.ConcurrentDictionary<string, HarfBuzzSharp.Language>
        Languages = new(StringComparer.Ordinal);
    private static readonly System.Collections.Concurrent.ConcurrentDictionary<string, Feature[]> Features = new(StringComparer.Ordinal);

    private static Feature[] Parse(string features) =>
        [.. features.Split(' ', StringSplitOptions.RemoveEmptyEntries)
            .Select(f => f[0] == '-' ? new Feature(Tag.Parse(f[1..]), 0) : new Feature(Tag.Parse(f), 1))];

    public Outline Draw(ushort glyph) => HarfBuzzDraw.Draw(_font.Handle, glyph);

    private FaceFacts Look()
    {
        var os2 = Table("OS/2");
        var type = os2.Length >= 10 ? BinaryPrimitives.ReadUInt16BigEndian(os2[8..]) : 0;
        // The least restrictive of bits 1 to 3 holds; bit 9 leaves only bitmaps.
        var embedding = (type & 0x200) != 0
            ? Embedding.Never
            : (type & 0x8) != 0
            ? Embedding.Free
            : (type & 0x4) != 0
            ? Embedding.ToPrint
            : (type & 0x2) != 0
            ? Embedding.Never
            : Embedding.Free;
        return new(embedding, (type & 0x100) != 0, Cff, Width(),
            [.. ScriptLetters.Where(s => Has(s.Letter)).Select(s => s.Name)], HarfBuzzDraw.Features(Face.Handle),
            HarfBuzzDraw.Name(Face.Handle, 16) is { Length: > 0 } f ? f : HarfBuzzDraw.Name(Face.Handle, 1));
    }

    private static readonly (string Name, int Letter)[] ScriptLetters = [("Latin", 'n'), ("Greek", 0x3B1),
        ("Cyrillic", 0x436), ("Hebrew", 0x5D0), ("Arabic", 0x628), ("Japanese", 0x3042), ("Devanagari", 0x915),
        ("Vietnamese", 0x1EA1)];

    /// <summary>By the width of its “n”, “o” and “H” for its size.</summary>
    private FaceWidth Width()
    {
        var widths = "noH".Select(c => _font.TryGetNominalGlyph(c, out var g) ? _font.GetHorizontalGlyphAdvance(g) : 0)
            .Where(w => w > 0).ToList();
        if (widths.Count == 0) return FaceWidth.Usual;
        var share = widths.Average() / Metrics.UnitsPerEm;
        return share < 0.47 ? FaceWidth.Narrow : share > 0.66 ? FaceWidth.Wide : FaceWidth.Usual;
    }

    private static short Short(ReadOnlySpan<byte> table, int at) => BinaryPrimitives.ReadInt16BigEndian(table[at..]);

    /// <summary>A name that PDF and PostScript can hold: letters, digits and one hyphen (9.8).</summary>
    private static string Plain(string name, FaceId id)
    {
        var words = string.Concat(name.Select(c => char.IsAsciiLetterOrDigit(c) ? c : ' '))
            .Split(' ', StringSplitOptions.RemoveEmptyEntries);
        var styles = words.Where(w => w is "Thin" or "ExtraLight" or "Light" or "Medium"
            or "SemiBold" or "Bold" or "ExtraBold" or "Black" or "Italic").ToArray();
        var family = string.Concat(words.Except(styles));
        return (family.Length == 0 ? "Face" : family) + "-" + (styles.Length == 0 ? "Regular" : string.Concat(styles));
    }
}
