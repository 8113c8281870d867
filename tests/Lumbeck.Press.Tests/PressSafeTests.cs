using Lumbeck.Press.Colour;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Plates;
using Lumbeck.Press.Tests.ByChance;
using NetVips;

namespace Lumbeck.Press.Tests;

/// <summary>What Check says of drawn art is seen on the plates, and gone from them once it is mended.</summary>
public sealed class PressSafeTests(RandomDesk random) : IClassFixture<RandomDesk>
{
    private static readonly Ink Dark = Ink.Percent(80, 60, 30, 20);
    private const int Fine = 1200;

    private static Job Laid(Paint? ground, Pattern? paper)
    {
        var job = Starters.Job(HouseFile.Shipped["tern"], "Safe");
        var ticket = job.Ticket with { Binding = BindingKind.Front, Trim = Size.FromMillimetres(100, 140) };
        return new LayPattern(paper).Apply(new PaintGround(ground).Apply((job with { Ticket = ticket }).WithPieces()));
    }

    private Finding? Found(Job job, string rule) =>
        random.On(job).Composed.Findings.FirstOrDefault(f => f.Id == rule);

    /// <summary>One plate of a part of the front, so many pixels an inch, as shares of its ink from 0 to 255.</summary>
    private (byte[] Ink, int Wide) Plate(Job job, int plate, double mm, int perInch)
    {
        var sheet = random.On(job).Composed.Sheets[0];
        var painter = new PlatePainter(new FaceShelf(), random.Desk.Drawer.Pictures,
            new PrintingCondition("coated-fogra39-300"));
        var side = mm * 72 / 25.4;
        var plates = painter.Paint(sheet.Scene, new(40, 40, 40 + side, 40 + side), perInch);
        return ([.. plates.Inks.Where((_, i) => i % 4 == plate)], plates.Wide);
    }

    /// <summary>How long each run of pixels is that are on one side of a limit, over all rows and columns.</summary>
    private static List<int> Runs(byte[] ink, int wide, Func<byte, bool> counts)
    {
        var runs = new List<int>();
        var high = ink.Length / wide;
        void along(int many, Func<int, byte> at)
        {
            var run = 0;
            // What the window cuts off is no whole run.
            var begun = false;
            for (var n = 0; n < many; n++)
            {
                if (counts(at(n))) { run++; continue; }
                if (run > 0 && begun) runs.Add(run);
                (run, begun) = (0, true);
            }
        }
        for (var y = 0; y < high; y += 3) along(wide, x => ink[(y * wide) + x]);
        for (var x = 0; x < wide; x += 3) along(high, y => ink[(y * wide) + x]);
        return runs;
    }

    /// <summary>A line left open in three inks, finer than ink closes: its gaps on the plates, before and after.</summary>
    [Fact]
    public void A_reversed_line_is_as_thin_on_the_plates_as_the_rule_says_until_it_is_mended()
    {
        var job = Laid(new InkPaint(Dark), new ContourLines { Seed = 2, Paints = [new InkPaint(Ink.White)], Scale = 60 });
        double thinnest(Job j)
        {
            var (ink, wide) = Plate(j, 0, 40, Fine);
            // A line crossed aslant is wider than it is: the narrowest crossings are its own width.
            var gaps = Runs(ink, wide, i => i < 100).Order().ToList();
            return gaps[gaps.Count / 50] * 72.0 / Fine;
        }
        var finding = Found(job, "paper.line").ShouldNotBeNull();
        thinnest(job).ShouldBeLessThan(0.5);
        var mended = finding.Fix!.Apply(job);
        Found(mended, "paper.line").ShouldBeNull();
        thinnest(mended).ShouldBeGreaterThan(0.65);
    }

    /// <summary>Tinted lines closer than 0.6 mm: their pitch on the plate, before and after.</summary>
    [Fact]
    public void Beating_lines_lie_as_close_on_the_plate_as_the_rule_says_until_they_are_mended()
    {
        var tint = new InkPaint(Ink.Percent(0, 0, 0, 40));
        var close = PatternShelf.Kinds.Select(k => k with { Scale = 40, Paints = [.. k.Paints.Select(_ => tint)] })
            .First(k => k is not (OwnMotif or WoodGrain) && Found(Laid(null, k), "paper.beats") is { Fix: not null });
        double nearest(Job j)
        {
            var (ink, wide) = Plate(j, 3, 30, Fine);
            // From one line to the next: the gaps, and the fine lines beside them.
            var gaps = Runs(ink, wide, i => i < 50).Where(r => r > 2).Order().ToList();
            return gaps[gaps.Count / 10] * 25.4 / Fine;
        }
        var job = Laid(null, close);
        var before = nearest(job);
        var mended = Found(job, "paper.beats")!.Fix!.Apply(job);
        Found(mended, "paper.beats").ShouldBeNull();
        before.ShouldBeLessThan(0.6, close.Kind);
        nearest(mended).ShouldBeGreaterThan(before * 1.2, close.Kind);
    }

    /// <summary>A long gradient between like inks: its bands on the plate are broad; between unlike ones they are not.</summary>
    [Fact]
    public void A_gradient_of_few_steps_has_broad_bands_on_the_plate()
    {
        static Paint run(Ink to) =>
            new GradientPaint(Run.Straight, 90, [new(new InkPaint(Ink.White), 0), new(new InkPaint(to), 10_000)]);
        double broadest(Job j)
        {
            var (ink, wide) = Plate(j, 0, 80, 150);
            var column = Enumerable.Range(0, ink.Length / wide).Select(y => ink[(y * wide) + (wide / 2)]).ToList();
            var (most, same) = (0, 0);
            for (var y = 1; y < column.Count; y++) most = Math.Max(most, same = column[y] == column[y - 1] ? same + 1 : 0);
            return most * 25.4 / 150;
        }
        var (few, many) = (Laid(run(Ink.Percent(5, 5, 5, 5)), null), Laid(run(Ink.Percent(90, 60, 10, 4)), null));
        Found(few, "ink.steps").ShouldNotBeNull();
        broadest(few).ShouldBeGreaterThan(4);
        Found(many, "ink.steps").ShouldBeNull();
        broadest(many).ShouldBeLessThan(4);
    }

    /// <summary>Tiles that don’t go on in one another: the jump at their joins on the plate, and none beside a mirror image.</summary>
    [Fact]
    public async Task A_seam_between_tiles_is_a_jump_on_the_plate_until_each_lies_beside_its_mirror_image()
    {
        var pixels = new byte[300 * 300];
        for (var i = 0; i < pixels.Length; i++) pixels[i] = (byte)(40 + (i % 300 * 180 / 300));
        using var image = Image.NewFromMemory(pixels, 300, 300, 1, Enums.BandFormat.Uchar)
            .Copy(interpretation: Enums.Interpretation.Bw);
        using var png = new MemoryStream(image.PngsaveBuffer());
        var slope = await random.Desk.Drawer.Pictures.TakeIn(png, "slope.png", TestContext.Current.CancellationToken);
        var job = new AddItem(new PictureItem
        {
            Id = "t",
            Hold = new(Part.Front, HoldBox.Edge, Anchor.Middle, default, default),
            Width = Span.Full,
            Height = Span.Full,
            Picture = slope,
            Tiling = new(TilingMode.Straight, Length.FromMillimetres(20)),
        }).Apply(Laid(null, null));
        int jump(Job j)
        {
            var (ink, wide) = Plate(j, 3, 60, 150);
            var row = ink.AsSpan(wide * 10, wide);
            var most = 0;
            for (var x = 1; x < wide; x++) most = Math.Max(most, Math.Abs(row[x] - row[x - 1]));
            return most;
        }
        var finding = Seam(job).ShouldNotBeNull();
        jump(job).ShouldBeGreaterThan(60);
        var mended = finding.Fix!.Apply(job);
        jump(mended).ShouldBeLessThan(20);
        Seam(mended).ShouldBeNull();
    }

    private Finding? Seam(Job job) => new PlateChecks(random.Desk.Jobs).Exactly(random.On(job).Composed)
        .FirstOrDefault(f => f.Id == "picture.seam");
}
