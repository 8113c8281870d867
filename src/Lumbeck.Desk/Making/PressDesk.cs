using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;
using Lumbeck.Store;

namespace Lumbeck.Desk.Making;

/// <summary>Press files: made, kept in the register, judged; and the long work that makes them.</summary>
public sealed class PressDesk
{
    internal PressDesk(JobDesk jobs, HouseDesk houses, PlateChecks checks, FileShelf files, WorkQueue works) =>
        (Jobs, Houses, Checks, Files, Queue) = (jobs, houses, checks, files, works);

    internal JobDesk Jobs { get; }

    internal HouseDesk Houses { get; }

    internal PlateChecks Checks { get; }

    /// <summary>Long work, done beside everything else.</summary>
    public WorkQueue Queue { get; }

    /// <summary>The files that were made, each under its hash.</summary>
    public FileShelf Files { get; }

    /// <summary>Writes a file of a revision. The same revision and plan give the same bytes.</summary>
    /// <param name="on">The revision.</param>
    /// <param name="plan">What is asked.</param>
    /// <param name="output">Written from front to back.</param>
    /// <param name="told">Is told the share that is done, and may end the work by throwing.</param>
    public void WritePress(OnBench on, PressPlan plan, Stream output, Action<double>? told = null) =>
        Write(on, plan, At(on.Revision), output, told);

    /// <summary>When a revision was made, as its files say it.</summary>
    internal string At(long revision) => Jobs.Store.Revision(revision).At;

    private void Write(OnBench on, PressPlan plan, string made, Stream output, Action<double>? told)
    {
        RefuseMissing(on);
        var at = DateTimeOffset.Parse(made, CultureInfo.InvariantCulture);
        if (plan.Inside) { PagesFile.Write(this, on, plan, at, output, told); return; }
        if (plan.Kind.MadeOf == MadeOf.Picture) { ScreenFile.Write(Jobs.Drawer, on, plan, output); return; }
        // Each page and each picture is a part of the work; which are shared is not known beforehand, so the count is
        // the most there are.
        var parts = on.Composed.Sheets.Length + on.Composed.Sheets.Sum(s =>
            s.Scene.Items.Sum(p =>
                p.Marks.Count(m => m is PictureMark or GrownMark or TilesMark or BlurredMark) + (p.Mixes ? 1 : 0)));
        var done = 0;
        var t = on.Job.Ticket;
        var g = on.Composed.Geometry;
        var subject = $"{t.Binding.Word()} cover, {t.Trim.Show(t.Unit)}, spine {g.Spine.Width.Show(t.Unit)}, " +
            $"{g.Spine.Pages} pages, for {t.House.Name}";
        var note = new DocumentInfo(t.Title, t.Author, subject, at, on.JobId, on.Revision)
        {
            Slug = $"{t.Title} · {t.House.Name} · sheet {g.Sheet.Size.Show(t.Unit)} · spine " +
                $"{g.Spine.Width.Show(t.Unit)} · {at.UtcDateTime.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)}",
        };
        var sheets = on.Composed.Sheets.Where(s => plan.Panel == Part.Sheet || s.Sheet.Panel(plan.Panel) is not null)
            .Select(s => s.Scene).ToList();
        if (sheets.Count == 0) throw new Refusal("panel", $"this binding has no {plan.Panel.Say()}");
        PressFile.Write(output, sheets, plan, t.House, note, Jobs.Drawer.Shelf, Jobs.Drawer.Pictures,
            () => told?.Invoke(Math.Min(0.99, (double)done++ / Math.Max(1, parts))));
    }

    /// <summary>Refuses what can't be pressed of a job.</summary>
    /// <exception cref="Refusal">The house takes no such file, or something it needs is missing.</exception>
    public void RefusePress(OnBench on, PressPlan plan)
    {
        var house = plan.Inside ? on.Job.Ticket.House.ForPages() : on.Job.Ticket.House;
        if (plan.Inside) PagesFile.Refuse(on, plan);
        if (plan.Kind.IsForPrinter && !house.Kinds.Contains(plan.Kind))
            throw new Refusal("kind",
                $"{house.Name} takes " +
                    $"{(plan.Inside ? "pages as " : "")}{string.Join(" or ", house.Kinds.Select(k => k.Title))}, not " +
                    $"{plan.Kind.Title}");
        RefuseMissing(on);
        foreach (var sheet in on.Composed.Sheets) PressFile.RefuseFaces(sheet.Scene, Jobs.Drawer.Shelf);
    }

    /// <exception cref="Refusal">A picture's file is gone or damaged.</exception>
    private void RefuseMissing(OnBench on)
    {
        foreach (var picture in on.Job.PicturesShown.Concat(on.Job.HasPages ? on.Job.Inside!.Pictures : []))
        {
            if (Jobs.Drawer.Pictures.Fault(picture.Hash) is { } fault)
                throw new Refusal("picture",
                    $"the picture {picture.Name} can’t be printed, for {fault}: put it in again, or remove it");
            if (picture.IsDrawing && Jobs.Drawer.DrawingsOf(on.Job.Ticket.House).Of(picture) is null)
                throw new Refusal("picture",
                    $"the drawing {picture.Name} can’t be read: put it in again, or remove it");
        }
    }

    /// <summary>Presses what is on the bench and keeps the file in the register.</summary>
    /// <exception cref="Refusal">The house takes no such file.</exception>
    public PressingRow Press(string slug, PressPlan plan) => Press(Jobs.Job(slug), plan, null);

    /// <summary>Presses a revision. The file is whole or not there.</summary>
    public PressingRow Press(OnBench on, PressPlan plan, Action<double>? told) =>
        Register(Make(on, plan, At(on.Revision), told));

    /// <summary>Keeps a made file in the register.</summary>
    internal PressingRow Register(PressingRow made)
    {
        Jobs.Store.Write(w => { w.AddPressing(made); return 0; });
        return Jobs.Store.Pressings(made.Job)[0];
    }

    /// <summary>Makes a file, and says of it what the register will; asks nothing of the bench.</summary>
    /// <param name="on">The job as it is to be pressed.</param>
    /// <param name="plan">What is asked.</param>
    /// <param name="at">When its revision was made.</param>
    /// <param name="told">Is told the share that is done, and may end the work by throwing.</param>
    internal PressingRow Make(OnBench on, PressPlan plan, string at, Action<double>? told)
    {
        RefusePress(on, plan);
        // Rules that need plates run at press resolution before a file leaves; what they say goes into the register
        // with it.
        var findings = plan.Inside
            ? Checks.OfPages(on.Composed, () => told?.Invoke(0))
            : plan.Kind.IsForPrinter
            ? Checks.Exactly(on.Composed, () => told?.Invoke(0))
            : on.Composed.Findings;
        var (file, bytes) = Files.Keep(s => Write(on, plan, at, s, told));
        var verdict = plan.Kind.IsForPrinter ? this.Judge(on, plan, file) : null;
        var ready = Readiness.Of(findings);
        return new()
        {
            Job = on.JobId,
            Revision = on.Revision,
            Kind = plan.Write(),
            House = on.Job.Ticket.House.Name,
            Name = PressedFile.FileName(on, plan),
            File = file,
            Bytes = bytes,
            Stops = ready.Stops,
            Cautions = ready.Cautions,
            Todos = ready.Todos,
            Waived = string.Join(", ", findings.Where(f => f.Waived is not null).Select(f => f.Id).Distinct()),
            Accepted = verdict?.Accepted,
            Verdict = verdict is null ? "" : verdict.Say(),
        };
    }

    public IReadOnlyList<PressingRow> Pressings(string slug) => Jobs.Store.Pressings(Jobs.Row(slug).Id);

    /// <exception cref="Refusal">No such file was made.</exception>
    public (PressingRow Row, Stream File) Pressed(string slug, long id)
    {
        var row = Jobs.Store.Pressing(Jobs.Row(slug).Id, id)
            ?? throw new Refusal("file", "this file was not made here");
        return (row, Files.Open(row.File));
    }
}
