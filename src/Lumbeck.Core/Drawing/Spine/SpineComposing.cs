namespace Lumbeck.Core.Drawing.Spine;

/// <summary>
/// The spine's words by the trade's order: from the head down title, then author, with the imprint at the foot; where a
/// language's spines run up, the same places with the words turned.
/// They are as large as its safe band carries, each in its share, with their capitals on the band's middle.
/// </summary>
public static class SpineComposing
{
    /// <summary>Sizes beside the title's.</summary>
    private static decimal Share(TextRole role) => role switch
    {
        TextRole.Title => 1,
        TextRole.Author => 0.72m,
        _ => 0.56m,
    };

    /// <summary>Between two of them, in sizes of the title.</summary>
    private const double Gap = 1.1;

    /// <summary>Kept free at both ends, in points: letters may reach a little beyond their own width.</summary>
    private const double Ends = 2;

    /// <summary>Between the words and a mark at the foot, in points.</summary>
    private const double MarkGap = 6;
    private static readonly Length Most = Length.FromPoints(96), Least = Length.FromPoints(1);

    /// <summary>
    /// A take with what is composed on its spine placed anew; the same take where nothing is, or where no words may
    /// stand.
    /// </summary>
    public static Take Compose(Take take, Sheet sheet, Ticket ticket, IType type)
    {
        var parts = take.Items.OfType<TextItem>()
            .Where(t =>
                t is { Composed: true, Hidden: false, Locked: false } && t.Hold.Panel == Part.Spine
                    && t.Words.Length > 0)
            .OrderBy(t =>
                t.Role switch
                {
                    TextRole.Title => 0,
                    TextRole.Subtitle => 1,
                    TextRole.Author => 2,
                    TextRole.Imprint => 4,
                    _ => 3,
                })
            .ToList();
        if (parts.Count == 0 || sheet.Panel(Part.Spine) is not { } spine
            || sheet.Zone(ZoneKind.SpineSafe, Part.Spine) is not { } band)
            return take;
        var up = spine.Turn == Turn.CounterClockwise;
        // Words keep clear of a mark that hangs at the foot.
        var foots = take.Items.OfType<PictureItem>().Where(p => p is { Hidden: false, Picture: not null, Fit: Art.Pictures.Fit.Contain }
            && p.Hold is { Panel: Part.Spine, Box: HoldBox.Safe } && p.Hold.Anchor == (up ? Anchor.Left : Anchor.Right))
            .Select(p => p.Width.In(band.Box.Height).Points + Math.Abs(p.Hold.Dx.Points)).DefaultIfEmpty(0).Max();
        var marked = foots > 0 ? foots + MarkGap : 0;
        var (along, across) = (band.Box.Height.Points - (2 * Ends) - marked, band.Box.Width.Points);
        var measured = parts.Select(p => Measure(p, ticket, spine.Turn, type)).ToList();
        var gaps = Gap * (parts.Count - 1);
        double sizeIn(double length) =>
            measured.Select(m => across / m.Across).Append(length / (measured.Sum(m => m.Along) + gaps)).Min();
        // Sloping letters and swashes reach out of their own width at an end: more than is kept free there is made room
        // for.
        double over(double size) => Math.Max(0, (measured.Max(m => m.Over) * Math.Min(size, Most.Points)) - Ends);
        var ends = Ends + over(sizeIn(along));
        along -= 2 * (ends - Ends);
        var size = sizeIn(along);
        // Whole tenths of a point, and never more than a hair under what would touch.
        var title = Length.Max(Least,
            Length.Min(Most, Length.FromPoints((decimal)Math.Floor((size * 0.998) * 10) / 10)));
        var k = title.Points;
        var starts = new double[parts.Count];
        var (head, foot) = (0.0, along);
        var last = parts.Count - 1;
        if (parts.Count > 1 && parts[last].Role == TextRole.Imprint)
        {
            starts[last] = foot -= measured[last].Along * k;
            last--;
            foot -= Gap * k;
        }
        for (var i = 0; i <= last; i++) { starts[i] = head; head += (measured[i].Along + Gap) * k; }
        head -= Gap * k;
        // Room that is left parts the author from the title, half of it on either side; a title alone stands in the
        // middle.
        var rest = Math.Max(0, foot - head);
        for (var i = 0; i <= last; i++)
            if (i > 0 || last == 0) starts[i] += last == parts.Count - 1 && last > 0 ? rest : rest / 2;

        var items = take.Items;
        for (var i = 0; i < parts.Count; i++)
        {
            var (p, m) = (parts[i], measured[i]);
            var wide = (m.Along * k) + 0.2;
            var x = ends + (up ? marked : 0) + (up ? along - starts[i] - wide : starts[i]);
            var shared = Round(Share(p.Role) * title);
            items = items.Replace(p, p with
            {
                Hold = new(Part.Spine, HoldBox.Safe, Anchor.Left, Tidy(x), Tidy(m.Rise * k)),
                Width = new(Tidy(wide)),
                // Taller than the band where a line's own room is: what counts is what its letters cover.
                Height = new(Length.Max(Tidy(across),
                    Tidy(k * (double)Share(p.Role) * 1.6 * (1 + p.Words.Count(c => c == '\n'))))),
                Turned = 0,
                Fit = Fitting.AsSet,
                Runs = [.. p.Runs.Select(r => r with { Style = r.Style with { Size = null } })
                    .Where(r => r.Style != RunStyle.None)],
                Style = p.Style with
                {
                    Size = shared,
                    Align = Align.Centre,
                    Stand = Stand.Middle,
                    Leading = Math.Min(p.Style.Leading, 1),
                    Raise = Length.Zero,
                },
            });
        }
        return items.SequenceEqual(take.Items) ? take : take with { Items = items };
    }

    private static Length Round(Length l) => Length.FromPoints(Math.Floor((decimal)l.Points * 100) / 100);
    private static Length Tidy(double points) => Length.FromPoints((decimal)Math.Round(points, 2));

    /// <summary>
    /// How long and how tall words are for one point of the title's size, how far their middle is to be moved down to put
    /// their capitals on the band's, and how far their ink reaches beyond an end.
    /// </summary>
    private static (double Along, double Across, double Rise, double Over) Measure(TextItem item, Ticket ticket, Turn turn,
        IType type)
    {
        const double large = 100;
        var share = (double)Share(item.Role);
        var plain = item with
        {
            Fit = Fitting.AsSet,
            Columns = 1,
            Bend = 0,
            Runs = [.. item.Runs.Select(r => r with { Style = r.Style with { Size = null } })],
            Style = item.Style with
            {
                Size = Length.FromPoints((decimal)(large * share)),
                Align = Align.Left,
                Stand = Stand.Middle,
                Leading = Math.Min(item.Style.Leading, 1),
                Raise = Length.Zero,
            },
        };
        var text = plain.ToSet(ticket, turn);
        const double room = 100_000;
        var set = Typesetter.Set(text, room, room, type);
        var m = type.Metrics(item.Style.Face);
        var cap = m.CapHeight * large * share / m.UnitsPerEm;
        var wide = set.Lines.Select(l => l.Width).DefaultIfEmpty(1).Max();
        if (item.Upright || set.Lines.IsEmpty)
            return (Math.Max(1, set.Lines.Select(l => l.Width).DefaultIfEmpty(1).Max()) / large, share * 1.05, 0, 0);
        // The ink's edges from the middle of the capitals of the middle line.
        var inked = TextDrawing.Inked(set.Lines.SelectMany(l =>
            l.Runs.Select(r =>
                (Mark)new GlyphMark(r.Face, r.Size, l.X, l.Baseline, r.Glyphs, r.Text, Ink.Black, false))),
            type);
        var middle = ((set.Lines[0].Baseline + set.Lines[^1].Baseline) / 2) - (cap / 2);
        if (inked.IsEmpty) return (wide / large, share, 0, 0);
        var half = Math.Max(middle - inked.Top, inked.Bottom - middle);
        var long_ = Math.Max(wide, inked.Right - inked.Left);
        // The box is as long as the longer of width and ink, with the letters' own width in its middle.
        var begins = set.Lines.Min(l => l.X);
        var over = Math.Max(begins - inked.Left, inked.Right - set.Lines.Max(l => l.X + l.Width)) - ((long_ - wide) / 2);
        return (long_ / large, 2 * half / large, ((room / 2) - middle) / large, Math.Max(0, over / large));
    }
}
