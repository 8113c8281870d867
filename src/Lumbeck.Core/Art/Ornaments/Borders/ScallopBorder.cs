namespace Lumbeck.Core.Art.Ornaments;

/// <summary>Shells of half circles side by side, each with a smaller one within.</summary>
public sealed record ScallopBorder : Ornament
{
    /// <summary>How long a motif is, in millimetres, before whole ones are fitted.</summary>
    public decimal Pitch { get; init; } = 9m;

    public override string Kind => "scallop border";
    public override OrnamentSort Sort => OrnamentSort.Border;
    public override ImmutableArray<string> Slots => ["Scallops", "Inner scallops", "Beads"];
    public override (double Wide, double High) First => (100, 140);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<ScallopBorder>("pitch", "Motif", " mm", 3m, 40m, o => o.Pitch, (o, n) => o with { Pitch = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high) => Borders.Draw(wide, high, (double)Pitch, Motif);

    private IEnumerable<Drawn> Motif(double length, bool corner)
    {
        var p = (double)Pitch;
        if (corner)
        {
            yield return new Area(Shapes.Circle(p / 2, p / 2, p * 0.46));
            yield return new Area(Shapes.Circle(p / 2, p / 2, p * 0.26), 1);
            yield return new Area(Shapes.Circle(p / 2, p / 2, p * 0.1), 2);
            yield break;
        }
        foreach (var (share, slot) in ((double, int)[])[(1, 0), (0.62, 1)])
            yield return new Area(Shapes.Of(pen =>
            {
                var (half, deep) = (length / 2 * share, p * 0.86 * share);
                pen.Move((length / 2) - half, 0);
                pen.Cubic((length / 2) - half, deep * 1.32, (length / 2) + half, deep * 1.32, (length / 2) + half, 0);
                pen.Close();
            }), slot);
        yield return new Area(Shapes.Circle(length / 2, p * 0.24, p * 0.1), 2);
    }
}
