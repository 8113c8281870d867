namespace Lumbeck.Core.Checks.OfInk;

/// <summary>
/// Gradients whose steps show: a plate has 256 of them. Two that lie side by side are seen as bands where they look
/// apart by
/// more than half of what is just seen, and sooner where each of them is broad.
/// </summary>
public sealed class InkSteps : Rule
{
    /// <summary>The most that two steps may look apart (ΔE00), and the most that broad ones may.</summary>
    private const double Most = 0.5, MostBroad = 0.15;

    /// <summary>A step is broad from here on, in points (4 mm).</summary>
    private const double Broad = 11.3;

    /// <summary>Under this length no band is wide enough to be seen, in points (30 mm).</summary>
    private const double Long = 85;

    public override string Id => "ink.steps";
    public override string Proves => "gradients run without bands";
    protected override bool Limited => false;

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        if (look.Take.Ground.Paint is GradientPaint && Worst(look.Scene.Items[0].Marks) is { } apart)
            yield return Of(look, apart, null, look.Scene.Items[0]);
        foreach (var (item, drawn) in look.Drawn())
            // A vista's light goes out in rings of its own, which are as fine as its drawing needs.
            if (item is not VistaItem && Worst(drawn.Marks) is { } apart2) yield return Of(look, apart2, item, drawn);
    }

    private static Finding Of(CheckContext look, double apart, Item? item, DrawnItem drawn) => new()
    {
        Severity = Severity.Note,
        Measured = $"ΔE {apart.ToString("0.00", CultureInfo.InvariantCulture)} from step to step",
        Limit = "more of them, or alike",
        Why = "So few steps over so long a way show as bands.",
        Mend = "Let it run between inks that differ more, or over a shorter way.",
        Of = item,
        Panel = item?.Hold.Panel ?? Part.Sheet,
        Place = drawn.Frame.ToBox(),
    };

    private static double? Worst(IEnumerable<Mark> marks)
    {
        double? worst = null;
        foreach (var mark in marks.OfType<GradientMark>().Where(m => m.Finish is null))
        {
            var s = mark.Gradient;
            var way = Math.Sqrt(((s.X1 - s.X0) * (s.X1 - s.X0)) + ((s.Y1 - s.Y0) * (s.Y1 - s.Y0)));
            for (var n = 1; n < s.Stops.Length; n++)
            {
                var ((from, a), (to, b)) = (s.Stops[n - 1], s.Stops[n]);
                if ((to - from) * way < Long) continue;
                var steps = new[] { a.C - b.C, a.M - b.M, a.Y - b.Y, a.K - b.K }.Max(Math.Abs) * 255 / 10_000.0;
                if (steps < 1) continue;
                var apart = Seen.Lab(a).DeltaE(Seen.Lab(b)) / steps;
                var most = (to - from) * way / steps > Broad ? MostBroad : Most;
                if (apart > most && (worst is null || apart > worst)) worst = apart;
            }
        }
        return worst;
    }
}
