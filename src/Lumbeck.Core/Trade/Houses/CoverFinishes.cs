namespace Lumbeck.Core.Trade.Houses;

/// <summary>Which printer has which finish of a cover, among those that ship.</summary>
public static class CoverFinishes
{
    /// <summary>Why a printer takes no finish of this name: what it has, and who has it.</summary>
    public static string WhyNot(string finish, House house)
    {
        var others = HouseFile.Shipped.Values.Where(h => h.Id != house.Id
            && h.Finishes.Any(f => f.Contains(finish, StringComparison.OrdinalIgnoreCase))).Select(h => h.Name).ToList();
        return $"{house.Name} has no finish `{LengthText.Clip(finish)}`: pick {string.Join(", ", house.Finishes)}" +
            (others.Count == 0 ? "" : $"; {string.Join(" and ", others)} {(others.Count == 1 ? "has" : "have")} it");
    }

    /// <summary>Finishes that only others have, with who has them: “gloss at Tern &amp; Tallow”.</summary>
    public static IEnumerable<string> Elsewhere(House house) => HouseFile.Shipped.Values.Where(h => h.Id != house.Id)
        .SelectMany(h => h.Finishes.Where(f => f != "none").Select(f => (Finish: f, h.Name)))
        .Where(f => !house.Finishes.Any(own => Word(own) == Word(f.Finish)))
        .GroupBy(f => Word(f.Finish)).Select(g => $"{g.Key} at {string.Join(", ", g.Select(f => f.Name).Distinct())}");

    private static string Word(string finish) => finish.Replace(" laminate", "", StringComparison.Ordinal);
}
