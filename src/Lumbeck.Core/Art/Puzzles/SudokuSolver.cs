using System.Numerics;

namespace Lumbeck.Core.Art.Puzzles;

/// <summary>
/// Finds how many ways a sudoku can be filled, as far as two: by trying, so that it is the judge of all else.
/// </summary>
public static class SudokuSolver
{
    /// <param name="shape">Its size.</param>
    /// <param name="givens">Cell by cell; 0 for an empty one.</param>
    /// <returns>0, 1, or 2 for two or more; and the first found.</returns>
    public static (int Count, int[]? Solution) Solve(SudokuShape shape, IReadOnlyList<int> givens)
    {
        var left = new int[shape.Units.Length];
        Array.Fill(left, shape.Every);
        var cells = new int[shape.Cells];
        foreach (var (cell, digit) in givens.Index())
        {
            if (digit == 0) continue;
            var bit = 1 << (digit - 1);
            foreach (var unit in shape.UnitsOf[cell])
            {
                if ((left[unit] & bit) == 0) return (0, null);
                left[unit] &= ~bit;
            }
            cells[cell] = digit;
        }
        var (count, first) = (0, (int[]?)null);
        void fill()
        {
            // The empty cell that has the fewest digits left.
            var (at, fewest, free) = (-1, 99, 0);
            for (var cell = 0; cell < cells.Length && fewest > 1; cell++)
            {
                if (cells[cell] != 0) continue;
                var mask = Free(shape, left, cell);
                var n = BitOperations.PopCount((uint)mask);
                if (n < fewest) (at, fewest, free) = (cell, n, mask);
            }
            if (at < 0)
            {
                count++;
                first ??= (int[])cells.Clone();
                return;
            }
            for (; free != 0 && count < 2; free &= free - 1)
            {
                var bit = free & -free;
                foreach (var unit in shape.UnitsOf[at]) left[unit] &= ~bit;
                cells[at] = BitOperations.TrailingZeroCount(bit) + 1;
                fill();
                foreach (var unit in shape.UnitsOf[at]) left[unit] |= bit;
                cells[at] = 0;
            }
        }
        fill();
        return (count, first);
    }

    private static int Free(SudokuShape shape, int[] left, int cell)
    {
        var units = shape.UnitsOf[cell];
        return left[units[0]] & left[units[1]] & left[units[2]];
    }
}
