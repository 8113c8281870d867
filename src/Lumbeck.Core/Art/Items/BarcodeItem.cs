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

    /// <summary>
    /// A book's barcode in the middle of the room that a house keeps for it: at 100 %, or as large as that room takes, but
    /// no smaller than the house reads.
    /// </summary>
    public static BarcodeItem In(House house, string id)
    {
        var whole = new BarcodeItem { Id = id, Hold = new(Part.Back, HoldBox.Room, Anchor.Middle, default, default) };
        decimal share(Length room, Length wanted) => Math.Floor(100m * room.Units / wanted.Units);
        var fits = Math.Min(share(house.BarcodeRoom.Width, whole.PlateSize.Width),
            share(house.BarcodeRoom.Height, whole.PlateSize.Height));
        return whole with { Percent = Math.Max(Math.Min(100, fits), Math.Min(100, house.BarcodeLeast)) };
    }

    public override string Says(ItemContext told) =>
        (Number ?? told.Isbn?.Digits) is { } n ? Isbn.Hyphenate(n) : "no number";

    // It grows whole; how high its bars are is said apart.
    public override (Field Field, FieldValue Value)? Sized(Length? width, Length? height) => width is not { } wide
        ? null
        : (PercentField,
            new(Number: Math.Round(100m * wide.Units / (this with { Percent = 100 }).PlateSize.Width.Units, 1)));

    public override Size? OwnSize => PlateSize;

    public override Item Painted(Func<Paint?, Paint?> each) => this;

    /// <summary>Least and greatest magnification, in percent.</summary>
    public const decimal Least = 50, Most = 300;

    public static Field<BarcodeItem, string?> NumberField { get; } =
        new("number", "Number", Values.Maybe(n => n ?? "", t => Digits(t) is { Length: > 0 } n ? n : null),
            b => b.Number, (b, number) => b with { Number = number })
        {
            Wide = true,
            Hint = "blank takes the ticket’s ISBN",
            Fault = (n, _) => n is null || (n.Length is 12 or 13 && n.All(char.IsAsciiDigit)) ? null
                : $"`{LengthText.Clip(n)}` has no 13 digits, nor the 12 of a UPC-A: type all of them, or leave it blank " +
                    "for the ticket's ISBN",
        };

    private static readonly (string, BarcodeFor)[] Goods = [("a book", BarcodeFor.Book), ("other goods", BarcodeFor.Goods)];

    public static Field<BarcodeItem, BarcodeFor> ForField { get; } =
        new("for", "On", Values.OneOf(Goods), b => b.For, (b, what) => b with { For = what })
        {
            Choices = [.. Goods.Select(g => (g.Item1, g.Item1))],
        };

    public static Field<BarcodeItem, decimal> PercentField { get; } =
        new("percent", "Size", Values.Numbers(" %", "magnification", "100 %"), b => b.Percent, (b, p) => b with { Percent = p })
        {
            Fault = (p, _) => p is < Least or > Most
                ? $"{Typed.Show(p, " %")} can't be drawn: from {Least} to {Most} %"
                : null,
        };

    public static Field<BarcodeItem, Length?> BarsField { get; } =
        new("bars", "Bars high", Values.LengthOr("whole"), b => b.Bars, (b, bars) => b with { Bars = bars })
        {
            Fault = (bars, unit) => bars < BarsLeast || bars > BarsMost
                ? $"bars of {bars!.Value.Show(unit)} can't be drawn: from {BarsLeast.Show(unit)} to " +
                    $"{BarsMost.Show(unit)}, or whole"
                : null,
        };

    private const string TicketPrice = "ticket’s price";

    public static Field<BarcodeItem, string?> AddOnField { get; } =
        new("add-on", "Price add-on", Values.Maybe(
                a => a switch { null => "none", "" => TicketPrice, _ => a },
                t => t.Trim() is "none" or "" ? null : t.Trim() is TicketPrice or "ticket's price" ? "" : Digits(t)),
            b => b.AddOn, (b, addOn) => b with { AddOn = addOn })
        {
            Wide = true,
            Hint = "none, ticket’s price, or five digits",
            Suggested = ["none", TicketPrice],
            Fault = (a, _) => a is null or "" || (a.Length == 5 && a.All(char.IsAsciiDigit)) ? null
                : $"`{LengthText.Clip(a)}` are no five digits: type five, “ticket’s price”, or none",
        };

    public static Field<BarcodeItem, bool> PlateField { get; } =
        new("plate", "White backing under its quiet zones", Values.Switch, b => b.Plate, (b, plate) => b with { Plate = plate });

    [JsonIgnore]
    public override IReadOnlyList<Field> Fields => [NumberField, AddOnField, ForField, PercentField, BarsField, PlateField];

    private static string Digits(string text) => string.Concat(text.Where(c => c is not (' ' or '-')));
}
