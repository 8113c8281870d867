namespace Lumbeck.Core.Trade.Geometry;

/// <summary>
/// Perfect bound: W = 2w + S + 2b, H = h + 2b, folds at the spine's two sides; with flaps of width F,
/// W = 2w + S + 2F + 2b and two more folds (docs/geometry.md, Paperback).
/// </summary>
public sealed class Paperback : Binding
{
    public override BindingKind Kind => BindingKind.Paperback;

    public override SpineSum Spine(BookFacts book, House house) => SpineSum.Paperback(book, house);

    public override ImmutableArray<Sheet> Sheets(BookFacts book, House house, SpineSum spine)
    {
        var bleed = new Strip(RegionKind.Bleed, house.Bleed);
        var cover = CoverWidth(book, house);
        List<Strip> strips = [bleed, new(RegionKind.Panel, cover, Part.Back),
            new(RegionKind.Spine, spine.Width, Part.Spine), new(RegionKind.Panel, cover, Part.Front), bleed];
        if (book.Flaps)
        {
            strips.Insert(1, new(RegionKind.Flap, FlapWidth(book, house), Part.BackFlap));
            strips.Insert(strips.Count - 1, new(RegionKind.Flap, FlapWidth(book, house), Part.FrontFlap));
        }
        return [new SheetPlan(house, spine) { SpineUp = book.ReadsUp(house) }.Lay(strips, book.Trim.Height, house.Bleed,
            book.Reading)];
    }

    public override IEnumerable<Sum> Working(BookFacts book, House house, SpineSum spine, Unit unit)
    {
        string f(Length l) => l.Term(unit);
        var cover = CoverWidth(book, house);
        var flaps = book.Flaps ? $" + 2 flaps × {f(FlapWidth(book, house))}" : "";
        var width = (2 * cover) + spine.Width + (2 * house.Bleed) + (book.Flaps ? 2 * FlapWidth(book, house)
            : Length.Zero);
        yield return book.Flaps && !house.PaperbackFlapEase.IsZero
            ? new("panel", "Panel", cover.Show(unit),
                $"the trim's {f(book.Trim.Width)} + {f(house.PaperbackFlapEase)} for the fold of the flap = {f(cover)}")
            : TrimPanel(book, unit);
        if (book.Flaps) yield return Flap(book, house, unit);
        yield return Width($"2 covers × {f(cover)} + spine {f(spine.Width)}{flaps} + 2 bleeds × {f(house.Bleed)}",
            width, unit);
        yield return HeightAndBleed(book.Trim.Height, house.Bleed, unit);
    }

    private static Length CoverWidth(BookFacts book, House house) =>
        book.Flaps ? book.Trim.Width + house.PaperbackFlapEase : book.Trim.Width;
    private static Length FlapWidth(BookFacts book, House house) => book.FlapWidth ?? house.Flap;
}
