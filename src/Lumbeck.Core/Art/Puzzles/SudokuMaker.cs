namespace Lumbeck.Core.Art.Puzzles;

/// <summary>Sudokus that are wanted: their size, how hard, how many, and the seed that they come from.</summary>
public sealed record SudokuAsk(int Size, Grade Grade, Seed Seed, int Count)
{
    /// <summary>What a made set is kept by.</summary>
    public string Key => string.Create(CultureInfo.InvariantCulture, $"sudoku-1-{Size}-{Grade}-{Seed}-{Count}");
}

/// <summary>
/// Makes sudokus: a full grid of chance, from which givens are taken in pairs that are symmetric about the middle, as long
/// as the techniques of the wanted grade still solve it. What they solve without a guess has one solution.
/// </summary>
public static class SudokuMaker
{
    /// <summary>Tries for one puzzle before a size is said to have none of this grade.</summary>
    public const int MostTries = 4000;

    /// <summary>So many different ones, in an order of chance; the same for the same seed for ever.</summary>
    /// <param name="ask">What is wanted.</param>
    /// <param name="made">Is told after each; may end the work by throwing.</param>
    /// <returns>Givens as they are written, row by row.</returns>
    /// <exception cref="Refusal">There are not so many of this size and grade.</exception>
    public static ImmutableArray<string> Make(SudokuAsk ask, Action<int>? made = null)
    {
        var shape = SudokuShape.Of(ask.Size);
        var known = new HashSet<string>();
        var all = ImmutableArray.CreateBuilder<string>();
        var tries = 0;
        for (var n = 0; all.Count < ask.Count; n++)
        {
            if (++tries > MostTries)
                throw new Refusal("grade", $"{ask.Size} × {ask.Size} has not {ask.Count} different sudokus that are " +
                    $"{SudokuLogic.Say(ask.Grade)}: {all.Count} were found; take fewer, another size or another grade");
            if (One(shape, ask.Grade, Dice.For(ask.Seed, n)) is not { } givens || !known.Add(Same(givens))) continue;
            all.Add(SudokuShape.Write(givens));
            tries = 0;
            made?.Invoke(all.Count);
        }
        return all.ToImmutable();
    }

    /// <summary>What two puzzles share that differ in the names of their digits alone.</summary>
    public static string Same(IReadOnlyList<int> givens)
    {
        var names = new int[10];
        var next = 0;
        return SudokuShape.Write(givens.Select(g => g == 0 ? 0 : names[g] > 0 ? names[g] : names[g] = ++next));
    }

    private static int[]? One(SudokuShape shape, Grade grade, Dice dice)
    {
        var most = SudokuLogic.MostOf(grade);
        var cells = Full(shape, dice);
        var last = shape.Cells - 1;
        // What lies across the middle goes with it.
        foreach (var cell in dice.Shuffled(Enumerable.Range(0, (shape.Cells + 1) / 2)))
        {
            var (a, b) = (cells[cell], cells[last - cell]);
            cells[cell] = cells[last - cell] = 0;
            if (SudokuLogic.Hardest(shape, cells, most) is null) (cells[cell], cells[last - cell]) = (a, b);
        }
        return SudokuLogic.GradeOf(SudokuLogic.Hardest(shape, cells, most)!.Value) == grade ? cells : null;
    }

    private static int[] Full(SudokuShape shape, Dice dice)
    {
        var cells = new int[shape.Cells];
        bool fill(int at)
        {
            if (at == cells.Length) return true;
            foreach (var digit in dice.Shuffled(Enumerable.Range(1, shape.Size)))
            {
                if (shape.Peers[at].Any(p => cells[p] == digit)) continue;
                cells[at] = digit;
                if (fill(at + 1)) return true;
            }
            cells[at] = 0;
            return false;
        }
        fill(0);
        return cells;
    }
}
