namespace Lumbeck.Press.Plates;

/// <summary>
/// What a sheet shows at one place in the order of its marks: all that lies there up to a mark of a drawn item, or up to the
/// whole of one.
/// </summary>
/// <param name="item">The drawn item.</param>
/// <param name="mark">The last mark of it, or <see cref="Painting.Whole"/>.</param>
/// <param name="window">The part that is wanted, in points of the sheet, on whole points.</param>
/// <param name="clip">The shape it is seen through, in points of the sheet; null for all of the window.</param>
/// <param name="perInch">Pixels an inch.</param>
internal sealed class FlatPart(int item, int mark, Bounds window, Outline? clip, double perInch)
{
    public int Item => item;
    public int Mark => mark;
    public Bounds Window => window;
    public Outline? Clip => clip;
    public double PerInch { get; set; } = perInch;
    /// <summary>Seen through letters: it hides nothing for certain.</summary>
    public bool ByLetters { get; init; }
}

/// <summary>
/// A part of a sheet that was flattened: opaque pixels seen through a shape or through letters, which stay type.
/// </summary>
/// <param name="Part">What is shown.</param>
/// <param name="Clip">The shape, in points of the drawn item; null for all of the part's window.</param>
internal sealed record FlatMark(FlatPart Part, Outline? Clip) : Mark
{
    /// <summary>The letters it is seen through, in place of a shape.</summary>
    public GlyphMark? Letters { get; init; }
    /// <summary>
    /// Letters that are part of its pixels, laid invisibly over them so that they can still be read and found.
    /// </summary>
    public ImmutableArray<GlyphMark> Hidden { get; init; } = [];
}

/// <summary>A scene without transparency, and the parts of it that are to be painted.</summary>
internal sealed record Flattened(Scene Scene, ImmutableArray<FlatPart> Parts);

/// <summary>
/// Takes transparency out of a scene (docs/press-files.md): what lets through what lies under it becomes plain inks
/// where that is one ink, else pixels of all that lies there,
/// seen through its own shape, so that edges stay sharp. What lies over it stays as it is, type above all.
/// </summary>
internal static class Flattening
{
    /// <summary>
    /// Pixels an inch for edges, as far as a page's parts with edges within are so few pixels together.
    /// </summary>
    private const double Edges = 1200, MostEdgePixels = 6e6;

    /// <param name="scene">The sheet.</param>
    /// <param name="perInch">Pixels an inch where there are no edges of its own.</param>
    /// <param name="finishes">Finishing inks are shown by their likeness, and are flattened too.</param>
    public static Flattened Of(Scene scene, double perInch, bool finishes)
    {
        var items = ImmutableArray.CreateBuilder<DrawnItem>();
        for (var i = 0; i < scene.Items.Length; i++)
        {
            var drawn = scene.Items[i];
            if (drawn.IsEmpty) items.Add(drawn);
            else if (drawn.Mixes) items.Add(Mixed(scene, i, perInch));
            else if (!drawn.Marks.Any(m => SeesThrough(m, finishes))) items.Add(drawn);
            else items.Add(drawn with
            {
                Marks = [.. drawn.Marks.Select((m, n) =>
                SeesThrough(m, finishes) ? Flat(scene, i, n, perInch) : m)]
            });
        }
        ImmutableArray<FlatPart> parts = [.. items.SelectMany(p => p.Marks).OfType<FlatMark>().Select(f => f.Part)
            .Distinct()];
        Sharpen(parts, perInch);
        return new(scene with { Items = items.ToImmutable() }, parts);
    }

    /// <summary>
    /// Flattens what no file with live transparency says: soft marks that are screened beside finishing inks, which are
    /// not screened with them.
    /// </summary>
    public static Flattened WhatMust(Scene scene, double perInch)
    {
        ImmutableArray<DrawnItem> items = [.. scene.Items.Select((p, i) => Must(p) ? Mixed(scene, i, perInch) : p)];
        ImmutableArray<FlatPart> parts = [.. items.SelectMany(p => p.Marks).OfType<FlatMark>().Select(f => f.Part)
            .Distinct()];
        Sharpen(parts, perInch);
        return new(scene with { Items = items }, parts);
    }

    private static bool Must(DrawnItem drawn) =>
        drawn is { IsEmpty: false, Blend: Blend.Screen } && (drawn.SeesThrough || drawn.Softens)
            && drawn.Finishes.Any();

    private static bool SeesThrough(Mark mark, bool finishes) =>
        mark is BlurredMark or PictureMark { Picture.Opaque: false } or TilesMark { Picture.Opaque: false }
            or GrownMark { Picture.Opaque: false }
        || (finishes && mark.Finish is not null);

    /// <summary>One mark of a drawn item, as pixels of what lies there up to it.</summary>
    private static FlatMark Flat(Scene scene, int at, int mark, double perInch)
    {
        var drawn = scene.Items[at];
        var own = drawn.Marks[mark];
        var clip = Clip(own);
        var reach = own switch
        {
            BlurredMark s => drawn.Place.Of(s.Bounds),
            LineMark l => drawn.Place.Of(l.Shape.Bounds.Wider(l.Reach)),
            GlyphMark => drawn.Inked.IsEmpty ? drawn.Frame : drawn.Inked,
            FillMark f => drawn.Place.Of(f.Shape.Bounds),
            GradientMark h => drawn.Place.Of(h.Shape.Bounds),
            _ => clip is null ? drawn.Reach : drawn.Place.Of(clip.Bounds),
        };
        // What has edges and no shape to be seen through is made finer.
        var fine = clip is null && own is not BlurredMark ? Edges : perInch;
        var part = new FlatPart(at, mark, Within(scene, reach), clip?.Under(drawn.Place),
            fine)
        { ByLetters = own is GlyphMark };
        return new(part, clip) { Letters = own as GlyphMark };
    }

    /// <summary>A drawn item that is mixed as one: with its own parts first, then with what lies under it.</summary>
    private static DrawnItem Mixed(Scene scene, int at, double perInch)
    {
        var drawn = scene.Items[at];
        if (Occlusion.Plain(scene, at) is { } under && Solid(drawn, under) is { } solid) return solid;
        var window = Within(scene, drawn.Reach);
        var plain = drawn with { Opacity = 1, Blend = Blend.Normal };
        if (drawn.Marks.All(m => m is GlyphMark))
        {
            var all = new FlatPart(at, Painting.Whole, window, null, perInch) { ByLetters = true };
            return plain with
            {
                Marks = [.. drawn.Marks.Select(m => new FlatMark(all, null) { Letters = (GlyphMark)m })],
            };
        }
        var clip = drawn.Marks is [var one] ? Clip(one) : null;
        var part = new FlatPart(at, Painting.Whole, window, clip?.Under(drawn.Place), clip is null ? Edges : perInch);
        return plain with { Marks = [new FlatMark(part, clip) { Hidden = [.. drawn.Marks.OfType<GlyphMark>()] }] };
    }

    /// <summary>
    /// A drawn item over one plain ink: its own inks, mixed with that. Within a group each mark hides those under it, so
    /// every ink is mixed by itself;
    /// null where that is not so, since a mark overprints others of its own group.
    /// </summary>
    private static DrawnItem? Solid(DrawnItem drawn, Ink under)
    {
        if (!drawn.Marks.All(m =>
            m is FillMark { Finish: null } or LineMark { Finish: null } or GlyphMark { Finish: null, Gradient: null }))
            return null;
        if (drawn.Marks.Skip(1).Any(Overprints) && !drawn.Marks.All(m => m is GlyphMark)) return null;
        Ink mixed(Ink ink)
        {
            int one(int b, int s)
            {
                double full = drawn.Blend switch
                {
                    Blend.Multiply => b + s - (b * (double)s / 10_000),
                    Blend.Screen => b * (double)s / 10_000,
                    _ => s,
                };
                return (int)Math.Round(b + ((full - b) * drawn.Opacity));
            }
            return new(one(under.C, ink.C), one(under.M, ink.M), one(under.Y, ink.Y), one(under.K, ink.K));
        }
        // What overprints within a group keeps what is under it, unless the group stands by itself.
        Ink over(Ink ink, bool overprint) => mixed(overprint && !drawn.StandsAlone ? Occlusion.Both(ink, under) : ink);
        return drawn with
        {
            Opacity = 1,
            Blend = Blend.Normal,
            Marks = [.. drawn.Marks.Select(m => m switch
            {
                FillMark f => f with { Ink = over(f.Ink, f.Overprint), Overprint = false },
                LineMark l => l with { Ink = mixed(l.Ink) },
                GlyphMark g => g with { Ink = over(g.Ink, g.Overprint), Overprint = false },
                _ => m,
            })],
        };
    }

    private static bool Overprints(Mark mark) => mark is FillMark { Overprint: true } or GlyphMark { Overprint: true };

    private static Outline? Clip(Mark mark) => mark switch
    {
        FillMark { EvenOdd: false } f => f.Shape,
        GradientMark { EvenOdd: false } h => h.Shape,
        PictureMark p => p.Clip,
        TilesMark t => t.Clip,
        GrownMark g => Outline.Rectangle(0, 0, 1, 1).Under(g.Place),
        DrawingMark { EvenOdd: false } d => d.Clip,
        _ => null,
    };

    /// <summary>
    /// Parts with edges within share what fine pixels a page has; where that leaves little more than pictures get, they
    /// are made as those are.
    /// </summary>
    private static void Sharpen(ImmutableArray<FlatPart> parts, double perInch)
    {
        var fine = parts.Where(p => p.PerInch > perInch).ToList();
        if (fine.Count == 0) return;
        var inches = fine.Sum(p => (p.Window.Right - p.Window.Left) * (p.Window.Bottom - p.Window.Top)) / (72 * 72);
        var share = perInch < 400 ? 0 : Math.Min(Edges, Math.Floor(Math.Sqrt(MostEdgePixels / Math.Max(inches, 1e-6))));
        foreach (var part in fine) part.PerInch = share < 1.5 * perInch ? perInch : share;
    }

    /// <summary>On whole points, within the sheet.</summary>
    private static Bounds Within(Scene scene, Bounds b) => b.IsEmpty
        ? new(0, 0, 0, 0)
        : new(
            Math.Clamp(Math.Floor(b.Left), 0, scene.Width),
            Math.Clamp(Math.Floor(b.Top), 0, scene.Height),
            Math.Clamp(Math.Ceiling(b.Right), 0, scene.Width),
            Math.Clamp(Math.Ceiling(b.Bottom), 0, scene.Height));
}
