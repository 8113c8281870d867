using System.IO.Compression;
using System.Security.Cryptography;
using System.Text;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;
using Lumbeck.Store;

namespace Lumbeck.Desk.Tests;

/// <summary>Orders: a pack and a plan in, files and a verdict out, in whatever program has them.</summary>
public sealed class OrderTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;
    private readonly AppServices _desk;

    public OrderTests() => _desk = new(DemoData.In(Path.Combine(_folder, "desk")), TimeProvider.System, DemoBench.Load);

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    private PressDesk Press => _desk.Pressing;

    private byte[] File(Order order)
    {
        using var file = new MemoryStream();
        Press.WriteOrder(order, file);
        return file.ToArray();
    }

    /// <summary>Does an order in a folder where nothing else is.</summary>
    private async Task<Made> DoneElsewhere(byte[] file)
    {
        var there = new AppServices(Path.Combine(_folder, Guid.NewGuid().ToString("n")), TimeProvider.System).Pressing;
        return OrderKinds.Do(there, await there.ReadOrder(new MemoryStream(file)), _ => { }, default);
    }

    [Fact, Wide]
    public async Task A_file_is_the_same_to_the_byte_whoever_makes_it_and_so_is_what_is_said_of_it()
    {
        // A cover with a picture; pages; another house; the front for screens.
        _desk.Jobs.Apply("hive", new("pages-00000001", "maker", _ =>
            new AddRun(new() { Id = "dots", Designs = [DesignShelf.Of("dots"), DesignShelf.Of("prompts")], Count = 32 })));
        var pages = Sweep.IsLong
            ? _desk.Bench.Places().Select(p => p.Slug).Where(s => _desk.Jobs.Job(s).Composed.Pages is not null)
            : ["hive"];
        PressPlan first(string slug) => new(_desk.Jobs.Job(slug).Job.Ticket.House.Kinds[0]);
        List<(string Slug, PressPlan Plan, string? House)> asked =
        [
            .. (Sweep.IsLong ? _desk.Bench.Places().Select(p => p.Slug) : ["trouble"])
                .Select(slug => (slug, first(slug), (string?)null)),
            .. pages.Select(slug => (slug,
                new PressPlan(_desk.Jobs.Job(slug).Job.Ticket.House.Inside.Kinds[0]) { Inside = true }, (string?)null)),
            ("tidewatcher", new(PressKind.X1a), "plover"),
            ("orrin", new(PressKind.Screen) { Pixels = 400 }, null),
        ];
        foreach (var (slug, plan, house) in asked)
        {
            var on = _desk.Jobs.Job(slug);
            var here = Press.Press(house is null ? on : on with
            {
                Composed = Press.ForHouse(on, _desk.Houses.Get(house).House),
            }, plan, null);
            var there = await DoneElsewhere(File(Press.Ordered(on, plan, house).Order));
            there.Pressed.ShouldBe(here with { Id = 0, At = "" }, $"{slug} {plan.Write()} {house}");
            Convert.ToHexStringLower(SHA256.HashData(System.IO.File.ReadAllBytes(there.Path!))).ShouldBe(here.File);
        }
    }

    [Fact]
    public async Task What_is_found_is_the_same_whoever_looks_with_the_edits_that_mend_it()
    {
        foreach (var place in Sweep.Spread(_desk.Bench.Places(), Sweep.IsWide ? 6 : 9))
        {
            var on = _desk.Jobs.Job(place.Slug);
            var glance = await DoneElsewhere(File(Order.Of(Order.Check, on, "", "")));
            glance.Found!.Value.ShouldBe(_desk.Checks.Plates(on.Composed), place.Slug);
            var exact = await DoneElsewhere(File(Order.Of(Order.Check, on, Order.Exact, "")));
            var found = Rules.Merged(_desk.Checks.Exactly(on.Composed), _desk.Checks.OfPages(on.Composed));
            Written(exact.Found!.Value).ShouldBe(Written(found), place.Slug);
            // And there and back through the queue.
            Written(Made.Read(new Made { Found = found }.Write()).Found!.Value).ShouldBe(Written(found));
        }
    }

    private static string Written(ImmutableArray<Finding> found) => new Made { Found = found }.Write();

    [Fact]
    public async Task A_picture_grows_alike_and_its_order_brings_the_picture_alone()
    {
        var on = _desk.Jobs.Apply("trouble", new("grow-00000001", "maker", _ => new GrowPicture("road", new(GrowWay.Stretch))));
        Press.GrowBeside(on);
        var order = Order.Read(Press.Queue.Of("trouble", "").Single().With);
        order.Job.ShouldBeNull();
        var made = await DoneElsewhere(File(order));
        made.Name.ShouldBe("salt-road.jpg-grown.jpg");
        var mark = on.Composed.Sheets[0].Scene.Item("road")!.Marks.OfType<GrownMark>().Single();
        var here = _desk.Drawer.Pictures.Grown.Make(mark.How, mark.Wide, preview: false, null, default);
        System.IO.File.ReadAllBytes(made.Path!).ShouldBe(System.IO.File.ReadAllBytes(here));
    }

    [Fact]
    public void What_is_ordered_stays_as_it_was_whatever_becomes_of_the_job()
    {
        var on = _desk.Jobs.Job("hive");
        var id = Press.PressBeside(on, new(PressKind.X1a));
        _desk.Jobs.Apply("hive", new("after-00000001", "maker", job => Facts.Write(job, "ticket/title", "Another title")));
        Press.StartWorks();
        SpinWait.SpinUntil(() => !Press.Queue.Find(id)!.IsOpen(), TimeSpan.FromMinutes(3)).ShouldBeTrue();
        Press.Queue.Dispose();
        var row = Press.Pressings("hive").Single();
        (row.Revision, row.Accepted).ShouldBe((on.Revision, true));
        row.Name.ShouldNotContain("Another");
        Made.Read(Press.Queue.Find(id)!.Made).Pressed!.File.ShouldBe(row.File);
    }

    [Fact]
    public void What_was_queued_before_orders_were_whole_is_done_as_it_was_meant()
    {
        var on = _desk.Jobs.Job("tidewatcher");
        var store = new WorkStore(_desk.Folder, TimeProvider.System);
        var plover = _desk.Houses.Get("plover").House;
        string[] ids =
        [
            store.Add("press", "tidewatcher", $"{on.Revision}/{new PressPlan(PressKind.X4).Write()}", "Pressing"),
            store.Add("press", "tidewatcher", $"{on.Revision}/{new PressPlan(PressKind.X1a).Write()}/plover", "Pressing"),
            store.Add("press", "tidewatcher", $"{on.Revision}/{new PressPlan(PressKind.X1a).Write()}/plover", "Pressing",
                HouseFile.Write(plover with { Name = "Plover as it was" })),
            store.Add("press", "tidewatcher", "nothing", "Pressing"),
        ];
        Press.StartWorks();
        SpinWait.SpinUntil(() => ids.All(id => !store.Find(id)!.IsOpen()), TimeSpan.FromMinutes(3)).ShouldBeTrue();
        Press.Queue.Dispose();
        ids.Select(id => store.Find(id)!.State).ShouldBe(["done", "done", "done", "failed"]);
        Press.Pressings("tidewatcher").Select(r => r.House).Order()
            .ShouldBe(["Plover Street Reprographics", "Plover as it was", "Tern & Tallow"]);
    }

    [Fact]
    public async Task A_program_with_nobody_for_it_is_told_what_another_found()
    {
        var on = _desk.Jobs.Apply("hive", new("look-00000001", "maker", job => Facts.Write(job, "ticket/pages", "160")));
        var store = new WorkStore(_desk.Folder, TimeProvider.System);
        // Another has it already when this one asks.
        var id = store.Add("check", "hive", $"{on.Revision}", "", Order.Of(Order.Check, on, "", "").Write());
        store.Take("another/1/1/1", only: id).ShouldNotBeNull();
        var asking = Press.CheckBeside(on);
        var found = _desk.Checks.Plates(on.Composed);
        store.End(id, "done", worker: "another/1/1/1", made: new Made { Found = found }.Write());
        var plated = await asking;
        (plated.IsPlated, _desk.Jobs.Job("hive").Composed.IsPlated).ShouldBe((true, true));
        plated.Plates!.Value.Found.ShouldBe(found);
    }

    [Fact]
    public async Task An_order_from_a_stranger_is_looked_over()
    {
        var on = _desk.Jobs.Job("trouble");
        var sound = File(Press.Ordered(on, new(PressKind.Mockup)).Order);
        async Task refused(byte[] file, string why) =>
            (await Should.ThrowAsync<Refusal>(() => DoneElsewhere(file))).Message.ShouldContain(why);
        byte[] order(string was, string now) => Changed(sound, "order.json", t => t.Replace(was, now, StringComparison.Ordinal));
        await refused([1, 2, 3], "damaged");
        await refused(sound[..(sound.Length / 2)], "damaged");
        await refused(order("\"press\"", "\"mend\""), "no order does");
        await refused(Changed(sound, "order.json", t => t.Replace(":1,", ":2,", StringComparison.Ordinal)), "later version");
        await refused(order("\"plan\"", "\"plans\""), "damaged");
        await refused(Changed(sound, "order.json", t => t + new string(' ', 20_000)), "longer");
        await refused(order("mockup", "nothing"), "nothing");
        await refused(order("trouble", "../trouble"), "no order does");
        await refused(order("\"at\":\"2", "\"at\":\"x"), "no order does");
        await refused(Changed(sound, "pack.zip", _ => "no pack"), "pack");
        var picture = on.Job.Pictures.First().Hash;
        var grown = new Grown(picture, GrowWay.Stretch, 1, Flip.None, 0, 0, 1, 1, 0.1, 0, 0, 0);
        var grow = File(new() { Kind = Order.Grow, Plan = $"{grown.Recipe}/400", Picture = "../../road" });
        (await DoneElsewhere(grow)).Name.ShouldBe("..-..-road-grown.jpg".TrimStart('.', '-'));
        byte[] growing(string was, string now) =>
            Changed(grow, "order.json", t => t.Replace(was, now, StringComparison.Ordinal));
        await refused(growing(picture[..8], "00000000"), "not the one");
        await refused(growing("/400", "/4000000"), "can’t be read");
    }

    private static byte[] Changed(byte[] file, string entry, Func<string, string> change)
    {
        using var from = new ZipArchive(new MemoryStream(file));
        using var made = new MemoryStream();
        using (var to = new ZipArchive(made, ZipArchiveMode.Create, leaveOpen: true))
            foreach (var e in from.Entries)
            {
                using var source = e.Open();
                using var read = new MemoryStream();
                source.CopyTo(read);
                using var s = to.CreateEntry(e.FullName).Open();
                var bytes = read.ToArray();
                s.Write(e.FullName == entry ? Encoding.UTF8.GetBytes(change(Encoding.UTF8.GetString(bytes))) : bytes);
            }
        return made.ToArray();
    }
}
