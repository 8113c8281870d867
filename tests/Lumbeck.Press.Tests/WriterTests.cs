using System.Text;
using System.Text.RegularExpressions;
using System.Xml.Linq;
using Lumbeck.Pdf.Objects;
using Lumbeck.Pdf.Writing;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;
using Lumbeck.Press.Svg;

namespace Lumbeck.Press.Tests;

/// <summary>The writer by itself, and the parts that a peer can check.</summary>
public sealed class WriterTests(Pressed pressed) : IClassFixture<Pressed>
{
    [Fact]
    public void Every_offset_of_the_table_leads_to_its_object()
    {
        var text = Encoding.Latin1.GetString(File.ReadAllBytes(pressed.File));
        var table = text[text.LastIndexOf("xref\n0 ", StringComparison.Ordinal)..];
        var entries = Regex.Matches(table, @"(\d{10}) 00000 n \n");
        entries.Count.ShouldBeGreaterThan(20);
        for (var i = 0; i < entries.Count; i++)
            text[int.Parse(entries[i].Groups[1].Value, CultureInfo.InvariantCulture)..]
                .ShouldStartWith($"{i + 1} 0 obj\n");
        // The id is the MD5 of all that precedes the table.
        var before = Encoding.Latin1.GetBytes(text[..text.LastIndexOf("xref\n0 ", StringComparison.Ordinal)]);
        table.ShouldContain($"/ID [<{Tool.Md5(before)}>");
    }

    [Fact]
    public void An_object_reserved_and_forgotten_or_written_twice_is_a_mistake_of_ours_and_said_so()
    {
        using var forgotten = new PdfWriter(Stream.Null, "1.6");
        forgotten.Reserve();
        Should.Throw<InvalidOperationException>(() => forgotten.Finish(new(1), new(1)))
            .Message.ShouldContain("Object 1 was reserved");
        using var twice = new PdfWriter(Stream.Null, "1.6");
        var n = twice.Object(PdfNull.Value);
        Should.Throw<InvalidOperationException>(() => twice.Object(n, PdfNull.Value)).Message.ShouldContain("written twice");
    }

    [Fact]
    public void Several_sheets_are_several_pages_and_share_their_faces()
    {
        var scene = pressed.Desk.Jobs.Job("tidewatcher").Composed.Sheets[0].Scene;
        var file = pressed.Folder["two.pdf"];
        using (var s = File.Create(file))
            PressFile.Write(s, [scene, scene], new(PressKind.X4), HouseFile.Shipped["tern"],
                new("Two (sheets) \\", "Ünal & Sons", "", DateTimeOffset.UnixEpoch, "x", 1), pressed.Desk.Drawer.Shelf);
        Tool.Run("qpdf", "--check", file).ShouldContain("No syntax or stream encoding errors found");
        var info = Tool.Run("pdfinfo", file);
        info.ShouldContain("Pages:           2");
        info.ShouldContain("Title:           Two (sheets) \\");
        info.ShouldContain("Author:          Ünal & Sons");
        Tool.Run("pdffonts", file).Split('\n').Length.ShouldBe(Tool.Run("pdffonts", pressed.File).Split('\n').Length);
    }

    [Theory]
    [InlineData('0'), InlineData('1'), InlineData('2'), InlineData('3'), InlineData('4'), InlineData('5'),
        InlineData('6'), InlineData('7'), InlineData('8'), InlineData('9')]
    public void Bars_are_those_of_an_encoder_that_is_not_ours(char first)
    {
        var twelve = first + "01234567890";
        var digits = twelve + Ean13.CheckDigit(twelve);
        var theirs = new ZXing.OneD.EAN13Writer().encode(digits);
        string.Concat(theirs.Select(b => b ? '1' : '0')).ShouldBe(Ean13.Pattern(digits));
    }

    [Theory]
    [InlineData("<b>&amp;\"'</b>")]
    [InlineData("שלום עולם, salt")]
    [InlineData("a\u0301\u0301\u0301 \u0301 \ud800 \U0001F30A")]
    [InlineData("fi ffi Th — – … “”")]
    [InlineData("\u202E\u202D\u2066nested\u2069")]
    public void Awkward_words_make_a_sound_picture_and_a_sound_file(string words)
    {
        var on = pressed.Desk.Jobs.Job("tidewatcher");
        var job = new SetWords("line", words).Apply(new SetFact(TicketFact.Title, words).Apply(on.Job));
        var composed = Composed.Of(on.Revision, job, pressed.Desk.Drawer.Shelf);
        XDocument.Parse(new SvgPainter(pressed.Desk.Drawer.Shelf,
            pressed.Desk.Drawer.ColourOf(HouseFile.Shipped["tern"]))
            .Picture(composed.Sheets[0].Scene))
            .Root
            .ShouldNotBeNull();
        XDocument.Parse($"<svg xmlns=\"http://www.w3.org/2000/svg\">{ZoneSvg.Patterns("z")}" +
            $"{ZoneSvg.Zones(composed.Sheets[0].Scene.Surface, "z", _ => true)}</svg>").Root
            .ShouldNotBeNull();
        var file = pressed.Press(job, "awkward.pdf");
        Tool.Run("qpdf", "--check", file).ShouldContain("No syntax or stream encoding errors found");
        Tool.Run("pdftotext", file, "-").ShouldNotBeEmpty();
    }

    [Fact]
    public void Path_data_keeps_its_place_however_long_the_path()
    {
        var pen = new Pen();
        pen.Move(0.333, 0.333);
        for (var i = 1; i <= 1000; i++) pen.Line(i * 0.1234567, i * -0.7654321);
        var d = new StringBuilder().Path(pen.Done(), 1).ToString();
        var (x, y) = (0.0, 0.0);
        foreach (Match m in Regex.Matches(d, @"[Ml]\s*(-?[\d.]+)[ ]?(-?[\d.]+)"))
        {
            x += double.Parse(m.Groups[1].Value, CultureInfo.InvariantCulture);
            y += double.Parse(m.Groups[2].Value, CultureInfo.InvariantCulture);
        }
        x.ShouldBe(123.4567, 0.051);
        y.ShouldBe(-765.4321, 0.051);
        d.ShouldNotContain("e");
    }
}
