namespace Lumbeck.Core.Tests;

/// <summary>Pages of an inside: their grid, a ruled one, and what Check says of it.</summary>
public sealed class PageTests
{
    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);

    private static PageGrid A5(Reading reading = Reading.LeftToRight, PageBleed bleed = PageBleed.Three) =>
        new(Size.FromMillimetres(148, 210), reading, Mm(10), Mm(8), Mm(10),
            Mm(18))
        { Bleed = bleed, BleedWidth = Mm(3) };

    private static readonly Ruled Lined = new()
    {
        Paints = [new InkPaint(Ink.Percent(0, 0, 0, 100)),
        new InkPaint(Ink.Black)],
        Header = Mm(14)
    };

    private static ImmutableArray<Finding> Checked(Surface page, Ruled design, House? house = null) =>
        PageRule.Check(new(PageScene.Of(design, page, new PageArt([])), 1, house ?? HouseFile.Shipped["tern"],
            Unit.Millimetre));

    [Theory]
    [InlineData(Reading.LeftToRight, 1, true)]
    [InlineData(Reading.LeftToRight, 2, false)]
    [InlineData(Reading.RightToLeft, 1, false)]
    [InlineData(Reading.RightToLeft, 400, true)]
    public void Margins_and_bleed_mirror_from_page_to_page(Reading reading, int number, bool boundLeft)
    {
        var page = A5(reading).Page(number);
        page.Size.ShouldBe(Size.FromMillimetres(151, 216));
        page.Trim.X.ShouldBe(boundLeft ? Length.Zero : Mm(3));
        (page.Safe.X - page.Trim.X).ShouldBe(boundLeft ? Mm(18) : Mm(8));
        (page.Trim.Right - page.Safe.Right).ShouldBe(boundLeft ? Mm(8) : Mm(18));
        page.Panel(Part.Page)!.Face.ShouldBe(page.Trim);
        // Bleed and page tile the surface.
        var bleed = page.Zones.Where(z => z.Kind == ZoneKind.Bleed)
            .Sum(z => z.Box.Width.Millimetres * z.Box.Height.Millimetres);
        ((double)bleed + (148 * 210)).ShouldBe(151 * 216, 0.01);
    }

    [Fact]
    public void A_page_without_bleed_is_its_trim_and_margins_that_leave_nothing_are_refused()
    {
        A5(bleed: PageBleed.None).Page(3).Size.ShouldBe(Size.FromMillimetres(148, 210));
        A5(bleed: PageBleed.Four).Page(3).Size.ShouldBe(Size.FromMillimetres(154, 216));
        Should.Throw<Refusal>(() => (A5() with { Gutter = Mm(140) }).Page(1)).Message.ShouldContain("148 × 210 mm");
        Should.Throw<Refusal>(() => A5().Page(0));
    }

    [Fact]
    public void Rules_stand_on_the_foot_margin_and_what_is_left_over_goes_to_the_head()
    {
        var page = A5().Page(1);
        Lined.Working(page, Unit.Millimetre)
            .ShouldBe("210 mm − 10 mm − 10 mm − 14 mm = 176 mm, ÷ 7 mm = 25 rows, 1 mm over, given to the head");
        var drawn = Lined.Draw(page).ToList();
        var rules = drawn.OfType<Repeated>().Single();
        rules.Places.Length.ShouldBe(25);
        rules.Places.Max(p => p.F).ShouldBe(page.Safe.Bottom.Points, 1e-6);
        rules.Places.Zip(rules.Places.Skip(1)).ShouldAllBe(p => Math.Abs(p.Second.F - p.First.F - Mm(7).Points) < 1e-6);
        drawn.OfType<Core.Art.Sketches.Line>().Single().Shape.Bounds.Top.ShouldBe((page.Safe.Y + Mm(14)).Points, 1e-6);
        Should.Throw<Refusal>(() => (Lined with { Pitch = Mm(200) }).Fit(page)).Message.ShouldContain("200 mm");
    }

    [Fact]
    public void Check_finds_nothing_on_a_sound_page_and_names_thin_rules_and_what_leaves_the_margins()
    {
        var page = A5().Page(2);
        Checked(page, Lined).ShouldBeEmpty();
        Checked(page, Lined with { Weight = Length.FromPoints(0.1m) }).Single(f => f.Id == "page.line")
            .Measured.ShouldBe("0.1 pt");
        // The same rules on a page whose gutter has grown since.
        var scene = PageScene.Of(Lined, page, new PageArt([])) with
        {
            Surface = (A5() with { Gutter = Mm(25) })
            .Page(2)
        };
        var found = PageRule.Check(new(scene, 2, HouseFile.Shipped["tern"], Unit.Millimetre)).ShouldHaveSingleItem();
        (found.Id, found.Severity, found.Measured, found.Page)
            .ShouldBe(("page.margin", Severity.Stop, "7 mm past the margin", 2));
    }
}
