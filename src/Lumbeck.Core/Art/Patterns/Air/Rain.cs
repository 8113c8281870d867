namespace Lumbeck.Core.Art.Patterns;

/// <summary>Rain: strokes in three strengths, all one way.</summary>
public sealed record Rain : Pattern
{
    /// <summary>How far strokes lie apart, in millimetres.</summary>
    public decimal Pitch { get; init; } = 6m;

    /// <summary>How far it is driven aside, in degrees.</summary>
    public decimal Slant { get; init; } = 12m;

    public override string Kind => "rain";

    public override ImmutableArray<string> Slots => ["Stroke", "Far stroke", "Drop"];

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Rain>("pitch", "Pitch", " mm", 2m, 30m, p => p.Pitch, (p, n) => p with { Pitch = n }),
            Number<Rain>("slant", "Slant", "°", -60m, 60m, p => p.Slant, (p, n) => p with { Slant = n }),
        ];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        var pitch = (double)Pitch;
        var turn = 0.25 + ((double)Slant / 360);
        var groups = new List<Affine>[3] { [], [], [] };
        foreach (var (x, y) in Seeded.Cells(window, pitch, pitch * 2.4, 2))
        {
            var kind = Seeded.At(x, y, Seed, 1) is var k && k < 0.4 ? 0 : k < 0.82 ? 1 : 2;
            groups[kind]
                .Add(Seeded.Place((x + Seeded.At(x, y, Seed, 2)) * pitch, (y + Seeded.At(x, y, Seed, 3)) * pitch * 2.4,
                    turn));
        }
        yield return new Repeated([new Line(Shapes.Of(p => p.Path((0, 0), (pitch * 1.7, 0))), 0.8)], [.. groups[0]]);
        yield return new Repeated([new Line(Shapes.Of(p => p.Path((0, 0), (pitch * 1.1, 0))), 0.45, 1)],
            [.. groups[1]]);
        yield return new Repeated([new Area(Shapes.Of(p =>
        {
            p.Move(0, 0);
            p.Cubic(pitch * 0.34, -pitch * 0.03, pitch * 0.5, -pitch * 0.13, pitch * 0.58, 0);
            p.Cubic(pitch * 0.5, pitch * 0.13, pitch * 0.34, pitch * 0.03, 0, 0);
            p.Close();
        }), 2)], [.. groups[2]]);
    }
}
