namespace Lumbeck.Web.Wire;

/// <summary>Puts a picture or drawing of the Drawer on a panel, under an id.</summary>
public sealed record AddKept(string Item, string Hash, string Panel) : Ask
{
    public override Edit Make(Asking at)
    {
        var picture = Of(at, Hash);
        var added = Starters.Pictured(at.Job, PanelOf(Panel), Item, picture, at.Wrap);
        return new AddItem(added, Wrap: at.Wrap);
    }

    /// <exception cref="Refusal">It is not in the Drawer.</exception>
    internal static Picture Of(Asking at, string hash) => at.Desk.Drawer.Pictures.Kept(hash)
        ?? throw No("this picture is not in the Drawer any more");
}

/// <summary>Makes a drawing of the Drawer the motif of the paper on the ground, or in a shape.</summary>
public sealed record LayMotif(string Hash, string? Item = null) : Ask
{
    public override Edit Make(Asking at)
    {
        var motif = AddKept.Of(at, Hash);
        if (!motif.IsDrawing)
            throw No($"{motif.Name} is made of pixels: a motif is a drawing in paths, such as an SVG");
        var shape = string.IsNullOrEmpty(Item) ? null : at.Job.Item(Item) as ShapeItem ?? throw Job.Gone(Item);
        var fill = shape is null ? at.Job.Wraps[at.Wrap].Take.Ground : shape.Fill;
        var paper = (fill?.Pattern as OwnMotif ?? (OwnMotif)PatternShelf.Kinds.First(k => k is OwnMotif).In(at.Job.Swatches))
            with
        { Motif = motif };
        return shape is null ? new LayPattern(paper, at.Wrap) : new PatternShape(shape.Id, paper);
    }
}
