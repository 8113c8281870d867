namespace Lumbeck.Core.Trade.Files;

/// <summary>
/// PDF/X-1a:2003 (ISO 15930-4): inks alone, nothing one sees through, PDF 1.4; a registered condition may be named
/// without its profile.
/// </summary>
public sealed record X1a : PressKind
{
    public override string Word => "x1a";
    public override string Title => "PDF/X-1a:2003";
    public override bool IsForPrinter => true;
    public override string Version => "1.4";
    public override Naming Naming => Naming.Info;
    public override bool KeepsTransparency => false;
    public override bool NamesCondition => true;
    public override Wishes Wishes => Wishes.Outlines | Wishes.Marks | Wishes.Panel;
}
