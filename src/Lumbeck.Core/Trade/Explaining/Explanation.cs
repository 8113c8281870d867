namespace Lumbeck.Core.Trade.Explaining;

/// <summary>
/// A slip that would give the figures a printer stated: its id, what was done, and the sum that fits.
/// </summary>
public sealed record Cause(string Id, string Text, string Sum);

/// <summary>What a stated size would make of the facts; blank where a binding leaves it open.</summary>
public sealed record Implied(Length? Spine, Caliper? Leaf, Length? Bleed);

/// <summary>
/// A printer's full width and height read back against the computed sheet (docs/geometry.md, Reading a printer's
/// figures back).
/// </summary>
public sealed record Explanation(Size Computed, Size Given, bool Agrees, Implied Implied, IReadOnlyList<Cause> Causes)
{
    private static readonly Length LeastSlack = Length.FromMillimetres(0.1m);

    /// <param name="book">The facts. The figures are compared with the computed spine; slips are tried with a pinned
    /// one, too.</param>
    /// <param name="house">The house that stated the figures.</param>
    /// <param name="given">The size as read.</param>
    /// <param name="slack">Half the last typed digit of each side.</param>
    /// <exception cref="Refusal">The facts themselves make no sheet.</exception>
    public static Explanation Of(BookFacts book, House house, Size given, Size slack)
    {
        var wrap = WrapGeometry.Of(book with { PinnedSpine = null }, house);
        var allowed = new Size(Length.Max(slack.Width, LeastSlack), Length.Max(slack.Height, LeastSlack));
        var computed = wrap.Sheet.Size;
        var agrees = Off(computed, given, allowed) <= 1;
        return new(computed, given, agrees, ImpliedBy(wrap, given),
            agrees ? [] : Fitting(Bases(wrap, book, house), given, allowed));
    }

    /// <summary>
    /// The spine that may be pinned: the implied one, where only the width differs and so the figures may truly be the
    /// printer's own spine.
    /// </summary>
    public Length? Pin =>
        !Agrees && Implied.Spine is { Units: > 0 } spine && Length.Abs(Given.Height - Computed.Height) <= LeastSlack
            ? spine
            : null;

    /// <summary>How far off, as a multiple of what is allowed; 1 or less agrees.</summary>
    private static decimal Off(Size tried, Size given, Size allowed) => Math.Max(
        (decimal)Length.Abs(tried.Width - given.Width).Units / allowed.Width.Units,
        (decimal)Length.Abs(tried.Height - given.Height).Units / allowed.Height.Units);

    /// <summary>The sheet as computed, and as its spine is pinned.</summary>
    private static WrapGeometry[] Bases(WrapGeometry computed, BookFacts book, House house) =>
        book.PinnedSpine is null ? [computed] : [computed, WrapGeometry.Of(book, house)];

    /// <summary>Slips that give the figures: one by itself, or where none does, two at once.</summary>
    private static Cause[] Fitting(WrapGeometry[] bases, Size given, Size allowed)
    {
        var pinned = bases.Skip(1).Where(b => Off(b.Sheet.Size, given, allowed) <= 1).Select(b =>
            new Cause("pinned", "the figures are the sheet with its spine as it is pinned",
                $"{b.Sheet.Size.Width.Term(b.House.Unit)} with a spine of {b.Spine.Width.Term(b.House.Unit)}"));
        Cause[] fit(Func<WrapGeometry, IEnumerable<Slip>> slips) =>
            [.. bases.SelectMany(slips).Where(s => Off(s.Tried, s.Read, s.Scaled(allowed)) <= 1).Select(s => s.Cause)
                .DistinctBy(c => c.Id)];
        Cause[] one = [.. pinned, .. fit(b => Slips.All(b, given))];
        return one.Length > 0 ? one : fit(b => Slips.Pairs(b, given));
    }

    private static Implied ImpliedBy(WrapGeometry wrap, Size given)
    {
        var (sheet, house) = (wrap.Sheet, wrap.House);
        if (sheet.Panel(Part.Spine) is not { Face: var face })
            return new(null, null, Positive((given.Height - sheet.Trim.Height).Half()));
        // All but the spine is taken as computed; what is left over is the spine's.
        var spine = given.Width - (sheet.Size.Width - face.Width);
        var binding = Binding.Of(wrap.Book.Binding);
        var leaf = spine.Units > 0 ? binding.LeafFor(wrap.Book, house, wrap.Spine, spine) : null;
        return new(Positive(spine), leaf, binding.TurnsIn ? null : Positive((given.Height - sheet.Trim.Height).Half()));
    }

    private static Length? Positive(Length l) => l.Units >= 0 ? l : null;
}

internal static class Halves
{
    public static Length Half(this Length l) => 0.5m * l;
}
