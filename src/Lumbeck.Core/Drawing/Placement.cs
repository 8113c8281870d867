namespace Lumbeck.Core.Drawing;

/// <summary>
/// Where an item lies. <paramref name="Box"/> is in the level frame of the box it hangs in (a spine is read level);
/// <paramref name="ToSheet"/> carries the item's own points, from its box's corner, to the sheet.
/// </summary>
public sealed record Placement(Panel Panel, Box Hung, Box Box, Affine ToSheet)
{
    /// <summary>The placing of an item on a sheet, or null where the sheet has no such panel.</summary>
    public static Placement? Of(Item item, Surface sheet)
    {
        var hold = item.Hold;
        var panel = hold.Panel == Part.Sheet
            ? new Panel(Part.Sheet, sheet.Trim, sheet.Safe, sheet.Whole, Turn.None)
            : sheet.Panel(hold.Panel);
        if (panel is null) return null;
        var hung = hold.Box switch
        {
            HoldBox.Face => panel.Face,
            HoldBox.Edge => panel.Edge,
            HoldBox.Room => sheet.Zone(ZoneKind.Barcode, hold.Panel)?.Box ?? panel.Safe,
            _ => panel.Safe,
        };
        var level = panel.Turn == Turn.None ? hung.Size : new Size(hung.Height, hung.Width);
        var (w, h) = item switch
        {
            { OwnSize: { } own } => own,
            LineItem line => new Size(line.Width.In(level.Width), line.LineWidth),
            _ => new Size(item.Width.In(level.Width), item.Height.In(level.Height)),
        };
        var x = (hold.Across * (level.Width - w)) + hold.Dx;
        var y = (hold.Down * (level.Height - h)) + hold.Dy;

        var turned = item.Turned == 0
            ? Affine.Identity
            : Affine.Move(-w.Points / 2, -h.Points / 2).Then(Affine.Rotate((double)item.Turned))
                .Then(Affine.Move(w.Points / 2, h.Points / 2));
        return new(panel, hung, new(x, y, w, h),
            turned.Then(Affine.Move(x.Points, y.Points)).Then(Frame(hung, panel.Turn)));
    }

    /// <summary>From a box's level frame to the sheet.</summary>
    public static Affine Frame(Box box, Turn turn) => turn switch
    {
        Turn.Clockwise => Affine.Rotate(90).Then(Affine.Move(box.Right.Points, box.Y.Points)),
        Turn.CounterClockwise => Affine.Rotate(270).Then(Affine.Move(box.X.Points, box.Bottom.Points)),
        _ => Affine.Move(box.X.Points, box.Y.Points),
    };

    /// <summary>
    /// How far the box it hangs in lies outside its panel's face on each side, in points, as the panel is read.
    /// </summary>
    public Bounds BeyondFace
    {
        get
        {
            double out_(Length outside) => Math.Max(0, outside.Points);
            var f = Panel.Face;
            var (l, t, r, b) = (out_(f.X - Hung.X), out_(f.Y - Hung.Y), out_(Hung.Right - f.Right),
                out_(Hung.Bottom - f.Bottom));
            return Panel.Turn switch
            {
                Turn.Clockwise => new(t, r, b, l),
                Turn.CounterClockwise => new(b, l, t, r),
                _ => new(l, t, r, b),
            };
        }
    }

    /// <summary>The item's box on the sheet, exact for items that are not turned by hand.</summary>
    public Box OnSheet(Item item)
    {
        if (item.Turned != 0) return ToSheet.Of(new(0, 0, Box.Width.Points, Box.Height.Points)).ToBox();
        return Panel.Turn switch
        {
            Turn.Clockwise => new(Hung.Right - Box.Bottom, Hung.Y + Box.X, Box.Height, Box.Width),
            Turn.CounterClockwise => new(Hung.X + Box.Y, Hung.Bottom - Box.Right, Box.Height, Box.Width),
            _ => new(Hung.X + Box.X, Hung.Y + Box.Y, Box.Width, Box.Height),
        };
    }
}
