using Lumbeck.Intake.Judging;
using Lumbeck.Press.Import;

namespace Lumbeck.Desk.Making;

/// <summary>A mended file as reception sees it, with what was said while it was mended.</summary>
public sealed record MendedFile(MendReport Report, Verdict Verdict)
{
    /// <summary>Whether reception takes it and nothing is left to its maker.</summary>
    public bool IsWhole => Verdict.Accepted && Report.IsWhole;

    /// <summary>Whether pages leave other than they came: cut in two, or laid together.</summary>
    public bool IsCut => Report.Lines.Any(l => l.Id is "page.spreads" or "page.pairs" or "pages.panels");

    /// <summary>A page that leaves, of those there are.</summary>
    public int Leaving(int n) => Math.Clamp(n, 1, Math.Max(1, Report.Printed));

    /// <summary>The page that came of which a leaving one, from 1, was made; of spreads as they follow each other.</summary>
    public int CameAs(int n) => Math.Min(Report.Pages,
        IsCut && Report.Printed > Report.Pages ? ((n - 1) * Report.Pages / Report.Printed) + 1 : n);
}

/// <summary>A finished file that came, with what is asked of it.</summary>
/// <param name="Path">Where it lies.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Inside">Whether it is the inside, not the cover.</param>
/// <param name="Choices">What its maker decided.</param>
public sealed record CameFile(string Path, string Name, bool Inside, MendChoices Choices)
{
    /// <summary>What opens it, where it is closed; never kept.</summary>
    public string Password { get; init; } = "";
}
