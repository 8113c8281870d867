using Lumbeck.Desk;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;

namespace Lumbeck.Press.Tests.ByChance;

/// <summary>
/// Reception takes the program's own sound files, however their parts come together, and still sees what is wrong.
/// </summary>
public sealed class OwnFilesTests(RandomDesk random) : IClassFixture<RandomDesk>
{
    private static Ink P(decimal c, decimal m, decimal y, decimal k) => Ink.Percent(c, m, y, k);
    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);

    private static Job Begun(House house, params Item[] items)
    {
        var job = new PaintGround(new InkPaint(P(20, 0, 10, 0))).Apply(Starters.Job(house, "Own"));
        return items.Aggregate(job, (j, i) => new AddItem(i).Apply(j));
    }

    private Intake.Judging.Verdict Judged(Job job, PressKind kind)
    {
        var on = random.On(job);
        return Intake.IntakeDesk.Judge(random.Made(on, new(kind)), random.Desk.Pressing.Expects(on));
    }

    private static TextItem Words(string id, decimal y, Ink ink, decimal opacity = 100) => new()
    {
        Id = id,
        Words = "Light on the water",
        Hold = new(Part.Front, HoldBox.Safe, Anchor.Top, default, Mm(y)),
        Width = Span.Full,
        Height = new(Mm(20)),
        Opacity = opacity,
        Style = new() { Size = Length.FromPoints(18), Paint = new InkPaint(ink) },
    };

    private static PictureItem Picture(Picture picture) =>
        new()
        {
            Id = "p",
            Picture = picture,
            Hold = new(Part.Front, HoldBox.Face, Anchor.Middle, default, default),
            Width = new(Mm(30)),
            Height = new(Mm(24))
        };

    [Fact]
    public void White_words_before_see_through_words_over_a_picture()
    {
        var over = Words("b", 80, P(0, 60, 0, 0), 60) with
        {
            Hold = new(Part.Front, HoldBox.Face, Anchor.Middle, default, default),
            Width = new(Mm(30)),
        };
        var job = Begun(HouseFile.Shipped["plover"],
            Words("a", 5, Ink.White) with
            {
                Backing = new(new InkPaint(P(80, 40, 0, 20)), Length.FromPoints(3), default),
            },
            Picture(random.Pictures[0]), over);
        Judged(job, PressKind.X1a).Findings.ShouldBeEmpty();
    }

    [Fact]
    public void A_house_that_takes_outlines_alone_and_wants_a_slug()
    {
        var house = HouseFile.Shipped["plover"] with { OutlinesOnly = true, Slug = true };
        var job = Begun(house, Words("a", 5, Ink.Black));
        Judged(job, PressKind.X1a).Findings.ShouldBeEmpty();
        Tool.Run("pdffonts", random.Made(random.On(job), new(PressKind.X1a)))
            .Split('\n', StringSplitOptions.RemoveEmptyEntries).Length
            .ShouldBe(2);
    }

    [Fact]
    public void Ink_that_another_piece_covers_does_not_count_and_what_shows_does()
    {
        RectItem patch(string id, Ink ink, decimal mm) =>
            new()
            {
                Id = id,
                Hold = new(Part.Front, HoldBox.Face, Anchor.Middle, default, default),
                Width = new(Mm(mm)),
                Height = new(Mm(mm)),
                Fill = new InkPaint(ink)
            };
        var house = HouseFile.Shipped["plover"];
        Judged(Begun(house, patch("heavy", P(100, 100, 100, 90), 30), patch("over", P(10, 0, 0, 0), 32)), PressKind.X1a)
            .Findings
            .ShouldBeEmpty();
        Judged(Begun(house, patch("heavy", P(100, 100, 100, 90), 30)), PressKind.X1a).Findings.Single()
            .ShouldSatisfyAllConditions(f => f.Id.ShouldBe("ink.total"), f => f.Measured.ShouldBe("390 %"));
    }

    [Fact]
    public void A_border_round_the_front_is_no_guide_and_a_line_along_a_fold_is()
    {
        var house = HouseFile.Shipped["plover"];
        var border = new RectItem
        {
            Id = "border",
            Hold = new(Part.Front, HoldBox.Face, Anchor.Middle, default, default),
            Width = Span.Full,
            Height = Span.Full,
            Line = new InkPaint(Ink.Black),
            LineWidth = Length.FromPoints(1),
        };
        Judged(Begun(house, border), PressKind.X1a).Findings.ShouldBeEmpty();
        var along = new LineItem
        {
            Id = "guide",
            Hold = new(Part.Front, HoldBox.Edge, Anchor.Left, default, default),
            Width = new(Mm(400)),
            Turned = 90,
            Line = new InkPaint(P(0, 100, 0, 0)),
            LineWidth = Length.FromPoints(0.5m),
        };
        var job = Begun(house, along);
        // Its middle on the fold between spine and front.
        var fold = job.Geometry().Sheet.Panel(Part.Front)!.Face;
        job = new LayItem("guide", fold.X, fold.Y + (0.5m * fold.Height)).Apply(job);
        Judged(job, PressKind.X1a).Findings.Select(f => f.Id).ShouldContain("guides");
    }

    [Fact, Wide]
    public void Flattened_parts_as_large_as_a_cover_are_read_in_time()
    {
        PictureItem over(string id, Part panel, decimal opacity, Blend blend) =>
            new()
            {
                Id = id,
                Picture = random.Pictures[0],
                Hold = new(panel, HoldBox.Edge, Anchor.Middle, default, default),
                Width = Span.Full,
                Height = Span.Full,
                Opacity = opacity,
                Blend = blend,
                Zoom = 110
            };
        var job = Starters.Job(HouseFile.Shipped["plover"] with
        {
            TrimMost = Size.FromMillimetres(320, 450),
            PictureStop = 10,
            PictureCaution = 10
        },
            "Large");
        job = new SetTrim(Size.FromInches(8, 10)).Apply(job);
        job = new PaintGround(new GradientPaint(Run.Straight, 20,
            [new(new InkPaint(P(20, 0, 10, 0)), 0), new(new InkPaint(P(0, 10, 40, 0)), 10_000)]))
            .Apply(job);
        foreach (var panel in (Part[])[Part.Back, Part.Spine, Part.Front])
        {
            job = new AddItem(over($"m{panel}".ToLowerInvariant(), panel, 100, Blend.Multiply)).Apply(job);
            job = new AddItem(over($"o{panel}".ToLowerInvariant(), panel, 35, Blend.Normal)).Apply(job);
        }
        var verdict = Judged(job, PressKind.X1a);
        verdict.Findings.Where(f => f.Id == "file.readable").ShouldBeEmpty();
        verdict.NotExamined.ShouldBeEmpty();
    }

    [Fact]
    public void A_damaged_drawing_stops_the_press_by_name_and_prints_again_once_it_is_mended()
    {
        var drawing = random.Pictures.Single(p => p.IsDrawing);
        var job = Begun(HouseFile.Shipped["tern"], Picture(drawing) with { Id = "d" });
        var slug = random.Desk.Bench.Begin("Damaged", job, "own").Slug;
        Finding? missing() =>
            random.Desk.Jobs.Job(slug).Composed.Findings.FirstOrDefault(f => f.Id == "picture.missing");
        missing().ShouldBeNull();
        var file = random.Desk.Drawer.Pictures.PathOf(drawing.Hash);
        var whole = File.ReadAllBytes(file);
        try
        {
            File.WriteAllBytes(file, [.. whole[..(whole.Length / 2)]]);
            // A later revision is worked out with the file as it is now.
            random.Desk.Jobs.Apply(slug, new(Guid.NewGuid().ToString(), "own", _ => new NameItem("d", "The hill")));
            missing().ShouldNotBeNull().Measured.ShouldContain("drawn.svg: its file is damaged");
            Should.Throw<Refusal>(() => random.Desk.Pressing.Press(slug, new(PressKind.X4))).Message
                .ShouldContain("drawn.svg can’t be printed, for its file is damaged");
        }
        finally { File.WriteAllBytes(file, whole); }
        missing().ShouldBeNull();
        random.Desk.Jobs.Job(slug).Composed.Sheets[0].Scene.Item("d")!.Marks.ShouldNotBeEmpty();
        random.Desk.Pressing.Press(slug, new(PressKind.X4)).Accepted.ShouldNotBeNull();
    }

    [Fact]
    public void A_title_that_would_turn_its_letters_round_is_kept_without_what_turns_them()
    {
        var job = new SetFact(TicketFact.Title, "Tide\u202Eemit dna\u202C and\u2067 time")
            .Apply(Begun(HouseFile.Shipped["tern"]));
        job.Ticket.Title.ShouldBe("Tideemit dna and time");
        Tool.Run("pdfinfo", random.Made(random.On(job), new(PressKind.X4)))
            .ShouldContain("Title:           Tideemit dna and time");
        Starters.Job(HouseFile.Shipped["tern"], "A\u0007\u202Eb").Ticket.Title.ShouldBe("A b");
    }
}
