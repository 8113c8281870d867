namespace Lumbeck.Web.Screens;

/// <summary>
/// What one press does, with the key that does it too: the word sent, what is read, and what it means.
/// </summary>
public sealed record OnePress(string How, string Says, string Title);

/// <summary>What can be done with one item, and with several.</summary>
public static class Arrangements
{
    public static IEnumerable<OnePress> For(Item item)
    {
        yield return new("centre", "centre", "Centre across its panel (C)");
        yield return new("middle", "middle", "Centre across and down its panel (M)");
        yield return new("safe", "safe box", "Centre in the panel’s safe box (K)");
        if (item.OwnSize is null)
        {
            yield return new("panel", "fill panel", "Stretch over its panel (F)");
            yield return new("bleed", "to bleed", "Stretch over its panel out to the bleed (B)");
            yield return new("sheet", "whole sheet", "Stretch over the whole sheet (W)");
        }
        if (item.Hold.Panel != Part.Spine)
            yield return new("spine", "on spine", "Hang it in the middle of the spine (J)");
        yield return new("quarter", "quarter turn", "Turn it a quarter clockwise (Q)");
        yield return new("copy", "duplicate", "Duplicate it in place (D)");
        if (item is OrnamentItem { Ornament: { Sort: OrnamentSort.Corner } })
            yield return new("four-corners", "four corners", "One on each of the panel’s four corners");
        if (item is OrnamentItem { Ornament: var ornament } && ornament.Words(50, 50) is not null)
            yield return new("words-in", "words in it", "Put words into its place for them");
        if (item is VistaItem { Vista.Layer: 0 })
            yield return new("take-apart", "take apart", "Make each of its layers an item of its own");
        if (item is VistaItem)
        {
            yield return new("in-swatches", "in swatches", "Paint it in this job’s swatches");
            foreach (var hour in Enum.GetNames<Hour>().Select(h => h.ToLowerInvariant()))
                yield return new($"at-{hour}", $"at {hour}", $"Paint it as at {hour}, in this job’s swatches");
        }
        if (item.Hold.Panel.Across() is not null)
            yield return new("other-cover", "other cover", "Duplicate it mirrored on the other cover (O)");
    }

    /// <summary>What several items can be lined up by, spaced out, and made alike in.</summary>
    public static IReadOnlyList<(string Label, OnePress[] Presses)> Together { get; } =
    [
        ("Line up",
            [new("left", "left", "By their left edges"), new("across", "centre", "By their middles, across"),
                new("right", "right", "By their right edges"), new("head", "head", "By their heads"),
                new("level", "middle", "By their middles, down"), new("foot", "foot", "By their feet")]),
        ("Space out",
            [new("gaps-across", "across", "Equal gaps from left to right"),
                new("gaps-down", "down", "Equal gaps from head to foot")]),
        ("As the last",
            [new("same-width", "as wide", "As wide as the one picked last"),
                new("same-height", "as high", "As high as the one picked last"),
                new("same-size", "as large", "As large as the one picked last")]),
        ("All",
            [new("centre", "centre", "Centre each across its panel (C)"),
                new("quarter", "quarter turn", "Turn each a quarter clockwise (Q)"),
                new("copy", "duplicate", "Duplicate them in place (D)"),
                new("other-cover", "other cover", "Duplicate them mirrored on the other cover (O)")]),
    ];
}
