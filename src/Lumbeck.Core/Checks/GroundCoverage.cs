using Lumbeck.Core.Drawing;
using Lumbeck.Core.Jobs;

namespace Lumbeck.Core.Checks;

/// <summary>Any part of the sheet left bare, out to the edge of the bleed: proved on exact rectangles, not looked for.</summary>
public sealed class GroundCoverage : Rule
{
    public override string Id => "ground.coverage";
    public override string Proves => "the ground covers the whole sheet";
    protected override bool Limited => false;

    public override IEnumerable<Finding> Find(Look look)
    {
        var bare = Coverage.Bare(look.Take, look.Sheet, look.Sheet.Whole);
        if (bare.Count == 0) yield break;
        var gap = bare.MaxBy(b => (double)b.Width.Units * b.Height.Units);
        var width = Length.Min(gap.Width, gap.Height);
        yield return Found(look, Severity.Stop, $"a bare strip {width.Show(look.Unit)} wide", "covered to the edge of the bleed", "Where nothing lies on the sheet, white paper shows at the cut.", "Paint the ground, stretch what should cover it to the edge, or grow its picture.", panel: Part.Sheet, place: gap);
    }
}
