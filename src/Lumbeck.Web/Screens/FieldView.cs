namespace Lumbeck.Web.Screens;

/// <summary>How one fact is shown as a field.</summary>
public sealed record FieldView(Job Job, Fact Fact)
{
    /// <summary>Picked from its choices rather than typed.</summary>
    public bool Pick { get; init; }
    /// <summary>Choices that the fact itself does not know.</summary>
    public IReadOnlyList<(string Text, string Label)>? Choices { get; init; }
    /// <summary>Lines of a longer text; 0 for one line.</summary>
    public int Lines { get; init; }
    /// <summary>The label above the field instead of beside it, where room is narrow.</summary>
    public bool Above { get; init; }
    /// <summary>Set in the figures' face.</summary>
    public bool Figure { get; init; }
    /// <summary>Sent while it is typed, not only when it is left.</summary>
    public bool Live { get; init; }
    /// <summary>What it would do to the sheet is shown while it is typed; it is taken over when it is left.</summary>
    public bool Try { get; init; }
    /// <summary>A shorter label than the fact's own, where room is narrow.</summary>
    public string? Label { get; init; }
    public string? Hint { get; init; }
    /// <summary>
    /// Lines kept free below for what is said of the field, so that nothing jumps when it is; 0 where a sentence may
    /// push.
    /// </summary>
    public int Hints { get; init; }
    /// <summary>A list of suggestions elsewhere on the page.</summary>
    public string? List { get; init; }
    public string Class { get; init; } = "grid grid-cols-[72px_1fr] gap-x-2";

    public static FieldView Of(Job job, string path) =>
        new(job, Facts.Find(job, path) ?? throw new ArgumentException($"There is no fact {path}."));
}
