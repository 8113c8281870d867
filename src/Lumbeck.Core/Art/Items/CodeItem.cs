using System.Text.Json.Serialization;

namespace Lumbeck.Core.Art.Items;

/// <summary>How much of a QR code may be lost before it can't be read: 7, 15, 25 or 30 % (ISO/IEC 18004).</summary>
public enum CodeLevel { L, M, Q, H }

/// <summary>A QR code that leads to a link, with its quiet zone on a white plate.</summary>
public sealed record CodeItem : Item
{
    public string Link { get; init; } = "";
    public CodeLevel Level { get; init; } = CodeLevel.M;
    /// <summary>With its quiet zone.</summary>
    public Length Side { get; init; } = Length.FromMillimetres(24);
    public Paint Paint { get; init; } = new InkPaint(Ink.Black);
    public override string Kind => "Code";
    public override bool IsRead => true;

    /// <summary>Most letters of a link.</summary>
    public const int LongestLink = 500;

    /// <summary>Least and greatest side.</summary>
    public static readonly Length SideLeast = Length.FromMillimetres(5), SideMost = Length.FromMillimetres(200);

    public static Field<CodeItem, string> LinkField { get; } =
        new("link", "Leads to", Values.Line, c => c.Link, (c, link) => c with { Link = link })
        {
            Wide = true,
            Hint = "what it opens, such as https://…",
            Fault = (link, _) => link.Length > LongestLink || link.Any(char.IsControl)
                ? $"a link of {link.Length} letters makes squares too small to print: up to {LongestLink}"
                : null,
        };

    private static readonly (string, CodeLevel)[] Levels =
        [("7 %", CodeLevel.L), ("15 %", CodeLevel.M), ("25 %", CodeLevel.Q), ("30 %", CodeLevel.H)];

    public static Field<CodeItem, CodeLevel> LevelField { get; } =
        new("level", "Bears loss of", Values.OneOf(Levels), c => c.Level, (c, level) => c with { Level = level })
        {
            Choices = [.. Levels.Select(l => (l.Item1, l.Item1))],
        };

    public static Field<CodeItem, Length> SideField { get; } =
        new("side", "Side", Values.Lengths, c => c.Side, (c, side) => c with { Side = side })
        {
            Fault = (side, unit) => side < SideLeast || side > SideMost
                ? $"a code of {side.Show(unit)} can't be drawn: from {SideLeast.Show(unit)} to {SideMost.Show(unit)}"
                : null,
        };

    public static Field<CodeItem, Paint> InkField { get; } =
        new("ink", "Ink", Values.PlainPaint("codes"), c => c.Paint, (c, paint) => c with { Paint = paint });

    [JsonIgnore]
    public override IReadOnlyList<Field> Fields => [LinkField, LevelField, SideField, InkField];

    public override string Says(ItemContext told) => Link.Length > 0 ? Link : "no link";

    // It is square: the side that was changed leads.
    public override (Field Field, FieldValue Value)? Sized(Length? width, Length? height) =>
        (SideField, new(Length: width is { } across && across != Side ? across : height ?? Side));

    [JsonIgnore]
    public override Field OneInk => InkField;

    public override Size? OwnSize => new Size(Side, Side);

    public override Item Painted(Func<Paint?, Paint?> each) => this with { Paint = each(Paint)! };
}
