namespace Lumbeck.Core.Drawing.Views;

/// <summary>A line that an edge or a middle may be laid on: where it lies, and what it is in words.</summary>
public readonly record struct SnapLine(Length At, string Says);

/// <summary>
/// The lines of a sheet that a hand is drawn to: the edges of faces, which are cuts and folds, their middles, and safe
/// limits.
/// </summary>
public static class SnapLines
{
    /// <summary>Lines from head to foot, by their distance from the sheet's left edge.</summary>
    public static IReadOnlyList<SnapLine> Upright(Surface sheet) =>
        [.. Of(sheet, b => b.X, b => b.Right, b => b.X + (0.5m * b.Width))];

    /// <summary>Lines from side to side, by their distance from the sheet's head.</summary>
    public static IReadOnlyList<SnapLine> Level(Surface sheet) =>
        [.. Of(sheet, b => b.Y, b => b.Bottom, b => b.Y + (0.5m * b.Height))];

    private static IEnumerable<SnapLine> Of(Surface sheet, Func<Box, Length> first, Func<Box, Length> last,
        Func<Box, Length> middle) =>
        sheet.Panels.Where(p => p.CarriesText || p.Part == Part.Spine).SelectMany(p => (SnapLine[])
        [
            new(middle(p.Face), $"middle of the {p.Part.Say()}"),
            new(middle(p.Safe), $"middle of the {p.Part.Say()}’s safe box"),
            new(first(p.Safe), $"safe line of the {p.Part.Say()}"),
                new(last(p.Safe), $"safe line of the {p.Part.Say()}"),
            new(first(p.Face), $"edge of the {p.Part.Say()}"), new(last(p.Face), $"edge of the {p.Part.Say()}"),
        ]).DistinctBy(l => l.At);
}
