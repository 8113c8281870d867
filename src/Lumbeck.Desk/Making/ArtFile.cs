using System.Text;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Drawn;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;
using Lumbeck.Press.Plates;
using Lumbeck.Press.Svg;

namespace Lumbeck.Desk.Making;

/// <summary>Papers, vistas and ornaments as files of their own, and all of them by their words.</summary>
public static class ArtFile
{
    public static IReadOnlyList<string> Kinds { get; } = ["svg", "pdf", "png"];

    /// <summary>Pixels an inch of a PNG.</summary>
    private const double PerInch = 150;

    /// <summary>Every family: its word, what sort of art it is, and how it is at first.</summary>
    public static IReadOnlyList<(string Word, string Sort, Sketch First)> Families { get; } =
    [
        .. PatternShelf.All.Select(p => (p.Word, "pattern", (Sketch)p.First)),
        .. VistaShelf.All.Select(v => (v.Word, "vista", (Sketch)v.First)),
        .. OrnamentShelf.All.Select(o => (o.Word, "ornament", (Sketch)o.First)),
    ];

    /// <summary>The family of this word.</summary>
    /// <exception cref="Refusal">There is none.</exception>
    public static Sketch Of(string word) =>
        Families.FirstOrDefault(f => f.Word == word).First
            ?? throw new Refusal("family",
                $"`{LengthText.Clip(word)}` is no pattern, vista or ornament: see `lumbeck art --list`");

    /// <summary>Writes a drawing of this size.</summary>
    /// <exception cref="Refusal">There is no such kind of file, or it would have too many pixels.</exception>
    public static void Write(Stream output, string kind, Sketch sketch, Size size, FaceShelf shelf)
    {
        var scene = Scene(sketch, size);
        var condition = new PrintingCondition("coated-fogra39-300");
        switch (kind)
        {
            case "svg":
                output.Write(Encoding.UTF8.GetBytes(new SvgPainter(shelf, new PressColour(condition))
                    .Picture(scene)));
                break;
            case "pdf":
                var note =
                    new DocumentInfo($"{sketch.Kind}, seed {sketch.Seed}, version {sketch.Version}", "", "drawn art",
                    new DateTimeOffset(2000, 1, 1, 0, 0, 0, TimeSpan.Zero), "", 0);
                var house = HouseFile.Shipped["aldwater"];
                PressFile.Write(output, [scene], new(PressKind.X4) { Marks = false }, house, note, shelf);
                break;
            case "png":
                var pixels = size.Width.Inches * size.Height.Inches * (decimal)(PerInch * PerInch);
                if (pixels > PlatePainter.MostPixels)
                    throw new Refusal("--size",
                        $"--size: {pixels / 1_000_000:0} million pixels are more than can be made");
                var all = new Bounds(0, 0, size.Width.Points, size.Height.Points);
                output.Write(new PlatePainter(shelf, null, condition).Paint(scene, all, PerInch, likeness: true)
                    .ToPng(condition));
                break;
            default:
                throw new Refusal("--kind",
                    $"`{LengthText.Clip(kind)}` is no kind of picture: take {string.Join(", ", Kinds)}");
        }
    }

    private static Scene Scene(Sketch sketch, Size size)
    {
        var box = new Box(Length.Zero, Length.Zero, size.Width, size.Height);
        var (w, h) = (size.Width.Points, size.Height.Points);
        var whole = new Bounds(0, 0, w, h);
        var stage = new Stage(InMillimetres(size), InMillimetres(size), null);
        var hold = new Hold(Part.Sheet, HoldBox.Face, Anchor.TopLeft, default, default);
        IEnumerable<Mark> marks = sketch switch
        {
            Pattern p => new LaidPaper(p, null, [], whole, whole, whole, Edges).Marks(),
            Ornament o => SketchDrawing.Draw(new OrnamentItem { Id = "art", Hold = hold, Ornament = o }, [], stage, Edges),
            Vista v => SketchDrawing.Draw(new VistaItem { Id = "art", Hold = hold, Vista = v }, [], stage, Edges),
            _ => [],
        };
        return new(new Surface(size, box, box, [], [], [], []),
            [new(DrawnItem.Ground, Part.Sheet, Affine.Identity, [.. marks], whole, whole, Clipped: true)]);
    }

    /// <summary>Outlines are reckoned as covers' are; nothing is kept.</summary>
    private static readonly IDrawings Edges = new EdgesAlone();

    private sealed class EdgesAlone : IDrawings
    {
        public ImmutableArray<Mark>? Of(Picture picture) => null;
        public bool[,]? Squares(string text, CodeLevel level) => null;
        public IReadOnlyList<Outline> Edges(object of, Func<IEnumerable<Drawn>> draw, double least) =>
            VisibleEdges.Of(draw(), least);
    }

    private static Bounds InMillimetres(Size size) =>
        new(0, 0, (double)size.Width.Millimetres, (double)size.Height.Millimetres);
}
