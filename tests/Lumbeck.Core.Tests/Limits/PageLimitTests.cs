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
}
