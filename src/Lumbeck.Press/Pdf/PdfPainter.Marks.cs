using Lumbeck.Pdf.Writing;

namespace Lumbeck.Press.Pdf;

// Each kind of mark as content.
internal sealed partial class PdfPainter
{
    private sealed class Painting(PdfPainter on, Affine toPage) : IMarkVisitor<ContentWriter>
    {
        private ContentWriter To => on._s;

        /// <summary>Whether a finishing ink leaves the other plates as they are; what is in none knocks out.</summary>
        private void OverprintFinish(Mark mark) => on.Overprint(mark.Finish is not null && on._finishesOverprint);

        public ContentWriter Fill(FillMark mark)
        {
            on.Fill(mark, mark.Ink, mark.Overprint);
            on.Shape(mark.Shape, toPage);
            return To.Fill(mark.EvenOdd).Break();
        }

        public ContentWriter Gradient(GradientMark mark)
        {
            // A shading paints all that the clip lets it (8.7.4.2).
            on.Overprint(false);
            on.Clipped(mark.Shape, toPage, mark.EvenOdd, () => on.Shading(mark.Gradient.Transformed(toPage)));
            return To;
        }

        public ContentWriter Line(LineMark mark)
        {
            OverprintFinish(mark);
            if (mark.Finish is { } finish) To.Tint(on.Plate(finish.Name), stroke: true, finish.Tint / 10_000.0);
            else on.Inked.Stroke(To, mark.Ink);
            PdfPath.Line(To, mark, toPage);
            return To;
        }

        public ContentWriter Glyphs(GlyphMark mark)
        {
            if (mark.Gradient is { } run)
            {
                on.Overprint(false);
                on._fill = null;
                To.Pattern(on.Has.ShadePattern(run.Transformed(toPage))).Break();
            }
            else on.Fill(mark, mark.Ink, mark.Overprint);
            if (on.Shapes is not { } shapes) on.Glyphs(mark, toPage);
            else { on.Shape(shapes(mark), toPage); To.Fill().Break(); }
            return To;
        }

        public ContentWriter Blurred(BlurredMark mark)
        {
            var b = mark.Bounds;
            if (b.IsEmpty) return To;
            // What multiplies never overprints besides (11.7.4.5).
            on.Overprint(false);
            on.Filled(To.Save().State(on.Has.Soft(mark, toPage)), mark, mark.Ink).Break();
            on.Shape(Outline.Rectangle(b.Left, b.Top, b.Right - b.Left, b.Bottom - b.Top), toPage);
            return To.Fill().Restore().Break();
        }

        public ContentWriter Picture(PictureMark mark)
        {
            OverprintFinish(mark);
            var placed = mark.Place.Then(toPage);
            if (on.Has.Picture(mark, Wide(placed)) is { } picture)
                on.Clipped(mark.Clip, toPage, false, () => on.Image(picture, placed));
            return To;
        }

        public ContentWriter Tiles(TilesMark mark)
        {
            OverprintFinish(mark);
            on.Tiles(mark, toPage);
            return To;
        }

        public ContentWriter Grown(GrownMark mark)
        {
            OverprintFinish(mark);
            if (on.Has.Grown(mark) is not { } grown) return To;
            To.Save().Break();
            on.Image(grown, mark.Place.Then(toPage));
            return To.Restore().Break();
        }

        public ContentWriter Repeated(RepeatedMark mark)
        {
            on.Repeated(mark, toPage);
            return To;
        }

        public ContentWriter Drawing(DrawingMark mark)
        {
            on.Clipped(mark.Clip, toPage, mark.EvenOdd, () => { foreach (var inner in mark.Marks) inner.Accept(this); });
            return To;
        }
    }

    private IPageResources Has => has;
    private ColorOperators Inked => ink;
    private Func<GlyphMark, Outline>? Shapes => shapes;
    private string Plate(string finish) => has.Finish(finish);
}
