using Lumbeck.Intake.Opening;
using System.Collections.Immutable;

namespace Lumbeck.Intake.Judging;

/// <summary>
/// One sheet as the ticket makes it: its size out to the bleed, and what is left when it is cut, from its upper left
/// corner.
/// </summary>
/// <param name="Size">With bleed.</param>
/// <param name="Trim">The cut.</param>
/// <param name="Barcode">Where the barcode is looked for; null where there is none.</param>
/// <param name="Folds">Across the sheet.</param>
public sealed record ExpectedSheet(Size Size, Box Trim, Box? Barcode, IReadOnlyList<Length> Folds)
{
    /// <summary>
    /// What is seen of it in the end: cut to the trim, or within what is turned in round a case's boards.
    /// </summary>
    public Box Finished { get; init; } = Trim;
}

/// <summary>What reception knows of an inside.</summary>
/// <param name="Count">Its pages as printed.</param>
/// <param name="Trim">Of each.</param>
/// <param name="Bleed">How far each bleeds past the cut; zero where none does.</param>
/// <param name="Black">Whether black is its only ink.</param>
/// <param name="Blank">Pages that are meant to be blank; null where nothing is known of that.</param>
public sealed record ExpectedPages(int Count, Size Trim, Length Bleed, bool Black, IReadOnlySet<int>? Blank);

/// <summary>What reception knows of a job: its house, its sheets, and what its barcode says.</summary>
public sealed record Expected(House House, IReadOnlyList<ExpectedSheet> Sheets, string? Number)
{
    /// <summary>What it knows of an inside's pages, where those are what is taken to it.</summary>
    public ExpectedPages? Pages { get; init; }

    /// <summary>Names of finishing inks that the job has.</summary>
    public IReadOnlyList<string> Finishes { get; init; } = [];
}

/// <summary>One thing reception says. A stop rejects the file.</summary>
public sealed record IntakeFinding(string Id, Severity Severity, string Measured, string Limit, string Why);

/// <summary>What reception decided, and what it could not look at.</summary>
public sealed record Verdict(string House, string Kind, ImmutableArray<IntakeFinding> Findings,
    ImmutableArray<string> NotExamined)
{
    public bool Accepted => Findings.All(f => f.Severity != Severity.Stop);

    /// <summary>In one line.</summary>
    public string Say() =>
        (Accepted ? "accepted"
            : "rejected: " + string.Join("; ",
                Findings.Where(f => f.Severity == Severity.Stop).Take(3)
                    .Select(f => f.Why.TrimEnd('.')))) + (NotExamined.IsEmpty
                ? ""
                : $" (not examined: {string.Join(", ", NotExamined)})");
}
