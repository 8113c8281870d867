using System.IO.Compression;
using System.Xml.Linq;
using NetVips;

namespace Lumbeck.Press.Tests;

/// <summary>Pictures from their files to the plates.</summary>
public sealed class PictureTests(Pressed pressed) : IClassFixture<Pressed>
{
    private static Image Plain(int wide, int high, params double[] colour) =>
        (Image.Black(wide, high, bands: colour.Length) + colour).Cast(Enums.BandFormat.Uchar)
            .Copy(interpretation: colour.Length switch
            {
                1 => Enums.Interpretation.Bw,
                4 => Enums.Interpretation.Cmyk,
                _ => Enums.Interpretation.Srgb
            });

    private Task<Picture> TakeIn(byte[] file, string name) =>
        pressed.Desk.Drawer.Pictures.TakeIn(new MemoryStream(file), name, TestContext.Current.CancellationToken);

    private static Job With(Desk.AppServices desk, params PictureItem[] items) =>
        items.Aggregate(Starters.Job(desk.Jobs.Job("tidewatcher").Job.Ticket.House, "Pictures"),
            (j, i) => new AddItem(i).Apply(j));

    private static PictureItem At(string id, Anchor anchor, Picture picture) => new()
    {
        Id = id,
        Hold = new(Part.Front, HoldBox.Face, anchor, default, default),
        Width = new(Length.FromInches(2)),
        Height = new(Length.FromInches(2)),
        Picture = picture,
    };

    [Fact]
    public async Task Kinds_sizes_and_turns_are_read_as_they_are_shown()
    {
        using var rgb = Plain(300, 200, 200, 40, 40);
        using var alpha = Plain(30, 20, 200, 40, 40).Bandjoin(Plain(30, 20, 128));
        using var turned = rgb.Mutate(m => m.Set(GValue.GIntType, "orientation", 6));
        using var cmyk = Plain(10, 10, 0, 255, 0, 51);
        using var deep = (Plain(8, 8, 200, 40, 40).Cast(Enums.BandFormat.Ushort) * 257).Cast(Enums.BandFormat.Ushort)
            .Copy(interpretation: Enums.Interpretation.Rgb16);
        foreach (var (file, name, wide, high, opaque) in new[]
        {
            (rgb.JpegsaveBuffer(), "a.jpg", 300, 200, true), (rgb.PngsaveBuffer(), "b.png", 300, 200, true),
                (alpha.PngsaveBuffer(), "c.png", 30, 20, false), (alpha.WebpsaveBuffer(), "d.webp", 30, 20, false),
            (turned.JpegsaveBuffer(), "e.jpg", 200, 300, true), (cmyk.TiffsaveBuffer(), "f.tif", 10, 10, true),
                (deep.TiffsaveBuffer(), "g.tif", 8, 8, true), (Plain(1, 1, 9).PngsaveBuffer(), "h.png", 1, 1, true),
        })
        {
            var p = await TakeIn(file, name);
            (p.Wide, p.High, p.Opaque, p.Name).ShouldBe((wide, high, opaque, name));
            // Kept to the byte, under the hash of its bytes.
            File.ReadAllBytes(pressed.Desk.Drawer.Pictures.PathOf(p.Hash)).ShouldBe(file);
            pressed.Desk.Drawer.Pictures.Preview(p.Hash, 320, new("coated-fogra39-300")).Length.ShouldBeGreaterThan(20);
        }
    }

    [Fact]
    public async Task What_cannot_be_printed_is_refused_in_words()
    {
        using var rgb = Plain(400, 300, 200, 40, 40);
        var jpeg = (rgb + Image.Gaussnoise(400, 300)).Cast(Enums.BandFormat.Uchar)
            .Copy(interpretation: Enums.Interpretation.Srgb).JpegsaveBuffer();
        var png = rgb.PngsaveBuffer();
        (byte[] File, string Says)[] bad =
        [
            ([], "is no picture that can be taken in"), ("<html/>"u8.ToArray(), "JPEG, PNG, WebP, TIFF and SVG can"),
                ("GIF89a"u8.ToArray(), "is no picture"), ("%PDF-1.7"u8.ToArray(), "is no picture"),
            (jpeg[..(jpeg.Length / 2)], "is damaged or breaks off"),
                (png[..(png.Length - 60)], "is damaged or breaks off"),
                ([.. jpeg[..4], .. png[4..]], "is damaged or breaks off"),
            (Claims(60_000, 60_000), "60000 × 60000 pixels: a side may have up to 30000"),
                (Claims(30_000, 30_000), "900 million: up to 120 million"),
        ];
        foreach (var (file, says) in bad)
            (await Should.ThrowAsync<Refusal>(() => TakeIn(file, "../../x.png"))).Message
                .ShouldSatisfyAllConditions(m => m.ShouldContain(says), m => m.ShouldStartWith("x.png"));
    }

    private static uint Crc(byte[] of)
    {
        var c = uint.MaxValue;
        foreach (var b in of)
        {
            c ^= b;
            for (var k = 0; k < 8; k++) c = (c >> 1) ^ (0xEDB88320 & (0 - (c & 1)));
        }
        return ~c;
    }

    /// <summary>A small PNG that says it is large.</summary>
    private static byte[] Claims(int wide, int high)
    {
        using var m = new MemoryStream();
        m.Write([0x89, 0x50, 0x4E, 0x47, 0x0D, 0x0A, 0x1A, 0x0A]);
        void chunk(string type, byte[] data)
        {
            var body = System.Text.Encoding.ASCII.GetBytes(type).Concat(data).ToArray();
            var n = new byte[4];
            System.Buffers.Binary.BinaryPrimitives.WriteInt32BigEndian(n, data.Length);
            m.Write(n);
            m.Write(body);
            System.Buffers.Binary.BinaryPrimitives.WriteUInt32BigEndian(n, Crc(body));
            m.Write(n);
        }
        var head = new byte[13];
        System.Buffers.Binary.BinaryPrimitives.WriteInt32BigEndian(head, wide);
        System.Buffers.Binary.BinaryPrimitives.WriteInt32BigEndian(head.AsSpan(4), high);
        (head[8], head[9]) = (8, 2);
        chunk("IHDR", head);
        using (var z = new MemoryStream())
        {
            using (var deflate = new ZLibStream(z, CompressionLevel.Fastest, leaveOpen: true))
                deflate.Write(new byte[100_000]);
            chunk("IDAT", z.ToArray());
        }
        chunk("IEND", []);
        return m.ToArray();
    }

    [Fact]
    public async Task On_the_plates_CMYK_keeps_its_numbers_gray_is_black_alone_and_RGB_becomes_what_the_profile_says()
    {
        using var cmyk = Plain(600, 600, 0, 255, 51, 102);
        using var gray = Plain(600, 600, 64);
        using var red = Plain(600, 600, 255, 0, 0);
        var job = With(pressed.Desk, At("cmyk", Anchor.Top, await TakeIn(cmyk.TiffsaveBuffer(), "cmyk.tif")),
            At("gray", Anchor.Middle, await TakeIn(gray.PngsaveBuffer(), "gray.png")),
            At("red", Anchor.Bottom, await TakeIn(red.PngsaveBuffer(), "red.png")));
        var file = pressed.Press(job, "pictures.pdf");
        Tool.Run("qpdf", "--check", file).ShouldContain("No syntax or stream encoding errors found");
        var list = Tool.Run("pdfimages", "-list", file);
        list.ShouldNotContain("rgb");
        list.Split('\n', StringSplitOptions.RemoveEmptyEntries).Length.ShouldBe(5);
        using var folder = new Folder();
        Tool.Run("gs", "-q", "-dNOPAUSE", "-dBATCH", "-dSAFER", "-sDEVICE=tiffsep", "-sCompression=none", "-r72",
            $"-sOutputFile={folder["p%d.tif"]}", file);
        var plates = new[] { "Cyan", "Magenta", "Yellow", "Black" }.Select(p =>
            Image.NewFromFile(Directory.GetFiles(folder.Path, $"*({p})*").Single()))
            .ToArray();
        var face = job.Geometry().Sheet.Panel(Part.Front)!.Face;
        double[] at(double inchesDown) =>
            [.. plates.Select(p =>
                100 - (p.Getpoint((int)((face.X + (0.5m * face.Width)).Inches * 72),
                    (int)(((double)face.Y.Inches + inchesDown) * 72))[0] / 2.55))];
        void shouldBe(double[] ink, params double[] wanted)
        {
            for (var i = 0; i < 4; i++) ink[i].ShouldBe(wanted[i], 1.5);
        }
        shouldBe(at(1), 0, 100, 20, 40);
        shouldBe(at(4), 0, 0, 0, 100 - (64 / 2.55));
        // Another's transform of the same red through the same profiles.
        using var press = red.IccTransform(Colour.Profiles.PathOf("coated-fogra39-300"),
            inputProfile: Colour.Profiles.PathOf("sRGB"), intent: Enums.Intent.Relative, blackPointCompensation: true);
        shouldBe(at(7), [.. press.Getpoint(5, 5).Select(v => v / 2.55)]);
        // What is pressed twice is the same to the byte.
        File.ReadAllBytes(pressed.Press(job, "again.pdf")).AsSpan().SequenceEqual(File.ReadAllBytes(file))
            .ShouldBeTrue();
    }

    [Fact]
    public async Task A_picture_leaves_at_no_more_than_the_house_s_resolution_and_lets_through_what_it_should()
    {
        using var large = Plain(3000, 3000, 10, 200, 10).Bandjoin(Plain(3000, 3000, 128));
        var picture = await TakeIn(large.PngsaveBuffer(), "large.png");
        var job = new PaintGround(new InkPaint(Ink.Percent(0, 0, 0, 100)))
            .Apply(With(pressed.Desk, At("p", Anchor.Middle, picture)));
        var file = pressed.Press(job, "large.pdf");
        var most = job.Ticket.House.PictureMost;
        var rows = Tool.Run("pdfimages", "-list", file).Split('\n', StringSplitOptions.RemoveEmptyEntries)[2..]
            .Select(r => r.Split(' ', StringSplitOptions.RemoveEmptyEntries)).ToList();
        rows.Select(r => (r[2], r[3]))
            .ShouldBe([("image", (2 * most).ToString(CultureInfo.InvariantCulture)),
                ("smask", (2 * most).ToString(CultureInfo.InvariantCulture))]);
        Tool.Run("qpdf", "--qdf", "--object-streams=disable", file, "-").ShouldContain("/Transparency");
        using var folder = new Folder();
        Tool.Run("gs", "-q", "-dNOPAUSE", "-dBATCH", "-dSAFER", "-sDEVICE=tiffsep", "-sCompression=none", "-r72",
            $"-sOutputFile={folder["p%d.tif"]}", file);
        using var black = Image.NewFromFile(Directory.GetFiles(folder.Path, "*(Black)*").Single());
        var face = job.Geometry().Sheet.Panel(Part.Front)!.Face;
        var ink = 100 - (black.Getpoint((int)((face.X + (0.5m * face.Width)).Inches * 72),
            (int)((face.Y + (0.5m * face.Height)).Inches * 72))[0] / 2.55);
        ink.ShouldBeInRange(45, 60);
    }

    private sealed class Here : Svg.IPictureLinks
    {
        public string Of(Picture picture, bool convert) => "/here/" + picture.Hash;
        public string Of(GrownMark mark) => "/grown/" + mark.How.Recipe;
    }

    [Fact]
    public async Task The_screen_shows_it_cropped_and_a_picture_alone_carries_it_within()
    {
        using var image = Plain(400, 300, 30, 60, 200);
        var picture = await TakeIn(image.JpegsaveBuffer(), "blue.jpg");
        var desk = pressed.Desk;
        var job = With(desk, At("p", Anchor.Middle, picture));
        var painter = new Svg.SvgPainter(desk.Drawer.Shelf, desk.Drawer.ColourOf(job.Ticket.House), new Here(),
            new PictureData(desk.Drawer.Pictures, Colour.PrintingCondition.Of(job.Ticket.House)));
        var scene = SceneBuilder.Build(job, job.Sheets()[0], desk.Drawer.Shelf);
        var drawn = XElement.Parse(painter.Item(scene.Item("p")!));
        drawn.Descendants("image").Single().Attribute("href")!.Value.ShouldBe("/here/" + picture.Hash);
        drawn.Descendants("clipPath").Count().ShouldBe(1);
        var alone = XDocument.Parse(painter.Picture(scene)).Descendants().Single(e => e.Name.LocalName == "image")
            .Attribute("href")!.Value;
        alone.ShouldStartWith("data:image/webp;base64,");
        // In the press's colours: a blue of the screen comes back duller.
        using var shown = Image.NewFromBuffer(Convert.FromBase64String(alone[(alone.IndexOf(',') + 1)..]));
        var pixel = shown.Getpoint(10, 10);
        pixel[2].ShouldBeLessThan(195);
        pixel[2].ShouldBeGreaterThan(pixel[0]);
    }

    [Fact]
    public async Task A_PNG_that_is_held_whole_is_bounded_by_its_bytes_and_one_full_of_words_is_refused()
    {
        using var pixels = (NetVips.Image.Black(6000, 4000, bands: 3) + 900).Cast(NetVips.Enums.BandFormat.Ushort)
            .Copy(interpretation: NetVips.Enums.Interpretation.Rgb16);
        // 24 million pixels of 6 bytes: in rows they come a strip at a time, in passes all at once.
        await TakeIn(pixels.PngsaveBuffer(bitdepth: 16), "rows.png");
        (await Should.ThrowAsync<Refusal>(() =>
            TakeIn(pixels.PngsaveBuffer(bitdepth: 16, interlace: true), "passes.png")))
            .Message
            .ShouldContain("up to 20 million");

        using var small = NetVips.Image.Black(40, 30) + 90;
        var plain = small.Cast(NetVips.Enums.BandFormat.Uchar).PngsaveBuffer();
        // A chunk of words after the header: its length, name, bytes, and a checksum that a reader of words may not
        // even look at.
        byte[] chunk(int long_)
        {
            byte[] named = [.. "tEXt"u8, .. "Note\0"u8, .. Enumerable.Repeat((byte)'x', long_)];
            byte[] length = new byte[4], sum = new byte[4];
            System.Buffers.Binary.BinaryPrimitives.WriteUInt32BigEndian(length, (uint)(named.Length - 4));
            System.Buffers.Binary.BinaryPrimitives.WriteUInt32BigEndian(sum, Crc(named));
            return [.. length, .. named, .. sum];
        }
        byte[] noted(int times) =>
            [.. plain[..33], .. Enumerable.Repeat(chunk(300_000), times).SelectMany(c => c), .. plain[33..]];
        await TakeIn(noted(1), "noted.png");
        (await Should.ThrowAsync<Refusal>(() => TakeIn(noted(12), "wordy.png"))).Message.ShouldContain("3 MB of words");
    }

    [Fact]
    public async Task The_resolution_that_a_file_says_is_known_and_a_picture_comes_in_at_its_true_size()
    {
        using var image = (NetVips.Image.Black(600, 300) + 90).Cast(NetVips.Enums.BandFormat.Uchar);
        using var said = image.Copy(xres: 300 / 25.4, yres: 300 / 25.4);
        var (plain, sized) = (await TakeIn(image.PngsaveBuffer(), "plain.png"),
            await TakeIn(said.PngsaveBuffer(), "sized.png"));
        (plain.PerInch, sized.PerInch).ShouldBe((null, 300m));
        var job = Starters.Job(HouseFile.Shipped["tern"], "Sized");
        // 600 pixels at 300 an inch; and where nothing is said, as large as it stays sharp, which here is the same.
        Starters.Pictured(job, Part.Front, "a", sized).Width.Own.Inches.ShouldBe(2, 0.001m);
        Starters.Pictured(job, Part.Front, "b", plain).Width.Own.Inches.ShouldBe(2, 0.001m);
        // One that says so many that it would be smaller is smaller; one that says so few that it would not be sharp is
        // not larger.
        Starters.Pictured(job, Part.Front, "c", sized with { PerInch = 600 }).Width.Own.Inches.ShouldBe(1, 0.001m);
        Starters.Pictured(job, Part.Front, "d", sized with { PerInch = 72 }).Width.Own.Inches.ShouldBe(2, 0.001m);
        // What has more pixels than the panel takes fills it, and no more.
        var large = Starters.Pictured(job, Part.Front, "e", sized with { Wide = 9000, High = 4500 });
        large.Width.Own.ShouldBe(job.Geometry().Sheet.Panel(Part.Front)!.Safe.Width);
    }
}
