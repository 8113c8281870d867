using System.Text.Json.Serialization;

namespace Lumbeck.Core.Art.Items;

/// <summary>
/// An item that is drawn from a seed in its box. It is drawn, painted, listed and typed by what it says here.
/// </summary>
public abstract record SketchedItem : Item
{
    /// <summary>The drawing that the item shows, made from its seed in paint slots.</summary>
    [JsonIgnore]
    public abstract Sketch Sketch { get; }

    /// <summary>The same item with another drawing of its own kind.</summary>
    public abstract SketchedItem With(Sketch sketch);

    /// <summary>Which drawing of its kind it is.</summary>
    [JsonIgnore]
    public abstract Field Which { get; }

    /// <summary>What is drawn in its box, in millimetres, the lowest first.</summary>
    /// <param name="stage">Its box, and the panels as they lie in it.</param>
    public abstract IEnumerable<Drawn> Draw(Stage stage);

    /// <summary>
    /// Whether it is a scene for a whole sheet, cut off at its box's edge, of which the front matters most.
    /// </summary>
    [JsonIgnore]
    public virtual bool IsScene => false;

    /// <summary>Which of its paints its marks lie on; null where they lie on what is under it.</summary>
    [JsonIgnore]
    public virtual Paint? Under => null;

    public override string Says(ItemContext told) => $"seed {Sketch.Seed}";

    [JsonIgnore]
    public override IReadOnlyList<Field> Fields =>
        [Which, .. Sketch.Fields.Select(f => f.Lift<SketchedItem, Sketch>(i => i.Sketch, (i, s) => i.With(s)))];

    public override string? Unsound => Sketch is null or { IsSound: false } ? "its drawing" : base.Unsound;

    public override Item Painted(Func<Paint?, Paint?> each) =>
        With(Sketch with { Paints = [.. Sketch.Paints.Select(p => each(p)!)] });
}
