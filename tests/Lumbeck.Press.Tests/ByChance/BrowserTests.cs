using System.Text;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;
using Lumbeck.Press.Svg;
using NetVips;

namespace Lumbeck.Press.Tests.ByChance;

/// <summary>
/// Small random jobs as Chromium draws their SVG, beside poppler's drawing of their file in a screen's colours: the
/// page shows what the press will lay.
/// </summary>
public sealed class BrowserTests(RandomDesk random) : IClassFixture<RandomDesk>
{
    private const int First = 1, Across = 7;
    private static readonly int Count = Sweep.Many(14, 10, 5);
    private const double Scale = 1.5;

    [Fact]
    public void The_page_shows_what_the_file_prints()
    {
        var jobs = Enumerable.Range(First, Count).Select(seed => random.On(random.Jobs.Small(seed))).ToList();
        var house = jobs[0].Job.Ticket.House;
        var scenes = jobs.Select(j => j.Composed.Sheets[0].Scene).ToList();
        // All on one page, each at a place of whole pixels; and all as pages of one file.
        var (wide, high) = ((int)(scenes[0].Width * Scale), (int)(scenes[0].Height * Scale));
        var page =
            new StringBuilder("<!doctype html><style>body{margin:0;background:#fff}img{position:absolute}</style>");
        for (var i = 0; i < scenes.Count; i++)
            page.Append(CultureInfo.InvariantCulture,
                $"<img style='left:{i % Across * wide}px;top:{i / Across * high}px;" +
                $"width:{wide}px;height:{high}px' " +
                $"src='data:image/svg+xml;base64,{Convert.ToBase64String(Encoding.UTF8.GetBytes(Drawn(scenes[i], house, wide, high)))}'>");
        File.WriteAllText(random.Folder["page.html"], page.ToString());
        Tool.Chromium(random.Folder, "page", Across * wide, (((Count + Across - 1) / Across) * high) + 200);
        var file = random.Folder["screen.pdf"];
        using (var s = File.Create(file))
            PressFile.Write(s, scenes, new(PressKind.Pdf) { Rgb = true, Marks = false }, house,
                new("By chance", "", "", DateTimeOffset.UnixEpoch, "chance", 1), random.Desk.Drawer.Shelf,
                random.Desk.Drawer.Pictures);
        Tool.Run("pdftoppm", "-r", (72 * Scale).ToString(CultureInfo.InvariantCulture), "-png", file,
            random.Folder["screen"]);
        string[] pages = [.. Directory.GetFiles(random.Folder.Path, "screen-*.png").Order(StringComparer.Ordinal)];
        pages.Length.ShouldBe(Count);
        using var shot = Image.NewFromFile(random.Folder["page.png"]);
        using var plain = (shot.Bands > 3 ? shot.Flatten(background: [255, 255, 255]) : shot.Copy()).CopyMemory();
        for (var i = 0; i < scenes.Count; i++)
        {
            using var drawn = Image.NewFromFile(pages[i]);
            var (w, h) = (Math.Min(wide, drawn.Width), Math.Min(high, drawn.Height));
            using var web = plain.Crop(i % Across * wide, i / Across * high, w, h).CopyMemory();
            using var paper = drawn.Crop(0, 0, w, h).CopyMemory();
            // An edge, and what is within two pixels of one, may be smoothed otherwise.
            var edges = Edges(web).Zip(Edges(paper), (one, other) => one || other).ToArray();
            using var differ = (web - paper).Abs();
            var bands = differ.Cast(Enums.BandFormat.Uchar).WriteToMemory<byte>();
            var mixed = Mixed(scenes[i], wide, high);
            var apart = Enumerable.Range(0, w * h)
                .Where(p => !edges[p] && !mixed[(p / w * wide) + (p % w)])
                .Select(p => (int)Math.Max(bands[p * 3], Math.Max(bands[(p * 3) + 1], bands[(p * 3) + 2]))).ToList();
            if (apart.Count < 2000) continue;
            apart.Sort();
            var most = apart[(int)(apart.Count * 0.95)];
            most.ShouldBeLessThanOrEqualTo(7,
                $"seed {First + i}: at the 95th of a hundred {most} of 255, at most {apart[^1]}");
            if (Environment.GetEnvironmentVariable("LUMBECK_TEST_FIGURES") is { } figures)
                File.AppendAllText(figures,
                    string.Create(CultureInfo.InvariantCulture,
                        $"browser seed {First + i}: 95th {most}, 99th {apart[(int)(apart.Count * 0.99)]}, most {apart[^1]}\n"));
        }
    }

    private string Drawn(Scene scene, House house, int wide, int high)
    {
        var condition = PrintingCondition.Of(house);
        var svg = new SvgPainter(random.Desk.Drawer.Shelf, new PressColour(condition),
            within: new Within(random.Desk, condition))
            .Picture(scene);
        // As large as its page has it, so that no pixel falls between.
        return string.Create(CultureInfo.InvariantCulture,
            $"<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"{wide}\" height=\"{high}\" viewBox=\"0 0 " +
                $"{wide / Scale} {high / Scale}\">{svg}</svg>");
    }

    private sealed class Within(Desk.AppServices desk, PrintingCondition condition) : IPictureLinks
    {
        public string Of(Picture picture, bool convert) =>
            new Desk.Assets.PictureData(desk.Drawer.Pictures, condition).Of(picture, convert);
        public string Of(GrownMark mark) => "";
    }

    /// <summary>Where something blends, the page shows the plates and not the browser's own mixing.</summary>
    private static bool[] Mixed(Scene scene, int wide, int high)
    {
        var there = new bool[wide * high];
        foreach (var drawnItem in scene.Items.Where(p =>
            p.Mixes || p.Softens || p.SeesThrough || p.Marks.Any(m => m.Finish is not null)))
        {
            var b = drawnItem.Reach;
            for (var y = Math.Max(0, (int)(b.Top * Scale) - 2); y < Math.Min(high, (int)(b.Bottom * Scale) + 3); y++)
                for (var x = Math.Max(0, (int)(b.Left * Scale) - 2); x < Math.Min(wide, (int)(b.Right * Scale) + 3);
                    x++)
                    there[(y * wide) + x] = true;
        }
        return there;
    }

    private static bool[] Edges(Image image)
    {
        using var range = image.Rank(5, 5, 24) - image.Rank(5, 5, 0);
        using var three = (range[0] > 24) | (range[1] > 24) | (range[2] > 24);
        return [.. three.WriteToMemory<byte>().Select(v => v > 0)];
    }
}
