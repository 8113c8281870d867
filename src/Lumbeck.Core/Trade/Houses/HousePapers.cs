using System.Text.Json;

namespace Lumbeck.Core.Trade.Houses;

/// <summary>The papers and trims of a house file.</summary>
internal static class HousePapers
{
    public static Paper Read(JsonElement e)
    {
        if (e.ValueKind != JsonValueKind.Object)
            throw HouseValue.No("papers", e, "a paper in braces, `{\"name\": …, \"leaf_mm\": …}`");
        string? name = null;
        decimal? leaf = null, page = null, ppi = null, gsm = null, bulk = null;
        int? least = null, most = null;
        foreach (var p in e.EnumerateObject())
            switch (p.Name)
            {
                case "name": name = HouseValue.Text(p.Value, "papers.name"); break;
                case "leaf_mm": leaf = HouseValue.Number(p.Value, "papers.leaf_mm", 0.01m, 2, "mm"); break;
                case "page_thickness_mm":
                    page = HouseValue.Number(p.Value, "papers.page_thickness_mm", 0.005m, 1,
                    "mm"); break;
                case "ppi": ppi = HouseValue.Number(p.Value, "papers.ppi", 20, 4000, "pages per inch"); break;
                case "gsm": gsm = HouseValue.Number(p.Value, "papers.gsm", 10, 800, "g/m²"); break;
                case "bulk": bulk = HouseValue.Number(p.Value, "papers.bulk", 0.4m, 4, "cm³/g"); break;
                case "pages_min": least = HouseValue.Whole(p.Value, "papers.pages_min", 2, 5000); break;
                case "pages_max": most = HouseValue.Whole(p.Value, "papers.pages_max", 2, 5000); break;
                default:
                    throw new Refusal("papers." + p.Name,
                    $"a paper has no `{p.Name}`: it takes name, leaf_mm, page_thickness_mm, ppi, gsm, bulk, pages_min, pages_max");
            }
        var caliper = leaf is { } l ? Caliper.FromMillimetres(l)
            : page is { } t ? Caliper.FromPageThickness(Caliper.FromMillimetres(t))
            : ppi is { } n ? Caliper.FromPagesPerInch(n)
            : gsm is { } g && bulk is { } b ? Caliper.FromBulk(g, b)
            : throw new Refusal("papers",
                $"the paper `{name}` needs a thickness: leaf_mm, page_thickness_mm, ppi, or gsm with bulk");
        return new(name ?? throw new Refusal("papers.name", "a paper needs a `name`"), caliper,
            gsm)
        { PagesLeast = least, PagesMost = most };
    }

    public static object Write(Paper p)
    {
        var d = new Dictionary<string, object> { ["name"] = p.Name, ["leaf_mm"] = p.Leaf.Millimetres };
        if (p.Grammage is { } g) d["gsm"] = g;
        if (p.PagesLeast is { } least) d["pages_min"] = least;
        if (p.PagesMost is { } most) d["pages_max"] = most;
        return d;
    }

    public static NamedTrim ReadTrim(JsonElement e)
    {
        var parts = HouseValue.Array(e, "trims").ToArray();
        if (parts.Length != 3) throw HouseValue.No("trims", e, "`[width, height, \"name\"]`");
        return new(new(Length.FromMillimetres(HouseValue.Number(parts[0], "trims", 20, 1000, "mm")),
            Length.FromMillimetres(HouseValue.Number(parts[1], "trims", 20, 1000, "mm"))),
            HouseValue.Text(parts[2], "trims"));
    }
}
