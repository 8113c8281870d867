namespace Lumbeck.Core.Trade.Files;

/// <summary>PDF/X-4 (ISO 15930-7): live transparency, the profile inside.</summary>
public sealed record X4 : PressKind
{
    public override string Word => "x4";
    public override string Title => "PDF/X-4";
    public override bool IsForPrinter => true;
    public override Naming Naming => Naming.Xmp;
    public override Wishes Wishes => Wishes.Outlines | Wishes.Marks | Wishes.Panel;
}
