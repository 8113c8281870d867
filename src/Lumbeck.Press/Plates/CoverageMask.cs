using SkiaSharp;

namespace Lumbeck.Press.Plates;

/// <summary>
/// How much of each pixel a shape covers, from 0 to 255, within the part of the window that it touches.
/// </summary>
internal sealed class CoverageMask : IDisposable
{
    private readonly SKBitmap _bitmap;
    private readonly SKCanvas _canvas;

    public CoverageMask(int wide, int high)
    {
        _bitmap = new SKBitmap(new SKImageInfo(wide, high, SKColorType.Alpha8, SKAlphaType.Premul));
        _canvas = new SKCanvas(_bitmap);
    }

    /// <summary>What was last drawn lies within these columns and rows.</summary>
    public SKRectI Touched { get; private set; }

    public int Stride => _bitmap.RowBytes;

    public ReadOnlySpan<byte> Row(int y) => _bitmap.GetPixelSpan().Slice(y * Stride, _bitmap.Width);

    /// <summary>Fills a path in place of what was drawn before, as far as all clips show it.</summary>
    public void Fill(SKPath path, params SKPath[] clips) => Draw(path, null, clips);

    /// <summary>Draws a path's line.</summary>
    /// <param name="path">The path, in pixels.</param>
    /// <param name="like">How the line is drawn.</param>
    /// <param name="scale">Pixels a point.</param>
    /// <param name="clips">What of it shows.</param>
    public void Line(SKPath path, LineMark like, double scale, params SKPath[] clips)
    {
        using var paint = SkiaPath.Stroked(like, scale);
        Draw(path, paint, clips);
    }

    private void Draw(SKPath path, SKPaint? line, SKPath[] clips)
    {
        var reach = path.TightBounds;
        if (line is not null)
            reach.Inflate(line.StrokeWidth * Math.Max(1, line.StrokeMiter),
                line.StrokeWidth * Math.Max(1, line.StrokeMiter));
        foreach (var clip in clips) reach.Intersect(clip.TightBounds);
        reach.Inflate(1.5f, 1.5f);
        var (l, t) = ((int)Math.Clamp(Math.Floor(reach.Left), 0, _bitmap.Width),
            (int)Math.Clamp(Math.Floor(reach.Top), 0, _bitmap.Height));
        var (r, b) = ((int)Math.Clamp(Math.Ceiling(reach.Right), l, _bitmap.Width),
            (int)Math.Clamp(Math.Ceiling(reach.Bottom), t, _bitmap.Height));
        Touched = new(l, t, r, b);
        if (Touched.Width <= 0 || Touched.Height <= 0) { Touched = SKRectI.Empty; return; }
        _canvas.Save();
        _canvas.ClipRect(SKRect.Create(l, t, r - l, b - t));
        _canvas.Clear(SKColors.Transparent);
        foreach (var clip in clips) _canvas.ClipPath(clip, SKClipOperation.Intersect, antialias: true);
        using var fill = line is null ? new SKPaint { IsAntialias = true, Style = SKPaintStyle.Fill } : null;
        _canvas.DrawPath(path, line ?? fill!);
        _canvas.Restore();
    }

    public void Dispose()
    {
        _canvas.Dispose();
        _bitmap.Dispose();
    }
}

/// <summary>Outlines as Skia's paths.</summary>
internal static class SkiaPath
{
    /// <summary>Adds an outline under a placing.</summary>
    public static void Add(this SKPathBuilder path, Outline outline, Affine m)
    {
        var p = 0;
        SKPoint Next()
        {
            var (x, y) = m.At(outline.Points[p], outline.Points[p + 1]);
            p += 2;
            return new((float)x, (float)y);
        }
        foreach (var stroke in outline.Strokes)
            switch (stroke)
            {
                case PathVerb.Move: path.MoveTo(Next()); break;
                case PathVerb.Line: path.LineTo(Next()); break;
                case PathVerb.Quad: { var a = Next(); path.QuadTo(a, Next()); break; }
                case PathVerb.Cubic: { var a = Next(); var b = Next(); path.CubicTo(a, b, Next()); break; }
                default: path.Close(); break;
            }
    }

    /// <summary>How a line is stroked, so many pixels a point.</summary>
    public static SKPaint Stroked(LineMark like, double scale)
    {
        var paint = new SKPaint
        {
            IsAntialias = true,
            Style = SKPaintStyle.Stroke,
            StrokeWidth = (float)(like.Width * scale),
            StrokeJoin = like.Join switch
            {
                LineJoin.Miter => SKStrokeJoin.Miter,
                LineJoin.Bevel => SKStrokeJoin.Bevel,
                _ => SKStrokeJoin.Round,
            },
            StrokeCap = like.Cap switch
            {
                LineCap.Round => SKStrokeCap.Round,
                LineCap.Square => SKStrokeCap.Square,
                _ => SKStrokeCap.Butt,
            },
            StrokeMiter = like.Join == LineJoin.Miter ? (float)like.MiterLimit : 0,
        };
        if (like.Dash.Length > 0)
            paint.PathEffect = SKPathEffect.CreateDash([.. like.Dash.Select(d => (float)(d * scale))],
                (float)(like.DashFrom * scale));
        return paint;
    }

    public static SKPath Of(Outline outline, Affine m, bool evenOdd = false) =>
        Of(path => path.Add(outline, m), evenOdd);

    public static SKPath Of(Action<SKPathBuilder> draw, bool evenOdd = false)
    {
        using var path = new SKPathBuilder { FillType = evenOdd ? SKPathFillType.EvenOdd : SKPathFillType.Winding };
        draw(path);
        return path.Detach();
    }
}
