using System.Text.RegularExpressions;

namespace Lumbeck.Core.Stock;

/// <summary>Paper as people name it: a house's stock, a leaf's caliper, pages per inch, or grammage × bulk.</summary>
public static partial class PaperText
{
    [GeneratedRegex(@"^(?<n>[\d.,]+)\s*(?:ppi|pages\s+per\s+inch)$", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant)]
    private static partial Regex PagesPerInch();

    [GeneratedRegex(@"^(?<g>[\d.,]+)\s*(?:gsm|g/m²|g/m2|g)\s*(?:[x×*]|at|,)?\s*(?<b>[\d.,]+)\s*(?:cm³/g|cm3/g|bulk|vol\.?)?$", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant)]
    private static partial Regex Bulk();

    private static readonly Caliper Least = Caliper.FromMicrometres(20), Most = Caliper.FromMicrometres(1500);

    public static bool TryParse(string text, House house, out Paper paper, out string why)
    {
        text = text.Trim();
        why = "";
        if (house.Papers.FirstOrDefault(p => p.Name.Equals(text, StringComparison.OrdinalIgnoreCase)) is { } stocked) { paper = stocked; return true; }
        paper = new("", Caliper.Zero);
        if (PagesPerInch().Match(text) is { Success: true } ppi && LengthText.Number(ppi.Groups["n"].Value) is { } n and > 0) paper = new(text, Caliper.FromPagesPerInch(n));
        else if (Bulk().Match(text) is { Success: true } gb && LengthText.Number(gb.Groups["g"].Value) is { } g and < 5000 && LengthText.Number(gb.Groups["b"].Value) is { } b and < 100) paper = new(text, Caliper.FromBulk(g, b), g);
        else if (LengthText.TryParse(text, Unit.Millimetre, out var leaf, out _)) paper = new(text.Any(char.IsLetter) ? text : text + " mm", Caliper.FromLength(leaf));
        else
        {
            why = $"{house.Name} has no paper `{LengthText.Clip(text)}`: pick {string.Join(", ", house.Papers.Select(p => p.Name))}, or type a leaf's thickness such as 0.135 mm, 376 ppi or 90 gsm × 1.5";
            return false;
        }
        if (paper.Leaf >= Least && paper.Leaf <= Most) return true;
        why = $"a leaf of {paper.Leaf.Show()} can't be: papers run from 0.02 to 1.5 mm";
        return false;
    }
}
