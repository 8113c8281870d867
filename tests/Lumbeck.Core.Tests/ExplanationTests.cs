namespace Lumbeck.Core.Tests;

/// <summary>Known slips, each found first among the causes by the figures it gives.</summary>
public sealed class ExplanationTests
{
    private static readonly House Tern = HouseFile.Shipped["tern"];
    private static readonly House Aldwater = HouseFile.Read("""
        {
          "name": "Bindery", "bleed_mm": 3, "page_multiple": 4,
          "spine_step_mm": 0.5, "spine_rounding": "nearest", "cover_allowance_mm": 0.6,
          "turn_in_mm": 17, "board_mm": 2.5, "square_mm": 3,
          "papers": [{ "name": "A", "leaf_mm": 0.125 }, { "name": "B", "leaf_mm": 0.15 }]
        }
        """);

    private static readonly BookFacts Novel = new(BindingKind.Paperback, Reading.LeftToRight, Size.FromInches(5.25m, 8),
        312, Tern.Papers[0]);
    private static readonly BookFacts Case = new(BindingKind.Case, Reading.LeftToRight, Size.FromMillimetres(189, 246),
        222, Aldwater.Papers[0]);

    private static Explanation Of(BookFacts book, House house, string given)
    {
        LengthText.TryParseSize(given, house.Unit, out var size, out var why).ShouldBeTrue(why);
        return Explanation.Of(book, house, size, LengthText.Slack(given, house.Unit));
    }

    [Theory]
    [InlineData("11.579x8.25in")]
    [InlineData("11.58 x 8.25 in")]
    [InlineData("11.6 x 8.3 in")]
    [InlineData("294.1 x 209.6 mm")]
    [InlineData("833.7 x 594 pt")]
    public void Figures_that_agree_to_their_last_digit_agree(string given) =>
        Of(Novel, Tern, given).Agrees.ShouldBeTrue();

    [Theory]
    [InlineData("11.59 x 8.25 in")]
    [InlineData("11.579 x 8.255 in")]
    public void Figures_a_digit_off_do_not(string given) => Of(Novel, Tern, given).Agrees.ShouldBeFalse();

    [Theory]
    [InlineData("11.33 x 8 in", "no-bleed")]
    [InlineData("11.454 x 8.125 in", "bleed-once")]
    [InlineData("6.329 x 8.25 in", "one-panel")]
    [InlineData("17.079 x 8.25 in", "height-for-width")]
    [InlineData("8.25 x 11.58 in", "swapped")]
    [InlineData("833.7 x 594 in", "points")]
    [InlineData("833.7 x 594", "points")]
    [InlineData("3474 x 2475", "pixels-300")]
    [InlineData("1737 x 1238", "pixels-150")]
    [InlineData("1112 x 792", "pixels-96")]
    [InlineData("29.41 x 20.96", "centimetres")]
    [InlineData("294.1 x 209.6", "millimetres")]
    [InlineData("11.165 x 8.25 in", "leaves-for-pages")]
    [InlineData("12.408 x 8.25 in", "pages-for-leaves")]
    [InlineData("11.413 x 8.25 in", "other-paper")]
    public void A_slip_with_a_paperback_is_found_first(string given, string id)
    {
        var e = Of(Novel, Tern, given);
        e.Agrees.ShouldBeFalse();
        e.Causes.ShouldNotBeEmpty();
        e.Causes[0].Id.ShouldBe(id);
        e.Causes.ShouldAllBe(c => c.Text.Length > 0 && c.Sum.Contains('='));
    }

    [Theory]
    [InlineData("403.6 x 252 mm", "turn-in")]
    [InlineData("437.0 x 286.0 mm", "allowance")]
    [InlineData("398.5 x 252 mm", "case-for-paperback")]
    [InlineData("440.5 x 286 mm", "other-paper")]
    [InlineData("1240.2 x 810.7", "points")]
    [InlineData("5167 x 3378", "pixels-300")]
    [InlineData("43.8 x 28.6", "centimetres")]
    public void A_slip_with_a_case_is_found(string given, string id) =>
        Of(Case, Aldwater, given).Causes.Select(c => c.Id).ShouldContain(id);

    [Fact]
    public void A_spine_not_rounded_as_the_house_rounds_it_is_found() =>
        // 14 + 5 + 0.6 = 19.6 mm, which this house makes 20.
        Of(Case, Aldwater with { SpineStep = Length.FromMillimetres(1) }, "437.6 x 286.0 mm").Causes.Select(c => c.Id)
            .ShouldBe(["rounding"]);

    [Fact]
    public void Odd_pages_not_raised_are_found()
    {
        // 221 pages are 110.5 leaves: 13.8125 mm, where 224 pages make 14 mm.
        var house = Aldwater with { SpineRounding = Rounding.None, CoverAllowance = default };
        var book = Case with { Binding = BindingKind.Paperback, Pages = 221 };
        Of(book, house, "397.8125 x 252 mm").Causes.Select(c => c.Id).ShouldContain("odd-pages");
    }

    [Fact]
    public void Stated_figures_imply_a_spine_a_leaf_and_a_bleed_where_the_binding_leaves_none_open()
    {
        var e = Of(Novel, Tern, "11.6 x 8.3 in");
        e.Implied.Spine.ShouldBe(Length.FromInches(0.85m));
        e.Implied.Bleed.ShouldBe(Length.FromInches(0.15m));
        Math.Round(e.Implied.Leaf!.Value.Millimetres, 4).ShouldBe(Math.Round(0.85m * 25.4m / 156, 4));
        Of(Case, Aldwater, "450 x 286 mm").Implied.Bleed.ShouldBeNull();
        Of(Novel with { Binding = BindingKind.Booklet }, Tern, "12 x 8.25 in").Implied.Spine.ShouldBeNull();
    }

    [ByChance(200)]
    public void Whatever_is_stated_is_answered(PositiveInt wide, PositiveInt high, byte kind)
    {
        var book = Novel with { Binding = (BindingKind)(kind % 6) };
        var e = Explanation.Of(book, Tern, Size.FromMillimetres(wide.Get, high.Get), default);
        e.Causes.Select(c => c.Id).ShouldBeUnique();
        if (e.Agrees) e.Causes.ShouldBeEmpty();
    }

    [Fact]
    public void With_a_pinned_spine_and_no_bleed_the_height_taken_for_the_width_is_found()
    {
        var book = new BookFacts(BindingKind.Paperback, Reading.LeftToRight, Size.FromMillimetres(180, 240), 40,
            Tern.Papers[0], PinnedSpine: Length.FromMillimetres(7));
        var e = Of(book, Tern, "487 x 240 mm");
        e.Causes[0].Id.ShouldBe("height-for-width+no-bleed");
        e.Causes[0].Sum.ShouldContain("= 19.173 in × 9.449 in");
        // A house that has no bleed at all makes the one slip of it.
        Of(book, Tern with { Bleed = Length.Zero }, "487 x 240 mm").Causes[0].Id.ShouldBe("height-for-width");
        // The sheet as it is pinned is said to be that.
        Of(book, Tern with { Bleed = Length.Zero }, "367 x 240 mm").Causes[0].Id.ShouldBe("pinned");
    }

    [Theory]
    [InlineData("12.75 x 9 in", "one-panel")]
    [InlineData("12.75 x 9.0 in", "one-panel")]
    [InlineData("15.75 x 9 in", "one-flap")]
    [InlineData("12.76 x 9 in", null)]
    public void A_jacket_that_forgot_a_panel_or_a_flap_is_told(string given, string? id)
    {
        var plain = Tern with
        {
            Bindings = [BindingKind.Jacket],
            Bleed = Length.FromInches(0.125m),
            Square = Length.Zero,
            Board = Length.FromMillimetres(2),
            ForeEdgeAllowance = Length.Zero,
        };
        var book = new BookFacts(BindingKind.Jacket, Reading.LeftToRight, Size.FromInches(6, 9), 200, Tern.Papers[0],
            true, Length.FromInches(3), Length.FromInches(0.75m));
        var wrap = WrapGeometry.Of(book, plain);
        // 3 + 6 + 0.75 + 6 + 3 in, and the bleed.
        wrap.Sheet.Size.Width.Inches.ShouldBe(19m);
        var e = Of(book, plain, given);
        if (id is null) e.Causes.ShouldNotContain(c => c.Id.StartsWith("one-", StringComparison.Ordinal));
        else e.Causes.ShouldContain(c => c.Id == $"{id}+no-bleed");
    }

    /// <summary>For every binding that has a spine: the sum, read back, gives the leaf that it was made with.</summary>
    [Fact]
    public void The_implied_leaf_is_the_inverse_of_the_spine_s_own_sum()
    {
        var house = Aldwater with
        {
            SpineRounding = Rounding.None,
            RoundBackFactor = 1.12m,
            Endpapers = Length.FromMillimetres(0.6m),
            SpineEase = Length.FromMillimetres(1),
        };
        foreach (var kind in (BindingKind[])[BindingKind.Paperback, BindingKind.Case, BindingKind.Jacket])
            foreach (var round in (bool[])[false, true])
                foreach (var endpapers in (Length?[])[null, Length.FromMillimetres(1.4m)])
                    foreach (var plates in (Plates?[])[null, new(16, new("", Caliper.FromMillimetres(0.119m)))])
                    {
                        var book = Case with
                        {
                            Binding = kind,
                            RoundBack = round,
                            Endpapers = endpapers,
                            Plates = plates,
                            Pages = 224,
                        };
                        var wrap = WrapGeometry.Of(book, house);
                        var leaf = Explanation.Of(book, house, wrap.Sheet.Size, default).Implied.Leaf;
                        leaf.ShouldNotBeNull();
                        leaf.Value.Millimetres.ShouldBe(0.125m, 0.000_01m, $"{kind} {round} {endpapers} {plates}");
                        Explanation.Of(book with { Dummy = Length.FromMillimetres(14) }, house, wrap.Sheet.Size,
                            default)
                            .Implied.Leaf
                            .ShouldBeNull();
                    }
    }

    /// <summary>A spine is read with what people write about it, and so are leaves.</summary>
    [Fact]
    public void A_spine_is_read_in_words_and_a_slip_is_named_only_where_it_gives_the_figure()
    {
        foreach (var text in (string[])["spine 2 in", "Spine: 2 in", "the spine is 2 in", "2 in spine", "2 in"])
            Stated.Read(text, Unit.Millimetre).Spine.ShouldBe(Length.FromInches(2), text);
        // Twice the pages would give 1.65 in: 2 in is that only if it is read to half an inch.
        Stated.Read("spine 2 in", Unit.Inch).Explain(Novel, Tern).Causes.ShouldNotContain(c => c.Id == "pages-for-leaves");
        Stated.Read("156 leaves", Unit.Inch).Explain(Novel, Tern).Agrees.ShouldBeTrue();
        var half = Stated.Read("78 leaves", Unit.Inch).Explain(Novel, Tern);
        half.Agrees.ShouldBeFalse();
        half.Causes.ShouldContain(c => c.Id == "leaves-for-pages");
        Should.Throw<Refusal>(() => Stated.Read("many leaves", Unit.Inch)).Message.ShouldContain("many leaves");
    }
}
