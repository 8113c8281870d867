using Lumbeck.Core.Barcodes;
using Lumbeck.Core.Jobs;

namespace Lumbeck.Core.Edits;

/// <summary>An edit of one fact of the ticket.</summary>
public abstract record TicketEdit : Edit
{
    protected abstract string Fact { get; }
    public override IEnumerable<string> Touches => ["ticket/" + Fact];
    public override string Says(Job before) => Fact;
    protected abstract Ticket On(Ticket t);
    protected override Job On(Job job) => job with { Ticket = On(job.Ticket) };
}

/// <summary>The facts that are words, and where they appear on a cover.</summary>
public enum Words { Title, Subtitle, Author, Imprint, Finish }

/// <summary>Sets a fact in words. Texts on the cover that still say the old words of that fact say the new ones.</summary>
public sealed record SetFact(Words Which, string Text) : TicketEdit
{
    protected override string Fact => Which.ToString().ToLower(CultureInfo.InvariantCulture);

    protected override Ticket On(Ticket t)
    {
        var text = Plain.Line(Text);
        return Which switch
        {
            Words.Title => t with { Title = text },
            Words.Subtitle => t with { Subtitle = text },
            Words.Author => t with { Author = text },
            Words.Imprint => t with { Imprint = text },
            _ => t with { Finish = text },
        };
    }

    protected override Job On(Job job)
    {
        if (Text.Length > 300) throw new Refusal("ticket/" + Fact, $"a {Fact} of {Text.Length} letters is over 300: shorten it");
        var before = job.Ticket.Words(Which);
        var after = base.On(job);
        if (before.Length == 0 || Text.Length == 0) return after;
        Item said(Item item) => item is TextItem t && t.Words == before && Which.Role() == t.Role ? t with { Words = Plain.Line(Text) } : item;
        for (var wrap = 0; wrap < after.Wraps.Count; wrap++)
            after = after.With(wrap, after.Wraps[wrap].Take with { Items = [.. after.Wraps[wrap].Take.Items.Select(said)] });
        return after;
    }
}

/// <summary>Words as they can be set: characters that control machines are no letters.</summary>
internal static class Plain
{
    public static string Line(string text) => string.Concat(text.Select(c => char.IsControl(c) ? ' ' : c)).Trim();

    /// <summary>The same over several paragraphs, parted by line feeds.</summary>
    public static string Text(string text) => string.Concat(text.ReplaceLineEndings("\n").Select(c => c != '\n' && char.IsControl(c) ? ' ' : c));
}

public static class TicketWords
{
    public static string Words(this Ticket t, Words which) => which switch
    {
        Edits.Words.Title => t.Title,
        Edits.Words.Subtitle => t.Subtitle,
        Edits.Words.Author => t.Author,
        Edits.Words.Imprint => t.Imprint,
        _ => t.Finish,
    };

    public static TextRole Role(this Words which) => which switch
    {
        Edits.Words.Title => TextRole.Title,
        Edits.Words.Subtitle => TextRole.Subtitle,
        Edits.Words.Author => TextRole.Author,
        Edits.Words.Imprint => TextRole.Imprint,
        _ => TextRole.Free,
    };
}

public sealed record SetIsbn(string? Digits) : TicketEdit
{
    protected override string Fact => "isbn";
    protected override Ticket On(Ticket t)
    {
        if (Digits is null) return t with { Isbn = null };
        return Isbn.TryParse(Digits, out var isbn, out var why) ? t with { Isbn = isbn } : throw new Refusal("ticket/isbn", why);
    }
}

/// <summary>Takes a house and its rules as they are now; paper and unit follow where the old house's no longer do.</summary>
public sealed record SetHouse(House House) : TicketEdit
{
    protected override string Fact => "house";
    protected override Ticket On(Ticket t) => t with
    {
        House = House,
        Paper = House.Papers.FirstOrDefault(p => p.Name == t.Paper.Name) ?? House.Papers.FirstOrDefault() ?? t.Paper,
        Binding = House.Bindings.Contains(t.Binding) ? t.Binding : House.Bindings.FirstOrDefault(Binding.Knows),
        Flaps = t.Flaps && House.Flaps,
        PinnedSpine = null,
    };
    public override IEnumerable<string> Touches => ["ticket/house", "ticket/paper", "ticket/binding", "ticket/flaps", "ticket/pinned"];
}

public sealed record SetBinding(BindingKind Binding) : TicketEdit
{
    protected override string Fact => "binding";
    protected override Ticket On(Ticket t) => t.House.Bindings.Contains(Binding)
        ? t with { Binding = Binding }
        : throw new Refusal("ticket/binding", $"{t.House.Name} binds no {Binding.Word()}: take {string.Join(" or ", t.House.Bindings.Select(b => b.Word()))}, or another printer");
}

public sealed record SetReading(Reading Reading) : TicketEdit
{
    protected override string Fact => "reading";
    protected override Ticket On(Ticket t) => t with { Reading = Reading };
}

public sealed record SetTrim(Size Trim) : TicketEdit
{
    protected override string Fact => "trim";
    protected override Ticket On(Ticket t) => t with { Trim = Trim };
}

public sealed record SetPages(int Pages) : TicketEdit
{
    protected override string Fact => "pages";
    protected override Ticket On(Ticket t) => t with { Pages = Pages };
}

public sealed record SetPaper(Paper Paper) : TicketEdit
{
    protected override string Fact => "paper";
    protected override Ticket On(Ticket t) => t with { Paper = Paper };
}

/// <summary>Flaps on or off; a width of its own, or the house's where null.</summary>
public sealed record SetFlaps(bool Flaps, Length? Width = null) : TicketEdit
{
    protected override string Fact => "flaps";
    protected override Ticket On(Ticket t) => t with { Flaps = Flaps, FlapWidth = Width };
}

public sealed record SetUnit(Unit Unit) : TicketEdit
{
    protected override string Fact => "unit";
    protected override Ticket On(Ticket t) => t with { Unit = Unit };
}

/// <summary>Builds on the printer's own spine; null goes back to the computed one.</summary>
public sealed record PinSpine(Length? Spine) : TicketEdit
{
    protected override string Fact => "pinned";
    protected override Ticket On(Ticket t) => t with { PinnedSpine = Spine };
}
