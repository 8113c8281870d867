namespace Lumbeck.Core.Trade.Geometry;

/// <summary>A measure of a sheet that is not what it was; null where one of the two has no such part.</summary>
public sealed record Difference(string Name, Length? Was, Length? Is)
{
    /// <summary>“spine 0.829 in → 0.843 in (+0.014 in)”.</summary>
    public string Say(Unit unit) => (Was, Is) switch
    {
        ({ } was, { } now) => $"{Name} {was.Show(unit)} → {now.Show(unit)} " +
            $"({(now < was ? "−" : "+")}{Apart(was, now, unit)})",
        (null, { } now) => $"{Name} {now.Show(unit)}, new",
        ({ } was, null) => $"{Name} {was.Show(unit)} gone",
        _ => Name,
    };

    /// <summary>How far apart the two are as shown, so that the three figures agree.</summary>
    private static string Apart(Length was, Length now, Unit unit)
    {
        decimal shown(Length l) => LengthText.Number(l.Figure(unit))!.Value;
        return $"{Math.Abs(shown(now) - shown(was)).ToString("0.###", CultureInfo.InvariantCulture)} " +
            $"{LengthText.Name(unit)}";
    }
}

/// <summary>
/// What a change does to a sheet: the measures that differ. Its outlines, laid over each other, show where.
/// </summary>
public static class Changes
{
    /// <summary>The measures in which two sheets differ, the sheet's own first.</summary>
    public static IReadOnlyList<Difference> Between(Sheet was, Sheet now)
    {
        var (before, after) = (Measures(was), Measures(now));
        return [.. before.Keys.Concat(after.Keys).Distinct()
            .Select(name =>
                new Difference(name, before.TryGetValue(name, out var b) ? b : null,
                    after.TryGetValue(name, out var a) ? a : null))
            .Where(d => d.Was != d.Is)];
    }

    /// <summary>Whether anything of a sheet lies elsewhere: an edge, a fold, a face or a zone.</summary>
    public static bool Moves(Sheet was, Sheet now) =>
        was.Size != now.Size || was.Trim != now.Trim || !was.Folds.SequenceEqual(now.Folds)
            || !was.FoldsAcross.SequenceEqual(now.FoldsAcross)
        || !was.Panels.SequenceEqual(now.Panels) || !was.Zones.SequenceEqual(now.Zones);

    private static Dictionary<string, Length> Measures(Sheet s)
    {
        var m = new Dictionary<string, Length> { ["sheet’s width"] = s.Size.Width, ["sheet’s height"] = s.Size.Height };
        // Bleeds, turn-ins, flaps and fore-edges come in pairs of one width.
        foreach (var r in s.Regions)
            m[r.Kind switch
            {
                RegionKind.Bleed => "bleed",
                RegionKind.TurnIn => "turn-in",
                RegionKind.Flap => "flap",
                RegionKind.ForeEdge => "fore-edge",
                RegionKind.Spine => "spine",
                _ => "panel"
            }] = r.Width;
        foreach (var (kind, name) in ((ZoneKind, string)[])[(ZoneKind.Hinge, "hinge"), (ZoneKind.Score, "score"),
            (ZoneKind.Punch, "punch band"), (ZoneKind.SpineSafe, "spine’s safe band")])
            if (s.Zones.FirstOrDefault(z => z.Kind == kind) is { } zone) m[name] = zone.Box.Width;
        if (s.Panels.FirstOrDefault(p => p.Part is Part.Front or Part.Back) is { } panel)
        {
            m["panel’s height"] = panel.Face.Height;
            m["safe box’s width"] = panel.Safe.Width;
            m["safe box’s height"] = panel.Safe.Height;
        }
        if (s.Zone(ZoneKind.Barcode, Part.Back) is { } room)
        {
            m["barcode room’s width"] = room.Box.Width;
            m["barcode room’s height"] = room.Box.Height;
        }
        return m;
    }
}
