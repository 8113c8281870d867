namespace Lumbeck.Core.Art.Patterns;

/// <summary>A lattice of scrolls: S-curves mirrored to pointed frames, with a bud in each.</summary>
public sealed record Scrolls : Pattern
{
    /// <summary>A frame’s width, in millimetres.</summary>
    public decimal Width { get; init; } = 36m;

    public override string Kind => "scroll lattice";

    public override ImmutableArray<string> Slots => ["Frame", "Inner frame", "Bud"];

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Scrolls>("width", "Width", " mm", 10m, 120m, p => p.Width, (p, n) => p with { Width = n }),
        ];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        var wide = (double)Width;
        var high = wide * 1.5;
        Outline frame(double size) => Shapes.Of(pen =>
        {
            var (w, h) = (wide / 2 * size, high / 2 * size);
            pen.Move(0, -h);
            pen.Cubic(w * 0.12, -h * 0.62, w * 0.98, -h * 0.62, w, 0);
            pen.Cubic(w * 0.98, h * 0.62, w * 0.12, h * 0.62, 0, h);
            pen.Cubic(-w * 0.12, h * 0.62, -w * 0.98, h * 0.62, -w, 0);
            pen.Cubic(-w * 0.98, -h * 0.62, -w * 0.12, -h * 0.62, 0, -h);
            pen.Close();
        });
        var bud = Shapes.Of(pen =>
        {
            foreach (var turn in (double[])[-0.25, -0.37, -0.13])
                pen.Add(Shapes.Leaf(high * (turn == -0.25 ? 0.27 : 0.2), wide * 0.16)
                    .Under(Seeded.Place(0, high * 0.12, turn)));
        });
        var places = Seeded.Cells(window, wide, high / 2, 2)
            .Select(c => Seeded.Place((c.X * wide) + ((c.Y & 1) == 0 ? 0 : wide / 2), c.Y * high / 2))
            .ToImmutableArray();
        yield return new Repeated([new Line(frame(1), 1.3), new Line(frame(0.84), 0.5, 1), new Area(bud, 2)], places);
    }
}
