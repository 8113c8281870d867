using SkiaSharp;

namespace Lumbeck.Press.Plates;

// What each kind of mark covers, and with what.
internal sealed partial class Brush
{
    /// <summary>Each kind of mark within clips.</summary>
    private sealed class Laying(Brush on, SKPath[] clip) : IMarkVisitor<bool>
    {
        private static readonly Outline Square = Outline.Rectangle(0, 0, 1, 1);

        private void Cover(Outline shape, Affine place, bool evenOdd = false)
        {
            using var path = SkiaPath.Of(shape, place, evenOdd);
            on.Cover(path, clip);
        }

        public bool Fill(FillMark mark)
        {
            Cover(mark.Shape, on._place, mark.EvenOdd);
            on.Ink(mark, mark.Ink, mark.Overprint);
            return true;
        }

        public bool Gradient(GradientMark mark)
        {
            Cover(mark.Shape, on._place, mark.EvenOdd);
            on.Shade(mark.Gradient);
            return true;
        }

        public bool Line(LineMark mark)
        {
            on.Lines(mark, [mark.Shape], clip);
            return true;
        }

        public bool Glyphs(GlyphMark mark)
        {
            using (var path = SkiaPath.Of(line => on.Glyphs(line, mark))) on.Cover(path, clip);
            on.Letters?.Invoke(mark);
            if (mark.Gradient is { } run) on.Shade(run);
            else on.Ink(mark, mark.Ink, mark.Overprint);
            return true;
        }

        public bool Blurred(BlurredMark mark)
        {
            on.Soft(mark, clip);
            return true;
        }

        public bool Picture(PictureMark mark)
        {
            // A picture drawn smaller than its frame leaves the rest of that open.
            using (var path = SkiaPath.Of(mark.Clip, on._place))
            using (var own = SkiaPath.Of(Square, mark.Place.Then(on._place)))
                on.Cover(path, [.. clip, own]);
            on.Picture(mark.Place.Then(on._place), m => on.Pixels.Of(mark.Picture, m, mark.Convert, on.Window()),
                strength: mark.Strength);
            return true;
        }

        public bool Grown(GrownMark mark)
        {
            Cover(Square, mark.Place.Then(on._place));
            on.Picture(mark.Place.Then(on._place), m => on.Pixels.Of(mark, m));
            return true;
        }

        public bool Tiles(TilesMark mark)
        {
            Cover(mark.Clip, on._place);
            on.Picture(mark.PatternMatrix.Then(on._place), m => on.Pixels.Of(mark.Picture, m, mark.Convert, null),
                (u, v) => Tile(mark.Tiling, u, v));
            return true;
        }

        public bool Repeated(RepeatedMark mark)
        {
            foreach (var inner in mark.Each()) inner.Accept(this);
            return true;
        }

        public bool Drawing(DrawingMark mark)
        {
            using var own = SkiaPath.Of(mark.Clip, on._place, mark.EvenOdd);
            var within = new Laying(on, [.. clip, own]);
            foreach (var inner in mark.Marks) inner.Accept(within);
            return true;
        }
    }
}
