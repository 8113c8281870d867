using System.Text.RegularExpressions;

namespace Lumbeck.Core.Trade.Houses;

/// <summary>Paper as people name it: a house's stock, a leaf's caliper, pages per inch, or grammage × bulk.</summary>
public static partial class PaperText
{
    [GeneratedRegex(@"^(?<n>[\d.,]+)\s*(?:ppi|pages\s+per\s+inch)$",
        RegexOptions.IgnoreCase | RegexOptions.CultureInvariant)]
    private static partial Regex PagesPerInch();

    [GeneratedRegex(@"^(?<g>[\d.,]+)\s*(?:gsm|g/m²|g/m2|g)\s*(?:[x×*]|at|,)?\s*(?<b>[\d.,]+)\s*(?:cm³/g|cm3/g|bulk|vol\.?)?$",
        RegexOptions.IgnoreCase | RegexOptions.CultureInvariant)]
    private static partial Regex GrammageAndBulk();

    private static readonly Paper None = new("", Caliper.Zero);

    /// <summary>Reads a paper, or says why not.</summary>
    public static bool TryParse(string text, House house, out Paper paper, out string why)
    {
        var (read, no) = Attempt.Of(() => Parse(text.Trim(), house));
        (paper, why) = (read ?? None, no?.Message ?? "");
        return no is null;
    }

    private static Paper Parse(string text, House house)
    {
        if (house.Papers.FirstOrDefault(p => p.Name.Equals(text, StringComparison.OrdinalIgnoreCase)) is { } stocked)
            return stocked;
        if (PagesPerInch().Match(text) is { Success: true } ppi)
            return None.Thick(FromPagesPerInch(ppi.Groups["n"].Value));
        if (GrammageAndBulk().Match(text) is { Success: true } gb && LengthText.Number(gb.Groups["g"].Value) is { } g
            && LengthText.Number(gb.Groups["b"].Value) is { } b)
            return None.Weighing(g).Bulking(b);
        if (LengthText.TryParse(text, Unit.Millimetre, out var leaf, out _))
            return None.Thick(Caliper.FromLength(leaf));
        throw new Refusal("",
            $"{house.Name} has no paper `{LengthText.Clip(text)}`: pick " +
                $"{string.Join(", ", house.Papers.Select(p => p.Name))}, or type a leaf's thickness such as 0.135 " +
                $"mm, 376 ppi or 90 gsm × 1.5");
    }

    /// <summary>A leaf of so many pages per inch, the words <c>ppi</c> left out.</summary>
    /// <exception cref="Refusal">No count, or none that a paper can have.</exception>
    internal static Caliper FromPagesPerInch(string text) => LengthText.Number(text) is { } n and >= 20 and <= 4000
        ? Caliper.FromPagesPerInch(n)
        : throw new Refusal("",
            $"`{LengthText.Clip(text)}` pages per inch can't be: papers run from about 34 to 2,540; type one such as `376`");
}
