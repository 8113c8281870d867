namespace Lumbeck.Core.Checks.RuleBook;

/// <summary>How ready a job is, in figures a bench can show.</summary>
public sealed record Readiness(int Stops, int Cautions, int Notes, int Todos = 0)
{
    public static Readiness Of(IEnumerable<Finding> findings)
    {
        var by = findings.Where(f => f.Waived is null).CountBy(f => f.Severity).ToDictionary();
        return new(by.GetValueOrDefault(Severity.Stop), by.GetValueOrDefault(Severity.Caution),
            by.GetValueOrDefault(Severity.Note), by.GetValueOrDefault(Severity.Todo));
    }

    /// <summary>The facts a ticket still wants, in words; empty when it is complete.</summary>
    public static IReadOnlyList<string> Missing(Ticket t) =>
        [.. (t.Title.Length == 0 ? (string[])["title"] : []), .. (t.Author.Length == 0 ? (string[])["author"] : []),
            .. (t.Isbn is null ? (string[])["ISBN"] : [])];

    /// <summary>In one line: “2 stops, 1 caution”, “3 still to do” or “nothing stops the press”.</summary>
    public string Say() => string.Join(", ", new[]
    {
        Stops > 0 ? Count(Stops, "stop") : "",
        Cautions > 0 ? Count(Cautions, "caution") : "",
        Todos > 0 ? $"{Todos} still to do" : "",
    }.Where(s => s.Length > 0)) is { Length: > 0 } said ? said : "nothing stops the press";

    private static string Count(int n, string what) => n == 1 ? $"1 {what}" : $"{n} {what}s";
}
