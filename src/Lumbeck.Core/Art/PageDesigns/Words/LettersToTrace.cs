namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>How letters to trace are shown.</summary>
public enum TraceStyle { Dotted, Gray, Outlined }

/// <summary>
/// Words to go over with a pen, on lines to learn writing on: letters of one stroke’s width at the lines’ x-height,
/// with
/// a dot where each stroke begins.
/// </summary>
public sealed record LettersToTrace : PageDesign
{
    /// <summary>A row a line; pages of its run go on with the rows, and begin again after the last.</summary>
    public string Text { get; init; } =
        "Aa\nBb\nCc\nDd\nEe\nFf\nGg\nHh\nIi\nJj\nKk\nLl\nMm\nNn\nOo\nPp\nQq\nRr\nSs\nTt\nUu\nVv\nWw\nXx\nYy\nZz";

    public TraceStyle Style { get; init; }

    /// <summary>Of the letters’ strokes.</summary>
    public Length Pen { get; init; } = Length.FromPoints(2.25m);

    /// <summary>Whether a row is said again as often as it has room.</summary>
    public bool Again { get; init; } = true;

    /// <summary>Rows left empty under each.</summary>
    public int Alone { get; init; } = 1;

    /// <summary>Whether strokes begin with a dot, and whether an arrow and a figure say their way and order.</summary>
    public bool Dots { get; init; } = true;
    public bool Arrows { get; init; }

    public Length XHeight { get; init; } = Length.FromMillimetres(8);
    public int Ascender { get; init; } = 100;
    public int Descender { get; init; } = 80;
    public Length Gap { get; init; } = Length.FromMillimetres(5);
    public Length Weight { get; init; } = Length.FromPoints(0.75m);

    public override string Kind => "letters to trace";
    public override bool Varies => true;
    public override IEnumerable<string> Given => [.. base.Given, Text];
    protected override ImmutableArray<string> OwnSlots =>
        ["Base line", "X line", "Outer lines", "Letters", "Within them", "Dots and arrows"];

    private static readonly (string, TraceStyle)[] Styles =
        [("dotted", TraceStyle.Dotted), ("gray", TraceStyle.Gray), ("outlined", TraceStyle.Outlined)];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        Lines<LettersToTrace>("words", "Rows", d => d.Text, (d, s) => d with { Text = s }),
        new Field<LettersToTrace, TraceStyle>("style", "Letters", Values.OneOf(Styles), d => d.Style,
            (d, s) => d with { Style = s }) { Choices = [.. Styles.Select(s => (s.Item1, s.Item1))] },
        Weighed<LettersToTrace>("pen", "Their weight", 1, 8, d => d.Pen, (d, l) => d with { Pen = l }),
        new Field<LettersToTrace, bool>("again", "Fills its row", Values.Switch, d => d.Again,
            (d, b) => d with { Again = b }),
        Count<LettersToTrace>("alone", "Empty rows after", 0, 6, d => d.Alone, (d, n) => d with { Alone = n }),
        new Field<LettersToTrace, bool>("dots", "Start dots", Values.Switch, d => d.Dots,
            (d, b) => d with { Dots = b }),
        new Field<LettersToTrace, bool>("arrows", "Arrows", Values.Switch, d => d.Arrows,
            (d, b) => d with { Arrows = b }),
        Measure<LettersToTrace>("x-height", "X-height", 3, 40, d => d.XHeight, (d, l) => d with { XHeight = l }),
        Count<LettersToTrace>("ascender", "Stems, percent", 40, 200, d => d.Ascender,
            (d, n) => d with { Ascender = n }),
        Count<LettersToTrace>("descender", "Tails, percent", 40, 200, d => d.Descender,
            (d, n) => d with { Descender = n }),
        Measure<LettersToTrace>("gap", "Gap", 0, 60, d => d.Gap, (d, l) => d with { Gap = l }),
        Weighed<LettersToTrace>("weight", "Lines’ weight", 0.25m, 4, d => d.Weight, (d, l) => d with { Weight = l }),
    ];

    private Handwriting Guides => new()
    {
        Paints = [Paints[0], Paints[1], Paints[2], Paints[InWords]],
        XHeight = XHeight,
        Ascender = Ascender,
        Descender = Descender,
        Gap = Gap,
        Weight = Weight,
    };

    // What a letter's own weight, its dots and arrows reach beyond its strokes.
    private Surface Lined(Surface page)
    {
        var (above, below) = ((Arrows ? 5m : 1.6m) * Pen, 1.4m * Pen);
        return page.Safe.Height > 2 * (above + below)
            ? page with { Safe = page.Safe.Inset(Length.Zero, above, Length.Zero, below) } : page;
    }

    private static List<string> RowsOf(string text) =>
        [.. text.Split('\n').Select(r => r.TrimEnd()).Where(r => r.Length > 0)];

    public override int? RowsToPrint => RowsOf(Text).Count;

    protected override int RowsIn(Surface page) => Guides.Bases(Lined(page)).Count / (1 + Alone);

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) => Guides.Fits(Lined(page));

    protected override string Sum(Surface page, Unit unit) => Guides.Says(Lined(page), unit);

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        foreach (var line in Guides.Draw(Lined(page), at)) yield return line;
        var bases = Guides.Bases(Lined(page));
        var rows = RowsOf(at.Fill(Text));
        if (rows.Count == 0) yield break;
        var each = Math.Max(1, RowsIn(page));
        for (var n = 0; n < each && n * (1 + Alone) < bases.Count; n++)
            foreach (var drawn in Row(rows[(((at.Time - 1) * each) + n) % rows.Count], bases[n * (1 + Alone)], page,
                at))
                yield return drawn;
    }

    /// <exception cref="Refusal">A letter can’t be traced, or the words are wider than the page.</exception>
    private IEnumerable<Drawn> Row(string words, double foot, Surface page, PageFacts at)
    {
        var unit = XHeight.Points / 100;
        var letters = words.Select(c => (c, Letter: c == ' ' ? null : TraceAlphabet.Of(c)
            ?? throw new Refusal("words", $"`{c}` has no strokes here: the letters a to z, A to Z, figures, and " +
                $"accented " +
                "ones of the languages written with them"))).ToList();
        // From letter to letter a third of the x-height’s width, from word to word two.
        double wide() => letters.Sum(l => (l.Letter?.Wide ?? 40) + 24) * unit;
        var inset = (Arrows ? 6 : 1.6) * Pen.Points;
        var (room, own) = (page.Safe.Width.Points - (2 * inset), wide());
        if (own > room + (24 * unit))
            throw new Refusal("words", $"“{LengthText.Clip(words)}” is {Length.FromPoints((decimal)Math.Round(own, 1))
                .Show(Unit.Millimetre)} wide at this x-height, the page {page.Safe.Width.Show(Unit.Millimetre)}: shorter " +
                "rows, or smaller letters");
        var space = 60 * unit;
        var times = Again ? Math.Max(1, (int)((room + space) / (own + space))) : 1;
        var x = at.Mirrored
            ? page.Safe.Right.Points - inset - (times * own) - ((times - 1) * space)
            : page.Safe.X.Points + inset;
        for (var time = 0; time < times; time++)
        {
            foreach (var (_, letter) in letters)
            {
                if (letter is not null)
                    foreach (var (n, stroke) in letter.Strokes.Index())
                        foreach (var drawn in Stroke(Placed(stroke, x, foot, unit), n, letter.Strokes.Length))
                            yield return drawn;
                x += ((letter?.Wide ?? 40) + 24) * unit;
            }
            x += space;
        }
    }

    /// <summary>
    /// A stroke on its line: above the x-height by the stems’ share, below the base line by the tails’.
    /// </summary>
    private Outline Placed(Outline stroke, double x, double foot, double unit)
    {
        var points = ImmutableArray.CreateBuilder<double>(stroke.Points.Length);
        for (var i = 0; i < stroke.Points.Length; i += 2)
        {
            var y = stroke.Points[i + 1];
            var high = y > 100 ? 100 + ((y - 100) * Ascender / 100) : y < 0 ? y * Descender / 100 : y;
            points.Add(x + (stroke.Points[i] * unit));
            points.Add(foot - (high * unit));
        }
        return new(stroke.Strokes, points.MoveToImmutable());
    }

    private IEnumerable<Drawn> Stroke(Outline stroke, int n, int of)
    {
        var pen = Pen.Points;
        var (x, y) = (stroke.Points[0], stroke.Points[1]);
        if (stroke.Points.Length == 2)
        {
            yield return new Area(Shapes.Circle(x, y, 0.75 * pen), 3);
            yield break;
        }
        var shown = new Line(stroke, pen, 3) { Round = true };
        switch (Style)
        {
            // Dots as wide as the pen, their middles two of them apart.
            case TraceStyle.Dotted: yield return shown with { Dash = [0.01, 2 * pen] }; break;
            case TraceStyle.Gray: yield return shown; break;
            default:
                yield return shown with { Width = 2.6 * pen };
                yield return shown with { Width = (2.6 * pen) - 1.5, Slot = 4 };
                break;
        }
        if (Dots) yield return new Area(Shapes.Circle(x, y, 0.85 * pen), 5);
        if (!Arrows) yield break;
        // Beside the beginning, the way that it goes.
        var (dx, dy) = (stroke.Points[2] - x, stroke.Points[3] - y);
        var far = Math.Sqrt((dx * dx) + (dy * dy));
        if (far < 0.1) yield break;
        (dx, dy) = (dx / far, dy / far);
        // Strokes that begin at one place have their arrows on either side of it.
        var (long1, aside) = (5 * pen, (n % 2 == 0 ? 2.4 : -2.4) * pen);
        var (fromX, fromY) = (x - (dy * aside), y + (dx * aside));
        var (toX, toY) = (fromX + (dx * long1), fromY + (dy * long1));
        yield return new Line(Shapes.Of(p =>
        {
            p.Move(fromX, fromY);
            p.Line(toX, toY);
            p.Move(toX - (1.4 * pen * (dx - dy)), toY - (1.4 * pen * (dy + dx)));
            p.Line(toX, toY);
            p.Line(toX - (1.4 * pen * (dx + dy)), toY - (1.4 * pen * (dy - dx)));
        }), 0.35 * pen, 5)
        { Round = true };
        if (of > 1)
            yield return new Written((n + 1).ToString(CultureInfo.InvariantCulture),
                new(fromX - (1.7 * dx * pen) - 12, fromY - (1.7 * dy * pen) - (2 * pen), fromX - (1.7 * dx * pen) + 12,
                    fromY - (1.7 * dy * pen) + (2 * pen)), 2.2 * pen, InWords)
            { Align = Align.Centre, Stand = Stand.Middle, Heads = true };
    }
}
