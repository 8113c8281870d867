namespace Lumbeck.Cli;

/// <summary>
/// An inside as JSON: lengths in millimetres from the page's upper left corner, points as a PDF has them.
/// </summary>
internal static class InsideJson
{
    public static Dictionary<string, object?> Of(InsidePlan plan, PageArt art)
    {
        var grid = plan.Grid(0);
        var (odd, even) = (grid.Page(1), grid.Page(2));
        var d = new Dictionary<string, object?>
        {
            ["pages"] = plan.Printed,
            ["asked"] = plan.Counted.Asked,
            ["blank"] = plan.Counted.Blank,
            ["gutter_mm"] = Say.Mm(grid.Gutter),
            ["bleed"] = plan.Bleed.ToString().ToLowerInvariant(),
            ["page_pt"] = new[] { Pt(odd.Size.Width.Points), Pt(odd.Size.Height.Points) },
            ["trim_box_pt"] = new { odd = TrimBox(odd), even = TrimBox(even) },
            ["colour_pages"] = plan.ColourPages(art),
            ["runs"] = plan.Counted.Runs.Select(c => Run(plan, c)),
        };
        if (!plan.Tabbed.IsEmpty) d["tabs"] = plan.Tabbed.Select((run, n) => Tab(plan, run, n));
        if (plan.Job.Ticket.Binding == BindingKind.Booklet)
            d["imposition"] =
                Imposition.Of(plan.Printed, plan.Job.Ticket.Reading, plan.Job.Ticket.Paper.Leaf.ToLength(),
                    plan.Inside.Creep == CreepMode.Balanced, plan.Inside.Creep != CreepMode.None)
                .Select(s => new
                {
                    sheet = s.Number,
                    front = new[] { s.Front.Left, s.Front.Right },
                    back = new[] { s.Back.Left, s.Back.Right },
                    creep_mm = Say.Mm(s.Creep),
                });
        return d;
    }

    /// <summary>What fits a run's first page, or why it does not.</summary>
    public static string Sum(InsidePlan plan, CountedRun counted, Unit unit)
    {
        var design = plan.Inside.Runs[counted.Run].Designs[0];
        return Attempt.Or(() => design.Working(plan.Page(Math.Max(1, counted.First)).Surface, unit),
            r => $"does not fit: {r.Message}");
    }

    private static object Run(InsidePlan plan, CountedRun counted)
    {
        var run = plan.Inside.Runs[counted.Run];
        // Where it does not, the sum says why.
        var fits = Attempt.OrNull(() => run.Designs[0].Fits(plan.Page(Math.Max(1, counted.First)).Surface));
        return new
        {
            name = run.Says,
            design = DesignShelf.WordOf(run.Designs[0]),
            first = counted.First,
            last = counted.Last,
            pages = counted.Pages,
            blank_before = counted.BlankBefore,
            rows = fits.Rows,
            columns = fits.Columns,
            over_mm = fits.Over is { } over ? Say.Mm(over) : (decimal?)null,
            sum = Sum(plan, counted, Unit.Millimetre),
        };
    }

    private static object Tab(InsidePlan plan, int run, int n)
    {
        var (trim, tabs, bleed) = (plan.Job.Ticket.Trim, plan.Inside.Tabs,
            plan.Bleed == PageBleed.None ? Length.Zero : plan.Rules.BleedWidth);
        var (top, bottom) = tabs.At(trim.Height, n, plan.Tabbed.Length);
        // From the trimmed page's left edge: at the fore-edge, out to the bleed.
        decimal[] right = [Say.Mm(trim.Width - tabs.Depth), Say.Mm(trim.Width + bleed)],
            left = [Say.Mm(Length.Zero - bleed), Say.Mm(tabs.Depth)];
        var ltr = plan.Job.Ticket.Reading == Reading.LeftToRight;
        return new
        {
            run = plan.Inside.Runs[run].Says,
            top_mm = Say.Mm(top),
            bottom_mm = Say.Mm(bottom),
            x_odd_mm = ltr ? right : left,
            x_even_mm = ltr ? left : right,
        };
    }

    private static double[] TrimBox(Surface page) =>
    [
        Pt(page.Trim.X.Points), Pt(page.Size.Height.Points - page.Trim.Bottom.Points), Pt(page.Trim.Right.Points),
        Pt(page.Size.Height.Points - page.Trim.Y.Points),
    ];

    private static double Pt(double points) => Math.Round(points, 4);
}
