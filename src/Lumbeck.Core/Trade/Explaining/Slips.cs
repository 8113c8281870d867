namespace Lumbeck.Core.Trade.Explaining;

/// <summary>
/// A slip tried: what the sheet would have been, and how the given figures are to be read for it (as they are, or in
/// another unit, where the allowance shrinks alike).
/// </summary>
internal sealed record Slip(Cause Cause, Size Tried, Size Read, decimal Divisor = 1)
{
    public Size Scaled(Size allowed) =>
        Divisor == 1
            ? allowed
            : new(Length.Max(1 / Divisor * allowed.Width, Least), Length.Max(1 / Divisor * allowed.Height, Least));

    private static readonly Length Least = Length.FromMillimetres(0.1m);
}

/// <summary>The slips people and calculators make, likeliest first (docs/command-line.md).</summary>
internal static class Slips
{
    public static IEnumerable<Slip> All(WrapGeometry wrap, Size given)
    {
        foreach (var slip in Units(wrap, given)) yield return slip;
        foreach (var (cause, tried) in Sheets(wrap)) yield return new(cause, tried, given);
    }

    /// <summary>Two slips at once: one in what is cut off or turned in, and one in the panels or the spine.</summary>
    public static IEnumerable<Slip> Pairs(WrapGeometry wrap, Size given)
    {
        var size = wrap.Sheet.Size;
        var all = Sheets(wrap).ToList();
        string t(Length l) => l.Term(wrap.House.Unit);
        foreach (var (edge, cut) in all.Where(s => s.Item1.Id is "no-bleed" or "bleed-once" or "turn-in"))
            foreach (var (other, tried) in all.Where(s =>
                s.Item1.Id is not ("no-bleed" or "bleed-once" or "turn-in" or "swapped" or "case-for-paperback")))
            {
                // Each takes off what it takes off by itself.
                var both = new Size(cut.Width + tried.Width - size.Width, cut.Height + tried.Height - size.Height);
                var sum = $"{t(size.Width)} {Signed(cut.Width - size.Width, t)} " +
                    $"{Signed(tried.Width - size.Width, t)}, {t(size.Height)} {Signed(both.Height - size.Height, t)} " +
                    $"= {t(both.Width)} × {t(both.Height)}";
                yield return new(new($"{other.Id}+{edge.Id}", $"{other.Text}, and {edge.Text}", sum), both, given);
            }
    }

    private static string Signed(Length by, Func<Length, string> said) =>
        $"{(by.Units < 0 ? "−" : "+")} {said(Length.Abs(by))}";

    /// <summary>
    /// Figures in another unit, taken for inches or millimetres: so many times too large or too small.
    /// </summary>
    private static IEnumerable<Slip> Units(WrapGeometry wrap, Size given)
    {
        (string Id, string Name, decimal InAnInch)[] units = [("points", "points", 72),
            ("millimetres", "millimetres", 25.4m), ("centimetres", "centimetres", 2.54m),
            ("pixels-300", "pixels at 300 per inch", 300), ("pixels-150", "pixels at 150 per inch", 150),
            ("pixels-96", "pixels at 96 per inch", 96), ("pixels-72", "pixels at 72 per inch", 72)];
        foreach (var (id, name, n) in units)
        {
            var read = new Size(1 / n * given.Width, 1 / n * given.Height);
            if (n != 25.4m)
            {
                var factor = 25.4m / n;
                var inMm = new Size(factor * given.Width, factor * given.Height);
                yield return new(new(id, $"the figures are {name}, taken for millimetres",
                    $"{Figure(given.Width.Millimetres)} {name} = {inMm.Width.Term(Unit.Millimetre)}; " +
                        $"{Figure(given.Height.Millimetres)} {name} = {inMm.Height.Term(Unit.Millimetre)}"),
                    wrap.Sheet.Size, inMm, n / 25.4m);
            }
            yield return new(new(id, $"the figures are {name}, taken for inches",
                $"{Figure(given.Width.Inches)} ÷ {Figure(n)} = {read.Width.Term(Unit.Inch)}; " +
                    $"{Figure(given.Height.Inches)} ÷ {Figure(n)} = {read.Height.Term(Unit.Inch)}"),
                wrap.Sheet.Size, read, n);
        }
    }

    private static IEnumerable<(Cause, Size)> Sheets(WrapGeometry wrap)
    {
        var (book, house, sheet) = (wrap.Book, wrap.House, wrap.Sheet);
        var unit = house.Unit;
        string t(Length l) => l.Term(unit);
        var (w, h) = (sheet.Size.Width, sheet.Size.Height);
        (Cause, Size) cause(string id, string text, Length width, Length height,
            string sum) => (new(id, text, $"{sum} = {t(width)} × {t(height)}"),
            new(width, height));

        var bleed = sheet.Trim.X;
        if (bleed > Length.Zero)
        {
            yield return cause("no-bleed", "the bleed is left out", w - (2 * bleed), h - (2 * bleed),
                $"{t(w)} − 2 × {t(bleed)}, {t(h)} − 2 × {t(bleed)}");
            yield return cause("bleed-once", "the bleed is counted once, not on both sides", w - bleed, h - bleed,
                $"{t(w)} − {t(bleed)}, {t(h)} − {t(bleed)}");
        }
        yield return cause("swapped", "width and height are swapped", h, w, $"{t(h)} × {t(w)} read across");
        if (sheet.Panel(Part.Front) is { } front && sheet.Panel(Part.Back) is not null)
        {
            yield return cause("one-panel", "one panel is counted instead of two", w - front.Face.Width, h,
                $"{t(w)} − one panel of {t(front.Face.Width)}, {t(h)}");
            if (sheet.Panel(Part.FrontFlap) is not null)
            {
                // A flap goes with what runs round the board's edge.
                var flap = wrap.Sheet.Panels.Where(p => p.Part is Part.FrontFlap or Part.FrontForeEdge)
                    .Aggregate(Length.Zero, (l, p) => l + p.Face.Width);
                yield return cause("no-flaps", "the flaps are left out", w - (2 * flap), h,
                    $"{t(w)} − 2 × {t(flap)}, {t(h)}");
                yield return cause("one-flap", "one flap is counted instead of two", w - flap, h,
                    $"{t(w)} − one flap of {t(flap)}, {t(h)}");
            }
            var wider = book.Trim.Height - book.Trim.Width;
            yield return cause("height-for-width", "the trim's height is used where its width belongs", w + (2 * wider),
                h, $"{t(w)} + 2 × ({t(book.Trim.Height)} − {t(book.Trim.Width)}), {t(h)}");
        }
        if (book.Binding == BindingKind.Case)
            yield return cause("turn-in", "the turn-ins are left out", w - (2 * house.TurnIn), h - (2 * house.TurnIn),
                $"{t(w)} − 2 × {t(house.TurnIn)}, {t(h)} − 2 × {t(house.TurnIn)}");
        foreach (var other in Spines(wrap)) yield return other;
        if (book.Binding is BindingKind.Paperback or BindingKind.Case)
        {
            var instead = book.Binding == BindingKind.Paperback ? BindingKind.Case : BindingKind.Paperback;
            if (Try(book with { Binding = instead, Flaps = false }, house) is { } there)
                yield return cause("case-for-paperback",
                    $"the figures are a {instead.Word()}’s, not a {book.Binding.Word()}’s", there.Sheet.Size.Width,
                    there.Sheet.Size.Height, $"the same book as a {instead.Word()}");
        }
    }

    /// <summary>Slips in the spine: the rest of the sheet is right.</summary>
    private static IEnumerable<(Cause, Size)> Spines(WrapGeometry wrap)
    {
        if (wrap.Sheet.Panel(Part.Spine) is not { Face.Width: var spine }) yield break;
        var (book, house, size) = (wrap.Book, wrap.House, wrap.Sheet.Size);
        string t(Length l) => l.Term(house.Unit);
        (Cause, Size) cause(string id, string text, Length other, string sum) =>
            (new(id, text, $"{sum} = {t(other)}, so {t(size.Width - spine + other)} wide"),
                new(size.Width - spine + other, size.Height));

        if (Try(book with { Pages = Math.Max(1, wrap.Spine.Leaves) }, house) is { } halved)
            yield return cause("leaves-for-pages", "leaves are taken for pages, so half the book is missing",
                halved.Spine.Width, $"a spine of {wrap.Spine.Leaves} pages");
        if (Try(book with { Pages = wrap.Spine.Pages * 2 }, house) is { } doubled)
            yield return cause("pages-for-leaves", "pages are taken for leaves, so the book is twice as thick",
                doubled.Spine.Width, $"a spine of {wrap.Spine.Pages} leaves");
        if (wrap.Spine.Pages != wrap.Spine.PagesAsked)
        {
            var unraised = wrap.Spine.Computed - ((book.Paper.Leaf * (wrap.Spine.Pages - wrap.Spine.PagesAsked))
                .ToLength().Half());
            yield return cause("odd-pages", $"{wrap.Spine.PagesAsked} pages are not raised to {wrap.Spine.Pages}",
                unraised, $"{wrap.Spine.PagesAsked} pages on a leaf of {book.Paper.Leaf.Show()}");
        }
        if (!house.CoverAllowance.IsZero && Try(book, house with { CoverAllowance = Length.Zero }) is { } bare)
            yield return cause("allowance", "the cover's own thickness is left out", bare.Spine.Width,
                $"the spine without {t(house.CoverAllowance)} for the cover");
        if (house.SpineRounding != Rounding.None
            && Try(book, house with { SpineRounding = Rounding.None }) is { } exact)
            yield return cause("rounding", "the spine is not rounded as the printer rounds it", exact.Spine.Width,
                "the spine unrounded");
        foreach (var paper in house.Papers.Where(p => p.Leaf != book.Paper.Leaf))
            if (Try(book with { Paper = paper }, house) is { } on)
                yield return cause("other-paper", $"another paper is meant: {paper.Name}", on.Spine.Width,
                    $"{PageCount.SayLeaves(on.Spine.Leaves)} × {paper.Leaf.Show()}");
    }

    private static WrapGeometry? Try(BookFacts book, House house) =>
        Attempt.OrNull(() => WrapGeometry.Of(book with { PinnedSpine = null }, house));

    private static string Figure(decimal d) => Math.Round(d, 4).ToString("0.####", CultureInfo.InvariantCulture);
}
