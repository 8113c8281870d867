namespace Lumbeck.Core.Liveries;

/// <summary>What the liveries' files are written in: inks in whole percents, faces by their words.</summary>
internal static class LiveryInks
{
    public static FaceId Face(string id) => FaceId.TryParse(id, out var face) ? face : throw new ArgumentException(id);

    public static Ink I(decimal c, decimal m, decimal y, decimal k) => Ink.Percent(c, m, y, k);

    /// <summary>Black alone: small words then come from one plate.</summary>
    public static readonly Ink Black = Ink.Percent(0, 0, 0, 100);
}
