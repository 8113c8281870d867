namespace Lumbeck.Core.Drawing.Marked;

/// <summary>A drawing in other colours: its darkest in the darkest of them, its lightest in the lightest.</summary>
public sealed class Recoloured : IMarkVisitor<Mark>
{
    private readonly Dictionary<Ink, Ink> _map;

    private Recoloured(Dictionary<Ink, Ink> map) => _map = map;

    /// <summary>The same marks, each of their inks in the paint of its rank by lightness.</summary>
    /// <param name="marks">The marks.</param>
    /// <param name="paints">What they are to be drawn in; left as they are where there are none.</param>
    /// <param name="swatches">The job's.</param>
    public static ImmutableArray<Mark> By(ImmutableArray<Mark> marks, IReadOnlyList<Paint> paints,
        IReadOnlyList<Swatch> swatches)
    {
        var inks = marks.SelectMany(MarkInks.Of).Distinct().OrderBy(Seen.Luminance).ThenBy(i => i.ToString()).ToList();
        var ranked = paints.Select(p => p.Resolve(swatches)).OrderBy(Seen.Luminance).ToList();
        if (inks.Count == 0 || ranked.Count == 0) return marks;
        var by = new Recoloured(inks.Index().ToDictionary(i => i.Item, i => ranked[
            inks.Count == 1 ? 0 : (int)Math.Round((double)i.Index * (ranked.Count - 1) / (inks.Count - 1))]));
        return [.. marks.Select(m => m.Accept(by))];
    }

    private Gradient Shaded(Gradient run) => run with { Stops = [.. run.Stops.Select(s => (s.At, _map[s.Ink]))] };

    public Mark Fill(FillMark mark) => mark with { Ink = _map[mark.Ink] };
    public Mark Gradient(GradientMark mark) => mark with { Gradient = Shaded(mark.Gradient) };
    public Mark Line(LineMark mark) => mark with { Ink = _map[mark.Ink] };
    public Mark Glyphs(GlyphMark mark) => mark.Gradient is { } run ? mark with { Gradient = Shaded(run) }
        : mark with { Ink = _map[mark.Ink] };
    public Mark Blurred(BlurredMark mark) => mark with { Ink = _map[mark.Ink] };
    public Mark Picture(PictureMark mark) => mark;
    public Mark Tiles(TilesMark mark) => mark;
    public Mark Grown(GrownMark mark) => mark;
    public Mark Repeated(RepeatedMark mark) => mark with { Symbol = [.. mark.Symbol.Select(m => m.Accept(this))] };
    public Mark Drawing(DrawingMark mark) => mark with { Marks = [.. mark.Marks.Select(m => m.Accept(this))] };
}
