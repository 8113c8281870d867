namespace Lumbeck.Core.Drawing.Marked;

/// <summary>One stroke of drawing, in points within its drawn item.</summary>
public abstract record Mark
{
    private protected Mark() { }

    /// <summary>What a reader says of this kind of mark.</summary>
    public abstract T Accept<T>(IMarkVisitor<T> visitor);

    /// <summary>
    /// The finishing ink it is laid in, with its tint in hundredths of a percent: a plate of its own that leaves all
    /// others as they are. Its process ink is then a likeness for screens alone.
    /// </summary>
    public (string Name, int Tint)? Finish { get; init; }
}

/// <summary>A filled shape. An overprinting ink leaves the other plates as they are.</summary>
public sealed record FillMark(Outline Shape, Ink Ink, bool Overprint = false) : Mark, IPlainInk
{
    public override T Accept<T>(IMarkVisitor<T> visitor) => visitor.Fill(this);
    Ink? IPlainInk.Plain => Finish is null ? Ink : null;
    bool IPlainInk.Overprints => Overprint;
    Mark IPlainInk.With(Ink ink, bool overprint) => this with { Ink = ink, Overprint = overprint };

    /// <summary>Filled by the even-odd rule instead of the non-zero one.</summary>
    public bool EvenOdd { get; init; }
}

/// <summary>A shape filled with a run of inks.</summary>
public sealed record GradientMark(Outline Shape, Gradient Gradient) : Mark
{
    public override T Accept<T>(IMarkVisitor<T> visitor) => visitor.Gradient(this);

    public bool EvenOdd { get; init; }
}

/// <summary>
/// A run of inks in points: along the line from its start to its end, or outward from its start to a circle through its
/// end. Between stops each ink runs evenly;
/// before the first and after the last nothing changes.
/// </summary>
public sealed record Gradient(bool IsRadial, double X0, double Y0, double X1, double Y1,
    ImmutableArray<(double At, Ink Ink)> Stops)
{
    /// <summary>From the run's own points to its drawn item's, where it is stretched or leans.</summary>
    public Affine Transform { get; init; } = Affine.Identity;

    /// <summary>
    /// Where a round run begins, within its circle; its middle where null (SVG 2, 14.2.3; ISO 32000-1, 8.7.4.5.4).
    /// </summary>
    public (double X, double Y)? Focus { get; init; }

    /// <summary>The same run carried elsewhere.</summary>
    public Gradient Transformed(Affine m)
    {
        // Carried without a stretch, a run stays what it is; else it keeps its own points.
        var plain = Transform == Affine.Identity && Math.Abs((m.A * m.C) + (m.B * m.D)) < 1e-9
            && Math.Abs((m.A * m.A) + (m.B * m.B) - (m.C * m.C) - (m.D * m.D)) < 1e-9;
        if (!plain) return this with { Transform = Transform.Then(m) };
        var ((x0, y0), (x1, y1)) = (m.At(X0, Y0), m.At(X1, Y1));
        return this with { X0 = x0, Y0 = y0, X1 = x1, Y1 = y1, Focus = Focus is { } f ? m.At(f.X, f.Y) : null };
    }

    /// <summary>
    /// By how much a straight run goes on with each point to the right and each point down; null where that is not the
    /// same everywhere.
    /// </summary>
    public (double Right, double Down)? Slope
    {
        get
        {
            var (dx, dy) = (X1 - X0, Y1 - Y0);
            var square = (dx * dx) + (dy * dy);
            return IsRadial || Focus is not null || square <= 0 ? null : (dx / square, dy / square);
        }
    }

    /// <summary>How far along its run a point lies, in its own points; 0 at its start, 1 at its end.</summary>
    public double Along(double x, double y)
    {
        if (Focus is { } focus) return FromFocus(focus, x, y);
        var (dx, dy) = (X1 - X0, Y1 - Y0);
        var square = (dx * dx) + (dy * dy);
        if (square <= 0) return 0;
        return IsRadial
            ? Math.Sqrt((((x - X0) * (x - X0)) + ((y - Y0) * (y - Y0))) / square)
            : (((x - X0) * dx) + ((y - Y0) * dy)) / square;
    }

    /// <summary>The largest of the circles, growing from the focus to the run's own, on which a point lies.</summary>
    private double FromFocus((double X, double Y) focus, double x, double y)
    {
        var (cx, cy, px, py) = (X0 - focus.X, Y0 - focus.Y, x - focus.X, y - focus.Y);
        var square = ((X1 - X0) * (X1 - X0)) + ((Y1 - Y0) * (Y1 - Y0));
        var a = (cx * cx) + (cy * cy) - square;
        var b = (px * cx) + (py * cy);
        var c = (px * px) + (py * py);
        return a >= 0 ? 1 : (b - Math.Sqrt(Math.Max(0, (b * b) - (a * c)))) / a;
    }

    /// <summary>The ink there, in hundredths of a percent of each, not rounded.</summary>
    public (double C, double M, double Y, double K) At(double along)
    {
        var i = 0;
        while (i < Stops.Length && Stops[i].At < along) i++;
        if (i == 0 || i == Stops.Length) { var e = Stops[i == 0 ? 0 : ^1].Ink; return (e.C, e.M, e.Y, e.K); }
        var ((from, a), (to, b)) = (Stops[i - 1], Stops[i]);
        var t = to > from ? (along - from) / (to - from) : 1;
        return (a.C + (t * (b.C - a.C)), a.M + (t * (b.M - a.M)), a.Y + (t * (b.Y - a.Y)), a.K + (t * (b.K - a.K)));
    }
}

/// <summary>How a line ends, and each of its dashes (ISO 32000-1, table 54).</summary>
public enum LineCap { Butt, Round, Square }

/// <summary>How a line turns a corner (ISO 32000-1, table 55).</summary>
public enum LineJoin { Miter, Round, Bevel }

/// <summary>
/// A stroked shape. The program's own lines have round joins and butt ends; drawings have what they say.
/// </summary>
public sealed record LineMark(Outline Shape, double Width, Ink Ink) : Mark, IPlainInk
{
    public override T Accept<T>(IMarkVisitor<T> visitor) => visitor.Line(this);
    Ink? IPlainInk.Plain => Finish is null ? Ink : null;
    bool IPlainInk.Overprints => false;
    Mark IPlainInk.With(Ink ink, bool overprint) => this with { Ink = ink };

    /// <summary>Lengths of strokes and gaps in turn, in points; none for a whole line.</summary>
    public ImmutableArray<double> Dash { get; init; } = [];
    /// <summary>How far into the dashes the line begins, in points.</summary>
    public double DashFrom { get; init; }
    public LineCap Cap { get; init; } = LineCap.Butt;
    public LineJoin Join { get; init; } = LineJoin.Round;
    /// <summary>How many times its width a mitered corner may reach before it is cut off.</summary>
    public double MiterLimit { get; init; } = 4;

    /// <summary>Whether another line is drawn just as this is, whatever its shape.</summary>
    public bool IsLike(LineMark other) =>
        other with { Shape = Shape, Dash = Dash } == this && other.Dash.SequenceEqual(Dash);

    /// <summary>How far it reaches beyond its shape, in points.</summary>
    public double Reach => Width / 2 * (Join == LineJoin.Miter ? MiterLimit : Cap == LineCap.Square ? Math.Sqrt(2) : 1);
}

/// <summary>
/// A run of type from <paramref name="X"/>, <paramref name="Y"/> on its baseline; <paramref name="Text"/> in reading
/// order.
/// </summary>
public sealed record GlyphMark(FaceId Face, double Size, double X, double Y, ImmutableArray<PlacedGlyph> Glyphs,
    string Text, Ink Ink, bool Overprint)
    : Mark, IPlainInk
{
    public override T Accept<T>(IMarkVisitor<T> visitor) => visitor.Glyphs(this);
    Ink? IPlainInk.Plain => Finish is null && Gradient is null ? Ink : null;
    bool IPlainInk.Overprints => Overprint;
    Mark IPlainInk.With(Ink ink, bool overprint) => this with { Ink = ink, Overprint = overprint };

    /// <summary>A run of inks over its letters, in points of its drawn item, in place of <see cref="Ink"/>.</summary>
    public Gradient? Gradient { get; init; }
    /// <summary>Which way its words are read.</summary>
    public bool RightToLeft { get; init; }

    /// <summary>A placed glyph's way from font units, y up, to the drawn item.</summary>
    public Affine Place(PlacedGlyph glyph, double unitsPerEm)
    {
        var scale = Size / unitsPerEm;
        var at = new Affine(scale, 0, 0, -scale, 0, 0);
        if (glyph.Turn != 0) at = at.Then(Affine.Rotate(glyph.Turn));
        return at.Then(Affine.Move(X + glyph.X, Y + glyph.Y));
    }
}

/// <summary>
/// A shape whose edge fades: its coverage under a Gaussian of <paramref name="Sigma"/> points, times <paramref
/// name="Strength"/> (0 to 1), multiplied with what lies under it.
/// What of it can't be drawn by lines is made in pixels at press resolution.
/// </summary>
public sealed record BlurredMark(Outline Shape, double Sigma, Ink Ink, double Strength) : Mark
{
    public override T Accept<T>(IMarkVisitor<T> visitor) => visitor.Blurred(this);

    /// <summary>How far it reaches beyond its shape; there less than 0.3 % is left.</summary>
    public double Reach => 3 * Sigma;

    public Bounds Bounds =>
        Shape.Bounds is var b && b.IsEmpty ? b : new(b.Left - Reach, b.Top - Reach, b.Right + Reach, b.Bottom + Reach);
}

/// <summary>
/// A picture: <paramref name="Place"/> carries its unit square to the drawn item, and only what lies within <paramref
/// name="Clip"/> shows.
/// </summary>
public sealed record PictureMark(Picture Picture, Affine Place, Outline Clip) : Mark
{
    public override T Accept<T>(IMarkVisitor<T> visitor) => visitor.Picture(this);

    /// <summary>
    /// The share of each of its inks that is printed, from 0 to 1. It hides what lies under it all the same: a faint
    /// picture is a tint, and lets nothing through.
    /// </summary>
    public double Strength { get; init; } = 1;

    /// <summary>
    /// A CMYK picture made for another condition is brought to the house's instead of keeping its numbers.
    /// </summary>
    public bool Convert { get; init; }
}

/// <summary>
/// A picture laid again and again: <paramref name="PatternMatrix"/> carries one tile's unit square to the drawn item.
/// </summary>
public sealed record TilesMark(Picture Picture, Affine PatternMatrix, TilingMode Tiling, Outline Clip) : Mark
{
    public override T Accept<T>(IMarkVisitor<T> visitor) => visitor.Tiles(this);

    public bool Convert { get; init; }
}

/// <summary>
/// What a picture grows beyond its edges, with the picture itself in its midst: <paramref name="Place"/> carries the
/// whole as a unit square to the drawn item;
/// <paramref name="Wide"/> is how many pixels it has across at press resolution.
/// </summary>
public sealed record GrownMark(Picture Picture, Grown How, Affine Place, int Wide) : Mark
{
    public override T Accept<T>(IMarkVisitor<T> visitor) => visitor.Grown(this);

    public bool Convert { get; init; }
}

/// <summary>
/// The same marks in several places, which a file holds once. Each of <paramref name="Places"/> carries them to the
/// drawn item, without a stretch; none of them is
/// a text, a picture or repeated itself, and all are in its finishing ink or all in none.
/// </summary>
public sealed record RepeatedMark(ImmutableArray<Mark> Symbol, ImmutableArray<Affine> Places) : Mark
{
    public override T Accept<T>(IMarkVisitor<T> visitor) => visitor.Repeated(this);

    /// <summary>All that they may paint on, in their own coordinates.</summary>
    public Bounds Reach => Symbol.Aggregate(Bounds.None, (all, m) => all.Union(MarkReach.Of(m)));

    /// <summary>Each of them where it lies.</summary>
    public IEnumerable<Mark> Each() => Places.SelectMany(at => Moved.All(Symbol, at));
}

/// <summary>
/// Marks of which only what lies within <paramref name="Clip"/> shows; all are in its finishing ink or all in none.
/// </summary>
public sealed record DrawingMark(ImmutableArray<Mark> Marks, Outline Clip) : Mark
{
    public override T Accept<T>(IMarkVisitor<T> visitor) => visitor.Drawing(this);

    public bool EvenOdd { get; init; }
}
