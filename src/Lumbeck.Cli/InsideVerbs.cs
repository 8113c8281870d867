using System.CommandLine;
using Lumbeck.Desk;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;
using Lumbeck.Running;

namespace Lumbeck.Cli;

/// <summary><c>lumbeck inside</c>: a job's pages, or those of a runs file, in figures; and the latter's file.</summary>
internal static class InsideVerbs
{
    private static readonly Argument<string?> Job = new("JOB")
    {
        Description = "a job's short name or id",
        Arity = ArgumentArity.ZeroOrOne
    };
    private static readonly Option<bool> AsJson = new("--json") { Description = "as JSON" };
    private static readonly Option<string> Data = new("--data") { Description = "the data folder" };
    private static readonly Option<string> Runs = new("--runs") { Description = "a runs file in place of a job" };
    private static readonly Option<string> HouseOption =
        new("--house") { Description = "a shipped printer's name, or a house file" };
    private static readonly Option<string> BindingOption = new("--binding")
    {
        Description = "how the book is bound",
        DefaultValueFactory = _ => "paperback"
    };
    private static readonly Option<string> Trim = new("--trim") { Description = "trim size, such as 148x210mm" };
    private static readonly Option<string> Direction = new("--direction")
    {
        Description = "ltr or rtl",
        DefaultValueFactory = _ => "ltr"
    };
    private static readonly Option<string> Leaf = new("--leaf") { Description = "thickness of a leaf, such as 0.1mm" };
    private static readonly Option<string> Stock = new("--stock") { Description = "one of the printer's papers" };
    private static readonly Option<bool> Colour =
        new("--colour") { Description = "printed in colour instead of black alone" };
    private static readonly Option<string> Kind =
        new("--kind") { Description = "x1a, x4, pdf, spreads, booklet or pages" };
    private static readonly Option<string> Out = new("--out") { Description = "the file to write" };
    private static readonly Option<bool> Anyway = new("--anyway") { Description = "writes it although Check stops it" };

    public static Command Inside()
    {
        var c = new Command("inside", "Says how an inside's pages come about, from a job or a runs file.")
        {
            Job, AsJson, Data, Runs, HouseOption, BindingOption, Trim, Direction, Leaf, Stock, Colour, Kind, Out, Anyway,
        };
        c.SetAction(p =>
        {
            if (p.GetValue(Runs) is { } runs) return OfFile(p, runs);
            if (p.GetValue(Job) is not { } job)
                throw new Refusal("JOB", "name a job, or give --runs with --house and --trim");
            var desk = JobVerbs.Open(p, Data);
            Told(p, desk, desk.Jobs.Job(job));
            return 0;
        });
        return c;
    }

    private static int OfFile(ParseResult p, string runs)
    {
        var path = Path.GetFullPath(runs);
        if (!File.Exists(path)) throw new Refusal("--runs", $"--runs: there is no file {path}");
        if (new FileInfo(path).Length > RunsFile.MostBytes)
            throw new Refusal("--runs", $"--runs: over {RunsFile.MostBytes / 1_000_000} MB is no runs file");
        var house = WrapVerbs.HouseOf(p.GetValue(HouseOption)
            ?? throw new Refusal("--house", "--house: name the printer that prints it"));
        if (p.GetValue(Trim) is not { } size || !LengthText.TryParseSize(size, house.Unit, out var trim, out _))
            throw new Refusal("--trim", "--trim: the trim size, such as 148x210mm");
        var binding = BindingKinds.Words.FirstOrDefault(w => w.Word == p.GetValue(BindingOption));
        if (binding.Word is null)
            throw new Refusal("--binding",
                $"--binding: take {string.Join(", ", BindingKinds.Words.Select(w => w.Word))}");
        var reading = p.GetValue(Direction) switch
        {
            "ltr" => Reading.LeftToRight,
            "rtl" => Reading.RightToLeft,
            var d => throw new Refusal("--direction",
                $"--direction: `{LengthText.Clip(d!)}` is no reading direction: take ltr or rtl"),
        };
        // Pages of a file need no bench: what they need lies in a folder that goes with the program.
        var folder = Aside.Folder().FullName;
        try
        {
            var desk = new Desk.AppServices(folder, TimeProvider.System);
            var inside = RunsFile.Read(File.ReadAllText(path), name =>
            {
                var table = Path.Combine(Path.GetDirectoryName(path)!, Path.GetFileName(name));
                if (!File.Exists(table))
                    throw new Refusal("rows", $"there is no table {Path.GetFileName(name)} beside the runs file");
                using var file = File.OpenRead(table);
                return desk.Drawer.Tables.TakeIn(file, name);
            });
            var began = Starters.Job(house, Path.GetFileNameWithoutExtension(path));
            var job = began with
            {
                Ticket = began.Ticket with
                {
                    Binding = binding.Value,
                    Reading = reading,
                    Trim = trim,
                    Paper = Paper(p, house, began.Ticket.Paper),
                    InsideColour = p.GetValue(Colour) ? InsideColour.Colour : InsideColour.Black,
                },
                Inside = inside,
            };
            var on = desk.Bench.Begin(job.Ticket.Title, job, "command line", then: _ => new BeginInside(inside.Runs,
                "runs"));
            Told(p, desk, on);
            if (p.GetValue(Kind) is not { } kind) return 0;
            var target = Say.Target(p.GetValue(Out) ?? throw new Refusal("--out", "--out: name the file to write"));
            var plan = new PressPlan(PressKind.Of(kind)) { Inside = true }.Possible();
            if (IsStopped(desk, on, plan) && !p.GetValue(Anyway))
            {
                Console.Error.WriteLine($"{target} is not written: mend what stops it, or say --anyway.");
                return 1;
            }
            Say.Written(target, s => desk.Pressing.WritePress(on, plan, s));
            if (!p.GetValue(AsJson))
                Console.WriteLine($"{target}: {plan.Say()}, {new FileInfo(target).Length / 1000} kB.");
            return 0;
        }
        finally
        {
            Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
            Directory.Delete(folder, recursive: true);
        }
    }

    /// <summary>Says what Check finds of a file's pages, and whether any of it stops the press.</summary>
    private static bool IsStopped(Desk.AppServices desk, OnBench on, PressPlan plan)
    {
        var house = on.Job.Ticket.House;
        // There is no cover to a file of runs: of the sheet's rules those of the ticket alone.
        var ticket = on.Composed.Drawn.Where(f => f.Id is "ticket.pages" or "ticket.trim");
        List<Finding> found = [.. ticket, .. desk.Checks.OfPages(on.Composed)];
        if (plan.Kind.IsForPrinter && !house.ForPages().Kinds.Contains(plan.Kind))
            found.Insert(0, new()
            {
                Id = "press.kind",
                Severity = Severity.Stop,
                Whose = house.Name,
                Panel = Part.Page,
                Measured = plan.Kind.Title,
                Limit = string.Join(" or ", house.ForPages().Kinds.Select(k => k.Title)),
                Why = $"{house.Name} takes no pages as {plan.Kind.Title}.",
                Mend = "Take a kind that it takes.",
            });
        foreach (var f in found) Console.Error.WriteLine(Say.Finding(f));
        return found.Any(f => f is { Severity: Severity.Stop or Severity.Todo, Waived: null });
    }

    private static Paper Paper(ParseResult p, House house, Paper first)
    {
        if (p.GetValue(Leaf) is { } leaf)
            return LengthText.TryParse(leaf, Unit.Millimetre, out var thick, out var why)
                ? new("", Caliper.FromLength(thick))
                : throw new Refusal("--leaf", $"--leaf: {why}");
        if (p.GetValue(Stock) is not { } stock) return first;
        return house.Papers.FirstOrDefault(x => x.Name.Equals(stock, StringComparison.OrdinalIgnoreCase))
            ?? throw new Refusal("--stock",
                $"--stock: {house.Name} has {string.Join(", ", house.Papers.Select(x => x.Name))}");
    }

    private static void Told(ParseResult p, Desk.AppServices desk, OnBench on)
    {
        var plan = on.Composed.Pages ?? throw new Refusal("JOB", "this job has no pages that are made here");
        if (p.GetValue(AsJson)) { Say.Json(InsideJson.Of(plan, desk.Drawer.PageArtOf(on.Job))); return; }
        var unit = on.Job.Ticket.Unit;
        Console.WriteLine($"{plan.Counted.Asked} pages, printed as {plan.Printed}; gutter " +
            $"{plan.Grid(0).Gutter.Show(unit)}");
        foreach (var counted in plan.Counted.Runs)
        {
            var run = plan.Inside.Runs[counted.Run];
            var pages = counted.Pages == 0
                ? "none"
                : counted.Pages == 1
                ? $"{counted.First}"
                : $"{counted.First}–{counted.Last}";
            Console.WriteLine($"{pages,-10} {run.Says}: {InsideJson.Sum(plan, counted, unit)}");
        }
    }
}
