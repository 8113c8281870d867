using Lumbeck.Desk;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;

namespace Lumbeck.Press.Tests.ByChance;

/// <summary>
/// Places where two good parts meet, each with the inks it is to have on Ghostscript's plates, in PDF/X-4 and in
/// PDF/X-1a.
/// </summary>
public sealed class PlateCaseTests(RandomDesk random) : IClassFixture<RandomDesk>
{
    private static Ink P(decimal c, decimal m, decimal y, decimal k) => Ink.Percent(c, m, y, k);
    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);
    private static Paint Inked(decimal c, decimal m, decimal y, decimal k) => new InkPaint(P(c, m, y, k));
    private static Hold At(decimal x, decimal y) => new(Part.Front, HoldBox.Face, Anchor.TopLeft, Mm(x), Mm(y));
    private static RectItem Patch(string id, decimal x, decimal y, Paint fill) =>
        new() { Id = id, Hold = At(x, y), Width = new(Mm(20)), Height = new(Mm(20)), Fill = fill };
    private static TextItem Letter(string id, decimal x, decimal y, Paint paint, decimal size = 20) =>
        new()
        {
            Id = id,
            Words = "I",
            Hold = At(x, y),
            Width = new(Mm(20)),
            Height = new(Mm(20)),
            Style = new() { Face = new("work-sans", 600, false), Size = Length.FromPoints(size), Paint = paint }
        };

    private static Job Begun(Paint? ground, params Item[] items)
    {
        var job = Starters.Job(HouseFile.Shipped["tern"] with { FinishingInks = ["foil"] }, "Case");
        job = (job with
        {
            Ticket = job.Ticket with
            {
                Binding = BindingKind.Front,
                Trim = Size.FromMillimetres(100, 140)
            }
        })
            .WithPieces();
        job = new PaintGround(ground).Apply(job);
        return items.Aggregate(job, (j, i) => new AddItem(i).Apply(j));
    }

    /// <summary>Percent of cyan, magenta, yellow, black and foil at a point of the front, in millimetres.</summary>
    private void Has(Job job, decimal x, decimal y, params int[] inks)
    {
        var on = random.On(job);
        var front = on.Composed.Sheets[0].Sheet.Panel(Part.Front)!.Face;
        foreach (var kind in (PressKind[])[PressKind.X4, PressKind.X1a])
        {
            var plates = PlateJudge.Ghostscript(random.Made(on, new(kind) { Marks = false }), 1)[0];
            var (w, h) = (plates["Cyan"].Wide, plates["Cyan"].High);
            var at = ((int)((front.Y + Mm(y))
                .Inches * PlateJudge.PerInch) * w) + (int)((front.X + Mm(x)).Inches * PlateJudge.PerInch);
            at.ShouldBeLessThan(w * h);
            string[] names = ["Cyan", "Magenta", "Yellow", "Black", "foil"];
            names.Take(inks.Length)
                .Select(n => plates.TryGetValue(n, out var p) ? (int)Math.Round(p.Ink[at] / 2.55) : 0)
                .ShouldBe(inks.Select(i => (int?)i).OfType<int>(), $"{kind.Word} at {x}, {y} mm");
        }
    }

    [Fact]
    public void A_see_through_piece_after_black_words_does_not_overprint()
    {
        // The words set the page to overprint; the item after them is mixed all the same.
        var job = Begun(Inked(60, 0, 0, 0), Letter("t", 5, 5, new InkPaint(Ink.Black), 12),
            Patch("w", 5, 40, new InkPaint(Ink.White)) with { Opacity = 85 },
            Patch("y", 40, 40, Inked(0, 0, 80, 0)) with { Opacity = 85 });
        Has(job, 15, 50, 9, 0, 0, 0);
        Has(job, 50, 50, 9, 0, 68, 0);
    }

    [Fact, Wide]
    public void A_see_through_foil_is_on_its_own_plate_and_leaves_the_others()
    {
        var job = Begun(Inked(60, 0, 0, 0), Patch("f", 5, 5, new FinishPaint("foil")) with { Opacity = 50 },
            Patch("m", 40, 5, new FinishPaint("foil")) with { Blend = Blend.Multiply },
            Patch("s", 5, 40, new FinishPaint("foil", 6000)) with { Blend = Blend.Screen });
        Has(job, 15, 15, 60, 0, 0, 0, 50);
        Has(job, 50, 15, 60, 0, 0, 0, 100);
        Has(job, 15, 50, 60, 0, 0, 0, 60);
    }

    [Fact, Wide]
    public void What_lies_over_foil_hides_it_as_far_as_it_hides_anything()
    {
        var foil = Patch("f", 5, 5, new FinishPaint("foil"));
        Has(Begun(Inked(60, 0, 0, 0), foil, Patch("w", 5, 5, Inked(0, 30, 0, 0))), 15, 15, 0, 30, 0, 0, 0);
        Has(Begun(Inked(60, 0, 0, 0), foil, Patch("w", 5, 5, Inked(0, 30, 0, 0)) with { Opacity = 70 }), 15, 15, 18, 21,
            0, 0, 30);
        Has(Begun(Inked(60, 0, 0, 0), foil, Patch("w", 5, 5, Inked(0, 30, 0, 0)) with { Blend = Blend.Multiply }), 15,
            15, 60, 30, 0, 0, 100);
    }

    [Fact, Wide]
    public void What_is_screened_over_foil_takes_it_off_once_and_its_own_foil_is_laid_plainly()
    {
        var foil = Patch("f", 5, 5, new FinishPaint("foil"));
        Has(Begun(null, foil, Patch("s", 5, 5, Inked(0, 30, 0, 0)) with { Opacity = 44, Blend = Blend.Screen }), 15, 15,
            0, 0, 0, 0, 56);
        var framed = Patch("s", 5, 5, Inked(0, 30, 0, 0)) with
        {
            Opacity = 44,
            Blend = Blend.Screen,
            Line = new FinishPaint("foil"),
            LineWidth = Length.FromPoints(20),
        };
        Has(Begun(null, foil, framed), 15, 15, 0, 0, 0, 0, 56);
        Has(Begun(null, foil, framed), 6, 15, 0, 0, 0, 0, 100);
    }

    [Fact]
    public void Letters_in_one_finishing_ink_leave_a_soft_shadow_in_another_that_lies_on_bare_paper()
    {
        var letter = Letter("t", 5, 5, new FinishPaint("varnish", 5000), 60) with
        {
            Words = "I",
            Height = new(Mm(30)),
            Shadow = new(new FinishPaint("foil"), default, default, Length.FromPoints(3), 100),
        };
        var job = Begun(null, letter);
        job = job with
        {
            Ticket = job.Ticket with { House = job.Ticket.House with { FinishingInks = ["foil", "varnish"] } },
        };
        var on = random.On(job);
        var stem = Stem(job);
        var front = on.Composed.Sheets[0].Sheet.Panel(Part.Front)!.Face;
        foreach (var kind in (PressKind[])[PressKind.X4, PressKind.X1a])
        {
            var plates = PlateJudge.Ghostscript(random.Made(on, new(kind) { Marks = false }), 1)[0];
            int pixels(Length l) => (int)(l.Inches * PlateJudge.PerInch);
            var at = (pixels(front.Y + Mm(stem.Y)) * plates["Cyan"].Wide) + pixels(front.X + Mm(stem.X));
            Math.Round(plates["varnish"].Ink[at] / 2.55).ShouldBe(50, kind.Word);
            plates["foil"].Ink[at].ShouldBeGreaterThan((byte)100, kind.Word);
        }
    }

    [Fact]
    public void Black_letters_are_mixed_with_their_own_plate_and_edge_before_they_meet_the_ground()
    {
        // A stem of 20 pt bold is over a millimetre wide, 3 mm in from its box.
        var plate = Letter("t", 5, 5, new InkPaint(Ink.Black)) with
        {
            Backing = new(Inked(0, 0, 80, 0), Length.FromPoints(6), default),
            Opacity = 90,
        };
        var stem = Stem(Begun(Inked(60, 0, 0, 0), plate));
        Has(Begun(Inked(60, 0, 0, 0), plate), stem.X, stem.Y, 6, 0, 72, 90);
        var edge = Letter("t", 5, 5, new InkPaint(Ink.Black)) with
        {
            Edge = new(Inked(0, 0, 80, 0), Length.FromPoints(4)),
            Blend = Blend.Multiply,
        };
        Has(Begun(Inked(60, 0, 0, 0), edge), stem.X, stem.Y, 60, 0, 80, 100);
        // Without parts of their own they overprint the ground where they are laid plainly, and multiply with it where
        // they multiply.
        Has(Begun(Inked(60, 0, 0, 0), Letter("t", 5, 5, new InkPaint(Ink.Black)) with { Opacity = 90 }), stem.X, stem.Y,
            60, 0, 0, 90);
        Has(Begun(Inked(60, 0, 0, 0), Letter("t", 5, 5, new InkPaint(Ink.Black)) with { Blend = Blend.Multiply }),
            stem.X, stem.Y, 60, 0, 0, 100);
    }

    /// <summary>The middle of a letter I, in millimetres of the front.</summary>
    private (decimal X, decimal Y) Stem(Job job)
    {
        var sheet = random.On(job).Composed.Sheets[0];
        var (face, inked) = (sheet.Sheet.Panel(Part.Front)!.Face, sheet.Scene.Item("t")!.Inked);
        return ((decimal)((inked.Left + inked.Right) / 2 / 72 * 25.4) - face.X.Millimetres,
            (decimal)((inked.Top + inked.Bottom) / 2 / 72 * 25.4) - face.Y.Millimetres);
    }

    [Fact]
    public void Paper_lines_and_soft_shadows_in_foil_are_foil()
    {
        var job = Begun(Inked(60, 0, 0, 0),
            Letter("t", 20, 20, Inked(0, 0, 0, 0), 90) with
            {
                Shadow = new(new FinishPaint("foil"), Length.FromPoints(0), Length.FromPoints(0), Length.FromPoints(2),
                    100),
            });
        job = new LayPattern(new ContourLines { Seed = 3, Paints = [new FinishPaint("foil")] }).Apply(job);
        var plates = PlateJudge.Ghostscript(random.Made(random.On(job), new(PressKind.X1a) { Marks = false }), 1)[0];
        // No plate but the foil's has the lines or the shadow: cyan is as it was, or taken off under the white letter.
        plates["foil"].Ink.Count(v => v > 200).ShouldBeGreaterThan(500);
        ((string[])["Magenta", "Yellow", "Black"]).ShouldAllBe(n => plates[n].Ink.All(v => v == 0));
        plates["Cyan"].Ink.Distinct().Count(v => v is not (153 or 0)).ShouldBe(0);
    }

    [Fact]
    public void What_is_screened_over_bare_paper_leaves_paper() =>
        Has(Begun(null, Patch("s", 5, 5, Inked(0, 60, 0, 40)) with { Blend = Blend.Screen }), 15, 15, 0, 0, 0, 0);

    [Fact]
    public void A_bent_text_has_no_plate_and_floods_nothing()
    {
        var plate = new GradientPaint(Run.Straight, 0, [new(Inked(0, 100, 0, 0), 0), new(Inked(0, 0, 100, 0), 10_000)]);
        Has(Begun(Inked(60, 0, 0, 0),
            Letter("t", 5, 5, new InkPaint(Ink.Black)) with
            {
                Words = "Round",
                Bend = 90,
                Backing = new(plate, Length.FromPoints(6), default),
            }),
            80, 100, 60, 0, 0, 0);
    }

    [Fact]
    public void A_rhomb_hides_only_what_is_under_it()
    {
        var rhomb = new PolygonItem
        {
            Id = "r",
            Corners = 4,
            Hold = At(5, 5),
            Width = new(Mm(60)),
            Height = new(Mm(60)),
            Fill = Inked(0, 0, 50, 0),
        };
        Has(Begun(Inked(60, 0, 0, 0), Patch("p", 5, 5, Inked(0, 90, 0, 0)) with { Opacity = 50 }, rhomb), 8, 8, 30, 45,
            0, 0);
    }

    [Fact]
    public void Gradients_in_a_screen_s_colours_are_mixed_in_ink()
    {
        // 26.7 11 0 37.6 is the middle of white to 66 28 0 94, near enough; through the profile that is 143 156 174.
        var run = new GradientPaint(Run.Straight, 0,
            [new(new InkPaint(Ink.White), 0), new(Inked(66, 28, 0, 94), 10_000)]);
        var job = Begun(null,
            new RectItem { Id = "g", Hold = At(0, 20), Width = new(Mm(100)), Height = new(Mm(60)), Fill = run });
        var on = random.On(job);
        var file = random.Made(on, new(PressKind.Pdf) { Rgb = true, Marks = false });
        Tool.Run("pdftoppm", "-r", "72", "-singlefile", "-png", file, random.Folder["gradient"]);
        using var drawn = NetVips.Image.NewFromFile(random.Folder["gradient.png"]);
        using var seen = random.Desk.Drawer.PlatesOf(job.Ticket.House)
            .Paint(on.Composed.Sheets[0].Scene, new(0, 0, drawn.Width, drawn.Height), 72)
            .ToScreen(Colour.PrintingCondition.Of(job.Ticket.House));
        var face = on.Composed.Sheets[0].Sheet.Panel(Part.Front)!.Face;
        for (var mm = 4; mm < 97; mm += 3)
            for (var band = 0; band < 3; band++)
            {
                var (x, y) = ((int)(face.X + Mm(mm)).Points, (int)(face.Y + Mm(50)).Points);
                drawn.Getpoint(x, y)[band].ShouldBe(seen.Getpoint(x, y)[band], 7, $"{mm} mm along");
            }
    }

    /// <summary>
    /// Words with an edge and a shadow, of which any may be in a finishing ink, mixed with a light ground.
    /// </summary>
    [Fact]
    public void Words_with_every_effect_leave_the_ground_about_them_as_it_is()
    {
        var wrong = new List<string>();
        Paint[] paints = [new FinishPaint("foil"), Inked(80, 20, 0, 0), new FinishPaint("varnish", 4000),
            new InkPaint(Ink.White)];
        var n = 0;
        foreach (var blend in (Blend[])[Blend.Multiply, Blend.Screen, Blend.Normal])
            foreach (var letters in paints)
                foreach (var edge in (Paint?[])[null, .. paints])
                    foreach (var shadow in paints)
                        foreach (var soft in (int[])[0, 3])
                        {
                            if (n++ % Sweep.Many(1, 97, 291) != 0) continue;
                            var job = Begun(Inked(0, 7, 0, 0), Letter("t", 5, 5, letters, 60) with
                            {
                                Words = "II",
                                Width = new(Mm(60)),
                                Height = new(Mm(40)),
                                Blend = blend,
                                Opacity = blend == Blend.Normal ? 60 : 100,
                                Edge = edge is null ? null : new(edge, Length.FromPoints(1.5m)),
                                Shadow = new(shadow, Length.FromPoints(3), Length.FromPoints(3),
                                    Length.FromPoints(soft), 80),
                            });
                            var house = job.Ticket.House with { FinishingInks = ["foil", "varnish"] };
                            job = job with { Ticket = job.Ticket with { House = house } };
                            var on = random.On(job);
                            foreach (var kind in (PressKind[])[PressKind.X4, PressKind.X1a])
                                wrong.AddRange(random.Differs(on, new(kind) { Marks = false })
                                    .Select(d => $"{blend}, letters {letters}, edge {edge}, shadow {shadow}, {soft}: {d}"));
                        }
        wrong.ShouldBeEmpty();
    }

    /// <summary>
    /// What has only the four inks to show, and heeds no overprinting of others, takes nothing of them away either.
    /// </summary>
    [Fact, Wide]
    public void Finishing_inks_that_are_mixed_take_no_ink_off_where_there_is_no_plate_for_them()
    {
        var wrong = new List<string>();
        foreach (var (letters, edge, shadow) in Sweep.Few<(Paint, Paint, Paint)>(
            [
                (new FinishPaint("varnish", 4000), new FinishPaint("varnish", 4000), new FinishPaint("varnish", 4000)),
                (new FinishPaint("foil"), Inked(80, 20, 0, 0), new FinishPaint("foil")),
                (new FinishPaint("varnish", 4000), Inked(80, 20, 0, 0), new FinishPaint("foil")),
                (new FinishPaint("foil"), new FinishPaint("white"), Inked(80, 20, 0, 0)),
            ], every: 2, from: 1))
        {
            var job = Begun(Inked(0, 7, 0, 0), Letter("t", 5, 5, letters, 70) with
            {
                Words = "Salt",
                Width = new(Mm(90)),
                Height = new(Mm(50)),
                Blend = Blend.Multiply,
                Edge = new(edge, Length.FromPoints(1.5m)),
                Shadow = new(shadow, Length.FromPoints(3), Length.FromPoints(3), Length.FromPoints(5), 80),
            });
            var house = job.Ticket.House with { FinishingInks = ["foil", "varnish", "white"] };
            var on = random.On(job with { Ticket = job.Ticket with { House = house } });
            foreach (var kind in (PressKind[])[PressKind.X4, PressKind.X1a])
            {
                var least = LeastMagenta(random.Made(on, new(kind) { Marks = false }));
                if (least < 15) wrong.Add($"{letters}, {edge}, {shadow}: {kind.Word} has {least} of 255 magenta on 18");
            }
        }
        wrong.ShouldBeEmpty();
    }

    /// <summary>The least magenta of a page in its four inks alone, of 255.</summary>
    private static int LeastMagenta(string file)
    {
        Tool.Run("gs", "-q", "-dNOPAUSE", "-dBATCH", "-dSAFER", "-sDEVICE=tiff32nc", "-sCompression=none", "-r72",
            $"-sOutputFile={file}.tif", file);
        using var page = NetVips.Image.NewFromFile(file + ".tif");
        using var magenta = page.ExtractBand(1);
        return (int)magenta.Min();
    }

    /// <summary>A barcode without a plate, over a picture: what a reader reads reception does not refuse.</summary>
    [Fact, Wide]
    public void Reception_reads_the_barcodes_that_others_read()
    {
        var (read, wrong) = (0, new List<string>());
        foreach (var vista in Sweep.Spread(VistaShelf.All.Select(v => v.First), Sweep.IsWide ? 9 : 20))
            foreach (var percent in (int[])[100, 120])
            {
                var job = Begun(Inked(0, 7, 0, 0), new VistaItem
                {
                    Id = "vista",
                    Hold = new(Part.Sheet, HoldBox.Edge, Anchor.TopLeft, default, default),
                    Width = Span.Full,
                    Height = Span.Full,
                    Vista = vista,
                }, new BarcodeItem { Id = "code", Hold = At(30, percent == 100 ? 20 : 90), Percent = percent,
                    Plate = false });
                job = new SetIsbn("9780000000002").Apply(job);
                var on = random.On(job);
                var file = random.Made(on, new(PressKind.X1a) { Marks = false });
                Tool.Run("pdftoppm", "-r", "300", "-png", "-singlefile", file, file);
                var others = Tool.Try("zbarimg", "-q", "--raw", "-Sdisable", "-Sean13.enable", file + ".png");
                var house = on.Job.Ticket.House with { Kinds = [PressKind.X1a] };
                var refused = Intake.IntakeDesk.Judge(file,
                    random.Desk.Pressing.Expects(on) with { House = house }).Findings
                    .Any(f => f.Id == "barcode");
                if (!others.Contains("9780000000002", StringComparison.Ordinal)) continue;
                read++;
                if (refused) wrong.Add($"{vista.GetType().Name}, {percent} %");
            }
        wrong.ShouldBeEmpty();
        read.ShouldBeGreaterThan(0);
    }
}
