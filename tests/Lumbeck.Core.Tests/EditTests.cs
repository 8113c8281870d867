namespace Lumbeck.Core.Tests;

public sealed class EditTests
{
    private static string Text(Job job) => System.Text.Encoding.UTF8.GetString(JobJson.Write(job));

    private static Job Write(Job job, string path, string text) => Facts.Write(job, path, text).Apply(job);

    [Fact]
    public void Every_fact_read_can_be_written_back_and_changes_nothing()
    {
        var job = Sample.Job(new RectItem
        {
            Id = "band",
            Hold = new(Part.Spine, HoldBox.Edge, Anchor.Middle, default, default),
            Width = Span.Full,
            Height = new(Length.FromInches(0.25m), 0.5m),
            Fill = new SwatchPaint("sea", 3000)
        },
            new BarcodeItem { Id = "code", Hold = new(Part.Back, HoldBox.Room, Anchor.Middle, default, default) });
        job = job.With(0,
            job.Take with
            {
                Ground = job.Take.Ground with
                {
                    Pattern = new ContourLines { Seed = 3, Paints = [new InkPaint(Ink.Black)] },
                },
            });
        var facts = TicketFacts.All.Concat(GroundFacts.Of(job, 0)).Concat(GroundFacts.OfSwatch("sea"))
            .Concat(job.Take.Items.SelectMany(ItemFacts.Of)).ToList();
        facts.Count.ShouldBeGreaterThan(60);
        foreach (var fact in facts)
        {
            var again = Write(job, fact.Path, fact.Read(job));
            fact.Read(again).ShouldBe(fact.Read(job), fact.Path);
            Text(again).ShouldBe(Text(job), fact.Path);
        }
    }

    [Theory]
    [InlineData("ticket/pages", "340")]
    [InlineData("ticket/trim", "6 x 9 in")]
    [InlineData("ticket/reading", "rtl")]
    [InlineData("ticket/pinned", "0.9 in")]
    [InlineData("ticket/paper", "376 ppi")]
    [InlineData("ticket/flaps", "3.5 in")]
    [InlineData("ticket/imprint", "Skerry & Vane")]
    [InlineData("item/title/size", "20 pt")]
    [InlineData("item/title/ink", "Sea 40 %")]
    [InlineData("item/title/stand", "foot")]
    [InlineData("item/title/x", "0.3 in")]
    [InlineData("item/title/height", "50 % + 0.1 in")]
    [InlineData("item/title/turned", "-15")]
    [InlineData("item/band/fill", "black")]
    [InlineData("item/band/corner", "0.1 in")]
    [InlineData("item/code/percent", "90 %")]
    [InlineData("item/code/number", "9783161484100")]
    [InlineData("ground/paper-seed", "8")]
    [InlineData("ground/paper-paint-1", "white")]
    [InlineData("ground/paint", "10 0 0 0")]
    [InlineData("swatch/sea/mix", "10 20 30 40")]
    public void An_edit_touches_what_it_changes_and_changes_nothing_else(string path, string text)
    {
        var job = Sample.Job(new RectItem
        {
            Id = "band",
            Hold = new(Part.Spine, HoldBox.Edge, Anchor.Middle, default, default),
            Width = Span.Full,
            Height = Span.Full,
            Fill = new SwatchPaint("sea")
        },
            new BarcodeItem { Id = "code", Hold = new(Part.Back, HoldBox.Room, Anchor.Middle, default, default) });
        job = new LayPattern(new ContourLines { Seed = 3, Paints = [new InkPaint(Ink.Black)] }).Apply(job);
        var edit = Facts.Write(job, path, text);
        var after = edit.Apply(job);
        Facts.Read(after, path).ShouldNotBe(Facts.Read(job, path));
        var all = TicketFacts.All.Concat(GroundFacts.Of(job, 0)).Concat(GroundFacts.OfSwatch("sea"))
            .Concat(job.Take.Items.SelectMany(ItemFacts.Of)).Select(f => f.Path);
        // Whatever else reads otherwise is a view of the same: a paper's figure in four ways, a share of a box beside
        // its length.
        Touched.Between(job, after).ShouldNotBeEmpty();
        Touched.Between(job, after).ShouldAllBe(address => Thing(address) == Of(path));
        all.Where(p => Facts.Read(after, p) != Facts.Read(job, p)).ShouldAllBe(p => Of(p) == Of(path));
    }

    private static string Of(string path) => path[..path.LastIndexOf('/')];

    private static string Thing(Address address) => address switch
    {
        TicketAddress => "ticket",
        ItemAddress i => $"item/{i.Item}",
        SwatchAddress s => $"swatch/{s.Swatch}",
        TakeAddress => "ground",
        _ => address.ToString(),
    };

    [Fact]
    public void Changes_of_one_thing_meet_and_those_of_others_do_not()
    {
        var job = Sample.Job();
        IReadOnlySet<Address> touched(Edit edit) => Touched.Between(job, edit.Apply(job));
        bool meet(Edit one, Edit other) => touched(one).Any(a => touched(other).Any(a.Meets));
        meet(new StyleText("title", Size: Length.FromPoints(20)), new StyleText("title", Size: Length.FromPoints(21)))
            .ShouldBeTrue();
        meet(new StyleText("title", Size: Length.FromPoints(20)), new StyleText("title", Leading: 1.5m))
            .ShouldBeFalse();
        meet(new RemoveItem("title"), new MoveItem("title", Length.FromPoints(1), default)).ShouldBeTrue();
        meet(new RemoveItem("title"), new MoveItem("author", Length.FromPoints(1), default)).ShouldBeFalse();
        meet(new SetPages(340), new SetFact(TicketFact.Title, "Brine")).ShouldBeFalse();
        touched(new AddTake(0, "another", "Another"))
            .ShouldBe([new WrapAddress(0, "takes"), new WrapAddress(0, "current")], ignoreOrder: true);
        touched(new OrderItem("title", 1)).ShouldBe([new TakeAddress(0, "first", "order")]);
    }

    [Fact]
    public void Every_edit_survives_JSON()
    {
        var job = Sample.Job();
        Edit[] edits =
        [
            new SetPages(340), new SetTrim(Size.FromInches(6, 9)),
                new SetPaper(new("376 ppi", Caliper.FromPagesPerInch(376))), new SetIsbn("9780000000002"),
                new SetFact(TicketFact.Title, "Brine"),
            new SetHouse(HouseFile.Shipped["tern"]), new PinSpine(Length.FromMillimetres(21.1m)),
                new AddItem(Sample.Text("new", "Words")), new MoveItem("title", Length.FromPoints(1), default),
            new StyleText("title", Size: Length.FromPoints(20), Paint: new SwatchPaint("sea")),
                new HoldItem("title", Anchor: Anchor.Bottom),
                new LayPattern(new ContourLines { Seed = 4, Paints = [new InkPaint(Ink.Black)] }),
                new AddSwatch(new("x", "X", Ink.Black)),
        ];
        foreach (var edit in edits)
            Text(EditJson.Read(EditJson.Write(edit)).Apply(job)).ShouldBe(Text(edit.Apply(job)), edit.GetType().Name);
        Text(JobJson.Read(JobJson.Write(job))).ShouldBe(Text(job));
    }

    [Fact]
    public void Items_hold_to_their_panels_when_the_sheet_grows()
    {
        var job = Sample.Job();
        var before = Sample.Scene(job);
        var after = Sample.Scene(new SetPages(340).Apply(job));
        after.Surface.Panel(Part.Spine)!.Face.Width.ShouldBe(Length.FromMillimetres(22.95m));
        var grown = (after.Surface.Panel(Part.Front)!.Face.X - before.Surface.Panel(Part.Front)!.Face.X).Points;
        (after.Item("title")!.Frame.Left - before.Item("title")!.Frame.Left).ShouldBe(grown, 1e-6);
    }

    [Theory]
    [InlineData(Part.Front, Anchor.BottomRight, HoldBox.Edge)]
    [InlineData(Part.Front, Anchor.TopLeft, HoldBox.Face)]
    [InlineData(Part.Spine, Anchor.Left, HoldBox.Edge)]
    public void A_new_anchor_leaves_an_item_where_it_lies(Part panel, Anchor anchor, HoldBox box)
    {
        var job = Sample.Job(Sample.Text("t", "Words", panel: panel, wide: 1, high: 0.3m, dx: 0.1m, dy: 0.05m));
        var moved = new HoldItem("t", Box: box, Anchor: anchor).Apply(job);
        moved.Item("t")!.Hold.ShouldNotBe(job.Item("t")!.Hold);
        var (was, now) = (Sample.Scene(job).Item("t")!.Frame, Sample.Scene(moved).Item("t")!.Frame);
        now.Left.ShouldBe(was.Left, 1e-6);
        now.Top.ShouldBe(was.Top, 1e-6);
    }

    [Fact]
    public void Spine_words_read_down_the_spine_from_its_head()
    {
        var job = Sample.Job(Sample.Text("s", "Salt", panel: Part.Spine, anchor: Anchor.TopLeft, wide: 2, high: 0.4m));
        var scene = Sample.Scene(job);
        var safe = scene.Surface.Panel(Part.Spine)!.Safe;
        var frame = scene.Item("s")!.Frame;
        frame.Top.ShouldBe(safe.Y.Points, 1e-6);
        frame.Right.ShouldBe(safe.Right.Points, 1e-6);
        (frame.Bottom - frame.Top).ShouldBe(144, 1e-6);
    }

    [Fact]
    public void A_title_changed_on_the_ticket_changes_where_the_cover_says_it()
    {
        var job = Write(Sample.Job(), "ticket/title", "Brine");
        ((TextItem)job.Item("title")!).Words.ShouldBe("Brine");
        ((TextItem)job.Item("author")!).Words.ShouldBe("A. Vane");
        var own = Write(Write(job, "item/title/words", "BRINE!"), "ticket/title", "Salt");
        ((TextItem)own.Item("title")!).Words.ShouldBe("BRINE!");
    }

    [Theory]
    [InlineData("ticket/pages", "lots", "`lots` is no whole number: try `312`")]
    [InlineData("ticket/pages", "0", "0 pages make no book")]
    [InlineData("ticket/trim", "6x", "`6x` needs a height")]
    [InlineData("ticket/isbn", "9780000000003", "should be 2")]
    [InlineData("ticket/binding", "case", "binds no case: take paperback")]
    [InlineData("ticket/paper", "parchment", "pick Cream 90")]
    [InlineData("ticket/paper", "3 mm", "papers run from 0.02 mm to 1.5 mm")]
    [InlineData("item/title/size", "0 pt", "type of 0 pt can't be set")]
    [InlineData("item/title/ink", "Oceanic", "no swatch here is called `Oceanic`: pick one of Sea")]
    [InlineData("item/title/ink", "120 0 0 0", "cyan at 120 %: an ink runs from 0 to 100 %")]
    [InlineData("item/title/width", "0", "leaves nothing to see")]
    [InlineData("item/gone/words", "x", "was removed in the meantime")]
    [InlineData("swatch/sea/name", "4ever", "not beginning with a digit")]
    [InlineData("nonsense", "x", "nothing called `nonsense`")]
    public void What_cannot_be_made_is_refused_in_one_sentence(string path, string text, string says) =>
        Should.Throw<Refusal>(() => Write(Sample.Job(), path, text)).Message.ShouldContain(says);

    [Fact]
    public void Characters_that_control_machines_are_no_letters()
    {
        Write(Sample.Job(), "ticket/title", "Salt\u0001 and\tSand").Ticket.Title.ShouldBe("Salt  and Sand");
        ((TextItem)Write(Sample.Job(), "item/title/words", "one\r\ntwo\tthree\u0000").Item("title")!)
            .Words.ShouldBe("one\ntwo three ");
    }

    [Fact]
    public void A_locked_item_is_left_alone_until_it_is_unlocked()
    {
        var job = Write(Sample.Job(), "item/title/locked", "yes");
        Should.Throw<Refusal>(() => Write(job, "item/title/x", "1 in")).Message.ShouldContain("locked");
        Should.Throw<Refusal>(() => new RemoveItem("title").Apply(job));
        Write(Write(job, "item/title/locked", "no"), "item/title/x", "1 in")
            .Item("title")!.Hold.Dx.ShouldBe(Length.FromInches(1));
    }

    [Fact]
    public void A_changed_swatch_changes_every_use_and_its_tints()
    {
        var job = new SetSwatch("sea", Ink: Ink.Percent(10, 20, 30, 40)).Apply(Sample.Job());
        job.Take.Ground.Paint!.Resolve(job.Swatches).ShouldBe(Ink.Percent(10, 20, 30, 40));
        new SwatchPaint("sea", 5000).Resolve(job.Swatches).ShouldBe(Ink.Percent(5, 10, 15, 20));
    }

    [Fact]
    public void A_wider_window_of_contour_lines_shows_the_same_lines()
    {
        var paper = new ContourLines { Seed = 41, Paints = [new InkPaint(Ink.Black)] };
        var small = Points(new(0, 0, 100, 100));
        var large = Points(new(-60, -20, 140, 120));
        // Every line that lies well within the smaller window is there in the larger, point for point.
        small.Where(p => p.X is > 10 and < 90 && p.Y is > 10 and < 90).Except(large).Count().ShouldBeLessThan(3);
        HashSet<(double X, double Y)> Points(Bounds window) =>
            [.. paper.Over(window).OfType<Core.Art.Sketches.Line>()
                .SelectMany(l => l.Shape.Points.Chunk(2).Select(c => (Math.Round(c[0], 2), Math.Round(c[1], 2))))];
    }

    [Fact]
    public void What_is_dropped_lies_where_it_was_let_go_and_hangs_on_the_panel_its_middle_is_on()
    {
        var job = Sample.Job(Sample.Text("note", "By hand"));
        Box at(Job j) => Placement.Of(j.Item("note")!, j.Geometry().Sheet)!.OnSheet(j.Item("note")!);
        var before = at(job);
        var nudged = new DropItem("note", Length.FromInches(0.25m), Length.FromInches(-0.5m)).Apply(job);
        (at(nudged).X - before.X, at(nudged).Y - before.Y, nudged.Item("note")!.Hold.Panel)
            .ShouldBe((Length.FromInches(0.25m), Length.FromInches(-0.5m), job.Item("note")!.Hold.Panel));
        // From the front over the spine to the back, and to where the spine is read level: its middle stays under the
        // hand.
        foreach (var (left, panel) in ((decimal, Part)[])[(3.04m, Part.Spine), (6, Part.Back)])
        {
            var moved = new DropItem("note", Length.FromInches(-left), Length.Zero).Apply(job);
            moved.Item("note")!.Hold.Panel.ShouldBe(panel);
            var (was, now) = (before, at(moved));
            var off = (now.X + (0.5m * now.Width)) - (was.X + (0.5m * was.Width)) + Length.FromInches(left);
            Length.Abs(off).ShouldBeLessThan(Length.FromInches(0.001m));
        }
        // Off every panel it keeps the one it had, and is kept.
        new DropItem("note", Length.FromInches(90), Length.Zero).Apply(job)
            .Item("note")!.Hold.Panel.ShouldBe(Part.Front);
        Should.Throw<Refusal>(() =>
            new DropItem("note", Length.Zero, Length.Zero).Apply(new LockItem("note", true).Apply(job)))
            .Message
            .ShouldContain("unlock it first");
    }

    [Fact]
    public void The_lines_a_hand_is_drawn_to_are_the_panels_middles_safe_lines_and_edges()
    {
        var sheet = Sample.Job().Geometry().Sheet;
        var front = sheet.Panel(Part.Front)!;
        SnapLines.Upright(sheet)
            .ShouldContain(l => l.At == front.Face.X + (0.5m * front.Face.Width) && l.Says == "middle of the front");
        SnapLines.Upright(sheet).ShouldContain(l => l.At == front.Safe.X && l.Says == "safe line of the front");
        SnapLines.Level(sheet).Select(l => l.At).ShouldBeUnique();
    }

    [Fact]
    public void One_press_centres_stretches_copies_and_mirrors_and_the_result_follows_the_sheet()
    {
        var job = Sample.Job(new RectItem
        {
            Id = "plate",
            Hold = new(Part.Front, HoldBox.Safe, Anchor.BottomLeft, Length.FromInches(0.3m), Length.FromInches(-0.4m)),
            Width = new(Length.FromInches(1)),
            Height = new(Length.FromInches(0.5m)),
            Fill = new SwatchPaint("sea")
        });
        Box at(Job j, string id = "plate") => Placement.Of(j.Item(id)!, j.Geometry().Sheet)!.OnSheet(j.Item(id)!);
        var front = job.Geometry().Sheet.Panel(Part.Front)!;
        var centred = new CentreItem("plate").Apply(job);
        (at(centred).X - front.Face.X, at(centred).Y).ShouldBe((front.Face.Right - at(centred).Right, at(job).Y));
        at(new CentreItem("plate", DownToo: true).Apply(job))
            .ShouldSatisfyAllConditions(b => (b.Y - front.Face.Y).ShouldBe(front.Face.Bottom - b.Bottom));
        // It keeps the box it hangs by; what is drawn aside of its own box's middle is what is centred.
        centred.Item("plate")!.Hold.Box.ShouldBe(HoldBox.Safe);
        var aside = new CentreItem("plate") { Drawn = (Length.FromInches(-0.25m), default) }.Apply(job);
        (at(aside).X - at(centred).X).ShouldBe(Length.FromInches(0.25m));
        at(new StretchItem("plate", Reach.Panel).Apply(job)).ShouldBe(front.Face);
        at(new StretchItem("plate", Reach.Bleed).Apply(job)).ShouldBe(front.Edge);
        var whole = new StretchItem("plate", Reach.Sheet).Apply(job);
        at(whole).ShouldBe(job.Geometry().Sheet.Whole);
        var thicker = new SetPages(400).Apply(whole);
        at(thicker).ShouldBe(thicker.Geometry().Sheet.Whole);

        var mirrored = new DuplicateItem("plate", "plate-2", ToOtherCover: true).Apply(job);
        var sheet = job.Geometry().Sheet;
        mirrored.Item("plate-2")!.Hold.Panel.ShouldBe(Part.Back);
        at(mirrored, "plate-2").X.ShouldBe(sheet.Size.Width - at(job).Right);
        at(mirrored, "plate-2").Y.ShouldBe(at(job).Y);
        var doubled = new DuplicateItem("plate", "plate-3").Apply(job);
        doubled.Take.Items.Select(i => i.Id).TakeLast(2).ShouldBe(["plate", "plate-3"]);
        Should.Throw<Refusal>(() => new DuplicateItem("plate", "plate").Apply(job)).Message.ShouldContain("already");
        Should.Throw<Refusal>(() => new DuplicateItem("gone", "x").Apply(job));
        Should.Throw<Refusal>(() => new DuplicateItem("plate", "plate-4", ToOtherCover: true).Apply(whole)).Message
            .ShouldContain("has no other cover");
        Should.Throw<Refusal>(() =>
            new DuplicateItem("plate", "plate-4", ToOtherCover: true).Apply(new SetBinding(BindingKind.Front).Apply(job)))
            .Message
            .ShouldContain("no back to duplicate it on");
    }

    [Fact]
    public void A_size_in_percent_is_of_what_it_is_now_whole_or_of_some_letters()
    {
        var job = Facts.Write(Sample.Job(), "item/title/size", "20 pt").Apply(Sample.Job());
        Facts.Read(Facts.Write(job, "item/title/size", "150 %").Apply(job), "item/title/size").ShouldBe("30 pt");
        var some = Facts.Write(job, "item/title/size@0-2", "110 %").Apply(job);
        Facts.Read(some, "item/title/size@0-2").ShouldBe("22 pt");
        Facts.Read(some, "item/title/size").ShouldBe("20 pt");
        // Pressed again it is of the new size.
        Facts.Read(Facts.Write(some, "item/title/size@0-2", "110 %").Apply(some), "item/title/size@0-2")
            .ShouldBe("24.2 pt");
        Should.Throw<Refusal>(() => Facts.Write(job, "item/title/size", "0 %").Apply(job));
    }

    /// <summary>Sides are shares of the box they hang in; every other length in percent is of what it is now.</summary>
    [Fact]
    public void Every_length_of_every_item_can_be_typed_in_percent()
    {
        var job = Facts.Write(Sample.Job(), "item/title/size", "20 pt").Apply(Sample.Job());
        var hold = new Hold(Part.Front, HoldBox.Safe, Anchor.TopLeft, Length.FromMillimetres(7), Length.FromMillimetres(9));
        foreach (var item in (Item[])
            [
                new RectItem
                {
                    Id = "rect", Hold = hold, Corner = Length.FromMillimetres(4), LineWidth = Length.FromPoints(2),
                    Width = new(Length.FromMillimetres(60)), Height = new(Length.FromMillimetres(40)),
                    Line = new InkPaint(Ink.Black),
                },
                new BarcodeItem { Id = "bars", Hold = hold },
            ])
            job = new AddItem(item).Apply(job);
        foreach (var (word, paper) in PatternShelf.All)
            job = new AddItem(new RectItem
            {
                Id = word,
                Hold = hold,
                Width = new(Length.FromMillimetres(60)),
                Height = new(Length.FromMillimetres(40)),
                Fill = new(Pattern: paper),
            }).Apply(job);
        var scaled = 0;
        foreach (var fact in job.Take.Items.SelectMany(ItemFacts.Of)
            .Where(f => f.Path.Split('/')[2] is not ("width" or "height")))
        {
            var text = fact.Read(job);
            if (text is not [.., >= 'a' and <= 'z'] || !LengthText.TryParse(text, job.Ticket.Unit, out var now, out _)
                || now == default)
                continue;
            var then = Facts.Read(Facts.Write(job, fact.Path, "110 %").Apply(job), fact.Path);
            LengthText.TryParse(then, job.Ticket.Unit, out var after, out _).ShouldBeTrue(fact.Path);
            after.Points.ShouldBe(now.Points * 1.1, 0.06, fact.Path);
            scaled++;
        }
        scaled.ShouldBeGreaterThan(12);
    }

    [Fact]
    public void A_step_larger_is_a_tenth_and_a_step_smaller_takes_it_back()
    {
        var job = Facts.Write(Sample.Job(), "item/title/size", "20 pt").Apply(Sample.Job());
        var larger = Facts.Write(job, "item/title/size", "larger").Apply(job);
        Facts.Read(larger, "item/title/size").ShouldBe("22 pt");
        Facts.Read(Facts.Write(larger, "item/title/size", "smaller").Apply(larger), "item/title/size")
            .ShouldBe("20 pt");
        var some = Facts.Write(job, "item/title/size@0-2", "smaller").Apply(job);
        Facts.Read(some, "item/title/size@0-2").ShouldBe("18.2 pt");
        Facts.Read(some, "item/title/size").ShouldBe("20 pt");
    }

    [Fact]
    public void A_tracing_is_fitted_to_the_sheet_its_trim_or_any_panel()
    {
        var job = new LayTracing(new(new(new('a', 64), "old.png", 300, 200, true))).Apply(Sample.Job());
        var sheet = job.Geometry().Sheet;
        Box on(string to) => Facts.Write(job, "ground/tracing-over", to).Apply(job).Wraps[0].Tracing!.On(sheet);
        on("sheet").ShouldBe(sheet.Whole);
        on("trim").ShouldBe(sheet.Trim);
        on("back").ShouldBe(sheet.Panel(Part.Back)!.Face);
        on("spine").ShouldBe(sheet.Panel(Part.Spine)!.Face);
        Should.Throw<Refusal>(() => on("page"));
        var fact = Facts.Find(job, "ground/tracing-over")!;
        fact.Choices(job).Select(c => c.Text).ShouldBe(["sheet", "trim", "back", "spine", "front"], ignoreOrder: true);
        foreach (var (text, _) in fact.Choices(job))
            Facts.Read(Facts.Write(job, fact.Path, text).Apply(job), fact.Path).ShouldBe(text);
    }

    [Fact]
    public void Steps_are_named_in_people_s_words()
    {
        var job = Sample.Job(new PictureItem
        {
            Id = "p",
            Name = "Harbour",
            Hold = new(Part.Front, HoldBox.Face, Anchor.Middle, default, default),
            Width = new(Length.FromMillimetres(30)),
            Height = new(Length.FromMillimetres(20))
        });
        new HoldItem("title", Anchor: Anchor.Bottom).Says(job).ShouldBe("place of title");
        new HangPicture("p", new(new('a', 64), "sea.jpg", 30, 20, true)).Says(job).ShouldBe("picture sea.jpg hung");
        new HangPicture("p", null).Says(job).ShouldBe("picture taken out of “Harbour”");
        new PushPicture("p", default, default).Says(job).ShouldBe("framing of “Harbour”");
    }
}
