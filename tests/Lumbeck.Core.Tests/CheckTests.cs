namespace Lumbeck.Core.Tests;

/// <summary>Each rule finds its fault, says its figure, and is quiet on a good cover.</summary>
public sealed class CheckTests
{
    /// <summary>What stops or wants caution.</summary>
    private static IEnumerable<Finding> Loud(Job job) => Sample.Check(job).Where(f => f.Severity != Severity.Note);

    private static Finding Only(Job job, string id) => Sample.Check(job).Where(f => f.Id == id).ShouldHaveSingleItem();

    [Fact]
    public void A_good_cover_has_no_findings() => Loud(Sample.Job()).ShouldBeEmpty();

    [Fact]
    public void Pages_outside_what_house_and_paper_bind()
    {
        var job = Sample.Job();
        Only(new SetPages(12).Apply(job), "ticket.pages").Measured.ShouldBe("12 pages");
        Only(new SetPages(840).Apply(job), "ticket.pages").Limit.ShouldBe("828 pages");
        // A paper of the same list that holds as many is the nearest way.
        var picture = new SetPages(32).Apply(new SetHouse(HouseFile.Shipped["aldwater"]).Apply(job));
        Only(picture, "ticket.pages").ShouldSatisfyAllConditions(f => f.Mend.ShouldStartWith("Take Silk 150, for pictures"),
            f => f.Fix.ShouldBeOfType<SetPaper>());
        Only(new SetPages(201).Apply(job), "ticket.pages").Severity.ShouldBe(Severity.Note);
    }

    [Fact]
    public void A_bare_strip_is_found_with_its_width_and_covered_by_exact_rectangles()
    {
        RectItem half(string id, Anchor anchor, decimal share, decimal plus) =>
            new()
            {
                Id = id,
                Hold = new(Part.Sheet, HoldBox.Edge, anchor, default, default),
                Width = new(Length.FromInches(plus), share),
                Height = Span.Full,
                Fill = new SwatchPaint("sea")
            };
        var bare = Sample.Job(half("left", Anchor.Left, 0.5m, 0), half("right", Anchor.Right, 0.5m, -0.02m));
        bare = new PaintGround(null).Apply(bare);
        var finding = Only(bare, "ground.coverage");
        finding.Measured.ShouldBe("a bare strip 0.02 in wide");
        finding.Place!.Value.Width.ShouldBe(Length.FromInches(0.02m));
        Loud(new SizeItem("right", Width: new(default, 0.5m)).Apply(bare)).ShouldBeEmpty();
    }

    [Fact]
    public void Words_past_the_trim_safe_line()
    {
        // The box ends 0.15 in from the cut; the letters, flush right, reach its edge.
        var item = Sample.Text("edge", "near", box: HoldBox.Face, anchor: Anchor.Right, dx: -0.15m,
            wide: 1) with
        { Style = Sample.Style(12) with { Align = Align.Right } };
        var finding = Only(Sample.Job(item), "zone.trim");
        finding.Severity.ShouldBe(Severity.Stop);
        finding.Measured.ShouldBe("0.15 in from the cut");
        finding.Limit.ShouldBe("0.25 in from the cut");
        finding.Mend.ShouldBe("Move it inward by 0.1 in, or make it smaller.");
        finding.Item.ShouldBe("edge");
    }

    [Fact]
    public void Words_across_a_fold_and_too_near_one()
    {
        Only(Sample.Job(Sample.Text("a", "across", box: HoldBox.Face, anchor: Anchor.Left, dx: -0.2m, wide: 1)),
            "zone.fold")
            .Measured
            .ShouldBe("0.2 in over the fold");
        Only(Sample.Job(Sample.Text("a", "beside", box: HoldBox.Face, anchor: Anchor.Left, dx: 0.05m, wide: 1)),
            "zone.fold")
            .Measured
            .ShouldBe("0.05 in from the fold");
    }

    [Fact]
    public void Words_that_hang_on_one_panel_and_lie_on_another_are_judged_where_they_lie() =>
        Loud(Sample.Job(Sample.Text("a", "far", box: HoldBox.Face, anchor: Anchor.Left, dx: -4, wide: 1)))
            .ShouldBeEmpty();

    [Fact]
    public void On_a_case_words_keep_clear_of_the_hinge_and_of_what_is_turned_in()
    {
        var house = HouseFile.Shipped["tern"] with { Bindings = [BindingKind.Case] };
        Job cased(TextItem text) => new SetHouse(house).Apply(Sample.Job(text));
        TextItem at(decimal x) => Sample.Text("t", "near", box: HoldBox.Face, anchor: Anchor.Left, dx: x, wide: 1);
        // The hinge is 8 mm wide; the fold's 0.125 in start after it.
        Only(cased(at(0.2m)), "zone.fold").Measured.ShouldBe("in the hinge band");
        Only(cased(at(0.4m)), "zone.fold").Limit.ShouldBe("0.44 in from it");
        Loud(cased(at(0.45m))).ShouldBeEmpty();
        Only(cased(Sample.Text("t", "near", box: HoldBox.Face, anchor: Anchor.Right, dx: 0.1m,
            wide: 0.5m) with
        { Style = Sample.Style(12) with { Align = Align.Right } }),
            "zone.trim")
            .Measured
            .ShouldContain("past the cut");
    }

    [Fact]
    public void Spine_words_outside_their_band_or_where_none_are_allowed()
    {
        var job = Sample.Job(Sample.Text("s", "SALT", panel: Part.Spine, size: 80, wide: 6,
            high: 2) with
        { Style = Sample.Style(80) with { Stand = Stand.Middle } });
        Only(job, "zone.spine").Measured.ShouldContain("outside the safe band");
        var small = new StyleText("s", Size: Length.FromPoints(14)).Apply(job);
        Loud(small).ShouldBeEmpty();
        Only(new SetPages(80).Apply(small), "zone.spine").Why.ShouldContain("prints spine text from 96");
    }

    [Fact]
    public void Words_that_do_not_fit_and_characters_that_are_missing()
    {
        Only(Sample.Job(Sample.Text("t", "far too many words for this", wide: 0.5m, high: 0.2m)), "text.overset")
            .Severity
            .ShouldBe(Severity.Stop);
        Only(Sample.Job(Sample.Text("t", "Quay")), "text.glyphs").Measured.ShouldBe("Q (U+0051)");
    }

    [Fact]
    public void Starter_words_a_missing_title_and_an_empty_text()
    {
        Only(Sample.Job(Sample.Text("t", "Your words") with { Starter = true }), "text.placeholder")
            .Measured.ShouldBe("“Your words”");
        Only(new RemoveItem("title").Apply(Sample.Job()), "text.placeholder").Measured.ShouldBe("no title");
        Only(Sample.Job(Sample.Text("t", " ")), "text.placeholder").Severity.ShouldBe(Severity.Note);
    }

    [Fact]
    public void A_barcode_with_a_wrong_number()
    {
        BarcodeItem code(string? number) =>
            new()
            {
                Id = "code",
                Hold = new(Part.Back, HoldBox.Room, Anchor.Middle, default, default),
                Number = number
            };
        Loud(Sample.Job(code(null))).ShouldBeEmpty();
        Only(Sample.Job(code("9780000000003")), "barcode.digits").Limit.ShouldBe("…0002");
        Only(Sample.Job(code("9783161484100")), "barcode.digits").Why.ShouldContain("two different books");
        Only(new SetIsbn(null).Apply(Sample.Job(code(null))), "barcode.digits").Measured.ShouldBe("no number");
    }

    [Fact]
    public void A_barcode_outside_its_room_covered_or_too_small()
    {
        var code = new BarcodeItem
        {
            Id = "code",
            Hold = new(Part.Back, HoldBox.Room, Anchor.Middle, Length.FromInches(-0.5m), default),
        };
        Only(Sample.Job(code), "barcode.room").Measured.ShouldContain("outside");
        var home = code with { Hold = code.Hold with { Dx = default } };
        Only(Sample.Job(home with { Percent = 70 }), "barcode.room").Severity.ShouldBe(Severity.Caution);
        var over = Sample.Text("over", "covering", panel: Part.Back, box: HoldBox.Room, wide: 1);
        Only(Sample.Job(home, over), "barcode.room").Measured.ShouldBe("behind a text");
        Loud(Sample.Job(over, home)).ShouldBeEmpty();
    }

    [Fact]
    public void A_house_weighs_a_rule_as_it_likes()
    {
        var job = Sample.Job(Sample.Text("t", " "));
        var strict =
            new SetHouse(job.Ticket.House with
            {
                Severities = ImmutableDictionary<string, Severity>.Empty.Add("text.placeholder",
            Severity.Stop)
            })
            .Apply(job);
        Only(strict, "text.placeholder").Severity.ShouldBe(Severity.Stop);
    }

    [Fact]
    public void Hidden_items_are_not_looked_at() =>
        Loud(Sample.Job(Sample.Text("a", "across", box: HoldBox.Face, anchor: Anchor.Left, dx: -0.2m,
            wide: 1) with
        { Hidden = true }))
            .ShouldBeEmpty();

    [Fact]
    public void Another_title_than_the_ticket_s_is_told_and_the_ticket_s_is_set_by_its_mend()
    {
        var job = new SetWords("title", "Brine").Apply(Sample.Job());
        var found = Sample.Check(job).Single(f => f.Id == "text.ticket");
        (found.Severity, found.Item, found.Measured, found.Limit)
            .ShouldBe((Severity.Caution, "title", "“Brine”", "“Salt”"));
        Sample.Check(found.Fix!.Apply(job)).ShouldNotContain(f => f.Id == "text.ticket");
        // However it is set, broken or shortened, it is the same.
        foreach (var words in (string[])["SALT", "Sa\nlt", "Salt: a novel", "S.A.L.T."])
            Sample.Check(new SetWords("title", words).Apply(job)).ShouldNotContain(f => f.Id == "text.ticket", words);
        Sample.Check(new SetWords("author", "Vane").Apply(Sample.Job())).ShouldNotContain(f => f.Id == "text.ticket");
        // What the ticket does not say is no other.
        Sample.Check(new SetFact(TicketFact.Title, "").Apply(job)).ShouldNotContain(f => f.Id == "text.ticket");
    }

    [Fact]
    public void A_text_that_was_placed_before_the_ticket_had_its_words_takes_them_and_follows_until_a_hand_changes_it()
    {
        var job = Sample.Job(Sample.Text("imprint", "Imprint", TextRole.Imprint) with { Starter = true });
        job = new SetFact(TicketFact.Imprint, "Skerry & Vane").Apply(job);
        var text = (TextItem)job.Item("imprint")!;
        (text.Words, text.Starter).ShouldBe(("Skerry & Vane", false));
        job = new SetFact(TicketFact.Imprint, "Vane & Skerry").Apply(job);
        ((TextItem)job.Item("imprint")!).Words.ShouldBe("Vane & Skerry");
        job = new SetWords("imprint", "V & S").Apply(job);
        ((TextItem)new SetFact(TicketFact.Imprint, "Others").Apply(job).Item("imprint")!).Words.ShouldBe("V & S");
    }

    [Fact]
    public void The_edge_tour_says_white_where_only_white_was_laid()
    {
        var white = new PaintGround(new InkPaint(Ink.White)).Apply(Sample.Job());
        IReadOnlyList<TourStop> tour(Job job) =>
            EdgeTour.Of(job.Take, job.Swatches, job.Geometry().Sheet, Unit.Millimetre);
        tour(white).ShouldAllBe(s => s.Says.StartsWith("white paper", StringComparison.Ordinal));
        tour(Sample.Job()).ShouldAllBe(s => s.Says.StartsWith("covered", StringComparison.Ordinal));
        tour(new PaintGround(null).Apply(white)).ShouldAllBe(s => s.Says.StartsWith("bare", StringComparison.Ordinal));
    }

    /// <summary>What the ticket knows and no word of the cover says is told, without a stop.</summary>
    [Fact]
    public void What_the_ticket_has_and_the_cover_has_not_is_told()
    {
        IEnumerable<string> told(Job job) => Sample.Check(job).Where(f => f.Id == "text.missing").Select(f => f.Measured);
        var bare = new RemoveItem("author").Apply(Sample.Job());
        bare = new SetFact(TicketFact.Author, "Mara Vane").Apply(bare);
        told(bare).ShouldContain("no author on the cover");
        Sample.Check(bare).Where(f => f.Id == "text.missing").ShouldAllBe(f => f.Severity == Severity.Note);
        told(new SetWords("title", "by Mara Vane").Apply(bare)).ShouldNotContain("no author on the cover");
        told(new SetFact(TicketFact.Blurb, "A lighthouse keeper finds a ledger.").Apply(bare)).ShouldContain("no blurb on the cover");
        // A finished cover that lies there as a picture says what it says.
        told(bare.With(0, bare.Take with { Items = [.. bare.Take.Items.Where(i => i is not TextItem)] })).ShouldBeEmpty();
    }
}
