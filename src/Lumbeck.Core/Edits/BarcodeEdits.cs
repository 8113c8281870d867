using Lumbeck.Core.Jobs;

namespace Lumbeck.Core.Edits;

/// <summary>Gives a barcode thirteen digits of its own, or the ticket's ISBN where null.</summary>
public sealed record NumberBarcode(string Item, string? Number) : ItemEdit(Item)
{
    protected override string Fact => "number";
    protected override Item On(Item item, Job job) => Number is not null && (Number.Length != 13 || !Number.All(char.IsAsciiDigit))
        ? throw new Refusal($"item/{Item}/number", $"`{LengthText.Clip(Number)}` has no 13 digits: type all of them, or leave it blank for the ticket's ISBN")
        : (item as BarcodeItem ?? throw Items.Wrong(item)) with { Number = Number };
}

/// <summary>Sets a barcode's magnification in percent.</summary>
public sealed record MagnifyBarcode(string Item, decimal Percent) : ItemEdit(Item)
{
    protected override string Fact => "percent";
    protected override Item On(Item item, Job job) => Percent is < 50 or > 300
        ? throw new Refusal($"item/{Item}/percent", $"{Percent.ToString(CultureInfo.InvariantCulture)} % can't be drawn: from 50 to 300 %")
        : (item as BarcodeItem ?? throw Items.Wrong(item)) with { Percent = Percent };
}
