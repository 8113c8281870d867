using System.Globalization;
using System.Text;
using Lumbeck.Desk;
using Lumbeck.Intake;
using Lumbeck.Intake.Judging;
using Lumbeck.Intake.Opening;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;
using Lumbeck.Press.Plates;

namespace Lumbeck.Bench;

/// <summary>
/// Press files of a cover with three photographs of 24 megapixels full-bleed at 300 pixels an inch, cold; the rules of
/// a job of sixty items; and reception.
/// </summary>
internal static class PressBench
{
    private const string Slug = "three-photographs";

    public static void Run(string folder)
    {
        var files = Enumerable.Range(1, 3).Select(n => ConversionBench.Photograph(folder, n)).ToList();
        Prepare(folder, files);
        var (rgb, cmyk) = (Profiles.PathOf("sRGB"), Profiles.PathOf("coated-fogra39-300"));
        string[] vips = ["-c",
            string.Join(" && ",
                files.Select(f => $"vips icc_transform {f} {folder}/out.v {cmyk} --input-profile {rgb} --intent " +
                    $"relative --black-point-compensation"))];
        ConversionBench.Pair("three 24 MP pictures, PDF/X-4", ConversionBench.Own("x4", folder),
            "vips icc_transform, each", "bash", vips, new Aim(0.7, "×", "processor"),
            memory: new Aim(160, "MB", "memory"));
        var page = Page(folder, files);
        ConversionBench.Pair("  the same file again", ConversionBench.Own("x4", folder),
            "gs, its page from RGB to CMYK", "gs",
            ["-q", "-dNOPAUSE", "-dBATCH", "-dSAFER", "-sDEVICE=pdfwrite", "-sColorConversionStrategy=CMYK",
                "-sProcessColorModel=DeviceCMYK", "-dAutoFilterColorImages=false", "-dColorImageFilter=/DCTEncode",
                $"-sOutputFile={folder}/gs.pdf", page],
            new Aim(0.1, "×", "processor"));
        ConversionBench.Pair("PDF/X-1a with one Multiply", ConversionBench.Own("x1a", folder), "the same as PDF/X-4",
            "dotnet", ConversionBench.Own("x4", folder), new Aim(1.5, "×", "processor"));
        Rules(folder);
        Reception(folder);
    }

    private static void Prepare(string folder, List<string> files)
    {
        var desk = new Desk.AppServices(Path.Combine(folder, "cover"), TimeProvider.System);
        var house = HouseFile.Shipped["tern"] with
        {
            PictureMost = 300,
            Kinds = [PressKind.X4, PressKind.X1a, PressKind.Pdf],
        };
        var job = new SetTrim(Size.FromInches(5.25m, 8)).Apply(Starters.Job(house, "Three photographs"));
        for (var n = 0; n < files.Count; n++)
        {
            using var s = File.OpenRead(files[n]);
            var picture = desk.Drawer.Pictures.TakeIn(s, Path.GetFileName(files[n]), default).GetAwaiter().GetResult();
            job = new AddItem(new PictureItem
            {
                Id = $"p{n}",
                Hold = new(Part.Sheet, HoldBox.Edge, Anchor.Middle, default, default),
                Width = Span.Full,
                Height = Span.Full,
                Picture = picture
            })
                .Apply(job);
        }
        job = new AddItem(new RectItem
        {
            Id = "times",
            Hold = new(Part.Front, HoldBox.Face, Anchor.Middle, default, default),
            Width = new(Length.FromMillimetres(80)),
            Height = new(Length.FromMillimetres(60)),
            Fill = new InkPaint(Ink.Percent(0, 40, 20, 0)),
            Blend = Blend.Multiply
        })
            .Apply(job);
        desk.Bench.Begin("Three photographs", job, "bench", Slug);
    }

    /// <summary>What a process of its own does.</summary>
    public static void Do(string kind, string folder)
    {
        var desk = new Desk.AppServices(Path.Combine(folder, "cover"), TimeProvider.System);
        using var s = File.Create(Path.Combine(folder, kind + ".pdf"));
        desk.Pressing.WritePress(desk.Jobs.Job(Slug), PressPlan.Read(kind), s);
    }

    /// <summary>The same page with its three pictures in RGB, as other programs export it.</summary>
    private static string Page(string folder, List<string> files)
    {
        var path = Path.Combine(folder, "rgb.pdf");
        using var f = File.Create(path);
        var offsets = new List<long>();
        void put(string s) => f.Write(Encoding.Latin1.GetBytes(s));
        void begin() { offsets.Add(f.Position); put($"{offsets.Count} 0 obj\n"); }
        put("%PDF-1.4\n");
        begin(); put("<< /Type /Catalog /Pages 2 0 R >>\nendobj\n");
        begin(); put("<< /Type /Pages /Kids [3 0 R] /Count 1 >>\nendobj\n");
        begin(); put("<< /Type /Page /Parent 2 0 R /MediaBox [0 0 834 594] /Contents 4 0 R /Resources << /XObject << " +
            "/A 5 0 R /B 6 0 R /C 7 0 R >> >> >>\nendobj\n");
        const string content = "q 834 0 0 594 0 0 cm /A Do Q q 834 0 0 594 0 0 cm /B Do Q q 834 0 0 594 0 0 cm /C Do Q";
        begin(); put($"<< /Length {content.Length} >>\nstream\n{content}\nendstream\nendobj\n");
        foreach (var file in files)
        {
            var jpeg = File.ReadAllBytes(file);
            begin(); put($"<< /Type /XObject /Subtype /Image /Width 6000 /Height 4000 /ColorSpace /DeviceRGB " +
                $"/BitsPerComponent 8 /Filter /DCTDecode /Length {jpeg.Length} >>\nstream\n");
            f.Write(jpeg);
            put("\nendstream\nendobj\n");
        }
        var xref = f.Position;
        put($"xref\n0 {offsets.Count + 1}\n0000000000 65535 f \n" + string.Concat(offsets.Select(o =>
            $"{o.ToString("0000000000", CultureInfo.InvariantCulture)} 00000 n \n")) + $"trailer\n<< /Size " +
            $"{offsets.Count + 1} /Root 1 0 R >>\nstartxref\n{xref}\n%%EOF\n");
        return path;
    }

    /// <summary>Sixty items: words, shapes, lines and a barcode over the demo novel's ground.</summary>
    private static void Rules(string folder)
    {
        var desk = new Desk.AppServices(Path.Combine(folder, "rules"), TimeProvider.System, DemoBench.Load);
        var on = desk.Jobs.Job("tidewatcher");
        var job = on.Job;
        for (var n = job.Items.Count(); n < 60; n++)
        {
            var hold = new Hold(n % 2 == 0 ? Part.Front : Part.Back, HoldBox.Safe, Anchor.TopLeft,
                Length.FromMillimetres(5 + (n % 7 * 12)), Length.FromMillimetres(5 + (n % 11 * 14)));
            job = new AddItem(n % 3 == 0
                ? new RectItem
                {
                    Id = $"r{n}",
                    Hold = hold,
                    Width = new(Length.FromMillimetres(9)),
                    Height = new(Length.FromMillimetres(7)),
                    Fill = new InkPaint(Ink.Percent(20, 30, 40, 0)),
                }
                : new TextItem
                {
                    Id = $"t{n}",
                    Hold = hold,
                    Words = "A few words of copy",
                    Width = new(Length.FromMillimetres(30)),
                    Height = new(Length.FromMillimetres(6)),
                })
                .Apply(job);
        }
        var composed = desk.Jobs.Worked(0, job);
        var looks = composed.Sheets.Select(s => new CheckContext(job, s.On, s.Scene)).ToList();
        Benches.Time("rules of geometry and scene, 60 items", 200, 1, () => Core.Checks.RuleBook.Rules.Check(looks),
            new Aim(10, "ms"));
        Benches.Time("  peer: composing those sheets", 100, 1, () => desk.Jobs.Worked(0, job));
        var condition = PrintingCondition.Of(job.Ticket.House);
        var painter = desk.Drawer.PlatesOf(job.Ticket.House);
        Benches.Time("rules of plates, 60 items", 15, 1,
            () => Core.Checks.RuleBook.Rules.Check(looks[0],
                painter.Look(looks[0].Scene, looks[0].Take, condition, PlateSampling.Beside)),
            new Aim(500, "ms"));
        Benches.Time("  the same at press resolution", 8, 1,
            () => Core.Checks.RuleBook.Rules.Check(looks[0],
                painter.Look(looks[0].Scene, looks[0].Take, condition, PlateSampling.Exact)));
        Benches.Time("  peer: painting them alone", 15, 1,
            () => painter.Paint(looks[0].Scene, new(0, 0, looks[0].Scene.Width, looks[0].Scene.Height),
                PlateSampling.Beside));
    }

    /// <summary>
    /// The largest demo file to its reception, and the file with the three photographs, beside a structural check by
    /// another program.
    /// </summary>
    private static void Reception(string folder)
    {
        var desk = new Desk.AppServices(Path.Combine(folder, "rules"), TimeProvider.System, DemoBench.Load);
        var on = desk.Jobs.Job("calder");
        var file = Path.Combine(folder, "calder.pdf");
        using (var s = File.Create(file)) desk.Pressing.WritePress(on, new(PressKind.X4), s);
        var expected = desk.Pressing.Expects(on);
        Benches.Time("reception of a jacket and its case", 5, 1,
            () => IntakeDesk.Judge(file, expected).Accepted
                ? 1
                : throw new InvalidOperationException("It was rejected."),
            new Aim(1, "s"));
        Benches.Time("  peer: qpdf --check", 5, 1, () =>
        {
            using var p = System.Diagnostics.Process.Start(
                new System.Diagnostics.ProcessStartInfo("qpdf", ["--check", file]) { RedirectStandardOutput = true })!;
            p.StandardOutput.ReadToEnd();
            p.WaitForExit();
            return p.ExitCode;
        });
        var cover = new Desk.AppServices(Path.Combine(folder, "cover"), TimeProvider.System);
        var three = cover.Pressing.Expects(cover.Jobs.Job(Slug));
        Benches.Time("  of the three photographs", 3, 1,
            () => IntakeDesk.Judge(Path.Combine(folder, "x4.pdf"), three).Findings.Length);
    }
}
