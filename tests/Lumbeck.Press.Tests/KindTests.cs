using Lumbeck.Desk;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;

namespace Lumbeck.Press.Tests;

/// <summary>
/// Every demo cover at every house that binds it, in every kind that house takes, judged by other people's tools and by
/// reception.
/// </summary>
public sealed class KindTests(Pressed pressed) : IClassFixture<Pressed>
{
    public static TheoryData<string, string, PressKind> All()
    {
        var all = new TheoryData<string, string, PressKind>();
        (string Slug, BindingKind Binding)[] jobs = [("tidewatcher", BindingKind.Paperback),
            ("orrin", BindingKind.Case), ("hive", BindingKind.Paperback), ("calder", BindingKind.Jacket),
            ("lighthouse", BindingKind.Paperback)];
        var each = jobs.SelectMany(j => HouseFile.Shipped.Values.Where(h => h.Binds(j.Binding)).SelectMany(h =>
            h.Kinds.Select(k => (j.Slug, h.Id, Kind: k))));
        foreach (var (slug, house, kind) in Sweep.Spread(each, every: Sweep.IsWide ? 2 : 4)) all.Add(slug, house, kind);
        return all;
    }

    private (OnBench On, string File) Made(string slug, string house, PressPlan plan)
    {
        var on = pressed.Desk.Jobs.Job(slug);
        on = on with { Composed = pressed.Desk.Pressing.ForHouse(on, HouseFile.Shipped[house]) };
        var file = pressed.Folder[$"{slug}-{house}-{plan.Write().Replace('=', '-')}{plan.Ending}"];
        using (var s = File.Create(file)) pressed.Desk.Pressing.WritePress(on, plan, s);
        return (on, file);
    }

    [Theory]
    [MemberData(nameof(All))]
    public void A_printer_s_file_is_what_its_standard_and_house_want(string slug, string house, PressKind kind)
    {
        var (on, file) = Made(slug, house, new(kind));
        Tool.Run("qpdf", "--check", file).ShouldContain("No syntax or stream encoding errors found");
        foreach (var line in Tool.Run("pdffonts", file).Split('\n').Skip(2).Where(l => l.Length > 0))
            line.ShouldContain(" yes yes yes ");
        var rules = HouseFile.Shipped[house];
        var info = Tool.Run("pdfinfo", "-box", file);
        info.ShouldContain($"PDF version:     {(kind == PressKind.X1a ? "1.4" : "1.6")}");
        var pictures = Tool.Run("pdfimages", "-list", file).Split('\n').Skip(2).Where(l => l.Length > 0).ToList();
        pictures.ShouldAllBe(l =>
            l.Contains(" cmyk ", StringComparison.Ordinal) || l.Contains(" gray ", StringComparison.Ordinal));
        if (kind == PressKind.X1a) pictures.ShouldAllBe(l => !l.Contains(" smask ", StringComparison.Ordinal));
        // Marks grow the page, and only where the house asks for them.
        double[] box(string name) =>
            [.. info.Split('\n').First(l => l.StartsWith(name, StringComparison.Ordinal))[(name.Length + 1)..]
                .Split(' ', StringSplitOptions.RemoveEmptyEntries)
                .Select(f => double.Parse(f, CultureInfo.InvariantCulture))];
        var (media, bleed) = (box("MediaBox:"), box("BleedBox:"));
        (media[2] > bleed[2] - bleed[0] + 1).ShouldBe(rules.Marks is Marks.Crop or Marks.CropAndBleed);
        // The barcode is read from the page's pixels.
        var picture = pressed.Folder[Path.GetFileNameWithoutExtension(file)];
        var (code, margin) = (on.Composed.Sheets[0].Scene.Item("barcode")!.Frame, bleed[0]);
        string px(double points) => ((int)(points / 72 * 300)).ToString(CultureInfo.InvariantCulture);
        Tool.Run("pdftoppm", "-r", "300", "-f", "1", "-l", "1", "-gray", "-singlefile", "-x",
            px(margin + code.Left - 20), "-y", px(margin + code.Top - 20), "-W", px(code.Right - code.Left + 40), "-H",
            px(code.Bottom - code.Top + 40), "-png", file, picture);
        Tool.Run("zbarimg", "-q", "--raw", picture + ".png").Trim().ShouldBe(on.Job.Ticket.Isbn!.Value.Digits);
        // And the house's reception takes it.
        var verdict = Intake.IntakeDesk.Judge(file, pressed.Desk.Pressing.Expects(on));
        verdict.Findings.ShouldBeEmpty();
        verdict.NotExamined.ShouldBeEmpty();
        verdict.Kind.ShouldBe(kind.Title);
    }

    /// <summary>A printer of marks on wish takes a file with them as well as one without; one that wants none does not.</summary>
    [Fact]
    public void Marks_on_wish_are_taken_and_may_be_left_out()
    {
        foreach (var marks in (bool?[])[null, true])
        {
            var (on, file) = Made("hive", "wren", new(PressKind.X1a) { Marks = marks });
            Intake.IntakeDesk.Judge(file, pressed.Desk.Pressing.Expects(on)).Findings.ShouldBeEmpty($"{marks}");
        }
        var (tern, wrong) = Made("tidewatcher", "tern", new(PressKind.X4) { Marks = true });
        Intake.IntakeDesk.Judge(wrong, pressed.Desk.Pressing.Expects(tern)).Findings.ShouldContain(f => f.Id == "marks");
    }

    [Fact]
    public void The_same_plan_gives_the_same_bytes()
    {
        var first = File.ReadAllBytes(Made("tidewatcher", "plover", new(PressKind.X1a)).File);
        File.ReadAllBytes(Made("tidewatcher", "plover", new(PressKind.X1a)).File).AsSpan().SequenceEqual(first)
            .ShouldBeTrue();
    }

    [Fact]
    public void What_hangs_over_the_sheet_s_edge_ends_at_the_bleed_where_there_are_marks()
    {
        var on = pressed.Desk.Jobs.Job("hive");
        var job = new AddItem(new RectItem
        {
            Id = "over",
            Hold = new(Part.Back, HoldBox.Face, Anchor.TopLeft, Length.FromMillimetres(-30),
                Length.FromMillimetres(-30)),
            Width = new(Length.FromMillimetres(60)),
            Height = new(Length.FromMillimetres(60)),
            Fill = new InkPaint(Ink.Black)
        })
            .Apply(on.Job);
        var file = pressed.Folder["over.pdf"];
        using (var s = File.Create(file))
            pressed.Desk.Pressing.WritePress(on with { Composed = pressed.Desk.Jobs.Worked(on.Revision, job) },
                new(PressKind.X1a), s);
        Tool.Run("pdftoppm", "-r", "72", "-gray", "-singlefile", "-png", file, pressed.Folder["over"]);
        using var page = NetVips.Image.NewFromFile(pressed.Folder["over.png"]);
        // In the corner of the margin, between the marks, there is paper; just within the bleed there is ink.
        page.Getpoint(28, 28)[0].ShouldBeGreaterThan(240);
        page.Getpoint(38, 38)[0].ShouldBeLessThan(60);
    }

    [Fact]
    public void Marks_lie_outside_the_bleed_on_every_plate()
    {
        var (on, file) = Made("hive", "plover", new(PressKind.X1a));
        using var folder = new Folder();
        Tool.Run("gs", "-q", "-dNOPAUSE", "-dBATCH", "-dSAFER", "-sDEVICE=tiffsep", "-sCompression=none", "-r288",
            $"-sOutputFile={folder["p%d.tif"]}", file);
        var trim = on.Composed.Sheets[0].Sheet.Trim;
        foreach (var plate in (string[])["Cyan", "Magenta", "Yellow", "Black"])
        {
            using var image = NetVips.Image.NewFromFile(Directory.GetFiles(folder.Path, $"*({plate})*").Single());
            // A crop mark above the cut's left edge: a pixel of four an inch's seventy-second, over a few columns for
            // where it falls.
            var (x, y) = ((int)((34 + trim.X.Points) * 4), (int)(20 * 4));
            Enumerable.Range(x - 3, 7).Min(at => image.Getpoint(at, y)[0]).ShouldBeLessThan(160);
        }
    }

    [Fact]
    public void Screens_proofs_and_mock_ups_are_what_they_say()
    {
        var screen = Made("tidewatcher", "tern", new(PressKind.Screen) { Pixels = 1000 }).File;
        using (var jpeg = NetVips.Image.NewFromFile(screen))
            (jpeg.Width, jpeg.Height, jpeg.Bands).ShouldBe((657, 1000, 3));
        var lossless = Made("tidewatcher", "tern", new(PressKind.Screen) { Pixels = 1000, Png = true }).File;
        using (var png = NetVips.Image.NewFromFile(lossless))
        {
            ((string)png.Get("vips-loader"), png.Width, png.Height, png.Bands).ShouldBe(("pngload", 657, 1000, 3));
        }
        var proof = Made("orrin", "aldwater", new(PressKind.Proof) { Zones = true }).File;
        new FileInfo(proof).Length.ShouldBeLessThan(900_000);
        Tool.Run("qpdf", "--check", proof).ShouldContain("No syntax or stream encoding errors found");
        Tool.Run("pdfimages", "-list", proof).Split('\n').Skip(2).Where(l => l.Length > 0)
            .ShouldAllBe(l => l.Contains(" rgb ", StringComparison.Ordinal));
        Tool.Run("pdftotext", proof, "-").ShouldContain("Proof, not for printing");
        Tool.Run("pdftotext", proof, "-").ShouldContain("Orrin Valley");
        var mockup = Made("tidewatcher", "tern", new(PressKind.Mockup)).File;
        Tool.Run("qpdf", "--check", mockup).ShouldContain("No syntax or stream encoding errors found");
        Tool.Run("pdfinfo", mockup).ShouldContain("(A4)");
        Tool.Run("pdfinfo", Made("tidewatcher", "tern", new(PressKind.Mockup) { Letter = true }).File)
            .ShouldContain("612 x 792 pts (letter)");
        // The ruler's 50 mm are 50 mm: its first and last strokes on the page's pixels at 254 an inch lie 500 apart.
        var ruler = pressed.Folder["ruler"];
        Tool.Run("pdftoppm", "-r", "254", "-f", "1", "-l", "1", "-gray", "-singlefile", "-png", mockup, ruler);
        using var page = NetVips.Image.NewFromFile(ruler + ".png");
        var row = page.Height - (int)((8 + 3 + 2.4) * 10);
        var dark = Enumerable.Range(60, 560).Where(x => page.Getpoint(x, row)[0] < 140).ToList();
        (dark[^1] - dark[0]).ShouldBeInRange(497, 503);
    }

    [Fact]
    public void Every_panel_is_a_page_of_its_own_with_its_bleed()
    {
        var (on, file) = Made("tidewatcher", "tern", new(PressKind.X4) { EachPanel = true });
        Tool.Run("qpdf", "--check", file).ShouldContain("No syntax or stream encoding errors found");
        var sheet = on.Composed.Sheets[0].Sheet;
        Part[] parts = [Part.Back, Part.Spine, Part.Front];
        var info = Tool.Run("pdfinfo", "-box", "-f", "1", "-l", "9", file);
        info.ShouldContain($"Pages:           {parts.Length}");
        foreach (var (n, part) in parts.Index())
        {
            var face = sheet.Panel(part)!.Face;
            var trim = info.Split('\n').Single(l => l.StartsWith($"Page    {n + 1} TrimBox", StringComparison.Ordinal))
                .Split(' ', StringSplitOptions.RemoveEmptyEntries)[3..].Select(f => double.Parse(f, CultureInfo.InvariantCulture)).ToList();
            (trim[2] - trim[0]).ShouldBe(face.Width.Points, 0.02);
            (trim[3] - trim[1]).ShouldBe(face.Height.Points, 0.02);
            trim[0].ShouldBeGreaterThan(8, "art beside it is its bleed");
        }
        Tool.Run("pdftotext", "-f", "3", "-l", "3", file, "-").ShouldContain("Tidewatcher");
    }

    [Fact]
    public void A_panel_alone_has_its_own_boxes_and_only_its_own_words()
    {
        var file = Made("tidewatcher", "tern", new(PressKind.X4) { Panel = Part.Spine }).File;
        using var s = File.OpenRead(file);
        var page = Intake.Opening.Reading.Of(s).Pages.Single();
        var spine = pressed.Desk.Jobs.Job("tidewatcher").Composed.Sheets[0].Sheet.Panel(Part.Spine)!.Face;
        Length.Abs(page.Trim!.Value.Width - spine.Width).ShouldBeLessThan(Length.FromMillimetres(0.01m));
        page.Words.ShouldContain("KALLWEIT");
        page.Words.ShouldNotContain("harbour");
    }

    [Fact]
    public void A_plain_PDF_in_a_screen_s_colours_has_no_ink_and_looks_as_the_press_would()
    {
        var (on, file) = Made("lighthouse", "tern", new(PressKind.Pdf) { Rgb = true });
        var content = Tool.Run("qpdf", "--qdf", "--object-streams=disable", "--normalize-content=n", file, "-");
        content.ShouldNotContain("DeviceCMYK");
        var picture = pressed.Folder["rgb"];
        Tool.Run("pdftoppm", "-r", "72", "-singlefile", "-png", file, picture);
        using var drawn = NetVips.Image.NewFromFile(picture + ".png");
        var plates = pressed.Desk.Drawer.PlatesOf(on.Job.Ticket.House)
            .Paint(on.Composed.Sheets[0].Scene, new(20, 540, 60, 560), 72);
        using var seen = plates.ToScreen(Colour.PrintingCondition.Of(on.Job.Ticket.House));
        // The rock is one flat ink.
        for (var band = 0; band < 3; band++) drawn.Getpoint(40, 550)[band].ShouldBe(seen.Getpoint(20, 10)[band], 4);
    }

    [Theory]
    [InlineData("x4+panel=all", "PDF/X-4, each panel a page")]
    [InlineData("x4+outlines+panel=front", "PDF/X-4, front alone, type as outlines")]
    [InlineData("screen+pixels=1600", "front for screens, 1600 pixels")]
    [InlineData("screen+pixels=1600+png", "front for screens, 1600 pixels, PNG")]
    [InlineData("mockup+letter", "paper mock-up, on Letter")]
    public void A_plan_is_read_as_it_was_written(string words, string says)
    {
        PressPlan.Read(words).Say().ShouldBe(says);
        PressPlan.Read(PressPlan.Read(words).Write()).ShouldBe(PressPlan.Read(words));
        Should.Throw<Refusal>(() => PressPlan.Read(words + "+upside-down"));
    }
}
