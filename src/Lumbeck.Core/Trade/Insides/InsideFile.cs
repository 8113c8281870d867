namespace Lumbeck.Core.Trade.Insides;

/// <summary>A page size found in an inside PDF, and the pages that have it, counted from 1.</summary>
public sealed record PageSize(Size Size, int Pages, int First);

/// <summary>
/// What an inside PDF says of itself: its pages, their sizes (the commonest first; by their trim boxes where they have
/// them), and whether the last is blank.
/// The file itself is not kept.
/// </summary>
public sealed record InsideFile(string Name, int Pages, ImmutableArray<PageSize> Sizes, bool TrimBoxes, bool LastBlank)
{
    private static readonly Length Near = Length.FromMillimetres(0.2m);

    /// <summary>The commonest page size.</summary>
    public Size Page => Sizes[0].Size;

    /// <summary>
    /// The trim that its pages are made for, in a house whose bleed is known: the ticket's own where its pages fit that
    /// with bleed at three or
    /// four edges, else the trade's or house's usual size that they fit so, else the page as it is.
    /// </summary>
    public Size Trim(Size ticket, House house)
    {
        if (TrimBoxes || Same(Page, ticket)) return Same(Page, ticket) ? ticket : Page;
        return Bled(ticket, house.Bleed) ? ticket
            : TrimSizes.For(house).FirstOrDefault(t => Same(Page, t.Size))?.Size
            ?? TrimSizes.For(house).FirstOrDefault(t => Bled(t.Size, house.Bleed))?.Size
            ?? Page;
    }

    /// <summary>Whether its pages are a trim with bleed: at head, foot and fore-edge, or all round.</summary>
    public bool Bled(Size trim, Length bleed) =>
        !bleed.IsZero && !TrimBoxes
            && (Same(Page, new(trim.Width + bleed, trim.Height + (2 * bleed)))
                || Same(Page, new(trim.Width + (2 * bleed), trim.Height + (2 * bleed))));

    /// <summary>Whether a page's size is a trim's, as near as files are cut.</summary>
    public static bool Same(Size a, Size b) =>
        Length.Abs(a.Width - b.Width) <= Near && Length.Abs(a.Height - b.Height) <= Near;

    /// <summary>Whether its pages fit a trim, with or without bleed.</summary>
    public bool Fits(Size trim, Length bleed) => Same(Page, trim) || Bled(trim, bleed);

    /// <summary>What was found, a sentence each.</summary>
    public IEnumerable<string> Says(Size trim, House house, Unit unit)
    {
        yield return $"{Pages} pages of {Page.Show(unit)}" +
            $"{(TrimBoxes ? " by their trim boxes" : Bled(trim, house.Bleed) ? $", which is {trim.Show(unit)} with bleed" : "")}";
        foreach (var odd in Sizes.Skip(1).Take(4))
            yield return $"{(odd.Pages == 1 ? $"page {odd.First} is" : $"{odd.Pages} pages, the first of them page {odd.First}, are")} " +
                $"{odd.Size.Show(unit)}";
        if (Sizes.Length > 5) yield return $"and {Sizes.Length - 5} more sizes";
        if (LastBlank) yield return "the last page is blank: leave it out if it was only to make the count even";
    }
}
