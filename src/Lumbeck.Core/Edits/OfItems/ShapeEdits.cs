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

public sealed record WeighLine(string Item, Length Width) : ShapeEdit(Item)
{
    protected override string Fact => "line-width";
    protected override ShapeItem On(ShapeItem shape) => Width < Length.Zero || Width > Length.FromPoints(200)
        || (Width.IsZero && shape is LineItem)
        ? throw new Refusal($"item/{Item}/line-width",
            $"a line of {Width.ShowPoints()} can't be drawn: {(shape is LineItem ? "over" : "from")} 0, up to 200 pt")
        : shape with { LineWidth = Width };
}

public sealed record DashLine(string Item, Dash Dash) : ShapeEdit(Item)
{
    protected override string Fact => "dash";
    protected override ShapeItem On(ShapeItem shape) =>
        (shape as LineItem ?? throw Items.Wrong(shape)) with { Dash = Dash };
}

public sealed record RoundCorner(string Item, Length Corner) : ShapeEdit(Item)
{
    protected override string Fact => "corner";
    protected override ShapeItem On(ShapeItem shape)
    {
        if (Corner < Length.Zero) throw new Refusal($"item/{Item}/corner", "a corner's radius can't be under 0");
        return shape switch
        {
            RectItem s => s with { Corner = Corner },
            FrameItem s => s with { Corner = Corner },
            PlateItem s => s with { Corner = Corner },
            PictureItem s => s with { Corner = Corner },
            _ => throw Items.Wrong(shape),
        };
    }
}

/// <summary>
/// Gives a polygon so many corners, or a star such a waist in percent; a waist of 0 makes it a polygon.
/// </summary>
public sealed record ShapePolygon(string Item, int? Corners = null, decimal? Waist = null) : ShapeEdit(Item)
{
    protected override string Fact => Corners is not null ? "corners" : "waist";
    protected override ShapeItem On(ShapeItem shape)
    {
        if (Corners is < PolygonItem.Least or > PolygonItem.Most)
            throw new Refusal($"item/{Item}/corners",
                $"{Corners} corners can't be drawn: from {PolygonItem.Least} to {PolygonItem.Most}");
        if (Waist is < 0 or > 100)
            throw new Refusal($"item/{Item}/waist",
                $"a waist of {Waist.Value.ToString(CultureInfo.InvariantCulture)} % can't be drawn: from 0 for a polygon to 100 %");
        if (shape is PictureItem picture)
            return picture with { Corners = Corners ?? picture.Corners, Waist = Waist ?? picture.Waist };
        var polygon = shape as PolygonItem ?? throw Items.Wrong(shape);
        return polygon with { Corners = Corners ?? polygon.Corners, Waist = Waist ?? polygon.Waist };
    }
}

public sealed record ThickenFrame(string Item, Length Thickness) : ShapeEdit(Item)
{
    protected override string Fact => "thickness";
    protected override ShapeItem On(ShapeItem shape) => Thickness <= Length.Zero
        ? throw new Refusal($"item/{Item}/thickness", "a frame needs a thickness over 0")
        : (shape as FrameItem ?? throw Items.Wrong(shape)) with { Thickness = Thickness };
}

/// <summary>Sets a label plate's inner line, or its rules to write on.</summary>
public sealed record RulePlate(string Item, Length? Inner = null, int? Rules = null) : ShapeEdit(Item)
{
    protected override string Fact => Rules is not null ? "rules" : "inner";
    protected override ShapeItem On(ShapeItem shape)
    {
        if (Inner < Length.Zero)
            throw new Refusal($"item/{Item}/inner", "an inner line can't lie outside the plate: type 0 for none");
        if (Rules is < 0 or > PlateItem.MostRules)
            throw new Refusal($"item/{Item}/rules", $"{Rules} rules can't be drawn: from 0 to {PlateItem.MostRules}");
        var plate = shape as PlateItem ?? throw Items.Wrong(shape);
        return plate with { Inner = Inner ?? plate.Inner, Rules = Rules ?? plate.Rules };
    }
}
