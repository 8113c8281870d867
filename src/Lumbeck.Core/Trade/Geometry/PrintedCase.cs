namespace Lumbeck.Core.Trade.Geometry;

/// <summary>
/// Hardcover, the art glued to the boards: P = w + a with the hinge beside the spine, C = h + 2q;
/// W = 2u + 2P + S + 2b_c, H = C + 2u + 2b_c, folds at every turned edge and both sides of the spine (docs/geometry.md,
/// Printed case).
/// </summary>
public sealed class PrintedCase : Binding
{
    public override BindingKind Kind => BindingKind.Case;

    public override bool IsCased => true;
    public override bool TurnsIn => true;
    public override Caliper? LeafFor(BookFacts book, House house, SpineSum sum, Length spine) =>
        sum.CaseLeaf(book, house, spine);

    public override SpineSum Spine(BookFacts book, House house) => SpineSum.Case(book, house);

    public override ImmutableArray<Sheet> Sheets(BookFacts book, House house, SpineSum spine)
    {
        if (house.Joint >= Panel(book, house))
            throw new Refusal("ticket/trim",
                $"a hinge of {house.Joint.Show(house.Unit)} leaves nothing of a panel {Panel(book, house).Show(house.Unit)} wide");
        var bleed = new Strip(RegionKind.Bleed, house.CaseBleed);
        var turnIn = new Strip(RegionKind.TurnIn, house.TurnIn);
        var panel = Panel(book, house);
        return [new SheetPlan(house, spine) { SpineUp = book.ReadsUp(house), Hinge = house.Joint,
            TurnIn = house.TurnIn }
            .Lay([bleed, turnIn, new(RegionKind.Panel, panel, Part.Back),
                new(RegionKind.Spine, spine.Width, Part.Spine), new(RegionKind.Panel, panel, Part.Front), turnIn,
                bleed],
                Face(book, house), house.CaseBleed, book.Reading)];
    }

    public override IEnumerable<Sum> Working(BookFacts book, House house, SpineSum spine, Unit unit)
    {
        string f(Length l) => l.Term(unit);
        var (panel, face) = (Panel(book, house), Face(book, house));
        var bleed = house.CaseBleed.IsZero ? "" : $" + 2 bleeds × {f(house.CaseBleed)}";
        yield return PanelSum(book, house, unit);
        yield return new("hinge", "Hinge", house.Joint.Show(unit),
            $"the groove beside the spine, part of the panel: {house.Name} makes it {f(house.Joint)}");
        yield return new("turn-in", "Turn-in", house.TurnIn.Show(unit),
            $"{house.Name} folds {f(house.TurnIn)} round the edges of the boards");
        yield return Width($"2 panels × {f(panel)} + spine {f(spine.Width)} + 2 turn-ins × {f(house.TurnIn)}{bleed}",
            (2 * panel) + spine.Width + (2 * house.TurnIn) + (2 * house.CaseBleed), unit);
        var height = face + (2 * house.TurnIn) + (2 * house.CaseBleed);
        yield return new("height", "Height", height.Show(unit),
            $"{f(book.Trim.Height)} + 2 squares × {f(house.Square)} + 2 turn-ins × {f(house.TurnIn)}{bleed} = {f(height)}");
    }

    /// <summary>
    /// The printed paper, and two boards as large as the panels less the hinge; null where either's grammage is
    /// unknown.
    /// </summary>
    public override decimal? CoverGrams(WrapGeometry wrap) => Grams(wrap, base.CoverGrams(wrap));

    internal static decimal? Grams(WrapGeometry wrap, decimal? paper)
    {
        if (paper is null || wrap.House.BoardGrammage is not { } board) return null;
        var size = new Size(Panel(wrap.Book, wrap.House) - wrap.House.Joint, Face(wrap.Book, wrap.House));
        return paper + (2 * board * WrapGeometry.SquareMetres(size));
    }

    internal static Sum PanelSum(BookFacts book, House house, Unit unit) =>
        new("panel", "Panel", Panel(book, house).Show(unit),
            $"the trim's {book.Trim.Width.Term(unit)} + {house.PanelBeyond.Term(unit)} beyond the block = " +
                $"{Panel(book, house).Term(unit)}");

    internal static Length Panel(BookFacts book, House house) => book.Trim.Width + house.PanelBeyond;
    internal static Length Face(BookFacts book, House house) => book.Trim.Height + (2 * house.Square);
}
