namespace Lumbeck.Core.Trade.Geometry;

/// <summary>
/// One way of binding, as far as its cover goes. A binding is added by adding a file with one of these
/// and naming it in <see cref="All"/>.
/// </summary>
public abstract class Binding
{
    public abstract BindingKind Kind { get; }

    /// <summary>The wraps that are printed for it, the one that carries the front first.</summary>
    public virtual ImmutableArray<BindingKind> Pieces => [Kind];

    /// <summary>Whether it has boards.</summary>
    public virtual bool IsCased => false;

    /// <summary>Whether it has flaps whatever the ticket says.</summary>
    public virtual bool HasFlaps => false;

    /// <summary>Whether its sheet is folded round boards, where others have bleed that is cut off.</summary>
    public virtual bool TurnsIn => false;

    /// <summary>The spine's width with its working.</summary>
    public abstract SpineSum Spine(BookFacts book, House house);

    /// <summary>The same read back: the leaf that a spine implies; null where it implies none.</summary>
    public virtual Caliper? LeafFor(BookFacts book, House house, SpineSum sum, Length spine) =>
        sum.PaperbackLeaf(book, house, spine);

    /// <summary>The printed sheets, the first the one that carries the front.</summary>
    public abstract ImmutableArray<Sheet> Sheets(BookFacts book, House house, SpineSum spine);

    /// <summary>What the cover weighs in grams, to its trimmed edge; null where a grammage is unknown.</summary>
    public virtual decimal? CoverGrams(WrapGeometry wrap) => wrap.House.CoverGrammage is { } grammage
        ? wrap.Sheets.Sum(s => grammage * WrapGeometry.SquareMetres(s.Trim.Size))
        : null;

    /// <summary>How the sheet's width and height come about, in words and figures.</summary>
    public abstract IEnumerable<Sum> Working(BookFacts book, House house, SpineSum spine, Unit unit);

    /// <summary>The height's sum where nothing but bleed is added.</summary>
    protected static Sum HeightAndBleed(Length height, Length bleed, Unit unit) =>
        new("height", "Height", (height + (2 * bleed)).Show(unit),
            $"{height.Term(unit)} + 2 bleeds × {bleed.Term(unit)} = {(height + (2 * bleed)).Term(unit)}");

    /// <summary>The sheet's width, as its terms and what they add up to.</summary>
    protected static Sum Width(string terms, Length width, Unit unit) =>
        new("width", "Width", width.Show(unit), $"{terms} = {width.Term(unit)}");

    /// <summary>A cover as wide as the trim.</summary>
    protected static Sum TrimPanel(BookFacts book, Unit unit) =>
        new("panel", "Panel", book.Trim.Width.Show(unit), $"as wide as the trim, {book.Trim.Width.Term(unit)}");

    /// <summary>A flap of the house's own width, or of the ticket's.</summary>
    protected static Sum Flap(BookFacts book, House house,
        Unit unit) => new("flap", "Flap", (book.FlapWidth ?? house.Flap).Show(unit), book.FlapWidth is { } own
        ? $"as the ticket says, {own.Term(unit)} in place of the {house.Flap.Term(unit)} of {house.Name}"
        : $"as {house.Name} makes them, {house.Flap.Term(unit)}");

    private static readonly Binding[] All = [new FrontOnly(), new Paperback(), new Booklet(), new LooseCovers(),
        new PrintedCase(), new Jacket()];

    public static Binding Of(BindingKind kind) => All.First(b => b.Kind == kind);
}
