namespace Lumbeck.Core.Tests.Limits;

/// <summary>Rules of pages on either side of their limits.</summary>
public sealed class PageLimitTests
{
    private static readonly House Plover = HouseFile.Shipped["plover"];

    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);

    private static IEnumerable<Finding> Of(string id, House house, params Mark[] marks)
    {
        var page = new PageGrid(Size.FromMillimetres(148, 210), Reading.LeftToRight, Mm(10), Mm(10), Mm(14), Mm(15))
            .Page(2);
        var scene = new Scene(page, [new(PageScene.Body, Part.Sheet, Affine.Identity, [.. marks], Bounds.None,
            Bounds.None)]);
        return PageRule.Check(new(scene, 2, house, Unit.Millimetre)).Where(f => f.Id == id);
    }

    /// <summary>A solid line is held to the house's least; a tint to 0.75 pt, and one under 30 % to 1 pt.</summary>
    [Theory]
    [InlineData(100, 0.26, false)]
    [InlineData(100, 0.24, true)]
    [InlineData(99, 0.76, false)]
    [InlineData(99, 0.74, true)]
    [InlineData(30, 0.76, false)]
    [InlineData(30, 0.74, true)]
    [InlineData(29, 0.99, true)]
    [InlineData(29, 1, false)]
    public void The_lighter_a_tint_the_heavier_its_line(int tint, double width, bool found)
    {
        var house = Plover with { Inside = Plover.Inside with { RuleLeast = Length.FromPoints(0.25m) } };
        Of("page.line", house, new LineMark(Outline.Rectangle(50, 50, 100, 100), width, Ink.Percent(0, 0, 0, tint)))
            .Any().ShouldBe(found);
    }

    [Theory]
    [InlineData(300, false)]
    [InlineData(301, true)]
    public void A_page_takes_as_much_ink_as_its_paper(int total, bool found) => Of("page.ink",
        Plover with { Inside = Plover.Inside with { InkLimit = 300 } },
        new FillMark(Outline.Rectangle(50, 50, 9, 9), Ink.Percent(100, 100, 50, total - 250))).Any().ShouldBe(found);

    /// <summary>The first and the last page are glued to the cover, no page between.</summary>
    [Theory]
    [InlineData(Reading.LeftToRight, "blank ruled blank", 0)]
    [InlineData(Reading.LeftToRight, "ruled blank blank", 1)]
    [InlineData(Reading.LeftToRight, "blank blank ruled", 8)]
    [InlineData(Reading.RightToLeft, "ruled blank blank", 1)]
    [InlineData(Reading.RightToLeft, "blank blank ruled", 8)]
    public void Glue_takes_the_first_and_the_last_page(Reading reading, string designs, int found)
    {
        var house = Plover with { Inside = Plover.Inside with { Glue = Mm(30), Gutters = [new([new(5000, Mm(5))])] } };
        var job = new PutInsideBy(false).Apply(new Job(new()
        {
            House = house,
            Title = "Glued",
            Trim = Size.FromMillimetres(148, 210),
            Binding = BindingKind.Paperback,
            Reading = reading,
            Paper = new("Wove", Caliper.FromMillimetres(0.1m)),
        }, [], [Wrap.First(Job.Cover, new Fill(new InkPaint(Ink.White)))])
        { Inside = new() { Runs = [.. designs.Split(' ').Select((d, n) => new PageRun
        {
            Id = $"run-{n}",
            Designs = [DesignShelf.Of(d)],
            Count = n == 1 ? 4 : 2,
        })] } });
        PageChecks.Of(new(job), new PageArt([], new PlainType())).Where(f => f.Id == "page.margin").Select(f => f.Page)
            .SingleOrDefault().ShouldBe(found);
    }

    /// <summary>How much one inch of a picture has, on a page: half a pixel is rounding.</summary>
    [Theory]
    [InlineData(300, null, "")]
    [InlineData(299.6, null, "")]
    [InlineData(299.4, Severity.Caution, "300 or more")]
    [InlineData(149.6, Severity.Caution, "300 or more")]
    [InlineData(149.4, Severity.Stop, "150 or more")]
    public void A_picture_of_a_page_has_the_pixels_it_needs(double perInch, Severity? weighs, string limit)
    {
        var house = Plover with { PictureStop = 150, PictureCaution = 300 };
        var page = new PageGrid(Size.FromMillimetres(148, 210), Reading.LeftToRight, Mm(10), Mm(10), Mm(14), Mm(15))
            .Page(2);
        var wide = 600 / perInch * 72;
        var mark = new PictureMark(new(new string('a', 64), "road.jpg", 600, 600, true), new(wide, 0, 0, wide, 0, 0),
            Outline.Rectangle(0, 0, wide, wide));
        var scene = new Scene(page, [new(PageScene.Body, Part.Sheet, Affine.Identity, [mark], Bounds.None,
            Bounds.None)]);
        var found = PageRule.Check(new(scene, 2, house, Unit.Millimetre)).SingleOrDefault(f => f.Id == "page.picture");
        (found?.Severity, found?.Limit ?? "").ShouldBe((weighs, limit));
    }

    private static List<Finding> OfPage(string id, params DrawnItem[] items)
    {
        var page = new PageGrid(Size.FromMillimetres(148, 210), Reading.LeftToRight, Mm(10), Mm(10), Mm(14), Mm(15))
            .Page(2);
        return [.. PageRule.Check(new(new Scene(page, [.. items]), 2, Plover, Unit.Millimetre))
            .Where(f => f.Id == id)];
    }

    private static DrawnItem Item(string id, params Mark[] marks) =>
        new(id, Part.Sheet, Affine.Identity, [.. marks], new(50, 50, 80, 60), new(50, 50, 80, 60));

    /// <summary>What lies behind a page may lie under its folio while it is faint: a picture to 30 %, a tint as well.</summary>
    [Theory]
    [InlineData(30, 30, false)]
    [InlineData(31, 0, true)]
    [InlineData(0, 31, true)]
    public void A_folio_stands_on_what_is_faint(int strength, int tint, bool found) => (OfPage("page.folio",
        Item(PageScene.Behind, new PictureMark(new(new string('a', 64), "road.jpg", 600, 600, true), new(30, 0, 0, 10,
            50, 50),
            Outline.Rectangle(50, 50, 30, 10)) { Strength = strength / 100.0 },
            new FillMark(Outline.Rectangle(50, 50, 30, 10), Ink.Percent(tint, 0, 0, 0))),
        Item(PageScene.Folio, new FillMark(Outline.Rectangle(50, 50, 30, 10), Ink.Black))).Count > 0).ShouldBe(found);

    /// <summary>A tint of a page is told in percent, and held to the house's least.</summary>
    [Fact]
    public void A_tint_of_a_page_is_told_in_percent()
    {
        var least = Plover.Inside.TintLeast;
        List<Finding> of(decimal tint) => OfPage("page.tint", Item(PageScene.Body, new FillMark(Outline.Rectangle(50,
            50, 30, 10),
            new Ink(0, 0, 0, (int)(tint * 100)))));
        of(least).ShouldBeEmpty();
        of(least - 1).ShouldHaveSingleItem().Measured.ShouldBe($"a tint of {Typed.Show(least - 1, " %")}");
        of(90).ShouldBeEmpty();
        of(91).ShouldHaveSingleItem().Measured.ShouldBe("a tint of 91 %");
        of(100).ShouldBeEmpty();
    }

    [Fact]
    public void As_many_letters_of_a_page_are_named_as_can_be_read()
    {
        var set = Sample.Scene(Sample.Job(Sample.Text("w", "words"))).Item("w")!.Layout!;
        var missing = string.Concat(Enumerable.Range(0, 20).Select(n => (char)(0x2460 + n))).EnumerateRunes();
        OfPage("page.words", Item(PageScene.Body) with { Layout = set with { Missing = [.. missing] } })
            .ShouldHaveSingleItem().Measured.Split(' ').Length.ShouldBe(8);
    }

    [Theory]
    [InlineData(0.744, true)]
    [InlineData(0.7462, false)]
    public void A_line_of_a_page_in_a_tint_may_be_thinner_by_rounding_alone(double width, bool found) =>
        (OfPage("page.line", Item(PageScene.Body, new LineMark(Outline.Rectangle(50, 50, 30, 10), width, Ink
            .Percent(0, 0, 0, 50)))).Count > 0)
            .ShouldBe(found);

    [Fact]
    public void A_line_of_a_page_is_held_to_the_house_s_least_but_for_rounding()
    {
        var least = Plover.Inside.RuleLeast.Points;
        bool thin(double by) => OfPage("page.line", Item(PageScene.Body, new LineMark(Outline.Rectangle(50, 50, 30,
            10), least - by, Ink.Black))).Count > 0;
        thin(0.0045).ShouldBeFalse();
        thin(0.006).ShouldBeTrue();
    }
}
