using Lumbeck.Core.Jobs;

namespace Lumbeck.Core.Checks;

/// <summary>A barcode outside its room, covered by something, or drawn too small or too large to be read.</summary>
public sealed class BarcodeRoom : Rule
{
    public override string Id => "barcode.room";
    public override string Proves => "the barcode lies free in its room";

    public override IEnumerable<Finding> Find(Look look)
    {
        var drawn = look.Drawn().ToList();
        for (var n = 0; n < drawn.Count; n++)
        {
            var (item, piece) = drawn[n];
            if (item is not BarcodeItem code) continue;
            var place = piece.Frame.ToBox();
            if (look.Sheet.Zone(ZoneKind.Barcode, Part.Back)?.Box is { } room)
            {
                var beyond = Length.Max(Length.Max(room.X - place.X, place.Right - room.Right), Length.Max(room.Y - place.Y, place.Bottom - room.Bottom));
                if (beyond > Look.Tolerance)
                    yield return Found(look, Severity.Stop, $"{beyond.Show(look.Unit)} outside", $"within {room.Size.Show(look.Unit)}", $"{look.House.Name} keeps a room for the barcode, and looks for it there.", "Hang it on the back by its barcode room.", item, place: place);
            }
            if (code.Percent < look.House.BarcodeLeast || code.Percent > look.House.BarcodeMost)
                yield return Found(look, Severity.Caution, $"{code.Percent.ToString("0.##", CultureInfo.InvariantCulture)} %", $"{look.House.BarcodeLeast.ToString("0.##", CultureInfo.InvariantCulture)} to {look.House.BarcodeMost.ToString("0.##", CultureInfo.InvariantCulture)} %", "Outside this range tills and warehouses read it badly.", "Set it to 100 %.", item, place: place);
            if (drawn.Skip(n + 1).FirstOrDefault(o => !o.Piece.Inked.ToBox().Intersect(place).IsEmpty) is { Item: { } over })
                yield return Found(look, Severity.Stop, $"under a {over.Kind.ToLower(CultureInfo.InvariantCulture)}", "uncovered", "Whatever lies on the plate may keep the bars from being read.", "Move one of the two, or bring the barcode to the front.", item, place: place);
        }
    }
}
