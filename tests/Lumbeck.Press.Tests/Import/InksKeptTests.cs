using System.Text.RegularExpressions;
using Lumbeck.Press.Import;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Tests.ByChance;

namespace Lumbeck.Press.Tests.Import;

/// <summary>What is in inks already keeps its numbers, whatever becomes of the page: on Ghostscript's plates.</summary>
public sealed class InksKeptTests
{
    private static readonly FaceShelf Shelf = new();

    private static MendReport Mend(Folder folder, byte[] came, string house, bool black = false)
    {
        File.WriteAllBytes(folder["came.pdf"], came);
        using var s = File.Create(folder["left.pdf"]);
        var size = new Size(Length.FromDrawing(300), Length.FromDrawing(400));
        return Mending.Mend(folder["came.pdf"], s, new(HouseFile.Shipped[house].ForPages(), size, new(default,
            default, size.Width, size.Height))
        { Inside = true, Black = black }, Shelf, new("A", "B", "inside", DateTimeOffset.UnixEpoch, "j", 1));
    }

    /// <summary>
    /// Percent of cyan, magenta, yellow and black at a point of the page that left, in points from its foot.
    /// </summary>
    private static int[] At(Folder folder, double x, double y)
    {
        var plates = PlateJudge.Ghostscript(folder["left.pdf"], 1)[0];
        var k = PlateJudge.PerInch / 72.0;
        return [.. ((string[])["Cyan", "Magenta", "Yellow", "Black"]).Select(n =>
            (int)Math.Round(plates[n].Ink[((int)((400 - y) * k) * plates[n].Wide) + (int)(x * k)] / 2.55))];
    }

    private const string SeenThrough = "/ExtGState << /Half << /ca 0.5 >> >>";

    [Fact]
    public void A_page_of_inks_with_something_that_lets_through_keeps_them_where_nothing_may_let_through()
    {
        using var folder = new Folder();
        var report = Mend(folder, new HandMade().Page("0 0 0 1 k 20 300 80 80 re f 0.6 0 0.2 0 k 120 300 80 80 re f " +
            "/Half gs 0 1 0 0 k 100 20 100 100 re f", SeenThrough), "plover");
        report.Lines.ShouldContain(l => l.Id == "page.pixels");
        At(folder, 60, 340).ShouldBe([0, 0, 0, 100]);
        At(folder, 160, 340).ShouldBe([60, 0, 20, 0]);
        At(folder, 150, 70).Zip([0, 50, 0, 0]).ShouldAllBe(p => Math.Abs(p.First - p.Second) <= 1);
        Tool.Run("qpdf", "--check", folder["left.pdf"]);
    }

    [Fact]
    public void Black_alone_stays_alone_and_gray_is_its_share()
    {
        using var folder = new Folder();
        Mend(folder, new HandMade().Page("0 g 20 300 80 80 re f 0.5 g 120 300 80 80 re f /Half gs 0 g 100 20 100 100 re f",
            SeenThrough), "plover", black: true);
        At(folder, 60, 340).ShouldBe([0, 0, 0, 100]);
        At(folder, 160, 340)[..3].ShouldBe([0, 0, 0]);
        At(folder, 160, 340)[3].ShouldBeInRange(49, 51);
        At(folder, 150, 70)[3].ShouldBeInRange(49, 51);
    }

    private const string Run = "<< /ShadingType 2 /ColorSpace [/Separation /None /DeviceCMYK << /FunctionType 2 " +
        "/Domain [0 1] /N 1 /C0 [0 0 0 0] /C1 [0 1 1 0] >>] /Coords [0 0 300 400] /Extend [true true] " +
        "/Function << /FunctionType 2 /Domain [0 1] /N 1 /C0 [0.3] /C1 [1] >> >>";

    [Theory, InlineData("plover"), InlineData("aldwater")]
    public void What_paints_on_no_plate_stays_on_none(string house)
    {
        using var folder = new Folder();
        const string none = "/ColorSpace << /No [/Separation /None /DeviceCMYK << /FunctionType 2 /Domain [0 1] /N 1 /C0 [0 0 0 0] " +
            "/C1 [0.2 0.8 0.4 0.1] >>] >> /XObject << /Pic 4 0 R >> /Shading << /Run " + Run + " >> " +
            "/Pattern << /Lay << /PatternType 2 /Shading " + Run + " >> >>";
        Mend(folder, new HandMade().With("/Type /XObject /Subtype /Image /Width 1 /Height 1 /BitsPerComponent 8 /ColorSpace " +
            "[/Separation /None /DeviceCMYK << /FunctionType 2 /Domain [0 1] /N 1 /C0 [0 0 0 0] /C1 [1 1 1 1] >>]",
                [(byte)255])
            .Page("0.3 0.1 0 0 k 0 0 300 400 re f /No cs 1 scn 20 300 80 80 re f q 80 0 0 80 120 300 cm /Pic Do Q " +
                "q 20 100 80 80 re W n /Run sh Q /Pattern cs /Lay scn 120 100 80 80 re f", none), house);
        foreach (var (x, y) in ((int, int)[])[(60, 340), (160, 340), (60, 140), (160, 140)])
            At(folder, x, y).ShouldBe([30, 10, 0, 0], $"at {x}, {y}");
    }

    [Fact]
    public void Sixteen_bits_leave_as_eight()
    {
        using var folder = new Folder();
        Mend(folder, new HandMade().With("/Type /XObject /Subtype /Image /Width 2 /Height 1 /BitsPerComponent 16 /ColorSpace " +
            "/DeviceGray", [0x80, 0x00, 0xff, 0xff]).Page("q 200 0 0 100 50 50 cm /P Do Q",
                "/XObject << /P 4 0 R >>"), "plover");
        Tool.Run("pdfimages", "-list", folder["left.pdf"]).Split('\n')[2].ShouldContain(" gray    1   8 ");
        At(folder, 80, 100)[3].ShouldBeInRange(49, 51);
        At(folder, 220, 100).ShouldBe([0, 0, 0, 0]);
    }

    [Fact]
    public void What_lets_through_in_a_screen_s_colours_is_told()
    {
        using var folder = new Folder();
        const string mixed = "1 0 0 rg 20 20 200 200 re f /Half gs 0 0 1 rg 100 100 150 150 re f";
        foreach (var house in (string[])["aldwater", "plover"])
        {
            var told = Mend(folder, new HandMade().Page(mixed, SeenThrough), house).Lines.Single(l => l.Id == "transparency.light");
            told.State.ShouldBe(MendState.Left);
            var figures = Regex.Match(told.Says, @"by ΔE (\d+) over ([\d.]+) cm², (\d+) at most");
            figures.Success.ShouldBeTrue(told.Says);
            double of(int group) => double.Parse(figures.Groups[group].Value, CultureInfo.InvariantCulture);
            // A square of 150 points is 28 cm², and all of it lets through.
            of(2).ShouldBeInRange(4, 29);
            of(3).ShouldBeGreaterThanOrEqualTo(of(1));
        }
        // A page that says it is mixed in inks is, and nothing is told; one that says light is as one that says nothing.
        HandMade says(string space) => new() { Entries = $"/MediaBox [0 0 300 400] /Group << /S /Transparency /CS /{space} >>" };
        Mend(folder, says("DeviceCMYK").Page(mixed, SeenThrough), "aldwater").Lines
            .ShouldNotContain(l => l.Id == "transparency.light");
        Mend(folder, says("DeviceRGB").Page(mixed, SeenThrough), "aldwater").Lines
            .ShouldContain(l => l.Id == "transparency.light");
        // Gray over gray is the same in light and in black.
        Mend(folder, new HandMade().Page("1 1 1 rg 20 20 200 200 re f /Half gs 1 1 1 rg 100 100 150 150 re f", SeenThrough),
            "aldwater").Lines.Single(l => l.Id == "transparency.light").State.ShouldBe(MendState.Found);
        Mend(folder, new HandMade().Page("1 0 0 0 k 20 20 200 200 re f /Half gs 0 0 1 0 k 100 100 150 150 re f",
            SeenThrough), "aldwater")
            .Lines.ShouldNotContain(l => l.Id == "transparency.light");
    }
}
