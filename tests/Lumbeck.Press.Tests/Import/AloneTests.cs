using Lumbeck.Press.Import;
using Lumbeck.Press.Faces;

namespace Lumbeck.Press.Tests.Import;

/// <summary>What can't be read is drawn by itself; all else on its page stays marks.</summary>
public sealed class AloneTests
{
    private static readonly FaceShelf Shelf = new();

    private static MendPlan Plan(string house) => new(HouseFile.Shipped[house].ForPages(), new(Length.FromDrawing(300),
        Length.FromDrawing(400)),
        new(default, default, Length.FromDrawing(300), Length.FromDrawing(400)))
    { Inside = true };

    /// <summary>Forms within forms, deeper than is read, with a square at their end.</summary>
    private static HandMade Deep()
    {
        var made = new HandMade();
        for (var n = 0; n < 30; n++)
            made.With($"/Type /XObject /Subtype /Form /BBox [0 0 300 400] /Resources << /XObject << /X {5 + n} 0 R " +
                $">> >>", "/X Do");
        return made.With("/Type /XObject /Subtype /Form /BBox [0 0 300 400]", "1 0 0 rg 100 200 60 60 re f");
    }

    private const string Faces = "/Font << /F << /Type /Font /Subtype /Type1 /BaseFont /Helvetica >> /C << /Type " +
        "/Font /Subtype /Type0 " +
        "/BaseFont /Nobody /Encoding /Identity-H /DescendantFonts [<< /Type /Font /Subtype /CIDFontType2 /BaseFont /Nobody " +
        "/CIDSystemInfo << /Registry (Adobe) /Ordering (Identity) /Supplement 0 >> /DW 600 /FontDescriptor << /Type " +
            "/FontDescriptor " +
        "/FontName /Nobody /Flags 32 /FontBBox [0 0 600 700] /ItalicAngle 0 /Ascent 700 /Descent -200 /CapHeight 700 " +
            "/StemV 80 >> >>] >> >>";

    [Theory]
    [InlineData("aldwater", "smask")]
    [InlineData("plover", "image")]
    public void A_part_that_lies_too_deep_is_pixels_and_the_words_stay_words(string house, string masked)
    {
        using var folder = new Folder();
        File.WriteAllBytes(folder["came.pdf"], Deep().Page("0.9 0.9 0.6 rg 0 0 300 400 re f q 0.5 0 0 0.5 40 20 cm " +
            "/X Do Q BT /F 20 Tf 40 340 " +
            "Td 0 g (Salt and tide) Tj ET", $"{Faces} /XObject << /X 4 0 R >>"));
        MendReport report;
        using (var s = File.Create(folder["left.pdf"]))
            report = Mending.Mend(folder["came.pdf"], s, Plan(house), Shelf, new("A", "B", "inside",
                DateTimeOffset.UnixEpoch, "j", 1));
        report.Lines.Single(l => l.Id == "object.pixels").ShouldSatisfyAllConditions(l => l.State.ShouldBe(MendState.Left),
            l => l.Page.ShouldBe(1), l => l.Says.ShouldContain("deeper within each other"));
        report.Lines.ShouldNotContain(l => l.Id == "page.pixels");
        Tool.Run("pdftotext", folder["left.pdf"], "-").ShouldContain("Salt and tide");
        Tool.Run("qpdf", "--check", folder["left.pdf"]);
        Tool.Run("pdfimages", "-list", folder["left.pdf"]).ShouldContain(masked);
        // The square alone came as pixels: as it was to the eye, beside no words of another face.
        File.WriteAllBytes(folder["came.pdf"],
            Deep().Page("0.9 0.9 0.6 rg 0 0 300 400 re f q 0.5 0 0 0.5 40 20 cm /X Do Q",
            "/XObject << /X 4 0 R >>"));
        using (var s = File.Create(folder["left.pdf"]))
            Mending.Mend(folder["came.pdf"], s, Plan(house), Shelf, new("A", "B", "inside", DateTimeOffset.UnixEpoch,
                "j", 1));
        var apart = NeverWorse.Of(folder, folder["came.pdf"], folder["left.pdf"], Plan(house).House);
        File.Copy(folder["came.pdf"], "/tmp/deep.pdf", true);
        apart.ShouldSatisfyAllConditions(a => a.Mean.ShouldBeLessThan(1.5), a => a.Largest.ShouldBeLessThan(1));
    }

    /// <summary>More than is drawn item by item: all of the page is, and the file is whole.</summary>
    [Fact]
    public void A_page_with_too_many_such_parts_is_drawn_as_a_whole()
    {
        using var folder = new Folder();
        File.WriteAllBytes(folder["came.pdf"], Deep().Page(string.Concat(Enumerable.Range(0, 30).Select(n =>
            $"q 0.3 0 0 0.3 {n * 6} {n * 8} cm /X Do Q {string.Concat(Enumerable.Repeat("1 w ", 14))}")), "/XObject << /X 4 0 R >>"));
        using (var s = File.Create(folder["left.pdf"]))
            Mending.Mend(folder["came.pdf"], s, Plan("aldwater"), Shelf, new("A", "B", "inside",
                DateTimeOffset.UnixEpoch, "j", 1))
                .Lines.ShouldContain(l => l.Id == "page.pixels");
        Tool.Run("qpdf", "--check", folder["left.pdf"]);
    }

    [Fact]
    public void Words_in_a_face_that_nothing_stands_for_are_drawn_and_those_beside_them_stay()
    {
        using var folder = new Folder();
        File.WriteAllBytes(folder["came.pdf"], new HandMade()
            .Page("BT /F 20 Tf 40 340 Td 0 g (Salt) Tj /C 20 Tf <00480049> Tj /F 20 Tf (tide) Tj " +
            "0 -40 Td (Sand) Tj ET", Faces));
        using (var s = File.Create(folder["left.pdf"]))
            Mending.Mend(folder["came.pdf"], s, Plan("aldwater"), Shelf, new("A", "B", "inside",
                DateTimeOffset.UnixEpoch, "j", 1))
                .Lines.ShouldNotContain(l => l.Id == "page.pixels");
        // What follows on the line is drawn with it, since nobody knows where it begins.
        var text = Tool.Run("pdftotext", folder["left.pdf"], "-");
        text.ShouldContain("Salt");
        text.ShouldContain("Sand");
        text.ShouldNotContain("tide");
    }
}
