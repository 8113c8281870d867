namespace Lumbeck.Core.Checks.OfInk;

/// <summary>
/// Large areas of plain black, which could be rich; and rich black in small words, where every misfit of the plates
/// shows.
/// </summary>
public sealed class InkBlack : Rule
{
    /// <summary>From this many square points on (20 cm²) a black is large.</summary>
    private static readonly double Large = 20 * Math.Pow(72 / 2.54, 2);

    /// <summary>Words under this size want one ink.</summary>
    private static readonly Length Small = Length.FromPoints(12);

    public override string Id => "ink.black";
    public override string Proves => "blacks are mixed for what they paint";
    protected override bool Limited => false;

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        foreach (var (item, drawn) in look.Drawn())
            if (item is TextItem text && IsRichAndSmall(text, look.Job.Swatches))
                yield return new()
                {
                    Severity = Severity.Caution,
                    Measured = $"{text.Style.Paint.Resolve(look.Job.Swatches)} in {text.Style.Size.ShowPoints()}",
                    Limit = $"black alone under {Small.ShowPoints()}",
                    Why = "Several plates never fit to a hair, and small words then show coloured edges.",
                    Mend = "Set them in black alone.",
                    Of = item,
                    Place = drawn.Inked.ToBox(),
                    Fix = Mending.Paint(look, text, _ => Ink.Black),
                };
            else if (item is ShapeItem && IsPlainAndLarge(drawn))
                yield return new()
                {
                    Severity = Severity.Note,
                    Measured = "black alone",
                    Limit = look.House.RichBlack.ToString(),
                    Why = "So large a black prints fuller with other inks under it.",
                    Mend = "Fill it with the printer’s rich black.",
                    Of = item,
                    Place = drawn.Frame.ToBox(),
                    Fix = Mending.Paint(look, item, _ => look.House.RichBlack),
                };
    }

    /// <summary>
    /// Whether a drawn item is filled with black alone over so much of the sheet that it would print fuller as a rich one.
    /// </summary>
    public static bool IsPlainAndLarge(DrawnItem drawn) =>
        drawn.Marks.OfType<FillMark>()
            .Any(m => m is { Finish: null, Ink: { C: 0, M: 0, Y: 0, K: >= 9000 } } && Area(m.Shape.Bounds) > Large);

    /// <summary>Whether words are small and in a black of several inks.</summary>
    public static bool IsRichAndSmall(TextItem text, IReadOnlyList<Swatch> swatches) =>
        text.Style.Size < Small && text.Style.Paint is (InkPaint or SwatchPaint)
            && text.Style.Paint.Resolve(swatches) is { K: >= 8000 } ink && ink.C + ink.M + ink.Y > 2000;

    private static double Area(Bounds b) => b.IsEmpty ? 0 : (b.Right - b.Left) * (b.Bottom - b.Top);
}
