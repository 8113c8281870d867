namespace Lumbeck.Press.Plates;

/// <summary>
/// A part of a sheet that was flattened: what a scene puts in a window, as opaque pixels seen through a shape or through letters, which stay type.
/// </summary>
/// <param name="Upto">All that lies there, up to the piece that was see-through and with it.</param>
/// <param name="Window">The part, in points of the sheet.</param>
/// <param name="Clip">The shape, in points of the piece; null for all of the window.</param>
/// <param name="PerInch">Pixels an inch.</param>
internal sealed record FlatMark(Scene Upto, Bounds Window, Outline? Clip, double PerInch) : Mark
{
    /// <summary>The letters it is seen through, in place of a shape.</summary>
    public GlyphMark? Letters { get; init; }
    /// <summary>Letters that are part of its pixels, laid invisibly over them so that they can still be read and found.</summary>
    public ImmutableArray<GlyphMark> Hidden { get; init; } = [];
}

/// <summary>
/// A scene without transparency (PRINT.md, PDF/X-1a): what lets through what lies under it becomes plain inks where that is one ink, else pixels of all that lies there,
/// seen through its own shape, so that edges stay sharp. What lies over it stays as it is, type above all.
/// </summary>
internal static class Flattening
{
    /// <summary>Pixels an inch for edges, where the part is small enough.</summary>
    private const double Edges = 1200, MostEdgePixels = 6e6;

    /// <param name="scene">The sheet.</param>
    /// <param name="perInch">Pixels an inch where there are no edges of its own.</param>
    /// <param name="finishes">Finishing inks are shown by their likeness, and are flattened too.</param>
    public static Scene Of(Scene scene, double perInch, bool finishes)
    {
        var pieces = ImmutableArray.CreateBuilder<Piece>();
        for (var i = 0; i < scene.Pieces.Length; i++)
        {
            var piece = scene.Pieces[i];
            if (piece.IsEmpty || (!piece.Mixes && !piece.Softens && !piece.SeesThrough && !(finishes && piece.Marks.Any(m => m.Finish is not null)))) pieces.Add(piece);
            else if (piece.Mixes) pieces.Add(Mixed(scene, i, perInch));
            else pieces.Add(piece with { Marks = [.. piece.Marks.Select((m, n) => SeesThrough(m, finishes) ? Flat(scene, i, n, perInch) : m)] });
        }
        return scene with { Pieces = pieces.ToImmutable() };
    }

    private static bool SeesThrough(Mark mark, bool finishes) => mark is SoftMark or PictureMark { Picture.Opaque: false } or TilesMark { Picture.Opaque: false } or GrownMark { Picture.Opaque: false } || (finishes && mark.Finish is not null);

    /// <summary>One mark of a piece, as pixels of what lies there up to it.</summary>
    private static FlatMark Flat(Scene scene, int at, int mark, double perInch)
    {
        var piece = scene.Pieces[at];
        var own = piece.Marks[mark];
        var clip = Clip(own);
        var window = Within(scene, piece.Place.Of(own switch { SoftMark s => s.Bounds, LineMark l => Wider(l.Shape.Bounds, l.Width), GlyphMark => piece.Inked.IsEmpty ? piece.Frame : piece.Place.Inverse().Of(piece.Inked), _ => clip?.Bounds ?? new(0, 0, 1, 1) }));
        var upto = scene with { Pieces = [.. Seen(scene, at, window), piece with { Marks = [.. piece.Marks.Take(mark + 1)] }] };
        return new(upto, window, clip, clip is null && own is not SoftMark ? Sharp(window, perInch) : perInch) { Letters = own as GlyphMark };
    }

    /// <summary>A piece that is mixed as one.</summary>
    private static Piece Mixed(Scene scene, int at, double perInch)
    {
        var piece = scene.Pieces[at];
        if (Under.Plain(scene, at) is { } under && Solid(piece, under) is { } solid) return solid;
        var window = Within(scene, piece.Reach);
        var upto = scene with { Pieces = [.. Seen(scene, at, window), piece] };
        var plain = piece with { Opacity = 1, Blend = Core.Jobs.Blend.Normal };
        if (piece.Marks.All(m => m is GlyphMark)) return plain with { Marks = [.. piece.Marks.Select(m => new FlatMark(upto, window, null, perInch) { Letters = (GlyphMark)m })] };
        var clip = piece.Marks is [var one] ? Clip(one) : null;
        return plain with { Marks = [new FlatMark(upto, window, clip, clip is null ? Sharp(window, perInch) : perInch) { Hidden = [.. piece.Marks.OfType<GlyphMark>()] }] };
    }

    /// <summary>A piece over one plain ink: its own inks, mixed with that. Within a group each mark hides those under it, so every ink is mixed by itself.</summary>
    private static Piece? Solid(Piece piece, Ink under)
    {
        if (!piece.Marks.All(m => m is FillMark { Finish: null } or LineMark { Finish: null } or GlyphMark { Finish: null, Shade: null })) return null;
        Ink mixed(Ink ink)
        {
            int one(int b, int s)
            {
                double full = piece.Blend switch { Core.Jobs.Blend.Multiply => b + s - (b * (double)s / 10_000), Core.Jobs.Blend.Screen => b * (double)s / 10_000, _ => s };
                return (int)Math.Round(b + ((full - b) * piece.Opacity));
            }
            return new(one(under.C, ink.C), one(under.M, ink.M), one(under.Y, ink.Y), one(under.K, ink.K));
        }
        // What overprints within the group keeps what is under it.
        Ink over(Ink ink, bool overprint) => mixed(overprint ? new(ink.C > 0 ? ink.C : under.C, ink.M > 0 ? ink.M : under.M, ink.Y > 0 ? ink.Y : under.Y, ink.K > 0 ? ink.K : under.K) : ink);
        return piece with
        {
            Opacity = 1,
            Blend = Core.Jobs.Blend.Normal,
            Marks = [.. piece.Marks.Select(m => m switch { FillMark f => f with { Ink = over(f.Ink, f.Overprint), Overprint = false }, LineMark l => l with { Ink = mixed(l.Ink) }, GlyphMark g => g with { Ink = over(g.Ink, g.Overprint), Overprint = false }, _ => m })],
        };
    }

    /// <summary>What of the pieces under one is seen in a window: nothing under the last that hides all of it, and nothing that does not reach into it.</summary>
    private static IEnumerable<Piece> Seen(Scene scene, int at, Bounds window)
    {
        var from = at;
        while (from > 0 && !Under.Hides(scene.Pieces[from - 1], window)) from--;
        return scene.Pieces.Skip(Math.Max(0, from - 1)).Take(at - Math.Max(0, from - 1)).Where(p => Under.Touches(p, window));
    }

    private static Outline? Clip(Mark mark) => mark switch
    {
        FillMark { EvenOdd: false } f => f.Shape,
        ShadeMark { EvenOdd: false } h => h.Shape,
        PictureMark p => p.Clip,
        TilesMark t => t.Clip,
        GrownMark g => Outline.Rectangle(0, 0, 1, 1).Under(g.Place),
        DrawingMark d => d.Clip,
        _ => null,
    };

    private static double Sharp(Bounds window, double perInch)
    {
        var inches = (window.Right - window.Left) * (window.Bottom - window.Top) / (72 * 72);
        return perInch < 400 ? perInch : Math.Clamp(Math.Floor(Math.Sqrt(MostEdgePixels / Math.Max(inches, 1e-6))), perInch, Edges);
    }

    private static Bounds Wider(Bounds b, double by) => new(b.Left - by, b.Top - by, b.Right + by, b.Bottom + by);

    /// <summary>On whole points, within the sheet.</summary>
    private static Bounds Within(Scene scene, Bounds b) => b.IsEmpty ? new(0, 0, 0, 0) : new(Math.Clamp(Math.Floor(b.Left), 0, scene.Width), Math.Clamp(Math.Floor(b.Top), 0, scene.Height), Math.Clamp(Math.Ceiling(b.Right), 0, scene.Width), Math.Clamp(Math.Ceiling(b.Bottom), 0, scene.Height));
}
