namespace Lumbeck.Core.Trade.Geometry;

/// <summary>
/// Saddle stitched: W = 2w + 2b, no spine, one fold at the centre; pages in fours, the cover's own not counted
/// (docs/geometry.md, Stapled booklet).
/// </summary>
public sealed class Booklet : Binding
{
    public override BindingKind Kind => BindingKind.Booklet;

    public override SpineSum Spine(BookFacts book, House house) => SpineSum.None(book, house, multiple: 4);

    public override ImmutableArray<Sheet> Sheets(BookFacts book, House house, SpineSum spine)
    {
        var bleed = new Strip(RegionKind.Bleed, house.Bleed);
        return [new SheetPlan(house, spine)
            .Lay([bleed, new(RegionKind.Panel, book.Trim.Width, Part.Back),
                new(RegionKind.Panel, book.Trim.Width, Part.Front), bleed],
                book.Trim.Height, house.Bleed, book.Reading)];
    }

    public override IEnumerable<Sum> Working(BookFacts book, House house, SpineSum spine, Unit unit) =>
    [
        TrimPanel(book, unit),
        Width($"2 covers × {book.Trim.Width.Term(unit)} + 2 bleeds × {house.Bleed.Term(unit)}",
            (2 * book.Trim.Width) + (2 * house.Bleed), unit),
        HeightAndBleed(book.Trim.Height, house.Bleed, unit),
    ];
}
