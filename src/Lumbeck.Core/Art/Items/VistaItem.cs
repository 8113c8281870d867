using System.Text.Json.Serialization;

namespace Lumbeck.Core.Art.Items;

/// <summary>A vista in its box: the whole sheet, as a rule.</summary>
public sealed record VistaItem : Item
{
    public required Vista Vista { get; init; }

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

    [JsonIgnore]
    public override IReadOnlyList<Field> Fields =>
        [KindField,
            .. Vista.Fields.Select(f =>
                f.Lift<VistaItem, Vista>(v => v.Vista, (v, vista) => v with { Vista = vista }))];

    public override string? Unsound => Vista is null or { IsSound: false } ? "its vista" : base.Unsound;

    public override Item Painted(Func<Paint?, Paint?> each) =>
        this with { Vista = Vista with { Paints = [.. Vista.Paints.Select(p => each(p)!)] } };
}
