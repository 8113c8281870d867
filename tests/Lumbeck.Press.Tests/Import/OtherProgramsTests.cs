using Lumbeck.Intake;
using Lumbeck.Press.Import;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Kinds;
using SkiaSharp;

namespace Lumbeck.Press.Tests.Import;

/// <summary>
/// Files that other programs print: a browser, cairo, Skia, Ghostscript, and our own in a screen's colours. Mended,
/// no letter of them is missing, they are as they were to the eye, and reception takes them.
/// </summary>
public sealed class OtherProgramsTests(ITestOutputHelper output)
{
    private static readonly FaceShelf Shelf = new();

    private const string Page = """
        <!doctype html><meta charset="utf-8"><style>@page{size:120mm 180mm;margin:14mm}body{font:10pt serif;margin:0}
        h1{color:#803020;font-size:20pt}td{border:1px solid #888;padding:2mm}
        .g{height:18mm;background:linear-gradient(90deg,#f04020,#20a0f0)}
        .t{transform:rotate(8deg);width:50mm;background:#e8e0c0}</style>
        <h1>The Salt Road</h1><p>In the dry year the salt carriers stopped coming: office, affine, fjord. <b>Bold</b>,
            <i>sloping</i>.
        <p>Ελληνικά, Кириллица, العربية, עברית, 日本語.<div class="g"></div>
        <table><tr><td>one<td>two<tr><td style="color:#06c">three<td>four</table><p class="t">Turned words.</p>
        <svg width="220" height="90">
        <path d="M5 45 Q55 0 105 45 T205 45" stroke="#c00" fill="none" stroke-width="4" stroke-dasharray="9 5"/>
        <circle cx="60" cy="50" r="26" fill="#0a6"/></svg>
        <p style="break-before:page">A second page, <span style="color:#777">gray words</span> and <u>a line</u>.</p>
        """;

    /// <summary>A page in each of many scripts, in whatever faces are here.</summary>
    private static readonly string Scripts = Style + string.Concat(((string[])
    [
        "Ἐν ἀρχῇ ἦν ὁ λόγος, καὶ ὁ λόγος ἦν πρὸς τὸν θεόν.",
        "Все счастливые семьи похожи друг на друга.",
        "كان يا ما كان في قديم الزمان",
        "בראשית ברא אלהים את השמים ואת הארץ",
        "吾輩は猫である。名前はまだ無い。",
        "道可道，非常道。名可名，非常名。",
        "나랏말싸미 듕귁에 달아",
        "सब भूमि गोपाल की",
        "ความรักทำให้โลกหมุน",
        "Ĉiuj homoj estas denaske liberaj; žluťoučký kůň, ȷıłø ðæþ.",
        "<i>fi fl ffi Å Ø</i> <b>½ ¼ ¾ № ‰</b> <sup>2</sup>H<sub>2</sub>O",
        "𝔄𝔅ℭ ∀x∈ℝ: ⌈x⌉ = −⌊−x⌋ ⟹ ∑∞",
    ]).Select(t => $"<section><h1>{t}</h1><p style='column-count:2'>" +
            string.Concat(Enumerable.Repeat(t + " ", 12)) + "</section>"));

    /// <summary>A page for each of what a browser draws in other ways.</summary>
    private static readonly string Drawn = Style + string.Concat(((string[])[
        "<div style='height:60mm;background:conic-gradient(#f00,#ff0,#0a0,#00f,#f00)'></div>",
        "<div style='height:60mm;background:radial-gradient(circle at 30% 40%,#fff,#b04030 60%,#203050)'></div>",
        "<div style='height:60mm;background:repeating-linear-gradient(45deg,#205080 0 4mm,#e0e8f0 4mm 8mm)'></div>",
        "<div style='width:60mm;height:60mm;border-radius:50%;border:6mm double #a04020'></div>",
        "<svg width='300' height='300'><clipPath id='c'><circle cx='150' cy='150' r='120'/></clipPath><g " +
            "clip-path='url(#c)'>" +
            "<rect width='300' height='300' fill='#e8d9a0'/><path d='M0 300L150 20 300 300z' fill='#205070'/></g></svg>",
        "<svg width='300' height='300'><pattern id='p' width='24' height='24' patternUnits='userSpaceOnUse'><circle " +
            "cx='12' cy='12' " +
            "r='8' fill='#a02040'/></pattern><rect width='300' height='300' fill='url(#p)'/></svg>",
        "<svg width='300' height='200'><path d='M10 100 C80 0 220 200 290 100' stroke='#07a' stroke-width='14' fill='none' " +
            "stroke-linecap='round' stroke-dasharray='30 20'/></svg>",
        "<p style='transform:skewX(-12deg) scale(1.3);width:70mm;color:#630'>Words that lean and are larger than " +
            "they were set.",
        "<p style='writing-mode:vertical-rl;height:90mm'>Words that run down, 縦書きの文章, and a second line of them beside.",
        "<table border=1 cellpadding=8><tr><td bgcolor=#fed>a<td>b<tr><td>c<td " +
            "bgcolor=#def>d</table><hr><ol><li>one<li>two</ol>",
        ]).Select(d => $"<section>{d}</section>"));

    private const string Style = "<!doctype html><meta charset='utf-8'><style>@page{size:120mm " +
        "180mm;margin:12mm}section{break-after:page}" +
        "h1{font-size:16pt}body{margin:0;font:10pt serif}</style>";

    private static string Browser(Folder folder, string page = Page)
    {
        File.WriteAllText(folder["page.html"], page);
        Tool.Run("/usr/bin/chromium", "--headless=new", "--no-sandbox", "--disable-gpu", "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update", "--disable-sync", "--disable-dev-shm-usage", "--no-pdf-header-footer",
            $"--user-data-dir={folder["profile"]}", $"--print-to-pdf={folder["browser.pdf"]}",
                new Uri(folder["page.html"]).AbsoluteUri);
        return folder["browser.pdf"];
    }

    private static string Cairo(Folder folder, string page = Page)
    {
        Tool.Run("pdftocairo", "-pdf", Browser(folder, page), folder["cairo.pdf"]);
        return folder["cairo.pdf"];
    }

    private static string Ghostscript(Folder folder)
    {
        File.WriteAllText(folder["page.ps"], """
            %!PS
            << /PageSize [340.157 510.236] >> setpagedevice
            /Times-Roman findfont 24 scalefont setfont 0.1 0.2 0.5 setrgbcolor 40 440 moveto (The Salt Road) show
            0 setgray /Helvetica findfont 11 scalefont setfont 40 400 moveto (In the dry year the salt carriers stopped coming.) show
            0.9 0.4 0.1 setrgbcolor 40 220 120 120 rectfill 0.2 0.6 0.3 setrgbcolor 6 setlinewidth 190 230 moveto 300 330 lineto stroke
            << /ShadingType 3 /ColorSpace /DeviceRGB /Coords [150 120 5 150 120 70] /Extend [true true] /Function
            << /FunctionType 2 /Domain [0 1] /C0 [1 1 0.7] /C1 [0.5 0.1 0.3] /N 1 >> >> shfill
            showpage
            """);
        Tool.Run("gs", "-q", "-dNOPAUSE", "-dBATCH", "-dSAFER", "-sDEVICE=pdfwrite",
            $"-sOutputFile={folder["gs.pdf"]}", folder["page.ps"]);
        return folder["gs.pdf"];
    }

    private static string Skia(Folder folder)
    {
        using var document = SKDocument.CreatePdf(folder["skia.pdf"]);
        var canvas = document.BeginPage(340.157f, 510.236f);
        using var face = SKTypeface.FromFile(Directory.EnumerateFiles(Path.Combine(AppContext.BaseDirectory, "faces",
            "eb-garamond"), "*.ttf").First());
        using var font = new SKFont(face, 24);
        using var ink = new SKPaint { Color = new(20, 40, 120), IsAntialias = true };
        canvas.DrawText("The Salt Road", 40, 80, SKTextAlign.Left, font, ink);
        using var sweep = new SKPaint
        {
            Shader = SKShader.CreateLinearGradient(new(40, 120), new(300, 120), [new(240, 80, 30), new(30, 90, 200)],
                SKShaderTileMode.Clamp),
        };
        canvas.DrawRect(40, 120, 260, 90, sweep);
        canvas.Save();
        canvas.ClipRoundRect(new(new(60, 240, 280, 380), 24));
        using var fill = new SKPaint { Color = new(40, 140, 80) };
        canvas.DrawRect(0, 0, 340, 510, fill);
        canvas.Restore();
        document.EndPage();
        document.Close();
        return folder["skia.pdf"];
    }

    /// <summary>Pages of our own, ruled and dotted, in a screen's colours.</summary>
    private static string Own(Folder folder)
    {
        var grid = new PageGrid(Size.FromMillimetres(120, 180), Reading.LeftToRight, Length.FromMillimetres(9),
            Length.FromMillimetres(8),
            Length.FromMillimetres(10), Length.FromMillimetres(12));
        using var s = File.Create(folder["own.pdf"]);
        PressFile.Write(s, [.. Core.Art.PageDesigns.DesignShelf.All.Take(12).Select((d, n) =>
            PageScene.Of(d.First, grid.Page(n + 1), new PageArt([])))], new(PressKind.Pdf) { Rgb = true,
                Marks = false },
            HouseFile.Shipped["tern"], new("Own", "", "", DateTimeOffset.UnixEpoch, "own", 1), Shelf);
        return folder["own.pdf"];
    }

    /// <summary>A few pages of each program; with <c>--all</c> some sixty more, in many scripts and ways of
    /// drawing.</summary>
    public static TheoryData<string> Programs() => Sweep.IsLong
        ? ["browser", "cairo", "ghostscript", "skia", "scripts", "scripts by cairo", "drawn", "drawn by cairo", "own"]
        : ["browser", "cairo", "ghostscript", "skia"];

    [Theory]
    [MemberData(nameof(Programs))]
    public void What_another_program_printed_is_mended_and_never_worse(string program)
    {
        using var folder = new Folder();
        var came = program switch
        {
            "browser" => Browser(folder),
            "cairo" => Cairo(folder),
            "ghostscript" => Ghostscript(folder),
            "scripts" => Browser(folder, Scripts),
            "scripts by cairo" => Cairo(folder, Scripts),
            "drawn" => Browser(folder, Drawn),
            "drawn by cairo" => Cairo(folder, Drawn),
            "own" => Own(folder),
            _ => Skia(folder),
        };
        var house = HouseFile.Shipped["tern"].ForPages();
        var trim = Size.FromMillimetres(120, 180);
        MendReport report;
        using (var s = File.Create(folder["left.pdf"]))
            report = Mending.Mend(came, s, new(house, trim, new(default, default, trim.Width,
                trim.Height))
            { Inside = true }, Shelf,
                new("A book", "A. Writer", "inside", DateTimeOffset.UnixEpoch, "job", 1));
        report.Lines.ShouldNotContain(l => l.Id == "page.pixels");
        Tool.Run("qpdf", "--check", folder["left.pdf"]);
        string words(string file) => string.Join(' ', Tool.Run("pdftotext", file, "-").Split((char[]?)null,
            StringSplitOptions.RemoveEmptyEntries));
        words(folder["left.pdf"]).ShouldBe(words(came));
        for (var page = 1; page <= report.Pages; page++)
        {
            var apart = NeverWorse.Of(folder, came, folder["left.pdf"], house, page);
            output.WriteLine($"{program}, page {page}: mean {apart.Mean:0.00}, largest {apart.Largest:0.0} mm²");
            apart.Mean.ShouldBeLessThan(1.5);
            apart.Largest.ShouldBeLessThan(1);
        }
        IntakeDesk.Judge(folder["left.pdf"], new(house, [], null) { Pages = new(report.Printed, trim, default, false,
            null) })
            // A gradient that a browser prints as a coarse picture stays one.
            .Findings.Where(f => f.Severity == Severity.Stop && !(f.Id == "picture.resolution"
                && program.StartsWith("drawn",
                StringComparison.Ordinal))).ShouldBeEmpty();
    }
}
