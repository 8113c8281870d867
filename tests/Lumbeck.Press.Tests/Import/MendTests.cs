using Lumbeck.Press.Import;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Kinds;

namespace Lumbeck.Press.Tests.Import;

/// <summary>Files from other programs, mended: as they were to the eye, and press-ready.</summary>
public sealed class MendTests(ITestOutputHelper output)
{
    private static readonly FaceShelf Shelf = new();
    private static readonly DocumentInfo Note = new("A book", "A. Writer", "inside", DateTimeOffset.UnixEpoch, "job",
        1);

    private static MendPlan Plan(double wide = 300, double high = 400, string house = "aldwater", bool black = false) =>
        new(HouseFile.Shipped[house].ForPages(), new(Length.FromDrawing(wide), Length.FromDrawing(high)),
            new(default, default, Length.FromDrawing(wide), Length.FromDrawing(high)))
        { Inside = true, Black = black };

    private static MendReport Mended(string from, string to, MendPlan plan)
    {
        using var s = File.Create(to);
        return Mending.Mend(from, s, plan, Shelf, Note);
    }

    private static bool All => Sweep.IsLong;

    /// <summary>Every eighth in <c>./test</c>, every fourth with <c>--wide</c>, all with <c>--all</c>.</summary>
    public static TheoryData<string> Corpus() => [.. MendCorpus.All.Keys.Where((_,
        n) => All || n % (Sweep.IsWide ? 4 : 8) == 1)];

    [Theory]
    [MemberData(nameof(Corpus))]
    public void A_mended_page_is_as_it_came_to_the_eye(string name)
    {
        using var folder = new Folder();
        var (came, left) = (folder["came.pdf"], folder["left.pdf"]);
        File.WriteAllBytes(came, MendCorpus.All[name]());
        var report = Mended(came, left, Plan());
        Tool.Run("qpdf", "--check", left);
        var apart = NeverWorse.Of(folder, came, left, Plan().House, inks: name is "gray" or "cmyk" or "two-spots");
        output.WriteLine($"{name}: mean {apart.Mean:0.00}, largest {apart.Largest:0.0} mm²; " +
            $"{string.Join(" | ", report.Lines.Select(l => l.Says))}");
        report.Lines.ShouldNotContain(l => l.Id == "page.pixels");
        // A face that stands in has other letters.
        if (name == "unembedded")
        {
            report.Lines.Single(l => l.Id == "face.missing")
            .Says.ShouldContain("Work Sans stands for it"); return;
        }
        apart.Mean.ShouldBeLessThan(Mixing.Contains(name) ? 12 : 1.5);
        if (!Mixing.Contains(name)) apart.Largest.ShouldBeLessThan(1);
    }

    /// <summary>What lets through is mixed in inks, as a press does, not in a screen's light.</summary>
    private static readonly string[] Mixing = ["opacity", "picture-soft", "group", "mask-by-lightness", "multiply"];

    /// <summary>Its own output goes through as it is, but for its date and its sum.</summary>
    [Theory]
    [InlineData("forms")]
    [InlineData("axial")]
    [InlineData("picture-soft")]
    [InlineData("type-3")]
    [InlineData("turned")]
    [InlineData("mesh-6")]
    public void What_was_mended_is_left_as_it_is(string name)
    {
        using var folder = new Folder();
        File.WriteAllBytes(folder["came.pdf"], MendCorpus.All[name]());
        Mended(folder["came.pdf"], folder["one.pdf"], Plan());
        var report = Mended(folder["one.pdf"], folder["two.pdf"], Plan());
        report.IsWhole.ShouldBeTrue();
        static List<string> objects(Folder folder, string file)
        {
            Tool.Run("qpdf", "--qdf", "--object-streams=disable", "--no-original-object-ids", "--static-id",
                folder[file], folder[file + ".qdf"]);
            return [.. File.ReadAllLines(folder[file + ".qdf"], System.Text.Encoding.Latin1).SkipWhile(l =>
                !l.Contains("obj", StringComparison.Ordinal))
                .TakeWhile(l => l != "xref").Where(l => !l.StartsWith("% ", StringComparison.Ordinal))];
        }
        objects(folder, "two.pdf").ShouldBe(objects(folder, "one.pdf"));
    }

    [Fact]
    public void A_press_that_takes_nothing_that_lets_through_gets_pixels_and_is_told()
    {
        using var folder = new Folder();
        File.WriteAllBytes(folder["came.pdf"], MendCorpus.All["opacity"]());
        var report = Mended(folder["came.pdf"], folder["left.pdf"], Plan(house: "plover"));
        report.Lines.Single(l => l.Id == "page.pixels").State.ShouldBe(MendState.Left);
        report.IsWhole.ShouldBeFalse();
        Tool.Run("pdfimages", "-list", folder["left.pdf"]).ShouldContain("cmyk");
        Tool.Run("qpdf", "--check", folder["left.pdf"]);
    }

    [Fact]
    public void Where_black_is_the_only_ink_nothing_else_is_left_and_words_stay_words()
    {
        using var folder = new Folder();
        File.WriteAllBytes(folder["came.pdf"], new HandMade()
            .With("/Type /XObject /Subtype /Image /Width 2 /Height 1 /ColorSpace /DeviceRGB /BitsPerComponent 8",
            [200, 30, 30, 20, 90, 200])
                .Page("0.8 0.2 0.1 rg 20 20 100 100 re f 0.7 0.6 0.5 0.9 k BT /F 20 Tf 30 300 Td (Salt) Tj ET q 100 " +
                "0 0 100 150 150 cm /X Do Q",
            "/Font << /F << /Type /Font /Subtype /Type1 /BaseFont /Times-Roman >> >> /XObject << /X 4 0 R >>"));
        Mended(folder["came.pdf"], folder["left.pdf"], Plan(black: true));
        Tool.Run("gs", "-q", "-dNOPAUSE", "-dBATCH", "-sDEVICE=inkcov", "-sOutputFile=-", folder["left.pdf"]).Trim()
            .ShouldStartWith("0.00000  0.00000  0.00000");
        Tool.Run("pdftotext", folder["left.pdf"], "-").ShouldContain("Salt");
        Tool.Run("pdffonts", folder["left.pdf"]).ShouldContain("yes");
    }

    /// <summary>Spoiled by chance, in places by chance: mended, or refused in words; nothing else.</summary>
    [Fact, Wide]
    public void Broken_and_hostile_files_are_mended_or_refused()
    {
        using var folder = new Folder();
        var (made, refused, r) = (0, 0, new Lumbeck.Tests.ByChance.Chance(5));
        var all = MendCorpus.All.Values.Select(f => f()).Concat(Hostile()).ToList();
        // First as they are.
        var whole = MendCorpus.All.Count;
        for (var n = 0; n < (All ? 400 : whole + 20); n++)
        {
            var bytes = (byte[])all[n % all.Count].Clone();
            if (n >= whole && bytes.Length > 20)
                switch (r.From(0, 3))
                {
                    case 0: bytes = bytes[..r.From(1, bytes.Length)]; break;
                    case 1: for (var k = 0; k < 8; k++) bytes[r.From(0, bytes.Length - 1)] = (byte)r.From(0,
                        255); break;
                    case 2: bytes = [.. bytes[..(bytes.Length / 2)], .. bytes[r.From(0, bytes.Length / 2)..]]; break;
                    default:
                        for (var k = 0; k < 6; k++)
                            if (bytes.AsSpan().IndexOfAnyInRange((byte)'1', (byte)'8') is var at
                                && at >= 0) bytes[r.From(at, bytes.Length - 1)] = (byte)'9';
                        break;
                }
            Try(bytes);
        }
        foreach (var bytes in Hostile()) Try(bytes);
        made.ShouldBeGreaterThan(30);
        refused.ShouldBeGreaterThan(10);
        void Try(byte[] bytes)
        {
            File.WriteAllBytes(folder["came.pdf"], bytes);
            // A bound that a hang would meet; on any machine the work itself is far from it.
            using var late = new CancellationTokenSource(TimeSpan.FromMinutes(3));
            try
            {
                using var s = File.Create(folder["left.pdf"]);
                Mending.Mend(folder["came.pdf"], s, Plan(), Shelf, Note, cancel: late.Token);
                made++;
            }
            catch (Refusal refusal)
            {
                refusal.Message.Length.ShouldBeInRange(10, 300);
                refused++;
            }
        }
    }

    private static IEnumerable<byte[]> Hostile()
    {
        yield return [];
        yield return "%PDF-1.7\n"u8.ToArray();
        // A form within itself, a pattern within itself, states saved without an end, a page tree in a ring.
        yield return new HandMade()
            .With("/Type /XObject /Subtype /Form /BBox [0 0 9 9] /Resources << /XObject << /X 4 0 R >> >>", "/X Do")
            .Page("/X Do", "/XObject << /X 4 0 R >>");
        yield return new HandMade()
            .With("/Type /Pattern /PatternType 1 /PaintType 1 /TilingType 1 /BBox [0 0 9 9] /XStep 9 /YStep 9 " +
            "/Resources << /Pattern << /P 4 0 R >> >>",
            "/Pattern cs /P scn 0 0 9 9 re f").Page("/Pattern cs /P scn 0 0 99 99 re f", "/Pattern << /P 4 0 R >>");
        yield return new HandMade().Page(string.Concat(Enumerable.Repeat("q ", 5000)), "");
        yield return new HandMade().Page(new string('[', 4000), "");
        yield return new HandMade()
            .With("/Type /XObject /Subtype /Image /Width 99999 /Height 99999 /ColorSpace /DeviceRGB " +
            "/BitsPerComponent 8", [1]).Page("/X Do", "/XObject << /X 4 0 R >>");
        yield return new HandMade().With("/FunctionType 4 /Domain [0 1] /Range [0 1 0 1 0 1]", "{ "
            + string.Concat(Enumerable.Repeat("dup ", 30000)) + "}")
            .Page("/S sh", "/Shading << /S << /ShadingType 2 /ColorSpace /DeviceRGB /Coords [0 0 9 9] /Function 4 0 R >> >>");
        yield return new HandMade().With("/Filter /FlateDecode", Bomb()).Page("/X Do", "/XObject << /X 4 0 R >>");
        yield return new HandMade().With("/Type /XObject /Subtype /Form /BBox [0 0 9 9] /Filter /FlateDecode", Bomb())
            .Page("/X Do", "/XObject << /X 4 0 R >>");
    }

    private static byte[] Bomb()
    {
        using var to = new MemoryStream();
        using (var z = new System.IO.Compression.ZLibStream(to, System.IO.Compression.CompressionLevel.SmallestSize,
            leaveOpen: true))
        {
            var zeros = new byte[1 << 20];
            Array.Fill(zeros, (byte)' ');
            for (var n = 0; n < 300; n++) z.Write(zeros);
        }
        return to.ToArray();
    }
}
