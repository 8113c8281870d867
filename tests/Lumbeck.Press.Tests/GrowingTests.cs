using Lumbeck.Press.Growing;
using NetVips;

namespace Lumbeck.Press.Tests;

/// <summary>Pictures grown beyond their edges: the same every time, without a seam, on six kinds of picture.</summary>
public sealed class GrowingTests : IDisposable
{
    private const int Wide = 320, High = 240, Margin = 36;
    private readonly Folder _folder = new();

    public void Dispose() => _folder.Dispose();

    private static Grown How(GrowWay way, int seed = 1, Flip flip = Flip.None) =>
        new(new string('a', 64), way, seed, flip, 0, 0, 1, 1, (double)Margin / Wide, (double)Margin / High,
            (double)Margin / Wide, (double)Margin / High);

    private Image Grow(string kind, Grown how, bool preview = false, int times = 1)
    {
        var path = _folder[$"{kind}-{times}.jpg"];
        if (!File.Exists(path)) File.WriteAllBytes(path, Textures.Jpeg(kind, Wide * times, High * times));
        var output = _folder[Guid.NewGuid().ToString("n")];
        var told = 0.0;
        var result = Grower.Make(path, how, (Wide + (2 * Margin)) * times, preview, output,
            share => { share.ShouldBeGreaterThanOrEqualTo(told); told = share; });
        told.ShouldBe(1);
        var image = Image.NewFromFile(output);
        (image.Width, image.Height).ShouldBe((result.Wide, result.High));
        return image;
    }

    public static TheoryData<string, GrowWay> Cases()
    {
        var all = new TheoryData<string, GrowWay>();
        foreach (var kind in Textures.Kinds) all.Add(kind, GrowWay.Synthesis);
        foreach (var way in (GrowWay[])[GrowWay.Mirror, GrowWay.Stretch, GrowWay.Soft]) all.Add("sky", way);
        return all;
    }

    [Theory]
    [MemberData(nameof(Cases))]
    public void Where_the_picture_ends_the_step_is_no_larger_than_within_it(string kind, GrowWay way)
    {
        using var grown = Grow(kind, How(way));
        (grown.Width, grown.Height).ShouldBe((Wide + (2 * Margin), High + (2 * Margin)));
        using var gray = grown.Colourspace(Enums.Interpretation.Bw);
        var p = gray.WriteToMemory<byte>();
        int at(int x, int y) => p[(y * grown.Width) + x];
        double across(int x) => Enumerable.Range(Margin, High).Average(y => Math.Abs(at(x, y) - at(x - 1, y)));
        double down(int y) => Enumerable.Range(Margin, Wide).Average(x => Math.Abs(at(x, y) - at(x, y - 1)));
        static double median(IEnumerable<double> of) => of.Order().ElementAt(of.Count() / 2);
        var (usualAcross, usualDown) = (median(Enumerable.Range(Margin + 4, Wide - 8).Select(across)),
            median(Enumerable.Range(Margin + 4, High - 8).Select(down)));
        foreach (var x in (int[])[Margin, Margin + Wide]) across(x).ShouldBeLessThan((1.5 * usualAcross) + 0.3);
        foreach (var y in (int[])[Margin, Margin + High]) down(y).ShouldBeLessThan((1.5 * usualDown) + 0.3);
        // The picture itself is where it was.
        using var known = Image.NewFromFile(_folder[$"{kind}-1.jpg"]);
        using var same = (grown.ExtractArea(Margin, Margin, Wide, High) - known).Abs();
        same.Avg().ShouldBeLessThan(3);
    }

    [Fact]
    public void The_same_recipe_gives_the_same_pixels_and_another_seed_others()
    {
        using var one = Grow("foliage", How(GrowWay.Synthesis));
        using var again = Grow("foliage", How(GrowWay.Synthesis));
        using var other = Grow("foliage", How(GrowWay.Synthesis, seed: 2));
        (one - again).Abs().Max().ShouldBe(0);
        using var ring = (one - other).Abs();
        ring.Avg().ShouldBeGreaterThan(0.5);
        using var within = ring.ExtractArea(Margin + 8, Margin + 8, Wide - 16, High - 16);
        within.Avg().ShouldBeLessThan(0.6);
    }

    [Fact]
    public void What_is_synthesised_has_as_much_grain_as_the_picture_and_none_of_its_mirror()
    {
        using var grown = Grow("grass", How(GrowWay.Synthesis));
        using var gray = grown.Colourspace(Enums.Interpretation.Bw);
        double rough(int x, int y, int w, int h)
        {
            using var a = gray.ExtractArea(x, y, w, h);
            using var g = a.Sobel();
            return g.Avg();
        }
        rough(Margin, 2, Wide, Margin - 6).ShouldBeGreaterThan(0.6 * rough(Margin, Margin, Wide, High));
        using var mirror = Grow("grass", How(GrowWay.Mirror));
        (grown.ExtractArea(0, 0, Wide, Margin) - mirror.ExtractArea(0, 0, Wide, Margin)).Abs().Avg()
            .ShouldBeGreaterThan(8);
    }

    [Fact]
    public void A_preview_is_the_whole_grown_picture_coarser()
    {
        using var whole = Grow("water", How(GrowWay.Synthesis), times: 4);
        using var preview = Grow("water", How(GrowWay.Synthesis), preview: true, times: 4);
        preview.Width.ShouldBeLessThanOrEqualTo(Grower.PreviewWide);
        using var small = whole.Resize((double)preview.Width / whole.Width,
            vscale: (double)preview.Height / whole.Height);
        (small - preview).Abs().Avg().ShouldBeLessThan(9);
    }

    [Fact]
    public void It_can_be_left_in_the_midst_and_leaves_nothing()
    {
        File.WriteAllBytes(_folder["p.jpg"], Textures.Jpeg("paper", Wide, High));
        using var cancel = new CancellationTokenSource();
        Should.Throw<OperationCanceledException>(() =>
            Grower.Make(_folder["p.jpg"], How(GrowWay.Synthesis), Wide + 96, false, _folder["out.jpg"],
                _ => cancel.Cancel(), cancel.Token));
        File.Exists(_folder["out.jpg"]).ShouldBeFalse();
    }

    [Theory]
    [InlineData("")]
    [InlineData("x_1_2")]
    [InlineData("aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa_9_1_0_0_0_1000000_1000000_0_0_0_0")]
    [InlineData("aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa_3_1_0_0_0_1000000_1000000_99000000_0_0_0")]
    [InlineData("../../../../../../../../../../../../../../../../etc/passwdaaaaaa_3_1_0_0_0_1000000_1000000_0_0_0_0")]
    public void A_recipe_that_no_cover_has_is_not_read(string recipe) => Grown.Read(recipe).ShouldBeNull();

    [Fact]
    public void More_pixels_than_can_be_made_are_refused_before_one_is()
    {
        File.WriteAllBytes(_folder["thin.jpg"], Textures.Jpeg("paper", 64, 48));
        var thin = Grown.Read($"{new string('a', 64)}_3_1_0_0_0_1_1000000_0_0_0_0")!;
        Should.Throw<Refusal>(() => Grower.Make(_folder["thin.jpg"], thin, 1200, true, _folder["out.jpg"]))
            .Message.ShouldContain("million");
    }

    [Fact]
    public void A_recipe_is_read_back_as_it_was_written()
    {
        var how = How(GrowWay.Soft, 7, Flip.Both);
        Grown.Read(how.Recipe)!.Recipe.ShouldBe(how.Recipe);
    }
}
