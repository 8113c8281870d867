using System.CommandLine;
using Lumbeck.Desk;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;

namespace Lumbeck.Cli;

/// <summary>
/// The verbs that work on the store: <c>jobs</c>, <c>check</c>, <c>press</c>, <c>intake</c> and packing.
/// </summary>
internal static class JobVerbs
{
    private static readonly Option<string> Data = new("--data") { Description = "the data folder" };
    private static readonly Option<bool> AsJson = new("--json") { Description = "as JSON" };
    private static readonly Option<string> HouseOption =
        new("--house") { Description = "another printer than the job's own" };
    private static readonly Argument<string> JobArgument = new("JOB") { Description = "a job's short name or id" };

    public static Command Jobs()
    {
        var c = new Command("jobs", "Lists the jobs on the bench.") { AsJson, Data };
        c.SetAction(p =>
        {
            var places = Open(p).Bench.Places();
            foreach (var spoilt in places.Where(x => x.Job is null))
                Console.Error.WriteLine($"{spoilt.Slug} can’t be shown: {spoilt.Problem}");
            List<(BenchPlace At, JobSummary Job)> jobs = [.. places.Where(x => x.Job is not null)
                .Select(x => (x, x.Job!))];
            if (p.GetValue(AsJson))
                Say.Json(jobs.Select(j =>
                    new
                    {
                        id = j.At.Id,
                        slug = j.At.Slug,
                        title = j.Job.Title,
                        house = j.Job.House,
                        pages = j.Job.Pages,
                        pages_raised = j.Job.Raised,
                        revision = j.At.Revision,
                        stops = j.Job.Stops,
                        cautions = j.Job.Cautions,
                        notes = j.Job.Notes,
                    }));
            else if (jobs.Count == 0) Console.WriteLine("The bench is empty.");
            else
                foreach (var (at, job) in jobs)
                {
                    var raised = job.Raised == job.Pages ? "" : $", raised to {job.Raised}";
                    Console.WriteLine($"{at.Slug,-16} {job.Title}, {job.Pages} pages{raised}, {job.House}: " +
                        $"{job.Ready}");
                }
            return 0;
        });
        return c;
    }

    public static Command Check()
    {
        var orderOption = new Option<string>("--order")
        {
            Description = "writes the order to look instead, for `lumbeck work`",
        };
        var c = new Command("check", "Says what would stop the press.")
        {
            JobArgument,
            AsJson,
            HouseOption,
            orderOption,
            Data,
        };
        c.SetAction(p =>
        {
            var desk = Open(p);
            var on = ForHouse(desk, desk.Jobs.Job(p.GetValue(JobArgument)!), p.GetValue(HouseOption));
            if (p.GetValue(orderOption) is { } file)
                return OrderVerbs.Write(desk, Order.Of(Order.Check, on, Order.Exact, "", p.GetValue(HouseOption)), file);
            var findings = desk.Checks.Whole(on.Composed);
            var ready = Readiness.Of(findings);
            if (p.GetValue(AsJson))
                Say.Json(new
                {
                    ready.Stops,
                    ready.Cautions,
                    ready.Todos,
                    ready.Notes,
                    findings = findings.Select(f =>
                        new
                        {
                            f.Id,
                            severity = f.Severity.Word(),
                            f.Item,
                            panel = f.Panel?.Word(),
                            f.Measured,
                            f.Limit,
                            place_mm = f.Place is { } b ? Say.Mm(b) : null,
                            f.Why,
                            f.Mend,
                            waived = f.Waived,
                            sheet = f.Page > 0 ? null : on.Composed.Sheets[f.Sheet].On.Name,
                            page = f.Page > 0 ? f.Page : (int?)null,
                        }),
                });
            else
            {
                foreach (var f in findings)
                    Console.WriteLine(Say.Finding(f));
                Console.WriteLine($"{on.Job.Ticket.Title}: {ready.Say()}.");
            }
            return ready.Stops + ready.Todos > 0 ? 1 : 0;
        });
        return c;
    }

    public static Command Press()
    {
        var kindOption = new Option<string>("--kind")
        {
            Description = string.Join(", ", PressKind.All.Select(k => k.Word)),
        };
        var outOption = new Option<string>("--out") { Description = "the file to write", Required = true };
        var outlinesOption = new Option<bool>("--outlines") { Description = "type as shapes, which can't be searched" };
        var marksOption = new Option<bool>("--marks") { Description = "printer's marks, whatever the house file asks" };
        var rgbOption = new Option<bool>("--rgb") { Description = "a plain PDF in sRGB" };
        var zonesOption = new Option<bool>("--zones") { Description = "a proof with the sheet's zones" };
        var letterOption = new Option<bool>("--letter") { Description = "a mock-up on Letter instead of A4" };
        var panelOption = new Option<string>("--panel") { Description = "one panel instead of the sheet, or all, each a page" };
        var pixelsOption = new Option<int>("--pixels")
        {
            Description = "the longer side of the front for screens; PNG where --out ends so",
            DefaultValueFactory = _ => 2560,
        };
        var insideOption = new Option<bool>("--inside") { Description = "the pages, not the cover" };
        var pagesOption = new Option<string>("--pages") { Description = "of pages as pictures: which, such as 2-5" };
        var orderOption = new Option<bool>("--order")
        {
            Description = "writes the order of it instead, for `lumbeck work`",
        };
        var c = new Command("press", "Makes a file: for the printer, for screens, for a client, or to fold at home.")
        {
            JobArgument,
            kindOption,
            outOption,
            HouseOption,
            outlinesOption,
            marksOption,
            rgbOption,
            zonesOption,
            letterOption,
            panelOption,
            pixelsOption,
            insideOption,
            pagesOption,
            orderOption,
            Data,
        };
        c.SetAction(p =>
        {
            // “inside” is short for the house's first kind of pages; so is --inside without a kind.
            var word = p.GetValue(kindOption);
            var inside = p.GetValue(insideOption) || word == "inside";
            if (word is null && !inside)
                throw new Refusal("--kind",
                    $"--kind: take {string.Join(", ", PressKind.All.Select(k => k.Word))}, or inside");
            var kind = word is null or "inside" ? null : PressKind.Of(word);
            var panel = Part.Sheet;
            var each = p.GetValue(panelOption) == PressPlan.AllPanels;
            if (!each && p.GetValue(panelOption) is { } named && !Parts.TryParse(named, out panel))
                throw new Refusal("--panel", $"--panel: a cover has no `{LengthText.Clip(named)}`");
            var file = Say.Target(p.GetValue(outOption)!);
            var desk = Open(p);
            var on = ForHouse(desk, desk.Jobs.Job(p.GetValue(JobArgument)!), p.GetValue(HouseOption));
            var plan = new PressPlan(kind ?? on.Job.Ticket.House.Inside.Kinds[0])
            {
                Inside = inside || kind is { OfInside: true },
                Pages = Range(p.GetValue(pagesOption)),
                Outlines = p.GetValue(outlinesOption),
                Marks = p.GetValue(marksOption) ? true : null,
                Rgb = p.GetValue(rgbOption),
                Zones = p.GetValue(zonesOption),
                Letter = p.GetValue(letterOption),
                Panel = panel,
                EachPanel = each,
                Pixels = p.GetValue(pixelsOption),
                Png = file.EndsWith(".png", StringComparison.OrdinalIgnoreCase),
            }.Possible();
            if (p.GetValue(orderOption))
                return OrderVerbs.Write(desk,
                    desk.Pressing.Ordered(desk.Jobs.Job(on.Slug), plan, p.GetValue(HouseOption)).Order, file);
            // A file to look at can be made for any house; whether it takes the kind is said, not forbidden.
            Say.Written(file, s => desk.Pressing.WritePress(on, plan, s));
            var unit = on.Job.Ticket.Unit;
            IEnumerable<string> sizes = plan.Inside
                ? [$"{on.Composed.Pages!.Printed} pages of {on.Job.Ticket.Trim.Show(unit)}"]
                : on.Composed.Sheets.Where(s => panel == Part.Sheet || s.Sheet.Panel(panel) is not null)
                .Select(s => (s.Sheet.Panel(panel)?.Face.Size ?? s.Sheet.Size).Show(unit));
            Console.WriteLine($"{file}: {plan.Say()}, {string.Join(" and ", sizes)}, " +
                $"{new FileInfo(file).Length / 1000} kB.");
            if (!plan.Kind.IsForPrinter) return 0;
            var house = plan.Inside ? on.Job.Ticket.House.ForPages() : on.Job.Ticket.House;
            if (!house.Kinds.Contains(plan.Kind))
                Console.Error.WriteLine($"{house.Name} takes " +
                    $"{string.Join(" or ", house.Kinds.Select(k => k.Title))}, not {plan.Kind.Title}.");
            var ready = Readiness.Of(plan.Inside ? desk.Checks.OfPages(on.Composed) : desk.Checks.Exactly(on.Composed));
            if (ready.Stops + ready.Todos > 0) Console.Error.WriteLine($"Check says: {ready.Say()}. See `lumbeck check {on.Slug}`.");
            return 0;
        });
        return c;
    }

    /// <summary>“2-5”, or one page alone.</summary>
    private static (int, int) Range(string? typed)
    {
        if (typed is null) return (1, 1);
        var ends = typed.Split('-', '–');
        return ends.Length is 1 or 2 && int.TryParse(ends[0], out var first) && int.TryParse(ends[^1], out var last)
            ? (first, last)
            : throw new Refusal("--pages", $"--pages: `{LengthText.Clip(typed)}` is no page, and no range such as 2-5");
    }

    public static Command Intake()
    {
        var insideOption = new Option<bool>("--inside") { Description = "it is the inside, not the cover" };
        var fileArgument = new Argument<string>("FILE") { Description = "a finished PDF, made here or elsewhere" };
        var jobOption = new Option<string>("--job") { Description = "the job it is for", Required = true };
        var c = new Command("intake",
            "Takes a finished file to the printer's reception.") { fileArgument, jobOption, insideOption, HouseOption,
                AsJson, Data };
        c.SetAction(p =>
        {
            var file = Path.GetFullPath(p.GetValue(fileArgument)!);
            if (!File.Exists(file)) throw new Refusal("FILE", $"there is no file {file}");
            var desk = Open(p);
            var on = ForHouse(desk, desk.Jobs.Job(p.GetValue(jobOption)!), p.GetValue(HouseOption));
            var verdict = desk.Pressing.Judge(on, file, inside: p.GetValue(insideOption));
            if (p.GetValue(AsJson))
                Say.Json(new
                {
                    verdict.Accepted,
                    verdict.House,
                    findings = verdict.Findings.Select(f =>
                        new { f.Id, severity = f.Severity.Word(), f.Measured, f.Limit, f.Why }),
                    not_examined = verdict.NotExamined
                });
            else
            {
                foreach (var f in verdict.Findings)
                    Console.WriteLine($"{f.Severity.Word(),-8} {f.Id,-18} {f.Measured}; wanted: {f.Limit}. {f.Why}");
                foreach (var not in verdict.NotExamined) Console.WriteLine($"not examined: {not}");
                Console.WriteLine($"{verdict.House}: {(verdict.Accepted ? "accepted" : "rejected")}.");
            }
            return verdict.Accepted ? 0 : 1;
        });
        return c;
    }

    private static OnBench ForHouse(Desk.AppServices desk, OnBench on, string? house) =>
        house is null ? on : on with { Composed = desk.Pressing.ForHouse(on, desk.Houses.Get(house).House) };

    public static Command Pack()
    {
        var outOption = new Option<string>("--out") { Description = "the ZIP file to write", Required = true };
        var c = new Command("pack", "Packs a job with all it needs into a ZIP file.") { JobArgument, outOption, Data };
        c.SetAction(p =>
        {
            var file = Say.Target(p.GetValue(outOption)!);
            var desk = Open(p);
            var on = desk.Jobs.Job(p.GetValue(JobArgument)!);
            Say.Written(file, s => desk.Bench.WritePack(on, s));
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
            var on = await Open(p).Bench.Unpack(s, "command-line");
            Console.WriteLine($"{on.Slug}: {on.Job.Ticket.Title}, {on.Composed.SaysReady}.");
            return 0;
        });
        return c;
    }

    private static Desk.AppServices Open(ParseResult p) => Open(p, Data);

    internal static Desk.AppServices Open(ParseResult p, Option<string> data)
    {
        var folder = p.GetValue(data) ?? Environment.GetEnvironmentVariable("LUMBECK_DATA") ?? "data";
        return new(folder, TimeProvider.System, DemoBench.Load, told: Console.Error.WriteLine);
    }
}
