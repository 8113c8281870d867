using System.Text;
using System.Text.RegularExpressions;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;

namespace Lumbeck.Press.Tests;

/// <summary>Type in press files, read back by poppler in every script.</summary>
public sealed partial class TextTests
{
    internal static readonly FaceShelf Shelf = new();

    /// <summary>A front with one text on it.</summary>
    internal static (Job Job, Scene Scene) Front(TextItem text, string language = "en", Part panel = Part.Front,
        FaceShelf? shelf = null)
    {
        var house = HouseFile.Shipped["tern"];
        var job = Starters.Job(house, "Type");
        job = job with
        {
            Ticket = job.Ticket with { Language = language, Pages = 300, Reading = Language.Of(language).Reading },
        };
        job = new AddItem(text with { Id = "t", Hold = new(panel, HoldBox.Safe, Anchor.Top, default, default) })
            .Apply(job);
        var on = job.Sheets()[0];
        return (job, SceneBuilder.Build(job, on, shelf ?? Shelf));
    }

    internal static TextItem Item(string words, string family = "eb-garamond", decimal size = 14, decimal wide = 300,
        decimal high = 500, Align align = Align.Left) => new()
        {
            Id = "t",
            Hold = new(Part.Front, HoldBox.Safe, Anchor.Top, default, default),
            Words = words,
            Width = new(Length.FromPoints(wide)),
            Height = new(Length.FromPoints(high)),
            Style = new()
            {
                Face = Shelf.Faces.First(f => f.Family == family),
                Size = Length.FromPoints(size),
                Align = align
            },
        };

    internal static void Press(Folder folder, Scene scene, bool outlines = false, FaceShelf? shelf = null)
    {
        using var file = File.Create(folder["t.pdf"]);
        PressFile.Write(file, [scene], new(PressKind.X4) { Outlines = outlines }, HouseFile.Shipped["tern"],
            new("Type", "", "", DateTimeOffset.UnixEpoch, "t", 1), shelf ?? Shelf);
    }

    [GeneratedRegex(@"\s+")]
    private static partial Regex Gaps();

    /// <summary>Words as they compare: composed, spaces collapsed, without what only guides their setting.</summary>
    private static string Plain(string words) =>
        Gaps()
            .Replace(string.Concat(words.Normalize(NormalizationForm.FormC)
                .Where(c => c is not ('\u00AD' or '\u200E' or '\u200F' or '\u202A' or '\u202B' or '\u202C' or '\f'))),
                " ")
            .Trim();

    [Theory]
    [InlineData("en", "eb-garamond", "Office fjords: “difficult” waters—after 1984, ﬁnally.")]
    [InlineData("en", "work-sans", "Żółć gęślą jaźń, naïve façade Ångström")]
    [InlineData("el", "source-serif-4", "Ο ποταμός και η θάλασσα")]
    [InlineData("ru", "source-serif-4", "Река и море, книга вторая")]
    [InlineData("he", "frank-ruhl-libre", "המגדלור של חיפה, מהדורה 2026")]
    [InlineData("ar", "amiri", "كتاب البحر والسلام")]
    [InlineData("ar", "amiri", "الأدب العربي الحديث 2026")]
    [InlineData("ja", "zen-maru-gothic", "海の帳簿と灯台守の娘。「第二版」")]
    [InlineData("en", "eb-garamond", "The word שלום in English, and كتاب too.")]
    [InlineData("he", "frank-ruhl-libre", "הספר Tidewatcher נמכר היטב")]
    public void Words_read_back_as_they_were_typed(string language, string family, string words)
    {
        using var folder = new Folder();
        Press(folder, Front(Item(words, family), language).Scene);
        Tool.Run("qpdf", "--check", folder["t.pdf"]);
        Plain(Tool.Run("pdftotext", folder["t.pdf"], "-")).ShouldBe(Plain(words));
    }

    [Fact]
    public void Pointed_hebrew_reads_back_letter_by_letter_with_all_its_points()
    {
        // Poppler tells points by where they lie, under or over their letter; they are all there, and the letters are
        // in order.
        using var folder = new Folder();
        const string words = "שָׁלוֹם עֲלֵיכֶם";
        Press(folder, Front(Item(words, "frank-ruhl-libre"), "he").Scene);
        var read = Plain(Tool.Run("pdftotext", folder["t.pdf"], "-"));
        static string bare(string s) =>
            Gaps()
                .Replace(string.Concat(s.Where(c => char.GetUnicodeCategory(c) != UnicodeCategory.NonSpacingMark)), " ")
                .Trim();
        bare(read).ShouldBe(bare(words));
        read.Where(c => c != ' ').Order().ShouldBe(Plain(words).Where(c => c != ' ').Order());
    }

    /// <summary>
    /// What the press file's content says of glyphs: id and where each stands on the page, in points.
    /// </summary>
    private static List<(string Id, double X, double Y)> InFile(Folder folder)
    {
        var content = Tool.Run("qpdf", "--qdf", "--normalize-content=n", "--object-streams=disable", folder["t.pdf"],
            "-");
        var widths = new Dictionary<string, Dictionary<int, double>>();
        var faces = new Dictionary<string, string>();
        // Widths by the font's own object: /F1 leads to a Type 0 font, that to its descendant's /W.
        var objects = ObjectAt().Matches(content).ToDictionary(m => m.Groups[1].Value, m => m.Groups[2].Value);
        foreach (Match f in FontRef().Matches(content)) faces[f.Groups[1].Value] = f.Groups[2].Value;
        foreach (var (name, number) in faces)
        {
            var w = new Dictionary<int, double>();
            var descendant = Regex.Match(objects[number], @"/DescendantFonts \[\s*(\d+) 0 R").Groups[1].Value;
            foreach (Match m in Regex.Matches(Regex.Match(objects[descendant], @"/W \[(.*?)\n  \]",
                RegexOptions.Singleline).Groups[1].Value,
                @"(\d+)\s*\[\s*([\d.]+)\s*\]"))
                w[int.Parse(m.Groups[1].Value,
                    CultureInfo.InvariantCulture)] = double.Parse(m.Groups[2].Value, CultureInfo.InvariantCulture);
            widths[name] = w;
        }
        var at = new List<(string, double, double)>();
        var (font, size, x, y, c, s) = ("", 0.0, 0.0, 0.0, 1.0, 0.0);
        foreach (Match m in Regex.Matches(content,
            @"/(F\d+) ([\d.]+) Tf|([-\d.]+) ([-\d.]+) ([-\d.]+) ([-\d.]+) ([-\d.]+) ([-\d.]+) Tm|\[(<[^\]]*)\] TJ"))
        {
            double n(int i) => double.Parse(m.Groups[i].Value, CultureInfo.InvariantCulture);
            if (m.Groups[1].Success) (font, size) = (m.Groups[1].Value, n(2));
            else if (m.Groups[3].Success) (c, s, x, y) = (n(3), n(4), n(7), n(8));
            else
                foreach (Match part in Regex.Matches(m.Groups[9].Value, @"<([0-9a-fA-F]*)>|([-\d.]+)"))
                {
                    if (part.Groups[2].Success)
                    {
                        var gap = -double.Parse(part.Groups[2].Value, CultureInfo.InvariantCulture) / 1000 * size;
                        (x, y) = (x + (gap * c), y + (gap * s));
                        continue;
                    }
                    for (var i = 0; i < part.Groups[1].Length; i += 4)
                    {
                        var id = int.Parse(part.Groups[1].Value.AsSpan(i, 4), NumberStyles.HexNumber,
                            CultureInfo.InvariantCulture);
                        at.Add((id.ToString(CultureInfo.InvariantCulture), x, y));
                        var advance = widths[font].GetValueOrDefault(id) / 1000 * size;
                        (x, y) = (x + (advance * c), y + (advance * s));
                    }
                }
        }
        return at;
    }

    [GeneratedRegex(@"(?:^|\n)(\d+) 0 obj\n(.*?)\nendobj", RegexOptions.Singleline)]
    private static partial Regex ObjectAt();

    [GeneratedRegex(@"/(F\d+) (\d+) 0 R")]
    private static partial Regex FontRef();

    [Theory]
    [InlineData("en", "eb-garamond",
        "Office fjords and waters, justified over several lines of hyphenated complications.", 0, 0)]
    [InlineData("en", "eb-garamond", "Spaced out", 120, 0)]
    [InlineData("en", "work-sans", "Round the bend", 0, 140)]
    [InlineData("he", "frank-ruhl-libre", "המגדלור של חיפה", 0, 0)]
    [InlineData("ar", "amiri", "كتاب البحر والسلام", 0, 0)]
    [InlineData("ja", "zen-maru-gothic", "灯台守の娘", 0, 0)]
    public void Glyphs_stand_in_the_file_where_they_stand_on_screen(string language, string family, string words,
        int tracking, int bend)
    {
        using var folder = new Folder();
        var item = Item(words, family, wide: 220) with { Bend = bend };
        item = item with
        {
            Style = item.Style with
            {
                Tracking = tracking,
                Align = tracking == 0 && bend == 0 && language == "en" ? Align.Justified : Align.Left,
                Hyphenate = true,
            },
        };
        var (job, scene) = Front(item, language);
        Press(folder, scene);
        // As the browser places them: each use's own offset, then its group's, then the item's.
        var svg = System.Xml.Linq.XElement.Parse(new Svg.SvgPainter(Shelf,
            new Colour.PressColour(Colour.PrintingCondition.Of(job.Ticket.House)))
            .Item(scene.Item("t")!));
        var shown = new List<(string Id, double X, double Y)>();
        var drawn = Transform(svg);
        foreach (var g in svg.Elements("g"))
            foreach (var use in g.Elements("use"))
            {
                var own = use.Attribute("transform") is not null
                    ? Transform(use)
                    : Affine.Move(Number(use, "x"), Number(use, "y"));
                var (x, y) = own.Then(Transform(g)).Then(drawn).At(0, 0);
                shown.Add((use.Attribute("href")!.Value.Split('-')[^1], x, scene.Height - y));
            }
        var file = InFile(folder).Where(f => shown.Any(s => s.Id == f.Id)).ToList();
        file.Count.ShouldBe(shown.Count);
        foreach (var (mine, theirs) in shown.OrderBy(s => s.Id, StringComparer.Ordinal).ThenBy(s => Math.Round(s.X, 1))
            .ThenBy(s => s.Y)
            .Zip(file.OrderBy(f => f.Id, StringComparer.Ordinal).ThenBy(f => Math.Round(f.X, 1)).ThenBy(f => f.Y)))
        {
            mine.X.ShouldBe(theirs.X, 0.01);
            mine.Y.ShouldBe(theirs.Y, 0.01);
        }
    }

    [Theory]
    [InlineData("eb-garamond", "Latn", "en", false, "fi", "ligature")]
    [InlineData("frank-ruhl-libre", "Hebr", "he", true, "שלום", "")]
    [InlineData("amiri", "Arab", "ar", true, "سلام", "joined")]
    [InlineData("zen-maru-gothic", "Jpan", "ja", false, "海の", "")]
    public void Reference_strings_are_shaped_as_HarfBuzz_itself_shapes_them(string family, string script,
        string language, bool rightToLeft, string words, string how)
    {
        var face = Shelf.Faces.First(f => f.Family == family);
        // HarfBuzz by its plain interface, guessing all by itself, over the same file.
        using var blob = HarfBuzzSharp.Blob.FromFile(Path.Combine(AppContext.BaseDirectory, "faces", face.Family,
            $"{face.Weight}{(face.Italic ? "i" : "")}.ttf"));
        using var theirs = new HarfBuzzSharp.Face(blob, 0);
        using var font = new HarfBuzzSharp.Font(theirs);
        using var buffer = new HarfBuzzSharp.Buffer();
        buffer.AddUtf16(words);
        buffer.GuessSegmentProperties();
        font.Shape(buffer);
        var ours = Shelf.Shape(face, words, 0, words.Length,
            new(rightToLeft, script == "Jpan" ? "Hira" : script, language, ""))
            .Glyphs;
        ours.Select(g => ((uint)g.Id, g.Advance))
            .ShouldBe(buffer.GlyphInfos.Zip(buffer.GlyphPositions).Select(g => (g.First.Codepoint, g.Second.XAdvance)));
        if (how == "ligature") ours.Length.ShouldBe(1);
        if (how == "joined")
            ours.Select(g => g.Id)
                .ShouldNotContain(Shelf.Shape(face, words[..1], 0, 1, new(true, script, language, "")).Glyphs[0].Id);
    }

    [Fact]
    public void Type_as_outlines_looks_the_same_and_can_no_longer_be_read()
    {
        using var folder = new Folder();
        var (_, scene) = Front(Item("Waters and harbours",
            size: 30) with
        {
            Edge = new(new InkPaint(Ink.Percent(0, 80, 80, 0)),
            Length.FromPoints(1))
        });
        static byte[] looks(Folder f)
        {
            Tool.Run("pdftoppm", "-r", "60", "-gray", "-singlefile", f["t.pdf"], f["look"]);
            return File.ReadAllBytes(f["look.pgm"]);
        }
        Press(folder, scene);
        var live = looks(folder);
        Press(folder, scene, outlines: true);
        Tool.Run("pdftotext", folder["t.pdf"], "-").Trim().ShouldBeEmpty();
        Tool.Run("pdffonts", folder["t.pdf"]).Split('\n', StringSplitOptions.RemoveEmptyEntries).Length.ShouldBe(2);
        var shapes = looks(folder);
        Apart(live, shapes).ShouldBeLessThan(0.3);
    }

    [Fact]
    public void Gradients_and_soft_shadows_come_out_on_the_plates_that_ghostscript_makes()
    {
        using var folder = new Folder();
        var (_, scene) = Front(Item("HARBOUR", size: 60,
            high: 120) with
        {
            Shadow = new(new InkPaint(Ink.Percent(60, 40, 0, 20)), Length.FromPoints(5),
                Length.FromPoints(6), Length.FromPoints(8), 80),
            Backing = new(new InkPaint(Ink.Percent(0, 10, 30, 0)), Length.FromPoints(6),
                Length.FromPoints(4))
        } is var t
            ? t with
            {
                Style = t.Style with
                {
                    Paint = new GradientPaint(Run.Straight, 0,
                        [new(new InkPaint(Ink.Percent(90, 20, 0, 0)), 0),
                            new(new InkPaint(Ink.Percent(0, 90, 60, 0)), 10_000)]),
                },
            }
            : null!);
        Press(folder, scene);
        Plain(Tool.Run("pdftotext", folder["t.pdf"], "-")).ShouldBe("HARBOUR");
        Tool.Run("gs", "-q", "-dNOPAUSE", "-dBATCH", "-sDEVICE=tiffsep", "-sCompression=none", "-r75", $"-sOutputFile={folder["p.tif"]}",
            folder["t.pdf"]);
        var ours = new Plates.PlatePainter(Shelf, null, Colour.PrintingCondition.Of(HouseFile.Shipped["tern"]))
            .Paint(scene, new(0, 0, scene.Width, scene.Height), 75);
        var inks = new[] { "Cyan", "Magenta", "Yellow", "Black" };
        for (var ink = 0; ink < 4; ink++)
        {
            using var theirs = NetVips.Image.NewFromFile(folder[$"p({inks[ink]}).tif"]);
            var plate = theirs.WriteToMemory<byte>();
            var (off, n) = (0.0, 0);
            for (var y = 2; y < Math.Min(ours.High, theirs.Height) - 2; y++)
                for (var x = 2; x < Math.Min(ours.Wide, theirs.Width) - 2; x++)
                {
                    // Edges of shapes fall otherwise between neighbours; all that is smooth must agree.
                    var mine = ours.Inks[(((y * ours.Wide) + x) * 4) + ink];
                    var flat = true;
                    for (var dy = -2; dy <= 2 && flat; dy++)
                        for (var dx = -2; dx <= 2 && flat; dx++)
                            flat = Math.Abs(ours.Inks[((((y + dy) * ours.Wide) + x + dx) * 4) + ink] - mine) <= 9;
                    if (!flat) continue;
                    n++;
                    off = Math.Max(off, Math.Abs(255 - plate[(y * theirs.Width) + x] - mine));
                }
            n.ShouldBeGreaterThan(50_000);
            off.ShouldBeLessThanOrEqualTo(10, inks[ink]);
        }
    }

    /// <summary>
    /// How much of one picture's ink lies elsewhere in the other, as a share of it; renderers fit type to their pixels
    /// and shapes not, so edges differ a little.
    /// </summary>
    internal static double Apart(byte[] one, byte[] other) =>
        one.Zip(other, (a, b) => Math.Abs(a - b)).Sum() / (double)one.Sum(a => 255 - a);

    private static double Number(System.Xml.Linq.XElement e, string name) =>
        e.Attribute(name) is { } a ? double.Parse(a.Value, CultureInfo.InvariantCulture) : 0;

    private static Affine Transform(System.Xml.Linq.XElement e)
    {
        var m = Affine.Identity;
        foreach (var part in Regex.Matches(e.Attribute("transform")?.Value ?? "", @"(\w+)\(([^)]*)\)").Reverse())
        {
            var n = part.Groups[2].Value.Split((char[])[' ', ','], StringSplitOptions.RemoveEmptyEntries)
                .Select(x => double.Parse(x, CultureInfo.InvariantCulture)).ToArray();
            m = m.Then(part.Groups[1]
                .Value switch
            {
                "translate" => Affine.Move(n[0], n[1]),
                "rotate" => Affine.Rotate(n[0]),
                "scale" => new(n[0], 0, 0, n[0], 0, 0),
                _ => new(n[0], n[1], n[2], n[3], n[4], n[5]),
            });
        }
        return m;
    }
}
