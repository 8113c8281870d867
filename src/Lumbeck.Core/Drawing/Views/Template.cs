namespace Lumbeck.Core.Drawing.Views;

/// <summary>
/// The blank sheet for work done elsewhere: its zones as drawing, one drawn item a kind of zone, for the whole sheet or one
/// panel with the edge that belongs to it.
/// Patterns first, so that it reads without colour: bleed a 45° hatch, folds dash-dot, safe limits dotted, worked bands
/// cross-hatched, trim solid.
/// </summary>
public static class Template
{
    private static readonly Ink Ink = Ink.Percent(60, 20, 30, 60);

    /// <param name="on">The sheet.</param>
    /// <param name="part">A panel of it, or <see cref="Part.Sheet"/> for all of it.</param>
    /// <param name="type">For the names of the panels.</param>
    /// <exception cref="Refusal">The sheet has no such panel.</exception>
    public static Scene Of(Sheet on, Part part, IType type)
    {
        var window = part == Part.Sheet ? on.Whole : on.Panel(part)?.Edge
            ?? throw new Refusal("panel",
                $"this sheet has no {part.Say()}: take {string.Join(", ", on.Panels.Select(p => p.Part.Word()))} or the whole sheet");
        var sheet = Cut(on, part, window);
        var items = ImmutableArray.CreateBuilder<DrawnItem>();
        void put(string name, params IEnumerable<Mark> marks)
        {
            var all = marks.ToImmutableArray();
            if (all.Length > 0)
                items.Add(new(name, Part.Sheet, Affine.Identity, all, Bounds.Of(sheet.Whole), Bounds.Of(sheet.Whole),
                    Clipped: true));
        }
        IEnumerable<Zone> of(ZoneKind kind) => sheet.Zones.Where(z => z.Kind == kind);
        put("bleed", of(ZoneKind.Bleed).Select(z => Hatch(z.Box, 6, false)));
        foreach (var kind in (ZoneKind[])[ZoneKind.Hinge, ZoneKind.Score, ZoneKind.Punch])
            put(kind.Word(), of(kind).Select(z => Hatch(z.Box, 8, true)));
        put("trim", Frame(sheet.Trim, []));
        put("folds",
            sheet.Folds.Select(f => Line(f.Points, 0, f.Points, sheet.Size.Height.Points))
                .Concat(sheet.FoldsAcross.Select(f => Line(0, f.Points, sheet.Size.Width.Points, f.Points))));
        put("safe", of(ZoneKind.Safe).Select(z => Frame(z.Box, [1, 4])));
        put("spine-safe", of(ZoneKind.SpineSafe).Select(z => Frame(z.Box, [1, 4])));
        put("barcode", of(ZoneKind.Barcode).Select(z => Frame(z.Box, [2, 3])));
        put("names", sheet.Panels.SelectMany(p => Name(p, type)));
        return new(sheet, items.ToImmutable());
    }

    /// <summary>A sheet seen through a window: moved to its corner, and cut at its edges.</summary>
    private static Sheet Cut(Sheet on, Part part, Box window)
    {
        Box moved(Box b) => b.Intersect(window) switch
        {
            var c => new(c.X - window.X, c.Y - window.Y, c.Width, c.Height),
        };
        var trim = part == Part.Sheet ? on.Trim : on.Panel(part)!.Face.Intersect(on.Trim);
        return new(window.Size, moved(trim), moved(on.Safe), [],
            [.. on.Folds.Where(f => f > window.X && f < window.Right).Select(f => f - window.X)], on.FoldsAcross,
            [.. on.Panels.Where(p => part == Part.Sheet || p.Part == part)
                .Select(p => p with { Face = moved(p.Face), Safe = moved(p.Safe), Edge = moved(p.Edge) })],
            [.. on.Zones.Where(z => part == Part.Sheet || z.Panel == part || z.Panel == Part.Sheet)
                .Select(z => z with { Box = moved(z.Box) }).Where(z => !z.Box.IsEmpty)]);
    }


    private static LineMark Frame(Box b, ImmutableArray<double> dash) =>
        new(Outline.Rectangle(b.X.Points, b.Y.Points, b.Width.Points, b.Height.Points), dash.Length > 0 ? 0.7 : 0.5,
            Ink)
        { Dash = dash };

    private static LineMark Line(double x1, double y1, double x2, double y2)
    {
        var pen = new Pen();
        pen.Move(x1, y1); pen.Line(x2, y2);
        return new(pen.Done(), 0.6, Ink) { Dash = [9, 3, 1.5, 3] };
    }

    /// <summary>Lines at 45° across a box, each from edge to edge; crossed by others where asked.</summary>
    private static LineMark Hatch(Box box, double step, bool crossed)
    {
        var b = Bounds.Of(box);
        var pen = new Pen();
        for (var c = Math.Ceiling((b.Left - b.Bottom) / step) * step; c <= b.Right - b.Top; c += step)
        {
            // x − y = c, between the box's edges.
            var (x1, x2) = (Math.Max(b.Left, b.Top + c), Math.Min(b.Right, b.Bottom + c));
            if (x2 > x1) { pen.Move(x1, x1 - c); pen.Line(x2, x2 - c); }
        }
        if (crossed)
            for (var c = Math.Ceiling((b.Left + b.Top) / step) * step; c <= b.Right + b.Bottom; c += step)
            {
                var (x1, x2) = (Math.Max(b.Left, c - b.Bottom), Math.Min(b.Right, c - b.Top));
                if (x2 > x1) { pen.Move(x1, c - x1); pen.Line(x2, c - x2); }
            }
        return new(pen.Done(), 0.25, Ink);
    }

    /// <summary>The panel's name and face, in its middle; left out on panels too narrow for them.</summary>
    private static IEnumerable<Mark> Name(Panel panel, IType type)
    {
        var f = Bounds.Of(panel.Face);
        var (w, h) = (f.Right - f.Left, f.Bottom - f.Top);
        if (w < 60) yield break;
        var style = new TextStyle
        {
            Face = new("work-sans", 400, false),
            Size = Length.FromPoints(9),
            Align = Align.Centre,
            Stand = Stand.Middle,
        };
        var says = $"{panel.Part.Say()}\n{panel.Face.Size.Show(Unit.Millimetre)}";
        foreach (var line in Typesetter.Set(says, style, w, h, type).Lines)
            foreach (var run in line.Runs)
                yield return new GlyphMark(run.Face, run.Size, f.Left + line.X, f.Top + line.Baseline, run.Glyphs,
                    run.Text, Ink, Overprint: false);
    }
}
