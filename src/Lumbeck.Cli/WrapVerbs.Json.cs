using System.CommandLine;

namespace Lumbeck.Cli;

// The same as JSON.
internal static partial class WrapVerbs
{
    private static Dictionary<string, object?> Json(WrapGeometry g)
    {
        var d = new Dictionary<string, object?>
        {
            ["binding"] = g.Book.Binding.Word(),
            ["direction"] = g.Book.Reading == Reading.LeftToRight ? "ltr" : "rtl",
            ["pages"] = g.Spine.Pages,
            ["leaves"] = g.Spine.Leaves,
            ["block_mm"] = Math.Round(g.Spine.Block.Millimetres, 6),
            ["spine_mm"] = Say.Mm(g.Spine.Width),
        };
        foreach (var (k, v) in Sheet(g.Sheet)) d[k] = v;
        d["weight_g"] = g.WeightGrams is { } w ? Math.Round(w, 1) : null;
        d["sums"] = g.Sums(g.House.Unit).Select(s => new { s.Name, s.Text });
        if (g.Sheets.Length > 1) d["sheets"] = g.Sheets.Select(Sheet);
        return d;
    }

    private static Dictionary<string, object?> Sheet(Sheet s) => new()
    {
        ["sheet_mm"] = Say.Mm(s.Size),
        ["sheet_in"] = new[] { Math.Round(s.Size.Width.Inches, 6), Math.Round(s.Size.Height.Inches, 6) },
        ["trim_box_mm"] = Say.Mm(s.Trim),
        ["folds_mm"] = s.Folds.Select(Say.Mm),
        ["folds_y_mm"] = s.FoldsAcross.Select(Say.Mm),
        ["panels"] = s.Panels.Select(x => new { name = x.Part.Word(), box_mm = Say.Mm(x.Face) }),
        ["zones"] = s.Zones.Select(z => new { kind = z.Kind.Word(), panel = z.Panel.Word(), box_mm = Say.Mm(z.Box) }),
    };
}
