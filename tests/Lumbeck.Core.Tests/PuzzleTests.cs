namespace Lumbeck.Core.Tests;

/// <summary>Mazes, word searches and trails, each proved by another way than it was made.</summary>
public sealed class PuzzleTests
{
    private static readonly Bounds Box = new(36, 50, 396, 560);

    [Theory]
    [InlineData(MazeShape.Square)]
    [InlineData(MazeShape.Round)]
    [InlineData(MazeShape.Hexagonal)]
    public void A_maze_has_one_way_through_reaches_every_cell_and_lies_in_its_box(MazeShape shape)
    {
        var known = new HashSet<string>();
        for (var n = 0; n < 40; n++)
        {
            var pitch = Length.FromMillimetres(4 + (n % 7));
            var maze = Maze.Of(shape, Box, pitch, 7, n);
            // A tree: one opening fewer than cells, and all of them reached.
            Enumerable.Range(0, maze.Cells).Sum(c => maze.From(c).Count).ShouldBe(2 * (maze.Cells - 1));
            var seen = new HashSet<int> { maze.Start };
            var next = new Stack<int>([maze.Start]);
            while (next.TryPop(out var cell))
                foreach (var other in maze.From(cell))
                    if (seen.Add(other)) next.Push(other);
            seen.Count.ShouldBe(maze.Cells);
            var way = maze.Way();
            (way[0], way[^1]).ShouldBe((maze.Start, maze.End));
            way.Distinct().Count().ShouldBe(way.Count);
            way.Zip(way.Skip(1)).ShouldAllBe(p => maze.From(p.First).Contains(p.Second));
            var b = maze.Walls().Bounds;
            (b.Left >= Box.Left - 0.01 && b.Right <= Box.Right + 0.01 && b.Top >= Box.Top - 0.01
                && b.Bottom <= Box.Bottom + 0.01)
                .ShouldBeTrue($"{shape} {n}: {b}");
            known.Add(maze.Identity).ShouldBeTrue();
        }
        Should.Throw<Refusal>(() => Maze.Of(shape, new(0, 0, 60, 60), Length.FromMillimetres(15), 1, 0)).Message
            .ShouldContain("cells");
    }

    private static readonly string[] Nautical = ["anchor", "buoy", "compass", "fender", "halyard", "keel", "lantern",
        "mooring", "rudder", "sextant", "tiller", "windlass", "Žluťoučký", "ebb tide"];

    /// <summary>
    /// Nothing of the list is read in any direction, short or in the plural, but what a hidden word has within itself:
    /// letters that would make it easily are those of the words.
    /// </summary>
    [Fact]
    public void Filler_spells_nothing_rude_in_any_language_of_the_list()
    {
        using var list = new StreamReader(typeof(WordSearch).Assembly.GetManifestResourceStream("letters/rude")!);
        string[] rude = [.. list.ReadToEnd().Split('\n').Where(l => l.Length > 0 && l[0] != '#')];
        rude.Length.ShouldBeGreaterThan(150);
        string[][] books = [["fig", "tub", "asset", "cigar", "sextet", "tights"], ["fichte", "kuchen", "futter", "hotel", "schirm", "arzt"],
            ["puits", "tante", "merle", "coude", "nuit"], ["хуторок", "сугроб", "пилот", "жираф"]];
        for (var n = 0; n < 40; n++)
        {
            string[] words = [.. books[n % 4].Select(WordSearch.Bare)];
            var search = WordSearch.Of(words, 13, 13, WordWays.Eight, 9, n);
            var lines = Lines(search).SelectMany(l => (string[])[l, string.Concat(l.Reverse())]).ToList();
            foreach (var word in rude)
                lines.Sum(l => Times(l, word)).ShouldBe(words.Sum(w => Times(w, word) + Times(string.Concat(w.Reverse()), word)),
                    $"{n} {word}");
        }
    }

    [Fact]
    public void Every_word_lies_once_in_the_grid_read_in_any_direction()
    {
        for (var n = 0; n < 60; n++)
        {
            var ways = (WordWays)(n % 3);
            var words = Nautical.Where((_, k) => (k + n) % 3 != 0).ToArray();
            var search = WordSearch.Of(words, 14, 12, ways, 3, n);
            search.Letters.Length.ShouldBe(14 * 12);
            search.Letters.ShouldAllBe(l => l.Length == 1 && char.IsUpper(l[0]));
            foreach (var word in words.Select(WordSearch.Bare))
            {
                // Looked for by reading every line of letters there is, forth and back.
                var lines = Lines(search).SelectMany(l => (string[])[l, string.Concat(l.Reverse())]);
                lines.Sum(l => Times(l, word)).ShouldBe(1, $"{n} {word}");
            }
            foreach (var found in search.Words)
                string.Concat(Enumerable.Range(0, found.Word.Length).Select(k =>
                    search.At(found.X + (k * found.StepX), found.Y + (k * found.StepY)))).ShouldBe(found.Word);
            if (ways == WordWays.Two) search.Words.ShouldAllBe(w => w.StepX + w.StepY == 1 && w.StepX * w.StepY == 0);
        }
    }

    private static IEnumerable<string> Lines(WordSearch s)
    {
        for (var y = 0; y < s.Down; y++)
            yield return string.Concat(Enumerable.Range(0, s.Across).Select(x => s.At(x, y)));
        for (var x = 0; x < s.Across; x++)
            yield return string.Concat(Enumerable.Range(0, s.Down).Select(y => s.At(x, y)));
        for (var d = 1 - s.Down; d < s.Across; d++)
        {
            yield return string.Concat(Enumerable.Range(0, s.Down).Where(y => y + d >= 0 && y + d < s.Across)
                .Select(y => s.At(y + d, y)));
            yield return string.Concat(Enumerable.Range(0, s.Down).Where(y =>
                s.Across - 1 - y - d is var x && x >= 0 && x < s.Across)
                .Select(y => s.At(s.Across - 1 - y - d, y)));
        }
    }

    private static int Times(string line, string word)
    {
        var times = 0;
        for (var at = line.IndexOf(word, StringComparison.Ordinal); at >= 0;
            at = line.IndexOf(word, at + 1, StringComparison.Ordinal))
            times++;
        return times;
    }

    [Theory]
    [InlineData("level,anchor", "LEVEL", "backwards")]
    [InlineData("keel,keelson", "KEEL", "KEELSON")]
    [InlineData("leek,keel", "LEEK", "KEEL")]
    [InlineData("circumnavigation", "16", "12")]
    [InlineData("a,bc", "“A”", "one letter")]
    [InlineData("", "0 words", "from 1")]
    public void Words_that_can_t_be_hidden_are_named(string words, string one, string other)
    {
        var why = Should.Throw<Refusal>(() => WordSearch.Of(words.Split(','), 12, 12, WordWays.Eight, 1, 0)).Message;
        why.ShouldContain(one);
        why.ShouldContain(other);
        Should.Throw<Refusal>(() => WordSearch.Of(Nautical, 9, 9, WordWays.Eight, 1, 0)).Message.ShouldContain("81");
    }

    [Fact]
    public void A_trail_goes_round_its_thing_without_crossing_itself_and_dots_have_room_for_figures()
    {
        foreach (var (word, first) in NumberTrailPage.Things)
        {
            var trail = NumberTrail.Of(first, Box, 60, 7);
            var dots = trail.Dots;
            dots.Length.ShouldBeInRange(NumberTrail.Fewest, 60, word);
            foreach (var (x, y) in dots)
                (x >= Box.Left - 1 && x <= Box.Right + 1 && y >= Box.Top - 1 && y <= Box.Bottom + 1).ShouldBeTrue(word);
            for (var a = 0; a < dots.Length; a++)
                for (var b = a + 1; b < dots.Length; b++)
                    Math.Sqrt(Math.Pow(dots[a].X - dots[b].X, 2) + Math.Pow(dots[a].Y - dots[b].Y, 2))
                        .ShouldBeGreaterThan(6.99, word);
            // It fills its box one way or the other.
            var reach = dots.Aggregate(Bounds.None, (all, d) => all.With(d.X, d.Y));
            Math.Max((reach.Right - reach.Left) / 360, (reach.Bottom - reach.Top) / 510)
                .ShouldBeGreaterThan(0.85, word);
        }
    }

    [Fact]
    public void Every_letter_has_strokes_and_so_has_every_accented_one_of_the_languages_in_Latin_letters()
    {
        foreach (var letter in "abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789")
        {
            var traced = TraceAlphabet.Of(letter).ShouldNotBeNull($"{letter}");
            var b = traced.Strokes.Aggregate(Bounds.None, (all, s) => Enumerable.Range(0, s.Points.Length / 2)
                .Aggregate(all, (b, k) => b.With(s.Points[2 * k], s.Points[(2 * k) + 1])));
            b.Left.ShouldBeGreaterThanOrEqualTo(-0.5, $"{letter}");
            b.Right.ShouldBeLessThanOrEqualTo(traced.Wide + 0.5, $"{letter}");
            // Small letters stand on the base line and at the x-height or the stems’, capitals and figures at the
            // stems’.
            b.Bottom.ShouldBeInRange(char.IsLower(letter) ? 96 : 190, 203, $"{letter}");
            b.Top.ShouldBeInRange(-105, 2, $"{letter}");
        }
        // The names of the months tell what letters a language has.
        foreach (var code in CalendarNames.Codes.Except(["el", "ru", "uk", "ja", "he", "ar", "fa"]))
            foreach (var letter in string.Concat(CalendarNames.Of(code).Months.Concat(CalendarNames.Of(code).Days))
                .Where(char.IsLetter))
            {
                TraceAlphabet.Of(letter).ShouldNotBeNull($"{code} {letter}");
                TraceAlphabet.Of(char.ToUpperInvariant(letter))
                    .ShouldNotBeNull($"{code} {char.ToUpperInvariant(letter)}");
            }
    }

    [Fact]
    public void Traced_words_are_set_at_the_x_height_of_their_lines_or_named_where_they_can_t_be()
    {
        var page = new PageGrid(new(Length.FromMillimetres(210), Length.FromMillimetres(148)), Reading.LeftToRight,
            Length.FromMillimetres(10), Length.FromMillimetres(10), Length.FromMillimetres(12),
                Length.FromMillimetres(14)).Page(1);
        PageDesign of(string words) =>
            DesignShelf.Of("letters-to-trace").With("words", new(Words: words), "").With("again",
            new(Words: "no"), "");
        var shape = of("x").Draw(page).OfType<Line>().Where(l => l.Round).ToList();
        shape.Count.ShouldBe(2 * of("x").Draw(page).OfType<Line>().Count(l => l.Round) / 2);
        var b = shape[0].Shape.Bounds;
        (b.Bottom - b.Top).ShouldBe(Length.FromMillimetres(8).Points, 0.01);
        Should.Throw<Refusal>(() => of("日").Draw(page).ToList()).Message.ShouldContain("日");
        Should.Throw<Refusal>(() => of(new string('m', 60)).Draw(page).ToList()).Message.ShouldContain("mm");
    }
}
