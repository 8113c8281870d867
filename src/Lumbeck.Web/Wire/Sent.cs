using Lumbeck.Web.Screens;

namespace Lumbeck.Web.Wire;

/// <summary>
/// What a browser sends to change a job or a house, or to see what a change would do: what is asked, and what the
/// browser shows meanwhile.
/// </summary>
public sealed record Sent
{
    /// <summary>The asking's own id: sent twice it is done once.</summary>
    public string Id { get; init; } = "";
    /// <summary>Which browser asks.</summary>
    public string Session { get; init; } = "";
    /// <summary>The tick it was asked at; null goes ahead whatever others did since.</summary>
    public long? Base { get; init; }
    /// <summary>The tick that the page was opened at: what others did since is not taken back unasked.</summary>
    public long? Opened { get; init; }
    /// <summary>What is asked under one gesture is one step back.</summary>
    public string? Gesture { get; init; }
    /// <summary>The tick that the browser shows: the answer is the difference from there.</summary>
    public long Seen { get; init; }
    public Place Place { get; init; }
    /// <summary>Ids of the picked items, parted by commas; the open key of a house.</summary>
    public string? Open { get; init; }
    /// <summary>The id of the sheet that is shown.</summary>
    public string? Sheet { get; init; }
    /// <summary>The same, where it is of a cover: on the inside it is a page.</summary>
    internal string? Wrap => Place == Place.Inside ? null : Sheet;
    /// <summary>Whether something tried is shown in place of what is saved.</summary>
    public bool Tried { get; init; }
    public Ask? Ask { get; init; }
}

/// <summary>Items to be had as text for the clipboard.</summary>
public sealed record Copying(string[] Items);

/// <summary>
/// Why something could not be done, as problem details (RFC 9457): which fact is at fault, and of a conflict what both
/// say.
/// </summary>
public sealed record Problem(string Path, string Detail, string? Label, string? Theirs, string? Yours);

/// <summary>A piece of long work as a browser is told of it.</summary>
public sealed record Work(string Id, string Kind, string Says, string State, double Share, string Problem);

/// <summary>A job's long work, and the time to ask from next.</summary>
public sealed record WorkList(string Now, IReadOnlyList<Work> Works);
