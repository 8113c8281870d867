using Lumbeck.Desk;
using Lumbeck.Press.Codes;

namespace Lumbeck.Press.Tests;

/// <summary>
/// Barcodes and QR codes on the finished page, as another program draws it, read by ZBar and by ZXing.
/// </summary>
public sealed class CodePressTests(Pressed pressed) : IClassFixture<Pressed>
{
    /// <summary>The page of a job with one item on its back, in gray at 300 pixels an inch.</summary>
    private string Drawn(Item item, Price? price = null)
    {
        var on = pressed.Desk.Jobs.Job("tidewatcher");
        var job = Starters.Job(on.Job.Ticket.House with { BarcodeBarReduction = Length.FromMillimetres(0.02m) },
            "Codes");
        job = new SetPrice(price).Apply(new SetIsbn("9780000000002").Apply(job));
        job = new AddItem(item).Apply(job);
        var file = pressed.Folder[$"code-{Guid.NewGuid():n}"];
        using (var s = File.Create(file + ".pdf"))
            pressed.Desk.Pressing.WritePress(on with { Composed = pressed.Desk.Jobs.Worked(on.Revision, job) },
                new(PressKind.X4), s);
        Tool.Run("pdftoppm", "-r", "300", "-gray", "-singlefile", "-png", file + ".pdf", file);
        return file + ".png";
    }

    private static readonly Hold Middle = new(Part.Back, HoldBox.Face, Anchor.Middle, default, default);

    [Theory]
    [InlineData(null, 80)]
    [InlineData(null, 100)]
    [InlineData(null, 200)]
    [InlineData("4006381333931", 100)]
    public void EAN_13_is_read_at_every_magnification(string? number, int percent) =>
        Tool.Run("zbarimg", "-q", "--raw",
            Drawn(new BarcodeItem
            {
                Id = "c",
                Hold = Middle,
                Number = number,
                Percent = percent,
                For = number is null ? BarcodeFor.Book : BarcodeFor.Goods
            }))
            .Trim()
            .ShouldBe(number ?? "9780000000002");

    [Fact]
    public void UPC_A_is_read_with_bars_cut_low() =>
        Tool.Run("zbarimg", "-q", "--raw", "-Supca.enable",
            Drawn(new BarcodeItem
            {
                Id = "c",
                Hold = Middle,
                Number = "036000291452",
                For = BarcodeFor.Goods,
                Bars = Length.FromMillimetres(18)
            }))
            .Trim().TrimStart('0')
            .ShouldBe("36000291452");

    [Theory]
    [InlineData(CodeLevel.L)]
    [InlineData(CodeLevel.H)]
    public void A_QR_code_leads_where_it_should(CodeLevel level) =>
        Tool.Run("zbarimg", "-q", "--raw",
            Drawn(new CodeItem { Id = "c", Hold = Middle, Link = "https://example.org/τέχνη?a=1", Level = level }))
            .Trim()
            .ShouldBe("https://example.org/τέχνη?a=1");

    [Fact]
    public void The_price_add_on_is_read_beside_the_number()
    {
        using var page = NetVips.Image.NewFromFile(Drawn(new BarcodeItem { Id = "c", Hold = Middle, AddOn = "" },
            new(12.99m, "USD")));
        using var gray = page.Bands > 1 ? page.ExtractBand(0) : page.Copy();
        CodeReading.Read(gray.WriteToMemory<byte>(), gray.Width, gray.Height).ShouldBe(["978000000000251299"]);
    }

    [Fact]
    public void More_letters_than_any_code_holds_draw_none() =>
        QrModules.Of(new string('ä', 2000), CodeLevel.H).ShouldBeNull();
}
