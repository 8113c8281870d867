namespace Lumbeck.Desk.Jobs;

/// <summary>What a mark takes in memory, about, in bytes: a point of an outline takes eight.</summary>
internal sealed class MarkWeight : IMarkVisitor<long>
{
    private static readonly MarkWeight One = new();

    public static long Of(Mark mark) => mark.Accept(One);

    public long Fill(FillMark mark) => 160 + (8 * mark.Shape.Points.Length);
    public long Gradient(GradientMark mark) => 300 + (8 * mark.Shape.Points.Length);
    public long Line(LineMark mark) => 200 + (8 * mark.Shape.Points.Length);
    public long Glyphs(GlyphMark mark) => 160;
    public long Blurred(BlurredMark mark) => 300;
    public long Picture(PictureMark mark) => 300;
    public long Tiles(TilesMark mark) => 300;
    public long Grown(GrownMark mark) => 300;
    public long Repeated(RepeatedMark mark) => 200 + mark.Symbol.Sum(Of) + (48 * mark.Places.Length);
    public long Drawing(DrawingMark mark) => 200 + mark.Marks.Sum(Of);
}
