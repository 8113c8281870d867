using Lumbeck.Intake.Judging;
using Lumbeck.Press.Elsewhere;
using Lumbeck.Press.Kinds;

namespace Lumbeck.Desk.Making;

/// <summary>A mended file as reception sees it, with what was said while it was mended.</summary>
public sealed record MendedFile(MendReport Report, Verdict Verdict)
{
    /// <summary>Whether reception takes it and nothing is left to its maker.</summary>
    public bool IsWhole => Verdict.Accepted && Report.IsWhole;
}

/// <summary>Finished files from other programs, made press-ready for a job's house and taken to its reception.</summary>
public static class MendDesk
{
    /// <summary>What a job wants of a finished file.</summary>
    /// <param name="on">The job.</param>
    /// <param name="inside">Whether it is the inside, not the cover.</param>
    /// <param name="scale">Whether pages of another size are scaled.</param>
    public static MendPlan Wants(OnBench on, bool inside, bool scale = false)
    {
        var t = on.Job.Ticket;
        if (inside)
            return new(t.House.ForPages(), t.Trim, new(default, default, t.Trim.Width, t.Trim.Height))
            {
                Inside = true,
                Multiple = t.PageMultiple,
                Bleed = t.House.Inside.BleedWidth,
                Reading = t.Reading,
                Black = t.InsideColour == InsideColour.Black,
                Scale = scale,
            };
        if (on.Composed.Sheets is not [var sheet])
            throw new Refusal("sheets", $"this job has {on.Composed.Sheets.Length} sheets: a finished cover of one is mended");
        return new(t.House, sheet.Sheet.Size, sheet.Sheet.Trim)
        {
            Reading = t.Reading,
            Spots = [.. t.House.FinishingInks],
            Panels = [.. sheet.Sheet.Panels.Select(p => (p.Part, p.Face))],
            Scale = scale,
        };
    }

    /// <summary>Mends a file and takes it to reception.</summary>
    /// <param name="press">The press.</param>
    /// <param name="on">The job.</param>
    /// <param name="path">The file; it is left as it is.</param>
    /// <param name="to">Where the mended one is written.</param>
    /// <param name="plan">What is wanted of it.</param>
    /// <param name="told">How far it has come.</param>
    /// <param name="cancel">Ends the work.</param>
    /// <exception cref="Refusal">It can’t be read or mended.</exception>
    public static MendedFile Mend(this PressDesk press, OnBench on, string path, string to, MendPlan plan,
        Action<double>? told = null, CancellationToken cancel = default)
    {
        var t = on.Job.Ticket;
        var at = DateTimeOffset.Parse(press.Jobs.Store.Revision(on.Revision).At, CultureInfo.InvariantCulture);
        var note = new PressNote(t.Title, t.Author, $"{(plan.Inside ? "inside" : "cover")}, {t.Trim.Show(t.Unit)}, for {t.House.Name}",
            at, on.JobId, on.Revision);
        MendReport report;
        using (var output = new FileStream(to, FileMode.Create, FileAccess.Write, FileShare.None, 1 << 16))
            report = Mending.Mend(path, output, plan, press.Jobs.Drawer.Shelf, note, told, cancel);
        var expected = plan.Inside
            ? press.ExpectsPages(on) with { Pages = press.ExpectsPages(on).Pages! with { Count = report.Printed, Blank = null } }
            : press.Expects(on) with { Number = null };
        return new(report, Intake.IntakeDesk.Judge(to, expected));
    }
}
