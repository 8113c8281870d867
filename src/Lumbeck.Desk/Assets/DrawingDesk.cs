using Lumbeck.Caching;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Drawn;
using Lumbeck.Press.Faces;

namespace Lumbeck.Desk.Assets;

/// <summary>Drawn pictures as marks, in a house's press colours; each is read once.</summary>
internal sealed class DrawingDesk(PictureDesk pictures, PressColour colour, FaceShelf shelf) : IDrawings
{
    /// <summary>What patterns draw is the same for every printer.</summary>
    private static readonly ByteCache<(Pattern, double, double, Bounds), IReadOnlyList<Drawn>> Patterns =
        new(64_000_000, drawn => drawn.Sum(Weigh));

    public IReadOnlyList<Drawn> Kept(Pattern pattern, double x, double y, Bounds window, Func<IReadOnlyList<Drawn>> draw) =>
        Patterns.GetOrAdd((pattern, x, y, window), _ => draw());

    private static readonly ByteCache<object, IReadOnlyList<Outline>> Edged =
        new(32_000_000, edges => edges.Sum(e => 100 + (8L * e.Points.Length)));

    public IReadOnlyList<Outline> Edges(object of, Func<IEnumerable<Drawn>> draw, double least) =>
        Edged.GetOrAdd((of, least), _ => VisibleEdges.Of(draw(), least));

    public IReadOnlyList<Outline> Regions(object of, Func<IEnumerable<Drawn>> draw, double wide, double high, double line,
        double least) =>
        Edged.GetOrAdd((of, wide, high, line, least), _ => ClosedRegions.Of(draw(), wide, high, line, least));

    private static long Weigh(Drawn drawn) => drawn switch
    {
        Area a => 100 + (8 * a.Shape.Points.Length),
        Line l => 100 + (8 * l.Shape.Points.Length),
        Repeated r => 100 + r.Symbol.Sum(Weigh) + (48 * r.Places.Length),
        _ => 100,
    };

    private readonly ByteCache<string, ImmutableArray<Mark>> _read = new(48_000_000, Weigh);

    public ImmutableArray<Mark>? Of(Picture picture)
    {
        // What can't be read is no answer to keep: its file may be mended.
        try
        {
            return _read.GetOrAdd(picture.Hash,
                hash =>
                    SvgReading.Read(File.ReadAllBytes(pictures.PathOf(hash)), picture.Name, rgb => colour.Mix(rgb), shelf)
                        .Marks);
        }
        catch (Exception e) when (e is Refusal or IOException) { return null; }
    }

    public bool[,]? Squares(string text, CodeLevel level)
    {
        return _squares.GetOrAdd((text, level), code => Press.Codes.QrModules.Of(code.Text, code.Level));
    }

    private readonly ByteCache<(string Text, CodeLevel Level), bool[,]?> _squares = new(4_000_000, s => s?.Length ?? 1);

    private static long Weigh(ImmutableArray<Mark> marks) => marks.Sum(m => 200L + (m is FillMark f ? 8 * f.Shape.Points.Length : 0));
}
