using Lumbeck.Press.Import.Rewriting;

namespace Lumbeck.Press.Import;

/// <summary>What laying pages on sheets and on the book's own pages has in common.</summary>
/// <param name="plan">What is wanted.</param>
/// <param name="lines">Is told each placing with its reason.</param>
internal abstract class Laying(MendPlan plan, List<MendLine> lines)
{
    /// <summary>A size is one within half a millimetre.</summary>
    protected static readonly double Near = Length.FromMillimetres(0.5m).Points;

    /// <summary>How far mirrored art lies under its neighbour, in points.</summary>
    private const double Lap = 0.25;

    private bool _grown;

    protected MendPlan Plan => plan;

    protected static bool Is(double a, double b) => Math.Abs(a - b) <= Near;

    protected static double Wide(Bounds b) => b.Right - b.Left;

    protected static double High(Bounds b) => b.Bottom - b.Top;

    protected string Say(double length) => Length.FromDrawing(length).Show(plan.House.Unit);

    protected string Say(double wide, double high) =>
        new Size(Length.FromDrawing(wide), Length.FromDrawing(high)).Show(plan.House.Unit);

    protected void Tell(string id, MendState state, int? page, string says) => lines.Add(new(id, state, page, says));

    /// <summary>What of a page is meant to be left when it is cut: what it says, else all of it.</summary>
    protected static Bounds Art(ImportedPage page) => page.Trim ?? new(0, 0, page.Size.Wide, page.Size.High);

    /// <summary>The same with what runs past the cut.</summary>
    protected static Bounds Painted(ImportedPage page) => Art(page).Wider(page.Trim is null ? 0 : page.Bleeds);

    protected static Affine Middle(Bounds from, Bounds to) =>
        Affine.Move(((to.Left + to.Right) - (from.Left + from.Right)) / 2, ((to.Top + to.Bottom) - (from.Top +
            from.Bottom)) / 2);

    protected static Affine Scaled(Bounds from, Bounds to)
    {
        var by = Math.Max(Wide(to) / Wide(from), High(to) / High(from));
        return Affine.Move(-(from.Left + from.Right) / 2, -(from.Top + from.Bottom) / 2).Then(new(by, 0, 0, by, 0, 0))
            .Then(Affine.Move((to.Left + to.Right) / 2, (to.Top + to.Bottom) / 2));
    }

    /// <summary>
    /// Art that ends short of where it is wanted goes on as its own mirror image: its marks are laid again, turned over
    /// at each edge. Art that ends further off than pages bleed stays as it is.
    /// </summary>
    /// <param name="part">The art, with the window that it is wanted in.</param>
    /// <param name="art">Where it lies, on the page that leaves.</param>
    /// <param name="most">The furthest that it may be grown, in points.</param>
    /// <param name="said">What is told of it; once for all pages.</param>
    protected IEnumerable<PlacedPart> Grown(PlacedPart part, Bounds art, double most, Func<double, string> said)
    {
        var w = part.Clip;
        var missing = ((double[])[art.Left - w.Left, art.Top - w.Top, w.Right - art.Right,
            w.Bottom - art.Bottom]).Max();
        var seen = art.Meet(w);
        if (missing <= Near) return [part];
        if (missing > most + Near || seen.IsEmpty) return [part with { Clip = seen.IsEmpty ? w : seen }];
        if (!_grown) Tell("bleed.grown", MendState.Done, plan.Inside ? null : part.Page + 1, said(missing));
        _grown = true;
        // Each is laid a hair over the next, the art last, so that no paper shows between them however they are drawn.
        var m = art.Wider(-Lap);
        List<PlacedPart> parts = [];
        foreach (var (dx, dy) in new[] { (-1, -1), (1, -1), (-1, 1), (1, 1), (0, -1), (-1, 0), (1, 0), (0, 1) })
        {
            if ((dx < 0 && art.Left - w.Left < Lap) || (dx > 0 && w.Right - art.Right < Lap)
                || (dy < 0 && art.Top - w.Top < Lap) || (dy > 0 && w.Bottom - art.Bottom < Lap)) continue;
            var clip = new Bounds(dx < 0 ? w.Left : dx > 0 ? m.Right : seen.Left, dy < 0 ? w.Top : dy > 0 ? m.Bottom
                : seen.Top,
                dx < 0 ? m.Left : dx > 0 ? w.Right : seen.Right, dy < 0 ? m.Top : dy > 0 ? w.Bottom : seen.Bottom);
            var turned = new Affine(dx == 0 ? 1 : -1, 0, 0, dy == 0 ? 1 : -1,
                dx < 0 ? 2 * m.Left : dx > 0 ? 2 * m.Right : 0,
                dy < 0 ? 2 * m.Top : dy > 0 ? 2 * m.Bottom : 0);
            parts.Add(part with { Place = part.Place.Then(turned), Clip = clip });
        }
        parts.Add(part with { Clip = seen });
        return parts;
    }
}
