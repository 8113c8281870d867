using System.Text.Json;

namespace Lumbeck.Core.Tests;

/// <summary>The worked cases of <c>vectors/geometry.json</c>, and what holds for any legal book.</summary>
public sealed class GeometryTests
{
    private static readonly JsonElement Vectors =
        JsonDocument.Parse(File.ReadAllText(Path.Combine(AppContext.BaseDirectory,
        "vectors", "geometry.json")))
        .RootElement;

    public static TheoryData<string> Cases() =>
        [.. Vectors.GetProperty("cases").EnumerateArray().Select(c => c.GetProperty("name").GetString()!)];

    [Fact]
    public void Spine_words_run_as_the_house_prints_them_or_as_the_language_has_it()
    {
        static Turn turn(string language, SpineReading house) =>
            new SetLanguage(language)
                .Apply(Sample.Job() with
                {
                    Ticket = Sample.Job()
                    .Ticket with
                    { House = HouseFile.Shipped["tern"] with { SpineReading = house } }
                })
                .Geometry().Sheet.Panel(Part.Spine)!.Turn;
        (turn("en", SpineReading.ByLanguage), turn("fr", SpineReading.ByLanguage))
            .ShouldBe((Turn.Clockwise, Turn.CounterClockwise));
        (turn("fr", SpineReading.Down), turn("en", SpineReading.Up)).ShouldBe((Turn.Clockwise, Turn.CounterClockwise));
    }

    [Fact]
    public void There_are_eighteen_worked_cases() => Cases().Count.ShouldBe(18);

    [Theory]
    [MemberData(nameof(Cases))]
    public void A_sheet_comes_out_as_worked(string name)
    {
        var c = Vectors.GetProperty("cases").EnumerateArray().Single(x => x.GetProperty("name").GetString() == name);
        var house = HouseFile.Read(Vectors.GetProperty("houses").GetProperty(c.GetProperty("house").GetString()!));
        var book = new BookFacts(
            BindingKinds.Words.Single(w => w.Word == c.GetProperty("binding").GetString()).Value,
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
                case "folds_y_mm": g.Sheet.FoldsAcross.ShouldBe(e.Value.EnumerateArray().Select(Mm)); break;
                case "panels":
                    g.Sheet.Panels.Select(x => (x.Part.Word(), x.Face))
                    .ShouldBe(e.Value.EnumerateArray()
                        .Select(x => (x.GetProperty("name").GetString()!, Box(x.GetProperty("box_mm"))))); break;
                default: throw new InvalidOperationException($"The vectors expect {e.Name}, which is not compared.");
            }
    }

    private static readonly BindingKind[] All = [BindingKind.Front, BindingKind.Paperback, BindingKind.Booklet,
        BindingKind.Loose, BindingKind.Case, BindingKind.Jacket];

    private static readonly House Bindery = Tern with
    {
        SpineRounding = Rounding.Nearest,
        SpineStep = Length.FromMillimetres(0.5m),
        BoardGrammage = 1500,
        SheetMost = Size.FromMillimetres(2000, 2000),
    };

    [ByChance(600)]
    public void Regions_tile_the_sheet_and_right_to_left_is_its_mirror(PositiveInt pages, byte wide, byte high,
        bool flaps, PositiveInt kind)
    {
        var book = Book(pages.Get % 900 + 2, 120 + wide, 120 + high,
            flaps) with
        { Binding = All[kind.Get % All.Length] };
        var (ltr, rtl) = (WrapGeometry.Of(book, Bindery),
            WrapGeometry.Of(book with { Reading = Reading.RightToLeft }, Bindery));
        foreach (var (here, there) in ltr.Sheets.Zip(rtl.Sheets))
        {
            var x = Length.Zero;
            foreach (var r in here.Regions)
            {
                r.X.ShouldBe(x);
                x += r.Width;
            }
            x.ShouldBe(here.Size.Width);
            there.Size.ShouldBe(here.Size);
            there.Folds.ShouldBe(here.Folds.Reverse().Select(f => here.Size.Width - f));
            foreach (var panel in here.Panels)
            {
                var other = there.Panel(panel.Part)!;
                other.Face.X.ShouldBe(here.Size.Width - panel.Face.Right);
                other.Safe.X.ShouldBe(here.Size.Width - panel.Safe.Right);
                other.Safe.Size.ShouldBe(panel.Safe.Size);
                panel.Face.Contains(panel.Safe).ShouldBeTrue();
                panel.Edge.Contains(panel.Face).ShouldBeTrue();
            }
            here.Zones.Select(z => (z.Kind, z.Panel, z.Box.Size))
                .ShouldBe(there.Zones.Select(z => (z.Kind, z.Panel, z.Box.Size)), ignoreOrder: true);
            here.Zones.ShouldAllBe(z => here.Whole.Contains(z.Box));
            // What is cut or turned, and the faces, cover the sheet without a gap.
            decimal area(IEnumerable<Box> boxes) => boxes.Sum(b => b.Width.Millimetres * b.Height.Millimetres);
            (area(here.Zones.Where(z => z.Kind == ZoneKind.Bleed)
                .Select(z => z.Box)) + area(here.Panels.Select(p => p.Face)))
                .ShouldBe(here.Size.Width.Millimetres * here.Size.Height.Millimetres, 0.001m);
        }
    }

    [ByChance(300)]
    public void More_pages_never_narrow_the_spine(PositiveInt pages, PositiveInt more, PositiveInt kind)
    {
        var few = Book(pages.Get % 2000 + 2, 130, 200) with { Binding = All[kind.Get % All.Length] };
        WrapGeometry.Of(few with { Pages = few.Pages + (more.Get % 2000) }, Bindery)
            .Spine.Width.ShouldBeGreaterThanOrEqualTo(WrapGeometry.Of(few, Bindery).Spine.Width);
    }

    /// <summary>Worked by hand: a house's figures, the book, and the sheet they make, in millimetres.</summary>
    [Theory]
    [InlineData("{\"bleed_mm\":3}", "front", "ltr", 120, 190, 80, 0.1, 126, 196, "", "")]
    [InlineData("{\"bleed_mm\":3,\"page_multiple\":4,\"cover_allowance_mm\":0.5,\"spine_rounding\":\"nearest\",\"spine_step_mm\":0.25}",
        "paperback", "rtl", 148, 210, 202, 0.11, 313.75, 216, "151,162.75", "")]
    [InlineData("{\"bleed_mm\":5}", "booklet", "rtl", 210, 148, 30, 0.12, 430, 158, "215", "")]
    [InlineData("{\"bleed_mm\":3}", "loose", "ltr", 210, 297, 80, 0.1, 216, 303, "", "")]
    [InlineData("{\"case_bleed_mm\":2,\"turn_in_mm\":18,\"board_mm\":3,\"square_mm\":4,\"joint_mm\":9,\"endpapers_mm\":0.8}",
        "case", "ltr", 150, 220, 240, 0.1, 366.8, 268, "20,174,192.8,346.8", "20,248")]
    [InlineData("{\"board_mm\":2,\"square_mm\":3,\"spine_ease_mm\":1.5,\"flap_mm\":80,\"bleed_mm\":3}", "jacket", "rtl",
        130, 200, 200, 0.1, 453.5, 212, "83,86,219,234.5,367.5,370.5", "")]
    public void More_sheets_come_out_as_worked(string house, string binding, string direction, double wide, double high,
        int pages, double leaf, double sheetWide, double sheetHigh, string folds, string across)
    {
        var kind = BindingKinds.Words.Single(w => w.Word == binding).Value;
        var book = new BookFacts(kind, direction == "rtl" ? Reading.RightToLeft : Reading.LeftToRight,
            Size.FromMillimetres((decimal)wide, (decimal)high), pages,
            new Paper("", Caliper.FromMillimetres((decimal)leaf)));
        var sheet = WrapGeometry.Of(book, HouseFile.Read(house)).Sheet;
        sheet.Size.ShouldBe(Size.FromMillimetres((decimal)sheetWide, (decimal)sheetHigh));
        static IEnumerable<Length> list(string text) =>
            text.Split(',', StringSplitOptions.RemoveEmptyEntries)
                .Select(t => Length.FromMillimetres(decimal.Parse(t, CultureInfo.InvariantCulture)));
        sheet.Folds.ShouldBe(list(folds));
        sheet.FoldsAcross.ShouldBe(list(across));
    }

    [Fact]
    public void Loose_covers_are_two_sheets_punched_at_the_binding_edge()
    {
        var book = Book(120, 148, 210) with { Binding = BindingKind.Loose };
        var sheets = WrapGeometry.Of(book, Tern).Sheets;
        sheets.Select(s => s.Panels.Single().Part).ShouldBe([Part.Front, Part.Back]);
        sheets.ShouldAllBe(s => s.Size == Size.FromMillimetres(148 + 6.35m, 210 + 6.35m) && s.Folds.IsEmpty);
        sheets[0].Zone(ZoneKind.Punch, Part.Front)!.Box.X.ShouldBe(Tern.Bleed);
        sheets[1].Zone(ZoneKind.Punch, Part.Back)!.Box.Right.ShouldBe(Tern.Bleed + Length.FromMillimetres(148));
        sheets[0].Panel(Part.Front)!.Safe.X.ShouldBe(Tern.Bleed + Length.FromMillimetres(12));
        WrapGeometry.Of(book with { Reading = Reading.RightToLeft }, Tern).Sheets[0]
            .Zone(ZoneKind.Punch, Part.Front)!.Box.Right.ShouldBe(Tern.Bleed + Length.FromMillimetres(148));
    }

    [Fact]
    public void A_case_s_hinge_is_background_only_and_the_fold_inset_starts_after_it()
    {
        var g = WrapGeometry.Of(Book(222, 189, 246) with { Binding = BindingKind.Case }, Bindery);
        var front = g.Sheet.Panel(Part.Front)!;
        g.Sheet.Zone(ZoneKind.Hinge, Part.Front)!.Box.Width.ShouldBe(Length.FromMillimetres(8));
        g.Sheet.Zone(ZoneKind.FoldSafe, Part.Front)!.Box.X.ShouldBe(front.Face.X + Length.FromMillimetres(8 + 3.175m));
        (front.Face.Right - front.Safe.Right).ShouldBe(Tern.TrimSafe);
        g.Sums(Unit.Millimetre)
            .ShouldContain(s =>
                s.Name == "spine"
                    && s.Text == "111 leaves × 0.135 mm + 2 boards × 2.5 mm, to the nearest 0.5 mm = 20 mm");
        g.WeightGrams!.Value.ShouldBeGreaterThan(600);
    }

    [Fact]
    public void A_round_back_multiplies_block_and_boards_before_rounding_and_a_jacket_adds_its_ease_after()
    {
        var house = Bindery with { RoundBackFactor = 1.1m };
        var book = Book(200, 140, 210) with { Binding = BindingKind.Case };
        // 100 × 0.135 + 5 = 18.5; × 1.1 = 20.35.
        WrapGeometry.Of(book, house).Spine.Width.ShouldBe(Length.FromMillimetres(18.5m));
        WrapGeometry.Of(book with { RoundBack = true }, house).Spine.Width.ShouldBe(Length.FromMillimetres(20.5m));
        WrapGeometry.Of(book with { RoundBack = true, Binding = BindingKind.Jacket }, house)
            .Spine.Width.ShouldBe(Length.FromMillimetres(21.5m));
    }

    [Fact]
    public void Every_binding_s_sums_end_in_what_the_sheet_has()
    {
        foreach (var kind in All)
        {
            var g = WrapGeometry.Of(Book(120, 148, 210, flaps: true) with { Binding = kind }, Bindery);
            var sums = g.Sums(Unit.Millimetre).ToDictionary(s => s.Name, s => s.Text);
            sums["width"]
                .ShouldEndWith("= " + g.Sheet.Size.Width.Term(Unit.Millimetre), Case.Sensitive, kind.ToString());
            sums["height"]
                .ShouldEndWith("= " + g.Sheet.Size.Height.Term(Unit.Millimetre), Case.Sensitive, kind.ToString());
            sums.ContainsKey("spine").ShouldBe(kind is BindingKind.Paperback or BindingKind.Case or BindingKind.Jacket);
        }
    }

    [Fact]
    public void A_flap_wider_than_its_panel_allows_is_refused_with_the_limit() =>
        Should.Throw<Refusal>(() =>
            WrapGeometry.Of(Book(120, 120, 210) with
            {
                Binding = BindingKind.Jacket,
                FlapWidth = Length.FromMillimetres(110)
            },
                Bindery))
            .Message.ShouldContain("type up to");

    [Fact]
    public void A_sum_says_how_the_spine_came_about()
    {
        var sums = WrapGeometry.Of(Book(312, 133.35m, 203.2m), Tern).Sums(Unit.Inch)
            .ToDictionary(s => s.Name, s => s.Text);
        sums["spine"].ShouldBe("156 leaves × 0.135 mm = 21.06 mm = 0.829 in");
        sums["width"].ShouldBe("2 covers × 5.25 in + spine 0.829 in + 2 bleeds × 0.125 in = 11.579 in");
        sums["weight"].ShouldEndWith("= 393 g");
    }

    [Fact]
    public void The_terms_of_a_sum_add_up_to_its_total_as_shown()
    {
        foreach (var unit in new[] { Unit.Millimetre, Unit.Inch })
        {
            var sum = WrapGeometry.Of(Book(119, 148, 210, flaps: true) with { FlapWidth = Length.FromMillimetres(90) },
                Tern)
                .Sums(unit).First(s => s.Name == "width").Text;
            var terms = System.Text.RegularExpressions.Regex.Matches(sum,
                @"(?:(\d) \w+ × )?(?:spine )?([\d.]+) (?:mm|in)")
                .Select(m =>
                    (m.Groups[1].Success ? decimal.Parse(m.Groups[1].Value, CultureInfo.InvariantCulture)
                        : 1) * decimal.Parse(m.Groups[2].Value, CultureInfo.InvariantCulture))
                .ToList();
            terms.Count.ShouldBe(5);
            terms.SkipLast(1).Sum().ShouldBe(terms[^1], unit == Unit.Inch ? 0.002m : 0.001m, sum);
        }
    }

    [Fact]
    public void Odd_page_counts_are_raised_and_said_so() =>
        WrapGeometry.Of(Book(201, 190.5m, 234.95m), Tern).Sums(Unit.Inch).First()
            .Text.ShouldBe("201 pages print as 202 (a multiple of 2) = 101 leaves");

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
            (reading == Reading.LeftToRight ? spine.X - room.Right : room.X - spine.Right)
                .ShouldBe(Length.FromMillimetres(6.35m));
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
