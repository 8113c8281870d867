namespace Lumbeck.Core.Liveries;

/// <summary>The back and the flaps.</summary>
internal sealed partial class LiveryComposer
{
    public void Back()
    {
        if (Panel(Part.Back) is not { } back) return;
        var safe = Safe(back);
        var side = Math.Min(back.Face.Width.Points, back.Face.Height.Points);
        var room = sheets.Select(s => s.Zone(ZoneKind.Barcode, Part.Back)).FirstOrDefault(z => z is not null)?.Box;
        // All words of a back stand on one field above the barcode's room.
        var foot = room is { } r ? (r.Y - back.Face.Y).Points - 8 : safe.Y + safe.H;
        var pad = 0.05 * side;
        var (x, w) = (safe.X + 4, safe.W - 8);
        var inner = w - (2 * pad);
        var flap = Panel(Part.FrontFlap) is not null && Panel(Part.BackFlap) is not null;
        List<(string Id, TextRole Role, string Words)> parts =
        [
            .. _ticket.ReviewQuotes.Take(3).Select((q, n) => ($"quotation-{n + 1}", TextRole.Quotation, q.Printed)),
            ("blurb", TextRole.Blurb, _ticket.Blurb),
            .. flap ? [] : (ReadOnlySpan<(string, TextRole, string)>)[("note", TextRole.Note, _ticket.Note)],
            ("contents", TextRole.Free, string.Join('\n', inside.Lines)),
        ];
        parts.RemoveAll(p => p.Words.Length == 0);
        var top = safe.Y + 4;
        if (parts.Count > 0) top = Copy(Part.Back, parts, x, top, w, foot - top, inner, pad, "back");
        if (Pages(safe.X + 4, top, w, foot - top)) top = foot;
        // A back that says little is not left bare: the front's sign stands on it, small.
        var wide = Math.Min(0.8 * (double)livery.SignWide / 100 * side, 0.5 * (foot - top) / SignShape);
        if (wide < SignLeast && SignLeast * SignShape < 0.8 * (foot - top)) wide = SignLeast;
        if (livery.Sign is not null && livery.Paper is null && livery.Vista is null && wide >= SignLeast)
            Sign("back-sign", Part.Back, safe.X + ((safe.W - wide) / 2), top + ((foot - top - (wide * SignShape)) / 2), wide);
        Foot(back, safe, room);
        if (_ticket.Isbn is not null)
            Items.Add(BarcodeItem.In(_ticket.House, "barcode"));
    }

    /// <summary>
    /// Where a shop puts it, its prices and whose it is: small, at the foot, clear of the barcode's room.
    /// </summary>
    private void Foot(Panel back, (double X, double Y, double W, double H) safe, Box? room)
    {
        string[] lines = [_ticket.Category,
            string.Join(" · ", new[] { _ticket.Price?.ToString(), _ticket.SecondPrice?.ToString() }.OfType<string>()),
            _ticket.Imprint];
        var words = string.Join('\n', lines.Where(l => l.Length > 0));
        if (words.Length == 0) return;
        var (from, to) = (safe.X + 4, safe.X + safe.W - 4);
        if (room is { } r)
        {
            // On the side of the barcode where there is more.
            var (left, right) = ((r.X - back.Face.X).Points - 10, (r.Right - back.Face.X).Points + 10);
            (from, to) = left - from >= to - right ? (from, left) : (right, to);
        }
        const double within = 5;
        var wide = Whole(to - from - (2 * within));
        var style = Style(livery.Text, words, Align.Left, 1.3m);
        var fit = wide < 40 ? null : LiveryType.Fit(words, style, wide, 80, Math.Max(9, Least), Least, 6, _ticket, type);
        if (fit is not var (size, high)) return;
        var tall = high + (0.3 * size);
        var y = safe.Y + safe.H - 4 - tall - within;
        if (livery.Form != FrontForm.Open)
            Box("foot-field", Part.Back, from, y - within, to - from, tall + (2 * within), livery.On);
        Text("foot", TextRole.Category, words, Part.Back, from + within, y, wide, style, size, high);
    }

    public void Flaps()
    {
        if (Panel(Part.BackFlap) is not { } flap || _ticket.Note.Length == 0) return;
        var safe = Safe(flap);
        var pad = 0.06 * flap.Face.Width.Points;
        Copy(Part.BackFlap, [("note", TextRole.Note, _ticket.Note)], safe.X, safe.Y, safe.W, safe.H,
            safe.W - (2 * pad), pad, "flap");
    }

    /// <summary>Reading copy on a field as high as it takes, all in one size; says where it ends.</summary>
    private double Copy(Part panel, List<(string Id, TextRole Role, string Words)> parts, double x, double y, double w, double h,
        double inner, double pad, string id)
    {
        inner = Whole(inner);
        var (portrait, over) = PortraitIn(inner);
        if (_ticket.Portrait is null || !parts.Any(p => p.Role == TextRole.Note)) portrait = 0;
        if (portrait > 0 && Copied(panel, parts, x, y, w, h, inner, pad, id, portrait, over) is { } withPicture) return withPicture;
        if (Copied(panel, parts, x, y, w, h, inner, pad, id, 0, over) is { } ended) return ended;
        Unfit.Add($"{parts.Sum(p => p.Words.Length)} letters on the {panel.Say()}");
        return y;
    }

    /// <summary>
    /// Where the copy ends, with the author's picture so wide by the note; null where it has no room.
    /// </summary>
    private double? Copied(Part panel, List<(string Id, TextRole Role, string Words)> parts, double x, double y, double w,
        double h, double inner, double pad, string id, double portrait, bool over)
    {
        const double gap = 8;
        bool bears((string Id, TextRole Role, string Words) part) => portrait > 0 && part.Role == TextRole.Note;
        double lineOf((string Id, TextRole Role, string Words) part) =>
            bears(part) && !over ? Whole(inner - portrait - gap) : inner;
        var picture = portrait * PortraitShape;
        for (var size = 12.0; size >= Least; size -= 0.5)
        {
            var heights = new List<double>();
            foreach (var part in parts)
            {
                var fit = LiveryType.Fit(part.Words, Copied(part.Words), lineOf(part), h, size, size, 400, _ticket, type);
                if (fit is not var (_, high)) break;
                var text = high + (0.3 * size);
                heights.Add(!bears(part) ? text : over ? picture + gap + text : Math.Max(picture, text));
            }
            var gaps = (parts.Count - 1) * size;
            var tall = heights.Sum() + gaps + (2 * pad);
            if (heights.Count < parts.Count || tall > h) continue;
            if (livery.Form != FrontForm.Open)
                Field(id + "-field", panel, x, y, w, tall, livery.Ruled && livery.Form == FrontForm.Plate
                    && livery.Border is null);
            var at = y + pad;
            foreach (var (part, high) in parts.Zip(heights))
            {
                var (shown, left) = (bears(part), _ticket.Reading == Reading.LeftToRight);
                // The picture stands where reading begins, or over the words.
                if (shown) Portrait(_ticket.Portrait!, panel, x + pad + (left || over ? 0 : inner - portrait), at, portrait);
                var (right, down) = (shown && !over && left ? portrait + gap : 0, shown && over ? picture + gap : 0);
                Text(part.Id, part.Role, part.Words, panel, x + pad + right, at + down, lineOf(part), Copied(part.Words), size,
                    high - down - (0.3 * size));
                at += high + size;
            }
            return y + tall;
        }
        return null;
    }

    // A right-to-left paragraph's left is where its reading begins. Paragraphs that blank lines part need no more room.
    private TextStyle Copied(string words) => Style(livery.Text, words, Align.Left, 1.4m) with
    {
        Space = words.Contains("\n\n", StringComparison.Ordinal) ? Length.Zero : Length.FromPoints(1),
    };
}
