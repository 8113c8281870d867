using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;
using Lumbeck.Store;

namespace Lumbeck.Desk.Making;

/// <summary>Whether the newest file for a printer is of what is on the bench.</summary>
public enum FileState { None, Current, Stale }

/// <summary>Making press files.</summary>
public static class Pressing
{
    /// <summary>Writes a file of a revision. The same revision and plan give the same bytes.</summary>
    /// <param name="desk">The desk.</param>
    /// <param name="on">The revision.</param>
    /// <param name="plan">What is asked.</param>
    /// <param name="output">Written from front to back.</param>
    /// <param name="told">Is told the share that is done, and may end the work by throwing.</param>
    public static void WritePress(this Desk desk, OnBench on, PressPlan plan, Stream output, Action<double>? told = null)
    {
        RefuseMissing(desk, on);
        if (plan.Kind == PressKind.Screen) { ScreenFile.Write(desk, on, plan, output); return; }
        // Each page and each picture is a part of the work; which are shared is not known beforehand, so the count is the most there are.
        var parts = on.Composed.Sheets.Length + on.Composed.Sheets.Sum(s => s.Scene.Pieces.Sum(p => p.Marks.Count(m => m is PictureMark or GrownMark or TilesMark or SoftMark) + (p.Mixes ? 1 : 0)));
        var done = 0;
        var t = on.Job.Ticket;
        var g = on.Composed.Geometry;
        var revision = desk.Store.Revision(on.Revision);
        var at = DateTimeOffset.Parse(revision.At, CultureInfo.InvariantCulture);
        var subject = $"{t.Binding.Word()} cover, {t.Trim.Show(t.Unit)}, spine {g.Spine.Width.Show(t.Unit)}, {g.Spine.Pages} pages, for {t.House.Name}";
        var note = new PressNote(t.Title, t.Author, subject, at, on.JobId, on.Revision)
        {
            Slug = $"{t.Title} · {t.House.Name} · sheet {g.Sheet.Size.Show(t.Unit)} · spine {g.Spine.Width.Show(t.Unit)} · {at.UtcDateTime.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)}",
        };
        var sheets = on.Composed.Sheets.Where(s => plan.Panel == Part.Sheet || s.Sheet.Panel(plan.Panel) is not null).Select(s => s.Scene).ToList();
        if (sheets.Count == 0) throw new Refusal("panel", $"this binding has no {plan.Panel.Say()}");
        PressFile.Write(output, sheets, plan, t.House, note, desk.Shelf, desk.Pictures, () => told?.Invoke(Math.Min(0.99, (double)done++ / Math.Max(1, parts))));
    }

    /// <summary>Refuses what can't be pressed of a job.</summary>
    /// <exception cref="Refusal">The house takes no such file, or something it needs is missing.</exception>
    public static void RefusePress(Desk desk, OnBench on, PressPlan plan)
    {
        var house = on.Job.Ticket.House;
        if (plan.Kind.IsForPrinter && !house.Kinds.Contains(plan.Kind)) throw new Refusal("kind", $"{house.Name} takes {string.Join(" or ", house.Kinds.Select(k => k.Title))}, not {plan.Kind.Title}");
        RefuseMissing(desk, on);
        foreach (var sheet in on.Composed.Sheets) PressFile.RefuseFaces(sheet.Scene, desk.Shelf);
    }

    /// <exception cref="Refusal">A picture's file is gone or damaged.</exception>
    private static void RefuseMissing(Desk desk, OnBench on)
    {
        foreach (var picture in on.Job.Items.OfType<PictureItem>().Where(p => !p.Hidden).Select(p => p.Picture).OfType<Picture>())
        {
            if (desk.Pictures.Fault(picture.Hash) is { } fault) throw new Refusal("picture", $"the picture {picture.Name} can’t be printed, for {fault}: put it in again, or remove it");
            if (picture.IsDrawing && desk.DrawingsOf(on.Job.Ticket.House).Of(picture) is null) throw new Refusal("picture", $"the drawing {picture.Name} can’t be read: put it in again, or remove it");
        }
    }

    /// <summary>Presses what is on the bench and keeps the file in the register.</summary>
    /// <exception cref="Refusal">The house takes no such file.</exception>
    public static PressingRow Press(this Desk desk, string slug, PressPlan plan) => desk.Press(desk.Job(slug), plan, null);

    /// <summary>Presses a revision. The file is whole or not there.</summary>
    public static PressingRow Press(this Desk desk, OnBench on, PressPlan plan, Action<double>? told)
    {
        RefusePress(desk, on, plan);
        // Rules that need plates run at press resolution before a file leaves; what they say goes into the register with it.
        var findings = plan.Kind.IsForPrinter ? desk.Checks.Exactly(on.Composed, () => told?.Invoke(0)) : on.Composed.Findings;
        var (file, bytes) = desk.Files.Keep(s => desk.WritePress(on, plan, s, told));
        var verdict = plan.Kind.IsForPrinter ? desk.Judge(on, plan, file) : null;
        var ready = Readiness.Of(findings);
        desk.Store.Write(w =>
        {
            w.AddPressing(new()
            {
                Job = on.JobId,
                Revision = on.Revision,
                Kind = plan.Write(),
                House = on.Job.Ticket.House.Name,
                Name = FileName(on, plan),
                File = file,
                Bytes = bytes,
                Stops = ready.Stops,
                Cautions = ready.Cautions,
                Waived = string.Join(", ", findings.Where(f => f.Waived is not null).Select(f => f.Id).Distinct()),
                Accepted = verdict?.Accepted,
                Verdict = verdict is null ? "" : verdict.Say(),
            });
            return 0;
        });
        return desk.Store.Pressings(on.JobId)[0];
    }

    /// <param name="pressings">The files of a job, the newest first.</param>
    /// <param name="revision">What is on the bench.</param>
    public static FileState State(IReadOnlyList<PressingRow> pressings, long revision) =>
        pressings.FirstOrDefault(p => PressPlan.Read(p.Kind).Kind.IsForPrinter) is not { } last ? FileState.None : last.Revision == revision ? FileState.Current : FileState.Stale;

    public static string Say(this FileState state) => state switch
    {
        FileState.None => "nothing pressed yet",
        FileState.Current => "the file is up to date",
        _ => "the file is out of date",
    };

    /// <summary>“333 kB”.</summary>
    public static string Weight(this PressingRow row) => $"{(row.Bytes / 1000.0).ToString("0", CultureInfo.InvariantCulture)} kB";

    public static IReadOnlyList<PressingRow> Pressings(this Desk desk, string slug) => desk.Store.Pressings(desk.Row(slug).Id);

    /// <exception cref="Refusal">No such file was made.</exception>
    public static (PressingRow Row, Stream File) Pressed(this Desk desk, string slug, long id)
    {
        var row = desk.Store.Pressing(desk.Row(slug).Id, id) ?? throw new Refusal("file", "this file was not made here");
        return (row, desk.Files.Open(row.File));
    }

    /// <summary>The file's name after the house's pattern, in letters every disk takes. Of a single panel it names that too.</summary>
    public static string FileName(OnBench on, PressPlan plan)
    {
        var kind = plan.Kind;
        var t = on.Job.Ticket;
        var g = on.Composed.Geometry;
        string mm(Length l) => Math.Round(l.Millimetres, 2).ToString("0.##", CultureInfo.InvariantCulture);
        var name = t.House.FileName
            .Replace("{title}", t.Title, StringComparison.Ordinal).Replace("{author}", t.Author, StringComparison.Ordinal)
            .Replace("{isbn}", t.Isbn?.Digits ?? "no-isbn", StringComparison.Ordinal).Replace("{house}", t.House.Id, StringComparison.Ordinal)
            .Replace("{pages}", g.Spine.Pages.ToString(CultureInfo.InvariantCulture), StringComparison.Ordinal)
            .Replace("{width}", mm(g.Sheet.Size.Width), StringComparison.Ordinal).Replace("{height}", mm(g.Sheet.Size.Height), StringComparison.Ordinal)
            .Replace("{spine}", mm(g.Spine.Width), StringComparison.Ordinal).Replace("{kind}", kind.Word, StringComparison.Ordinal);
        if (plan.Panel != Part.Sheet) name = Path.ChangeExtension(name, null) + "_" + plan.Panel.Word() + ".pdf";
        return Plain(Path.ChangeExtension(name, plan.Ending));
    }

    /// <summary>A file's name in letters every disk takes, its ending kept.</summary>
    internal static string Plain(string name)
    {
        var ending = Path.GetExtension(name);
        var plain = string.Concat(name.Where(c => c is not ('\'' or '’')).Select(c => char.IsLetterOrDigit(c) || c is '.' or '_' or '-' ? c : '-'));
        plain = string.Join('-', plain.Split('-', StringSplitOptions.RemoveEmptyEntries)).Replace("-_", "_", StringComparison.Ordinal).Trim('-', '.', '_');
        return plain.Length == 0 ? "cover" + ending : plain.Length <= 120 ? plain : plain[..(120 - ending.Length)] + ending;
    }
}
