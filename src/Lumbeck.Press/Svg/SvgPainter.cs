using System.Runtime.CompilerServices;
using System.Text;
using Lumbeck.Press.Colour;

namespace Lumbeck.Press.Svg;

/// <summary>
/// A scene as SVG in points: one group a piece, flat, and every glyph outline once in the definitions.
/// The outlines and their places are those of the press file; nothing is left to a browser's own text.
/// </summary>
/// <param name="type">Faces.</param>
/// <param name="colour">Screen colour.</param>
/// <param name="linked">Where a page finds a picture; none are drawn where null.</param>
/// <param name="within">A picture as data, for drawings that stand alone; none are drawn where null.</param>
public sealed class SvgPainter(IType type, IScreenColour colour, Func<Core.Jobs.Picture, string>? linked = null, Func<Core.Jobs.Picture, string>? within = null)
{
    // Path data of outlines that outlive a scene: glyphs and papers. Writing them out is what a drawing costs most.
    private readonly ConditionalWeakTable<Outline, string> _paths = [];
    private readonly Dictionary<FaceId, int> _faces = type.Faces.Select((f, i) => (f, i)).ToDictionary(x => x.f, x => x.i);

    /// <summary>The id of a piece's group.</summary>
    public static string IdOf(string item) => "s-" + item;

    /// <summary>One piece as a group with its own id; an empty piece is an empty group, so that it can be morphed later.</summary>
    public string Piece(Piece piece) => Piece(piece, linked);

    private string Piece(Piece piece, Func<Core.Jobs.Picture, string>? pictures)
    {
        var s = new StringBuilder("<g id=\"").Append(IdOf(piece.Item)).Append('"');
        if (piece.Clipped) s.Append(" clip-path=\"url(#sheet-edge)\"");
        if (piece.Opacity < 1) s.Append(" opacity=\"").Figure(piece.Opacity, 4).Append('"');
        if (piece.Blend != Core.Jobs.Blend.Normal) s.Append(" class=\"").Append(piece.Blend == Core.Jobs.Blend.Multiply ? "mix-multiply" : "mix-screen").Append('"');
        if (piece.Place != Affine.Identity && !piece.IsEmpty) s.Append(" transform=\"").Matrix(piece.Place).Append('"');
        s.Append('>');
        foreach (var mark in piece.Marks) if (mark is PictureMark p) Pictured(s, p, piece.Item, pictures); else Mark(s, mark);
        return s.Append("</g>").ToString();
    }

    /// <summary>How pieces blend, for style sheets: browsers do it in screen colours, which comes near to the press but is not it.</summary>
    public const string Mixing = ".mix-multiply{mix-blend-mode:multiply}.mix-screen{mix-blend-mode:screen}";

    /// <summary>What clips the ground to the sheet; stands in the definitions of every drawing that shows it.</summary>
    public static string Edge(Scene scene) =>
        new StringBuilder("<clipPath id=\"sheet-edge\"><path d=\"M0 0H").Figure(scene.Width).Append('V').Figure(scene.Height).Append("H0z\"/></clipPath>").ToString();

    private static void Pictured(StringBuilder s, PictureMark mark, string item, Func<Core.Jobs.Picture, string>? pictures)
    {
        if (pictures is null) return;
        s.Append("<clipPath id=\"clip-").Append(item).Append("\"><path d=\"").Path(mark.Clip, 2).Append("\"/></clipPath><g clip-path=\"url(#clip-").Append(item).Append(")\"><image width=\"1\" height=\"1\" preserveAspectRatio=\"none\" href=\"").Append(SvgText.Escape(pictures(mark.Picture))).Append("\" transform=\"").Matrix(mark.Place).Append("\"/></g>");
    }

    private void Mark(StringBuilder s, Mark mark)
    {
        switch (mark)
        {
            case FillMark f:
                s.Append("<path fill=\"").Append(colour.Hex(f.Ink)).Append("\" d=\"").Path(f.Shape, 2).Append("\"/>");
                break;
            case LineMark l:
                s.Append("<path fill=\"none\" stroke-linejoin=\"round\" stroke=\"").Append(colour.Hex(l.Ink)).Append("\" stroke-width=\"").Figure(l.Width, 3);
                if (l.Dash.Length > 0) s.Append("\" stroke-dasharray=\"").AppendJoin(' ', l.Dash.Select(d => d.ToString("0.##", CultureInfo.InvariantCulture)));
                s.Append("\" d=\"").Append(Kept(l.Shape, 1, 1)).Append("\"/>");
                break;
            case GlyphMark g:
                Glyphs(s, g);
                break;
        }
    }

    private void Glyphs(StringBuilder s, GlyphMark g)
    {
        var scale = g.Size / type.Metrics(g.Face).UnitsPerEm;
        s.Append("<g fill=\"").Append(colour.Hex(g.Ink)).Append("\" transform=\"translate(").Figure(g.X, 3).Append(' ').Figure(g.Y, 3).Append(")scale(").Append(scale.ToString("0.#######", CultureInfo.InvariantCulture)).Append(")\">");
        foreach (var glyph in g.Glyphs)
        {
            if (type.Glyph(g.Face, glyph.Id).IsEmpty) continue;
            s.Append("<use href=\"#").Append(GlyphId(g.Face, glyph.Id)).Append('"');
            if (glyph.X != 0) s.Append(" x=\"").Figure(glyph.X / scale, 1).Append('"');
            if (glyph.Y != 0) s.Append(" y=\"").Figure(glyph.Y / scale, 1).Append('"');
            s.Append("/>");
        }
        s.Append("</g>");
    }

    private string Kept(Outline outline, int places, double scaleY) => _paths.GetValue(outline, o => new StringBuilder().Path(o, places, scaleY).ToString());

    private string GlyphId(FaceId face, ushort glyph) => string.Create(CultureInfo.InvariantCulture, $"f{_faces[face]}-{glyph}");

    /// <summary>Every outline a scene draws, as (id, path element), each once, in order of first use.</summary>
    public IEnumerable<(string Id, string Path)> Glyphs(Scene scene)
    {
        var told = new HashSet<(FaceId, ushort)>();
        foreach (var g in scene.Pieces.SelectMany(p => p.Marks).OfType<GlyphMark>())
            foreach (var glyph in g.Glyphs)
            {
                if (!told.Add((g.Face, glyph.Id)) || type.Glyph(g.Face, glyph.Id) is not { IsEmpty: false } outline) continue;
                var id = GlyphId(g.Face, glyph.Id);
                yield return (id, new StringBuilder("<path id=\"").Append(id).Append("\" d=\"").Append(Kept(outline, 1, -1)).Append("\"/>").ToString());
            }
    }

    /// <summary>The whole sheet as a picture that stands alone.</summary>
    /// <param name="scene">The sheet.</param>
    /// <param name="window">The part to show, in points; the whole sheet where null.</param>
    public string Picture(Scene scene, Bounds? window = null)
    {
        var w = window ?? new(0, 0, scene.Width, scene.Height);
        var s = new StringBuilder("<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"").Figure(w.Left).Append(' ').Figure(w.Top).Append(' ').Figure(w.Right - w.Left).Append(' ').Figure(w.Bottom - w.Top)
            .Append("\" width=\"").Figure(w.Right - w.Left).Append("\" height=\"").Figure(w.Bottom - w.Top).Append("\"><defs>");
        foreach (var (_, path) in Glyphs(scene)) s.Append(path);
        s.Append(Edge(scene)).Append("</defs>");
        if (scene.Pieces.Any(p => p.Mixes)) s.Append("<style>").Append(Mixing).Append("</style>");
        foreach (var piece in scene.Pieces) s.Append(Piece(piece, within));
        return s.Append("</svg>").ToString();
    }
}
