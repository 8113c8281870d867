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

    public static Field<FrameItem, Length> ThicknessField { get; } =
        new("thickness", "Thick", Values.Lengths, f => f.Thickness, (f, thick) => f with { Thickness = thick })
        {
            Fault = (t, _) => t <= Length.Zero ? "a frame needs a thickness over 0" : null,
        };

    public static Field<FrameItem, Length> CornerField { get; } =
        CornerOf<FrameItem>((s, corner) => s with { Corner = corner });

    protected override IReadOnlyList<Field> OwnFields => [CornerField, ThicknessField];
}
