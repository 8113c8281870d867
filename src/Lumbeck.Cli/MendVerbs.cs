using System.CommandLine;
using Lumbeck.Press.Elsewhere;

namespace Lumbeck.Cli;

/// <summary>A finished file from another program, made press-ready for a job.</summary>
internal static class MendVerbs
{
    private static readonly Option<string> Data = new("--data") { Description = "the data folder" };

    public static Command Mend()
    {
        var file = new Argument<string>("FILE") { Description = "a PDF from another program" };
        var job = new Option<string>("--job") { Description = "the job that it belongs to", Required = true };
        var house = new Option<string?>("--house") { Description = "another house than the job's own" };
        var inside = new Option<bool>("--inside") { Description = "it is the inside, not the cover" };
        var scale = new Option<bool>("--scale") { Description = "pages of another size are scaled to the book's" };
        var to = new Option<string>("--out") { Description = "the mended file", Required = true };
        var json = new Option<bool>("--json") { Description = "as JSON" };
        var c = new Command("mend", "Makes a finished file from another program press-ready.")
        {
            file, job, house, inside, scale, to, json, Data,
        };
        c.SetAction((p, cancel) =>
        {
            var from = Path.GetFullPath(p.GetValue(file)!);
            if (!File.Exists(from)) throw new Refusal("FILE", $"there is no file {from}");
            var target = Say.Target(p.GetValue(to)!);
            if (target == from) throw new Refusal("--out", "--out: the file itself is left as it is: name another");
            var desk = JobVerbs.Open(p, Data);
            var on = desk.Jobs.Job(p.GetValue(job)!);
            if (p.GetValue(house) is { } other) on = on with
            {
                Composed = desk.Pressing.ForHouse(on,
                desk.Houses.Get(other).House)
            };
            var mended = desk.Pressing.Mend(on, from, target, MendDesk.Wants(on, p.GetValue(inside),
                new() { Way = p.GetValue(scale) ? LayWay.Scaled : LayWay.Proposed }), cancel: cancel);
            if (p.GetValue(json))
                Say.Json(new
                {
                    file = target,
                    pages = mended.Report.Pages,
                    printed = mended.Report.Printed,
                    accepted = mended.Verdict.Accepted,
                    house = mended.Verdict.House,
                    lines = mended.Report.Lines.Select(l => new
                    {
                        l.Id,
                        state = l.State.ToString().ToLowerInvariant(),
                        l.Page,
                        l.Says
                    }),
                    findings = mended.Verdict.Findings.Select(f => new { f.Id, f.Measured, f.Limit, f.Why }),
                });
            else
            {
                foreach (var line in mended.Report.Lines)
                    Console.WriteLine($"{line.State.ToString().ToLowerInvariant(),-6} " +
                        $"{(line.Page is { } n ? $"page {n}: " : "")}{line.Says}");
                Console.WriteLine($"{target}: {Many.Of(mended.Report.Printed, "page")}, {mended.Verdict.House}: " +
                    $"{mended.Verdict.Say()}.");
            }
            return Task.FromResult(mended.IsWhole ? 0 : 1);
        });
        return c;
    }
}
