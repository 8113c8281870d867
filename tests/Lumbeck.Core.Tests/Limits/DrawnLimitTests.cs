using Lumbeck.Core.Art.Patterns;
using Lumbeck.Core.Checks.OfBarcodes;
using Lumbeck.Core.Checks.OfDrawn;
using Lumbeck.Core.Checks.OfInk;
using Line = Lumbeck.Core.Art.Sketches.Line;

namespace Lumbeck.Core.Tests.Limits;

/// <summary>Rules that look at what is drawn, given marks made for them on either side of their limits.</summary>
public sealed class DrawnLimitTests
{
    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);

    private static RectItem Shape(string id = "r") => new()
    {
        Id = id,
        Hold = new(Part.Front, HoldBox.Safe, Anchor.Middle, default, default),
        Width = new(Length.FromInches(3)),
        Height = new(Length.FromInches(3)),
        Fill = new Fill(new InkPaint(Ink.White)),
    };

    /// <summary>A sheet on which an item has these marks.</summary>
    private static CheckContext Look(Item item, params Mark[] marks)
    {
        var job = Sample.Job(item);
        var scene = Sample.Scene(job);
        var drawn = scene.Item(item.Id)!;
        return new(job, job.Sheets()[0], scene with { Items = scene.Items.Replace(drawn,
            drawn with { Marks = [.. marks] }) });
    }

    private static DrawnItem With(params Mark[] marks) =>
        new("r", Part.Front, Affine.Identity, [.. marks], new(0, 0, 300, 300), new(0, 0, 300, 300));

    /// <summary>20 cm² are 16,070 square points; a black of 90 % on is one.</summary>
    [Theory]
    [InlineData(160, 100, false)]
    [InlineData(161, 100, true)]
    [InlineData(161, 90, true)]
    [InlineData(161, 89, false)]
    public void A_large_black_is_one_of_twenty_square_centimetres(double high, int black, bool large) =>
        InkBlack.IsPlainAndLarge(With(new FillMark(Outline.Rectangle(0, 0, 100, high), Ink.Percent(0, 0, 0, black))))
            .ShouldBe(large);

    [Theory]
    [InlineData(10, 10, 80, false)]
    [InlineData(10, 11, 80, true)]
    [InlineData(10, 11, 79, false)]
    public void A_black_is_rich_from_a_fifth_of_other_inks_on(int cyan, int yellow, int black, bool rich) =>
        InkBlack.IsRichAndSmall(Sample.Text("w", "word") with
        {
            Style = Sample.Style(11.9m) with { Paint = new InkPaint(Ink.Percent(cyan, 0, yellow, black)) },
        }, []).ShouldBe(rich);

    /// <summary>
    /// Steps may look apart by 0.5, and where each is broader than 4 mm by 0.15; a way under 30 mm shows no bands.
    /// </summary>
    [Fact]
    public void Steps_of_a_gradient_may_look_so_far_apart_and_no_further()
    {
        // Inks that change places over a dark ground look further apart at each step than any that come up from white.
        var chance = new Random(5);
        Ink one(int least) => Ink.Percent(chance.Next(least, 101), chance.Next(least, 101), chance.Next(least, 101), 0);
        List<(Ink From, Ink To, double Steps, double Apart)> all =
        [
            .. from n in Enumerable.Range(0, 20_000)
               let a = one(n % 2 * 70)
               let b = one(n % 2 * 70)
               let steps = new[] { a.C - b.C, a.M - b.M, a.Y - b.Y }.Max(Math.Abs) * 0.0255
               where steps >= 2
               select (a, b, steps, Core.Colour.Seen.Lab(a).DeltaE(Core.Colour.Seen.Lab(b)) / steps),
        ];
        static bool shows((Ink From, Ink To, double, double) run, double way)
        {
            var gradient = new Gradient(false, 0, 0, way, 0, [(0, run.From), (1, run.To)]);
            return new InkSteps().Check(Look(Shape(), new GradientMark(Outline.Rectangle(0, 0, way, 100), gradient)))
                .Any();
        }
        // Narrow steps: none of them is as wide as 4 mm. Broad ones: each is.
        foreach (var (least, most, found) in ((double, double, bool)[])[(0.44, 0.5, false), (0.5, 0.56, true)])
        {
            var run = all.First(a => a.Apart > least && a.Apart < most && a.Steps > 8);
            shows(run, Math.Max(85.5, run.Steps * 11)).ShouldBe(found, $"{run}");
        }
        foreach (var (least, most, found) in ((double, double, bool)[])[(0.13, 0.15, false), (0.15, 0.17, true)])
        {
            var run = all.First(a => a.Apart > least && a.Apart < most);
            shows(run, Math.Max(86, run.Steps * 11.5)).ShouldBe(found, $"{run}");
        }
        // Between the two it is their width that tells.
        var between = all.First(a => a.Apart is > 0.2 and < 0.4 && a.Steps > 20);
        shows(between, between.Steps * 11.2).ShouldBeFalse();
        shows(between, between.Steps * 11.4).ShouldBeTrue();
        var far = all.First(a => a.Apart > 0.7);
        shows(far, 84).ShouldBeFalse();
        shows(far, 86).ShouldBeTrue();
    }

    /// <summary>Level lines so far apart, in a pattern that is nothing else.</summary>
    private sealed record Ruled : Pattern
    {
        [System.Diagnostics.CodeAnalysis.SetsRequiredMembers]
        public Ruled(double apart, double width, int many = 60, double from = 0)
        {
            (Apart, Width, Many, From) = (apart, width, many, from);
            Paints = [];
        }

        private double Apart { get; }
        private double Width { get; }
        private int Many { get; }
        private double From { get; }

        /// <summary>From this scale on its lines lie further apart, as those of patterns do that are no ruler.</summary>
        public decimal Opens { get; init; } = 1_000_000;

        public override string Kind => "ruled";
        public override ImmutableArray<string> Slots => ["Line"];
        protected override IReadOnlyList<Field> OwnFields => [];

        protected override IEnumerable<Drawn> Draw(Bounds window)
        {
            var apart = Opens == 1_000_000 ? Apart : (Scale < Opens ? 0.5 : 0.7) / ((double)Scale / 100);
            for (var n = 0; n < Many; n++)
            {
                var pen = new Pen();
                pen.Move(0, From + (n * apart));
                pen.Line(36, From + (n * apart));
                yield return new Line(pen.Done(), Width);
            }
        }
    }

    private static Ruled In(Ink ink, Ruled ruled) => ruled with { Paints = [new InkPaint(ink)] };

    private static readonly Ink Tint = Ink.Percent(0, 0, 0, 50);

    /// <summary>Lines of 0.6 mm and heavier are no fine ones, a pair has no beat, and 36 mm of it are looked at.</summary>
    [Fact]
    public void How_near_fine_lines_lie_is_measured()
    {
        double gap(Ruled ruled) => Math.Round(PatternBeats.Gaps(In(Tint, ruled)).Single(), 6);
        const double heavy = 0.6 * 72 / 25.4;
        gap(new(0.5, 1)).ShouldBe(0.5);
        gap(new(0.5, heavy - 0.01)).ShouldBe(0.5);
        gap(new(0.5, heavy + 0.01)).ShouldBe(Math.Round(double.MaxValue, 6));
        gap(new(0.5, 1, 2)).ShouldBe(Math.Round(double.MaxValue, 6));
        gap(new(0.5, 1, 3)).ShouldBe(0.5);
        gap(new(0.5, 1, 60, 35)).ShouldBe(0.5);
        gap(new(0.5, 1, 60, 36.1)).ShouldBe(Math.Round(double.MaxValue, 6));
    }

    private static IEnumerable<Finding> Beats(Paint paint, Ruled ruled)
    {
        var job = Sample.Job();
        var take = job.Wraps[0].Take;
        var on = job with { Wraps = [job.Wraps[0].With(take with
            { Ground = new Fill(new InkPaint(Ink.White)) { Pattern = ruled with { Paints = [paint] } } })] };
        return new PatternBeats().Check(new(on, on.Sheets()[0], Sample.Scene(job)));
    }

    /// <summary>An ink is screened from 3 % on and up to 97 %; a finishing ink that is laid whole is none.</summary>
    [Theory]
    [InlineData(300, false)]
    [InlineData(310, true)]
    [InlineData(9_690, true)]
    [InlineData(9_700, false)]
    public void Fine_lines_beat_in_a_tint(int hundredths, bool found) =>
        Beats(new InkPaint(new Ink(hundredths, 0, 0, 0)), new(0.5, 1)).Any().ShouldBe(found);

    [Fact]
    public void Fine_lines_of_a_finishing_ink_beat_where_it_is_a_tint()
    {
        Beats(new FinishPaint("Foil", 10_000), new(0.5, 1)).ShouldBeEmpty();
        Beats(new FinishPaint("Foil", 9_900), new(0.5, 1)).ShouldHaveSingleItem().Measured.ShouldBe("0.5 mm");
    }

    /// <summary>The first scale that is tried and far enough; where one is not, it is tried a little larger.</summary>
    [Theory]
    [InlineData(120, 120)]
    [InlineData(121, 138)]
    [InlineData(139, 162)]
    [InlineData(163, 204)]
    [InlineData(205, null)]
    public void Lines_that_beat_are_drawn_as_much_larger_as_that_takes(int opens, int? scale) =>
        (Beats(new InkPaint(Tint), new(0.5, 0.5) { Opens = opens }).ShouldHaveSingleItem().Fix as SetGroundPattern)
            ?.Value.Number.ShouldBe(scale);

    /// <summary>A light line that is left open in two inks wants 0.75 pt; an ink counts from 20 % on.</summary>
    [Theory]
    [InlineData(19, 0.7, false)]
    [InlineData(20, 0.7, true)]
    [InlineData(20, 0.744, true)]
    [InlineData(20, 0.746, false)]
    public void A_line_left_open_in_two_inks_is_wider(int yellow, double width, bool found)
    {
        var job = new SetHouse(HouseFile.Shipped["tern"] with { RuleLeast = Length.FromPoints(0.25m),
            RuleReversedLeast = Length.FromPoints(0.5m) })
            .Apply(Sample.Job());
        var take = job.Wraps[0].Take;
        var on = job with { Wraps = [job.Wraps[0].With(take with
            { Ground = new Fill(new InkPaint(Ink.Percent(100, 0, yellow, 0))) { Pattern = In(Ink.White, new(5,
                width)) } })] };
        var scene = Sample.Scene(job);
        var ground = scene.Items[0] with { Marks = [new LineMark(Outline.Rectangle(0, 0, 100, 100), width,
            Ink.White)] };
        new PatternLine().Check(new(on, on.Sheets()[0], scene with { Items = scene.Items.SetItem(0, ground) })).Any()
            .ShouldBe(found);
    }

    private static CodeItem Code => new()
    {
        Id = "code",
        Link = "https://example.org",
        Hold = new(Part.Back, HoldBox.Safe, Anchor.Middle, default, default),
    };

    /// <summary>Squares under 0.4 mm run together; under six tenths of that they are a stop.</summary>
    [Theory]
    [InlineData(0.42, null)]
    [InlineData(0.38, Severity.Caution)]
    [InlineData(0.25, Severity.Caution)]
    [InlineData(0.23, Severity.Stop)]
    public void Squares_of_a_code_are_large_enough(double mm, Severity? weighs)
    {
        // The first dark shape is the upper left finder's edge; a line along it says as much.
        var edge = new Pen();
        edge.Move(0, 0);
        edge.Line(7 * mm * 72 / 25.4, 0);
        var found = new BarcodeRoom().Check(Look(Code, new FillMark(Outline.Rectangle(0, 0, 60, 60), Ink.White),
            new FillMark(edge.Done(), Ink.Black))).SingleOrDefault(f => f.Measured.StartsWith("squares",
                StringComparison.Ordinal));
        found?.Severity.ShouldBe(weighs!.Value);
        (found is null).ShouldBe(weighs is null);
        if (found is not null) found.Limit.ShouldBe($"{Mm(0.4m).Show(Unit.Inch)} or more");
    }

    [Theory]
    [InlineData(60, 100)]
    [InlineData(130, 100)]
    public void A_barcode_of_the_wrong_size_is_set_to_its_own(int percent, int to)
    {
        var bars = BarcodeItem.In(HouseFile.Shipped["tern"], "bars") with { Percent = percent };
        Sample.Check(Sample.Job(bars)).Where(f => f.Id == "barcode.room" && f.Measured.EndsWith('%'))
            .ShouldHaveSingleItem()
            .Fix.ShouldBe(BarcodeItem.PercentField.Set("bars", to));
    }

    [Fact]
    public void What_lies_in_the_barcode_s_room_is_moved_two_millimetres_above_it()
    {
        var job = Sample.Job();
        var room = job.Sheets()[0].Sheet.Zone(ZoneKind.Barcode, Part.Back)!.Box;
        var word = Sample.Text("w", "word", panel: Part.Back, box: HoldBox.Room, wide: 1, high: 0.3m);
        var found = Sample.Check(Sample.Job(word)).Single(f => f.Id == "barcode.who" && f.Item == "w");
        found.Fix.ShouldBe(new DropItem("w", default, room.Y - Mm(2) - found.Place!.Value.Bottom));
    }

    [Theory]
    [InlineData(20, true)]
    [InlineData(50, false)]
    public void A_line_that_is_a_price_and_nothing_else_is_held_to_the_ticket_s(int letters, bool found)
    {
        Price.TryParse("USD 12.99", out var price, out _).ShouldBeTrue();
        var job = Sample.Job(Sample.Text("w", "USD 14.99".PadRight(letters), panel: Part.Back));
        job = job with { Ticket = job.Ticket with { Price = price } };
        Sample.Check(job).Any(f => f.Id == "barcode.price" && f.Item == "w").ShouldBe(found);
    }

    /// <summary>A number of twelve digits is one of thirteen that begins with nought.</summary>
    [Fact]
    public void A_number_of_twelve_digits_is_checked_as_one_of_thirteen()
    {
        var bars = BarcodeItem.In(HouseFile.Shipped["tern"], "bars") with { For = BarcodeFor.Goods,
            Number = "036000291452" };
        Sample.Check(Sample.Job(bars)).ShouldNotContain(f => f.Id == "barcode.digits");
        Sample.Check(Sample.Job(bars with { Number = "036000291453" })).Single(f => f.Id == "barcode.digits").Limit
            .ShouldBe("…1452");
    }
}
