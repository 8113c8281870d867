namespace Lumbeck.Core.Art.Puzzles;

/// <summary>The port through which puzzles come that take time to make.</summary>
public interface IPuzzles
{
    /// <summary>A set as it is written; null while it is being made.</summary>
    /// <exception cref="Refusal">There are not so many of this size and grade.</exception>
    ImmutableArray<string>? Made(SudokuAsk ask);
}

/// <summary>Makes puzzles where they are asked for, however long that takes.</summary>
public sealed class PuzzlesAtOnce : IPuzzles
{
    private readonly Dictionary<string, ImmutableArray<string>> _made = [];

    public ImmutableArray<string>? Made(SudokuAsk ask)
    {
        lock (_made)
            return _made.TryGetValue(ask.Key, out var known) ? known : _made[ask.Key] = SudokuMaker.Make(ask);
    }
}
