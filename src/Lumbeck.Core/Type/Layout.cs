namespace Lumbeck.Core.Type;

/// <summary>Lines laid out at one scale. Along runs with the line, across from line to line.</summary>
internal sealed class Layout
{
    internal sealed record Line(Paragraph Of, int From, int To, bool Hyphenated, double Width, double Spacing,
        double Ascent, double Descent, double Pitch, List<(ItemizedRun Stretch, ShapedRun Run, int From, int To)> Parts,
        double Added)
    {
        public double Along { get; set; }
        public double Across { get; set; }
    }

    private readonly TextToSet _text;
    private readonly double _scale, _along;
    private readonly IType _type;

    public Layout(TextToSet text, List<Paragraph> paragraphs, double scale, double along, double across, IType type)
    {
        (_text, _scale, _along, _type) = (text, scale, along, type);
        var columns = Math.Max(1, text.Columns);
        var wide = Math.Max(1, (along - ((columns - 1) * text.Gutter)) / columns);
        var all = new List<Line>();
        foreach (var p in paragraphs) all.AddRange(Broken(p, wide));
        Place(all, columns, wide, across);
    }

    public List<Line> Lines { get; } = [];
    public string? Overset { get; private set; }
    private double _used;

    private void Place(List<Line> all, int columns, double wide, double across)
    {
        var (column, begin, at) = (0, 0, 0.0);
        for (var i = 0; i < all.Count; i++)
        {
            var line = all[i];
            if (line.Width > wide + 0.01) Overset ??= line.Of.Shown[line.From..line.To];
            var (first, below) = Room(line);
            var space = i > begin && line.From == 0 ? line.Of.Style.Space.Points * _scale : 0;
            var baseline = i == begin ? first : at + space + line.Pitch;
            if (baseline + below > across + 0.01)
            {
                if (column + 1 < columns && i > begin) { column++; begin = i; i--; continue; }
                Overset ??= line.Of.Shown[line.From..line.To];
                break;
            }
            line.Across = at = baseline;
            line.Along = Start(line, wide) + ((line.Of.RightToLeft ? columns - 1 - column
                : column) * (wide + _text.Gutter));
            Lines.Add(line);
            _used = Math.Max(_used, baseline + below);
        }
        if (string.IsNullOrWhiteSpace(Overset)) Overset = null;
        var by = columns > 1 || double.IsInfinity(across) ? 0 : _text.Style.Stand switch
        {
            Stand.Middle => (across - _used) / 2,
            Stand.Foot => across - _used,
            _ => 0,
        };
        foreach (var line in Lines) line.Across += by;
        _used += by;
    }

    /// <summary>
    /// From a line's upper edge to its baseline, and what hangs below: its room is shared evenly above ascent and below
    /// descent; a box may be as tight as those themselves.
    /// </summary>
    private (double First, double Below) Room(Line line)
    {
        // Of upright text the middle of a line is what is placed.
        if (_text.Upright) return (line.Pitch / 2, Math.Min(line.Pitch, line.Ascent + line.Descent) / 2);
        var first = ((line.Pitch - (line.Ascent + line.Descent)) / 2) + line.Ascent;
        return (first, Math.Min(line.Descent, line.Pitch - first));
    }

    private static double Indent(Paragraph p, bool first) =>
        p.Style.Indent.Points is var indent && (indent > 0) == first ? Math.Abs(indent) : 0;

    private double Start(Line line, double wide)
    {
        var indent = Indent(line.Of, line.From == 0) * _scale;
        var rest = wide - line.Width;
        return (line.Of.Style.Align, line.Of.RightToLeft && !_text.SidesOfBox) switch
        {
            (Align.Centre, _) => rest / 2,
            (Align.Right, false) or (Align.Left or Align.Justified, true) => line.Of.Style.Align == Align.Right
                ? rest
                : rest - indent,
            (Align.Right, true) => 0,
            _ => indent,
        };
    }

    private IEnumerable<Line> Broken(Paragraph p, double wide)
    {
        if (p.Shown.Length == 0) { yield return Make(p, 0, new(0, 0, 0, 0, true), wide, true); yield break; }
        // A text that fills its box's width breaks only where its maker broke it.
        var ends = _text.Fit == Fitting.FillWidth ? [.. p.Ends.Where(e => e.Must)] : p.Ends;
        var (upTo, spaces) = (Scaled(p.UpTo), Scaled(p.Spaces));
        if (_scale != 1)
            ends = [.. ends.Select(e => e with { Hyphen = e.Hyphen * _scale, Spaced = e.Spaced * _scale })];
        var from = 0;
        var chosen = LineBreaking.Break(ends, upTo, spaces, wide - (Indent(p, true) * _scale),
            wide - (Indent(p, false) * _scale), p.Style.Align == Align.Justified);
        for (var i = 0; i < chosen.Count; i++)
        {
            yield return Make(p, from, chosen[i], wide, i == chosen.Count - 1 || chosen[i].Must);
            from = chosen[i].At;
        }
    }

    private double[] Scaled(double[] of) => _scale == 1 ? of : [.. of.Select(v => v * _scale)];

    private Line Make(Paragraph p, int from, LineEnd end, double wide, bool last)
    {
        var to = Math.Max(from, end.End);
        var parts = new List<(ItemizedRun, ShapedRun, int, int)>();
        var (width, spaces, ascent, descent, pitch, trailing) = (0.0, 0.0, 0.0, 0.0, 0.0, 0.0);
        void measures(FaceId face, TextStyle style)
        {
            var m = _type.Metrics(face);
            var size = style.Size.Points * _scale;
            (ascent, descent, pitch) = (Math.Max(ascent, m.Ascent * size / m.UnitsPerEm),
                Math.Max(descent, m.Descent * size / m.UnitsPerEm), Math.Max(pitch, (double)p.Style.Leading * size));
        }
        foreach (var s in p.Stretches)
        {
            var (a, b) = (Math.Max(s.From, from), Math.Min(s.To, to));
            if (a >= b) continue;
            var run = a == s.From && b == s.To ? s.Run : _type.Shape(s.Face, p.Shown, a, b - a, s.How);
            parts.Add((s, run, a, b));
            // A face that stands in for another does not move the lines.
            measures(s.Style.Face, s.Style);
            var (scale, tracking) = Paragraph.Scales(s, _type);
            var cluster = -1;
            foreach (var g in run.Glyphs)
            {
                var advance = g.Advance * scale;
                if (g.Cluster != cluster) { advance += tracking; cluster = g.Cluster; }
                width += advance * _scale;
                if (p.Shown[g.Cluster] == ' ') spaces += advance * _scale;
            }
            trailing = run.Glyphs.IsEmpty ? trailing : tracking * _scale;
        }
        if (parts.Count == 0) measures(p.Style.Face, p.Style);
        width += (end.Hyphen > 0 ? end.Hyphen : 0) - (end.Hyphen > 0 ? 0 : trailing);
        var added = 0.0;
        if (p.Style.Align == Align.Justified && spaces > 0)
        {
            var room = wide - (Indent(p, from == 0) * _scale);
            if (!last || width > room) { added = (room - width) / spaces; width = room; }
        }
        return new(p, from, to, end.Hyphen > 0, width, 1 + added, ascent, descent, pitch, parts, added);
    }

    /// <summary>The lines with their glyphs where they stand in the box.</summary>
    public TextLayout Done(double width, double height, bool stops)
    {
        var lines = ImmutableArray.CreateBuilder<LaidLine>(Lines.Count);
        var stopped = stops ? new List<CaretStop>() : null;
        var reach = Lines.Count > 0 ? Lines[0].Across : 0;
        foreach (var line in Lines)
        {
            var put = new GlyphPlacement(_text, line, lines.Count, _along, reach, width, height);
            lines.Add(Done(line, put, stopped));
        }
        return new(lines.MoveToImmutable(), _text.Style.Size.Points * _scale, Overset, [])
        {
            Scale = _scale,
            Height = _used,
            Stops = stopped is null ? [] : [.. stopped]
        };
    }

    private LaidLine Done(Line line, GlyphPlacement put, List<CaretStop>? stops)
    {
        var p = line.Of;
        var runs = new SortedList<int, LaidRun>();
        var at = 0.0;
        foreach (var (s, run, from, to) in Visual(line.Parts))
        {
            var (unit, tracking) = Paragraph.Scales(s, _type);
            var scale = unit * _scale;
            var starts = run.Glyphs.Select(g => g.At).Distinct().Order().ToArray();
            var glyphs = ImmutableArray.CreateBuilder<PlacedGlyph>(run.Glyphs.Length + 1);
            var told = new HashSet<int>();
            var raise = -s.Style.Raise.Points * _scale;
            for (var i = 0; i < run.Glyphs.Length; i++)
            {
                var g = run.Glyphs[i];
                var next = Array.BinarySearch(starts, g.At) + 1;
                var letters = told.Add(g.At) ? p.Shown[g.At..(next < starts.Length ? starts[next] : to)] : "";
                glyphs.Add(put.Glyph(g, letters, at, scale, raise, s, _type));
                var advance = g.Advance * scale;
                if (i + 1 == run.Glyphs.Length || run.Glyphs[i + 1].Cluster != g.Cluster)
                {
                    advance += tracking * _scale;
                    if (p.Shown[g.Cluster] == ' ') advance += line.Added * ((g.Advance * scale) + (tracking * _scale));
                }
                if (stops is not null && (i == 0 || run.Glyphs[i - 1].Cluster != g.Cluster))
                    Stop(stops, put, p, g.Cluster, Beyond(run.Glyphs, g.Cluster, to), at, Whole(run.Glyphs, i) * scale,
                        s.RightToLeft);
                at += advance;
            }
            if (line.Hyphenated && to == line.To)
            {
                glyphs.Add(put.Glyph(Paragraph.HyphenOf(s, _type), "\u00AD", at - (tracking * _scale), scale, raise, s,
                    _type));
                at += Paragraph.HyphenOf(s, _type).Advance * scale;
            }
            runs.Add(from,
                new(s.Face, s.Style.Size.Points * _scale, s.Style.Paint, glyphs.ToImmutable(), p.Shown[from..to],
                    s.RightToLeft, p.Source[from]));
        }
        if (stops is not null) Ending(stops, put, line, at);
        return new(put.X, put.Y, line.Width, [.. runs.Values], p.Shown[line.From..line.To], line.Ascent, line.Descent,
            p.Source[line.From], p.Source[line.To])
        { Hyphenated = line.Hyphenated, Spacing = line.Spacing };
    }

    /// <summary>After the last letter, and after the spaces that a paragraph ends in.</summary>
    private void Ending(List<CaretStop> stops, GlyphPlacement put, Line line, double at)
    {
        var p = line.Of;
        var trailing = p.Shown.AsSpan(line.To).IsWhiteSpace() ? p.Shown.Length : line.To;
        for (var i = line.To; i <= trailing; i++)
        {
            var beyond = (p.UpTo[i] - p.UpTo[line.To]) * _scale;
            var (x, y, turn) = put.At(p.RightToLeft ? -beyond : at + beyond, 0);
            stops.Add(new(p.Source[i], put.Number, x, y, turn, 0));
        }
    }

    /// <summary>Where the next cluster begins.</summary>
    private static int Beyond(ImmutableArray<ShapedGlyph> glyphs, int cluster, int end)
    {
        foreach (var g in glyphs) if (g.Cluster > cluster && g.Cluster < end) end = g.Cluster;
        return end;
    }

    /// <summary>How wide a cluster is from its first glyph on, in font units.</summary>
    private static double Whole(ImmutableArray<ShapedGlyph> glyphs, int i)
    {
        var w = 0.0;
        for (var k = i; k < glyphs.Length && glyphs[k].Cluster == glyphs[i].Cluster; k++) w += glyphs[k].Advance;
        return w;
    }

    private static void Stop(List<CaretStop> stops, GlyphPlacement put, Paragraph p, int from, int to, double at,
        double wide,
        bool rightToLeft)
    {
        // Within a ligature the caret moves by equal steps.
        var last = -1;
        for (var i = from; i < to; i++)
        {
            if (p.Source[i] == last || (char.IsLowSurrogate(p.Shown[i]) && i > from)) continue;
            last = p.Source[i];
            var share = (double)(i - from) / (to - from);
            var (x, y, turn) = put.At(at + (wide * (rightToLeft ? 1 - share : share)), 0);
            stops.Add(new(p.Source[i], put.Number, x, y, turn, (rightToLeft ? -1 : 1) * wide / (to - from)));
        }
    }

    /// <summary>
    /// Parts of a line from left to right: from the deepest level up, each stretch of parts is turned about (UAX #9,
    /// L2).
    /// </summary>
    private static List<(ItemizedRun Stretch, ShapedRun Run, int From, int To)> Visual(
        List<(ItemizedRun Stretch, ShapedRun Run, int From, int To)> parts)
    {
        if (parts.TrueForAll(p => p.Stretch.Level == 0)) return parts;
        var order = new List<(ItemizedRun Stretch, ShapedRun Run, int From, int To)>(parts);
        for (var level = parts.Max(p => p.Stretch.Level); level > 0; level--)
            for (var i = 0; i < order.Count; i++)
            {
                if (order[i].Stretch.Level < level) continue;
                var to = i;
                while (to < order.Count && order[to].Stretch.Level >= level) to++;
                order.Reverse(i, to - i);
                i = to;
            }
        return order;
    }
}
