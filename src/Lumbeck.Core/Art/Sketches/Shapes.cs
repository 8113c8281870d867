namespace Lumbeck.Core.Art.Sketches;

/// <summary>Shapes that many drawings are made of, in millimetres.</summary>
internal static class Shapes
{
    public static Outline Of(Action<Pen> draw)
    {
        var pen = new Pen();
        draw(pen);
        return pen.Done();
    }

    public static void Box(this Pen pen, double left, double top, double right, double bottom)
    {
        pen.Move(left, top);
        pen.Line(right, top);
        pen.Line(right, bottom);
        pen.Line(left, bottom);
        pen.Close();
    }

    public static Outline Box(double left, double top, double right, double bottom) =>
        Of(pen => pen.Box(left, top, right, bottom));

    /// <summary>A circle as four cubics.</summary>
    public static void Circle(this Pen pen, double x, double y, double r)
    {
        const double k = 0.5522847498;
        pen.Move(x + r, y);
        pen.Cubic(x + r, y + (k * r), x + (k * r), y + r, x, y + r);
        pen.Cubic(x - (k * r), y + r, x - r, y + (k * r), x - r, y);
        pen.Cubic(x - r, y - (k * r), x - (k * r), y - r, x, y - r);
        pen.Cubic(x + (k * r), y - r, x + r, y - (k * r), x + r, y);
        pen.Close();
    }

    public static Outline Circle(double x, double y, double r) => Of(pen => pen.Circle(x, y, r));

    /// <summary>A closed shape through corners.</summary>
    public static void Polygon(this Pen pen, IEnumerable<(double X, double Y)> corners)
    {
        var first = true;
        foreach (var (x, y) in corners)
        {
            if (first) pen.Move(x, y);
            else pen.Line(x, y);
            first = false;
        }
        if (!first) pen.Close();
    }

    /// <summary>A line through points.</summary>
    public static void Path(this Pen pen, params ReadOnlySpan<(double X, double Y)> points)
    {
        for (var i = 0; i < points.Length; i++)
            if (i == 0) pen.Move(points[i].X, points[i].Y);
            else pen.Line(points[i].X, points[i].Y);
    }

    /// <summary>A leaf from its stalk at 0, 0 to its tip, so long and so wide.</summary>
    public static Outline Leaf(double length, double wide) => Of(pen =>
    {
        pen.Move(0, 0);
        pen.Cubic(length * 0.2, -wide * 0.62, length * 0.68, -wide * 0.55, length, 0);
        pen.Cubic(length * 0.68, wide * 0.55, length * 0.2, wide * 0.62, 0, 0);
        pen.Close();
    });
}
