using System.Numerics;

namespace Lumbeck.Core.Art.Puzzles;

/// <summary>What a solver by hand knows, from the plainest on (docs/inside.md, Sudokus).</summary>
public enum Technique
{
    /// <summary>A unit has one place left for a digit.</summary>
    HiddenSingle,

    /// <summary>A cell has one digit left.</summary>
    NakedSingle,

    /// <summary>All places of a digit in a box lie in one line, or all of a line in one box: the rest of it has none.</summary>
    LockedCandidates,

    /// <summary>Two cells of a unit share two digits and no other: no other cell of it has these.</summary>
    NakedPair,

    /// <summary>Two digits of a unit have the same two places: these have no other digit.</summary>
    HiddenPair,

    /// <summary>Three cells of a unit share three digits.</summary>
    NakedTriple,

    /// <summary>Three digits of a unit have the same three places.</summary>
    HiddenTriple,

    /// <summary>A digit's places in two lines lie in the same two lines across: those have no other.</summary>
    XWing,

    /// <summary>A cell of two digits sees two others that each share one of them and have a third in common.</summary>
    XyWing,

    /// <summary>As the X-wing, with three lines.</summary>
    Swordfish,
}

/// <summary>How hard a sudoku is: by the hardest technique that it needs.</summary>
public enum Grade { Easy, Medium, Hard, VeryHard }

/// <summary>Solves a sudoku as one does by hand, and never guesses: what it needs most is its grade.</summary>
public sealed class SudokuLogic
{
    private readonly SudokuShape _shape;
    private readonly int[] _cells, _left;
    private int _empty;

    private SudokuLogic(SudokuShape shape, IReadOnlyList<int> givens)
    {
        (_shape, _cells, _left, _empty) = (shape, new int[shape.Cells], new int[shape.Cells], shape.Cells);
        Array.Fill(_left, shape.Every);
        for (var cell = 0; cell < givens.Count; cell++)
            if (givens[cell] > 0) Put(cell, givens[cell]);
    }

    /// <summary>The hardest technique that solves it; null where these do not.</summary>
    /// <param name="shape">Its size.</param>
    /// <param name="givens">Cell by cell; 0 for an empty one.</param>
    /// <param name="most">The hardest technique that may be used.</param>
    public static Technique? Hardest(SudokuShape shape, IReadOnlyList<int> givens, Technique most = Technique.Swordfish)
    {
        var logic = new SudokuLogic(shape, givens);
        var hardest = Technique.HiddenSingle;
        while (logic._empty > 0)
        {
            if (logic.Step(most) is not { } used) return null;
            if (used > hardest) hardest = used;
        }
        return hardest;
    }

    public static Grade GradeOf(Technique technique) => technique switch
    {
        Technique.HiddenSingle => Grade.Easy,
        Technique.NakedSingle or Technique.LockedCandidates => Grade.Medium,
        Technique.NakedPair or Technique.HiddenPair or Technique.NakedTriple or Technique.HiddenTriple => Grade.Hard,
        _ => Grade.VeryHard,
    };

    /// <summary>The hardest technique of a grade.</summary>
    public static Technique MostOf(Grade grade) => grade switch
    {
        Grade.Easy => Technique.HiddenSingle,
        Grade.Medium => Technique.LockedCandidates,
        Grade.Hard => Technique.HiddenTriple,
        _ => Technique.Swordfish,
    };

    public static string Say(Technique technique) => technique switch
    {
        Technique.HiddenSingle => "hidden single",
        Technique.NakedSingle => "naked single",
        Technique.LockedCandidates => "locked candidates",
        Technique.NakedPair => "naked pair",
        Technique.HiddenPair => "hidden pair",
        Technique.NakedTriple => "naked triple",
        Technique.HiddenTriple => "hidden triple",
        Technique.XWing => "X-wing",
        Technique.XyWing => "XY-wing",
        _ => "swordfish",
    };

    public static string Say(Grade grade) => grade == Grade.VeryHard ? "very hard" : grade.ToString().ToLowerInvariant();

    /// <summary>The plainest step that gets on; null where none does.</summary>
    private Technique? Step(Technique most)
    {
        for (var technique = Technique.HiddenSingle; technique <= most; technique++)
            if (technique switch
            {
                Technique.HiddenSingle => HiddenSingles(),
                Technique.NakedSingle => NakedSingles(),
                Technique.LockedCandidates => Locked(),
                Technique.NakedPair => Naked(2),
                Technique.HiddenPair => Hidden(2),
                Technique.NakedTriple => Naked(3),
                Technique.HiddenTriple => Hidden(3),
                Technique.XWing => Fish(2),
                Technique.XyWing => XyWing(),
                _ => Fish(3),
            }) return technique;
        return null;
    }

    private void Put(int cell, int digit)
    {
        if (_cells[cell] == 0) _empty--;
        _cells[cell] = digit;
        _left[cell] = 0;
        foreach (var peer in _shape.Peers[cell]) _left[peer] &= ~(1 << (digit - 1));
    }

    private bool Without(int cell, int mask)
    {
        if ((_left[cell] & mask) == 0) return false;
        _left[cell] &= ~mask;
        return true;
    }

    private bool HiddenSingles()
    {
        var found = false;
        foreach (var unit in _shape.Units)
        {
            // What occurs once: seen, and not seen again.
            var (once, twice) = (0, 0);
            foreach (var cell in unit)
            {
                twice |= once & _left[cell];
                once |= _left[cell];
            }
            for (var single = once & ~twice; single != 0; single &= single - 1)
            {
                var bit = single & -single;
                foreach (var cell in unit)
                    if ((_left[cell] & bit) != 0)
                    {
                        Put(cell, BitOperations.TrailingZeroCount(bit) + 1);
                        found = true;
                        break;
                    }
            }
        }
        return found;
    }

    private bool NakedSingles()
    {
        var found = false;
        for (var cell = 0; cell < _left.Length; cell++)
        {
            if (_left[cell] == 0 || (_left[cell] & (_left[cell] - 1)) != 0) continue;
            Put(cell, BitOperations.TrailingZeroCount(_left[cell]) + 1);
            found = true;
        }
        return found;
    }

    private bool Locked()
    {
        var (n, found) = (_shape.Size, false);
        foreach (var from in _shape.Units)
            for (var digit = 0; digit < n; digit++)
            {
                var places = from.Where(c => (_left[c] >> digit & 1) != 0).ToArray();
                if (places.Length < 2) continue;
                foreach (var unit in _shape.UnitsOf[places[0]])
                {
                    var other = _shape.Units[unit];
                    if (ReferenceEquals(other, from) || !places.All(other.Contains)) continue;
                    foreach (var cell in other)
                        if (!places.Contains(cell)) found |= Without(cell, 1 << digit);
                }
            }
        return found;
    }

    /// <summary>So many cells of a unit that have only so many digits between them.</summary>
    private bool Naked(int many)
    {
        foreach (var unit in _shape.Units)
        {
            int[] open = [.. unit.Where(c => _left[c] != 0 && BitOperations.PopCount((uint)_left[c]) <= many)];
            foreach (var group in Groups(open, many))
            {
                var mask = group.Aggregate(0, (m, c) => m | _left[c]);
                if (BitOperations.PopCount((uint)mask) != many) continue;
                var found = false;
                foreach (var cell in unit)
                    if (!group.Contains(cell)) found |= Without(cell, mask);
                if (found) return true;
            }
        }
        return false;
    }

    /// <summary>So many digits of a unit that have only so many places between them.</summary>
    private bool Hidden(int many)
    {
        foreach (var unit in _shape.Units)
        {
            int[] open = [.. Enumerable.Range(0, _shape.Size)
                .Where(d => unit.Count(c => (_left[c] >> d & 1) != 0) is > 0 and var n && n <= many)];
            foreach (var digits in Groups(open, many))
            {
                var mask = digits.Aggregate(0, (m, d) => m | (1 << d));
                int[] places = [.. unit.Where(c => (_left[c] & mask) != 0)];
                if (places.Length != many) continue;
                var found = false;
                foreach (var cell in places) found |= Without(cell, _shape.Every & ~mask);
                if (found) return true;
            }
        }
        return false;
    }

    /// <summary>A digit whose places in so many rows lie in as many columns, or the other way round.</summary>
    private bool Fish(int many)
    {
        var n = _shape.Size;
        foreach (var across in (bool[])[true, false])
            for (var digit = 0; digit < n; digit++)
            {
                int at(int line, int place) => across ? (line * n) + place : (place * n) + line;
                var masks = new int[n];
                for (var line = 0; line < n; line++)
                    for (var place = 0; place < n; place++)
                        if ((_left[at(line, place)] >> digit & 1) != 0) masks[line] |= 1 << place;
                int[] open = [.. Enumerable.Range(0, n)
                    .Where(l => BitOperations.PopCount((uint)masks[l]) is >= 2 and var c && c <= many)];
                foreach (var lines in Groups(open, many))
                {
                    var mask = lines.Aggregate(0, (m, l) => m | masks[l]);
                    if (BitOperations.PopCount((uint)mask) != many) continue;
                    var found = false;
                    for (var line = 0; line < n; line++)
                        for (var place = 0; place < n && !lines.Contains(line); place++)
                            if ((mask >> place & 1) != 0) found |= Without(at(line, place), 1 << digit);
                    if (found) return true;
                }
            }
        return false;
    }

    private bool XyWing()
    {
        bool two(int cell) => BitOperations.PopCount((uint)_left[cell]) == 2;
        for (var middle = 0; middle < _left.Length; middle++)
        {
            if (!two(middle)) continue;
            int[] wings = [.. _shape.Peers[middle].Where(p => two(p)
                && BitOperations.PopCount((uint)(_left[p] & _left[middle])) == 1)];
            foreach (var pair in Groups(wings, 2))
            {
                var (a, b) = (_left[pair[0]], _left[pair[1]]);
                var shared = a & b & ~_left[middle];
                // Each wing takes the other digit of the middle.
                if (shared == 0 || (a & b & _left[middle]) != 0) continue;
                var found = false;
                foreach (var cell in _shape.Peers[pair[0]])
                    if (cell != middle && _shape.Peers[pair[1]].Contains(cell)) found |= Without(cell, shared);
                if (found) return true;
            }
        }
        return false;
    }

    private static IEnumerable<int[]> Groups(int[] of, int many)
    {
        for (var a = 0; a < of.Length; a++)
            for (var b = a + 1; b < of.Length; b++)
                if (many == 2) yield return [of[a], of[b]];
                else
                    for (var c = b + 1; c < of.Length; c++) yield return [of[a], of[b], of[c]];
    }
}
