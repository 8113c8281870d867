namespace Lumbeck.Core.Trade.Geometry;

/// <summary>
/// The whole arithmetic of one wrap: facts and a house's rules in, sheets and sums out (docs/geometry.md).
/// Everything else reads these numbers; nothing computes them a second time.
/// </summary>
public sealed record WrapGeometry(BookFacts Book, House House, SpineSum Spine, ImmutableArray<Sheet> Sheets)
{
    private static readonly Length Least = Length.FromMillimetres(20);
    private static readonly Length Most = Length.FromMillimetres(1200);

    /// <summary>The sheet that carries the front.</summary>
    public Sheet Sheet => Sheets[0];

    public Binding Binding => Binding.Of(Book.Binding);

    /// <exception cref="Refusal">Facts that make no sheet: the fact, the figure and the way out are named.</exception>
    public static WrapGeometry Of(BookFacts book, House house)
    {
        if (book.Trim.Width < Least || book.Trim.Height < Least)
            throw new Refusal("ticket/trim",
                $"a trim of {book.Trim.Show(house.Unit)} is under {Least.Show(house.Unit)} a side: check the unit you typed");
        if (book.Trim.Width > Most || book.Trim.Height > Most)
            throw new Refusal("ticket/trim",
                $"a trim of {book.Trim.Show(house.Unit)} is over {Most.Show(house.Unit)} a side: check the unit you typed");
        if (book.PinnedSpine is { } pin && (pin.Units < 0 || pin > Length.FromMillimetres(300)))
            throw new Refusal("ticket/pinned",
                $"a spine of {pin.Show(house.Unit)} can't be: type the printer's figure, or leave it blank");
        if (book.FlapWidth is { } flap && (flap < Least || flap > book.Trim.Width))
            throw new Refusal("ticket/flaps",
                $"a flap of {flap.Show(house.Unit)} must lie between {Least.Show(house.Unit)} and the trim's " +
                    $"{book.Trim.Width.Show(house.Unit)}");
        var binding = Binding.Of(book.Binding);
        var spine = binding.Spine(book, house);
        var sheets = binding.Sheets(book, house, spine);
        foreach (var sheet in sheets)
            if (!Fits(sheet.Size, house.SheetMost))
                throw new Refusal("ticket/trim",
                    $"this sheet of {sheet.Size.Show(house.Unit)} is larger than the press of {house.Name} takes, " +
                        $"{house.SheetMost.Show(house.Unit)}: take a smaller trim, " +
                        $"{(book.Flaps || Binding.Of(book.Binding).HasFlaps ? "narrower flaps, " : "")}or another printer");
        return new(book, house, spine, sheets);
    }

    /// <summary>A sheet may lie either way on the press.</summary>
    private static bool Fits(Size sheet, Size press) =>
        Within(sheet, press) || Within(new(sheet.Height, sheet.Width), press);

    private static bool Within(Size size, Size most) =>
        size.Width <= most.Width + House.AtLimit && size.Height <= most.Height + House.AtLimit;

    /// <summary>Every figure a ticket shows, with its working, in this unit.</summary>
    public IEnumerable<Sum> Sums(Unit unit) => Figures.Of(this, unit);

    /// <summary>Block and cover in grams, to the trimmed edge; null where a grammage is unknown.</summary>
    public decimal? WeightGrams =>
        BlockGrams is { } block && Binding.CoverGrams(this) is { } cover ? block + cover : null;

    /// <summary>The block in grams; null where a grammage is unknown.</summary>
    public decimal? BlockGrams
    {
        get
        {
            if (Book.Paper.Grammage is not { } text) return null;
            if (Book.Plates is not { } plates) return Spine.Leaves * text * SquareMetres(Book.Trim);
            var own = plates.Pages / 2;
            return plates.Paper.Grammage is { } g
                ? (((Spine.Leaves - own) * text) + (own * g)) * SquareMetres(Book.Trim)
                : null;
        }
    }

    /// <summary>Fewest and most pages this house can bind so on this paper.</summary>
    public int FewestPages => PagesOn(Book.Paper).Fewest;
    public int MostPages => PagesOn(Book.Paper).Most;

    /// <summary>Fewest and most pages this house can bind so on another paper.</summary>
    public (int Fewest, int Most) PagesOn(Paper paper) => Book.Binding == BindingKind.Booklet
        ? (Math.Max(House.BookletPagesLeast, paper.PagesLeast ?? 0), Math.Min(House.BookletPagesMost, paper.PagesMost ?? int.MaxValue))
        : (Math.Max(House.PagesLeast, paper.PagesLeast ?? 0), Math.Min(House.PagesMost, paper.PagesMost ?? int.MaxValue));

    internal static decimal SquareMetres(Size s) => s.Width.Millimetres * s.Height.Millimetres / 1_000_000m;
}
