using Lumbeck.Press.Import.Rewriting;

namespace Lumbeck.Press.Import;

/// <summary>
/// Where a finished cover is laid on the sheet: by what its size says against the ticket's, or as its maker decided.
/// </summary>
internal sealed class CoverLaying(MendPlan plan, List<MendLine> lines) : Laying(plan, lines)
{
    private readonly double _wide = plan.Whole.Width.Points, _high = plan.Whole.Height.Points;
    private readonly Bounds _trim = new(plan.Trim.X.Points, plan.Whole.Height.Points - plan.Trim.Bottom.Points,
        plan.Trim.Right.Points,
        plan.Whole.Height.Points - plan.Trim.Y.Points);

    private Bounds Whole => new(0, 0, _wide, _high);

    /// <summary>
    /// How far art runs past the finished cover where it is whole: the bleed, or what is turned in round a case's boards.
    /// </summary>
    private double Past
    {
        get
        {
            var b = Plan.Panels.IsEmpty ? _trim : Plan.Panels.Select(p => Face(p.Face)).Aggregate((a, c) => a.Union(c));
            return Math.Max(Math.Max(b.Left, b.Top), Math.Max(_wide - b.Right, _high - b.Bottom));
        }
    }

    /// <summary>What the hand did: scaled about the sheet's middle, then shifted.</summary>
    private Affine Hand
    {
        get
        {
            var c = Plan.Choices;
            var by = (double)c.Percent / 100;
            return Affine.Move(-_wide / 2, -_high / 2).Then(new(by, 0, 0, by, 0, 0))
                .Then(Affine.Move((_wide / 2) + c.Right.Points, (_high / 2) - c.Down.Points));
        }
    }

    /// <exception cref="Refusal">The file has pages of no cover.</exception>
    public IReadOnlyList<LeavingPage> Lay(IReadOnlyList<ImportedPage> came)
    {
        var c = Plan.Choices;
        if (c.Percent != 100 || c.Right.Units != 0 || c.Down.Units != 0)
            Tell("page.hand", MendState.Done, null, $"By your hand: " +
                $"{c.Percent.ToString("0.##", CultureInfo.InvariantCulture)} %, " +
                $"{c.Right.Show(Plan.House.Unit)} to the right and {c.Down.Show(Plan.House.Unit)} down of where it " +
                    $"was laid.");
        if (came.Count == 1) return [new(_wide, _high, _trim, [.. Wrap(came[0])])];
        var panels = Plan.Panels.Where(p => p.Part is Part.Back or Part.Spine or Part.Front).ToList();
        if (came.Count != 3 || panels.Count != 3)
            throw new Refusal("pages",
                $"{came.Count} pages are no cover of one sheet: give one page, or back, spine and front as three");
        Tell("pages.panels", MendState.Done, null,
            "Back, spine and front come as three pages: each was laid on its panel.");
        // Pages come as back, spine, front; panels stand as the book is read.
        List<PlacedPart> parts = [];
        foreach (var (n, part) in ((Part[])[Part.Back, Part.Spine, Part.Front]).Index())
            parts.AddRange(OnPanel(came[n], n, panels.First(p => p.Part == part).Face, part));
        return [new(_wide, _high, _trim, [.. parts])];
    }

    private Bounds Face(Box face) => new(face.X.Points, _high - face.Bottom.Points, face.Right.Points,
        _high - face.Y.Points);

    private IEnumerable<PlacedPart> OnPanel(ImportedPage page, int n, Box box, Part part)
    {
        var (face, art) = (Face(box), Art(page));
        if (!Is(Wide(art), Wide(face)) || !Is(High(art), High(face)))
            Tell("page.size", MendState.Left, n + 1, $"The {part.Say()} is {Say(Wide(art), High(art))}, its panel " +
                $"{Say(Wide(face), High(face))}: it was laid in the middle.");
        // Beside a fold it ends there; at the sheet's edge it runs out over the bleed.
        var clip = new Bounds(Math.Abs(face.Left - _trim.Left) < 1 ? 0 : face.Left, 0,
            Math.Abs(face.Right - _trim.Right) < 1 ? _wide : face.Right, _high);
        return Grown(page, n, Middle(art, face), clip);
    }

    /// <summary>A page so laid, and on past its edges as far as it is wanted.</summary>
    private IEnumerable<PlacedPart> Grown(ImportedPage page, int n, Affine upright, Bounds clip)
    {
        var place = upright.Then(Hand);
        var art = place.Of(Painted(page));
        // Once mirrored it is as large again, and no larger.
        var most = Plan.Choices.Bleed ? Math.Min(Wide(art), High(art)) : Past;
        Bare(art, clip, most);
        return Grown(new(n, page.Upright.Then(place), clip), art, most, missing =>
            $"The art ends {Say(missing)} short of the sheet’s edge: it goes on as its own mirror image.");
    }

    /// <summary>
    /// What stays bare, side by side, since the art ends further from the edge than it is grown by itself.
    /// </summary>
    private void Bare(Bounds art, Bounds clip, double most)
    {
        (string Side, double Missing)[] sides = [("left", art.Left - clip.Left), ("right", clip.Right - art.Right),
            ("head", clip.Bottom - art.Bottom), ("foot", art.Top - clip.Top)];
        if (sides.Max(s => s.Missing) is var worst && (worst <= Near || worst <= most + Near)) return;
        var bare = sides.Where(s => s.Missing > Near).GroupBy(s => Say(s.Missing))
            .Select(g => $"{g.Key} at the {string.Join(", ", g.Select(s => s.Side))}");
        Tell("bleed.bare", MendState.Left, 1, $"Bare: the art ends short of the sheet’s edge, by {string.Join(", by ", bare)}. " +
            "Paper shows there: let the art grow to the edge, or be scaled to the sheet.");
    }

    private IEnumerable<PlacedPart> Wrap(ImportedPage page)
    {
        var art = Art(page);
        switch (Plan.Choices.Way)
        {
            case LayWay.Middle: return Grown(page, 0, Middle(art, Whole), Whole);
            case LayWay.Scaled: return Grown(page, 0, Scaled(art, page.Trim is null ? Whole : _trim), Whole);
            case LayWay.Split:
                return Split(page, art) ?? throw new Refusal("way",
                    $"a page of {Say(Wide(art), High(art))} can’t be split at folds: it is not as high as the sheet, " +
                        $"or too narrow");
        }
        return Proposed(page, art);
    }

    private IEnumerable<PlacedPart> Proposed(ImportedPage page, Bounds art)
    {
        var (w, h, aw, ah) = (Wide(_trim), High(_trim), Wide(art), High(art));
        var front = Plan.Panels.FirstOrDefault(p => p.Part == Part.Front).Face;
        if (page.Trim is null && Is(aw, _wide) && Is(ah, _high)) return Grown(page, 0, Middle(art, Whole), Whole);
        if (Is(aw, w) && Is(ah, h))
        {
            if (page.Trim is not null && page.Size.Wide > _wide + (2 * Near))
                Tell("box.marks", MendState.Done, 1, "What lies outside the bleed, such as marks, was left off.");
            return Grown(page, 0, Middle(art, _trim), Whole);
        }
        if (Is(aw, h) && Is(ah, w) || (page.Trim is null && Is(aw, _high) && Is(ah, _wide)))
        {
            Tell("page.turned", MendState.Done, 1, "The page lay on its side: it was turned a quarter to the right.");
            var turned = new Affine(0, -1, 1, 0, 0, page.Size.Wide);
            var box = turned.Of(art);
            return Grown(page, 0, turned.Then(Middle(box, Is(Wide(box), _wide) && Is(High(box), _high) ? Whole
                : _trim)), Whole);
        }
        if (!front.IsEmpty && Is(aw, front.Width.Points) && Is(ah, front.Height.Points))
        {
            Tell("page.front", MendState.Left, 1, "The page is the front alone: back and spine stay empty.");
            return OnPanel(page, 0, front, Part.Front);
        }
        return Split(page, art) ?? Unlike(page, art);
    }

    /// <summary>A size that is none of the book's: explained by the slip that gives it, where there is one.</summary>
    private IEnumerable<PlacedPart> Unlike(ImportedPage page, Bounds art)
    {
        var (aw, ah) = (Wide(art), High(art));
        var given = new Size(Length.FromDrawing(aw), Length.FromDrawing(ah));
        var slack = new Size(Length.FromMillimetres(0.25m), Length.FromMillimetres(0.25m));
        var cause = Plan.Book is { } book ? Explanation.Of(book, Plan.House, given, slack).Causes is [var first, ..]
            ? first : null : null;
        // Of the sheet's own proportions it is the sheet in another unit, or at another scale.
        var alike = Math.Abs((aw / ah / (_wide / _high)) - 1) < 0.004;
        var way = alike ? $"it was scaled to the sheet, by {(100 * _wide / aw).ToString("0.#", CultureInfo.InvariantCulture)} %."
            : "it was laid in the middle, as large as it is.";
        Tell("page.size", MendState.Left, 1, $"The page is {Say(aw, ah)}, the sheet {Say(_wide, _high)} and " +
            $"{Say(Wide(_trim), High(_trim))} when it is cut: {(cause is null ? "" : $"{cause.Text} ({cause.Sum}); ")}{way}");
        return Grown(page, 0, alike ? Scaled(art, Whole) : Middle(art, Whole), Whole);
    }

    /// <summary>
    /// A wrap of the same height and panels but another spine is split at its own folds: panels keep their size, the
    /// spine's art is laid on the new one's middle.
    /// </summary>
    private List<PlacedPart>? Split(ImportedPage page, Bounds art)
    {
        var (back, spine, front) = (Of(Part.Back), Of(Part.Spine), Of(Part.Front));
        if (back is null || spine is null || front is null || Plan.Panels.Length > 3) return null;
        var bled = Is(High(art), _high);
        if (!bled && !Is(High(art), High(_trim))) return null;
        var edge = bled && page.Trim is null ? _trim.Left : 0;
        var (left, right) = back.Value.Left < front.Value.Left ? (back.Value, front.Value) : (front.Value, back.Value);
        var old = Wide(art) - (2 * edge) - Wide(left) - Wide(right);
        var now = Wide(spine.Value);
        if (old < 0 || old > 8 * Math.Max(now, 20)) return null;
        Tell("spine.width", MendState.Done, 1, $"The file's spine is {Say(old)}, the book's {Say(now)}: back and " +
            $"front kept their " +
            "size, and the spine's art stands in the middle.");
        var down = ((_trim.Top + _trim.Bottom) / 2) - ((art.Top + art.Bottom) / 2);
        var (l, r) = (art.Left + edge + Wide(left), art.Right - edge - Wide(right));
        // Where the new spine is wider the panels' own art goes on into it, under the spine's.
        var (middle, fold) = ((l + r) / 2, (left.Right + right.Left) / 2);
        return
        [
            .. Grown(page, 0, Affine.Move(left.Right - l, down), new(0, 0, fold, _high)),
            .. Grown(page, 0, Affine.Move(right.Left - r, down), new(fold, 0, _wide, _high)),
            .. Grown(page, 0, Affine.Move(fold - middle, down), new(Math.Max(left.Right, fold - (old / 2)), 0,
                Math.Min(right.Left, fold + (old / 2)), _high)),
        ];
        Bounds? Of(Part part) => Plan.Panels.FirstOrDefault(p => p.Part == part).Face is { IsEmpty: false } f ? Face(f)
            : null;
    }
}
