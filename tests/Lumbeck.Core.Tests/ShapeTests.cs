namespace Lumbeck.Core.Tests;

/// <summary>Drawn shapes, and how they cover the sheet.</summary>
public sealed class ShapeTests
{
    private static Hold At(Part panel, HoldBox box = HoldBox.Face, Anchor anchor = Anchor.Middle) =>
        new(panel, box, anchor, default, default);
    private static Span Mm(decimal mm) => new(Length.FromMillimetres(mm));
    private static readonly Paint Black = new InkPaint(Ink.Black);

    private static Outline Shape(Item item, out DrawnItem drawnItem)
    {
        drawnItem = Sample.Scene(Sample.Job(item)).Item(item.Id)!;
        return drawnItem.Marks.OfType<FillMark>().First().Shape;
    }

    /// <summary>
    /// The area within an outline's straight strokes and curves, in square points; what runs the other way is taken
    /// off.
    /// </summary>
    private static double Area(Outline o)
    {
        var (area, x, y, sx, sy, p) = (0.0, 0.0, 0.0, 0.0, 0.0, 0);
        void to(double nx, double ny) { area += ((x * ny) - (nx * y)) / 2; (x, y) = (nx, ny); }
        foreach (var stroke in o.Strokes)
            switch (stroke)
            {
                case PathVerb.Move: (x, y) = (sx, sy) = (o.Points[p], o.Points[p + 1]); p += 2; break;
                case PathVerb.Line: to(o.Points[p], o.Points[p + 1]); p += 2; break;
                case PathVerb.Close: to(sx, sy); break;
                default:
                    var (x0, y0) = (x, y);
                    for (var i = 1; i <= 200; i++)
                    {
                        var (t, u) = (i / 200.0, 1 - (i / 200.0));
                        double at(double a, int n) =>
                            (u * u * u * a) + (3 * u * u * t * o.Points[p + n])
                                + (3 * u * t * t * o.Points[p + 2 + n]) + (t * t * t * o.Points[p + 4 + n]);
                        to(at(x0, 0), at(y0, 1));
                    }
                    p += 6;
                    break;
            }
        return Math.Abs(area);
    }

    private static double Square(double mm2) => mm2 * Math.Pow(72 / 25.4, 2);

    [Fact]
    public void Shapes_have_the_areas_that_geometry_gives_them()
    {
        Area(Shape(new EllipseItem { Id = "e", Hold = At(Part.Front), Width = Mm(40), Height = Mm(20), Fill = Black },
            out _))
            .ShouldBe(Square(Math.PI * 20 * 10), Square(1));
        Area(Shape(new PolygonItem
        {
            Id = "p",
            Hold = At(Part.Front),
            Width = Mm(40),
            Height = Mm(40),
            Corners = 6,
            Fill = Black
        },
            out _))
            .ShouldBe(Square(3 * Math.Sqrt(3) / 2 * 400), 0.01);
        // A star with a waist of 100 % is the polygon of twice as many corners; a narrow one has less of it.
        Area(Shape(new PolygonItem
        {
            Id = "s",
            Hold = At(Part.Front),
            Width = Mm(40),
            Height = Mm(40),
            Corners = 5,
            Waist = 100,
            Fill = Black
        },
            out _))
            .ShouldBe(Square(5 * 400 * Math.Sin(Math.PI / 5)), 0.01);
        Area(Shape(new PolygonItem
        {
            Id = "s",
            Hold = At(Part.Front),
            Width = Mm(40),
            Height = Mm(40),
            Corners = 5,
            Waist = 40,
            Fill = Black
        },
            out _))
            .ShouldBe(Square(5 * 400 * 0.4 * Math.Sin(Math.PI / 5)), 0.01);
        Area(Shape(new RectItem
        {
            Id = "r",
            Hold = At(Part.Front),
            Width = Mm(40),
            Height = Mm(20),
            Corner = Length.FromMillimetres(5),
            Fill = Black
        },
            out _))
            .ShouldBe(Square(800 - ((4 - Math.PI) * 25)), Square(0.2));
    }

    [Fact]
    public void A_frame_hung_by_the_edge_runs_out_over_the_bleed_and_shows_its_thickness_on_the_trimmed_face()
    {
        var frame = new FrameItem
        {
            Id = "f",
            Hold = At(Part.Front, HoldBox.Edge),
            Width = Span.Full,
            Height = Span.Full,
            Thickness = Length.FromMillimetres(6),
            Fill = Black,
        };
        var shape = Shape(frame, out var drawnItem);
        var front = Sample.Job().Geometry().Sheet.Panel(Part.Front)!;
        drawnItem.Frame.ToBox().ShouldBe(front.Edge);
        var inner = new Bounds(double.MaxValue, double.MaxValue, double.MinValue, double.MinValue);
        for (var i = 8; i < shape.Points.Length; i += 2) inner = inner.With(shape.Points[i], shape.Points[i + 1]);
        drawnItem.Place.Of(inner).ToBox().ShouldBe(front.Face.Inset(Length.FromMillimetres(6)));
        // Filled by either rule, the middle stays open.
        Area(shape).ShouldBe(((double)front.Edge.Width.Points * front.Edge.Height.Points)
            - ((front.Face.Width.Points - (12 * 72 / 25.4))
            * (front.Face.Height.Points - (12 * 72 / 25.4))),
            0.01);
        // It follows the sheet.
        Sample.Scene(new SetTrim(Size.FromInches(6, 9)).Apply(Sample.Job(frame))).Item("f")!.Frame.ToBox().Height
            .ShouldBe(Length.FromInches(9.25m));
    }

    [Fact]
    public void A_line_is_as_high_as_it_is_heavy_and_a_plate_has_rules_to_write_on()
    {
        var job = Sample.Job(
            new LineItem
            {
                Id = "l",
                Hold = At(Part.Front),
                Width = Mm(30),
                Line = Black,
                LineWidth = Length.FromPoints(2),
                Dash = Dash.Dashed,
            },
            new PlateItem
            {
                Id = "p",
                Hold = At(Part.Back),
                Width = Mm(80),
                Height = Mm(40),
                Fill = new InkPaint(Ink.White),
                Line = Black,
                LineWidth = Length.FromPoints(1),
                Inner = Length.FromMillimetres(2),
                Rules = 3,
            });
        var scene = Sample.Scene(job);
        var line = scene.Item("l")!;
        (line.Frame.Bottom - line.Frame.Top).ShouldBe(2, 1e-6);
        line.Marks.OfType<LineMark>().Single().Dash.ShouldBe([8, 6]);
        // Its edge, its inner line, three rules.
        scene.Item("p")!.Marks.OfType<LineMark>().Count().ShouldBe(5);
        scene.Item("p")!.Marks.OfType<FillMark>().Count().ShouldBe(1);
    }

    [Theory]
    [InlineData("item/star/corners", "2", "2 corners can't be drawn: from 3 to 60")]
    [InlineData("item/star/waist", "140 %", "from 0 for a polygon to 100 %")]
    [InlineData("item/star/opacity", "101 %", "from 0 to 100 %")]
    [InlineData("item/star/corner", "1 mm", "nothing called")]
    [InlineData("item/star/blend", "burn", "none of normal, multiply, screen")]
    public void What_a_shape_cannot_be_is_refused_with_the_figure(string path, string text, string says)
    {
        var job = Sample.Job(new PolygonItem
        {
            Id = "star",
            Hold = At(Part.Front),
            Width = Mm(40),
            Height = Mm(40),
            Fill = Black
        });
        Should.Throw<Refusal>(() => Facts.Write(job, path, text).Apply(job)).Message.ShouldContain(says);
    }

    [Fact]
    public void Every_fact_of_every_kind_reads_back_as_it_was_written_and_survives_JSON()
    {
        Item[] items =
        [
            new EllipseItem { Id = "e", Hold = At(Part.Front), Width = Mm(4), Height = Mm(4) }, new LineItem
            {
                Id = "l",
                Hold = At(Part.Front),
                Width = Mm(4),
                Line = Black,
                LineWidth = Length.FromPoints(1),
            },
            new PolygonItem { Id = "p", Hold = At(Part.Front), Width = Mm(4), Height = Mm(4) }, new FrameItem
            {
                Id = "f",
                Hold = At(Part.Front),
                Width = Span.Full,
                Height = Span.Full,
                Thickness = Length.FromMillimetres(2),
            },
            new PlateItem { Id = "q", Hold = At(Part.Front), Width = Mm(4), Height = Mm(4) }, new PictureItem
            {
                Id = "i",
                Hold = At(Part.Front),
                Width = Mm(4),
                Height = Mm(4),
            },
        ];
        var texts = new Dictionary<string, string>
        {
            ["fill"] = "Sea 40 %",
            ["line"] = "black",
            ["line-width"] = "2 pt",
            ["corner"] = "0.1 in",
            ["corners"] = "7",
            ["waist"] = "30 %",
            ["thickness"] = "0.2 in",
            ["inner"] = "0.05 in",
            ["rules"] = "4",
            ["dash"] = "dotted",
            ["opacity"] = "60 %",
            ["blend"] = "multiply",
            ["name"] = "Moon",
            ["whole"] = "yes",
            ["turned"] = "45°",
        };
        foreach (var item in items)
        {
            var job = Sample.Job(item);
            var facts = ItemFacts.Of(item).Where(f => texts.ContainsKey(f.Path.Split('/')[^1])).ToList();
            facts.Count.ShouldBeGreaterThanOrEqualTo(8, item.Kind);
            foreach (var fact in facts)
            {
                var text = texts[fact.Path.Split('/')[^1]];
                job = Facts.Write(job, fact.Path, text).Apply(job);
                Facts.Read(job, fact.Path).ShouldBe(text, fact.Path);
            }
            JobJson.Read(JobJson.Write(job)).Item(item.Id).ShouldBe(job.Item(item.Id));
            job.Item(item.Id)!.Called.ShouldBe("Moon");
        }
    }

    [Fact]
    public void What_lets_the_paper_through_or_leaves_a_hair_does_not_count_as_covering()
    {
        RectItem cover(decimal opacity, Span high) =>
            new()
            {
                Id = "c",
                Hold = At(Part.Sheet, HoldBox.Edge, Anchor.Top),
                Width = Span.Full,
                Height = high,
                Fill = Black,
                Opacity = opacity
            };
        Job bare(RectItem over) => new PaintGround(null).Apply(Sample.Job(over));
        Sample.Check(bare(cover(100, Span.Full))).ShouldNotContain(f => f.Id == "ground.coverage");
        Sample.Check(bare(cover(99, Span.Full))).ShouldContain(f => f.Id == "ground.coverage");
        var hair = bare(cover(100, new(Length.FromMillimetres(-0.2m), 1)));
        Sample.Check(hair).Single(f => f.Id == "ground.coverage").Measured.ShouldContain("0.008 in");
        var tour = EdgeTour.Of(hair.Take, hair.Swatches, hair.Geometry().Sheet, Unit.Millimetre);
        tour.Count.ShouldBe(8);
        tour.Where(t => t.Bare.Count > 0).Select(t => t.Name)
            .ShouldBe(["corner at foot right", "spine’s foot", "corner at foot left"]);
        tour.First(t => t.Bare.Count > 0).Says.ShouldBe("bare, up to 0.2 mm wide");
    }

    [Fact]
    public void What_must_stay_whole_is_kept_from_knife_and_fold_as_words_are()
    {
        RectItem emblem(decimal right) =>
            new()
            {
                Id = "emblem",
                Hold = new(Part.Front, HoldBox.Face, Anchor.Left, Length.FromMillimetres(right), default),
                Width = Mm(20),
                Height = Mm(20),
                Fill = Black
            };
        Sample.Check(Sample.Job(emblem(-5))).ShouldNotContain(f => f.Item == "emblem");
        Sample.Check(Sample.Job(emblem(-5) with { Whole = true })).Single(f => f.Item == "emblem")
            .ShouldSatisfyAllConditions(f => f.Id.ShouldBe("zone.fold"), f => f.Severity.ShouldBe(Severity.Caution));
        Sample.Check(Sample.Job(emblem(125) with { Whole = true })).Single(f => f.Item == "emblem")
            .Id.ShouldBe("zone.trim");
    }

    [Fact]
    public void An_item_off_the_sheet_or_without_its_panel_is_kept_and_said()
    {
        var away = new DropItem("title", Length.FromInches(60), Length.Zero).Apply(Sample.Job());
        away.Item("title").ShouldNotBeNull();
        Sample.Check(away)
            .ShouldContain(f =>
                f.Id == "item.lost" && f.Item == "title" && f.Severity == Severity.Note
                    && f.Why.Contains("off the sheet", StringComparison.Ordinal));
        var front = new SetBinding(BindingKind.Front)
            .Apply(Sample.Job(Sample.Text("blurb", "Of salt.", panel: Part.Back)));
        Sample.Check(front)
            .ShouldContain(f => f.Id == "item.lost" && f.Item == "blurb" && f.Measured == "hangs on the back");
    }

    [Fact]
    public void The_sheet_can_be_told_in_words()
    {
        var job = Sample.Job(new EllipseItem
        {
            Id = "moon",
            Name = "Moon",
            Hold = At(Part.Front, HoldBox.Face, Anchor.TopLeft),
            Width = Mm(25.4m),
            Height = Mm(25.4m),
            Fill = new SwatchPaint("sea"),
            Locked = true
        });
        var words = InWords.Say(job, job.Sheets()[0]);
        words.ShouldContain("From left to right: back, spine, front.");
        words.ShouldContain("Back, 5.25 × 8 in: nothing.");
        words.ShouldContain("· Moon, filled with Sea, 1 × 1 in, 0 in from the left and 0 in from the head of a panel " +
            "of 5.25 × 8 in, locked.");
        words.ShouldContain("· Title, “Salt”");
    }
}
