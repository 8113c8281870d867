namespace Lumbeck.Desk.Looks;

/// <summary>The starters that ship: a size and binding each, laid out with words to replace.</summary>
internal static class StarterShelf
{
    internal sealed record Shipped(string Id, string Name, BindingKind Binding, Size Trim, int Pages, string Livery)
    {
        /// <summary>The one printer it is for; null for the first that binds it.</summary>
        public string? House { get; init; }

        public bool Flaps { get; init; }
        public Length? FlapWidth { get; init; }
    }

    private static Size Inches(decimal width, decimal height) => Size.FromInches(width, height);
    private static Size Mm(decimal width, decimal height) => Size.FromMillimetres(width, height);

    public static IReadOnlyList<Shipped> All { get; } =
    [
        new("novel-5-8", "Paperback 5 × 8 in", BindingKind.Paperback, Inches(5, 8), 240, "quayside"),
        new("novel-55-85", "Paperback 5.5 × 8.5 in", BindingKind.Paperback, Inches(5.5m, 8.5m), 280, "almanac"),
        new("book-6-9", "Paperback 6 × 9 in", BindingKind.Paperback, Inches(6, 9), 320, "meridian"),
        new("book-129-198", "Paperback 129 × 198 mm", BindingKind.Paperback, Mm(129, 198), 256, "stanza"),
        new("flaps-135-210", "Paperback with flaps 135 × 210 mm", BindingKind.Paperback, Mm(135, 210), 224, "folio")
        {
            Flaps = true,
        },
        new("picture-8-10", "Picture book 8 × 10 in", BindingKind.Case, Inches(8, 10), 40, "lantern"),
        new("picture-210", "Short picture book 210 × 210 mm", BindingKind.Case, Mm(210, 210), 32, "lantern") { House = "wren" },
        new("case-210", "Square case 210 × 210 mm", BindingKind.Case, Mm(210, 210), 120, "orchard"),
        new("jacket-5-7", "Jacket over a case 5 × 7 in", BindingKind.Jacket, Inches(5, 7), 200, "thicket")
        {
            FlapWidth = Length.FromInches(2.5m),
        },
        new("booklet-a5", "Stapled booklet A5", BindingKind.Booklet, Mm(148, 210), 32, "fieldnote"),
        new("workbook-a4", "Wire-bound workbook A4", BindingKind.Loose, Mm(210, 297), 96, "primer"),
    ];

    /// <summary>The first of the houses that binds it, as the printer's usual rules have it.</summary>
    public static House HouseOf(Shipped s, IReadOnlyList<House> houses) =>
        houses.FirstOrDefault(h => h.Id == s.House)
        ?? houses.FirstOrDefault(h => h.Binds(s.Binding) && (!s.Flaps || h.Flaps)
            && h.Trims.Any(t => t.Size == s.Trim))
        ?? houses.First(h => h.Binds(s.Binding) && (!s.Flaps || h.Flaps));
}
