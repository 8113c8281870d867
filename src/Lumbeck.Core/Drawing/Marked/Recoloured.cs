namespace Lumbeck.Core.Drawing.Marked;

/// <summary>A drawing in other colours: its darkest in the darkest of them, its lightest in the lightest.</summary>
public static class Recoloured
{
    /// <summary>The same marks, each of their inks in the paint of its rank by lightness.</summary>
    /// <param name="marks">The marks.</param>
    /// <param name="paints">What they are to be drawn in; left as they are where there are none.</param>
    /// <param name="swatches">The job's.</param>
    public static ImmutableArray<Mark> By(ImmutableArray<Mark> marks, IReadOnlyList<Paint> paints,
        IReadOnlyList<Swatch> swatches)
    {
        var inks = Inks(marks).Distinct().OrderBy(Seen.Luminance).ThenBy(i => i.ToString()).ToList();
        var ranked = paints.OrderBy(p => Seen.Luminance(p.Resolve(swatches))).ToList();
        if (inks.Count == 0 || ranked.Count == 0) return marks;
        var map = inks.Index().ToDictionary(i => i.Item, i => ranked[
            inks.Count == 1 ? 0 : (int)Math.Round((double)i.Index * (ranked.Count - 1) / (inks.Count - 1))]);
        return [.. marks.Select(m => Of(m, map, swatches))];
    }

    private static IEnumerable<Ink> Inks(IEnumerable<Mark> marks) => marks.SelectMany(m => m switch
    {
        FillMark f => [f.Ink],
        LineMark l => [l.Ink],
        GradientMark s => s.Gradient.Stops.Select(stop => stop.Ink),
        DrawingMark d => Inks(d.Marks),
        RepeatedMark r => Inks(r.Symbol),
        _ => (IEnumerable<Ink>)[],
    });

    private static Mark Of(Mark mark, Dictionary<Ink, Paint> map, IReadOnlyList<Swatch> swatches) => mark switch
    {
        FillMark f => f with { Ink = map[f.Ink].Resolve(swatches) },
        LineMark l => l with { Ink = map[l.Ink].Resolve(swatches) },
        GradientMark s => s with
        {
            Gradient = s.Gradient with
            {
                Stops = [.. s.Gradient.Stops.Select(stop => (stop.At, map[stop.Ink].Resolve(swatches)))],
            },
        },
        DrawingMark d => d with { Marks = [.. d.Marks.Select(m => Of(m, map, swatches))] },
        RepeatedMark r => r with { Symbol = [.. r.Symbol.Select(m => Of(m, map, swatches))] },
        _ => mark,
    };
}
