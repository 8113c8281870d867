using Lumbeck.Core.Barcodes;
using Lumbeck.Core.Jobs;

namespace Lumbeck.Core.Edits;

/// <summary>The ticket's facts, in the order a ticket lists them.</summary>
public static class TicketFacts
{
    private static readonly (string, BindingKind)[] Bindings = [.. BindingKinds.Words.Where(w => Binding.Knows(w.Value))];
    private static readonly (string, Reading)[] Readings = [("ltr", Reading.LeftToRight), ("rtl", Reading.RightToLeft)];
    private static readonly (string, Unit)[] Units = [("in", Unit.Inch), ("mm", Unit.Millimetre)];

    public static IReadOnlyList<Fact> All { get; } =
    [
        Word("title", "Title", Words.Title),
        Word("subtitle", "Subtitle", Words.Subtitle),
        Word("author", "Author", Words.Author),
        Word("imprint", "Imprint", Words.Imprint),
        new("ticket/isbn", "ISBN", j => j.Ticket.Isbn?.ToString() ?? "", (_, t) => t.Trim().Length == 0 ? new SetIsbn(null) : Isbn.TryParse(t, out var isbn, out var why) ? new SetIsbn(isbn.Digits) : throw Facts.No(why)),
        new("ticket/house", "Printer", j => j.Ticket.House.Name, (_, t) => new SetHouse(HouseFile.Shipped.GetValueOrDefault(t) ?? HouseFile.Shipped.Values.FirstOrDefault(h => h.Name == t) ?? throw Facts.No($"no house is called `{LengthText.Clip(t)}`: pick {string.Join(", ", HouseFile.Shipped.Values.Select(h => h.Name))}")))
            { Choices = _ => [.. HouseFile.Shipped.Values.Select(h => (h.Name, h.Name))] },
        new("ticket/binding", "Binding", j => j.Ticket.Binding.Word(), (_, t) => new SetBinding(Facts.Choice(t, Bindings)))
            { Choices = j => [.. Bindings.Where(b => j.Ticket.House.Bindings.Contains(b.Item2)).Select(b => (b.Item1, b.Item1))] },
        new("ticket/flaps", "Flaps", ReadFlaps, WriteFlaps),
        new("ticket/reading", "Reads", j => Readings.First(r => r.Item2 == j.Ticket.Reading).Item1, (_, t) => new SetReading(Facts.Choice(t, Readings)))
            { Choices = Facts.Of(("ltr", "left to right"), ("rtl", "right to left")) },
        new("ticket/trim", "Trim size", j => j.Ticket.Trim.Show(j.Ticket.Unit), (j, t) => new SetTrim(LengthText.TryParseSize(Untitled(t), j.Ticket.Unit, out var size, out var why) ? size : throw Facts.No(why)))
            { Choices = j => [.. j.Ticket.House.Trims.Select(t => (t.Size.Show(j.Ticket.Unit), t.Name))] },
        new("ticket/pages", "Pages", j => j.Ticket.Pages.ToString(CultureInfo.InvariantCulture), (_, t) => new SetPages(Facts.Whole(t.Trim().EndsWith("pages", StringComparison.OrdinalIgnoreCase) ? t.Trim()[..^5] : t, "312"))),
        new("ticket/paper", "Paper", j => j.Ticket.Paper.Name, (j, t) => new SetPaper(PaperText.TryParse(t, j.Ticket.House, out var p, out var why) ? p : throw Facts.No(why)))
            { Choices = j => [.. j.Ticket.House.Papers.Select(p => (p.Name, $"{p.Leaf.Show()} a leaf"))] },
        new("ticket/pinned", "Printer’s spine", j => j.Ticket.PinnedSpine?.Show(j.Ticket.Unit) ?? "", (j, t) => new PinSpine(t.Trim().Length == 0 ? null : Facts.Length(j, t))),
        new("ticket/finish", "Finish", j => j.Ticket.Finish, (_, t) => new SetFact(Words.Finish, t.Trim()))
            { Choices = j => [("", "not chosen"), .. j.Ticket.House.Finishes.Select(f => (f, f))] },
        new("ticket/unit", "Unit", j => LengthText.Name(j.Ticket.Unit), (_, t) => new SetUnit(Facts.Choice(t, Units)))
            { Choices = Facts.Of(("in", "inches"), ("mm", "millimetres")) },
    ];

    private static Fact Word(string key, string label, Words which) =>
        new("ticket/" + key, label, j => j.Ticket.Words(which), (_, t) => new SetFact(which, t.Trim()));

    /// <summary>A trade name typed after a size (“novel, 5.25 × 8 in”) is passed over.</summary>
    private static string Untitled(string text) => text.LastIndexOf(", ", StringComparison.Ordinal) is > 0 and var comma && text[comma + 2] is >= '0' and <= '9' && !char.IsDigit(text[0]) ? text[(comma + 2)..] : text;

    private static string ReadFlaps(Job j) => !j.Ticket.Flaps ? "" : (j.Ticket.FlapWidth ?? j.Ticket.House.Flap).Show(j.Ticket.Unit);

    private static SetFlaps WriteFlaps(Job j, string t)
    {
        var text = t.Trim();
        if (text.Length == 0 || text is "none" or "no") return new SetFlaps(false);
        if (!j.Ticket.House.Flaps) throw Facts.No($"{j.Ticket.House.Name} binds no flaps: leave this blank");
        var width = text is "yes" ? j.Ticket.House.Flap : Facts.Length(j, text);
        return new SetFlaps(true, width == j.Ticket.House.Flap ? null : width);
    }
}
