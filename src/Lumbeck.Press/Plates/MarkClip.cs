namespace Lumbeck.Press.Plates;

/// <summary>
/// The shape that a mark is all of, in points of its drawn item: pixels of it are seen through that, so that its edge
/// stays sharp. Null for what is no one shape.
/// </summary>
internal sealed class MarkClip : IMarkVisitor<Outline?>
{
    private static readonly MarkClip One = new();

    public static Outline? Of(Mark mark) => mark.Accept(One);

    // A clip goes by the non-zero rule.
    public Outline? Fill(FillMark mark) => mark.EvenOdd ? null : mark.Shape;
    public Outline? Gradient(GradientMark mark) => mark.EvenOdd ? null : mark.Shape;
    public Outline? Line(LineMark mark) => null;
    public Outline? Glyphs(GlyphMark mark) => null;
    public Outline? Blurred(BlurredMark mark) => null;
    public Outline? Picture(PictureMark mark) => mark.Clip;
    public Outline? Tiles(TilesMark mark) => mark.Clip;
    public Outline? Grown(GrownMark mark) => Outline.Rectangle(0, 0, 1, 1).Under(mark.Place);
    public Outline? Repeated(RepeatedMark mark) => null;
    public Outline? Drawing(DrawingMark mark) => mark.EvenOdd ? null : mark.Clip;
}
