using Lumbeck.Press.Drawn;
using Lumbeck.Press.Pictures;
using Lumbeck.Press.Tests.ByChance;
using NetVips;

namespace Lumbeck.Press.Tests;

/// <summary>Drawn art as visible edges, a maker's own motif, and seams of tiles.</summary>
public sealed class OutlineTests(RandomDesk random) : IClassFixture<RandomDesk>
{
    private static readonly House Tern = HouseFile.Shipped["tern"] with { FinishingInks = ["foil"] };

    private static Area Square(double x, double y, double side) => new(Outline.Rectangle(x, y, side, side));

    [Fact]
    public void Of_two_shapes_the_lower_shows_what_the_upper_leaves_and_nothing_of_one_that_is_hidden()
    {
        var edges = VisibleEdges.Of([Square(0, 0, 10), Square(5, 5, 10)], 1);
        edges.Select(e => Math.Round(Covers(e))).ShouldBe([75, 100]);
        edges.ShouldAllBe(e => IsClosed(e));
        VisibleEdges.Of([Square(2, 2, 4), Square(0, 0, 10)], 1).ShouldHaveSingleItem();
        VisibleEdges.Of([Square(0, 0, 10), Square(4, 4, 0.9)], 1).ShouldHaveSingleItem("too small to be coloured");
        // A line is left where nothing lies over it.
        var pen = new Pen();
        pen.Move(-5, 5);
        pen.Line(15, 5);
        var line = pen.Done();
        VisibleEdges.Of([new Core.Art.Sketches.Line(line, 1), Square(0, 0, 10)], 1).Count(e => !IsClosed(e)).ShouldBe(2);
    }

    /// <summary>Regions are closed and large enough, whatever is drawn.</summary>
    [Fact]
    public void Every_ornament_has_closed_regions_of_its_least_size()
    {
        foreach (var (word, first) in OrnamentShelf.All)
        {
            var (w, h) = first.First;
            var drawn = first.Draw(w, h).ToList();
            var edges = VisibleEdges.Of(drawn, 0.4);
            edges.ShouldNotBeEmpty(word);
            edges.Where(IsClosed).ShouldAllBe(e => Covers(e) >= 0.35);
            if (drawn.Sum(Lines) == 0) edges.ShouldAllBe(e => IsClosed(e));
        }
    }

    private static bool IsClosed(Outline o) => o.Strokes[^1] == PathVerb.Close;

    private static int Lines(Core.Art.Sketches.Drawn d) => d switch
    {
        Core.Art.Sketches.Line => 1,
        Repeated r => r.Symbol.Sum(Lines),
        _ => 0,
    };

    private static double Covers(Outline o)
    {
        var twice = 0.0;
        for (var n = 0; n < o.Points.Length; n += 2)
        {
            var m = (n + 2) % o.Points.Length;
            twice += (o.Points[n] * o.Points[m + 1]) - (o.Points[m] * o.Points[n + 1]);
        }
        return Math.Abs(twice / 2);
    }

    /// <summary>Outlines in ink and in foil, of papers and ornaments; a motif in its own colours and in paints.</summary>
    [Fact]
    public async Task Outlines_and_motifs_print_as_they_are_seen()
    {
        var bytes = System.Text.Encoding.UTF8.GetBytes("""
            <svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 60 40"><path fill="#235" d="M2 20Q15 2 30 20Q45 2 58 20z"/>
            <circle cx="30" cy="28" r="6" fill="#fc3"/></svg>
            """);
        using var svg = new MemoryStream(bytes);
        var gull = await random.Desk.Drawer.Pictures.TakeIn(svg, "gull.svg", TestContext.Current.CancellationToken);
        var pages = new List<Scene>();
        void page(Pattern paper) =>
            pages.Add(random.On(new LayPattern(paper).Apply(Bare())).Composed.Sheets[0].Scene);
        var motif = (OwnMotif)PatternShelf.Kinds.First(k => k is OwnMotif) with { Motif = gull, Lay = MotifLay.Thrown };
        page(motif);
        pages[0].Items[0].Marks.OfType<RepeatedMark>().ShouldHaveSingleItem("a file holds it once");
        page(motif with { InPaints = true, Paints = Inks });
        foreach (var (n, kind) in PatternShelf.Kinds.Where(k => k is TossedLeaves or Scales or Hexagons or ContourLines).Index())
            page(kind with
            {
                Outlined = Length.FromPoints(1.25m),
                Paints = [n == 1 ? new FinishPaint("foil") : Inks[0], .. Inks.Skip(1)],
            });
        var ornaments = OrnamentShelf.All.Where((_, n) => n % 8 == 0).Select((o, n) => (Item)new OrnamentItem
        {
            Id = $"o{n}",
            Ornament = o.First with { Outlined = Length.FromPoints(1) },
            Hold = new(Part.Front, HoldBox.Face, Anchor.TopLeft, Length.FromMillimetres(3 + (n % 2 * 48)),
                Length.FromMillimetres(3 + (n / 2 * 44))),
            Width = new(Length.FromMillimetres(42)),
            Height = new(Length.FromMillimetres(40)),
        });
        var job = Bare();
        pages.Add(random.On(job.With(0, job.Take with { Items = [.. ornaments] })).Composed.Sheets[0].Scene);
        random.Differs(Tern, pages).ShouldBeEmpty();
    }

    /// <summary>Wherever a motif lies in a window, it lies there in a wider one.</summary>
    [Theory]
    [InlineData(MotifLay.Rows)]
    [InlineData(MotifLay.Bricks)]
    [InlineData(MotifLay.Thrown)]
    public void A_motif_lies_where_it_does_however_much_is_asked_for(MotifLay lay)
    {
        var paper = (OwnMotif)PatternShelf.Kinds.First(k => k is OwnMotif) with
        {
            Lay = lay,
            Turn = 17,
            Seed = 9,
            Motif = new Picture(new('a', 64), "gull.svg", 6000, 4000, false) { IsDrawing = true },
        };
        static List<(double, double)> within(Pattern p, Bounds window) =>
            [.. p.Over(window).OfType<Motifs>().Single().Places.Select(m => (X: Math.Round(m.E, 3), Y: Math.Round(m.F, 3)))
                .Where(m => m.X is > 0 and < 150 && m.Y is > 0 and < 150).Order()];
        var own = within(paper, new(0, 0, 150, 150));
        own.Count.ShouldBeGreaterThan(20);
        own.ShouldBe(within(paper, new(-200, -90, 400, 333)));
    }

    private static readonly ImmutableList<Paint> Inks = [new InkPaint(Ink.Percent(90, 70, 20, 30)),
        new InkPaint(Ink.Percent(0, 60, 80, 0)), new InkPaint(Ink.Percent(10, 5, 30, 0))];

    private static Job Bare()
    {
        var job = Starters.Job(Tern, "Bare");
        var ticket = job.Ticket with { Binding = BindingKind.Front, Trim = Size.FromMillimetres(100, 140) };
        return new PaintGround(new InkPaint(Ink.Percent(20, 0, 10, 0))).Apply((job with { Ticket = ticket }).WithPieces());
    }

    /// <summary>A picture that goes on in its next tile has no seam; one whose sides differ has.</summary>
    [Fact]
    public void Seams_are_told_by_the_edges_that_meet()
    {
        string made(string name, Func<int, int, double> light)
        {
            var pixels = new byte[120 * 120];
            for (var y = 0; y < 120; y++)
                for (var x = 0; x < 120; x++)
                    pixels[(y * 120) + x] = (byte)Math.Round(127 + (120 * light(x, y)));
            var path = random.Folder[name];
            using var image = Image.NewFromMemory(pixels, 120, 120, 1, Enums.BandFormat.Uchar)
                .Copy(interpretation: Enums.Interpretation.Bw);
            image.Pngsave(path);
            return path;
        }
        var waves = made("waves.png", (x, y) => Math.Sin(x * Math.Tau / 120) * Math.Cos(y * Math.Tau / 60));
        PictureLooks.Seams(waves, false).ShouldSatisfyAllConditions(s => s.Across.ShouldBeLessThan(2),
            s => s.Down.ShouldBeLessThan(2));
        var slope = made("slope.png", (x, _) => (x - 60) / 60.0);
        PictureLooks.Seams(slope, false).ShouldSatisfyAllConditions(s => s.Across.ShouldBeGreaterThan(20),
            s => s.Down.ShouldBeLessThan(1));
        // Shifted by half a tile, one whole wave across meets its own opposite.
        PictureLooks.Seams(waves, true).Down.ShouldBeGreaterThan(10);
    }
}
