namespace Lumbeck.Core.Liveries;

/// <summary>Lays the items of one wrap: here what all panels share.</summary>
/// <param name="job">The job.</param>
/// <param name="sheets">The sheets of the wrap.</param>
/// <param name="livery">The livery.</param>
/// <param name="way">In which colours.</param>
/// <param name="seed">Of what is drawn by chance.</param>
/// <param name="carried">What lies on the wrap now, as far as it is taken over.</param>
/// <param name="type">Faces.</param>
/// <param name="inside">What its back shows of its pages.</param>
internal sealed partial class LiveryComposer(Job job, ImmutableArray<Sheet> sheets, Livery livery, Colourway way,
    Seed seed, Carried carried, IType type, InsideShown inside)
{
    public List<Item> Items { get; } = [];
    public List<string> Unfit { get; } = [];

    /// <summary>What its pictures are called; those of pages have a number after it.</summary>
    public const string PagePart = "page-", MarkPart = "spine-mark", PortraitPart = "portrait";

    private readonly Ticket _ticket = job.Ticket;

    private Panel? Panel(Part part) => sheets.Select(s => s.Panel(part)).FirstOrDefault(p => p is not null);

    public Paint Paint(LiveryTone tone) => new SwatchPaint(LiveryComposing.Of(livery, way, tone));

    /// <summary>A paint for each slot; the last tone is that of all slots beyond.</summary>
    public ImmutableList<Paint> Paints(Sketch sketch, ImmutableArray<LiveryTone> tones) =>
        [.. sketch.Slots.Select((_, n) => Paint(tones[Math.Min(n, tones.Length - 1)]))];

    /// <summary>Where an item stands within a box, from its upper left corner, in points.</summary>
    private static Hold At(Part panel, HoldBox box, double x, double y) =>
        new(panel, box, Anchor.TopLeft, Points(x), Points(y));

    private static Length Points(double points) => Length.FromPoints((decimal)Math.Round(points, 2));

    /// <summary>A width as an item has it: lines then break where they were measured.</summary>
    private static double Whole(double points) => Points((Math.Floor(points * 100) / 100) - 0.01).Points;

    /// <summary>
    /// The part of a panel's face that a hand can rely on, from the face's upper left corner, in points.
    /// </summary>
    private static (double X, double Y, double W, double H) Safe(Panel p) => ((p.Safe.X - p.Face.X).Points,
        (p.Safe.Y - p.Face.Y).Points, p.Safe.Width.Points, p.Safe.Height.Points);

    /// <summary>What lies under everything: a vista over the whole sheet, where the livery has one.</summary>
    public void Under()
    {
        if (livery.Vista is not { } vista) return;
        Items.Add(new VistaItem
        {
            Id = "vista",
            Hold = new(Part.Sheet, HoldBox.Edge, Anchor.TopLeft, default, default),
            Width = Span.Full,
            Height = Span.Full,
            Vista = vista with { Seed = seed, Paints = Paints(vista, livery.VistaTones) },
        });
    }

    private void Box(string id, Part panel, double x, double y, double w, double h, LiveryTone tone) =>
        Items.Add(new RectItem
        {
            Id = id,
            Hold = At(panel, HoldBox.Face, x, y),
            Width = new(Points(w)),
            Height = new(Points(h)),
            Fill = Paint(tone),
        });

    /// <summary>What words stand on, with its line or border.</summary>
    private void Field(string id, Part panel, double x, double y, double w, double h, bool ruled)
    {
        Box(id, panel, x, y, w, h, livery.On);
        if (ruled) Edged(id, panel, x, y, w, h);
    }

    private void Edged(string id, Part panel, double x, double y, double w, double h)
    {
        const double within = 7;
        var (hold, wide, high) = (At(panel, HoldBox.Face, x + within, y + within),
            new Span(Points(w - (2 * within))), new Span(Points(h - (2 * within))));
        if (livery.Border is { } border)
            Items.Add(new OrnamentItem
            {
                Id = id + "-line",
                Hold = hold,
                Width = wide,
                Height = high,
                Ornament = border with { Paints = Paints(border, livery.BorderTones) },
            });
        else
            Items.Add(new RectItem
            {
                Id = id + "-line",
                Hold = hold,
                Width = wide,
                Height = high,
                Line = Paint(LiveryTone.Accent),
                LineWidth = Length.FromPoints(1),
            });
    }

    /// <summary>The livery's ornament, so wide, from an upper left corner.</summary>
    private void Sign(string id, Part panel, double x, double y, double wide) =>
        Items.Add(new OrnamentItem
        {
            Id = id,
            Hold = At(panel, HoldBox.Face, x, y),
            Width = new(Points(wide)),
            Height = new(Points(wide * SignShape)),
            Ornament = livery.Sign! with { Seed = seed, Paints = Paints(livery.Sign, livery.SignTones) },
        });

    /// <summary>Narrower than this, in points, its lines would be too fine to print.</summary>
    private const double SignLeast = 44;

    /// <summary>How high the ornament is beside its width.</summary>
    private double SignShape => livery.Sign is { } sign ? sign.First.High / sign.First.Wide : 1;

    /// <summary>The smallest type it is set in, in points: what its house prints, and never less than 8.</summary>
    private double Least => Math.Max(8,
        (livery.Words == LiveryTone.Ink ? _ticket.House.TextLeast : _ticket.House.TextReversedLeast).Points);

    private TextStyle Style(FaceId face, string words, Align align, decimal leading, bool display = false) => new()
    {
        Face = Livery.FaceFor(face, words, type),
        Paint = Paint(livery.Words),
        Align = align,
        Leading = leading,
        Case = display ? livery.Case : LetterCase.AsTyped,
        Tracking = display ? livery.Tracking : 0,
    };

    private double Text(string id, TextRole role, string words, Part panel, double x, double y, double w,
        TextStyle style, double size, double high)
    {
        var tall = high + (0.3 * size);
        Items.Add(new TextItem
        {
            Id = id,
            Role = role,
            Words = words,
            Hold = At(panel, HoldBox.Face, x, y),
            Width = new(Points(w)),
            Height = new(Points(tall)),
            Style = style with
            {
                Size = Points(size),
                Space = style.Space > Length.Zero ? Points(size / 2) : Length.Zero,
            },
        });
        return tall;
    }
}
