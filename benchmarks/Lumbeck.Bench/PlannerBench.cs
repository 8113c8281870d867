using System.Collections.Immutable;
using Lumbeck.Core.Art.Puzzles;
using Lumbeck.Desk;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;

namespace Lumbeck.Bench;

/// <summary>
/// What is computed of pages, each a process of its own: a planner of 400 pages, 365 days of which none is like another,
/// beside as many ruled ones; a hundred hard sudokus, beside solving them.
/// </summary>
internal static class PlannerBench
{
    public static void Run(string folder)
    {
        ConversionBench.Pair("a planner of 400 pages, PDF/X-1a", ConversionBench.Own("planner", folder),
            "400 ruled pages", "dotnet", ConversionBench.Own("ruled", folder), own: new Aim(4, "s"),
            memory: new Aim(250, "MB", "memory"));
        ConversionBench.Pair("100 hard sudokus of one seed made", ConversionBench.Own("sudokus", folder),
            "solving 100 by trying", "dotnet", ConversionBench.Own("solved", folder), own: new Aim(60, "s"));
    }

    /// <summary>What a process of its own does.</summary>
    public static void Do(string what, string folder)
    {
        var ask = new SudokuAsk(9, Grade.Hard, 2027, 100);
        var kept = Path.Combine(folder, "sudokus.txt");
        switch (what)
        {
            case "sudokus":
                File.WriteAllLines(kept, SudokuMaker.Make(ask));
                return;
            case "solved":
                foreach (var line in File.ReadAllLines(kept))
                {
                    var (shape, cells) = SudokuShape.Read(line);
                    if (SudokuSolver.Solve(shape, cells).Count != 1) throw new InvalidOperationException(line);
                }
                return;
        }
        var desk = new Desk.AppServices(Path.Combine(folder, what), TimeProvider.System);
        var began = Starters.Job(HouseFile.Shipped["plover"], "Planner");
        var job = new BeginInside(what == "ruled"
            ? [new PageRun { Id = "ruled", Designs = [DesignShelf.Of("ruled")], Count = 400 }]
            : Days(), "planner").Apply(began with { Ticket = began.Ticket with { Trim = Size.FromMillimetres(148, 210) } });
        var on = desk.Bench.Begin("Planner", job, "bench", Guid.NewGuid().ToString("n"));
        using var file = File.Create(Path.Combine(folder, what + ".pdf"));
        desk.Pressing.WritePress(on, new(PressKind.X1a) { Inside = true }, file);
    }

    private static ImmutableList<PageRun> Days()
    {
        static PageRun run(string design, int pages) => new() { Id = design, Designs = [DesignShelf.Of(design)], Count = pages };
        return
        [
            run("this-belongs-to", 1),
            run("year", 1) with { Designs = [((YearPage)DesignShelf.Of("year")) with { Year = 2027 }] },
            run("month", 12) with { Goes = RunKind.Months, From = new(2027, 1, 1), To = new(2027, 12, 31) },
            run("day", 365) with { Goes = RunKind.Days, From = new(2027, 1, 1), To = new(2027, 12, 31) },
            run("dots", 21),
        ];
    }
}
