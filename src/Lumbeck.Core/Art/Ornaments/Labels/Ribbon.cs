namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A ribbon that is folded behind itself at both ends.</summary>
public sealed record Ribbon : Ornament
{
    /// <summary>How deep its ends are notched, in percent of an end.</summary>
    public decimal Notch { get; init; } = 45m;

    public override string Kind => "ribbon";
    public override OrnamentSort Sort => OrnamentSort.Label;
    public override ImmutableArray<string> Slots => ["Ribbon", "Back", "Shade"];
    public override (double Wide, double High) First => (110, 26);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Ribbon>("notch", "Notch", " %", 0m, 90m, o => o.Notch, (o, n) => o with { Notch = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var (tail, drop, body) = (wide * 0.17, high * 0.26, high * 0.7);
        foreach (var side in (int[])[0, 1])
        {
            var flip = side == 0 ? Affine.Identity : new Affine(-1, 0, 0, 1, wide, 0);
            yield return new Area(Shapes.Of(pen => pen.Polygon([(0, drop), (tail * 1.35, drop), (tail * 1.35, drop + body),
                (0, drop + body),
                (tail * (double)Notch / 100, drop + (body / 2))])).Under(flip), 1);
            yield return new Area(Shapes.Of(pen =>
                pen.Polygon([(tail * 0.8, body), (tail * 1.35, body), (tail * 1.35, drop + body)])).Under(flip),
                2);
        }
        yield return new Area(Shapes.Box(tail * 0.8, 0, wide - (tail * 0.8), body));
        foreach (var y in (double[])[body * 0.1, body * 0.9])
            yield return new Line(Shapes.Of(pen => pen.Path((tail * 0.8, y), (wide - (tail * 0.8), y))), 0.6, 2);
    }

    public override WordPlace Words(double wide, double high) =>
        new(new(wide * 0.17, high * 0.08, wide * 0.83, high * 0.64), high * 0.36);
}
