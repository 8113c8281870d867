namespace Lumbeck.Core.Trade.Geometry;

/// <summary>
/// The front alone with bleed: the place to begin before a binding is chosen (docs/geometry.md, Front only).
/// </summary>
public sealed class FrontOnly : Binding
{
    public override BindingKind Kind => BindingKind.Front;

    public override SpineSum Spine(BookFacts book, House house) => SpineSum.None(book, house);

    public override ImmutableArray<Sheet> Sheets(BookFacts book, House house, SpineSum spine)
    {
        var bleed = new Strip(RegionKind.Bleed, house.Bleed);
        return [new SheetPlan(house, spine)
            .Lay([bleed, new(RegionKind.Panel, book.Trim.Width, Part.Front), bleed], book.Trim.Height, house.Bleed,
                book.Reading)];
    }

    public override IEnumerable<Sum> Working(BookFacts book, House house, SpineSum spine, Unit unit) =>
    [
        TrimPanel(book, unit),
        Width($"front {book.Trim.Width.Term(unit)} + 2 bleeds × {house.Bleed.Term(unit)}",
            book.Trim.Width + (2 * house.Bleed), unit),
        HeightAndBleed(book.Trim.Height, house.Bleed, unit),
    ];
}
