using System.Collections.Concurrent;

namespace Lumbeck.Desk.Assets;

/// <summary>
/// Puzzles that take time to make: made beside the page, kept by what they follow from (size, grade, seed), so that a
/// book that is opened again has the same at once. Fewer of one seed are the first of more.
/// </summary>
public sealed class PuzzleDesk : IPuzzles
{
    private readonly string _folder;
    private readonly ConcurrentDictionary<string, ImmutableArray<string>> _made = new();
    private readonly ConcurrentDictionary<string, Refusal> _refused = new();
    private readonly ConcurrentDictionary<string, (int Made, int Of)> _making = new();

    private int _finished;

    internal PuzzleDesk(string folder) => _folder = Path.Combine(folder, "puzzles");

    /// <summary>How many times puzzles were made: whoever drew pages before the last time draws them anew.</summary>
    public int Finished => Volatile.Read(ref _finished);

    /// <summary>Most puzzles of one seed.</summary>
    public const int Most = 5000;

    private static string KeyOf(SudokuAsk ask) => (ask with { Count = 0 }).Key;

    public ImmutableArray<string>? Made(SudokuAsk ask)
    {
        if (Known(ask) is { } known) return known;
        if (_refused.TryGetValue(ask.Key, out var refused)) throw new Refusal(refused.Path, refused.Message);
        // One at a time: who asks again while it is made is told to wait.
        if (_making.TryAdd(ask.Key, (0, ask.Count)))
            _ = Task.Run(() =>
            {
                try
                {
                    if (Attempt.Of(() => Make(ask)) is { } no) _refused[ask.Key] = no;
                }
                finally { _making.TryRemove(ask.Key, out _); }
            });
        return null;
    }

    /// <summary>Begins to make, beside the caller, what a plan still lacks.</summary>
    /// <exception cref="Refusal">There are not so many of a size and grade.</exception>
    public void Begin(InsidePlan plan)
    {
        foreach (var ask in plan.Asked) Made(ask);
    }

    /// <summary>How far what is being made for a plan has come; null where nothing is.</summary>
    public (int Made, int Of)? Progress(InsidePlan plan)
    {
        var open = plan.Asked.Select(a => _making.TryGetValue(a.Key, out var p) ? p : ((int Made, int Of)?)null)
            .OfType<(int Made, int Of)>()
            .ToList();
        return open.Count == 0 ? null : (open.Sum(p => p.Made), open.Sum(p => p.Of));
    }

    /// <summary>Makes what all pages of a plan need, before they are pressed or looked at.</summary>
    /// <param name="plan">The pages.</param>
    /// <param name="told">Is told before each; may end the work by throwing.</param>
    /// <exception cref="Refusal">There are not so many of a size and grade.</exception>
    public void Make(InsidePlan plan, Action? told = null)
    {
        foreach (var ask in plan.Asked)
            if (Known(ask) is null) Make(ask, told);
    }

    private ImmutableArray<string>? Known(SudokuAsk ask)
    {
        if (!_made.TryGetValue(KeyOf(ask), out var all) && Read(ask) is { } kept) all = _made[KeyOf(ask)] = kept;
        return !all.IsDefault && all.Length >= ask.Count ? all[..ask.Count] : null;
    }

    private void Make(SudokuAsk ask, Action? told = null)
    {
        if (ask.Count > Most)
            throw new Refusal("pages", $"{ask.Count} sudokus are more than are made of one seed: {Most}");
        var made = SudokuMaker.Make(ask, n =>
        {
            told?.Invoke();
            _making.AddOrUpdate(ask.Key, (n, ask.Count), (_, p) => (n, p.Of));
        });
        _making.TryRemove(ask.Key, out _);
        _made.AddOrUpdate(KeyOf(ask), made, (_, known) => known.Length > made.Length ? known : made);
        Interlocked.Increment(ref _finished);
        Directory.CreateDirectory(_folder);
        // Whole or not at all.
        var file = PathOf(ask);
        var part = $"{file}.{Guid.NewGuid():N}.part";
        File.WriteAllLines(part, made);
        File.Move(part, file, overwrite: true);
    }

    private string PathOf(SudokuAsk ask) => Path.Combine(_folder, KeyOf(ask) + ".txt");

    private ImmutableArray<string>? Read(SudokuAsk ask)
    {
        try
        {
            var cells = ask.Size * ask.Size;
            var lines = File.ReadAllLines(PathOf(ask));
            // What is not as it was written is made again.
            return lines.Length <= Most
                && lines.All(l => l.Length == cells && l.All(c => c == '.' || char.IsAsciiDigit(c)))
                ? [.. lines] : null;
        }
        catch (IOException) { return null; }
    }
}
