using System.Text.Json.Serialization;

namespace Lumbeck.Core.Art.Items;

/// <summary>A vista in its box: the whole sheet, as a rule.</summary>
public sealed record VistaItem : SketchedItem
{
    public required Vista Vista { get; init; }

    [JsonIgnore]
    public override Sketch Sketch => Vista;

    [JsonIgnore]
    public override Field Which => KindField;

    public override bool IsScene => true;

    public override Paint? Under => Vista.Paints[0];

    public override string Kind => Vista.Layer > 0 ? "Layer" : "Vista";

    /// <summary>Which picture it is; another keeps seed, air and where its main thing stands.</summary>
    public static Field<VistaItem, string> KindField { get; } =
        new("vista", "Vista", Values.Line, v => v.Vista.Kind, (v, kind) => v.As(kind))
        {
            Choices = [.. VistaShelf.All.Select(k => (k.First.Kind, k.First.Kind))],
            Fault = (kind, _) => VistaShelf.All.Any(k => k.First.Kind == kind)
                ? null
                : $"`{LengthText.Clip(kind)}` is no vista: pick one, such as `hills` or `harbour`",
        };

    private VistaItem As(string kind)
    {
        if (kind == Vista.Kind) return this;
        var first = VistaShelf.All.First(k => k.First.Kind == kind).First;
        return this with
        {
            Vista = first with { Seed = Vista.Seed, Stand = Vista.Stand, Density = Vista.Density, Haze = Vista.Haze },
        };
    }

    public override VistaItem With(Sketch sketch) => this with { Vista = (Vista)sketch };

    public override IEnumerable<Drawn> Draw(Stage stage) =>
        Vista.Draw(stage).Where(d => Vista.Layer == 0 || d.Layer == Vista.Layer).Select(d => d.Drawn);

    public override string Says(ItemContext told) =>
        Vista.Layer > 0 ? $"{Vista.Kind}: {Vista.Layers[Vista.Layer - 1]}" : $"{Vista.Kind}, {base.Says(told)}";
}
