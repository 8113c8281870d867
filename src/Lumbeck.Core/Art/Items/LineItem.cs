using System.Text.Json.Serialization;

namespace Lumbeck.Core.Art.Items;

/// <summary>A straight line as long as its box is wide; its box is as high as the line is heavy.</summary>
public sealed record LineItem : ShapeItem
{
    public Dash Dash { get; init; }
    public override string Kind => "Line";

    private static readonly (string, Dash)[] Dashes =
        [("whole", Dash.Whole), ("dashed", Dash.Dashed), ("dotted", Dash.Dotted)];

    public static Field<LineItem, Dash> DashField { get; } =
        new("dash", "Broken", Values.OneOf(Dashes), l => l.Dash, (l, dash) => l with { Dash = dash })
        {
            Choices = [.. Dashes.Select(d => (d.Item1, d.Item1))],
        };

    /// <summary>A line without weight is none.</summary>
    private static readonly Field<ShapeItem, Length> Weight = WeightField with
    {
        Fault = (w, unit) => w.IsZero ? "a line of 0 pt can't be drawn: over 0, up to 200 pt" : WeightField.Fault(w, unit),
    };

    [JsonIgnore]
    public override IReadOnlyList<Field> Fields => [Weight, DashField];
}

/// <summary>How a line is broken.</summary>
public enum Dash { Whole, Dashed, Dotted }
