namespace Lumbeck.Core.Drawing.Spine;

/// <summary>How large the spine's title may be set.</summary>
public static class SpineFit
{
    /// <summary>
    /// The size at which the first title on the spine would touch its safe band or the end of its box; null where there
    /// is none.
    /// </summary>
    public static Length? Of(Take take, Scene scene)
    {
        if (scene.Surface.Zone(ZoneKind.SpineSafe, Part.Spine) is not { } band) return null;
        var title = take.Items.OfType<TextItem>()
            .FirstOrDefault(t => t.Hold.Panel == Part.Spine && t.Role == TextRole.Title && !t.Hidden);
        if (title is null
            || scene.Item(title.Id) is not
            {
                Inked.IsEmpty: false,
                Layout: { Lines: [var line, ..], Size: var size }
            } drawn)
            return null;
        // On the sheet the spine's words run upright: their height is the ink's width there.
        var tall = drawn.Inked.Right - drawn.Inked.Left;
        var along = drawn.Frame.Bottom - drawn.Frame.Top;
        var grow = Math.Min(band.Box.Width.Points / tall, along / line.Width);
        return Length.FromPoints((decimal)(Math.Floor(size * grow * 10) / 10));
    }
}
