namespace Lumbeck.Core.Art.Vistas;

/// <summary>
/// A whole picture, composed to a sheet: its main thing stands on the front, off the folds; the head of the front and
/// the back are calm, since words stand there. A vista is added by a file of its own and its line in
/// <see cref="VistaShelf"/>.
/// </summary>
public abstract record Vista : Sketch
{
    /// <summary>Where its main thing stands on the front, in percent from its left.</summary>
    public decimal Stand { get; init; } = 60;

    /// <summary>How much there is to see, in percent.</summary>
    public decimal Density { get; init; } = 100;

    /// <summary>How thick the air is, in percent: what is far goes toward the sky's own tone.</summary>
    public decimal Haze { get; init; } = 40;

    /// <summary>The layer that is shown alone, from 1; all where 0.</summary>
    public int Layer { get; init; }

    /// <summary>What each of its paints is in the picture, by which an hour is painted.</summary>
    public abstract ImmutableArray<Role> Roles();

    /// <summary>What its layers are, from the farthest.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public abstract ImmutableArray<string> Layers { get; }

    protected override IReadOnlyList<Field> LayFields => [StandField, DensityField, HazeField, LayerField];

    private static readonly Field StandField = Number<Vista>("stand", "Stands at", " %", 15, 85,
        v => v.Stand, (v, n) => v with { Stand = n });

    private static readonly Field DensityField = Number<Vista>("density", "Density", " %", 30, 200,
        v => v.Density, (v, n) => v with { Density = n });

    private static readonly Field HazeField = Number<Vista>("haze", "Haze", " %", 0, 90,
        v => v.Haze, (v, n) => v with { Haze = n });

    private Field<Vista, int> LayerField =>
        new("layer", "Layer alone", Values.Counts("2"), v => v.Layer, (v, n) => v with { Layer = n })
        {
            Fault = (n, _) => n < 0 || n > Layers.Length
                ? $"{n} is no layer: from 1, {Layers[0]}, to {Layers.Length}, {Layers[^1]}, or 0 for all"
                : null,
        };

    /// <summary>Draws it, the farthest first, each thing with its layer from 1.</summary>
    public abstract IEnumerable<(int Layer, Drawn Drawn)> Draw(Stage stage);

    /// <summary>How thick the air is, from 0 to 1.</summary>
    protected double Air => (double)Haze / 100;

    /// <summary>So many, more or fewer as the density has it.</summary>
    protected int Many(double usual) => Math.Max(1, (int)Math.Round(usual * (double)Density / 100));

    /// <summary>A number from 0 to just under 1 that is this seed's own.</summary>
    protected double Chance(int what, int n = 0, int m = 0) => Seeded.At(n, m, Seed, what);

    public virtual bool Equals(Vista? other) =>
        base.Equals(other) && (Stand, Density, Haze, Layer) == (other!.Stand, other.Density, other.Haze, other.Layer);

    public override int GetHashCode() => HashCode.Combine(base.GetHashCode(), Stand, Density, Haze, Layer);
}

/// <summary>What a vista is composed to, in millimetres from its own box's corner.</summary>
/// <param name="Whole">All that it covers, from 0, 0.</param>
/// <param name="Front">The front.</param>
/// <param name="Back">The back; null where there is none.</param>
public sealed record Stage(Bounds Whole, Bounds Front, Bounds? Back)
{
    public double Wide => Whole.Right;
    public double High => Whole.Bottom;

    /// <summary>A share of the front's width, from its left.</summary>
    public double Across(double share) => Front.Left + ((Front.Right - Front.Left) * share);

    /// <summary>A share of the front's height, from its head.</summary>
    public double Down(double share) => Front.Top + ((Front.Bottom - Front.Top) * share);

    /// <summary>The front's shorter side: what is drawn on it is measured by that.</summary>
    public double Unit => Math.Min(Front.Right - Front.Left, Front.Bottom - Front.Top);

    /// <summary>A sheet-wide strip.</summary>
    public Outline Strip(double top, double foot) => Shapes.Box(0, top, Wide, foot);

    /// <summary>How near a place is to the front's middle: 1 there, 0 a front's width away.</summary>
    public double Near(double x) =>
        Math.Clamp(1 - (Math.Abs(x - ((Front.Left + Front.Right) / 2)) / (Front.Right - Front.Left)), 0, 1);
}
