using Lumbeck.Desk;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Tests.ByChance;

namespace Lumbeck.Press.Tests;

/// <summary>
/// What repeats, what a pattern fills and a page of an inside, in files: judged by other programs' plates.
/// </summary>
public sealed class SymbolTests(RandomDesk random) : IClassFixture<RandomDesk>
{
    private static readonly House Tern = HouseFile.Shipped["tern"] with { FinishingInks = ["foil"] };

    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);

    private static Scene Page(ImmutableList<Paint> paints, int number = 1) =>
        PageScene.Of(
            new Ruled { Paints = paints, Header = Mm(14), Pitch = Mm(6) },
            new PageGrid(Size.FromMillimetres(148, 210), Reading.LeftToRight, Mm(10), Mm(8), Mm(10),
                Mm(18))
            { Bleed = PageBleed.Three, BleedWidth = Mm(3) }.Page(number),
                new PageArt([]));

    private string Pressed(PressKind kind, params Scene[] pages)
    {
        var file = random.Folder[$"symbols-{Guid.NewGuid():n}.pdf"];
        using var s = File.Create(file);
        PressFile.Write(s, pages, new(kind) { Marks = false }, Tern,
            new("Pages", "", "", DateTimeOffset.UnixEpoch, "pages", 1), random.Desk.Drawer.Shelf,
            random.Desk.Drawer.Pictures);
        return file;
    }

    private static readonly Paint Gray = new InkPaint(Ink.Percent(0, 0, 0, 60)),
        Blue = new InkPaint(Ink.Percent(90, 40, 0, 0));

    [Fact]
    public void A_ruled_page_is_pressed_with_its_boxes_and_its_rules_are_in_the_file_once_for_all_pages()
    {
        var file = Pressed(PressKind.X4, [.. Enumerable.Range(1, 40).Select(n => Page([Gray, Blue], n))]);
        Tool.Run("qpdf", "--check", file).ShouldContain("No syntax or stream encoding errors");
        var info = Tool.Run("pdfinfo", "-box", "-f", "1", "-l", "2", file);
        info.ShouldContain("Pages:           40");
        // 148 × 210 mm, bound at the left on the first page and at the right on the second; bleed at the other three
        // sides.
        info.ShouldMatch(@"Page +1 TrimBox: +0\.00 +8\.50 +419\.53 +603\.78");
        info.ShouldMatch(@"Page +2 TrimBox: +8\.50 +8\.50 +428\.03 +603\.78");
        // A form of rules for odd pages, and one for even ones, whose gutter lies on the other side.
        Forms(file).ShouldBe(2);
        // 40 pages more add pages, and no rules.
        var twice = Pressed(PressKind.X4, [.. Enumerable.Range(1, 80).Select(n => Page([Gray, Blue], n))]);
        Forms(twice).ShouldBe(2);
        (new FileInfo(twice).Length - new FileInfo(file).Length).ShouldBeLessThan(40 * 1200);
    }

    private static int Forms(string file) =>
        Tool.Run("qpdf", "--qdf", "--object-streams=disable", file, "-").Split("/Subtype /Form").Length - 1;

    /// <summary>Every design of a page, in inks and its last slot in foil.</summary>
    [Fact]
    public void Every_page_design_prints_as_it_is_seen()
    {
        var grid = new PageGrid(Size.FromMillimetres(118, 166), Reading.LeftToRight, Mm(8), Mm(7), Mm(9), Mm(12));
        random.Differs(Tern, [.. Sweep.Spread(DesignShelf.All.Index(), every: 3, from: 1).Select(d =>
        {
            var (n, (_, _, first)) = d;
            var foil = n % 3 == 1 && first.Paints.Count > 1;
            var paints = foil ? first.Paints.SetItem(first.Paints.Count - 1, new FinishPaint("foil")) : first.Paints;
            return PageScene.Of(first is MusicStaves staves ? staves with { Staves = 4, Paints = paints }
                : first with { Paints = paints }, grid.Page(n + 1), new PageArt([]));
        })]).ShouldBeEmpty();
    }

    [Theory]
    [InlineData(false)]
    [InlineData(true)]
    public void What_repeats_is_on_every_plate_where_the_painter_has_it(bool foil)
    {
        Paint rules = foil ? new FinishPaint("foil", 8000) : Gray;
        random.Differs(Tern, [Page([rules, Blue]), Page([Blue, rules], 2)]).ShouldBeEmpty();
    }

    private static Job Filled(Fill fill, decimal opacity, Blend blend)
    {
        var job = Starters.Job(Tern, "Filled");
        job = (job with
        {
            Ticket = job.Ticket with
            {
                Binding = BindingKind.Front,
                Trim = Size.FromMillimetres(80, 100)
            }
        })
            .WithPieces();
        job = new PaintGround(new InkPaint(Ink.Percent(30, 10, 0, 0))).Apply(job);
        return new AddItem(new EllipseItem
        {
            Id = "e",
            Hold = new(Part.Front, HoldBox.Face, Anchor.Middle, default, default),
            Width = new(Mm(60)),
            Height = new(Mm(46)),
            Turned = 20,
            Fill = fill,
            Opacity = opacity,
            Blend = blend,
        }).Apply(job);
    }

    /// <summary>
    /// Pattern in process inks and in foil, over a paint and over none, plain, see-through, multiplied and screened.
    /// </summary>
    [Fact]
    public void A_shape_filled_with_a_pattern_prints_as_it_is_seen()
    {
        var pages = new List<Scene>();
        foreach (Paint lines in (Paint[])[new InkPaint(Ink.Percent(0, 80, 60, 0)), new FinishPaint("foil"),
            new InkPaint(Ink.Black)])
            foreach (Paint? under in (Paint?[])[null, new InkPaint(Ink.Percent(0, 0, 40, 0)),
                new FinishPaint("foil", 5000)])
                foreach (var (opacity, blend) in ((decimal, Blend)[])[(100, Blend.Normal), (45, Blend.Normal),
                    (100, Blend.Multiply), (60, Blend.Screen)])
                    pages.Add(random.On(Filled(new(under, new ContourLines { Seed = 5, Paints = [lines] }), opacity,
                        blend))
                        .Composed.Sheets[0].Scene);
        random.Differs(Tern, [.. Sweep.Spread(pages, every: 3)]).ShouldBeEmpty();
    }

    /// <summary>Every paper, in inks and one slot in foil, plain and multiplied.</summary>
    [Fact]
    public void Every_paper_prints_as_it_is_seen()
    {
        var pages = new List<Scene>();
        foreach (var (n, kind) in Sweep.Spread(PatternShelf.Kinds.Index(), every: 3, from: 2))
        {
            Paint[] inks = [new InkPaint(Ink.Percent(0, 80, 60, 0)), new InkPaint(Ink.Percent(90, 20, 0, 10)),
                new InkPaint(Ink.Black)];
            if (n % 3 == 2) inks[n % kind.Slots.Length] = new FinishPaint("foil");
            var paper = kind with { Seed = n, Turn = n % 4 == 1 ? 30 : 0, Paints = [.. inks.Take(kind.Slots.Length)] };
            var page = random.On(Filled(new(null, paper), 100, n % 5 == 4 ? Blend.Multiply : Blend.Normal));
            pages.Add(page.Composed.Sheets[0].Scene);
        }
        random.Differs(Tern, pages).ShouldBeEmpty();
    }
}
