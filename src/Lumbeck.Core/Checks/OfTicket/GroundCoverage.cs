namespace Lumbeck.Core.Checks.OfTicket;

/// <summary>
/// Any part of the sheet left bare, out to the edge of the bleed: proved on exact rectangles, not looked for.
/// </summary>
public sealed class GroundCoverage : Rule
{
    public override string Id => "ground.coverage";
    public override string Proves => "the ground covers the whole sheet";
    protected override bool Limited => false;

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        var bare = Coverage.Bare(look.Take, look.Sheet, look.Sheet.Whole);
        if (bare.Count == 0) yield break;
        // What was not begun is still to do, and not wrong.
        if (look.Take.Items.IsEmpty)
        {
            yield return new()
            {
                Severity = Severity.Todo,
                Measured = "an empty sheet",
                Limit = "covered to the edge of the bleed",
                Why = "Nothing lies on the sheet yet.",
                Mend = "Paint its ground, or try a livery on.",
                Panel = Part.Sheet,
            };
            yield break;
        }
        var gap = bare.MaxBy(b => (double)b.Width.Units * b.Height.Units);
        var width = Length.Min(gap.Width, gap.Height);
        yield return new()
        {
            Severity = Severity.Stop,
            Measured = $"a bare strip {width.Show(look.Unit)} wide",
            Limit = "covered to the edge of the bleed",
            Why = "Where nothing lies on the sheet, white paper shows at the cut.",
            Mend = "Paint the ground, stretch what should cover it to the edge, or grow its picture.",
            Panel = Part.Sheet,
            Place = gap,
            Fix = Stretched(look),
        };
    }

    /// <summary>
    /// Shapes that fill their panel's face run out to its edge, and pictures that do are grown; only where that leaves
    /// nothing bare.
    /// </summary>
    private static Edit? Stretched(CheckContext look)
    {
        var edits = ImmutableList.CreateBuilder<Edit>();
        foreach (var item in look.Take.Items)
        {
            if (item is not (RectItem or PictureItem) || item.Locked || item.Hidden || item.Turned != 0
                || Placement.Of(item, look.Sheet) is not { } at || look.Sheet.Panel(item.Hold.Panel) is not { } panel)
                continue;
            if (!at.OnSheet(item).Contains(panel.Face)) continue;
            edits.Add(item is PictureItem { Picture.IsDrawing: false } ? new GrowPicture(item.Id, new(GrowWay.Mirror))
                : new StretchItem(item.Id, Reach.Bleed));
        }
        if (edits.Count == 0) return null;
        var edit = edits is [var one] ? one : new Together(edits.ToImmutable(), "run the ground out to the edge");
        return Attempt.Or(() =>
            Coverage.Bare(edit.Apply(look.Job).Wraps[look.On.Wrap].Take, look.Sheet, look.Sheet.Whole).Count == 0,
            _ => false) ? edit : null;
    }
}
