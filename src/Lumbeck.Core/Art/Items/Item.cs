using System.Text.Json.Serialization;

namespace Lumbeck.Core.Art.Items;

/// <summary>Which box of a panel an item hangs in. Room is the house's barcode room, on the back.</summary>
public enum HoldBox { Face, Safe, Edge, Room }

/// <summary>Nine points of a box, in reading order.</summary>
public enum Anchor { TopLeft, Top, TopRight, Left, Middle, Right, BottomLeft, Bottom, BottomRight }

/// <summary>
/// Where an item hangs: its own anchor point on the same point of a panel's box, then moved right and down by
/// <paramref name="Dx"/> and <paramref name="Dy"/> as the panel is read (a spine is read level).
/// </summary>
public sealed record Hold(Part Panel, HoldBox Box, Anchor Anchor, Length Dx, Length Dy)
{
    /// <summary>0, ½ or 1 of the way across.</summary>
    public decimal Across => (int)Anchor % 3 / 2m;
    /// <summary>0, ½ or 1 of the way down.</summary>
    public decimal Down => (int)Anchor / 3 / 2m;

    /// <summary>The same place as a mirror that stands upright shows it.</summary>
    public Hold Mirrored() => this with { Anchor = (Anchor)(((int)Anchor / 3 * 3) + 2 - ((int)Anchor % 3)), Dx = -Dx };
}

/// <summary>
/// A side of an item: a length of its own plus a share of the box it hangs in (0 = its own length alone, 1 = the box's
/// whole side).
/// </summary>
public readonly record struct Span(Length Own, decimal Share = 0)
{
    public static Span Full => new(Length.Zero, 1);

    public Length In(Length box) => Own + (Share * box);
}

/// <summary>
/// Something on the cover. Items are a flat list, the lowest first; what they hang on is theirs to say.
/// </summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "is")]
[JsonDerivedType(typeof(TextItem), "text")]
[JsonDerivedType(typeof(RectItem), "rectangle")]
[JsonDerivedType(typeof(EllipseItem), "ellipse")]
[JsonDerivedType(typeof(LineItem), "line")]
[JsonDerivedType(typeof(PolygonItem), "polygon")]
[JsonDerivedType(typeof(FrameItem), "frame")]
[JsonDerivedType(typeof(PlateItem), "label-plate")]
[JsonDerivedType(typeof(PictureItem), "picture")]
[JsonDerivedType(typeof(BarcodeItem), "barcode")]
[JsonDerivedType(typeof(CodeItem), "code")]
[JsonDerivedType(typeof(OrnamentItem), "ornament")]
[JsonDerivedType(typeof(VistaItem), "vista")]
public abstract record Item
{
    /// <summary>Made by whoever adds it; letters, digits and hyphens, up to 40.</summary>
    public required string Id { get; init; }
    public required Hold Hold { get; init; }
    public Span Width { get; init; }
    public Span Height { get; init; }
    /// <summary>Degrees clockwise about its middle.</summary>
    public decimal Turned { get; init; }
    public bool Locked { get; init; }
    public bool Hidden { get; init; }
    /// <summary>Its maker's own name for it; empty where it has none.</summary>
    public string Name { get; init; } = "";
    /// <summary>
    /// The group it belongs to, by the group's name; empty where it stands alone. Its members lie one upon the other in
    /// a take's order.
    /// </summary>
    public string Group { get; init; } = "";
    /// <summary>How much of it shows, in percent: 100 hides what lies under it, 0 nothing.</summary>
    public decimal Opacity { get; init; } = 100;
    public Blend Blend { get; init; }
    /// <summary>Must not be cut or folded, as words must not.</summary>
    public bool Whole { get; init; }
    /// <summary>The part of a livery that it was laid as; null for what a hand added.</summary>
    public LaidAs? Laid { get; init; }
    /// <summary>Where its values come from, by their names (<c>words</c>); null where all are a hand's.</summary>
    public ImmutableSortedDictionary<string, Origin>? From { get; init; }

    /// <summary>Where one of its values comes from; null where that is a hand's.</summary>
    public Origin? OriginOf(string value) => From?.TryGetValue(value, out var origin) == true ? origin : null;

    /// <summary>The same item with another origin of a value, or none.</summary>
    public Item WithOrigin(string value, Origin? origin)
    {
        var all = From ?? ImmutableSortedDictionary.Create<string, Origin>(StringComparer.Ordinal);
        all = origin is { } own ? all.SetItem(value, own) : all.Remove(value);
        return this with { From = all.IsEmpty ? null : all };
    }

    /// <summary>What kind of thing it is, in a word for people: “Text”, “Barcode”.</summary>
    [JsonIgnore]
    public abstract string Kind { get; }

    /// <summary>Words and codes: of no use once they are cut or folded.</summary>
    [JsonIgnore]
    public virtual bool IsRead => false;

    /// <summary>Its size, where that is its own; null where its width and height give it.</summary>
    [JsonIgnore]
    public virtual Size? OwnSize => null;

    /// <summary>The same item as a mirror that stands upright shows it; words stay to be read.</summary>
    public virtual Item Mirrored() => this with { Hold = Hold.Mirrored(), Turned = (360 - Turned) % 360 };

    /// <summary>The same item with each of its paints as it is mapped.</summary>
    public abstract Item Painted(Func<Paint?, Paint?> each);

    /// <summary>What is given of its kind, in the order that screens show it.</summary>
    [JsonIgnore]
    public virtual IReadOnlyList<Field> Fields => [];

    /// <summary>Whether a field makes no difference as the item is now, so that no screen shows it.</summary>
    public virtual bool Hides(Field field) => false;

    /// <summary>The kept pictures that it shows.</summary>
    [JsonIgnore]
    public virtual IEnumerable<Picture> Pictures => [];

    /// <summary>What it says, on one line; nothing where it has nothing to say.</summary>
    public virtual string Says(ItemContext told) => "";

    /// <summary>
    /// What a hand's sizing sets of an item of its own size: the field and its value; null where it has no such.
    /// </summary>
    /// <param name="width">The width wanted; null where it was left.</param>
    /// <param name="height">The height wanted; null where it was left.</param>
    public virtual (Field Field, FieldValue Value)? Sized(Length? width, Length? height) => null;

    /// <summary>The field of the one ink that it is drawn in; null where it has none, or several.</summary>
    [JsonIgnore]
    public virtual Field? OneInk => null;

    /// <summary>What of it no edit could have made so, in words; null where all of it is within its range.</summary>
    [JsonIgnore]
    public virtual string? Unsound =>
        Fields.FirstOrDefault(f => !f.IsSound(this)) is { } odd ? $"its {odd.Label.ToLowerInvariant()}" : null;

    /// <summary>No length of an item is longer.</summary>
    protected static readonly Length Far = Length.FromMillimetres(5000);

    /// <summary>What a list and a sentence call it: its own name, or its kind.</summary>
    [JsonIgnore]
    public string Called => Name.Length > 0 ? Name : Kind;

    /// <summary>The same within a sentence.</summary>
    [JsonIgnore]
    public string Said => Name.Length > 0 ? $"“{Name}”" : Kind.ToLower(CultureInfo.InvariantCulture);
}

/// <summary>What an item tells beside what is its own.</summary>
/// <param name="Swatches">The job's swatches.</param>
/// <param name="Isbn">The job's number.</param>
public sealed record ItemContext(IReadOnlyList<Swatch> Swatches, Isbn? Isbn);

/// <summary>How an item's inks meet those under it (ISO 32000-1, 11.3.5).</summary>
public enum Blend { Normal, Multiply, Screen }

/// <summary>What a livery laid an item as, and the figures it had then.</summary>
/// <param name="Part">The livery's own name for it.</param>
/// <param name="Figures">Place, size, face and paint as they were laid, as a sum.</param>
/// <param name="Words">What it said then, as a sum; empty where it says nothing.</param>
public sealed record LaidAs(string Part, string Figures, string Words);
