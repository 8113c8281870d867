using Lumbeck.Core.Drawing;
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

/// <summary>Pushes a picture within its frame, so far right and down as the item itself stands; it stops where its edge meets the frame's.</summary>
public sealed record PushPicture(string Item, Length Right, Length Down) : ItemEdit(Item)
{
    protected override string Fact => "pan-x";
    public override IEnumerable<string> Touches => [$"item/{Item}/pan-x", $"item/{Item}/pan-y"];

    protected override Item On(Item item, Job job)
    {
        var p = item as PictureItem ?? throw Items.Wrong(item);
        var box = Hanging.At(item, job.SheetOf(item, job.WrapOf(Item))).Box;
        if (PicturePlacing.Of(p with { PanX = 0, PanY = 0, Flip = Jobs.Flip.None }, box.Width.Points, box.Height.Points) is not { } at) throw new Refusal($"item/{Item}/picture", "there is no picture in this frame to push");
        static decimal pushed(decimal pan, double by, double spare) => spare < 0.01 ? pan : (decimal)Math.Round(Math.Clamp((double)pan + (by / spare * 100), -100, 100), 2);
        return p with { PanX = pushed(p.PanX, Right.Points, Math.Abs(at.A - box.Width.Points) / 2), PanY = pushed(p.PanY, Down.Points, Math.Abs(at.D - box.Height.Points) / 2) };
    }
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
