namespace Lumbeck.Web.Screens;

/// <summary>What one press does with an item's place, with the key that does it too.</summary>
public static class Arrangements
{
    public static IEnumerable<(string How, string Says, string Title)> For(Item item)
    {
        yield return ("centre", "centre", "Centre across its panel (C); down it too (M)");
        if (item is not BarcodeItem)
        {
            yield return ("panel", "fill panel", "Stretch over its panel (F)");
            yield return ("bleed", "to bleed", "Stretch over its panel out to the bleed (B)");
            yield return ("sheet", "whole sheet", "Stretch over the whole sheet (W)");
        }
        yield return ("copy", "double", "Lay a copy over it (D)");
        if (item.Hold.Panel is Part.Front or Part.Back or Part.FrontFlap or Part.BackFlap) yield return ("other-cover", "other cover", "Copy it mirrored to the other cover (O)");
    }
}
