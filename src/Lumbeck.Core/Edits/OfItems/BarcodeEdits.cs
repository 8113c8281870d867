namespace Lumbeck.Core.Edits.OfItems;

/// <summary>
/// Gives a barcode thirteen digits of its own, the twelve of a UPC-A, or the ticket's ISBN where null.
/// </summary>
public sealed record NumberBarcode(string Item, string? Number) : ItemEdit(Item)
{
    protected override string Fact => "number";
    protected override Item On(Item item, Job job) => Number is not null
        && (Number.Length is not (12 or 13) || !Number.All(char.IsAsciiDigit))
        ? throw new Refusal($"item/{Item}/number",
            $"`{LengthText.Clip(Number)}` has no 13 digits, nor the 12 of a UPC-A: type all of them, or leave it " +
                $"blank for the ticket's ISBN")
        : Codes.Bars(item) with { Number = Number };
}

/// <summary>Sets a barcode's magnification in percent.</summary>
public sealed record MagnifyBarcode(string Item, decimal Percent) : ItemEdit(Item)
{
    protected override string Fact => "percent";
    protected override Item On(Item item, Job job) => Percent is < 50 or > 300
        ? throw new Refusal($"item/{Item}/percent",
            $"{Percent.ToString(CultureInfo.InvariantCulture)} % can't be drawn: from 50 to 300 %")
        : Codes.Bars(item) with { Percent = Percent };
}

/// <summary>
/// Puts an EAN-5 beside a barcode: five digits of its own, the ticket's price where empty, none where null.
/// </summary>
public sealed record PriceBarcode(string Item, string? AddOn) : ItemEdit(Item)
{
    protected override string Fact => "add-on";
    protected override Item On(Item item, Job job) => AddOn is { Length: > 0 } own
        && (own.Length != 5 || !own.All(char.IsAsciiDigit))
        ? throw new Refusal($"item/{Item}/add-on",
            $"`{LengthText.Clip(own)}` are no five digits: type five, “ticket’s price”, or none")
        : Codes.Bars(item) with { AddOn = AddOn };
}

/// <summary>
/// Changes what is given of a barcode's make: what it is on, how high its bars are cut (<see cref="Whole"/> undoes
/// that), its plate.
/// </summary>
public sealed record ShapeBarcode(string Item) : ItemEdit(Item)
{
    /// <summary>How high bars can be cut.</summary>

    public BarcodeFor? For { get; init; }
    public Length? Bars { get; init; }
    public bool Whole { get; init; }
    public bool? Plate { get; init; }

    protected override string Fact => For is not null ? "for" : Plate is not null ? "plate" : "bars";
    protected override Item On(Item item, Job job)
    {
        var code = Codes.Bars(item);
        if (Bars is { } high && (high < BarcodeItem.BarsLeast || high > BarcodeItem.BarsMost))
            throw new Refusal($"item/{Item}/bars",
                $"bars of {high.Show(job.Ticket.Unit)} can't be drawn: from " +
                    $"{BarcodeItem.BarsLeast.Show(job.Ticket.Unit)} to {BarcodeItem.BarsMost.Show(job.Ticket.Unit)}, or whole");
        return code with
        {
            For = For ?? code.For,
            Plate = Plate ?? code.Plate,
            Bars = Whole ? null : Bars ?? code.Bars,
        };
    }
}

/// <summary>Changes what is given of a QR code.</summary>
public sealed record SetCode(string Item) : ItemEdit(Item)
{
    /// <summary>Longest link, in letters.</summary>

    public string? Link { get; init; }
    public CodeLevel? Level { get; init; }
    public Length? Side { get; init; }
    public Paint? Paint { get; init; }

    protected override string Fact =>
        Link is not null ? "link" : Level is not null ? "level" : Side is not null ? "side" : "ink";
    protected override Item On(Item item, Job job)
    {
        var code = item as CodeItem ?? throw Items.Wrong(item);
        if (Link is { } link && Plain.Line(link).Length > CodeItem.LongestLink)
            throw new Refusal($"item/{Item}/link",
                $"a link of {link.Length} letters makes squares too small to print: up to {CodeItem.LongestLink}");
        if (Side is { } side && (side < CodeItem.SideLeast || side > CodeItem.SideMost))
            throw new Refusal($"item/{Item}/side",
                $"a code of {side.Show(job.Ticket.Unit)} can't be drawn: from " +
                    $"{CodeItem.SideLeast.Show(job.Ticket.Unit)} to {CodeItem.SideMost.Show(job.Ticket.Unit)}");
        return code with
        {
            Link = Link is null ? code.Link : Plain.Line(Link),
            Level = Level ?? code.Level,
            Side = Side ?? code.Side,
            Paint = Paint ?? code.Paint,
        };
    }
}

/// <summary>The barcode that an edit of bars wants.</summary>
internal static class Codes
{
    public static BarcodeItem Bars(Item item) => item as BarcodeItem ?? throw Items.Wrong(item);
}
