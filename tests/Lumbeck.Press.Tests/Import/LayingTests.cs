using Lumbeck.Intake;
using Lumbeck.Press.Import;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Kinds;

namespace Lumbeck.Press.Tests.Import;

/// <summary>Pages of other sizes laid on the book's own, and what reception says of them.</summary>
public sealed class LayingTests
{
    private static readonly FaceShelf Shelf = new();
    private const double Mm = 72 / 25.4;

    private static HandMade Sized(double wide, double high, string more = "") => new()
    {
        Entries = System.FormattableString.Invariant($"/MediaBox [0 0 {wide:0.###} {high:0.###}] {more}"),
    };

    private static string Coloured(double wide, double high) => System.FormattableString.Invariant(
        $"0.9 0.8 0.6 rg 0 0 {wide:0.###} {high:0.###} re f 0.1 0.2 0.5 rg 30 30 60 60 re f");

    private static MendReport Mend(Folder folder, byte[] came, MendPlan plan)
    {
        File.WriteAllBytes(folder["came.pdf"], came);
        using var s = File.Create(folder["left.pdf"]);
        return Mending.Mend(folder["came.pdf"], s, plan, Shelf, new("A book", "A. Writer", "cover",
            DateTimeOffset.UnixEpoch, "job", 1));
    }

    private static MendPlan Inside(string house = "aldwater", int multiple = 1) =>
        new(HouseFile.Shipped[house].ForPages(), Size.FromMillimetres(120, 180),
            new(default, default, Length.FromMillimetres(120), Length.FromMillimetres(180)))
        { Inside = true, Multiple = multiple, Bleed = Length.FromMillimetres(3) };

    private static string[] Boxes(Folder folder) => [.. Tool.Run("pdfinfo", "-box", "-f", "1", "-l", "99",
        folder["left.pdf"])
        .Split('\n').Where(l => l.Contains("Box", StringComparison.Ordinal)).Select(l =>
            string.Join(' ', l.Split(' ', StringSplitOptions.RemoveEmptyEntries)))];

    [Fact]
    public void Spreads_are_cut_in_two_and_blanks_fill_the_multiple()
    {
        using var folder = new Folder();
        var report = Mend(folder, Sized(240 * Mm, 180 * Mm).Pages("", "0 0 0 rg 10 10 50 50 re f",
            "1 0 0 rg 400 100 60 60 re f", ""), Inside(multiple: 4));
        (report.Pages, report.Printed).ShouldBe((3, 8));
        report.Lines.Select(l => l.Id).ShouldContain("page.spreads");
        report.Lines.Single(l => l.Id == "pages.blank").Says.ShouldStartWith("2 blank pages");
        Boxes(folder).Where(b => b.Contains("TrimBox", StringComparison.Ordinal)).ShouldAllBe(b =>
            b.EndsWith("0.00 0.00 340.16 510.24", StringComparison.Ordinal));
        report.IsWhole.ShouldBeTrue();
    }

    [Fact]
    public void Pages_of_another_size_are_laid_in_the_middle_and_told_or_scaled_where_asked()
    {
        using var folder = new Folder();
        var came = Sized(100 * Mm, 150 * Mm).Page(Coloured(100 * Mm, 150 * Mm), "");
        var report = Mend(folder, came, Inside());
        report.Lines.Single(l => l.Id == "page.size").ShouldSatisfyAllConditions(l => l.State.ShouldBe(MendState.Left),
            l => l.Says.ShouldContain("100 × 150 mm"), l => l.Says.ShouldContain("120 × 180 mm"));
        Mend(folder, came, Inside() with { Choices = new() { Way = LayWay.Scaled } }).Lines.Single(l =>
            l.Id == "page.size").Says.ShouldContain("scaled");
    }

    [Fact]
    public void Pages_that_bleed_leave_with_the_house_s_bleed()
    {
        using var folder = new Folder();
        var trim = System.FormattableString.Invariant($"/TrimBox [{10 * Mm:0.###} {10 * Mm:0.###} {130 * Mm:0.###} {190 * Mm:0.###}]");
        Mend(folder, Sized(140 * Mm, 200 * Mm, trim).Page(Coloured(140 * Mm, 200 * Mm), ""),
            Inside()).IsWhole.ShouldBeTrue();
        Boxes(folder).ShouldContain("Page 1 TrimBox: 8.50 8.50 348.66 518.74");
        Boxes(folder).ShouldContain("Page 1 BleedBox: 0.00 0.00 357.17 527.24");
    }

    /// <summary>
    /// A cover that is too short all round, or on one side: said with its figure, seen by reception from its pixels, and
    /// grown where that is wished. White art is art.
    /// </summary>
    [Theory]
    [InlineData("aldwater", BindingKind.Case, 40, 40)]
    [InlineData("aldwater", BindingKind.Case, 0, 50)]
    [InlineData("tern", BindingKind.Paperback, 12, 12)]
    [InlineData("tern", BindingKind.Jacket, 30, 0)]
    public void A_cover_that_is_too_short_is_bare_and_grows_where_it_is_wished(string house, BindingKind kind,
        double wide, double high)
    {
        var ticket = new Ticket
        {
            House = HouseFile.Shipped[house],
            Title = "A book",
            Binding = kind,
            Trim = Size.FromMillimetres(216, 216),
            Pages = 120,
            Paper = new("Wove", Caliper.FromMillimetres(0.12m)),
        };
        var sheet = WrapGeometry.Of(ticket.Facts, ticket.House).Sheet;
        MendPlan plan(bool grown) => new(ticket.House, sheet.Size, sheet.Trim)
        {
            Sheet = sheet,
            Panels = [.. sheet.Panels.Select(p => (p.Part, p.Face))],
            Choices = new() { Bleed = grown },
        };
        var faces = sheet.Panels.Select(p => p.Face).ToList();
        var expected = new Lumbeck.Intake.Judging.Expected(ticket.House, [new(sheet.Size, sheet.Trim, null, sheet.Folds)
            { Finished = new(faces.Min(f => f.X), faces.Min(f => f.Y), faces.Max(f => f.Right) - faces.Min(f => f.X),
                faces.Max(f => f.Bottom) - faces.Min(f => f.Y)) }], null);
        using var folder = new Folder();
        foreach (var art in Sweep.Spread(["0.9 0.8 0.6", "1 1 1", "0.1 0.1 0.2"], 3, (int)(wide + high) / 4))
        {
            var (w, h) = (sheet.Size.Width.Points - (wide * Mm), sheet.Size.Height.Points - (high * Mm));
            var came = Sized(w, h).Page(System.FormattableString.Invariant($"{art} rg 0 0 {w:0.###} {h:0.###} re f"), "");
            var report = Mend(folder, came, plan(false));
            var said = report.Lines.Single(l => l.Id == "bleed.bare");
            said.State.ShouldBe(MendState.Left);
            var (x, y) = (Length.FromDrawing(wide * Mm / 2).Show(ticket.House.Unit),
                Length.FromDrawing(high * Mm / 2).Show(ticket.House.Unit));
            if (wide > 0) said.Says.ShouldContain($"{x} at the left, right");
            if (high > 0) said.Says.ShouldContain($"{y} at the ");
            var no = IntakeDesk.Judge(folder["left.pdf"], expected).Findings.Single(f => f.Id == "bleed.bare");
            (no.Severity, no.Measured.Contains(" at the left", StringComparison.Ordinal),
                no.Measured.Contains(" at the head", StringComparison.Ordinal))
                .ShouldBe((Severity.Stop, wide > 0, high > 0), art);
            Mend(folder, came, plan(true)).Lines.ShouldContain(l => l.Id == "bleed.grown" && l.State == MendState.Done);
            IntakeDesk.Judge(folder["left.pdf"], expected).Findings.ShouldNotContain(f => f.Id == "bleed.bare", art);
        }
    }

    /// <summary>A cover for each house: the sheet itself, its trim alone, one with another spine, three pages.</summary>
    [Theory]
    [InlineData("tern", BindingKind.Paperback)]
    [InlineData("aldwater", BindingKind.Case)]
    [InlineData("plover", BindingKind.Paperback)]
    public void A_cover_is_laid_on_the_sheet_and_reception_takes_it(string house, BindingKind kind)
    {
        var ticket = new Ticket
        {
            House = HouseFile.Shipped[house],
            Title = "A book",
            Binding = kind,
            Trim = Size.FromMillimetres(140, 210),
            Pages = 200,
            Paper = new("Wove", Caliper.FromMillimetres(0.12m)),
        };
        var sheet = WrapGeometry.Of(ticket.Facts, ticket.House).Sheet;
        var plan = new MendPlan(ticket.House, sheet.Size, sheet.Trim)
        {
            Sheet = sheet,
            Panels = [.. sheet.Panels.Select(p => (p.Part, p.Face))],
        };
        var expected = new Lumbeck.Intake.Judging.Expected(ticket.House, [new(sheet.Size, sheet.Trim, null,
            sheet.Folds)], null);
        var (w, h) = (sheet.Size.Width.Points, sheet.Size.Height.Points);
        var (tw, th) = (sheet.Trim.Width.Points, sheet.Trim.Height.Points);
        using var folder = new Folder();
        void takes(byte[] came, params string[] said)
        {
            var report = Mend(folder, came, plan);
            foreach (var id in said) report.Lines.ShouldContain(l => l.Id == id);
            Tool.Run("qpdf", "--check", folder["left.pdf"]);
            IntakeDesk.Judge(folder["left.pdf"], expected).Findings.Where(f => f.Severity == Severity.Stop)
                .ShouldBeEmpty($"{house} {string.Join(' ', said)}");
        }
        takes(Sized(w, h).Page(Coloured(w, h), ""));
        takes(Sized(h, w, "/Rotate 90").Page(Coloured(h, w), ""));
        if (kind == BindingKind.Paperback)
        {
            takes(Sized(tw, th).Page(Coloured(tw, th), ""), "bleed.grown");
            takes(Sized(w + 12, h).Page(Coloured(w + 12, h), ""), "spine.width");
            var trim = System.FormattableString.Invariant($"/TrimBox [40 40 {40 + tw:0.###} {40 + th:0.###}]");
            takes(Sized(tw + 80, th + 80, trim).Page(Coloured(tw + 80, th + 80), ""), "box.marks");
        }
    }

    [Fact]
    public void A_front_alone_stands_on_the_front_and_the_rest_is_told()
    {
        var ticket = new Ticket { House = HouseFile.Shipped["tern"], Trim = Size.FromMillimetres(140, 210),
            Pages = 200 };
        var sheet = WrapGeometry.Of(ticket.Facts, ticket.House).Sheet;
        var plan = new MendPlan(ticket.House, sheet.Size, sheet.Trim)
        {
            Panels = [.. sheet.Panels.Select(p => (p.Part,
            p.Face))]
        };
        using var folder = new Folder();
        var report = Mend(folder, Sized(140 * Mm, 210 * Mm).Page(Coloured(140 * Mm, 210 * Mm), ""), plan);
        report.Lines.Single(l => l.Id == "page.front").State.ShouldBe(MendState.Left);
        Should.Throw<Refusal>(() => Mend(folder, Sized(140 * Mm, 210 * Mm).Pages("", "", ""), plan))
            .Message.ShouldContain("2 pages are no cover");
    }
}
