namespace Lumbeck.Core.Geometry;

/// <summary>
/// The whole arithmetic of one wrap: facts and a house's rules in, sheets and sums out (GEOMETRY.md).
/// Everything else reads these numbers; nothing computes them a second time.
/// </summary>
public sealed record WrapGeometry(BookFacts Book, House House, SpineSum Spine, ImmutableArray<Sheet> Sheets)
{
    private static readonly Length Least = Length.FromMillimetres(20);
    private static readonly Length Most = Length.FromMillimetres(1200);

    /// <summary>The sheet that carries the front.</summary>
    public Sheet Sheet => Sheets[0];

    /// <exception cref="Refusal">Facts that make no sheet: the fact, the figure and the way out are named.</exception>
    public static WrapGeometry Of(BookFacts book, House house)
    {
        if (book.Trim.Width < Least || book.Trim.Height < Least)
            throw new Refusal("ticket/trim", $"a trim of {book.Trim.Show(house.Unit)} is under {Least.Show(house.Unit)} a side: check the unit you typed");
        if (book.Trim.Width > Most || book.Trim.Height > Most)
            throw new Refusal("ticket/trim", $"a trim of {book.Trim.Show(house.Unit)} is over {Most.Show(house.Unit)} a side: check the unit you typed");
        if (book.PinnedSpine is { } pin && (pin.Units < 0 || pin > Length.FromMillimetres(300)))
            throw new Refusal("ticket/pinned", $"a spine of {pin.Show(house.Unit)} can't be: type the printer's figure, or leave it blank");
        if (book.FlapWidth is { } flap && (flap < Least || flap > book.Trim.Width))
            throw new Refusal("ticket/flaps", $"a flap of {flap.Show(house.Unit)} must lie between {Least.Show(house.Unit)} and the trim's {book.Trim.Width.Show(house.Unit)}");
        var binding = Binding.Of(book.Binding);
        var spine = binding.Spine(book, house);
        return new(book, house, spine, binding.Sheets(book, house, spine));
    }

    /// <summary>Every figure a ticket shows, with its working, in this unit.</summary>
    public IEnumerable<Sum> Sums(Unit unit)
    {
        foreach (var step in Spine.Steps(Book, unit)) yield return step;
        foreach (var sum in Binding.Of(Book.Binding).Working(Book, House, Spine, unit)) yield return sum;
        var px = (int w, int h) => $"{w.ToString(CultureInfo.InvariantCulture)} × {h.ToString(CultureInfo.InvariantCulture)} pixels";
        yield return new("pixels", $"{Sheet.Size.Show(Unit.Inch)} × 300 per inch = {px((int)Math.Round(Sheet.Size.Width.Inches * 300), (int)Math.Round(Sheet.Size.Height.Inches * 300))}");
        if (WeightGrams is { } grams)
            yield return new("weight", $"{Spine.Leaves} leaves at {Figure(Book.Paper.Grammage!.Value)} g/m² + cover {Figure(Math.Round(Binding.Of(Book.Binding).CoverGrams(this)!.Value))} g = {Figure(Math.Round(grams))} g");
        yield return new("range", $"{House.Name} binds {FewestPages} to {MostPages} pages{(Book.Paper.Name.Length > 0 ? $" on {Book.Paper.Name}" : "")}");
        if (Spine.Working.Length > 0) yield return new("bulk", $"paper 5 % thinner would make the spine {Thinner.Show(unit)}, 5 % thicker {Thicker.Show(unit)}");
    }

    /// <summary>Block and cover in grams, to the trimmed edge; null where a grammage is unknown.</summary>
    public decimal? WeightGrams => Book.Paper.Grammage is { } leaf && Binding.Of(Book.Binding).CoverGrams(this) is { } cover
        ? (Spine.Leaves * leaf * SquareMetres(Book.Trim)) + cover
        : null;

    /// <summary>Fewest and most pages this house can bind on this paper.</summary>
    public int FewestPages => Math.Max(House.PagesLeast, Book.Paper.PagesLeast ?? 0);
    public int MostPages => Math.Min(House.PagesMost, Book.Paper.PagesMost ?? int.MaxValue);

    private Length Thinner => WithBulk(0.95m);
    private Length Thicker => WithBulk(1.05m);

    private Length WithBulk(decimal factor)
    {
        var leaf = Caliper.FromMicrometres(Math.Round(Book.Paper.Leaf.Micrometres * factor, 6));
        return Binding.Of(Book.Binding).Spine(Book with { Paper = Book.Paper with { Leaf = leaf }, PinnedSpine = null }, House).Width;
    }

    internal static decimal SquareMetres(Size s) => s.Width.Millimetres * s.Height.Millimetres / 1_000_000m;
    private static string Figure(decimal d) => d.ToString("0.##", CultureInfo.InvariantCulture);
}
