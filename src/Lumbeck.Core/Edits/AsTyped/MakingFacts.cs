namespace Lumbeck.Core.Edits.AsTyped;

/// <summary>How a book is made: binding, trim, pages and paper, the paper in four equal views.</summary>
internal static class MakingFacts
{
    private static readonly (string, BindingKind)[] Bindings = [.. BindingKinds.Words];
    private static readonly (string, bool)[] Backs = [("flat", false), ("round", true)];

    public static IReadOnlyList<Fact> All { get; } =
    [
        new("ticket/binding", "Binding", j => j.Ticket.Binding.Word(),
            (_, t) => new SetBinding(Typed.Choice(t, Bindings)))
            { Choices = j =>
                [.. Bindings.Where(b => j.Ticket.House.Binds(b.Item2)).Select(b => (b.Item1, b.Item2.Say()))] },
        new("ticket/back", "Back", j => Backs.First(b => b.Item2 == j.Ticket.RoundBack).Item1,
            (_, t) => new SetBack(Typed.Choice(t, Backs)))
            { Choices = Facts.Of(("flat", "flat back"), ("round", "round back")) },
        new("ticket/flaps", "Flaps", ReadFlaps, WriteFlaps),
        new("ticket/trim", "Trim size", j => j.Ticket.Trim.Show(j.Ticket.Unit),
            (j, t) => new SetTrim(t.Trim() == j.Ticket.Trim.Show(j.Ticket.Unit) ? j.Ticket.Trim
                : LengthText.TryParseSize(Untitled(t), j.Ticket.Unit, out var size, out var why) ? size
                : throw Typed.No(why))),
        new("ticket/pages", "Pages", j => j.Ticket.Pages.ToString(CultureInfo.InvariantCulture),
            (_, t) => new SetPages(Pages(t, "312"))),
        new("ticket/paper", "Paper", j => j.Ticket.Paper.Name,
            (j, t) => new SetPaper(t == j.Ticket.Paper.Name ? j.Ticket.Paper : Read(t, j.Ticket.House)))
            { Choices = j =>
                [.. j.Ticket.House.Papers.Select(p => (p.Name, p.Name)),
                    .. j.Ticket.House.Papers.Any(p => p.Name == j.Ticket.Paper.Name)
                        ? []
                        : ((string, string)[])[(j.Ticket.Paper.Name, j.Ticket.Paper.Name)]] },
        // Four views of one paper. What is written back as it reads leaves the paper as it is: a view shows fewer
        // places than a paper has.
        View("leaf", "Leaf", p => p.Leaf.Show(), (p, t) => p.Thick(Thickness(t))),
        View("page", "Page", p => p.Page.Show(), (p, t) => p.Thick(Caliper.FromPageThickness(Thickness(t)))),
        View("ppi", "Pages per inch", p => $"{Places(p.PagesPerInch, 1)} ppi",
            (p, t) => p.Thick(PaperText.FromPagesPerInch(Without(t, "ppi")))),
        View("gsm", "Grammage", p => p.Grammage is { } g ? $"{Places(g, 2)} g/m²" : "",
            (p, t) => p.Weighing(t.Trim().Length == 0 ? null
                : Number(Without(t, "g/m²", "g/m2", "gsm", "g"), "90 g/m²"))),
        View("bulk", "Bulk", p => p.Bulk is { } b ? $"{Places(b, 2)} cm³/g" : "",
            (p, t) => p.Bulking(Number(Without(t, "cm³/g", "cm3/g"), "1.5 cm³/g"))),
        new("ticket/plates", "Plate section", j => j.Ticket.Plates is { } p ? $"{p.Pages} pages" : "",
            (j, t) => new SetPlates(t.Trim() is "" or "none" or "0" ? null
                : new(Pages(t, "16"),
                    j.Ticket.Plates?.Paper
                        ?? j.Ticket.House.Papers.FirstOrDefault(p => p.Name != j.Ticket.Paper.Name)
                        ?? j.Ticket.Paper))),
        new("ticket/plates-paper", "on paper", j => j.Ticket.Plates?.Paper.Name ?? "",
            (j, t) => j.Ticket.Plates is { } p
                ? new SetPlates(p with { Paper = t == p.Paper.Name ? p.Paper : Read(t, j.Ticket.House) })
                : t.Trim().Length == 0
                ? new SetPlates(null)
                : throw Typed.No("this book has no plate section: type how many pages they have first"))
            { Choices = j => [.. j.Ticket.House.Papers.Select(p => (p.Name, p.Leaf.Show()))] },
        new("ticket/endpapers", "Endpapers", j => j.Ticket.Endpapers?.Show(j.Ticket.Unit) ?? "",
            (j, t) => new SetEndpapers(t.Trim().Length == 0 ? null : Same(j, t, j.Ticket.Endpapers))),
        new("ticket/dummy", "Dummy", j => j.Ticket.Dummy?.Show(j.Ticket.Unit) ?? "",
            (j, t) => new SetDummy(t.Trim().Length == 0 ? null : Same(j, t, j.Ticket.Dummy))),
    ];

    /// <summary>
    /// A length as typed; as it stood where it is written as it reads, so that showing fewer places never moves it.
    /// </summary>
    internal static Length Same(Job job, string text, Length? now) =>
        now is { } n && text.Trim() == n.Show(job.Ticket.Unit) ? n : Facts.Length(job, text);

    private static Fact View(string key, string label, Func<Paper, string> read, Func<Paper, string, Paper> write) =>
        new("ticket/" + key, label, j => read(j.Ticket.Paper),
            (j, t) => new SetPaper(t == read(j.Ticket.Paper) ? j.Ticket.Paper : write(j.Ticket.Paper, t)));

    private static Paper Read(string text, House house) =>
        PaperText.TryParse(text, house, out var p, out var why) ? p : throw Typed.No(why);

    private static Caliper Thickness(string text) =>
        LengthText.TryParse(text, Unit.Millimetre, out var l, out _)
            ? Caliper.FromLength(l)
            : throw Typed.No($"`{LengthText.Clip(text)}` is no thickness: try `0.135 mm`");

    private static decimal Number(string text, string example) =>
        LengthText.Number(text) is { } n && Math.Abs(n) < 1_000_000
            ? n
            : throw Typed.No($"`{LengthText.Clip(text)}` is no figure: try `{example}`");

    private static int Pages(string text, string example) => Typed.Whole(Without(text, "pages", "pp"), example);

    private static string Without(string text, params ReadOnlySpan<string> units)
    {
        var t = text.Trim();
        foreach (var unit in units)
            if (t.EndsWith(unit, StringComparison.OrdinalIgnoreCase)) return t[..^unit.Length].Trim();
        return t;
    }

    private static string Places(decimal d, int places) =>
        Math.Round(d, places, MidpointRounding.AwayFromZero).ToString("0.###", CultureInfo.InvariantCulture);

    /// <summary>A trade name typed before a size (“novel, 5.25 × 8 in”) is passed over.</summary>
    private static string Untitled(string text) =>
        text.LastIndexOf(", ", StringComparison.Ordinal) is > 0 and var comma && text.Length > comma + 2
            && text[comma + 2] is >= '0' and <= '9' && !char.IsDigit(text[0])
            ? text[(comma + 2)..]
            : text;

    private static string ReadFlaps(Job j) =>
        j.Ticket.Flaps || Binding.Of(j.Ticket.Binding).HasFlaps
            ? (j.Ticket.FlapWidth ?? j.Ticket.House.Flap).Show(j.Ticket.Unit)
            : "";

    /// <summary>A jacket always has flaps: blank gives them the house's own width.</summary>
    private static SetFlaps WriteFlaps(Job j, string t)
    {
        var (ticket, text) = (j.Ticket, t.Trim());
        var always = Binding.Of(ticket.Binding).HasFlaps;
        if (text.Length == 0 || text is "none" or "no") return new SetFlaps(always && ticket.Flaps);
        if (!always && !ticket.House.Flaps) throw Typed.No($"{ticket.House.Name} binds no flaps: leave this blank");
        var width = text is "yes" ? ticket.House.Flap : Same(j, text, ticket.FlapWidth ?? ticket.House.Flap);
        return new SetFlaps(!always || ticket.Flaps, width == ticket.House.Flap ? null : width);
    }
}
