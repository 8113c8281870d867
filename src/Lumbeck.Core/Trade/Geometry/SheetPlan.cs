namespace Lumbeck.Core.Trade.Geometry;

/// <summary>
/// A strip before it has a place: what a binding lists, outermost left to outermost right of a left-to-right book.
/// </summary>
public sealed record Strip(RegionKind Kind, Length Width, Part? Part = null)
{
    public bool IsOutside => Kind is RegionKind.Bleed or RegionKind.TurnIn;
}

/// <summary>
/// Lays strips out as a sheet: mirrors them for right-to-left books, then derives folds, panels and zones from their
/// order alone. Nothing else asks which way a book reads.
/// </summary>
public sealed class SheetPlan(House house, SpineSum spine)
{
    /// <summary>
    /// What is folded round the boards at head and foot, as the turn-in strips are at the sides; 0 where nothing is.
    /// </summary>
    public Length TurnIn { get; init; }

    /// <summary>Whether words on the spine run from its foot to its head.</summary>
    public bool SpineUp { get; init; }

    /// <summary>Width of a case's hinge beside its spine.</summary>
    public Length Hinge { get; init; }

    /// <summary>
    /// Of a loose cover, whether it is punched at the left in a left-to-right book; null for what is not punched.
    /// </summary>
    public bool? BoundAtLeft { get; init; }

    /// <param name="strips">In the order of a left-to-right book; they tile the sheet's width.</param>
    /// <param name="face">Height of the faces, trimmed or turned.</param>
    /// <param name="bleed">Bleed above and below, beyond any turn-in.</param>
    /// <param name="reading">Which way the book reads.</param>
    public Sheet Lay(IReadOnlyList<Strip> strips, Length face, Length bleed, Reading reading)
    {
        var ordered = reading == Reading.LeftToRight ? strips : [.. strips.Reverse()];
        var regions = ImmutableArray.CreateBuilder<Region>();
        var folds = ImmutableArray.CreateBuilder<Length>();
        var x = Length.Zero;
        for (var i = 0; i < ordered.Count; i++)
        {
            // Every join of two strips is a fold, but for the cut at the bleed.
            if (i > 0 && ordered[i].Kind != RegionKind.Bleed && ordered[i - 1].Kind != RegionKind.Bleed) folds.Add(x);
            regions.Add(new(ordered[i].Kind, ordered[i].Part, x, ordered[i].Width));
            x += ordered[i].Width;
        }
        var head = bleed + TurnIn;
        var size = new Size(x, face + (2 * head));
        var trim = new Box(ordered[0].Width, bleed, x - ordered[0].Width - ordered[^1].Width,
            size.Height - (2 * bleed));
        // The faces together: what shows when the book is closed and its edges are cut or turned.
        var first = regions.First(r => r.Part is not null);
        var last = regions.Last(r => r.Part is not null);
        var faces = Box.FromEdges(first.X, head, last.X + last.Width, head + face);

        var panels = ImmutableArray.CreateBuilder<Panel>();
        var zones = ImmutableArray.CreateBuilder<Zone>();
        Outer(zones, size, trim, faces);
        for (var i = 0; i < regions.Count; i++)
        {
            if (regions[i].Part is not { } part) continue;
            var box = new Box(regions[i].X, head, regions[i].Width, face);
            panels.Add(part == Part.Spine
                ? SpinePanel(zones, box, size)
                : FlatPanel(zones, part, box, Outside(ordered, i - 1), Outside(ordered, i + 1), size,
                    Neighbour(ordered, i - 1) == Part.Spine, Neighbour(ordered, i + 1) == Part.Spine, reading));
        }
        if (panels.FirstOrDefault(p => p.Part == Part.Back) is { } back)
            Barcode(zones, back, BoundRight(panels, back, reading));
        return new(size, trim, faces.Inset(house.TrimSafe), regions.ToImmutable(), folds.ToImmutable(),
            TurnIn.IsZero ? [] : [head, head + face], panels.ToImmutable(), zones.ToImmutable());
    }

    private static bool Outside(IReadOnlyList<Strip> strips, int i) =>
        i < 0 || i >= strips.Count || strips[i].IsOutside;
    private static Part? Neighbour(IReadOnlyList<Strip> strips, int i) =>
        i < 0 || i >= strips.Count ? null : strips[i].Part;

    private static void Outer(ImmutableArray<Zone>.Builder zones, Size size, Box trim, Box faces)
    {
        foreach (var strip in new Box(Length.Zero, Length.Zero, size.Width, size.Height).Without(trim)
            .Where(b => !b.IsEmpty))
            zones.Add(new(ZoneKind.Bleed, Part.Sheet, strip,
                "cut away: the ground must cover it, nothing that matters may enter"));
        foreach (var strip in trim.Without(faces).Where(b => !b.IsEmpty))
            zones.Add(new(ZoneKind.Bleed, Part.Sheet, strip,
                "folded round the board: the ground must cover it, nothing that matters may enter"));
    }

    /// <summary>Whether the binding edge of the back lies at its right.</summary>
    private static bool BoundRight(IEnumerable<Panel> panels, Panel back, Reading reading)
    {
        var beside = panels.FirstOrDefault(p => p.Part is Part.Spine or Part.Front);
        return beside is null ? reading == Reading.LeftToRight : beside.Face.X > back.Face.X;
    }

    private Panel FlatPanel(ImmutableArray<Zone>.Builder zones, Part part, Box face, bool cutLeft, bool cutRight,
        Size sheet, bool spineLeft, bool spineRight, Reading reading)
    {
        // Beside a case's spine the fold inset starts after the hinge.
        var (left, right) = (house.FoldSafe + (spineLeft ? Hinge : Length.Zero),
            house.FoldSafe + (spineRight ? Hinge : Length.Zero));
        var trimSafe = face.Inset(cutLeft ? house.TrimSafe : Length.Zero, house.TrimSafe,
            cutRight ? house.TrimSafe : Length.Zero, house.TrimSafe);
        var foldSafe = face.Inset(cutLeft ? Length.Zero : left, Length.Zero, cutRight ? Length.Zero : right,
            Length.Zero);
        var safe = trimSafe.Intersect(foldSafe);
        zones.Add(new(ZoneKind.TrimSafe, part, trimSafe, "what matters keeps this far from a cut or a turned edge"));
        zones.Add(new(ZoneKind.FoldSafe, part, foldSafe, "what matters keeps this far from a fold"));
        Box band(Length width, bool atLeft)
        {
            safe = safe.Inset(atLeft ? Beyond(width, safe.X - face.X) : Length.Zero, Length.Zero,
                atLeft ? Length.Zero : Beyond(width, face.Right - safe.Right), Length.Zero);
            return atLeft
                ? new Box(face.X, face.Y, width, face.Height)
                : new Box(face.Right - width, face.Y, width, face.Height);
        }
        var besideSpine = spineLeft || spineRight;
        if (besideSpine && !Hinge.IsZero)
            zones.Add(new(ZoneKind.Hinge, part, band(Hinge, spineLeft),
                "the groove in which the cover opens: background only"));
        else if (besideSpine && house.HingeScore is { Units: > 0 } score)
            zones.Add(new(ZoneKind.Score, part, band(score, spineLeft),
                "scored so that the cover opens: background only"));
        if (BoundAtLeft is { } atLeftOfLtr)
            zones.Add(new(ZoneKind.Punch, part, band(house.PunchBand, atLeftOfLtr == (reading == Reading.LeftToRight)),
                "punched for the binding: background only"));
        if (part is not (Part.BackForeEdge or Part.FrontForeEdge))
            zones.Add(new(ZoneKind.Safe, part, safe, "where words and what must stay whole may stand"));
        var edge = Box.FromEdges(cutLeft ? Length.Zero : face.X, Length.Zero, cutRight ? sheet.Width : face.Right,
            sheet.Height);
        return new(part, face, safe, edge, Turn.None, part is not (Part.BackForeEdge or Part.FrontForeEdge));
    }

    private static Length Beyond(Length band, Length inset) => Length.Max(band - inset, Length.Zero);

    private Panel SpinePanel(ImmutableArray<Zone>.Builder zones, Box face, Size sheet)
    {
        var headAndFoot = face.Inset(Length.Zero, house.TrimSafe, Length.Zero, house.TrimSafe);
        var band = headAndFoot.Inset(house.SpineSafe, Length.Zero, house.SpineSafe, Length.Zero);
        var allowed = SpineText.Allowed(house, spine.Pages, spine.Width) && !band.IsEmpty;
        zones.Add(new(ZoneKind.TrimSafe, Part.Spine, headAndFoot, "what matters keeps this far from a cut"));
        if (allowed) zones.Add(new(ZoneKind.SpineSafe, Part.Spine, band, "where spine text may stand"));
        var edge = new Box(face.X, Length.Zero, face.Width, sheet.Height);
        return new(Part.Spine, face, band.IsEmpty ? headAndFoot : band, edge,
            SpineUp ? Turn.CounterClockwise : Turn.Clockwise, allowed);
    }

    private void Barcode(ImmutableArray<Zone>.Builder zones, Panel back, bool spineOnRight)
    {
        var room = house.BarcodeRoom;
        var toFoot = house.BarcodeFromFoot ?? house.TrimSafe;
        var y = back.Face.Bottom - toFoot - room.Height;
        var right = house.BarcodeCorner == BarcodeCorner.SpineFoot == spineOnRight;
        var inset = right ? back.Face.Right - back.Safe.Right : back.Safe.X - back.Face.X;
        var fromSide = Length.Max(house.BarcodeFromSide ?? inset, inset);
        var x = house.BarcodeCorner == BarcodeCorner.FootMiddle
            ? back.Face.X + (0.5m * (back.Face.Width - room.Width))
            : right ? back.Face.Right - fromSide - room.Width : back.Face.X + fromSide;
        zones.Add(new(ZoneKind.Barcode, Part.Back, new(x, y, room.Width, room.Height), "kept for the barcode"));
    }
}

/// <summary>Whether a house prints words on this spine, and why not.</summary>
public static class SpineText
{
    public static bool Allowed(House house, int pages, Length spine) =>
        pages >= house.SpineTextPages && spine >= house.SpineTextWidth;

    /// <summary>The reason in words, or null where spine text is allowed.</summary>
    public static string? WhyNot(House house, int pages, Length spine, Unit unit) =>
        pages < house.SpineTextPages ? $"{pages} pages; {house.Name} prints spine text from {house.SpineTextPages}"
        : spine < house.SpineTextWidth
            ? $"the spine is {spine.Show(unit)}; {house.Name} prints spine text from {house.SpineTextWidth.Show(unit)}"
        : null;
}
