namespace Lumbeck.Press.Tests;

/// <summary>What the intake's code reads back from a finished file.</summary>
public sealed class IntakeTests(Pressed pressed) : IClassFixture<Pressed>
{
    [Fact]
    public void A_finished_file_is_read_back_as_it_was_meant()
    {
        using var file = File.OpenRead(pressed.File);
        var read = Intake.Opening.Reading.Of(file);
        read.Version.ShouldBe("1.6");
        read.Standard.ShouldBe("PDF/X-4");
        read.Condition.ShouldBe("FOGRA39");
        read.ProfileEmbedded.ShouldBeTrue();
        var page = read.Pages.ShouldHaveSingleItem();
        Length.Abs(page.Media.Width - Length.FromMillimetres(294.11m)).ShouldBeLessThan(Length.FromMillimetres(0.001m));
        Length.Abs(page.Trim!.Value.X - Length.FromInches(0.125m)).ShouldBeLessThan(Length.FromMillimetres(0.001m));
        page.Faces.ShouldAllBe(f => f.Embedded && f.Subset);
        page.Words.ShouldContain("harbour");
    }

    [Theory]
    [InlineData("")]
    [InlineData("not a PDF at all")]
    [InlineData("%PDF-1.6\n1 0 obj\n<< /Type /Catalog >>\nendobj\ntrailer << /Root 1 0 R >>")]
    public void What_is_no_PDF_is_refused_in_words(string bytes)
    {
        using var m = new MemoryStream(System.Text.Encoding.ASCII.GetBytes(bytes));
        Should.Throw<Refusal>(() => Intake.Opening.Reading.Of(m))
            .Message.ShouldStartWith("this can’t be read as a PDF");
    }
}

/// <summary>What was cut off, or is noise behind a head, is known by its end: nothing of it is searched through.</summary>
public sealed class CutOffTests(Pressed pressed) : IClassFixture<Pressed>
{
    private sealed class Counted(byte[] file) : MemoryStream(file)
    {
        public long Bytes { get; private set; }
        public override int Read(byte[] buffer, int offset, int count)
        {
            var n = base.Read(buffer, offset, count);
            Bytes += n;
            return n;
        }

        public override int ReadByte()
        {
            Bytes++;
            return base.ReadByte();
        }
    }

    private byte[] Made(string how)
    {
        var noise = new byte[3_000_000];
        new Random(7).NextBytes(noise);
        return how == "noise" ? [.. "%PDF-1.6\n"u8, .. noise] : [.. File.ReadAllBytes(pressed.File)[..^2000], .. noise];
    }

    [Theory, InlineData("noise"), InlineData("cut off")]
    public void It_is_refused_at_every_door_and_hardly_read(string how)
    {
        using var folder = new Folder();
        var path = folder["spoilt.pdf"];
        File.WriteAllBytes(path, Made(how));
        using var counted = new Counted(File.ReadAllBytes(path));
        Should.Throw<Refusal>(() => Intake.Opening.InsideReading.Of(counted, "spoilt.pdf"))
            .Message.ShouldBe("spoilt.pdf was cut off, and its end is missing: export it again");
        counted.Bytes.ShouldBeLessThan(200_000);
        Intake.IntakeDesk.Judge(path, new(HouseFile.Shipped["tern"], [], null)).Findings.ShouldHaveSingleItem()
            .Measured.ShouldBe("its end is missing");
    }
}
