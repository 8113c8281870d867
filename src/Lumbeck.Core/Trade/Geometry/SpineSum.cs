namespace Lumbeck.Core.Trade.Geometry;

/// <summary>
/// From pages to spine, exactly (docs/geometry.md). All figures stay exact until <see cref="Computed"/>;
/// <paramref name="Working"/> says in
/// words how that one came about, and <paramref name="BlockWorking"/> how the block did.
/// </summary>
public sealed record SpineSum(int PagesAsked, int Pages, int Multiple, int Leaves, Caliper Block, string BlockWorking,
    Length Computed, string Working, Length? Pinned)
{
    /// <summary>The spine the sheet is built on: the printer's own figure where one is pinned.</summary>
    public Length Width => Pinned ?? Computed;

    /// <summary>Pages raised, leaves and block; the spine is 0 until a binding gives it one.</summary>
    /// <param name="book">The book.</param>
    /// <param name="house">The house that binds it.</param>
    /// <param name="multiple">What pages are raised to a multiple of, where a binding says so itself.</param>
    /// <exception cref="Refusal">No pages, more than can be bound anywhere, or a paper without thickness.</exception>
    public static SpineSum None(BookFacts book, House house, int? multiple = null)
    {
        if (book.Pages < 1)
            throw new Refusal("ticket/pages",
                $"{book.Pages} pages make no book: type how many pages the inside has, such as 312");
        if (book.Pages > PageCount.Most)
            throw new Refusal("ticket/pages",
                $"{book.Pages} pages can't be bound in one volume: the most is {PageCount.Most}");
        if (!book.Paper.Leaf.IsPositive)
            throw new Refusal("ticket/paper", "a leaf needs a thickness: type one such as 0.135 mm");
        if (book.Dummy is { } d && (d < Length.FromMillimetres(0.1m) || d > Length.FromMillimetres(300)))
            throw new Refusal("ticket/dummy",
                $"a block of {d.Show(house.Unit)} can't be: measure the dummy's pages without its cover, from " +
                    $"{Length.FromMillimetres(0.1m).Show(house.Unit)} to {Length.FromMillimetres(300).Show(house.Unit)}");
        if (book.Endpapers is { } e && (e.Units < 0 || e > Length.FromMillimetres(10)))
            throw new Refusal("ticket/endpapers",
                $"endpapers of {e.Show(house.Unit)} can't be: from 0 to {Length.FromMillimetres(10).Show(house.Unit)}");
        var raise = multiple ?? house.PageMultiple;
        var pages = PageCount.Raise(book.Pages, raise);
        var leaves = PageCount.Leaves(pages);
        var (block, working) = BlockOf(book, leaves, pages, house.Unit);
        return new(book.Pages, pages, raise, leaves, block, working, Length.Zero, "", null);
    }

    /// <summary>B = Σ leavesᵢ × tᵢ, or what was measured.</summary>
    private static (Caliper Block, string Working) BlockOf(BookFacts book, int leaves, int pages, Unit unit)
    {
        if (book.Dummy is { } measured)
            return (Caliper.FromLength(measured), $"measured on a dummy, {Caliper.FromLength(measured).Show()}");
        if (book.Plates is not { } plates)
            return (book.Paper.Leaf * leaves, $"{PageCount.SayLeaves(leaves)} × {book.Paper.Leaf.Show()}");
        if (plates.Pages < 2 || plates.Pages % 2 != 0 || plates.Pages > pages)
            throw new Refusal("ticket/plates", plates.Pages > 0 && plates.Pages <= pages && plates.Pages % 2 != 0
                ? $"{plates.Pages} pages of a plate section end within a leaf: type {plates.Pages + 1}"
                : $"{plates.Pages} pages of a plate section do not fit into {pages} pages: type an even count from 2 to " +
                    $"{pages}");
        if (!plates.Paper.Leaf.IsPositive)
            throw new Refusal("ticket/plates-paper", "a leaf of the plate section needs a thickness: type one such as 0.119 mm");
        var own = plates.Pages / 2;
        return ((book.Paper.Leaf * (leaves - own)) + (plates.Paper.Leaf * own),
            $"{PageCount.SayLeaves(leaves - own)} × {book.Paper.Leaf.Show()} + " +
                $"{PageCount.SayLeaves(own)} of the plate section × {plates.Paper.Leaf.Show()}");
    }

    /// <summary>Paperback: S = round(B + coverAllowance).</summary>
    public static SpineSum Paperback(BookFacts book, House house)
    {
        var sum = None(book, house);
        return sum with
        {
            Computed = Round(sum.Block + Caliper.FromLength(house.CoverAllowance), house),
            Working = $"{sum.BlockWorking}{Allowance(house)}{Rounding(house)}",
            Pinned = book.PinnedSpine,
        };
    }

    /// <summary>
    /// Case: S = round(B + endpapers + 2d + coverAllowance); a round back multiplies block and boards by the house's
    /// factor first.
    /// </summary>
    public static SpineSum Case(BookFacts book, House house)
    {
        var sum = None(book, house);
        // A measured dummy has its endpapers in it.
        var added = book.Dummy is null ? book.Endpapers ?? house.Endpapers : Length.Zero;
        var block = sum.Block + Caliper.FromLength(added);
        var cased = block + Caliper.FromLength(2 * house.Board);
        var (rounded, factor) = book.RoundBack && house.RoundBackFactor != 1
            ? (cased * house.RoundBackFactor,
                $" × {house.RoundBackFactor.ToString("0.###", CultureInfo.InvariantCulture)} for the round back")
            : (cased, "");
        var ends = added.IsZero ? "" : $" + endpapers {Caliper.FromLength(added).Show()}";
        var terms = $"{sum.BlockWorking}{ends} + 2 boards × {Caliper.FromLength(house.Board).Show()}";
        return sum with
        {
            Block = block,
            BlockWorking = sum.BlockWorking + ends,
            Computed = Round(rounded + Caliper.FromLength(house.CoverAllowance), house),
            Working = $"{(factor.Length > 0 ? $"({terms})" : terms)}{factor}{Allowance(house)}{Rounding(house)}",
            Pinned = book.PinnedSpine,
        };
    }

    /// <summary>
    /// The leaf that a paperback's spine implies, the sum read back: t = (S − coverAllowance − leaves of plates) ÷
    /// other leaves. A spine that was rounded
    /// implies it as nearly as that; null where a measured dummy has no leaf in it, or nothing is left.
    /// </summary>
    public Caliper? PaperbackLeaf(BookFacts book, House house, Length spine) =>
        Leaf(book, spine - house.CoverAllowance);

    /// <summary>
    /// The same of a case: (S − coverAllowance) ÷ the round back's factor − 2d − endpapers is the block.
    /// </summary>
    public Caliper? CaseLeaf(BookFacts book, House house, Length spine)
    {
        var cased = spine - house.CoverAllowance;
        if (book.RoundBack) cased = 1 / house.RoundBackFactor * cased;
        return Leaf(book, cased - (2 * house.Board) - (book.Endpapers ?? house.Endpapers));
    }

    private Caliper? Leaf(BookFacts book, Length block)
    {
        if (book.Dummy is not null) return null;
        var own = (book.Plates?.Pages ?? 0) / 2;
        if (book.Plates is { } plates) block -= (plates.Paper.Leaf * own).ToLength();
        return block.Units > 0 && Leaves > own ? Caliper.FromLength(block) * (1m / (Leaves - own)) : null;
    }

    /// <summary>The working, a step a line.</summary>
    public IEnumerable<Sum> Steps(Unit unit)
    {
        yield return new("pages", "Pages", Pages == PagesAsked ? $"{Pages} pages" : $"{Pages} pages, raised", Pages == PagesAsked
            ? $"{PagesAsked} pages = {PageCount.SayLeaves(Leaves)}"
            : $"{PagesAsked} pages print as {Pages} (a multiple of {Multiple}) = {PageCount.SayLeaves(Leaves)}");
        yield return new("block", "Block", Block.Show(),
            BlockWorking.EndsWith(Block.Show(), StringComparison.Ordinal)
                ? BlockWorking
                : $"{BlockWorking} = {Block.Show()}");
        if (Working.Length == 0) yield break;
        yield return new("spine", "Spine", Computed.Show(unit),
            $"{Working} = {Caliper.FromLength(Computed).Show()}{(unit == Unit.Inch ? $" = {Computed.Show(Unit.Inch)}" : "")}");
        if (Pinned is { } pinned)
            yield return new("pinned", "Pinned spine", pinned.Show(unit), pinned == Computed
                ? $"pinned to the printer's {pinned.Show(unit)}, which is the computed spine too"
                : $"pinned to the printer's {pinned.Show(unit)}, {Length.Abs(pinned - Computed).Show(unit)} " +
                    $"{(pinned < Computed ? "under" : "over")} the computed {Computed.Show(unit)}");
    }

    private static Length Round(Caliper exact, House house) =>
        exact.ToLength(house.SpineRounding, house.SpineStep ?? default);

    private static string Allowance(House house) =>
        house.CoverAllowance.IsZero ? "" : $" + cover {Caliper.FromLength(house.CoverAllowance).Show()}";

    private static string Rounding(House house) => house.SpineRounding switch
    {
        Measures.Rounding.Nearest => $", to the nearest {Caliper.FromLength(house.SpineStep!.Value).Show()}",
        Measures.Rounding.Up => $", up to the next {Caliper.FromLength(house.SpineStep!.Value).Show()}",
        _ => "",
    };
}
