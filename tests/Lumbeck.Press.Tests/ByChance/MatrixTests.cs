using Lumbeck.Desk;

namespace Lumbeck.Press.Tests.ByChance;

/// <summary>
/// Every kind of mark in every kind of paint, plain, see-through, multiplied and screened, over a ground that has ink
/// and foil: the plates of both files are the painter's.
/// </summary>
public sealed class MatrixTests(RandomDesk random) : IClassFixture<RandomDesk>
{
    private static Ink P(decimal c, decimal m, decimal y, decimal k) => Ink.Percent(c, m, y, k);
    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);

    private static readonly (string Name, Paint Paint)[] Paints =
    [
        ("ink", new InkPaint(P(10, 70, 30, 0))),
        ("black", new InkPaint(Ink.Black)),
        ("white", new InkPaint(Ink.White)),
        ("swatch", new SwatchPaint("s", 6000)),
        ("foil", new FinishPaint("foil")),
        ("tint of foil", new FinishPaint("foil", 4000)),
        ("gradient",
            new GradientPaint(Run.Straight, 30,
                [new(new InkPaint(P(80, 0, 40, 10)), 0), new(new SwatchPaint("s"), 10_000)])),
    ];

    private static readonly (decimal Opacity, Blend Blend)[] Mixes = [(100, Blend.Normal), (85, Blend.Normal),
        (100, Blend.Multiply), (70, Blend.Multiply), (100, Blend.Screen), (45, Blend.Screen)];

    /// <summary>
    /// One item of a kind, of which one mark is in the paint; null where that kind takes no such paint.
    /// </summary>
    private Item? Made(string kind, Paint paint, string id, Hold hold)
    {
        var (wide, high) = (new Span(Mm(16)), new Span(Mm(9)));
        var line = Length.FromPoints(4);
        if (paint is GradientPaint && kind is "line" or "dashes" or "edge" or "hard shadow" or "soft shadow" or "code")
            return null;
        TextItem text(decimal size = 22) =>
            new()
            {
                Id = id,
                Words = "HIL",
                Hold = hold,
                Width = wide,
                Height = high,
                Style = new()
                {
                    Face = new("work-sans", 600, false),
                    Size = Length.FromPoints(size),
                    Paint = new InkPaint(Ink.Black)
                }
            };
        return kind switch
        {
            "fill" => new RectItem { Id = id, Hold = hold, Width = wide, Height = high, Fill = paint },
            "line" => new EllipseItem
            {
                Id = id,
                Hold = hold,
                Width = wide,
                Height = high,
                Line = paint,
                LineWidth = line,
            },
            "fill and line" => new PlateItem
            {
                Id = id,
                Hold = hold,
                Width = wide,
                Height = high,
                Fill = paint,
                Line = new InkPaint(P(0, 0, 90, 0)),
                LineWidth = line,
                Rules = 1,
            },
            "dashes" => new LineItem
            {
                Id = id,
                Hold = hold,
                Width = wide,
                Line = paint,
                LineWidth = Length.FromPoints(9),
                Dash = Dash.Dashed,
            },
            "letters" => text() with { Style = text().Style with { Paint = paint } },
            // Black letters of 22 pt overprint: what lies under them is their own item's other mark.
            "edge" => text() with { Edge = new(paint, Length.FromPoints(3)) },
            "hard shadow" => text() with { Shadow = new(paint, Length.FromPoints(4), Length.FromPoints(3), default) },
            "soft shadow" => text() with
            {
                Shadow = new(paint, Length.FromPoints(3), Length.FromPoints(3), Length.FromPoints(6), 80),
            },
            "plate" => text() with { Backing = new(paint, Length.FromPoints(3), default) },
            "letters on a plate" => text() with
            {
                Style = text().Style with { Paint = paint },
                Backing = new(new InkPaint(P(0, 0, 80, 0)), Length.FromPoints(3), default),
            },
            // A picture that one sees through, over a fill, under a line.
            "picture" => new PictureItem
            {
                Id = id,
                Hold = hold,
                Width = wide,
                Height = high,
                Picture = random.Pictures[1],
                Fill = paint,
                Line = new InkPaint(P(0, 0, 90, 0)),
                LineWidth = line,
            },
            "code" => new CodeItem { Id = id, Hold = hold, Link = "t", Side = Mm(9), Paint = paint },
            _ => throw new InvalidOperationException(kind),
        };
    }

    private static readonly string[] Kinds = ["fill", "line", "fill and line", "dashes", "letters", "edge",
        "hard shadow", "soft shadow", "plate", "letters on a plate", "code", "picture"];

    [Fact, Wide]
    public void Every_mark_in_every_paint_lies_on_the_same_plates_in_both_files()
    {
        var house = HouseFile.Shipped["tern"] with
        {
            FinishingInks = ["foil"],
            TrimMost = Size.FromMillimetres(400, 500),
        };
        var scenes = new List<Scene>();
        // A page for each way of mixing: paints across, kinds down.
        foreach (var (opacity, blend) in Mixes)
        {
            var job = Starters.Job(house, "Every mark") with { };
            job = job with
            {
                Ticket = job.Ticket with { Binding = BindingKind.Front, Trim = Size.FromMillimetres(150, 152) },
                Swatches = [new("s", "Swell", P(60, 0, 30, 0))],
            };
            job = job.WithPieces();
            job = new PaintGround(new InkPaint(P(60, 0, 0, 0))).Apply(job);
            job = new LayPattern(new ContourLines { Seed = 3, Paints = [new FinishPaint("foil", 7000)] }).Apply(job);
            job = new AddItem(new RectItem
            {
                Id = "band",
                Hold = new(Part.Sheet, HoldBox.Face, Anchor.Middle, default, default),
                Width = new(Mm(60)),
                Height = Span.Full,
                Fill = new FinishPaint("foil", 5000)
            })
                .Apply(job);
            job = new AddItem(new RectItem
            {
                Id = "wash",
                Hold = new(Part.Sheet, HoldBox.Face, Anchor.Left, Mm(30), default),
                Width = new(Mm(14)),
                Height = Span.Full,
                Fill = new InkPaint(P(0, 20, 50, 0))
            })
                .Apply(job);
            for (var k = 0; k < Kinds.Length; k++)
                for (var p = 0; p < Paints.Length; p++)
                    if (Made(Kinds[k], Paints[p].Paint, $"i{k}-{p}",
                        new(Part.Front, HoldBox.Face, Anchor.TopLeft, Mm(4 + (21 * p)),
                            Mm(3 + (12.4m * k)))) is { } item)
                        job = new AddItem(item with { Opacity = opacity, Blend = blend }).Apply(job);
            scenes.Add(random.On(job).Composed.Sheets[0].Scene);
        }
        random.Differs(house, scenes).ShouldBeEmpty();
    }
}
