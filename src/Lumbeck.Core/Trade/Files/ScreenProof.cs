namespace Lumbeck.Core.Trade.Files;

/// <summary>The sheets for a client's screen, small, in sRGB, saying beside them that they are a proof.</summary>
public sealed record ScreenProof : PressKind
{
    public override string Word => "proof";
    public override string Title => "screen proof";
    public override bool InRgb => true;
    public override bool KeepsTransparency => false;
    public override int FlatPerInch => 150;
    public override int? PicturesPerInch => 150;
    public override double Beside => 16;
    public override Wishes Wishes => Wishes.Outlines | Wishes.Panel | Wishes.Zones;
}
