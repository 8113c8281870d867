using Lumbeck.Press.Plates;
using Lumbeck.Tests.ByChance;

namespace Lumbeck.Press.Tests;

/// <summary>Papers: endless, the same for ever, small in the file, and drawn the same on the plates.</summary>
public sealed class PaperTests(Pressed pressed) : IClassFixture<Pressed>
{
    /// <summary>A maker's own motif draws what it is given, and is tried where one is.</summary>
    public static TheoryData<string> Words() => [.. PatternShelf.All.Where(p => p.First is not OwnMotif).Select(p => p.Word)];

    private static Pattern Of(string word) => PatternShelf.All.First(p => p.Word == word).First;

    /// <summary>Random settings within their ranges.</summary>
    private static Pattern Random(Pattern kind, Chance r)
    {
        kind = kind with { Seed = r.From(0, 9999), Scale = r.From(60, 250), Turn = r.Of(0, 0, 17, 90, -45) };
        foreach (var field in kind.Fields.Where(f => f.Key is not ("seed" or "scale" or "turn" or "moved-right" or "moved-down")
            && !f.TakesPaint))
        {
            // A figure between its present one and its half as much again, where its range allows it.
            var terms = new FieldTerms(Unit.Millimetre, [], []);
            if (field.Read(field.Show(kind, terms), terms).Number is not { } now) continue;
            var then = Math.Round(now * r.From(70, 150) / 100, 1);
            try { kind = (Pattern)kind.With(field.Key, new(Number: then), ""); }
            catch (Refusal) { continue; }
        }
        kind.IsSound.ShouldBeTrue();
        return kind;
    }

    [Theory]
    [MemberData(nameof(Words))]
    public void What_is_drawn_in_a_window_does_not_depend_on_how_much_more_is_asked_for(string word)
    {
        var inked = 0;
        for (var seed = 1; seed <= 4; seed++)
        {
            var r = new Chance(seed + (word.Length * 31));
            var paper = Random(Of(word), r);
            // The same hundred points square, once by itself and once in the midst of more.
            var (x, y) = (r.From(-300, 300), r.From(-300, 300));
            var own = Painted(paper, new(x, y, x + 100, y + 100), x, y);
            var more = Painted(paper,
                new(x - r.From(5, 400), y - r.From(5, 400), x + 100 + r.From(5, 400), y + 100 + r.From(5, 400)), x, y);
            var differ = own.Zip(more).Count(p => Math.Abs(p.First - p.Second) > 2);
            differ.ShouldBeLessThan(own.Length / 150,
                $"{word}, seed {seed}: {paper.Kind} {paper.Seed} {paper.Scale} {paper.Turn}");
            inked += own.Count(v => v > 0);
            // Determined: the very same marks a second time.
            Said(paper, new(x, y, x + 100, y + 100)).ShouldBe(Said(paper with { }, new(x, y, x + 100, y + 100)));
        }
        inked.ShouldBeGreaterThan(200, $"{word} draws nothing");
    }

    private static string Said(Pattern paper, Bounds window) =>
        string.Join('\n',
            paper.Over(new(window.Left / 2.8, window.Top / 2.8, window.Right / 2.8, window.Bottom / 2.8)).Select(Said));

    private static string Said(Core.Art.Sketches.Drawn drawn) => drawn switch
    {
        Area a => $"a{a.Slot} {string.Join(' ', a.Shape.Points)}",
        Core.Art.Sketches.Line l => $"l{l.Slot} {l.Width} {string.Join(' ', l.Shape.Points)}",
        Repeated r => $"r {string.Join(' ', r.Symbol.Select(Said))} {string.Join(' ', r.Places)}",
        _ => "",
    };

    /// <summary>
    /// The black plate of a hundred points square, with a paper drawn over a window of which it is a part.
    /// </summary>
    private byte[] Painted(Pattern paper, Bounds window, double x, double y)
    {
        paper = paper with
        {
            Paints = [.. paper.Slots.Select((_, n) => (Paint)new InkPaint(Ink.Percent(0, 0, 0, 40 + (20 * n))))],
        };
        var marks = PatternDrawing.Draw(paper, [], 0, 0, window).ToImmutableArray();
        var whole = new Bounds(0, 0, 100, 100);
        var drawnItem = new DrawnItem("paper", Part.Sheet, Affine.Move(-x, -y), marks, whole, whole, Clipped: true);
        var sheet = pressed.Desk.Jobs.Job("tidewatcher").Composed.Sheets[0].Sheet;
        return pressed.Desk.Drawer.PlatesOf(HouseFile.Shipped["tern"]).Paint(new Scene(sheet, [drawnItem]), whole, 100)
            .Inks.Where((_, i) => i % 4 == 3).ToArray();
    }

    [Theory]
    [MemberData(nameof(Words))]
    public void Over_a_whole_case_it_has_few_points_and_a_small_file_and_reception_accepts_it(string word)
    {
        var on = pressed.Desk.Jobs.Job("orrin");
        var paper = Of(word).In(on.Job.Swatches);
        var job = new LayPattern(paper)
            .Apply(on.Job with { Wraps = [.. on.Job.Wraps.Select(w => w.With(w.Take with { Items = [] }))] });
        var composed = pressed.Desk.Jobs.Worked(on.Revision, job);
        var points = composed.Sheets[0].Scene.Items[0].Marks.Sum(Points);
        points.ShouldBeLessThan(60_000, "points of paths on a sheet");
        var file = pressed.Folder[$"paper-{word}.pdf"];
        using (var s = File.Create(file))
            pressed.Desk.Pressing.WritePress(on with { Composed = composed }, new(PressKind.X4), s);
        new FileInfo(file).Length.ShouldBeLessThan(1_500_000);
        var verdict = Intake.IntakeDesk.Judge(file, pressed.Desk.Pressing.Expects(on with { Composed = composed }));
        verdict.Accepted.ShouldBeTrue(verdict.Say());
        // Nothing of the paper itself is wrong; a cover without words is.
        composed.Findings.ShouldAllBe(f =>
            f.Severity != Severity.Stop || f.Id.StartsWith("text.") || f.Id.StartsWith("barcode."));
    }

    private static int Points(Mark mark) => mark switch
    {
        FillMark f => f.Shape.Points.Length / 2,
        LineMark l => l.Shape.Points.Length / 2,
        RepeatedMark r => r.Symbol.Sum(Points) + r.Places.Length,
        _ => 1,
    };
}
