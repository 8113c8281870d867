using System.Text.Json;

namespace Lumbeck.Core.Tests;

/// <summary>The worked cases of <c>vectors/geometry.json</c>, and what holds for any legal book.</summary>
public sealed class GeometryTests
{
    private static readonly JsonElement Vectors = JsonDocument.Parse(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "vectors", "geometry.json"))).RootElement;

    public static TheoryData<string> Paperbacks() => [.. Vectors.GetProperty("cases").EnumerateArray().Where(c => c.GetProperty("binding").GetString() == "paperback").Select(c => c.GetProperty("name").GetString()!)];

    [Fact]
    public void There_are_nine_paperback_cases() => Paperbacks().Count.ShouldBe(9);

    [Theory]
    [MemberData(nameof(Paperbacks))]
    public void A_paperback_comes_out_as_worked(string name)
    {
        var c = Vectors.GetProperty("cases").EnumerateArray().Single(x => x.GetProperty("name").GetString() == name);
        var house = HouseFile.Read(Vectors.GetProperty("houses").GetProperty(c.GetProperty("house").GetString()!));
        var book = new BookFacts(
            BindingKind.Paperback,
            c.GetProperty("direction").GetString() == "rtl" ? Reading.RightToLeft : Reading.LeftToRight,
            new(Mm(c.GetProperty("trim_mm")[0]), Mm(c.GetProperty("trim_mm")[1])),
            c.GetProperty("pages").GetInt32(),
            new Paper("", Caliper.FromMillimetres(c.GetProperty("leaf_mm").GetDecimal())),
            Flaps: c.TryGetProperty("flaps", out var f) && f.GetBoolean(),
            PinnedSpine: c.TryGetProperty("pinned_spine_mm", out var p) ? Mm(p) : null);
        var g = WrapGeometry.Of(book, house);

        foreach (var e in c.GetProperty("expect").EnumerateObject())
            switch (e.Name)
            {
                case "pages": g.Spine.Pages.ShouldBe(e.Value.GetInt32()); break;
                case "leaves": g.Spine.Leaves.ShouldBe(e.Value.GetInt32()); break;
                case "block_mm": g.Spine.Block.ShouldBe(Caliper.FromMillimetres(e.Value.GetDecimal())); break;
                case "spine_mm": g.Spine.Width.ShouldBe(Mm(e.Value)); break;
                case "sheet_mm": g.Sheet.Size.ShouldBe(new Size(Mm(e.Value[0]), Mm(e.Value[1]))); break;
                case "sheet_in": Math.Round(g.Sheet.Size.Width.Inches, 6).ShouldBe(e.Value[0].GetDecimal()); break;
                case "trim_box_mm": g.Sheet.Trim.ShouldBe(Box(e.Value)); break;
                case "folds_mm": g.Sheet.Folds.ShouldBe(e.Value.EnumerateArray().Select(Mm)); break;
                case "panels": g.Sheet.Panels.Select(x => (x.Part.Word(), x.Face)).ShouldBe(e.Value.EnumerateArray().Select(x => (x.GetProperty("name").GetString()!, Box(x.GetProperty("box_mm"))))); break;
                default: throw new InvalidOperationException($"The vectors expect {e.Name}, which is not compared.");
            }
    }

    [Property(MaxTest = 300)]
    public void Regions_tile_the_sheet_and_right_to_left_is_its_mirror(PositiveInt pages, byte wide, byte high, bool flaps)
    {
        var book = Book(pages.Get % 900 + 2, 90 + wide, 120 + high, flaps);
        var ltr = WrapGeometry.Of(book, Tern).Sheet;
        var rtl = WrapGeometry.Of(book with { Reading = Reading.RightToLeft }, Tern).Sheet;

        var x = Length.Zero;
        foreach (var r in ltr.Regions)
        {
            r.X.ShouldBe(x);
            x += r.Width;
        }
        x.ShouldBe(ltr.Size.Width);

        rtl.Size.ShouldBe(ltr.Size);
        rtl.Folds.ShouldBe(ltr.Folds.Reverse().Select(f => ltr.Size.Width - f));
        foreach (var panel in ltr.Panels)
        {
            var other = rtl.Panel(panel.Part)!;
            other.Face.X.ShouldBe(ltr.Size.Width - panel.Face.Right);
            other.Safe.Size.ShouldBe(panel.Safe.Size);
        }
        ltr.Zones.ShouldAllBe(z => ltr.Whole.Contains(z.Box));
    }

    [Property(MaxTest = 200)]
    public void More_pages_never_narrow_the_spine(PositiveInt pages, PositiveInt more)
    {
        var few = WrapGeometry.Of(Book(pages.Get % 2000 + 2, 130, 200), Tern).Spine.Width;
        var many = WrapGeometry.Of(Book(pages.Get % 2000 + 2 + more.Get % 2000, 130, 200), Tern).Spine.Width;
        many.ShouldBeGreaterThanOrEqualTo(few);
    }

    [Fact]
    public void A_sum_says_how_the_spine_came_about()
    {
        var sums = WrapGeometry.Of(Book(312, 133.35m, 203.2m), Tern).Sums(Unit.Inch).ToDictionary(s => s.Name, s => s.Text);
        sums["spine"].ShouldBe("156 leaves × 0.135 mm = 21.06 mm = 0.829 in");
        sums["width"].ShouldBe("2 covers × 5.25 in + spine 0.829 in + 2 bleeds × 0.125 in = 11.579 in");
        sums["weight"].ShouldEndWith("= 393 g");
    }

    [Fact]
    public void The_terms_of_a_sum_add_up_to_its_total_as_shown()
    {
        foreach (var unit in new[] { Unit.Millimetre, Unit.Inch })
        {
            var sum = WrapGeometry.Of(Book(119, 148, 210, flaps: true) with { FlapWidth = Length.FromMillimetres(90) }, Tern).Sums(unit).First(s => s.Name == "width").Text;
            var terms = System.Text.RegularExpressions.Regex.Matches(sum, @"(?:(\d) \w+ × )?(?:spine )?([\d.]+) (?:mm|in)").Select(m => (m.Groups[1].Success ? decimal.Parse(m.Groups[1].Value, CultureInfo.InvariantCulture) : 1) * decimal.Parse(m.Groups[2].Value, CultureInfo.InvariantCulture)).ToList();
            terms.Count.ShouldBe(5);
            terms.SkipLast(1).Sum().ShouldBe(terms[^1], unit == Unit.Inch ? 0.002m : 0.001m, sum);
        }
    }

    [Fact]
    public void Odd_page_counts_are_raised_and_said_so() =>
        WrapGeometry.Of(Book(201, 190.5m, 234.95m), Tern).Sums(Unit.Inch).First().Text.ShouldBe("201 pages print as 202 (a multiple of 2) = 101 leaves");

    [Fact]
    public void Spine_text_is_allowed_only_from_the_house_s_own_page_count()
    {
        WrapGeometry.Of(Book(94, 133, 203), Tern).Sheet.Zone(ZoneKind.SpineSafe, Part.Spine).ShouldBeNull();
        var band = WrapGeometry.Of(Book(96, 133, 203), Tern).Sheet.Zone(ZoneKind.SpineSafe, Part.Spine)!.Box;
        band.Width.ShouldBe(Length.FromMillimetres(48 * 0.135m - 2 * 1.5875m));
    }

    [Fact]
    public void The_barcode_room_lies_at_the_foot_of_the_back_beside_the_spine_whichever_way_the_book_reads()
    {
        foreach (var reading in new[] { Reading.LeftToRight, Reading.RightToLeft })
        {
            var sheet = WrapGeometry.Of(Book(312, 133.35m, 203.2m) with { Reading = reading }, Tern).Sheet;
            var (back, spine) = (sheet.Panel(Part.Back)!.Face, sheet.Panel(Part.Spine)!.Face);
            var room = sheet.Zone(ZoneKind.Barcode, Part.Back)!.Box;
            back.Contains(room).ShouldBeTrue();
            (back.Bottom - room.Bottom).ShouldBe(Length.FromMillimetres(6.35m));
            (reading == Reading.LeftToRight ? spine.X - room.Right : room.X - spine.Right).ShouldBe(Length.FromMillimetres(6.35m));
        }
    }

    [Theory]
    [InlineData(0, 133, 203, "ticket/pages")]
    [InlineData(-4, 133, 203, "ticket/pages")]
    [InlineData(5001, 133, 203, "ticket/pages")]
    [InlineData(312, 5, 203, "ticket/trim")]
    [InlineData(312, 133, 2030, "ticket/trim")]
    public void Facts_that_make_no_sheet_are_refused_by_name(int pages, int wide, int high, string path) =>
        Should.Throw<Refusal>(() => WrapGeometry.Of(Book(pages, wide, high), Tern)).Path.ShouldBe(path);

    [Fact]
    public void A_hinge_score_is_kept_out_of_the_safe_box()
    {
        var scored = WrapGeometry.Of(Book(312, 133, 203), Tern with { HingeScore = Length.FromMillimetres(8) }).Sheet;
        var front = scored.Panel(Part.Front)!;
        (front.Safe.X - front.Face.X).ShouldBe(Length.FromMillimetres(8));
        scored.Zones.Count(z => z.Kind == ZoneKind.Score).ShouldBe(2);
    }

    private static House Tern => HouseFile.Shipped["tern"];

    private static BookFacts Book(int pages, decimal wide, decimal high, bool flaps = false) =>
        new(BindingKind.Paperback, Reading.LeftToRight, Size.FromMillimetres(wide, high), pages, Tern.Papers[0], flaps);

    private static Length Mm(JsonElement e) => Length.FromMillimetres(e.GetDecimal());
    private static Box Box(JsonElement e) => new(Mm(e[0]), Mm(e[1]), Mm(e[2]), Mm(e[3]));
}
