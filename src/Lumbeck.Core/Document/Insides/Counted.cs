namespace Lumbeck.Core.Document.Insides;

/// <summary>Why a page is there.</summary>
public enum SlotKind { Page, Back, BeforeRun, Raised }

/// <summary>One page of the file, by where it comes from.</summary>
/// <param name="Kind">A page of a run, its back, or a blank one.</param>
/// <param name="Run">Its run's place among the runs; −1 for what is raised at the end.</param>
/// <param name="Design">Its design's place in the run.</param>
/// <param name="Time">Which time the run's set comes, from 1.</param>
public readonly record struct Slot(SlotKind Kind, int Run, int Design = 0, int Time = 1);

/// <summary>A run as counted.</summary>
/// <param name="Run">Its place among the runs.</param>
/// <param name="First">Its first page in the file, from 1.</param>
/// <param name="Pages">Its pages, backs included.</param>
/// <param name="BlankBefore">Blanks that its beginning makes.</param>
/// <param name="Cut">Pages of its last set that the book has no room for.</param>
public sealed record CountedRun(int Run, int First, int Pages, int BlankBefore, int Cut = 0)
{
    public int Last => First + Pages - 1;
}

/// <summary>
/// Runs laid end to end: what each page of the file is. An odd page lies right of the fold in a book read from left to
/// right; a spread is an even page and the odd one after it.
/// </summary>
public sealed record Counted(ImmutableArray<Slot> Pages, ImmutableArray<CountedRun> Runs, int Asked)
{
    /// <summary>Pages as printed, raised blanks included.</summary>
    public int Printed => Pages.Length;

    /// <summary>Blanks that runs' beginnings and the multiple make.</summary>
    public int Blank => Pages.Count(p => p.Kind is SlotKind.BeforeRun or SlotKind.Raised);

    /// <param name="inside">The runs.</param>
    /// <param name="multiple">What pages are raised to a multiple of.</param>
    /// <exception cref="Refusal">There are more pages than a volume has.</exception>
    public static Counted Of(Inside inside, int multiple)
    {
        var rest = inside.Runs.FindIndex(r => r.Goes == RunKind.Rest);
        var pages = Laid(inside, 0, out var runs);
        // With a free count the rest takes what would be raised; with a fixed one, what is left of it.
        var wanted = inside.Fixed ?? PageCount.Raise(Math.Max(1, pages.Count), multiple);
        if (rest >= 0)
        {
            // What it takes can shift what must begin on an odd page: the most that still fits is taken.
            for (var take = Math.Max(0, wanted - pages.Count + multiple); take > 0; take--)
            {
                var tried = Laid(inside, take, out var counted);
                if (tried.Count > wanted) continue;
                (pages, runs) = (tried, counted);
                break;
            }
        }
        var asked = inside.Fixed ?? pages.Count;
        var printed = PageCount.Raise(Math.Max(1, Math.Max(asked, pages.Count)), multiple);
        while (pages.Count < printed) pages.Add(new(SlotKind.Raised, -1));
        return new([.. pages], [.. runs], Math.Max(1, asked));
    }

    private static List<Slot> Laid(Inside inside, int rest, out List<CountedRun> runs)
    {
        var pages = new List<Slot>();
        runs = [];
        for (var n = 0; n < inside.Runs.Count; n++)
        {
            var run = inside.Runs[n];
            var sided = run.Backs == Backs.Pages ? 1 : 2;
            var times = run.Goes == RunKind.Rest ? (int)Math.Ceiling(rest / (double)sided)
                : run.Times(inside.Calendar.First);
            var wanted = run.Goes == RunKind.Rest ? rest : (long)times * run.Set * sided;
            if (pages.Count + wanted > Inside.MostPages)
                throw new Refusal($"run/{run.Id}/count",
                    $"{pages.Count + wanted} pages can't be bound in one volume: the most is {Inside.MostPages}");
            var blank = 0;
            if (wanted > 0)
                while (run.MustBegin != BeginsOn.Next && (pages.Count % 2 == 0) != (run.MustBegin == BeginsOn.Odd))
                {
                    pages.Add(new(SlotKind.BeforeRun, n));
                    blank++;
                }
            var first = pages.Count + 1;
            for (var page = 0; page < wanted / sided || (sided == 2 && wanted % 2 == 1 && page < (wanted + 1) / 2);
                page++)
            {
                var (time, design) = ((page / run.Set) + 1, run.DesignOn(page));
                pages.Add(new(SlotKind.Page, n, design, time));
                if (sided == 2 && pages.Count - first + 1 < wanted) pages.Add(new(SlotKind.Back, n, design, time));
            }
            var over = run.Goes is RunKind.Rest && run.Designs.Count > 1 && wanted % run.Designs.Count > 0
                ? run.Designs.Count - (int)(wanted % run.Designs.Count) : 0;
            runs.Add(new(n, first, pages.Count - first + 1, blank, over));
        }
        return pages;
    }
}
