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
