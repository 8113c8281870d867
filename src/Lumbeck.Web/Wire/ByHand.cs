namespace Lumbeck.Web.Wire;

/// <summary>One press on the picked items, by its word.</summary>
/// <param name="Items">The picked items, the measure of the others last.</param>
/// <param name="How">The word.</param>
/// <param name="New">What ids of copies begin with.</param>
/// <param name="Panel">The panel of a copy.</param>
public sealed record Arrange(string[] Items, string How, string? New = null, string? Panel = null) : Ask
{
    public override Edit Make(Asking at) => Arranging.Of(at.Job, Some(Items), How, New ?? "", Panel, at.Drawn);
}

/// <summary>Changes what lies on the front for what lies on the back.</summary>
public sealed record Swap : Ask
{
    public override Edit Make(Asking at) => new SwapCovers(at.Wrap);
}

/// <summary>An item as a hand left it: its middle and sides in points of the sheet, its turn in degrees.</summary>
public sealed record Laid(string Item, double X, double Y, double? W = null, double? H = null, double? Turned = null);

/// <summary>Lays items as a hand sized or turned them.</summary>
public sealed record LayByHand(Laid[] Laid) : Ask
{
    public override Edit Make(Asking at) => Arranging.Each(Some(Laid), One, at.Job, "by hand");

    private static LayItem One(Laid l) => new(
        l.Item, Points(l.Item, l.X), Points(l.Item, l.Y),
        l.W is { } w ? Points(l.Item, w) : null, l.H is { } h ? Points(l.Item, h) : null, Degrees(l));

    private static decimal? Degrees(Laid l) => l.Turned is not { } t ? null
        : double.IsFinite(t) && Math.Abs(t) < 1e5
            ? (decimal)t
            : throw new Refusal($"item/{l.Item}/turned", "it can’t be turned so far");
}

/// <summary>Drops items so many points right of and below where they lay.</summary>
public sealed record Carry(string[] Items, double Right, double Down) : Ask
{
    public override Edit Make(Asking at) =>
        Arranging.Each(Some(Items), id => new DropItem(id, Points(id, Right), Points(id, Down)), at.Job, "move");
}

/// <summary>Pushes a picture within its frame, in points as the item stands.</summary>
public sealed record Push(string Item, double Right, double Down) : Ask
{
    public override Edit Make(Asking at) => new PushPicture(Item, Points(Item, Right), Points(Item, Down));
}

/// <summary>Takes items away.</summary>
public sealed record Remove(string[] Items) : Ask
{
    public override Edit Make(Asking at) => Arranging.Each(Some(Items), id => new RemoveItem(id), at.Job, "remove");
}

/// <summary>Moves items over or under their neighbours.</summary>
public sealed record Order(string[] Items, int Steps) : Ask
{
    public override Edit Make(Asking at) => Arranging.Order(at.Job, Some(Items), Math.Clamp(Steps, -1000, 1000));
}

/// <summary>Nudges items by steps of the job's unit, far ones or near.</summary>
public sealed record NudgeBy(string[] Items, int Right, int Down, bool Far = false) : Ask
{
    public override Edit Make(Asking at) =>
        Arranging.Each(Some(Items),
            id => Nudge.Of(at.Job, id, Math.Clamp(Right, -1000, 1000), Math.Clamp(Down, -1000, 1000), Far), at.Job,
            "move");
}
