namespace Lumbeck.Core.Trade.Geometry;

/// <summary>
/// Wire, coil or comb: two sheets, each with a punched band inside its binding edge (docs/geometry.md, Loose covers).
/// </summary>
public sealed class LooseCovers : Binding
{
    public override BindingKind Kind => BindingKind.Loose;

    public override SpineSum Spine(BookFacts book, House house) => SpineSum.None(book, house);

    public override ImmutableArray<Sheet> Sheets(BookFacts book, House house, SpineSum spine)
    {
        if (house.PunchBand >= book.Trim.Width)
            throw new Refusal("ticket/trim",
                $"a punch band of {house.PunchBand.Show(house.Unit)} leaves nothing of a cover " +
                    $"{book.Trim.Width.Show(house.Unit)} wide");
        var bleed = new Strip(RegionKind.Bleed, house.Bleed);
        Sheet sheet(Part part) => new SheetPlan(house, spine) { BoundAtLeft = part == Part.Front }
            .Lay([bleed, new(RegionKind.Panel, book.Trim.Width, part), bleed], book.Trim.Height, house.Bleed,
                book.Reading);
        return [sheet(Part.Front), sheet(Part.Back)];
    }

    public override IEnumerable<Sum> Working(BookFacts book, House house, SpineSum spine, Unit unit) =>
    [
        TrimPanel(book, unit),
        new("punch", "Punch band", house.PunchBand.Show(unit),
            $"{house.Name} punches within {house.PunchBand.Term(unit)} of the binding edge"),
        Width($"each cover {book.Trim.Width.Term(unit)} + 2 bleeds × {house.Bleed.Term(unit)}",
            book.Trim.Width + (2 * house.Bleed), unit),
        HeightAndBleed(book.Trim.Height, house.Bleed, unit),
    ];
}
