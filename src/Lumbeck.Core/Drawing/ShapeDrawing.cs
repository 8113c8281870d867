namespace Lumbeck.Core.Drawing;

/// <summary>Shapes as marks, in points from their box's corner.</summary>
public static class ShapeDrawing
{
    /// <param name="item">The shape.</param>
    /// <param name="at">Where it lies.</param>
    /// <param name="sheet">The sheet it lies on.</param>
    /// <param name="job">For its swatches and its house.</param>
    /// <param name="drawings">What drawn pictures hold; they show nothing where null.</param>
    public static IEnumerable<Mark> Draw(ShapeItem item, Placement at, Surface sheet, Job job,
        IDrawings? drawings = null)
    {
        var swatches = job.Swatches;
        var (w, h) = (at.Box.Width.Points, at.Box.Height.Points);
        var line = item.LineWidth > Length.Zero ? item.Line : null;
        var weight = item.LineWidth.Points;
        if (item is LineItem straight)
        {
            if (line is not null)
                yield return PaintedMarks.Lined(Straight(0, h / 2, w, h / 2), weight, line,
                    swatches) with
                { Dash = Broken(straight.Dash, weight) };
            yield break;
        }
        var shape = Of(item, w, h, at.BeyondFace);
        if (item.Fill?.Paint is { } fill) yield return PaintedMarks.Filled(shape, fill, swatches, w, h);
        if (item.Fill?.Pattern is { } pattern)
        {
            // From its own corner, so that it goes with the shape.
            foreach (var marks in PatternDrawing.ByFinish(
                new LaidPaper(pattern, item.Fill.Paint, swatches, shape.Bounds, new(0, 0, w, h), new(0, 0, w, h),
                    drawings).Marks()))
                yield return new DrawingMark(marks, shape) { Finish = marks[0].Finish };
        }
        if (item is PictureItem { Picture: { } picture } pictured && PicturePlacing.Of(pictured, w, h) is { } place)
        {
            if (picture.IsDrawing)
            {
                if (drawings?.Of(picture) is { } marks)
                    yield return Drawn(pictured.InSwatches ? InSwatches(marks, swatches) : marks, pictured, picture, place, shape, w, h);
            }
            else if (pictured.Tiling is { } tiling)
                yield return new TilesMark(picture, place, tiling.Lay, shape) { Convert = pictured.Convert };
            else
            {
                if (Growing.Of(pictured, at, sheet, job.Ticket.House.PictureMost) is { } grown) yield return grown;
                yield return new PictureMark(picture, place, shape) { Convert = pictured.Convert };
            }
        }
        if (line is not null) yield return PaintedMarks.Lined(shape, weight, line, swatches);
        if (item is PlateItem plate && line is not null)
        {
            var inner = plate.Inner.Points;
            if (inner > 0 && 2 * inner < Math.Min(w, h))
                yield return PaintedMarks.Lined(Outline.Rounded(inner, inner, w - (2 * inner), h - (2 * inner),
                    Math.Max(0, plate.Corner.Points - inner)),
                    weight / 2, line, swatches);
            for (var n = 1; n <= plate.Rules; n++)
                yield return PaintedMarks.Lined(Straight(w * 0.1, h * (0.5 + (0.42 * n / plate.Rules)), w * 0.9,
                    h * (0.5 + (0.42 * n / plate.Rules))),
                    weight / 2, line, swatches);
        }
    }

    private static ImmutableArray<Mark> InSwatches(ImmutableArray<Mark> marks, IReadOnlyList<Swatch> swatches) =>
        Recoloured.By(marks, [.. swatches.Select(s => (Paint)new SwatchPaint(s.Id))], swatches);

    /// <summary>A drawing's marks where its frame puts it: once, or tile after tile.</summary>
    private static DrawingMark Drawn(ImmutableArray<Mark> marks, PictureItem item, Picture picture, Affine place,
        Outline shape, double w, double h)
    {
        // A drawing's own points are hundredths of its unit, as its size is.
        var own = new Affine(1.0 / picture.Wide, 0, 0, 1.0 / picture.High, 0, 0).Then(place);
        if (item.Tiling is not { } tiling) return new([.. Moved.All(marks, own)], shape);
        var tiles = ImmutableArray.CreateBuilder<Mark>();
        var (across, down) = (Math.Max(place.A, w / MostTiles), Math.Max(place.D, h / MostTiles));
        var (firstX, firstY) = ((int)Math.Floor(-place.E / across) - 1, (int)Math.Floor(-place.F / down));
        for (var row = firstY; row * down + place.F < h; row++)
            for (var column = firstX; ((column - 0.5) * across) + place.E < w; column++)
            {
                var tile = TileFlip(tiling.Lay, column, row)
                    .Then(new(place.A, 0, 0, place.D,
                        place.E + ((column + (tiling.Lay == TilingMode.Brick && (row & 1) == 1 ? 0.5 : 0)) * across),
                        place.F + (row * down)));
                tiles.AddRange(Moved.All(marks,
                    new Affine(1.0 / picture.Wide, 0, 0, 1.0 / picture.High, 0, 0).Then(tile)));
            }
        return new(tiles.ToImmutable(), shape);
    }

    /// <summary>Drawn tiles in a row; smaller ones are laid as far apart as this many would be.</summary>
    private const int MostTiles = 60;

    /// <summary>How a tile is mirrored within its own square.</summary>
    public static Affine TileFlip(TilingMode lay, int column, int row) => lay != TilingMode.Mirrored
        ? Affine.Identity
        : new((column & 1) == 1 ? -1 : 1, 0, 0, (row & 1) == 1 ? -1 : 1, column & 1, row & 1);

    /// <summary>
    /// A shape's edge. Of a frame it is two: the outer, and the inner the other way round, so that what lies between is
    /// filled by either rule.
    /// </summary>
    public static Outline Of(ShapeItem item, double w, double h, Bounds beyond) => item switch
    {
        EllipseItem => Ellipse(w, h),
        PolygonItem p => Polygon(p.Corners, p.Waist, w, h),
        FrameItem f => Frame(f, w, h, beyond),
        PictureItem { Shape: Outlined.Ellipse } => Ellipse(w, h),
        PictureItem { Shape: Outlined.Polygon } p => Polygon(p.Corners, p.Waist, w, h),
        ICornered c => Outline.Rounded(0, 0, w, h, c.Corner.Points),
        _ => Outline.Rectangle(0, 0, w, h),
    };

    private static Outline Straight(double x1, double y1, double x2, double y2)
    {
        var pen = new Pen();
        pen.Move(x1, y1);
        pen.Line(x2, y2);
        return pen.Done();
    }

    private static ImmutableArray<double> Broken(Dash dash, double weight) => dash switch
    {
        Dash.Dashed => [4 * weight, 3 * weight],
        Dash.Dotted => [weight, 2 * weight],
        _ => [],
    };

    /// <summary>An ellipse that fills a box of this width and height: four cubics, 0.03 % off.</summary>
    public static Outline Ellipse(double w, double h)
    {
        const double k = 0.5522847498307936;
        var (x, y) = (w / 2, h / 2);
        var pen = new Pen();
        pen.Move(w, y);
        pen.Cubic(w, y + (k * y), x + (k * x), h, x, h);
        pen.Cubic(x - (k * x), h, 0, y + (k * y), 0, y);
        pen.Cubic(0, y - (k * y), x - (k * x), 0, x, 0);
        pen.Cubic(x + (k * x), 0, w, y - (k * y), w, y);
        pen.Close();
        return pen.Done();
    }

    private static Outline Polygon(int corners, decimal waist, double w, double h)
    {
        var star = waist > 0;
        var count = star ? 2 * corners : corners;
        var pen = new Pen();
        for (var i = 0; i < count; i++)
        {
            var (sin, cos) = Math.SinCos(2 * Math.PI * i / count);
            var out_ = star && i % 2 == 1 ? (double)waist / 100 : 1;
            var (x, y) = ((w / 2) + (w / 2 * sin * out_), (h / 2) - (h / 2 * cos * out_));
            if (i == 0) pen.Move(x, y); else pen.Line(x, y);
        }
        pen.Close();
        return pen.Done();
    }

    private static Outline Frame(FrameItem item, double w, double h, Bounds beyond)
    {
        var t = item.Thickness.Points;
        var (l, u, r, d) = (beyond.Left + t, beyond.Top + t, w - beyond.Right - t, h - beyond.Bottom - t);
        var outer = Outline.Rectangle(0, 0, w, h);
        if (r <= l || d <= u) return outer;
        var inner = Outline.Rounded(0, 0, r - l, d - u, item.Corner.Points);
        // The inner edge is drawn in a mirror, so that it runs against the outer.
        return new([.. outer.Strokes, .. inner.Strokes],
            [.. outer.Points, .. inner.Points.Select((p, i) => i % 2 == 0 ? r - p : u + p)]);
    }
}
