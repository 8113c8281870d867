using System.Text.Json.Serialization;

namespace Lumbeck.Core.Art.Items;

/// <summary>A drawn shape. Its line runs along its edge, half within and half without.</summary>
public abstract record ShapeItem : Item
{
    public Fill? Fill { get; init; }
    public Paint? Line { get; init; }
    public Length LineWidth { get; init; }

    [JsonIgnore]
    public override IEnumerable<Picture> Pictures => Fill?.Pictures ?? [];

    public override string Says(ItemContext told) => Fill is { Paint: null, Pattern: { } paper }
        ? paper.Kind
        : (Fill?.Paint ?? Line).Show(told.Swatches);

    public override Item Painted(Func<Paint?, Paint?> each) =>
        this with { Fill = Fill?.Painted(each), Line = each(Line) };

    public override Item Mirrored() => (ShapeItem)base.Mirrored() with
    {
        Fill = Fill?.Painted(p =>
            p is GradientPaint { Run: Run.Straight } g ? g with { Angle = (540 - g.Angle) % 360 } : p),
    };

    /// <summary>No line is heavier.</summary>
    private static readonly Length MostWeight = Length.FromPoints(200);

    /// <summary>How heavy its line is.</summary>
    public static Field<ShapeItem, Length> WeightField { get; } =
        new("line-width", "Weight", Values.Points, s => s.LineWidth, (s, width) => s with { LineWidth = width })
        {
            Fault = (w, _) => w < Length.Zero || w > MostWeight
                ? $"a line of {w.ShowPoints()} can't be drawn: from 0, up to {MostWeight.ShowPoints()}"
                : null,
        };

    [JsonIgnore]
    public override IReadOnlyList<Field> Fields => [WeightField, .. OwnFields];

    /// <summary>What is given of its own kind besides its line.</summary>
    protected virtual IReadOnlyList<Field> OwnFields => [];

    public sealed override string? Unsound =>
        Line is GradientPaint ? "a line"
        : Fill is { Pattern.IsSound: false } or { Paint: null, Pattern: null } ? "a fill"
        : base.Unsound ?? UnsoundShape;

    /// <summary>The same of what its kind has besides its fields.</summary>
    protected virtual string? UnsoundShape => null;

    /// <summary>The radius of a kind's corners.</summary>
    protected static Field<T, Length> CornerOf<T>(Func<T, Length, T> to) where T : ShapeItem, ICornered =>
        new("corner", "Corner", Values.Lengths, s => s.Corner, to)
        {
            Fault = (r, _) => r < Length.Zero ? "a corner's radius can't be under 0" : null,
        };
}

/// <summary>A shape whose corners can be rounded; a radius is drawn no larger than half its shorter side.</summary>
public interface ICornered
{
    Length Corner { get; init; }
}
