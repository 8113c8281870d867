namespace Lumbeck.Press.Plates;

/// <summary>
/// What a sheet shows at one place in the order of its marks: all that lies there up to a mark of a drawn item, or up
/// to the whole of one.
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
internal sealed record FlatMark(FlatPart Part, Outline? Clip) : PressMark
{
    /// <summary>The letters it is seen through, in place of a shape.</summary>
    public GlyphMark? Letters { get; init; }
    /// <summary>
    /// Letters that are part of its pixels, laid invisibly over them so that they can still be read and found.
    /// </summary>
    public ImmutableArray<GlyphMark> Hidden { get; init; } = [];
}

/// <summary>What a press file lays down: a mark as the scene has it, or a part that was flattened.</summary>
internal abstract record PressMark;

/// <summary>A mark that stayed as it is.</summary>
internal sealed record KeptMark(Mark Mark) : PressMark;

/// <summary>A drawn item as a press file has it.</summary>
/// <param name="Of">The drawn item, with those of its marks that stayed.</param>
/// <param name="Marks">All that it lays down, in order.</param>
internal sealed record PressItem(DrawnItem Of, ImmutableArray<PressMark> Marks)
{
    /// <summary>As it is, nothing of it flattened.</summary>
    public static PressItem Whole(DrawnItem drawn) => new(drawn, [.. drawn.Marks.Select(m => new KeptMark(m))]);
}

/// <summary>A scene without transparency, and the parts of it that are to be painted.</summary>
internal sealed record Flattened(Scene Scene, ImmutableArray<PressItem> Items, ImmutableArray<FlatPart> Parts)
{
    /// <summary>A scene of which nothing is flattened.</summary>
    public static Flattened None(Scene scene) => new(scene, [.. scene.Items.Select(PressItem.Whole)], []);
}

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
        return Sharpened(scene, perInch, [.. scene.Items.Select((drawn, i) => drawn.IsEmpty ? PressItem.Whole(drawn)
            : drawn.Mixes ? Mixed(scene, i, perInch)
            : !drawn.Marks.Any(m => SeesThrough(m, finishes)) ? PressItem.Whole(drawn)
            : new(drawn with { Marks = [.. drawn.Marks.Where(m => !SeesThrough(m, finishes))] },
                [.. drawn.Marks.Select((m, n) => SeesThrough(m, finishes) ? Flat(scene, i, n, perInch)
                    : (PressMark)new KeptMark(m))]))]);
    }

    /// <summary>
    /// Flattens what no file with live transparency says: soft marks that are screened beside finishing inks, which are
    /// not screened with them.
    /// </summary>
    public static Flattened WhatMust(Scene scene, double perInch)
    {
        return Sharpened(scene, perInch,
            [.. scene.Items.Select((p, i) => Must(p) ? Mixed(scene, i, perInch) : PressItem.Whole(p))]);
    }

    private static Flattened Sharpened(Scene scene, double perInch, ImmutableArray<PressItem> items)
    {
        ImmutableArray<FlatPart> parts = [.. items.SelectMany(p => p.Marks).OfType<FlatMark>().Select(f => f.Part)
            .Distinct()];
        Sharpen(parts, perInch);
        return new(scene, items, parts);
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
        var clip = MarkClip.Of(own);
        var reach = own is GlyphMark ? drawn.Inked.IsEmpty ? drawn.Frame : drawn.Inked
            : MarkReach.Of(own) is { IsEmpty: false } bounds || own is BlurredMark ? drawn.Place.Of(MarkReach.Of(own))
            : clip is null ? drawn.Reach : drawn.Place.Of(clip.Bounds);
        // What has edges and no shape to be seen through is made finer.
        var fine = clip is null && own is not BlurredMark ? Edges : perInch;
        var part = new FlatPart(at, mark, Within(scene, reach), clip?.Under(drawn.Place),
            fine)
        { ByLetters = own is GlyphMark };
        return new(part, clip) { Letters = own as GlyphMark };
    }

    /// <summary>A drawn item that is mixed as one: with its own parts first, then with what lies under it.</summary>
    private static PressItem Mixed(Scene scene, int at, double perInch)
    {
        var drawn = scene.Items[at];
        if (Occlusion.Plain(scene, at) is { } under && Solid(drawn, under) is { } solid) return PressItem.Whole(solid);
        var window = Within(scene, drawn.Reach);
        var plain = drawn with { Opacity = 1, Blend = Blend.Normal, Marks = [] };
        if (drawn.Marks.All(m => m is GlyphMark))
        {
            var all = new FlatPart(at, Painting.Whole, window, null, perInch) { ByLetters = true };
            return new(plain, [.. drawn.Marks.OfType<GlyphMark>().Select(g => new FlatMark(all, null) { Letters = g })]);
        }
        var clip = drawn.Marks is [var one] ? MarkClip.Of(one) : null;
        var part = new FlatPart(at, Painting.Whole, window, clip?.Under(drawn.Place), clip is null ? Edges : perInch);
        return new(plain, [new FlatMark(part, clip) { Hidden = [.. drawn.Marks.OfType<GlyphMark>()] }]);
    }

    /// <summary>
    /// A drawn item over one plain ink: its own inks, mixed with that. Within a group each mark hides those under it,
    /// so every ink is mixed by itself; null where that is not so, since a mark overprints others of its own group.
    /// </summary>
    private static DrawnItem? Solid(DrawnItem drawn, Ink under)
    {
        if (!drawn.Marks.All(m => m is IPlainInk { Plain: not null })) return null;
        if (drawn.Marks.Skip(1).Any(m => m is IPlainInk { Overprints: true }) && !drawn.Marks.All(m => m is GlyphMark)) return null;
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
            Marks = [.. drawn.Marks.OfType<IPlainInk>().Select(m =>
                m.With(over(m.Plain!.Value, m.Overprints), overprint: false))],
        };
    }

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
