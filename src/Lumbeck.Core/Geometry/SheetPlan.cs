namespace Lumbeck.Core.Geometry;

/// <summary>A strip before it has a place: what a binding lists, outermost left to outermost right of a left-to-right book.</summary>
public sealed record Strip(RegionKind Kind, Length Width, Part? Part = null)
{
    public bool IsOutside => Kind is RegionKind.Bleed or RegionKind.TurnIn;
}

/// <summary>
/// Lays strips out as a sheet: mirrors them for right-to-left books, then derives folds, panels and zones from their
/// order alone. Nothing else asks which way a book reads.
/// </summary>
public sealed class SheetPlan(House house, SpineSum spine, int pages)
{
    /// <param name="strips">In the order of a left-to-right book; they tile the sheet's width.</param>
    /// <param name="face">Height of the faces, trimmed.</param>
    /// <param name="beyond">Bleed above and below.</param>
    /// <param name="reading">Which way the book reads.</param>
    public Sheet Lay(IReadOnlyList<Strip> strips, Length face, Length beyond, Reading reading)
    {
        var ordered = reading == Reading.LeftToRight ? strips : [.. strips.Reverse()];
        var regions = ImmutableArray.CreateBuilder<Region>();
        var folds = ImmutableArray.CreateBuilder<Length>();
        var x = Length.Zero;
        for (var i = 0; i < ordered.Count; i++)
        {
            if (i > 0 && !ordered[i].IsOutside && !ordered[i - 1].IsOutside) folds.Add(x);
            regions.Add(new(ordered[i].Kind, ordered[i].Part, x, ordered[i].Width));
            x += ordered[i].Width;
        }
        var size = new Size(x, face + (2 * beyond));
        var trim = new Box(ordered[0].Width, beyond, x - ordered[0].Width - ordered[^1].Width, face);

        var panels = ImmutableArray.CreateBuilder<Panel>();
        var zones = ImmutableArray.CreateBuilder<Zone>();
        Bleeds(zones, size, trim);
        for (var i = 0; i < regions.Count; i++)
        {
            if (regions[i].Part is not { } part) continue;
            var left = Outside(ordered, i - 1);
            var right = Outside(ordered, i + 1);
            var faceBox = new Box(regions[i].X, trim.Y, regions[i].Width, face);
            panels.Add(part == Part.Spine
                ? SpinePanel(zones, faceBox, size)
                : FlatPanel(zones, part, faceBox, left, right, size, Neighbour(ordered, i - 1) == Part.Spine, Neighbour(ordered, i + 1) == Part.Spine));
        }
        if (panels.FirstOrDefault(p => p.Part == Part.Back) is { } back)
            Barcode(zones, back, panels.FirstOrDefault(p => p.Part == Part.Spine) is { } s && s.Face.X > back.Face.X);
        return new(size, trim, trim.Inset(house.TrimSafe), regions.ToImmutable(), folds.ToImmutable(), [], panels.ToImmutable(), zones.ToImmutable());
    }

    private static bool Outside(IReadOnlyList<Strip> strips, int i) => i < 0 || i >= strips.Count || strips[i].IsOutside;
    private static Part? Neighbour(IReadOnlyList<Strip> strips, int i) => i < 0 || i >= strips.Count ? null : strips[i].Part;

    private static void Bleeds(ImmutableArray<Zone>.Builder zones, Size size, Box trim)
    {
        const string why = "cut away: the ground must cover it, nothing that matters may enter";
        foreach (var strip in new Box(Length.Zero, Length.Zero, size.Width, size.Height).Without(trim))
            zones.Add(new(ZoneKind.Bleed, Part.Sheet, strip, why));
    }

    private Panel FlatPanel(ImmutableArray<Zone>.Builder zones, Part part, Box face, bool cutLeft, bool cutRight, Size sheet, bool spineLeft, bool spineRight)
    {
        var trimSafe = face.Inset(cutLeft ? house.TrimSafe : Length.Zero, house.TrimSafe, cutRight ? house.TrimSafe : Length.Zero, house.TrimSafe);
        var foldSafe = face.Inset(cutLeft ? Length.Zero : house.FoldSafe, Length.Zero, cutRight ? Length.Zero : house.FoldSafe, Length.Zero);
        var safe = trimSafe.Intersect(foldSafe);
        zones.Add(new(ZoneKind.TrimSafe, part, trimSafe, "what matters keeps this far from a cut"));
        zones.Add(new(ZoneKind.FoldSafe, part, foldSafe, "what matters keeps this far from a fold"));
        if (house.HingeScore is { Units: > 0 } score && (spineLeft || spineRight))
        {
            var band = spineLeft ? new Box(face.X, face.Y, score, face.Height) : new Box(face.Right - score, face.Y, score, face.Height);
            zones.Add(new(ZoneKind.Score, part, band, "scored so that the cover opens: background only"));
            safe = safe.Inset(spineLeft ? Beyond(score, safe.X - face.X) : Length.Zero, Length.Zero, spineRight ? Beyond(score, face.Right - safe.Right) : Length.Zero, Length.Zero);
        }
        zones.Add(new(ZoneKind.Safe, part, safe, "where words and what must stay whole may stand"));
        var edge = Box.FromEdges(cutLeft ? Length.Zero : face.X, Length.Zero, cutRight ? sheet.Width : face.Right, sheet.Height);
        return new(part, face, safe, edge, Turn.None);
    }

    private static Length Beyond(Length band, Length inset) => Length.Max(band - inset, Length.Zero);

    private Panel SpinePanel(ImmutableArray<Zone>.Builder zones, Box face, Size sheet)
    {
        var headAndFoot = face.Inset(Length.Zero, house.TrimSafe, Length.Zero, house.TrimSafe);
        var band = headAndFoot.Inset(house.SpineSafe, Length.Zero, house.SpineSafe, Length.Zero);
        var allowed = SpineText.Allowed(house, pages, spine.Width) && !band.IsEmpty;
        zones.Add(new(ZoneKind.TrimSafe, Part.Spine, headAndFoot, "what matters keeps this far from a cut"));
        if (allowed) zones.Add(new(ZoneKind.SpineSafe, Part.Spine, band, "where spine text may stand"));
        var edge = new Box(face.X, Length.Zero, face.Width, sheet.Height);
        return new(Part.Spine, face, band.IsEmpty ? headAndFoot : band, edge, house.SpineReading == SpineReading.Down ? Turn.Clockwise : Turn.CounterClockwise, allowed);
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
    public static bool Allowed(House house, int pages, Length spine) => pages >= house.SpineTextPages && spine >= house.SpineTextWidth;

    /// <summary>The reason in words, or null where spine text is allowed.</summary>
    public static string? WhyNot(House house, int pages, Length spine, Unit unit) =>
        pages < house.SpineTextPages ? $"{pages} pages; {house.Name} prints spine text from {house.SpineTextPages}"
        : spine < house.SpineTextWidth ? $"the spine is {spine.Show(unit)}; {house.Name} prints spine text from {house.SpineTextWidth.Show(unit)}"
        : null;
}
