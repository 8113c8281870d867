using System.Text.Json.Serialization;

namespace Lumbeck.Core.Art.Items;

/// <summary>An ornament in its box.</summary>
public sealed record OrnamentItem : SketchedItem
{
    public required Ornament Ornament { get; init; }

    /// <summary>How it is mirrored within its box: a corner is drawn for the upper left.</summary>
    public Flip Flip { get; init; }

    [JsonIgnore]
    public override Sketch Sketch => Ornament;

    [JsonIgnore]
    public override Field Which => KindField;

    // A label's lines lie on its own plate.
    public override Paint? Under => Ornament.Sort is OrnamentSort.Label or OrnamentSort.Badge
        ? Ornament.Paints[Ornament.WordsLieOn]
        : null;

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
    public override IReadOnlyList<Field> Fields => [.. base.Fields, FlipField];

    public override OrnamentItem With(Sketch sketch) => this with { Ornament = (Ornament)sketch };

    public override IEnumerable<Drawn> Draw(Stage stage)
    {
        var drawn = Ornament.Draw(stage.Wide, stage.High);
        if (Flip == Flip.None) return drawn;
        var (across, down) = (Flip.HasFlag(Flip.Across), Flip.HasFlag(Flip.Down));
        var flip = new Affine(across ? -1 : 1, 0, 0, down ? -1 : 1, across ? stage.Wide : 0, down ? stage.High : 0);
        return drawn.Select(d => d.Under(flip, 1));
    }

    public override Item Mirrored() => (OrnamentItem)base.Mirrored() with { Flip = Flip ^ Flip.Across };
}
