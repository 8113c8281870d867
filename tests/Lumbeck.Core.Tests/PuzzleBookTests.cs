namespace Lumbeck.Core.Tests;

/// <summary>Books of puzzles: what solves what, what is made, and runs that go on as long as they need.</summary>
public sealed class PuzzleBookTests
{
    private static PageRun Run(string id, string design, int count = 1, RunKind goes = RunKind.Pages,
        params (string Field, string Value)[] fields) => new()
        {
            Id = id,
            Count = count,
            Goes = goes,
            Designs = [fields.Aggregate(DesignShelf.Of(design), (d, f) => d.With(f.Field,
                d.Fields.First(x => x.Key == f.Field).Read(f.Value, new(Unit.Millimetre, [], [])), ""))],
        };

    private static Job Book(params PageRun[] runs)
    {
        return new PutInsideBy(false).Apply(new Job(new()
        {
            House = HouseFile.Shipped["plover"],
            Title = "Puzzles",
            Trim = Size.FromMillimetres(148, 210),
            Paper = new("Wove", Caliper.FromMillimetres(0.1m)),
        }, [], [Wrap.First(Job.Cover, new Fill(new InkPaint(Ink.White)))])
        { Inside = new() { Runs = [.. runs] } });
    }

    private static ImmutableArray<Finding> Found(Job job, ITables? tables = null, IPuzzles? puzzles = null) =>
        PageChecks.Of(new(job, tables, puzzles ?? new PuzzlesAtOnce()), new PageArt([], new PlainType()));

    [Fact]
    public void Solutions_come_in_order_so_many_to_a_page_and_each_puzzle_says_where()
    {
        var job = EditPipeline.Settle(Book(Run("a", "sudoku", 5,
            fields: [("size", "6"), ("grade", "easy")]), Run("b", "maze", 4),
            Run("c", "word-search", 2), Run("d", "solutions", goes: RunKind.Needed)), new PlainType());
        job.Inside!.Runs[3].Count.ShouldBe(2, "eleven puzzles, six to a page");
        job.Ticket.Pages.ShouldBe(13);
        var plan = new InsidePlan(job, null, new PuzzlesAtOnce());
        for (var page = 1; page <= 11; page++)
            plan.Page(page).Facts.Fields["solution"].ShouldBe(page <= 6 ? "12" : "13");
        var first = plan.Page(12);
        first.Facts.ToSolve.Length.ShouldBe(11);
        // Each solved grid is the one that its page has.
        var asked = plan.Page(1);
        var givens = SudokuShape.Read(asked.Facts.Made[0]);
        var solved = SudokuSolver.Solve(givens.Shape, givens.Cells).Solution!;
        var digits = first.Design!.Draw(first.Surface, first.Facts).OfType<Written>().Where(w => w.Words.Length == 1)
            .Take(36)
            .Select(w => int.Parse(w.Words, CultureInfo.InvariantCulture));
        digits.ShouldBe(solved);
        Found(job).ShouldBeEmpty();
    }

    private sealed class Rows(params string[] rows) : ITables
    {
        ImmutableArray<ImmutableArray<string>>? ITables.Rows(string hash) => [.. rows.Select(r =>
            ImmutableArray.Create(r))];
    }

    [Fact]
    public void A_maker_s_own_come_by_table_and_are_judged_as_those_made_here()
    {
        const string good = "53..7....6..195....98....6.8...6...34..8.3..17...2...6.6....28....419..5....8..79";
        var several = "." + good[1..2] + new string('.', 79);
        var table = new TableRef(new string('a', 64), "own.csv", 4, ["puzzle"]);
        var job = Book(Run("a", "sudoku", fields: ("givens", "{puzzle}")) with { Goes = RunKind.Rows, Table = table });
        string[] told(params string[] rows) =>
            [.. Found(job, new Rows(rows)).Where(f => f.Id == "page.puzzle").Select(f => f.Measured)];
        told(good, several, "55" + good[2..], good)[0].ShouldContain("two solutions");
        told(good, good.Replace('5', 'x'), several, several).Length.ShouldBe(1);
        Found(Book(Run("a", "sudoku", fields: ("givens", good))), null).ShouldNotContain(f => f.Id == "page.puzzle");
        // The same twice, with its digits renamed.
        var renamed = string.Concat(good.Select(c => c == '.' ? '.' : (char)('1' + ((c - '0') % 9))));
        told(good, renamed, several, several).ShouldNotBeEmpty();
        var pair = Found(Book(Run("a", "sudoku", fields: ("givens", good)),
            Run("b", "sudoku", fields: ("givens", renamed))));
        pair.ShouldContain(f => f.Id == "page.puzzle" && f.Measured.Contains("again", StringComparison.Ordinal));
    }

    [Fact]
    public void What_is_not_made_yet_is_a_stop_and_two_runs_of_one_seed_are_the_same_puzzles()
    {
        var job = Book(Run("a", "sudoku", 3, fields: [("size", "4"), ("grade", "easy")]));
        PageChecks.Of(new(job), new PageArt([], new PlainType()))
            .ShouldContain(f => f.Id == "page.puzzle" && f.Measured.Contains("not made", StringComparison.Ordinal));
        Found(job).ShouldBeEmpty();
        Found(Book(Run("a", "maze", 2), Run("b", "maze", 2))).ShouldContain(f => f.Id == "page.puzzle");
        Found(Book(Run("a", "maze", 2), Run("b", "maze", 2, fields: ("seed", "other")))).ShouldBeEmpty();
    }

    [Fact]
    public void Text_flows_over_as_many_pages_as_it_needs_and_no_line_stands_alone()
    {
        var chance = new Random(3);
        for (var round = 0; round < 40; round++)
        {
            var text = string.Join("\n\n", Enumerable.Range(0, chance.Next(5, 60)).Select(n => chance.Next(6) switch
            {
                0 => $"# Heading {n}",
                1 => $"- entry {n} " + Words(chance, chance.Next(3, 30)),
                2 => $"## Lesser {n}\n\n" + Words(chance, 20),
                _ => Words(chance, chance.Next(4, 160)),
            }));
            var run = Run("t", "text", goes: RunKind.Needed) with
            {
                Designs = [(TextPages)DesignShelf.Of("text") with { Text = text }],
            };
            var job = EditPipeline.Settle(Book(run, Run("r", "ruled", chance.Next(1, 400))), new PlainType());
            EditPipeline.Settle(job, new PlainType()).ShouldBe(job, "what is settled stays");
            var plan = new InsidePlan(job);
            var flow = plan.Flow(plan.Page(1), new PlainType());
            job.Inside!.Runs[0].Count.ShouldBe(flow.Length);
            plan.Gutter.Wide.ShouldBe(plan.Rules.GutterOf(job.Ticket.Binding, plan.Counted.Printed).Wide);
            var safe = plan.Page(1).Surface.Safe;
            // All the words, in their order, each once.
            string.Concat(flow.SelectMany(p => p).Select(l => l.Line.Text.Trim())).Count(char.IsLetter)
                .ShouldBe(((TextPages)run.Designs[0]).Blocks(PageFacts.None).Sum(b => b.Words.Count(char.IsLetter)));
            foreach (var (n, page) in flow.Index())
            {
                page.ShouldAllBe(l => l.Y <= safe.Height.Points + 0.5 && l.Y > 0);
                if (n + 1 == flow.Length || page.Length == 0) continue;
                var next = flow[n + 1];
                var (last, first) = (page[^1], next[0]);
                // A paragraph that goes on has two lines at least on either side.
                if (first.Line.From == 0) continue;
                next.Length.ShouldBeGreaterThan(1);
                next[1].Line.From.ShouldBeGreaterThan(0);
                (page.Length > 1 && last.Line.From > 0).ShouldBeTrue();
            }
        }
    }

    private static string Words(Random chance, int many) =>
        string.Join(' ',
            Enumerable.Range(0, many).Select(_ => new string((char)('a' + chance.Next(26)), chance.Next(2, 9))));

    [Fact]
    public void Too_few_pages_for_a_text_are_told_and_blocks_are_read_as_they_are_written()
    {
        var text = (TextPages)DesignShelf.Of("text") with
        {
            Text = string.Join("\n\n", Enumerable.Repeat(Words(new(1), 90), 20)),
        };
        Found(Book(new PageRun { Id = "t", Designs = [text], Count = 1 })).ShouldContain(f => f.Id == "page.words");
        var blocks = (text with { Text = "# One\nfirst *line*\nsecond\n\n- a\n- b\n1. c\n2. d\n---\n2 * 3" })
            .Blocks(PageFacts.None).ToList();
        blocks.Select(b => b.Kind).ShouldBe([BlockKind.Heading, BlockKind.Paragraph, BlockKind.Listed, BlockKind.Listed,
            BlockKind.Numbered, BlockKind.Numbered, BlockKind.Break, BlockKind.Paragraph]);
        blocks[1].Words.ShouldBe("first line second");
        blocks[1].Italics.ShouldBe([(6, 10)]);
        blocks[5].Number.ShouldBe(2);
        blocks[7].Words.ShouldBe("2 * 3");
    }
}
