using System.Buffers.Binary;

namespace Lumbeck.Press.Faces;

/// <summary>
/// Looks a font file over that came from anywhere before anything is done with it (OpenType 1.9, “Organization of an
/// OpenType Font”): its tables lie within it and are the ones it needs;
/// it opens, draws and can be made a subset of.
/// </summary>
public static class FaceReading
{
    public const int MostBytes = 20_000_000;

    private static readonly string[] Needed = ["cmap", "head", "hhea", "hmtx", "maxp"];

    /// <summary>A face's own family, weight and slope.</summary>
    public sealed record Looked(string Family, int Weight, bool Italic, FaceFacts Facts);

    /// <exception cref="Refusal">It is none that can be set; why is said, with its name.</exception>
    public static Looked Read(byte[] file, string name)
    {
        Refusal no(string why) => new("face", $"{name} {why}");
        if (file.Length > MostBytes) throw no($"is over {MostBytes / 1_000_000} MB");
        if (file.Length < 12) throw no("is no font file");
        var kind = BinaryPrimitives.ReadUInt32BigEndian(file);
        if (kind is 0x774F4646 or 0x774F4632) throw no("is a web font (WOFF): bring the TTF or OTF it was made from");
        if (kind == 0x74746366) throw no("is a collection of several faces: bring them one by one, as TTF or OTF");
        if (kind is not (0x00010000 or 0x4F54544F or 0x74727565)) throw no("is no TTF or OTF file");
        var tables = Tables(file) ?? throw no("is damaged: its tables don’t lie within it");
        foreach (var needed in Needed)
            if (!tables.ContainsKey(needed)) throw no($"can’t be set: its table `{needed}` is missing");
        if (!tables.ContainsKey("glyf") && !tables.ContainsKey("CFF "))
            throw no(tables.ContainsKey("CFF2")
                ? "is a variable face with CFF2 outlines, which no press file can hold: bring a static one"
                : "has no outlines that can be printed");
        if (tables.TryGetValue("maxp", out var maxp) && maxp.Length < 6)
            throw no("is damaged: its table `maxp` is too short");
        if (tables["head"].Length < 54 || tables["hhea"].Length < 36)
            throw no("is damaged: its measures are cut short");
        try
        {
            var face = new OpenFace(new("looked-at", 400, false), name, file);
            var upem = face.Metrics.UnitsPerEm;
            if (upem is < 16 or > 16_384) throw no($"has {upem} units an em, which no face has");
            if (face.Metrics.Ascent + face.Metrics.Descent is <= 0 or > 32_767 || face.Metrics.Ascent > 8 * upem)
                throw no("says of itself that its lines have no height, or one out of all range");
            var letters = Sample(face).ToList();
            if (letters.Count == 0) throw no("has no letters");
            var drawn = 0;
            foreach (var c in letters)
            {
                var run = face.Shape(c.ToString(), 0, c.ToString().Length, new(false, "Latn", "en", ""));
                foreach (var g in run.Glyphs) if (!face.Draw(g.Id).IsEmpty) drawn++;
            }
            if (drawn == 0) throw no("draws nothing for any letter that was tried");
            _ = HarfBuzzDraw.Program(face.Face.Handle,
                letters.SelectMany(c =>
                    face.Shape(c.ToString(), 0, c.ToString().Length, new(false, "Latn", "en", ""))
                        .Glyphs.Select(g => g.Id))
                    .Append((ushort)0),
                face.Cff);
            var os2 = tables.GetValueOrDefault("OS/2");
            var weight = os2 is { Length: >= 6 } ? BinaryPrimitives.ReadUInt16BigEndian(os2.AsSpan(4)) : 400;
            var italic = (os2 is { Length: >= 64 } && (BinaryPrimitives.ReadUInt16BigEndian(os2.AsSpan(62)) & 1) != 0)
                || face.ItalicAngle != 0;
            var family = face.Facts.Family is { Length: > 0 } f ? f : Path.GetFileNameWithoutExtension(name);
            return new(family.Length <= 60 ? family : family[..60], Math.Clamp((int)weight, 1, 1000), italic,
                face.Facts);
        }
        catch (InvalidOperationException) { throw no("is damaged: no part of it can be taken out for a press file"); }
    }

    private static IEnumerable<System.Text.Rune> Sample(OpenFace face)
    {
        foreach (var r in "HamburgeontsABCabc123אבגشمسカタ海中Ωж".EnumerateRunes()) if (face.Has(r.Value)) yield return r;
        for (var c = 0x21; c < 0x3000; c += 7) if (face.Has(c) && System.Text.Rune.IsValid(c)) yield return new(c);
    }

    private static Dictionary<string, byte[]>? Tables(byte[] file)
    {
        var count = BinaryPrimitives.ReadUInt16BigEndian(file.AsSpan(4));
        if (count is 0 or > 200 || 12 + (count * 16) > file.Length) return null;
        var tables = new Dictionary<string, byte[]>(StringComparer.Ordinal);
        for (var i = 0; i < count; i++)
        {
            var at = file.AsSpan(12 + (i * 16));
            var (from, length) = (BinaryPrimitives.ReadUInt32BigEndian(at[8..]),
                BinaryPrimitives.ReadUInt32BigEndian(at[12..]));
            if ((long)from + length > file.Length) return null;
            var tag = System.Text.Encoding.Latin1.GetString(at[..4]);
            if (tag is "head" or "hhea" or "maxp" or "OS/2")
                tables[tag] = file.AsSpan((int)from, (int)length).ToArray();
            else tables[tag] = [];
        }
        return tables;
    }
}
