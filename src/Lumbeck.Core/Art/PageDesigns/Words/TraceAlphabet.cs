namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>A letter as a hand draws it.</summary>
/// <param name="Wide">To the next letter’s place; x-height is 100.</param>
/// <param name="Strokes">In their order; a point alone is a dot.</param>
public sealed record TracedLetter(double Wide, ImmutableArray<Outline> Strokes);

/// <summary>
/// A centre-line alphabet of our own: a to z, A to Z, figures, and the accented letters of the languages here that are
/// written with Latin ones. The y axis points up: base line 0, x-height 100, stems 200, tails −100.
/// </summary>
public static class TraceAlphabet
{
    /// <summary>Accented letters, by their mark: what carries it, in the order of the letters that it makes.</summary>
    private static readonly (char Mark, string Plain, string Made)[] Marked =
    [
        ('´', "aeiouycnszrlAEIOUYCNSZRLw", "áéíóúýćńśźŕĺÁÉÍÓÚÝĆŃŚŹŔĹẃ"), ('`', "aeiouAEIOUw", "àèìòùÀÈÌÒÙẁ"),
        ('^', "aeiouwyAEIOUWY", "âêîôûŵŷÂÊÎÔÛŴŶ"), ('ˇ', "cdenrstzCDENRSTZ", "čďěňřšťžČĎĚŇŘŠŤŽ"), ('ˇ', "lL", "ľĽ"),
        ('¨', "aeiouyAEIOUY", "äëïöüÿÄËÏÖÜŸ"), ('~', "anoANO", "ãñõÃÑÕ"), ('°', "auAU", "åůÅŮ"),
        ('¯', "aeiouAEIOU", "āēīōūĀĒĪŌŪ"), ('˙', "ezEZI", "ėżĖŻİ"), ('˝', "ouOU", "őűŐŰ"), ('˘', "agAG", "ăğĂĞ"),
        ('¸', "csklnCSKLN", "çşķļņÇŞĶĻŅ"), ('˛', "aeiuAEIU", "ąęįųĄĘĮŲ"), ('‚', "stST", "șțȘȚ"),
    ];

    private static readonly Dictionary<char, TracedLetter> ByLetter = Load();

    /// <summary>Every letter that can be traced.</summary>
    public static IReadOnlyCollection<char> Letters => ByLetter.Keys;

    /// <summary>A letter; null where it is none of these.</summary>
    public static TracedLetter? Of(char letter) => ByLetter.GetValueOrDefault(letter);

    private static Dictionary<char, TracedLetter> Load()
    {
        var letters = new Dictionary<char, TracedLetter>();
        var marks = new Dictionary<char, TracedLetter>();
        using var file = new StreamReader(typeof(TraceAlphabet).Assembly.GetManifestResourceStream("letters/strokes")!);
        while (file.ReadLine() is { } line)
        {
            if (line.Length == 0 || line[0] == '#') continue;
            var parts = line.Split(' ', 3);
            var letter = new TracedLetter(double.Parse(parts[1], CultureInfo.InvariantCulture),
                [.. parts[2].Split(';').Select(Stroke)]);
            (letter.Wide == 0 ? marks : letters)[line[0]] = letter;
        }
        foreach (var (mark, plain, made) in Marked)
            for (var n = 0; n < plain.Length; n++) letters[made[n]] = With(letters, plain[n], marks[mark]);
        return letters;
    }

    private static TracedLetter With(Dictionary<char, TracedLetter> letters, char plain, TracedLetter mark)
    {
        // A mark takes the place of the dot of an i.
        var letter = letters[plain == 'i' && mark.Strokes[0].Bounds.Top > 0 ? 'ı' : plain];
        var above = mark.Strokes.All(s => s.Bounds.Bottom > 60);
        var high = letter.Strokes.Max(s => s.Bounds.Bottom) > 120 || char.IsUpper(plain);
        // Beside a small stem a mark stands as a tick.
        var across = above && plain is 'd' or 't' or 'l' && mark.Strokes.Length == 1 ? letter.Wide + 4 : letter.Wide / 2;
        if (!above || !high || across > letter.Wide)
            return new(letter.Wide, [.. letter.Strokes, .. mark.Strokes.Select(s => s.Under(Affine.Move(across, above && high ? 44 : 0)))]);
        // A capital under a mark is lower, so that both stand under the line of the stems.
        var lower = new Affine(1, 0, 0, 0.78, 0, 0);
        return new(letter.Wide, [.. letter.Strokes.Select(s => s.Under(lower)),
            .. mark.Strokes.Select(s => s.Under(Affine.Move(across, 38)))]);
    }

    private static Outline Stroke(string text)
    {
        var words = text.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        var (pen, at, begun) = (new Pen(), 0, false);
        double next() => double.Parse(words[at++], CultureInfo.InvariantCulture);
        while (at < words.Length)
            switch (words[at++])
            {
                case "M" or "D":
                    pen.Move(next(), next());
                    begun = true;
                    break;
                case "L":
                    pen.Line(next(), next());
                    break;
                case "C":
                    pen.Cubic(next(), next(), next(), next(), next(), next());
                    break;
                default:
                    Arc(pen, next(), next(), next(), next(), next(), next(), begun);
                    begun = true;
                    break;
            }
        return pen.Done();
    }

    /// <summary>Along an ellipse, in parts of an eighth of a turn at most.</summary>
    private static void Arc(Pen pen, double x, double y, double rx, double ry, double from, double to, bool begun)
    {
        var parts = Math.Max(1, (int)Math.Ceiling(Math.Abs(to - from) / 45));
        (double X, double Y) on(double turns) => (x + (rx * Seeded.Cosine(turns)), y + (ry * Seeded.Sine(turns)));
        var start = on(from / 360);
        if (begun) pen.Line(start.X, start.Y);
        else pen.Move(start.X, start.Y);
        for (var n = 0; n < parts; n++)
        {
            var (a, b) = ((from + ((to - from) * n / parts)) / 360, (from + ((to - from) * (n + 1) / parts)) / 360);
            var reach = 4.0 / 3 * Seeded.Sine((b - a) / 4) / Seeded.Cosine((b - a) / 4);
            var (p, q) = (on(a), on(b));
            pen.Cubic(p.X - (reach * rx * Seeded.Sine(a)), p.Y + (reach * ry * Seeded.Cosine(a)),
                q.X + (reach * rx * Seeded.Sine(b)), q.Y - (reach * ry * Seeded.Cosine(b)), q.X, q.Y);
        }
    }
}
