using System.Runtime.CompilerServices;
using System.Text;
using Lumbeck.Press.Colour;

namespace Lumbeck.Press.Svg;

// Letters, each of a face drawn once.
public sealed partial class SvgPainter
{
    private void Glyphs(StringBuilder s, GlyphMark g)
    {
        var scale = g.Size / type.Metrics(g.Face).UnitsPerEm;
        s.Append("<g");
        Likeness(s, g, "fill-opacity");
        s.Append(" fill=\"").Append(colour.Hex(g.Ink)).Append("\" transform=\"translate(").Figure(g.X, 3).Append(' ')
            .Figure(g.Y, 3).Append(")scale(").Append(scale.ToString("0.#######", CultureInfo.InvariantCulture))
            .Append(")\">");
        foreach (var glyph in g.Glyphs)
        {
            if (type.Glyph(g.Face, glyph.Id).IsEmpty) continue;
            s.Append("<use href=\"#").Append(GlyphId(g.Face, glyph.Id)).Append('"');
            if (glyph.Turn != 0)
                s.Append(" transform=\"translate(").Figure(glyph.X / scale, 1).Append(' ').Figure(glyph.Y / scale, 1)
                    .Append(")rotate(").Figure(glyph.Turn, 3).Append(")\"");
            else
            {
                if (glyph.X != 0) s.Append(" x=\"").Figure(glyph.X / scale, 1).Append('"');
                if (glyph.Y != 0) s.Append(" y=\"").Figure(glyph.Y / scale, 1).Append('"');
            }
            s.Append("/>");
        }
        s.Append("</g>");
    }

    private string Kept(Outline outline, int places, double scaleY) =>
        _paths.GetValue(outline, o => new StringBuilder().Path(o, places, scaleY).ToString());

    private static string GlyphId(FaceId face, ushort glyph) =>
        string.Create(CultureInfo.InvariantCulture, $"f{Faces.GetOrAdd(face, Short)}-{glyph}");

    /// <summary>A short name for a face, the same tomorrow: pages keep outlines by it.</summary>
    private static string Short(FaceId face)
    {
        var hash = 2166136261u;
        foreach (var c in face.ToString()) hash = (hash ^ c) * 16777619;
        const string digits = "0123456789abcdefghijklmnopqrstuvwxyz";
        return string.Create(5, hash,
            (s, h) => { for (var i = 0; i < s.Length; i++, h /= 36) s[i] = digits[(int)(h % 36)]; });
    }

    /// <summary>Every outline a scene draws, as (id, path element), each once, in order of first use.</summary>
    public IEnumerable<(string Id, string Path)> Glyphs(Scene scene)
    {
        var told = new HashSet<(FaceId, ushort)>();
        foreach (var g in scene.Items.SelectMany(p => p.Marks).OfType<GlyphMark>().Where(g => g.Gradient is null))
            foreach (var glyph in g.Glyphs)
            {
                if (!told.Add((g.Face, glyph.Id)) || type.Glyph(g.Face, glyph.Id) is not { IsEmpty: false } outline)
                    continue;
                var id = GlyphId(g.Face, glyph.Id);
                yield return (id,
                    new StringBuilder("<path id=\"").Append(id).Append("\" d=\"").Append(Kept(outline, 1, -1))
                        .Append("\"/>").ToString());
            }
    }
}
