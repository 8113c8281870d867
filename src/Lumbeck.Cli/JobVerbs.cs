using System.CommandLine;
using Lumbeck.Core;
using Lumbeck.Core.Checks;
using Lumbeck.Core.Geometry;
using Lumbeck.Core.Houses;
using Lumbeck.Desk;

namespace Lumbeck.Cli;

/// <summary>The verbs that work on the store: <c>jobs</c>, <c>check</c> and <c>press</c>.</summary>
internal static class JobVerbs
{
    private static readonly Option<string> Data = new("--data") { Description = "the data folder" };
    private static readonly Option<bool> AsJson = new("--json") { Description = "as JSON" };
    private static readonly Argument<string> JobArgument = new("JOB") { Description = "a job's short name or id" };

    public static Command Jobs()
    {
        var c = new Command("jobs", "Lists the jobs on the bench.") { AsJson, Data };
        c.SetAction(p =>
        {
            var jobs = Open(p).Jobs();
            if (p.GetValue(AsJson))
                Say.Json(jobs.Select(j => new { id = j.JobId, slug = j.Slug, title = j.Job.Ticket.Title, house = j.Job.Ticket.House.Name, pages = j.Job.Ticket.Pages, revision = j.Revision, stops = j.Composed.Readiness.Stops, cautions = j.Composed.Readiness.Cautions, notes = j.Composed.Readiness.Notes }));
            else if (jobs.Count == 0) Console.WriteLine("The bench is empty.");
            else
                foreach (var j in jobs) Console.WriteLine($"{j.Slug,-16} {j.Job.Ticket.Title}, {j.Job.Ticket.Pages} pages, {j.Job.Ticket.House.Name}: {j.Composed.Readiness.Say()}");
            return 0;
        });
        return c;
    }

    public static Command Check()
    {
        var c = new Command("check", "Says what would stop the press.") { JobArgument, AsJson, Data };
        c.SetAction(p =>
        {
            var on = Open(p).Job(p.GetValue(JobArgument)!);
            var ready = on.Composed.Readiness;
            if (p.GetValue(AsJson))
                Say.Json(new
                {
                    ready.Stops,
                    ready.Cautions,
                    ready.Notes,
                    findings = on.Composed.Findings.Select(f => new { f.Id, severity = f.Severity.Word(), f.Item, panel = f.Panel?.Word(), f.Measured, f.Limit, place_mm = f.Place is { } b ? Say.Mm(b) : null, f.Why, f.Mend, sheet = on.Composed.Sheets[f.Sheet].On.Name }),
                });
            else
            {
                foreach (var f in on.Composed.Findings) Console.WriteLine($"{f.Severity.Word(),-8} {f.Id,-17} {f.Measured}; wanted: {f.Limit}. {f.Why}");
                Console.WriteLine($"{on.Job.Ticket.Title}: {ready.Say()}.");
            }
            return ready.Stops > 0 ? 1 : 0;
        });
        return c;
    }

    public static Command Press()
    {
        var kindOption = new Option<string>("--kind") { Description = "x4", Required = true };
        var outOption = new Option<string>("--out") { Description = "the file to write", Required = true };
        var outlinesOption = new Option<bool>("--outlines") { Description = "type as shapes, which can't be searched" };
        var c = new Command("press", "Makes the file for the printer.") { JobArgument, kindOption, outOption, outlinesOption, Data };
        c.SetAction(p =>
        {
            var kind = p.GetValue(kindOption);
            if (kind != PressKind.X4.Word()) throw new Refusal("--kind", $"--kind: `{Core.Measures.LengthText.Clip(kind!)}` can’t be made: take x4");
            var file = Say.Target(p.GetValue(outOption)!);
            var desk = Open(p);
            var on = desk.Job(p.GetValue(JobArgument)!);
            Say.Written(file, s => desk.WriteX4(on, s, outlines: p.GetValue(outlinesOption)));
            Console.WriteLine($"{file}: {PressKind.X4.Title()}, {string.Join(" and ", on.Composed.Sheets.Select(s => s.Sheet.Size.Show(on.Job.Ticket.Unit)))}, {new FileInfo(file).Length / 1000} kB.");
            if (on.Composed.Readiness.Stops > 0) Console.Error.WriteLine($"Check says: {on.Composed.Readiness.Say()}. See `lumbeck check {on.Slug}`.");
            return 0;
        });
        return c;
    }

    public static Command Pack()
    {
        var outOption = new Option<string>("--out") { Description = "the ZIP file to write", Required = true };
        var c = new Command("pack", "Packs a job with all it needs into a ZIP file.") { JobArgument, outOption, Data };
        c.SetAction(p =>
        {
            var file = Say.Target(p.GetValue(outOption)!);
            var desk = Open(p);
            var on = desk.Job(p.GetValue(JobArgument)!);
            Say.Written(file, s => desk.WritePack(on, s));
            Console.WriteLine($"{file}: {on.Job.Ticket.Title}, {new FileInfo(file).Length / 1000} kB.");
            return 0;
        });
        return c;
    }

    public static Command Unpack()
    {
        var fileArgument = new Argument<string>("FILE") { Description = "a packed job" };
        var c = new Command("unpack", "Begins a job from a packed one.") { fileArgument, Data };
        c.SetAction(async (p, _) =>
        {
            var file = Path.GetFullPath(p.GetValue(fileArgument)!);
            if (!File.Exists(file)) throw new Refusal("FILE", $"there is no file {file}");
            await using var s = File.OpenRead(file);
            var on = await Open(p).Unpack(s, "command-line");
            Console.WriteLine($"{on.Slug}: {on.Job.Ticket.Title}, {on.Composed.Readiness.Say()}.");
            return 0;
        });
        return c;
    }

    private static Desk.Desk Open(ParseResult p)
    {
        var folder = p.GetValue(Data) ?? Environment.GetEnvironmentVariable("LUMBECK_DATA") ?? "data";
        return new(folder, TimeProvider.System);
    }
}
