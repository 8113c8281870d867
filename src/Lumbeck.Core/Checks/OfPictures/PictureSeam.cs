namespace Lumbeck.Core.Checks.OfPictures;

/// <summary>Pictures laid as tiles whose edges don't go on in the next tile: the joins are seen as a grid.</summary>
public sealed class PictureSeam : PlateRule
{
    /// <summary>So much more than two neighbours within it, two edges that meet may differ (mean ΔE2000).</summary>
    private const double Most = 3;

    public override string Id => "picture.seam";
    public override string Proves => "tiles go on in one another";
    protected override bool Limited => false;

    protected override IEnumerable<Finding> Look(CheckContext look, PlateContext plates)
    {
        if (look.Kept is not { } kept) yield break;
        foreach (var (item, drawn) in look.Drawn())
        {
            if (item is not PictureItem { Tiling: { } tiling, Picture: { IsDrawing: false } picture }
                || tiling.Lay == TilingMode.Mirrored
                || kept.Seams(picture, tiling.Lay == TilingMode.Brick) is not { } seams)
                continue;
            var (across, down) = seams;
            if (Math.Max(across, down) <= Most) continue;
            var which = across > Most ? down > Most ? "left and right, and its head and foot," : "left and right"
                : "head and foot";
            yield return new()
            {
                Severity = Severity.Caution,
                Measured = $"ΔE {Math.Max(across, down).ToString("0.0", CultureInfo.InvariantCulture)} at the joins",
                Limit = $"ΔE {Most:0} more than within it",
                Why = $"Its {which} don’t go on in the next tile: the joins show as a grid.",
                Mend = "Lay each tile beside its mirror image, or take a picture made to repeat.",
                Of = item,
                Place = drawn.Frame.ToBox(),
                Fix = item.Locked ? null : new TilePicture(item.Id, tiling with { Lay = TilingMode.Mirrored }),
            };
        }
    }
}
