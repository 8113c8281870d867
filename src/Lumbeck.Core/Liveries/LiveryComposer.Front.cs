namespace Lumbeck.Core.Liveries;

/// <summary>What a livery lays on the front: title, author and the rest, by its form.</summary>
internal sealed partial class LiveryComposer
{
    public void Front()
    {
        if (Panel(Part.Front) is not { } front) return;
        if (carried.Picture is { } picture && livery.Form != FrontForm.Open) Shown(front, picture);
        var (fw, fh) = (front.Face.Width.Points, front.Face.Height.Points);
        var safe = Safe(front);
        var pad = 0.05 * Math.Min(fw, fh);
        if (livery.Form == FrontForm.Open) { Open(front, safe, pad); return; }
        if (livery.Form == FrontForm.Column) { Column(front, safe, pad); return; }
        var plate = livery.Form == FrontForm.Plate;
        // A border takes its own room within the plate.
        if (plate && livery.Border is not null) pad *= 1.9;
        var wide = plate ? Math.Min(safe.W - 8, (double)livery.Wide * fw) : safe.W;
        var inner = Whole(plate ? wide - (2 * pad) : wide - 8);
        var words = Stack(inner, fw, fh, plate ? safe.H - (2 * pad) - 16 : 0.7 * fh, sign: true);
        var content = words.Sum(p => p.Tall);
        var high = Math.Max((double)livery.Share * fh, content + (2.4 * pad));
        var (x, y) = (safe.X + ((safe.W - wide) / 2), 0.0);
        switch (livery.Form)
        {
            case FrontForm.Plate:
                high = Math.Min(high, safe.H - 8);
                y = safe.Y + Math.Max(4, 0.4 * (safe.H - high));
                Field("field", Part.Front, x, y, wide, high, livery.Ruled);
                break;
            case FrontForm.Band:
                y = Math.Max(safe.Y, 0.42 * (fh - high));
                Block(front, 0, fw, y, high);
                break;
            case FrontForm.Head:
                high += safe.Y;
                Block(front, 0, fw, 0, high);
                break;
            default:
                high += fh - safe.Y - safe.H;
                y = fh - high;
                Block(front, 0, fw, y, high);
                break;
        }
        // Words stand in the middle of the field's own safe part.
        var top = Math.Max(y, safe.Y);
        Lay(words, x + ((wide - inner) / 2), top, Math.Min(y + high, safe.Y + safe.H) - top, 0.5);
    }

    /// <summary>What is laid stands in its room so far down: at 0 its head, at 1 its foot.</summary>
    private static void Lay(List<Laying> parts, double x, double y, double room, double down)
    {
        var at = y + (Math.Max(0, room - parts.Sum(p => p.Tall)) * down);
        foreach (var part in parts)
        {
            part.Lay(x, at);
            at += part.Tall;
        }
    }

    /// <summary>Words down the fore-edge side, from the upper part of the column.</summary>
    private void Column(Panel front, (double X, double Y, double W, double H) safe, double pad)
    {
        var (fw, fh) = (front.Face.Width.Points, front.Face.Height.Points);
        // No wider than it is high, or it would be empty beside its words.
        var wide = Math.Min((double)livery.Wide * fw, 0.9 * fh);
        var spineRight = Panel(Part.Spine) is { } spine ? spine.Face.X > front.Face.X
            : _ticket.Reading == Reading.RightToLeft;
        var x = spineRight ? 0 : fw - wide;
        Block(front, x, wide, 0, fh);
        var (from, to) = (Math.Max(x + pad, safe.X + 4), Math.Min(x + wide - pad, safe.X + safe.W - 4));
        var inner = Whole(to - from);
        var words = Stack(inner, fw, fh, safe.H - (2 * pad), sign: true);
        // Who wrote it stands at the column's foot.
        var author = _ticket.Author.Length > 0 ? words[^1] : null;
        if (author is not null) words.RemoveAt(words.Count - 1);
        Lay(words, from, safe.Y + pad, safe.H - (2 * pad) - (author?.Tall ?? 0), 0.24);
        author?.Lay(from, safe.Y + safe.H - pad - author.Tall);
    }

    /// <summary>
    /// Words on the ground at the head of the front; under them a sign, or the picture, with room about it.
    /// </summary>
    private void Open(Panel front, (double X, double Y, double W, double H) safe, double pad)
    {
        if (livery.Border is not null || livery.Ruled)
            Edged("front", Part.Front, safe.X, safe.Y, safe.W, safe.H);
        var (fw, fh) = (front.Face.Width.Points, front.Face.Height.Points);
        var edge = livery.Border is not null || livery.Ruled ? 1.6 * pad : 0.4 * pad;
        var (x, y, w, h) = (safe.X + edge, safe.Y + edge, safe.W - (2 * edge), safe.H - (2 * edge));
        var inner = Whole(w);
        var words = Stack(inner, fw, fh, h - pad, sign: false);
        var content = words.Sum(p => p.Tall);
        var left = h - content - (1.6 * pad);
        var shape = carried.Picture is not null ? 1 : SignShape;
        var wide = Math.Min(Math.Min((double)livery.SignWide / 100 * Math.Min(fw, fh), w), left / shape * 0.82);
        if (wide < SignLeast || (livery.Sign is null && carried.Picture is null)) { Lay(words, x, y, h, 0.3); return; }
        var head = 0.22 * (left - (wide * shape));
        Lay(words, x, y + head, h, 0);
        var at = y + head + content + (0.8 * pad);
        at += (y + h - at - (wide * shape)) * 0.5;
        if (carried.Picture is { } picture)
            Items.Add(picture with
            {
                Id = "picture",
                Hold = At(Part.Front, HoldBox.Face, x + ((w - wide) / 2), at),
                Width = new(Points(wide)),
                Height = new(Points(wide)),
            });
        else Sign("sign", Part.Front, x + ((w - wide) / 2), at, wide);
    }

    /// <summary>
    /// The maker's own picture over the whole front, out over the bleed, in place of what is drawn there.
    /// </summary>
    private void Shown(Panel front, PictureItem picture)
    {
        var edge = front.Edge;
        Items.Add(picture with
        {
            Id = "picture",
            Hold = At(Part.Front, HoldBox.Face, (edge.X - front.Face.X).Points, (edge.Y - front.Face.Y).Points),
            Width = new(edge.Width),
            Height = new(edge.Height),
        });
    }

    /// <summary>A field that runs out over the bleed where it meets the front's edges.</summary>
    private void Block(Panel front, double x, double wide, double y, double high)
    {
        var (fw, fh) = (front.Face.Width.Points, front.Face.Height.Points);
        var (left, right) = ((front.Face.X - front.Edge.X).Points, (front.Edge.Right - front.Face.Right).Points);
        var (up, down) = ((front.Face.Y - front.Edge.Y).Points, (front.Edge.Bottom - front.Face.Bottom).Points);
        var (from, to) = (y <= 0.01 ? -up : y, y + high >= fh - 0.01 ? fh + down : y + high);
        var (west, east) = (x <= 0.01 ? -left : x, x + wide >= fw - 0.01 ? fw + right + 0.5 : x + wide);
        Box("field", Part.Front, west, from, east - west, to - from, livery.On);
        if (!livery.Ruled) return;
        foreach (var (n, edge) in new[] { from, to }.Where(e => e > 0 && e < fh).Index())
            Box($"edge-{n + 1}", Part.Front, -left, edge == from ? edge + 6 : edge - 8, fw + left + right, 2,
                LiveryTone.Accent);
        foreach (var side in new[] { west, east }.Where(e => e > 0 && e < fw))
            Box("edge-1", Part.Front, side == west ? side + 5 : side - 7, from, 2, to - from, LiveryTone.Accent);
    }

    private sealed record Laying(double Tall, Action<double, double> Lay);

    /// <summary>What stands on the front from its head down, as large as its room carries it.</summary>
    private List<Laying> Stack(double inner, double fw, double fh, double room, bool sign)
    {
        var stack = new List<Laying>();
        var side = Math.Min(fw, fh);
        var small = Math.Clamp(0.034 * side, 12, 22);
        void gap(double high) => stack.Add(new(high, (_, _) => { }));
        // On a broad front words from the left would leave all the right of it empty.
        var align = livery.Align == Align.Left && fw > 1.3 * fh && livery.Form != FrontForm.Column ? Align.Centre : livery.Align;
        // Left is where reading begins.
        var rightward = (align == Align.Left) == (_ticket.Reading == Reading.LeftToRight);
        double from(double x, double wide) => align switch
        {
            Align.Left or Align.Right => rightward ? x : x + inner - wide,
            _ => x + ((inner - wide) / 2),
        };
        void line(string id, TextRole role, string words, double size, int lines)
        {
            if (words.Length == 0) return;
            var style = Style(livery.Text, words, align, 1.25m);
            if (LiveryType.Fit(words, style, inner, room, Math.Max(size, Least), Least, lines, _ticket, type) is not var (fits, high))
            {
                Unfit.Add($"{words.Length} letters of {role.ToString().ToLowerInvariant()} in {lines} lines");
                return;
            }
            stack.Add(new(high + (0.3 * fits),
                (x, y) => Text(id, role, words, Part.Front, x, y, inner, style, fits, high)));
        }
        if (sign && livery.Sign is not null)
        {
            var wide = Math.Min((double)livery.SignWide / 100 * side, inner);
            if (wide >= SignLeast && wide * SignShape < 0.24 * room)
            {
                stack.Add(new(wide * SignShape, (x, y) => Sign("sign", Part.Front, from(x, wide), y, wide)));
                gap(1.2 * small);
            }
        }
        line("series", TextRole.Free, _ticket.Volume, 0.8 * small, 2);
        if (_ticket.Volume.Length > 0) gap(0.6 * small);
        if (_ticket.Title.Length > 0)
        {
            // Breaks that its maker forced or forbade stay.
            var title = carried.Title ?? _ticket.Title;
            var style = Style(livery.Display, title, align, 1.08m, display: true);
            // A short title is the larger for it.
            var brief = title.Length switch { <= 5 => 1.7, <= 9 => 1.4, <= 14 => 1.2, _ => 1 };
            var most = Math.Min((double)livery.Largest / 100 * side * brief, 160);
            // No smaller than what is still read where shops show it as high as a thumb.
            var least = Math.Max(12, livery.Smallest / 1000.0 * Math.Max(fw, fh));
            // Without spaces a short title would leave its last letter alone.
            var fit = title.Length < 8 && !title.Any(char.IsWhiteSpace)
                ? LiveryType.Fit(title, style, inner, 0.58 * room, most, least, 1, _ticket, type, ink: true)
                : null;
            fit ??= LiveryType.Fit(title, style, inner, 0.58 * room, most, least, 6, _ticket, type, ink: true);
            if (fit is var (size, high))
                stack.Add(new(high + (0.3 * size), (x, y) =>
                    Text("title", TextRole.Title, title, Part.Front, x, y, inner, style, size, high)));
            else Unfit.Add($"a title of {title.Length} letters");
        }
        if (livery.Dash)
        {
            gap(0.9 * small);
            var wide = Math.Min(0.22 * inner, 64);
            stack.Add(new(2, (x, y) => Box("dash", Part.Front, from(x, wide), y, wide, 2, LiveryTone.Accent)));
        }
        if (_ticket.Subtitle.Length > 0) gap(0.8 * small);
        line("subtitle", TextRole.Subtitle, _ticket.Subtitle, small, 4);
        if (_ticket.Author.Length > 0) gap(1.4 * small);
        line("author", TextRole.Author, _ticket.Author, 1.15 * small, 2);
        if (_ticket.Author.Length == 0 && livery.Shelves.Contains("notebook")) Label(stack, inner, small, from);
        return stack;
    }

    /// <summary>A book that is written in by hand has a plate to write on in place of an author.</summary>
    private void Label(List<Laying> stack, double inner, double small, Func<double, double, double> from)
    {
        var (wide, high) = (Math.Min(inner, 12 * small), 3.6 * small);
        stack.Add(new(1.4 * small, (_, _) => { }));
        stack.Add(new(high, (x, y) => Items.Add(new PlateItem
        {
            Id = "label",
            Hold = At(Part.Front, HoldBox.Face, from(x, wide), y),
            Width = new(Points(wide)),
            Height = new(Points(high)),
            Fill = Paint(LiveryTone.Light),
            Line = Paint(LiveryTone.Deep),
            LineWidth = Length.FromPoints(1),
            Corner = Length.FromPoints(3),
            Rules = 2,
        })));
    }
}
