namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A ribbon bent upward, whose words go round with it.</summary>
public sealed record BentRibbon : Ornament
{
    public override string Kind => "bent ribbon";
    public override OrnamentSort Sort => OrnamentSort.Label;
    public override ImmutableArray<string> Slots => ["Ribbon", "Back", "Shade"];
    public override (double Wide, double High) First => (110, 34);

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var (deep, rise) = (high * 0.46, high * 0.3);
        // A band between two curves; both are a parabola, the outer so much higher.
        double curve(double x) => rise * 4 * ((x / wide) - 0.5) * ((x / wide) - 0.5);
        Outline band(double from, double to, double down) => Shapes.Of(pen =>
        {
            var upper = Enumerable.Range(0, 17).Select(n => from + ((to - from) * n / 16)).ToList();
            pen.Smooth([.. upper.Select(x => (x, curve(x) + down))]);
            upper.Reverse();
            pen.Line(to, curve(to) + down + deep);
            foreach (var x in upper.Skip(1)) pen.Line(x, curve(x) + down + deep);
            pen.Close();
        });
        var (fold, end) = (wide * 0.14, wide * 0.2);
        foreach (var side in (int[])[0, 1])
        {
            var flip = side == 0 ? Affine.Identity : new Affine(-1, 0, 0, 1, wide, 0);
            yield return new Area(Shapes.Of(pen => pen.Polygon([(0, high - deep), (end, high - deep - (rise * 0.18)),
                (end, high - (rise * 0.18)), (0, high), (end * 0.35, high - (deep / 2))])).Under(flip), 1);
            yield return new Area(Shapes.Of(pen =>
                pen.Polygon([(fold, curve(fold) + deep), (end, curve(end) + deep),
                    (end, high - (rise * 0.18))])).Under(flip),
                2);
        }
        yield return new Area(band(fold, wide - fold, 0));
    }

    public override WordPlace Words(double wide, double high) =>
        new(new(wide * 0.17, high * 0.04, wide * 0.83, high * 0.5), high * 0.24, 34);
}
