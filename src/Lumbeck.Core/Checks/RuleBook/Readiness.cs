namespace Lumbeck.Core.Checks.RuleBook;

/// <summary>How ready a job is, in figures a bench can show.</summary>
public sealed record Readiness(int Stops, int Cautions, int Notes)
{
    public static Readiness Of(IEnumerable<Finding> findings)
    {
        var by = findings.Where(f => f.Waived is null).CountBy(f => f.Severity).ToDictionary();
        return new(by.GetValueOrDefault(Severity.Stop), by.GetValueOrDefault(Severity.Caution),
            by.GetValueOrDefault(Severity.Note));
    }

    /// <summary>The facts a ticket still wants, in words; empty when it is complete.</summary>
    public static IReadOnlyList<string> Missing(Ticket t) =>
        [.. (t.Title.Length == 0 ? (string[])["title"] : []), .. (t.Author.Length == 0 ? (string[])["author"] : []),
            .. (t.Isbn is null ? (string[])["ISBN"] : [])];

    /// <summary>In one line: “2 stops, 1 caution” or “nothing stops the press”.</summary>
    public string Say() => (Stops, Cautions) switch
    {
        (0, 0) => "nothing stops the press",
        (0, _) => Count(Cautions, "caution"),
        (_, 0) => Count(Stops, "stop"),
        _ => $"{Count(Stops, "stop")}, {Count(Cautions, "caution")}",
    };

    private static string Count(int n, string what) => n == 1 ? $"1 {what}" : $"{n} {what}s";
}
