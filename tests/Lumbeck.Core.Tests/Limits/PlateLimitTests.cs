namespace Lumbeck.Core.Tests.Limits;

/// <summary>Rules that look at the inks as they lie, on plates made for them, on either side of their limits.</summary>
public sealed class PlateLimitTests
{
    private const double PerInch = 72;

    /// <summary>A sheet of one ink, with what else is laid on it; brightness is what the black leaves.</summary>
    private static (CheckContext Look, PlateContext Plates) On(Job job, Action<Action<Box, Ink>>? lay = null)
    {
        var scene = Sample.Scene(job);
        var (wide, high) = ((int)Math.Ceiling(scene.Width), (int)Math.Ceiling(scene.Height));
        var inks = new byte[wide * high * 4];
        var plates = new PlateContext(wide, high, PerInch, inks) { Luminance = Bright, Decode = _ => [] };
        lay?.Invoke((box, ink) =>
        {
            var (l, t, r, b) = plates.Pixels(box);
            byte[] one = [Level(ink.C), Level(ink.M), Level(ink.Y), Level(ink.K)];
            for (var y = t; y < b; y++) for (var x = l; x < r; x++) one.CopyTo(inks, ((y * wide) + x) * 4);
        });
        return (new(job, job.Sheets()[0], scene), plates);
    }

    private static byte Level(int hundredths) => (byte)Math.Round(hundredths * 0.0255);

    private static double Bright(uint inks) => 1 - ((inks >> 24) / 255.0);

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
        var job = new SetHouse(HouseFile.Shipped["tern"] with { InkLimit = 300 }).Apply(Sample.Job());
        var scene = Sample.Scene(job);
        var (wide, high) = ((int)(scene.Width * 300 / 72), (int)(scene.Height * 300 / 72));
        var inks = new byte[wide * high * 4];
        var side = (int)Math.Round((double)mm * 300 / 25.4);
        for (var y = 300; y < 300 + side; y++)
            for (var x = 300; x < 300 + side; x++)
                for (var i = 0; i < 4; i++) inks[(((y * wide) + x) * 4) + i] = (byte)Math.Round(total / 4.0 * 2.55);
        var plates = new PlateContext(wide, high, 300, inks) { Luminance = Bright, Decode = _ => [] };
        new InkTotal().Find(new(job, job.Sheets()[0], scene), plates).Select(f => (Severity?)f.Severity)
            .SingleOrDefault()
            .ShouldBe(severity);
    }
}
