using System.Text.Json.Serialization;

namespace Lumbeck.Core.Art.Patterns;

/// <summary>
/// A drawn, endless pattern that lies on the ground. The same seed draws the same paper for ever, and a sheet that grows
/// shows more of it: coordinates are millimetres from the front's upper left corner.
/// </summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "is")]
[JsonDerivedType(typeof(ContourLines), "contour-lines")]
public abstract record PaperDesign
{
    public int Seed { get; init; }
    public Paint Paint { get; init; } = new InkPaint(Ink.Black);

    [JsonIgnore]
    public abstract string Kind { get; }

    /// <summary>Draws what lies in this window.</summary>
    /// <param name="window">In millimetres from the front's upper left corner.</param>
    /// <returns>Lines in millimetres, each with its width in points.</returns>
    public abstract IEnumerable<(Outline Shape, double WidthPoints)> Draw(Bounds window);
}
