namespace Lumbeck.Core.Tests.Limits;

/// <summary>Rules that look at the inks as they lie, on plates made for them, on either side of their limits.</summary>
public sealed class PlateLimitTests
{
    /// <summary>A sheet of bare paper, with what is laid on it.</summary>
    private static (CheckContext Look, PlateContext Plates) On(Job job, Action<Action<Box, Ink>>? lay = null)
    {
        var on = new Laid(job, 72);
        lay?.Invoke((box, ink) =>
        {
            foreach (var (n, level) in new[] { ink.C, ink.M, ink.Y, ink.K }.Index())
                on.Lay(box, n, (int)Math.Round(level * 0.0255));
        });
        return (on.Look, on.Plates);
    }

    private static BarcodeItem Bars => new()
    {
        Id = "bars",
        Hold = new(Part.Back, HoldBox.Room, Anchor.Middle, default, default),
    };

    /// <summary>
    /// Grounds and bars by what red light comes back from them: 0.9 of the cyan and 0.95 of the black are taken away.
    /// </summary>
    [Theory]
    [InlineData(0, 0, 100, false)]
    [InlineData(0, 0, 62, false)]
    [InlineData(0, 0, 56, true)]
    // Bars of both come to almost nothing: what is left is the ground's own light, 0.613 and 0.595.
    [InlineData(43, 100, 100, false)]
    [InlineData(45, 100, 100, true)]
    public void Bars_need_a_ground_that_is_light_enough_and_bars_that_are_dark_enough(int ground, int cyan, int black,
        bool found)
    {
        var job = Sample.Job(Bars);
        var place = Sample.Scene(job).Item("bars")!.Frame.ToBox();
        var (look, plates) = On(job, lay =>
        {
            lay(place, Ink.Percent(ground, 0, 0, 0));
            lay(place with { Width = 0.3m * place.Width }, Ink.Percent(cyan, 0, 0, black));
        });
        new BarcodeInk().Find(look, plates).Any().ShouldBe(found);
    }

    /// <summary>4.5 to 1; 3 to 1 from 18 points on, or from 14 in a bold face.</summary>
    [Theory]
    [InlineData(17.9, 400, 4.6, false)]
    [InlineData(17.9, 400, 4.4, true)]
    [InlineData(18, 400, 4.4, false)]
    [InlineData(18, 400, 2.9, true)]
    [InlineData(13.9, 700, 4.4, true)]
    [InlineData(14, 700, 4.4, false)]
    [InlineData(14, 700, 2.9, true)]
    [InlineData(14, 699, 4.4, true)]
    public void Words_stand_out_as_their_size_and_weight_ask(double size, int weight, double contrast, bool found)
    {
        var job = Sample.Job(Sample.Text("w", "words"));
        var (look, plates) = On(job);
        // Black letters on a tint of black that is so many times as bright as they are, with the 0.05 of both.
        var under = (uint)Math.Round(255 * (1 - ((contrast * 0.05) - 0.05))) << 24;
        IReadOnlyList<Behind> letters = [new(Ink.Black, false, size, weight, [.. Enumerable.Repeat(under, 40)])];
        var by = plates with { Letters = new Dictionary<string, IReadOnlyList<Behind>> { ["w"] = letters } };
        new TextContrast().Find(look, by).Any(f => f.Item == "w").ShouldBe(found);
    }

    /// <summary>Letters cross small spots: the worst seventh of them is spared.</summary>
    [Theory]
    [InlineData(5, false)]
    [InlineData(7, true)]
    public void A_small_share_of_the_letters_may_stand_out_less(int bad, bool found)
    {
        var job = Sample.Job(Sample.Text("w", "words"));
        var (look, plates) = On(job);
        IEnumerable<uint> under = [.. Enumerable.Repeat(0xFF000000u, bad), .. Enumerable.Repeat(0u, 40 - bad)];
        IReadOnlyList<Behind> letters = [new(Ink.Black, false, 12, 400, [.. under])];
        var by = plates with { Letters = new Dictionary<string, IReadOnlyList<Behind>> { ["w"] = letters } };
        new TextContrast().Find(look, by).Any().ShouldBe(found);
    }

    [Theory]
    [InlineData(2.9, true)]
    [InlineData(3.1, false)]
    public void A_title_stands_out_as_small_as_shops_show_it(double contrast, bool found)
    {
        var job = Sample.Job();
        var (look, plates) = On(job);
        IReadOnlyList<(double, double)> pixels = [.. Enumerable.Repeat((0.0, (contrast * 0.05) - 0.05), 20)];
        var by = plates with
        {
            Letters = new Dictionary<string, IReadOnlyList<Behind>> { ["title"] = [] },
            InShops = new Dictionary<string, IReadOnlyList<(double With, double Without)>> { ["title"] = pixels },
        };
        new TextContrast().Find(look, by).Any(f => f.Item == "title").ShouldBe(found);
    }

    /// <summary>A stop from 20 points over the house's limit on; less than a square millimetre is a speck.</summary>
    [Theory]
    [InlineData(2, 320, Severity.Stop)]
    [InlineData(2, 318, Severity.Caution)]
    [InlineData(0.4, 340, null)]
    public void Too_much_ink_is_a_caution_and_far_too_much_a_stop(decimal mm, int total, Severity? severity)
    {
        var on = new Laid(new SetHouse(HouseFile.Shipped["tern"] with { InkLimit = 300 }).Apply(Sample.Job()), 300);
        var side = (int)Math.Round((double)mm * 300 / 25.4);
        for (var ink = 0; ink < 4; ink++) on.Lay(300, 300, side, side, ink, (int)Math.Round(total / 4.0 * 2.55));
        new InkTotal().Find(on.Look, on.Plates).Select(f => (Severity?)f.Severity).SingleOrDefault()
            .ShouldBe(severity);
    }

    /// <summary>Letters lie on what was there as their opacity and blend say, plate by plate.</summary>
    [Theory]
    [InlineData(100, Blend.Normal, 0)]
    [InlineData(50, Blend.Normal, 0)]
    [InlineData(100, Blend.Multiply, 102)]
    [InlineData(100, Blend.Screen, 102)]
    public void What_letters_come_to_lie_as_is_reckoned_plate_by_plate(int opacity, Blend blend, int under)
    {
        var job = Sample.Job(Sample.Text("w", "words") with { Opacity = opacity, Blend = blend });
        List<uint> asked = [];
        var on = new Laid(job, 72);
        IReadOnlyList<Behind> letters = [new(Ink.Percent(60, 0, 0, 40), false, 12, 400,
            [(uint)under << 24 | (uint)under])];
        var plates = on.Plates with
        {
            Letters = new Dictionary<string, IReadOnlyList<Behind>> { ["w"] = letters },
            Luminance = inks => { asked.Add(inks); return 0.5; },
        };
        _ = new TextContrast().Find(on.Look, plates).ToList();
        uint laid(double ink) => (uint)Math.Round(under + (((blend switch
        {
            Blend.Multiply => under + ink - (under * ink / 255),
            Blend.Screen => under * ink / 255,
            _ => ink,
        }) - under) * opacity / 100.0));
        asked.ShouldContain(laid(153) | (laid(102) << 24));
        asked.ShouldContain((uint)under << 24 | (uint)under);
    }

    /// <summary>A title is seen small where more than eight of its pixels differ, and by the best tenth of them.</summary>
    [Theory]
    [InlineData(8, 8, false)]
    [InlineData(9, 9, true)]
    [InlineData(20, 19, true)]
    [InlineData(20, 18, false)]
    public void A_title_is_seen_small_by_its_best_tenth(int pixels, int faint, bool found)
    {
        var on = new Laid(Sample.Job(), 72);
        IReadOnlyList<(double, double)> seen =
            [.. Enumerable.Range(0, pixels).Select(n => (0.0, ((n < faint ? 2.5 : 6) * 0.05) - 0.05))];
        var plates = on.Plates with
        {
            Letters = new Dictionary<string, IReadOnlyList<Behind>> { ["title"] = [] },
            InShops = new Dictionary<string, IReadOnlyList<(double With, double Without)>> { ["title"] = seen },
        };
        new TextContrast().Find(on.Look, plates).Any().ShouldBe(found);
    }
}
