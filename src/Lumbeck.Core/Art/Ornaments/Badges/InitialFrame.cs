namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A frame for a single letter: a square in a square, with leaves in its corners.</summary>
public sealed record InitialFrame : Ornament
{
    /// <summary>Leaves in each corner.</summary>
    public decimal Leaves { get; init; } = 3m;

    public override string Kind => "initial frame";
    public override OrnamentSort Sort => OrnamentSort.Badge;
    public override ImmutableArray<string> Slots => ["Ground", "Leaves", "Lines"];
    public override (double Wide, double High) First => (40, 40);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<InitialFrame>("leaves", "Leaves", "", 1m, 5m, o => o.Leaves, (o, n) => o with { Leaves = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var u = Math.Min(wide, high);
        yield return new Area(Shapes.Box(0, 0, wide, high));
        yield return new Line(Shapes.Box(u * 0.04, u * 0.04, wide - (u * 0.04), high - (u * 0.04)), u * 0.05, 2);
        yield return new Line(Shapes.Box(u * 0.075, u * 0.075, wide - (u * 0.075), high - (u * 0.075)), u * 0.02, 2);
        for (var n = 0; n < 4; n++)
        {
            var (x, y) = ((n % 2 == 0 ? u * 0.12 : wide - (u * 0.12)), (n < 2 ? u * 0.12 : high - (u * 0.12)));
            var turn = n switch { 0 => 0.125, 1 => 0.375, 2 => -0.125, _ => -0.375 };
            for (var leaf = -(int)Leaves / 2; leaf <= (int)Leaves / 2; leaf++)
                yield return new Area(Shapes.Leaf(u * (0.26 - (0.03 * Math.Abs(leaf))), u * 0.07)
                    .Under(Seeded.Place(x, y, turn + (leaf * 0.07))), 1);
        }
    }

    public override WordPlace Words(double wide, double high) =>
        new(new(wide * 0.2, high * 0.12, wide * 0.8, high * 0.88), high * 0.62);
}
