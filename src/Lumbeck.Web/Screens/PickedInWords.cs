using Lumbeck.Press.Svg;

namespace Lumbeck.Web.Screens;

/// <summary>
/// What is picked, said to who does not see the sheet: its name, its panel, where what is drawn stands, its size.
/// </summary>
public static class PickedInWords
{
    /// <summary>The live part of the screen that says it; it speaks whenever its words change.</summary>
    public static Fragment Part(JobView v) =>
        new("picked-says", $"<p id=\"picked-says\" class=\"sr-only\" aria-live=\"polite\">{SvgText.Escape(Of(v))}</p>");

    /// <summary>“Title, on the front: 0.54 in from its left edge, 1.2 in from its head, 4.3 × 1.4 in”.</summary>
    public static string Of(JobView v)
    {
        if (v.Picked.Count > 1) return $"{Many.Items(v.Picked.Count)} picked";
        if (v.Open is not { } id || v.Typing || v.Job.Item(id) is not { } item) return "";
        var panel = item.Hold.Panel;
        var face = v.Sheet.Panel(panel)?.Face ?? v.Sheet.Trim;
        if (v.Shown.Scene.Item(id) is not { IsEmpty: false } drawn) return $"{item.Called}, on the {panel.Say()}, hidden or empty";
        var box = (drawn.Inked.IsEmpty ? drawn.Frame : drawn.Inked).ToBox();
        string show(Length l) => l.Show(v.Ticket.Unit);
        return $"{item.Called}, on the {panel.Say()}: {show(box.X - face.X)} from its left edge, " +
            $"{show(box.Y - face.Y)} from its head, {box.Size.Show(v.Ticket.Unit)}";
    }
}
