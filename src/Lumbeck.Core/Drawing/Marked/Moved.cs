namespace Lumbeck.Core.Drawing.Marked;

/// <summary>Marks carried elsewhere: their paths under a placing, their lines and runs with it.</summary>
public sealed class Moved : IMarkVisitor<Mark>
{
    private readonly Affine _place;
    private readonly double _scale;

    private Moved(Affine place) =>
        (_place, _scale) = (place, Math.Sqrt(Math.Abs((place.A * place.D) - (place.B * place.C))));

    /// <exception cref="NotSupportedException">One of them is a text or a picture, which drawings have not.</exception>
    public static IEnumerable<Mark> All(IEnumerable<Mark> marks, Affine place)
    {
        var moved = new Moved(place);
        return marks.Select(m => m.Accept(moved));
    }

    public Mark Fill(FillMark mark) => mark with { Shape = mark.Shape.Under(_place) };

    public Mark Gradient(GradientMark mark) =>
        mark with { Shape = mark.Shape.Under(_place), Gradient = mark.Gradient.Transformed(_place) };

    public Mark Line(LineMark mark) => mark with
    {
        Shape = mark.Shape.Under(_place),
        Width = mark.Width * _scale,
        Dash = [.. mark.Dash.Select(d => d * _scale)],
        DashFrom = mark.DashFrom * _scale,
    };

    public Mark Glyphs(GlyphMark mark) => throw No(mark);
    public Mark Blurred(BlurredMark mark) => throw No(mark);
    public Mark Picture(PictureMark mark) => throw No(mark);
    public Mark Tiles(TilesMark mark) => throw No(mark);
    public Mark Grown(GrownMark mark) => throw No(mark);

    public Mark Repeated(RepeatedMark mark) => mark with { Places = [.. mark.Places.Select(p => p.Then(_place))] };

    public Mark Drawing(DrawingMark mark) =>
        mark with { Marks = [.. mark.Marks.Select(m => m.Accept(this))], Clip = mark.Clip.Under(_place) };

    private static NotSupportedException No(Mark mark) => new($"A {mark.GetType().Name} can’t be carried elsewhere.");
}
