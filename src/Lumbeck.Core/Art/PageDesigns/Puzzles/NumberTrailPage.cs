namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>Numbered dots that show a thing when they are joined.</summary>
public sealed record NumberTrailPage : PuzzlePage
{
    /// <summary>The thing, by its ornament’s word; “each in turn” for another on every page.</summary>
    public string Thing { get; init; } = InTurn;

    public int Points { get; init; } = 40;

    /// <summary>How large the figures beside the points are set.</summary>
    public Length Size { get; init; } = Length.FromPoints(8);

    private const string InTurn = "each in turn";

    public override string Kind => "number trail";
    protected override ImmutableArray<string> OwnSlots => ["Dots", "Line"];

    /// <summary>Ornaments whose outline says what they are.</summary>
    public static ImmutableArray<(string Word, Ornament First)> Things { get; } =
        [.. OrnamentShelf.All.Where(o =>
            o.First.Sort is OrnamentSort.Sign or OrnamentSort.Nature or OrnamentSort.Thing)];

    protected override IReadOnlyList<Field> Settings =>
    [
        new Field<NumberTrailPage, string>("thing", "Shows", Values.Line, d => d.Thing, (d, s) => d with { Thing = s })
        {
            Choices = [(InTurn, InTurn), .. Things.Select(t => (t.Word, t.First.Kind))],
            Fault = (s, _) => s == InTurn || Things.Any(t => t.Word == s) ? null
                : $"`{LengthText.Clip(s)}` can't be gone round: {InTurn}, " +
                    $"{string.Join(", ", Things.Select(t => t.Word))}",
        },
        Count<NumberTrailPage>("points", "Dots, at most", NumberTrail.Fewest, NumberTrail.Most, d => d.Points,
            (d, n) => d with { Points = n }),
        Weighed<NumberTrailPage>("size", "Figures", 5, 16, d => d.Size, (d, l) => d with { Size = l }),
    ];

    private Ornament ThingOn(int n) => (Thing == InTurn ? Things[(int)(((Seed.Value % 1000) + (ulong)n) % (ulong)Things.Length)]
        : Things.First(t => t.Word == Thing)).First with
    { Seed = Seed.Next(n) };

    private NumberTrail Trail(Bounds box, int n)
    {
        // Dots keep their figures’ room from the box’s edge.
        var room = 2.2 * Size.Points;
        return NumberTrail.Of(ThingOn(n), new(box.Left + room, box.Top + room, box.Right - room,
            box.Bottom - room), Points,
            0.9 * Size.Points, Thing == InTurn ? n / Things.Length : n);
    }

    public override string? Identity(int n, PageFacts at) => string.Join(' ', Trail(new(0, 0, 400, 400), n).Dots
        .Select(d => string.Create(CultureInfo.InvariantCulture, $"{d.X:0} {d.Y:0}")));

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Trail(Places(page, false).First(), 0) is var _ ? default : default;

    protected override string Sum(Surface page, Unit unit)
    {
        var trail = Trail(Places(page, false).First(), 0);
        var b = trail.Dots.Aggregate(Bounds.None, (all, d) => all.With(d.X, d.Y)).ToBox();
        return $"{PageLines.Room(page, false, unit)}; {trail.Dots.Length} dots round {b.Width.Show(unit)} × " +
            $"{b.Height.Show(unit)}";
    }

    public override IEnumerable<Drawn> One(Bounds box, int n, PageFacts at, bool solved, int words)
    {
        var trail = solved && at.Room is { } own ? Trail(own, n) : Trail(box, n);
        var dots = trail.Dots;
        if (solved)
        {
            var from = at.Room ?? box;
            var scale = Math.Min((box.Right - box.Left) / (from.Right - from.Left),
                (box.Bottom - box.Top) / (from.Bottom - from.Top));
            var place =
                new Affine(scale, 0, 0, scale, ((box.Left + box.Right) / 2) - (scale * (from.Left + from.Right) / 2),
                ((box.Top + box.Bottom) / 2) - (scale * (from.Top + from.Bottom) / 2));
            yield return new Line(Shapes.Of(pen => pen.Polygon(dots.Select(d => place.At(d.X, d.Y)))), 0.9,
                1)
            { Round = true };
            yield break;
        }
        yield return new Repeated([new Area(Shapes.Circle(0, 0, 1.1))], [.. dots.Select(d => Affine.Move(d.X, d.Y))]);
        var size = Size.Points;
        var placed = new List<Bounds>();
        for (var k = 0; k < dots.Length; k++)
        {
            var wide = 0.62 * size * (k + 1).ToString(CultureInfo.InvariantCulture).Length;
            // Of the places round a dot the one where it meets the least of what is there.
            var best = Around(dots[k], wide, size)
                .MinBy(b => (20 * dots.Count(d => Within(b, d))) + (10 * placed.Count(p => Meets(p, b))));
            placed.Add(best);
            yield return new Written((k + 1).ToString(CultureInfo.InvariantCulture),
                new(best.Left - 4, best.Top - (0.4 * size), best.Right + 4, best.Bottom + (0.4 * size)), size,
                    words)
            { Align = Align.Centre, Stand = Stand.Middle };
        }
    }

    private static IEnumerable<Bounds> Around((double X, double Y) dot, double wide, double size)
    {
        var (dx, dy) = ((wide / 2) + 2.2, (size / 2) + 1.6);
        foreach (var (x, y) in ((double, double)[])[(1, 0), (-1, 0), (0, -1), (0, 1), (0.8, -0.8), (-0.8, -0.8),
            (0.8, 0.8), (-0.8, 0.8)])
            yield return new(dot.X + (x * dx) - (wide / 2), dot.Y + (y * dy) - (size / 2), dot.X + (x * dx) + (wide / 2),
                dot.Y + (y * dy) + (size / 2));
    }

    private static bool Within(Bounds b, (double X, double Y) p) =>
        p.X > b.Left - 1 && p.X < b.Right + 1 && p.Y > b.Top - 1 && p.Y < b.Bottom + 1;

    private static bool Meets(Bounds a, Bounds b) =>
        a.Left < b.Right && b.Left < a.Right && a.Top < b.Bottom && b.Top < a.Bottom;
}
