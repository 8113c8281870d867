using System.CommandLine;

namespace Lumbeck.Cli;

/// <summary>Covers to begin from: listed, kept from a job, begun with, and as files.</summary>
internal static class StarterVerbs
{
    private static readonly Option<string> Data = new("--data") { Description = "the data folder" };

    public static Command Starter() => new("starter", "Covers to begin from.")
    {
        List(), Keep(), Begin(), Out(), In(),
    };

    private static Command List()
    {
        var json = new Option<bool>("--json") { Description = "as JSON" };
        var c = new Command("list", "Lists the starters.") { json, Data };
        c.SetAction(p =>
        {
            var all = JobVerbs.Open(p, Data).Starters.All();
            if (p.GetValue(json)) Say.Json(all.Select(s => new { s.Id, s.Name, s.Says, s.Own }));
            else foreach (var s in all) Console.WriteLine($"{s.Id,-16} {s.Name}: {s.Says}");
            return 0;
        });
        return c;
    }

    private static Command Keep()
    {
        var job = new Argument<string>("JOB") { Description = "a job on the bench" };
        var name = new Option<string>("--name") { Description = "what it is called", Required = true };
        var c = new Command("keep", "Keeps a job as a starter.") { job, name, Data };
        c.SetAction(p =>
        {
            var desk = JobVerbs.Open(p, Data);
            var kept = desk.Starters.Keep(desk.Jobs.Job(p.GetValue(job)!).Job, p.GetValue(name)!);
            Console.WriteLine($"{kept.Id}: {kept.Name}, {kept.Says}.");
            return 0;
        });
        return c;
    }

    private static Command Begin()
    {
        var starter = new Argument<string>("STARTER") { Description = "a word of `lumbeck starter list`" };
        var title = new Option<string>("--title") { Description = "of the book", DefaultValueFactory = _ => "" };
        var c = new Command("begin", "Begins a job from a starter.") { starter, title, Data };
        c.SetAction(p =>
        {
            var desk = JobVerbs.Open(p, Data);
            var on = desk.Bench.Begin(p.GetValue(title)!, desk.Starters.Begun(p.GetValue(starter)!, p.GetValue(title)!),
                "command-line");
            Console.WriteLine($"{on.Slug}: {on.Composed.SaysReady}.");
            return 0;
        });
        return c;
    }

    private static Command Out()
    {
        var starter = new Argument<string>("STARTER") { Description = "a word of `lumbeck starter list`" };
        var file = new Option<string>("--out") { Description = "the file to write", Required = true };
        var c = new Command("out", "Writes a starter as a pack.") { starter, file, Data };
        c.SetAction(p =>
        {
            var target = Say.Target(p.GetValue(file)!);
            var desk = JobVerbs.Open(p, Data);
            Say.Written(target, s => desk.Starters.Export(p.GetValue(starter)!, s));
            Console.WriteLine($"{target}: {new FileInfo(target).Length / 1000} kB.");
            return 0;
        });
        return c;
    }

    private static Command In()
    {
        var file = new Argument<string>("FILE") { Description = "a starter’s pack" };
        var c = new Command("in", "Takes a pack in as a starter.") { file, Data };
        c.SetAction(async (p, _) =>
        {
            var path = Path.GetFullPath(p.GetValue(file)!);
            if (!File.Exists(path)) throw new Refusal("FILE", $"there is no file {path}");
            await using var s = File.OpenRead(path);
            var kept = await JobVerbs.Open(p, Data).Starters.TakeIn(s);
            Console.WriteLine($"{kept.Id}: {kept.Name}, {kept.Says}.");
            return 0;
        });
        return c;
    }
}
