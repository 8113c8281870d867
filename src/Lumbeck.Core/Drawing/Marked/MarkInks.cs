namespace Lumbeck.Core.Drawing.Marked;

/// <summary>The inks that a mark is drawn in, wherever it is nested; a picture's are its file's.</summary>
public sealed class MarkInks : IMarkVisitor<IEnumerable<Ink>>
{
    private static readonly MarkInks One = new();

    public static IEnumerable<Ink> Of(Mark mark) => mark.Accept(One);

    private static IEnumerable<Ink> Stops(Gradient run) => run.Stops.Select(s => s.Ink);

    public IEnumerable<Ink> Fill(FillMark mark) => [mark.Ink];
    public IEnumerable<Ink> Gradient(GradientMark mark) => Stops(mark.Gradient);
    public IEnumerable<Ink> Line(LineMark mark) => [mark.Ink];
    public IEnumerable<Ink> Glyphs(GlyphMark mark) => mark.Gradient is { } run ? Stops(run) : [mark.Ink];
    public IEnumerable<Ink> Blurred(BlurredMark mark) => [mark.Ink];
    public IEnumerable<Ink> Picture(PictureMark mark) => [];
    public IEnumerable<Ink> Tiles(TilesMark mark) => [];
    public IEnumerable<Ink> Grown(GrownMark mark) => [];
    public IEnumerable<Ink> Repeated(RepeatedMark mark) => mark.Symbol.SelectMany(Of);
    public IEnumerable<Ink> Drawing(DrawingMark mark) => mark.Marks.SelectMany(Of);
}
