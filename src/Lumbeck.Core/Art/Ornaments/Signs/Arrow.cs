namespace Lumbeck.Core.Art.Ornaments;

/// <summary>An arrow with a feathered end.</summary>
public sealed record Arrow : Ornament
{
    /// <summary>How many feathers on each side.</summary>
    public decimal Feathers { get; init; } = 3m;

    public override string Kind => "arrow";
    public override OrnamentSort Sort => OrnamentSort.Sign;
    public override ImmutableArray<string> Slots => ["Shaft", "Head", "Feathers"];
    public override (double Wide, double High) First => (60, 12);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Arrow>("feathers", "Feathers", "", 1m, 6m, o => o.Feathers, (o, n) => o with { Feathers = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var (y, h) = (high / 2, high);
        yield return new Line(Shapes.Of(pen => pen.Path((h * 0.2, y), (wide - (h * 0.5), y))), h * 0.3);
        yield return new Area(Shapes.Of(pen =>
            pen.Polygon([(wide, y), (wide - (h * 0.95), h * 0.06), (wide - (h * 0.72), y),
                (wide - (h * 0.95), h * 0.94)])),
            1);
        for (var n = 0; n < (int)Feathers; n++)
            foreach (var side in (int[])[-1, 1])
            {
                var x = n * h * 0.3;
                yield return new Area(Shapes.Of(pen =>
                    pen.Polygon([(x + (h * 0.34), y), (x, y + (side * h * 0.46)),
                        (x + (h * 0.22), y + (side * h * 0.46)), (x + (h * 0.54), y)])),
                    2);
            }
    }
}
