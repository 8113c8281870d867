namespace Lumbeck.Core.Art.Items;

/// <summary>A plate to write on or to set a title on: a ground, an inner line, and rules for a hand.</summary>
public sealed record PlateItem : ShapeItem, ICornered
{
    public const int MostRules = 12;

    public Length Corner { get; init; }
    /// <summary>How far within its edge a second, finer line runs; 0 for none.</summary>
    public Length Inner { get; init; }
    /// <summary>Rules to write on, spread over its lower half.</summary>
    public int Rules { get; init; }
    public override string Kind => "Label plate";
    protected override string? UnsoundShape => Rules is < 0 or > MostRules || Inner.Units < 0 ? "a label plate" : null;
}
