using Lumbeck.Core.Jobs;

namespace Lumbeck.Core.Edits;

/// <summary>Puts a picture in a frame, or takes it out.</summary>
public sealed record HangPicture(string Item, Picture? Picture) : ItemEdit(Item)
{
    protected override string Fact => "picture";
    protected override Item On(Item item, Job job) => Picture is null or { Hash.Length: 64, Wide: > 0, High: > 0 }
        ? (item as PictureItem ?? throw Items.Wrong(item)) with { Picture = Picture }
        : throw new Refusal($"item/{Item}/picture", "this is no picture of the drawer");
}

/// <summary>Fits, pushes, enlarges or mirrors a picture within its frame.</summary>
public sealed record FitPicture(string Item, Fit? Fit = null, decimal? Zoom = null, decimal? PanX = null, decimal? PanY = null, Flip? Flip = null) : ItemEdit(Item)
{
    protected override string Fact => Touches.First().Split('/')[^1];

    public override IEnumerable<string> Touches
    {
        get
        {
            if (Fit is not null) yield return $"item/{Item}/fit";
            if (Zoom is not null) yield return $"item/{Item}/zoom";
            if (PanX is not null) yield return $"item/{Item}/pan-x";
            if (PanY is not null) yield return $"item/{Item}/pan-y";
            if (Flip is not null) yield return $"item/{Item}/flip";
        }
    }

    protected override Item On(Item item, Job job)
    {
        if (Zoom is < 10 or > 2000) throw new Refusal($"item/{Item}/zoom", $"{Zoom.Value.ToString(CultureInfo.InvariantCulture)} % can’t be shown: from 10 to 2000 %");
        foreach (var (pan, name) in ((decimal?, string)[])[(PanX, "pan-x"), (PanY, "pan-y")])
            if (pan is < -100 or > 100) throw new Refusal($"item/{Item}/{name}", $"{pan.Value.ToString(CultureInfo.InvariantCulture)} % is past the picture’s edge: from -100 to 100 %");
        var p = item as PictureItem ?? throw Items.Wrong(item);
        return p with { Fit = Fit ?? p.Fit, Zoom = Zoom ?? p.Zoom, PanX = PanX ?? p.PanX, PanY = PanY ?? p.PanY, Flip = Flip ?? p.Flip };
    }
}
