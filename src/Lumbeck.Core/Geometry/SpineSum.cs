namespace Lumbeck.Core.Geometry;

/// <summary>
/// From pages to spine, exactly (GEOMETRY.md). All figures stay exact until <see cref="Computed"/>; <paramref name="Working"/> says in
/// words how that one came about.
/// </summary>
public sealed record SpineSum(int PagesAsked, int Pages, int Multiple, int Leaves, Caliper Block, Length Computed, string Working, Length? Pinned)
{
    /// <summary>The spine the sheet is built on: the printer's own figure where one is pinned.</summary>
    public Length Width => Pinned ?? Computed;

    /// <summary>Pages raised, leaves and block; the spine is 0 until a binding gives it one.</summary>
    /// <exception cref="Refusal">No pages, more than can be bound anywhere, or a paper without thickness.</exception>
    public static SpineSum None(BookFacts book, House house, int? multiple = null)
    {
        if (book.Pages < 1) throw new Refusal("ticket/pages", $"{book.Pages} pages make no book: type how many pages the inside has, such as 312");
        if (book.Pages > PageCount.Most) throw new Refusal("ticket/pages", $"{book.Pages} pages can't be bound in one volume: the most is {PageCount.Most}");
        if (!book.Paper.Leaf.IsPositive) throw new Refusal("ticket/paper", "a leaf needs a thickness: type one such as 0.135 mm");
        var raise = multiple ?? house.PageMultiple;
        var pages = PageCount.Raise(book.Pages, raise);
        var leaves = PageCount.Leaves(pages);
        return new(book.Pages, pages, raise, leaves, book.Paper.Leaf * leaves, Length.Zero, "", null);
    }

    /// <summary>Paperback: S = round(B + coverAllowance).</summary>
    public static SpineSum Paperback(BookFacts book, House house)
    {
        var sum = None(book, house);
        return sum with
        {
            Computed = Round(sum.Block + Caliper.FromLength(house.CoverAllowance), house),
            Working = $"{sum.BlockWords(book)}{Allowance(house)}{Rounding(house)}",
            Pinned = book.PinnedSpine,
        };
    }

    /// <summary>Case: S = round(B + endpapers + 2d + coverAllowance); a round back multiplies block and boards by the house's factor first.</summary>
    public static SpineSum Case(BookFacts book, House house)
    {
        var sum = None(book, house);
        var block = sum.Block + Caliper.FromLength(house.Endpapers);
        var cased = block + Caliper.FromLength(2 * house.Board);
        var (rounded, factor) = book.RoundBack && house.RoundBackFactor != 1
            ? (cased * house.RoundBackFactor, $" × {house.RoundBackFactor.ToString("0.###", CultureInfo.InvariantCulture)} for the round back")
            : (cased, "");
        var ends = house.Endpapers.IsZero ? "" : $" + endpapers {Caliper.FromLength(house.Endpapers).Show()}";
        var terms = $"{sum.BlockWords(book)}{ends} + 2 boards × {Caliper.FromLength(house.Board).Show()}";
        return sum with
        {
            Block = block,
            Computed = Round(rounded + Caliper.FromLength(house.CoverAllowance), house),
            Working = $"{(factor.Length > 0 ? $"({terms})" : terms)}{factor}{Allowance(house)}{Rounding(house)}",
            Pinned = book.PinnedSpine,
        };
    }

    /// <summary>The working, a step a line.</summary>
    public IEnumerable<Sum> Steps(BookFacts book, Unit unit)
    {
        yield return new("pages", Pages == PagesAsked
            ? $"{PagesAsked} pages = {Leaves} leaves"
            : $"{PagesAsked} pages print as {Pages} (a multiple of {Multiple}) = {Leaves} leaves");
        yield return new("block", $"{BlockWords(book)} = {(book.Paper.Leaf * Leaves).Show()}");
        if (Working.Length == 0) yield break;
        yield return new("spine", $"{Working} = {Caliper.FromLength(Computed).Show()}{(unit == Unit.Inch ? $" = {Computed.Show(Unit.Inch)}" : "")}");
        if (Pinned is { } pinned)
            yield return new("pinned", $"pinned to the printer's {pinned.Show(unit)}, {Length.Abs(pinned - Computed).Show(unit)} {(pinned < Computed ? "under" : "over")} the computed {Computed.Show(unit)}");
    }

    private string BlockWords(BookFacts book) => $"{Leaves} leaves × {book.Paper.Leaf.Show()}";

    private static Length Round(Caliper exact, House house) => exact.ToLength(house.SpineRounding, house.SpineStep ?? default);

    private static string Allowance(House house) => house.CoverAllowance.IsZero ? "" : $" + cover {Caliper.FromLength(house.CoverAllowance).Show()}";

    private static string Rounding(House house) => house.SpineRounding switch
    {
        Measures.Rounding.Nearest => $", to the nearest {Caliper.FromLength(house.SpineStep!.Value).Show()}",
        Measures.Rounding.Up => $", up to the next {Caliper.FromLength(house.SpineStep!.Value).Show()}",
        _ => "",
    };
}
