using System.Text;
using Lumbeck.Core.Drawing;

namespace Lumbeck.Core.Type;

/// <summary>One set line: where its baseline begins, how wide it is, its glyphs and its words.</summary>
public sealed record SetLine(double X, double Baseline, double Width, ImmutableArray<PlacedGlyph> Glyphs, string Text);

/// <summary>A text as set in its box, in points. Lines that do not fit are not among <paramref name="Lines"/>.</summary>
/// <param name="Overset">The words that do not fit, null where all do.</param>
/// <param name="Missing">Characters the face lacks, each once.</param>
/// <param name="Size">Type size in points.</param>
public sealed record Setting(ImmutableArray<SetLine> Lines, double Size, string? Overset, ImmutableArray<Rune> Missing);

/// <summary>Sets text in a box: shaped runs, lines broken greedily at spaces and after hyphens and dashes, in one direction a line.</summary>
public static class Typesetter
{
    /// <summary>Sets words in a box of this width and height, in points.</summary>
    public static Setting Set(string words, TextStyle style, double width, double height, IType type)
    {
        var size = style.Size.Points;
        var m = type.Metrics(style.Face);
        var scale = size / m.UnitsPerEm;
        var tracking = style.Tracking * size / 1000;
        var pitch = (double)style.Leading * size;
        // A line's room is shared evenly above ascent and below descent; the box may be as tight as ascent and descent themselves.
        var first = ((pitch - ((m.Ascent + m.Descent) * scale)) / 2) + (m.Ascent * scale);
        var below = Math.Min(m.Descent * scale, pitch - first);

        var lines = new List<(string Text, ShapedRun Run, double Width)>();
        var missing = new List<Rune>();
        string? overset = null;
        foreach (var paragraph in words.ReplaceLineEndings("\n").Split('\n'))
            foreach (var text in Break(paragraph, style, type, width, scale, tracking))
            {
                var run = type.Shape(style.Face, text, style.Tracking == 0);
                var w = Measure(run, scale, tracking);
                if (w > width + 0.01) overset ??= text;
                Missing(run, text, missing);
                lines.Add((text, run, w));
            }

        var fitting = lines.Count;
        while (fitting > 0 && first + ((fitting - 1) * pitch) + below > height + 0.01) fitting--;
        if (fitting < lines.Count) overset ??= lines[fitting].Text;

        var used = fitting == 0 ? 0 : ((fitting - 1) * pitch) + first + below;
        var top = style.Stand switch { Stand.Middle => (height - used) / 2, Stand.Foot => height - used, _ => 0 };
        var set = ImmutableArray.CreateBuilder<SetLine>(fitting);
        for (var i = 0; i < fitting; i++)
        {
            var (text, run, w) = lines[i];
            var x = style.Align switch { Align.Centre => (width - w) / 2, Align.Right => width - w, _ => run.RightToLeft ? width - w : 0 };
            set.Add(new(x, top + first + (i * pitch), w, Place(run, text, scale, tracking), text));
        }
        return new(set.ToImmutable(), size, string.IsNullOrWhiteSpace(overset) ? null : overset, [.. missing]);
    }

    private static IEnumerable<string> Break(string paragraph, TextStyle style, IType type, double width, double scale, double tracking)
    {
        if (paragraph.Length == 0) { yield return ""; yield break; }
        var run = type.Shape(style.Face, paragraph, style.Tracking == 0);
        // Width up to each character, by the cluster its glyphs belong to.
        var upTo = new double[paragraph.Length + 1];
        foreach (var g in run.Glyphs) upTo[g.Cluster + 1] += (g.Advance * scale) + tracking;
        for (var i = 1; i <= paragraph.Length; i++) upTo[i] += upTo[i - 1];

        var start = 0;
        var lastBreak = -1;
        for (var i = 0; i <= paragraph.Length; i++)
        {
            var atEnd = i == paragraph.Length;
            if (!atEnd && !(i > start && BreaksBefore(paragraph, i))) continue;
            var end = TrimmedEnd(paragraph, start, i);
            if (upTo[end] - upTo[start] - tracking > width + 0.01 && lastBreak > start)
            {
                yield return paragraph[start..TrimmedEnd(paragraph, start, lastBreak)];
                start = lastBreak;
                lastBreak = -1;
                i = start;
                continue;
            }
            lastBreak = i;
            if (atEnd) yield return paragraph[start..TrimmedEnd(paragraph, start, i)];
        }
    }

    private static bool BreaksBefore(string s, int i) =>
        !char.IsLowSurrogate(s[i]) && (s[i - 1] is ' ' or '\u200B' or '—' || (s[i - 1] is '-' or '–' && char.IsLetter(s[i]))) && s[i] != ' ';

    private static int TrimmedEnd(string s, int start, int end)
    {
        while (end > start && s[end - 1] == ' ') end--;
        return end;
    }

    private static double Measure(ShapedRun run, double scale, double tracking)
    {
        var w = 0.0;
        foreach (var g in run.Glyphs) w += (g.Advance * scale) + tracking;
        return run.Glyphs.IsEmpty ? 0 : w - tracking;
    }

    private static ImmutableArray<PlacedGlyph> Place(ShapedRun run, string text, double scale, double tracking)
    {
        var starts = run.Glyphs.Select(g => g.Cluster).Distinct().Order().ToArray();
        var placed = ImmutableArray.CreateBuilder<PlacedGlyph>(run.Glyphs.Length);
        var told = new HashSet<int>();
        var x = 0.0;
        foreach (var g in run.Glyphs)
        {
            var letters = "";
            if (told.Add(g.Cluster))
            {
                var next = Array.BinarySearch(starts, g.Cluster) + 1;
                letters = text[g.Cluster..(next < starts.Length ? starts[next] : text.Length)];
            }
            placed.Add(new(g.Id, x + (g.Dx * scale), -g.Dy * scale, letters));
            x += (g.Advance * scale) + tracking;
        }
        return placed.MoveToImmutable();
    }

    private static void Missing(ShapedRun run, string text, List<Rune> missing)
    {
        foreach (var g in run.Glyphs)
            if (g.Id == 0)
            {
                var rune = Rune.TryGetRuneAt(text, g.Cluster, out var r) ? r : Rune.ReplacementChar;
                if (!missing.Contains(rune)) missing.Add(rune);
            }
    }
}
