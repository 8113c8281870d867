using Lumbeck.Core.Jobs;

namespace Lumbeck.Core.Edits;

/// <summary>The facts of drawn shapes.</summary>
internal static class ShapeFacts
{
    private static readonly (string, Dash)[] Dashes = [("whole", Dash.Whole), ("dashed", Dash.Dashed), ("dotted", Dash.Dotted)];

    private static readonly (string, Fit)[] Fits = [("cover", Fit.Cover), ("contain", Fit.Contain)];
    private static readonly (string, Flip)[] Flips = [("no", Flip.None), ("across", Flip.Across), ("down", Flip.Down), ("both", Flip.Both)];

    public static IEnumerable<Fact> Of(ShapeItem item)
    {
        var id = item.Id;
        ShapeItem S(Job j) => (ShapeItem)j.Item(id)!;
        if (item is not LineItem) yield return new($"item/{id}/fill", "Fill", j => S(j).Fill.Show(j.Swatches), (j, t) => new FillShape(id, Facts.MaybePaint(j, t)));
        yield return new($"item/{id}/line", "Line", j => S(j).Line.Show(j.Swatches), (j, t) => new LineShape(id, Facts.MaybePaint(j, t)));
        yield return new($"item/{id}/line-width", "Weight", j => S(j).LineWidth.ShowPoints(), (_, t) => new WeighLine(id, Facts.Points(t)));
        if (item is ICornered) yield return new($"item/{id}/corner", "Corner", j => ((ICornered)S(j)).Corner.Show(j.Ticket.Unit), (j, t) => new RoundCorner(id, Facts.Length(j, t)));
        switch (item)
        {
            case LineItem:
                yield return new($"item/{id}/dash", "Broken", j => Dashes.First(d => d.Item2 == ((LineItem)S(j)).Dash).Item1, (_, t) => new DashLine(id, Facts.Choice(t, Dashes))) { Choices = Facts.Of(("whole", "whole"), ("dashed", "dashed"), ("dotted", "dotted")) };
                break;
            case PolygonItem:
                yield return new($"item/{id}/corners", "Corners", j => ((PolygonItem)S(j)).Corners.ToString(CultureInfo.InvariantCulture), (_, t) => new ShapePolygon(id, Corners: Facts.Whole(t, "5")));
                yield return new($"item/{id}/waist", "Waist", j => ((PolygonItem)S(j)).Waist.ToString("0.##", CultureInfo.InvariantCulture) + " %", (_, t) => new ShapePolygon(id, Waist: LengthText.Number(t.TrimEnd(' ', '%')) ?? throw Facts.No($"`{LengthText.Clip(t)}` is no waist: try `45 %`, or `0` for a polygon")));
                break;
            case FrameItem:
                yield return new($"item/{id}/thickness", "Thick", j => ((FrameItem)S(j)).Thickness.Show(j.Ticket.Unit), (j, t) => new ThickenFrame(id, Facts.Length(j, t)));
                break;
            case PictureItem:
                PictureItem P(Job j) => (PictureItem)S(j);
                static string percent(decimal d) => d.ToString("0.##", CultureInfo.InvariantCulture) + " %";
                static decimal read(string t) => LengthText.Number(t.TrimEnd(' ', '%').Replace('−', '-')) ?? throw Facts.No($"`{LengthText.Clip(t)}` is no share: try `120 %`");
                yield return new($"item/{id}/fit", "Fits", j => Fits.First(f => f.Item2 == P(j).Fit).Item1, (_, t) => new FitPicture(id, Fit: Facts.Choice(t, Fits))) { Choices = Facts.Of(("cover", "fills the frame"), ("contain", "is seen whole")) };
                yield return new($"item/{id}/zoom", "Enlarged", j => percent(P(j).Zoom), (_, t) => new FitPicture(id, Zoom: read(t)));
                yield return new($"item/{id}/pan-x", "Pushed across", j => percent(P(j).PanX), (_, t) => new FitPicture(id, PanX: read(t)));
                yield return new($"item/{id}/pan-y", "Pushed down", j => percent(P(j).PanY), (_, t) => new FitPicture(id, PanY: read(t)));
                yield return new($"item/{id}/flip", "Mirrored", j => Flips.First(f => f.Item2 == P(j).Flip).Item1, (_, t) => new FitPicture(id, Flip: Facts.Choice(t, Flips))) { Choices = Facts.Of(("no", "no"), ("across", "across"), ("down", "upside down"), ("both", "both")) };
                break;
            case PlateItem:
                yield return new($"item/{id}/inner", "Inner line", j => ((PlateItem)S(j)).Inner.Show(j.Ticket.Unit), (j, t) => new RulePlate(id, Inner: Facts.Length(j, t)));
                yield return new($"item/{id}/rules", "Rules", j => ((PlateItem)S(j)).Rules.ToString(CultureInfo.InvariantCulture), (_, t) => new RulePlate(id, Rules: Facts.Whole(t, "2")));
                break;
        }
    }
}
