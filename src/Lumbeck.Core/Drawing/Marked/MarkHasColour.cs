namespace Lumbeck.Core.Drawing.Marked;

/// <summary>Whether a mark needs more than black: a page that has one is printed in colour.</summary>
public sealed class MarkHasColour : IMarkVisitor<bool>
{
    private static readonly MarkHasColour One = new();

    public static bool Of(Mark mark) => mark.Finish is not null || mark.Accept(One);

    private static bool HasColour(Mark mark) => MarkInks.Of(mark).Any(i => i.IsColoured);

    public bool Fill(FillMark mark) => HasColour(mark);
    public bool Gradient(GradientMark mark) => HasColour(mark);
    public bool Line(LineMark mark) => HasColour(mark);
    public bool Glyphs(GlyphMark mark) => HasColour(mark);
    public bool Blurred(BlurredMark mark) => HasColour(mark);
    public bool Picture(PictureMark mark) => mark.Picture.Space != PictureSpace.Gray;
    public bool Tiles(TilesMark mark) => mark.Picture.Space != PictureSpace.Gray;
    public bool Grown(GrownMark mark) => mark.Picture.Space != PictureSpace.Gray;
    public bool Repeated(RepeatedMark mark) => mark.Symbol.Any(Of);
    public bool Drawing(DrawingMark mark) => mark.Marks.Any(Of);
}
