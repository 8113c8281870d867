using System.Text;
using Lumbeck.Press.Svg;

namespace Lumbeck.Web.Screens;

/// <summary>
/// A shape as it lies on the sheet, small, for its row in a list: what tells one of five from the others.
/// </summary>
public static class ShapeIcon
{
    /// <summary>Room about the shape and the weight of its line, as shares of its longer side.</summary>
    private const double Room = 0.06, Weight = 0.08;

    /// <summary>
    /// What stands inside the icon's SVG, and the window it is seen through; null where nothing of it is drawn.
    /// </summary>
    public static (string Window, string Marks)? Of(Scene scene, ShapeItem item, Func<Paint, string> hex)
    {
        if (scene.Item(item.Id) is not { Frame.IsEmpty: false } drawn) return null;
        var frame = drawn.Frame;
        double wide = Math.Max(1, frame.Right - frame.Left), high = Math.Max(1, frame.Bottom - frame.Top);
        var side = Math.Max(wide, high);
        var window = new StringBuilder()
            .Figure(frame.Left - ((side - wide) / 2) - (side * Room)).Append(' ')
            .Figure(frame.Top - ((side - high) / 2) - (side * Room)).Append(' ')
            .Figure(side * (1 + (2 * Room))).Append(' ').Figure(side * (1 + (2 * Room)));
        string paint(Paint? p) => p is null ? "none" : hex(p);
        var marks = new StringBuilder();
        if (drawn.Marks.OfType<FillMark>().FirstOrDefault() is { } fill)
        {
            marks.Append("<path d=\"").Path(fill.Shape, 1).Append("\" transform=\"").Matrix(drawn.Place)
                .Append("\" fill=\"").Append(paint(item.Fill?.Paint)).Append("\"/>");
        }
        else
        {
            marks.Append("<rect x=\"").Figure(frame.Left).Append("\" y=\"").Figure(frame.Top)
                .Append("\" width=\"").Figure(wide).Append("\" height=\"").Figure(high)
                .Append("\" fill=\"none\" stroke=\"").Append(paint(item.Line ?? item.Fill?.Paint))
                .Append("\" stroke-width=\"").Figure(side * Weight).Append("\"/>");
        }
        return (window.ToString(), marks.ToString());
    }
}
