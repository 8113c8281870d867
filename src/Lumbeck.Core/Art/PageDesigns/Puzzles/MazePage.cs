namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>A maze with one way through; round ones lead to their middle.</summary>
public sealed record MazePage : PuzzlePage
{
    public MazeShape Shape { get; init; }

    /// <summary>From the middle of a way to that of the next.</summary>
    public Length Pitch { get; init; } = Length.FromMillimetres(7);

    public Length Weight { get; init; } = Length.FromPoints(1.25m);

    public override string Kind => "maze";
    public override int ShadeSlot => 1;
    protected override ImmutableArray<string> OwnSlots => ["Walls", "Way"];

    private static readonly (string, MazeShape)[] Kinds =
        [("square", MazeShape.Square), ("round", MazeShape.Round), ("hexagonal", MazeShape.Hexagonal)];

    protected override IReadOnlyList<Field> Settings =>
    [
        new Field<MazePage, MazeShape>("shape", "Cells", Values.OneOf(Kinds), d => d.Shape, (d, s) => d with { Shape = s })
        { Choices = [.. Kinds.Select(k => (k.Item1, k.Item1))] },
        Measure<MazePage>("pitch", "Way", 3, 40, d => d.Pitch, (d, l) => d with { Pitch = l }),
        Weighed<MazePage>("weight", "Weight", 0.5m, 4, d => d.Weight, (d, l) => d with { Weight = l }),
    ];

    // A maze is cut once for its own page; where it is solved it is that one, made smaller.
    private Maze Cut(Bounds box, int n)
    {
        var half = Weight.Points / 2;
        return Maze.Of(Shape, new(box.Left + half, box.Top + half, box.Right - half, box.Bottom - half), Pitch, Seed, n);
    }

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Cut(Places(page, false).First(), 0) is var _ ? (null, null, null) : default;

    protected override string Sum(Surface page, Unit unit) => $"{PageLines.Room(page, false, unit)}, " +
        $"{PageLines.Room(page, true, unit)}; ways of {Pitch.Show(unit)}: {Cut(Places(page, false).First(), 0).Cells} cells";

    public override string? Identity(int n, PageFacts at) => Cut(new(0, 0, 400, 400), n).Identity;

    public override IEnumerable<Drawn> One(Bounds box, int n, PageFacts at, bool solved, int words)
    {
        var maze = Cut(solved && at.Room is { } own ? own : box, n);
        Drawn[] drawn =
        [
            .. solved ? [Way(maze)] : (Drawn[])[],
            new Line(maze.Walls(), Weight.Points, 0) { Round = true },
            .. !solved && Shape == MazeShape.Round
                ? [new Area(Shapes.Circle(maze.At(maze.End).X, maze.At(maze.End).Y, 0.22 * Pitch.Points), 1)] : (Drawn[])[],
        ];
        if (!solved || at.Room is not { } from) return drawn;
        var scale = Math.Min((box.Right - box.Left) / (from.Right - from.Left), (box.Bottom - box.Top) / (from.Bottom - from.Top));
        var place = new Affine(scale, 0, 0, scale,
            ((box.Left + box.Right) / 2) - (scale * (from.Left + from.Right) / 2),
            ((box.Top + box.Bottom) / 2) - (scale * (from.Top + from.Bottom) / 2));
        // However small, its walls are as heavy as presses hold.
        return drawn.Select(d => d.Under(place, scale) is Line { Width: < 0.5 } thin ? thin with { Width = 0.5 }
            : d.Under(place, scale));
    }

    private Line Way(Maze maze) => new(Shapes.Of(pen =>
    {
        var first = true;
        foreach (var (x, y) in maze.Way().Select(maze.At))
        {
            if (first) pen.Move(x, y); else pen.Line(x, y);
            first = false;
        }
    }), 0.35 * Pitch.Points, 1)
    { Round = true };
}
