namespace Lumbeck.Core.Checks.OfPages;

/// <summary>
/// Dated notes that no calendar of the inside has a day for, dates that are none, and a table that is gone.
/// </summary>
public sealed class InsideNotes : PageRule
{
    public override string Id => "inside.notes";
    public override string Proves => "every dated note falls on a day of the calendars";

    protected override IEnumerable<Finding> Look(InsidePlan plan)
    {
        if (plan.Inside.Calendar.Notes is not { } table) yield break;
        if (!plan.Has(table))
        {
            yield return new()
            {
                Severity = Severity.Stop,
                Measured = $"{table.Name} is not in the Drawer",
                Limit = "the table of dated notes",
                Why = "Calendars say nothing of their days.",
                Mend = "Lay the dated notes again, or take them off.",
            };
            yield break;
        }
        var notes = plan.Calendar.Notes;
        var shown = Shown(plan);
        // What is over before the first page is no matter.
        ImmutableArray<string> unread = [.. notes.Unread.Where(u => shown.Count == 0 || !IsOver(u, shown[0].From))];
        if (!unread.IsEmpty)
            yield return new()
            {
                Severity = Severity.Caution,
                Measured = Named(unread),
                Limit = "dates such as 2027-03-15, or 03-15 for every year",
                Why = "Notes whose date is none are printed nowhere.",
                Mend = $"Mend the dates in {table.Name}.",
            };
        ImmutableArray<string> outside = [.. notes.All.Where(n => !shown.Any(s => Within(n, s))).Select(n => n.Show())];
        if (!outside.IsEmpty)
            yield return new()
            {
                Severity = Severity.Note,
                Measured = Named(outside),
                Limit = shown.Count == 0
                    ? "pages of dated calendars" : $"days from {CalendarSpan.Show(shown[0].From)} to " +
                        $"{CalendarSpan.Show(shown[^1].Before.AddDays(-1))}",
                Why = "No page here has these days.",
                Mend = "Leave them, or let a run go over them.",
            };
    }

    /// <summary>Whether what a calendar file could not be read of says that it ends before a day.</summary>
    private static bool IsOver(string unread, DateOnly from) => unread.LastIndexOf(" until ", StringComparison.Ordinal) is > 0 and var at
        && DateOnly.TryParseExact(unread[(at + 7)..], "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var end)
        && end < from;

    private static string Named(ImmutableArray<string> dates) =>
        $"{dates.Length} date{(dates.Length == 1 ? "" : "s")}: {string.Join(", ", dates.Take(6))}" +
        (dates.Length > 6 ? " and more" : "");

    /// <summary>The stretches that dated pages show, joined where they touch.</summary>
    private static List<(DateOnly From, DateOnly Before)> Shown(InsidePlan plan)
    {
        var shown = new List<(DateOnly From, DateOnly Before)>();
        var pages = Enumerable.Range(1, plan.Printed).Where(n => plan.Counted.Pages[n - 1] is { Run: >= 0 } slot
            && slot.Kind == SlotKind.Page && plan.Inside.Runs[slot.Run].Designs[slot.Design] is PlanningPage);
        foreach (var (from, before) in pages.Select(plan.Page)
            .Select(p => ((PlanningPage)p.Design!).Covers(p.Facts)).OfType<(DateOnly, DateOnly)>().Order())
            if (shown.Count > 0 && from <= shown[^1].Before)
                shown[^1] = (shown[^1].From, before > shown[^1].Before ? before : shown[^1].Before);
            else shown.Add((from, before));
        return shown;
    }

    private static bool Within(DatedNote note, (DateOnly From, DateOnly Before) shown)
    {
        for (var year = note.Year ?? shown.From.Year; year <= (note.Year ?? shown.Before.Year); year++)
            if (note.Day <= BookCalendar.DaysOf(year, note.Month)
                && new DateOnly(year, note.Month, note.Day) is var day && day >= shown.From && day < shown.Before)
                return true;
        return false;
    }
}
