namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A shape for speech, with a tail to whoever speaks.</summary>
public sealed record SpeechShape : Ornament
{
    /// <summary>Where its tail stands, in percent of its width.</summary>
    public decimal Tail { get; init; } = 30m;

    public override string Kind => "speech shape";
    public override OrnamentSort Sort => OrnamentSort.Sign;
    public override ImmutableArray<string> Slots => ["Ground", "Edge"];
    public override (double Wide, double High) First => (60, 40);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<SpeechShape>("tail", "Tail at", " %", 15m, 80m, o => o.Tail, (o, n) => o with { Tail = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var (body, tail) = (high * 0.78, (double)Tail / 100 * wide);
        Outline shape(double off) => Shapes.Of(pen =>
        {
            var r = Math.Min(wide, body) * 0.34;
            pen.Move(r, off);
            pen.Line(wide - r, off);
            pen.Quad(wide - off, off, wide - off, r);
            pen.Line(wide - off, body - r);
            pen.Quad(wide - off, body - off, wide - r, body - off);
            pen.Line(tail + (wide * 0.1), body - off);
            pen.Quad(tail + (wide * 0.02), high * 0.92, tail - (wide * 0.06), high - (off * 2));
            pen.Quad(tail, high * 0.9, tail - (wide * 0.02), body - off);
            pen.Line(r, body - off);
            pen.Quad(off, body - off, off, body - r);
            pen.Line(off, r);
            pen.Quad(off, off, r, off);
            pen.Close();
        });
        yield return new Area(shape(0));
        yield return new Line(shape(0.5), 1.4, 1);
    }

    public override WordPlace Words(double wide, double high) =>
        new(new(wide * 0.1, high * 0.1, wide * 0.9, high * 0.68), high * 0.16);
}
