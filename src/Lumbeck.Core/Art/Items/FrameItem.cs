namespace Lumbeck.Core.Art.Items;

/// <summary>
/// A border along the edge of the box it hangs in. Hung by a panel's edge it runs out over the bleed, and still shows
/// <see cref="Thickness"/> on the trimmed face.
/// </summary>
public sealed record FrameItem : ShapeItem, ICornered
{
    public Length Thickness { get; init; }
    /// <summary>Radius of its inner corners.</summary>
    public Length Corner { get; init; }
    public override string Kind => "Frame";
    protected override string? UnsoundShape => Thickness.Units <= 0 ? "a frame" : null;
}
