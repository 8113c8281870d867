using NetVips;

namespace Lumbeck.Press.Colour;

/// <summary>How a press's colours look on a screen.</summary>
public static class ScreenView
{
    /// <summary>Press colours as the screen shows them: the profile's A2B, relative, so that paper is white.</summary>
    public static Image Of(Image press, PrintingCondition condition) =>
        press.IccTransform(Profiles.PathOf("sRGB"), inputProfile: Profiles.PathOf(condition.Profile),
            intent: Enums.Intent.Relative, depth: 8, embedded: false);
}
