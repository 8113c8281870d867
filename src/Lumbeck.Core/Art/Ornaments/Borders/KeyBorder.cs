namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A line that turns inward in right angles and out again, without end.</summary>
public sealed record KeyBorder : Ornament
{
    /// <summary>How long a motif is, in millimetres, before whole ones are fitted.</summary>
    public decimal Pitch { get; init; } = 10m;

    public override string Kind => "key border";
    public override OrnamentSort Sort => OrnamentSort.Border;
    public override ImmutableArray<string> Slots => ["Line", "Edge"];
    public override (double Wide, double High) First => (100, 140);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<KeyBorder>("pitch", "Motif", " mm", 3m, 40m, o => o.Pitch, (o, n) => o with { Pitch = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high) => Borders.Draw(wide, high, (double)Pitch, Motif);

    private IEnumerable<Drawn> Motif(double length, bool corner)
    {
        var (p, u) = ((double)Pitch, (double)Pitch / 6);
        foreach (var y in (double[])[u * 0.35, p - (u * 0.35)])
            yield return new Line(Shapes.Of(pen =>
            {
                if (corner) pen.Path((length, y), (y, y), (y, length));
                else pen.Path((0, y), (length, y));
            }), u * 1.0, 1);
        // The key is drawn on a grid of six steps; a corner lets it go round with a square.
        var s = length / 6;
        if (corner)
        {
            yield return new Line(Shapes.Of(pen => pen.Path((length, u * 4.6), (u * 1.6, u * 4.6), (u * 1.6, u * 1.6),
                (u * 3.2, u * 1.6), (u * 3.2, u * 3.2))), u * 1.9);
            yield break;
        }
        yield return new Line(Shapes.Of(pen => pen.Path((0, u * 4.6), (s * 0.7, u * 4.6), (s * 0.7, u * 1.5), (s * 4.6, u * 1.5),
            (s * 4.6, u * 3.4), (s * 2.6, u * 3.4), (s * 2.6, u * 4.6), (length, u * 4.6))), u * 1.9);
    }
}
