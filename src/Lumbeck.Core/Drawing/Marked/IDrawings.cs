namespace Lumbeck.Core.Drawing.Marked;

/// <summary>
/// The port through which what is drawn elsewhere comes into a scene: drawn pictures (paths instead of pixels) and the
/// squares of QR codes.
/// </summary>
public interface IDrawings
{
    /// <summary>
    /// A drawing's marks in hundredths of its own unit, from its upper left corner, in press colours; null where it is
    /// not here.
    /// </summary>
    ImmutableArray<Mark>? Of(Picture picture);

    /// <summary>
    /// Which squares of a QR code are dark, row by row, without its quiet zone (ISO/IEC 18004); null where so many
    /// letters make none.
    /// </summary>
    bool[,]? Squares(string text, CodeLevel level);

    /// <summary>
    /// What a pattern draws over a window, kept: most edits leave it alone, and its paints don't change it.
    /// </summary>
    /// <param name="pattern">The pattern, without its paints.</param>
    /// <param name="x">Its origin, in points.</param>
    /// <param name="y">Its origin, in points.</param>
    /// <param name="window">What is to be covered, in points.</param>
    /// <param name="draw">Draws it where it is not kept.</param>
    IReadOnlyList<Drawn> Kept(Pattern pattern, double x, double y, Bounds window, Func<IReadOnlyList<Drawn>> draw) => draw();

    /// <summary>
    /// A drawing's visible edges, as closed lines round what is seen of each shape; each shape's own where nobody here
    /// can tell what is hidden.
    /// </summary>
    /// <param name="of">What the drawing follows from, by which it is kept.</param>
    /// <param name="draw">Draws it, the lowest first.</param>
    /// <param name="least">Regions smaller than this are left out, in its own square units.</param>
    IReadOnlyList<Outline> Edges(object of, Func<IEnumerable<Drawn>> draw, double least) => Plainly(draw());

    /// <summary>
    /// The lines of a colouring page: between regions that are closed, large enough and nowhere too narrow; each
    /// shape's own where nobody here can tell what is hidden.
    /// </summary>
    /// <param name="of">What the drawing follows from, by which it is kept.</param>
    /// <param name="draw">Draws it, the lowest first, in millimetres.</param>
    /// <param name="wide">Its box, in millimetres.</param>
    /// <param name="high">Its box, in millimetres.</param>
    /// <param name="line">The weight of its lines, in millimetres.</param>
    /// <param name="least">The smallest region, in mm².</param>
    IReadOnlyList<Outline> Regions(object of, Func<IEnumerable<Drawn>> draw, double wide, double high, double line,
        double least) => Plainly(draw());

    /// <summary>Each shape's own edge, whatever lies over it.</summary>
    static IReadOnlyList<Outline> Plainly(IEnumerable<Drawn> drawn) => [.. drawn.SelectMany(d => d switch
    {
        Area a => [a.Shape],
        Line l => [l.Shape],
        Graded g => [g.Shape],
        Repeated r => Plainly(r.Places.SelectMany(p => r.Symbol.Select(s => s.Under(p, 1)))),
        _ => (IEnumerable<Outline>)[],
    })];
}
