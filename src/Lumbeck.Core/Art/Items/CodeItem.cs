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

    public override Size? OwnSize => new Size(Side, Side);

    public override Item Painted(Func<Paint?, Paint?> each) => this with { Paint = each(Paint)! };

    public override string? Unsound =>
        Link is null || Link.Length > LongestLink || Link.Any(char.IsControl) || Side < SideLeast || Side > SideMost
        || !Enum.IsDefined(Level) || Paint is null or GradientPaint
            ? "a QR code"
            : null;
}
