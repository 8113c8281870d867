namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>
/// A plate that says whose the book is, with rules to write on: an ornament of the sort that covers have.
/// </summary>
public sealed record BelongsTo : PageDesign
{
    public string Says { get; init; } = "This book belongs to";

    /// <summary>What is asked beside the name, a line each.</summary>
    public string Asks { get; init; } = "";

    /// <summary>
    /// The plate: the cover’s own label where it has one, or by the word of an ornament; empty for none.
    /// </summary>
    public string Plate { get; init; } = Covers;

    private const string Covers = "cover";

    public Length Size { get; init; } = Length.FromPoints(13);

    /// <summary>Of the plate, as a share of the room’s width in percent.</summary>
    public int Wide { get; init; } = 88;

    public override string Kind => "this belongs to";
    protected override ImmutableArray<string> OwnSlots => ["Label", "Edge", "Rules"];
    public override bool TakesHeading => false;
    public override bool IsDisplay => true;
    public override IEnumerable<string> Given => [Says, Asks];

    private static readonly string[] Plates = [.. OrnamentShelf.All.Where(o => o.First.Sort == OrnamentSort.Label)
        .Select(o => o.Word)];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        Line<BelongsTo>("says", "Words", d => d.Says, (d, s) => d with { Says = s }),
        Lines<BelongsTo>("asks", "Asks besides", d => d.Asks, (d, s) => d with { Asks = s }),
        new Field<BelongsTo, string>("plate", "Label", Values.Line, d => d.Plate, (d, s) => d with { Plate = s })
        {
            Choices = [(Covers, "the cover’s"), ("", "none"), .. Plates.Select(p => (p, p.Replace('-', ' ')))],
            Fault = (s, _) => s.Length == 0 || s == Covers || Plates.Contains(s) ? null
                : $"`{LengthText.Clip(s)}` is no label: take one from {Covers}, {string.Join(", ", Plates)}",
        },
        Count<BelongsTo>("wide", "Wide, percent", 40, 100, d => d.Wide, (d, n) => d with { Wide = n }),
        Weighed<BelongsTo>("size", "Type", 6, 48, d => d.Size, (d, l) => d with { Size = l }),
    ];

    private string[] Asked =>
        [.. Asks.Split('\n', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)];

    /// <summary>The plate’s box, in points.</summary>
    /// <exception cref="Refusal">It is higher than the page.</exception>
    private Bounds Box(Surface page)
    {
        var (safe, size) = (page.Safe, Size.Points);
        var wide = Wide / 100.0 * safe.Width.Points;
        var high = (6.4 * size) + ((1 + Asked.Length) * 2.6 * size);
        if (high > safe.Height.Points)
            throw new Refusal("asks", $"a label of {Length.FromDrawing(high).Show(Unit.Millimetre)} is higher " +
                $"than the " +
                $"{safe.Height.Show(Unit.Millimetre)} within the margins: ask less, or take smaller type");
        var x = safe.X.Points + ((safe.Width.Points - wide) / 2);
        var y = safe.Y.Points + (0.4 * (safe.Height.Points - high));
        return new(x, y, x + wide, y + high);
    }

    protected override string Sum(Surface page, Unit unit)
    {
        var box = Box(page);
        return $"{page.Safe.Width.Show(unit)} × {Wide} % = {Length.FromDrawing(box.Right - box.Left).Show(unit)} " +
            $"wide, " +
            $"{Length.FromDrawing(box.Bottom - box.Top).Show(unit)} high";
    }

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var (box, size, mm) = (Box(page), Size.Points, Length.FromMillimetres(1).Points);
        var (wide, high) = (box.Right - box.Left, box.Bottom - box.Top);
        if (Plate.Length > 0)
        {
            var plate = Plate == Covers ? at.Label ?? OrnamentShelf.All.First(o => o.First is NotebookLabel).First
                : OrnamentShelf.All.First(o => o.Word == Plate).First;
            // Rules of its own would stand beside those that the words ask for.
            if (plate is NotebookLabel label) plate = label with { Rules = 0 };
            var place = new Affine(mm, 0, 0, mm, box.Left, box.Top);
            foreach (var drawn in plate.Draw(wide / mm, high / mm)) yield return Slotted(drawn.Under(place, 1));
        }
        var inset = 0.14 * wide;
        var y = box.Top + (1.3 * size);
        if (at.Fill(Says) is { Length: > 0 } says)
            yield return new Written(says, new(box.Left + inset, y, box.Right - inset, y + (2.1 * size)), size, InWords)
            { Align = Align.Centre, Heads = true, Fits = true };
        y += 5 * size;
        yield return new Line(PageLines.Level(box.Left + inset, y, wide - (2 * inset)), 0.75, 2);
        foreach (var ask in Asked)
        {
            y += 2.6 * size;
            yield return new Line(PageLines.Level(box.Left + inset, y, wide - (2 * inset)), 0.75, 2);
            yield return new Written(at.Fill(ask), new(box.Left + inset, y - (2.3 * size), box.Right - inset,
                y - (1.2 * size)),
                0.62 * size, InWords)
            { Align = at.Mirrored ? Align.Right : Align.Left };
        }
    }

    private static Drawn Slotted(Drawn drawn) => drawn switch
    {
        Area a => a with { Slot = Math.Min(2, a.Slot) },
        Line l => l with { Slot = Math.Min(2, l.Slot), Width = Math.Max(0.5, l.Width) },
        Repeated r => new Repeated([.. r.Symbol.Select(Slotted)], r.Places),
        _ => drawn,
    };
}
