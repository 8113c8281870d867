namespace Lumbeck.Core.Tests;

/// <summary>Barcodes of goods, price add-ons, and what their rules say.</summary>
public sealed class CodeTests
{
    private static BarcodeItem Code(string? number = null) =>
        new() { Id = "code", Hold = new(Part.Back, HoldBox.Room, Anchor.Middle, default, default), Number = number };
    private static List<Finding> Of(Job job, string id) => [.. Sample.Check(job).Where(f => f.Id == id)];

    [Fact]
    public void The_worked_example_of_an_EAN_5_has_its_modules()
    {
        // 51299 for US dollars 12.99: its sum gives which digits are drawn in the even set; start 1011, digits parted
        // by 01.
        var p = Ean5.Pattern("51299");
        p.Length.ShouldBe(Ean5.Modules);
        p[..4].ShouldBe("1011");
        ((string[])[p[11..13], p[20..22], p[29..31], p[38..40]]).ShouldAllBe(s => s == "01");
        // (5 + 2 + 9) × 3 + (1 + 9) × 9 = 138: the set for 8 is L G L L G.
        p[4..11].ShouldBe("0110001");
        p[13..20].ShouldBe("0110011");
    }

    [Theory]
    [InlineData("12.99", "USD", "51299")]
    [InlineData("9.50", "GBP", "00950")]
    [InlineData("24", "CAD", "62400")]
    [InlineData("18", "EUR", null)]
    [InlineData("120", "USD", null)]
    public void Only_currencies_with_a_prefix_and_prices_of_four_digits_make_an_add_on(string amount, string currency,
        string? digits) =>
        Ean5.Of(new(decimal.Parse(amount, System.Globalization.CultureInfo.InvariantCulture), currency))
            .ShouldBe(digits);

    [Fact]
    public void The_whole_symbol_with_its_add_on_is_as_wide_as_the_trade_has_it()
    {
        var priced = (Code() with { AddOn = "51299" }).PlateSize;
        priced.Width.Millimetres.ShouldBeInRange(54.5m, 56.1m);
        Code().PlateSize.Width.ShouldBe(Length.FromMillimetres(37.29m));
        // What is no book has no line above, and cut bars make it lower by just as much.
        var goods = Code("4006381333931") with { For = BarcodeFor.Goods };
        goods.PlateSize.Height.ShouldBe(Length.FromMillimetres(25.93m));
        (goods with { Bars = Length.FromMillimetres(18.85m) })
            .PlateSize.Height.ShouldBe(Length.FromMillimetres(21.93m));
    }

    [Fact]
    public void Bars_are_drawn_narrower_by_what_the_house_says()
    {
        var ticket = Sample.Job().Ticket;
        double first(Ticket t)
        {
            var bars = (FillMark)BarcodeDrawing.Draw(Code("9780000000002"), t, new PlainType()).ElementAt(1);
            return bars.Shape.Points[2] - bars.Shape.Points[0];
        }
        (first(ticket) - first(ticket with { House = ticket.House with { BarcodeBarReduction = Length.FromMillimetres(0.03m) } }))
            .ShouldBe(Length.FromMillimetres(0.03m).Points, 1e-6);
    }

    [Fact]
    public void Prices_that_disagree_stop_and_are_mended()
    {
        var job = new SetPrice(new(12.99m, "USD")).Apply(Sample.Job(Code() with { AddOn = "51499" }));
        var found = Of(job, "barcode.price").ShouldHaveSingleItem();
        found.Limit.ShouldBe("51299 for 12.99 USD");
        Of(found.Fix!.Apply(job), "barcode.price").ShouldBeEmpty();
        Of(new SetPrice(new(12.99m, "EUR")).Apply(Sample.Job(Code() with { AddOn = "" })), "barcode.price")
            .ShouldHaveSingleItem().Why.ShouldContain("none is drawn");
        var printed = new SetPrice(new(12.99m, "USD"))
            .Apply(Sample.Job(Sample.Text("price", "$14.99", panel: Part.Back)));
        Of(printed, "barcode.price").ShouldHaveSingleItem().Measured.ShouldBe("14.99 USD");
        var plover = new SetHouse(HouseFile.Shipped["plover"]).Apply(job);
        Of(plover, "barcode.price").ShouldHaveSingleItem().Limit.ShouldBe("none");
    }

    [Fact]
    public void Who_adds_the_barcode_is_settled_and_the_house_s_room_stays_empty()
    {
        Of(Sample.Job(), "barcode.who").ShouldHaveSingleItem().Severity.ShouldBe(Severity.Note);
        var crowded = Sample.Job(Sample.Text("t", "in the way", panel: Part.Back, box: HoldBox.Room, wide: 1));
        var stop = Of(crowded, "barcode.who").Single(f => f.Severity == Severity.Stop);
        Of(stop.Fix!.Apply(crowded), "barcode.who").ShouldAllBe(f => f.Severity == Severity.Note);
        var maker = Sample.Job();
        maker = new SetHouse(maker.Ticket.House with { BarcodeBy = BarcodeBy.Maker }).Apply(maker);
        var missing = Of(maker, "barcode.who").ShouldHaveSingleItem();
        missing.Severity.ShouldBe(Severity.Todo);
        Of(missing.Fix!.Apply(maker), "barcode.who").ShouldBeEmpty();
    }

    [Fact]
    public void Cut_bars_and_small_squares_are_cautions()
    {
        Of(Sample.Job(Code() with { Bars = Length.FromMillimetres(12) }), "barcode.room").ShouldHaveSingleItem()
            .Limit.ShouldBe("0.709 in or more");
        Of(Sample.Job(new CodeItem { Id = "qr", Hold = new(Part.Back, HoldBox.Safe, Anchor.Top, default, default) }),
            "barcode.digits")
            .ShouldHaveSingleItem().Measured.ShouldBe("no link");
    }

    [Theory]
    [InlineData("item/code/number", "12345", "nor the 12 of a UPC-A")]
    [InlineData("item/code/add-on", "12", "no five digits")]
    [InlineData("item/code/bars", "1 mm", "can't be drawn")]
    public void What_no_barcode_can_have_is_refused(string path, string text, string says) =>
        Should.Throw<Refusal>(() => Facts.Write(Sample.Job(Code()), path, text).Apply(Sample.Job(Code())))
            .Message.ShouldContain(says);
}

/// <summary>Barcodes and QR codes as items: their facts, their sizes, and the hand that lays them.</summary>
public sealed class CodeItemTests
{
    private static readonly Job Both = Sample.Job(
        new BarcodeItem
        {
            Id = "bars",
            Hold = new(Part.Back, HoldBox.Safe, Anchor.Middle, default, default),
            Number = "9780000000002",
            AddOn = "51299",
        },
        new CodeItem
        {
            Id = "qr",
            Hold = new(Part.Back, HoldBox.Safe, Anchor.TopLeft, default, default),
            Link = "https://example.org",
            Side = Length.FromInches(1),
        });

    [Fact]
    public void Every_fact_of_a_code_is_written_as_it_reads()
    {
        foreach (var id in (string[])["bars", "qr"])
            foreach (var fact in ItemFacts.Of(Both.Item(id)!))
            {
                var text = fact.Read(Both);
                JobJson.Write(Facts.Write(Both, fact.Path, text).Apply(Both)).AsSpan()
                    .SequenceEqual(JobJson.Write(Both)).ShouldBeTrue(fact.Path + " " + text);
            }
    }

    [Theory]
    [InlineData("item/bars/for", "other goods", "other goods")]
    [InlineData("item/bars/add-on", "ticket's price", "ticket’s price")]
    [InlineData("item/bars/add-on", "none", "none")]
    [InlineData("item/bars/bars", "0.8 in", "0.8 in")]
    [InlineData("item/bars/bars", "whole", "whole")]
    [InlineData("item/bars/plate", "no", "no")]
    [InlineData("item/bars/number", "0360 0029 1452", "036000291452")]
    [InlineData("item/qr/level", "30 %", "30 %")]
    [InlineData("item/qr/side", "1 in", "1 in")]
    [InlineData("item/qr/ink", "80 40 20 10", "80 40 20 10")]
    public void What_is_typed_is_kept_and_read_back(string path, string typed, string reads)
    {
        var after = Facts.Write(Both, path, typed).Apply(Both);
        Facts.Read(after, path).ShouldBe(reads);
        JobJson.Write(JobJson.Read(JobJson.Write(after))).AsSpan().SequenceEqual(JobJson.Write(after)).ShouldBeTrue();
    }

    [Fact]
    public void A_hand_sizes_a_code_square_and_a_barcode_by_its_magnification()
    {
        var sheet = Both.Sheets()[0].Sheet;
        var wide = Length.FromMillimetres(30);
        var square = (CodeItem)new LayItem("qr", Length.FromInches(2), Length.FromInches(2), wide,
            Length.FromMillimetres(50))
            .Apply(Both).Item("qr")!;
        Placement.Of(square, sheet)!.Box.Size.ShouldBe(new Size(square.Side, square.Side));
        Length.Abs(square.Side - wide).ShouldBeLessThan(Length.FromMillimetres(0.01m));
        var size = ((BarcodeItem)Both.Item("bars")!).PlateSize;
        ((BarcodeItem)new LayItem("bars", Length.FromInches(2), Length.FromInches(2), 1.2m * size.Width, size.Height)
            .Apply(Both).Item("bars")!)
            .Percent.ShouldBe(120);
        Should.Throw<Refusal>(() => new StretchItem("qr", Reach.Panel).Apply(Both));
    }

    [Fact]
    public void A_code_without_its_squares_is_a_plate_and_says_in_words_where_it_leads()
    {
        Sample.Scene(Both).Item("qr")!.Marks.ShouldHaveSingleItem();
        InWords.Say(Both, Both.Sheets()[0]).ShouldContain("https://example.org");
        var squares = new bool[21, 21];
        squares[0, 0] = squares[0, 1] = squares[20, 20] = true;
        var drawn = (FillMark)CodeDrawing.Draw((CodeItem)Both.Item("qr")!, [], squares).Last();
        var module = CodeDrawing.Module((CodeItem)Both.Item("qr")!, 21).Points;
        // Four quiet squares all round; two that touch are one shape.
        drawn.Shape.Bounds.Left.ShouldBe(4 * module, 1e-6);
        drawn.Shape.Bounds.Right.ShouldBe(25 * module, 1e-6);
        drawn.Shape.Strokes.Count(s => s == PathVerb.Move).ShouldBe(2);
    }

    [Fact]
    public void Codes_go_over_the_clipboard_and_damaged_ones_are_refused()
    {
        var text = Clip.Write(Both, ["bars", "qr"]);
        var pasted = new PasteItems(Clip.Read(text), "new").Apply(Both);
        pasted.Items.OfType<CodeItem>().Count().ShouldBe(2);
        Should.Throw<Refusal>(() =>
            new PasteItems(Clip.Read(text.Replace("https://example.org", new string('x', 600),
                StringComparison.Ordinal)),
                "new")
                .Apply(Both));
        Should.Throw<Refusal>(() =>
            new PasteItems(Clip.Read(text.Replace("51299", "5129x", StringComparison.Ordinal)), "new").Apply(Both));
    }
}
