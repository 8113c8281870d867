namespace Lumbeck.Desk.Tests;

/// <summary>Rules that look at inks, on real plates; mends, waivers and the job in trouble.</summary>
public sealed class PlateChecksTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;
    private readonly AppServices _desk;

    public PlateChecksTests() => _desk = new(DemoData.In(_folder), TimeProvider.System, DemoBench.Load);

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    private OnBench Do(string slug, params Edit[] edits)
    {
        foreach (var edit in edits) _desk.Jobs.Apply(slug, new(Guid.NewGuid().ToString("n"), "plates", _ => edit));
        return _desk.Jobs.Job(slug);
    }

    private List<Finding> Exactly(OnBench on, string id) =>
        [.. _desk.Checks.Exactly(on.Composed).Where(f => f.Id == id)];

    private static RectItem Rect(string id, Part panel, Anchor anchor, decimal mm, Ink ink) =>
        new()
        {
            Id = id,
            Hold = new(panel, HoldBox.Face, anchor, default, default),
            Width = new(Length.FromMillimetres(mm)),
            Height = new(Length.FromMillimetres(mm)),
            Fill = new InkPaint(ink)
        };

    [Fact]
    public void The_five_good_covers_have_neither_stop_nor_caution_at_press_resolution()
    {
        foreach (var slug in (string[])["tidewatcher", "orrin", "hive", "calder", "lighthouse"])
            _desk.Checks.Exactly(_desk.Jobs.Job(slug).Composed).Where(f => f.Severity != Severity.Note)
                .Select(f => $"{slug} {f.Id} {f.Item} {f.Measured}")
                .ShouldBeEmpty();
    }

    [Fact]
    public void In_the_job_in_trouble_every_trouble_is_found_each_mend_works_and_then_it_is_accepted()
    {
        var on = _desk.Jobs.Job("trouble");
        var stops = _desk.Checks.Exactly(on.Composed).Where(f => f.Severity == Severity.Stop).ToList();
        stops.Select(f => f.Id).Order()
            .ShouldBe(["barcode.digits", "ground.coverage", "picture.resolution", "zone.fold"]);
        foreach (var stop in stops)
        {
            var mended = _desk.Jobs.Worked(0,
                EditPipeline.Settle(_desk.Jobs.Mend("trouble", stop.Key).Apply(on.Job), _desk.Drawer.Shelf));
            mended.Drawn.ShouldNotContain(f => f.Id == stop.Id && f.Severity == Severity.Stop);
        }
        on = Do("trouble", _desk.Jobs.Mend("trouble", "all"));
        _desk.Checks.Exactly(on.Composed).ShouldNotContain(f => f.Severity == Severity.Stop);
        var row = _desk.Pressing.Press("trouble", new(PressKind.X4));
        (row.Accepted, row.Verdict, row.Stops).ShouldBe((true, "accepted", 0));
        // One press, one step: back again all of it is there.
        _desk.Jobs.Undo("trouble", "plates").Composed.Readiness.Stops.ShouldBe(4);
        Should.Throw<Refusal>(() => _desk.Jobs.Mend("trouble", "nothing/0/x/y"))
            .Message.ShouldContain("in the meantime");
    }

    [Fact]
    public void Too_much_ink_is_found_where_inks_overlap_and_mended_with_black_kept()
    {
        var heavy = Do("hive", new AddItem(Rect("heavy", Part.Back, Anchor.Middle, 20, Ink.Percent(90, 80, 80, 70))));
        var found = Exactly(heavy, "ink.total").ShouldHaveSingleItem();
        (found.Severity, found.Item).ShouldBe((Severity.Stop, "heavy"));
        var box = heavy.Composed.Sheets[0].Scene.Item("heavy")!.Frame.ToBox();
        ((double)(found.Place!.Value.X - box.X).Millimetres).ShouldBe(0, 0.6);
        var mended = Do("hive", found.Fix!);
        Exactly(mended, "ink.total").ShouldBeEmpty();
        ((InkPaint)((RectItem)mended.Job.Item("heavy")!).Fill!.Paint!).Ink.K.ShouldBe(7000);
        // Two lawful inks that are multiplied.
        var times = Do("hive", new RemoveItem("heavy"),
            new AddItem(Rect("one", Part.Back, Anchor.Middle, 20, Ink.Percent(70, 60, 60, 0))),
            new AddItem(Rect("two", Part.Back, Anchor.Middle, 15,
                Ink.Percent(60, 60, 60, 80)) with
            { Blend = Blend.Multiply }));
        Exactly(times, "ink.total").ShouldHaveSingleItem();
    }

    [Fact]
    public void Words_are_judged_by_what_truly_lies_behind_them()
    {
        TextItem text(Ink ink) =>
            new()
            {
                Id = "pale",
                Words = "Pale on pale",
                Hold = new(Part.Back, HoldBox.Safe, Anchor.Bottom, default, Length.FromMillimetres(-40)),
                Width = Span.Full,
                Height = new(Length.FromMillimetres(8)),
                Style = new() { Size = Length.FromPoints(12), Paint = new InkPaint(ink) }
            };
        var pale = Do("hive", new AddItem(text(Ink.Percent(0, 10, 60, 0))));
        Exactly(pale, "text.contrast").ShouldHaveSingleItem().Item.ShouldBe("pale");
        // The same ink with a dark plate under it.
        Exactly(Do("hive",
            new BackText("pale", new(new InkPaint(Ink.Percent(60, 50, 60, 80)), Length.FromPoints(4), default))),
            "text.contrast")
            .ShouldBeEmpty();
    }

    [Fact]
    public void A_barcode_is_read_from_the_plates_and_its_inks_are_seen_in_red()
    {
        var on = Do("tidewatcher",
            new AddItem(Rect("smear", Part.Back, Anchor.BottomRight, 30,
                Ink.Percent(0, 0, 0, 60)) with
            {
                Hold = new(Part.Back,
                HoldBox.Room, Anchor.BottomRight, default, default)
            }));
        Exactly(on, "barcode.readable").ShouldHaveSingleItem().Measured.ShouldBe("nothing read");
        on = Do("tidewatcher", new RemoveItem("smear"), BarcodeItem.PlateField.Set("barcode", false));
        var dark = Exactly(on, "barcode.ink").ShouldHaveSingleItem();
        dark.Severity.ShouldBe(Severity.Stop);
        Exactly(Do("tidewatcher", dark.Fix!), "barcode.ink").ShouldBeEmpty();
        // A QR code, with a price add-on beside the bars: both are read.
        on = Do("tidewatcher", new SetPrice(new(14.99m, "USD")),
            BarcodeItem.AddOnField.Set("barcode", ""), BarcodeItem.PercentField.Set("barcode", 90),
            new AddItem(new CodeItem
            {
                Id = "link",
                Hold = new(Part.Back, HoldBox.Safe, Anchor.Left, Length.FromInches(0.2m), Length.FromInches(1.2m)),
                Link = "https://example.org/tidewatcher",
                Level = CodeLevel.Q
            }));
        Exactly(on, "barcode.readable").ShouldBeEmpty();
        Exactly(on, "barcode.room").ShouldNotContain(f => f.Item == "link");
    }

    [Fact]
    public async Task Findings_of_plates_come_after_and_stay_until_newer_ones_do()
    {
        var on = Do("hive", new AddItem(Rect("heavy", Part.Back, Anchor.Middle, 20, Ink.Percent(90, 80, 80, 70))));
        on.Composed.IsPlated.ShouldBeFalse();
        var plated = await _desk.Pressing.CheckBeside(on);
        (plated.IsPlated, plated.Findings.Any(f => f.Id == "ink.total")).ShouldBe((true, true));
        _desk.Jobs.Job("hive").Composed.IsPlated.ShouldBeTrue();
        // Another edit: the old finding is shown until the new plates were looked at, a gone item's is not.
        on = Do("hive", new NameItem("plate", "Label"));
        (on.Composed.IsPlated, on.Composed.Findings.Any(f => f.Id == "ink.total")).ShouldBe((false, true));
        Do("hive", new RemoveItem("heavy")).Composed.Findings.ShouldNotContain(f => f.Id == "ink.total");
    }

    [Fact]
    public void What_is_said_of_a_picture_in_the_Drawer_is_heard_at_once()
    {
        var on = _desk.Jobs.Job("orrin");
        var hash = on.Job.Pictures.First().Hash;
        _desk.Drawer.Pictures.Say(hash, "", "", "");
        _desk.Jobs.Job("orrin").Composed.Findings.ShouldContain(f => f.Id == "picture.licence");
        _desk.Drawer.Pictures.Say(hash, "our own", "", "for any use");
        _desk.Jobs.Job("orrin").Composed.Findings.ShouldNotContain(f => f.Id == "picture.licence");
    }

    [Fact]
    public void Another_house_says_first_what_changes_and_each_house_s_file_is_in_the_register()
    {
        var on = _desk.Jobs.Job("tidewatcher");
        var there = _desk.Pressing.ForHouse(on, HouseFile.Shipped["plover"]);
        var changes = OtherHouse.Changes(on.Composed, there);
        changes.Single(c => c.What == "Standard").There.ShouldBe("PDF/X-1a:2003");
        changes.Select(c => c.What).ShouldContain("Marks");
        OtherHouse.New(on.Composed, there).ShouldContain(f => f.Id == "ticket.trim");
        _desk.Pressing.StartWorks();
        var ids = (string[])[_desk.Pressing.PressBeside(on, new(PressKind.X4)),
            _desk.Pressing.PressBeside(on, new(PressKind.X1a), "plover")];
        SpinWait.SpinUntil(() => ids.All(id => _desk.Pressing.Queue.Find(id)!.State is "done" or "failed"),
            TimeSpan.FromMinutes(3))
            .ShouldBeTrue();
        var rows = _desk.Pressing.Pressings("tidewatcher");
        rows.Select(r => (r.House, r.Accepted)).Order()
            .ShouldBe([("Plover Street Reprographics", true), ("Tern & Tallow", true)]);
        rows.ShouldAllBe(r => r.Revision == on.Revision);
        // The job itself is as it was.
        _desk.Jobs.Job("tidewatcher").Revision.ShouldBe(on.Revision);
        _desk.Pressing.Queue.Dispose();
    }

    [Fact]
    public void A_missing_picture_or_a_full_disk_leaves_no_half_file()
    {
        var on = _desk.Jobs.Job("lighthouse");
        Should.Throw<IOException>(() =>
            _desk.Pressing.Files.Keep(s =>
                { s.Write(new byte[5000]); throw new IOException("No space left on device"); }));
        Directory.GetFiles(Path.Combine(_folder, "files"), "*", SearchOption.AllDirectories).ShouldBeEmpty();
        File.Delete(_desk.Drawer.Pictures.PathOf(on.Job.Pictures.Single().Hash));
        Should.Throw<Refusal>(() => _desk.Pressing.Press("lighthouse", new(PressKind.X4))).Message
            .ShouldContain("evening-off-the-last-light.jpg can’t be printed, for its file is missing");
        _desk.Pressing.Pressings("lighthouse").ShouldBeEmpty();
    }
}
