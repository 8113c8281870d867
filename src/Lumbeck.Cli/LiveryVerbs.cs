using System.CommandLine;
using Lumbeck.Desk.Jobs;

namespace Lumbeck.Cli;

/// <summary>Whole looks, put on a job as a take beside its others.</summary>
internal static class LiveryVerbs
{
    private static readonly Option<string> Data = new("--data") { Description = "the data folder" };
    private static readonly Option<bool> AsJson = new("--json") { Description = "as JSON" };

    public static Command Liveries()
    {
        var c = new Command("liveries", "Lists the liveries.") { AsJson };
        c.SetAction(p =>
        {
            if (p.GetValue(AsJson))
                Say.Json(LiveryShelf.All.Select(l => new
                {
                    l.Id,
                    l.Name,
                    Shelf = l.Shelves,
                    Colourways = l.Colourways.Select(w => w.Name),
                    Capacity = new { Title = LiveryShelf.LongestTitle, Quotations = 3 },
                }));
            else
                foreach (var l in LiveryShelf.All)
                    Console.WriteLine($"{l.Id,-10} {l.Name}: {string.Join(", ", l.Shelves)}; " +
                        $"{string.Join(", ", l.Colourways.Select(w => w.Name))}");
            return 0;
        });
        return c;
    }

    public static Command Livery()
    {
        var job = new Argument<string>("JOB") { Description = "a job on the bench" };
        var name = new Option<string>("--livery") { Description = "a word of `lumbeck liveries`", Required = true };
        var colourway = new Option<int>("--colourway")
        {
            Description = "which of its sets of colours, from 1",
            DefaultValueFactory = _ => 1,
        };
        var seed = new Option<string?>("--seed") { Description = "of its paper: a number or a word" };
        var c = new Command("livery",
            "Puts a livery on a job, as a take beside its others.") { job, name, colourway, seed, Data };
        c.SetAction(p =>
        {
            var desk = JobVerbs.Open(p, Data);
            var on = desk.Jobs.Job(p.GetValue(job)!);
            var wears = LiveryShelf.Of(p.GetValue(name)!);
            if (p.GetValue(colourway) is var way && (way < 1 || way > wears.Colourways.Length))
                throw new Refusal("--colourway", $"--colourway: {wears.Name} has {wears.Colourways.Length}, from 1");
            var (edit, unfit) = Wearing.Of(on.Job, wears.Id, way, p.GetValue(seed), $"take-{Guid.NewGuid():n}"[..13],
                desk.Drawer.Shelf);
            if (unfit.Length > 0)
            {
                Console.Error.WriteLine($"{wears.Name} has no room for {string.Join(", nor for ", unfit)}: shorten " +
                    $"it, or take another.");
                return 3;
            }
            desk.Jobs.Apply(on.Slug, new(Guid.NewGuid().ToString(), "command line", _ => edit));
            Console.WriteLine($"{on.Slug}: {wears.Name}, {wears.Colourways[way - 1].Name}, as a take of its own.");
            return 0;
        });
        return c;
    }
}
