namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>A month so small that only its days’ numbers are printed, as a year shows it and a page’s corner.</summary>
internal static class MonthGrid
{
    /// <summary>The month’s name, weekdays and days within a box, seven columns by eight rows.</summary>
    public static IEnumerable<Drawn> Draw(Bounds box, int year, int month, PageFacts at, int words, int marks,
        double weight)
    {
        var (calendar, names) = (at.Calendar, at.Calendar.Called);
        var weeks = calendar.Weeks(year, month);
        var numbered = calendar.Numbers ? 1 : 0;
        var (wide, high) = ((box.Right - box.Left) / (7 + numbered), (box.Bottom - box.Top) / 8);
        var size = Math.Min(0.62 * high, 0.5 * wide);
        Bounds cell(int column, int row)
        {
            var n = at.Mirrored ? 6 + numbered - column : column;
            var x = box.Left + (n * wide);
            return new(x, box.Top + (row * high), x + wide, box.Top + ((row + 1) * high));
        }
        yield return new Written(CalendarNames.Capital(names.Months[month - 1]),
            new(box.Left, box.Top, box.Right, box.Top + (0.9 * high)), 1.25 * size, words)
        { Align = Align.Centre, Heads = true, Fits = true };
        foreach (var (n, day) in calendar.Week.Index())
            yield return In(names.NarrowOf(day), cell(n + numbered, 1), 0.85 * size, words);
        foreach (var (row, week) in weeks.Index())
        {
            if (numbered == 1)
                yield return In(calendar.NumberOf(week).ToString(CultureInfo.InvariantCulture), cell(0, row + 2),
                    0.7 * size, words);
            for (var n = 0; n < 7; n++)
            {
                var day = week.AddDays(n);
                if (day.Month != month) continue;
                var b = cell(n + numbered, row + 2);
                yield return In(day.Day.ToString(CultureInfo.InvariantCulture), b, size, words);
                // What falls on a day has no room here: a ring says that there is something.
                if (calendar.Notes.On(day).Any())
                    yield return new Line(Shapes.Circle((b.Left + b.Right) / 2, (b.Top + b.Bottom) / 2,
                        Math.Min(0.47 * high, 0.47 * wide)), weight, marks);
            }
        }
    }

    private static Written In(string said, Bounds cell, double size, int words) =>
        new(said, cell, size, words) { Align = Align.Centre, Stand = Stand.Middle };
}
