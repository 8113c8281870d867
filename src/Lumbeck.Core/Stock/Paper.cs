namespace Lumbeck.Core.Stock;

/// <summary>
/// One paper as a house stocks it or a maker types it. Caliper is the thickness of a leaf; grammage in g/m², null where unknown.
/// </summary>
public sealed record Paper(string Name, Caliper Leaf, decimal? Grammage = null)
{
    /// <summary>Fewest and most pages a house binds on this paper, where it says so for the paper itself.</summary>
    public int? PagesLeast { get; init; }
    public int? PagesMost { get; init; }
}

/// <summary>Pages and the leaves they make (GEOMETRY.md, From pages to spine).</summary>
public static class PageCount
{
    /// <summary>Most pages anything here is asked to bind; a typing slip beyond it is refused.</summary>
    public const int Most = 5000;

    /// <summary>N raised to the house's multiple: N + (−N mod m).</summary>
    public static int Raise(int pages, int multiple) => pages + (((-pages % multiple) + multiple) % multiple);

    /// <summary>A leaf is two pages.</summary>
    public static int Leaves(int raised) => raised / 2;
}
