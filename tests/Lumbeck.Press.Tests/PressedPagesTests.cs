using System.IO.Compression;
using System.Text.RegularExpressions;
using Lumbeck.Desk;
using Lumbeck.Intake.Judging;
using Lumbeck.Press.Colour;
using Lumbeck.Pdf.Content;
using Lumbeck.Pdf.Objects;
using Lumbeck.Pdf.Reading;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;
using Lumbeck.Tests.ByChance;

namespace Lumbeck.Press.Tests;

/// <summary>A desk with the demo, whose beekeepers’ log has pages.</summary>
public sealed class PagesDesk : IDisposable
{
    public PagesDesk() => Desk = new(DemoData.In(Folder["data"]), TimeProvider.System, DemoBench.Load);

    public Folder Folder { get; } = new();
    public Desk.AppServices Desk { get; }

    public string Write(OnBench on, PressPlan plan)
    {
        var file = Folder[$"{Guid.NewGuid():n}{plan.Ending}"];
        using var s = File.Create(file);
        Desk.Pressing.WritePress(on, plan.Possible(), s);
        return file;
    }

    /// <summary>A job of these runs.</summary>
    public OnBench Begin(Inside inside, Func<Ticket, Ticket>? ticket = null, string house = "plover")
    {
        var began = Starters.Job(HouseFile.Shipped[house], "Pages");
        var sized = began.Ticket with { Trim = Size.FromMillimetres(148, 210), InsideColour = InsideColour.Black };
        var job = new BeginInside(inside.Runs, "runs")
            .Apply(began with { Ticket = ticket is null ? sized : ticket(sized), Inside = inside });
        return Desk.Bench.Begin("Pages", job, "test");
    }

    public void Dispose()
    {
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        Folder.Dispose();
    }
}

/// <summary>
/// Files of insides, judged by other people’s tools, and reception’s verdict on them and on spoiled ones.
/// </summary>
public sealed partial class PressedPagesTests(PagesDesk pages) : IClassFixture<PagesDesk>
{
    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);

    private static PageRun Run(string design, int count, Func<PageDesign, PageDesign>? change = null) => new()
    {
        Id = design,
        Designs = [change is null ? DesignShelf.Of(design) : change(DesignShelf.Of(design))],
        Count = count,
    };

    [GeneratedRegex(@"^ *([\d.]+) +([\d.]+) +([\d.]+) +([\d.]+) CMYK", RegexOptions.Multiline)]
    private static partial Regex Coverage();

    /// <summary>What ghostscript finds on each page’s four plates.</summary>
    private static List<double[]> Inks(string file) =>
        [.. Coverage().Matches(Tool.Run("gs", "-q", "-o", "-", "-sDEVICE=inkcov", file))
            .Select(m =>
                m.Groups.Values.Skip(1).Select(g => double.Parse(g.Value, CultureInfo.InvariantCulture)).ToArray())];

    [Fact]
    public void The_beekeepers_log_is_what_its_blurb_promises_on_one_plate()
    {
        var on = pages.Desk.Jobs.Job("hive");
        on.Job.Items.OfType<TextItem>().Single(t => t.Id == "blurb").Words.ShouldContain("Fifty-six openings");
        (on.Job.Ticket.Pages, on.Composed.Pages!.Printed, on.Composed.Geometry.Spine.Pages).ShouldBe((118, 120, 120));
        pages.Desk.Checks.OfPages(on.Composed).ShouldBeEmpty();
        var file = pages.Write(on, new(PressKind.X1a) { Inside = true, Marks = false });
        Tool.Run("qpdf", "--check", file).ShouldContain("No syntax or stream encoding errors");
        var info = Tool.Run("pdfinfo", "-box", "-f", "1", "-l", "2", file);
        info.ShouldContain("Pages:           120");
        info.ShouldMatch(@"Page +1 TrimBox: +0\.00 +0\.00 +419\.53 +595\.28");
        var inks = Inks(file);
        inks.Count.ShouldBe(120);
        inks.ShouldAllBe(i => i[0] == 0 && i[1] == 0 && i[2] == 0);
        inks.Take(118).ShouldAllBe(i => i[3] > 0);
        inks.Skip(118).ShouldAllBe(i => i[3] == 0);
        Tool.Run("pdftotext", "-f", "24", "-l", "25", file, "-").ShouldContain("Opening 12");
        Tool.Run("pdftotext", "-f", "113", "-l", "118", file, "-").ShouldContain("Honey taken");
        // As the house has it, with its marks: reception takes it.
        pages.Desk.Pressing.Judge(on, pages.Write(on, new(PressKind.X1a) { Inside = true }), inside: true).Say()
            .ShouldBe("accepted");
    }

    [Fact]
    public void What_repeats_is_in_the_file_once()
    {
        var on = pages.Begin(new() { Runs = [Run("ruled", 300)] });
        var file = pages.Write(on, new(PressKind.X1a) { Inside = true });
        new FileInfo(file).Length.ShouldBeLessThan(200_000);
        Regex.Count(Tool.Run("qpdf", "--qdf", "--object-streams=disable", file, "-"), "/Subtype /Form").ShouldBe(2);
        // Without folios and marks all odd pages are one content, and all even ones.
        var plain = pages.Begin(new() { Runs = [Run("ruled", 300)], Folio = new(FolioPlace.None) });
        var bare = pages.Write(plain, new(PressKind.X1a) { Inside = true, Marks = false });
        Regex.Matches(Tool.Run("qpdf", "--qdf", "--object-streams=disable", bare, "-"), @"/Contents (\d+) 0 R")
            .Select(m => m.Value).Distinct().Count().ShouldBe(2);
        // The very same bytes again, at another time.
        File.ReadAllBytes(pages.Write(on, new(PressKind.X1a) { Inside = true })).ShouldBe(File.ReadAllBytes(file));
    }

    /// <summary>Where each page of a file places what it draws, by the matrices of its content.</summary>
    private static List<List<PdfMatrix>> Placed(string file)
    {
        using var pdf = PdfFile.Open(file, default);
        return [.. pdf.Pages.Select(page =>
        {
            var seen = new Places();
            new ContentInterpreter(pdf.Decode((PdfStream)pdf.Get(page, "Contents")!), pdf, null, null).Run(seen);
            return seen.All;
        })];
    }

    private sealed class Places : IContentReader
    {
        public List<PdfMatrix> All { get; } = [];

        public void Do(Operation operation, GraphicsState before, GraphicsState now)
        {
            if (operation.Op == Operator.XObject) All.Add(now.Ctm);
        }
    }

    [Theory]
    [InlineData("ltr")]
    [InlineData("rtl")]
    public void A_booklet_is_imposed_two_up_and_openings_are_a_file_for_screens(string reads)
    {
        var reading = reads == "rtl" ? Reading.RightToLeft : Reading.LeftToRight;
        var on = pages.Begin(new()
        {
            Runs = [Run("ruled", 22,
            d => d with { Header = Mm(14), Heading = "page {n} of {of}." })]
        },
            t => t with { Binding = BindingKind.Booklet, Reading = reading });
        var booklet = pages.Write(on, new(PressKind.Booklet) { Inside = true });
        Tool.Run("pdfinfo", booklet).ShouldContain("Page size:       841.89 x 595.276 pts (A4)");
        var sheets = Imposition.Of(24, reading, on.Job.Ticket.Paper.Leaf.ToLength());
        var sides = sheets.SelectMany(s => new[] { s.Front, s.Back }).ToList();
        for (var n = 0; n < sides.Count; n++)
        {
            string half(int x) =>
                Tool.Run("pdftotext", "-f", $"{n + 1}", "-l", $"{n + 1}", "-x", $"{x}", "-y", "0", "-W", "421", "-H",
                    "596", booklet, "-");
            foreach (var (page, x) in ((int, int)[])[(sides[n].Left, 0), (sides[n].Right, 421)])
                if (page <= 22) half(x).ShouldContain($"page {page} of 22.");
                else half(x).Trim().ShouldBeEmpty();
        }
        // Inner sheets stick out by what lies round them: their pages are drawn together toward the fold.
        var wide = on.Job.Ticket.Trim.Width.Points;
        foreach (var (n, places) in Placed(booklet).Index().Where(p => p.Item.Count == 2))
            (places[1].E - places[0].E).ShouldBe(wide - (2 * sheets[n / 2].Creep.Points), 0.001);
        sheets[^1].Creep.ShouldBeGreaterThan(sheets[0].Creep);
        // On Letter two A5 pages are smaller: 94.4 %.
        (792 / (2 * 419.5276)).ShouldBe(0.944, 0.0005);
        var spreads = pages.Write(on, new(PressKind.Spreads) { Inside = true });
        var sizes = Regex.Matches(Tool.Run("pdfinfo", "-f", "1", "-l", "13", spreads), @"Page +\d+ size: +([\d.]+)")
            .Select(m => m.Groups[1].Value).ToList();
        sizes.ShouldBe(["419.528", .. Enumerable.Repeat("839.055", 11), "419.528"]);
        var zip = pages.Write(on, new(PressKind.Pages) { Inside = true, Pages = (3, 5), Pixels = 600 });
        using var archive = ZipFile.OpenRead(zip);
        archive.Entries.Select(e => e.Name).ShouldBe(["page-003.png", "page-004.png", "page-005.png"]);
        var single = pages.Write(on, new(PressKind.Pdf) { Inside = true, Marks = false });
        Tool.Run("qpdf", "--qdf", "--object-streams=disable", single, "-")
            .Contains("/Direction /R2L", StringComparison.Ordinal)
            .ShouldBe(reading == Reading.RightToLeft);
        // The gutter lies at the fold: a first page is bound at its left where the book reads from left to right.
        var boxes = Tool.Run("pdftotext", "-f", "1", "-l", "1", "-bbox", single, "-");
        var left = double.Parse(Regex.Match(boxes, "xMin=\"([\\d.]+)\"[^>]*>page").Groups[1].Value,
            CultureInfo.InvariantCulture);
        if (reading == Reading.LeftToRight) left.ShouldBe(on.Composed.Pages!.Grid(0).Gutter.Points, 1.5);
        else left.ShouldBeGreaterThan(200);
    }

    /// <summary>
    /// Random insides, in black and in colour, with tints and papers behind, in every kind of file: other programs see
    /// in the
    /// file of pages what they see in one of its scenes by themselves; black alone is on one plate.
    /// </summary>
    /// <summary>
    /// Where a page begins its words follows from the book, not from the way that they themselves run.
    /// </summary>
    [Fact]
    public void Headings_stand_at_the_beginning_of_a_right_to_left_page_in_every_script()
    {
        foreach (var (language, heading) in ((string, string)[])[("ar", ""), ("he", ""), ("en", ""), ("ar", "2027")])
        {
            var on = pages.Begin(new()
            {
                Folio = new() { Place = FolioPlace.None },
                Calendar = new() { Language = language, Numbers = false },
                Runs = [Run("month", 1, d => d with { Heading = heading }) with
                    { Goes = RunKind.Months, From = new(2027, 5, 1), To = new(2027, 5, 31) }],
            }, t => t with { Reading = Reading.RightToLeft });
            var plan = on.Composed.Pages!;
            var page = plan.Page(1);
            var scene = PageScene.Of(plan, page, pages.Desk.Drawer.PageArtOf(on.Job));
            var first = scene.Items.SelectMany(p => p.Marks).OfType<GlyphMark>().MinBy(m => m.Y)!;
            first.X.ShouldBeGreaterThan(page.Surface.Size.Width.Points / 2, $"{language} {heading}");
        }
    }

    [Fact, Wide]
    public void Every_design_in_every_paint_prints_as_its_scene_in_every_kind()
    {
        for (var seed = 1; seed <= Sweep.Many(6, 2, 1); seed++)
        {
            var r = new Chance(seed);
            var black = seed % 2 == 1;
            Paint paint() =>
                r.Of<Paint>(new InkPaint(Ink.Percent(r.From(0, 100), r.From(0, 60), r.From(0, 60), r.From(0, 80))),
                    new SwatchPaint("s", 6000), new InkPaint(Ink.Black));
            var photo = pages.Desk.Drawer.Pictures.All().Where(p => p is { Drawn: false, Opaque: true })
                .Select(p => pages.Desk.Drawer.Pictures.Kept(p.Hash)!).OrderBy(p => p.Name, StringComparer.Ordinal).First();
            var designs = DesignShelf.All.Where((_, n) => n % 3 == seed % 3).ToList();
            var inside = new Inside
            {
                Bleeds = seed % 3 == 0,
                Runs = [.. designs.Select(d => Run(d.Word, r.From(1, 2),
                    first => first with { Paints = [.. first.Paints.Select(_ => paint())] }) with
                {
                    Behind = r.From(0, 2) == 0
                        ? new(paint(), r.Of<Pattern?>(null, PatternShelf.Kinds[r.From(0,
                            PatternShelf.Kinds.Length - 1)]))
                        : null,
                    // A file of one page by itself knows of no black that stands for a picture's colours.
                    Backdrop = black || r.From(0, 2) > 0 ? null : new Backdrop(photo)
                    {
                        Place = r.Of(Enum.GetValues<BackdropPlace>()),
                        Strength = r.Of(20, 60, 100),
                    },
                    Backs = r.Of<Backs>(Backs.Pages, Backs.Pages, Backs.Solid, Backs.Note),
                        BackNote = "Back of {title}", Tab = r.From(0, 2) == 0,
                })],
            };
            var on = pages.Begin(inside,
                t => t with
                {
                    Trim = Size.FromMillimetres(110, 160),
                    InsideColour = black ? InsideColour.Black : InsideColour.Colour,
                },
                "aldwater");
            on = pages.Desk.Jobs.Apply(on.Slug,
                new(Guid.NewGuid().ToString(), "test",
                    _ => new AddSwatch(new("s", "Sea", Ink.Percent(80, 30, 10, 20)))));
            var plan = on.Composed.Pages!;
            pages.Desk.Drawer.Puzzles.Make(plan);
            var art = pages.Desk.Drawer.PageArtOf(on.Job);
            var scenes = Enumerable.Range(1, plan.Printed).Select(n => PageScene.Of(plan, plan.Page(n), art)).ToList();
            foreach (var kind in (PressKind[])[PressKind.X4, PressKind.X1a, PressKind.Pdf])
            {
                var file = pages.Write(on, new(kind) { Inside = true, Marks = false });
                Tool.Run("qpdf", "--check", file).ShouldContain("No syntax or stream encoding errors");
                if (black) Inks(file).ShouldAllBe(i => i[0] + i[1] + i[2] == 0, $"{seed} {kind}");
                if (kind == PressKind.X1a) continue;
                var alone = pages.Folder[$"alone-{seed}-{kind}.pdf"];
                using (var s = File.Create(alone))
                    PressFile.Write(s, scenes, new(kind) { Marks = false }, on.Job.Ticket.House.ForPages(),
                        new("Pages", "", "", DateTimeOffset.UnixEpoch, "p", 1), pages.Desk.Drawer.Shelf,
                            pages.Desk.Drawer.Pictures);
                var (here, there) = (Seen(file), Seen(alone));
                here.Count.ShouldBe(there.Count);
                for (var n = 0; n < here.Count; n++)
                    here[n].Zip(there[n]).Max(p => Math.Abs(p.First - p.Second))
                        .ShouldBeLessThanOrEqualTo(8, $"{seed} {kind} page {n + 1}");
            }
        }
    }

    /// <summary>
    /// A faint picture behind written pages is as faint in both kinds of file, and in a black book on one plate.
    /// </summary>
    [Theory]
    [InlineData(InsideColour.Black)]
    [InlineData(InsideColour.Colour)]
    public void A_picture_behind_pages_is_as_faint_in_every_kind(InsideColour colour)
    {
        var photo = pages.Desk.Drawer.Pictures.All().Where(p => p is { Drawn: false, Opaque: true })
            .Select(p => pages.Desk.Drawer.Pictures.Kept(p.Hash)!).OrderBy(p => p.Name, StringComparer.Ordinal).First();
        List<byte[]> seen(int strength, PressKind kind)
        {
            var on = pages.Begin(new Inside { Runs = [Run("ruled", 24) with { Backdrop = new(photo) { Strength = strength } }] },
                t => t with { Trim = Size.FromMillimetres(110, 160), InsideColour = colour }, "aldwater");
            var file = pages.Write(on, new(kind) { Inside = true, Marks = false });
            if (colour == InsideColour.Black) Inks(file).Max(i => i[0] + i[1] + i[2]).ShouldBe(0);
            else Inks(file).ShouldContain(i => i[0] + i[1] + i[2] > 0);
            return Seen(file);
        }
        // The screen shows it as it prints: of one hue, and that is none, where black is the only ink.
        using var screen = NetVips.Image.NewFromBuffer(pages.Desk.Drawer.Pictures.Preview(photo.Hash, 320,
            PrintingCondition.Of(HouseFile.Shipped["plover"]), true,
            colour == InsideColour.Black ? pages.Desk.Drawer.BlackOf(HouseFile.Shipped["plover"]) : null));
        using var spread = screen.ExtractBand(0) - screen.ExtractBand(2);
        spread.Abs().Max().ShouldSatisfyAllConditions(m => (m <= 2).ShouldBe(colour == InsideColour.Black, $"{m}"));
        double dark(List<byte[]> all) => 255 - all[2].Average(b => b);
        var (full, faint, flat) = (dark(seen(100, PressKind.X4)), dark(seen(20, PressKind.X4)), dark(seen(20, PressKind.X1a)));
        full.ShouldBeGreaterThan(20);
        faint.ShouldBeInRange(0.1 * full, 0.4 * full);
        flat.ShouldBe(faint, 0.5);
    }

    /// <summary>Each page as poppler draws it, in gray.</summary>
    private List<byte[]> Seen(string file)
    {
        var name = pages.Folder[$"seen-{Guid.NewGuid():n}"];
        Tool.Run("pdftoppm", "-r", "24", "-gray", file, name);
        return [.. Directory.GetFiles(pages.Folder.Path, Path.GetFileName(name) + "*.pgm").Order(StringComparer.Ordinal)
            .Select(f => File.ReadAllBytes(f)[16..])];
    }

    private static readonly Dictionary<string, (Action<Spoiler> Spoil, string Reason)> Spoiled = new()
    {
        ["a page too few"] = (s => s.Swap(new Regex(@"/Count 40"), "/Count 39").Swap(new Regex(@"/Kids \[\s*\d+ 0 R"),
            "/Kids ["),
            "pages.count"),
        ["one page of another size"] = (s => s.Last(new Regex(@"/TrimBox \[[^\]]*\]"), "/TrimBox [ 0 0 300 400 ]"),
            "pages.size"),
        ["colour in a black book"] = (s => s.Swap("0.3 g\n", "0 1 0 0 k\n"), "colour.inside"),
        ["another trim"] = (s => s.Swap(new Regex(@"/TrimBox \[[^\]]*\]"), "/TrimBox [ 0 0 400 580 ]"), "box.trim"),
        ["a face that is not embedded"] = (s => s.Swap("/FontFile2", "/Spare"), "face.embedded"),
        ["a screen’s colours"] = (s => s.Swap("0.3 g\n", "0.3 0.1 0.1 rg\n"), "colour"),
    };

    public static TheoryData<string> Slips() => [.. Spoiled.Keys];

    private (OnBench On, string File) Book()
    {
        var gray = new InkPaint(Ink.Percent(0, 0, 0, 70));
        var on = pages.Begin(new() { Runs = [Run("dots", 40, d => d with { Paints = [gray, .. d.Paints.Skip(1)] })] });
        return (on, pages.Write(on, new(PressKind.X1a) { Inside = true, Marks = false }));
    }

    [Theory]
    [MemberData(nameof(Slips))]
    public void Reception_rejects_each_spoiled_inside_for_its_own_reason(string slip)
    {
        var (on, file) = Book();
        pages.Desk.Pressing.Judge(on, file, inside: true).Say().ShouldBe("accepted");
        var (spoil, reason) = Spoiled[slip];
        var spoiler = new Spoiler(file);
        spoil(spoiler);
        var spoilt = pages.Folder[$"{Guid.NewGuid():n}.pdf"];
        spoiler.Write(spoilt);
        var verdict = pages.Desk.Pressing.Judge(on, spoilt, inside: true);
        verdict.Accepted.ShouldBeFalse();
        verdict.Findings.Where(f => f.Severity == Severity.Stop).Select(f => f.Id).ShouldContain(reason);
    }

    [Fact]
    public void Reception_finds_blanks_where_none_should_be_and_pages_of_another_count()
    {
        var (on, _) = Book();
        var blank = pages.Begin(new() { Runs = [Run("dots", 39), Run("blank", 1)] });
        var file = pages.Write(blank, new(PressKind.X1a) { Inside = true, Marks = false });
        pages.Desk.Pressing.Judge(on, file, inside: true).Findings.Select(f => (f.Id, f.Measured))
            .ShouldBe([("page.blank", "page 40 blank")]);
        pages.Desk.Pressing.Judge(blank, file, inside: true).Accepted.ShouldBeTrue();
        var longer = pages.Begin(new() { Runs = [Run("dots", 48)] });
        pages.Desk.Pressing.Judge(longer, file, inside: true).Findings[0].Measured.ShouldBe("40 pages");
        // A cover is no inside, and an inside no cover.
        pages.Desk.Pressing.Judge(on, file).Accepted.ShouldBeFalse();
        Should.Throw<Refusal>(() => new PressPlan(PressKind.Mockup) { Inside = true }.Possible())
            .Message.ShouldContain("booklet");
        Should.Throw<Refusal>(() => new PressPlan(PressKind.Booklet).Possible());
        Should.Throw<Refusal>(() => pages.Write(pages.Desk.Jobs.Job("orrin"), new(PressKind.X4) { Inside = true }))
            .Message.ShouldContain("no pages");
        Should.Throw<Refusal>(() => pages.Write(on, new(PressKind.Pages) { Inside = true, Pages = (39, 44) }))
            .Message.ShouldContain("from 1 to 40");
    }
}
