using Lumbeck.Press.Colour;
using Lumbeck.Press.Plates;

namespace Lumbeck.Desk.Jobs;

/// <summary>
/// The rules that need plates, asked beside everything else: one sheet after the other, one job at a time.
/// </summary>
public sealed class PlateChecks(JobDesk jobs) : IDisposable
{
    private readonly SemaphoreSlim _one = new(1);

    /// <summary>A revision with what its plates show; painted now where that is not known yet.</summary>
    public async Task<Composed> Beside(Composed composed)
    {
        if (composed.IsPlated) return composed;
        await _one.WaitAsync();
        try
        {
            var known = jobs.Compose(composed.Revision);
            if (known.IsPlated) return known;
            return await Task.Run(() =>
            {
                var plated = jobs.Keep(known with
                {
                    Plates = (known.Revision,
                    [.. Look(known, PlateLooking.Beside), .. OfPages(known)])
                });
                jobs.Summarise(plated);
                return plated;
            });
        }
        finally { _one.Release(); }
    }

    /// <summary>Looks at several revisions beside everything else.</summary>
    public void Warm(IEnumerable<long> all)
    {
        var waiting = all.ToList();
        if (waiting.Count == 0 || Interlocked.Exchange(ref _warming, 1) == 1) return;
        _ = Task.Run(async () =>
        {
            try { foreach (var revision in waiting) await Beside(jobs.Compose(revision)); }
            // A picture that is gone is told where the job is opened.
            catch (Exception e) when (e is Refusal or IOException or NetVips.VipsException or ObjectDisposedException) { }
            finally { Volatile.Write(ref _warming, 0); }
        });
    }

    private int _warming;

    /// <summary>All findings of a revision, those of its plates at press resolution.</summary>
    /// <param name="composed">The revision.</param>
    /// <param name="told">Is told before each sheet; may end the work by throwing.</param>
    public ImmutableArray<Finding> Exactly(Composed composed, Action? told = null) =>
        Rules.Merged(composed.Drawn, Look(composed, PlateLooking.Exact, told));

    /// <summary>All findings of a revision's pages.</summary>
    public ImmutableArray<Finding> OfPages(Composed composed, Action? told = null) =>
        composed.Pages is { } pages
            ? PageChecks.Of(Whole(pages, jobs, told), jobs.Drawer.PageArtOf(composed.Job), told)
            : [];

    /// <summary>Pages with all their puzzles; what can’t be made is found on its page.</summary>
    private static InsidePlan Whole(InsidePlan pages, JobDesk jobs, Action? told)
    {
        try { jobs.Drawer.Puzzles.Make(pages, told); }
        catch (Refusal) { return pages; }
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
            var look = new Look(composed.Job, sheet.On, sheet.Scene, jobs.Drawer.Kept);
            found.AddRange(Rules.Check(look, painter.Look(sheet.Scene, look.Take, PressCondition.Of(house), perInch)));
        }
        return found.ToImmutable();
    }

    public void Dispose() => _one.Dispose();
}
