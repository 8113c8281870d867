using System.Text;
using Lumbeck.Press.Drawn;
using NetVips;

namespace Lumbeck.Press.Tests.Drawings;

/// <summary>All drawings as Chromium draws them, on one page, taken once.</summary>
public sealed class Chromium : IDisposable
{
    public const int Across = 10, Wide = 120, High = 90;

    private readonly Folder _folder = new();
    private readonly byte[] _pixels;
    private readonly int _wide;

    public Chromium()
    {
        var page = new StringBuilder("<!doctype html><style>body{margin:0;background:#fff;width:1200px;line-height:0}" +
            "img{width:120px;height:90px;display:inline-block}</style>");
        foreach (var (_, svg) in All.Of)
            page.Append("<img src='data:image/svg+xml;base64,")
                .Append(Convert.ToBase64String(Encoding.UTF8.GetBytes(svg))).Append("'>");
        File.WriteAllText(_folder["page.html"], page.ToString());
        var rows = (All.Of.Count + Across - 1) / Across;
        // The browser is given our faces as those of its machine.
        File.WriteAllText(_folder["fonts.conf"], $"<fontconfig><dir>{Path.Combine(AppContext.BaseDirectory, "faces")}</dir>" +
            $"<cachedir>{_folder["fonts"]}</cachedir></fontconfig>");
        Tool.Chromium(_folder, "page", Across * Wide, (rows * High) + 200, _folder["fonts.conf"]);
        using var shot = Image.NewFromFile(_folder["page.png"]);
        using var plain = shot.Bands > 3 ? shot.Flatten(background: [255, 255, 255]) : shot.Copy();
        (_pixels, _wide) = (plain.WriteToMemory<byte>(), plain.Width);
    }

    /// <summary>Red, green and blue at a pixel of a drawing.</summary>
    public ReadOnlySpan<byte> At(int drawing, int x, int y) =>
        _pixels.AsSpan((((((drawing / Across * High) + y) * _wide) + (drawing % Across * Wide) + x)) * 3, 3);

    public void Dispose() => _folder.Dispose();
}

/// <summary>Drawings as they are read, painted by the plate painter, beside what Chromium draws.</summary>
public sealed class ChromiumTests(Chromium chromium, Pressed pressed) : IClassFixture<Chromium>, IClassFixture<Pressed>
{
    public static TheoryData<int, string> Drawings()
    {
        var all = new TheoryData<int, string>();
        for (var i = 0; i < All.Of.Count; i++) all.Add(i, All.Of[i].Name);
        return all;
    }

    [Theory]
    [MemberData(nameof(Drawings))]
    public void A_drawing_is_read_as_a_browser_draws_it(int number, string name)
    {
        // Inks that are a screen's colours the other way round, so that both can be laid side by side.
        var read = SvgReading.Read(Encoding.UTF8.GetBytes(All.Of[number].Svg), "d.svg",
            c => new((255 - c.R) * 10_000 / 255, (255 - c.G) * 10_000 / 255, (255 - c.B) * 10_000 / 255, 0), pressed.Desk.Drawer.Shelf);
        ((double)read.Wide / read.High).ShouldBe(4 / 3.0, 0.01);
        var place = new Affine((double)Chromium.Wide / read.Wide, 0, 0, (double)Chromium.High / read.High, 0, 0);
        var drawn = new DrawnItem("d", Part.Sheet, Affine.Identity, [.. Moved.All(read.Marks, place)],
            new(0, 0, Chromium.Wide, Chromium.High), new(0, 0, Chromium.Wide, Chromium.High));
        var on = pressed.Desk.Jobs.Job("tidewatcher");
        var painted = pressed.Desk.Drawer.PlatesOf(on.Job.Ticket.House)
            .Paint(new(on.Composed.Sheets[0].Sheet, [drawn]), new(0, 0, Chromium.Wide, Chromium.High), 72);
        var apart = new bool[Chromium.Wide * Chromium.High];
        for (var p = 0; p < apart.Length; p++)
        {
            var theirs = chromium.At(number, p % Chromium.Wide, p / Chromium.Wide);
            for (var i = 0; i < 3; i++) apart[p] |= Math.Abs(255 - painted.Inks[(p * 4) + i] - theirs[i]) > 24;
        }
        // Edges may be smoothed otherwise, a pixel wide; what is drawn otherwise is wider.
        var places = Enumerable.Range(0, apart.Length - Chromium.Wide - 1)
            .Where(p => apart[p] && apart[p + 1] && apart[p + Chromium.Wide] && apart[p + Chromium.Wide + 1]).ToList();
        places.Count.ShouldBeLessThanOrEqualTo(3,
            $"{name}: apart at {string.Join(", ", places.Take(5).Select(p => $"{p % Chromium.Wide},{p / Chromium.Wide}"))}");
    }
}
