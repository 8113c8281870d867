using System.Text;

namespace Lumbeck.Press.Svg;

// Each kind of mark as SVG.
public sealed partial class SvgPainter
{
    /// <summary>The marks of one item; what has to be named is numbered in their order.</summary>
    private sealed class Painting(SvgPainter by, StringBuilder s, string item, IPictureLinks? pictures)
        : IMarkVisitor<StringBuilder>
    {
        private int _n;

        private string Hex(Ink ink) => by.Colour.Hex(ink);

        public StringBuilder Fill(FillMark mark)
        {
            s.Append("<path fill=\"").Append(Hex(mark.Ink)).Append('"');
            Likeness(s, mark, "fill-opacity");
            if (mark.EvenOdd) s.Append(" fill-rule=\"evenodd\"");
            return s.Append(" d=\"").Path(mark.Shape, 2).Append("\"/>");
        }

        public StringBuilder Gradient(GradientMark mark)
        {
            by.Shade(s, mark, item, _n++);
            return s;
        }

        public StringBuilder Line(LineMark mark)
        {
            s.Append("<path fill=\"none\" stroke=\"").Append(Hex(mark.Ink)).Append("\" stroke-width=\"")
                .Figure(mark.Width, 3).Append('"');
            Drawn(s, mark);
            Likeness(s, mark, "stroke-opacity");
            return s.Append(" d=\"").Append(by.Kept(mark.Shape, 1, 1)).Append("\"/>");
        }

        public StringBuilder Glyphs(GlyphMark mark)
        {
            if (mark.Gradient is { } run) by.Shade(s, new(TextDrawing.Shape([mark], by.Type), run), item, _n++);
            else by.Glyphs(s, mark);
            return s;
        }

        public StringBuilder Blurred(BlurredMark mark)
        {
            var b = mark.Bounds;
            if (b.IsEmpty) return s;
            return s.Append("<filter id=\"soft-").Append(item).Append('-').Append(_n)
                .Append("\" filterUnits=\"userSpaceOnUse\" color-interpolation-filters=\"sRGB\" x=\"")
                .Figure(b.Left, 1).Append("\" y=\"").Figure(b.Top, 1).Append("\" width=\"")
                .Figure(b.Right - b.Left, 1).Append("\" height=\"").Figure(b.Bottom - b.Top, 1)
                .Append("\"><feGaussianBlur stdDeviation=\"").Figure(mark.Sigma, 3)
                .Append("\"/></filter><path class=\"mix-multiply\" filter=\"url(#soft-").Append(item)
                .Append('-').Append(_n++).Append(")\" fill=\"").Append(Hex(mark.Ink)).Append("\" fill-opacity=\"")
                .Figure(mark.Strength * (mark.Finish is { } f ? Finishes.Strength(f.Name) : 1), 3).Append("\" d=\"")
                .Path(mark.Shape, 2).Append("\"/>");
        }

        public StringBuilder Picture(PictureMark mark)
        {
            if (pictures is null) return s;
            Clip(s, mark.Clip, item, _n++);
            if (mark.Strength < 1)
                s.Append("<path fill=\"").Append(Hex(Ink.White)).Append("\" d=\"").Path(mark.Clip, 2).Append("\"/>");
            s.Append("<image width=\"1\" height=\"1\" preserveAspectRatio=\"none\" href=\"")
                .Append(SvgText.Escape(pictures.Of(mark.Picture, mark.Convert))).Append("\" transform=\"").Matrix(mark.Place);
            if (mark.Strength < 1) s.Append("\" opacity=\"").Figure(mark.Strength, 2);
            return s.Append("\"/></g>");
        }

        public StringBuilder Tiles(TilesMark mark)
        {
            if (pictures is not null) SvgPainter.Tiles(s, mark, item, _n++, pictures);
            return s;
        }

        public StringBuilder Grown(GrownMark mark) => pictures is null ? s
            : s.Append("<image class=\"grown\" width=\"1\" height=\"1\" preserveAspectRatio=\"none\" href=\"")
                .Append(SvgText.Escape(pictures.Of(mark))).Append("\" transform=\"").Matrix(mark.Place).Append("\"/>");

        public StringBuilder Repeated(RepeatedMark mark)
        {
            s.Append("<defs><g id=\"symbol-").Append(item).Append('-').Append(_n).Append("\">");
            foreach (var inner in mark.Symbol) inner.Accept(this);
            s.Append("</g></defs>");
            foreach (var place in mark.Places)
                s.Append("<use href=\"#symbol-").Append(item).Append('-').Append(_n).Append("\" transform=\"")
                    .Matrix(place).Append("\"/>");
            _n++;
            return s;
        }

        public StringBuilder Drawing(DrawingMark mark)
        {
            Clip(s, mark.Clip, item, _n++, mark.EvenOdd);
            foreach (var inner in mark.Marks) inner.Accept(this);
            return s.Append("</g>");
        }
    }

    private Colour.IScreenColour Colour => colour;
    private IType Type => type;
}
