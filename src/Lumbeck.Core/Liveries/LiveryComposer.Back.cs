namespace Lumbeck.Core.Liveries;

/// <summary>The spine, the back and the flaps.</summary>
internal sealed partial class LiveryComposer
{
    /// <summary>
    /// Title and surname where both are legible, else the title, else none: a spine is never filled with what
    /// nobody reads.
    /// </summary>
    public void Spine()
    {
        if (Panel(Part.Spine) is not { } spine
            || !SpineText.Allowed(_ticket.House, _ticket.Pages, spine.Face.Width))
            return;
        Items.Add(new RectItem
        {
            Id = "spine-field",
            Hold = At(Part.Spine, HoldBox.Edge, 0, 0),
            Width = Span.Full,
            Height = Span.Full,
            Fill = Paint(LiveryTone.Light),
        });
        var title =
            OnSpine("spine-title", TextRole.Title, _ticket.SpineTitle.Length > 0 ? _ticket.SpineTitle : _ticket.Title,
            livery.Display);
        var author = OnSpine("spine-author", TextRole.Author, _ticket.Author.Split(' ')[^1], livery.Text);
        foreach (var words in (TextItem[][])[[title, author], [title]])
        {
            TextItem[] said = [.. words.Where(w => w.Words.Length > 0)];
            var sheet = sheets.First(s => s.Panel(Part.Spine) is not null);
            var composed = SpineComposing.Compose(new("", "", new(), [.. said]), sheet, _ticket, type)
                .Items.OfType<TextItem>();
            var least = Math.Max(LeastOnSpine,
                Length.Max(_ticket.House.TextLeast, _ticket.House.TextReversedLeast).Points);
            if (composed.Any(t => t.Style.Size.Points < least)) continue;
            Items.AddRange(said);
            return;
        }
    }

    /// <summary>In points.</summary>
    private const double LeastOnSpine = 8;

    private TextItem OnSpine(string id, TextRole role, string says, FaceId face) => new()
    {
        Id = id,
        Role = role,
        Words = says,
        Composed = true,
        Hold = new(Part.Spine, HoldBox.Safe, Anchor.Left, default, default),
        Width = new(Length.FromMillimetres(40)),
        Height = Span.Full,
        Style = Style(face, says, Align.Centre, 1) with { Stand = Stand.Middle },
    };

    public void Back()
    {
        if (Panel(Part.Back) is not { } back) return;
        var safe = Safe(back);
        var room = sheets.Select(s => s.Zone(ZoneKind.Barcode, Part.Back)).FirstOrDefault(z => z is not null)?.Box;
        // All words of a back stand on one field above the barcode's room.
        var foot = room is { } r ? (r.Y - back.Face.Y).Points - 8 : safe.Y + safe.H;
        var pad = 0.05 * Math.Min(back.Face.Width.Points, back.Face.Height.Points);
        var (x, w) = (safe.X + 4, safe.W - 8);
        var inner = w - (2 * pad);
        var flap = Panel(Part.FrontFlap) is not null && Panel(Part.BackFlap) is not null;
        List<(string Id, TextRole Role, string Words)> parts =
        [
            .. _ticket.Quotations.Take(3).Select((q, n) => ($"quotation-{n + 1}", TextRole.Quotation,
                q.Source.Length > 0 ? $"“{q.Words}”\n{q.Source}" : $"“{q.Words}”")),
            ("blurb", TextRole.Blurb, _ticket.Blurb),
            .. flap ? [] : (ReadOnlySpan<(string, TextRole, string)>)[("note", TextRole.Note, _ticket.Note)],
        ];
        parts.RemoveAll(p => p.Words.Length == 0);
        if (parts.Count > 0) Copy(Part.Back, parts, x, safe.Y + 4, w, foot - safe.Y - 4, inner, pad, "back");
        if (_ticket.Isbn is not null)
            Items.Add(new BarcodeItem
            {
                Id = "barcode",
                Hold = new(Part.Back, HoldBox.Room, Anchor.Middle, default, default)
            });
    }

    public void Flaps()
    {
        if (Panel(Part.BackFlap) is not { } flap || _ticket.Note.Length == 0) return;
        var safe = Safe(flap);
        var pad = 0.06 * flap.Face.Width.Points;
        Copy(Part.BackFlap, [("note", TextRole.Note, _ticket.Note)], safe.X, safe.Y, safe.W, safe.H,
            safe.W - (2 * pad), pad, "flap");
    }

    /// <summary>Reading copy on a field as high as it takes, all in one size.</summary>
    private void Copy(Part panel, List<(string Id, TextRole Role, string Words)> parts, double x, double y, double w, double h,
        double inner, double pad, string id)
    {
        inner = Whole(inner);
        for (var size = 12.0; size >= 8; size -= 0.5)
        {
            var heights = new List<double>();
            foreach (var (_, _, words) in parts)
            {
                var fit = LiveryType.Fit(words, Copied(words), inner, h, size, size, 400, _ticket, type);
                if (fit is not var (_, high)) break;
                heights.Add(high + (0.3 * size));
            }
            var gaps = (parts.Count - 1) * size;
            if (heights.Count < parts.Count || heights.Sum() + gaps + (2 * pad) > h) continue;
            Field(id + "-field", panel, HoldBox.Face, x, y, w, heights.Sum() + gaps + (2 * pad), LiveryTone.Light, livery.Ruled
                && livery.Form == FrontForm.Plate);
            var at = y + pad;
            foreach (var ((name, role, words), high) in parts.Zip(heights))
            {
                Text(name, role, words, panel, HoldBox.Face, x + pad, at, inner, Copied(words), size,
                    high - (0.3 * size));
                at += high + size;
            }
            return;
        }
        Unfit.Add($"{parts.Sum(p => p.Words.Length)} letters on the {panel.Say()}");
    }

    // A right-to-left paragraph's left is where its reading begins.
    private TextStyle Copied(string words) =>
        Style(livery.Text, words, Align.Left, 1.4m) with { Space = Length.FromPoints(1) };
}
