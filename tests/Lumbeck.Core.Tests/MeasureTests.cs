namespace Lumbeck.Core.Tests;

public sealed class MeasureTests
{
    [Theory]
    [InlineData("5.25in", 133.35)]
    [InlineData("5 1/2\"", 139.7)]
    [InlineData("5½", 139.7)]
    [InlineData("5 ½ in", 139.7)]
    [InlineData("1/8 in", 3.175)]
    [InlineData("140mm", 140)]
    [InlineData("15,24 cm", 152.4)]
    [InlineData("432pt", 152.4)]
    [InlineData("125 mil", 3.175)]
    [InlineData("135 µm", 0.135)]
    [InlineData("-0.5 in", -12.7)]
    [InlineData(" 6 ", 152.4)]
    [InlineData("6″", 152.4)]
    public void Lengths_are_read_as_people_type_them(string typed, double millimetres)
    {
        LengthText.TryParse(typed, Unit.Inch, out var length, out var why).ShouldBeTrue(why);
        length.ShouldBe(Length.FromMillimetres((decimal)millimetres));
    }

    [Theory]
    [InlineData("6 x 9 in", 152.4, 228.6)]
    [InlineData("140 × 216mm", 140, 216)]
    [InlineData("5.25x8in", 133.35, 203.2)]
    [InlineData("5 1/4 by 8", 133.35, 203.2)]
    [InlineData("15,24 cm x 9 in", 152.4, 228.6)]
    public void Sizes_share_a_unit_that_stands_on_one_side(string typed, double width, double height)
    {
        LengthText.TryParseSize(typed, Unit.Inch, out var size, out var why).ShouldBeTrue(why);
        size.ShouldBe(Size.FromMillimetres((decimal)width, (decimal)height));
    }

    [Theory]
    [InlineData("6x", "`6x` needs a height: try `6 x 9 in`")]
    [InlineData("x 9", "`x 9` needs a width: try `6 x 9 in`")]
    [InlineData("tall", "`tall` is no size: try `6 x 9 in`")]
    [InlineData("6 x 9 furlongs", "`6 x 9 furlongs` is no size: try `6 x 9 in`")]
    [InlineData("5 1/0 x 8", "`5 1/0 x 8` is no size: try `6 x 9 in`")]
    public void What_cannot_be_read_is_named_back_with_what_would_do(string typed, string sentence)
    {
        LengthText.TryParseSize(typed, Unit.Inch, out _, out var why).ShouldBeFalse();
        why.ShouldBe(sentence);
    }

    [Theory]
    [InlineData("99999999999999999999999999999999999999")]
    [InlineData("9999999999999999999999999999 1/3")]
    [InlineData("5000000 in")]
    [InlineData("")]
    [InlineData("1e9")]
    [InlineData("٣ in")]
    public void Monstrous_lengths_are_refused_not_thrown(string typed) =>
        LengthText.TryParse(typed, Unit.Inch, out _, out _).ShouldBeFalse();

    [ByChance]
    public void A_length_comes_back_exactly_from_either_unit(int hundredthsOfMillimetre, int thousandthsOfInch)
    {
        var mm = Length.FromMillimetres(hundredthsOfMillimetre % 1_000_000 / 100m);
        var inch = Length.FromInches(thousandthsOfInch % 390_000 / 1000m);
        foreach (var (length, unit) in new[] { (mm, Unit.Millimetre), (inch, Unit.Inch), (mm, Unit.Inch) })
        {
            LengthText.TryParse(length.Exact(unit), unit, out var back, out var why).ShouldBeTrue(why);
            back.ShouldBe(length);
        }
    }

    [Fact]
    public void Points_inches_and_millimetres_are_whole()
    {
        Length.FromPoints(72).ShouldBe(Length.FromInches(1));
        Length.FromMillimetres(25.4m).ShouldBe(Length.FromInches(1));
        (Length.FromMillimetres(6.24m) + Length.FromMillimetres(0.56m)).ShouldBe(Length.FromMillimetres(6.8m));
        Length.FromInches(5.25m).Show(Unit.Inch).ShouldBe("5.25 in");
        Length.FromMillimetres(21.06m).Show(Unit.Inch).ShouldBe("0.829 in");
    }

    [Fact]
    public void A_caliper_without_end_stays_exact_until_it_is_a_length()
    {
        // 376 pages per inch over 376 leaves: 752 pages, exactly two inches.
        (Caliper.FromPagesPerInch(376) * 376).ToLength().ShouldBe(Length.FromInches(2));
        (Caliper.FromPagesPerInch(3) * 3).ShouldBe(Caliper.FromLength(Length.FromInches(2)));
        Caliper.FromBulk(90, 1.5m).ShouldBe(Caliper.FromMillimetres(0.135m));
        Caliper.FromPageThickness(Caliper.FromMicrometres(67.5m)).ShouldBe(Caliper.FromMillimetres(0.135m));
        Caliper.TryParseFraction(Caliper.FromPagesPerInch(376).Fraction, out var back).ShouldBeTrue();
        back.ShouldBe(Caliper.FromPagesPerInch(376));
    }

    [Theory]
    [InlineData(15.25, Rounding.Nearest, 0.5, 15.5)]
    [InlineData(15.24, Rounding.Nearest, 0.5, 15)]
    [InlineData(6.8, Rounding.Up, 0.1, 6.8)]
    [InlineData(6.54, Rounding.Up, 0.1, 6.6)]
    [InlineData(21.06, Rounding.None, 0, 21.06)]
    public void A_spine_is_rounded_once_ties_up_and_a_step_stays(double exact, Rounding how, double step,
        double rounded) =>
        Caliper.FromMillimetres((decimal)exact).ToLength(how, Length.FromMillimetres((decimal)step))
            .ShouldBe(Length.FromMillimetres((decimal)rounded));

    [ByChance]
    public void Taking_a_box_out_leaves_boxes_that_fill_the_rest(byte x, byte y, byte w, byte h)
    {
        var whole = new Box(default, default, Length.FromMillimetres(200), Length.FromMillimetres(200));
        var hole = new Box(Length.FromMillimetres(x), Length.FromMillimetres(y), Length.FromMillimetres(w),
            Length.FromMillimetres(h));
        var rest = whole.Without(hole).ToList();
        static decimal Area(Box b) => b.IsEmpty ? 0 : b.Width.Millimetres * b.Height.Millimetres;
        (rest.Sum(Area) + Area(whole.Intersect(hole))).ShouldBe(Area(whole));
        rest.ShouldAllBe(b => b.Intersect(hole).IsEmpty && whole.Contains(b));
    }

    [Theory]
    [InlineData("A4", 210, 297)]
    [InlineData("a5", 148, 210)]
    [InlineData("A6", 105, 148)]
    [InlineData("b5", 176, 250)]
    [InlineData("A5 landscape", 210, 148)]
    [InlineData("letter", 215.9, 279.4)]
    [InlineData("Legal", 215.9, 355.6)]
    [InlineData("royal octavo", 156, 234)]
    public void A_size_is_typed_by_its_name(string typed, double wide, double high)
    {
        LengthText.TryParseSize(typed, Unit.Inch, out var size, out var why).ShouldBeTrue(why);
        (size.Width.Millimetres, size.Height.Millimetres).ShouldBe(((decimal)wide, (decimal)high));
    }

    [Theory]
    [InlineData("148 x 210 mm", Unit.Millimetre)]
    [InlineData("6 x 9 in", Unit.Inch)]
    [InlineData("14.8 × 21 cm", Unit.Millimetre)]
    [InlineData("6 x 9", null)]
    [InlineData("A5", null)]
    public void The_unit_that_was_typed_is_known(string typed, Unit? unit) => LengthText.UnitIn(typed).ShouldBe(unit);

    [Fact]
    public void A_size_in_inches_to_two_places_is_at_the_limit_that_it_means()
    {
        var house = HouseFile.Shipped["plover"] with { TrimMost = Size.FromMillimetres(210, 297) };
        LengthText.TryParseSize("8.27 x 11.69 in", Unit.Inch, out var a4, out _).ShouldBeTrue();
        house.Cuts(a4).ShouldBeTrue();
        house.Cuts(new(a4.Width + Length.FromMillimetres(0.1m), a4.Height)).ShouldBeFalse();
    }
}
