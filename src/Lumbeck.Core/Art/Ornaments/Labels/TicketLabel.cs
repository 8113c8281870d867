namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A plate with scooped corners and a dotted line inside its edge.</summary>
public sealed record TicketLabel : Ornament
{
    /// <summary>How deep its corners are scooped, in percent of its shorter side.</summary>
    public decimal Scoop { get; init; } = 16m;

    public override string Kind => "ticket label";
    public override OrnamentSort Sort => OrnamentSort.Label;
    public override ImmutableArray<string> Slots => ["Label", "Edge", "Dots"];
    public override (double Wide, double High) First => (80, 40);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<TicketLabel>("scoop", "Scoop", " %", 6m, 35m, o => o.Scoop, (o, n) => o with { Scoop = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var scoop = Math.Min(wide, high) * (double)Scoop / 100;
        Outline around(double off) => Shapes.Of(pen =>
        {
            var r = scoop;
            pen.Move(r + off, off);
            pen.Line(wide - r - off, off);
            pen.Quad(wide - r - off, r + off, wide - off, r + off);
            pen.Line(wide - off, high - r - off);
            pen.Quad(wide - r - off, high - r - off, wide - r - off, high - off);
            pen.Line(r + off, high - off);
            pen.Quad(r + off, high - r - off, off, high - r - off);
            pen.Line(off, r + off);
            pen.Quad(r + off, r + off, r + off, off);
            pen.Close();
        });
        yield return new Area(around(0));
        yield return new Line(around(0.4), 1.2, 1);
        yield return new Line(around(2), 0.9, 2) { Dash = [0.9, 2.2] };
    }

    public override WordPlace Words(double wide, double high) =>
        new(new(wide * 0.16, high * 0.22, wide * 0.84, high * 0.78), high * 0.24);
}
