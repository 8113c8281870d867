namespace Lumbeck.Press.Tests;

/// <summary>Items that let through what lies under them, and shapes, judged on the plates by Ghostscript.</summary>
public sealed class MixingTests(Pressed pressed) : IClassFixture<Pressed>
{
    private static RectItem Patch(string id, Anchor anchor, Ink ink, decimal opacity = 100,
        Blend blend = Blend.Normal) => new()
        {
            Id = id,
            Hold = new(Part.Front, HoldBox.Face, anchor, default, default),
            Width = new(Length.FromInches(2)),
            Height = new(Length.FromInches(2)),
            Fill = new InkPaint(ink),
            Line = new InkPaint(ink),
            LineWidth = Length.FromPoints(40),
            Opacity = opacity,
            Blend = blend,
        };

    /// <summary>Ink on each plate in percent at points of the sheet, given in inches.</summary>
    private static double[][] Plates(string file, params (double X, double Y)[] points)
    {
        using var folder = new Folder();
        Tool.Run("gs", "-q", "-dNOPAUSE", "-dBATCH", "-dSAFER", "-sDEVICE=tiffsep", "-sCompression=none", "-r72",
            $"-sOutputFile={folder["p%d.tif"]}", file);
        string[] plates = ["Cyan", "Magenta", "Yellow", "Black"];
        var images = plates.Select(p => NetVips.Image.NewFromFile(Directory.GetFiles(folder.Path, $"*({p})*").Single()))
            .ToArray();
        return [.. points.Select(at =>
            images.Select(i => 100 - (i.Getpoint((int)(at.X * 72), (int)(at.Y * 72))[0] / 2.55)).ToArray())];
    }

    [Fact]
    public void Opacity_and_blends_mix_an_item_as_one_and_the_file_stays_sound()
    {
        var desk = pressed.Desk;
        var job = Starters.Job(desk.Jobs.Job("tidewatcher").Job.Ticket.House, "Mixing");
        job = new Edit[]
        {
            new PaintGround(new InkPaint(Ink.Percent(40, 0, 0, 0))),
            new AddItem(Patch("half", Anchor.Top, Ink.Percent(0, 100, 0, 0), opacity: 50)),
            new AddItem(Patch("times", Anchor.Middle, Ink.Percent(0, 0, 100, 0), blend: Blend.Multiply)),
            new AddItem(Patch("plain", Anchor.Bottom, Ink.Percent(0, 0, 0, 70))),
        }.Aggregate(job, (j, e) => e.Apply(j));
        var file = pressed.Press(job, "mixing.pdf");
        Tool.Run("qpdf", "--check", file).ShouldContain("No syntax or stream encoding errors found");
        var front = job.Geometry().Sheet.Panel(Part.Front)!.Face;
        var x = (double)(front.X + (0.5m * front.Width)).Inches;
        var top = (double)front.Y.Inches;
        // In the middle of each, and on its line, which lies over its own fill and does not show twice.
        var ink = Plates(file, (x, top + 1), (x, top + 1.9), (x, top + 4), (x, top + 7));
        void shouldBe(double[] plates, params double[] wanted)
        {
            for (var i = 0; i < 4; i++) plates[i].ShouldBe(wanted[i], 1.2);
        }
        shouldBe(ink[0], 20, 50, 0, 0);
        shouldBe(ink[1], 20, 50, 0, 0);
        shouldBe(ink[2], 40, 0, 100, 0);
        shouldBe(ink[3], 0, 0, 0, 70);
        // Nothing mixes in the demo's own file, and it says nothing of groups.
        Tool.Run("qpdf", "--qdf", "--object-streams=disable", pressed.File, "-").ShouldNotContain("/Transparency");
    }

    [Fact]
    public void A_frame_leaves_its_middle_open_on_the_plates()
    {
        var job = Starters.Job(pressed.Desk.Jobs.Job("tidewatcher").Job.Ticket.House, "Frame");
        job = new AddItem(new FrameItem
        {
            Id = "f",
            Hold = new(Part.Front, HoldBox.Edge, Anchor.Middle, default, default),
            Width = Span.Full,
            Height = Span.Full,
            Thickness = Length.FromInches(0.5m),
            Corner = Length.FromInches(0.3m),
            Fill = new InkPaint(Ink.Black)
        })
            .Apply(job);
        var sheet = job.Geometry().Sheet;
        var face = sheet.Panel(Part.Front)!.Face;
        var (l, t, r) = ((double)face.X.Inches, (double)face.Y.Inches, (double)sheet.Size.Width.Inches);
        var ink = Plates(pressed.Press(job, "frame.pdf"), (r - 0.03, t + 4), (l + 0.25, t + 4), (l + 2.6, t + 4),
            (l + 0.53, t + 0.53), (l - 0.1, t + 4));
        ink.Select(p => Math.Round(p[3])).ShouldBe([100, 100, 0, 100, 0]);
    }
}
