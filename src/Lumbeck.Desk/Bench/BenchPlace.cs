namespace Lumbeck.Desk.Bench;

/// <summary>A job's place on the bench.</summary>
/// <param name="Id">The job's id.</param>
/// <param name="Slug">Its address.</param>
/// <param name="Revision">What lies there.</param>
/// <param name="Job">What a list shows of it; null where it can't be shown.</param>
/// <param name="Problem">Why it can't.</param>
public sealed record BenchPlace(string Id, string Slug, long Revision, JobSummary? Job, string Problem)
{
    /// <summary>When it was begun, and when what lies there came there; UTC.</summary>
    public string Made { get; init; } = "";
    public string Changed { get; init; } = "";

    /// <summary>Whether nobody has looked at it yet, so that only its ticket is told.</summary>
    public bool Waits { get; init; }
}
