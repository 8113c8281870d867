namespace Lumbeck.Desk.Jobs;

/// <summary>What is on the bench for a job, and at which tick it came there.</summary>
public sealed record OnBench(string JobId, string Slug, long Tick, Composed Composed)
{
    public Job Job => Composed.Job;
    public long Revision => Composed.Revision;
}

/// <summary>
/// An edit that another session's has overtaken: the fact, what it says now, and what this edit would make it.
/// </summary>
public sealed class Conflict(string path, string label, string theirs, string yours)
    : Exception($"{label} was changed in the meantime.")
{
    public string Path { get; } = path;
    public string Label { get; } = label;
    public string Theirs { get; } = theirs;
    public string Yours { get; } = yours;
}

/// <summary>
/// A request to edit. <paramref name="Make"/> gives the edit for the job as it is; <paramref name="Base"/> is the tick
/// its maker saw,
/// null to go ahead whatever others did; revisions that share a <paramref name="Gesture"/> are one step back.
/// </summary>
public sealed record EditRequest(string Id, Actor By, Func<Job, Edit> Make, long? Base = null, string? Gesture = null);
