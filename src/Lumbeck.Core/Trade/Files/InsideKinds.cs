namespace Lumbeck.Core.Trade.Files;

/// <summary>The inside as it opens, two pages side by side, for a screen.</summary>
public sealed record Spreads : PressKind
{
    public override string Word => "spreads";
    public override string Title => "spreads for screens";
    public override MadeOf MadeOf => MadeOf.Openings;
    public override bool OfInside => true;
    public override bool InRgb => true;
    public override bool KeepsTransparency => false;
    public override int FlatPerInch => 150;
    public override int? PicturesPerInch => 150;
    public override Wishes Wishes => Wishes.None;
}

/// <summary>The inside as a booklet to print at home: two pages on each side of a sheet, drawn in for creep.</summary>
public sealed record HomeBooklet : PressKind
{
    public override string Word => "booklet";
    public override string Title => "booklet to print at home";
    public override MadeOf MadeOf => MadeOf.Imposed;
    public override bool OfInside => true;
    public override bool InRgb => true;
    public override bool KeepsTransparency => false;
    public override int FlatPerInch => 200;
    public override int? PicturesPerInch => 200;
    public override Wishes Wishes => Wishes.Letter;
}

/// <summary>Chosen pages of the inside as pictures.</summary>
public sealed record PagePictures : PressKind
{
    public override string Word => "pages";
    public override string Title => "pages as pictures";
    public override MadeOf MadeOf => MadeOf.PagePictures;
    public override bool OfInside => true;
    public override Wishes Wishes => Wishes.Pixels;
}
