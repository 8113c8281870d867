namespace Lumbeck.Core.Edits;

/// <summary>The paths of a ground's facts: the first wrap's go without its number.</summary>
public static class GroundPath
{
    public static string Of(int wrap, string key) =>
        wrap == 0 ? $"ground/{key}" : string.Create(CultureInfo.InvariantCulture, $"ground/{wrap}/{key}");
}
