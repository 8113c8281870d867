using Lumbeck.Tests.ByChance;

namespace Lumbeck.Core.Tests;

/// <summary>
/// Designs of pages: each fills the room within the margins exactly, says its sum, and lines up across a fold.
/// </summary>
public sealed class PageDesignTests
{
    public static TheoryData<string> Words() => [.. DesignShelf.All.Select(d => d.Word)];

    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);

    private static readonly PageGrid[] Grids =
    [
        new(Size.FromMillimetres(148, 210), Reading.LeftToRight, Mm(12), Mm(10), Mm(14), Mm(16)),
        new(Size.FromInches(6, 9), Reading.RightToLeft, Mm(12.7m), Mm(9.5m), Mm(12.7m), Mm(19))
        {
            Bleed = PageBleed.Three,
            BleedWidth = Mm(3.175m),
        },
        new(Size.FromMillimetres(210, 297), Reading.LeftToRight, Mm(15), Mm(15), Mm(15), Mm(22)),
        new(Size.FromMillimetres(210, 148), Reading.LeftToRight, Mm(9), Mm(9), Mm(11), Mm(15)),
    ];

    private static readonly PageFacts Told = PageFacts.None with
    {
        Fields = PageFacts.None.Fields.Add("title", "The Long Way Round").Add("author", "Ann Fell")
            .Add("imprint", "Skerry & Vane"),
        Index = [.. Enumerable.Range(1, 40).Select(n => new PageEntry($"Entry {n}", $"{n}"))],
    };

    private static readonly FieldTerms Terms = new(Unit.Millimetre, [], []);

    /// <summary>Every figure anywhere within its range, where it still fits.</summary>
    private static PageDesign Varied(PageDesign design, Chance r)
    {
        foreach (var field in design.Fields.Where(f => !f.TakesPaint))
        {
            if (field.Read(field.Show(design, Terms), Terms) is not { Words: null, Paint: null } now) continue;
            var by = r.From(60, 170) / 100m;
            var value = now.Length is { } length
                ? new FieldValue(Length: Length.FromMillimetres(Math.Round(length.Millimetres * by, 2)))
                : new FieldValue(Number: Math.Max(0, Math.Round((now.Number ?? 0) * by)));
            try { design = design.With(field.Key, value, ""); }
            catch (Refusal refusal) { refusal.Message.ShouldContain("from "); }
        }
        design.IsSound.ShouldBeTrue();
        return design;
    }

    private static IEnumerable<(Outline Shape, double Half)> Shapes(Drawn drawn) => drawn switch
    {
        Area a => [(a.Shape, 0)],
        Line l => [(l.Shape, l.Width / 2)],
        Written w => [(Outline.Rectangle(w.Box.Left, w.Box.Top, w.Box.Right - w.Box.Left, w.Box.Bottom - w.Box.Top),
            0)],
        Repeated r => r.Places.SelectMany(p => r.Symbol.SelectMany(Shapes).Select(s => (s.Shape.Under(p), s.Half))),
        _ => [],
    };

    [Theory]
    [MemberData(nameof(Words))]
    public void Every_mark_lies_within_the_margins_whatever_is_set(string word)
    {
        var first = DesignShelf.Of(word);
        var drawn = 0;
        for (var seed = 1; seed <= 30; seed++)
        {
            var r = new Chance((seed * 31) + word.Length);
            var design = seed == 1 ? first : Varied(first, r);
            var page = r.Of(Grids).Page(r.From(1, 4));
            List<Drawn> marks;
            try { marks = [.. design.Draw(page, Told)]; }
            catch (Refusal refusal)
            {
                // What does not fit is refused with its figure.
                refusal.Message.ShouldMatch("[0-9]", word);
                Should.Throw<Refusal>(() => design.Working(page, Unit.Millimetre), word);
                continue;
            }
            var safe = page.Safe;
            // A line along a margin has half of itself beyond it.
            foreach (var (shape, half) in marks.SelectMany(Shapes))
            {
                var (b, room) = (shape.Bounds, half + Mm(0.01m).Points);
                b.Left.ShouldBeGreaterThan(safe.X.Points - room, $"{word} {seed}");
                b.Top.ShouldBeGreaterThan(safe.Y.Points - room, $"{word} {seed}");
                b.Right.ShouldBeLessThan(safe.Right.Points + room, $"{word} {seed}");
                b.Bottom.ShouldBeLessThan(safe.Bottom.Points + room, $"{word} {seed}");
            }
            design.Working(page, Unit.Millimetre).ShouldContain("mm");
            drawn += marks.Count;
        }
        var lists = first is BlankPage or TextPages or SolutionsPage or PicturePage or PictureWithWords or ContentsPage;
        if (!lists) drawn.ShouldBeGreaterThan(20, word);
    }

    /// <summary>What faces each other across the fold lies at the same heights.</summary>
    [Theory]
    [MemberData(nameof(Words))]
    public void Facing_pages_line_up(string word)
    {
        var design = DesignShelf.Of(word);
        foreach (var grid in Grids)
        {
            double[] heights(int page) => [.. design.Draw(grid.Page(page)).SelectMany(Shapes)
                .SelectMany(s => new[] { s.Shape.Bounds.Top, s.Shape.Bounds.Bottom }).Order()];
            var (left, right) = (heights(2), heights(3));
            left.Length.ShouldBe(right.Length);
            foreach (var (a, b) in left.Zip(right)) a.ShouldBe(b, Mm(0.01m).Points, word);
        }
    }

    [Theory]
    [MemberData(nameof(Words))]
    public void A_design_is_carried_by_JSON_and_refuses_what_is_out_of_range_with_the_range(string word)
    {
        var design = Varied(DesignShelf.Of(word), new(7));
        var json = System.Text.Json.JsonSerializer.Serialize(design, JobJson.Options);
        json.ShouldContain($"\"is\":\"{word}\"");
        System.Text.Json.JsonSerializer.Deserialize<PageDesign>(json, JobJson.Options).ShouldBe(design);
        DesignShelf.WordOf(design).ShouldBe(word);
        foreach (var field in design.Fields.Where(f =>
            !f.TakesPaint && f.Read(f.Show(design, Terms), Terms) is { Words: null }))
            foreach (var odd in (FieldValue[])[new(Length: Mm(-1), Number: -1), new(Length: Mm(5000), Number: 5000)])
                Should.Throw<Refusal>(() => design.With(field.Key, odd, "at")).Message.ShouldContain("from ");
        Should.Throw<Refusal>(() => design.With("nothing", new(), "at")).Message.ShouldContain("no setting");
    }

    /// <summary>Rows times their pitch, and what is left over, are the room: no more and no less.</summary>
    [Fact]
    public void Rows_and_what_is_over_make_the_room()
    {
        var r = new Chance(3);
        for (var n = 0; n < 2000; n++)
        {
            var (room, pitch) = (Mm(r.From(10, 3000) / 10m), Mm(r.From(5, 600) / 10m));
            if (pitch > room) { Should.Throw<Refusal>(() => Fitted.Of(room, pitch, "row")); continue; }
            var fit = Fitted.Of(room, pitch, "row");
            ((fit.Count * pitch) + fit.Over).ShouldBe(room);
            fit.Over.ShouldBeLessThan(pitch);
        }
        Should.Throw<Refusal>(() => Fitted.Of(Mm(100), Length.Zero, "row")).Message.ShouldContain("hold no row");
        // 210 − 12 − 14 mm hold 26 rules of 7 mm, and 2 mm go to the head.
        new Ruled { Paints = [.. DesignShelf.Of("ruled").Paints] }.Working(Grids[0].Page(1), Unit.Millimetre)
            .ShouldBe("210 mm − 12 mm − 14 mm = 184 mm, ÷ 7 mm = 26 rows, 2 mm over, given to the head");
    }
}
