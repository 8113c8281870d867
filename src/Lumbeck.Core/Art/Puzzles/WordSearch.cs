namespace Lumbeck.Core.Art.Puzzles;

/// <summary>Which ways words may run.</summary>
public enum WordWays { Two, Four, Eight }

/// <summary>Where a word lies: its first letter, and the step from one letter to the next.</summary>
public sealed record FoundWord(string Word, int X, int Y, int StepX, int StepY);

/// <summary>
/// Words hidden in a grid of letters. Each lies in it once, read in any of the eight directions; the letters between
/// are of the words' own, and spell nothing rude.
/// </summary>
public sealed record WordSearch(int Across, int Down, ImmutableArray<string> Letters, ImmutableArray<FoundWord> Words)
{
    private static readonly (int X, int Y)[] Ways =
        [(1, 0), (0, 1), (1, 1), (1, -1), (-1, 0), (0, -1), (-1, -1), (-1, 1)];

    private static readonly ImmutableArray<string> Rude = Listed();

    /// <summary>Most letters across or down, and most words.</summary>
    public const int MostSide = 30, MostWords = 60;

    /// <summary>A letter of the grid.</summary>
    public string At(int x, int y) => Letters[(y * Across) + x];

    /// <summary>Words as they are hidden: their letters alone, in capitals.</summary>
    public static string Bare(string word) => string.Concat(word.Normalize().Where(char.IsLetter)
        .Select(c => char.ToUpperInvariant(c)));

    /// <exception cref="Refusal">A word can't be hidden; it and the figure are named.</exception>
    public static WordSearch Of(IReadOnlyList<string> words, int across, int down, WordWays ways, Seed seed, int n)
    {
        string[] bare = [.. words.Select(Bare).Where(w => w.Length > 0)];
        Refuse(bare, across, down);
        var dice = Dice.For(seed, n);
        for (var round = 0; round < 60; round++)
        {
            var cells = new string[across * down];
            if (Laid(bare, cells, across, down, ways, dice) is not { } laid) continue;
            for (var filling = 0; filling < 40; filling++)
            {
                var full = Filled(cells, bare, dice);
                var search = new WordSearch(across, down, [.. full], laid);
                // Filler that spells a word again, or another, is thrown anew: first the letters that do, then all of it.
                for (var letter = 0; letter < MostLetters && search.Spoilt() is { } spoilt; letter++)
                {
                    var free = dice.Shuffled(spoilt.Where(c => cells[c] is null));
                    if (free.Length == 0) break;
                    full[free[0]] = Filler(bare, dice);
                    search = search with { Letters = [.. full] };
                }
                if (search.Spoilt() is null) return search;
            }
        }
        throw new Refusal("words", $"{bare.Length} words of {bare.Sum(w => w.Length)} letters find no place in " +
            $"{across} × {down}: take fewer words, or more letters across and down");
    }

    private static void Refuse(string[] bare, int across, int down)
    {
        if (bare.Length is 0 or > MostWords)
            throw new Refusal("words", $"{bare.Length} words can't be hidden: from 1 to {MostWords}");
        foreach (var word in bare)
        {
            if (word.Length < 2) throw new Refusal("words", $"“{word}” has one letter: a word to find has two or more");
            if (word.Length > Math.Max(across, down))
                throw new Refusal("words", $"“{LengthText.Clip(word)}” has {word.Length} letters, the grid " +
                    $"{Math.Max(across, down)} at most: leave it out, or take more letters");
            if (word.SequenceEqual(word.Reverse()))
                throw new Refusal("words", $"“{word}” reads the same backwards, so that it would be found twice: leave it out");
            var within = bare.FirstOrDefault(o => !ReferenceEquals(o, word) && (o.Contains(word, StringComparison.Ordinal)
                || o.Contains(string.Concat(word.Reverse()), StringComparison.Ordinal)));
            if (within is not null)
                throw new Refusal("words", $"“{word}” lies within “{within}”, so that it would be found twice: leave one out");
        }
        var letters = bare.Sum(w => w.Length);
        if (letters > 0.9 * across * down + 4)
            throw new Refusal("words", $"{letters} letters of words leave no room to hide them in {across * down} cells: " +
                "take fewer words, or more letters across and down");
    }

    private static ImmutableArray<FoundWord>? Laid(string[] words, string[] cells, int across, int down, WordWays ways, Dice dice)
    {
        var steps = Ways[..(ways switch { WordWays.Two => 2, WordWays.Four => 4, _ => 8 })];
        var laid = new Dictionary<string, FoundWord>();
        foreach (var word in dice.Shuffled(words).OrderByDescending(w => w.Length))
        {
            var places = dice.Shuffled(from step in steps
                                       from y in Enumerable.Range(0, down)
                                       from x in Enumerable.Range(0, across)
                                       where Ends(x, step.X, word.Length, across) && Ends(y, step.Y, word.Length, down)
                                       select new FoundWord(word, x, y, step.X, step.Y));
            if (places.FirstOrDefault(p => Fits(p, cells, across)) is not { } place) return null;
            for (var k = 0; k < word.Length; k++)
                cells[((place.Y + (k * place.StepY)) * across) + place.X + (k * place.StepX)] = word[k].ToString();
            laid[word] = place;
        }
        return [.. words.Select(w => laid[w])];
    }

    private static bool Ends(int from, int step, int length, int of) =>
        from + (step * (length - 1)) is var end && end >= 0 && end < of;

    private static bool Fits(FoundWord p, string[] cells, int across)
    {
        for (var k = 0; k < p.Word.Length; k++)
            if (cells[((p.Y + (k * p.StepY)) * across) + p.X + (k * p.StepX)] is { } there && there[0] != p.Word[k])
                return false;
        return true;
    }

    private static string[] Filled(string[] cells, string[] words, Dice dice) => [.. cells.Select(c => c ?? Filler(words, dice))];

    private static string Filler(string[] words, Dice dice)
    {
        var letters = string.Concat(words);
        return letters[dice.Of(letters.Length)].ToString();
    }

    private const int MostLetters = 300;

    /// <summary>
    /// The cells of the first run of letters that should not be there: a word of the list that lies within none that is
    /// hidden, or a hidden word a second time. Null where there is none.
    /// </summary>
    private IReadOnlyList<int>? Spoilt()
    {
        foreach (var word in Words)
            if (Runs(word.Word).FirstOrDefault(r => r[0] != (word.Y * Across) + word.X || r[1] != r[0] + (word.StepY * Across) + word.StepX)
                is { } again) return again;
        return Rude.SelectMany(Runs).FirstOrDefault(r => !Words.Any(w => Covers(w, r)));
    }

    private bool Covers(FoundWord w, int[] run) =>
        run.All(c => Enumerable.Range(0, w.Word.Length).Any(k => ((w.Y + (k * w.StepY)) * Across) + w.X + (k * w.StepX) == c));

    /// <summary>The places of a word in the grid, cell by cell, read in any direction.</summary>
    private IEnumerable<int[]> Runs(string word)
    {
        for (var at = 0; at < Letters.Length; at++)
        {
            if (Letters[at][0] != word[0]) continue;
            var (x, y) = (at % Across, at / Across);
            foreach (var (stepX, stepY) in Ways)
            {
                if (!Ends(x, stepX, word.Length, Across) || !Ends(y, stepY, word.Length, Down)) continue;
                var k = 1;
                while (k < word.Length && At(x + (k * stepX), y + (k * stepY))[0] == word[k]) k++;
                if (k == word.Length) yield return [.. Enumerable.Range(0, k).Select(n => at + (n * ((stepY * Across) + stepX)))];
            }
        }
    }

    /// <summary>How often a word lies in the grid, read in any direction.</summary>
    public int Count(string word) => Runs(word).Count();

    private static ImmutableArray<string> Listed()
    {
        using var list = new StreamReader(typeof(WordSearch).Assembly.GetManifestResourceStream("letters/rude")!);
        return [.. list.ReadToEnd().Split('\n', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries)
            .Where(l => !l.StartsWith('#'))];
    }
}
