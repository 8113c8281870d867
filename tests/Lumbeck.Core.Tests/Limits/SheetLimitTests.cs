namespace Lumbeck.Core.Tests.Limits;

/// <summary>
/// Rules of the sheet on either side of their limits: just within they are quiet, just past they speak.
/// </summary>
public sealed class SheetLimitTests
{
    private static ImmutableArray<Finding> Of(Job job, string id) => [.. Sample.Check(job).Where(f => f.Id == id)];

    private static Job In(House house, Job? job = null) => new SetHouse(house).Apply(job ?? Sample.Job());

    private static House Tern => HouseFile.Shipped["tern"];

    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);

    private static Length Pt(decimal pt) => Length.FromPoints(pt);

    /// <summary>
    /// What a house asks beside the spine or the cut counts no less than what keeps words safe there.
    /// </summary>
    [Fact]
    public void A_barcode_s_room_never_reaches_out_of_the_safe_box()
    {
        foreach (var corner in Enum.GetValues<BarcodeCorner>())
            foreach (var reading in Enum.GetValues<Reading>())
            {
                Box room(Length? side) => WrapGeometry.Of(Sample.Job().Ticket.Facts with { Reading = reading },
                    Tern with { BarcodeCorner = corner, BarcodeFromSide = side }).Sheet.Zone(ZoneKind.Barcode,
                        Part.Back)!.Box;
                var safe = WrapGeometry.Of(Sample.Job().Ticket.Facts with { Reading = reading }, Tern).Sheet
                    .Panel(Part.Back)!.Safe;
                (room(Mm(1)).X >= safe.X && room(Mm(1)).Right <= safe.Right).ShouldBeTrue($"{corner} {reading}");
                if (corner != BarcodeCorner.FootMiddle)
                    Length.Abs(room(Mm(30)).X - room(Mm(1)).X).ShouldBeGreaterThan(Mm(10));
            }
    }

    [Fact]
    public void Words_in_the_band_that_is_punched_are_stopped()
    {
        var word = Sample.Text("near", "near", box: HoldBox.Face, anchor: Anchor.Left, wide: 1);
        var house = HouseFile.Shipped["plover"];
        ImmutableArray<Finding> of(Item item) => Of(new SetBinding(BindingKind.Loose).Apply(In(house, Sample
            .Job(item))),
            "zone.fold");
        of(word).Single(f => f.Item == "near").Measured.ShouldStartWith("in the punch");
        of(word with { Hold = new(Part.Front, HoldBox.Face, Anchor.Left, house.PunchBand + Mm(1), default) })
            .ShouldNotContain(f => f.Item == "near");
    }

    [Theory]
    [InlineData(7.9, Part.Spine, true)]
    [InlineData(8, Part.Spine, false)]
    [InlineData(7.9, Part.Front, false)]
    [InlineData(5.9, Part.Front, true)]
    public void Words_on_a_spine_are_held_to_the_larger_limit(decimal size, Part panel, bool found)
    {
        (Tern.TextLeast, Tern.TextReversedLeast).ShouldBe((Pt(6), Pt(8)));
        var black = Sample.Style(size) with { Paint = new InkPaint(Ink.Black) };
        var item = Sample.Text("w", "word", panel: panel, wide: 2, high: 0.4m) with { Style = black };
        Of(Sample.Job(item), "text.size").Any(f => f.Item == "w").ShouldBe(found);
    }

    [Theory]
    [InlineData(0.29, false)]
    [InlineData(0.31, true)]
    [InlineData(-0.29, false)]
    [InlineData(-0.31, true)]
    public void A_pinned_spine_may_be_three_tenths_of_a_millimetre_off(decimal mm, bool found)
    {
        var job = Sample.Job();
        var pinned = new PinSpine(job.Sheets()[0].Geometry.Spine.Computed + Mm(mm)).Apply(job);
        Of(pinned, "ticket.spine-pinned").Any().ShouldBe(found);
    }

    /// <summary>Black words overprint up to the house's size, and no other ink does.</summary>
    [Fact]
    public void Black_words_overprint_up_to_the_size_that_the_house_says()
    {
        bool over(decimal size, Ink ink, decimal upTo) => Sample.Scene(In(Tern with { BlackOverprintUpTo = Pt(upTo) },
            Sample.Job(Sample.Text("w", "word", high: 3) with
            { Style = Sample.Style(size) with { Paint = new InkPaint(ink) } })))
            .Item("w")!.Marks.OfType<GlyphMark>().ShouldHaveSingleItem().Overprint;
        over(24, Ink.Black, 24).ShouldBeTrue();
        over(24.5m, Ink.Black, 24).ShouldBeFalse();
        over(24.5m, Ink.Black, 30).ShouldBeTrue();
        over(12, Ink.Black, 0).ShouldBeFalse();
        over(12, Ink.White, 24).ShouldBeFalse();
        over(12, Ink.Percent(0, 0, 0, 99), 24).ShouldBeFalse();
    }

    /// <summary>White is no black: it asks for no ink, overprints nothing, and makes no page one of colour.</summary>
    [Fact]
    public void White_is_neither_black_nor_a_colour()
    {
        (Ink.White.IsColoured, Ink.Black.IsColoured, Ink.Percent(1, 0, 0, 0).IsColoured).ShouldBe((false, false, true));
        (Ink.White == Ink.Black).ShouldBeFalse();
        static GlyphMark only(Ink ink) => Sample.Scene(Sample.Job(Sample.Text("w", "word", high: 3) with
        { Style = Sample.Style(12) with { Paint = new InkPaint(ink) } })).Item("w")!.Marks.OfType<GlyphMark>().Single();
        (only(Ink.Black).Overprint, only(Ink.White).Overprint).ShouldBe((true, false));
        MarkHasColour.Of(only(Ink.White)).ShouldBeFalse();
    }

    /// <summary>About 0.8 bytes a pixel, at no more pixels than the house takes.</summary>
    [Fact]
    public void A_file_that_would_be_too_large_is_told()
    {
        var photo = new Picture(new string('a', 64), "road.jpg", 6000, 4000, true);
        var item = new PictureItem
        {
            Id = "p",
            Hold = new(Part.Front, HoldBox.Face, Anchor.Middle, default, default),
            Width = new(Length.FromInches(6)),
            Height = new(Length.FromInches(4)),
            Picture = photo,
        };
        // 6 in at 450 an inch are 2,700 × 1,800 pixels: 3.89 MB.
        ImmutableArray<Finding> at(int limit, int most = 450) =>
            Of(In(Tern with { FileLimit = limit, PictureMost = most }, Sample.Job(item)), "press.size");
        at(3).ShouldHaveSingleItem().Measured.ShouldBe("about 4 MB");
        at(4).ShouldBeEmpty();
        at(4, most: 500).ShouldHaveSingleItem();
        // No more pixels than there are: 6,000 × 4,000 of them.
        at(19, most: 2000).ShouldHaveSingleItem();
        at(20, most: 2000).ShouldBeEmpty();
    }
}
