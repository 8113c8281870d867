namespace Lumbeck.Core.Checks.OfPages;

/// <summary>
/// Marks that leave the margins and do not run out to an edge by design; ink where a cover is glued on.
/// </summary>
public sealed class PageMargin : PageRule
{
    public override string Id => "page.margin";
    public override string Proves => "what is written on lies within the margins";

    protected override IEnumerable<Finding> Look(PageLook look)
    {
        var safe = look.Page.Safe;
        foreach (var drawn in look.Written)
        {
            if (drawn.Inked.IsEmpty) continue;
            // Of a line along a margin half lies beyond it: what is looked at is the way that it is drawn along.
            var ink = Ways(drawn).ToBox();
            var past = new[] { safe.X - ink.X, safe.Y - ink.Y, ink.Right - safe.Right,
                ink.Bottom - safe.Bottom }.Max(l => l.Units);
            var free = drawn.Item == PageScene.Words ? CheckContext.Overhang : CheckContext.Tolerance;
            if (past <= free.Units) continue;
            yield return new()
            {
                Severity = Severity.Stop,
                Measured = $"{Length.FromUnits(past).Show(look.Unit)} past the margin",
                Limit = "within the margins",
                Why = "What reaches into the gutter is hidden in the fold, and what reaches the cut is cut.",
                Mend = "Make the margins larger, or what lies on the page smaller.",
                Place = ink,
            };
        }
        if (look.Plan is { } plan && (look.Number == 1 || look.Number == plan.Printed)
            && plan.Rules.Glue is { Units: > 0 } glue)
        {
            var trim = look.Page.Trim;
            var boundLeft = plan.Grid(-1).IsRight(look.Number);
            var strip = boundLeft
                ? new Box(trim.X, trim.Y, glue, trim.Height)
                : new Box(trim.Right - glue, trim.Y, glue, trim.Height);
            if (look.Scene.Items.Any(p => !p.Inked.IsEmpty && !p.Inked.ToBox().Intersect(strip).IsEmpty))
                yield return new()
                {
                    Severity = Severity.Stop,
                    Measured = $"ink within {glue.Show(look.Unit)} of the bound edge",
                    Limit = "none there",
                    Why = $"{look.House.Name} glues the cover to the first and the last page.",
                    Mend = "Give this page a wider gutter, or nothing that runs out to an edge.",
                    Place = strip,
                };
        }
    }

    private const double Hair = 0.001;

    private static Bounds Ways(DrawnItem drawn) => drawn.Marks.SelectMany(m => m is RepeatedMark r ? r.Each() : [m])
        .Aggregate(Bounds.None, (all, m) => all.Union(m.Accept(new Way(drawn))));

    /// <summary>Where a mark is drawn along, without what its weight adds.</summary>
    private sealed class Way(DrawnItem drawn) : IMarkVisitor<Bounds>
    {
        public Bounds Fill(FillMark mark) => mark.Shape.Bounds;
        public Bounds Gradient(GradientMark mark) => Bounds.None;

        // A level line alone has no height, and would be no bounds.
        public Bounds Line(LineMark mark) =>
            mark.Shape.Bounds is var b ? new(b.Left, b.Top - Hair, b.Right, b.Bottom + Hair) : b;

        public Bounds Glyphs(GlyphMark mark) => drawn.Inked;
        public Bounds Blurred(BlurredMark mark) => Bounds.None;
        public Bounds Picture(PictureMark mark) => Bounds.None;
        public Bounds Tiles(TilesMark mark) => Bounds.None;
        public Bounds Grown(GrownMark mark) => Bounds.None;
        public Bounds Repeated(RepeatedMark mark) => Bounds.None;
        public Bounds Drawing(DrawingMark mark) => Bounds.None;
    }
}
