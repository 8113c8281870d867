namespace Lumbeck.Core.Checks.OfBarcodes;

/// <summary>
/// A barcode or QR code that a decoder does not read from the finished sheet, or reads as something else.
/// </summary>
public sealed class BarcodeReadable : PlateRule
{
    public override string Id => "barcode.readable";
    public override string Proves => "a reader reads the barcode off the finished sheet";
    protected override bool Limited => false;

    protected override IEnumerable<Finding> Look(CheckContext look, PlateContext plates)
    {
        foreach (var (item, drawn) in look.Drawn())
        {
            var wanted = item switch
            {
                BarcodeItem b => BarcodeDrawing.Reads(b, look.Job.Ticket),
                CodeItem c => c.Link,
                _ => null,
            };
            if (wanted is not { Length: > 0 }) continue;
            // A wrong number is another rule's to tell; no decoder reads one.
            if (item is BarcodeItem && Ean13.CheckDigit(wanted[..13]) != wanted[12]) continue;
            var room = drawn.Frame.ToBox().Inset(-Length.FromMillimetres(2)).Intersect(look.Sheet.Whole);
            var read = plates.Decode(room);
            // Some readers give an EAN-5 apart, or not at all.
            if (read.Any(r =>
                r == wanted || (item is BarcodeItem && wanted[..13] is var main && (r == main || r == main[1..]))))
                continue;
            yield return new()
            {
                Severity = Severity.Stop,
                Measured = read.Count == 0 ? "nothing read" :
                    $"reads {LengthText.Clip(read[0])}",
                Limit = LengthText.Clip(wanted),
                Why = "A reader held over the finished sheet does not get this.",
                Mend = item is CodeItem
                    ? "Make it larger, in a dark ink, and keep its ground clear."
                    : "Keep its backing clear and upright, at 100 %.",
                Of = item,
                Place = drawn.Frame.ToBox(),
                Fix = ItsSizeAlone(look, item, drawn) ? BarcodeItem.PercentField.Set(item.Id, 100) : null,
            };
        }
    }

    /// <summary>
    /// Whether nothing but its size can keep a barcode from being read: it lies upright on its plate, whole, and under
    /// nothing.
    /// </summary>
    private static bool ItsSizeAlone(CheckContext look, Item item, DrawnItem drawn) =>
        item is BarcodeItem { Percent: < 100, Plate: true, Opacity: 100, Blend: Blend.Normal, Locked: false }
            && item.Turned % 90 == 0
        && !look.Scene.Items.SkipWhile(p => p != drawn).Skip(1).Any(p => Occlusion.Touches(p, drawn.Frame));
}
