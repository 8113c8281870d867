namespace Lumbeck.Core.Type;

/// <summary>A face of a family. Written <c>family/600</c>, or <c>family/400i</c> for an italic.</summary>
public readonly record struct FaceId(string Family, int Weight, bool Italic) : IComparable<FaceId>
{
    public static bool TryParse(string? text, out FaceId face)
    {
        face = default;
        var slash = text?.LastIndexOf('/') ?? -1;
        if (slash <= 0) return false;
        var italic = text![^1] == 'i';
        if (!int.TryParse(text.AsSpan(slash + 1, text.Length - slash - 1 - (italic ? 1 : 0)), NumberStyles.None, CultureInfo.InvariantCulture, out var weight)) return false;
        face = new(text[..slash], weight, italic);
        return true;
    }

    public override string ToString() => string.Create(CultureInfo.InvariantCulture, $"{Family}/{Weight}{(Italic ? "i" : "")}");

    public int CompareTo(FaceId other) => string.CompareOrdinal(ToString(), other.ToString());
    public static bool operator <(FaceId a, FaceId b) => a.CompareTo(b) < 0;
    public static bool operator >(FaceId a, FaceId b) => a.CompareTo(b) > 0;
    public static bool operator <=(FaceId a, FaceId b) => a.CompareTo(b) <= 0;
    public static bool operator >=(FaceId a, FaceId b) => a.CompareTo(b) >= 0;
}

public enum Align { Left, Centre, Right }

/// <summary>Where lines stand in a box that is taller than they are.</summary>
public enum Stand { Head, Middle, Foot }

/// <summary>How a text is set.</summary>
public sealed record TextStyle
{
    public FaceId Face { get; init; } = new("eb-garamond", 400, false);
    public Length Size { get; init; } = Length.FromPoints(12);
    public Paint Paint { get; init; } = new InkPaint(Ink.Black);
    /// <summary>Added after every letter, in thousandths of the size.</summary>
    public int Tracking { get; init; }
    /// <summary>From baseline to baseline, as a multiple of the size.</summary>
    public decimal Leading { get; init; } = 1.2m;
    public Align Align { get; init; }
    public Stand Stand { get; init; }
}
