namespace Lumbeck.Core.Trade.Houses;

/// <summary>
/// How much a finding weighs: a stop keeps the file from being accepted, a caution may disappoint, a to-do
/// has simply not been done yet, a note informs.
/// </summary>
public enum Severity { Stop, Caution, Todo, Note }

public static class SeverityWords
{
    /// <summary>The words of house files and the command line.</summary>
    public static IReadOnlyList<(string Word, Severity Value)> Words { get; } = [("stop", Severity.Stop),
        ("caution", Severity.Caution), ("todo", Severity.Todo), ("note", Severity.Note)];

    public static string Word(this Severity severity) => Words.First(w => w.Value == severity).Word;
}
