namespace Lumbeck.Core.Edits.OfItems;

/// <summary>An edit of a drawn shape.</summary>
public abstract record ShapeEdit(string Item) : ItemEdit(Item)
{
    protected abstract ShapeItem On(ShapeItem shape);
    protected override Item On(Item item, Job job) => On(item as ShapeItem ?? throw Items.Wrong(item));
}

/// <summary>Paints what fills a shape, or takes its paint away.</summary>
public sealed record FillShape(string Item, Paint? Fill) : ShapeEdit(Item)
{
    protected override string Fact => "fill";
    protected override ShapeItem On(ShapeItem shape) => shape with
    {
        Fill = Core.Art.Patterns.Fill.Of(Fill, shape.Fill?.Pattern),
    };
}

/// <summary>Fills a shape with a pattern, over its paint, or takes the pattern away.</summary>
public sealed record PatternShape(string Item, Pattern? Pattern) : ShapeEdit(Item)
{
    protected override string Fact => "pattern";
    protected override ShapeItem On(ShapeItem shape) =>
        shape is LineItem ? throw Items.Wrong(shape) : shape with { Fill = Fill.Of(shape.Fill?.Paint, Pattern) };
}

/// <summary>Lines a shape, at 1 pt where it had no weight yet, or takes its line away.</summary>
public sealed record LineShape(string Item, Paint? Line) : ShapeEdit(Item)
{
    protected override string Fact => "line";
    protected override ShapeItem On(ShapeItem shape) =>
        shape with
        {
            Line = Line,
            LineWidth = Line is not null && shape.LineWidth.IsZero ? Length.FromPoints(1) : shape.LineWidth,
        };
}
