namespace Lumbeck.Core.Outlines;

public enum PathVerb : byte { Move, Line, Quad, Cubic, Close }

/// <summary>A path: strokes and their coordinates, in whatever units its owner says.</summary>
public sealed class Outline(ImmutableArray<PathVerb> strokes, ImmutableArray<double> points)
{
    public static Outline Empty { get; } = new([], []);

    public ImmutableArray<PathVerb> Strokes { get; } = strokes;
    /// <summary>x, y pairs: one for a move or line, two for a quad, three for a cubic.</summary>
    public ImmutableArray<double> Points { get; } = points;

    public bool IsEmpty => Strokes.IsEmpty;

    /// <summary>
    /// The smallest upright rectangle round all points, control points too; the drawn shape lies within it.
    /// </summary>
    public Bounds Bounds => _bounds ??= Measure();
    private Bounds? _bounds;

    private Bounds Measure()
    {
        var b = Bounds.None;
        for (var i = 0; i < Points.Length; i += 2) b = b.With(Points[i], Points[i + 1]);
        return b;
    }

    /// <summary>The same path under a placing.</summary>
    public Outline Under(Affine place)
    {
        var moved = ImmutableArray.CreateBuilder<double>(Points.Length);
        for (var i = 0; i < Points.Length; i += 2)
        {
            var (x, y) = place.At(Points[i], Points[i + 1]);
            moved.Add(x);
            moved.Add(y);
        }
        return new(Strokes, moved.MoveToImmutable());
    }

    public static Outline Rectangle(double x, double y, double w, double h)
    {
        var pen = new Pen();
        pen.Move(x, y); pen.Line(x + w, y); pen.Line(x + w, y + h); pen.Line(x, y + h); pen.Close();
        return pen.Done();
    }

    /// <summary>A rectangle with quarter-circle corners, each drawn as one cubic (0.03 % off a circle).</summary>
    public static Outline Rounded(double x, double y, double w, double h, double r)
    {
        r = Math.Min(r, Math.Min(w, h) / 2);
        if (r <= 0) return Rectangle(x, y, w, h);
        var k = r * 0.44771525016920655;
        var pen = new Pen();
        pen.Move(x + r, y);
        pen.Line(x + w - r, y); pen.Cubic(x + w - k, y, x + w, y + k, x + w, y + r);
        pen.Line(x + w, y + h - r); pen.Cubic(x + w, y + h - k, x + w - k, y + h, x + w - r, y + h);
        pen.Line(x + r, y + h); pen.Cubic(x + k, y + h, x, y + h - k, x, y + h - r);
        pen.Line(x, y + r); pen.Cubic(x, y + k, x + k, y, x + r, y);
        pen.Close();
        return pen.Done();
    }
}

/// <summary>Draws an <see cref="Outline"/>.</summary>
public sealed class Pen
{
    private readonly ImmutableArray<PathVerb>.Builder _strokes = ImmutableArray.CreateBuilder<PathVerb>();
    private readonly ImmutableArray<double>.Builder _points = ImmutableArray.CreateBuilder<double>();

    public void Move(double x, double y) => Add(PathVerb.Move, x, y);
    public void Line(double x, double y) => Add(PathVerb.Line, x, y);
    public void Quad(double x1, double y1, double x, double y) => Add(PathVerb.Quad, x1, y1, x, y);
    public void Cubic(double x1, double y1, double x2, double y2, double x, double y) =>
        Add(PathVerb.Cubic, x1, y1, x2, y2, x, y);
    public void Close() => _strokes.Add(PathVerb.Close);
    /// <summary>Another path after this one.</summary>
    public void Add(Outline other)
    {
        _strokes.AddRange(other.Strokes);
        _points.AddRange(other.Points);
    }

    public Outline Done() => new(_strokes.ToImmutable(), _points.ToImmutable());

    private void Add(PathVerb stroke, params ReadOnlySpan<double> points)
    {
        _strokes.Add(stroke);
        foreach (var p in points) _points.Add(p);
    }
}

/// <summary>An upright rectangle in drawing points.</summary>
public readonly record struct Bounds(double Left, double Top, double Right, double Bottom)
{
    /// <summary>Whether another lies in it, to a hair.</summary>
    public bool Holds(Bounds other) => other.Left >= Left - 0.01 && other.Top >= Top - 0.01
        && other.Right <= Right + 0.01 && other.Bottom <= Bottom + 0.01;

    /// <summary>A box in points.</summary>
    public static Bounds Of(Box b) => new(b.X.Points, b.Y.Points, b.Right.Points, b.Bottom.Points);

    public static Bounds None =>
        new(double.PositiveInfinity, double.PositiveInfinity, double.NegativeInfinity, double.NegativeInfinity);
    public bool IsEmpty => !(Right > Left) || !(Bottom > Top);
    public Bounds With(double x, double y) =>
        new(Math.Min(Left, x), Math.Min(Top, y), Math.Max(Right, x), Math.Max(Bottom, y));
    public Bounds Union(Bounds o) =>
        new(Math.Min(Left, o.Left), Math.Min(Top, o.Top), Math.Max(Right, o.Right), Math.Max(Bottom, o.Bottom));
    /// <summary>As exact lengths on the sheet.</summary>
    /// <summary>What lies in both; empty where they do not meet.</summary>
    public Bounds Meet(Bounds o) => new(Math.Max(Left, o.Left), Math.Max(Top, o.Top), Math.Min(Right, o.Right), Math.Min(Bottom, o.Bottom));

    /// <summary>The same and so much more on every side, or less.</summary>
    public Bounds Wider(double by) => new(Left - by, Top - by, Right + by, Bottom + by);

    public Box ToBox() =>
        IsEmpty
            ? default
            : Box.FromEdges(Length.FromDrawing(Left), Length.FromDrawing(Top), Length.FromDrawing(Right),
                Length.FromDrawing(Bottom));
}

/// <summary>A placing of a drawing: x' = a·x + c·y + e, y' = b·x + d·y + f.</summary>
public readonly record struct Affine(double A, double B, double C, double D, double E, double F)
{
    public static Affine Identity => new(1, 0, 0, 1, 0, 0);
    public static Affine Move(double x, double y) => new(1, 0, 0, 1, x, y);
    /// <summary>Clockwise on a y-down sheet; quarter turns are exact.</summary>
    public static Affine Rotate(double degrees)
    {
        var d = ((degrees % 360) + 360) % 360;
        var (s, c) = d switch
        {
            0 => (0.0, 1.0),
            90 => (1.0, 0.0),
            180 => (0.0, -1.0),
            270 => (-1.0, 0.0),
            _ => Math.SinCos(d * Math.PI / 180),
        };
        return new(c, s, -s, c, 0, 0);
    }

    /// <summary>This placing first, then <paramref name="next"/>.</summary>
    public Affine Then(Affine next) => new(
        (A * next.A) + (B * next.C), (A * next.B) + (B * next.D),
        (C * next.A) + (D * next.C), (C * next.B) + (D * next.D),
        (E * next.A) + (F * next.C) + next.E, (E * next.B) + (F * next.D) + next.F);

    /// <summary>The placing that undoes this one; of one that flattens everything, nothing sensible.</summary>
    public Affine Inverse()
    {
        var d = (A * this.D) - (B * C);
        return new(this.D / d, -B / d, -C / d, A / d, ((C * F) - (this.D * E)) / d, ((B * E) - (A * F)) / d);
    }

    public (double X, double Y) At(double x, double y) => ((A * x) + (C * y) + E, (B * x) + (D * y) + F);

    public Bounds Of(Bounds b)
    {
        if (b.IsEmpty) return Bounds.None;
        var r = Bounds.None;
        foreach (var (x, y) in (ReadOnlySpan<(double, double)>)[(b.Left, b.Top), (b.Right, b.Top), (b.Left, b.Bottom),
            (b.Right, b.Bottom)])
        {
            var p = At(x, y);
            r = r.With(p.X, p.Y);
        }
        return r;
    }
}
