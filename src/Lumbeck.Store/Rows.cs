namespace Lumbeck.Store;

/// <summary>A job's place in a list: what lies on the bench, and what is kept to show of it.</summary>
public sealed record ListedRow
{
    public string Id { get; init; } = "";
    public string Slug { get; init; } = "";
    public string Made { get; init; } = "";
    /// <summary>When what is on the bench came there.</summary>
    public string Changed { get; init; } = "";
    public long Revision { get; init; }
    /// <summary>What is kept to show; null where there is nothing, or it is of another form or another state.</summary>
    public string? Summary { get; init; }
}

/// <summary>A job. Times are UTC.</summary>
public sealed record JobRow
{
    public string Id { get; init; } = "";
    /// <summary>Its address.</summary>
    public string Slug { get; init; } = "";
    public string Made { get; init; } = "";
    /// <summary>When it was put away; null on the bench.</summary>
    public string? Away { get; init; }
    /// <summary>When what is on the bench came there.</summary>
    public string Changed { get; init; } = "";
}

/// <summary>What is on the bench: the revision, and the tick at which it came there.</summary>
public sealed record HeadRow(long Tick, long Revision, string Session, string At);

/// <summary>One revision without its state.</summary>
public sealed record RevisionRow(long Id, string Job, long? Parent, string? Gesture, string? EditId, string Says,
    string Session, string At);

/// <summary>
/// One step of a job as a list shows it: the last revision of a gesture, how many revisions that gesture has, and the
/// name it was given, empty where it has none.
/// </summary>
public sealed record StepRow
{
    public long Revision { get; init; }
    public string Says { get; init; } = "";
    public string At { get; init; } = "";
    public long Parts { get; init; }
    public string Name { get; init; } = "";
}

/// <summary>A file that was made.</summary>
public sealed record PressingRow
{
    public long Id { get; init; }
    public string Job { get; init; } = "";
    public long Revision { get; init; }
    /// <summary>Its kind with what was asked of it besides, in words.</summary>
    public string Kind { get; init; } = "";
    /// <summary>The house it is for, by name.</summary>
    public string House { get; init; } = "";
    public string Name { get; init; } = "";
    /// <summary>The hash under which it is kept.</summary>
    public string File { get; init; } = "";
    public long Bytes { get; init; }
    public string At { get; init; } = "";
    /// <summary>The order that it was made by; null where it was made at once.</summary>
    public string? Ordered { get; init; }
    /// <summary>What Check found at press resolution before it left.</summary>
    public long Stops { get; init; }
    public long Cautions { get; init; }
    public long Todos { get; init; }
    /// <summary>The rules that the job went without.</summary>
    public string Waived { get; init; } = "";
    /// <summary>Whether the house's reception took it; null where none was asked.</summary>
    public bool? Accepted { get; init; }
    /// <summary>What it said.</summary>
    public string Verdict { get; init; } = "";
}
