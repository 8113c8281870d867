namespace Lumbeck.Press.Import.Rewriting;

/// <summary>How marks are carried over.</summary>
/// <param name="House">Whose inks and limits hold.</param>
/// <param name="Spots">Spots that it prints.</param>
internal sealed record RewriteOptions(House House, IReadOnlyCollection<string> Spots)
{
    /// <summary>White that overprints knocks out instead.</summary>
    public bool WhiteKnocks { get; init; }

    /// <summary>Lines thinner than the house prints are raised to that.</summary>
    public bool Thickens { get; init; }
}
