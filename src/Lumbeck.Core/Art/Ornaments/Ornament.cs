namespace Lumbeck.Core.Art.Ornaments;

/// <summary>
/// A thing of one size, drawn to fill its box: a rule, a corner, a border, a label, a seal, a leaf. An ornament is
/// added
/// by a file of its own and its line in <see cref="OrnamentShelf"/>.
/// </summary>
public abstract record Ornament : Sketch
{
    /// <summary>What sort of thing it is, for those who look for one.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public abstract OrnamentSort Sort { get; }

    /// <summary>How large it is at first, in millimetres; a border is as large as what it goes round.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public virtual (double Wide, double High) First => (40, 40);

    /// <summary>Draws it to fill a box, in millimetres, from its upper left corner, y down.</summary>
    /// <param name="wide">Its box, in millimetres.</param>
    /// <param name="high">Its box, in millimetres.</param>
    /// <returns>In millimetres from the box's corner, widths in points.</returns>
    public abstract IEnumerable<Drawn> Draw(double wide, double high);

    /// <summary>Where its words stand, if it takes any.</summary>
    /// <param name="wide">Its box, in millimetres.</param>
    /// <param name="high">Its box, in millimetres.</param>
    public virtual WordPlace? Words(double wide, double high) => null;

    /// <summary>The slot of what its words lie on.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public virtual int WordsLieOn => 0;

    /// <summary>A number from 0 to just under 1 that is this seed's own.</summary>
    protected double Chance(int what, int n = 0) => Seeded.At(n, 0, Seed, what);
}

/// <summary>A place for words within an ornament, in millimetres from its box's corner.</summary>
/// <param name="Box">The place.</param>
/// <param name="Size">Of the type, in millimetres.</param>
/// <param name="Bend">How far the words are bent along a circle, in degrees as a text is; 0 for none.</param>
public sealed record WordPlace(Bounds Box, double Size, decimal Bend = 0);

/// <summary>The sorts of ornaments, in the order that they are offered.</summary>
public enum OrnamentSort { Rule, Corner, Border, Label, Badge, Sign, Nature, Thing }
