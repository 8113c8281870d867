namespace Lumbeck.Core.Checks.OfInk;

/// <summary>
/// White that overprints vanishes; small black that knocks out shows light edges; art in all inks at once is for marks
/// alone.
/// </summary>
public sealed class InkOverprint : Rule
{
    public override string Id => "ink.overprint";
    public override string Proves => "what overprints and what knocks out is right";

    public override IEnumerable<Finding> Check(CheckContext look)
    {
        foreach (var (item, drawn) in look.Drawn())
        {
            var marks = MarkLeaves.Of(drawn.Marks).ToList();
            if (marks.Any(m => m is IPlainInk { Overprints: true, Plain: { C: 0, M: 0, Y: 0, K: 0 } }))
                yield return Found(look, Severity.Stop, "white that overprints", "white that knocks out",
                    "White set to overprint leaves nothing on the sheet.", "Give it an ink, or let it knock out.", item,
                    place: drawn.Inked.ToBox());
            else if (item is TextItem && drawn.Mixes
                && marks.OfType<GlyphMark>()
                    .FirstOrDefault(g =>
                        g.Finish is null && g.Ink == Ink.Black
                            && g.Size <= look.House.BlackOverprintUpTo.Points) is { } black)
                yield return Found(look, Severity.Caution, $"black at {Length.FromDrawing(black.Size).ShowPoints()}, " +
                    $"mixed", "black that overprints",
                    "Mixed with what lies under it, small black needs all plates to fit.",
                    "Let it cover what lies under it.", item, place: drawn.Inked.ToBox(),
                    by: item.Locked
                        ? null
                        : new Together([new FadeItem(item.Id, 100), new BlendItem(item.Id, Blend.Normal)],
                            $"let {item.Said} cover"));
            if (marks.Select(m => (m as IPlainInk)?.Plain)
                .FirstOrDefault(i => i is { C: >= 9500, M: >= 9500, Y: >= 9500, K: >= 9500 }) is { } all)
                yield return Found(look, Severity.Caution, all.ToString(), "for marks alone",
                    "All inks at once never dry, and are the colour of printer’s marks.",
                    "Take black, or the printer’s rich black.", item, place: drawn.Inked.ToBox(),
                    by: Mending.Paint(look, item, _ => item is TextItem ? Ink.Black : look.House.RichBlack));
        }
    }
}
