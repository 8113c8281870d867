namespace Lumbeck.Core.Art.Items;

/// <summary>A straight line as long as its box is wide; its box is as high as the line is heavy.</summary>
public sealed record LineItem : ShapeItem
{
    public Dash Dash { get; init; }
    public override string Kind => "Line";
    protected override string? UnsoundShape => LineWidth.Units <= 0 || !Enum.IsDefined(Dash) ? "a line" : null;
}

/// <summary>How a line is broken.</summary>
public enum Dash { Whole, Dashed, Dotted }
