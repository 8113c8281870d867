namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A label for a notebook: a plate with cut corners and lines for a name and what is in it.</summary>
public sealed record NotebookLabel : Ornament
{
    /// <summary>How many lines there are to write on.</summary>
    public decimal Rules { get; init; } = 2m;

    public override string Kind => "notebook label";
    public override OrnamentSort Sort => OrnamentSort.Label;
    public override ImmutableArray<string> Slots => ["Label", "Edge", "Lines"];
    public override (double Wide, double High) First => (90, 55);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<NotebookLabel>("rules", "Lines", "", 0m, 6m, o => o.Rules, (o, n) => o with { Rules = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var (cut, rules) = (Math.Min(wide, high) * 0.09, (int)Rules);
        (double X, double Y)[] around(double off) =>
        [
            (cut + off, off), (wide - cut - off, off), (wide - off, cut + off), (wide - off, high - cut - off),
            (wide - cut - off, high - off), (cut + off, high - off), (off, high - cut - off), (off, cut + off),
        ];
        yield return new Area(Shapes.Of(pen => pen.Polygon(around(0))));
        foreach (var (off, weight) in ((double, double)[])[(1.1, 1.4), (2.4, 0.6)])
            yield return new Line(Shapes.Of(pen => pen.Polygon(around(off))), weight, 1);
        for (var n = 1; n <= rules; n++)
        {
            var y = high * (0.44 + (0.4 * n / rules));
            yield return new Line(Shapes.Of(pen => pen.Path((wide * 0.12, y), (wide * 0.88, y))), 0.6, 2);
        }
    }

    public override WordPlace Words(double wide, double high) =>
        new(new(wide * 0.1, high * 0.1, wide * 0.9, high * 0.42), high * 0.2);
}
