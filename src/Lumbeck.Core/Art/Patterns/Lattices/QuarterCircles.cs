namespace Lumbeck.Core.Art.Patterns;

/// <summary>Squares with quarter circles, each turned as chance has it: rings and snakes come of themselves.</summary>
public sealed record QuarterCircles : Pattern
{
    /// <summary>A square’s side, in millimetres.</summary>
    public decimal Square { get; init; } = 15m;

    public override string Kind => "quarter circles";

    public override ImmutableArray<string> Slots => ["Field", "Arc", "Line"];

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<QuarterCircles>("square", "Square", " mm", 5m, 60m, p => p.Square, (p, n) => p with { Square = n }),
        ];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        var side = (double)Square;
        static void quarter(Pen pen, double x, double y, double r, bool back)
        {
            const double k = 0.5522847498;
            var s = back ? -1 : 1;
            pen.Move(x + (s * r), y);
            pen.Cubic(x + (s * r), y + (s * k * r), x + (s * k * r), y + (s * r), x, y + (s * r));
        }
        Outline wedge(double x, double y, double r, bool back) =>
            Shapes.Of(pen => { quarter(pen, x, y, r, back); pen.Line(x, y); pen.Close(); });
        Outline arc(double x, double y, double r, bool back) => Shapes.Of(pen => quarter(pen, x, y, r, back));
        var h = side / 2;
        Drawn[] tile =
        [
            new Area(wedge(-h, -h, side * 0.66, false)), new Area(wedge(h, h, side * 0.66, true)),
            new Area(wedge(-h, -h, side * 0.34, false), 1), new Area(wedge(h, h, side * 0.34, true), 1),
            new Line(arc(-h, -h, side / 2, false), 0.6, 2), new Line(arc(h, h, side / 2, true), 0.6, 2),
        ];
        yield return new Repeated([.. tile], [.. Seeded.Cells(window, side, side)
            .Select(c => Seeded.Place((c.X + 0.5) * side, (c.Y + 0.5) * side, Seeded.Of(4, c.X, c.Y, Seed) * 0.25))]);
    }
}
