namespace Lumbeck.Core.Art.Patterns;

/// <summary>
/// A maker's own drawing as a paper: in rows, in rows of which each second is half a step aside, or thrown and turned by
/// chance. It keeps its own colours, or has the paper's paints, its darkest in the darkest of them.
/// </summary>
public sealed record OwnMotif : Pattern
{
    /// <summary>The drawing; nothing is drawn where there is none yet.</summary>
    public Picture? Motif { get; init; }

    /// <summary>How far one lies from the next, in millimetres.</summary>
    public decimal Pitch { get; init; } = 24m;

    /// <summary>Its longer side, in percent of the pitch.</summary>
    public decimal Size { get; init; } = 60m;

    public MotifLay Lay { get; init; }

    /// <summary>In the paper's paints instead of its own colours.</summary>
    public bool InPaints { get; init; }

    public override string Kind => "own motif";

    public override ImmutableArray<string> Slots => ["Dark", "Middle", "Light"];

    private static readonly (string, MotifLay)[] Lays =
        [("in rows", MotifLay.Rows), ("in bricks", MotifLay.Bricks), ("thrown", MotifLay.Thrown)];

    private static readonly (string, bool)[] Colours = [("its own", false), ("the paints below", true)];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        Number<OwnMotif>("pitch", "Pitch", " mm", 5m, 150m, p => p.Pitch, (p, n) => p with { Pitch = n }),
        Number<OwnMotif>("size", "Size", " %", 10m, 100m, p => p.Size, (p, n) => p with { Size = n }),
        new Field<OwnMotif, MotifLay>("lay", "Laid", Values.OneOf(Lays), p => p.Lay, (p, lay) => p with { Lay = lay })
        {
            Choices = [.. Lays.Select(l => (l.Item1, l.Item1))],
        },
        new Field<OwnMotif, bool>("colours", "Colours", Values.OneOf(Colours), p => p.InPaints,
            (p, yes) => p with { InPaints = yes })
        {
            Choices = [.. Colours.Select(c => (c.Item1, c.Item1))],
        },
    ];

    [System.Text.Json.Serialization.JsonIgnore]
    public override bool IsSound => base.IsSound && Motif is null or { IsSound: true, IsDrawing: true };

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        if (Motif is null) yield break;
        var pitch = (double)Pitch;
        var side = pitch * (double)Size / 100;
        var places = ImmutableArray.CreateBuilder<Affine>();
        foreach (var (x, y) in Seeded.Cells(window, pitch, pitch))
        {
            var (dx, dy) = Lay switch
            {
                MotifLay.Bricks => ((y & 1) == 0 ? 0 : 0.5, 0.0),
                MotifLay.Thrown => (0.36 * (Seeded.At(x, y, Seed, 1) - 0.5), 0.36 * (Seeded.At(x, y, Seed, 2) - 0.5)),
                _ => (0.0, 0.0),
            };
            var turn = Lay == MotifLay.Thrown ? Seeded.At(x, y, Seed, 3) : 0;
            places.Add(Seeded.Place((x + 0.5 + dx) * pitch, (y + 0.5 + dy) * pitch, turn));
        }
        yield return new Motifs(side, places.ToImmutable());
    }
}

/// <summary>How a motif is laid.</summary>
public enum MotifLay { Rows, Bricks, Thrown }
