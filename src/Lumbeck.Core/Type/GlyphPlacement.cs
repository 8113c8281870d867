namespace Lumbeck.Core.Type;

/// <summary>
/// From along a line and across lines to the box's own points: straight, on an arc, or from the head down. Glyphs of a
/// straight line are told from the line's own beginning,
/// all others from the box's corner.
/// </summary>
internal sealed class GlyphPlacement
{
    private readonly TextToSet _text;
    private readonly double _along, _across, _middle, _radius, _width, _height;
    private readonly bool _bent;

    public GlyphPlacement(TextToSet text, Layout.Line line, int number, double room, double reach, double width,
        double height)
    {
        (_text, Number, _along, _across, _width, _height) = (text, number, line.Along, line.Across, width, height);
        _bent = text.Bend != 0 && !text.Upright;
        if (_bent)
        {
            // The first line's baseline takes the arc that was asked for; those below it run round the same middle.
            _radius = room / (text.Bend * Math.PI / 180);
            _middle = room / 2;
            _across = line.Across - reach;
            Reach = reach;
        }
        (X, Y) = _bent || text.Upright ? (0, 0) : (line.Along, line.Across);
    }

    public int Number { get; }
    public double X { get; }
    public double Y { get; }
    private double Reach { get; }

    public PlacedGlyph Glyph(ShapedGlyph g, string letters, double at, double scale, double raise, ItemizedRun s,
        IType type)
    {
        if (_text.Upright)
        {
            var m = type.Metrics(s.Face);
            // Letters that lie on their side stand with the middle of their height on the line's.
            var (x, y) = s.Sideways
                ? (-((m.Ascent - m.Descent) * scale / 2) - raise + (g.Dy * scale), at + (g.Dx * scale))
                : ((g.Dx * scale) - raise, at - (g.Dy * scale));
            var (ux, uy, turn) = OnPanel(Wide - _across + x, _along + y);
            return new(g.Id, ux, uy, letters, turn + (s.Sideways ? 90 : 0));
        }
        if (!_bent) return new(g.Id, at + (g.Dx * scale), raise - (g.Dy * scale), letters);
        // A glyph stands square to the arc under its own middle.
        var half = g.Advance * scale / 2;
        var (cx, cy, angle) = At(at + half, raise - (g.Dy * scale));
        var (sin, cos) = Math.SinCos(angle * Math.PI / 180);
        var back = (g.Dx * scale) - half;
        return new(g.Id, cx + (back * cos), cy + (back * sin), letters, angle);
    }

    /// <summary>A place along the line, and so far below its baseline, in the box.</summary>
    public (double X, double Y, double Turn) At(double along, double below)
    {
        if (_text.Upright) { var (x, y, turn) = OnPanel(Wide - _across, _along + along); return (x, y, turn + 90); }
        if (!_bent) return (_along + along, _across + below, 0);
        var angle = (_along + along - _middle) / _radius;
        var r = _radius - _across - below;
        return (_middle + (r * Math.Sin(angle)), Reach + _radius - (r * Math.Cos(angle)), angle * 180 / Math.PI);
    }

    /// <summary>How wide the box is across the lines of upright text.</summary>
    private double Wide => _text.Turned == Turn.None ? _width : _height;

    /// <summary>From the upright box to the box as its panel is read.</summary>
    private (double X, double Y, double Turn) OnPanel(double x, double y) => _text.Turned switch
    {
        Turn.Clockwise => (y, _height - x, -90),
        Turn.CounterClockwise => (_width - y, x, 90),
        _ => (x, y, 0),
    };
}
