namespace Lumbeck.Desk.Bench;

/// <summary>A job's place on the bench.</summary>
/// <param name="Slug">Its address.</param>
/// <param name="On">The job; null where it can't be shown.</param>
/// <param name="Problem">Why it can't.</param>
public sealed record BenchPlace(string Slug, OnBench? On, string Problem)
{
    /// <summary>When it was begun, and when what lies there came there; UTC.</summary>
    public string Made { get; init; } = "";
    public string Changed { get; init; } = "";
}
