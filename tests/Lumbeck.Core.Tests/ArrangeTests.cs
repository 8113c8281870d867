namespace Lumbeck.Core.Tests;

/// <summary>Several items at once, items as a hand left them, and items carried as text.</summary>
public sealed class ArrangeTests
{
    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);

    private static RectItem Tile(string id, decimal x, decimal y, decimal w = 10, decimal h = 10,
        Part panel = Part.Front) =>
        new()
        {
            Id = id,
            Hold = new(panel, HoldBox.Face, Anchor.TopLeft, Mm(x), Mm(y)),
            Width = new(Mm(w)),
            Height = new(Mm(h)),
            Fill = new InkPaint(Ink.Black)
        };

    private static Job Tiles() =>
        new SetUnit(Unit.Millimetre)
            .Apply(Sample.Job(Tile("a", 10, 10), Tile("b", 40, 30, 20, 8), Tile("c", 90, 25, 6, 14)));

    private static Box At(Job job, string id) =>
        Placement.Of(job.Item(id)!, job.SheetOf(job.Item(id)!, job.WrapOf(id)))!.OnSheet(job.Item(id)!);

    [Fact]
    public void Items_line_up_by_an_edge_or_a_middle_of_them_all()
    {
        var job = Tiles();
        string[] ids = ["a", "b", "c"];
        foreach (var (by, at) in ((Along, Func<Box, Length>)[])[(Along.Left, b => b.X), (Along.Right, b => b.Right),
            (Along.Centre, b => b.X + (0.5m * b.Width)), (Along.Head, b => b.Y), (Along.Foot, b => b.Bottom),
            (Along.Middle, b => b.Y + (0.5m * b.Height))])
        {
            var lined = new LineUp([.. ids], by).Apply(job);
            ids.Select(i => at(At(lined, i))).Distinct().Count().ShouldBe(1, by.ToString());
            ids.ShouldAllBe(i => lined.Item(i)!.Hold.Panel == Part.Front);
        }
        Should.Throw<Refusal>(() => new LineUp(["a"], Along.Left).Apply(job))
            .Message.ShouldContain("pick two items or more");
        Should.Throw<Refusal>(() => new LineUp(["a", "gone"], Along.Left).Apply(job));
    }

    [Fact]
    public void Gaps_come_out_equal_and_the_outermost_stay()
    {
        var job = Tiles();
        var spaced = new SpaceOut(["c", "a", "b"], DownTheSheet: false).Apply(job);
        (At(spaced, "a").X, At(spaced, "c").X).ShouldBe((At(job, "a").X, At(job, "c").X));
        (At(spaced, "b").X - At(spaced, "a").Right).ShouldBe(At(spaced, "c").X - At(spaced, "b").Right);
        Should.Throw<Refusal>(() => new SpaceOut(["a", "b"], false).Apply(job)).Message.ShouldContain("three");
    }

    [Fact]
    public void Items_become_as_large_as_the_last_about_their_own_middles()
    {
        var job = Tiles();
        var same = new SameSize(["a", "b", "c"]).Apply(job);
        foreach (var id in new[] { "a", "b" })
        {
            At(same, id).Size.ShouldBe(Size.FromMillimetres(6, 14));
            (At(same, id).X + (0.5m * At(same, id).Width)).ShouldBe(At(job, id).X + (0.5m * At(job, id).Width));
        }
        At(new SameSize(["a", "b"], High: false).Apply(job), "a").Size.ShouldBe(Size.FromMillimetres(20, 10));
    }

    [Fact]
    public void A_group_lies_together_under_one_name_and_comes_apart_again()
    {
        var job = new GroupItems(["a", "c"], "Cells").Apply(Tiles());
        job.Take.Items.Select(i => i.Id).ShouldBe(["title", "author", "b", "a", "c"]);
        job.Take.Items.Where(i => i.Group == "Cells").Select(i => i.Id).ShouldBe(["a", "c"]);
        Should.Throw<Refusal>(() => new GroupItems(["b", "title"], "Cells").Apply(job))
            .Message.ShouldContain("already");
        new Ungroup(["a", "c"]).Apply(job).Items.ShouldAllBe(i => i.Group == "");
    }

    [Fact]
    public void Several_edits_are_all_made_or_none()
    {
        var job = new LockItem("b", true).Apply(Tiles());
        var both = new Together([new DropItem("a", Mm(5), default), new DropItem("b", Mm(5), default)], "move 2 items");
        Should.Throw<Refusal>(() => both.Apply(job)).Message.ShouldContain("unlock it first");
        (At(both.Apply(Tiles()), "a").X - At(Tiles(), "a").X).ShouldBe(Mm(5));
        Touched.Between(Tiles(), both.Apply(Tiles())).OfType<ItemAddress>().Select(i => i.Item).Distinct().Order()
            .ShouldBe(["a", "b"]);
        EditJson.Read(EditJson.Write(both)).Apply(Tiles()).Item("b").ShouldBe(both.Apply(Tiles()).Item("b"));
    }

    [Fact]
    public void A_hand_sizes_and_turns_an_item_where_it_lies_and_a_share_of_its_panel_stays_a_share()
    {
        var wide = new RectItem
        {
            Id = "w",
            Hold = new(Part.Front, HoldBox.Face, Anchor.Top, default, Mm(20)),
            Width = new(Mm(-20), 1),
            Height = new(Mm(10)),
            Fill = new InkPaint(Ink.Black),
        };
        var job = new SetUnit(Unit.Millimetre).Apply(Sample.Job(wide));
        var face = job.Geometry().Sheet.Panel(Part.Front)!.Face;
        var (x, y) = (face.X + Mm(50), face.Y + Mm(60));
        var laid = new LayItem("w", x, y, Mm(60), Mm(30), 90).Apply(job);
        laid.Item("w")!.Width.ShouldBe(new Span(Mm(60) - face.Width, 1));
        laid.Item("w")!.Hold.Anchor.ShouldBe(Anchor.Top);
        var on = At(laid, "w");
        Length.Abs(on.X + (0.5m * on.Width) - x).ShouldBeLessThan(Mm(0.002m));
        Length.Abs(on.Width - Mm(30)).ShouldBeLessThan(Mm(0.002m));
        Length.Abs(on.Height - Mm(60)).ShouldBeLessThan(Mm(0.002m));
        // Another trim: it is as much wider as its panel is.
        var grown = new SetTrim(Size.FromInches(6, 9)).Apply(laid);
        Placement.Of(grown.Item("w")!, grown.Geometry().Sheet)!.Box.Width.ShouldBe(Mm(60) + Length.FromInches(0.75m));
        Should.Throw<Refusal>(() => new LayItem("w", x, y, Mm(0.01m), Mm(30)).Apply(job))
            .Message.ShouldContain("leaves nothing to see");
    }

    [Fact]
    public void A_barcode_sized_by_hand_takes_the_magnification_that_fits()
    {
        var job = Sample.Job(new BarcodeItem
        {
            Id = "code",
            Hold = new(Part.Back, HoldBox.Face, Anchor.Middle, default, default)
        });
        var at = At(job, "code");
        var wide = new LayItem("code", at.X + (0.5m * at.Width), at.Y, 1.2m * at.Width, null).Apply(job);
        ((BarcodeItem)wide.Item("code")!).Percent.ShouldBe(120);
        Should.Throw<Refusal>(() => new LayItem("code", at.X, at.Y, 9 * at.Width, null).Apply(job)).Message
            .ShouldContain("from 50 to 300 %");
    }

    [Fact]
    public void Front_and_back_change_places_and_back_again()
    {
        var job = Sample.Job(
            Sample.Text("blurb", "Of salt.", panel: Part.Back, anchor: Anchor.TopLeft, dx: 0.2m),
            new RectItem
            {
                Id = "edge",
                Hold = new(Part.Front, HoldBox.Edge, Anchor.Right, default, default),
                Width = new(Mm(20)),
                Height = Span.Full,
                Fill = new InkPaint(Ink.Black),
            },
            new BarcodeItem { Id = "code", Hold = new(Part.Back, HoldBox.Room, Anchor.Middle, default, default) });
        var swapped = new SwapCovers().Apply(job);
        swapped.Item("blurb")!.Hold.ShouldBe(job.Item("blurb")!.Hold with { Panel = Part.Front });
        // What ran out over the fore-edge does so on the other side.
        At(swapped, "edge").X.ShouldBe(Length.Zero);
        swapped.Item("code").ShouldBe(job.Item("code"));
        new SwapCovers().Apply(swapped).Take.Items.ShouldBe(job.Take.Items);
        Should.Throw<Refusal>(() => new SwapCovers().Apply(new LockItem("edge", true).Apply(job)));
    }

    [Fact]
    public void Items_carried_as_text_come_to_another_job_with_their_swatches_and_another_panel()
    {
        var job = new GroupItems(["a", "b"], "Cells")
            .Apply(new FillShape("a", new SwatchPaint("sea", 4000)).Apply(Tiles()));
        var text = Clip.Write(job, ["a", "b"]);
        var other = Sample.Job() with { Swatches = [new Swatch("sea", "Brine", Ink.Black)] };
        var pasted = new PasteItems(Clip.Read(text), "paste-1", Over: Part.Back).Apply(other);
        var (a, b) = (pasted.Item("paste-1-1")!, pasted.Item("paste-1-2")!);
        (a.Hold.Panel, b.Hold.Panel, a.Group, b.Group).ShouldBe((Part.Back, Part.Back, "Cells", "Cells"));
        // The name decides, not the id: Brine is another colour.
        var swatch = pasted.Swatches.Single(s => s.Name == "Sea");
        swatch.Id.ShouldNotBe("sea");
        ((RectItem)a).Fill!.Paint.ShouldBe(new SwatchPaint(swatch.Id, 4000));
        // On itself it lies a little aside, in a group of its own.
        var again = new PasteItems(Clip.Read(text), "again").Apply(job);
        again.Item("again-1")!.Hold.Dx.ShouldBe(job.Item("a")!.Hold.Dx + Mm(3));
        again.Item("again-1")!.Group.ShouldBe("Cells 2");
        again.Swatches.Count.ShouldBe(1);
        // A panel this binding has not: the nearest there is.
        new PasteItems(Clip.Read(text), "p", Over: Part.FrontFlap).Apply(job)
            .Item("p-1")!.Hold.Panel.ShouldBe(Part.Front);
    }

    [Fact]
    public void What_is_pasted_is_looked_at_and_refused_in_words_where_it_is_none_of_ours_or_too_much()
    {
        var job = Tiles();
        var text = Clip.Write(job, ["a"]);
        string[] bad = ["", "{}", "[]", "null", "{\"lumbeck-items\":1}",
            "{\"lumbeck-items\":2,\"items\":[],\"swatches\":[]}",
            "{\"lumbeck-items\":1,\"items\":[null],\"swatches\":[]}", text.Replace("rectangle", "teapot"), text[..^5],
            new('[', 5000)];
        foreach (var t in bad) Should.Throw<Refusal>(() => Clip.Read(t)).Message.ShouldContain("no items of a cover");
        var many = Clip.Write(job, ["a"]) is var one
            ? one.Replace("[{",
                "[" + string.Concat(Enumerable.Repeat(one[(one.IndexOf("[{",
                    StringComparison.Ordinal) + 1)..(one.IndexOf("}]", StringComparison.Ordinal) + 1)] + ",",
                    4999)) + "{")
            : "";
        Should.Throw<Refusal>(() => Clip.Read(many))
            .Message.ShouldBe("5000 items were pasted: a cover holds up to 500");
        // Figures out of all range.
        foreach (var (was, hostile) in ((string, string)[])[("\"percent\":100", "\"percent\":1e9"),
            ("\"opacity\":100", "\"opacity\":-4"), ("\"anchor\":\"middle\"", "\"anchor\":77")])
        {
            var code = Clip.Write(Sample.Job(new BarcodeItem
            {
                Id = "code",
                Hold = new(Part.Back, HoldBox.Room, Anchor.Middle, default, default)
            }),
                ["code"]);
            code.ShouldContain(was);
            Should.Throw<Refusal>(() => new PasteItems(Clip.Read(code.Replace(was, hostile)), "x").Apply(job));
        }
        Should.Throw<Refusal>(() => new PasteItems(Clip.Read(text), "No Such Id").Apply(job))
            .Message.ShouldContain("can't name an item");
    }

    [Fact]
    public void Takes_are_designs_side_by_side_that_share_the_ticket()
    {
        var job = new AddTake(0, "two", "pale").Apply(Tiles());
        var pale = new SetPages(400).Apply(new RemoveItem("a").Apply(job));
        (pale.Take.Name, pale.Take.Items.Count).ShouldBe(("pale", 4));
        var first = new ChooseTake(0, "first").Apply(pale);
        (first.Take.Name, first.Take.Items.Count, first.Ticket.Pages).ShouldBe(("first", 5, 400));
        // A title changed on the ticket is changed in both.
        var renamed = new SetFact(TicketFact.Title, "Brine").Apply(pale);
        renamed.Wraps[0].Takes.ShouldAllBe(t => t.Items.OfType<TextItem>().Any(i => i.Words == "Brine"));
        Should.Throw<Refusal>(() => new AddTake(0, "three", "Pale").Apply(pale)).Message.ShouldContain("already");
        new NameTake(0, "two", "dusk").Apply(pale).Take.Name.ShouldBe("dusk");
        new RemoveTake(0, "two").Apply(pale).Take.Name.ShouldBe("first");
        new RemoveTake(0, "first").Apply(pale).Take.Name.ShouldBe("pale");
        Should.Throw<Refusal>(() => new RemoveTake(0, "first").Apply(Tiles())).Message.ShouldContain("only take");
        Should.Throw<Refusal>(() => new ChooseTake(0, "gone").Apply(pale));
        JobJson.Read(JobJson.Write(pale)).Wraps[0].Takes.Count.ShouldBe(2);
    }

    private static IReadOnlyList<ToLookAt> After(Job was, Job now)
    {
        (Job, IReadOnlyList<Scene>, IEnumerable<Finding>) of(Job j) => (j,
            [.. j.Sheets().Select(s => SceneBuilder.Build(j, s, new PlainType()))], Sample.Check(j));
        return AfterChange.Of(of(was), of(now));
    }

    [Fact]
    public void A_changed_sheet_names_the_items_that_want_a_look_and_no_others()
    {
        var job = Sample.Job(
            Sample.Text("spine-title", "Salt", panel: Part.Spine, size: 30, wide: 3, high: 0.6m),
            Sample.Text("foot", "At the foot", anchor: Anchor.Bottom, wide: 3, high: 0.3m),
            Sample.Text("low", "Lower down", anchor: Anchor.Top, dy: 6.2m, wide: 3, high: 0.3m),
            Sample.Text("blurb", "Of salt.", panel: Part.Back));
        After(job, new SetPages(340).Apply(job)).ShouldBeEmpty();
        // A thin book: words that filled the spine stand past its safe band.
        After(job, new SetPages(150).Apply(job)).Select(l => l.Item).ShouldBe(["spine-title"]);
        // A shorter book: what hangs from the head meets what hangs from the foot.
        var shorter = After(job, new SetTrim(Size.FromInches(5.25m, 7.05m)).Apply(job));
        shorter.ShouldContain(l =>
            (l.Item == "foot" || l.Item == "low") && l.Why.Contains("lies in front of the", StringComparison.Ordinal));
        shorter.ShouldAllBe(l => !l.Was.IsEmpty && !l.Is.IsEmpty);
        After(job, new SetBinding(BindingKind.Front).Apply(job)).Select(l => (l.Item, l.Is.IsEmpty))
            .ShouldBe([("spine-title", true), ("blurb", true)]);
        // Kept with the first place until it has been looked at, or is gone.
        var marked = job with
        {
            Looks = AfterChange.Merge(job, [new("foot", "one", new(default, default, Mm(1), Mm(1)), default)]),
        };
        var twice = AfterChange.Merge(marked, [new("foot", "two", new(default, default, Mm(9), Mm(9)), default)])
            .Single();
        (twice.Why, twice.Was.Width).ShouldBe(("two", Mm(1)));
        AfterChange.Merge(new RemoveItem("foot").Apply(marked), []).ShouldBeEmpty();
        new MarkReviewed("foot").Apply(marked).Looks.ShouldBeEmpty();
    }

    [Fact]
    public void A_picture_mirrored_onto_the_other_cover_is_mirrored_itself()
    {
        var picture = new PictureItem
        {
            Id = "p",
            Hold = new(Part.Front, HoldBox.Face, Anchor.TopLeft, Mm(5), Mm(7)),
            Width = new(Mm(30)),
            Height = new(Mm(20)),
            Turned = 30,
            PanX = 40,
            Flip = Flip.Down,
            Picture = new(new('a', 64), "a.png", 300, 200, true),
            Fill = new GradientPaint(Run.Straight, 20,
                [new(new InkPaint(Ink.White), 0), new(new InkPaint(Ink.Black), 10_000)]),
        };
        var job = new DuplicateItem("p", "q", ToOtherCover: true).Apply(Sample.Job(picture));
        var copy = (PictureItem)job.Item("q")!;
        (copy.Hold.Panel, copy.Hold.Anchor, copy.Hold.Dx, copy.Turned, copy.PanX, copy.Flip)
            .ShouldBe((Part.Back, Anchor.TopRight, -Mm(5), 330m, -40m, Flip.Both));
        ((GradientPaint)copy.Fill!.Paint!).Angle.ShouldBe(160);
        // What it covers of the back is what the other covers of the front, seen in a mirror on the spine.
        var (front, back) = (job.Geometry().Sheet.Panel(Part.Front)!.Face, job.Geometry().Sheet.Panel(Part.Back)!.Face);
        var (a, b) = (Sample.Scene(job).Item("p")!.Frame, Sample.Scene(job).Item("q")!.Frame);
        (a.Left - front.X.Points).ShouldBe(back.Right.Points - b.Right, 1e-6);
        // Twice mirrored it is as it was.
        copy.Mirrored().Mirrored().ShouldBe(copy);
    }

    [Fact]
    public void A_group_is_centred_as_one()
    {
        var job = Tiles();
        string[] ids = [.. job.Take.Items.Where(i => i is RectItem && i.Hold.Panel == Part.Front).Take(2)
            .Select(i => i.Id)];
        Box box(Job j, string id) => Sample.Scene(j).Item(id)!.Frame.ToBox();
        var after = new CentreGroup([.. ids], DownToo: true).Apply(job);
        var face = job.Geometry().Sheet.Panel(Part.Front)!.Face;
        var all = new[] { box(after, ids[0]), box(after, ids[1]) };
        var (left, right) = (all.Min(b => b.X), all.Max(b => b.Right));
        ((left + right).Points / 2).ShouldBe((face.X + (0.5m * face.Width)).Points, 0.01);
        (box(after, ids[1]).X - box(after, ids[0]).X)
            .Points.ShouldBe((box(job, ids[1]).X - box(job, ids[0]).X).Points, 0.01);
        (box(after, ids[1]).Y - box(after, ids[0]).Y)
            .Points.ShouldBe((box(job, ids[1]).Y - box(job, ids[0]).Y).Points, 0.01);
    }

    [Fact]
    public void As_high_as_the_last_is_done_for_a_barcode_and_refused_with_a_reason_for_a_text_that_grows()
    {
        var code = new BarcodeItem
        {
            Id = "code",
            Hold = new(Part.Back, HoldBox.Face, Anchor.Middle, default, default),
        };
        var tall = new RectItem
        {
            Id = "tall",
            Hold = new(Part.Back, HoldBox.Face, Anchor.TopLeft, default, default),
            Width = new(Mm(10)),
            Height = new(code.PlateSize.Height + Mm(3)),
        };
        var job = new SetIsbn("9780000000002")
            .Apply(Sample.Job(code, tall, Sample.Text("grown", "Words") with { Fit = Fitting.Grow }));
        var after = new SameSize(["code", "tall"], Wide: false).Apply(job);
        ((BarcodeItem)after.Item("code")!).PlateSize.Height.Millimetres.ShouldBe(tall.Height.Own.Millimetres, 0.1m);
        Should.Throw<Refusal>(() => new SameSize(["grown", "tall"], Wide: false).Apply(job))
            .Message.ShouldContain("as high as its words");
    }
}
