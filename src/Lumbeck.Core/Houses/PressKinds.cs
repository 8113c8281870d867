namespace Lumbeck.Core.Houses;

public static class PressKinds
{
    /// <summary>The words of a house file and the command line.</summary>
    public static IReadOnlyList<(string Word, PressKind Value)> Words { get; } = [("x4", PressKind.X4), ("x1a", PressKind.X1a), ("pdf", PressKind.Pdf)];

    public static string Word(this PressKind kind) => Words.First(w => w.Value == kind).Word;

    /// <summary>The standard's own name.</summary>
    public static string Title(this PressKind kind) => kind switch { PressKind.X4 => "PDF/X-4", PressKind.X1a => "PDF/X-1a:2003", _ => "PDF" };
}
