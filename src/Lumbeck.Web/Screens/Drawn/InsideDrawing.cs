using System.Text;
using Lumbeck.Press.Svg;

namespace Lumbeck.Web.Screens;

/// <summary>The drawings of the Inside screen: the opening at work with its chains, and the block of leaves.</summary>
public static class InsideDrawing
{
    /// <summary>The pages of an opening, in the order they are read; 0 where there is none.</summary>
    public static (int First, int Second) Opening(int page, int printed)
    {
        var first = page / 2 * 2;
        return (first, first + 1 <= printed ? first + 1 : 0);
    }

    /// <summary>An opening’s address for one of its pages.</summary>
    public static string Address(JobView v, int page) =>
        string.Create(CultureInfo.InvariantCulture, $"{v.Base}/page.svg?n={page}&r={v.On.Revision}");

    /// <summary>The opening: pages at the fold, their margins, and the chains that lead to the sums.</summary>
    public static string Spread(JobView v)
    {
        var plan = v.Plan;
        var (first, second) = Opening(v.Opening, plan.Printed);
        var (w, h) = (v.Ticket.Trim.Width.Points, v.Ticket.Trim.Height.Points);
        var rtl = v.Ticket.Reading == Reading.RightToLeft;
        var (left, right) = rtl ? (second, first) : (first, second);
        var size = Math.Max(2 * w, h * 1.4) / 74;
        var (margin, past) = (size * 4, plan.Inside.Bleeds ? plan.Rules.BleedWidth.Points : 0);
        var s = new StringBuilder("<svg id=\"opening\" class=\"block m-auto shrink-0\" role=\"group\" data-wide=\"")
            .Figure(2 * w)
            .Append("\" data-first=\"").Append(Math.Max(1, first)).Append("\" aria-label=\"")
                .Append(SvgText.Escape(Says(plan, first, second)))
            .Append("\" viewBox=\"").Figure(-margin).Append(' ').Figure(-margin).Append(' ')
                .Figure((2 * w) + margin + size)
            .Append(' ').Figure(h + margin + size).Append("\">");
        foreach (var (page, x, isRight) in ((int, double, bool)[])[(left, 0, false), (right, w, true)])
        {
            if (page == 0) continue;
            var at = plan.Page(page);
            var surface = at.Surface;
            // What a page has beyond the fold is its neighbour’s.
            var (trim, shown) = (surface.Trim, surface.Size);
            var (head, side) = (trim.Y.Points - past, isRight ? trim.X.Points : trim.X.Points - past);
            s.Append("<svg").At(isRight ? x : x - past, -past, w + past, h + (2 * past)).Append(" viewBox=\"")
                .Figure(side)
                .Append(' ').Figure(head).Append(' ').Figure(w + past).Append(' ').Figure(h + (2 * past))
                .Append("\"><rect fill=\"#fff\"").At(side, head, w + past, h + (2 * past)).Append("/>");
            if (v.Composed.Pages is not null)
                s.Append("<image").At(0, 0, shown.Width.Points, shown.Height.Points).Append(" href=\"")
                    .Append(SvgText.Escape(Address(v, page))).Append("\"/>");
            s.Append("</svg>");
            Margins(s, surface, x, size);
        }
        s.Append("<path fill=\"none\" stroke=\"currentColor\" stroke-width=\"1.2\" stroke-dasharray=\"9 3 1.5 3\" " +
            "vector-effect=\"non-scaling-stroke\" d=\"M")
                .Figure(w).Append(' ').Figure(-size).Append('V').Figure(h + (size * 0.6)).Append("\"/>");
        Chains(s, v, plan, left, right, size);
        return s.Append("</svg>").ToString();
    }

    private static StringBuilder At(this StringBuilder s, double x, double y, double wide,
        double high) => s.Append(" x=\"")
        .Figure(x)
        .Append("\" y=\"").Figure(y).Append("\" width=\"").Figure(wide).Append("\" height=\"").Figure(high).Append('"');

    private static string Says(InsidePlan plan, int first, int second)
    {
        string one(int n) =>
            n == 0
                ? ""
                : plan.Page(n) is { Design: { } d } p
                ? $"page {n}, {p.Run!.Says}, {d.Kind}"
                : $"page {n}, blank";
        return string.Join("; ", ((string[])[one(first), one(second)]).Where(t => t.Length > 0));
    }

    private static void Margins(StringBuilder s, Surface page, double x, double size)
    {
        var (trim, safe) = (page.Trim, page.Safe);
        var (l, t) = (x + (safe.X - trim.X).Points, (safe.Y - trim.Y).Points);
        var (r, b) = (l + safe.Width.Points, t + safe.Height.Points);
        s.Append("<g fill=\"none\" stroke=\"currentColor\" class=\"margins\"><path " +
            "vector-effect=\"non-scaling-stroke\" d=\"M")
            .Figure(x).Append(" 0h")
            .Figure(trim.Width.Points).Append('v').Figure(trim.Height.Points).Append('h').Figure(-trim.Width.Points)
                .Append("z\"/>" +
                "<path stroke-width=\".8\" stroke-dasharray=\"1 4\" vector-effect=\"non-scaling-stroke\" d=\"M")
            .Figure(l).Append(' ').Figure(t).Append('H').Figure(r).Append('V').Figure(b).Append('H').Figure(l)
                .Append("z\"/><path " +
                "stroke-width=\"1.3\" vector-effect=\"non-scaling-stroke\" d=\"");
        foreach (var (cx, cy, dx, dy) in ((double, double, int, int)[])[(l, t, 1, 1), (r, t, -1, 1), (r, b, -1, -1),
            (l, b, 1, -1)])
            s.Append('M').Figure(cx + (dx * size)).Append(' ').Figure(cy).Append('H').Figure(cx).Append('v')
                .Figure(dy * size);
        s.Append("\"/></g>");
    }

    private static void Chains(StringBuilder s, JobView v, InsidePlan plan, int left, int right, double size)
    {
        var (unit, w) = (v.Ticket.Unit, v.Ticket.Trim.Width.Points);
        var at = -size * 1.9;
        s.Append("<g class=\"chain\">");
        foreach (var (page, x, isRight) in ((int, double, bool)[])[(left, 0, false), (right, w, true)])
        {
            if (page == 0) continue;
            var surface = plan.Page(page).Surface;
            var (trim, safe) = (surface.Trim, surface.Safe);
            (Length Wide, string Name)[] parts = [(safe.X - trim.X,
                isRight ? "gutter" : "fore-edge"), (safe.Width, "width"),
                (trim.Right - safe.Right, isRight ? "fore-edge" : "gutter")];
            var from = x;
            foreach (var (wide, name) in parts)
            {
                Drawings.Chain(s, from, wide.Points, at, wide.Points > 6 * size ? size : 0.84 * size, upright: false,
                    wide, unit, name, name, "");
                from += wide.Points;
            }
        }
        var shown = plan.Page(left != 0 ? left : right);
        var (box, within) = (shown.Surface.Trim, shown.Surface.Safe);
        List<(double, Length, string)> down = [(0, within.Y - box.Y, "head")];
        if (shown.Design is { TakesHeading: true, Header.Units: > 0 } headed)
            down.Add(((within.Y - box.Y).Points, headed.Header, "header"));
        if (shown.Design?.Fields.FirstOrDefault(f => f.Key == "pitch") is { } pitch
            && Typed.Length(pitch.Show(shown.Design, new(Unit.Millimetre, [], [])),
                Unit.Millimetre) is { Units: > 0 } step)
            down.Add((((within.Bottom - box.Y) - step).Points, step, "pitch"));
        down.Add(((within.Bottom - box.Y).Points, box.Bottom - within.Bottom, "foot"));
        // Beside the page that is there, where one stands alone.
        s.Append("<g transform=\"translate(").Figure(left != 0 ? 0 : w).Append(" 0)\">");
        foreach (var (y, long_, name) in down)
            Drawings.Chain(s, y, long_.Points, at, 0.84 * size, upright: true, long_, unit, name,
                name == "header" || name == "pitch" ? "page" : name, "");
        s.Append("</g></g>");
    }

    /// <summary>Every opening as a thin upright leaf; runs told apart by their pattern, tabs at the edge.</summary>
    public static string Block(JobView v)
    {
        var plan = v.Plan;
        var leaves = (plan.Printed / 2) + 1;
        const double high = 84, room = 1000;
        var step = Math.Min(17.3, room / leaves);
        var wide = Math.Max(0.8, step - Math.Min(2.3, step * 0.25));
        var s = new StringBuilder("<svg id=\"leaves\" class=\"block w-full h-[112px]\" " +
            "preserveAspectRatio=\"xMinYMid meet\" role=\"slider\" tabindex=\"0\" " +
            "aria-label=\"The block, opening by opening\" aria-valuemin=\"1\" aria-valuemax=\"").Append(leaves)
                .Append("\" data-step=\"").Figure(step)
            .Append("\" data-rtl=\"").Append(v.Ticket.Reading == Reading.RightToLeft ? "true" : "false")
                .Append("\" data-puzzles=\"").Append(plan.Asked.Any() ? "true" : "false")
                .Append("\" data-made=\"").Append(v.Around.PuzzlesFinished)
                .Append("\" data-pages=\"").Append(plan.Printed).Append("\" viewBox=\"-4 -14 ").Figure(room + 8)
                .Append(" 116\"><defs>");
        for (var n = 0; n < plan.Inside.Runs.Count; n++) Pattern(s, n, plan.Inside.Runs[n].Designs[0]);
        s.Append("</defs>");
        var rtl = v.Ticket.Reading == Reading.RightToLeft;
        for (var n = 0; n < leaves; n++)
        {
            var (first, second) = Opening(2 * n, plan.Printed);
            if (first == 0 && second == 0) continue;
            var x = rtl ? room - ((n + 1) * step) : n * step;
            // The first and the last page stand alone.
            var alone = first == 0 || second == 0;
            var page = plan.Counted.Pages[(first == 0 ? second : first) - 1];
            s.Append("<g data-leaf=\"").Append(Math.Max(1, first)).Append("\"><rect x=\"").Figure(x)
                .Append("\" y=\"0\" width=\"")
                .Figure(alone ? wide * 0.85 : wide).Append("\" height=\"").Figure(high)
                    .Append("\" class=\"leaf\" fill=\"").Append(page.Kind is SlotKind.Page
                    ? $"url(#run-{page.Run})" : "var(--color-deep)").Append("\"/>");
            foreach (var number in (int[])[first, second])
                if (number > 0 && plan.Counted.Pages[number - 1] is { Kind: SlotKind.Page or SlotKind.Back } slot
                    && plan.Tabbed.IndexOf(slot.Run) is >= 0 and var tab)
                {
                    var (top, bottom) = plan.Inside.Tabs.At(v.Ticket.Trim.Height, tab, plan.Tabbed.Length);
                    var scale = high / v.Ticket.Trim.Height.Points;
                    s.Append("<rect x=\"").Figure(x + (wide * 0.66)).Append("\" y=\"").Figure(top.Points * scale)
                        .Append("\" width=\"")
                        .Figure(wide * 0.34).Append("\" height=\"").Figure(Math.Max(1, (bottom - top).Points * scale))
                            .Append("\" fill=\"currentColor\"/>");
                    break;
                }
            s.Append("</g>");
        }
        return s.Append("</svg>").ToString();
    }

    /// <summary>What leaves of a run look like from far: strokes as its design has them.</summary>
    private static void Pattern(StringBuilder s, int n, PageDesign design)
    {
        var (gap, d) = design switch
        {
            Table or SpreadTable or ScoreSheet or Ledger => (7 + (n % 3), "M1 3H15M5 0V99"),
            FormPage => (12, "M1 5H15M1 9H9"),
            Prompts => (14, "M1 3H10M1 7H15M1 11H15"),
            ContentsPage or IndexPage => (5 + (n % 2), "M1 3H12"),
            BlankPage => (84, ""),
            { IsDisplay: true } => (84, "M4 30H13V46H4z"),
            _ when DesignShelf.All.First(a => a.First.GetType() == design.GetType())
                .Group == "grids" => (5 + (n % 3), "M2 2h.9M7 2h.9M12 2h.9"),
            _ => (6 + (n % 4), "M2 3H14"),
        };
        s.Append("<pattern id=\"run-").Append(n).Append("\" patternUnits=\"userSpaceOnUse\" width=\"17.3\" height=\"")
            .Append(gap)
            .Append("\"><rect width=\"17.3\" height=\"").Append(gap).Append("\" fill=\"#fff\"/><path d=\"").Append(d)
            .Append("\" fill=\"none\" stroke=\"currentColor\" stroke-opacity=\".45\" stroke-width=\".8\"/></pattern>");
    }
}
