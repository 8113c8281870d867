using SkiaSharp;

namespace Lumbeck.Press.Plates;

/// <summary>How much of each pixel a shape covers, from 0 to 255, within the part of the window that it touches.</summary>
internal sealed class Mask : IDisposable
{
    private readonly SKBitmap _bitmap;
    private readonly SKCanvas _canvas;

    public Mask(int wide, int high)
    {
        _bitmap = new SKBitmap(new SKImageInfo(wide, high, SKColorType.Alpha8, SKAlphaType.Premul));
        _canvas = new SKCanvas(_bitmap);
    }

    /// <summary>What was last drawn lies within these columns and rows.</summary>
    public SKRectI Touched { get; private set; }

    public int Stride => _bitmap.RowBytes;

    public ReadOnlySpan<byte> Row(int y) => _bitmap.GetPixelSpan().Slice(y * Stride, _bitmap.Width);

    /// <summary>Fills a path in place of what was drawn before.</summary>
    public void Fill(SKPath path, SKPath? clip) => Draw(path, null, clip);

    /// <summary>Draws a path's line, with round joins and butt ends.</summary>
    public void Line(SKPath path, double width, ImmutableArray<double> dash, SKPath? clip)
    {
        using var paint = new SKPaint { IsAntialias = true, Style = SKPaintStyle.Stroke, StrokeWidth = (float)width, StrokeJoin = SKStrokeJoin.Round, StrokeCap = SKStrokeCap.Butt };
        using var broken = dash.Length > 0 ? SKPathEffect.CreateDash([.. dash.Select(d => (float)d)], 0) : null;
        if (broken is not null) paint.PathEffect = broken;
        Draw(path, paint, clip);
    }

    private void Draw(SKPath path, SKPaint? line, SKPath? clip)
    {
        var reach = path.TightBounds;
        if (line is not null) reach.Inflate(line.StrokeWidth, line.StrokeWidth);
        if (clip is not null) reach.Intersect(clip.TightBounds);
        reach.Inflate(1.5f, 1.5f);
        var (l, t) = ((int)Math.Clamp(Math.Floor(reach.Left), 0, _bitmap.Width), (int)Math.Clamp(Math.Floor(reach.Top), 0, _bitmap.Height));
        var (r, b) = ((int)Math.Clamp(Math.Ceiling(reach.Right), l, _bitmap.Width), (int)Math.Clamp(Math.Ceiling(reach.Bottom), t, _bitmap.Height));
        Touched = new(l, t, r, b);
        if (Touched.Width <= 0 || Touched.Height <= 0) { Touched = SKRectI.Empty; return; }
        _canvas.Save();
        _canvas.ClipRect(SKRect.Create(l, t, r - l, b - t));
        _canvas.Clear(SKColors.Transparent);
        if (clip is not null) _canvas.ClipPath(clip, SKClipOperation.Intersect, antialias: true);
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
                case Stroke.Move: path.MoveTo(Next()); break;
                case Stroke.Line: path.LineTo(Next()); break;
                case Stroke.Quad: { var a = Next(); path.QuadTo(a, Next()); break; }
                case Stroke.Cubic: { var a = Next(); var b = Next(); path.CubicTo(a, b, Next()); break; }
                default: path.Close(); break;
            }
    }

    public static SKPath Of(Outline outline, Affine m, bool evenOdd = false) => Of(path => path.Add(outline, m), evenOdd);

    public static SKPath Of(Action<SKPathBuilder> draw, bool evenOdd = false)
    {
        using var path = new SKPathBuilder { FillType = evenOdd ? SKPathFillType.EvenOdd : SKPathFillType.Winding };
        draw(path);
        return path.Detach();
    }
}
