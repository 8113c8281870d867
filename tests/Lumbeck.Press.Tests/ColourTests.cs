using Lumbeck.Desk;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Pictures;
using NetVips;

namespace Lumbeck.Press.Tests;

/// <summary>
/// Colour asked for, mixed and brought to the press, judged by another program's reading of the same profiles.
/// </summary>
public sealed class ColourTests(Pressed pressed) : IClassFixture<Pressed>
{
    private static readonly PrintingCondition Coated = new("coated-fogra39-300");

    [Fact, Wide]
    public void A_large_picture_comes_to_the_press_as_another_program_has_it_with_the_same_profile_and_intent()
    {
        using var folder = new Folder();
        // 24 million pixels of many colours.
        using var x = Image.Xyz(6000, 4000);
        using var rgb = (x[0] / 6000 * 255).Bandjoin((x[1] / 4000 * 255), ((x[0] + x[1]) % 256))
            .Cast(Enums.BandFormat.Uchar).Copy(interpretation: Enums.Interpretation.Srgb);
        rgb.Tiffsave(folder["asked.tif"], compression: Enums.ForeignTiffCompression.Lzw);
        rgb.Pngsave(folder["asked.png"], compression: 1);
        Tool.Run("tificc", "-i", Profiles.PathOf("sRGB"), "-o", Profiles.PathOf("coated-fogra39-300"), "-t1", "-b",
            folder["asked.tif"], folder["theirs.tif"]);
        var ours = PictureMaking.Pixels(folder["asked.png"], 6000, Coated);
        (ours.Wide, ours.High).ShouldBe((6000, 4000));
        using var theirs = Image.NewFromFile(folder["theirs.tif"]);
        var other = theirs.WriteToMemory<byte>();
        other.Length.ShouldBe(ours.Inks.Length);
        var worst = 0;
        for (var i = 0; i < other.Length; i++) worst = Math.Max(worst, Math.Abs(other[i] - ours.Inks[i]));
        worst.ShouldBeLessThanOrEqualTo(2);
    }

    [Theory]
    [InlineData("#ffffff")]
    [InlineData("#8a6d4b")]
    [InlineData("#3b5a4e")]
    [InlineData("lab 55 12 30")]
    public void A_colour_asked_for_within_reach_is_mixed_to_look_like_it(string text)
    {
        var asked = Asked.Read(text)!;
        var colour = new PressColour(Coated);
        PressColour.Lab(asked).DeltaE(colour.Lab(colour.Mix(asked))).ShouldBeLessThan(2.5);
    }

    [Fact]
    public void A_colour_out_of_reach_is_told_before_it_disappoints_and_paper_has_a_colour_of_its_own()
    {
        var desk = pressed.Desk;
        var job = desk.Drawer.Mixed(desk.Jobs.Job("tidewatcher").Job, "brass", "rgb 0 255 60")
            .Apply(desk.Jobs.Job("tidewatcher").Job);
        var look = desk.Drawer.Looks(job).Single(l => l.Swatch.Id == "brass");
        look.AskedHex.ShouldBe("#00ff3c");
        look.Off.ShouldNotBeNull().ShouldBeGreaterThan(10);
        look.Uses.ShouldBeGreaterThan(1);
        var colour = desk.Drawer.ColourOf(job.Ticket.House);
        colour.Hex(Ink.White).ShouldBe("#ffffff");
        colour.OnPaper(Ink.White).ShouldNotBe("#ffffff");
        // Typed as a mix again, nothing is asked for any more.
        desk.Drawer.Mixed(job, "brass", "18 36 78 4").Apply(job).Swatches.Single(s => s.Id == "brass")
            .Asked.ShouldBeEmpty();
        Should.Throw<Refusal>(() => desk.Drawer.Mixed(job, "brass", "#12")).Path.ShouldBe("swatch/brass/mix");
    }

    [Fact]
    public async Task A_picture_gives_its_colours_says_what_it_loses_and_harmonies_keep_lightness()
    {
        using var half = Image.Black(60, 60).Bandjoin(Image.Black(60, 60) + 255, Image.Black(60, 60))
            .Cast(Enums.BandFormat.Uchar).Copy(interpretation: Enums.Interpretation.Srgb);
        using var other = (Image.Black(60, 60) + 120).Bandjoin(Image.Black(60, 60) + 80, Image.Black(60, 60) + 60)
            .Cast(Enums.BandFormat.Uchar).Copy(interpretation: Enums.Interpretation.Srgb);
        using var both = half.Join(other, Enums.Direction.Horizontal);
        var picture = await pressed.Desk.Drawer.Pictures.TakeIn(new MemoryStream(both.PngsaveBuffer()), "two.png",
            default);
        var gamut = pressed.Desk.Drawer.Pictures.Gamut(picture.Hash, Coated);
        gamut.Share.ShouldBe(0.5, 0.03);
        gamut.Where.Length.ShouldBeGreaterThan(40);
        var palette = pressed.Desk.Drawer.Pictures.Palette(picture.Hash, Coated);
        palette.ShouldContain(c => Math.Abs(c.R - 120) < 14 && Math.Abs(c.G - 80) < 14);
        var colour = new PressColour(Coated);
        foreach (var (_, ink, _) in pressed.Desk.Drawer.Harmonies(pressed.Desk.Jobs.Job("tidewatcher").Job,
            new("s", "S", Ink.Percent(60, 40, 40, 20))))
            colour.Lab(ink).L.ShouldBe(colour.Lab(Ink.Percent(60, 40, 40, 20)).L, 4);
    }

    [Fact]
    public void A_printer_s_own_profile_is_taken_in_when_it_is_one_and_refused_in_words_when_it_lies()
    {
        var desk = pressed.Desk;
        var good = File.ReadAllBytes(Profiles.PathOf("FOGRA39L_coated"));
        var row = desk.Drawer.Profiles.TakeIn(good, "printer.icc");
        row.Says.Length.ShouldBeGreaterThan(3);
        var house = desk.Houses.Edit(desk.Houses.Copy("aldwater").House.Id, Guid.NewGuid().ToString(), "profile",
            row.Says)
            .House;
        house.Profile.ShouldBe(ProfileDesk.NameOf(row.Hash));
        desk.Drawer.ColourOf(house).Hex(Ink.White).ShouldBe("#ffffff");
        // A job of such a house carries the profile into its file.
        var file = pressed.Press(new SetHouse(house).Apply(desk.Jobs.Job("orrin").Job), "own-profile.pdf");
        using (var s = File.OpenRead(file)) Intake.Opening.Reading.Of(s).ProfileEmbedded.ShouldBeTrue();

        byte[] changed(int at, string four)
        {
            var bytes = (byte[])good.Clone();
            System.Text.Encoding.ASCII.GetBytes(four).CopyTo(bytes, at);
            return bytes;
        }
        var torn = (byte[])good.Clone();
        // Its tables' insides are made nonsense, its header left.
        for (var i = 600; i < 6000; i++) torn[i] = 0xFF;
        foreach (var (bytes, says) in ((byte[], string)[])
        [
            ([], "no colour profile"), ("not a profile at all"u8.ToArray(), "no colour profile"),
                (good[..(good.Length / 2)], "not whole"), (File.ReadAllBytes(Profiles.PathOf("sRGB")), "class `mntr`"),
            (changed(16, "RGB "), "for RGB"), (changed(12, "scnr"), "class `scnr`"), (torn, "printer.icc"),
        ])
            Should.Throw<Refusal>(() => desk.Drawer.Profiles.TakeIn(bytes, "printer.icc")).Message.ShouldContain(says);
        Should.Throw<Refusal>(() => desk.Houses.Edit(house.Id, Guid.NewGuid().ToString(), "profile", "nowhere")).Message
            .ShouldContain("no profile is called `nowhere`");
    }

    [Fact]
    public async Task CMYK_for_another_press_keeps_its_numbers_with_a_caution_until_it_is_converted_and_inverted_JPEG_inks_come_right()
    {
        using var plain = (Image.Black(300, 300) + (double[])[0, 200, 40, 10]).Cast(Enums.BandFormat.Uchar)
            .Copy(interpretation: Enums.Interpretation.Cmyk);
        using var named = plain.Mutate(m =>
            m.Set(GValue.BlobType, "icc-profile-data", File.ReadAllBytes(Profiles.PathOf("FOGRA39L_coated"))));
        // A JPEG of four inks holds them the other way round, and says so.
        var jpeg = await pressed.Desk.Drawer.Pictures.TakeIn(new MemoryStream(named.JpegsaveBuffer(q: 98,
            subsampleMode: Enums.ForeignSubsample.Off)),
            "inks.jpg", default);
        (jpeg.Space, jpeg.Profile.Length > 0).ShouldBe((PictureSpace.Cmyk, true));
        var kept = PictureMaking.Pixels(pressed.Desk.Drawer.Pictures.PathOf(jpeg.Hash), 300, Coated).Inks;
        foreach (var (i, ink) in ((int, int)[])[(0, 0), (1, 200), (2, 40), (3, 10)])
            ((double)kept[(150 * 300 * 4) + 600 + i]).ShouldBe(ink, 3);
        var moved = PictureMaking.Pixels(pressed.Desk.Drawer.Pictures.PathOf(jpeg.Hash), 300, Coated, convert: true)
            .Inks;
        Math.Abs(moved[(150 * 300 * 4) + 601] - kept[(150 * 300 * 4) + 601]).ShouldBeGreaterThan(0);

        var job = Starters.Job(HouseFile.Shipped["tern"], "CMYK");
        job = new AddItem(new PictureItem
        {
            Id = "p",
            Hold = new(Part.Front, HoldBox.Face, Anchor.Middle, default, default),
            Width = new(Length.FromInches(1)),
            Height = new(Length.FromInches(1)),
            Picture = jpeg with { Profile = "Newsprint 26" }
        })
            .Apply(job);
        pressed.Desk.Jobs.Worked(0, job).Findings.Single(f => f.Id == "picture.colour")
            .Severity.ShouldBe(Severity.Caution);
        pressed.Desk.Jobs.Worked(0, new ConvertPicture("p", true).Apply(job))
            .Findings.ShouldNotContain(f => f.Id == "picture.colour");
    }
}
