namespace Lumbeck.Core.Checks.OfInk;

/// <summary>
/// White that overprints vanishes; small black that knocks out shows light edges; art in all inks at once is for marks
/// alone.
/// </summary>
public sealed class InkOverprint : Rule
{
    public override string Id => "ink.overprint";
    public override string Proves => "what overprints and what knocks out is right";

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        foreach (var (item, drawn) in look.Drawn())
        {
            var marks = MarkLeaves.Of(drawn.Marks).ToList();
            if (marks.Any(m => m is IPlainInk { Overprints: true, Plain: { C: 0, M: 0, Y: 0, K: 0 } }))
                yield return new()
                {
                    Severity = Severity.Stop,
                    Measured = "white that overprints",
                    Limit = "white that knocks out",
                    Why = "White set to overprint leaves nothing on the sheet.",
                    Mend = "Give it an ink, or let it knock out.",
                    Of = item,
                    Place = drawn.Inked.ToBox(),
                };
            else if (item is TextItem && drawn.Mixes
                && marks.OfType<GlyphMark>()
                    .FirstOrDefault(g =>
                        g.Finish is null && g.Ink == Ink.Black
                            && g.Size <= look.House.BlackOverprintUpTo.Points) is { } black)
                yield return new()
                {
                    Severity = Severity.Caution,
                    Measured = $"black at {Length.FromDrawing(black.Size).ShowPoints()}, mixed",
                    Limit = "black that overprints",
                    Why = "Mixed with what lies under it, small black needs all plates to fit.",
                    Mend = "Let it cover what lies under it.",
                    Of = item,
                    Place = drawn.Inked.ToBox(),
                    Fix = item.Locked
                        ? null
                        : new Together([new FadeItem(item.Id, 100), new BlendItem(item.Id, Blend.Normal)],
                            $"let {item.Said} cover"),
                };
            if (marks.Select(m => (m as IPlainInk)?.Plain)
                .FirstOrDefault(i => i is { C: >= 9500, M: >= 9500, Y: >= 9500, K: >= 9500 }) is { } all)
                yield return new()
                {
                    Severity = Severity.Caution,
                    Measured = all.ToString(),
                    Limit = "for marks alone",
                    Why = "All inks at once never dry, and are the colour of printer’s marks.",
                    Mend = "Take black, or the printer’s rich black.",
                    Of = item,
                    Place = drawn.Inked.ToBox(),
                    Fix = Mending.Paint(look, item, _ => item is TextItem ? Ink.Black : look.House.RichBlack),
                };
        }
    }
}
