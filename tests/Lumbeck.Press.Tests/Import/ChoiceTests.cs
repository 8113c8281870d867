using System.Text;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Import;
using Lumbeck.Press.Faces;

namespace Lumbeck.Press.Tests.Import;

/// <summary>Where a finished file leaves a choice: what is told, and what each answer makes of it.</summary>
public sealed class ChoiceTests : IDisposable
{
    private static readonly FaceShelf Shelf = new();
    private const double Mm = 72 / 25.4;
    private readonly Folder _folder = new();

    public void Dispose() => _folder.Dispose();

    private static MendPlan Inside(MendChoices? choices = null, int multiple = 1,
        Reading reading = Reading.LeftToRight) =>
        new(HouseFile.Shipped["aldwater"].ForPages(), Size.FromMillimetres(120, 180),
            new(default, default, Length.FromMillimetres(120), Length.FromMillimetres(180)))
        {
            Inside = true,
            Multiple = multiple,
            Bleed = Length.FromMillimetres(3),
            Choices = choices ?? new(),
            Reading = reading
        };

    private MendReport Mend(byte[] came, MendPlan plan, string name = "left.pdf")
    {
        File.WriteAllBytes(_folder["came.pdf"], came);
        using var s = File.Create(_folder[name]);
        return Mending.Mend(_folder["came.pdf"], s, plan, Shelf, new("A book", "A. Writer", "inside",
            DateTimeOffset.UnixEpoch, "job", 1));
    }

    private static HandMade Sized(double wide, double high, string catalog = "") => new()
    {
        Entries = FormattableString.Invariant($"/MediaBox [0 0 {wide:0.###} {high:0.###}]"),
        Catalog = catalog,
    };

    private string Uncompressed(string name = "left.pdf")
    {
        Tool.Run("qpdf", "--qdf", "--object-streams=disable", _folder[name], _folder["plain.pdf"]);
        return Encoding.Latin1.GetString(File.ReadAllBytes(_folder["plain.pdf"]));
    }

    /// <summary>How much of each ink a page has, in percent, as another program finds it.</summary>
    private double[] Inks(string name, int page = 1) => [.. Tool.Run("gs", "-q", "-dNOPAUSE", "-dBATCH",
        "-sDEVICE=ink_cov",
        $"-dFirstPage={page}", $"-dLastPage={page}", "-sOutputFile=-", _folder[name]).Split(' ',
            StringSplitOptions.RemoveEmptyEntries)
        .Take(4).Select(v => double.Parse(v, CultureInfo.InvariantCulture))];

    private const string Over = "/ExtGState << /O << /Type /ExtGState /OP true /op true /OPM 1 >> >>";

    [Fact]
    public void White_that_overprints_is_told_and_knocks_out_where_that_is_asked()
    {
        var came = Sized(120 * Mm, 180 * Mm).Page("1 0 0 0 k 0 0 300 300 re f /O gs 0 0 0 0 k 50 50 100 100 re f 0 1 0 0 k " +
            "200 200 50 50 re f", Over);
        Mend(came, Inside()).Lines.Single(l => l.Id == "overprint.white").State.ShouldBe(MendState.Left);
        var unseen = Inks("left.pdf");
        Mend(came, Inside(new() { White = Wish.Keep })).IsWhole.ShouldBeTrue();
        Inks("left.pdf").ShouldBe(unseen);
        Mend(came, Inside(new() { White = Wish.Change })).IsWhole.ShouldBeTrue();
        // The white square is cut out of the cyan; the magenta one still lies over it.
        var page = 120 * 180 * Mm * Mm;
        Inks("left.pdf")[0].ShouldBe(unseen[0] - (100 * 10_000 / page), 0.2);
        Inks("left.pdf")[1].ShouldBe(unseen[1], 0.05);
    }

    [Fact]
    public void A_spot_that_overprints_is_mixed_with_what_lies_under_it_and_one_name_means_one_colour()
    {
        static string spot(string inks) => $"[/Separation /Sea /DeviceCMYK << /FunctionType 2 /Domain [0 1] /C0 [0 0 " +
            $"0 0] /C1 [{inks}] /N 1 >>]";
        var came = Sized(120 * Mm, 180 * Mm).Page("0 0 1 0 k 0 0 340.157 510.236 re f /O gs /A cs 1 scn 50 50 100 100 re f " +
            "/B cs 1 scn 200 50 50 50 re f", $"{Over} /ColorSpace << /A {spot("0.8 0.2 0 0")} /B {spot("0.1 0.9 0 0")} >>");
        var report = Mend(came, Inside());
        report.Lines.Select(l => l.Id).ShouldBe(["spot.twice", "colour.spot", "spot.mixed", "colour"],
            ignoreOrder: true);
        // The yellow under both is still there.
        Inks("left.pdf")[2].ShouldBe(100, 0.1);
        // The blue of both is there, too; another program mixes it a little darker than its figures.
        Inks("left.pdf")[0].ShouldBeInRange(4.5, 6.5);
    }

    [Fact]
    public void Spots_that_become_process_inks_have_colours_of_their_own()
    {
        static string spot(string name, string inks) => $"[/Separation /{name} /DeviceCMYK << /FunctionType 2 /Domain " +
            $"[0 1] /C0 [0 0 0 0] /C1 [{inks}] /N 1 >>]";
        var came = Sized(120 * Mm, 180 * Mm).Page("/A cs 1 scn 0 0 170.0785 510.236 re f /B cs 1 scn 170.0785 0 170.0785 " +
            "510.236 re f", $"/ColorSpace << /A {spot("Sea", "0.8 0 0 0")} /B {spot("Rust", "0 0.6 0 0")} >>");
        Mend(came, Inside());
        var inks = Inks("left.pdf");
        inks[0].ShouldBe(40, 0.5);
        inks[1].ShouldBe(30, 0.5);
    }

    /// <summary>A picture or a drawing is a page as large as what it has the proportions of.</summary>
    [Theory]
    [InlineData(".jpg")]
    [InlineData(".png")]
    [InlineData(".tif")]
    [InlineData(".webp")]
    public void A_picture_is_a_page_of_the_size_that_it_has_the_proportions_of(string kind)
    {
        using var image = (NetVips.Image.Black(600, 900, 3) + (double[])[40, 90,
            160]).Cast(NetVips.Enums.BandFormat.Uchar)
            .Copy(interpretation: NetVips.Enums.Interpretation.Srgb, xres: 72 / 25.4, yres: 72 / 25.4);
        image.WriteToFile(_folder["came" + kind]);
        var report = Mend(File.ReadAllBytes(_folder["came" + kind]), Inside());
        report.Lines.Select(l => l.Id).ShouldBe(["colour.pictures"]);
        Tool.Run("qpdf", "--check", _folder["left.pdf"]);
        Inks("left.pdf")[0].ShouldBeGreaterThan(60);
    }

    [Fact]
    public void Inks_of_another_condition_keep_their_numbers_or_their_colours_and_black_stays_alone()
    {
        var profile = Profiles.Bytes(HouseFile.Shipped["tern"].Profile);
        HandMade made(string catalog) => Sized(120 * Mm, 180 * Mm, catalog).With("/N 4", profile);
        var came = made("/OutputIntents [<< /Type /OutputIntent /S /GTS_PDFX /OutputConditionIdentifier (Another sheet) " +
            "/DestOutputProfile 4 0 R >>]").Page("0.6 0.2 0.1 0 k 0 0 300 300 re f 0 0 0 1 k 20 400 50 50 re f", "");
        Mend(came, Inside()).Lines.Single(l => l.Id == "condition").ShouldSatisfyAllConditions(l =>
            l.State.ShouldBe(MendState.Left),
            l => l.Says.ShouldContain("Another sheet"));
        Uncompressed().ShouldContain("0.6 0.2 0.1 0 k");
        Mend(came, Inside(new() { Inks = Wish.Keep })).IsWhole.ShouldBeTrue();
        Uncompressed().ShouldContain("0.6 0.2 0.1 0 k");
        Mend(came, Inside(new() { Inks = Wish.Change })).IsWhole.ShouldBeTrue();
        Uncompressed().ShouldNotContain("0.6 0.2 0.1 0 k");
        Uncompressed().ShouldContain("0 0 0 1 k");
        // Its own output is in the house's condition: nothing is asked of it again.
        File.Copy(_folder["left.pdf"], _folder["again.pdf"]);
        Mend(File.ReadAllBytes(_folder["again.pdf"]), Inside()).Lines.ShouldNotContain(l => l.Id == "condition");
    }

    [Fact]
    public void Thin_lines_are_told_and_raised_only_where_that_is_asked()
    {
        var came = Sized(120 * Mm, 180 * Mm).Page("0.05 w 20 20 m 200 20 l S q 0.1 0 0 0.1 0 0 cm 1 w 200 900 m 900 " +
            "900 l S Q 2 w 20 " +
            "60 m 90 60 l S", "");
        Mend(came, Inside()).Lines.Single(l => l.Id == "line.hair").ShouldSatisfyAllConditions(l =>
            l.State.ShouldBe(MendState.Found),
            l => l.Says.ShouldStartWith("2 lines are thinner"));
        Mend(came, Inside(new() { Thicken = true })).Lines.Single(l => l.Id == "line.hair").State.ShouldBe(MendState.Done);
        var least = HouseFile.Shipped["aldwater"].RuleLeast.Points;
        Uncompressed().ShouldContain(FormattableString.Invariant($"{least:0.####} w\n"));
    }

    [Fact]
    public void A_closed_file_is_mended_where_its_maker_may_and_a_password_opens_one()
    {
        File.WriteAllBytes(_folder["open.pdf"], Sized(120 * Mm, 180 * Mm).Page("0 0 0 1 k 20 20 50 50 re f", ""));
        Tool.Run("qpdf", "--encrypt", "", "owner", "256", "--modify=none", "--", _folder["open.pdf"],
            _folder["closed.pdf"]);
        var closed = File.ReadAllBytes(_folder["closed.pdf"]);
        Should.Throw<Refusal>(() => Mend(closed, Inside())).Path.ShouldBe("rights");
        Mend(closed, Inside(new() { MayChange = true })).IsWhole.ShouldBeTrue();
        Tool.Run("qpdf", "--encrypt", "salt", "owner", "256", "--", _folder["open.pdf"], _folder["locked.pdf"]);
        var locked = File.ReadAllBytes(_folder["locked.pdf"]);
        Should.Throw<Refusal>(() => Mend(locked, Inside(new() { MayChange = true }))).Path.ShouldBe("password");
        Should.Throw<Refusal>(() => Mend(locked, Inside(new() { MayChange = true }) with { Password = "sand" }))
            .Message.ShouldContain("does not open");
        Mend(locked, Inside(new() { MayChange = true }) with { Password = "salt" }).IsWhole.ShouldBeTrue();
        Tool.Run("qpdf", "--check", _folder["left.pdf"]).ShouldNotContain("R =");
    }

    /// <summary>Spreads whose halves show their page numbers.</summary>
    private static byte[] Spreads(params (int Left, int Right)[] folios) => Sized(240 * Mm, 180 * Mm).Pages(
        "/Font << /F << /Type /Font /Subtype /Type1 /BaseFont /Helvetica >> >>", [.. folios.Select(f =>
            FormattableString.Invariant(
            $"BT /F 10 Tf 160 20 Td ({f.Left}) Tj ET BT /F 10 Tf {(120 * Mm) + 160:0} 20 Td ({f.Right}) Tj ET"))]);

    private string[] Folios(int pages) => [.. Enumerable.Range(1, pages).Select(n => Tool.Run("pdftotext", "-f",
        $"{n}", "-l", $"{n}",
        _folder["left.pdf"], "-").Trim())];

    [Theory]
    [InlineData("8,1 2,7 6,3 4,5", "page.pairs", false)]
    [InlineData("1,8 7,2 3,6 5,4", "page.pairs", false)]
    [InlineData("1,2 3,4 5,6 7,8", "page.spreads", false)]
    [InlineData("2,1 4,3 6,5 8,7", "page.spreads", true)]
    public void Printer_s_pairs_are_told_from_spreads_and_put_in_order(string folios, string said, bool left)
    {
        var report = Mend(Spreads([.. folios.Split(' ').Select(f => f.Split(',')).Select(f => (int.Parse(f[0]),
            int.Parse(f[1])))]),
            Inside());
        report.Lines.Single(l => l.Id is "page.pairs" or "page.spreads").ShouldSatisfyAllConditions(l => l.Id.ShouldBe(said),
            l => l.State.ShouldBe(left ? MendState.Left : MendState.Done));
        Folios(8).ShouldBe(["1", "2", "3", "4", "5", "6", "7", "8"]);
    }

    [Fact]
    public void The_gutter_is_shifted_and_bleed_is_grown_where_that_is_asked()
    {
        const string square = "1 0 0 rg 0 0 340.157 510.236 re f 0 0 1 rg 100 100 20 20 re f";
        var came = Sized(120 * Mm, 180 * Mm).Pages("", square, square);
        Mend(came, Inside()).Lines.ShouldNotContain(l => l.Id == "bleed.grown");
        var report = Mend(came, Inside(new() { Bleed = true, Gutter = Length.FromMillimetres(2) }));
        report.Lines.Select(l => l.Id).ShouldBe(["bleed.grown", "page.gutter", "colour"], ignoreOrder: true);
        Tool.Run("pdfinfo", "-box", "-f", "1", "-l", "1", _folder["left.pdf"])
            .ShouldContain("0.00     0.00   357.17   527.24");
        // Both pages are red to the edge; the blue square stands further from the spine on each.
        foreach (var (page, x) in new[] { (1, 8.504 + 100 + (2 * Mm)), (2, 8.504 + 100 - (2 * Mm)) })
        {
            Inks("left.pdf", page)[1].ShouldBeGreaterThan(95);
            Tool.Run("pdftoppm", "-r", "72", "-png", "-singlefile", "-f",
                $"{page}", "-l", $"{page}", _folder["left.pdf"],
                _folder[$"seen-{page}"]);
            using var seen = NetVips.Image.NewFromFile(_folder[$"seen-{page}.png"]);
            var blue = seen.Getpoint((int)x + 10, seen.Height - 118);
            blue[2].ShouldBeGreaterThan(blue[0]);
            var red = seen.Getpoint((int)x - 3, seen.Height - 118);
            red[0].ShouldBeGreaterThan(red[2]);
            // No paper shows where the art and its mirror image meet.
            using var within = seen.ExtractArea(2, 2, seen.Width - 4, seen.Height - 4);
            within.ExtractBand(1).Max().ShouldBeLessThan(120);
        }
    }

    [Fact]
    public void A_cover_is_placed_by_hand_and_what_its_size_says_is_explained()
    {
        var ticket = new Ticket { House = HouseFile.Shipped["tern"], Trim = Size.FromMillimetres(140, 210),
            Pages = 200 };
        var sheet = WrapGeometry.Of(ticket.Facts, ticket.House).Sheet;
        MendPlan plan(MendChoices? choices = null) => new(ticket.House, sheet.Size, sheet.Trim)
        {
            Panels = [.. sheet.Panels.Select(p => (p.Part, p.Face))],
            Book = ticket.Facts,
            Choices = choices ?? new(),
        };
        var (w, h) = (sheet.Size.Width.Points, sheet.Size.Height.Points);
        byte[] drawn(double wide, double high) => Sized(wide, high).Page(FormattableString.Invariant(
            $"0 1 0 0 k 0 0 {wide:0.###} {high:0.###} re f 1 0 0 0 k {wide / 2:0.###} {high / 2:0.###} 20 20 re f"), "");
        // Pixels taken for points: the sheet's own proportions.
        Mend(drawn(w * 300 / 72, h * 300 / 72), plan()).Lines.Single(l => l.Id == "page.size")
            .Says.ShouldContain("scaled to the sheet, by 24 %");
        Mend(drawn(w - 100, h - 40), plan()).Lines.Single(l => l.Id == "page.size").Says.ShouldContain("laid in the middle");
        Mend(drawn(w, h), plan(new()
        {
            Right = Length.FromMillimetres(10),
            Down = Length.FromMillimetres(-5),
            Percent = 110
        }))
            .Lines.Single(l => l.Id == "page.hand").Says.ShouldContain("110 %");
        Tool.Run("pdftoppm", "-r", "72", "-png", "-singlefile", _folder["left.pdf"], _folder["seen"]);
        using var seen = NetVips.Image.NewFromFile(_folder["seen.png"]);
        var at = seen.Getpoint((int)((w / 2) + (10 * Mm) + 11), (int)((h / 2) - (5 * Mm) - 11));
        at[0].ShouldBeLessThan(at[2]);
        Should.Throw<Refusal>(() => Mend(drawn(w, h), plan(new MendChoices { Percent = 4 }.Sound())))
            .Message.ShouldContain("10 to 1000 %");
        Should.Throw<Refusal>(() => Mend(drawn(w, h - 60), plan(new() { Way = LayWay.Split }))).Path.ShouldBe("way");
    }
}
