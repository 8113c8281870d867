using System.Text.Json.Serialization;

namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>
/// What is printed on a page that is written or drawn on. A design is added by a file of its own and its word here.
/// </summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "is")]
[JsonDerivedType(typeof(Ruled), "ruled")]
public abstract record PageDesign
{
    /// <summary>One plain paint for each slot, in their order.</summary>
    public required ImmutableList<Paint> Paints { get; init; }

    /// <summary>What people call it.</summary>
    [JsonIgnore]
    public abstract string Kind { get; }

    /// <summary>What each of its paints is for.</summary>
    [JsonIgnore]
    public abstract ImmutableArray<string> Slots { get; }

    /// <summary>Draws it on a page.</summary>
    /// <param name="page">The page, which says its own margins.</param>
    /// <returns>In points from the surface's upper left corner.</returns>
    /// <exception cref="Refusal">It does not fit; the figure is named.</exception>
    public abstract IEnumerable<Drawn> Draw(Surface page);
}
