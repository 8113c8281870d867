using System.CommandLine;
using Lumbeck.Desk.Jobs;
using Lumbeck.Press.Import;
using Lumbeck.Running;

namespace Lumbeck.Cli;

/// <summary>Finished files from other programs, made press-ready for a job, or for a book's facts alone.</summary>
internal static class MendVerbs
{
    private static readonly Option<string> Data = new("--data") { Description = "the data folder" };
    private static readonly Option<string?> Job = new("--job") { Description = "the job that it belongs to" };
    private static readonly Option<string?> House = new("--house")
    {
        Description = "another printer than the job's own; the book's, where there is no job",
    };
    private static readonly Option<string?> Bound = new("--binding") { Description = "without a job: how the book is bound" };
    private static readonly Option<string?> Trim = new("--trim") { Description = "without a job: its trim size" };
    private static readonly Option<string?> Pages = new("--pages") { Description = "without a job: its pages" };
    private static readonly Option<bool> Inside = new("--inside") { Description = "it is the inside, not the cover" };
    private static readonly Option<bool> Keep = new("--keep") { Description = "what came and what left are kept with the job" };
    private static readonly Option<LayWay> Way = new("--way") { Description = "how it is laid, in place of what its size says" };
    private static readonly Option<bool> Scale = new("--scale") { Description = "the same as --way scaled" };
    private static readonly Option<decimal> Percent = new("--percent")
    {
        Description = "a cover's size, of how it was laid",
        DefaultValueFactory = _ => 100,
    };
    private static readonly Option<string?> Right = new("--right") { Description = "a cover shifted to the right, such as 2mm" };
    private static readonly Option<string?> Down = new("--down") { Description = "a cover shifted down" };
    private static readonly Option<bool> Bleed = new("--grow-bleed")
    {
        Description = "an inside's missing bleed is grown, and a cover's art that ends far from the edge",
    };
    private static readonly Option<string?> Gutter = new("--gutter")
    {
        Description = "an inside's pages shifted away " +
        "from the spine"
    };
    private static readonly Option<bool> Thicken = new("--thicken") { Description = "thin lines are raised to what prints" };
    private static readonly Option<Wish> Inks = new("--inks")
    {
        Description = "inks made for another condition: " +
        "keep, or change"
    };
    private static readonly Option<Wish> White = new("--white")
    {
        Description = "white that overprints: keep, or " +
        "change to knock out"
    };
    private static readonly Option<bool> MayChange = new("--may-change") { Description = "you may change a file that is closed" };
    private static readonly Option<string?> Password = new("--password") { Description = "what opens the file" };
    private static readonly Option<string> To = new("--out")
    {
        Description = "the mended file, or the folder for those of a folder",
        Required = true,
    };
    private static readonly Option<bool> AsJson = new("--json") { Description = "as JSON" };

    public static Command Mend()
    {
        var file = new Argument<string>("FILE") { Description = "a PDF or a picture from another program, or a folder of them" };
        var c = new Command("mend", "Makes a finished file from another program press-ready.")
        {
            file, Job, House, Bound, Trim, Pages, Inside, Keep, Way, Scale, Percent, Right, Down, Bleed, Gutter,
                Thicken, Inks, White,
            MayChange, Password, To, AsJson, Data,
        };
        c.SetAction((p, cancel) =>
        {
            var from = Path.GetFullPath(p.GetValue(file)!);
            if (!Directory.Exists(from)) return Task.FromResult(One(p, from, Say.Target(p.GetValue(To)!), cancel));
            var to = Path.GetFullPath(p.GetValue(To)!);
            if (to == from) throw new Refusal("--out", "--out: the files themselves are left as they are: name another folder");
            Directory.CreateDirectory(to);
            var worst = 0;
            foreach (var each in Directory.GetFiles(from).Where(IsTaken).Order(StringComparer.Ordinal))
            {
                // One that can't be mended keeps no other from it.
                worst = Math.Max(worst, Attempt.Or(() => One(p, each, Path.Combine(to,
                    Path.GetFileNameWithoutExtension(each) + ".pdf"), cancel), r =>
                {
                    Console.Error.WriteLine($"{Path.GetFileName(each)}: {Say.Sentence(r.Message)}");
                    return 2;
                }));
            }
            return Task.FromResult(worst);
        });
        return c;
    }

    private static bool IsTaken(string file) =>
        Path.GetExtension(file).ToLowerInvariant() is ".pdf" or ".jpg" or ".jpeg" or ".png" or ".tif" or ".tiff" or ".webp" or ".svg";

    private static int One(ParseResult p, string from, string to, CancellationToken cancel)
    {
        if (!File.Exists(from)) throw new Refusal("FILE", $"there is no file {from}");
        if (to == from) throw new Refusal("--out", "--out: the file itself is left as it is: name another");
        if (p.GetValue(Job) is { } job)
        {
            var desk = JobVerbs.Open(p, Data);
            var on = desk.Jobs.Job(job);
            if (p.GetValue(House) is { } other) on = on with
            {
                Composed = desk.Pressing.ForHouse(on,
                desk.Houses.Get(other).House)
            };
            return Mended(p, desk, on, from, to, cancel);
        }
        // A book that has no job: one for as long as this takes.
        var folder = Aside.Folder();
        try
        {
            var house = WrapVerbs.HouseOf(p.GetValue(House) ?? throw new Refusal("--job",
                "--job names the job, or --house the printer"));
            var desk = new Desk.AppServices(folder.FullName, TimeProvider.System);
            var title = Path.GetFileNameWithoutExtension(from);
            var on = desk.Bench.Begin("book", Starters.Job(house, title, p.GetValue(Trim), p.GetValue(Pages), p.GetValue(Bound)), "mend");
            return Mended(p, desk, on, from, to, cancel);
        }
        finally { folder.Delete(recursive: true); }
    }

    private static int Mended(ParseResult p, Desk.AppServices desk, OnBench on, string from, string to,
        CancellationToken cancel)
    {
        var came = new CameFile(from, Path.GetFileName(from), p.GetValue(Inside), Choices(p, desk, on))
        {
            Password = p.GetValue(Password) ?? "",
        };
        MendedFile mended;
        if (p.GetValue(Keep))
        {
            var row = desk.Pressing.KeepMended(on, came, cancel: cancel);
            mended = desk.Pressing.Mended(on).First(m => m.Row.Id == row.Id).Said;
            File.Copy(desk.Pressing.Files.PathOf(row.File), to, overwrite: true);
        }
        else
        {
            // What is half made never bears the name.
            var aside = to + ".part";
            try
            {
                mended = desk.Pressing.Mend(on, from, aside, MendDesk.Wants(on, came.Inside, came.Choices,
                    came.Password), cancel: cancel);
                File.Move(aside, to, overwrite: true);
            }
            finally { File.Delete(aside); }
        }
        if (p.GetValue(AsJson))
            Say.Json(new
            {
                file = to,
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
            Console.WriteLine($"{to}: {Many.Of(mended.Report.Printed, "page")}, {mended.Verdict.House}: " +
                $"{mended.Verdict.Say()}.");
        }
        return mended.IsWhole ? 0 : 1;
    }

    /// <summary>What is decided here; what is left open is as it was decided for the version before.</summary>
    private static MendChoices Choices(ParseResult p, Desk.AppServices desk, OnBench on)
    {
        var before = desk.Pressing.Decided(on, p.GetValue(Inside));
        bool said(Option o) => p.GetResult(o) is { Implicit: false };
        Length length(Option<string?> o, Length usual) => p.GetValue(o) is not { } typed ? usual
            : LengthText.TryParse(typed, on.Job.Ticket.Unit, out var l, out var why) ? l : throw new Refusal(o.Name,
                $"{o.Name}: {why}");
        return new MendChoices
        {
            Way = p.GetValue(Scale) ? LayWay.Scaled : said(Way) ? p.GetValue(Way) : before.Way,
            Percent = said(Percent) ? p.GetValue(Percent) : before.Percent,
            Right = length(Right, before.Right),
            Down = length(Down, before.Down),
            Bleed = said(Bleed) ? p.GetValue(Bleed) : before.Bleed,
            Gutter = length(Gutter, before.Gutter),
            Thicken = said(Thicken) ? p.GetValue(Thicken) : before.Thicken,
            Inks = said(Inks) ? p.GetValue(Inks) : before.Inks,
            White = said(White) ? p.GetValue(White) : before.White,
            MayChange = said(MayChange) ? p.GetValue(MayChange) : before.MayChange,
        }.Sound();
    }
}
