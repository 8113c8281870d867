using System.IO.Compression;
using System.Text;

namespace Lumbeck.Desk.Tests;

public sealed class PackingTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;
    private readonly AppServices _desk;

    public PackingTests() => _desk = new(DemoData.In(Path.Combine(_folder, "one")), TimeProvider.System, DemoBench.Load);

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    private static byte[] Pack(AppServices desk, string slug)
    {
        using var m = new MemoryStream();
        desk.Bench.WritePack(desk.Jobs.Job(slug), m);
        return m.ToArray();
    }

    private static Task<OnBench> Unpack(AppServices desk, byte[] pack) =>
        desk.Bench.Unpack(new MemoryStream(pack), "test-session");

    /// <summary>A table goes with the job whose pages are made of it.</summary>
    [Fact]
    public async Task Tables_are_packed_and_come_out_whole()
    {
        var csv = Encoding.UTF8.GetBytes("\uFEFFname;\"said, by whom\"\nWillow;\"so it goes; always\"\nAsh;\n");
        var table = _desk.Drawer.Tables.TakeIn(new MemoryStream(csv), "../odd\\names.csv");
        (table.Name, table.Rows, string.Join('|', table.Columns)).ShouldBe(("names.csv", 2, "name|said, by whom"));
        _desk.Drawer.Tables.Rows(table.Hash)!.Value[0].ShouldBe(["Willow", "so it goes; always"]);
        var on = _desk.Jobs.Apply("hive", new(Guid.NewGuid().ToString(), "pack", _ => new LayTable("swarms", table)));
        on.Job.Ticket.Pages.ShouldBe(118);
        var pack = Pack(_desk, "hive");
        var other = new AppServices(Path.Combine(_folder, "two"), TimeProvider.System);
        var there = await Unpack(other, pack);
        there.Job.Inside!.Run("swarms")!.Table.ShouldBe(table);
        other.Drawer.Tables.Rows(table.Hash)!.Value.Length.ShouldBe(2);
        Pack(other, "hive").ShouldBe(pack);
        // Without its table, or with another in its place, it is not opened.
        Should.Throw<Refusal>(() => Unpack(other, Without(pack, "tables/" + table.Hash)).GetAwaiter().GetResult());
    }

    private static byte[] Without(byte[] pack, string name)
    {
        using var m = new MemoryStream();
        m.Write(pack);
        using (var zip = new ZipArchive(m, ZipArchiveMode.Update, leaveOpen: true)) zip.GetEntry(name)!.Delete();
        return m.ToArray();
    }

    [Theory]
    [InlineData("", "is empty")]
    [InlineData("a,b\n", "has heads and no rows")]
    [InlineData("a,b\n1,2\n1,2,3\n", "has 3 cells on row 3, where its heads are 2")]
    [InlineData("a,b\n\"un\"quoted\",2\n", "has a quote in the middle of a cell")]
    [InlineData(",\n1,2\n", "has no heads")]
    public void A_table_that_can_not_make_pages_says_why(string csv, string says) =>
        Should.Throw<Refusal>(() => _desk.Drawer.Tables.TakeIn(new MemoryStream(Encoding.UTF8.GetBytes(csv)), "t.csv"))
            .Message.ShouldContain(says);

    [Fact]
    public void A_table_too_large_or_no_text_is_refused_with_the_figure()
    {
        var large = new byte[50_000_000];
        Array.Fill(large, (byte)'a');
        Should.Throw<Refusal>(() => _desk.Drawer.Tables.TakeIn(new MemoryStream(large), "large.csv"))
            .Message.ShouldContain("over 8 MB");
        Should.Throw<Refusal>(() =>
            _desk.Drawer.Tables.TakeIn(new MemoryStream([0xff, 0xfe, 0x00, 0xd8, 0xff]), "binary.csv"));
        var wide = string.Join(',', Enumerable.Range(1, 101)) + "\n";
        Should.Throw<Refusal>(() =>
            _desk.Drawer.Tables.TakeIn(new MemoryStream(Encoding.UTF8.GetBytes(wide)), "wide.csv"))
            .Message.ShouldContain("101 columns");
        var long_ = "n\n" + string.Concat(Enumerable.Range(0, 20_001).Select(n => $"{n}\n"));
        Should.Throw<Refusal>(() =>
            _desk.Drawer.Tables.TakeIn(new MemoryStream(Encoding.UTF8.GetBytes(long_)), "long.csv"))
            .Message.ShouldContain("over 20000 rows");
        // The demo’s own alone.
        _desk.Drawer.Tables.All().ShouldHaveSingleItem().Name.ShouldBe("shop-days.csv");
    }

    [Theory]
    [InlineData("tidewatcher")]
    [InlineData("orrin")]
    [InlineData("hive")]
    [InlineData("calder")]
    [InlineData("lighthouse")]
    [InlineData("monday")]
    public async Task A_job_packed_and_unpacked_elsewhere_is_the_same_to_the_byte(string slug)
    {
        _desk.Jobs.Apply(slug, new(Guid.NewGuid().ToString(), "pack", _ => new AddTake(0, "another", "another")));
        var pack = Pack(_desk, slug);
        var other = new AppServices(Path.Combine(_folder, "two"), TimeProvider.System);
        var on = await Unpack(other, pack);
        on.Slug.ShouldBe(slug);
        JobJson.Write(on.Job).ShouldBe(JobJson.Write(_desk.Jobs.Job(slug).Job));
        Pack(other, slug).ShouldBe(pack);
        // What was said of its pictures came along, and they are drawn.
        foreach (var picture in on.Job.Items.OfType<PictureItem>())
            other.Drawer.Pictures.Find(picture.Picture!.Hash)!.Maker.ShouldBe("Skerry & Vane");
        // Once more here: a second job beside the first.
        (await Unpack(_desk, pack)).Slug.ShouldBe(slug + "-2");
    }

    [Fact]
    public async Task Tracings_patterns_growth_and_a_printer_s_own_profile_come_along()
    {
        var profile = _desk.Drawer.Profiles.TakeIn(File.ReadAllBytes(Press.Colour.Profiles.PathOf("FOGRA39L_coated")),
            "press.icc");
        var house = _desk.Houses.Edit(_desk.Houses.Copy("aldwater").House.Id, Guid.NewGuid().ToString(), "profile",
            profile.Says)
            .House;
        var picture = _desk.Jobs.Job("calder").Job.Pictures.Single();
        void edit(Edit e) => _desk.Jobs.Apply("orrin", new(Guid.NewGuid().ToString(), "pack", _ => e));
        edit(new SetHouse(house));
        edit(new LayTracing(new(picture, 40)));
        edit(new GrowPicture("valley", new(GrowWay.Synthesis, GrowTo.Sheet, 3)));
        edit(new FillShape("wall",
            new GradientPaint(Run.Straight, 90,
                [new(new SwatchPaint("stone"), 0), new(new SwatchPaint("shade", 4000), 10_000)])));
        edit(new FillShape("parapet", new FinishPaint("foil")));
        var pack = Pack(_desk, "orrin");
        var other = new AppServices(Path.Combine(_folder, "four"), TimeProvider.System);
        var on = await Unpack(other, pack);
        JobJson.Write(on.Job).ShouldBe(JobJson.Write(_desk.Jobs.Job("orrin").Job));
        Pack(other, "orrin").ShouldBe(pack);
        other.Drawer.Profiles.All().Single().Says.ShouldBe(profile.Says);
        on.Job.Wraps[0].Tracing!.Picture.Name.ShouldBe("calder-sound-by-night.jpg");
        // A gradient out of all range is refused as anything else is.
        (await Should.ThrowAsync<Refusal>(() =>
            Unpack(other, Pack(_desk, "orrin") is var p ? Changed(p, "\"tint\":4000", "\"tint\":40000") : p)))
            .Message
            .ShouldContain("out of all range");
    }

    private static byte[] Changed(byte[] pack, string was, string now)
    {
        using var m = new MemoryStream();
        m.Write(pack);
        using (var zip = new ZipArchive(m, ZipArchiveMode.Update, leaveOpen: true))
        {
            string text;
            using (var reader = new StreamReader(zip.GetEntry("job.json")!.Open())) text = reader.ReadToEnd();
            zip.GetEntry("job.json")!.Delete();
            using var s = zip.CreateEntry("job.json").Open();
            s.Write(Encoding.UTF8.GetBytes(text.Replace(was, now)));
        }
        return m.ToArray();
    }

    /// <summary>The pack with a file changed, added or taken out.</summary>
    private byte[] Spoiled(string name, Func<byte[], byte[]?> change)
    {
        using var m = new MemoryStream();
        m.Write(Pack(_desk, "calder"));
        using (var zip = new ZipArchive(m, ZipArchiveMode.Update, leaveOpen: true))
        {
            byte[] was = [];
            if (zip.GetEntry(name) is { } entry)
            {
                using (var s = entry.Open())
                {
                    using var held = new MemoryStream();
                    s.CopyTo(held);
                    was = held.ToArray();
                }
                entry.Delete();
            }
            if (change(was) is { } now)
            {
                using var s = zip.CreateEntry(name).Open();
                s.Write(now);
            }
        }
        return m.ToArray();
    }

    private byte[] Spoiled(string was, string now) => Spoiled("job.json", b =>
    {
        var text = Encoding.UTF8.GetString(b);
        text.ShouldContain(was);
        return Encoding.UTF8.GetBytes(text.Replace(was, now));
    });

    [Fact]
    public async Task What_is_no_pack_or_holds_what_none_does_is_refused_and_nothing_is_begun()
    {
        var picture = "pictures/" + _desk.Jobs.Job("calder").Job.Items.OfType<PictureItem>().Single().Picture!.Hash;
        (byte[] Pack, string Says)[] bad =
        [
            ([], "damaged"), ("PK nonsense"u8.ToArray(), "damaged"), (Pack(_desk, "calder")[..2000], "damaged"),
            (Spoiled("../../evil", _ => [1]), "`../../evil`"),
                (Spoiled("pictures/../x", _ => [1]), "which no pack does"),
                (Spoiled("readme.txt", _ => [1]), "`readme.txt`"),
            (Spoiled("job.json", _ => null), "job.json is missing"),
                (Spoiled("pack.json", _ => null), "pack.json is missing"),
                (Spoiled("pack.json", _ => "{\"lumbeckPack\":2}"u8.ToArray()), "later version"),
            (Spoiled("job.json", _ => "{}"u8.ToArray()), "damaged"),
                (Spoiled("job.json", _ => "null"u8.ToArray()), "damaged"),
                (Spoiled("job.json", _ => new byte[31_000_000]), "over 30 MB"),
            (Spoiled(picture, _ => null), "is missing"),
                (Spoiled(picture, b => b[..(b.Length / 2)]), "damaged or breaks off"),
                (Spoiled(picture, _ => "GIF89a"u8.ToArray()), "is no picture"),
            (Spoiled("\"id\":\"case-moon\"", "\"id\":\"Moon/..\""), "out of all range"),
                (Spoiled("\"id\":\"case-moon\"", "\"id\":\"title\""), "out of all range"),
                (Spoiled("\"current\":\"first\"", "\"current\":\"gone\""), "out of all range"),
            (Spoiled("\"opacity\":100", "\"opacity\":1000"), "out of all range"),
                (Spoiled("\"pages\":286", "\"pages\":-3"), "pages"),
                (Spoiled("\"swatch\":\"moon\"", "\"swatch\":\"gone\""), "out of all range"),
        ];
        var other = new AppServices(Path.Combine(_folder, "three"), TimeProvider.System);
        foreach (var (pack, says) in bad)
            (await Should.ThrowAsync<Refusal>(() => Unpack(other, pack), says)).Message.ShouldContain(says);
        other.Bench.All().ShouldBeEmpty();
        Directory.GetFiles(_folder, "evil*", SearchOption.AllDirectories).ShouldBeEmpty();
    }
}
