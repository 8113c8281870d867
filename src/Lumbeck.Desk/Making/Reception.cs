using Lumbeck.Intake;
using Lumbeck.Intake.Judging;
using Lumbeck.Intake.Opening;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;

namespace Lumbeck.Desk.Making;

/// <summary>Takes files to a house's reception.</summary>
public static class Reception
{
    /// <summary>
    /// What reception is told of a job: its sheets as the house makes them, and what its barcode says.
    /// </summary>
    public static Expected Expects(this PressDesk _, OnBench on, PressPlan? plan = null)
    {
        var t = on.Job.Ticket;
        var sheets = on.Composed.Sheets.Where(s =>
            plan is null || plan.Panel == Part.Sheet || s.Sheet.Panel(plan.Panel) is not null)
            .ToList();
        Box? room(ComposedSheet s) =>
            on.Job.Wraps[s.On.Wrap].Take.Items.OfType<BarcodeItem>().Where(b => !b.Hidden)
                .Select(b => s.Scene.Item(b.Id)).FirstOrDefault(p => p is { Frame.IsEmpty: false })?.Frame.ToBox();
        // A barcode on a panel that this sheet has not is on none.
        var code = sheets.Any(s => room(s) is not null)
            ? on.Job.Wraps[0].Take.Items.OfType<BarcodeItem>().FirstOrDefault(b => !b.Hidden)
            : null;
        return new(t.House,
            [.. sheets.Select(s => new ExpectedSheet(s.Sheet.Size, s.Sheet.Trim, room(s), s.Sheet.Folds)
            { Finished = Finished(s.Sheet) })],
            code is null ? null : BarcodeDrawing.Reads(code, t))
        {
            Finishes = [.. on.Composed.Sheets.SelectMany(s => s.Scene.Items).SelectMany(p => p.Marks)
                .Select(m => m.Finish?.Name).OfType<string>().Distinct()],
        };
    }

    /// <summary>The faces of all panels together.</summary>
    private static Box Finished(Surface sheet)
    {
        if (sheet.Panels is not { Length: > 0 } panels) return sheet.Trim;
        var (x, y) = (panels.Min(p => p.Face.X), panels.Min(p => p.Face.Y));
        return new(x, y, panels.Max(p => p.Face.Right) - x, panels.Max(p => p.Face.Bottom) - y);
    }

    /// <summary>What reception is told of a job's pages, made here or elsewhere.</summary>
    public static Expected ExpectsPages(this PressDesk _, OnBench on)
    {
        var t = on.Job.Ticket;
        var plan = on.Composed.Pages;
        // What others made is known by the ticket alone: whether it bleeds the file itself says.
        var blank = plan is null
            ? null
            : Enumerable.Range(1, plan.Printed).Where(n => IsBlank(plan.Page(n))).ToHashSet();
        return new(t.House.ForPages(), [], null)
        {
            Pages = new(on.Composed.Geometry.Spine.Pages, t.Trim,
                plan is { Bleed: not PageBleed.None } ? plan.Rules.BleedWidth : Length.Zero,
                t.InsideColour == InsideColour.Black, blank),
        };
    }

    private static bool IsBlank(PlannedPage page) => page.Slot.Kind switch
    {
        SlotKind.Back => page.Run!.Backs == Backs.Blank,
        SlotKind.Page =>
            page.Design is BlankPage or PicturePage { Picture: null } && page.Run!.Behind is null && page.Tab is null,
        _ => true,
    };

    /// <summary>A house's verdict on a finished file; of a panel alone none is given.</summary>
    public static Verdict? Judge(this PressDesk press, OnBench on, PressPlan plan, string hash) =>
        plan.Inside ? IntakeDesk.Judge(press.Files.PathOf(hash), press.ExpectsPages(on))
        : plan.Panel != Part.Sheet || plan.EachPanel ? null : IntakeDesk.Judge(press.Files.PathOf(hash), press.Expects(on, plan));

    /// <summary>A house's verdict on any file, as if it were a job's.</summary>
    /// <param name="press">The press.</param>
    /// <param name="on">The job.</param>
    /// <param name="path">The file.</param>
    /// <param name="house">Another house than the job's own.</param>
    /// <param name="inside">Whether it is the inside, not the cover.</param>
    /// <exception cref="Refusal">The job makes no sheet at that house.</exception>
    public static Verdict Judge(this PressDesk press, OnBench on, string path, House? house = null, bool inside = false)
    {
        if (house is not null) on = on with { Composed = press.ForHouse(on, house) };
        return IntakeDesk.Judge(path, inside ? press.ExpectsPages(on) : press.Expects(on));
    }

    /// <summary>A job as another house would print it; nothing is kept.</summary>
    /// <exception cref="Refusal">It makes no sheet there.</exception>
    public static Composed ForHouse(this PressDesk press, OnBench on, House house) =>
        house.Id == on.Job.Ticket.House.Id
            ? on.Composed
            : press.Jobs.Worked(on.Revision, press.Jobs.After(on.Job, new SetHouse(house)));
}
