using System.Text;
using Class = Lumbeck.Core.Type.Letters.LineBreakClass;

namespace Lumbeck.Core.Type;

/// <summary>A part of a paragraph in one face, style, script and direction, as shaped.</summary>
internal sealed record ItemizedRun(int From, int To, TextStyle Style, FaceId Face, byte Level, ShapingProperties How,
    bool Sideways,
    ShapedRun Run)
{
    public bool RightToLeft => (Level & 1) == 1;
    /// <summary>Letters that join can't be spaced.</summary>
    public bool Joined => How.Script is "Arab" or "Syrc" or "Mong" or "Nkoo";
}

/// <summary>
/// A paragraph made ready for lines: what its letters show, which way they run (UAX #9), where they may break (UAX
/// #14), and their glyphs. Nothing here depends on a box.
/// </summary>
internal sealed class Paragraph
{
    /// <summary>
    /// The letters as shown, and for each the place in the words that it came from; one place more for the end.
    /// </summary>
    public required string Shown { get; init; }
    public required int[] Source { get; init; }
    public required TextStyle Style { get; init; }
    public required bool RightToLeft { get; init; }
    public required List<ItemizedRun> Stretches { get; init; }
    /// <summary>Widths up to each letter in points, letter spacing too; and of word spaces alone.</summary>
    public required double[] UpTo { get; init; }
    public required double[] Spaces { get; init; }
    public required List<LineEnd> Ends { get; init; }

    public static Paragraph Of(TextToSet text, int start, int end, IType type, List<Rune> missing,
        List<(Rune, FaceId)> instead)
    {
        var style = TextRuns.At(text.Style, text.Runs, start);
        var (shown, source, styles) = Show(text, start, end);
        var (points, at) = CharacterProperties.Points(shown);
        var (levels, @base) = BidiAlgorithm.Resolve(points, null, (byte)(text.RightToLeft ? 1 : 0));
        var stretches = Parts(text, shown, points, at, levels, styles, type, missing, instead);
        var upTo = new double[shown.Length + 1];
        var spaces = new double[shown.Length + 1];
        foreach (var s in stretches)
        {
            var (scale, tracking) = Scales(s, type);
            foreach (var g in s.Run.Glyphs) upTo[g.Cluster + 1] += g.Advance * scale;
            var last = -1;
            foreach (var g in s.Run.Glyphs)
            {
                if (g.Cluster == last) continue;
                upTo[(last = g.Cluster) + 1] += tracking;
                if (shown[g.Cluster] == ' ') spaces[g.Cluster + 1] = upTo[g.Cluster + 1];
            }
        }
        for (var i = 1; i <= shown.Length; i++)
            (upTo[i], spaces[i]) = (upTo[i] + upTo[i - 1], spaces[i] + spaces[i - 1]);
        return new()
        {
            Shown = shown,
            Source = source,
            Style = style,
            RightToLeft = (@base & 1) == 1,
            Stretches = stretches,
            UpTo = upTo,
            Spaces = spaces,
            Ends = LineEnds(text, shown, points, at, style, stretches, type),
        };
    }

    /// <summary>Points for a font unit, and for the space after a letter.</summary>
    public static (double Scale, double Tracking) Scales(ItemizedRun s, IType type) =>
        (s.Style.Size.Points / type.Metrics(s.Face).UnitsPerEm,
            s.Joined ? 0 : (double)s.Style.Tracking * s.Style.Size.Points / 1000);

    /// <summary>The letters in the case they are shown in, each with its place in the words and its style.</summary>
    private static (string, int[], TextStyle[]) Show(TextToSet text, int start, int end)
    {
        if (text.Runs.IsEmpty && (text.Style.Case is LetterCase.AsTyped or LetterCase.SmallCaps))
        {
            var styles = new TextStyle[end - start];
            Array.Fill(styles, text.Style);
            return (text.Words[start..end], [.. Enumerable.Range(start, end - start + 1)], styles);
        }
        var shown = new StringBuilder();
        var source = new List<int>();
        var each = new List<TextStyle>();
        var edges = text.Runs.SelectMany(r => (int[])[r.From, r.To]).Where(e => e > start && e < end).Append(end)
            .Distinct().Order();
        var from = start;
        foreach (var edge in edges)
        {
            var style = TextRuns.At(text.Style, text.Runs, from);
            for (var i = from; i < edge; i++)
            {
                var letters = text.Words[i].ToString();
                if (char.IsHighSurrogate(text.Words[i]) && i + 1 < edge) letters += text.Words[i + 1];
                var cased = style.Case switch
                {
                    LetterCase.Upper => CaseMapping.Upper(letters, text.Language),
                    LetterCase.Lower => CaseMapping.Lower(letters, text.Language),
                    _ => letters,
                };
                foreach (var c in cased) { shown.Append(c); source.Add(i); each.Add(style); }
                if (letters.Length == 2) { source[^1] = ++i; }
            }
            from = edge;
        }
        source.Add(end);
        return (shown.ToString(), [.. source], [.. each]);
    }

    private static List<ItemizedRun> Parts(TextToSet text, string shown, int[] points, int[] at, byte[] levels,
        TextStyle[] styles, IType type, List<Rune> missing, List<(Rune, FaceId)> instead)
    {
        var parts = new List<ItemizedRun>();
        var scripts = Scripts(points);
        (TextStyle Style, FaceId Face, byte Level, string Script, bool Sideways)? now = null;
        var from = 0;
        void close(int to)
        {
            if (now is not { } n || to <= from) return;
            var features = n.Style.Case == LetterCase.SmallCaps
                ? (n.Style.Features + " smcp").Trim()
                : n.Style.Features;
            // Spaced letters stand alone.
            if (n.Style.Tracking != 0) features = ("-clig -liga " + features).Trim();
            var how = new ShapingProperties((n.Level & 1) == 1, n.Script, text.Language, features,
                text.Upright && !n.Sideways);
            parts.Add(new(from, to, n.Style, n.Face, n.Level, how, n.Sideways,
                type.Shape(n.Face, shown, from, to - from, how)));
        }
        for (var k = 0; k < points.Length; k++)
        {
            var letter = CharacterProperties.Of(points[k]);
            var style = styles[at[k]];
            var face = FaceOf(style.Face, now is { } n && n.Style == style ? n.Face : style.Face, points[k], letter,
                type, missing, instead);
            var with = (style, face, levels[k], scripts[k], text.Upright && !letter.Upright);
            if (now is not null && now == with) continue;
            // What marks a letter stays with it.
            if (now is { } was && (letter.LineBreakClass is LineBreakClass.CM or LineBreakClass.ZWJ)
                && was.Level == levels[k]
                && ReferenceEquals(was.Style, style))
                continue;
            close(at[k]);
            (now, from) = (with, at[k]);
        }
        close(shown.Length);
        return parts;
    }

    private static FaceId FaceOf(FaceId wanted, FaceId before, int point, CharacterProperties letter, IType type,
        List<Rune> missing,
        List<(Rune, FaceId)> instead)
    {
        // Spaces, joiners and the like need no drawing.
        if (letter.BidiClass is BidiClass.BN or BidiClass.LRE or BidiClass.LRO or BidiClass.RLE or BidiClass.RLO or BidiClass.PDF
            or BidiClass.LRI or BidiClass.RLI or BidiClass.FSI or BidiClass.PDI
            || letter.LineBreakClass is Class.SP or Class.ZW or Class.BK or Class.CR or Class.LF
                or Class.WJ or Class.ZWJ
            || point is 0xAD or 0x200E or 0x200F or (>= 0xFE00 and <= 0xFE0F))
            return before;
        var rune = Rune.IsValid(point) ? new Rune(point) : Rune.ReplacementChar;
        if (type.Has(wanted, rune)) return wanted;
        if (before != wanted && type.Has(before, rune)) { instead.Add((rune, before)); return before; }
        if (type.Instead(wanted, rune) is { } other) { instead.Add((rune, other)); return other; }
        missing.Add(rune);
        return wanted;
    }

    /// <summary>Each letter's script; what belongs to several goes with what is before it, or else after.</summary>
    private static string[] Scripts(int[] points)
    {
        var scripts = new string[points.Length];
        var last = "";
        for (var i = 0; i < points.Length; i++)
        {
            var s = CharacterProperties.Of(points[i]).Script;
            scripts[i] = s is "Zyyy" or "Zinh" or "Zzzz" ? last : last = s;
        }
        var next = "Latn";
        for (var i = points.Length - 1; i >= 0;
            i--) if (scripts[i].Length == 0) scripts[i] = next; else next = scripts[i];
        return scripts;
    }

    private static List<LineEnd> LineEnds(TextToSet text, string shown, int[] points, int[] at, TextStyle style,
        List<ItemizedRun> stretches, IType type)
    {
        var ends = new List<LineEnd>();
        var breaks = LineBreakAlgorithm.Of(points);
        var hyphens = style.Hyphenate ? Hyphenation.Of(text.Language) : null;
        void within(int from, int to)
        {
            if (hyphens is null || to - from < 6) return;
            var word = shown[from..to];
            foreach (var h in hyphens.In(word)) ends.Add(new(from + h, from + h, 1, 0, false));
        }
        var wordFrom = -1;
        for (var k = 0; k < points.Length; k++)
        {
            var i = at[k];
            // A dash between words stays with the word before it.
            var dash = k > 0 && (points[k] is 0x2014 or 0x2013) && points[k - 1] is not (' ' or 0x2014);
            if (breaks[k] != LineBreakAlgorithm.At.None && !(dash && breaks[k] == LineBreakAlgorithm.At.May))
            {
                if (wordFrom >= 0) { within(wordFrom, i); wordFrom = -1; }
                var soft = points[k - 1] == 0xAD;
                ends.Add(new(i, Trimmed(shown, i), soft ? 1 : 0, 0, breaks[k] == LineBreakAlgorithm.At.Must));
            }
            var letter = Rune.IsValid(points[k]) && Rune.IsLetter(new Rune(points[k]));
            if (letter && wordFrom < 0) wordFrom = i;
            else if (!letter && wordFrom >= 0) { within(wordFrom, i); wordFrom = -1; }
        }
        if (wordFrom >= 0) within(wordFrom, shown.Length);
        ends.Add(new(shown.Length, Trimmed(shown, shown.Length), 0, 0, true));
        Measure(ends, stretches, type);
        return ends;
    }

    /// <summary>How wide the hyphen is of each end that shows one, and what letter space is left off.</summary>
    private static void Measure(List<LineEnd> ends, List<ItemizedRun> stretches, IType type)
    {
        if (stretches.Count == 0) return;
        var (k, last, hyphen) = (0, -1, 0.0);
        for (var i = 0; i < ends.Count; i++)
        {
            while (k + 1 < stretches.Count && stretches[k].To < ends[i].End) k++;
            var (scale, tracking) = Scales(stretches[k], type);
            if (ends[i].Hyphen > 0 && last != k) (last, hyphen) = (k, HyphenOf(stretches[k], type).Advance * scale);
            ends[i] = ends[i] with { Hyphen = ends[i].Hyphen > 0 ? hyphen : 0, Spaced = tracking };
        }
    }

    private static int Trimmed(string s, int end)
    {
        while (end > 0 && (s[end - 1] is ' ' or '\u2028' or '\u3000' or '\u200B')) end--;
        return end;
    }

    /// <summary>The hyphen that a line shows where a word is parted.</summary>
    public static ShapedGlyph HyphenOf(ItemizedRun s, IType type)
    {
        var run = type.Shape(s.Face, type.Has(s.Face, new Rune('\u2010')) ? "\u2010" : "-", 0, 1,
            s.How with { RightToLeft = false, Vertical = false });
        return run.Glyphs.IsEmpty ? default : run.Glyphs[0];
    }
}
