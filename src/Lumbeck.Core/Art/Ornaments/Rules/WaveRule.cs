namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A rule that runs in waves, with a second under it that goes the other way.</summary>
public sealed record WaveRule : Ornament
{
    /// <summary>How many waves.</summary>
    public decimal Waves { get; init; } = 9m;

    public override string Kind => "wave rule";
    public override OrnamentSort Sort => OrnamentSort.Rule;
    public override ImmutableArray<string> Slots => ["First wave", "Second wave"];
    public override (double Wide, double High) First => (70, 5);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<WaveRule>("waves", "Waves", "", 1m, 40m, o => o.Waves, (o, n) => o with { Waves = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var many = Math.Max(1, (int)Waves);
        foreach (var (slot, way) in ((int, int)[])[(1, -1), (0, 1)])
        {
            var points = Enumerable.Range(0, (many * 8) + 1).Select(n =>
                (X: wide * n / (many * 8), Y: (high / 2) + (way * high * 0.38 * Seeded.Sine(n / 8.0)))).ToList();
            yield return new Line(Strokes.Smooth(points), high * 0.3, slot);
        }
    }
}
