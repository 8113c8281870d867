namespace Lumbeck.Core.Edits.AsTyped;

/// <summary>The facts of a picture in its frame.</summary>
internal static class PictureFacts
{
    private static readonly (string, Fit)[] Fits = [("cover", Fit.Cover), ("contain", Fit.Contain)];
    private static readonly (string, Flip)[] Flips = [("no", Flip.None), ("across", Flip.Across), ("down", Flip.Down),
        ("both", Flip.Both)];
    private static readonly (string, Outlined)[] Shapes = [("rectangle", Outlined.Rectangle),
        ("ellipse", Outlined.Ellipse), ("polygon", Outlined.Polygon)];
    private static readonly (string, TilingMode?)[] Lays = [("once", null), ("straight", TilingMode.Straight),
        ("brick", TilingMode.Brick), ("mirrored", TilingMode.Mirrored)];
    private static readonly (string, GrowWay?)[] Ways = [("no", null), ("mirror", GrowWay.Mirror),
        ("stretch", GrowWay.Stretch), ("soft", GrowWay.Soft), ("synthesis", GrowWay.Synthesis)];
    private static readonly (string, GrowTo)[] Reaches = [("edge", GrowTo.Edge), ("sheet", GrowTo.Sheet)];

    /// <summary>The way of growing that follows another when they are tried one after the other.</summary>
    public static string After(GrowWay? way) =>
        Ways[(Array.FindIndex(Ways, w => w.Item2 == way) + 1) % Ways.Length].Item1;

    public static IEnumerable<Fact> Of(PictureItem item)
    {
        var id = item.Id;
        PictureItem P(Job j) => (PictureItem)j.Item(id)!;
        static string percent(decimal d) => d.ToString("0.##", CultureInfo.InvariantCulture) + " %";
        static decimal read(string t) =>
            LengthText.Number(t.TrimEnd(' ', '%').Replace('−', '-'))
                ?? throw Typed.No($"`{LengthText.Clip(t)}` is no share: try `120 %`");
        static string word<T>((string Word, T Value)[] of, T value) =>
            of.First(w => EqualityComparer<T>.Default.Equals(w.Value, value)).Word;

        yield return new($"item/{id}/shape", "Shape", j => word(Shapes, P(j).Shape),
            (_, t) => new FramePicture(id, Typed.Choice(t, Shapes)))
        {
            Choices = Facts.Of(("rectangle", "rectangle"),
                ("ellipse", "ellipse"), ("polygon", "polygon or star"))
        };
        yield return new($"item/{id}/fit", "Fits", j => word(Fits, P(j).Fit),
            (_, t) => new FitPicture(id, Fit: Typed.Choice(t, Fits)))
        {
            Choices = Facts.Of(("cover", "fills the frame"),
                ("contain", "is seen whole"))
        };
        yield return new($"item/{id}/zoom", "Enlarged", j => percent(P(j).Zoom),
            (_, t) => new FitPicture(id, Zoom: read(t)));
        yield return new($"item/{id}/pan-x", "Pushed across", j => percent(P(j).PanX),
            (_, t) => new FitPicture(id, PanX: read(t)));
        yield return new($"item/{id}/pan-y", "Pushed down", j => percent(P(j).PanY),
            (_, t) => new FitPicture(id, PanY: read(t)));
        yield return new($"item/{id}/flip", "Mirrored", j => word(Flips, P(j).Flip),
            (_, t) => new FitPicture(id, Flip: Typed.Choice(t, Flips)))
        {
            Choices = Facts.Of(("no", "no"),
                ("across", "across"), ("down", "upside down"), ("both", "both"))
        };

        Tiling tiling(Job j) => P(j).Tiling ?? throw Typed.No("it is not laid as a pattern");
        yield return new($"item/{id}/tile", "Laid", j => word(Lays, P(j).Tiling?.Lay),
            (j, t) => new TilePicture(id,
                Typed.Choice(t, Lays) is { } lay
                    ? (P(j).Tiling ?? new(lay, Length.FromMillimetres(30))) with { Lay = lay }
                    : null))
        {
            Choices = Facts.Of(("once", "once"), ("straight", "in rows"), ("brick", "as bricks"),
            ("mirrored", "mirrored"))
        };
        if (item.Tiling is not null)
        {
            yield return new($"item/{id}/tile-wide", "Tile wide", j => tiling(j).Wide.Show(j.Ticket.Unit),
                (j, t) => new TilePicture(id, tiling(j) with { Wide = Facts.Length(j, t) }));
            yield return new($"item/{id}/tile-x", "Pushed across", j => percent(tiling(j).OffsetX),
                (j, t) => new TilePicture(id, tiling(j) with { OffsetX = read(t) }));
            yield return new($"item/{id}/tile-y", "Pushed down", j => percent(tiling(j).OffsetY),
                (j, t) => new TilePicture(id, tiling(j) with { OffsetY = read(t) }));
        }

        Growth growth(Job j) => P(j).Growth ?? throw Typed.No("it does not grow yet: pick how first");
        yield return new($"item/{id}/grow", "Grown", j => word(Ways, P(j).Growth?.Way),
            (j, t) => new GrowPicture(id,
                (t == "next" ? Typed.Choice(After(P(j).Growth?.Way), Ways) : Typed.Choice(t, Ways)) is { } way
                    ? (P(j).Growth ?? new(way)) with { Way = way }
                    : null))
        {
            Choices = Facts.Of(("no", "no"), ("mirror", "mirrored"), ("stretch", "last strip"), ("soft", "ever softer"),
            ("synthesis", "from patches"))
        };
        if (item.Growth is not null)
        {
            yield return new($"item/{id}/grow-to", "Reaches", j => word(Reaches, growth(j).To),
                (j, t) => new GrowPicture(id, growth(j) with { To = Typed.Choice(t, Reaches) }))
            {
                Choices = j =>
                [("edge", Binding.Of(j.Ticket.Binding).TurnsIn ? "turn-in" : "bleed"), ("sheet", "sheet")]
            };
            yield return new($"item/{id}/grow-seed", "Seed", j => growth(j).Seed.ToString(CultureInfo.InvariantCulture),
                (j, t) => new GrowPicture(id, growth(j) with { Seed = Typed.Whole(t, "2") }));
        }
        yield return new($"item/{id}/convert", "Convert", j => P(j).Convert ? "yes" : "no",
            (_, t) => new ConvertPicture(id, Typed.Choice(t, [("yes", true), ("no", false)])));
    }
}
