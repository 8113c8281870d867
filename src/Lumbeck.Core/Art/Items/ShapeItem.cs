namespace Lumbeck.Core.Art.Items;

/// <summary>A drawn shape. Its line runs along its edge, half within and half without.</summary>
public abstract record ShapeItem : Item
{
    public Fill? Fill { get; init; }
    public Paint? Line { get; init; }
    public Length LineWidth { get; init; }

    public override Item Painted(Func<Paint?, Paint?> each) =>
        this with { Fill = Fill?.Painted(each), Line = each(Line) };

    public override Item Mirrored() => (ShapeItem)base.Mirrored() with
    {
        Fill = Fill?.Painted(p =>
            p is GradientPaint { Run: Run.Straight } g ? g with { Angle = (540 - g.Angle) % 360 } : p),
    };

    public sealed override string? Unsound =>
        LineWidth < Length.Zero || LineWidth > Length.FromPoints(200) || this is ICornered { Corner.Units: < 0 }
            || Line is GradientPaint
            ? "a line"
        : Fill is { Pattern.IsSound: false } or { Paint: null, Pattern: null } ? "a fill"
        : UnsoundShape;

    /// <summary>The same of what its kind has besides.</summary>
    protected abstract string? UnsoundShape { get; }
}

/// <summary>A shape whose corners can be rounded; a radius is drawn no larger than half its shorter side.</summary>
public interface ICornered
{
    Length Corner { get; init; }
}
