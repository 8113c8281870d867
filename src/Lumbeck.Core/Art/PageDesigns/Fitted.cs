namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>
/// How often a pitch fits into a room, and what is left over. Down a page what is left goes to the head, so that the
/// last
/// rule lies on the foot margin; across it half goes to each side.
/// </summary>
/// <param name="Count">Rows, or columns; n of them have n + 1 rules.</param>
/// <param name="Over">What is left.</param>
public readonly record struct Fitted(int Count, Length Over)
{
    /// <param name="room">The room.</param>
    /// <param name="pitch">The pitch.</param>
    /// <param name="what">What does not fit, for the sentence: “row”.</param>
    /// <exception cref="Refusal">Not one fits.</exception>
    public static Fitted Of(Length room, Length pitch, string what)
    {
        var count = pitch.Units <= 0 ? 0 : (int)(room.Units / pitch.Units);
        return count > 0
            ? new(count, room - (count * pitch))
            : throw new Refusal("pitch",
                $"{room.Show(Unit.Millimetre)} within the margins hold no {what} of {pitch.Show(Unit.Millimetre)}");
    }

    /// <summary>“27 rows, 1 mm over, given to the head”.</summary>
    /// <param name="what">One of them: “row”.</param>
    /// <param name="to">Who has what is left.</param>
    /// <param name="unit">The job's.</param>
    public string Say(string what, string to, Unit unit) =>
        $"{Count} {what}{(Count == 1 ? "" : "s")}{(Over.IsZero ? "" : $", {Over.Show(unit)} over, given to {to}")}";

    /// <summary>What a grid leaves over both ways, as the end of a sum.</summary>
    public static string SayOver(Fitted across, Fitted down, Unit unit) =>
        $"{across.Over.Show(unit)} over across, half at each side, {down.Over.Show(unit)} down, given to the head";
}

/// <summary>What designs are drawn with, in points.</summary>
internal static class PageLines
{
    public static Outline Level(double x, double y, double wide) => Line(x, y, x + wide, y);

    public static Outline Upright(double x, double y, double high) => Line(x, y, x, y + high);

    public static Outline Line(double x1, double y1, double x2, double y2)
    {
        var pen = new Pen();
        pen.Move(x1, y1);
        pen.Line(x2, y2);
        return pen.Done();
    }

    /// <summary>The same line again and again, which a file holds once.</summary>
    public static Repeated Again(Outline line, Length weight, int slot, IEnumerable<(double X, double Y)> places) =>
        new([new Line(line, weight.Points, slot)], [.. places.Select(p => Affine.Move(p.X, p.Y))]);

    /// <summary>A page's height and width within its margins, as the first part of a sum.</summary>
    public static string Room(Surface page, bool down, Unit unit)
    {
        // What a heading takes lies between the margin and the room.
        var (trim, safe, margins) = (page.Trim, page.Safe, page.Panels[0].Safe);
        var (whole, first, last, room) = down
            ? (trim.Height, margins.Y - trim.Y, trim.Bottom - safe.Bottom, safe.Height)
            : (trim.Width, safe.X - trim.X, trim.Right - safe.Right, safe.Width);
        var heading = down && safe.Y > margins.Y ? $" − {(safe.Y - margins.Y).Show(unit)}" : "";
        return $"{whole.Show(unit)} − {first.Show(unit)} − {last.Show(unit)}{heading} = {room.Show(unit)}";
    }
}
