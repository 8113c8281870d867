using Lumbeck.Desk;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;

namespace Lumbeck.Press.Tests;

/// <summary>
/// PDF/X-1a lays on each plate what PDF/X-4 does, without a trace of transparency, and its words stay words.
/// </summary>
public sealed class FlatteningTests(Pressed pressed) : IClassFixture<Pressed>
{
    private static Ink P(decimal c, decimal m, decimal y, decimal k) => Ink.Percent(c, m, y, k);
    private static Length In(decimal inches) => Length.FromInches(inches);
    private static Hold At(Part panel, Anchor anchor, decimal x = 0, decimal y = 0) =>
        new(panel, HoldBox.Face, anchor, In(x), In(y));

    private static readonly Edit[] SeeThrough =
    [
        new AddItem(new RectItem { Id = "times", Hold = At(Part.Front, Anchor.Top, 0, 1), Width = new(In(3)),
            Height = new(In(1.5m)), Fill = new InkPaint(P(10, 60, 0, 0)), Blend = Blend.Multiply }),
        new AddItem(new EllipseItem { Id = "screen", Hold = At(Part.Front, Anchor.Middle), Width = new(In(2)),
            Height = new(In(1.4m)), Fill = new InkPaint(P(30, 0, 80, 10)), Blend = Blend.Screen }),
        new AddItem(new RectItem { Id = "half", Hold = At(Part.Back, Anchor.Middle), Width = new(In(2)),
            Height = new(In(2)), Fill = new InkPaint(P(0, 0, 0, 80)), Opacity = 50, Turned = 12 }),
        new AddItem(new TextItem { Id = "soft", Words = "Softly over the water",
            Hold = At(Part.Front, Anchor.Bottom, 0, -2), Width = Span.Full, Height = new(In(0.6m)),
            Style = new() { Size = Length.FromPoints(26), Align = Align.Centre, Paint = new InkPaint(P(0, 0, 0, 0)) },
            Shadow = new(new InkPaint(P(60, 40, 20, 40)), In(0.02m), In(0.03m), Length.FromPoints(8), 80) }),
        new AddItem(new TextItem { Id = "faded", Words = "Faded letters", Hold = At(Part.Back, Anchor.Top, 0, 1),
            Width = Span.Full, Height = new(In(0.8m)),
            Style = new() { Size = Length.FromPoints(40), Align = Align.Centre, Paint = new InkPaint(P(0, 80, 80, 0)) },
            Opacity = 60 }),
        new AddItem(new TextItem { Id = "over", Words = "Words that lie over all",
            Hold = At(Part.Front, Anchor.Top, 0, 1.5m), Width = Span.Full, Height = new(In(0.4m)),
            Style = new() { Size = Length.FromPoints(14), Align = Align.Centre } }),
    ];

    private string Made(Job job, PressKind kind)
    {
        var on = pressed.Desk.Jobs.Job("lighthouse");
        on = on with { Composed = pressed.Desk.Jobs.Worked(on.Revision, job) };
        var file = pressed.Folder[$"flat-{Guid.NewGuid():n}.pdf"];
        using (var s = File.Create(file)) pressed.Desk.Pressing.WritePress(on, new(kind) { Marks = false }, s);
        return file;
    }

    private static NetVips.Image Plate(string folder, string name) =>
        NetVips.Image.NewFromFile(Directory.GetFiles(folder, $"*({name})*").Single());

    /// <summary>
    /// Covers, and how much of a plate may differ. A picture's own packing is lossy in one file and gone through once
    /// more in the other: a few pixels of a million differ by it.
    /// </summary>
    public static TheoryData<string, double> Covers() =>
        [.. Sweep.Few([("tidewatcher", 0.000002), ("lighthouse", 0.0003)], every: 2)];

    [Theory, MemberData(nameof(Covers))]
    public void Plates_are_the_same_but_for_edges(string slug, double noise)
    {
        var job = SeeThrough.Aggregate(pressed.Desk.Jobs.Job(slug).Job, (j, e) => e.Apply(j));
        var (x4, x1a) = (Made(job, PressKind.X4), Made(job, PressKind.X1a));
        using var a = new Folder();
        using var b = new Folder();
        foreach (var (file, to) in ((string, Folder)[])[(x4, a), (x1a, b)])
            Tool.Run("gs", "-q", "-dNOPAUSE", "-dBATCH", "-dSAFER", "-sDEVICE=tiffsep", "-sCompression=none", "-r150",
                $"-sOutputFile={to["p%d.tif"]}", file);
        foreach (var name in (string[])["Cyan", "Magenta", "Yellow", "Black"])
        {
            using var one = Plate(a.Path, name).CopyMemory();
            using var two = Plate(b.Path, name).CopyMemory();
            // An edge is where a neighbour differs; it and a pixel about it are left out.
            using var range = one.Rank(3, 3, 8) - one.Rank(3, 3, 0);
            using var edges = (range > 2).Rank(5, 5, 24);
            using var apart = (one - two).Abs();
            using var inner = edges.Ifthenelse(0, apart);
            using var far = inner > 2;
            (far.Avg() / 255)
                .ShouldBeLessThanOrEqualTo(noise,
                    $"{name}: {far.Avg() / 255:0.#####} of the plate is over 2 apart, at most {inner.Max()}");
        }
    }

    [Fact, Wide]
    public void No_transparency_is_left_and_words_over_it_stay_type()
    {
        var job = SeeThrough.Aggregate(pressed.Desk.Jobs.Job("lighthouse").Job, (j, e) => e.Apply(j));
        var file = Made(job, PressKind.X1a);
        Tool.Run("qpdf", "--check", file).ShouldContain("No syntax or stream encoding errors found");
        var content = Tool.Run("qpdf", "--qdf", "--object-streams=disable", "--normalize-content=n", file, "-");
        foreach (var trace in (string[])["/SMask", "/Transparency", "/BM /", "/ca ", "/CA "])
            content.ShouldNotContain(trace);
        var words = Tool.Run("pdftotext", file, "-");
        foreach (var said in (string[])["Words that lie over all", "Softly over the water", "Faded letters"])
            words.ShouldContain(said);
    }

    [Fact]
    public void Over_one_plain_ink_nothing_becomes_pixels()
    {
        var job = Starters.Job(pressed.Desk.Jobs.Job("lighthouse").Job.Ticket.House, "Plain");
        job = new Edit[]
        {
            new PaintGround(new InkPaint(P(40, 0, 0, 0))),
            new AddItem(new RectItem { Id = "half", Hold = At(Part.Front, Anchor.Middle), Width = new(In(2)),
                Height = new(In(2)), Fill = new InkPaint(P(0, 100, 0, 0)), Opacity = 50 }),
            new AddItem(new TextItem { Id = "t", Words = "Fifty", Hold = At(Part.Back, Anchor.Middle),
                Width = Span.Full, Height = new(In(1)),
                Style = new() { Size = Length.FromPoints(60), Paint = new InkPaint(P(0, 0, 80, 0)) },
                Blend = Blend.Multiply }),
        }.Aggregate(job, (j, e) => e.Apply(j));
        var file = Made(job, PressKind.X1a);
        Tool.Run("pdfimages", "-list", file).Split('\n').Skip(2).Where(l => l.Length > 0).ShouldBeEmpty();
        var content = Tool.Run("qpdf", "--qdf", "--object-streams=disable", "--normalize-content=n", file, "-");
        content.ShouldContain("0.2 0.5 0 0 k");
        content.ShouldContain("0.4 0 0.8 0 k");
    }
}
