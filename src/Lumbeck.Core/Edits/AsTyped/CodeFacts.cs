namespace Lumbeck.Core.Edits.AsTyped;

/// <summary>What barcodes and QR codes say of themselves.</summary>
internal static class CodeFacts
{
    private static readonly (string, BarcodeFor)[] Goods = [("a book", BarcodeFor.Book),
        ("other goods", BarcodeFor.Goods)];
    private static readonly (string, CodeLevel)[] Levels = [("7 %", CodeLevel.L), ("15 %", CodeLevel.M),
        ("25 %", CodeLevel.Q), ("30 %", CodeLevel.H)];

    public static IEnumerable<Fact> OfBarcode(string id)
    {
        BarcodeItem B(Job j) => (BarcodeItem)j.Item(id)!;
        static string digits(string t) => string.Concat(t.Where(c => c is not (' ' or '-')));
        yield return new($"item/{id}/number", "Number", j => B(j).Number ?? "",
            (_, t) => new NumberBarcode(id, digits(t) is { Length: > 0 } n ? n : null));
        yield return new($"item/{id}/percent", "Size",
            j => B(j).Percent.ToString("0.##", CultureInfo.InvariantCulture) + " %",
            (_, t) => new MagnifyBarcode(id,
                LengthText.Number(t.TrimEnd(' ', '%'))
                    ?? throw Facts.No($"`{LengthText.Clip(t)}` is no magnification: try `100 %`")));
        yield return new($"item/{id}/for", "On", j => Goods.First(g => g.Item2 == B(j).For).Item1,
            (_, t) => new ShapeBarcode(id) { For = Facts.Choice(t, Goods) })
        {
            Choices =
                Facts.Of([.. Goods.Select(g => (g.Item1, g.Item1))])
        };
        yield return new($"item/{id}/add-on", "Price add-on", j => B(j).AddOn switch
        {
            null => "none",
            "" => "ticket’s price",
            var own => own
        },
            (_, t) => new PriceBarcode(id,
                t.Trim() is "none" or "" ? null : t.Trim() is "ticket’s price" or "ticket's price" ? "" : digits(t)));
        yield return new($"item/{id}/bars", "Bars high", j => B(j).Bars is { } h ? h.Show(j.Ticket.Unit) : "whole",
            (j, t) => t.Trim() is "whole" or ""
                ? new ShapeBarcode(id) { Whole = true }
                : new ShapeBarcode(id) { Bars = Facts.Length(j, t) });
        yield return new($"item/{id}/plate", "White plate", j => B(j).Plate ? "yes" : "no",
            (_, t) => new ShapeBarcode(id) { Plate = Facts.Choice(t, [("yes", true), ("no", false)]) });
    }

    public static IEnumerable<Fact> OfCode(string id)
    {
        CodeItem C(Job j) => (CodeItem)j.Item(id)!;
        yield return new($"item/{id}/link", "Leads to", j => C(j).Link, (_, t) => new SetCode(id) { Link = t });
        yield return new($"item/{id}/level", "Bears loss of", j => Levels.First(l => l.Item2 == C(j).Level).Item1,
            (_, t) => new SetCode(id) { Level = Facts.Choice(t, Levels) })
        {
            Choices =
                Facts.Of([.. Levels.Select(l => (l.Item1, l.Item1))])
        };
        yield return new($"item/{id}/side", "Side", j => C(j).Side.Show(j.Ticket.Unit),
            (j, t) => new SetCode(id) { Side = Facts.Length(j, t) });
        yield return new($"item/{id}/ink", "Ink", j => C(j).Paint.Show(j.Swatches),
            (j, t) => new SetCode(id) { Paint = Facts.PlainPaint(j, t, "codes") })
        { TakesColour = true };
    }
}
