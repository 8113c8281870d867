using System.Text.Json.Serialization;

namespace Lumbeck.Core.Art.Items;

/// <summary>An ornament in its box.</summary>
public sealed record OrnamentItem : Item
{
    public required Ornament Ornament { get; init; }

    /// <summary>How it is mirrored within its box: a corner is drawn for the upper left.</summary>
    public Flip Flip { get; init; }

    public override string Kind => Ornament.Kind.Length > 0
        ? char.ToUpperInvariant(Ornament.Kind[0]) + Ornament.Kind[1..]
        : "Ornament";

    private static readonly (string, Flip)[] Flips =
        [("as drawn", Flip.None), ("across", Flip.Across), ("down", Flip.Down), ("both ways", Flip.Both)];

    private static readonly Field<OrnamentItem, Flip> FlipField =
        new("flip", "Mirrored", Values.OneOf(Flips), o => o.Flip, (o, flip) => o with { Flip = flip })
        {
            Choices = [.. Flips.Select(f => (f.Item1, f.Item1))],
        };

    /// <summary>Which kind it is; another keeps the paints it has slots for.</summary>
    public static Field<OrnamentItem, string> KindField { get; } =
        new("ornament", "Ornament", Values.Line, o => o.Ornament.Kind, (o, kind) => o.As(kind))
        {
            Choices = [.. OrnamentShelf.All.Select(k => (k.First.Kind, k.First.Kind))],
            Fault = (kind, _) => OrnamentShelf.All.Any(k => k.First.Kind == kind)
                ? null
                : $"`{LengthText.Clip(kind)}` is no ornament: pick one, such as `wreath` or `ribbon`",
        };

    private OrnamentItem As(string kind)
    {
        if (kind == Ornament.Kind) return this;
        var first = OrnamentShelf.All.First(k => k.First.Kind == kind).First;
        var border = first.Sort == OrnamentSort.Border;
        var (wide, high) = first.First;
        // Each kind has its own proportions; a border goes round what it hangs in.
        return this with
        {
            Width = border ? Span.Full : new(Length.FromMillimetres((decimal)wide)),
            Height = border ? Span.Full : new(Length.FromMillimetres((decimal)high)),
            Ornament = first with
            {
                Seed = Ornament.Seed,
                Paints = [.. first.Paints.Select((p, n) => n < Ornament.Paints.Count ? Ornament.Paints[n] : p)],
            },
        };
    }

    [JsonIgnore]
    public override IReadOnlyList<Field> Fields =>
    [
        KindField, .. Ornament.Fields.Select(f =>
            f.Lift<OrnamentItem, Ornament>(o => o.Ornament,
                (o, ornament) => o with { Ornament = ornament })), FlipField,
    ];

    public override string? Unsound => Ornament is null or { IsSound: false } ? "its ornament" : base.Unsound;

    public override Item Mirrored() => (OrnamentItem)base.Mirrored() with { Flip = Flip ^ Flip.Across };

    public override Item Painted(Func<Paint?, Paint?> each) =>
        this with { Ornament = Ornament with { Paints = [.. Ornament.Paints.Select(p => each(p)!)] } };
}
