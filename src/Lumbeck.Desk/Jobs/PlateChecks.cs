using Lumbeck.Press.Colour;
using Lumbeck.Press.Plates;

namespace Lumbeck.Desk.Jobs;

/// <summary>The rules that need plates, and those of pages: what takes time to look at.</summary>
public sealed class PlateChecks(JobDesk jobs)
{
    /// <summary>Held while jobs of a list are looked at, one after the other.</summary>
    internal SemaphoreSlim LookingOver { get; } = new(1);

    /// <summary>What the plates of a revision show at a glance, and its pages.</summary>
    /// <param name="composed">The revision.</param>
    /// <param name="told">Is told before each sheet; may end the work by throwing.</param>
    public ImmutableArray<Finding> Plates(Composed composed, Action? told = null) =>
        [.. Look(composed, PlateSampling.Beside, told), .. OfPages(composed, told)];

    /// <summary>Has at hand what was found of a revision's plates.</summary>
    internal Composed Keep(Composed composed, ImmutableArray<Finding> found)
    {
        var plated = jobs.Keep(composed with { Plates = (composed.Revision, found) });
        jobs.Summarise(plated);
        return plated;
    }

    /// <summary>All findings of a revision, those of its plates at press resolution.</summary>
    /// <param name="composed">The revision.</param>
    /// <param name="told">Is told before each sheet; may end the work by throwing.</param>
    public ImmutableArray<Finding> Exactly(Composed composed, Action? told = null) =>
        Rules.Merged(composed.Drawn, Look(composed, PlateSampling.Exact, told));

    /// <summary>The same, and all findings of its pages.</summary>
    public ImmutableArray<Finding> Whole(Composed composed, Action? told = null) =>
        Rules.Merged(Exactly(composed, told), OfPages(composed, told));

    /// <summary>All findings of a revision's pages.</summary>
    public ImmutableArray<Finding> OfPages(Composed composed, Action? told = null) =>
        composed.Pages is { } pages
            ? PageChecks.Of(WithPuzzles(pages, jobs, told), jobs.Drawer.PageArtOf(composed.Job), told)
            : [];

    /// <summary>Pages with all their puzzles; what can’t be made is found on its page.</summary>
    private static InsidePlan WithPuzzles(InsidePlan pages, JobDesk jobs, Action? told)
    {
        _ = Attempt.Of(() => jobs.Drawer.Puzzles.Make(pages, told));
        return pages;
    }

    private ImmutableArray<Finding> Look(Composed composed, double perInch, Action? told = null)
    {
        var house = composed.Job.Ticket.House;
        var painter = jobs.Drawer.PlatesOf(house);
        var found = ImmutableArray.CreateBuilder<Finding>();
        foreach (var sheet in composed.Sheets)
        {
            told?.Invoke();
            var look = new CheckContext(composed.Job, sheet.On, sheet.Scene, jobs.Drawer.Kept);
            found.AddRange(Rules.Check(look, painter.Look(sheet.Scene, look.Take, PrintingCondition.Of(house),
                perInch)));
        }
        return found.ToImmutable();
    }
}
