namespace Lumbeck.Core.Art.Patterns;

/// <summary>Scales that overlap, row over row, each with a rim and an inner arc.</summary>
public sealed record Scales : Pattern
{
    /// <summary>How wide a scale is, in millimetres.</summary>
    public decimal Width { get; init; } = 16m;

    public override string Kind => "scales";

    public override ImmutableArray<string> Slots => ["Scale", "Rim", "Inner arc"];

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Scales>("width", "Width", " mm", 5m, 60m, p => p.Width, (p, n) => p with { Width = n }),
        ];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        var wide = (double)Width;
        var r = wide / 2;
        static Outline fan(double radius) => Shapes.Of(pen =>
        {
            const double k = 0.5522847498;
            pen.Move(-radius, 0);
            pen.Cubic(-radius, k * radius, -k * radius, radius, 0, radius);
            pen.Cubic(k * radius, radius, radius, k * radius, radius, 0);
        });
        Drawn[] scale =
        [
            new Area(Shapes.Of(pen => { pen.Box(-r, -r * 0.6, r, 0.02); pen.Add(fan(r)); pen.Close(); })),
            new Line(fan(r), 0.9, 1),
            new Line(fan(r * 0.7), 0.5, 2),
            new Line(fan(r * 0.4), 0.5, 2),
        ];
        // The lower ones first: each row lies over the one below it.
        var cells = Seeded.Cells(window, wide, r, 2).OrderByDescending(c => c.Y).ThenBy(c => c.X);
        foreach (var row in cells.GroupBy(c => c.Y))
            yield return new Repeated([.. scale],
                [.. row.Select(c => Seeded.Place((c.X * wide) + (c.Y % 2 == 0 ? 0 : r), c.Y * r))]);
    }
}
