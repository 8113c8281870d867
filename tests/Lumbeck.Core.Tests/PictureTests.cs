namespace Lumbeck.Core.Tests;

/// <summary>Pictures in their frames.</summary>
public sealed class PictureTests
{
    private static readonly Picture Wave = new(new string('a', 64), "wave.jpg", 1200, 900, Opaque: true);

    private static PictureItem Frame(decimal wideMm, decimal highMm, Picture? picture = null) => new()
    {
        Id = "p",
        Hold = new(Part.Front, HoldBox.Face, Anchor.Middle, default, default),
        Width = new(Length.FromMillimetres(wideMm)),
        Height = new(Length.FromMillimetres(highMm)),
        Picture = picture ?? Wave,
    };

    /// <summary>Where the picture's corners come to lie in a frame of so many points.</summary>
    private static Bounds Lies(PictureItem item, double w, double h) =>
        PicturePlacing.Of(item, w, h)!.Value.Of(new(0, 0, 1, 1));

    private static void ShouldBe(Bounds b, double l, double t, double r, double d)
    {
        foreach (var (is_, was) in new[] { (b.Left, l), (b.Top, t), (b.Right, r), (b.Bottom, d) })
            is_.ShouldBe(was, 1e-9);
    }

    [Fact]
    public void A_picture_fills_its_frame_or_is_seen_whole_and_is_pushed_no_farther_than_its_edge()
    {
        var item = Frame(100, 100);
        ShouldBe(Lies(item, 90, 90), -15, 0, 105, 90);
        ShouldBe(Lies(item with { Fit = Fit.Contain }, 90, 90), 0, 11.25, 90, 78.75);
        ShouldBe(Lies(item with { PanX = -100 }, 90, 90), -30, 0, 90, 90);
        ShouldBe(Lies(item with { PanX = 100 }, 90, 90), 0, 0, 120, 90);
        ShouldBe(Lies(item with { Zoom = 200, PanY = -100 }, 90, 90), -75, -90, 165, 90);
        ShouldBe(Lies(item with { Fit = Fit.Contain, PanY = 100 }, 90, 90), 0, 22.5, 90, 90);
        // Mirrored it lies where it lay.
        ShouldBe(Lies(item with { Flip = Flip.Both }, 90, 90), -15, 0, 105, 90);
        PicturePlacing.Of(item with { Flip = Flip.Across }, 90, 90)!.Value.At(0, 0).X.ShouldBe(105, 1e-9);
    }

    [Fact]
    public void Pushed_by_hand_a_picture_goes_as_far_as_the_hand_and_no_farther_than_its_edge()
    {
        var job = Sample.Job(Frame(90, 90));
        // 120 mm wide in a frame of 90: 15 mm to spare on either side.
        PictureItem pushed(decimal right, decimal down) =>
            (PictureItem)new PushPicture("p", Length.FromMillimetres(right), Length.FromMillimetres(down)).Apply(job)
                .Item("p")!;
        (pushed(6, 0).PanX, pushed(6, 0).PanY).ShouldBe((40, 0));
        pushed(-100, 20).PanX.ShouldBe(-100);
        pushed(0, 20).PanY.ShouldBe(0);
        Should.Throw<Refusal>(() =>
            new PushPicture("p", Length.FromMillimetres(1), default).Apply(new HangPicture("p", null).Apply(job)))
            .Message.ShouldContain("no picture in this frame");
    }

    [Fact]
    public void Resolution_is_that_of_the_picture_as_it_is_placed()
    {
        var sheet = Sample.Job().Geometry().Sheet;
        PicturePlacing.Resolution(Frame(101.6m, 76.2m), sheet)!.Value.ShouldBe(300, 1e-6);
        PicturePlacing.Resolution(Frame(101.6m, 76.2m) with { Zoom = 150 }, sheet)!.Value.ShouldBe(200, 1e-6);
        PicturePlacing.SharpUpTo(Frame(120, 90), sheet, 300)!.Value.Show(Unit.Millimetre).ShouldBe("101.6 × 76.2 mm");
        Finding? found(PictureItem item) =>
            Sample.Check(Sample.Job(item)).SingleOrDefault(f => f.Id == "picture.resolution");
        found(Frame(101.6m, 76.2m)).ShouldBeNull();
        found(Frame(110, 82.5m))!.Severity.ShouldBe(Severity.Caution);
        found(Frame(110, 82.5m))!.Mend!.ShouldContain("no larger than 4 × 3 in");
        found(Frame(110, 82.5m) with { Zoom = 200 })!.Severity.ShouldBe(Severity.Stop);
        found(Frame(20, 15))!.Severity.ShouldBe(Severity.Note);
        found(Frame(110, 82.5m) with { Hidden = true }).ShouldBeNull();
    }

    [Fact]
    public void A_picture_covers_the_sheet_only_where_nothing_shows_through_or_beside_it()
    {
        var over = Frame(0, 0) with
        {
            Hold = new(Part.Sheet, HoldBox.Edge, Anchor.Middle, default, default),
            Width = Span.Full,
            Height = Span.Full,
        };
        bool covered(PictureItem item) =>
            Sample.Check(new PaintGround(null).Apply(Sample.Job(item))).All(f => f.Id != "ground.coverage");
        covered(over).ShouldBeTrue();
        covered(over with { Fit = Fit.Contain }).ShouldBeFalse();
        covered(over with { Zoom = 99 }).ShouldBeFalse();
        covered(over with { Picture = Wave with { Opaque = false } }).ShouldBeFalse();
        covered(over with { Picture = null }).ShouldBeFalse();
        covered(over with { Picture = null, Fill = new InkPaint(Ink.Black) }).ShouldBeTrue();
    }

    [Theory]
    [InlineData("item/p/zoom", "5 %", "from 10 to 2000 %")]
    [InlineData("item/p/pan-x", "101 %", "past the picture’s edge")]
    [InlineData("item/p/fit", "stretch", "none of cover, contain")]
    public void What_a_picture_cannot_do_is_refused(string path, string text, string says) =>
        Should.Throw<Refusal>(() => Facts.Write(Sample.Job(Frame(50, 50)), path, text).Apply(Sample.Job(Frame(50, 50))))
            .Message.ShouldContain(says);

    [Fact]
    public void A_picture_is_hung_cropped_and_taken_down_and_survives_JSON()
    {
        var job = new HangPicture("p", null).Apply(Sample.Job(Frame(50, 50)));
        ((PictureItem)job.Item("p")!).Picture.ShouldBeNull();
        Sample.Check(job).ShouldContain(f => f.Id == "item.lost" && f.Measured == "no picture");
        job = new HangPicture("p", Wave).Apply(job);
        foreach (var (fact, text) in new[] { ("fit", "contain"), ("zoom", "140 %"), ("pan-x", "-30 %"),
            ("pan-y", "12.5 %"), ("flip", "across") })
        {
            job = Facts.Write(job, "item/p/" + fact, text).Apply(job);
            Facts.Read(job, "item/p/" + fact).ShouldBe(text);
        }
        JobJson.Read(JobJson.Write(job)).Item("p").ShouldBe(job.Item("p"));
        Should.Throw<Refusal>(() => new HangPicture("title", Wave).Apply(job));
        Should.Throw<Refusal>(() => new HangPicture("p", Wave with { Hash = "../x" }).Apply(job));
    }
}

/// <summary>Pictures laid as patterns, grown beyond their frames, and traced.</summary>
public sealed class PictureLayingTests
{
    private static readonly Picture Wave = new(new string('a', 64), "wave.jpg", 1200, 900, Opaque: true);

    private static PictureItem Over(HoldBox box, Part panel = Part.Front) =>
        new()
        {
            Id = "p",
            Hold = new(panel, box, Anchor.Middle, default, default),
            Width = Span.Full,
            Height = Span.Full,
            Picture = Wave
        };

    private static GrownMark? Grown(Job job) =>
        Sample.Scene(job).Item("p")!.Marks.OfType<GrownMark>().SingleOrDefault();

    [Fact]
    public void A_picture_grows_by_what_it_lacks_on_each_side_and_no_more()
    {
        var job = new GrowPicture("p", new(GrowWay.Synthesis)).Apply(Sample.Job(Over(HoldBox.Face)));
        var sheet = job.Geometry().Sheet;
        var mark = Grown(job)!;
        var front = sheet.Panel(Part.Front)!;
        // The front of a left-to-right paperback bleeds at head, foot and fore-edge, and not at its spine.
        (mark.How.Left, mark.How.Top > 0, mark.How.Right > 0, mark.How.Bottom > 0).ShouldBe((0, true, true, true));
        var covers = mark.Place.Then(Sample.Scene(job).Item("p")!.Place).Of(new(0, 0, 1, 1));
        foreach (var (is_, was) in ((double, Length)[])[(covers.Left, front.Edge.X), (covers.Top, front.Edge.Y),
            (covers.Right, front.Edge.Right), (covers.Bottom, front.Edge.Bottom)])
            is_.ShouldBe(was.Points, 0.01);
        // As fine as the picture is as it is placed.
        (mark.Wide / (mark.Place.A / 72))
            .ShouldBe(PicturePlacing.Resolution((PictureItem)job.Item("p")!, sheet)!.Value, 1);
        Coverage.Bare(job.Take with { Ground = new(null) }, sheet, front.Edge).ShouldBeEmpty();
        // The whole sheet, where that is asked for; and the other way round with the sheet.
        var whole = new GrowPicture("p", new(GrowWay.Mirror, GrowTo.Sheet)).Apply(job);
        Coverage.Bare(whole.Take with { Ground = new(null) }, sheet, sheet.Whole).ShouldBeEmpty();
        Grown(new SetReading(Reading.RightToLeft).Apply(job))!.How.Right.ShouldBe(0);
        Grown(new SetPages(500).Apply(whole))!.How.Left.ShouldBeGreaterThan(Grown(whole)!.How.Left);
        // One that reaches by itself has nothing to grow.
        Grown(new GrowPicture("p", new(GrowWay.Soft)).Apply(Sample.Job(Over(HoldBox.Edge)))).ShouldBeNull();
    }

    [Fact]
    public void What_shows_of_it_is_what_grows_also_mirrored_on_a_spine_and_seen_whole()
    {
        var job = new GrowPicture("p", new(GrowWay.Mirror, GrowTo.Sheet))
            .Apply(Sample.Job(Over(HoldBox.Face, Part.Spine)));
        var (mark, drawn) = (Grown(job)!, Sample.Scene(job).Item("p")!);
        var covers = mark.Place.Then(drawn.Place).Of(new(0, 0, 1, 1));
        covers.Left.ShouldBe(0, 0.05);
        covers.Bottom.ShouldBe(job.Geometry().Sheet.Size.Height.Points, 0.05);
        var contained = new GrowPicture("p", new(GrowWay.Mirror))
            .Apply(Sample.Job(Over(HoldBox.Face) with { Fit = Fit.Contain, Flip = Flip.Across }));
        Grown(contained)!.How.ShouldSatisfyAllConditions(h => h.W.ShouldBe(1), h => h.Flip.ShouldBe(Flip.Across),
            h => h.Top.ShouldBeGreaterThan(0.3));
        var pushed = new GrowPicture("p", new(GrowWay.Mirror))
            .Apply(Sample.Job(Over(HoldBox.Face) with { Zoom = 200, PanX = -100 }));
        Grown(pushed)!.How.X.ShouldBeGreaterThan(0.4);
    }

    [Fact]
    public void What_can_not_grow_says_why()
    {
        void refused(PictureItem item, string says) =>
            Should.Throw<Refusal>(() => new GrowPicture("p", new(GrowWay.Mirror)).Apply(Sample.Job(item)))
                .Message.ShouldContain(says);
        refused(Over(HoldBox.Face) with { Picture = null }, "no picture in this frame");
        refused(Over(HoldBox.Face) with { Picture = Wave with { IsDrawing = true } }, "stretch its frame");
        refused(Over(HoldBox.Face) with { Picture = Wave with { Opaque = false } }, "shows through");
        refused(Over(HoldBox.Face) with { Turned = 12 }, "turn it level");
        refused(Over(HoldBox.Face) with { Shape = Outlined.Ellipse }, "take its corners, shape");
        // Turned aside later, it ends at its frame again, and the sheet is bare there.
        var job = new TurnItem("p", 10)
            .Apply(new GrowPicture("p", new(GrowWay.Mirror)).Apply(Sample.Job(Over(HoldBox.Face))));
        Grown(job).ShouldBeNull();
    }

    [Fact]
    public void Ways_of_growing_are_tried_one_after_the_other()
    {
        var job = Sample.Job(Over(HoldBox.Face));
        var tried = new List<string>();
        for (var i = 0; i < 5; i++)
        {
            job = Facts.Write(job, "item/p/grow", "next").Apply(job);
            tried.Add(Facts.Read(job, "item/p/grow"));
        }
        tried.ShouldBe(["mirror", "stretch", "soft", "synthesis", "no"]);
    }

    [Fact]
    public void Tiles_have_their_own_width_and_resolution_and_cover_their_frame()
    {
        var job = Facts.Write(Sample.Job(Over(HoldBox.Edge)), "item/p/tile", "brick")
            .Apply(Sample.Job(Over(HoldBox.Edge)));
        job = Facts.Write(job, "item/p/tile-wide", "2 in").Apply(job);
        var tiles = Sample.Scene(job).Item("p")!.Marks.OfType<TilesMark>().Single();
        (tiles.Tiling, tiles.PatternMatrix.A, tiles.PatternMatrix.D).ShouldBe((TilingMode.Brick, 144, 108));
        PicturePlacing.Resolution((PictureItem)job.Item("p")!, job.Geometry().Sheet)!.Value.ShouldBe(600, 1e-6);
        Coverage.Bare(job.Take with { Ground = new(null) }, job.Geometry().Sheet,
            job.Geometry().Sheet.Panel(Part.Front)!.Edge)
            .ShouldBeEmpty();
        Should.Throw<Refusal>(() => Facts.Write(job, "item/p/tile-wide", "1 mm").Apply(job))
            .Message.ShouldContain("from 2 mm to 2000 mm");
        ShapeDrawing.TileFlip(TilingMode.Mirrored, 1, 0).At(0, 0).ShouldBe((1, 0));
    }

    [Fact]
    public void A_tracing_is_no_part_of_the_scene_and_its_picture_is_kept()
    {
        var job = new LayTracing(new(Wave)).Apply(Sample.Job());
        Sample.Scene(job).Items.Select(p => p.Item).ShouldBe(Sample.Scene(Sample.Job()).Items.Select(p => p.Item));
        job.Pictures.ShouldBe([Wave]);
        job = Facts.Write(job, "ground/tracing-strength", "60 %").Apply(job);
        job.Wraps[0].Tracing!.Strength.ShouldBe(60);
        Should.Throw<Refusal>(() => Facts.Write(job, "ground/tracing-strength", "101 %").Apply(job))
            .Message.ShouldContain("from 5 to 100 %");
        Facts.Write(job, "ground/tracing", "none").Apply(job).Wraps[0].Tracing.ShouldBeNull();
    }
}
