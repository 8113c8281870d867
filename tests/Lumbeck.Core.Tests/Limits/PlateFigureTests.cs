using Lumbeck.Core.Checks.OfBarcodes;
using Lumbeck.Core.Checks.OfInk;
using Lumbeck.Core.Checks.OfPictures;
using Lumbeck.Core.Checks.OfZones;

namespace Lumbeck.Core.Tests.Limits;

/// <summary>What rules of plates measure, on plates made for it: spots, edges, codes, pictures.</summary>
public sealed class PlateFigureTests
{
    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);

    private static Job In(decimal limit, params Item[] items) =>
        new SetHouse(HouseFile.Shipped["tern"] with { InkLimit = limit }).Apply(Sample.Job(items));

    private static List<Finding> Spots(Laid on) => [.. new InkTotal().Find(on.Look, on.Plates)];

    /// <summary>A spot is four squares of half a millimetre: at 300 per inch six pixels a side, at 150 three.</summary>
    [Theory]
    [InlineData(300, 12, 12, true)]
    [InlineData(300, 6, 18, false)]
    [InlineData(150, 6, 6, true)]
    [InlineData(150, 3, 9, false)]
    public void A_spot_of_too_much_ink_is_a_square_millimetre(int perInch, int wide, int high, bool found)
    {
        var on = new Laid(In(300), perInch);
        for (var ink = 0; ink < 4; ink++) on.Lay(600, 600, wide, high, ink, 200);
        (Spots(on).Count > 0).ShouldBe(found);
    }

    /// <summary>Rounding is forgiven up to 0.8 points: 270 % are 688.5 of the plates' levels, and 690.54 are too much.</summary>
    [Theory]
    [InlineData(690, false)]
    [InlineData(691, true)]
    public void Ink_over_the_limit_is_too_much_but_for_rounding(int levels, bool found)
    {
        var on = new Laid(In(270), 150);
        on.Lay(60, 60, 60, 60, 0, 255);
        on.Lay(60, 60, 60, 60, 1, 255);
        on.Lay(60, 60, 60, 60, 2, levels - 510);
        (Spots(on).Count > 0).ShouldBe(found);
    }

    [Fact]
    public void The_four_largest_spots_are_told()
    {
        var on = new Laid(In(300), 150);
        for (var n = 0; n < 6; n++) for (var ink = 0; ink < 4; ink++) on.Lay(60 + (60 * n), 60, 12 + (3 * n), 12, ink,
            255);
        Spots(on).Count.ShouldBe(4);
        Spots(on)[0].Place!.Value.Width.ShouldBe(Length.FromDrawing(27 * 72 / 150.0));
    }

    /// <summary>A spot is of what lies over its middle.</summary>
    [Fact]
    public void Too_much_ink_is_of_what_lies_over_its_middle()
    {
        var small = new RectItem
        {
            Id = "r",
            Hold = new(Part.Front, HoldBox.Face, Anchor.TopLeft, Length.FromInches(2.95m), Length.FromInches(2.95m)),
            Width = new(Length.FromInches(0.1m)),
            Height = new(Length.FromInches(0.1m)),
            Fill = new Fill(new InkPaint(Ink.Black)),
        };
        var on = new Laid(In(300, small), 100);
        var middle = on.Look.Scene.Item("r")!.Frame;
        // A spot of an inch round its middle, which is ten times as wide as it.
        var (x, y) = ((int)(((middle.Left + middle.Right) / 2 * 100 / 72) - 50),
            (int)(((middle.Top + middle.Bottom) / 2 * 100 / 72) - 50));
        for (var ink = 0; ink < 4; ink++) on.Lay(x, y, 100, 100, ink, 255);
        Spots(on).ShouldHaveSingleItem().Item.ShouldBe("r");
    }

    private static BarcodeItem Bars => new()
    {
        Id = "bars",
        Hold = new(Part.Back, HoldBox.Room, Anchor.Middle, default, default),
    };

    private static Finding? Red(Item item, double perInch, Action<Laid, Box> lay)
    {
        var on = new Laid(Sample.Job(item), perInch);
        lay(on, on.Look.Scene.Item(item.Id)!.Frame.ToBox());
        return new BarcodeInk().Find(on.Look, on.Plates).SingleOrDefault();
    }

    private static void Striped(Laid on, Box place, int ground, int magenta)
    {
        on.Lay(place, 3, ground);
        on.Lay(place, 1, magenta);
        on.Lay(place with { Width = 0.3m * place.Width }, 3, 255);
    }

    /// <summary>A tenth of red light is taken away by magenta: 36 % of black leaves 0.658, and both 0.592.</summary>
    [Theory]
    [InlineData(35, 255, false)]
    [InlineData(36, 255, true)]
    [InlineData(36, 0, false)]
    public void Magenta_takes_little_of_a_reader_s_light(int black, int magenta, bool found) =>
        (Red(Bars, 72, (on, place) => Striped(on, place, (int)Math.Round(black * 2.55), magenta)) is not null)
            .ShouldBe(found);

    [Fact]
    public void How_far_bars_stand_out_is_told_in_percent_and_put_right_whole()
    {
        var found = Red(Bars, 72, (on, place) => on.Lay(place with { Width = 0.3m * place.Width }, 3, 143))!;
        (found.Measured, found.Limit).ShouldBe(("53 % apart in red light", "55 % or more"));
        ((Together)found.Fix!).Edits.OfType<FadeItem>().Single().Opacity.ShouldBe(100);
        var code = new CodeItem { Id = "code", Link = "https://example.org", Hold = new(Part.Back, HoldBox.Safe,
            Anchor.Middle, default, default) };
        ((Together)Red(code, 72, (_, _) => { })!.Fix!).Edits.OfType<FadeItem>().Single().Opacity.ShouldBe(100);
    }

    /// <summary>A code so small on the plates that it has not a hundred pixels tells nothing.</summary>
    [Fact]
    public void A_code_of_a_hundred_pixels_is_looked_at()
    {
        var (few, many) = (0, 0);
        for (var perInch = 5.0; perInch < 25; perInch += 0.1)
        {
            var pixels = 0;
            var found = Red(Bars, perInch, (on, place) => pixels = on.Plates.Pixels(place) is var (l, t, r, b)
                ? (r - l) * (b - t) : 0);
            if (pixels is < 100 and > 70) { found.ShouldBeNull(); few++; }
            if (pixels is >= 100 and < 130) { found.ShouldNotBeNull(); many++; }
        }
        Math.Min(few, many).ShouldBeGreaterThan(0);
    }

    /// <summary>Level or upright it needs no backing: turned between them it does.</summary>
    [Theory]
    [InlineData(0, false)]
    [InlineData(90, false)]
    [InlineData(117, true)]
    public void Bars_turned_off_the_level_need_their_backing(int turned, bool found) =>
        (Red(Bars with { Plate = false, Turned = turned }, 72, (on, place) => Striped(on, place, 0, 0))?.Measured
            .StartsWith("turned", StringComparison.Ordinal) ?? false).ShouldBe(found);

    [Theory]
    [InlineData(80, 100, 0, true)]
    [InlineData(80, 100, 90, true)]
    [InlineData(80, 100, 117, false)]
    [InlineData(80, 80, 0, false)]
    [InlineData(110, 100, 0, false)]
    public void Bars_that_are_only_small_are_set_to_their_size(int percent, int opacity, int turned, bool mended)
    {
        var on = new Laid(Sample.Job(Bars with { Percent = percent, Opacity = opacity, Turned = turned }), 72);
        var frame = on.Look.Scene.Item("bars")!.Frame.ToBox();
        List<Box> asked = [];
        var plates = on.Plates with { Decode = room => { asked.Add(room); return []; } };
        var found = new BarcodeReadable().Find(on.Look, plates).Single();
        found.Fix.ShouldBe(mended ? BarcodeItem.PercentField.Set("bars", 100) : null);
        // A reader is held two millimetres beyond it.
        asked.ShouldBe([frame.Inset(-Mm(2)).Intersect(on.Look.Sheet.Whole)]);
    }

    /// <summary>
    /// Up to 13 of a plate's levels are paper and 20 are none; so much as 15 % of a side may be bare, and it is looked at
    /// three times within the cut: at 0.3, 0.5 and 0.7 of the bleed, and to 0.75 pt about each.
    /// </summary>
    [Theory]
    [InlineData(13, 20, 1.0, 0.2, 0.8, true)]
    [InlineData(14, 20, 1.0, 0.2, 0.8, false)]
    [InlineData(13, 19, 1.0, 0.2, 0.8, false)]
    [InlineData(13, 20, 0.16, 0.2, 0.8, true)]
    [InlineData(13, 20, 0.14, 0.2, 0.8, false)]
    [InlineData(13, 20, 1.0, 0.4, 0.8, false)]
    [InlineData(13, 20, 1.0, 0.2, 0.63, false)]
    public void Art_that_stops_at_the_cut_is_seen(int paper, int art, double share, double from, double to, bool found)
    {
        var on = new Laid(Sample.Job(), 720, 60);
        var (trim, size) = (on.Look.Sheet.Trim, on.Look.Sheet.Size);
        int at(Length l) => (int)Math.Round(l.Points * 10);
        var (edge, top, high) = (at(trim.X), at(trim.Y), (int)(at(trim.Height) * share));
        // Left of the cut paper, within it bare again but for a band that is art.
        on.Lay(0, 0, edge, on.High, 3, 60);
        on.Lay(0, top, edge * 2, high, 3, paper);
        on.Lay(edge + (int)(edge * from), top, (int)(edge * (to - from)), high, 3, art);
        size.Width.ShouldBeGreaterThan(trim.Width);
        new BleedBare().Find(on.Look, on.Plates).Any(f => f.Measured == "bare at the left").ShouldBe(found);
    }

    /// <summary>Half-way within the cut, and half-way out in the bleed, it is looked at too.</summary>
    [Theory]
    [InlineData(90 + 37, 90 + 54, 0)]
    [InlineData(36, 55, 60)]
    public void Art_is_looked_for_half_way_within_the_cut_and_half_way_beyond_it(int from, int to, int black)
    {
        var on = new Laid(Sample.Job(), 720, 60);
        var edge = on.Plates.Pixels(on.Look.Sheet.Trim).Left;
        edge.ShouldBe(90);
        on.Lay(0, 0, edge, on.High, 3, 0);
        new BleedBare().Find(on.Look, on.Plates).ShouldNotBeEmpty();
        on.Lay(from, 0, to - from, on.High, 3, black);
        new BleedBare().Find(on.Look, on.Plates).ShouldBeEmpty();
    }

    [Fact]
    public void What_is_bare_is_marked_half_a_bleed_to_both_sides_of_the_cut()
    {
        var on = new Laid(Sample.Job(), 144, 60);
        on.Lay(0, 0, on.Plates.Pixels(on.Look.Sheet.Trim).Left, on.High, 3, 0);
        var trim = on.Look.Sheet.Trim;
        new BleedBare().Find(on.Look, on.Plates).Single().Place
            .ShouldBe(Box.FromEdges(trim.X - (0.5m * trim.X), trim.Y, trim.X + (0.5m * trim.X), trim.Bottom));
    }

    /// <summary>A finishing ink counts by its likeness: all of it, as much as that has of inks.</summary>
    [Fact]
    public void What_is_laid_counts_finishing_inks_by_their_likeness()
    {
        var on = new Laid(Sample.Job(), 72, 51);
        var plates = on.Plates with
        {
            Finishes = new Dictionary<string, byte[]> { ["Foil"] = [.. Enumerable.Repeat((byte)255,
                on.Wide * on.High)] },
        };
        var likeness = (double)Core.Colour.Finishes.Likeness("Foil").Total;
        likeness.ShouldBeGreaterThan(0);
        plates.Laid(9, 9).ShouldBe(51 + (2.55 * likeness), 0.001);
    }

    private sealed class Known(double gamut, double across, double down) : IAssetFacts
    {
        public (string Source, string Licence)? Stated(Picture picture) => ("a shop", "for any use");
        public string? Fault(Picture picture) => null;
        public double? OutOfGamut(Picture picture, House house) => gamut;
        public (double Across, double Down)? Seams(Picture picture, bool brick) => (across, down);
        public IReadOnlyList<double> Gaps(Pattern pattern) => [];
        public FaceRights Rights(FaceId face) => new("Plain", false, WholeOnly: false);
        public IReadOnlyList<(string Asked, string Face)> FacesOf(Picture picture) => [];
    }

    private static readonly PictureItem Frame = new()
    {
        Id = "p",
        Hold = new(Part.Front, HoldBox.Safe, Anchor.Middle, default, default),
        Width = new(Length.FromInches(2)),
        Height = new(Length.FromInches(2)),
        Picture = new(new string('a', 64), "road.jpg", 3000, 2000, true),
    };

    private static Finding? Of(PlateRule rule, Item item, IAssetFacts kept)
    {
        var on = new Laid(Sample.Job(item), 72);
        return rule.Find(on.Look with { Kept = kept }, on.Plates).SingleOrDefault();
    }

    [Theory]
    [InlineData(0.0049, null, "")]
    [InlineData(0.0051, Severity.Note, "0.5 % of it")]
    [InlineData(0.05, Severity.Note, "5 % of it")]
    [InlineData(0.051, Severity.Caution, "5.1 % of it")]
    public void Half_a_percent_beyond_the_press_is_told_and_a_twentieth_is_much(double share, Severity? weighs,
        string measured)
    {
        var found = Of(new PictureGamut(), Frame, new Known(share, 0, 0));
        (found?.Severity, found?.Measured ?? "", found?.Limit).ShouldBe((weighs, measured, weighs is null ? null
            : "up to 5 %"));
    }

    [Theory]
    [InlineData(3, false)]
    [InlineData(3.1, true)]
    [InlineData(3.8, true)]
    public void Tiles_meet_up_to_a_difference_of_three(double apart, bool found) =>
        (Of(new PictureSeam(), Frame with { Tiling = new(TilingMode.Straight, Mm(10), 0, 0) }, new Known(0, apart,
            0)) is not null).ShouldBe(found);
}
