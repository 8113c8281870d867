using System.Text.Json;
using System.Xml.Linq;
using Lumbeck.Desk;
using Lumbeck.Press.Faces;

namespace Lumbeck.Press.Tests;

/// <summary>The blank sheet as files, judged by other people's tools.</summary>
public sealed class TemplateTests : IDisposable
{
    private static readonly FaceShelf Shelf = new();
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    private static WrapGeometry Made(string house, BindingKind binding, decimal wide, decimal high, int pages) =>
        WrapGeometry.Of(new BookFacts(binding, Reading.LeftToRight, Size.FromMillimetres(wide, high), pages,
            HouseFile.Shipped[house].Papers[0]),
            HouseFile.Shipped[house]);

    private string Write(string kind, WrapGeometry g, Part part = Part.Sheet)
    {
        var file = Path.Combine(_folder, "blank." + kind);
        using var s = File.Create(file);
        Blank.Write(s, kind, g, g.Sheet, part, "Salt", Shelf);
        return file;
    }

    [Theory]
    [InlineData("tern", "Paperback", 133.35, 203.2)]
    [InlineData("plover", "Booklet", 148, 210)]
    [InlineData("plover", "Loose", 148, 210)]
    [InlineData("aldwater", "Case", 189, 246)]
    [InlineData("aldwater", "Jacket", 138, 216)]
    public void The_PDF_is_sound_and_has_the_sheet_s_boxes_and_a_layer_that_shows_and_does_not_print(string house,
        string binding, double wide, double high)
    {
        var g = Made(house, Enum.Parse<BindingKind>(binding), (decimal)wide, (decimal)high, 60);
        var file = Write("pdf", g);
        Tool.Run("qpdf", "--check", file).ShouldContain("No syntax or stream encoding errors found");
        using var json = JsonDocument.Parse(Tool.Run("qpdf", "--json=2", file));
        var objects = json.RootElement.GetProperty("qpdf")[1];
        var page = objects.EnumerateObject().Select(o => o.Value)
            .First(o =>
                o.TryGetProperty("value", out var v) && v.ValueKind == JsonValueKind.Object
                    && v.TryGetProperty("/Type", out var t) && t.GetString() == "/Page")
            .GetProperty("value");
        double[] box(string key) => [.. page.GetProperty(key).EnumerateArray().Select(n => n.GetDouble())];
        var (size, trim) = (g.Sheet.Size, g.Sheet.Trim);
        box("/MediaBox").ShouldBe([0, 0, size.Width.Points, size.Height.Points], 0.001);
        box("/BleedBox").ShouldBe(box("/MediaBox"));
        box("/TrimBox")
            .ShouldBe([trim.X.Points, (size.Height - trim.Bottom).Points, trim.Right.Points,
                (size.Height - trim.Y).Points],
                0.001);
        // Shown, the zones are there; printed, the page is bare.
        Inked(file, "-dPrinted=false").ShouldBeGreaterThan(0.002);
        Inked(file, "-dPrinted=true").ShouldBe(0);
        Tool.Run("pdftotext", file, "-").ShouldContain(g.Sheet.Panels[0].Part.Say());
    }

    /// <summary>
    /// What share of the page Ghostscript puts ink on, by its interpreter that minds what a layer is used for.
    /// </summary>
    private double Inked(string pdf, string printed)
    {
        var picture = Path.Combine(_folder, "page.pgm");
        Tool.Run("gs", "-q", "-dNOPAUSE", "-dBATCH", "-dSAFER", "-dNEWPDF=false", printed, "-sDEVICE=pgmraw", "-r72",
            $"-sOutputFile={picture}", pdf);
        var bytes = File.ReadAllBytes(picture);
        // P5, maybe a comment, width and height, 255, then a byte a pixel.
        var at = 0;
        for (var lines = 0; lines < 3; at++) if (bytes[at] == '\n' && bytes[at + 1] != '#') lines++;
        var pixels = bytes.AsSpan(at);
        var dark = 0;
        foreach (var p in pixels) if (p < 250) dark++;
        return (double)dark / pixels.Length;
    }

    [Fact]
    public void The_SVG_is_in_real_millimetres_with_its_zones_as_named_groups()
    {
        var g = Made("aldwater", BindingKind.Case, 189, 246, 222);
        var svg = XDocument.Load(Write("svg", g)).Root!;
        svg.Attribute("width")!.Value.ShouldBe(FormattableString.Invariant(
            $"{g.Sheet.Size.Width.Millimetres:0.####}mm"));
        svg.Attribute("viewBox")!.Value.ShouldBe(FormattableString.Invariant(
            $"0 0 {g.Sheet.Size.Width.Millimetres:0.####} {g.Sheet.Size.Height.Millimetres:0.####}"));
        XNamespace ns = "http://www.w3.org/2000/svg";
        var groups = svg.Elements(ns + "g").ToDictionary(e => e.Attribute("id")!.Value);
        foreach (var name in (string[])["zone-bleed", "zone-safe", "zone-hinge", "zone-spine-safe", "zone-barcode",
            "zone-trim", "zone-folds", "names"])
            groups.ShouldContainKey(name);
        foreach (var zone in g.Sheet.Zones.Where(z => z.Kind == ZoneKind.Hinge))
            groups["zone-hinge"].Elements(ns + "rect")
                .ShouldContain(r =>
                    Math.Abs((decimal)r.Attribute("x")! - zone.Box.X.Millimetres) < 0.001m
                        && Math.Abs((decimal)r.Attribute("width")! - zone.Box.Width.Millimetres) < 0.001m);
        groups["zone-folds"].Elements(ns + "path").Count().ShouldBe(g.Sheet.Folds.Length + g.Sheet.FoldsAcross.Length);
    }

    [Fact]
    public void The_PNG_has_300_pixels_an_inch_and_says_so()
    {
        var g = Made("tern", BindingKind.Paperback, 133.35m, 203.2m, 312);
        var png = File.ReadAllBytes(Write("png", g));
        int at(int i) => System.Buffers.Binary.BinaryPrimitives.ReadInt32BigEndian(png.AsSpan(i));
        (at(16), at(20)).ShouldBe((3474, 2475));
        var phys = png.AsSpan().IndexOf("pHYs"u8);
        phys.ShouldBeGreaterThan(0);
        (at(phys + 4), at(phys + 8), png[phys + 12]).ShouldBe((11811, 11811, (byte)1));
        png.Length.ShouldBeLessThan(1_500_000);
    }

    [Fact]
    public void One_panel_is_its_face_with_the_edge_that_belongs_to_it()
    {
        var g = Made("aldwater", BindingKind.Jacket, 138, 216, 286);
        var spine = g.Sheet.Panel(Part.Spine)!;
        var media = Tool.Run("pdfinfo", "-box", Write("pdf", g, Part.Spine)).Split('\n')
            .First(l => l.StartsWith("MediaBox", StringComparison.Ordinal))
            .Split(' ', StringSplitOptions.RemoveEmptyEntries);
        double.Parse(media[3], CultureInfo.InvariantCulture).ShouldBe(spine.Face.Width.Points, 0.01);
        double.Parse(media[4], CultureInfo.InvariantCulture).ShouldBe(g.Sheet.Size.Height.Points, 0.01);
        Should.Throw<Refusal>(() => Write("pdf", g, Part.Sheet + 99));
        Should.Throw<Refusal>(() => Write("pdf", Made("plover", BindingKind.Booklet, 148, 210, 20), Part.Spine))
            .Message.ShouldContain("this sheet has no spine");
        Blank.FileName("pdf", g, g.Sheet, Part.Front, "Winter over Calder Sound")
            .ShouldBe("Winter-over-Calder-Sound_front_aldwater_141x228mm_spine-26mm_blank.pdf");
        Blank.FileName("svg", g, g.Sheet, Part.Sheet, "").ShouldBe("aldwater_501x228mm_spine-26mm_blank.svg");
    }
}
