namespace Lumbeck.Core.Art.Ornaments;

/// <summary>An open book, seen from before.</summary>
public sealed record Book : Ornament
{
    /// <summary>Lines on a page.</summary>
    public decimal Lines { get; init; } = 6m;

    public override string Kind => "book";
    public override OrnamentSort Sort => OrnamentSort.Thing;
    public override ImmutableArray<string> Slots => ["Cover", "Pages", "Lines"];
    public override (double Wide, double High) First => (56, 34);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Book>("lines", "Lines", "", 0m, 10m, o => o.Lines, (o, n) => o with { Lines = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var place = new Affine(wide / 100, 0, 0, high / 60, 0, 0);
        yield return new Area(Shapes.Of(pen =>
            pen.Polygon([(2, 9), (48, 13), (52, 13), (98, 9), (98, 55), (52, 59), (48, 59), (2, 55)]))
            .Under(place));
        foreach (var side in (int[])[-1, 1])
        {
            var half = new Affine(side, 0, 0, 1, 50, 0).Then(place);
            yield return new Area(Shapes.Of(pen =>
            {
                pen.Move(0, 12);
                pen.Cubic(8, 3, 28, 2, 44, 5);
                pen.Line(44, 50);
                pen.Cubic(28, 47, 8, 48, 0, 56);
                pen.Close();
            }).Under(half), 1);
            for (var n = 0; n < (int)Lines; n++)
            {
                var y = 14 + (32.0 * n / Math.Max(1, (int)Lines - 1));
                yield return new Line(Shapes.Of(pen =>
                {
                    pen.Move(6, y + 1.5);
                    pen.Cubic(14, y - 4, 28, y - 5, 39, y - 3.6);
                }).Under(half), high * 0.028, 2);
            }
        }
        yield return new Line(Shapes.Of(pen => pen.Path((50, 12), (50, 57))).Under(place), high * 0.035, 2);
    }
}
