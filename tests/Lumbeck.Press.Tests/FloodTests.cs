using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;

namespace Lumbeck.Press.Tests;

/// <summary>
/// Colouring pages as a pen meets them: pressed, made into pixels by poppler, and every white region flooded. What runs
/// out of a gap reaches the page's margin; what is too small can't be coloured.
/// </summary>
public sealed class FloodTests(PagesDesk pages) : IClassFixture<PagesDesk>
{
    private const int Dpi = 127;
    private const double MmAPixel = 25.4 / Dpi;

    /// <summary>What such a page has within its margins, in mm².</summary>
    private const double Box = 126 * 184;

    [Fact, Wide]
    public void Every_colouring_page_has_closed_regions_that_are_large_enough()
    {
        var kinds = Sweep.Spread(ColouringPage.Kinds.SelectMany(k => (ColouringWeight[])[ColouringWeight.Adults, ColouringWeight.Children],
            (k, w) => (k.Word, k.First, Weight: w)), every: Sweep.IsWide ? 3 : 7).ToList();
        var on = pages.Begin(new()
        {
            Folio = new() { Place = FolioPlace.None },
            Runs = [.. kinds.Select((k, n) => new PageRun
            {
                Id = $"r{n}",
                Designs = [((ColouringPage)DesignShelf.Of("colouring")) with { Of = k.Word, Seed = n + 3, Lines = k.Weight }],
            })],
        });
        var file = pages.Write(on, new(PressKind.X1a) { Inside = true, Marks = false });
        var at = pages.Folder["colour"];
        Tool.Run("pdftoppm", "-gray", "-r", $"{Dpi}", file, at);
        foreach (var ((word, first, weight), page) in kinds.Zip(Directory.GetFiles(Path.GetDirectoryName(at)!, "colour-*.pgm").Order()))
        {
            var regions = Regions(File.ReadAllBytes(page), weight == ColouringWeight.Adults ? 1.25 : 2.5);
            regions.Count.ShouldBeGreaterThanOrEqualTo(3, $"{word} {weight}");
            var (least, median) = weight == ColouringWeight.Children ? (25, 40) : (9, 9);
            regions.Min().ShouldBeGreaterThanOrEqualTo(least * 0.97, $"{word} {weight}");
            regions.Order().ElementAt(regions.Count / 2).ShouldBeGreaterThanOrEqualTo(median, $"{word} {weight}");
            // Nothing runs out: what lies round an ornament is the one that is larger than the rest.
            if (first is not Ornament) regions.Sum().ShouldBeInRange(0.88 * Box, 1.01 * Box, $"{word} {weight}");
        }
    }

    /// <summary>
    /// The areas in mm² of all white regions within the page's frame, each as far as the middle of its lines.
    /// </summary>
    private static List<double> Regions(byte[] pgm, double line)
    {
        var head = System.Text.Encoding.ASCII.GetString(pgm, 0, 40).Split(['\n', ' '], 5);
        var (w, h) = (int.Parse(head[1]), int.Parse(head[2]));
        var dots = pgm.AsSpan(pgm.Length - (w * h));
        var owner = new int[w * h];
        var sizes = new List<int>();
        var next = new Queue<(int At, int Far)>();
        var open = new Stack<int>();
        for (var n = 0; n < dots.Length; n++)
        {
            if (owner[n] != 0 || dots[n] < 128) continue;
            sizes.Add(0);
            owner[n] = sizes.Count;
            open.Push(n);
            while (open.TryPop(out var at))
            {
                sizes[^1]++;
                next.Enqueue((at, 0));
                foreach (var beside in Beside(at, w, h))
                    if (owner[beside] == 0 && dots[beside] >= 128)
                    {
                        owner[beside] = sizes.Count;
                        open.Push(beside);
                    }
            }
        }
        var reach = (int)Math.Round(line / 2 / 72 * Dpi);
        while (next.TryDequeue(out var from))
            foreach (var beside in Beside(from.At, w, h))
                if (owner[beside] == 0 && from.Far < reach)
                {
                    owner[beside] = owner[from.At];
                    sizes[owner[from.At] - 1]++;
                    next.Enqueue((beside, from.Far + 1));
                }
        // The first is the margin round the frame.
        return [.. sizes.Skip(1).Select(s => s * MmAPixel * MmAPixel)];
    }

    private static IEnumerable<int> Beside(int at, int w, int h)
    {
        var x = at % w;
        if (x > 0) yield return at - 1;
        if (x < w - 1) yield return at + 1;
        if (at >= w) yield return at - w;
        if (at < w * (h - 1)) yield return at + w;
    }
}
