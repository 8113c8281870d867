using System.Text.Json;
using Lumbeck.Core.Art.Puzzles;

namespace Lumbeck.Desk.Tests;

/// <summary>A puzzle judged on the command line, as a person runs it.</summary>
public sealed class PuzzleVerbTests
{
    private static (int Exit, string Out, string Error) Run(params string[] arguments) =>
        CommandLine.Run(Path.GetTempPath(), arguments);

    private const string Eighty = "53..7....6..195....98....6.8...6...34..8.3..17...2...6.6....28....419..5....8..79";

    [Fact]
    public void A_sudoku_is_judged_by_its_solutions_and_its_grade()
    {
        var (exit, output, _) = Run("puzzle", "check", "--kind", "sudoku", Eighty, "--json");
        exit.ShouldBe(0);
        using var told = JsonDocument.Parse(output);
        var said = told.RootElement;
        said.GetProperty("solutions").GetInt32().ShouldBe(1);
        said.GetProperty("givens").GetInt32().ShouldBe(Eighty.Count(char.IsAsciiDigit));
        said.GetProperty("grade").GetString().ShouldBe("easy");
        var solution = said.GetProperty("solution").GetString()!;
        for (var n = 0; n < 81; n++) if (Eighty[n] != '.') solution[n].ShouldBe(Eighty[n]);
        foreach (var unit in SudokuShape.Of(9).Units)
            string.Concat(unit.Select(c => solution[c]).Order()).ShouldBe("123456789");
        Run("puzzle", "check", Eighty).Out.ShouldContain("9 × 9, 30 givens: one solution");
    }

    [Fact]
    public void None_or_several_solutions_are_told_and_what_is_no_sudoku_is_refused()
    {
        Run("puzzle", "check", new string('.', 36), "--json")
            .ShouldSatisfyAllConditions(r => r.Exit.ShouldBe(1), r => r.Out.ShouldContain("\"solutions\": 2"),
                r => r.Out.ShouldContain("\"solution\": null"));
        Run("puzzle", "check", "11..............")
            .ShouldSatisfyAllConditions(r => r.Exit.ShouldBe(1), r => r.Out.ShouldContain("no solution"));
        Run("puzzle", "check", "123")
            .ShouldSatisfyAllConditions(r => r.Exit.ShouldBe(2), r => r.Error.ShouldContain("3 cells are no sudoku"));
        Run("puzzle", "check", "1234567891234567")
            .ShouldSatisfyAllConditions(r => r.Exit.ShouldBe(2), r => r.Error.ShouldContain("row 2, column 1"));
        Run("puzzle", "check", "....", "--kind", "maze").Error.ShouldContain("`maze` can’t be judged: take sudoku");
    }
}
