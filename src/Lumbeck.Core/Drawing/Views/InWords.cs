using System.Text;

namespace Lumbeck.Core.Drawing.Views;

/// <summary>
/// A sheet in words, for those who do not see it: its panels from left to right, and what lies on each from the lowest
/// up.
/// </summary>
public static class InWords
{
    public static string Say(Job job, PrintedSheet on)
    {
        var (sheet, take, unit) = (on.Sheet, job.Wraps[on.Wrap].Take, job.Ticket.Unit);
        var s = new StringBuilder();
        s.Append(CultureInfo.InvariantCulture,
            $"The {on.Name}’s sheet is {sheet.Size.Show(unit)}, trimmed to {sheet.Trim.Size.Show(unit)}. From left " +
                $"to right: {string.Join(", ", sheet.Panels.Select(p => p.Part.Say()))}.\n");
        s.Append(CultureInfo.InvariantCulture,
            $"Ground: {take.Ground.Paint.Show(job.Swatches)}{(take.Ground.Pattern is null ? "" : ", with a drawn paper")}.\n");
        foreach (var part in sheet.Panels.Select(p => p.Part).Append(Part.Sheet))
        {
            var items = take.Items.Where(i => i.Hold.Panel == part).ToList();
            if (items.Count == 0 && part == Part.Sheet) continue;
            s.Append('\n').Append(char.ToUpperInvariant(part.Say()[0])).Append(part.Say().AsSpan(1));
            if (sheet.Panel(part) is { } panel) s.Append(", ").Append(panel.Face.Size.Show(unit));
            s.Append(items.Count == 0 ? ": nothing.\n" : ":\n");
            foreach (var item in items) s.Append("· ").Append(One(job, item, sheet, unit)).Append('\n');
        }
        return s.ToString();
    }

    private static string One(Job job, Item item, Sheet sheet, Unit unit)
    {
        List<string> said = [item.Called];
        switch (item)
        {
            case TextItem text:
                said.Add($"“{text.Words.ReplaceLineEndings(" ")}”");
                said.Add(text.Style.Size.ShowPoints());
                break;
            case ShapeItem shape:
                if (shape.Fill?.Paint is { } fill) said.Add($"filled with {((Paint?)fill).Show(job.Swatches)}");
                if (shape.Fill?.Pattern is { } pattern) said.Add($"with {pattern.Kind} over it");
                if (shape.Line is { } line) said.Add($"lined with {((Paint?)line).Show(job.Swatches)}");
                break;
            default:
                if (item.Says(new(job.Swatches, job.Ticket.Isbn)) is { Length: > 0 } says) said.Add(says);
                break;
        }
        if (Placement.Of(item, sheet) is { } at)
        {
            var face = at.Panel.Face;
            var (w, h) = at.Panel.Turn == Turn.None ? (face.Width, face.Height) : (face.Height, face.Width);
            // As the panel is read, whatever box it hangs in.
            var (dx, dy) = at.Panel.Turn switch
            {
                Turn.Clockwise => (at.Hung.Y - face.Y, face.Right - at.Hung.Right),
                Turn.CounterClockwise => (face.Bottom - at.Hung.Bottom, at.Hung.X - face.X),
                _ => (at.Hung.X - face.X, at.Hung.Y - face.Y),
            };
            var box = at.Box;
            said.Add($"{box.Size.Show(unit)}, {(box.X + dx).Show(unit)} from the left and {(box.Y + dy).Show(unit)} " +
                $"from the head of a panel of {new Size(w, h).Show(unit)}");
        }
        if (item.Turned != 0) said.Add($"turned {item.Turned.ToString("0.##", CultureInfo.InvariantCulture)}°");
        if (item.Opacity != 100) said.Add($"opacity {item.Opacity.ToString("0.##", CultureInfo.InvariantCulture)} %");
        if (item.Group.Length > 0) said.Add($"in {item.Group}");
        if (item.Locked) said.Add("locked");
        if (item.Hidden) said.Add("hidden");
        return string.Join(", ", said) + ".";
    }
}
