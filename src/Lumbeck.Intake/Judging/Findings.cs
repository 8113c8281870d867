using Lumbeck.Intake.Opening;
using System.Collections.Immutable;

namespace Lumbeck.Intake.Judging;

/// <summary>What reception has found so far.</summary>
internal sealed class Findings
{
    private readonly List<IntakeFinding> _all = [];
    private readonly SortedSet<string> _not = new(StringComparer.Ordinal);

    /// <summary>The kind of file it says it is.</summary>
    public string Kind { get; set; } = "PDF";

    public bool IsX1a => Kind.StartsWith("PDF/X-1", StringComparison.Ordinal);
    public bool IsX4 => Kind.StartsWith("PDF/X-4", StringComparison.Ordinal);

    public void Stop(string id, string measured, string limit, string why) =>
        Add(new(id, Severity.Stop, measured, limit, why));
    public void Caution(string id, string measured, string limit, string why) =>
        Add(new(id, Severity.Caution, measured, limit, why));
    public bool Has(string id) => _all.Any(f => f.Id == id);
    public void NotExamined(string what) => _not.Add(what);

    private void Add(IntakeFinding finding)
    {
        if (_all.Count < 60 && !_all.Contains(finding)) _all.Add(finding);
    }

    public Verdict Verdict(string house, string kind) =>
        new(house, kind, [.. _all.OrderBy(f => f.Severity)], [.. _not]);
}
