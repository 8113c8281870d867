namespace Lumbeck.Core.Tests;

/// <summary>Paints as they are typed, colours as people see them, and palettes.</summary>
public sealed class ColourTests
{
    private static readonly Swatch[] Swatches = [new("night", "Night", Ink.Percent(88, 70, 40, 40)),
        new("ice", "Ice", Ink.Percent(16, 4, 6, 0)), new("tide", "Tide to come", Ink.Percent(50, 20, 10, 0))];

    [Theory]
    [InlineData("Night to Ice", "Night to Ice")]
    [InlineData("night TO ice, 90°", "Night to Ice, 90°")]
    [InlineData("Night to Ice 40 % @ 30 % to white, -90°", "Night to Ice 40 % @ 30 % to white, 270°")]
    [InlineData("round 0 0 0 0 → black", "round white to black")]
    [InlineData("round Ice to Night to Ice", "round Ice to Night to Ice")]
    [InlineData("Tide to come", "Tide to come")]
    [InlineData("Tide to come 20 %", "Tide to come 20 %")]
    [InlineData("foil", "foil")]
    [InlineData("FOIL 40 %", "foil 40 %")]
    [InlineData("white", "white")]
    [InlineData("white ink", "white ink")]
    public void A_paint_is_read_as_it_is_typed_and_shown_as_it_would_be(string typed, string shown)
    {
        PaintText.TryParse(typed, Swatches, out var paint, out var why, ["foil", "white"]).ShouldBeTrue(why);
        ((Paint?)paint).Show(Swatches).ShouldBe(shown);
        PaintText.TryParse(shown, Swatches, out var again, out _, ["foil", "white"]).ShouldBeTrue();
        again.ShouldBe(paint);
        again.GetHashCode().ShouldBe(paint.GetHashCode());
    }

    [Theory]
    [InlineData("Night to", "no swatch here")]
    [InlineData("round Night", "between two colours or more")]
    [InlineData("Night to Nowhere", "no swatch here is called `Nowhere`")]
    [InlineData("Night @ 60 % to Ice @ 40 %", "40 % can’t be where colour 2 stands: from 60 to 100 %")]
    [InlineData("Night @ 160 % to Ice", "160 % can’t be")]
    [InlineData("foil", "no swatch here is called `foil`")]
    [InlineData("Night to foil", "no swatch here is called `foil`")]
    public void What_is_no_paint_is_refused_by_its_part(string typed, string says)
    {
        PaintText.TryParse(typed, Swatches, out _, out var why).ShouldBeFalse();
        why.ShouldContain(says);
    }

    [Fact]
    public void A_gradient_fills_a_shape_from_corner_to_corner_and_is_refused_where_one_ink_is_wanted()
    {
        var rect = new RectItem
        {
            Id = "r",
            Hold = new(Part.Front, HoldBox.Face, Anchor.Middle, default, default),
            Width = new(Length.FromPoints(200)),
            Height = new(Length.FromPoints(100)),
        };
        var job = Facts.Write(Sample.Job(rect), "item/r/fill", "Sea to black, 90°").Apply(Sample.Job(rect));
        var shade = Sample.Scene(job).Item("r")!.Marks.OfType<GradientMark>().Single().Gradient;
        (shade.X0, shade.Y0, shade.X1, shade.Y1)
            .ShouldSatisfyAllConditions(s => s.X0.ShouldBe(100, 1e-9), s => s.Y0.ShouldBe(0, 1e-9),
                s => s.X1.ShouldBe(100, 1e-9), s => s.Y1.ShouldBe(100, 1e-9));
        // Half way down it is half of each, in ink.
        var half = shade.At(shade.Along(20, 50));
        half.ShouldBe((4000, 2000, 1000, 5500));
        shade.At(-1).C.ShouldBe(8000);
        shade.At(2).K.ShouldBe(10_000);
        // A swatch that changes changes the gradients it is in.
        ((GradientMark)Sample.Scene(new SetSwatch("sea",
            Ink: Ink.White).Apply(job)).Item("r")!.Marks[0]).Gradient.Stops[0]
            .Ink
            .ShouldBe(Ink.White);
        foreach (var path in (string[])["item/r/line", "item/title/edge"])
            Should.Throw<Refusal>(() => Facts.Write(job, path, "Sea to black")).Path.ShouldBe(path);
        JobJson.Read(JobJson.Write(job)).Item("r").ShouldBe(job.Item("r"));
    }

    [Fact]
    public void A_swatch_taken_away_leaves_its_mix_where_it_was_used()
    {
        var rect = new RectItem
        {
            Id = "r",
            Hold = new(Part.Front, HoldBox.Face, Anchor.Middle, default, default),
            Width = Span.Full,
            Height = Span.Full,
            Fill = new GradientPaint(Run.Round, 0,
                [new(new SwatchPaint("sea", 5000), 0), new(new InkPaint(Ink.Black), 10_000)]),
        };
        var job = Sample.Job(rect);
        Paints.Uses(job, "sea").ShouldBe(2);
        var after = new RemoveSwatch("sea").Apply(job);
        after.Swatches.ShouldBeEmpty();
        after.Take.Ground.Paint.ShouldBe(new InkPaint(Ink.Percent(80, 40, 20, 10)));
        ((GradientPaint)((RectItem)after.Item("r")!).Fill!.Paint!).Stops[0]
            .Paint.ShouldBe(new InkPaint(Ink.Percent(40, 20, 10, 5)));
        Sample.Scene(after).Items[0].Marks
            .ShouldBe(Sample.Scene(job).Items[0].Marks, ignoreOrder: false,
                comparer: EqualityComparer<Mark>.Create((a, b) =>
                    a is FillMark x && b is FillMark y && x.Ink == y.Ink));
    }

    // Pairs from the data that accompanies Sharma, Wu and Dalal, "The CIEDE2000 color-difference formula" (2005).
    [Theory]
    [InlineData(50, 2.6772, -79.7751, 50, 0, -82.7485, 2.0425)]
    [InlineData(50, 3.1571, -77.2803, 50, 0, -82.7485, 2.8615)]
    [InlineData(50, -1.3802, -84.2814, 50, 0, -82.7485, 1.0000)]
    [InlineData(50, 0, 0, 50, -1, 2, 2.3669)]
    [InlineData(50, 2.49, -0.001, 50, -2.49, 0.0009, 7.1792)]
    [InlineData(50, 2.49, -0.001, 50, -2.49, 0.0011, 7.2195)]
    [InlineData(50, -0.001, 2.49, 50, 0.0011, -2.49, 4.7461)]
    [InlineData(50, 2.5, 0, 73, 25, -18, 27.1492)]
    [InlineData(50, 2.5, 0, 50, 3.1736, 0.5854, 1.0000)]
    [InlineData(60.2574, -34.0099, 36.2677, 60.4626, -34.1751, 39.4387, 1.2644)]
    [InlineData(22.7233, 20.0904, -46.6940, 23.0331, 14.9730, -42.5619, 2.0373)]
    [InlineData(90.8027, -2.0831, 1.4410, 91.1528, -1.6435, 0.0447, 1.4441)]
    [InlineData(2.0776, 0.0795, -1.1350, 0.9033, -0.0636, -0.5514, 0.9082)]
    public void Differences_of_colour_are_those_of_the_formula_s_own_data(double l1, double a1, double b1, double l2,
        double a2, double b2, double wanted)
    {
        new Lab(l1, a1, b1).DeltaE(new(l2, a2, b2)).ShouldBe(wanted, 0.00006);
        new Lab(l2, a2, b2).DeltaE(new(l1, a1, b1)).ShouldBe(wanted, 0.00006);
    }

    [Theory]
    [InlineData("#2a6350", "#2a6350")]
    [InlineData("#ABC", "#aabbcc")]
    [InlineData("rgb(42, 99, 80)", "#2a6350")]
    [InlineData("rgb 42 99 80", "#2a6350")]
    [InlineData("lab 38 −28.5 12", "lab 38 -28.5 12")]
    [InlineData("82 38 56 32", null)]
    [InlineData("Labrador", null)]
    public void A_colour_can_be_asked_for_as_screens_and_eyes_have_it(string typed, string? shown) =>
        Asked.Read(typed)?.Text.ShouldBe(shown);

    [Theory]
    [InlineData("#12345")]
    [InlineData("#gg0000")]
    [InlineData("rgb 1 2 300")]
    [InlineData("lab 120 0 0")]
    [InlineData("lab 50 0")]
    public void And_is_refused_where_it_is_none(string typed) =>
        Should.Throw<Refusal>(() => Asked.Read(typed)).Message.ShouldContain("such as");

    [Fact]
    public void Palettes_of_the_GIMP_are_read_and_written()
    {
        var text = GimpPalette.Write("Salt\nroad", [("Sea", new(20, 80, 110)), ("Pale dust", new(200, 0, 7))]);
        text.ShouldBe("GIMP Palette\nName: Salt road\nColumns: 0\n#\n 20  80 110\tSea\n200   0   7\tPale dust\n");
        GimpPalette.Read(text).ShouldBe([("Sea", new AskedRgb(20, 80, 110)), ("Pale dust", new AskedRgb(200, 0, 7))]);
        GimpPalette.Read("GIMP Palette\r\n# c\r\n\r\n1 2 3\r\n").ShouldBe([("", new AskedRgb(1, 2, 3))]);
        foreach (var (bad, says) in ((string, string)[])[("", "first line"), ("JASC-PAL", "first line"),
            ("GIMP Palette\n", "no colour"), ("GIMP Palette\n1 2 300 x", "line 2, `1 2 300 x`"),
            ("GIMP Palette\n" + string.Concat(Enumerable.Repeat("1 2 3\n", 151)), "more than 150"),
            ("GIMP Palette\n" + new string('#', 300_000), "over 200 kB")])
            Should.Throw<Refusal>(() => GimpPalette.Read(bad)).Message.ShouldContain(says);
    }

    [Fact]
    public void Blacks_that_are_mixed_for_something_else_are_found()
    {
        var job = Sample.Job(
            new RectItem
            {
                Id = "big",
                Hold = new(Part.Front, HoldBox.Face, Anchor.Middle, default, default),
                Width = Span.Full,
                Height = Span.Full,
                Fill = new InkPaint(Ink.Black),
            },
            new RectItem
            {
                Id = "small",
                Hold = new(Part.Front, HoldBox.Face, Anchor.Middle, default, default),
                Width = new(Length.FromPoints(20)),
                Height = new(Length.FromPoints(20)),
                Fill = new InkPaint(Ink.Black),
            });
        job = new StyleText("author", Size: Length.FromPoints(9), Paint: new InkPaint(Ink.Percent(60, 40, 40, 100)))
            .Apply(job);
        Sample.Check(job).Where(f => f.Id == "ink.black").Select(f => (f.Item, f.Severity))
            .ShouldBe([("author", Severity.Caution), ("big", Severity.Note)], ignoreOrder: true);
    }

    [Fact]
    public void What_lies_under_words_is_known_where_it_is_plain_and_overprint_shows_it()
    {
        var job = Sample.Job();
        var scene = Sample.Scene(job);
        var title = scene.Items.Select((p, i) => (p, i)).Single(x => x.p.Item == "title");
        Occlusion.Plain(scene, title.i).ShouldBe(Ink.Percent(80, 40, 20, 10));
        var black = title.p with
        {
            Marks = [.. title.p.Marks.OfType<GlyphMark>().Select(g => g with { Ink = Ink.Black, Overprint = true })],
        };
        ((GlyphMark)Occlusion.Over(black, Ink.Percent(80, 40, 20, 10)).Marks[0]).Ink.ShouldBe(Ink.Percent(80, 40, 20,
            100));
        // Under an ellipse, or where a second paint reaches in, nobody can say.
        var over = Sample.Scene(Sample.Job() is var j
            ? new OrderItem("e", -9)
                .Apply(new AddItem(new EllipseItem
                {
                    Id = "e",
                    Hold = new(Part.Front, HoldBox.Edge, Anchor.Middle, default, default),
                    Width = Span.Full,
                    Height = Span.Full,
                    Fill = new InkPaint(Ink.Black)
                })
                    .Apply(j))
            : j);
        Occlusion.Plain(over, over.Items.Select((p, i) => (p, i)).Single(x => x.p.Item == "title").i).ShouldBeNull();
    }
}
