namespace Lumbeck.Core.Trade.Files;

/// <summary>The wrap at its own size over pages a home printer takes, to cut, glue and fold.</summary>
public sealed record PaperMockup : PressKind
{
    public override string Word => "mockup";
    public override string Title => "paper mock-up";
    public override MadeOf MadeOf => MadeOf.Tiles;
    public override bool InRgb => true;
    public override bool KeepsTransparency => false;
    public override int FlatPerInch => 150;
    public override int? PicturesPerInch => 150;
    public override Wishes Wishes => Wishes.Outlines | Wishes.Panel | Wishes.Letter;
}
