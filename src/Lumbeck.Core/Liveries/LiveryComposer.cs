namespace Lumbeck.Core.Liveries;

/// <summary>Lays the items of one wrap: here what all panels share, and the front.</summary>
internal sealed partial class LiveryComposer(Job job, ImmutableArray<Sheet> sheets, Livery livery, Colourway way,
    IType type)
{
    public List<Item> Items { get; } = [];
    public List<string> Unfit { get; } = [];

    private readonly Ticket _ticket = job.Ticket;

    private Panel? Panel(Part part) => sheets.Select(s => s.Panel(part)).FirstOrDefault(p => p is not null);

    public Paint Paint(LiveryTone tone) => new SwatchPaint(LiveryComposing.Of(livery, way, tone));


    /// <summary>Where an item stands within a box, from its upper left corner, in points.</summary>
    private static Hold At(Part panel, HoldBox box, double x, double y) =>
        new(panel, box, Anchor.TopLeft, Points(x), Points(y));

    private static Length Points(double points) => Length.FromPoints((decimal)Math.Round(points, 2));

    /// <summary>A width as an item has it: lines then break where they were measured.</summary>
    private static double Whole(double points) => Points((Math.Floor(points * 100) / 100) - 0.01).Points;

    private void Field(string id, Part panel, HoldBox box, double x, double y, double w, double h, LiveryTone tone,
        bool ruled)
    {
        Items.Add(new RectItem
        {
            Id = id,
            Hold = At(panel, box, x, y),
            Width = new(Points(w)),
            Height = new(Points(h)),
            Fill = Paint(tone),
        });
        if (!ruled) return;
        Items.Add(new RectItem
        {
            Id = id + "-line",
            Hold = At(panel, box, x + 7, y + 7),
            Width = new(Points(w - 14)),
            Height = new(Points(h - 14)),
            Line = Paint(LiveryTone.Accent),
            LineWidth = Length.FromPoints(1),
        });
    }

    private TextStyle Style(FaceId face, string words, Align align, decimal leading, bool display = false) => new()
    {
        Face = Livery.FaceFor(face, words, type),
        Paint = Paint(LiveryTone.Ink),
        Align = align,
        Leading = leading,
        Case = display ? livery.Case : LetterCase.AsTyped,
        Tracking = display ? livery.Tracking : 0,
    };

    private double Text(string id, TextRole role, string words, Part panel, HoldBox box, double x, double y, double w,
        TextStyle style, double size, double high)
    {
        var tall = high + (0.3 * size);
        Items.Add(new TextItem
        {
            Id = id,
            Role = role,
            Words = words,
            Hold = At(panel, box, x, y),
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

    /// <summary>
    /// The part of a panel's face that a hand can rely on, from the face's upper left corner, in points.
    /// </summary>
    private static (double X, double Y, double W, double H) Safe(Panel p) => ((p.Safe.X - p.Face.X).Points,
        (p.Safe.Y - p.Face.Y).Points, p.Safe.Width.Points, p.Safe.Height.Points);

    public void Front()
    {
        if (Panel(Part.Front) is not { } front) return;
        var (fw, fh) = (front.Face.Width.Points, front.Face.Height.Points);
        var safe = Safe(front);
        var pad = 0.05 * Math.Min(fw, fh);
        var plate = livery.Form == FrontForm.Plate;
        var wide = plate ? Math.Min(safe.W - 8, (double)livery.Wide * fw) : safe.W;
        var inner = Whole(plate ? wide - (2 * pad) : wide - 8);
        var words = Stack(inner, fw, fh, plate ? safe.H - (2 * pad) - 16 : 0.7 * fh);
        var content = words.Sum(p => p.Tall);
        var least = (double)livery.Share * fh;
        var high = Math.Max(least, content + (2.4 * pad));
        var (x, y) = (safe.X + ((safe.W - wide) / 2), 0.0);
        switch (livery.Form)
        {
            case FrontForm.Plate:
                high = Math.Min(high, safe.H - 8);
                y = safe.Y + Math.Max(4, 0.4 * (safe.H - high));
                Field("field", Part.Front, HoldBox.Face, x, y, wide, high, LiveryTone.Light, livery.Ruled);
                break;
            case FrontForm.Band:
                y = Math.Max(safe.Y, 0.42 * (fh - high));
                Block(front, y, high);
                break;
            case FrontForm.Head:
                high += safe.Y;
                Block(front, 0, high);
                break;
            default:
                high += fh - safe.Y - safe.H;
                y = fh - high;
                Block(front, y, high);
                break;
        }
        // Words stand in the middle of the field's own safe part.
        var top = Math.Max(y, safe.Y);
        var room = Math.Min(y + high, safe.Y + safe.H) - top;
        var at = top + Math.Max(0, (room - content) / 2);
        foreach (var part in words)
        {
            part.Lay(x + ((wide - inner) / 2), at);
            at += part.Tall;
        }
    }

    /// <summary>A field from edge to edge of the front, out over the bleed where it meets the cut.</summary>
    private void Block(Panel front, double y, double high)
    {
        var (left, right) = ((front.Face.X - front.Edge.X).Points, (front.Edge.Right - front.Face.Right).Points);
        var (up, down) = ((front.Face.Y - front.Edge.Y).Points, (front.Edge.Bottom - front.Face.Bottom).Points);
        var (from, to) = (y <= 0.01 ? -up : y, y + high >= front.Face.Height.Points - 0.01
            ? front.Face.Height.Points + down : y + high);
        Field("field", Part.Front, HoldBox.Face, -left, from, front.Face.Width.Points + left + right + 0.5, to - from,
            LiveryTone.Light, false);
        if (!livery.Ruled) return;
        foreach (var (n, edge) in new[] { from, to }.Where(e => e > 0 && e < front.Face.Height.Points).Index())
            Items.Add(new RectItem
            {
                Id = $"edge-{n + 1}",
                Hold = At(Part.Front, HoldBox.Face, -left, edge == from ? edge + 6 : edge - 8),
                Width = new(Points(front.Face.Width.Points + left + right)),
                Height = new(Points(2)),
                Fill = Paint(LiveryTone.Accent),
            });
    }

    private sealed record Laid(double Tall, Action<double, double> Lay);

    /// <summary>What stands on the front from its head down, as large as its room carries it.</summary>
    private List<Laid> Stack(double inner, double fw, double fh, double room)
    {
        var stack = new List<Laid>();
        var side = Math.Min(fw, fh);
        var small = Math.Clamp(0.034 * side, 12, 22);
        void gap(double high) => stack.Add(new(high, (_, _) => { }));
        void line(string id, TextRole role, string words, double size, int lines)
        {
            if (words.Length == 0) return;
            var style = Style(livery.Text, words, livery.Align, 1.25m);
            if (LiveryType.Fit(words, style, inner, room, size, 8, lines, _ticket, type) is not var (fits, high))
            {
                Unfit.Add($"{words.Length} letters of {role.ToString().ToLowerInvariant()} in {lines} lines");
                return;
            }
            stack.Add(new(high + (0.3 * fits),
                (x, y) => Text(id, role, words, Part.Front, HoldBox.Face, x, y, inner, style, fits, high)));
        }
        var series = _ticket.Series.Length == 0 ? ""
            : _ticket.SeriesNumber.Length > 0 ? $"{_ticket.Series} {_ticket.SeriesNumber}" : _ticket.Series;
        line("series", TextRole.Free, series, 0.8 * small, 2);
        if (series.Length > 0) gap(0.6 * small);
        if (_ticket.Title.Length > 0)
        {
            var style = Style(livery.Display, _ticket.Title, livery.Align, 1.08m, display: true);
            var most = Math.Min((double)livery.Largest / 100 * side, 160);
            if (LiveryType.Fit(_ticket.Title, style, inner, 0.58 * room, most, 12, 6, _ticket,
                type) is var (size, high))
                stack.Add(new(high + (0.3 * size), (x, y) =>
                    Text("title", TextRole.Title, _ticket.Title, Part.Front, HoldBox.Face, x, y, inner, style, size,
                        high)));
            else Unfit.Add($"a title of {_ticket.Title.Length} letters");
        }
        if (livery.Dash)
        {
            gap(0.9 * small);
            var wide = Math.Min(0.22 * inner, 64);
            stack.Add(new(2, (x, y) => Items.Add(new RectItem
            {
                Id = "dash",
                Hold = At(Part.Front, HoldBox.Face, livery.Align == Align.Left ? x : livery.Align == Align.Right ? x + inner - wide
                    : x + ((inner - wide) / 2), y),
                Width = new(Points(wide)),
                Height = new(Points(2)),
                Fill = Paint(LiveryTone.Accent),
            })));
        }
        if (_ticket.Subtitle.Length > 0) gap(0.8 * small);
        line("subtitle", TextRole.Subtitle, _ticket.Subtitle, small, 4);
        if (_ticket.Author.Length > 0) gap(1.4 * small);
        line("author", TextRole.Author, _ticket.Author, 1.15 * small, 2);
        return stack;
    }
}
