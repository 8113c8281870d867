namespace Lumbeck.Core.Trade.Geometry;

/// <summary>
/// Dust jacket over a case: S_j = S_case + e_s, not rounded again; W = 2F + 2f + 2P + S_j + 2b, H = C + 2b, six folds
/// (docs/geometry.md, Dust jacket).
/// </summary>
public sealed class Jacket : Binding
{
    private static readonly Length LeastLeft = Length.FromMillimetres(20);

    public override BindingKind Kind => BindingKind.Jacket;

    /// <summary>The jacket, and the case it goes round.</summary>
    public override ImmutableArray<BindingKind> Pieces => [BindingKind.Jacket, BindingKind.Case];

    public override bool IsCased => true;
    public override bool HasFlaps => true;
    public override Caliper? LeafFor(BookFacts book, House house, SpineSum sum, Length spine) =>
        sum.CaseLeaf(book, house, spine - house.SpineEase);

    public override SpineSum Spine(BookFacts book, House house)
    {
        var cased = SpineSum.Case(book with { PinnedSpine = null }, house);
        return cased with
        {
            Computed = cased.Computed + house.SpineEase,
            Working = $"{cased.Working} = {Caliper.FromLength(cased.Computed).Show()} of the case + ease " +
                $"{Caliper.FromLength(house.SpineEase).Show()}",
            Pinned = book.PinnedSpine,
        };
    }

    public override ImmutableArray<Sheet> Sheets(BookFacts book, House house, SpineSum spine)
    {
        var (panel, flap) = (PrintedCase.Panel(book, house), book.FlapWidth ?? house.Flap);
        if (flap > panel - LeastLeft)
            throw new Refusal("ticket/flaps",
                $"a flap of {flap.Show(house.Unit)} is over the panel's {panel.Show(house.Unit)} less " +
                    $"{LeastLeft.Show(house.Unit)}: type up to {(panel - LeastLeft).Show(house.Unit)}");
        var bleed = new Strip(RegionKind.Bleed, house.Bleed);
        Strip[] strips =
        [
            bleed, new(RegionKind.Flap, flap, Part.BackFlap),
                new(RegionKind.ForeEdge, house.ForeEdge, Part.BackForeEdge), new(RegionKind.Panel, panel, Part.Back),
            new(RegionKind.Spine, spine.Width, Part.Spine),
            new(RegionKind.Panel, panel, Part.Front), new(RegionKind.ForeEdge, house.ForeEdge, Part.FrontForeEdge),
                new(RegionKind.Flap, flap, Part.FrontFlap), bleed,
        ];
        return [new SheetPlan(house, spine) { SpineUp = book.ReadsUp(house) }.Lay(strips, PrintedCase.Face(book, house),
            house.Bleed, book.Reading)];
    }

    public override IEnumerable<Sum> Working(BookFacts book, House house, SpineSum spine, Unit unit)
    {
        string f(Length l) => l.Term(unit);
        var (panel, face, flap) = (PrintedCase.Panel(book, house), PrintedCase.Face(book, house),
            book.FlapWidth ?? house.Flap);
        yield return PrintedCase.PanelSum(book, house, unit);
        yield return new("fore-edge", "Fore-edge", house.ForeEdge.Show(unit), house.ForeEdgeAllowance is null
            ? $"round the board's edge: {f(house.Board)} + {f(Length.FromMillimetres(1))} = {f(house.ForeEdge)}"
            : $"round the board's edge: {house.Name} allows {f(house.ForeEdge)}");
        yield return Flap(book, house, unit);
        yield return Width($"2 flaps × {f(flap)} + 2 fore-edges × {f(house.ForeEdge)} + 2 panels × {f(panel)} + " +
            $"spine {f(spine.Width)} + 2 bleeds × {f(house.Bleed)}",
            (2 * flap) + (2 * house.ForeEdge) + (2 * panel) + spine.Width + (2 * house.Bleed), unit);
        var height = face + (2 * house.Bleed);
        yield return new("height", "Height", height.Show(unit),
            $"{f(book.Trim.Height)} + 2 squares × {f(house.Square)} + 2 bleeds × {f(house.Bleed)} = {f(height)}");
    }

    /// <summary>The jacket and the boards it goes round; null where a grammage is unknown.</summary>
    public override decimal? CoverGrams(WrapGeometry wrap) => PrintedCase.Grams(wrap, base.CoverGrams(wrap));
}
