namespace Lumbeck.Core.Measures;

/// <summary>
/// Sizes that go by a name, wherever a size is typed: ISO 216 and 217, North American papers, and books as the trade
/// names them.
/// </summary>
public static class NamedSizes
{
    /// <summary>Each with its name as it is shown, upright.</summary>
    public static IReadOnlyList<(string Name, Size Size)> All { get; } =
    [
        .. Halved("A", 841, 1189, 3, 7), .. Halved("B", 1000, 1414, 4, 6),
        ("Letter", Size.FromInches(8.5m, 11)), ("Half letter", Size.FromInches(5.5m, 8.5m)),
            ("Legal", Size.FromInches(8.5m, 14)),
        ("Digest", Size.FromInches(5.5m, 8.5m)), ("Trade", Size.FromInches(6, 9)),
            ("Pocket", Size.FromInches(4.25m, 6.87m)),
        ("Demy octavo", Size.FromMillimetres(138, 216)), ("Royal octavo", Size.FromMillimetres(156, 234)),
            ("Crown quarto", Size.FromMillimetres(189, 246)),
    ];

    /// <summary>
    /// The size of a name, in any case, with or without a space; lying where “landscape” stands after it. Null where
    /// there is none.
    /// </summary>
    public static Size? Find(string text)
    {
        var words = text.Trim();
        var lying = words.EndsWith("landscape", StringComparison.OrdinalIgnoreCase);
        if (lying) words = words[..^"landscape".Length];
        static string plain(string name) => name.Replace(" ", "", StringComparison.Ordinal).ToLowerInvariant();
        foreach (var (name, size) in All)
            if (plain(name) == plain(words)) return lying ? new(size.Height, size.Width) : size;
        return null;
    }

    /// <summary>
    /// Each next of a row is the one before, halved across its longer side and rounded down to a millimetre.
    /// </summary>
    private static IEnumerable<(string, Size)> Halved(string row, int wide, int high, int from, int to)
    {
        for (var n = 0; n <= to; n++, (wide, high) = (high / 2, wide))
            if (n >= from)
                yield return (string.Create(CultureInfo.InvariantCulture, $"{row}{n}"),
                    Size.FromMillimetres(wide, high));
    }
}
