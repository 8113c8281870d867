namespace Lumbeck.Core.Checks.OfPictures;

/// <summary>RGB pictures that lose colour on the way to the press's inks.</summary>
public sealed class PictureGamut : PlateRule
{
    /// <summary>From this share of its area on a loss is a caution (docs/checks.md: 5 % beyond 6 ΔE2000).</summary>
    private const double Much = 0.05;

    public override string Id => "picture.gamut";
    public override string Proves => "pictures keep their colours in print";

    protected override IEnumerable<Finding> Look(CheckContext look, PlateContext plates)
    {
        if (look.Kept is not { } kept) yield break;
        foreach (var (item, drawn) in look.Drawn())
        {
            if (item is not PictureItem { Picture: { Space: PictureSpace.Rgb, IsDrawing: false } picture }
                || kept.OutOfGamut(picture, look.House) is not { } share || share < 0.005)
                continue;
            var much = share > Much;
            yield return new()
            {
                Severity = much ? Severity.Caution : Severity.Note,
                Measured = $"{(share * 100).ToString("0.#", CultureInfo.InvariantCulture)} % of it",
                Limit = $"up to {Much * 100:0} %",
                Why = "These colours are beyond what the press can print, and come out duller.",
                Mend = "See where in its settings; tone it down, or accept it as the screen shows it.",
                Of = item,
                Place = drawn.Frame.ToBox(),
            };
        }
    }
}
