namespace Lumbeck.Core.Trade.Stock;

/// <summary>
/// One paper as a house stocks it or a maker types it. Caliper is the thickness of a leaf; grammage in g/m², null where
/// unknown.
/// Caliper, thickness of a page, pages per inch and grammage × bulk are four views of it (docs/geometry.md, From pages
/// to spine).
/// </summary>
public sealed record Paper(string Name, Caliper Leaf, decimal? Grammage = null)
{
    private static readonly Caliper Least = Caliper.FromMicrometres(20), Most = Caliper.FromMicrometres(1500);

    /// <summary>What a paper is called that no house stocks.</summary>
    public const string Own = "own paper";

    /// <summary>Fewest and most pages a house binds on this paper, where it says so for the paper itself.</summary>
    public int? PagesLeast { get; init; }
    public int? PagesMost { get; init; }

    /// <summary>Thickness of a page, half a leaf's.</summary>
    public Caliper Page => Leaf * 0.5m;

    /// <summary>Pages in an inch, to about 12 digits.</summary>
    public decimal PagesPerInch => 50_800m / Leaf.Micrometres;

    /// <summary>Bulk in cm³/g, to about 12 digits; null without a grammage.</summary>
    public decimal? Bulk => Grammage is { } g ? Leaf.Micrometres / g : null;

    /// <summary>A paper of another thickness; its grammage, once given, stays.</summary>
    /// <exception cref="Refusal">No paper is so thin or thick; the path is left to whoever asks.</exception>
    public Paper Thick(Caliper leaf) => leaf >= Least && leaf <= Most
        ? new(Own, leaf, Grammage)
        : throw new Refusal("", $"a leaf of {leaf.Show()} can't be: papers run from {Least.Show()} to {Most.Show()}");

    /// <summary>The same paper with its grammage known; bulk follows.</summary>
    public Paper Weighing(decimal? grammage) => grammage is null or (>= 10 and <= 800)
        ? new(Own, Leaf, grammage)
        : throw new Refusal("",
            $"{grammage.Value.ToString("0.##", CultureInfo.InvariantCulture)} g/m² can't be: papers run from 10 to 800 g/m²");

    /// <summary>The same grammage, more or less bulky; the caliper follows.</summary>
    public Paper Bulking(decimal bulk) => Grammage is not { } g
        ? throw new Refusal("", "bulk needs a grammage: type the g/m² first")
        : bulk is < 0.4m or > 4
            ? throw new Refusal("",
                $"a bulk of {bulk.ToString("0.##", CultureInfo.InvariantCulture)} cm³/g can't be: papers run from 0.4 to 4 cm³/g")
        : Thick(Caliper.FromBulk(g, bulk));
}

/// <summary>Pages and the leaves they make (docs/geometry.md, From pages to spine).</summary>
public static class PageCount
{
    /// <summary>Most pages anything here is asked to bind; a typing slip beyond it is refused.</summary>
    public const int Most = 5000;

    /// <summary>N raised to the house's multiple: N + (−N mod m).</summary>
    public static int Raise(int pages, int multiple) => pages + (((-pages % multiple) + multiple) % multiple);

    /// <summary>A leaf is two pages.</summary>
    public static int Leaves(int raised) => raised / 2;

    /// <summary>“1 leaf”, “160 leaves”.</summary>
    public static string SayLeaves(int leaves) => leaves == 1 ? "1 leaf" : $"{leaves} leaves";
}
