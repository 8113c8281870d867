namespace Lumbeck.Core.Checks;

/// <summary>Mends that several rules share.</summary>
internal static class Mending
{
    /// <summary>
    /// Brings an item within a room: moved where it fits, else as wide as the room and its type as small as that asks
    /// for; null where no certain way leads there.
    /// </summary>
    public static Edit? Into(Item item, Box ink, Box room)
    {
        if (item.Locked || room.IsEmpty) return null;
        if (ink.Width <= room.Width && ink.Height <= room.Height)
            return new DropItem(item.Id, Inward(ink.X, ink.Right, room.X, room.Right),
                Inward(ink.Y, ink.Bottom, room.Y, room.Bottom));
        if (item is not TextItem { Bend: 0, Turned: 0 } || item.Hold.Panel == Part.Spine) return null;
        var (wide, high) = (Length.Min(ink.Width, room.Width), Length.Min(ink.Height, room.Height));
        var (x, y) = (Held(ink.X + (0.5m * ink.Width), wide, room.X, room.Right),
            Held(ink.Y + (0.5m * ink.Height), high, room.Y, room.Bottom));
        return new Together([new LayItem(item.Id, x, y, wide, high), new FitText(item.Id, Fitting.Shrink)],
            $"fit {item.Said} in");
    }

    private static Length Inward(Length from, Length to, Length least, Length most) =>
        from < least ? least - from : to > most ? most - to : default;

    private static Length Held(Length middle, Length size, Length least, Length most) =>
        Length.Max(least + (0.5m * size), Length.Min(most - (0.5m * size), middle));

    /// <summary>
    /// Paints a shape, text, what has one ink, or the ground with another ink; where a swatch gives the ink, the swatch.
    /// </summary>
    public static Edit? Paint(CheckContext look, Item? item, Func<Ink, Ink> change)
    {
        var paint = item switch
        {
            null => look.Take.Ground.Paint,
            TextItem { Runs.IsEmpty: true } t => t.Style.Paint,
            ShapeItem s => s.Fill?.Paint,
            { OneInk: { } field } => Facts.Paint(look.Job, field.Show(item, FieldFacts.Terms(look.Job))),
            _ => null,
        };
        if (item is { Locked: true } || paint is null or GradientPaint or FinishPaint) return null;
        if (paint is SwatchPaint { Tint: 10_000 } swatch
            && look.Job.Swatches.FirstOrDefault(s => s.Id == swatch.Swatch) is { } known)
            return new SetSwatch(known.Id, Ink: change(known.Ink));
        var ink = new InkPaint(change(paint.Resolve(look.Job.Swatches)));
        return item switch
        {
            null => new PaintGround(ink, look.On.Wrap),
            TextItem => new StyleText(item.Id, Paint: ink),
            { OneInk: { } field } => new SetField(item.Id, field.Key, new(Paint: ink)),
            _ => new FillShape(item.Id, ink),
        };
    }

    /// <summary>A mix with no more ink than a limit in percent: the colours give way, black stays.</summary>
    public static Ink Within(Ink ink, decimal limit)
    {
        var (most, colours) = ((int)(limit * 100), ink.C + ink.M + ink.Y);
        if (colours + ink.K <= most || colours == 0) return ink;
        var left = Math.Max(0, most - ink.K);
        int less(int part) => part * left / colours;
        return new(less(ink.C), less(ink.M), less(ink.Y), ink.K);
    }
}
