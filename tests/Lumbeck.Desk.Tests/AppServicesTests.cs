using Lumbeck.Desk;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;

namespace Lumbeck.Desk.Tests;

public sealed class AppServicesTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;
    private readonly AppServices _desk;
    private int _n;

    public AppServicesTests()
    {
        _desk = new(_folder, TimeProvider.System);
        _desk.Bench.Begin("Salt", Starters.Job(HouseFile.Shipped["tern"], "Salt"), "test-session");
    }

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    private OnBench Do(Edit edit, string session = "one", long? seen = null, string? gesture = null,
        string? id = null) =>
        _desk.Jobs.Apply("salt", new(id ?? $"edit-{_n++:00000000}", session, _ => edit, seen, gesture));

    [Fact]
    public void A_step_back_and_forward_gives_the_very_same_job()
    {
        var before = _desk.Jobs.Job("salt");
        var after = Do(new SetPages(340));
        after.Job.Ticket.Pages.ShouldBe(340);
        _desk.Jobs.Undo("salt", "one").Revision.ShouldBe(before.Revision);
        _desk.Jobs.Redo("salt", "one").Revision.ShouldBe(after.Revision);
        _desk.Jobs.Redo("salt", "one").Revision.ShouldBe(after.Revision);
    }

    [Fact]
    public void One_gesture_is_one_step()
    {
        var start = Do(new SetPages(100));
        foreach (var pages in new[] { 3, 34, 340 }) Do(new SetPages(pages), gesture: "typing");
        Do(new SetPages(350), gesture: "again");
        _desk.Jobs.Undo("salt", "one").Job.Ticket.Pages.ShouldBe(340);
        _desk.Jobs.Undo("salt", "one").Revision.ShouldBe(start.Revision);
        _desk.Jobs.Redo("salt", "one").Job.Ticket.Pages.ShouldBe(340);
        _desk.Jobs.Redo("salt", "one").Job.Ticket.Pages.ShouldBe(350);
    }

    [Fact]
    public void An_edit_after_a_step_back_becomes_a_sibling_and_nothing_is_deleted()
    {
        var first = Do(new SetPages(100));
        _desk.Jobs.Undo("salt", "one");
        var second = Do(new SetPages(220));
        _desk.Jobs.Undo("salt", "one");
        _desk.Jobs.Redo("salt", "one").Revision.ShouldBe(second.Revision);
        _desk.Jobs.Compose(first.Revision).Job.Ticket.Pages.ShouldBe(100);
    }

    [Fact]
    public void Stepping_back_at_the_beginning_stays_there()
    {
        var begun = _desk.Jobs.Job("salt");
        _desk.Jobs.Undo("salt", "one").Revision.ShouldBe(begun.Revision);
        _desk.Jobs.Steps(begun).ShouldBe((false, false));
    }

    [Fact]
    public void An_edit_sent_twice_is_applied_once()
    {
        var move = new AddSwatch(new("a", "A", Ink.Black));
        var once = Do(move, id: "the-same-id");
        Do(move, id: "the-same-id").Tick.ShouldBe(once.Tick);
    }

    [Fact]
    public void A_step_sent_twice_is_taken_once()
    {
        foreach (var pages in (int[])[320, 340, 360]) Do(new SetPages(pages));
        _desk.Jobs.Undo("salt", "one", "asked-once").Job.Ticket.Pages.ShouldBe(340);
        _desk.Jobs.Undo("salt", "one", "asked-once").Job.Ticket.Pages.ShouldBe(340);
        _desk.Jobs.Undo("salt", "one", "asked-again").Job.Ticket.Pages.ShouldBe(320);
        _desk.Jobs.Redo("salt", "one", "asked-forward").Job.Ticket.Pages.ShouldBe(340);
        _desk.Jobs.Redo("salt", "one", "asked-forward").Job.Ticket.Pages.ShouldBe(340);

        var house = _desk.Houses.Copy("tern").House.Id;
        foreach (var name in (string[])["One", "Two", "Three"]) _desk.Houses.Edit(house, "edit-" + name, "name", name);
        _desk.Houses.Step(house, forward: false, "house-asked").House.Name.ShouldBe("Two");
        _desk.Houses.Step(house, forward: false, "house-asked").House.Name.ShouldBe("Two");
    }

    [Fact]
    public void An_edit_that_changes_nothing_leaves_no_step()
    {
        var on = _desk.Jobs.Job("salt");
        Do(new SetPages(on.Job.Ticket.Pages)).Tick.ShouldBe(on.Tick);
    }

    [Fact]
    public void What_another_session_changed_is_refused_with_both_values()
    {
        var seen = _desk.Jobs.Job("salt").Tick;
        Do(new SetPages(340), "one", seen);
        var conflict = Should.Throw<Conflict>(() => Do(new SetPages(320), "two", seen));
        (conflict.Path, conflict.Label, conflict.Theirs, conflict.Yours)
            .ShouldBe(("ticket/pages", "Pages", "340", "320"));
        _desk.Jobs.Job("salt").Job.Ticket.Pages.ShouldBe(340);
        // Another fact is no conflict, nor is going ahead all the same.
        Do(new SetFact(TicketFact.Author, "A. Vane"), "two", seen).Job.Ticket.Pages.ShouldBe(340);
        Do(new SetPages(320), "two").Job.Ticket.Pages.ShouldBe(320);
    }

    [Fact]
    public void One_s_own_edits_never_conflict_and_another_s_that_came_back_to_the_same_do_not_either()
    {
        var seen = _desk.Jobs.Job("salt").Tick;
        Do(new SetPages(340), "one", seen);
        Do(new SetPages(350), "one", seen).Job.Ticket.Pages.ShouldBe(350);
        Do(new SetPages(300), "two");
        Should.Throw<Conflict>(() => Do(new SetPages(100), "one", seen));
        Do(new SetPages(200), "two");
        Do(new SetPages(100), "one", seen).Job.Ticket.Pages.ShouldBe(100);
    }

    [Fact]
    public void A_removed_item_is_told_as_such()
    {
        Do(new AddItem(Starters.Item(_desk.Jobs.Job("salt").Job, "title", Part.Front, "title")));
        var seen = _desk.Jobs.Job("salt").Tick;
        Do(new RemoveItem("title"), "one", seen);
        Should.Throw<Conflict>(() => Do(new SetWords("title", "Brine"), "two", seen)).Theirs.ShouldBe("not there");
    }

    [Fact]
    public void A_refused_edit_leaves_the_last_good_sheet()
    {
        var on = _desk.Jobs.Job("salt");
        Should.Throw<Refusal>(() => Do(new SetPages(0)));
        Should.Throw<Refusal>(() => Do(new StyleText("title", Face: new("no-such-face", 400, false))));
        Do(new AddItem(Starters.Item(on.Job, "title", Part.Front, "title")));
        Should.Throw<Refusal>(() => Do(new StyleText("title", Face: new("no-such-face", 400, false)))).Message
            .ShouldContain("no face is called");
        _desk.Jobs.Job("salt").Job.Ticket.Pages.ShouldBe(on.Job.Ticket.Pages);
    }

    [Fact]
    public async Task Two_desks_on_one_store_lose_nothing()
    {
        var other = new AppServices(DemoData.In(_folder), TimeProvider.System, DemoBench.Load);
        await Task.WhenAll(Enumerable.Range(0, 2).Select(d => Task.Run(() =>
        {
            for (var i = 0; i < 40; i++)
                (d == 0 ? _desk : other)
                    .Jobs.Apply("salt",
                        new($"swatch-{d}-{i:0000}", $"desk-{d}",
                            _ => new AddSwatch(new($"s{d}-{i}", $"S {d} {i}", Ink.Black))));
        })));
        _desk.Jobs.Job("salt").Job.Swatches.Count.ShouldBe(80);
        other.Jobs.Job("salt").Job.Swatches.Count.ShouldBe(80);
    }

    [Fact]
    public async Task Several_desks_that_open_an_empty_folder_at_once_load_one_demo_bench()
    {
        var folder = Path.Combine(_folder, "new");
        var desks = await Task.WhenAll(Enumerable.Range(0, 4)
            .Select(_ => Task.Run(() => new AppServices(folder, TimeProvider.System, DemoBench.Load))));
        foreach (var desk in desks)
            desk.Bench.All().Select(j => j.Slug)
                .ShouldBe(["tidewatcher", "orrin", "hive", "calder", "lighthouse", "trouble", "monday", "crossing",
                    "lamp", "pass"]);
    }

    [Fact]
    public void The_demo_cover_has_nothing_that_would_stop_it()
    {
        var desk = new AppServices(DemoData.In(Path.Combine(_folder, "demo")), TimeProvider.System, DemoBench.Load);
        var on = desk.Jobs.Job("tidewatcher");
        on.Composed.Findings.ShouldAllBe(f => f.Severity == Severity.Note);
        desk.Jobs.Steps(on).ShouldBe((false, false));
        on.Composed.Geometry.Spine.Width.ShouldBe(Length.FromMillimetres(21.06m));
        SpineFit.Of(on.Job.Take, on.Composed.Sheets[0].Scene)!.Value.ShouldBeGreaterThan(Length.FromPoints(25));
    }

    [Fact]
    public void A_pressed_file_is_kept_under_the_house_s_name_with_its_revision()
    {
        var desk = new AppServices(DemoData.In(Path.Combine(_folder, "demo")), TimeProvider.System, DemoBench.Load);
        var row = desk.Pressing.Press("tidewatcher", new PressPlan(PressKind.X4));
        row.Name.ShouldBe("The-Tidewatchers-Ledger_cover_312p_x4.pdf");
        row.Revision.ShouldBe(desk.Jobs.Job("tidewatcher").Revision);
        using (var file = desk.Pressing.Pressed("tidewatcher", row.Id).File) file.Length.ShouldBe(row.Bytes);
        desk.Pressing.Press("tidewatcher", new PressPlan(PressKind.X4)).File.ShouldBe(row.File);
        Should.Throw<Refusal>(() => desk.Pressing.Press("tidewatcher", new PressPlan(PressKind.X1a)));
        Should.Throw<Refusal>(() => desk.Pressing.Pressed("tidewatcher", 9999));
    }

    [Fact]
    public void Addresses_are_plain_and_never_taken_twice()
    {
        Job job = Starters.Job(HouseFile.Shipped["tern"], "x");
        _desk.Bench.Begin("Salt", job, "s").Slug.ShouldBe("salt-2");
        _desk.Bench.Begin("../../etc/passwd", job, "s").Slug.ShouldBe("etc-passwd");
        _desk.Bench.Begin("שלום", job, "s").Slug.ShouldBe("cover");
        Should.Throw<Refusal>(() => _desk.Jobs.Job("nowhere")).Message.ShouldContain("`nowhere`");
    }

    [Fact]
    public void Steps_are_listed_named_and_brought_back_as_new_ones()
    {
        foreach (var pages in new[] { 120, 130, 140 }) Do(new SetPages(pages), gesture: "typing");
        var named = Do(new SetFact(TicketFact.Title, "Brine"));
        Do(new SetPages(300));
        _desk.Jobs.Undo("salt", "one");
        Do(new SetPages(310));
        var on = _desk.Jobs.Job("salt");
        var steps = _desk.Jobs.StepList(on);
        steps.Select(s => (s.Row.Says, s.Row.Parts, s.Here, s.Led))
            .ShouldBe([("pages", 1, true, true), ("pages", 1, false, false), ("title", 1, false, true),
                ("pages", 3, false, true), ("begun", 1, false, true)]);
        _desk.Jobs.NameStep("salt", named.Revision, "sent to the author");
        _desk.Jobs.StepList(on, named: true).Single().Row.Name.ShouldBe("sent to the author");
        _desk.Jobs.NameStep("salt", named.Revision, "sent to her");
        _desk.Jobs.StepList(on, named: true).Single().Row.Name.ShouldBe("sent to her");
        _desk.Jobs.NameStep("salt", named.Revision, " ");
        _desk.Jobs.StepList(on, named: true).ShouldBeEmpty();

        var back = Do(_desk.Jobs.BringBack("salt", named.Revision));
        JobJson.Write(back.Job).ShouldBe(JobJson.Write(named.Job));
        back.Revision.ShouldNotBe(named.Revision);
        _desk.Jobs.Undo("salt", "one").Job.Ticket.Pages.ShouldBe(310);
        _desk.Bench.Begin("Other", Starters.Job(HouseFile.Shipped["tern"], "Other"), "test-session");
        Should.Throw<Refusal>(() => _desk.Jobs.BringBack("other", named.Revision));
        Should.Throw<Refusal>(() => _desk.Jobs.NameStep("other", named.Revision, "x"));
        Should.Throw<Refusal>(() => _desk.Jobs.NameStep("salt", named.Revision, new string('x', 61)));
    }

    [Fact]
    public void A_sheet_that_changes_under_its_items_says_which_want_a_look_until_they_have_had_it()
    {
        Do(new SetPages(312));
        Do(new AddItem(Starters.Item(_desk.Jobs.Job("salt").Job, "title", Part.Spine, "spine-title")));
        Do(new StyleText("spine-title", Size: Length.FromPoints(44)));
        Do(new SetPages(180)).Job.Looks.Single().Item.ShouldBe("spine-title");
        // A step back has none; forward again it is there, also for another program on this store.
        _desk.Jobs.Undo("salt", "one").Job.Looks.ShouldBeEmpty();
        _desk.Jobs.Redo("salt", "one");
        new AppServices(DemoData.In(_folder), TimeProvider.System,
            DemoBench.Load).Jobs.Job("salt").Job.Looks.Count.ShouldBe(1);
        Do(new MarkReviewed("spine-title")).Job.Looks.ShouldBeEmpty();
    }

    /// <summary>A motif whose file is gone can be worked beside; one that was never here is not laid.</summary>
    [Fact]
    public void A_motif_that_is_not_here_refuses_only_the_edit_that_lays_it()
    {
        var gone = new Picture(new('a', 64), "gull.svg", 6000, 4000, false) { IsDrawing = true };
        var paper = (OwnMotif)PatternShelf.Kinds.First(k => k is OwnMotif) with { Motif = gone };
        Should.Throw<Refusal>(() => Do(new LayPattern(paper))).Message.ShouldContain("gull.svg is not in this drawer");
        var with = new LayPattern(paper).Apply(_desk.Jobs.Job("salt").Job);
        _desk.Bench.Begin("With a gull", with, "test", "gull");
        _desk.Jobs.Apply("gull", new(Guid.NewGuid().ToString(), "test", _ => new SetPages(200)))
            .Job.Ticket.Pages.ShouldBe(200);
    }

    [Fact]
    public void Every_starter_can_be_added_to_every_panel_it_is_offered_on()
    {
        foreach (var part in new[] { Part.Front, Part.Back, Part.Spine, Part.Sheet })
            foreach (var (word, _) in Starters.For(part))
                Do(new AddItem(Starters.Item(_desk.Jobs.Job("salt").Job, word, part, $"{part.Word()}-{word}")));
        var on = _desk.Jobs.Job("salt");
        on.Job.Take.Items.Count.ShouldBe(57);
        on.Composed.Findings.Where(f => f.Id is "text.overset" or "zone.trim" or "zone.fold").ShouldBeEmpty();
    }

    /// <summary>A new item lies over no other and not on the barcode's room, smaller where the room is small.</summary>
    [Fact]
    public void What_is_added_lands_where_its_panel_is_free()
    {
        var job = _desk.Jobs.Job("salt").Job;
        job = new SetFact(TicketFact.Blurb, string.Join(' ', Enumerable.Repeat("tide", 90))).Apply(job);
        foreach (var word in (string[])["blurb", "imprint"]) job = new AddItem(Starters.Item(job, word, Part.Back, word)).Apply(job);
        var sheet = job.Sheets()[0].Sheet;
        Bounds lies(Item i) => Placement.Of(i, sheet)!.ToSheet.Of(new Bounds(0, 0, Placement.Of(i, sheet)!.Box.Width.Points,
            Placement.Of(i, sheet)!.Box.Height.Points));
        bool meet(Bounds a, Bounds b) => a.Left < b.Right && b.Left < a.Right && a.Top < b.Bottom && b.Top < a.Bottom;
        var room = sheet.Zone(ZoneKind.Barcode, Part.Back)!.Box;
        foreach (var word in (string[])["ornament", "ellipse", "star", "text"])
        {
            var item = FreePlace.Of(Starters.Item(job, word, Part.Back, word), job, 0);
            job.Items.Any(i => meet(lies(i), lies(item))).ShouldBeFalse(word);
            meet(lies(item), Bounds.Of(room)).ShouldBeFalse(word);
        }
        // Without room it is where it always was; what fills its panel is not moved.
        var full = new AddItem(Starters.Item(job, "rectangle", Part.Front, "r") with { Width = new(default, 0.7m), Height = Span.Full })
            .Apply(job);
        var star = Starters.Item(full, "star", Part.Front, "s");
        var band = Starters.Item(full, "band", Part.Front, "b");
        FreePlace.Of(band, full, 0).Hold.ShouldBe(band.Hold);
        FreePlace.Of(star, full, 0).Hold.ShouldBe(star.Hold);
    }

    /// <summary>Whatever takes a paint takes a screen's colour and a Lab colour, brought to inks.</summary>
    [Theory]
    [InlineData("#2a6350")]
    [InlineData("rgb 42 99 80")]
    [InlineData("lab 38 -24 8")]
    public void A_colour_is_read_wherever_a_paint_is_typed(string typed)
    {
        var job = _desk.Jobs.Job("salt").Job;
        foreach (var kind in (string[])["title", "rectangle", "line", "plate", "code"])
            job = new AddItem(Starters.Item(job, kind, Part.Front, kind)).Apply(job);
        job = new LayPattern(PatternShelf.Kinds[0])
            .Apply(new PatternShape("rectangle", PatternShelf.Kinds[0]).Apply(job));
        var paints = job.Items.SelectMany(ItemFacts.Of).Concat(GroundFacts.Of(job, 0)).Where(f => f.TakesColour)
            .Select(f => f.Path).ToList();
        foreach (var path in (string[])["item/title/ink", "item/title/edge", "item/title/shadow", "item/title/backing",
            "item/plate/fill", "item/plate/line", "item/code/ink", "item/rectangle/paper-paint-1", "ground/paint",
            "ground/paper-paint-1"])
            paints.ShouldContain(path);
        foreach (var path in paints)
        {
            var after = Facts.Write(job, path, _desk.Drawer.InInks(job, path, typed)).Apply(job);
            Facts.Read(after, path).ShouldMatch("^[0-9.]+ [0-9.]+ [0-9.]+ [0-9.]+$", path);
        }
        // The letters of a text, too.
        _desk.Drawer.InInks(job, "item/title/ink@0-3", typed).ShouldNotBe(typed);
        _desk.Drawer.InInks(job, "item/title/words", typed).ShouldBe(typed);
    }

    [Fact]
    public void A_job_is_removed_only_when_it_was_put_away_and_leaves_nothing_behind()
    {
        Do(new SetPages(240));
        _desk.Jobs.NameStep("salt", _desk.Jobs.Job("salt").Revision, "first");
        var other = _desk.Bench.Begin("Brine", Starters.Copy(_desk.Jobs.Job("salt").Job), "s");
        Should.Throw<Refusal>(() => _desk.Bench.Remove("salt")).Message.ShouldContain("put it away first");
        _desk.Bench.PutAway("salt");
        _desk.Bench.All().ShouldHaveSingleItem().Slug.ShouldBe(other.Slug);
        _desk.Bench.CountAway.ShouldBe(1);
        _desk.Jobs.Job("salt").Job.Ticket.Pages.ShouldBe(240);
        _desk.Bench.PutAway("salt", away: false);
        _desk.Bench.All().Count.ShouldBe(2);
        _desk.Bench.PutAway("salt");
        _desk.Bench.Remove("salt");
        Should.Throw<Refusal>(() => _desk.Jobs.Job("salt"));
        _desk.Bench.CountAway.ShouldBe(0);
        _desk.Jobs.Job(other.Slug).Job.Ticket.Pages.ShouldBe(240);
        // Its address is free again.
        _desk.Bench.Begin("Salt", Starters.Job(HouseFile.Shipped["tern"], "Salt"), "s").Slug.ShouldBe("salt");
    }
}
