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
        if (!int.TryParse(text.AsSpan(slash + 1, text.Length - slash - 1 - (italic ? 1 : 0)), NumberStyles.None,
            CultureInfo.InvariantCulture, out var weight))
            return false;
        face = new(text[..slash], weight, italic);
        return true;
    }

    public override string ToString() =>
        string.Create(CultureInfo.InvariantCulture, $"{Family}/{Weight}{(Italic ? "i" : "")}");

    public int CompareTo(FaceId other) => string.CompareOrdinal(ToString(), other.ToString());
    public static bool operator <(FaceId a, FaceId b) => a.CompareTo(b) < 0;
    public static bool operator >(FaceId a, FaceId b) => a.CompareTo(b) > 0;
    public static bool operator <=(FaceId a, FaceId b) => a.CompareTo(b) <= 0;
    public static bool operator >=(FaceId a, FaceId b) => a.CompareTo(b) >= 0;
}
