using Lumbeck.Press.Colour;
using Lumbeck.Press.Plates;
using NetVips;

namespace Lumbeck.Press.Tests;

/// <summary>
/// What the plate painter composes, judged by Ghostscript's plates of the press file of the same job.
/// </summary>
public sealed class PlateTests(Pressed pressed) : IClassFixture<Pressed>
{
    private const int PerInch = 100;

    private static RectItem Patch(string id, double across, double down, Paint fill, decimal opacity = 100,
        Blend blend = Blend.Normal, double side = 1.5) => new()
        {
            Id = id,
            Hold = new(Part.Front, HoldBox.Face, Anchor.TopLeft, Length.FromInches((decimal)across),
            Length.FromInches((decimal)down)),
            Width = new(Length.FromInches((decimal)side)),
            Height = new(Length.FromInches((decimal)side)),
            Fill = fill,
            Opacity = opacity,
            Blend = blend,
        };

    private static InkPaint Inks(decimal c, decimal m, decimal y, decimal k) => new(Ink.Percent(c, m, y, k));

    private static Job Begun(string house = "tern") => Starters.Job(HouseFile.Shipped[house], "Plates");

    /// <summary>
    /// Ghostscript's plates of a job's file, as four bytes of ink a pixel, and finishing plates by name.
    /// </summary>
    private (int Wide, int High, byte[] Inks, Dictionary<string, byte[]> Finishes) Theirs(Job job, string name)
    {
        var file = pressed.Press(job, name);
        Tool.Run("qpdf", "--check", file).ShouldContain("No syntax or stream encoding errors found");
        using var folder = new Folder();
        Tool.Run("gs", "-q", "-dNOPAUSE", "-dBATCH", "-dSAFER", "-sDEVICE=tiffsep", "-sCompression=none", "-dGraphicsAlphaBits=4",
            "-dTextAlphaBits=4", $"-r{PerInch}", $"-sOutputFile={folder["p%d.tif"]}", file);
        string[] process = ["Cyan", "Magenta", "Yellow", "Black"];
        var plates = process.Select(p => Image.NewFromFile(Directory.GetFiles(folder.Path, $"*({p})*").Single()))
            .ToArray();
        using var all = plates[0].Bandjoin(plates[1..]);
        using var ink = all.Invert();
        var finishes = Directory.GetFiles(folder.Path, "*(*)*")
            .Select(f => (File: f, Name: f[(f.LastIndexOf('(') + 1)..f.LastIndexOf(')')]))
            .Where(f => !process.Contains(f.Name))
            .ToDictionary(f => f.Name, f => Image.NewFromFile(f.File).Invert().WriteToMemory<byte>());
        return (all.Width, all.Height, ink.WriteToMemory<byte>(), finishes);
    }

    private Plates.Plates Ours(Job job)
    {
        var house = job.Ticket.House;
        var scene = SceneBuilder.Build(job, job.Sheets()[0], pressed.Desk.Drawer.Shelf,
            pressed.Desk.Drawer.DrawingsOf(house));
        return new PlatePainter(pressed.Desk.Drawer.Shelf, pressed.Desk.Drawer.Pictures, PrintingCondition.Of(house))
            .Paint(scene, new(0, 0, scene.Width, scene.Height), PerInch);
    }

    /// <summary>
    /// Pixels whose neighbours are all alike on both sides: edges fall by a pixel's part here and there.
    /// </summary>
    private static IEnumerable<int> Inside(Plates.Plates ours, byte[] theirs, int wide)
    {
        for (var y = 2; y < ours.High - 2; y++)
            for (var x = 2; x < Math.Min(ours.Wide, wide) - 2; x++)
            {
                bool calm(byte[] of, int w)
                {
                    for (var i = 0; i < 4; i++)
                        for (var dy = -1; dy <= 1; dy++)
                            for (var dx = -1; dx <= 1; dx++)
                                if (Math.Abs(of[((((y + dy) * w) + x + dx) * 4) + i] - of[(((y * w) + x) * 4) + i]) > 12) return false;
                    return true;
                }
                if (calm(ours.Inks, ours.Wide) && calm(theirs, wide)) yield return (y * ours.Wide) + x;
            }
    }

    private void Agree(Job job, string name, int within, double mean)
    {
        var (wide, high, theirs, _) = Theirs(job, name);
        var ours = Ours(job);
        Math.Abs(wide - ours.Wide).ShouldBeLessThanOrEqualTo(1);
        Math.Abs(high - ours.High).ShouldBeLessThanOrEqualTo(1);
        var (worst, sum, count) = (0, 0L, 0L);
        foreach (var p in Inside(ours, theirs, wide))
        {
            var (x, y) = (p % ours.Wide, p / ours.Wide);
            for (var i = 0; i < 4; i++)
            {
                var off = Math.Abs(ours.Inks[(p * 4) + i] - theirs[(((y * wide) + x) * 4) + i]);
                if (off > worst) worst = off;
                (sum, count) = (sum + off, count + 1);
            }
        }
        count.ShouldBeGreaterThan(ours.Wide * ours.High * 2L);
        worst.ShouldBeLessThanOrEqualTo(within);
        (sum / (double)count).ShouldBeLessThan(mean);

        // The editor's picture is those inks through the profile: on the same pixels it is the plates' colour to within
        // a difference of 2.
        var condition = PrintingCondition.Of(job.Ticket.House);
        using var shown = ours.ToScreen(condition);
        using var raw = Image.NewFromMemory(theirs, wide, high, 4, Enums.BandFormat.Uchar);
        using var press = raw.Copy(interpretation: Enums.Interpretation.Cmyk);
        using var wanted = press.IccTransform(Profiles.PathOf("sRGB"), inputProfile: Profiles.PathOf(condition.Profile),
            intent: Enums.Intent.Relative, depth: 8, embedded: false);
        var (w, h) = (Math.Min(wide, ours.Wide), Math.Min(high, ours.High));
        using var difference = shown.ExtractArea(0, 0, w, h).Colourspace(Enums.Interpretation.Lab)
            .DE00(wanted.ExtractArea(0, 0, w, h).Colourspace(Enums.Interpretation.Lab));
        var off2 = difference.Cast(Enums.BandFormat.Float).WriteToMemory<float>();
        var seen = Inside(ours, theirs, wide).Where(p => p % ours.Wide < w && p / ours.Wide < h)
            .Select(p => off2[(p / ours.Wide * w) + (p % ours.Wide)]).Order().ToList();
        // Of pictures a few pixels fall otherwise between their neighbours.
        seen[(int)(seen.Count * (mean < 1 ? 0.9999 : 0.995))].ShouldBeLessThan(2);
    }

    [Fact]
    public void Blends_opacity_overprint_and_gradients_are_composed_as_the_press_does()
    {
        var text = new TextItem
        {
            Id = "t",
            Hold = new(Part.Front, HoldBox.Face, Anchor.Top, default, Length.FromInches(0.2m)),
            Width = new(Length.FromInches(4)),
            Height = new(Length.FromInches(1)),
            Words = "III HHH",
            Style = new()
            {
                Face = new("oswald", 600, false),
                Size = Length.FromPoints(24),
                Paint = new InkPaint(Ink.Black)
            },
        };
        var line = new LineItem
        {
            Id = "l",
            Hold = new(Part.Front, HoldBox.Face, Anchor.Top, default, Length.FromInches(6.7m)),
            Width = new(Length.FromInches(4)),
            Line = Inks(0, 0, 0, 80),
            LineWidth = Length.FromPoints(18),
            Dash = Dash.Dashed,
        };
        Edit[] edits =
        [
            new PaintGround(new GradientPaint(Run.Straight, 90,
                [new(Inks(60, 20, 0, 0), 0), new(Inks(10, 0, 40, 0), 6000), new(Inks(0, 30, 60, 10), 10_000)])),
            new AddItem(Patch("half", 0.3, 1.4, Inks(0, 100, 0, 0), opacity: 50)),
            new AddItem(Patch("times", 1.2, 2.2, Inks(20, 0, 100, 20), blend: Blend.Multiply)),
            new AddItem(Patch("screen", 2.4, 1.4, Inks(70, 60, 50, 30), blend: Blend.Screen, opacity: 80)),
            new AddItem(Patch("round", 0.4, 4.4,
                new GradientPaint(Run.Round, 0, [new(Inks(0, 0, 0, 0), 0), new(Inks(0, 90, 90, 20), 10_000)]),
                side: 2)),
            new AddItem(Patch("slant", 2.8, 4.4,
                new GradientPaint(Run.Straight, 45, [new(Inks(80, 10, 0, 0), 0), new(Inks(0, 0, 90, 0), 10_000)]),
                side: 2)),
            new AddItem(text), new AddItem(line),
        ];
        Agree(edits.Aggregate(Begun(), (j, e) => e.Apply(j)), "plates-mixed.pdf", 4, 0.8);
    }

    [Fact]
    public async Task Pictures_cropped_turned_tiled_and_grown_lie_where_the_press_puts_them()
    {
        using var image = Image.Identity(bands: 3).Resize(2, vscale: 300).Cast(Enums.BandFormat.Uchar)
            .Copy(interpretation: Enums.Interpretation.Srgb);
        var picture = await pressed.Desk.Drawer.Pictures.TakeIn(new MemoryStream(image.PngsaveBuffer()), "ramp.png",
            default);
        PictureItem at(string id, Part panel, HoldBox box, Anchor anchor, double wide, double high) =>
            new()
            {
                Id = id,
                Hold = new(panel, box, anchor, default, default),
                Width = new(Length.FromInches((decimal)wide)),
                Height = new(Length.FromInches((decimal)high)),
                Picture = picture
            };
        Edit[] edits =
        [
            new AddItem(at("grown", Part.Front, HoldBox.Face, Anchor.Middle, 4, 6)),
                new GrowPicture("grown", new(GrowWay.Mirror)),
            new AddItem(at("turned", Part.Front, HoldBox.Face, Anchor.Top, 2, 1.5) with { Turned = 30,
                Shape = Outlined.Ellipse, Flip = Flip.Across, Opacity = 60 }),
            new AddItem(at("tiles", Part.Back, HoldBox.Face, Anchor.Top, 4,
                2.4) with { Tiling = new(TilingMode.Mirrored,
                Length.FromInches(0.9m), 20, 10) }),
            new AddItem(at("bricks", Part.Back, HoldBox.Face, Anchor.Middle, 4,
                2.4) with { Tiling = new(TilingMode.Brick, Length.FromInches(1.3m)) }),
        ];
        var job = edits.Aggregate(Begun(), (j, e) => e.Apply(j));
        Coverage.Bare(job.Take, job.Geometry().Sheet, job.Geometry().Sheet.Panel(Part.Front)!.Edge).ShouldBeEmpty();
        Agree(job, "plates-pictures.pdf", 14, 1.2);
    }

    [Fact]
    public void Finishing_inks_have_plates_of_their_own_and_leave_the_others_alone()
    {
        var job = Begun("aldwater");
        job = new Edit[] { new PaintGround(Inks(30, 10, 0, 0)),
            new AddItem(Patch("foil", 1, 1, new FinishPaint("foil"))),
            new AddItem(Patch("gloss", 2, 2, new FinishPaint("varnish", 5000))) }.Aggregate(job, (j, e) => e.Apply(j));
        var (wide, _, inks, finishes) = Theirs(job, "plates-finish.pdf");
        var ours = Ours(job);
        finishes.Keys.Order().ShouldBe(["foil", "varnish"]);
        ours.Finishes.Keys.ShouldBe(["foil", "varnish"]);
        var face = job.Geometry().Sheet.Panel(Part.Front)!.Face;
        int pixel(double x, double y, int w) =>
            ((int)(((double)face.Y.Inches + y) * PerInch) * w) + (int)(((double)face.X.Inches + x) * PerInch);
        foreach (var (x, y, foil, varnish) in ((double, double, int, int)[])[(1.2, 1.2, 255, 0), (2.3, 2.3, 255, 128),
            (3.2, 3.2, 0, 128), (4.2, 4.2, 0, 0)])
        {
            ((int)ours.Finishes["foil"][pixel(x, y, ours.Wide)]).ShouldBeInRange(foil - 1, foil + 1);
            ((int)finishes["foil"][pixel(x, y, wide)]).ShouldBeInRange(foil - 1, foil + 1);
            ((int)ours.Finishes["varnish"][pixel(x, y, ours.Wide)]).ShouldBeInRange(varnish - 1, varnish + 1);
            ((int)finishes["varnish"][pixel(x, y, wide)]).ShouldBeInRange(varnish - 1, varnish + 1);
            ((double)inks[pixel(x, y, wide) * 4]).ShouldBe(ours.Inks[pixel(x, y, ours.Wide) * 4], 1.0);
        }
        // A house that has none of them stops such a file.
        var elsewhere = new SetHouse(HouseFile.Shipped["tern"]).Apply(job);
        pressed.Desk.Jobs.Worked(0, elsewhere).Findings.Count(f => f.Id == "ink.finish").ShouldBe(2);
    }
}
