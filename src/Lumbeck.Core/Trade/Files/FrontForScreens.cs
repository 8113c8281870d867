namespace Lumbeck.Core.Trade.Files;

/// <summary>The front alone, cut, as a shop shows it: a picture in sRGB of so many pixels.</summary>
public sealed record FrontForScreens : PressKind
{
    public override string Word => "screen";
    public override string Title => "front for screens";
    public override MadeOf MadeOf => MadeOf.Picture;
    public override Wishes Wishes => Wishes.Panel | Wishes.Pixels | Wishes.Png;
}
