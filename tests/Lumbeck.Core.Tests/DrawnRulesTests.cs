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
        var mended = thin.By!.Apply(On(Dark, paper));
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
        var all = Papers.Kinds.Where(k =>
            Found(On(null, k with { Scale = 40, Paints = [.. k.Paints.Select(_ => close.Paints[0])] }), "paper.beats")
                .Count > 0)
            .ToList();
        all.ShouldNotBeEmpty("some paper is dense enough when it is drawn small");
        foreach (var kind in all)
        {
            var job = On(null, kind with { Scale = 40, Paints = [.. kind.Paints.Select(_ => close.Paints[0])] });
            var finding = Found(job, "paper.beats")[0];
            finding.Severity.ShouldBe(Severity.Caution);
            if (finding.By is { } by) Found(by.Apply(job), "paper.beats").ShouldBeEmpty(kind.Kind);
            Found(On(null, kind with { Scale = 40, Paints = [.. kind.Paints.Select(_ => new InkPaint(Ink.Black))] }),
                "paper.beats")
                .ShouldBeEmpty("solid ink has no screen");
        }
        foreach (var kind in Papers.Kinds)
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
        var job = Facts.Write(On(null, Papers.Kinds[3]), "ground/paper-seed", "heron").Apply(On(null, Papers.Kinds[3]));
        JobJson.Read(JobJson.Write(job)).Take.Ground.Pattern!.Seed.ShouldBe(Seed.Of("heron"));
        Facts.Read(job, "ground/paper-seed").ShouldBe(Seed.Of("heron").ToString());
    }
}
