using Lumbeck.Press.Import.Rewriting;

namespace Lumbeck.Press.Import;

/// <summary>Pages of an inside: one size, spreads cut in two and put in order, blanks to the multiple.</summary>
/// <param name="plan">What is wanted.</param>
/// <param name="lines">Is told each placing with its reason.</param>
/// <param name="folios">The page numbers that a spread shows at its left and right, of a page from 0.</param>
internal sealed class InsideLaying(MendPlan plan, List<MendLine> lines, Func<int, (int? Left, int? Right)> folios)
    : Laying(plan, lines)
{
    private readonly double _w = plan.Trim.Width.Points, _h = plan.Trim.Height.Points;

    /// <summary>One page as it is to be laid: a whole one, or the half of a spread.</summary>
    private sealed record One(int N, ImportedPage Page, Bounds Art, Bounds Painted);

    public IReadOnlyList<LeavingPage> Lay(IReadOnlyList<ImportedPage> came)
    {
        // A file whose pages bleed all bleed; its pages leave with the house's own bleed.
        var bleed = Plan.Bleed.Points > 0 && (Plan.Choices.Bleed
            || came.Count(Bleeds) > came.Count / 2) ? Plan.Bleed.Points : 0;
        var (odd, spreads, ones) = (new List<int>(), new List<(int At, int N)>(), new List<One>());
        foreach (var (n, page) in came.Index())
        {
            var art = Art(page);
            var (aw, ah) = (Wide(art), High(art));
            if (Math.Abs(aw - (2 * _w)) <= 2 * Near && Is(ah, _h))
            {
                spreads.Add((ones.Count, n));
                var fold = (art.Left + art.Right) / 2;
                var past = page.Trim is null ? 0 : page.Bleeds;
                Bounds half(bool left, double by) => new(left ? art.Left - by : fold, art.Top - by, left ? fold
                    : art.Right + by,
                    art.Bottom + by);
                ones.Add(new(n, page, half(true, 0), half(true, past)));
                ones.Add(new(n, page, half(false, 0), half(false, past)));
                continue;
            }
            var painted = Painted(page);
            if (page.Trim is null && bleed > 0 && Is(aw, _w + (2 * bleed)) && Is(ah, _h + (2 * bleed)))
                (art, painted) = (art.Wider(-bleed), art);
            else if (!Is(aw, _w) || !Is(ah, _h)) odd.Add(n + 1);
            ones.Add(new(n, page, art, painted));
        }
        if (spreads.Count > 0) ones = InOrder(ones, spreads);
        if (odd.Count > 0) Odd(came, odd);
        if (Plan.Choices.Gutter.Units != 0)
            Tell("page.gutter", MendState.Done, null,
                $"Every page is shifted {Plan.Choices.Gutter.Show(Plan.House.Unit)} away from the spine, as you asked.");
        List<LeavingPage> pages = [.. ones.Select((o, at) => On(o, at, bleed))];
        var blanks = (Plan.Multiple - (pages.Count % Plan.Multiple)) % Plan.Multiple;
        for (var n = 0; n < blanks; n++)
            pages.Add(new(_w + (2 * bleed), _h + (2 * bleed), new(bleed, bleed, bleed + _w, bleed + _h), []));
        if (blanks > 0) Tell("pages.blank", MendState.Done, null,
            $"{Many.Of(blanks, "blank page")} at the end: the printer prints in multiples of {Plan.Multiple}.");
        return pages;
    }

    private bool Bleeds(ImportedPage page) => page.Trim is not null ? page.Bleeds >= Plan.Bleed.Points - Near
        : Is(page.Size.Wide, _w + (2 * Plan.Bleed.Points)) && Is(page.Size.High, _h + (2 * Plan.Bleed.Points));

    private void Odd(IReadOnlyList<ImportedPage> came, List<int> odd)
    {
        var art = Art(came[odd[0] - 1]);
        Tell("page.size", MendState.Left, odd.Count == 1 ? odd[0] : null,
            $"{Told(odd)} {(odd.Count == 1 ? "is" : "are")} " +
            $"{Say(Wide(art), High(art))}{(odd.Count > 1 ? " or another size" : "")}, the book {Say(_w, _h)}: " +
            (Plan.Choices.Way == LayWay.Scaled
                ? $"scaled to it, by {(100 * Math.Max(_w / Wide(art), _h / High(art))).ToString("0.#", CultureInfo.InvariantCulture)} %."
                : "laid in the middle, as large as before."));
    }

    /// <summary>
    /// Halves in the order they are read in: readers' spreads show page numbers that follow each other, printer's pairs
    /// such as are left together when one sheet is folded into the next (16 | 1, 2 | 15).
    /// </summary>
    private List<One> InOrder(List<One> ones, List<(int At, int N)> spreads)
    {
        var pages = 2 * spreads.Count;
        var (onward, back, pairs, read) = (0, 0, 0, 0);
        foreach (var (_, n) in spreads)
        {
            if (folios(n) is not ({ } left, { } right)) continue;
            read++;
            if (left + right == pages + 1) pairs++;
            if (right == left + 1) onward++;
            if (left == right + 1) back++;
        }
        if (pairs > read / 2 && pairs > Math.Max(onward, back) && spreads.Count * 2 == ones.Count)
        {
            // The outermost sheet's outer side comes first: its last page stands beside its first.
            var lastIsLeft = folios(spreads[0].N) switch
            {
                ({ } left, _) => left > pages / 2,
                (_, { } right) => right <= pages / 2,
                _ => Plan.Reading == Reading.LeftToRight,
            };
            var ordered = new One[pages];
            foreach (var (i, (at, _)) in spreads.Index())
            {
                var leftIsLate = i % 2 == 0 == lastIsLeft;
                (ordered[i], ordered[pages - 1 - i]) = leftIsLate ? (ones[at + 1], ones[at]) : (ones[at], ones[at + 1]);
            }
            Tell("page.pairs", MendState.Done, null, $"{Many.Of(spreads.Count, "page")} held two that are left " +
                $"together when sheets " +
                $"are folded (such as {pages} and 1): each was cut in two, and put in the order they are read in.");
            return [.. ordered];
        }
        // Where a file says which way it is read, it is believed; else the ticket is.
        var leftFirst = onward == back ? Plan.Reading == Reading.LeftToRight : onward > back;
        if (!leftFirst) foreach (var (at, _) in spreads) (ones[at], ones[at + 1]) = (ones[at + 1], ones[at]);
        var unlike = onward != back && leftFirst != (Plan.Reading == Reading.LeftToRight);
        Tell("page.spreads", unlike ? MendState.Left : MendState.Done, null,
            $"{Many.Of(spreads.Count, "page")} held two: each was cut in " +
            $"two, {(leftFirst ? "the left one first" : "the right one first")}{(onward == back ? "" : ", by its page numbers")}" +
            $"{(unlike ? "; the ticket says that the book is read the other way" : "")}.");
        return ones;
    }

    private LeavingPage On(One one, int at, double bleed)
    {
        var trim = new Bounds(bleed, bleed, bleed + _w, bleed + _h);
        var window = new Bounds(0, 0, _w + (2 * bleed), _h + (2 * bleed));
        var fits = Is(Wide(one.Art), _w) && Is(High(one.Art), _h);
        // The first page has the spine at its left where the book is read from left to right.
        var away = at % 2 == 0 == (Plan.Reading == Reading.LeftToRight) ? 1 : -1;
        var place = (Plan.Choices.Way == LayWay.Scaled && !fits ? Scaled(one.Art, trim) : Middle(one.Art, trim))
            .Then(Affine.Move(away * Plan.Choices.Gutter.Points, 0));
        var part = new PlacedPart(one.N, one.Page.Upright.Then(place), window);
        var art = place.Of(one.Painted);
        return new(Wide(window), High(window), trim, bleed > 0 && fits && Plan.Choices.Bleed
            ? [.. Grown(part, art, bleed + Math.Abs(Plan.Choices.Gutter.Points), missing =>
                $"Pages end {Say(missing)} short of the bleed: they go on as their own mirror image, as you asked.")]
            // The other half of a spread, and what lies beside the bleed, is not this page's.
            : [part with { Clip = Within(art, window) }]);
    }

    private static Bounds Within(Bounds art, Bounds window)
    {
        var seen = art.Meet(window);
        return seen.IsEmpty || (Is(Wide(seen), Wide(window)) && Is(High(seen), High(window))) ? window : seen;
    }

    private static string Told(List<int> pages) => pages.Count == 1 ? $"Page {pages[0]}"
        : $"Pages {string.Join(", ", pages.Take(5))}{(pages.Count > 5 ? $" and {pages.Count - 5} more" : "")}";
}
