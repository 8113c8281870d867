namespace Lumbeck.Core.Edits.AsTyped;

/// <summary>The facts of drawn shapes.</summary>
internal static class ShapeFacts
{
    private static Pattern? Ground(Job job, string id) =>
        job.WrapOf(id) is >= 0 and var wrap ? job.Wraps[wrap].Take.Ground.Pattern : null;

    public static IEnumerable<Fact> Of(ShapeItem item)
    {
        var id = item.Id;
        ShapeItem S(Job j) => (ShapeItem)j.Item(id)!;
        if (item is not LineItem)
        {
            yield return new($"item/{id}/fill", "Fill", j => (S(j).Fill?.Paint).Show(j.Swatches),
                (j, t) => new FillShape(id, Facts.MaybePaint(j, t)))
            { TakesColour = true };
            yield return new($"item/{id}/paper", "Pattern", j => PatternFacts.Show(S(j).Fill?.Pattern),
                (j, t) => new PatternShape(id, PatternFacts.Read(j, t, S(j).Fill?.Pattern, Ground(j, id))))
            { Choices = PatternFacts.Choices };
            foreach (var fact in PatternFacts.Of(item.Fill?.Pattern, key => $"item/{id}/{key}", j => S(j).Fill?.Pattern,
                (field, value) => new SetPattern(id, field, value)))
                yield return fact;
        }
        yield return new($"item/{id}/line", "Line", j => S(j).Line.Show(j.Swatches),
            (j, t) => new LineShape(id,
                t.Trim() is "" or "none" ? null : Facts.PlainPaint(j, t, "lines")))
        { TakesColour = true };
        foreach (var fact in FieldFacts.Of(item)) yield return fact;
        if (item is PictureItem picture)
            foreach (var fact in PictureFacts.Of(picture)) yield return fact;
    }
}
