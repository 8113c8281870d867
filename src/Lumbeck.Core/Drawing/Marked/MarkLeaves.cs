namespace Lumbeck.Core.Drawing.Marked;

/// <summary>Marks without those that only hold others: what is nested in a drawing or repeated, each once.</summary>
public sealed class MarkLeaves : IMarkVisitor<IEnumerable<Mark>>
{
    private static readonly MarkLeaves One = new();

    public static IEnumerable<Mark> Of(IEnumerable<Mark> marks) => marks.SelectMany(m => m.Accept(One));

    public IEnumerable<Mark> Fill(FillMark mark) => [mark];
    public IEnumerable<Mark> Gradient(GradientMark mark) => [mark];
    public IEnumerable<Mark> Line(LineMark mark) => [mark];
    public IEnumerable<Mark> Glyphs(GlyphMark mark) => [mark];
    public IEnumerable<Mark> Blurred(BlurredMark mark) => [mark];
    public IEnumerable<Mark> Picture(PictureMark mark) => [mark];
    public IEnumerable<Mark> Tiles(TilesMark mark) => [mark];
    public IEnumerable<Mark> Grown(GrownMark mark) => [mark];
    public IEnumerable<Mark> Repeated(RepeatedMark mark) => Of(mark.Symbol);
    public IEnumerable<Mark> Drawing(DrawingMark mark) => Of(mark.Marks);
}
