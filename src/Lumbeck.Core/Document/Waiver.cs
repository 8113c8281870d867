namespace Lumbeck.Core.Document;

/// <summary>
/// A rule that a job goes without, and why: it is still looked at, is shown as waived, and counts no more.
/// </summary>
public sealed record Waiver(string Rule, string Reason)
{
    /// <summary>Longest reason, in letters.</summary>
    public const int Most = 300;
}
