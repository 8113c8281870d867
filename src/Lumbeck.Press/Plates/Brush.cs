using System.Buffers;
using SkiaSharp;

namespace Lumbeck.Press.Plates;

/// <summary>Lays marks on a layer.</summary>
internal sealed partial class Brush(Plates plates, CoverageMask mask, IType type, PixelShelf pixels, bool likeness)
{
    /// <summary>Is told of each run of type before it is laid.</summary>
    public Action<GlyphMark>? Letters { get; init; }

    /// <summary>Is told of each mark by its number once it is laid.</summary>
    public Action<int>? Laid { get; init; }

    private CompositeBuffer _on = null!;
    private Affine _place;
    private double _scale;
    private SKRectI _touched;

    /// <summary>Lays marks and gives the part that they touched.</summary>
    public SKRectI On(CompositeBuffer layer, Affine place, double scale, SKPath edge, IEnumerable<Mark> marks)
    {
        (_on, _place, _scale, _touched) = (layer, place, scale, SKRectI.Empty);
        LineMark? first = null;
        var lines = new List<Outline>();
        void flush()
        {
            if (first is null) return;
            Lines(first, lines, [edge]);
            first = null;
            lines.Clear();
        }
        // Lines of one ink and weight that follow each other are laid as one: a drawn paper is hundreds of them.
        var number = -1;
        foreach (var mark in marks)
        {
            number++;
            if (Laid is null && mark is LineMark l && (first is null || l.IsLike(first)))
            {
                first ??= l;
                lines.Add(l.Shape);
                continue;
            }
            flush();
            if (mark is LineMark other) { first = other; lines.Add(other.Shape); }
            else Lay(mark, [edge]);
            if (Laid is null) continue;
            flush();
            Laid(number);
        }
        flush();
        return _touched;
    }

    private void Lines(LineMark like, List<Outline> shapes, SKPath[] clip)
    {
        using (var path = SkiaPath.Of(p => { foreach (var shape in shapes) p.Add(shape, _place); }))
            mask.Line(path, like, _scale, clip);
        Ink(like, like.Ink, false);
    }

    private void Lay(Mark mark, SKPath[] clip) => mark.Accept(new Laying(this, clip));

    private PixelShelf Pixels => pixels;

    private void Cover(SKPath path, SKPath[] clip) => mask.Fill(path, clip);

    private void Glyphs(SKPathBuilder line, GlyphMark g)
    {
        var upem = type.Metrics(g.Face).UnitsPerEm;
        foreach (var glyph in g.Glyphs) line.Add(type.Glyph(g.Face, glyph.Id), g.Place(glyph, upem).Then(_place));
    }

    /// <summary>Multiplies a soft shape with what lies under it.</summary>
    private void Soft(BlurredMark mark, SKPath[] clip)
    {
        var b = mark.Bounds;
        if (b.IsEmpty) return;
        var place = new Affine(b.Right - b.Left, 0, 0, b.Bottom - b.Top, b.Left, b.Top).Then(_place);
        using (var path = SkiaPath.Of(Outline.Rectangle(0, 0, 1, 1), place)) mask.Fill(path, clip);
        if (mask.Touched.IsEmpty) return;
        Touch();
        var (wide, high, cover) = GaussianBlur.Of(mark, _scale * 72);
        var back = place.Inverse();
        var ink = Levels(mark.Ink);
        Each((pixel, a) =>
        {
            var (u, v) = back.At((pixel % plates.Wide) + 0.5, (pixel / plates.Wide) + 0.5);
            var (x, y) = ((u * wide) - 0.5, (v * high) - 0.5);
            var (x0, y0) = ((int)Math.Floor(x), (int)Math.Floor(y));
            double at(int cx, int cy) => cx < 0 || cy < 0 || cx >= wide || cy >= high ? 0 : cover[(cy * wide) + cx];
            var (fx, fy) = (x - x0, y - y0);
            var c = (((at(x0, y0) * (1 - fx)) + (at(x0 + 1, y0) * fx)) * (1 - fy))
                + (((at(x0, y0 + 1) * (1 - fx)) + (at(x0 + 1, y0 + 1) * fx)) * fy);
            var coverage = (int)Math.Round(c * mark.Strength * a / 255);
            if (mark.Finish is not { } finish) { _on.Multiply(pixel, ink, coverage); return; }
            _on.Finish(finish.Name).Multiply(pixel, Level(finish.Tint), coverage);
            if (likeness) _on.Multiply(pixel, ink, coverage * Likeness(finish.Name) >> 8);
        });
    }

    private static (double U, double V) Tile(TilingMode lay, double u, double v)
    {
        var row = Math.Floor(v);
        if (lay == TilingMode.Brick && ((long)row & 1) != 0) u += 0.5;
        var column = Math.Floor(u);
        (u, v) = (u - column, v - row);
        if (lay != TilingMode.Mirrored) return (u, v);
        return (((long)column & 1) != 0 ? 1 - u : u, ((long)row & 1) != 0 ? 1 - v : v);
    }

    private SKRectI Window() => mask.Touched;

    private void Touch()
    {
        if (mask.Touched.IsEmpty) return;
        _touched = _touched.IsEmpty ? mask.Touched : SKRectI.Union(_touched, mask.Touched);
    }

    private static int Level(int hundredths) => ((hundredths * 255) + 5000) / 10_000;

    private static CmykPixel Levels(Ink ink) => CmykPixel.Of(Level(ink.C), Level(ink.M), Level(ink.Y), Level(ink.K));

    private void Ink(Mark mark, Ink ink, bool overprint)
    {
        if (mask.Touched.IsEmpty) return;
        Touch();
        var strength = 256;
        if (mark.Finish is { } finish)
        {
            var (plate, tint) = (_on.Finish(finish.Name), Level(finish.Tint));
            Each((pixel, a) => plate.Lay(pixel, tint, a));
            if (!likeness) return;
            (strength, overprint) = (Likeness(finish.Name), false);
        }
        var levels = Levels(ink);
        var t = mask.Touched;
        for (var row = t.Top; row < t.Bottom; row++)
            _on.Row((row * plates.Wide) + t.Left, mask.Row(row)[t.Left..t.Right], levels, strength, overprint);
    }

    /// <summary>How much of a finishing ink's likeness shows, of 256.</summary>
    private static int Likeness(string finish) => (int)(Finishes.Strength(finish) * 256);

    private void Each(Action<int, int> lay)
    {
        var t = mask.Touched;
        for (var row = t.Top; row < t.Bottom; row++)
        {
            var cover = mask.Row(row);
            for (var column = t.Left; column < t.Right; column++)
                if (cover[column] != 0) lay((row * plates.Wide) + column, cover[column]);
        }
    }

    /// <summary>A run's inks at so many places along it.</summary>
    private const int Places = 2048;

    private void Shade(Gradient shade)
    {
        if (mask.Touched.IsEmpty) return;
        Touch();
        var inks = new uint[Places + 1];
        for (var i = 0; i <= Places; i++)
        {
            var ink = shade.At((double)i / Places);
            inks[i] = CmykPixel.Of((int)Math.Round(ink.C * 0.0255), (int)Math.Round(ink.M * 0.0255),
                (int)Math.Round(ink.Y * 0.0255), (int)Math.Round(ink.K * 0.0255)).Bytes;
        }
        var back = shade.Transform.Then(_place).Inverse();
        var slope = shade.Slope is var (right, down) ? (back.A * right) + (back.B * down) : (double?)null;
        Covered((left, row, cover, to) =>
        {
            var (x, y) = back.At(left + 0.5, row + 0.5);
            var from = shade.Along(x, y);
            for (var i = 0; i < to.Length; i++)
            {
                if (cover[i] == 0) continue;
                double along;
                if (slope is { } steady) along = from + (i * steady);
                else
                {
                    (x, y) = back.At(left + i + 0.5, row + 0.5);
                    along = shade.Along(x, y);
                }
                to[i] = inks[(int)Math.Round(Math.Clamp(along, 0, 1) * Places)];
            }
        });
    }

    /// <summary>
    /// Makes the inks of a row, from a column on, where it is covered; what lets through covers less.
    /// </summary>
    private delegate void RowOfInks(int left, int row, Span<byte> cover, Span<uint> inks);

    /// <summary>Lays all that is covered, row by row.</summary>
    private void Covered(RowOfInks make)
    {
        var t = mask.Touched;
        CompositeBuffer.Rows(t, row =>
        {
            var (covers, inks) = (ArrayPool<byte>.Shared.Rent(t.Width), ArrayPool<uint>.Shared.Rent(t.Width));
            var cover = covers.AsSpan(0, t.Width);
            mask.Row(row)[t.Left..t.Right].CopyTo(cover);
            make(t.Left, row, cover, inks.AsSpan(0, t.Width));
            _on.Row((row * plates.Wide) + t.Left, cover, inks.AsSpan(0, t.Width));
            ArrayPool<byte>.Shared.Return(covers);
            ArrayPool<uint>.Shared.Return(inks);
        });
    }

    /// <summary>Lays a picture's pixels, each read between its four neighbours.</summary>
    private void Picture(Affine place, Func<Affine, PixelPart?> part,
        Func<double, double, (double, double)>? within = null, double strength = 1)
    {
        if (mask.Touched.IsEmpty || part(place) is not { } p) return;
        Touch();
        var back = place.Inverse();
        var share = (int)Math.Round(255 * strength);
        Covered((left, row, cover, to) =>
        {
            for (var i = 0; i < to.Length; i++)
            {
                if (cover[i] == 0) continue;
                var (u, v) = back.At(left + i + 0.5, row + 0.5);
                if (within is not null) (u, v) = within(u, v);
                var pixel = p.At(u, v, out var alpha).Bytes;
                to[i] = share == 255 ? pixel : CmykPixel.Over(0, pixel, share, false).Bytes;
                if (alpha != 255) cover[i] = (byte)(((cover[i] * alpha) + 127) / 255);
            }
        });
    }
}
