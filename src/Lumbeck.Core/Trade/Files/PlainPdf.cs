namespace Lumbeck.Core.Trade.Files;

/// <summary>A PDF for houses that want no more: in its inks, or in sRGB as the press would show it.</summary>
public sealed record PlainPdf : PressKind
{
    public override string Word => "pdf";
    public override string Title => "PDF";
    public override bool IsForPrinter => true;
    public override Wishes Wishes => Wishes.Outlines | Wishes.Marks | Wishes.Panel | Wishes.Rgb;
}
