namespace Lumbeck.Core.Edits.OfPictures;

/// <summary>Puts a picture in a frame, or takes it out.</summary>
public sealed record HangPicture(string Item, Picture? Picture) : ItemEdit(Item)
{
    protected override string Fact => "picture";

    public override string Says(Job before) =>
        Picture is { } p ? $"picture {p.Name} hung" : $"picture taken out of {before.Item(Item)?.Said}";

    protected override Item On(Item item, Job job) => Picture is null or { Hash.Length: 64, Wide: > 0, High: > 0 }
        ? (item as PictureItem ?? throw Items.Wrong(item)) with { Picture = Picture }
        : throw new Refusal($"item/{Item}/picture", "this is no picture of the drawer");
}

/// <summary>
/// Pushes a picture within its frame, so far right and down as the item itself stands; it stops where its edge meets
/// the frame's.
/// </summary>
public sealed record PushPicture(string Item, Length Right, Length Down) : ItemEdit(Item)
{
    protected override string Fact => "pan-x";

    protected override Item On(Item item, Job job)
    {
        var p = item as PictureItem ?? throw Items.Wrong(item);
        var box = Hanging.At(item, job.SheetOf(item, job.WrapOf(Item))).Box;
        if (PicturePlacing.Of(p with { PanX = 0, PanY = 0, Flip = Flip.None }, box.Width.Points,
            box.Height.Points) is not { } at)
            throw new Refusal($"item/{Item}/picture", "there is no picture in this frame to push");
        static decimal pushed(decimal pan, double by, double spare) =>
            spare < 0.01 ? pan : (decimal)Math.Round(Math.Clamp((double)pan + (by / spare * 100), -100, 100), 2);
        return p with
        {
            PanX = pushed(p.PanX, Right.Points, Math.Abs(at.A - box.Width.Points) / 2),
            PanY = pushed(p.PanY, Down.Points, Math.Abs(at.D - box.Height.Points) / 2),
        };
    }
}

/// <summary>Fits, pushes, enlarges or mirrors a picture within its frame.</summary>
public sealed record FitPicture(string Item, Fit? Fit = null, decimal? Zoom = null, decimal? PanX = null,
    decimal? PanY = null, Flip? Flip = null)
    : ItemEdit(Item)
{
    protected override string Fact =>
        Fit is not null
            ? "fit"
            : Zoom is not null
            ? "zoom"
            : PanX is not null
            ? "pan-x"
            : PanY is not null
            ? "pan-y"
            : "flip";

    protected override Item On(Item item, Job job)
    {
        if (Zoom is < 10 or > 2000)
            throw new Refusal($"item/{Item}/zoom",
                $"{Zoom.Value.ToString(CultureInfo.InvariantCulture)} % can’t be shown: from 10 to 2000 %");
        foreach (var (pan, name) in ((decimal?, string)[])[(PanX, "pan-x"), (PanY, "pan-y")])
            if (pan is < -100 or > 100)
                throw new Refusal($"item/{Item}/{name}",
                    $"{pan.Value.ToString(CultureInfo.InvariantCulture)} % is past the picture’s edge: from -100 to 100 %");
        var p = item as PictureItem ?? throw Items.Wrong(item);
        return p with
        {
            Fit = Fit ?? p.Fit,
            Zoom = Zoom ?? p.Zoom,
            PanX = PanX ?? p.PanX,
            PanY = PanY ?? p.PanY,
            Flip = Flip ?? p.Flip,
        };
    }
}

/// <summary>An edit of a frame with a picture.</summary>
public abstract record FrameEdit(string Item) : ItemEdit(Item)
{
    protected abstract PictureItem On(PictureItem frame);
    protected override Item On(Item item, Job job) => On(item as PictureItem ?? throw Items.Wrong(item));
}

/// <summary>Gives a picture's frame another shape.</summary>
public sealed record FramePicture(string Item, Outlined Shape) : FrameEdit(Item)
{
    protected override string Fact => "shape";
    protected override PictureItem On(PictureItem frame) => frame with { Shape = Shape };
}

/// <summary>Lays a picture again and again, or fits it once.</summary>
public sealed record TilePicture(string Item, Tiling? Tiling) : FrameEdit(Item)
{
    protected override string Fact => "tile";
    protected override PictureItem On(PictureItem frame)
    {
        if (Tiling is { Wide: var wide } && (wide < Tiling.Least || wide > Tiling.Most))
            throw new Refusal($"item/{Item}/tile-wide",
                $"a tile of {wide.Show(Unit.Millimetre)} can’t be laid: from {Tiling.Least.Show(Unit.Millimetre)} to " +
                    $"{Tiling.Most.Show(Unit.Millimetre)}");
        if (Tiling is { OffsetX: < -100 or > 100 } or { OffsetY: < -100 or > 100 })
            throw new Refusal($"item/{Item}/tile-x", "a pattern is pushed by no more than a tile: from -100 to 100 %");
        return frame with { Tiling = Tiling };
    }
}

/// <summary>
/// Makes a picture go on beyond its frame to where the cover is cut or turned in, or lets it end at its frame.
/// </summary>
public sealed record GrowPicture(string Item, Growth? Growth) : FrameEdit(Item)
{
    protected override string Fact => "grow";
    protected override PictureItem On(PictureItem frame)
    {
        if (Growth is null) return frame with { Growth = null };
        if (frame.Picture is null) throw new Refusal($"item/{Item}/grow", "there is no picture in this frame to grow");
        if (frame.Picture.IsDrawing)
            throw new Refusal($"item/{Item}/grow", "a drawing can’t grow: stretch its frame instead, it stays sharp");
        if (!frame.Picture.Opaque)
            throw new Refusal($"item/{Item}/grow",
                "something shows through this picture, so its edge can’t grow: save it without its see-through parts");
        if (!Growing.Can(frame))
            throw new Refusal($"item/{Item}/grow",
                "only a picture in a square-cornered, level frame can grow: turn it level, and take its corners, " +
                    "shape or pattern away");
        return frame with { Growth = Growth };
    }
}

/// <summary>Brings a CMYK picture made for another condition to the house's, or keeps its numbers.</summary>
public sealed record ConvertPicture(string Item, bool Convert) : FrameEdit(Item)
{
    protected override string Fact => "convert";
    protected override PictureItem On(PictureItem frame) => frame with { Convert = Convert };
}

/// <summary>Lays a picture under a wrap to trace it by, or takes it away.</summary>
public sealed record LayTracing(Tracing? Tracing, int Wrap = 0) : Edit
{
    public override string Says(Job before) => Tracing is null ? "tracing taken away" : "tracing";
    protected override Job On(Job job)
    {
        if (Wrap < 0 || Wrap >= job.Wraps.Count)
            throw new Refusal(GroundPath.Of(Wrap, "tracing"), "this job has no such wrap");
        if (Tracing is { Strength: < 5 or > 100 })
            throw new Refusal(GroundPath.Of(Wrap, "tracing-strength"),
                $"{Tracing.Strength.ToString(CultureInfo.InvariantCulture)} % can’t be shown: from 5 to 100 %");
        return job with { Wraps = job.Wraps.SetItem(Wrap, job.Wraps[Wrap] with { Tracing = Tracing }) };
    }
}
