using System.CommandLine;
using Lumbeck.Desk.Looks;

namespace Lumbeck.Cli;

/// <summary>Whole looks, put on a job as a take beside its others.</summary>
internal static class LiveryVerbs
{
    private static readonly Option<string> Data = new("--data") { Description = "the data folder" };
    private static readonly Option<bool> AsJson = new("--json") { Description = "as JSON" };

    public static Command Liveries()
    {
        var keep = new Option<string?>("--keep") { Description = "keeps the cover of this job as a livery" };
        var name = new Option<string?>("--name") { Description = "what it is called" };
        var save = new Option<string?>("--save") { Description = "writes a kept livery as a file" };
        var file = new Option<string?>("--out") { Description = "the file to write" };
        var bring = new Option<string?>("--bring") { Description = "takes a livery’s file in" };
        var c = new Command("liveries", "Lists the liveries; keeps one from a cover; files out and in.")
        {
            AsJson, keep, name, save, file, bring, Data,
        };
        c.SetAction(p =>
        {
            var desk = JobVerbs.Open(p, Data);
            if (p.GetValue(keep) is { } job)
            {
                var kept = desk.Liveries.Keep(desk.Jobs.Job(job).Job, p.GetValue(name)
                    ?? throw new Refusal("--name", "--name: a livery needs a name"));
                Console.WriteLine($"{kept.Id}: {kept.Name}.");
                return 0;
            }
            if (p.GetValue(save) is { } livery)
            {
                var target = Say.Target(p.GetValue(file) ?? throw new Refusal("--out", "--out: name the file to write"));
                var json = desk.Liveries.Export(livery);
                Say.Written(target, s => s.Write(json));
                Console.WriteLine($"{target}: {new FileInfo(target).Length / 1000} kB.");
                return 0;
            }
            if (p.GetValue(bring) is { } from)
            {
                var path = Path.GetFullPath(from);
                if (!File.Exists(path)) throw new Refusal("--bring", $"there is no file {path}");
                if (new FileInfo(path).Length > OwnLiveryJson.Most)
                    throw new Refusal("--bring", $"{path} is over {OwnLiveryJson.Most / 1_000_000} MB");
                var taken = desk.Liveries.TakeIn(File.ReadAllBytes(path));
                Console.WriteLine($"{taken.Id}: {taken.Name}.");
                return 0;
            }
            var all = desk.Liveries.All();
            if (p.GetValue(AsJson))
                Say.Json(all.Select(l => new
                {
                    l.Id,
                    l.Name,
                    Shelf = l.Shelves,
                    Colourways = l.Ways,
                    l.Own,
                    Capacity = new { Title = LiveryShelf.LongestTitle, ReviewQuotes = 3 },
                }));
            else
                foreach (var l in all)
                    Console.WriteLine($"{l.Id,-12} {l.Name}: {string.Join(", ", l.Shelves)}; {string.Join(", ", l.Ways)}");
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
        var seed = new Option<string?>("--seed") { Description = "of what it draws: a number or a word" };
        var colour = new Option<string?>("--colour")
        {
            Description = "the volume’s own ink, as `40 10 0 0`, for one kept from a cover",
        };
        var c = new Command("livery",
            "Puts a livery on a job, as a take beside its others.") { job, name, colourway, seed, colour, Data };
        c.SetAction(p =>
        {
            var desk = JobVerbs.Open(p, Data);
            var on = desk.Jobs.Job(p.GetValue(job)!);
            var wanted = p.GetValue(name)!;
            var wears = desk.Liveries.All().FirstOrDefault(l => l.Id == wanted
                || l.Name.Equals(wanted, StringComparison.OrdinalIgnoreCase));
            if (wears is null) { _ = LiveryShelf.Of(wanted); return 2; }
            if (p.GetValue(colourway) is var way && (way < 1 || way > wears.Ways.Count))
                throw new Refusal("--colourway", $"--colourway: {wears.Name} has {wears.Ways.Count}, from 1");
            Ink? ink = p.GetValue(colour) is { } mix ? PaintText.TryParseInk(mix, out var said, out _) ? said
                : throw new Refusal("--colour", $"--colour: `{LengthText.Clip(mix)}` is no mix: give cyan, magenta, yellow " +
                    "and black in percent, as `40 10 0 0`") : null;
            var (edit, unfit) = desk.Liveries.Wear(on.Job, wears.Id, way, p.GetValue(seed), $"take-{Guid.NewGuid():n}"[..13],
                ink);
            if (unfit.Length > 0)
            {
                Console.Error.WriteLine($"{wears.Name} has no room for {string.Join(", nor for ", unfit)}: shorten " +
                    $"it, or take another.");
                return 3;
            }
            desk.Jobs.Apply(on.Slug, new(Guid.NewGuid().ToString(), "command line", _ => edit));
            Console.WriteLine($"{on.Slug}: {wears.Name}, {wears.Ways[way - 1]}, as a take of its own.");
            return 0;
        });
        return c;
    }
}
