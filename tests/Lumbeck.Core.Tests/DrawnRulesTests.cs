namespace Lumbeck.Core.Tests;

/// <summary>What Check says of papers and other drawn art, and what mends it.</summary>
public sealed class DrawnRulesTests
{
    private static readonly Paint Dark = new InkPaint(Ink.Percent(80, 60, 30, 20)), Pale = new InkPaint(Ink.White);

    private static Job On(Paint? ground, Pattern? paper) =>
        Sample.Job() is var job ? job.With(0, job.Take with { Items = [], Ground = new(ground, paper) }) : null!;

    private static IReadOnlyList<Finding> Found(Job job, string id) => [.. Sample.Check(job).Where(f => f.Id == id)];

    [Fact]
    public void A_light_line_left_open_in_several_inks_is_too_thin_and_the_mend_draws_it_larger()
    {
        var paper = new ContourLines { Seed = 2, Paints = [Pale], Scale = 60 };
        Found(On(null, paper with { Paints = [Dark] }), "paper.line")
            .ShouldBeEmpty("dark on paper it is no reversed line");
        var thin = Found(On(Dark, paper), "paper.line").ShouldHaveSingleItem();
        thin.Limit.ShouldBe("0.75 pt or more for a light line");
        var mended = thin.Fix!.Apply(On(Dark, paper));
        mended.Take.Ground.Pattern!.Scale.ShouldBeGreaterThan(60);
        Found(mended, "paper.line").ShouldBeEmpty();
    }

    [Fact]
    public void A_thin_line_is_told_once_by_the_rule_it_belongs_to()
    {
        var hold = new Hold(Part.Front, HoldBox.Safe, Anchor.TopLeft, default, default);
        var side = new Span(Length.FromMillimetres(40));
        RectItem shape(double weight) => new()
        {
            Id = "r",
            Hold = hold,
            Width = side,
            Height = side,
            Line = Dark,
            LineWidth = Length.FromPoints((decimal)weight),
            Fill = new(Dark, new ContourLines { Seed = 2, Paints = [Pale], Scale = 60 }),
        };
        string[] told(Item item) =>
            [.. Sample.Check(new AddItem(item).Apply(On(null, null))).Where(f => f.Item == item.Id).Select(f => f.Id)
                .Where(id => id is "paper.line" or "line.weight").Order()];
        told(shape(2)).ShouldBe(["paper.line"]);
        told(shape(0.1)).ShouldBe(["line.weight", "paper.line"]);
        told(new OrnamentItem
        {
            Id = "o",
            Hold = hold,
            Width = side,
            Height = new(Length.FromMillimetres(1)),
            Ornament = new DiamondRule { Paints = [Dark, Dark] },
        }).Length.ShouldBeLessThanOrEqualTo(1);
    }

    [Fact]
    public void Fine_tinted_lines_side_by_side_beat_and_solid_ones_don_t()
    {
        var close = new Waves
        {
            Seed = 3,
            Paints = [new InkPaint(Ink.Percent(0, 0, 0, 40)), new InkPaint(Ink.Percent(0, 0, 0, 40)),
            new InkPaint(Ink.Percent(0, 0, 0, 40))],
            Scale = 40
        };
        var all = PatternShelf.Kinds.Where(k =>
            Found(On(null, k with { Scale = 40, Paints = [.. k.Paints.Select(_ => close.Paints[0])] }), "paper.beats")
                .Count > 0)
            .ToList();
        all.ShouldNotBeEmpty("some paper is dense enough when it is drawn small");
        foreach (var kind in all)
        {
            var job = On(null, kind with { Scale = 40, Paints = [.. kind.Paints.Select(_ => close.Paints[0])] });
            var finding = Found(job, "paper.beats")[0];
            finding.Severity.ShouldBe(Severity.Caution);
            if (finding.Fix is { } by) Found(by.Apply(job), "paper.beats").ShouldBeEmpty(kind.Kind);
            Found(On(null, kind with { Scale = 40, Paints = [.. kind.Paints.Select(_ => new InkPaint(Ink.Black))] }),
                "paper.beats")
                .ShouldBeEmpty("solid ink has no screen");
        }
        foreach (var kind in PatternShelf.Kinds)
            Found(On(null, kind), "paper.beats").ShouldBeEmpty($"{kind.Kind} as it is first laid");
    }

    [Fact]
    public void A_long_gradient_of_few_steps_is_noted()
    {
        Paint run(Ink to) =>
            new GradientPaint(Run.Straight, 90, [new(new InkPaint(Ink.White), 0), new(new InkPaint(to), 10_000)]);
        Found(On(run(Ink.Percent(5, 5, 5, 5)), null), "ink.steps").ShouldHaveSingleItem()
            .Severity.ShouldBe(Severity.Note);
        Found(On(run(Ink.Percent(90, 60, 10, 4)), null), "ink.steps").ShouldBeEmpty();
    }

    [Fact]
    public void A_paper_is_calmed_under_words_until_they_can_be_read()
    {
        var job = Sample.Job();
        var title = job.Items.OfType<TextItem>().First();
        var paper = new Hexagons
        {
            Seed = 3,
            Paints = [.. Enumerable.Repeat<Paint>(new InkPaint(Ink.Percent(60, 40, 20, 10)), 3)],
        };
        job = job.With(0, job.Take with { Ground = new(Pale, paper) });
        job = Facts.Write(job, $"item/{title.Id}/ink", "black").Apply(job);
        var calm = Facts.Write(job, "ground/calm", "under words").Apply(job);
        var box = calm.Take.Ground.Pattern!.Calm.First();
        box.Share.ShouldBeInRange(5, 95);
        foreach (var paint in paper.Paints)
            Seen.Contrast(Ink.Black, Mixing.Toward(paint, Pale, box.Share / 100.0, job.Swatches).Resolve([]))
                .ShouldBeGreaterThan(4.5);
        Facts.Read(calm, "ground/calm").ShouldBe("under words");
        JobJson.Read(JobJson.Write(calm)).Take.Ground.ShouldBe(calm.Take.Ground);
        Facts.Write(calm, "ground/calm", "nowhere").Apply(calm).Take.Ground.Pattern!.Calm.ShouldBeEmpty();
    }

    /// <summary>Words that were moved want calm where they lie now; a paper that is calm nowhere stays so.</summary>
    [Fact]
    public void A_calm_paper_knows_when_it_is_calm_in_the_wrong_place()
    {
        var job = Sample.Job();
        var title = job.Items.OfType<TextItem>().First();
        job = job.With(0, job.Take with
        {
            Ground = new(Pale, new Hexagons { Seed = 3, Paints = [.. Enumerable.Repeat(Dark, 3)] }),
        });
        job = Facts.Write(job, $"item/{title.Id}/ink", "black").Apply(job);
        CalmPattern.IsStale(job, 0).ShouldBeFalse("it is calm nowhere");
        var calm = new CalmPattern(true).Apply(job);
        CalmPattern.IsStale(calm, 0).ShouldBeFalse();
        var moved = new DropItem(title.Id, Length.FromMillimetres(9), Length.FromMillimetres(20)).Apply(calm);
        CalmPattern.IsStale(moved, 0).ShouldBeTrue();
        CalmPattern.IsStale(new CalmPattern(true).Apply(moved), 0).ShouldBeFalse();
    }

    /// <summary>What lies on the middle of the front stays there, however the paper is turned and scaled by hand.</summary>
    [Theory]
    [InlineData(PatternStart.Fold, 1.6, 30)]
    [InlineData(PatternStart.Fold, 0.5, -170)]
    [InlineData(PatternStart.Middle, 2, 45)]
    public void A_paper_is_turned_and_scaled_about_the_front_s_middle(PatternStart start, double larger, double turned)
    {
        var before = On(null, PatternShelf.Kinds[2] with
        {
            Start = start,
            Turn = 20,
            MovedRight = 12,
            MovedDown = -7,
        });
        var after = new MovePattern(default, default, larger, turned).Apply(before).Take.Ground.Pattern!;
        after.Scale.ShouldBe((decimal)(100 * larger));
        var face = before.Sheets()[0].Sheet.Panel(Part.Front)!.Face;
        var (w, h) = ((double)face.Width.Millimetres, (double)face.Height.Millimetres);
        // The paper's own point that lies on the middle, before and after.
        (double X, double Y) under(Pattern p)
        {
            var origin = start == PatternStart.Middle ? (X: w / 2, Y: h / 2) : (X: 0.0, Y: 0.0);
            var (x, y) = Affine.Rotate(-(double)p.Turn)
                .At((w / 2) - origin.X - (double)p.MovedRight, (h / 2) - origin.Y - (double)p.MovedDown);
            return (x * 100 / (double)p.Scale, y * 100 / (double)p.Scale);
        }
        var (a, b) = (under(before.Take.Ground.Pattern!), under(after));
        a.X.ShouldBe(b.X, 0.05);
        a.Y.ShouldBe(b.Y, 0.05);
        var carried = new MovePattern(Length.FromMillimetres(5), Length.FromMillimetres(-3)).Apply(before).Take.Ground
            .Pattern!;
        (carried.MovedRight, carried.MovedDown).ShouldBe((17, -10));
        new MovePattern(default, default, 50).Apply(before).Take.Ground.Pattern!.Scale.ShouldBe(Pattern.ScaleMost);
        Should.Throw<Refusal>(() => new MovePattern(Length.FromMillimetres(3000), default).Apply(before))
            .Message.ShouldContain("2000 mm");
        Should.Throw<Refusal>(() => new MovePattern(default, default).Apply(On(null, null)));
    }

    /// <summary>A paper in a shape goes with the hand on the sheet, however the shape and its panel are turned.</summary>
    [Theory]
    [InlineData(Part.Front, 0)]
    [InlineData(Part.Front, 90)]
    [InlineData(Part.Back, 33)]
    [InlineData(Part.Spine, 0)]
    public void A_paper_in_a_shape_goes_with_the_hand(Part panel, int turned)
    {
        var before = new AddItem(new EllipseItem
        {
            Id = "e",
            Hold = new(panel, HoldBox.Face, Anchor.Middle, default, default),
            Width = new(Length.FromMillimetres(12)),
            Height = new(Length.FromMillimetres(9)),
            Turned = turned,
            Fill = new(null, PatternShelf.Kinds[3] with { Scale = 100 }),
        }).Apply(On(null, null));
        static Pattern of(Job job) => ((ShapeItem)job.Item("e")!).Fill!.Pattern!;
        var after = new MovePattern(Length.FromMillimetres(5), Length.FromMillimetres(-3), Item: "e").Apply(before);
        var at = Placement.Of(before.Item("e")!, before.SheetOf(before.Item("e")!, 0))!.ToSheet;
        var (dx, dy) = ((double)(of(after).MovedRight - of(before).MovedRight), (double)(of(after).MovedDown - of(before).MovedDown));
        ((at.A * dx) + (at.C * dy)).ShouldBe(5, 0.02);
        ((at.B * dx) + (at.D * dy)).ShouldBe(-3, 0.02);
        of(new MovePattern(default, default, 2, 30, Item: "e").Apply(before)).ShouldSatisfyAllConditions(
            p => p.Scale.ShouldBe(200), p => p.Turn.ShouldBe(30));
        Should.Throw<Refusal>(() => new MovePattern(default, default, Item: "nobody").Apply(before)).Message.ShouldContain("removed");
        var plain = new PatternShape("e", null).Apply(before);
        Should.Throw<Refusal>(() => new MovePattern(default, default, Item: "e").Apply(plain)).Message
            .ShouldContain("no pattern fills this");
    }

    /// <summary>Every paper has two that go with it: its inks and no others, the same ones every time.</summary>
    [Fact]
    public void Companions_follow_from_the_seed_and_keep_to_the_paper_s_inks()
    {
        Paint[] inks = [Dark, Pale, new InkPaint(Ink.Percent(10, 90, 80, 0))];
        foreach (var kind in PatternShelf.Kinds)
        {
            var paper = kind with { Seed = 11, Paints = [.. inks.Take(kind.Paints.Count)] };
            var (small, plain) = (Companions.SmallOf(paper), Companions.PlainOf(paper));
            small.GetType().ShouldBe(paper.GetType());
            small.Scale.ShouldBeLessThan(paper.Scale);
            plain.GetType().ShouldNotBe(paper.GetType());
            plain.Paints.ShouldAllBe(p => paper.Paints.Contains(p));
            (small.IsSound, plain.IsSound).ShouldBe((true, true));
            Companions.PlainOf(paper).ShouldBe(plain);
        }
        var hold = new Hold(Part.Front, HoldBox.Safe, Anchor.Middle, default, default);
        var shape = new AddItem(new RectItem { Id = "r", Hold = hold, Fill = Dark }).Apply(On(null, null));
        var job = new LayPattern(PatternShelf.Kinds[4] with { Seed = 7 }).Apply(shape);
        var filled = Facts.Write(job, "item/r/paper", Companions.Small).Apply(job);
        ((RectItem)filled.Item("r")!).Fill!.Pattern.ShouldBe(Companions.SmallOf(job.Take.Ground.Pattern!));
        Should.Throw<Refusal>(() => Facts.Write(shape, "item/r/paper", Companions.Small).Apply(shape))
            .Message.ShouldContain("pick one first");
    }

    /// <summary>At night the sky is the darkest of the swatches, by day it is not; too few swatches leave it alone.</summary>
    [Fact]
    public void An_hour_paints_each_role_by_lightness()
    {
        ImmutableList<Swatch> swatches =
        [
            new("a", "Paper", Ink.White), new("b", "Lamp", Ink.Percent(0, 15, 70, 0)),
            new("c", "Sea", Ink.Percent(70, 30, 20, 10)), new("d", "Night", Ink.Percent(90, 80, 50, 60)),
        ];
        foreach (var (word, vista) in VistaShelf.All)
        {
            vista.Roles().Length.ShouldBe(vista.Slots.Length, word);
            var sky = vista.Roles().IndexOf(Role.Sky);
            if (sky < 0) continue;
            vista.At(Hour.Night, swatches).Paints[sky].ShouldBe(new SwatchPaint("d"), word);
            vista.At(Hour.Noon, swatches).Paints[sky].ShouldNotBe(new SwatchPaint("d"), word);
            vista.At(Hour.Dusk, swatches.GetRange(0, 3)).ShouldBe(vista);
        }
    }

    /// <summary>A motif is one of the job's pictures wherever pictures are counted, missed and packed.</summary>
    [Fact]
    public void A_motif_is_a_picture_of_its_job()
    {
        var gull = new Picture(new('a', 64), "gull.svg", 6000, 4000, false) { IsDrawing = true };
        var paper = (OwnMotif)PatternShelf.Kinds.First(k => k is OwnMotif);
        var job = On(null, paper with { Motif = gull });
        job.Pictures.ShouldBe([gull]);
        job.PicturesShown.ShouldBe([gull]);
        JobJson.Read(JobJson.Write(job)).Take.Ground.ShouldBe(job.Take.Ground);
        ImportValidation.Job(job);
        (paper with { Motif = gull with { IsDrawing = false } }).IsSound.ShouldBeFalse("pixels are no motif");
        paper.Over(new(0, 0, 100, 100)).ShouldBeEmpty("nothing is drawn before there is one");
    }

    /// <summary>A seed of any size, of digits or of words, is one; the same words are the same seed.</summary>
    [Theory]
    [InlineData("0", 0ul)]
    [InlineData("18446744073709551615", ulong.MaxValue)]
    [InlineData(" 41 ", 41ul)]
    public void A_seed_is_a_number_of_sixty_four_bits(string typed, ulong value) =>
        Seed.Of(typed).Value.ShouldBe(value);

    [Fact]
    public void Longer_input_is_hashed_and_comes_back_from_a_job_as_it_was()
    {
        Seed.Of("184467440737095516150").ShouldBe(Seed.Of("184467440737095516150"));
        Seed.Of("heron").ShouldNotBe(Seed.Of("herons"));
        Should.Throw<Refusal>(() => Seed.Of("  "));
        var job = Facts.Write(On(null, PatternShelf.Kinds[3]), "ground/paper-seed", "heron").Apply(On(null,
            PatternShelf.Kinds[3]));
        JobJson.Read(JobJson.Write(job)).Take.Ground.Pattern!.Seed.ShouldBe(Seed.Of("heron"));
        Facts.Read(job, "ground/paper-seed").ShouldBe(Seed.Of("heron").ToString());
    }
}
