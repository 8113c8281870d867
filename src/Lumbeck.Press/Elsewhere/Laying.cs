namespace Lumbeck.Press.Elsewhere;

/// <summary>
/// Where the pages that came are laid on those that leave: by what their size says against the ticket's, each placing
/// with its reason.
/// </summary>
internal sealed class Laying(MendPlan plan, List<MendLine> lines)
{
    /// <summary>A size is one within half a millimetre.</summary>
    private static readonly double Near = Length.FromMillimetres(0.5m).Points;

    private readonly double _wide = plan.Whole.Width.Points, _high = plan.Whole.Height.Points;
    private readonly Bounds _trim = new(plan.Trim.X.Points, plan.Whole.Height.Points - plan.Trim.Bottom.Points, plan.Trim.Right.Points,
        plan.Whole.Height.Points - plan.Trim.Y.Points);

    private Bounds Whole => new(0, 0, _wide, _high);

    private static bool Is(double a, double b) => Math.Abs(a - b) <= Near;

    private string Say(double wide, double high) => new Size(Length.FromDrawing(wide), Length.FromDrawing(high)).Show(plan.House.Unit);

    private void Tell(string id, MendState state, int? page, string says) => lines.Add(new(id, state, page, says));

    /// <exception cref="Refusal">The file has pages of no cover.</exception>
    public IReadOnlyList<LeavingPage> Cover(IReadOnlyList<CamePage> came)
    {
        if (came.Count == 1) return [new(_wide, _high, _trim, [.. Wrap(came[0])])];
        var panels = plan.Panels.Where(p => p.Part is Part.Back or Part.Spine or Part.Front).ToList();
        if (came.Count != 3 || panels.Count != 3)
            throw new Refusal("pages",
                $"{came.Count} pages are no cover of one sheet: give one page, or back, spine and front as three");
        Tell("pages.panels", MendState.Done, null, "Back, spine and front come as three pages: each was laid on its panel.");
        // Pages come as back, spine, front; panels stand as the book is read.
        List<PlacedPart> parts = [];
        foreach (var (n, part) in ((Part[])[Part.Back, Part.Spine, Part.Front]).Index())
            parts.Add(OnPanel(came[n], n, panels.First(p => p.Part == part).Face, part));
        return [new(_wide, _high, _trim, [.. parts])];
    }

    private Bounds Face(Box face) => new(face.X.Points, _high - face.Bottom.Points, face.Right.Points, _high - face.Y.Points);

    private PlacedPart OnPanel(CamePage page, int n, Box box, Part part)
    {
        var face = Face(box);
        var art = page.Trim ?? new(0, 0, page.Size.Wide, page.Size.High);
        // Beside a fold it ends there; at the sheet's edge it runs out over the bleed.
        var clip = new Bounds(Math.Abs(face.Left - _trim.Left) < 1 ? 0 : face.Left, 0,
            Math.Abs(face.Right - _trim.Right) < 1 ? _wide : face.Right, _high);
        if (!Is(art.Right - art.Left, face.Right - face.Left) || !Is(art.Bottom - art.Top, face.Bottom - face.Top))
            Tell("page.size", MendState.Left, n + 1,
                $"The {part.Say()} is {Say(art.Right - art.Left, art.Bottom - art.Top)}, its panel " +
                $"{Say(face.Right - face.Left, face.Bottom - face.Top)}: it was laid in the middle.");
        return new(n, page.Upright.Then(Middle(art, face)), clip);
    }

    private static Affine Middle(Bounds from, Bounds to) =>
        Affine.Move(((to.Left + to.Right) - (from.Left + from.Right)) / 2, ((to.Top + to.Bottom) - (from.Top + from.Bottom)) / 2);

    private IEnumerable<PlacedPart> Wrap(CamePage page)
    {
        var (w, h) = (_trim.Right - _trim.Left, _trim.Bottom - _trim.Top);
        var art = page.Trim ?? new(0, 0, page.Size.Wide, page.Size.High);
        var (aw, ah) = (art.Right - art.Left, art.Bottom - art.Top);
        var front = plan.Panels.FirstOrDefault(p => p.Part == Part.Front).Face;
        if (page.Trim is null && Is(aw, _wide) && Is(ah, _high))
            return [new(0, page.Upright.Then(Middle(art, Whole)), Whole)];
        if (Is(aw, w) && Is(ah, h))
        {
            var bleed = _trim.Left > 0 ? Math.Max(_trim.Left, _trim.Top) : 0;
            if (page.Trim is not null && page.Size.Wide > _wide + (2 * Near))
                Tell("box.marks", MendState.Done, 1, "What lies outside the bleed, such as marks, was left off.");
            return Bled(new(0, page.Upright.Then(Middle(art, _trim)), Whole), (aw, ah), page.Trim is null ? 0 : page.Bleeds, bleed, 1);
        }
        if (Is(aw, h) && Is(ah, w) || (page.Trim is null && Is(aw, _high) && Is(ah, _wide)))
        {
            Tell("page.turned", MendState.Done, 1, "The page lay on its side: it was turned a quarter to the right.");
            var turned = page.Upright.Then(new Affine(0, -1, 1, 0, 0, page.Size.Wide));
            return [new(0, turned.Then(Middle(new(0, 0, page.Size.High, page.Size.Wide), Whole)), Whole)];
        }
        if (!front.IsEmpty && Is(aw, front.Width.Points) && Is(ah, front.Height.Points))
        {
            Tell("page.front", MendState.Left, 1, "The page is the front alone: back and spine stay empty.");
            return [OnPanel(page, 0, front, Part.Front)];
        }
        if (Split(page, art) is { } parts) return parts;
        Tell("page.size", MendState.Left, 1,
            $"The page is {Say(aw, ah)}, the sheet {Say(_wide, _high)} and {Say(w, h)} when it is cut: " +
            (plan.Scale ? "it was scaled to the sheet." : "it was laid in the middle, as large as it is."));
        return [new(0, page.Upright.Then(plan.Scale ? Scaled(art, Whole) : Middle(art, Whole)), Whole)];
    }

    private static Affine Scaled(Bounds from, Bounds to)
    {
        var by = Math.Max((to.Right - to.Left) / (from.Right - from.Left), (to.Bottom - to.Top) / (from.Bottom - from.Top));
        return Affine.Move(-(from.Left + from.Right) / 2, -(from.Top + from.Bottom) / 2).Then(new(by, 0, 0, by, 0, 0))
            .Then(Affine.Move((to.Left + to.Right) / 2, (to.Top + to.Bottom) / 2));
    }

    /// <summary>
    /// A wrap of the same height and panels but another spine is split at its own folds: panels keep their size, the
    /// spine's art is laid on the new one's middle.
    /// </summary>
    private List<PlacedPart>? Split(CamePage page, Bounds art)
    {
        var (back, spine, front) = (Of(Part.Back), Of(Part.Spine), Of(Part.Front));
        if (back is null || spine is null || front is null || plan.Panels.Length > 3) return null;
        var (aw, ah) = (art.Right - art.Left, art.Bottom - art.Top);
        var bled = Is(ah, _high);
        if (!bled && !Is(ah, _trim.Bottom - _trim.Top)) return null;
        var edge = bled && page.Trim is null ? _trim.Left : 0;
        var (left, right) = back.Value.Left < front.Value.Left ? (back.Value, front.Value) : (front.Value, back.Value);
        var old = aw - (2 * edge) - (left.Right - left.Left) - (right.Right - right.Left);
        var now = spine.Value.Right - spine.Value.Left;
        if (old < 0 || old > 8 * Math.Max(now, 20)) return null;
        Tell("spine.width", MendState.Done, 1, $"The file's spine is {Length.FromDrawing(old).Show(plan.House.Unit)}, the book's " +
            $"{Length.FromDrawing(now).Show(plan.House.Unit)}: back and front kept their size, and the spine's art " +
                $"stands in the middle.");
        var down = ((_trim.Top + _trim.Bottom) / 2) - ((art.Top + art.Bottom) / 2);
        var (l, r) = (art.Left + edge + (left.Right - left.Left), art.Right - edge - (right.Right - right.Left));
        Affine at(double dx) => page.Upright.Then(Affine.Move(dx, down));
        // Where the new spine is wider the panels' own art goes on into it, under the spine's.
        var middle = (l + r) / 2;
        return
        [
            new(0, at(left.Right - l), new(0, 0, (left.Right + right.Left) / 2, _high)),
            new(0, at(right.Left - r), new((left.Right + right.Left) / 2, 0, _wide, _high)),
            new(0, at(((left.Right + right.Left) / 2) - middle),
                new(Math.Max(left.Right, ((left.Right + right.Left) / 2) - (old / 2)), 0,
                    Math.Min(right.Left, ((left.Right + right.Left) / 2) + (old / 2)), _high)),
        ];
        Bounds? Of(Part part) => plan.Panels.FirstOrDefault(p => p.Part == part).Face is { IsEmpty: false } f ? Face(f) : null;
    }

    /// <summary>
    /// Art that ends at the cut goes on past it as its own mirror image, as far as the bleed: its marks are laid again,
    /// turned over at each edge.
    /// </summary>
    private IEnumerable<PlacedPart> Bled(PlacedPart part, (double Wide, double High) art, double bleeds, double wanted, int page)
    {
        if (wanted <= 0 || bleeds >= wanted - Near) return [part];
        Tell("bleed.grown", MendState.Done, page,
            $"The art runs {Length.FromDrawing(bleeds).Show(plan.House.Unit)} past the cut, where " +
            $"{Length.FromDrawing(wanted).Show(plan.House.Unit)} are wanted: it goes on as its own mirror image.");
        // Where it is a hair smaller than the cut it is turned over at its own edge, so that no white shows between.
        var (dw, dh) = (Math.Max(0, _trim.Right - _trim.Left - art.Wide) / 2, Math.Max(0, _trim.Bottom - _trim.Top - art.High) / 2);
        var b = new Bounds(_trim.Left - bleeds + dw, _trim.Top - bleeds + dh, _trim.Right + bleeds - dw, _trim.Bottom + bleeds - dh);
        List<PlacedPart> parts = [];
        foreach (var (dx, dy) in new[] { (-1, -1), (0, -1), (1, -1), (-1, 0), (1, 0), (-1, 1), (0, 1), (1, 1) })
        {
            var clip = new Bounds(dx < 0 ? 0 : dx > 0 ? b.Right : b.Left, dy < 0 ? 0 : dy > 0 ? b.Bottom : b.Top,
                dx < 0 ? b.Left : dx > 0 ? _wide : b.Right, dy < 0 ? b.Top : dy > 0 ? _high : b.Bottom);
            if (clip.Right - clip.Left < 0.05 || clip.Bottom - clip.Top < 0.05) continue;
            var turned = new Affine(dx == 0 ? 1 : -1, 0, 0, dy == 0 ? 1 : -1, dx < 0 ? 2 * b.Left : dx > 0 ? 2 * b.Right : 0,
                dy < 0 ? 2 * b.Top : dy > 0 ? 2 * b.Bottom : 0);
            parts.Add(part with { Place = part.Place.Then(turned), Clip = clip });
        }
        parts.Add(part with { Clip = b });
        return parts;
    }

    /// <summary>Pages of an inside: one size, spreads cut in two, blanks to the multiple.</summary>
    public IReadOnlyList<LeavingPage> Inside(IReadOnlyList<CamePage> came)
    {
        var (w, h) = (plan.Trim.Width.Points, plan.Trim.Height.Points);
        // A file whose pages bleed all bleed; its pages leave with the house's own bleed.
        var bleed = plan.Bleed.Points > 0 && came.Count(p => p.Bleeds >= plan.Bleed.Points - Near) > came.Count / 2
            ? plan.Bleed.Points : 0;
        var (odd, cut, pages) = (new List<int>(), 0, new List<LeavingPage>());
        foreach (var (n, page) in came.Index())
        {
            var art = page.Trim ?? new(0, 0, page.Size.Wide, page.Size.High);
            var (aw, ah) = (art.Right - art.Left, art.Bottom - art.Top);
            if (Math.Abs(aw - (2 * w)) <= 2 * Near && Is(ah, h))
            {
                cut++;
                var first = plan.Reading == Reading.LeftToRight ? 0 : 1;
                foreach (var side in (int[])[first, 1 - first])
                {
                    var half = new Bounds(art.Left + (side * aw / 2), art.Top, art.Left + ((side + 1) * aw / 2), art.Bottom);
                    pages.Add(On(n, page, half, bleed));
                }
                continue;
            }
            if (page.Trim is null && bleed > 0 && Is(aw, w + (2 * bleed)) && Is(ah, h + (2 * bleed)))
                art = new(bleed, bleed, page.Size.Wide - bleed, page.Size.High - bleed);
            else if (!Is(aw, w) || !Is(ah, h)) odd.Add(n + 1);
            pages.Add(On(n, page, art, bleed));
        }
        if (cut > 0) Tell("page.spreads", MendState.Done, null, $"{Many.Of(cut, "page")} held two: each was cut in two.");
        if (odd.Count > 0)
        {
            var one = came[odd[0] - 1];
            var art = one.Trim ?? new(0, 0, one.Size.Wide, one.Size.High);
            Tell("page.size", MendState.Left, odd.Count == 1 ? odd[0] : null, $"{Told(odd)} {(odd.Count == 1 ? "is" : "are")} " +
                $"{Say(art.Right - art.Left, art.Bottom - art.Top)}{(odd.Count > 1 ? " or another size" : "")}, the " +
                    $"book {Say(w, h)}: " +
                (plan.Scale ? "scaled to it." : "laid in the middle, as large as before."));
        }
        var blanks = (plan.Multiple - (pages.Count % plan.Multiple)) % plan.Multiple;
        for (var n = 0; n < blanks; n++) pages.Add(new(w + (2 * bleed), h + (2 * bleed), new(bleed, bleed, bleed + w, bleed + h), []));
        if (blanks > 0) Tell("pages.blank", MendState.Done, null,
            $"{Many.Of(blanks, "blank page")} at the end: the house prints in multiples of {plan.Multiple}.");
        return pages;
    }

    private LeavingPage On(int n, CamePage page, Bounds art, double bleed)
    {
        var (w, h) = (plan.Trim.Width.Points, plan.Trim.Height.Points);
        var trim = new Bounds(bleed, bleed, bleed + w, bleed + h);
        var fits = Is(art.Right - art.Left, w) && Is(art.Bottom - art.Top, h);
        var place = page.Upright.Then(plan.Scale && !fits ? Scaled(art, trim) : Middle(art, trim));
        return new(w + (2 * bleed), h + (2 * bleed), trim, [new(n, place, new(0, 0, w + (2 * bleed), h + (2 * bleed)))]);
    }

    private static string Told(List<int> pages) => pages.Count == 1 ? $"Page {pages[0]}"
        : $"Pages {string.Join(", ", pages.Take(5))}{(pages.Count > 5 ? $" and {pages.Count - 5} more" : "")}";
}
