using Lumbeck.Pdf.Objects;
using Lumbeck.Pdf.Reading;
using Lumbeck.Press.Kinds;

namespace Lumbeck.Press.Tests.TypedPdf;

/// <summary>What a file says of its faces (ISO 32000-2, 9.8), against what the faces themselves say.</summary>
public sealed class FontTests(Pressed pressed) : IClassFixture<Pressed>
{
    [Theory]
    [InlineData(false)]
    [InlineData(true)]
    public void A_descriptor_says_whether_its_face_leans(bool italic)
    {
        var on = pressed.Desk.Jobs.Job("tidewatcher");
        var face = pressed.Desk.Drawer.Shelf.Faces.First(f => f.Italic == italic && f.Family == "source-serif-4");
        var job = new StyleText("title", Face: face).Apply(on.Job);
        var scene = SceneBuilder.Build(job, job.Sheets()[0], pressed.Desk.Drawer.Shelf);
        var path = pressed.Folder[$"face-{italic}.pdf"];
        using (var s = File.Create(path))
            PressFile.Write(s, [scene], new(PressKind.X4), job.Ticket.House, new("A", "B", "", DateTimeOffset.UnixEpoch, "x", 1),
                pressed.Desk.Drawer.Shelf, pressed.Desk.Drawer.Pictures);
        using var file = PdfFile.Open(path, default);
        var fonts = file.Dict(file.Dict(file.Pages[0], "Resources"), "Font")!;
        var descriptors = fonts.Select(f => (PdfDict)file.Items(file.Get((PdfDict)file.Resolve(f.Value)!, "DescendantFonts"))[0]!)
            .Select(d => file.Dict(d, "FontDescriptor")!).ToList();
        var own = descriptors.Where(d => file.Name(d, "FontName")!.Contains("SourceSerif", StringComparison.OrdinalIgnoreCase)
            && file.Name(d, "FontName")!.EndsWith("Italic", StringComparison.Ordinal) == italic).ToList();
        own.ShouldNotBeEmpty(string.Join(' ', descriptors.Select(d => file.Name(d, "FontName"))));
        foreach (var d in own)
        {
            // Symbolic is bit 3, italic bit 7 (table 121).
            ((int)file.Number(d, "Flags")!).ShouldBe(italic ? 4 | 64 : 4);
            (file.Number(d, "ItalicAngle") < 0).ShouldBe(italic);
        }
    }
}
