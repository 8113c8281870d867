using System.Text;
using Lumbeck.Press.Svg;

namespace Lumbeck.Web.Screens;

/// <summary>Where findings lie: quietly on the sheet while one works, and numbered beside their list.</summary>
public static class FindingDrawing
{
    /// <summary>Findings as they are listed and numbered: by panel, then what is still to do, notes at the end.</summary>
    public static IReadOnlyList<(Finding Finding, int Number)> Numbered(Composed c) =>
        [.. c.Findings.Where(f => f.Waived is null && f.Severity < Severity.Todo).GroupBy(f => f.Panel ?? Part.Sheet)
            .SelectMany(g => g).Concat(c.Findings.Where(f => f.Waived is null && f.Severity >= Severity.Todo)
            .OrderBy(f => f.Severity))
            .Select((f, i) => (f, i + 1))];

    /// <summary>Where findings lie, numbered over a picture of the wrap.</summary>
    public static string Spots(Composed c, ComposedSheet on, string slug)
    {
        var sheet = on.Sheet;
        var s = new StringBuilder("<svg class=\"block w-full\" role=\"img\" aria-label=\"Where the findings lie on " +
            "the sheet\" viewBox=\"0 0 ")
            .Figure(sheet.Size.Width.Points).Append(' ').Figure(sheet.Size.Height.Points)
            .Append("\"><image href=\"/jobs/").Append(slug).Append("/wrap.jpg?wide=1200&amp;r=").Append(c.Revision)
            .Append("&amp;sheet=").Append(on.On.Id).Append("\" width=\"").Figure(sheet.Size.Width.Points)
            .Append("\" height=\"").Figure(sheet.Size.Height.Points).Append("\"/>");
        foreach (var (finding, number) in Numbered(c))
            if (finding.Sheet == on.On.Number && finding.Place is { } place)
            {
                var ink = finding.Severity switch
                {
                    Severity.Stop => "#9a3327",
                    Severity.Caution => "#7d5510",
                    _ => "#4d5952",
                };
                var (x, y) = (Math.Clamp(place.X.Points, 13, sheet.Size.Width.Points - 13),
                    Math.Clamp(place.Y.Points, 13, sheet.Size.Height.Points - 13));
                s.Append("<rect fill=\"none\" stroke=\"#fff\" stroke-width=\"5\"").Rect(place)
                    .Append("/><rect fill=\"none\" stroke=\"").Append(ink).Append("\" stroke-width=\"2.5\"").Rect(place)
                    .Append("/><circle r=\"12\" fill=\"").Append(ink)
                    .Append("\" stroke=\"#fff\" stroke-width=\"2\" cx=\"").Figure(x).Append("\" cy=\"").Figure(y)
                    .Append("\"/><text fill=\"#fff\" font-size=\"15\" font-weight=\"600\" text-anchor=\"middle\" " +
                        "dominant-baseline=\"central\" x=\"")
                    .Figure(x).Append("\" y=\"").Figure(y).Append("\">").Append(number).Append("</text>");
            }
        return s.Append("</svg>").ToString();
    }

    /// <summary>
    /// A small mark at the corner of each place on the sheet that stops the press or wants caution; it leads to its
    /// sentence.
    /// </summary>
    public static string OnSheet(JobView v)
    {
        var size = Drawings.TextSize(v.Sheet) * 0.62;
        var s = new StringBuilder("<g id=\"finds\">");
        // A stop lies over a caution at the same corner.
        foreach (var (finding, number) in Numbered(v.Composed).OrderByDescending(f => f.Finding.Severity))
        {
            if (finding.Severity >= Severity.Todo || finding.Sheet != v.Number || finding.Place is not { } place)
                continue;
            var (x, y) = (Math.Clamp(place.Right.Points, size, v.Sheet.Size.Width.Points - size),
                Math.Clamp(place.Y.Points, size, v.Sheet.Size.Height.Points - size));
            s.Append("<a class=\"find ").Append(finding.Severity.Word()).Append("\" href=\"").Append(v.Base)
                .Append("/check#found-").Append(number).Append("\" aria-label=\"")
                .Append(finding.Severity == Severity.Stop ? "Stop: " : "Caution: ").Append(SvgText.Escape(finding.Why))
                .Append("\"><title>")
                .Append(SvgText.Escape($"{finding.Why} {finding.Measured}; wanted: {finding.Limit}."))
                .Append("</title><path d=\"M")
                .Figure(x).Append(' ').Figure(y - size).Append('l').Figure(size).Append(' ').Figure(size).Append('l')
                    .Figure(-size).Append(' ').Figure(size).Append('l').Figure(-size).Append(' ').Figure(-size)
                    .Append("z\"/></a>");
        }
        return s.Append("</g>").ToString();
    }

    /// <summary>The address of the spot that a finding is about.</summary>
    public static string WayTo(JobView v, Finding f)
    {
        if (f.Page > 0) return $"{v.Base}/inside?sheet={f.Page}{(f.Run is null ? "" : $"&item={f.Run}")}";
        if (f.Id.StartsWith("ticket.", StringComparison.Ordinal)) return v.Base + "/ticket";
        if (f.Id == "picture.licence") return "/drawer";
        static string n(Length l) => l.Points.ToString("0.##", CultureInfo.InvariantCulture);
        var item = f.Item is { } id && v.Job.Item(id) is not null ? $"&item={id}" : "";
        var spot = f.Place is { } b ? $"&spot={n(b.X)} {n(b.Y)} {n(b.Width)} {n(b.Height)}" : "";
        return $"{v.Base}/wrap?sheet={v.Composed.Sheets[f.Sheet].On.Id}{item}{spot}";
    }

    private static Bounds In(Box b) => Bounds.Of(b);
}
