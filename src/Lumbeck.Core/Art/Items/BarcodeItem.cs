using System.Text.Json.Serialization;

namespace Lumbeck.Core.Art.Items;

/// <summary>What a barcode is on: a book, whose ISBN stands above the bars, or other goods.</summary>
public enum BarcodeFor { Book, Goods }

/// <summary>
/// An EAN-13 or UPC-A on a white plate, with its ISBN line and a price add-on where wanted; its size follows from the
/// magnification.
/// </summary>
public sealed record BarcodeItem : Item
{
    /// <summary>Thirteen digits of its own, or the twelve of a UPC-A; null takes the ticket's ISBN.</summary>
    public string? Number { get; init; }
    public decimal Percent { get; init; } = 100;
    public BarcodeFor For { get; init; }
    /// <summary>The five digits of an EAN-5 beside it; empty takes the ticket's price, null draws none.</summary>
    public string? AddOn { get; init; }
    /// <summary>How high the bars are cut; null leaves them their whole height.</summary>
    public Length? Bars { get; init; }
    /// <summary>Whether a white plate lies under it, out over its quiet zones.</summary>
    public bool Plate { get; init; } = true;
    public override string Kind => "Barcode";
    public override bool IsRead => true;

    /// <summary>Least and greatest height to which bars are cut.</summary>
    public static readonly Length BarsLeast = Length.FromMillimetres(5), BarsMost = Length.FromMillimetres(80);

    /// <summary>Room above the bars for a book's ISBN, and below them for guards and digits, at 100 %.</summary>
    private static readonly Length Above = Length.FromMillimetres(3.9m), Below = Ean13.Symbol.Height - Ean13.BarHeight;

    /// <summary>Room above the bars, at 100 %.</summary>
    [JsonIgnore]
    public Length Head => For == BarcodeFor.Book ? Above : default;

    /// <summary>How high the bars stand, guards apart.</summary>
    [JsonIgnore]
    public Length BarHeight => Bars ?? Percent / 100m * Ean13.BarHeight;

    /// <summary>The plate with all it holds: quiet zones, bars, digits, add-on.</summary>
    [JsonIgnore]
    public Size PlateSize
    {
        get
        {
            var k = Percent / 100m;
            var quiet = Number is { Length: 12 } ? Ean13.QuietUpc : Ean13.QuietRight;
            var modules = Ean13.QuietLeft + Ean13.Modules + (AddOn is null ? quiet
                : Ean5.Gap + Ean5.Modules + Ean5.QuietRight);
            return new(k * modules * Ean13.Module, BarHeight + (k * (Head + Below)));
        }
    }

    public override Size? OwnSize => PlateSize;

    public override Item Painted(Func<Paint?, Paint?> each) => this;

    public override string? Unsound =>
        Percent is < 50 or > 300
        || (Number is { } digits && (digits.Length is not (12 or 13) || !digits.All(char.IsAsciiDigit)))
        || (AddOn is { Length: > 0 } five && (five.Length != 5 || !five.All(char.IsAsciiDigit)))
        || Bars < BarsLeast || Bars > BarsMost
            ? "a barcode"
            : null;
}
