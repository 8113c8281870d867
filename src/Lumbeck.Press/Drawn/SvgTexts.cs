using System.Text;
using System.Xml.Linq;
using Lumbeck.Press.Faces;

namespace Lumbeck.Press.Drawn;

/// <summary>
/// Words of a drawing as outlines (SVG 2, 11): in chunks that begin where x or y is said, each flush with its anchor.
/// They are set in faces that ship, so that a drawing is the same on every machine; what asks for another is noted.
/// </summary>
/// <param name="sheet">The drawing's style sheets.</param>
/// <param name="shelf">Faces.</param>
internal sealed class SvgTexts(SvgSheet sheet, FaceShelf shelf)
{
    /// <summary>What a text is made of.</summary>
    public static readonly HashSet<string> Kinds = ["text", "tspan", "textPath", "tref"];

    /// <summary>Most letters of a drawing, and of a chunk.</summary>
    public const int MostLetters = 20_000, MostOfChunk = 2_000;
    /// <summary>
    /// The size that a chunk's largest letters are set in, in points; a drawing's own may be out of range.
    /// </summary>
    private const double SetAt = 100;

    private readonly Dictionary<string, FaceId> _taken = [];
    private int _letters;

    /// <summary>The face that a family which is not here was set in.</summary>
    public ImmutableArray<(string Asked, FaceId Face)> Faces => [.. _taken.Select(t => (t.Key, t.Value))];

    /// <summary>Letters of one style, and how far the pen is moved before them.</summary>
    private sealed record Piece(string Letters, SvgLook Look, double Dx, double Dy);

    private sealed record Chunk(double? X, double? Y, SvgLook Look, List<Piece> Pieces);

    /// <summary>The outlines of a text element, with how each is painted, in the element's own points.</summary>
    /// <exception cref="Refusal">It asks for what is not set here; its group and first words are named.</exception>
    public List<(Outline Letters, SvgLook Look)> Set(XElement e, SvgLook look, SvgShapes viewport)
    {
        if (look["visibility"] != "visible" && !e.Descendants().Any() || string.IsNullOrWhiteSpace(e.Value)) return [];
        var chunks = new List<Chunk>();
        var isSpaced = true;
        Gather(e, e, look, viewport, chunks, ref isSpaced);
        var done = new List<(Outline, SvgLook)>();
        double x = 0, y = 0;
        foreach (var chunk in chunks)
        {
            (x, y) = (chunk.X ?? x, chunk.Y ?? y);
            var lines = Lines(e, chunk);
            var wide = lines.Sum(l => l.Dx + l.Wide);
            var fromRight = chunk.Look["direction"] == "rtl";
            x -= chunk.Look["text-anchor"] switch
            {
                "middle" => wide / 2,
                "end" => fromRight ? 0 : wide,
                _ => fromRight ? wide : 0,
            };
            foreach (var line in lines)
            {
                (x, y) = (x + line.Dx, y + line.Dy);
                foreach (var (letters, own) in line.Drawn)
                    if (own["visibility"] == "visible") done.Add((letters.Under(Affine.Move(x, y)), own));
                x += line.Wide;
            }
        }
        return done;
    }

    private void Gather(XElement whole, XElement e, SvgLook look, SvgShapes viewport, List<Chunk> chunks,
        ref bool isSpaced)
    {
        Known(whole, e, look);
        var size = SvgUnits.Number(look["font-size"]);
        double[] list(string name, bool across) => (string?)e.Attribute(name) is not { } said ? []
            : [.. SvgUnits.Words(said, commas: true).Take(MostOfChunk)
                .Select(w => SvgFonts.Along(w, size, across ? viewport.Across("100%") : viewport.Down("100%")))];
        var (xs, ys, dxs, dys) = (list("x", true), list("y", false), list("dx", true), list("dy", false));
        if (chunks.Count == 0) chunks.Add(new(null, null, look, []));
        var at = 0;
        foreach (var node in e.Nodes())
        {
            if (node is XElement child)
            {
                if (!SvgDocument.IsSvg(child) || child.Name.LocalName is "title" or "desc") continue;
                var own = look.Of(child, sheet);
                if (own["display"] == "none") continue;
                Gather(whole, child, own, viewport, chunks, ref isSpaced);
            }
            if (node is not XText text) continue;
            var shown = Spaced(text.Value, e, look, ref isSpaced);
            while (shown.Length > 0)
            {
                double? placed(double[] all) => at < all.Length ? all[at] : null;
                var (px, py, dx, dy) = (placed(xs), placed(ys), placed(dxs) ?? 0, placed(dys) ?? 0);
                if (px is not null || py is not null) chunks.Add(new(px, py, look, []));
                // One by one as long as each letter has a place of its own, then all that is left.
                var most = new[] { xs.Length, ys.Length, dxs.Length, dys.Length }.Max();
                var take = at + 1 < most ? StringInfo.GetNextTextElementLength(shown) : shown.Length;
                chunks[^1].Pieces.Add(new(shown[..take], look, dx, dy));
                (shown, at) = (shown[take..], at + 1);
                if ((_letters += take) > MostLetters)
                    throw SvgReading.No($"it has more than {MostLetters} letters: turn its words to paths");
            }
        }
    }

    /// <summary>White space as it is shown (SVG 2, 11.7): one space for any of it, none at the beginning.</summary>
    private static string Spaced(string text, XElement e, SvgLook look, ref bool isSpaced)
    {
        var kept = look["white-space"].StartsWith("pre", StringComparison.Ordinal)
            || e.AncestorsAndSelf().Select(a => (string?)a.Attribute(XNamespace.Xml + "space"))
                .FirstOrDefault(s => s is not null) == "preserve";
        var s = new StringBuilder();
        foreach (var c in text)
        {
            var white = c is ' ' or '\t' or '\n' or '\r';
            if (!white || kept || !isSpaced) s.Append(white ? ' ' : c);
            isSpaced = white && !kept;
        }
        return s.ToString();
    }

    private static void Known(XElement whole, XElement e, SvgLook look)
    {
        void no(string how) => throw SvgDocument.HasText(whole, how);
        if (e.Name.LocalName is "textPath") no("along a path");
        if (e.Name.LocalName is "tref") no("that stands elsewhere");
        foreach (var name in (string[])["rotate", "textLength"])
            if (e.Attribute(name) is not null) no($"with `{name}`");
        foreach (var (name, plain) in Plain)
            if (look[name] is { Length: > 0 } said && !plain.Contains(said)) no($"with `{name}: {LengthText.Clip(said)}`");
    }

    private static readonly (string Name, string[] Plain)[] Plain =
    [
        ("font-variant", ["normal", "none"]), ("font-feature-settings", ["normal"]),
        ("font-variation-settings", ["normal"]), ("text-transform", ["none", "uppercase", "lowercase"]),
        ("word-spacing", ["normal", "0", "0px"]), ("writing-mode", ["horizontal-tb", "lr-tb", "lr", "rl-tb", "rl"]),
        ("text-decoration", ["none"]), ("baseline-shift", ["baseline", "0", "0px"]),
        ("dominant-baseline", ["auto", "alphabetic", "central", "middle", "hanging", "text-before-edge"]),
        ("text-anchor", ["start", "middle", "end"]),
    ];

    private sealed record Line(double Dx, double Dy, double Wide, List<(Outline Letters, SvgLook Look)> Drawn);

    /// <summary>A chunk's pieces, those joined that no shift parts: letters of two styles may be one word.</summary>
    private List<Line> Lines(XElement whole, Chunk chunk)
    {
        var all = new List<List<Piece>>();
        foreach (var piece in chunk.Pieces)
            if (all.Count > 0 && piece is { Dx: 0, Dy: 0 }) all[^1].Add(piece);
            else all.Add([piece]);
        // What stands at the end of a text is no space between words.
        if (all.Count > 0 && all[^1][^1] is { } last && last.Letters.EndsWith(' ') && last.Look["white-space"] == "normal")
            all[^1][^1] = last with { Letters = last.Letters[..^1] };
        return [.. all.Select(pieces => Set(whole, pieces, chunk.Look["direction"] == "rtl"))];
    }

    private Line Set(XElement whole, List<Piece> pieces, bool fromRight)
    {
        double size(Piece p) => SvgUnits.Number(p.Look["font-size"]);
        var (words, largest) = (new StringBuilder(), pieces.Max(size));
        var (dx, dy) = (pieces[0].Dx, pieces[0].Dy);
        if (largest <= 0 || pieces.All(p => p.Letters.Length == 0)) return new(dx, dy, 0, []);
        var runs = ImmutableList.CreateBuilder<TextRun>();
        var scale = largest / SetAt;
        for (var i = 0; i < pieces.Count; i++)
        {
            var p = pieces[i];
            if (p.Letters.Length == 0) continue;
            var spacing = p.Look["letter-spacing"] is "normal" ? 0
                : SvgFonts.Along(p.Look["letter-spacing"], size(p), size(p)) / Math.Max(size(p), 1e-6) * 1000;
            if (spacing is < -300 or > 2000) throw SvgDocument.HasText(whole, "with letters very far apart or together");
            runs.Add(new(words.Length, words.Length + p.Letters.Length, new RunStyle
            {
                Face = FaceOf(p.Look),
                Size = Length.FromPoints((decimal)Math.Round(Math.Max(1, size(p) / scale), 3)),
                Tracking = (decimal)Math.Round(spacing, 2),
                // Which piece a letter is of, told by its paint.
                Paint = new InkPaint(new Ink(i % 10_001, i / 10_001, 0, 0)),
                Case = p.Look["text-transform"] switch
                {
                    "uppercase" => LetterCase.Upper,
                    "lowercase" => LetterCase.Lower,
                    _ => LetterCase.AsTyped,
                },
            }));
            words.Append(p.Letters);
        }
        if (words.Length > MostOfChunk)
            throw SvgReading.No($"a line of it has more than {MostOfChunk} letters: turn its words to paths");
        // Spaces at the edges of a line are kept: what follows stands beside them.
        for (var i = 0; i < words.Length && words[i] == ' '; i++) words[i] = '\u00A0';
        for (var i = words.Length - 1; i >= 0 && words[i] == ' '; i--) words[i] = '\u00A0';
        var text = new TextToSet(words.ToString(), new TextStyle { Size = Length.FromPoints((decimal)SetAt) })
        {
            Runs = runs.ToImmutable(),
            SidesOfBox = true,
            RightToLeft = fromRight,
        };
        var laid = Typesetter.Set(text, 1e7, 1e7, shelf);
        if (laid.Missing is [var missing, ..])
            throw SvgDocument.HasText(whole, $"with “{missing}”, which no face here has,");
        if (laid.Lines is not [var line]) return new(dx, dy, 0, []);
        var drawn = line.Runs.Select(r =>
        {
            var mark = ((InkPaint)r.Paint).Ink;
            var look = pieces[mark.C + (mark.M * 10_001)].Look;
            var down = Hung(look["dominant-baseline"], shelf.Metrics(r.Face)) * r.Size;
            var k = r.Size / shelf.Metrics(r.Face).UnitsPerEm;
            var pen = new Pen();
            foreach (var g in r.Glyphs)
                pen.Add(shelf.Glyph(r.Face, g.Id)
                    .Under(new(k * scale, 0, 0, -k * scale, g.X * scale, (g.Y + down) * scale)));
            return (pen.Done(), look);
        });
        // A line ends without the space after its last letter; here more may follow.
        var after = line.Runs is [.., var end] ? (double)runs[^1].Style.Tracking! * end.Size / 1000 : 0;
        return new(dx, dy, (line.Width + after) * scale, [.. drawn.Where(d => !d.Item1.IsEmpty)]);
    }

    /// <summary>
    /// How far letters hang below where they are placed, as a share of their size (CSS Inline 3, 4.2).
    /// </summary>
    private static double Hung(string baseline, FaceMetrics m) => baseline switch
    {
        "central" => (m.Ascent - m.Descent) / 2.0 / m.UnitsPerEm,
        "middle" => 0.25,
        "hanging" => 0.8 * m.Ascent / m.UnitsPerEm,
        "text-before-edge" => (double)m.Ascent / m.UnitsPerEm,
        _ => 0,
    };

    /// <summary>
    /// The face that ships for what a drawing asks for; what is not here is noted with what stands in.
    /// </summary>
    private FaceId FaceOf(SvgLook look)
    {
        var (weight, italic) = ((int)SvgUnits.Number(look["font-weight"]), look["font-style"] != "normal");
        FaceId nearest(string family) => shelf.Shipped.Where(f => f.Family == family)
            .OrderBy(f => f.Italic == italic ? 0 : 1).ThenBy(f => Math.Abs(f.Weight - weight)).First();
        var asked = SvgFonts.Families(look["font-family"]).ToList();
        foreach (var name in asked)
        {
            var family = string.Join('-', SvgUnits.Words(name.ToLowerInvariant()));
            if (Generic(family) is { } general) return noted(general);
            if (shelf.Shipped.Any(f => f.Family == family)) return noted(family);
        }
        return noted("source-serif-4");

        FaceId noted(string family)
        {
            var face = nearest(family);
            if (asked is [var first, ..] && Generic(first.ToLowerInvariant()) is null
                && string.Join('-', SvgUnits.Words(first.ToLowerInvariant())) != family)
                _taken.TryAdd(LengthText.Clip(first), face);
            return face;
        }
    }

    private static string? Generic(string family) => family switch
    {
        "serif" or "ui-serif" => "source-serif-4",
        "sans-serif" or "system-ui" or "ui-sans-serif" => "work-sans",
        "monospace" or "ui-monospace" => "b612-mono",
        "cursive" => "caveat",
        _ => null,
    };
}
