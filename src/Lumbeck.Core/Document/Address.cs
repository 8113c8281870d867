namespace Lumbeck.Core.Document;

/// <summary>Where in a job something is that can be changed by itself.</summary>
public abstract record Address
{
    /// <summary>
    /// Whether a change here and one there are of the same thing: the same place, or one within the other.
    /// </summary>
    public virtual bool Meets(Address other) => this == other;
}

/// <summary>A fact of the ticket, by its name in stored JSON.</summary>
public sealed record TicketAddress(string Member) : Address;

/// <summary>A swatch, or one of its facts; all of it where that is empty.</summary>
public sealed record SwatchAddress(string Swatch, string Member) : Address
{
    public override bool Meets(Address other) =>
        other is SwatchAddress s && s.Swatch == Swatch
            && (s.Member == Member || s.Member.Length == 0 || Member.Length == 0);
}

/// <summary>A fact of a wrap itself: its tracing, which of its takes is shown, and which there are.</summary>
public sealed record WrapAddress(int Wrap, string Member) : Address;

/// <summary>A fact of a take: its name, its ground's paint or paper, the order of its items.</summary>
public sealed record TakeAddress(int Wrap, string Take, string Member) : Address
{
    /// <summary>What is done to a take is meant for the one that lies on the bench.</summary>
    public override bool Meets(Address other) =>
        this == other || other is WrapAddress { Member: "current" } w && w.Wrap == Wrap;
}

/// <summary>
/// An item of a take, or one of its facts (<c>style.size</c>); all of it, and whether it is there, where that is empty.
/// </summary>
public sealed record ItemAddress(int Wrap, string Take, string Item, string Member) : Address
{
    public override bool Meets(Address other) => other switch
    {
        ItemAddress i => (i.Wrap, i.Take, i.Item) == (Wrap, Take, Item)
            && (Same(i.Member, Member) || i.Member.Length == 0 || Member.Length == 0),
        WrapAddress { Member: "current" } w => w.Wrap == Wrap,
        _ => false,
    };

    /// <summary>A run of letters is of the words as they were.</summary>
    private static bool Same(string a, string b) => a == b || (a is "words" or "runs" && b is "words" or "runs");
}

/// <summary>A rule that the job goes without.</summary>
public sealed record WaiverAddress(string Rule) : Address;

/// <summary>What all pages share, by its name in stored JSON, or the order of the runs.</summary>
public sealed record InsideAddress(string Member) : Address;

/// <summary>A run of pages, or one of its facts; all of it where that is empty.</summary>
public sealed record RunAddress(string Run, string Member) : Address
{
    public override bool Meets(Address other) =>
        other is RunAddress r && r.Run == Run && (r.Member == Member || r.Member.Length == 0 || Member.Length == 0);
}

/// <summary>Whatever else a job has, by its name in stored JSON.</summary>
public sealed record JobAddress(string Member) : Address;
