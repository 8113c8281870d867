using System.Text.RegularExpressions;
using System.Xml.Linq;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;
using Lumbeck.Press.Svg;

namespace Lumbeck.Press.Tests;

/// <summary>Screen and file from one scene: the same outlines at the same places.</summary>
public sealed class PainterTests(Pressed pressed) : IClassFixture<Pressed>
{
    private static readonly XNamespace Svg = "http://www.w3.org/2000/svg";

    [Fact]
    public void The_browser_s_glyphs_lie_where_the_file_s_do()
    {
        var scene = pressed.Desk.Jobs.Job("tidewatcher").Composed.Sheets[0].Scene;
        var picture = XDocument.Parse(new SvgPainter(pressed.Desk.Drawer.Shelf,
            pressed.Desk.Drawer.ColourOf(HouseFile.Shipped["tern"]))
            .Picture(scene));
        var outlines = picture.Descendants(Svg + "path").Where(p => p.Attribute("id") is not null)
            .Select(p => p.Attribute("id")!.Value).ToHashSet();
        picture.Descendants(Svg + "text").ShouldBeEmpty();

        // Where each letter of the screen stands, on the page: x from the left, y from the foot.
        var onScreen = new List<(double X, double Y)>();
        foreach (var use in picture.Descendants(Svg + "use"))
        {
            outlines.ShouldContain(use.Attribute("href")!.Value[1..]);
            var m = Affine.Move(Number(use, "x"), Number(use, "y"));
            foreach (var parent in use.Ancestors().Where(a => a.Attribute("transform") is not null))
                m = m.Then(Transform(parent.Attribute("transform")!.Value));
            onScreen.Add((m.E, scene.Height - m.F));
        }
        onScreen.Count.ShouldBeGreaterThan(300);

        // And of the file, as a PDF reader that is not ours makes them out: in the same order, at the same points.
        using var pdf = UglyToad.PdfPig.PdfDocument.Open(pressed.File);
        var inFile = pdf.GetPage(1).Letters.Where(l => !string.IsNullOrWhiteSpace(l.Value))
            .Select(l => (l.StartBaseLine.X, l.StartBaseLine.Y)).ToList();
        inFile.Count.ShouldBe(onScreen.Count);
        for (var i = 0; i < inFile.Count; i++)
        {
            inFile[i].X.ShouldBe(onScreen[i].X, 0.02);
            inFile[i].Y.ShouldBe(onScreen[i].Y, 0.02);
        }
    }

    [Fact]
    public void Screen_and_file_look_the_same_when_both_are_drawn_by_one_renderer_from_the_outlines()
    {
        // The file's text drawn by poppler against the scene's outlines drawn by the painter as filled paths: the inked
        // pixels agree.
        var on = pressed.Desk.Jobs.Job("tidewatcher");
        var outlined = on.Composed.Sheets[0].Scene with
        {
            Items = [.. on.Composed.Sheets[0]
                .Scene.Items.Select(p => p with { Marks = [.. p.Marks.SelectMany(Outlined)] })],
        };
        var file = pressed.Folder["outlined.pdf"];
        using (var s = File.Create(file))
            PressFile.Write(s, [outlined], new(PressKind.X4), on.Job.Ticket.House,
                new("", "", "", DateTimeOffset.UnixEpoch, "x", 1), pressed.Desk.Drawer.Shelf);
        using var a = Drawn(file);
        using var b = Drawn(pressed.File);
        (a.Width, a.Height).ShouldBe((b.Width, b.Height));
        using var apart = (a - b).Abs();
        // Poppler fills a path a little fuller at its edge than a glyph; a letter half a point astray or missing would
        // show far more.
        apart.Max().ShouldBeLessThan(130);
    }

    [Theory]
    [InlineData(0, 0, 0, 0, "#ffffff")]
    [InlineData(0, 0, 0, 100, null)]
    [InlineData(82, 38, 56, 32, null)]
    [InlineData(0, 100, 100, 0, null)]
    public void Screen_colour_comes_through_the_press_profile(int c, int m, int y, int k, string? exactly)
    {
        var hex = new PressColour(new("coated-fogra39-300")).Hex(Ink.Percent(c, m, y, k));
        if (exactly is not null) hex.ShouldBe(exactly);
        // Ghostscript with the same two profiles is the second opinion.
        using var folder = new Folder();
        File.WriteAllText(folder["one.ps"],
            $"%!PS\n<< /PageSize [10 10] >> setpagedevice {c / 100.0} {m / 100.0} {y / 100.0} {k / 100.0} " +
            $"setcmykcolor 0 0 10 10 rectfill showpage\n".Replace(',', '.'));
        Tool.Run("gs", "-q", "-dNOPAUSE", "-dBATCH", $"--permit-file-read={AppContext.BaseDirectory}",
            $"-sDefaultCMYKProfile={Profiles.PathOf("coated-fogra39-300")}",
            $"-sOutputICCProfile={Profiles.PathOf("sRGB")}", "-dRenderIntent=1", "-dBlackPtComp=0", "-sDEVICE=ppmraw",
            "-r72", $"-sOutputFile={folder["one.ppm"]}", folder["one.ps"]);
        var ppm = File.ReadAllBytes(folder["one.ppm"]);
        var rgb = ppm.AsSpan(ppm.Length - 3);
        for (var i = 0; i < 3; i++)
            Math.Abs(Convert.ToInt32(hex.Substring(1 + (2 * i), 2), 16) - rgb[i])
                .ShouldBeLessThanOrEqualTo(2, $"{hex} against {Convert.ToHexString(rgb)}");
    }

    [Fact]
    public void A_house_s_colours_come_through_its_own_profile_and_a_missing_one_is_named() =>
        Should.Throw<Refusal>(() =>
            pressed.Desk.Drawer.ColourOf(HouseFile.Shipped["tern"] with { Profile = "../nowhere" }))
            .Message
            .ShouldContain("no profile is called `../nowhere`");

    [Fact]
    public void A_face_s_outlines_have_the_face_s_own_integers()
    {
        var shelf = pressed.Desk.Drawer.Shelf;
        var face = new FaceId("eb-garamond", 400, false);
        var glyph = shelf.Shape(face, "H", true).Glyphs.Single();
        var points = shelf.Glyph(face, glyph.Id).Points;
        points.ShouldNotBeEmpty();
        points.ShouldAllBe(p => p * 2 == Math.Round(p * 2));
        shelf.Metrics(face).UnitsPerEm.ShouldBe(1000);
    }

    [Fact]
    public void Eight_families_and_more_are_on_the_shelf_each_with_its_licence()
    {
        var families = pressed.Desk.Drawer.Shelf.Faces.Select(f => f.Family).Distinct().ToList();
        families.Count.ShouldBeGreaterThanOrEqualTo(8);
        foreach (var family in families)
            new FileInfo(Path.Combine(AppContext.BaseDirectory, "faces", family, "LICENSE.txt"))
                .Length.ShouldBeGreaterThan(1000);
        foreach (var face in pressed.Desk.Drawer.Shelf.Faces)
            pressed.Desk.Drawer.Shelf.Shape(face, "Lumbeck", true).Glyphs.ShouldAllBe(g => g.Id != 0);
    }

    private IEnumerable<Mark> Outlined(Mark mark)
    {
        if (mark is not GlyphMark g) return [mark];
        var scale = g.Size / pressed.Desk.Drawer.Shelf.Metrics(g.Face).UnitsPerEm;
        return g.Glyphs.Select(glyph =>
        {
            var o = pressed.Desk.Drawer.Shelf.Glyph(g.Face, glyph.Id);
            return (Mark)new FillMark(new(o.Strokes,
                [.. o.Points.Select((p, i) => i % 2 == 0 ? g.X + glyph.X + (p * scale) : g.Y + glyph.Y - (p * scale))]),
                g.Ink, g.Overprint);
        });
    }

    /// <summary>
    /// The page at 75 pixels per inch, each the mean of 4 × 4: what a renderer's glyph grid shifts by a fraction of a
    /// pixel does not show.
    /// </summary>
    private static NetVips.Image Drawn(string pdf)
    {
        var name = Path.ChangeExtension(pdf, null) + "-look";
        Tool.Run("pdftoppm", "-r", "300", "-gray", "-png", "-singlefile", pdf, name);
        using var full = NetVips.Image.NewFromFile(name + ".png");
        return full.Shrink(4, 4).CopyMemory();
    }

    private static double Number(XElement e, string name) =>
        e.Attribute(name) is { } a ? double.Parse(a.Value, CultureInfo.InvariantCulture) : 0;

    private static Affine Transform(string text)
    {
        var m = Affine.Identity;
        // Leftmost is outermost: applied last.
        foreach (var part in Regex.Matches(text, @"(\w+)\(([^)]*)\)").Reverse())
        {
            var n = part.Groups[2].Value.Split(' ', StringSplitOptions.RemoveEmptyEntries)
                .Select(x => double.Parse(x, CultureInfo.InvariantCulture)).ToArray();
            m = m.Then(part.Groups[1]
                .Value switch
            {
                "translate" => Affine.Move(n[0], n[1]),
                "scale" => new(n[0], 0, 0, n[0], 0, 0),
                _ => new(n[0], n[1], n[2], n[3], n[4], n[5]),
            });
        }
        return m;
    }
}
