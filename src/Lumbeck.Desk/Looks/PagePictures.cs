using System.Runtime.CompilerServices;
using Lumbeck.Core.Drawing.Pages;
using Lumbeck.Press.Colour;

namespace Lumbeck.Desk.Looks;

/// <summary>
/// A book's own pages as small true pictures for its back: the first page of each of the runs that most of it is made
/// of, kept in the Drawer like any picture.
/// </summary>
internal sealed class PagePictures(Drawer drawer)
{
    /// <summary>Pixels an inch of a page: at a third of its size they are more than a press shows.</summary>
    private const double PerInch = 110;

    private readonly ConditionalWeakTable<Job, InsideShown> _known = [];

    /// <summary>What a back may show of a job's pages; nothing where they are not made here.</summary>
    public InsideShown Of(Job job)
    {
        if (!job.HasPages) return InsideShown.None;
        if (_known.TryGetValue(job, out var known)) return known;
        // Pages that can't be made are told of where pages are made.
        return Attempt.Or(() =>
        {
            var plan = new InsidePlan(job, drawer.Tables, drawer.Puzzles);
            var shown = Of(job, plan);
            // Puzzles are still being made: next time their pages are full.
            if (drawer.Puzzles.Progress(plan) is null) _known.AddOrUpdate(job, shown);
            return shown;
        }, _ => InsideShown.None);
    }

    private InsideShown Of(Job job, InsidePlan plan)
    {
        var runs = plan.Counted.Runs.Where(r => r.Pages > 0).OrderByDescending(r => r.Pages).Take(InsideShown.Most)
            .OrderBy(r => r.First).ToList();
        var house = job.Ticket.House.ForPages();
        var (art, plates) = (drawer.PageArtOf(job), drawer.PlatesOf(house));
        Picture? picture(int number)
        {
            var scene = PageScene.Of(plan, plan.Page(number), art);
            var trim = scene.Surface.Trim;
            var painted = plates.Paint(scene, Bounds.Of(trim), PerInch,
                likeness: true);
            return drawer.Pictures.Lay(job.Ticket.InsideColour == InsideColour.Black ? painted.ToBlackPng()
                : painted.ToPng(PrintingCondition.Of(house)), $"page {number}.png", $"page {number} of this book");
        }
        return new([.. runs.Select(r => picture(r.First)).OfType<Picture>()],
            [.. runs.Select(r => (Says: plan.Inside.Runs[r.Run].Printed(job.PagesLanguage), r.Pages))
                .Where(r => r.Says.Length > 0)
                .Select(r => job.PagesLanguage == "en" ? $"{r.Says}, {Many.Of(r.Pages, "page")}" : r.Says)]);
    }
}
