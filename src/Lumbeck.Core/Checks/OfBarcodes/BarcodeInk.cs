namespace Lumbeck.Core.Checks.OfBarcodes;

/// <summary>
/// Bars that a reader's red light does not tell from their ground: seen as it sees them, by reflectance in red, which
/// cyan and black take away.
/// </summary>
public sealed class BarcodeInk : PlateRule
{
    /// <summary>
    /// Least difference in reflectance, and least reflectance of the ground (ISO/IEC 15416 asks for a symbol contrast
    /// of 0.55 or more at grade B).
    /// </summary>
    private const double LeastContrast = 0.55, LeastGround = 0.6;

    public override string Id => "barcode.ink";
    public override string Proves => "bars are dark on a light ground";
    protected override bool Limited => false;

    protected override IEnumerable<Finding> Look(CheckContext look, PlateContext plates)
    {
        foreach (var (item, drawn) in look.Drawn())
        {
            if (item is not (BarcodeItem or CodeItem { Link.Length: > 0 })
                || (item is BarcodeItem bars && BarcodeDrawing.Number(bars, look.Job.Ticket) is null))
                continue;
            var place = drawn.Frame.ToBox();
            if (item is BarcodeItem { Plate: false } && item.Turned % 90 != 0)
                yield return new()
                {
                    Severity = Severity.Stop,
                    Measured = $"turned {item.Turned.ToString("0.#", CultureInfo.InvariantCulture)}° without its backing",
                    Limit = "upright, or on its backing",
                    Why = "Turned on a coloured ground, bars are not told from what lies beside them.",
                    Mend = "Put its white backing back.",
                    Of = item,
                    Place = place,
                    Fix = item.Locked ? null : BarcodeItem.PlateField.Set(item.Id, true),
                };
            var seen = Red(plates, place);
            if (seen.Count < 100) continue;
            var (dark, light) = (seen[seen.Count / 20], seen[seen.Count * 9 / 10]);
            if (light - dark >= LeastContrast && light >= LeastGround) continue;
            Edit? by = item.Locked
                ? null
                : item is BarcodeItem
                ? new Together([BarcodeItem.PlateField.Set(item.Id, true), new FadeItem(item.Id, 100),
                    new BlendItem(item.Id, Blend.Normal)],
                    "put the backing back")
                : new Together([CodeItem.InkField.Set(item.Id, new InkPaint(Ink.Black)), new FadeItem(item.Id, 100),
                    new BlendItem(item.Id, Blend.Normal)],
                    "make the code black");
            yield return new()
            {
                Severity = Severity.Stop,
                Measured = $"{(light - dark) * 100:0} % apart in red light",
                Limit = $"{LeastContrast * 100:0} % or more",
                Why = "A reader’s red light sees neither red bars nor a dark ground.",
                Mend = "Take black bars on the white backing.",
                Of = item,
                Place = place,
                Fix = by,
            };
        }
    }

    /// <summary>How much red light comes back from each pixel, the least first.</summary>
    private static List<double> Red(PlateContext plates, Box place)
    {
        var (left, top, right, bottom) = plates.Pixels(place);
        var step = Math.Max(1, (right - left) * (bottom - top) / 20_000);
        var seen = new List<double>();
        for (var i = 0; i < (right - left) * (bottom - top); i += step)
        {
            var inks = plates.At(left + (i % (right - left)), top + (i / (right - left)));
            seen.Add((1 - (inks[0] / 255.0 * 0.9)) * (1 - (inks[3] / 255.0 * 0.95)) * (1 - (inks[1] / 255.0 * 0.1)));
        }
        seen.Sort();
        return seen;
    }
}
