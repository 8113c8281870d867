using Lumbeck.Core.Jobs;

namespace Lumbeck.Core.Edits;

/// <summary>An edit of a rectangle.</summary>
public abstract record RectEdit(string Item) : ItemEdit(Item)
{
    protected abstract RectItem On(RectItem rect);
    protected override Item On(Item item, Job job) => On(item as RectItem ?? throw Items.Wrong(item));
}

/// <summary>Fills a rectangle, or takes its fill away.</summary>
public sealed record FillRect(string Item, Paint? Fill) : RectEdit(Item)
{
    protected override string Fact => "fill";
    protected override RectItem On(RectItem rect) => rect with { Fill = Fill };
}

/// <summary>Lines a rectangle, at 1 pt where it had no weight yet, or takes its line away.</summary>
public sealed record LineRect(string Item, Paint? Line) : RectEdit(Item)
{
    protected override string Fact => "line";
    protected override RectItem On(RectItem rect) => rect with { Line = Line, LineWidth = Line is not null && rect.LineWidth.IsZero ? Length.FromPoints(1) : rect.LineWidth };
}

public sealed record WeighLine(string Item, Length Width) : RectEdit(Item)
{
    protected override string Fact => "line-width";
    protected override RectItem On(RectItem rect) => Width < Length.Zero || Width > Length.FromPoints(200)
        ? throw new Refusal($"item/{Item}/line-width", $"a line of {Width.ShowPoints()} can't be drawn: from 0 to 200 pt")
        : rect with { LineWidth = Width };
}

public sealed record RoundRect(string Item, Length Corner) : RectEdit(Item)
{
    protected override string Fact => "corner";
    protected override RectItem On(RectItem rect) => Corner < Length.Zero
        ? throw new Refusal($"item/{Item}/corner", "a corner's radius can't be under 0")
        : rect with { Corner = Corner };
}
