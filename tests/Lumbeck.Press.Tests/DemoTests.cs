namespace Lumbeck.Press.Tests;

/// <summary>Every demo cover, from its job to its pages.</summary>
public sealed class DemoTests(Pressed pressed) : IClassFixture<Pressed>
{
    [Theory]
    [InlineData("tidewatcher", 1)]
    [InlineData("orrin", 1)]
    [InlineData("hive", 1)]
    [InlineData("calder", 2)]
    [InlineData("lighthouse", 1)]
    public void A_demo_cover_has_nothing_against_it_and_prints_a_page_a_sheet(string slug, int pages)
    {
        var on = pressed.Desk.Jobs.Job(slug);
        on.Composed.Findings.Where(f => f.Severity != Severity.Note).Select(f => $"{f.Id} {f.Item} {f.Measured}")
            .ShouldBeEmpty();
        var file = pressed.Folder[slug + "-all.pdf"];
        Pressed.Write(pressed.Desk, on, file);
        Tool.Run("qpdf", "--check", file).ShouldContain("No syntax or stream encoding errors found");
        using var s = File.OpenRead(file);
        var read = Intake.Opening.Reading.Of(s);
        read.Pages.Count.ShouldBe(pages);
        foreach (var (page, sheet) in read.Pages.Zip(on.Composed.Sheets))
        {
            Length.Abs(page.Media.Width - sheet.Sheet.Size.Width).ShouldBeLessThan(Length.FromMillimetres(0.001m));
            Length.Abs(page.Media.Height - sheet.Sheet.Size.Height).ShouldBeLessThan(Length.FromMillimetres(0.001m));
        }
    }
}
