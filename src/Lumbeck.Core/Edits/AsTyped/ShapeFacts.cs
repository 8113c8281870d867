namespace Lumbeck.Core.Edits.AsTyped;

/// <summary>The facts of drawn shapes.</summary>
internal static class ShapeFacts
{
    private static readonly (string, Dash)[] Dashes = [("whole", Dash.Whole), ("dashed", Dash.Dashed),
        ("dotted", Dash.Dotted)];

    public static IEnumerable<Fact> Of(ShapeItem item)
    {
        var id = item.Id;
        ShapeItem S(Job j) => (ShapeItem)j.Item(id)!;
        if (item is not LineItem)
        {
            yield return new($"item/{id}/fill", "Fill", j => (S(j).Fill?.Paint).Show(j.Swatches),
                (j, t) => new FillShape(id, Facts.MaybePaint(j, t)))
            { TakesColour = true };
            foreach (var fact in PatternFacts.Of(item, S)) yield return fact;
        }
        yield return new($"item/{id}/line", "Line", j => S(j).Line.Show(j.Swatches),
            (j, t) => new LineShape(id,
                t.Trim() is "" or "none" ? null : Facts.PlainPaint(j, t, "lines")))
        { TakesColour = true };
        yield return new($"item/{id}/line-width", "Weight", j => S(j).LineWidth.ShowPoints(),
            (_, t) => new WeighLine(id, Facts.Points(t)));
        if (item is ICornered)
            yield return new($"item/{id}/corner", "Corner", j => ((ICornered)S(j)).Corner.Show(j.Ticket.Unit),
                (j, t) => new RoundCorner(id, Facts.Length(j, t)));
        switch (item)
        {
            case LineItem:
                yield return new($"item/{id}/dash", "Broken",
                    j => Dashes.First(d => d.Item2 == ((LineItem)S(j)).Dash).Item1,
                    (_, t) => new DashLine(id, Facts.Choice(t, Dashes)))
                {
                    Choices = Facts.Of(("whole", "whole"),
                        ("dashed", "dashed"), ("dotted", "dotted"))
                };
                break;
            case PolygonItem:
                foreach (var fact in OfPolygon(id, j => (((PolygonItem)S(j)).Corners, ((PolygonItem)S(j)).Waist)))
                    yield return fact;
                break;
            case FrameItem:
                yield return new($"item/{id}/thickness", "Thick", j => ((FrameItem)S(j)).Thickness.Show(j.Ticket.Unit),
                    (j, t) => new ThickenFrame(id, Facts.Length(j, t)));
                break;
            case PictureItem p:
                foreach (var fact in PictureFacts.Of(p)) yield return fact;
                break;
            case PlateItem:
                yield return new($"item/{id}/inner", "Inner line", j => ((PlateItem)S(j)).Inner.Show(j.Ticket.Unit),
                    (j, t) => new RulePlate(id, Inner: Facts.Length(j, t)));
                yield return new($"item/{id}/rules", "Rules",
                    j => ((PlateItem)S(j)).Rules.ToString(CultureInfo.InvariantCulture),
                    (_, t) => new RulePlate(id, Rules: Facts.Whole(t, "2")));
                break;
        }
    }

    /// <summary>How many corners, and how far a star is drawn in between them.</summary>
    internal static IEnumerable<Fact> OfPolygon(string id, Func<Job, (int Corners, decimal Waist)> of)
    {
        yield return new($"item/{id}/corners", "Corners", j => of(j).Corners.ToString(CultureInfo.InvariantCulture),
            (_, t) => new ShapePolygon(id, Corners: Facts.Whole(t, "5")));
        yield return new($"item/{id}/waist", "Waist",
            j => of(j).Waist.ToString("0.##", CultureInfo.InvariantCulture) + " %",
            (_, t) => new ShapePolygon(id,
                Waist: LengthText.Number(t.TrimEnd(' ', '%'))
                    ?? throw Facts.No($"`{LengthText.Clip(t)}` is no waist: try `45 %`, or `0` for a polygon")));
    }
}
