namespace Lumbeck.Core.Tests;

public sealed class BarcodeTests
{
    /// <summary>
    /// A barcode is laid as large as its house's room takes: at 100 % its plate is 37.29 by 29.83 mm, of which a room 28 mm
    /// high takes 93 %.
    /// </summary>
    [Theory]
    [InlineData(50, 32, 100)]
    [InlineData(42, 28, 93)]
    [InlineData(35, 32, 93)]
    [InlineData(20, 20, 80)]
    public void A_barcode_is_laid_as_large_as_its_room_takes(int wide, int high, int percent)
    {
        var house = HouseFile.Shipped["wren"] with { BarcodeRoom = Size.FromMillimetres(wide, high) };
        BarcodeItem.In(house, "b").Percent.ShouldBe(percent);
    }

    [Theory]
    [InlineData("978-0-00-000000-2", "978-0-00-000000-2")]
    [InlineData("ISBN 9780000000002", "978-0-00-000000-2")]
    [InlineData("0-306-40615-2", "978-0-306-40615-7")]
    [InlineData("9783161484100", "978-3-16-148410-0")]
    [InlineData("080442957X", "978-0-8044-2957-3")]
    public void An_ISBN_is_read_and_hyphenated_by_the_ranges(string typed, string shown)
    {
        Isbn.TryParse(typed, out var isbn, out var why).ShouldBeTrue(why);
        isbn.ToString().ShouldBe(shown);
    }

    [Theory]
    [InlineData("9780000000003", "the last digit of 9780000000003 should be 2")]
    [InlineData("4006381333931", "an ISBN begins with 978 or 979")]
    [InlineData("978000000000", "it has 13 digits")]
    [InlineData("0306406153", "should be 2")]
    [InlineData("٩٧٨٠٠٠٠٠٠٠٠٠٢", "it has 13 digits")]
    public void A_wrong_ISBN_says_why_not(string typed, string says)
    {
        Isbn.TryParse(typed, out _, out var why).ShouldBeFalse();
        why.ShouldContain(says);
    }

    [Fact]
    public void The_worked_example_of_the_standard_has_its_modules()
    {
        // Number sets: 101, six digits left, 01010, six right, 101; the first digit chooses the odd and even sets.
        var p = Ean13.Pattern("4006381333931");
        p.Length.ShouldBe(95);
        p.ShouldStartWith("101" + "0001101" + "0100111" + "0101111" + "0111101" + "0001001" + "0110011" + "01010");
        Ean13.Bars(Ean13.Pattern("9780000000002")).Sum(b => b.Width)
            .ShouldBe(Ean13.Pattern("9780000000002").Count(c => c == '1'));
    }

    [Fact]
    public void The_plate_covers_both_quiet_zones()
    {
        var marks = BarcodeDrawing.Draw(new()
        {
            Id = "b",
            Hold = new(Part.Back, HoldBox.Room, Anchor.Middle, default, default),
            Number = "9780000000002"
        },
            new(), new PlainType())
            .ToList();
        var plate = ((FillMark)marks[0]).Shape.Bounds;
        var bars = ((FillMark)marks[1]).Shape.Bounds;
        var module = Ean13.Module.Points;
        bars.Left.ShouldBe(11 * module, 1e-6);
        (plate.Right - bars.Right).ShouldBe(7 * module, 1e-6);
        ((FillMark)marks[1]).Ink.ShouldBe(Ink.Black);
        ((FillMark)marks[0]).Ink.ShouldBe(Ink.White);
    }
}
