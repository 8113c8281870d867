using System.Text;
using Lumbeck.Press.Svg;

namespace Lumbeck.Web.Screens;

/// <summary>The trimmed and folded cover as knife and folds leave it where they wander.</summary>
public static class DriftDrawing
{
    /// <summary>Steps of a slider from the middle to either end.</summary>
    public const int Steps = 20;

    /// <summary>As the sliders have it: the view is what the knife leaves, and folds move on their own.</summary>
    public static string Now(JobView v, ComposedSheet on)
    {
        var t = on.Sheet.Trim;
        var trim = new StringBuilder().Figure(t.X.Points).Append(' ').Figure(t.Y.Points).Append(' ')
            .Figure(t.Width.Points).Append(' ').Figure(t.Height.Points).ToString();
        return Drawn(v, on, trim, 0, "drift-now", "The cover as it would be cut and folded", 900);
    }

    /// <summary>At one end of the drift: −1 or 1.</summary>
    public static string End(JobView v, ComposedSheet on, int end)
    {
        var t = on.Sheet.Trim;
        var (knife, fold) = (end * v.Ticket.House.TrimDrift.Points, end * v.Ticket.House.FoldDrift.Points);
        var view = new StringBuilder().Figure(t.X.Points + knife).Append(' ').Figure(t.Y.Points + knife).Append(' ')
            .Figure(t.Width.Points).Append(' ').Figure(t.Height.Points).ToString();
        return Drawn(v, on, view, fold, "",
            $"With knife and folds at the {(end < 0 ? "left and upper" : "right and lower")} end of their drift", 480);
    }

    private static string Drawn(JobView v, ComposedSheet on, string view, double fold, string id, string says, int wide)
    {
        var s = new StringBuilder("<svg class=\"block w-full\" role=\"img\" aria-label=\"").Append(says).Append('"');
        if (id.Length > 0) s.Append(" id=\"").Append(id).Append("\" data-trim=\"").Append(view).Append('"');
        s.Append(" viewBox=\"").Append(view).Append("\"><image href=\"/jobs/").Append(v.On.Slug).Append("/wrap.jpg?r=")
            .Append(v.On.Revision).Append("&amp;sheet=").Append(on.On.Id).Append("&amp;wide=").Append(wide)
            .Append("\" width=\"").Figure(on.Sheet.Size.Width.Points).Append("\" height=\"")
                .Figure(on.Sheet.Size.Height.Points).Append("\" preserveAspectRatio=\"none\"/><g")
                .Append(id.Length > 0 ? " id=\"drift-folds\"" : "").Append(" transform=\"translate(").Figure(fold)
                .Append(" 0)\">");
        // A fold is seen by its light and its shade.
        foreach (var x in on.Sheet.Folds)
            foreach (var (by, ink) in ((double, string)[])[(-1.2, "#fff"), (1.2, "#000")])
                s.Append("<rect fill=\"").Append(ink).Append("\" fill-opacity=\".28\" x=\"").Figure(x.Points + by - 1.2)
                    .Append("\" y=\"0\" width=\"2.4\" height=\"").Figure(on.Sheet.Size.Height.Points).Append("\"/>");
        return s.Append("</g></svg>").ToString();
    }
}
