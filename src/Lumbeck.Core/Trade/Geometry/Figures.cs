namespace Lumbeck.Core.Trade.Geometry;

/// <summary>
/// Every figure of a wrap as a ticket lists it, each with its working in words and numbers (docs/geometry.md, Figures a
/// ticket shows).
/// </summary>
internal static class Figures
{
    public static IEnumerable<Sum> Of(WrapGeometry g, Unit unit)
    {
        foreach (var step in g.Spine.Steps(unit)) yield return step;
        foreach (var sum in g.Binding.Working(g.Book, g.House, g.Spine, unit)) yield return sum;
        var size = g.Sheet.Size;
        yield return Bleed(g, unit);
        if (g.Sheet.Folds.Length > 0) yield return Folds(g.Sheet, unit);
        var points = $"{size.Width.ShowPoints()[..^3]} × {size.Height.ShowPoints()}";
        yield return new("sheet", "Sheet", size.Show(unit),
            $"{size.Show(Unit.Inch)} = {points} = {size.Show(Unit.Millimetre)}");
        var pixels = $"{Whole(size.Width.Inches * 300)} × {Whole(size.Height.Inches * 300)} pixels";
        yield return new("pixels", "At 300 per inch", pixels, $"{size.Show(Unit.Inch)} × 300 per inch = {pixels}");
        yield return Weight(g);
        yield return new("range", "Can be bound",
            $"{g.FewestPages} to {g.MostPages} pages",
            $"{g.House.Name} binds {g.FewestPages} to {g.MostPages} pages" +
            $"{(g.Book.Binding == BindingKind.Booklet ? ", stapled" : "")}" +
            $"{(g.Book.Paper.Name.Length > 0 ? $" on {g.Book.Paper.Name}" : "")}");
        if (g.Spine.Working.Length > 0) yield return Bulk(g, unit);
    }

    private static Sum Bleed(WrapGeometry g, Unit unit)
    {
        var bleed = g.Sheet.Trim.X;
        return bleed.IsZero
            ? new("bleed", "Bleed", bleed.Show(unit), $"{g.House.Name} wants none: the art ends with the turn-in")
            : new("bleed", "Bleed", bleed.Show(unit),
                $"{g.House.Name} has the ground run past every cut by {bleed.Show(unit)}");
    }

    /// <summary>Each fold as the one before it and what lies between.</summary>
    private static Sum Folds(Sheet sheet, Unit unit)
    {
        var at = Length.Zero;
        List<string> steps = [];
        foreach (var fold in sheet.Folds)
        {
            steps.Add(at.IsZero ? $"{fold.Term(unit)}"
                : $"{at.Term(unit)} + {(fold - at).Term(unit)} = {fold.Term(unit)}");
            at = fold;
        }
        var across = sheet.FoldsAcross.Length == 0
            ? ""
            : $"; from the head at {string.Join(" and ", sheet.FoldsAcross.Select(f => f.Term(unit)))}";
        return new("folds", "Folds",
            sheet.Folds.Length + sheet.FoldsAcross.Length is var n && n == 1 ? "1 fold" : $"{n} folds",
            $"from the left at {string.Join("; ", steps)}{across}");
    }

    private static Sum Weight(WrapGeometry g)
    {
        if (g.WeightGrams is not { } grams || g.BlockGrams is not { } block)
        {
            var missing = g.Book.Paper.Grammage is null
                ? "the paper’s grammage"
                : g.Book.Plates is { Paper.Grammage: null }
                ? "the plate section’s grammage"
                : g.House.CoverGrammage is null
                ? $"the grammage of the cover, which {g.House.Name} does not state"
                : $"the grammage of the boards, which {g.House.Name} does not state";
            return new("weight", "Weight", "not known", $"needs {missing}");
        }
        var plates = g.Book.Plates is { } p ? $" and a plate section at {Figure(p.Paper.Grammage!.Value)} g/m²" : "";
        return new("weight", "Weight", $"{Figure(Math.Round(grams))} g",
            $"{PageCount.SayLeaves(g.Spine.Leaves)} at {Figure(g.Book.Paper.Grammage!.Value)} g/m²{plates}: " +
                $"{Figure(Math.Round(block))} g, + cover {Figure(Math.Round(grams) - Math.Round(block))} g = " +
                $"{Figure(Math.Round(grams))} g");
    }

    private static Sum Bulk(WrapGeometry g, Unit unit)
    {
        Length with(decimal factor) => g.Binding.Spine(g.Book.WithBulk(factor), g.House).Width;
        var (thinner, thicker) = (with(0.95m), with(1.05m));
        return new("bulk", "If the paper is 5 % thinner or thicker", $"{thinner.Show(unit)} to {thicker.Show(unit)}",
            $"paper 5 % thinner makes the spine {thinner.Show(unit)}, 5 % thicker {thicker.Show(unit)}");
    }

    private static string Whole(decimal d) => Math.Round(d).ToString(CultureInfo.InvariantCulture);
    private static string Figure(decimal d) => d.ToString("0.##", CultureInfo.InvariantCulture);
}
