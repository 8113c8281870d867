using System.Text;
using System.Text.Json.Nodes;
using Lumbeck.Tests.ByChance;

namespace Lumbeck.Desk.Tests;

/// <summary>A livery kept from a cover: on other sizes and bindings, through a series, and as a file.</summary>
public sealed class OwnLiveryTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;
    private readonly AppServices _desk;

    public OwnLiveryTests() => _desk = new(DemoData.In(_folder), TimeProvider.System, DemoBench.Load);

    public void Dispose()
    {
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        Directory.Delete(_folder, recursive: true);
    }

    private static Job Volume(string number, string title, BindingKind binding = BindingKind.Paperback,
        Size? trim = null) => new Job(new()
        {
            House = HouseFile.Shipped["aldwater"],
            Title = title,
            Author = "Ines Kallweit",
            Series = "The Estuary Books",
            SeriesNumber = number,
            Imprint = "Skerry & Vane",
            Blurb = $"What the water did in the year of volume {number}.",
            Isbn = Isbn.TryParse("9780000000019", out var isbn, out _) ? isbn : null,
            Binding = binding,
            Pages = 320,
            Trim = trim ?? Size.FromMillimetres(129, 198),
            Paper = new("Wove", Caliper.FromMillimetres(0.12m)),
        }, [], [Wrap.First(Job.Cover, new Fill(new InkPaint(Ink.White)))]).WithPieces();

    private Job Wear(Job job, string livery, Ink? colour = null) =>
        EditPipeline.Settle(_desk.Liveries.Wear(job, livery, 1, null, "worn", colour).Edit.Apply(job),
            _desk.Drawer.Shelf);

    [Fact]
    public void A_series_of_three_is_one_family_and_stands_in_one_line_on_a_shelf()
    {
        var first = Wear(Volume("1", "The Tidewatcher’s Ledger"), "meridian");
        var own = _desk.Liveries.Keep(first, "Estuary");
        own.VolumeSwatch.ShouldNotBeEmpty();
        var three = new (string Number, string Title, Ink Colour)[] { ("1", "The Tidewatcher’s Ledger", Ink.Percent(30,
            10, 16, 0)),
            ("2", "A Harbour in Winter", Ink.Percent(6, 34, 20, 0)), ("3", "Salt", Ink.Percent(20, 4, 44, 0)) };
        List<Job> volumes = [.. three.Select(v => Wear(Volume(v.Number, v.Title), own.Id, v.Colour))];
        foreach (var (at, job) in volumes.Index())
        {
            var n = at + 1;
            job.Items.OfType<TextItem>().ShouldContain(t => t.Words == $"The Estuary Books {n}");
            job.Items.OfType<TextItem>().ShouldContain(t => t.Words == $"What the water did in the year of volume {n}.");
            _desk.Jobs.Worked(0, job).Findings.Where(f => f.Severity == Severity.Stop && f.Item is not null)
                .Select(f => $"{n}: {f.Id} {f.Item}").ShouldBeEmpty();
        }
        // One ink and one seed are each volume's own; all else is the series'.
        volumes.Select(v => v.Take.Ground.Paint!.Resolve(v.Swatches)).Distinct().Count().ShouldBe(3);
        volumes.Select(v => v.Take.Ground.Pattern!.Seed).Distinct().Count().ShouldBe(3);
        volumes.Select(v => v.Take.Ground.Pattern!.Kind).Distinct().ShouldHaveSingleItem();
        volumes.Select(v => ((TextItem)v.Item("title")!).Style.Face).Distinct().ShouldHaveSingleItem();
        // On the spine title begins, and imprint ends, at equal heights from the foot.
        IEnumerable<Box> boxes(string id) =>
            volumes.Select(v => Placement.Of(v.Item(id)!, v.Sheets()[0].Sheet)!.OnSheet(v.Item(id)!));
        boxes("spine-title").Select(b => Math.Round(b.Y.Millimetres, 1)).Distinct().ShouldHaveSingleItem();
        boxes("spine-imprint").Select(b => Math.Round(b.Bottom.Millimetres, 1)).Distinct().ShouldHaveSingleItem();
    }

    [Fact]
    public void Every_demo_cover_goes_on_every_binding_and_size_and_comes_back_from_its_file()
    {
        foreach (var slug in (string[])["tidewatcher", "orrin", "calder", "lighthouse", "hive", "crossing"])
        {
            var own = _desk.Liveries.Keep(_desk.Jobs.Job(slug).Job, $"Like {slug}");
            var file = _desk.Liveries.Export(own.Id);
            var back = _desk.Liveries.TakeIn(file);
            back.Name.ShouldBe($"Like {slug} 2");
            back.Wraps[0].Parts.Count.ShouldBeInRange(own.Wraps[0].Parts.Count(p => !p.Item.Pictures.Any()),
                own.Wraps[0].Parts.Count);
            foreach (var binding in Enum.GetValues<BindingKind>())
                foreach (var trim in (Size[])[Size.FromMillimetres(105, 148), Size.FromInches(8, 10)])
                {
                    var job = Volume("4", "A Longer Title than Was There", binding, trim);
                    try { _ = job.Sheets(); }
                    catch (Refusal) { continue; }
                    var worn = Wear(job, back.Id);
                    ImportValidation.Job(worn);
                    if (job.Sheets().Any(s => s.Sheet.Panel(Part.Front) is not null)
                        && own.Wraps[0].Parts.Any(p => p.Says == Says.Title))
                        worn.Items.OfType<TextItem>().ShouldContain(
                            t => t.Words.Contains("Longer", StringComparison.Ordinal), $"{slug} {binding}");
                    _desk.Jobs.Worked(0, worn).Findings.ShouldNotContain(f => f.Id == "text.overset",
                        $"{slug} {binding} {trim}");
                }
        }
    }

    [Fact]
    public void A_file_with_a_fault_is_refused_and_the_place_named()
    {
        var own = _desk.Liveries.Keep(Wear(Volume("1", "Salt"), "quayside"), "Quiet");
        string with(Action<JsonNode> change)
        {
            var json = JsonNode.Parse(_desk.Liveries.Export(own.Id))!;
            change(json);
            return Should.Throw<Refusal>(() => _desk.Liveries.TakeIn(Encoding.UTF8.GetBytes(json.ToJsonString()))).Message;
        }
        JsonNode part(JsonNode json) => json["wraps"]![0]!["parts"]!.AsArray().First(p =>
            p!["item"]!["is"]!.GetValue<string>() == "text")!;
        with(j => part(j)["item"]!["style"]!["face"] = "no-such-face/400").ShouldContain("no-such-face/400");
        with(j => part(j)["item"]!["width"]!["own"] = 900_000_000_000_000_000L).ShouldContain("wraps/0/parts/");
        with(j => part(j)["says"] = "nonsense").ShouldContain("says");
        with(j => j["colour"] = "red").ShouldContain("colour");
        with(j => j["wraps"] = new JsonArray()).ShouldContain("wraps");
        with(j => j["name"] = "").ShouldContain("name");
        with(j => j["id"] = "../../etc").ShouldContain("id");
        with(j => j["volumeSwatch"] = "none-such").ShouldContain("volumeSwatch");
        with(j => j["form"] = 99).ShouldContain("form 99");
        Should.Throw<Refusal>(() => _desk.Liveries.TakeIn("[]"u8.ToArray()));
        // Whatever a file is made into, it is taken in or refused; nothing else.
        var text = Encoding.UTF8.GetString(_desk.Liveries.Export(own.Id));
        var r = new Chance(7);
        for (var n = 0; n < 400; n++)
        {
            var bytes = Encoding.UTF8.GetBytes(text);
            for (var k = r.From(1, 4); k > 0; k--) bytes[r.From(0, bytes.Length - 1)] = (byte)r.From(32, 126);
            try { _desk.Liveries.Remove(_desk.Liveries.TakeIn(bytes).Id); }
            catch (Refusal) { }
        }
    }

    [Fact]
    public void The_command_line_keeps_wears_and_carries_them()
    {
        (int Exit, string Out, string Error) run(params string[] arguments) => CommandLine.Run(_folder, arguments);
        run("starter", "begin", "book-6-9", "--title", "Winter Bread").Out.ShouldContain("winter-bread");
        run("starter", "keep", "winter-bread", "--name", "Our paperback").Out.ShouldContain("our-paperback");
        var pack = Path.Combine(_folder, "s.zip");
        run("starter", "out", "our-paperback", "--out", pack).Exit.ShouldBe(0);
        run("starter", "in", pack).Out.ShouldContain("Our paperback 2");
        run("liveries", "--keep", "tidewatcher", "--name", "Estuary").Out.ShouldContain("estuary");
        var file = Path.Combine(_folder, "l.json");
        run("liveries", "--save", "estuary", "--out", file).Exit.ShouldBe(0);
        run("liveries", "--bring", file).Out.ShouldContain("Estuary 2");
        run("livery", "winter-bread", "--livery", "estuary", "--colour", "40 10 0 0").Exit.ShouldBe(0);
        new AppServices(Path.Combine(_folder, "data"),
            TimeProvider.System).Jobs.Job("winter-bread").Job.Take.Worn!.Livery
            .ShouldBe("estuary");
        run("livery", "winter-bread", "--livery", "estuary", "--colour", "red").Exit.ShouldBe(2);
        run("starter", "list").Out.ShouldContain("Our paperback 2");
    }
}
