namespace Lumbeck.Store;

/// <summary>A job as a list shows it. Times are UTC.</summary>
public sealed record JobRow(string Id, string Slug, string Made);

/// <summary>What is on the bench: the revision, and the tick at which it came there.</summary>
public sealed record HeadRow(long Tick, long Revision, string Session, string At);

/// <summary>One revision without its state.</summary>
public sealed record RevisionRow(long Id, string Job, long? Parent, string? Gesture, string? EditId, string Says, string Session, string At);

/// <summary>One step of a job as a list shows it: the last revision of a gesture, how many revisions that gesture has, and the name it was given, empty where it has none.</summary>
public sealed record StepRow
{
    public long Revision { get; init; }
    public string Says { get; init; } = "";
    public string At { get; init; } = "";
    public long Parts { get; init; }
    public string Name { get; init; } = "";
}

/// <summary>A file that was made.</summary>
public sealed record PressingRow(long Id, string Job, long Revision, string Kind, string House, string Name, string File, long Bytes, string At);
