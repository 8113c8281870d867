namespace Lumbeck.Core.Art.Puzzles;

/// <summary>What a maze is cut of.</summary>
public enum MazeShape { Square, Round, Hexagonal }

/// <summary>
/// A maze with one way between any two of its cells: a tree drawn by chance through all of them. In points.
/// </summary>
public sealed class Maze
{
    private readonly List<(double X, double Y)> _centres = [];
    private readonly List<(int A, int B, Outline Wall)> _edges = [];
    private readonly HashSet<int> _open = [];
    private readonly List<int>[] _ways;

    private Maze(MazeShape shape, Bounds box, double pitch, Dice dice)
    {
        (Start, End) = shape switch
        {
            MazeShape.Square => Squares(box, pitch),
            MazeShape.Round => Rings(box, pitch),
            _ => Hexagons(box, pitch),
        };
        _ways = Cells < Fewest ? [] : Grown(dice);
        if (Cells < Fewest) return;
        Open(Start);
        if (shape != MazeShape.Round) Open(End);
    }

    /// <summary>The fewest cells of one: fewer have no choice of ways.</summary>
    public const int Fewest = 12;

    /// <exception cref="Refusal">The box holds too few cells.</exception>
    public static Maze Of(MazeShape shape, Bounds box, Length pitch, Seed seed, int n)
    {
        var maze = new Maze(shape, box, pitch.Points, Dice.For(seed, n));
        return maze.Cells >= Fewest ? maze
            : throw new Refusal("pitch", $"ways of {pitch.Show(Unit.Millimetre)} leave a maze of {maze.Cells} cells: " +
                $"take them narrower, so that there are {Fewest} or more");
    }

    public int Cells => _centres.Count;

    /// <summary>The cell one comes in by, and the one to be found.</summary>
    public int Start { get; }
    public int End { get; }

    /// <summary>Where a cell is.</summary>
    public (double X, double Y) At(int cell) => _centres[cell];

    /// <summary>The walls that stand, as one line.</summary>
    public Outline Walls()
    {
        var pen = new Pen();
        foreach (var (n, edge) in _edges.Index())
            if (!_open.Contains(n)) pen.Add(edge.Wall);
        return pen.Done();
    }

    /// <summary>The cells that a cell opens to.</summary>
    public IReadOnlyList<int> From(int cell) => _ways[cell];

    /// <summary>The one way through, cell by cell.</summary>
    public IReadOnlyList<int> Way()
    {
        var from = new int[Cells];
        Array.Fill(from, -1);
        from[Start] = Start;
        var next = new Queue<int>([Start]);
        while (next.TryDequeue(out var cell) && cell != End)
            foreach (var other in _ways[cell])
                if (from[other] < 0)
                {
                    from[other] = cell;
                    next.Enqueue(other);
                }
        var way = new List<int> { End };
        while (way[^1] != Start) way.Add(from[way[^1]]);
        way.Reverse();
        return way;
    }

    /// <summary>What tells it from another of its size: the walls that are open.</summary>
    public string Identity => string.Join(' ', _open.Order());

    private List<int>[] Grown(Dice dice)
    {
        var (ways, beside) = (new List<int>[Cells], new List<(int Edge, int Cell)>[Cells]);
        for (var n = 0; n < Cells; n++) (ways[n], beside[n]) = ([], []);
        foreach (var (n, (a, b, _)) in _edges.Index())
            if (b >= 0)
            {
                beside[a].Add((n, b));
                beside[b].Add((n, a));
            }
        var seen = new bool[Cells];
        var path = new Stack<int>([Start]);
        seen[Start] = true;
        while (path.TryPeek(out var cell))
        {
            var free = beside[cell].Where(b => !seen[b.Cell]).ToList();
            if (free.Count == 0) { path.Pop(); continue; }
            var (edge, next) = free[dice.Of(free.Count)];
            _open.Add(edge);
            ways[cell].Add(next);
            ways[next].Add(cell);
            seen[next] = true;
            path.Push(next);
        }
        return ways;
    }

    /// <summary>Opens a cell's way out: its first wall at the edge.</summary>
    private void Open(int cell) => _open.Add(_edges.FindIndex(e => e.A == cell && e.B < 0));

    private static Outline Wall(double x1, double y1, double x2, double y2) => Shapes.Of(pen =>
    {
        pen.Move(x1, y1);
        pen.Line(x2, y2);
    });

    private (int, int) Squares(Bounds box, double pitch)
    {
        var (columns, rows) = ((int)((box.Right - box.Left) / pitch), (int)((box.Bottom - box.Top) / pitch));
        var left = box.Left + ((box.Right - box.Left - (columns * pitch)) / 2);
        var top = box.Top + ((box.Bottom - box.Top - (rows * pitch)) / 2);
        for (var row = 0; row < rows; row++)
            for (var column = 0; column < columns; column++)
            {
                var (cell, x, y) = (_centres.Count, left + (column * pitch), top + (row * pitch));
                _centres.Add((x + (pitch / 2), y + (pitch / 2)));
                // The way in is at the head, the way out at the foot: their walls come first.
                if (row == 0) _edges.Add((cell, -1, Wall(x, y, x + pitch, y)));
                _edges.Add((cell, row + 1 < rows ? cell + columns : -1, Wall(x, y + pitch, x + pitch, y + pitch)));
                if (column == 0) _edges.Add((cell, -1, Wall(x, y, x, y + pitch)));
                _edges.Add((cell, column + 1 < columns ? cell + 1 : -1, Wall(x + pitch, y, x + pitch, y + pitch)));
            }
        return (0, _centres.Count - 1);
    }

    private (int, int) Rings(Bounds box, double pitch)
    {
        var (x, y) = ((box.Left + box.Right) / 2, (box.Top + box.Bottom) / 2);
        var rings = (int)(Math.Min(box.Right - box.Left, box.Bottom - box.Top) / 2 / pitch);
        _centres.Add((x, y));
        var (first, count) = (0, 1);
        for (var ring = 1; ring < rings; ring++)
        {
            // A ring has twice the cells of the one within where they would be wider than one and a half ways.
            var wide = Math.PI * 2 * (ring + 0.5) / count;
            var many = ring == 1 ? 6 : wide > 1.9 ? count * 2 : count;
            var begins = _centres.Count;
            for (var n = 0; n < many; n++)
            {
                var (cell, from, to) = (_centres.Count, (double)n / many, (n + 1.0) / many);
                _centres.Add(Seeded.From(x, y, (ring + 0.5) * pitch, (from + to) / 2));
                _edges.Add((cell, ring == 1 ? 0 : first + (n * count / many), Arc(x, y, ring * pitch, from, to)));
                var (a, b) = (Seeded.From(x, y, ring * pitch, to), Seeded.From(x, y, (ring + 1) * pitch, to));
                _edges.Add((cell, begins + ((n + 1) % many), Wall(a.X, a.Y, b.X, b.Y)));
                if (ring == rings - 1) _edges.Add((cell, -1, Arc(x, y, (ring + 1) * pitch, from, to)));
            }
            (first, count) = (begins, many);
        }
        // In from the rim, at the head.
        return (first + (3 * count / 4), 0);
    }

    private static Outline Arc(double x, double y, double r, double from, double to) => Shapes.Of(pen =>
    {
        var parts = Math.Max(1, (int)Math.Ceiling((to - from) * 8));
        var start = Seeded.From(x, y, r, from);
        pen.Move(start.X, start.Y);
        for (var n = 0; n < parts; n++)
        {
            var (a, b) = (from + ((to - from) * n / parts), from + ((to - from) * (n + 1) / parts));
            // Of an arc of this angle, how far its handles reach: four thirds of the tangent of its quarter.
            var quarter = (b - a) / 4;
            var reach = 4.0 / 3 * Seeded.Sine(quarter) / Seeded.Cosine(quarter) * r;
            var (p, q) = (Seeded.From(x, y, r, a), Seeded.From(x, y, r, b));
            pen.Cubic(p.X - (reach * Seeded.Sine(a)), p.Y + (reach * Seeded.Cosine(a)),
                q.X + (reach * Seeded.Sine(b)), q.Y - (reach * Seeded.Cosine(b)), q.X, q.Y);
        }
    });

    private (int, int) Hexagons(Bounds box, double pitch)
    {
        // A cell is as wide as a way; rows of them lie three quarters of their height apart.
        var side = pitch / Math.Sqrt(3);
        var columns = (int)((box.Right - box.Left - (pitch / 2)) / pitch);
        var rows = (int)(((box.Bottom - box.Top) - (side / 2)) / (1.5 * side));
        if (columns < 1 || rows < 1) return (0, 0);
        var left = box.Left + ((box.Right - box.Left - ((columns + 0.5) * pitch)) / 2) + (pitch / 2);
        var top = box.Top + ((box.Bottom - box.Top - ((1.5 * rows * side) + (side / 2))) / 2) + side;
        int at(int column, int row) => column < 0 || row < 0 || column >= columns || row >= rows
            ? -1 : (row * columns) + column;
        for (var row = 0; row < rows; row++)
            for (var column = 0; column < columns; column++)
            {
                var (cell, odd) = (_centres.Count, row % 2);
                var (x, y) = (left + (column * pitch) + (odd * pitch / 2), top + (row * 1.5 * side));
                _centres.Add((x, y));
                // Corners clockwise from the upper one; sides lie between them.
                (double X, double Y)[] corner = [(x, y - side), (x + (pitch / 2), y - (side / 2)),
                    (x + (pitch / 2), y + (side / 2)), (x, y + side), (x - (pitch / 2), y + (side / 2)),
                    (x - (pitch / 2), y - (side / 2))];
                int[] beside = [at(column + odd, row - 1), at(column + 1, row), at(column + odd, row + 1),
                    at(column + odd - 1, row + 1), at(column - 1, row), at(column + odd - 1, row - 1)];
                for (var n = 0; n < 6; n++)
                {
                    // Each wall between two is told by the first of them.
                    if (beside[n] >= 0 && beside[n] < cell) continue;
                    var (p, q) = (corner[n], corner[(n + 1) % 6]);
                    _edges.Add((cell, beside[n], Wall(p.X, p.Y, q.X, q.Y)));
                }
            }
        return (0, _centres.Count - 1);
    }
}
