namespace Lumbeck.Core.Drawing.Marked;

/// <summary>
/// How far a mark may paint by its own shape, in points within its drawn item: no bounds for what lies within its
/// item's frame, as pictures do, or within what its letters cover.
/// </summary>
public sealed class MarkReach : IMarkVisitor<Bounds>
{
    private static readonly MarkReach One = new();

    public static Bounds Of(Mark mark) => mark.Accept(One);

    public Bounds Fill(FillMark mark) => mark.Shape.Bounds;
    public Bounds Gradient(GradientMark mark) => mark.Shape.Bounds;

    // A level line has no height by itself, and its weight none the less.
    public Bounds Line(LineMark mark) => mark.Shape.Bounds is var b && b.Left > b.Right ? b
        : new(b.Left - mark.Reach, b.Top - mark.Reach, b.Right + mark.Reach, b.Bottom + mark.Reach);

    public Bounds Glyphs(GlyphMark mark) => Bounds.None;
    public Bounds Blurred(BlurredMark mark) => mark.Bounds;
    public Bounds Picture(PictureMark mark) => Bounds.None;
    public Bounds Tiles(TilesMark mark) => Bounds.None;
    public Bounds Grown(GrownMark mark) => Bounds.None;
    public Bounds Repeated(RepeatedMark mark) => Bounds.None;
    public Bounds Drawing(DrawingMark mark) => Bounds.None;
}
