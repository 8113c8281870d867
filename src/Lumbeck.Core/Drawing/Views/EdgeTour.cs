namespace Lumbeck.Core.Drawing.Views;

/// <summary>
/// One stop of the edge tour: a part of the sheet to look at closely, what of it is bare, and that in words.
/// </summary>
public sealed record TourStop(string Name, Box Window, IReadOnlyList<Box> Bare, string Says);

/// <summary>
/// Eight stops where covers go wrong: the corners, the spine's ends, the fore-edge of the front, and the barcode.
/// </summary>
public static class EdgeTour
{
    /// <summary>What a stop shows: small enough that a bare hair is seen.</summary>
    private static readonly Size Window = Size.FromMillimetres(32, 20);

    public static IReadOnlyList<TourStop> Of(Take take, IReadOnlyList<Swatch> swatches, Sheet sheet, Unit unit)
    {
        var t = sheet.Trim;
        var white = take.Ground is { Pattern: null, Paint: InkPaint or SwatchPaint }
            && take.Ground.Paint.Resolve(swatches) == Ink.White;
        var unpainted = take with { Ground = new() };
        var spine = sheet.Panel(Part.Spine)?.Face ?? t;
        var across = spine.X + (0.5m * spine.Width);
        var middle = sheet.Panel(Part.Spine) is null ? "middle of the" : "spine’s";
        var front = sheet.Panel(Part.Front) ?? sheet.Panels[0];
        // The side of the front that is farther from the spine.
        var fore = Length.Abs(front.Face.X - across) > Length.Abs(front.Face.Right - across)
            ? front.Face.X
            : front.Face.Right;
        List<(string Name, Length X, Length Y)> stops =
        [
            ("corner at head left", t.X, t.Y), ($"{middle} head", across, t.Y), ("corner at head right", t.Right, t.Y),
            ("fore-edge of the front", fore, t.Y + (0.5m * t.Height)),
            ("corner at foot right", t.Right, t.Bottom), ($"{middle} foot", across, t.Bottom),
                ("corner at foot left", t.X, t.Bottom),
        ];
        var tour = stops.Select(s =>
            Stop(s.Name, new(s.X - (0.5m * Window.Width), s.Y - (0.5m * Window.Height), Window.Width, Window.Height)))
            .ToList();
        if ((Code(take, sheet) ?? sheet.Zone(ZoneKind.Barcode, Part.Back)?.Box) is { } room)
        {
            var edge = Length.FromMillimetres(4);
            tour.Add(Stop("barcode",
                new(room.X - edge, room.Y - edge, room.Width + (2 * edge), room.Height + (2 * edge))));
        }
        return tour;

        TourStop Stop(string name, Box window)
        {
            var bare = Coverage.Bare(take, sheet, window);
            var widest = bare.Count == 0 ? Length.Zero : bare.Max(b => Length.Min(b.Width, b.Height));
            var says = bare.Count > 0 ? $"bare, up to {widest.Show(unit)} wide"
                // Nothing but the white that the ground was given.
                : white && Coverage.Bare(unpainted, sheet, window).Count > 0
                    ? "white paper, as the ground is white, to the edge of the sheet"
                : "covered to the edge of the sheet";
            return new(name, window, bare, says);
        }
    }

    private static Box? Code(Take take, Sheet sheet) =>
        take.Items.OfType<BarcodeItem>().FirstOrDefault(b => !b.Hidden) is { } code
            && Placement.Of(code, sheet) is { } at
            ? at.OnSheet(code)
            : null;
}
