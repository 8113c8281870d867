namespace Lumbeck.Core.Checks.OfBarcodes;

/// <summary>A barcode outside its room, covered by something, or drawn too small or too large to be read.</summary>
public sealed class BarcodeRoom : Rule
{
    public override string Id => "barcode.room";
    public override string Proves => "the barcode lies free in its room";

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        var drawn = look.Drawn().ToList();
        for (var n = 0; n < drawn.Count; n++)
        {
            var (item, drawnItem) = drawn[n];
            if (item is not (BarcodeItem or CodeItem)) continue;
            var place = drawnItem.Frame.ToBox();
            var over = drawn.Skip(n + 1).FirstOrDefault(o => !o.Drawn.Inked.ToBox().Intersect(place).IsEmpty).Item;
            if (over is not null)
                yield return new()
                {
                    Severity = Severity.Stop,
                    Measured = $"behind a {over.Kind.ToLower(CultureInfo.InvariantCulture)}",
                    Limit = "uncovered",
                    Why = "Whatever lies on the code may keep it from being read.",
                    Mend = "Move one of the two, or bring the code in front.",
                    Of = item,
                    Place = place,
                    Fix = item.Locked ? null : new OrderItem(item.Id, look.Take.Items.Count),
                };
            if (item is CodeItem square)
            {
                if (Square(square, drawnItem) is { } module && module < LeastSquare - CheckContext.Tolerance)
                    yield return new()
                    {
                        Severity = module < 0.6m * LeastSquare ? Severity.Stop : Severity.Caution,
                        Measured = $"squares of {module.Show(look.Unit)}",
                        Limit = $"{LeastSquare.Show(look.Unit)} or more",
                        Why = "Squares this small run into each other.",
                        Mend = "Make the code larger, its link shorter, or take a lower level.",
                        Of = item,
                        Place = place,
                        Fix = item.Locked ? null : CodeItem.SideField.Set(item.Id,
                            (decimal)LeastSquare.Units / Math.Max(1, module.Units) * square.Side),
                    };
                continue;
            }
            var code = (BarcodeItem)item;
            if (code.Bars is not null && code.BarHeight < LeastHigh)
                yield return new()
                {
                    Severity = Severity.Caution,
                    Measured = $"bars {code.BarHeight.Show(look.Unit)} high",
                    Limit = $"{LeastHigh.Show(look.Unit)} or more",
                    Why = "Bars cut so low are read only when the reader is held just so.",
                    Mend = "Leave the bars their whole height.",
                    Of = item,
                    Place = place,
                    Fix = item.Locked ? null : BarcodeItem.BarsField.Set(item.Id, null),
                };
            if (look.Sheet.Zone(ZoneKind.Barcode, Part.Back)?.Box is { } room)
            {
                var beyond = Length.Max(Length.Max(room.X - place.X, place.Right - room.Right),
                    Length.Max(room.Y - place.Y, place.Bottom - room.Bottom));
                if (beyond > CheckContext.Tolerance)
                    yield return new()
                    {
                        Severity = Severity.Stop,
                        Measured = $"{beyond.Show(look.Unit)} outside",
                        Limit = $"within {room.Size.Show(look.Unit)}",
                        Why = $"{look.House.Name} keeps a room for the barcode, and looks for it there.",
                        Mend = "Hang it on the back by its barcode room.",
                        Of = item,
                        Place = place,
                        Fix = item.Locked ? null : Home(code, room, look),
                    };
            }
            if (code.Percent < look.House.BarcodeLeast || code.Percent > look.House.BarcodeMost)
                yield return new()
                {
                    Severity = Severity.Caution,
                    Measured = $"{code.Percent.ToString("0.##", CultureInfo.InvariantCulture)} %",
                    Limit = $"{look.House.BarcodeLeast.ToString("0.##", CultureInfo.InvariantCulture)} to " +
                        $"{look.House.BarcodeMost.ToString("0.##", CultureInfo.InvariantCulture)} %",
                    Why = "Outside this range tills and warehouses read it badly.",
                    Mend = "Set it to 100 %.",
                    Of = item,
                    Place = place,
                    Fix = item.Locked
                        ? null
                        : BarcodeItem.PercentField.Set(item.Id,
                            Math.Clamp(100, look.House.BarcodeLeast, look.House.BarcodeMost)),
                };
        }
    }

    /// <summary>
    /// Least square of a QR code that prints and is read at arm's length, and least height of bars (docs/checks.md).
    /// </summary>
    private static readonly Length LeastSquare = Length.FromMillimetres(0.4m), LeastHigh = Length.FromMillimetres(18);

    /// <summary>How large one square is, from the drawing: the narrowest of what is dark.</summary>
    private static Length? Square(CodeItem code, DrawnItem drawnItem)
    {
        // The first dark shape is the upper left finder's edge, seven squares wide.
        if (drawnItem.Marks is not [_, FillMark { Shape.Points: { Length: >= 4 } p }]) return null;
        return Length.FromDrawing((p[2] - p[0]) / 7);
    }

    private static Edit Home(BarcodeItem code, Box room, CheckContext look)
    {
        var home = new HoldItem(code.Id, Part.Back, HoldBox.Room, Anchor.Middle, Length.Zero, Length.Zero);
        var size = code.PlateSize;
        if (size.Width <= room.Width && size.Height <= room.Height) return home;
        var fits = code.Percent * Math.Min((decimal)room.Width.Units / size.Width.Units,
            (decimal)room.Height.Units / size.Height.Units);
        return new Together([home, BarcodeItem.PercentField.Set(code.Id, Math.Max(look.House.BarcodeLeast, Math.Floor(fits)))],
            "put the barcode in its room");
    }
}
