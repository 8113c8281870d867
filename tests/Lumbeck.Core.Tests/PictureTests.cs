using Lumbeck.Core.Drawing;

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
    private static Bounds Lies(PictureItem item, double w, double h) => PicturePlacing.Of(item, w, h)!.Value.Of(new(0, 0, 1, 1));

    private static void ShouldBe(Bounds b, double l, double t, double r, double d)
    {
        foreach (var (is_, was) in new[] { (b.Left, l), (b.Top, t), (b.Right, r), (b.Bottom, d) }) is_.ShouldBe(was, 1e-9);
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
        PictureItem pushed(decimal right, decimal down) => (PictureItem)new PushPicture("p", Length.FromMillimetres(right), Length.FromMillimetres(down)).Apply(job).Item("p")!;
        (pushed(6, 0).PanX, pushed(6, 0).PanY).ShouldBe((40, 0));
        pushed(-100, 20).PanX.ShouldBe(-100);
        pushed(0, 20).PanY.ShouldBe(0);
        Should.Throw<Refusal>(() => new PushPicture("p", Length.FromMillimetres(1), default).Apply(new HangPicture("p", null).Apply(job))).Message.ShouldContain("no picture in this frame");
    }

    [Fact]
    public void Resolution_is_that_of_the_picture_as_it_is_placed()
    {
        var sheet = Sample.Job().Geometry().Sheet;
        PicturePlacing.Resolution(Frame(101.6m, 76.2m), sheet)!.Value.ShouldBe(300, 1e-6);
        PicturePlacing.Resolution(Frame(101.6m, 76.2m) with { Zoom = 150 }, sheet)!.Value.ShouldBe(200, 1e-6);
        PicturePlacing.SharpUpTo(Frame(120, 90), sheet, 300)!.Value.Show(Unit.Millimetre).ShouldBe("101.6 × 76.2 mm");
        Finding? found(PictureItem item) => Sample.Check(Sample.Job(item)).SingleOrDefault(f => f.Id == "picture.resolution");
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
        var over = Frame(0, 0) with { Hold = new(Part.Sheet, HoldBox.Edge, Anchor.Middle, default, default), Width = Span.Full, Height = Span.Full };
        bool covered(PictureItem item) => Sample.Check(new PaintGround(null).Apply(Sample.Job(item))).All(f => f.Id != "ground.coverage");
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
        Should.Throw<Refusal>(() => Facts.Write(Sample.Job(Frame(50, 50)), path, text).Apply(Sample.Job(Frame(50, 50)))).Message.ShouldContain(says);

    [Fact]
    public void A_picture_is_hung_cropped_and_taken_down_and_survives_JSON()
    {
        var job = new HangPicture("p", null).Apply(Sample.Job(Frame(50, 50)));
        ((PictureItem)job.Item("p")!).Picture.ShouldBeNull();
        Sample.Check(job).ShouldContain(f => f.Id == "item.lost" && f.Measured == "no picture");
        job = new HangPicture("p", Wave).Apply(job);
        foreach (var (fact, text) in new[] { ("fit", "contain"), ("zoom", "140 %"), ("pan-x", "-30 %"), ("pan-y", "12.5 %"), ("flip", "across") })
        {
            job = Facts.Write(job, "item/p/" + fact, text).Apply(job);
            Facts.Read(job, "item/p/" + fact).ShouldBe(text);
        }
        JobJson.Read(JobJson.Write(job)).Item("p").ShouldBe(job.Item("p"));
        Should.Throw<Refusal>(() => new HangPicture("title", Wave).Apply(job));
        Should.Throw<Refusal>(() => new HangPicture("p", Wave with { Hash = "../x" }).Apply(job));
    }
}
