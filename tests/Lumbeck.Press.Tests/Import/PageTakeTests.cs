using System.IO.Compression;
using Lumbeck.Desk;
using Lumbeck.Desk.Bench;
using Lumbeck.Desk.Demo;
using Lumbeck.Desk.Jobs;
using Lumbeck.Desk.Making;
using Lumbeck.Intake;
using Lumbeck.Press.Import;
using Lumbeck.Press.Kinds;

namespace Lumbeck.Press.Tests.Import;

/// <summary>A finished cover as a take: its marks are pressed as they came, and it goes with the job's pack.</summary>
public sealed class PageTakeTests(PageTakeTests.Bench bench) : IClassFixture<PageTakeTests.Bench>
{
    /// <summary>The demo's bench, laid once for all of these.</summary>
    public sealed class Bench : IDisposable
    {
        internal Folder Folder { get; } = new();
        internal Desk.AppServices Desk { get; }
        internal Dictionary<string, OnBench> Laid { get; } = [];
        public Bench() => Desk = new(DemoData.In(Folder["data"]), TimeProvider.System, DemoBench.Load);
        public void Dispose() => Folder.Dispose();
    }

    private readonly Folder _folder = bench.Folder;
    private readonly Desk.AppServices _desk = bench.Desk;

    /// <summary>A job's own cover in a screen's colours, mended and laid as its take.</summary>
    private async Task<OnBench> Laid(string slug)
    {
        if (bench.Laid.TryGetValue(slug, out var known)) return known;
        using (var s = File.Create(_folder["came.pdf"]))
            _desk.Pressing.WritePress(_desk.Jobs.Job(slug), new(PressKind.Pdf) { Rgb = true, Marks = false }, s);
        var on = _desk.Jobs.Job(slug);
        var row = _desk.Pressing.KeepMended(on, new(_folder["came.pdf"], "came.pdf", false, new()));
        var laid = await _desk.Pressing.AsTake(on, row, "finished", default);
        return bench.Laid[slug] = _desk.Jobs.Apply(slug, new($"lay-{slug}", "test", _ => laid));
    }

    private string Pressed(OnBench on, PressKind kind)
    {
        var file = _folder["pressed.pdf"];
        using (var s = File.Create(file)) _desk.Pressing.WritePress(on, new(kind), s);
        Tool.Run("qpdf", "--check", file);
        IntakeDesk.Judge(file, _desk.Pressing.Expects(on)).Findings.Where(f => f.Severity == Severity.Stop).ShouldBeEmpty();
        return file;
    }

    /// <summary>The widest picture of a file, in pixels.</summary>
    private static int Widest(string file) => Tool.Run("pdfimages", "-list", file).Split('\n').Skip(2)
        .Select(l => l.Split(' ', StringSplitOptions.RemoveEmptyEntries)).Where(l => l.Length > 4)
        .Select(l => int.Parse(l[3], CultureInfo.InvariantCulture)).DefaultIfEmpty().Max();

    public static TheoryData<string> Covers() => Sweep.IsLong ? ["pass", "lighthouse", "orrin", "hive"] : ["pass"];

    [Theory]
    [MemberData(nameof(Covers))]
    public async Task Its_words_are_words_in_the_pressed_file_and_reception_takes_it(string slug)
    {
        var before = Pressed(_desk.Jobs.Job(slug), _desk.Jobs.Job(slug).Job.Ticket.House.Kinds[0]);
        var words = Tool.Run("pdftotext", before, "-").Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries);
        var on = await Laid(slug);
        var kind = on.Job.Ticket.House.Kinds[0];
        var file = Pressed(on, kind);
        Tool.Run("pdftotext", file, "-").Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries)
            .Order(StringComparer.Ordinal).ShouldBe(words.Order(StringComparer.Ordinal));
        Tool.Run("pdffonts", file).Split('\n').Skip(2).Where(l => l.Length > 0).ShouldNotBeEmpty();
        // Its sheet is no picture at 400 an inch.
        Widest(file).ShouldBeLessThan((int)(on.Composed.Geometry.Sheet.Size.Width.Points / 72 * 390));
        // It looks as its pixels do, which the screen shows.
        using var marks = Drawn(file);
        using var pixels = Drawn(Pixels(on, kind));
        using var apart = marks.Gaussblur(1).DE76(pixels.Gaussblur(1));
        apart.Avg().ShouldBeLessThan(1.5);
    }

    private string Pixels(OnBench on, PressKind kind)
    {
        var hash = on.Job.Take.Items.OfType<PictureItem>().Single().Picture!.Hash;
        var page = _desk.Drawer.Pictures.PageOf(hash)!;
        File.Move(page, page + "-");
        var file = Pressed(on, kind);
        File.Move(page + "-", page);
        Widest(file).ShouldBeGreaterThan(2000);
        return file;
    }

    private NetVips.Image Drawn(string file)
    {
        var to = _folder[$"{Guid.NewGuid():n}.tif"];
        Tool.Run("gs", "-q", "-dNOPAUSE", "-dBATCH", "-dSAFER", "-sDEVICE=tiff24nc", "-r60", "-dTextAlphaBits=4",
            "-dGraphicsAlphaBits=4",
            $"-sOutputFile={to}", file);
        using var seen = NetVips.Image.NewFromFile(to).Copy(interpretation: NetVips.Enums.Interpretation.Srgb);
        return seen.Colourspace(NetVips.Enums.Interpretation.Lab).CopyMemory();
    }

    [Fact, Wide]
    public async Task Where_its_inks_are_not_the_house_s_its_pixels_are_pressed()
    {
        var on = await Laid("pass");
        var other = on.Job.Ticket.House with { OutputCondition = "Some other sheet" };
        using (var s = File.Create(_folder["other.pdf"]))
            PressFile.Write(s, on.Composed.Sheets.Select(x => x.Scene), new(other.Kinds[0]), other,
                new("t", "a", "s", DateTimeOffset.UnixEpoch, "j", 1), _desk.Drawer.Shelf, _desk.Drawer.Pictures);
        Widest(_folder["other.pdf"]).ShouldBeGreaterThan(2000);
    }

    [Fact, Wide]
    public async Task Finished_files_their_pages_and_what_was_decided_go_with_the_pack()
    {
        var on = await Laid("pass");
        _desk.Pressing.KeepMended(on, new(_folder["came.pdf"], "again.pdf", false, new() { Percent = 102 }));
        using var pack = new MemoryStream();
        _desk.Bench.WritePack(_desk.Jobs.Job("pass"), pack);
        var other = new Desk.AppServices(_folder["other"], TimeProvider.System);
        var there = await other.Bench.Unpack(pack, "test");
        var rows = other.Pressing.Mended(there);
        rows.Select(r => r.Row.Name).ShouldBe(["again.pdf", "came.pdf"]);
        MendDesk.Decided(rows[0].Row).Percent.ShouldBe(102);
        rows.ShouldAllBe(r => r.Said.Verdict.Accepted);
        File.ReadAllBytes(other.Pressing.Files.PathOf(rows[0].Row.Came)).ShouldBe(File.ReadAllBytes(_folder["came.pdf"]));
        other.Drawer.Pictures.PageOf(there.Job.Take.Items.OfType<PictureItem>().Single().Picture!.Hash).ShouldNotBeNull();
        using var again = new MemoryStream();
        other.Bench.WritePack(there, again);
        again.ToArray().ShouldBe(pack.ToArray());
        // What a stranger changed in it is found, and nothing is begun.
        foreach (var entry in new[] { "mended.json", "mended/" + rows[0].Row.File, "pages/" + PageOf(pack) })
        {
            var spoilt = Spoilt(pack.ToArray(), entry);
            var third = new Desk.AppServices(_folder[$"third-{entry.Length}"], TimeProvider.System);
            (await Should.ThrowAsync<Refusal>(() => third.Bench.Unpack(spoilt, "test")))
                .Message.Length.ShouldBeInRange(10, 300);
            third.Bench.Count.ShouldBe(0);
            third.Bench.CountAway.ShouldBe(0);
        }
    }

    private static string PageOf(Stream pack)
    {
        using var zip = new ZipArchive(pack, ZipArchiveMode.Read, leaveOpen: true);
        return zip.Entries.Single(e => e.FullName.StartsWith("pages/", StringComparison.Ordinal)).Name;
    }

    private static MemoryStream Spoilt(byte[] pack, string entry)
    {
        var to = new MemoryStream();
        using (var from = new ZipArchive(new MemoryStream(pack), ZipArchiveMode.Read))
        using (var zip = new ZipArchive(to, ZipArchiveMode.Create, leaveOpen: true))
            foreach (var e in from.Entries)
            {
                using var s = e.Open();
                using var m = new MemoryStream();
                s.CopyTo(m);
                var bytes = m.ToArray();
                if (e.FullName == entry) bytes = bytes[..(bytes.Length / 2)];
                using var o = zip.CreateEntry(e.FullName).Open();
                o.Write(bytes);
            }
        to.Position = 0;
        return to;
    }
}
