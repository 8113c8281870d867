namespace Lumbeck.Core.Geometry;

/// <summary>From pages to spine, exactly (GEOMETRY.md). All figures stay exact until <see cref="Computed"/>.</summary>
public sealed record SpineSum(int PagesAsked, int Pages, int Leaves, Caliper Block, Length Computed, Length? Pinned)
{
    /// <summary>The spine the sheet is built on: the printer's own figure where one is pinned.</summary>
    public Length Width => Pinned ?? Computed;

    /// <summary>Paperback: S = round(B + coverAllowance).</summary>
    /// <exception cref="Refusal">No pages, or more than can be bound anywhere.</exception>
    public static SpineSum Paperback(BookFacts book, House house) => Of(book, house, Caliper.FromLength(house.CoverAllowance));

    private static SpineSum Of(BookFacts book, House house, Caliper beyondBlock)
    {
        if (book.Pages < 1) throw new Refusal("ticket/pages", $"{book.Pages} pages make no book: type how many pages the inside has, such as 312");
        if (book.Pages > PageCount.Most) throw new Refusal("ticket/pages", $"{book.Pages} pages can't be bound in one volume: the most is {PageCount.Most}");
        if (!book.Paper.Leaf.IsPositive) throw new Refusal("ticket/paper", "a leaf needs a thickness: type one such as 0.135 mm");
        var pages = PageCount.Raise(book.Pages, house.PageMultiple);
        var leaves = PageCount.Leaves(pages);
        var block = book.Paper.Leaf * leaves;
        return new(book.Pages, pages, leaves, block, (block + beyondBlock).ToLength(house.SpineRounding, house.SpineStep ?? default), book.PinnedSpine);
    }

    /// <summary>The working, a step a line.</summary>
    public IEnumerable<Sum> Steps(BookFacts book, House house, Unit unit)
    {
        string mm(decimal v) => Math.Round(v, 4).ToString("0.####", CultureInfo.InvariantCulture);
        yield return new("pages", Pages == PagesAsked
            ? $"{PagesAsked} pages = {Leaves} leaves"
            : $"{PagesAsked} pages print as {Pages} (a multiple of {house.PageMultiple}) = {Leaves} leaves");
        yield return new("block", $"{Leaves} leaves × {mm(book.Paper.Leaf.Millimetres)} mm = {mm(Block.Millimetres)} mm");
        var beyond = house.CoverAllowance.IsZero ? "" : $" + cover {mm(house.CoverAllowance.Millimetres)} mm";
        var rounded = house.SpineRounding switch
        {
            Rounding.Nearest => $", to the nearest {mm(house.SpineStep!.Value.Millimetres)} mm",
            Rounding.Up => $", up to the next {mm(house.SpineStep!.Value.Millimetres)} mm",
            _ => "",
        };
        var also = unit == Unit.Inch ? $" = {Computed.Show(Unit.Inch)}" : "";
        yield return new("spine", $"{Leaves} leaves × {mm(book.Paper.Leaf.Millimetres)} mm{beyond}{rounded} = {mm(Computed.Millimetres)} mm{also}");
        if (Pinned is { } pinned)
        {
            var differs = Length.Abs(pinned - Computed);
            yield return new("pinned", $"pinned to the printer's {pinned.Show(unit)}, {differs.Show(unit)} {(pinned < Computed ? "under" : "over")} the computed {Computed.Show(unit)}");
        }
    }
}
