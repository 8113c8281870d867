namespace Lumbeck.Core.Document.Insides;

/// <summary>How far a run goes (docs/inside.md).</summary>
public enum RunKind { Pages, Spreads, Sets, Rows, Days, Weeks, Months, Rest, Needed }

/// <summary>Which page a run begins on.</summary>
public enum BeginsOn { Next, Odd, Even }

/// <summary>What the backs of a run's leaves carry: pages of the run, or nothing, or black, or a note.</summary>
public enum Backs { Pages, Blank, Solid, Note }

/// <summary>Weeks of a stretch: all that touch it, or those that ISO 8601 counts to its year.</summary>
public enum WeekCount { Touching, Iso }

/// <summary>A table of the Drawer that a run makes its pages of: what is known without opening it.</summary>
/// <param name="Hash">The file, by its SHA-256 in lower hexadecimal.</param>
/// <param name="Name">As people call it.</param>
/// <param name="Rows">Rows under its heads.</param>
/// <param name="Columns">Its heads.</param>
public sealed record TableRef(string Hash, string Name, int Rows, ImmutableArray<string> Columns)
{
    public bool Equals(TableRef? other) =>
        other is not null && (Hash, Name, Rows) == (other.Hash, other.Name, other.Rows)
            && Columns.SequenceEqual(other.Columns);

    public override int GetHashCode() => HashCode.Combine(Hash, Name, Rows);
}

/// <summary>Margins from the cut; null leaves one to the inside as a whole.</summary>
public sealed record PageMargins(Length? Head = null, Length? ForeEdge = null, Length? Foot = null,
    Length? Gutter = null)
{
    public PageMargins Over(PageMargins whole) =>
        new(Head ?? whole.Head, ForeEdge ?? whole.ForeEdge, Foot ?? whole.Foot,
        Gutter ?? whole.Gutter);
}

/// <summary>Pages of one design or a few in turn, and how far they go.</summary>
public sealed record PageRun
{
    public required string Id { get; init; }

    /// <summary>As contents name it; empty for its design's own name.</summary>
    public string Name { get; init; } = "";

    /// <summary>One; the first-read and the facing one; or a set that is repeated.</summary>
    public required ImmutableList<PageDesign> Designs { get; init; }

    public RunKind Goes { get; init; }

    /// <summary>Pages, spreads or sets; of a run as long as it needs, what that came to.</summary>
    public int Count { get; init; } = 1;

    /// <summary>Of which each row makes a set of pages.</summary>
    public TableRef? Table { get; init; }

    /// <summary>The stretch of days, weeks or months.</summary>
    public DateOnly From { get; init; } = new(2026, 1, 1);
    public DateOnly To { get; init; } = new(2026, 12, 31);
    public WeekCount Weeks { get; init; }

    public BeginsOn Begins { get; init; }
    public Backs Backs { get; init; }

    /// <summary>What the backs say, where they carry a note.</summary>
    public string BackNote { get; init; } = "";

    /// <summary>Whether its pages print their folio.</summary>
    public bool Folio { get; init; } = true;

    /// <summary>Whether it has a tab of the thumb index.</summary>
    public bool Tab { get; init; }

    public PageMargins? Margins { get; init; }

    /// <summary>What lies behind its pages: a tint, or a paper.</summary>
    public Fill? Behind { get; init; }

    /// <summary>A picture over that, under all that its pages print.</summary>
    public Backdrop? Backdrop { get; init; }

    /// <summary>What people call it.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public string Says => Name.Length > 0 ? Name
        : Designs[0].Heading.Length > 0 && !Designs[0].Heading.Contains('{') ? Designs[0].Heading
        : char.ToUpperInvariant(Designs[0].Kind[0]) + Designs[0].Kind[1..];

    /// <summary>
    /// What a list of contents says of it: its name, or its pages' heading. A kind of page has no name but in English, so
    /// that in another language nothing is said.
    /// </summary>
    /// <param name="language">The book's.</param>
    public string Printed(string language) =>
        language == "en" || Name.Length > 0 || Says == Designs[0].Heading ? Says : "";

    /// <summary>Most designs in turn.</summary>
    public const int MostDesigns = 32;

    /// <summary>Pages of one set, without backs.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public int Set =>
        Goes is RunKind.Spreads ? 2 : Goes is RunKind.Pages or RunKind.Rest or RunKind.Needed ? 1
            : Designs.Sum(d => d.Takes);

    /// <summary>The place among its designs of the one that is on the so-manieth page of it, from 0.</summary>
    public int DesignOn(int page)
    {
        if (Goes == RunKind.Spreads) return page % 2 % Designs.Count;
        if (Goes is RunKind.Pages or RunKind.Rest or RunKind.Needed) return page % Designs.Count;
        var (at, n) = (page % Set, 0);
        while (at >= Designs[n].Takes) at -= Designs[n++].Takes;
        return n;
    }

    /// <summary>The page it begins on whatever is wished: a spread is an even page and the odd one after it, and a leaf
    /// an odd
    /// one with its back.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public BeginsOn MustBegin => Backs != Backs.Pages ? BeginsOn.Odd
        : Goes == RunKind.Spreads || (Goes is not (RunKind.Pages or RunKind.Rest or RunKind.Needed) && Designs[0].Takes == 2)
            ? BeginsOn.Even : Begins;

    /// <summary>How often its set comes; the rest is told by who counts.</summary>
    /// <param name="first">The day that weeks begin on.</param>
    public int Times(DayOfWeek first = DayOfWeek.Monday) => Goes switch
    {
        RunKind.Rows => Table?.Rows ?? 0,
        RunKind.Days => CalendarSpan.Days(From, To),
        RunKind.Weeks => CalendarSpan.Weeks(this, first).Count(),
        RunKind.Months => CalendarSpan.Months(From, To),
        RunKind.Rest => 0,
        _ => Count,
    };

    /// <summary>Whether it belongs at a book's end: solutions, an index, what takes the rest.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool EndsBook => Goes == RunKind.Rest
        || Designs.Any(d => d is SolutionsPage or IndexPage) || Designs is [BlankPage];

    /// <summary>Its pictures.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public IEnumerable<Picture> Pictures =>
        Designs.Select(d => d.Shown).OfType<Picture>()
            .Concat(Behind?.Pictures ?? []).Concat(Backdrop is { } b ? [b.Picture] : []);

    /// <summary>Whether an edit could have made it so.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool IsSound => Id is { Length: > 0 and <= 60 } && Name is { Length: <= 200 }
        && BackNote is { Length: <= 400 }
        && Designs is { Count: > 0 and <= MostDesigns } && Designs.All(d => d is { IsSound: true })
        && Backdrop is null or { IsSound: true }
        && (Goes != RunKind.Spreads || Designs.Count <= 2)
        && Count is > 0 and <= Inside.MostPages && Enum.IsDefined(Goes) && Enum.IsDefined(Begins)
            && Enum.IsDefined(Backs)
        && Enum.IsDefined(Weeks) && CalendarSpan.Fault(From, To) is null
        && (Goes != RunKind.Rows || Table is { Rows: > 0, Hash: { Length: 64 } hash }
            && hash.All(char.IsAsciiHexDigitLower));

    public bool Equals(PageRun? other) => other is not null
        && this with { Designs = other.Designs } is var mine
            && (mine.Id, mine.Name, mine.Goes, mine.Count, mine.Begins, mine.Backs)
            == (other.Id, other.Name, other.Goes, other.Count, other.Begins, other.Backs)
        && (BackNote, Folio, Tab, Table, From, To, Weeks) ==
            (other.BackNote, other.Folio, other.Tab, other.Table, other.From, other.To, other.Weeks)
        && Equals(Margins, other.Margins) && Equals(Behind, other.Behind) && Equals(Backdrop, other.Backdrop)
        && Designs.SequenceEqual(other.Designs);

    public override int GetHashCode() => HashCode.Combine(Id, Name, Goes, Count, Designs.Count);
}
