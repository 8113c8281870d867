using Lumbeck.Press.Kinds;
using Lumbeck.Store;

namespace Lumbeck.Desk.Making;

/// <summary>Whether the newest file for a printer is of what is on the bench.</summary>
public enum FileState { None, Current, Stale }

/// <summary>What a press file is called, and how it is spoken of.</summary>
public static class PressedFile
{
    /// <param name="pressings">The files of a job, the newest first.</param>
    /// <param name="revision">What is on the bench.</param>
    public static FileState State(IReadOnlyList<PressingRow> pressings, long revision) =>
        pressings.FirstOrDefault(p =>
            PressPlan.Read(p.Kind) is { Inside: false, Kind.IsForPrinter: true }) is not { } last
            ? FileState.None
            : last.Revision == revision
            ? FileState.Current
            : FileState.Stale;

    public static string Say(this FileState state) => state switch
    {
        FileState.None => "nothing pressed yet",
        FileState.Current => "the file is up to date",
        _ => "the file is out of date",
    };

    /// <summary>
    /// One verdict on a pressed file, of reception and of Check at press resolution together: whether it can go to the
    /// printer (null where it was not taken to reception), and why, as a sentence.
    /// </summary>
    public static (bool? Ready, string Says, string Why) Verdict(this PressingRow row)
    {
        var found = new Readiness((int)row.Stops, (int)row.Cautions, 0, (int)row.Todos);
        var check = (found is { Stops: 0, Cautions: 0, Todos: 0 } ? "nothing" : found.Say())
            + (row.Waived.Length > 0 ? $", without {row.Waived}" : "");
        var said = row.Verdict.Replace("rejected: ", "", StringComparison.Ordinal)
            .Replace("accepted", "", StringComparison.Ordinal).Trim();
        return (row.Accepted, row.Stops) switch
        {
            (false, 0) => (false, "Not for the printer", $"rejected by reception: {said}; Check finds {check}"),
            (false, _) => (false, "Not for the printer", $"rejected by reception: {said}; and Check finds {check}"),
            (true, 0) => (true, "Ready for the printer",
                $"accepted by reception{(said.Length > 0 ? $" ({said})" : "")}; Check finds {check}"),
            (true, _) => (false, "Not for the printer",
                $"Check finds {check}; as a file it is sound{(said.Length > 0 ? $" ({said})" : "")}"),
            (null, 0) => (null, "Not taken to reception", $"Check finds {check}"),
            _ => (false, "Not for the printer", $"Check finds {check}; not taken to reception"),
        };
    }

    /// <summary>“333 kB”.</summary>
    public static string Weight(this PressingRow row) =>
        $"{(row.Bytes / 1000.0).ToString("0", CultureInfo.InvariantCulture)} kB";

    /// <summary>
    /// The file's name after the house's pattern, in letters every disk takes. Of a single panel it names that too.
    /// </summary>
    public static string FileName(OnBench on, PressPlan plan)
    {
        var kind = plan.Kind;
        var t = on.Job.Ticket;
        var g = on.Composed.Geometry;
        string mm(Length l) => Math.Round(l.Millimetres, 2).ToString("0.##", CultureInfo.InvariantCulture);
        var size = plan.Inside ? t.Trim : g.Sheet.Size;
        var pattern = plan.Inside ? t.House.Inside.FileName : t.House.FileName;
        // A file bears its book's title where the house would have a number that the book has not.
        if (t.Isbn is null && !pattern.Contains("{title}", StringComparison.Ordinal))
            pattern = pattern.Replace("{isbn}", "{title}", StringComparison.Ordinal);
        var name = pattern
            .Replace("{title}", t.Title.Length > 0 ? t.Title : "untitled", StringComparison.Ordinal)
                .Replace("{author}", t.Author, StringComparison.Ordinal)
            .Replace("{isbn}", t.Isbn?.Digits ?? "no-isbn", StringComparison.Ordinal)
                .Replace("{house}", t.House.Id, StringComparison.Ordinal)
            .Replace("{pages}", g.Spine.Pages.ToString(CultureInfo.InvariantCulture), StringComparison.Ordinal)
            .Replace("{width}", mm(size.Width), StringComparison.Ordinal)
                .Replace("{height}", mm(size.Height), StringComparison.Ordinal)
            .Replace("{spine}", mm(g.Spine.Width), StringComparison.Ordinal)
                .Replace("{kind}", kind.Word, StringComparison.Ordinal);
        // Of several takes each has a file of its own.
        if (!plan.Inside && TakesOf(on.Job) is { } take) name = $"{Path.ChangeExtension(name, null)}_{take}.pdf";
        if (plan.EachPanel) name = Path.ChangeExtension(name, null) + "_panels.pdf";
        else if (plan.Panel != Part.Sheet) name = Path.ChangeExtension(name, null) + "_" + plan.Panel.Word() + ".pdf";
        if (plan.Kind.MadeOf == MadeOf.PagePictures)
        {
            var (first, last) = plan.Pages;
            name = $"{Path.ChangeExtension(name, null)}_{first}{(last > first ? $"-{last}" : "")}.png";
        }
        return Plain(Path.ChangeExtension(name, plan.Ending));
    }

    /// <summary>The takes that are chosen, by name, where a printed wrap has several; null where none has.</summary>
    public static string? TakesOf(Job job)
    {
        string[] named = [.. job.Sheets().Select(s => s.Wrap).Distinct().Where(w => w < job.Wraps.Count)
            .Select(w => job.Wraps[w]).Where(w => w.Takes.Count > 1).Select(w => w.Take.Name)];
        return named.Length == 0 ? null : string.Join('_', named);
    }

    /// <summary>A file's name in letters every disk takes, its ending kept.</summary>
    internal static string Plain(string name)
    {
        var ending = Path.GetExtension(name);
        var plain = string.Concat(name.Where(c => c is not ('\'' or '’'))
            .Select(c => char.IsLetterOrDigit(c) || c is '.' or '_' or '-' ? c : '-'));
        plain = string.Join('-', plain.Split('-', StringSplitOptions.RemoveEmptyEntries))
            .Replace("-_", "_", StringComparison.Ordinal).Trim('-', '.', '_');
        return plain.Length == 0
            ? "cover" + ending
            : plain.Length <= 120
            ? plain
            : plain[..(120 - ending.Length)] + ending;
    }
}
