namespace Lumbeck.Core.Tests;

/// <summary>
/// What a book is made of: papers in four views, plates, dummies, endpapers; its people, price and language; its
/// inside.
/// </summary>
public sealed class BookTests
{
    private static readonly House Aldwater = HouseFile.Shipped["aldwater"], Plover = HouseFile.Shipped["plover"],
        Tern = HouseFile.Shipped["tern"];

    private static Job Write(Job job, params (string Path, string Text)[] facts) =>
        facts.Aggregate(job, (j, f) => Facts.Write(j, f.Path, f.Text).Apply(j));
    private static string Read(Job job, string path) => Facts.Read(job, path);

    [Fact]
    public void Any_view_of_a_paper_typed_the_others_follow()
    {
        var job = Write(Sample.Job(), ("ticket/gsm", "90"), ("ticket/bulk", "1.5"));
        (Read(job, "ticket/leaf"), Read(job, "ticket/page"), Read(job, "ticket/ppi"), Read(job, "ticket/gsm"),
            Read(job, "ticket/bulk"))
            .ShouldBe(("0.135 mm", "0.0675 mm", "376.3 ppi", "90 g/m²", "1.5 cm³/g"));
        // Grammage, once given, stays, and bulk follows from caliper.
        job = Write(job, ("ticket/ppi", "400"));
        (Read(job, "ticket/leaf"), Read(job, "ticket/gsm"), Read(job, "ticket/bulk"))
            .ShouldBe(("0.127 mm", "90 g/m²", "1.41 cm³/g"));
        job = Write(job, ("ticket/page", "0.0027 in"));
        Read(job, "ticket/leaf").ShouldBe("0.1372 mm");
        job.Ticket.Paper.Leaf.ShouldBe(Caliper.FromLength(Length.FromInches(0.0054m)));
        // Without a grammage, grammage, bulk and weight stay blank.
        job = Write(job, ("ticket/gsm", ""));
        (Read(job, "ticket/gsm"), Read(job, "ticket/bulk")).ShouldBe(("", ""));
        job.Geometry().WeightGrams.ShouldBeNull();
        Should.Throw<Refusal>(() => Facts.Write(job, "ticket/bulk", "1.4"))
            .Message.ShouldContain("type the g/m² first");
        Read(Write(job, ("ticket/paper", "White 75")), "ticket/gsm").ShouldBe("75 g/m²");
    }

    [Fact]
    public void Plates_are_leaves_of_their_own_paper_within_the_count()
    {
        var job = Write(Sample.Job(), ("ticket/pages", "312"), ("ticket/paper", "Cream 90"),
            ("ticket/plates", "16 pages"), ("ticket/plates-paper", "White 105, for pictures"));
        var g = job.Geometry();
        // 148 × 0.135 + 8 × 0.119.
        g.Spine.Block.ShouldBe(Caliper.FromMillimetres(20.932m));
        g.Sums(Unit.Millimetre).Single(s => s.Name == "block")
            .Text.ShouldBe("148 leaves × 0.135 mm + 8 leaves of the plate section × 0.119 mm = 20.932 mm");
        g.BlockGrams!.Value.ShouldBe(((148 * 90) + (8 * 105)) * 0.13335m * 0.2032m, 0.01m);
        Should.Throw<Refusal>(() => Write(job, ("ticket/plates", "15")))
            .Message.ShouldBe("15 pages of a plate section end within a leaf: type 16");
        Should.Throw<Refusal>(() => Write(job, ("ticket/plates", "400"))).Path.ShouldBe("ticket/plates");
        Read(Write(job, ("ticket/plates", "")), "ticket/plates-paper").ShouldBe("");
    }

    [Fact]
    public void A_dummy_replaces_the_block_and_is_marked_as_measured_and_endpapers_belong_to_cases()
    {
        var book = new BookFacts(BindingKind.Case, Reading.LeftToRight, Size.FromMillimetres(138, 216), 200,
            Aldwater.Papers[0]);
        // 100 × 0.14 + 5 = 19; with endpapers of 0.6, 19.6 and so 19.5.
        WrapGeometry.Of(book, Aldwater).Spine.Width.ShouldBe(Length.FromMillimetres(19));
        var ended = WrapGeometry.Of(book with { Endpapers = Length.FromMillimetres(0.6m) }, Aldwater);
        ended.Spine.Width.ShouldBe(Length.FromMillimetres(19.5m));
        ended.Sums(Unit.Millimetre).Single(s => s.Name == "spine").Text.ShouldContain("+ endpapers 0.6 mm + 2 boards");
        var measured = WrapGeometry.Of(book with
        {
            Dummy = Length.FromMillimetres(15.2m),
            Endpapers = Length.FromMillimetres(0.6m)
        },
            Aldwater);
        measured.Spine.Width.ShouldBe(Length.FromMillimetres(20));
        measured.Sums(Unit.Millimetre).Single(s => s.Name == "block").Text.ShouldBe("measured on a dummy, 15.2 mm");
        Should.Throw<Refusal>(() => WrapGeometry.Of(book with { Dummy = Length.Zero }, Aldwater))
            .Path.ShouldBe("ticket/dummy");
        Should.Throw<Refusal>(() => WrapGeometry.Of(book with { Endpapers = Length.FromMillimetres(-1) }, Aldwater))
            .Path.ShouldBe("ticket/endpapers");
    }

    [Fact]
    public void A_sheet_larger_than_the_press_is_refused_with_both_sizes_and_may_lie_either_way()
    {
        var book = new BookFacts(BindingKind.Jacket, Reading.LeftToRight, Size.FromMillimetres(420, 300), 200,
            Aldwater.Papers[0]);
        var said = Should.Throw<Refusal>(() => WrapGeometry.Of(book, Aldwater)).Message;
        said.ShouldContain("is larger than the press of Aldwater Bindery takes, 1020 × 720 mm");
        said.ShouldContain("narrower flaps");
        _ = WrapGeometry.Of(book with { Binding = BindingKind.Front, Trim = Size.FromMillimetres(600, 900) }, Aldwater);
    }

    /// <summary>
    /// By hand: 16 leaves of 0.145 mm are 2.32; with endpapers 0.3 a block of 2.62; two boards of 2 and the cover's 0.3 make
    /// 6.92, to the nearest quarter 7. Two panels of 213, the spine and two turn-ins of 15 are 463; 210 with two squares of 3
    /// and two turn-ins are 246. The paperback: 12 leaves are 1.74, with the cover 2.04, so 2; 420 + 2 + two bleeds of 5 = 432.
    /// </summary>
    [Fact]
    public void A_picture_press_binds_from_24_pages_with_words_on_narrow_spines()
    {
        var wren = HouseFile.Shipped["wren"];
        WrapGeometry of(BindingKind binding, int pages) => WrapGeometry.Of(new BookFacts(binding, Reading.LeftToRight,
            Size.FromMillimetres(210, 210), pages, wren.Papers[0]), wren);
        var g = of(BindingKind.Case, 32);
        (g.Spine.Width, g.Sheet.Size).ShouldBe((Length.FromMillimetres(7), Size.FromMillimetres(463, 246)));
        (g.FewestPages, g.MostPages).ShouldBe((24, 200));
        var soft = of(BindingKind.Paperback, 24);
        (soft.Spine.Width, soft.Sheet.Size).ShouldBe((Length.FromMillimetres(2), Size.FromMillimetres(432, 220)));
        SpineText.WhyNot(wren, 32, Length.FromMillimetres(3), Unit.Millimetre).ShouldBeNull();
        SpineText.WhyNot(wren, 32, Length.FromMillimetres(2.75m), Unit.Millimetre).ShouldNotBeNull();
        HouseFile.Shipped.Values.Where(h => h.Id != "wren")
            .ShouldAllBe(h => SpineText.WhyNot(h, 32, Length.FromMillimetres(3), Unit.Millimetre) != null);
        wren.Kinds.Select(k => k.Word).ShouldBe(["x4", "x1a"]);
        wren.Marks.ShouldBe(Marks.OnWish);
    }

    [Fact]
    public void Each_house_binds_what_is_its_own_and_a_front_alone_is_everyone_s()
    {
        Aldwater.Bindings.ShouldBe([BindingKind.Case, BindingKind.Jacket]);
        Plover.Bindings.ShouldBe([BindingKind.Paperback, BindingKind.Booklet, BindingKind.Loose]);
        HouseFile.Shipped.Values.ShouldAllBe(h => h.Binds(BindingKind.Front));
        var staple = WrapGeometry.Of(new BookFacts(BindingKind.Booklet, Reading.LeftToRight,
            Size.FromMillimetres(148, 210), 46, Plover.Papers[0]),
            Plover);
        (staple.FewestPages, staple.MostPages).ShouldBe((8, 64));
        Should.Throw<Refusal>(() => new SetBinding(BindingKind.Case).Apply(Sample.Job()))
            .Message.ShouldContain("Tern & Tallow binds no case");
    }

    [Fact]
    public void Another_house_takes_over_what_it_can_and_a_typed_paper_stays()
    {
        var job = Write(Sample.Job(), ("ticket/leaf", "0.11 mm"), ("ticket/finish", "matt"),
            ("ticket/pinned", "20 mm"));
        var moved = new SetHouse(Aldwater).Apply(job).Ticket;
        (moved.Binding, moved.Finish, moved.PinnedSpine, moved.Paper.Name, moved.Paper.Leaf)
            .ShouldBe((BindingKind.Case, "", null, Paper.Own, Caliper.FromMillimetres(0.11m)));
        // Going back brings back what the other printer had not; what a hand chose there stays chosen.
        var back = new SetHouse(Tern).Apply(new SetHouse(Aldwater).Apply(job)).Ticket;
        (back.Binding, back.Finish, back.PinnedSpine, back.Earlier)
            .ShouldBe((BindingKind.Paperback, "matt", Length.FromMillimetres(20), null));
        var jacketed = new SetBinding(BindingKind.Jacket).Apply(new SetHouse(Aldwater).Apply(job));
        jacketed.Ticket.Earlier!.Binding.ShouldBeNull();
        new SetHouse(Tern).Apply(jacketed).Ticket.ShouldSatisfyAllConditions(t => t.Finish.ShouldBe("matt"),
            t => t.Earlier!.Binding.ShouldBe(BindingKind.Jacket));
        JobJson.Read(JobJson.Write(jacketed)).Ticket.Earlier.ShouldBe(jacketed.Ticket.Earlier);
        Should.Throw<Refusal>(() => Facts.Write(jacketed, "ticket/finish", "gloss").Apply(jacketed)).Message
            .ShouldBe("Aldwater Bindery has no finish `gloss`: pick matt laminate, cloth-feel laminate, uncoated with seal; " +
                "Plover Street Reprographics and Tern & Tallow and Wren Court Picture Press have it");
        // The same house with other rules keeps a pinned spine.
        new SetHouse(Tern with { Bleed = Length.FromMillimetres(4) }).Apply(job)
            .Ticket.PinnedSpine.ShouldBe(Length.FromMillimetres(20));
    }

    [Fact]
    public void A_jacket_brings_its_case_and_nothing_is_lost_when_the_binding_goes_back()
    {
        var cased = new SetHouse(Aldwater).Apply(Sample.Job());
        var jacketed = new SetBinding(BindingKind.Jacket).Apply(cased);
        jacketed.Sheets().Select(s => (s.Name, s.Wrap)).ShouldBe([("jacket", 0), ("case", 1)]);
        jacketed = new AddItem(new RectItem
        {
            Id = "stamp",
            Hold = new(Part.Front, HoldBox.Face, Anchor.Middle, default, default),
            Width = new(Length.FromMillimetres(20)),
            Height = new(Length.FromMillimetres(20))
        },
            Wrap: 1)
            .Apply(jacketed);
        jacketed = new PaintGround(new InkPaint(Ink.Black), 1).Apply(jacketed);
        Facts.Read(jacketed, "ground/1/paint").ShouldBe("black");
        Facts.Read(jacketed, "ground/paint").ShouldNotBe("black");
        var back = new SetBinding(BindingKind.Case).Apply(jacketed);
        back.Sheets().ShouldHaveSingleItem();
        var again = new SetBinding(BindingKind.Jacket).Apply(back);
        again.Wraps[1].Take.Items.ShouldHaveSingleItem().Id.ShouldBe("stamp");
        // An item of the case is moved, ordered and removed like any other.
        new MoveItem("stamp", Length.FromMillimetres(3), default).Apply(again)
            .Item("stamp")!.Hold.Dx.ShouldBe(Length.FromMillimetres(3));
        new RemoveItem("stamp").Apply(again).Item("stamp").ShouldBeNull();
    }

    [Theory]
    [InlineData("ticket/people", "Jo March (translator); Ann Fell (foreword)",
        "Jo March (translator); Ann Fell (foreword)")]
    [InlineData("ticket/price", "£12.99", "12.99 GBP")]
    [InlineData("ticket/price", "12,5 eur", "12.50 EUR")]
    [InlineData("ticket/price", "90 ILS", "90 ILS")]
    [InlineData("ticket/language", "Hebrew", "he")]
    [InlineData("ticket/series-number", "4", "4")]
    [InlineData("ticket/edition", "second, revised", "second, revised")]
    [InlineData("ticket/inside-colour", "colour", "colour")]
    public void Facts_are_read_as_people_type_them(string path, string typed, string reads) =>
        Read(Write(Sample.Job(), (path, typed)), path).ShouldBe(reads);

    [Theory]
    [InlineData("ticket/people", "Jo March", "needs what they did")]
    [InlineData("ticket/people", "Jo March (wizard)", "`wizard` is no role here")]
    [InlineData("ticket/price", "12.99", "needs its currency")]
    [InlineData("ticket/price", "12 doubloons", "`doubloons` is no currency here")]
    [InlineData("ticket/price", "-3 GBP", "no currency here")]
    [InlineData("ticket/price", "0 GBP", "can't be: from 0.01")]
    [InlineData("ticket/language", "Elvish", "is no language here")]
    [InlineData("ticket/back", "round", "makes flat backs only")]
    [InlineData("ticket/dummy", "fat", "is no length")]
    [InlineData("ticket/ppi", "2", "pages per inch can't be")]
    [InlineData("ticket/gsm", "5000", "papers run from 10 to 800")]
    [InlineData("ticket/printer-says", "wide", "neither a full size nor a spine")]
    public void What_cannot_be_a_fact_is_refused_with_the_way_out(string path, string typed, string says) =>
        Should.Throw<Refusal>(() => Write(Sample.Job(), (path, typed))).Message.ShouldContain(says);

    [Fact]
    public void The_reading_direction_follows_the_language_until_it_is_set_by_hand()
    {
        var job = Write(Sample.Job(), ("ticket/language", "Arabic"));
        job.Ticket.Reading.ShouldBe(Reading.RightToLeft);
        Write(job, ("ticket/language", "en")).Ticket.Reading.ShouldBe(Reading.LeftToRight);
        Write(Sample.Job(), ("ticket/reading", "rtl"), ("ticket/language", "ja"))
            .Ticket.Reading.ShouldBe(Reading.RightToLeft);
    }

    [Fact]
    public void Trims_are_the_trade_s_filtered_by_what_the_house_cuts()
    {
        var plover = TrimSizes.For(Plover).ToList();
        plover.ShouldAllBe(t => Plover.Cuts(t.Size));
        plover.Select(t => t.Size).ShouldBeUnique();
        plover[0].Name.ShouldBe("A6");
        plover.Select(t => t.Size.Lies()).Distinct()
            .ShouldBe([Lie.Portrait, Lie.Landscape, Lie.Square], ignoreOrder: true);
        TrimSizes.NameOf(Size.FromMillimetres(129, 198), Aldwater).ShouldBe("B format");
        TrimSizes.All.Select(t => t.Name).ShouldBeUnique();
    }

    [Fact]
    public void The_unit_is_switched_back_and_forth_without_drift()
    {
        var job = Write(Sample.Job(), ("ticket/trim", "5 1/3 x 8.123 in"), ("ticket/dummy", "0.777 in"),
            ("ticket/pinned", "0.8333 in"));
        var other = job;
        for (var i = 0; i < 3; i++)
        {
            other = Write(other, ("ticket/unit", "mm"));
            // What is written back as it reads stays exactly as it was.
            foreach (var path in (string[])["ticket/trim", "ticket/dummy", "ticket/pinned", "ticket/leaf",
                "ticket/ppi"])
                other = Write(other, (path, Read(other, path)));
            other = Write(other, ("ticket/unit", "in"));
        }
        JobJson.Write(other).ShouldBe(JobJson.Write(job));
    }

    [Fact]
    public void A_printer_s_spine_alone_is_read_back_too()
    {
        var book = new BookFacts(BindingKind.Paperback, Reading.LeftToRight, Size.FromMillimetres(148, 210), 118,
            Plover.Papers[0]);
        Stated.Read("6.8 mm", Unit.Millimetre).Explain(book, Plover).Agrees.ShouldBeTrue();
        // 60 × 0.104, the cover left out, up to the next 0.1.
        Stated.Read("6.3", Unit.Millimetre).Explain(book, Plover).Causes[0].Id.ShouldBe("allowance");
        Should.Throw<Refusal>(() =>
            Stated.Read("6.3", Unit.Millimetre).Explain(book with { Binding = BindingKind.Booklet }, Plover))
            .Message.ShouldContain("has no spine");
    }

    [Fact]
    public void A_printer_s_bare_figures_keep_the_unit_they_were_typed_in()
    {
        var job = Write(Sample.Job(), ("ticket/printer-says", "11.58 x 8.25"), ("ticket/unit", "mm"));
        job.Ticket.PrinterSays.ShouldBe("11.58 x 8.25 in");
        Stated.Read(job.Ticket.PrinterSays, job.Ticket.Unit).Explain(job.Ticket.Facts, job.Ticket.House)
            .Agrees.ShouldBeTrue();
        Write(Sample.Job(), ("ticket/printer-says", "294.1 × 209.6 mm"))
            .Ticket.PrinterSays.ShouldBe("294.1 × 209.6 mm");
    }

    [Fact]
    public void A_pin_is_offered_only_where_the_width_alone_differs()
    {
        var book = Sample.Job().Ticket.Facts;
        Explanation of(string text) => Stated.Read(text, Unit.Inch).Explain(book, Tern);
        of("11.600 x 8.25 in").Pin.ShouldBe(Length.FromInches(0.85m));
        of("0.85 in").Pin.ShouldBe(Length.FromInches(0.85m));
        of("11.33 x 8 in").Pin.ShouldBeNull();
        of("11.58 x 8.25 in").Pin.ShouldBeNull();
        of("2 x 8.25 in").Pin.ShouldBeNull();
    }

    [Fact]
    public void An_inside_s_trim_is_found_under_its_bleed()
    {
        InsideFile inside(decimal w, decimal h, bool boxes = false) =>
            new("book.pdf", 318, [new(Size.FromMillimetres(w, h), 318, 1)], boxes, false);
        var ticket = Size.FromInches(5.25m, 8);
        inside(133.35m, 203.2m).Trim(ticket, Tern).ShouldBe(ticket);
        inside(133.35m + 3.175m, 203.2m + 6.35m).Trim(ticket, Tern).ShouldBe(ticket);
        inside(152.4m + 6.35m, 228.6m + 6.35m).Trim(ticket, Tern).ShouldBe(Size.FromInches(6, 9));
        inside(140, 200, boxes: true).Trim(ticket, Tern).ShouldBe(Size.FromMillimetres(140, 200));
        var job = new LayInside(inside(152.4m, 228.6m)).Apply(Sample.Job());
        Sample.Check(job).Where(f => f.Id == "ticket.inside").Select(f => f.Measured)
            .ShouldBe(["318 pages in book.pdf", "pages of 6 × 9 in"]);
        var taken = new TakeInside().Apply(job);
        (taken.Ticket.Pages, taken.Ticket.Trim).ShouldBe((318, Size.FromInches(6, 9)));
        Sample.Check(taken).ShouldNotContain(f => f.Id == "ticket.inside");
    }

    [Fact]
    public void What_changes_is_told_in_figures_that_agree_with_each_other()
    {
        Sheet sheet(int pages) =>
            WrapGeometry.Of(new BookFacts(BindingKind.Paperback, Reading.LeftToRight, Size.FromInches(5.25m, 8), pages,
                Tern.Papers[0]),
                Tern)
                .Sheet;
        Changes.Between(sheet(312), sheet(340)).Select(d => d.Say(Unit.Inch))
            .ShouldBe(["sheet’s width 11.579 in → 11.654 in (+0.075 in)", "spine 0.829 in → 0.904 in (+0.075 in)",
                "spine’s safe band 0.704 in → 0.779 in (+0.075 in)"]);
        Changes.Between(sheet(312), sheet(94))
            .ShouldContain(d => d.Say(Unit.Inch) == "spine’s safe band 0.704 in gone");
        Changes.Between(sheet(312), sheet(312)).ShouldBeEmpty();
        Changes.Moves(sheet(312), sheet(312)).ShouldBeFalse();
    }

    [Fact]
    public void Trims_pins_and_odd_pages_are_looked_at_once_however_many_sheets_there_are()
    {
        var job = new SetBinding(BindingKind.Jacket).Apply(new SetHouse(Aldwater).Apply(Sample.Job()));
        job = Write(job, ("ticket/unit", "mm"), ("ticket/trim", "216 x 138 mm"), ("ticket/pages", "201"),
            ("ticket/pinned", "24 mm"));
        var found = Sample.Check(job);
        found.Count(f => f.Id == "ticket.pages").ShouldBe(1);
        found.Count(f => f.Id == "ticket.spine-pinned").ShouldBe(1);
        found.Single(f => f.Id == "ticket.trim").Mend!.ShouldContain("may be swapped: 138 × 216 mm");
    }
}
