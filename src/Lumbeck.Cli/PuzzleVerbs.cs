using System.CommandLine;

namespace Lumbeck.Cli;

/// <summary>Puzzles without a book.</summary>
internal static class PuzzleVerbs
{
    private static readonly Argument<string> Text = new("PUZZLE")
    {
        Description = "its digits row by row, a dot for an empty cell: 16, 36 or 81 of them",
    };

    private static readonly Option<string> Kind =
        new("--kind") { Description = "sudoku", DefaultValueFactory = _ => "sudoku" };
    private static readonly Option<bool> AsJson = new("--json") { Description = "as JSON" };

    public static Command Puzzle() => new("puzzle", "Judges a puzzle of your own.") { Check() };

    private static Command Check()
    {
        var c = new Command("check", "Says how many solutions it has, which, and how hard it is.")
        {
            Text,
            Kind,
            AsJson,
        };
        c.SetAction(p =>
        {
            if (p.GetValue(Kind) is { } kind and not "sudoku")
                throw new Refusal("--kind", $"--kind: `{LengthText.Clip(kind)}` can’t be judged: take sudoku");
            var (shape, givens) = SudokuShape.Read(p.GetValue(Text)!);
            var (count, solution) = SudokuSolver.Solve(shape, givens);
            var hardest = count == 1 ? SudokuLogic.Hardest(shape, givens) : null;
            var grade = hardest is { } h ? SudokuLogic.Say(SudokuLogic.GradeOf(h)) : null;
            var given = givens.Count(d => d > 0);
            var solved = solution is null ? null : string.Concat(solution);
            if (p.GetValue(AsJson))
                Say.Json(new
                {
                    Solutions = count,
                    Solution = count == 1 ? solved : null,
                    Grade = grade,
                    Technique = hardest is { } t ? SudokuLogic.Say(t) : null,
                    Givens = given,
                });
            else
                Console.WriteLine(count switch
                {
                    0 => $"{shape.Size} × {shape.Size}, {given} givens: no solution.",
                    1 => $"{shape.Size} × {shape.Size}, {given} givens: one solution, {solved}; " + (hardest is null
                        ? "solved by trying alone: harder than every technique that is named here."
                        : $"{grade}, {SudokuLogic.Say(hardest.Value)} is the hardest that it needs."),
                    _ => $"{shape.Size} × {shape.Size}, {given} givens: two solutions or more.",
                });
            return count == 1 ? 0 : 1;
        });
        return c;
    }
}
