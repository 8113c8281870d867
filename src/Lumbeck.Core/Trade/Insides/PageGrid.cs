namespace Lumbeck.Core.Trade.Insides;

/// <summary>
/// The pages of an inside (docs/geometry.md, Pages of an inside): one trim, one bleed, and margins that are measured
/// from the cut and mirrored from page to page.
/// </summary>
/// <param name="Trim">Of a page.</param>
/// <param name="Reading">Which way the book reads.</param>
/// <param name="Head">Margin at the head.</param>
/// <param name="ForeEdge">Margin at the side that is opened.</param>
/// <param name="Foot">Margin at the foot.</param>
/// <param name="Gutter">Margin at the side that is bound.</param>
public sealed record PageGrid(Size Trim, Reading Reading, Length Head, Length ForeEdge, Length Foot, Length Gutter)
{
    public PageBleed Bleed { get; init; }

    /// <summary>How far art runs past a cut, where it does.</summary>
    public Length BleedWidth { get; init; }

    /// <summary>
    /// Whether a page lies right of the fold: odd ones do in a book that is read from left to right, even ones in the
    /// others.
    /// </summary>
    public bool IsRight(int page) => page % 2 == 1 == (Reading == Reading.LeftToRight);

    /// <summary>One page by its number: its trim, its bleed, and the box that its type keeps to.</summary>
    /// <param name="number">From 1.</param>
    /// <exception cref="Refusal">There is no such page, or its margins leave nothing to write on.</exception>
    public Surface Page(int number)
    {
        if (number < 1) throw new Refusal("page", "pages are counted from 1");
        if (ForeEdge + Gutter >= Trim.Width || Head + Foot >= Trim.Height)
            throw new Refusal("margins",
                $"the margins leave nothing of a page of {Trim.Show(Unit.Millimetre)}: make them smaller");
        // What lies right is bound at its left.
        var boundLeft = IsRight(number);
        Length past(bool bound) =>
            Bleed == PageBleed.Four || (Bleed == PageBleed.Three && !bound) ? BleedWidth : Length.Zero;
        var (left, right, headFoot) = (past(boundLeft), past(!boundLeft),
            Bleed == PageBleed.None ? Length.Zero : BleedWidth);
        var size = new Size(left + Trim.Width + right, headFoot + Trim.Height + headFoot);
        var face = new Box(left, headFoot, Trim.Width, Trim.Height);
        var safe = face.Inset(boundLeft ? Gutter : ForeEdge, Head, boundLeft ? ForeEdge : Gutter, Foot);
        var whole = new Box(Length.Zero, Length.Zero, size.Width, size.Height);
        ImmutableArray<Zone> zones =
        [
            .. whole.Without(face).Where(b => !b.IsEmpty)
                .Select(b => new Zone(ZoneKind.Bleed, Part.Page, b, "cut away: what reaches an edge must cover it")),
            new(ZoneKind.Safe, Part.Page, safe, "within the margins"),
        ];
        return new(size, face, safe, [], [], [new(Part.Page, face, safe, whole, Turn.None)], zones);
    }
}
