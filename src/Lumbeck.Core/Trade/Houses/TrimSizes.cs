namespace Lumbeck.Core.Trade.Houses;

/// <summary>Which way a trim lies.</summary>
public enum Lie { Portrait, Landscape, Square }

/// <summary>
/// The trade's usual trim sizes with their names (ISO 216, the British and the North American book sizes).
/// </summary>
public static class TrimSizes
{
    public static IReadOnlyList<NamedTrim> All { get; } =
    [
        Mm(105, 148, "A6"), Mm(110, 178, "A format"), In(4.25m, 6.87m, "mass market"), Mm(123, 186, "crown octavo"),
            Mm(129, 198, "B format"),
        In(5, 8, "small novel"), In(5.25m, 8, "novel"), Mm(138, 216, "demy octavo"), In(5.5m, 8.5m, "digest"),
            Mm(148, 210, "A5"), Mm(156, 234, "royal octavo"),
        In(6, 9, "trade"), Mm(170, 240, "large octavo"), Mm(176, 250, "B5"), In(7, 10, "manual"),
            In(7.5m, 9.25m, "textbook"), Mm(189, 246, "crown quarto"), In(8, 10, "large manual"),
        Mm(210, 280, "journal"), In(8.5m, 11, "workbook"), Mm(219, 276, "demy quarto"), Mm(210, 297, "A4"),
        Mm(148, 105, "A6 landscape"), Mm(210, 148, "A5 landscape"), In(9, 6, "trade landscape"),
            Mm(246, 189, "crown quarto landscape"), In(10, 8, "album"), In(11, 8.5m, "workbook landscape"),
            Mm(297, 210, "A4 landscape"),
        Mm(148, 148, "small square"), Mm(178, 178, "middling square"), In(8, 8, "square"), Mm(210, 210, "large square"),
            In(8.5m, 8.5m, "picture square"), Mm(250, 250, "album square"),
    ];

    public static Lie Lies(this Size trim) =>
        trim.Width == trim.Height ? Lie.Square : trim.Width > trim.Height ? Lie.Landscape : Lie.Portrait;

    /// <summary>What this house cuts: its own usual sizes first, then the trade's that it can.</summary>
    public static IEnumerable<NamedTrim> For(House house) =>
        house.Trims.Concat(All.Where(t => house.Cuts(t.Size))).DistinctBy(t => t.Size);

    /// <summary>The trade name of a size, or null where it has none.</summary>
    public static string? NameOf(Size trim, House house) =>
        For(house).FirstOrDefault(t => t.Size == trim)?.Name ?? All.FirstOrDefault(t => t.Size == trim)?.Name;

    private static NamedTrim Mm(decimal w, decimal h, string name) => new(Size.FromMillimetres(w, h), name);
    private static NamedTrim In(decimal w, decimal h, string name) => new(Size.FromInches(w, h), name);
}
