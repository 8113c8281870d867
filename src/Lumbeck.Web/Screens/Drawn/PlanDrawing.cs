using System.Text;
using Lumbeck.Press.Svg;

namespace Lumbeck.Web.Screens;

/// <summary>
/// The computed sheet drawn to scale, without the art: panels by name, zones, folds and chains, and over it how it was
/// or would be.
/// </summary>
public static class PlanDrawing
{
    /// <summary>The ticket's sheet, over it the outline it had before where it has moved.</summary>
    public static string Of(JobView v)
    {
        var s = new StringBuilder("<svg id=\"plan\" class=\"block w-full h-full\" role=\"group\" aria-label=\"The " +
            "computed sheet, drawn to scale\" viewBox=\"")
            .Append(ViewBox(v.Sheet, v.Moved)).Append("\">");
        Sheet(s, v.Sheet, "p");
        if (v.Moved is { } was) Ghost(s, was, v.Sheet, zones: false);
        return s.Append("<g class=\"chain\">").Append(Drawings.Chains(v.Sheet, v.Ticket.Unit, "")).Append("</g></svg>")
            .ToString();
    }

    /// <summary>
    /// A small sheet with what a figure of the house moves on it: solid as it is, dashed as it would be.
    /// </summary>
    public static string Of(KeyMove move)
    {
        var (was, now) = Pair(move);
        var s = new StringBuilder("<svg class=\"block w-full max-h-full\" role=\"img\" aria-label=\"What this figure " +
            "moves: the sheet as it is, and dashed as it would be\" viewBox=\"")
            .Append(ViewBox(was, now, chains: false)).Append("\">");
        Sheet(s, was, "m");
        Ghost(s, now, was, zones: true);
        return s.Append("</svg>").ToString();
    }

    /// <summary>A house's plainest sheet, where a figure moves nothing on it.</summary>
    public static string Of(Sheet sheet)
    {
        var s = new StringBuilder("<svg class=\"block w-full max-h-full opacity-60\" role=\"img\" aria-label=\"A " +
            "sheet of this printer\" viewBox=\"")
            .Append(ViewBox(sheet, null, chains: false)).Append("\">");
        Sheet(s, sheet, "m");
        return s.Append("</svg>").ToString();
    }

    /// <summary>The first sheet that moves, as it is and as it would be.</summary>
    public static (Sheet Was, Sheet Is) Pair(KeyMove move) =>
        move.Was.Sheets.Zip(move.Is.Sheets).First(p => Changes.Moves(p.First, p.Second));

    private static void Sheet(StringBuilder s, Sheet sheet, string prefix)
    {
        var size = Drawings.TextSize(sheet);
        s.Append("<defs>").Append(ZoneSvg.Patterns(prefix)).Append("</defs><rect class=\"paper\"").Rect(sheet.Whole)
            .Append("/><g class=\"zones\">").Append(ZoneSvg.Zones(sheet, prefix, _ => false)).Append("</g>");
        foreach (var panel in sheet.Panels)
        {
            var f = panel.Face;
            var (x, y) = (f.X.Points + (f.Width.Points / 2), f.Y.Points + (f.Height.Points / 2));
            var upright = f.Width.Points < size * 8;
            if (upright && f.Width.Points < size * 1.3) continue;
            s.Append("<text font-size=\"").Figure(size * (upright ? 1 : 1.25))
                .Append("\" fill=\"#4d5952\" text-anchor=\"middle\" dominant-baseline=\"central\" transform=\"translate(")
                .Figure(x).Append(' ').Figure(y).Append(')')
                .Append(upright ? (panel.Turn == Turn.CounterClockwise ? "rotate(-90)" : "rotate(90)") : "")
                .Append("\">").Append(SvgText.Escape(panel.Part.Say())).Append("</text>");
        }
    }

    /// <summary>What of a sheet does not lie where another has it, dashed; the two laid middle on middle.</summary>
    private static void Ghost(StringBuilder s, Sheet ghost, Sheet other, bool zones)
    {
        var (dx, dy) = (0.5m * (other.Size.Width - ghost.Size.Width), 0.5m * (other.Size.Height - ghost.Size.Height));
        Box moved(Box b) => new(b.X + dx, b.Y + dy, b.Width, b.Height);
        s.Append("<g class=\"ghost\">");
        void box(Box b, bool told)
        {
            if (!told) s.Append("<rect").Rect(moved(b)).Append("/>");
        }
        box(ghost.Whole, ghost.Size == other.Size);
        box(ghost.Trim, moved(ghost.Trim) == other.Trim);
        foreach (var fold in ghost.Folds.Where(f => !other.Folds.Contains(f + dx)))
            s.Append("<path d=\"M").Figure((fold + dx).Points).Append(' ').Figure(dy.Points).Append('v')
                .Figure(ghost.Size.Height.Points).Append("\"/>");
        foreach (var fold in ghost.FoldsAcross.Where(f => !other.FoldsAcross.Contains(f + dy)))
            s.Append("<path d=\"M").Figure(dx.Points).Append(' ').Figure((fold + dy).Points).Append('h')
                .Figure(ghost.Size.Width.Points).Append("\"/>");
        foreach (var zone in ghost.Zones.Where(z =>
            zones && z.Kind is not (ZoneKind.Bleed or ZoneKind.TrimSafe or ZoneKind.FoldSafe)))
            box(zone.Box, other.Zones.Any(z => z.Kind == zone.Kind && z.Box == moved(zone.Box)));
        s.Append("</g>");
    }

    /// <summary>Room for both sheets, and for chains where there are any.</summary>
    private static string ViewBox(Sheet sheet, Sheet? other, bool chains = true)
    {
        var m = chains ? Drawings.Margin(sheet) : 6;
        var (w, h) = (sheet.Size.Width.Points, sheet.Size.Height.Points);
        var (overX, overY) = (Math.Max(0, ((other?.Size.Width.Points ?? w) - w) / 2),
            Math.Max(0, ((other?.Size.Height.Points ?? h) - h) / 2));
        var (left, top) = (Math.Max(m, overX + 4), Math.Max(m, overY + 4));
        return new StringBuilder().Figure(-left).Append(' ').Figure(-top).Append(' ')
            .Figure(w + left + Math.Max(4, overX + 4)).Append(' ').Figure(h + top + Math.Max(4, overY + 4)).ToString();
    }
}
