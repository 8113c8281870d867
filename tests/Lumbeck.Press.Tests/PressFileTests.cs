using System.Text.Json;
using System.Text.RegularExpressions;
using ZXing;

namespace Lumbeck.Press.Tests;

/// <summary>The Tidewatcher's press file, judged by other people's tools.</summary>
public sealed partial class PressFileTests(Pressed pressed) : IClassFixture<Pressed>
{
    [Fact]
    public void Its_structure_is_sound() =>
        Tool.Run("qpdf", "--check", pressed.File).ShouldContain("No syntax or stream encoding errors found");

    [Fact]
    public void Its_boxes_are_exact_to_a_thousandth_of_a_point()
    {
        using var json = JsonDocument.Parse(Tool.Run("qpdf", "--json=2", pressed.File));
        var page = json.RootElement.GetProperty("qpdf")[1].EnumerateObject().Select(o => o.Value)
            .Where(o =>
                o.TryGetProperty("value", out var v) && v.ValueKind == JsonValueKind.Object
                    && v.TryGetProperty("/Type", out var t) && t.GetString() == "/Page")
            .ShouldHaveSingleItem().GetProperty("value");
        double[] box(string name) => [.. page.GetProperty(name).EnumerateArray().Select(n => n.GetDouble())];
        void shouldBe(double[] box, params double[] expected)
        {
            for (var i = 0; i < 4; i++) box[i].ShouldBe(expected[i], 0.001);
        }
        shouldBe(box("/MediaBox"), 0, 0, 833.698, 594);
        shouldBe(box("/BleedBox"), 0, 0, 833.698, 594);
        shouldBe(box("/TrimBox"), 9, 9, 833.698 - 9, 594 - 9);
        page.TryGetProperty("/ArtBox", out _).ShouldBeFalse();
        page.TryGetProperty("/Annots", out _).ShouldBeFalse();
    }

    [Fact]
    public void It_says_what_it_is_in_info_and_in_XMP_that_the_catalog_leads_to()
    {
        using var json = JsonDocument.Parse(Tool.Run("qpdf", "--json=2", "--json-stream-data=inline",
            "--decode-level=generalized", pressed.File));
        var objects = json.RootElement.GetProperty("qpdf")[1];
        JsonElement at(string reference) => objects.GetProperty("obj:" + reference);
        var trailer = objects.GetProperty("trailer").GetProperty("value");
        var catalog = at(trailer.GetProperty("/Root").GetString()!).GetProperty("value");
        var xmp = at(catalog.GetProperty("/Metadata").GetString()!).GetProperty("stream");
        xmp.GetProperty("dict").TryGetProperty("/Filter", out _).ShouldBeFalse();
        var text = System.Text.Encoding.UTF8.GetString(Convert.FromBase64String(xmp.GetProperty("data").GetString()!));
        foreach (var part in new[] { "<pdfxid:GTS_PDFXVersion>PDF/X-4<", "<xmpMM:DocumentID>uuid:", "<xmpMM:VersionID>",
            "<xmpMM:RenditionClass>default<", "<xmp:CreateDate>", "<xmp:MetadataDate>", "<pdf:Trapped>False<",
            "The Tidewatcher’s Ledger" })
            text.ShouldContain(part);
        System.Xml.Linq.XDocument.Parse(text).Root.ShouldNotBeNull();

        var intent = at(catalog.GetProperty("/OutputIntents")[0].GetString()!).GetProperty("value");
        intent.GetProperty("/S").GetString().ShouldBe("/GTS_PDFX");
        intent.GetProperty("/OutputConditionIdentifier").GetString().ShouldBe("u:FOGRA39");
        var profile = at(intent.GetProperty("/DestOutputProfile").GetString()!).GetProperty("stream")
            .GetProperty("data").GetString()!;
        Convert.FromBase64String(profile).AsSpan().SequenceEqual(Colour.Profiles.Bytes("coated-fogra39-300"))
            .ShouldBeTrue();

        var info = at(trailer.GetProperty("/Info").GetString()!).GetProperty("value");
        info.GetProperty("/Title").GetString().ShouldBe("u:The Tidewatcher’s Ledger");
        info.GetProperty("/Trapped").GetString().ShouldBe("/False");
        var created = info.GetProperty("/CreationDate").GetString()!;
        text.ShouldContain(DateTime.ParseExact(created[4..18], "yyyyMMddHHmmss", CultureInfo.InvariantCulture)
            .ToString("yyyy-MM-ddTHH:mm:ssZ", CultureInfo.InvariantCulture));
        trailer.GetProperty("/ID").GetArrayLength().ShouldBe(2);
    }

    [Fact]
    public void Every_face_is_embedded_as_a_subset_with_unicode()
    {
        var faces = Tool.Run("pdffonts", pressed.File).Split('\n', StringSplitOptions.RemoveEmptyEntries)[2..];
        faces.Length.ShouldBe(pressed.Desk.Jobs.Job("tidewatcher").Composed.Sheets[0]
            .Scene.Items.SelectMany(p => p.Marks).OfType<GlyphMark>().Select(g => g.Face).Distinct().Count());
        faces.ShouldAllBe(f => Regex.IsMatch(f, @"^[A-Z]{6}\+\S+\s+CID TrueType\s+Identity-H\s+yes yes yes"));
    }

    [Fact]
    public void Its_words_are_the_cover_s_words()
    {
        var words = Gaps().Replace(Tool.Run("pdftotext", "-raw", pressed.File, "-"), " ");
        words.ShouldContain("The Tidewatcher’s Ledger");
        words.ShouldContain("INES KALLWEIT");
        words.ShouldContain("a door, a child’s shoe, eleven letters addressed to people not yet born.");
        words.ShouldContain("978-0-00-000000-2");
    }

    [Fact]
    public void Colours_leave_in_the_numbers_given()
    {
        var content = Tool.Run("qpdf", "--qdf", "--object-streams=disable", "--stream-data=uncompress", pressed.File,
            "-");
        content.ShouldContain("0.82 0.38 0.56 0.32 k");
        content.ShouldContain("0.04 0.06 0.14 0 k");
        // Nothing is painted in gray, RGB or a calibrated space, and there are no pictures.
        Regex.IsMatch(content, @"(?m)^[\d. ]+ (g|rg|G|RG|cs|sc|scn)$").ShouldBeFalse();
        Tool.Run("pdfimages", "-list", pressed.File).Split('\n', StringSplitOptions.RemoveEmptyEntries)
            .Length.ShouldBe(2);
    }

    [Fact]
    public void Black_text_leaves_the_other_plates_as_they_are()
    {
        var on = pressed.Desk.Jobs.Job("tidewatcher");
        var black = new TextItem
        {
            Id = "black",
            Words = "BLACK ON GREEN",
            Hold = new(Part.Front, HoldBox.Safe, Anchor.Middle, default, default),
            Width = Span.Full,
            Height = new(Length.FromInches(0.6m)),
            Style = new() { Size = Length.FromPoints(24), Face = new("cinzel", 600, false) },
        };
        var with = Plates(pressed.Press(new AddItem(black).Apply(on.Job), "with.pdf"));
        var without = Plates(pressed.File);
        foreach (var plate in new[] { "Cyan", "Magenta", "Yellow" })
            with[plate].AsSpan().SequenceEqual(without[plate]).ShouldBeTrue(plate);
        with["Black"].AsSpan().SequenceEqual(without["Black"]).ShouldBeFalse();

        // Over the house's size it knocks out, and then the other plates do change.
        var large = Plates(pressed.Press(
            new AddItem(black with { Style = black.Style with { Size = Length.FromPoints(25) } }).Apply(on.Job),
            "large.pdf"));
        large["Cyan"].AsSpan().SequenceEqual(without["Cyan"]).ShouldBeFalse();
    }

    [Fact]
    public void Its_barcode_is_read_off_the_rendered_page_by_two_readers()
    {
        var name = pressed.Folder["page"];
        Tool.Run("pdftoppm", "-r", "300", "-gray", "-singlefile", pressed.File, name);
        Tool.Run("zbarimg", "-q", "--raw", "-Sdisable", "-Sean13.enable", name + ".pgm").Trim()
            .ShouldBe("9780000000002");

        var (pixels, width, height) = Pgm(File.ReadAllBytes(name + ".pgm"));
        // The lower middle third of the sheet, where the back meets the spine.
        var (left, top) = (width * 28 / 100, height * 75 / 100);
        var part = new PlanarYUVLuminanceSource(pixels, width, height, left, top, width * 22 / 100, height - top - 10,
            false);
        var read = new MultiFormatReader
        {
            Hints = new Dictionary<DecodeHintType, object>
            {
                [DecodeHintType.TRY_HARDER] = true,
                [DecodeHintType.POSSIBLE_FORMATS] = new List<BarcodeFormat> { BarcodeFormat.EAN_13 },
            },
        }
            .decode(new BinaryBitmap(new ZXing.Common.HybridBinarizer(part)));
        read.ShouldNotBeNull().Text.ShouldBe("9780000000002");
    }

    [Fact]
    public void Two_exports_are_the_same_bytes_and_another_revision_s_are_not()
    {
        var again = pressed.Folder["again.pdf"];
        Pressed.Write(new(DemoData.In(pressed.Folder.Path), TimeProvider.System, DemoBench.Load),
            pressed.Desk.Jobs.Job("tidewatcher"), again);
        File.ReadAllBytes(again).AsSpan().SequenceEqual(File.ReadAllBytes(pressed.File)).ShouldBeTrue();

        var on = pressed.Desk.Jobs.Job("tidewatcher");
        var later = pressed.Desk.Bench.Begin("Later", new SetWords("line", "a tale").Apply(on.Job), "test-session");
        Pressed.Write(pressed.Desk, later, again);
        File.ReadAllBytes(again).AsSpan().SequenceEqual(File.ReadAllBytes(pressed.File)).ShouldBeFalse();
    }

    [Fact]
    public void Words_that_share_a_glyph_with_others_are_still_given_back()
    {
        // A hyphen and a non-breaking hyphen, a space and a non-breaking space: one glyph, two characters.
        var on = pressed.Desk.Jobs.Job("tidewatcher");
        var text = new TextItem
        {
            Id = "pairs",
            Words = "salt-water salt\u2011water tide\u00a0house",
            Hold = new(Part.Front, HoldBox.Safe, Anchor.Middle, default, default),
            Width = Span.Full,
            Height = new(Length.FromInches(0.6m)),
            Style = new() { Face = new("work-sans", 400, false) },
        };
        var words = Tool.Run("pdftotext", "-raw", pressed.Press(new AddItem(text).Apply(on.Job), "pairs.pdf"), "-");
        // (pdftotext itself prints a non-breaking space as a space.)
        words.ShouldContain("salt-water salt\u2011water tide house");
    }

    private Dictionary<string, byte[]> Plates(string file)
    {
        var into = pressed.Folder[Path.GetFileNameWithoutExtension(file) + "-plates"];
        Tool.Run("gs", "-q", "-dNOPAUSE", "-dBATCH", "-dSAFER", "-sDEVICE=tiffsep", "-sCompression=none", "-r100",
            $"-sOutputFile={into}.tif",
            file);
        return new[] { "Cyan", "Magenta", "Yellow", "Black" }.ToDictionary(p => p, p =>
        {
            using var plate = NetVips.Image.NewFromFile($"{into}({p}).tif");
            return plate.WriteToMemory<byte>();
        });
    }

    private static (byte[] Pixels, int Width, int Height) Pgm(byte[] file)
    {
        var head = Regex.Match(System.Text.Encoding.ASCII.GetString(file, 0, 40), @"^P5\s(\d+)\s(\d+)\s255\s");
        return (file[head.Length..], int.Parse(head.Groups[1].Value, CultureInfo.InvariantCulture),
            int.Parse(head.Groups[2].Value, CultureInfo.InvariantCulture));
    }

    [GeneratedRegex(@"\s+")]
    private static partial Regex Gaps();
}
