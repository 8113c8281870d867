namespace Lumbeck.Core.Tests;

/// <summary>Sudokus are judged by a solver that knows nothing of how they were made.</summary>
public sealed class SudokuTests
{
    private static bool Fits(SudokuShape shape, IReadOnlyList<int> full) => shape.Units.All(u =>
        u.Select(c => full[c]).Order().SequenceEqual(Enumerable.Range(1, shape.Size)));

    [Theory]
    [InlineData(4, Grade.Easy, 30)]
    [InlineData(6, Grade.Easy, 20)]
    [InlineData(6, Grade.Medium, 20)]
    [InlineData(9, Grade.Easy, 12)]
    [InlineData(9, Grade.Medium, 12)]
    [InlineData(9, Grade.Hard, 8)]
    [InlineData(9, Grade.VeryHard, 4)]
    public void Made_ones_have_one_solution_symmetric_givens_their_grade_and_none_comes_twice(int size, Grade grade, int count)
    {
        var shape = SudokuShape.Of(size);
        var made = SudokuMaker.Make(new(size, grade, 41, count));
        made.Length.ShouldBe(count);
        SudokuMaker.Make(new(size, grade, 41, 3)).ShouldBe(made.Take(3), "a seed makes the same for ever");
        SudokuMaker.Make(new(size, grade, 42, 3)).ShouldNotBe(made.Take(3));
        foreach (var one in made)
        {
            var (read, givens) = SudokuShape.Read(one);
            read.Size.ShouldBe(size);
            var (solutions, solution) = SudokuSolver.Solve(shape, givens);
            solutions.ShouldBe(1, one);
            Fits(shape, solution!).ShouldBeTrue(one);
            givens.Index().ShouldAllBe(g => g.Item == 0 || g.Item == solution![g.Index]);
            givens.Select(g => g > 0).ShouldBe(givens.Reverse().Select(g => g > 0), one);
            SudokuLogic.GradeOf(SudokuLogic.Hardest(shape, givens)!.Value).ShouldBe(grade, one);
        }
        made.Select(m => SudokuMaker.Same(SudokuShape.Read(m).Cells)).Distinct().Count().ShouldBe(count);
    }

    [Fact]
    public void Another_s_are_judged_none_one_or_several_solutions()
    {
        const string known = "53..7....6..195....98....6.8...6...34..8.3..17...2...6.6....28....419..5....8..79";
        var (shape, cells) = SudokuShape.Read(known);
        var (count, solution) = SudokuSolver.Solve(shape, cells);
        count.ShouldBe(1);
        SudokuShape.Write(solution!).ShouldBe(
            "534678912672195348198342567859761423426853791713924856961537284287419635345286179");
        SudokuSolver.Solve(shape, SudokuShape.Read("55" + known[2..]).Cells).Count.ShouldBe(0);
        SudokuSolver.Solve(shape, SudokuShape.Read("." + known[1..3] + "." + new string('.', 77)).Cells).Count.ShouldBe(2);
        // Digits renamed are the same puzzle.
        var renamed = string.Concat(known.Select(c => c is '.' ? '.' : (char)('1' + ((c - '0') % 9))));
        SudokuMaker.Same(SudokuShape.Read(renamed).Cells).ShouldBe(SudokuMaker.Same(cells));
        // One that these techniques do not solve has no grade.
        SudokuLogic.Hardest(shape, SudokuShape.Read(
            "8..........36......7..9.2...5...7.......457.....1...3...1....68..85...1..9....4..").Cells).ShouldBeNull();
    }

    [Theory]
    [InlineData("12", "2 cells")]
    [InlineData("1234567812345678", "`5`")]
    [InlineData("12x4............", "`x`")]
    public void What_is_no_sudoku_is_refused_by_name(string text, string says) =>
        Should.Throw<Refusal>(() => SudokuShape.Read(text)).Message.ShouldContain(says);

    [Fact]
    public void A_size_without_puzzles_of_a_grade_says_so() =>
        Should.Throw<Refusal>(() => SudokuMaker.Make(new(4, Grade.VeryHard, 1, 2))).Message.ShouldContain("4 × 4");
}
