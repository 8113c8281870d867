using System.Text.Json;

namespace Lumbeck.Core.Edits.Doors;

/// <summary>Makes an item that came from elsewhere one that could have been made here: every figure within the range its own edit would give it.</summary>
public static class ImportValidation
{
    private static readonly Length Far = Length.FromMillimetres(5000);

    /// <param name="item">The item.</param>
    /// <param name="swatch">The id here of a swatch it names; null where there is none.</param>
    /// <exception cref="Refusal">A figure is out of all range.</exception>
    public static Item Item(Item item, Func<string, string?> swatch)
    {
        Paint? paint(Paint? p) => p switch
        {
            SwatchPaint s => swatch(s.Swatch) is { } id && s.Tint is >= 0 and <= 10_000 ? s with { Swatch = id } : new InkPaint(Ink.Black),
            FinishPaint f when f.Finish is not { Length: > 0 and <= 40 } || f.Tint is < 0 or > 10_000 => throw No("a finishing ink"),
            GradientPaint g when g.Stops is not { Count: >= 2 and <= GradientPaint.MostStops } || g.Angle is < 0 or >= 360 || !Enum.IsDefined(g.Run) || g.Stops.Any(x => x?.Paint is not (InkPaint or SwatchPaint) || x.At is < 0 or > 10_000) => throw No("a gradient"),
            GradientPaint g => g with { Stops = [.. g.Stops.Select(x => x with { Paint = paint(x.Paint)! })] },
            InkPaint { Ink: var i } when i.C is < 0 or > 10_000 || i.M is < 0 or > 10_000 || i.Y is < 0 or > 10_000 || i.K is < 0 or > 10_000 => throw No("an ink"),
            _ => p,
        };
        if (!Enum.IsDefined(item.Hold.Panel) || !Enum.IsDefined(item.Hold.Box) || !Enum.IsDefined(item.Hold.Anchor) || !Enum.IsDefined(item.Blend)) throw No("where it hangs");
        if (new[] { item.Hold.Dx, item.Hold.Dy, item.Width.Own, item.Height.Own }.Any(l => Length.Abs(l) > Far) || item.Width.Share is < 0 or > 10 || item.Height.Share is < 0 or > 10) throw No("a length");
        if (item.Opacity is < 0 or > 100) throw No("its opacity");
        item = item with { Turned = ((item.Turned % 360) + 360) % 360, Name = Plain.Line(item.Name) is { Length: <= NameItem.Most } n ? n : "" };
        if (item is TextItem { Style: null } or TextItem { Style.Paint: null } or TextItem { Words: null } or TextItem { Runs: null } or CodeItem { Paint: null } or CodeItem { Link: null }) throw No("its text");
        // A gradient fills: letters too, but no line, shadow or code.
        if (item is TextItem { Edge.Paint: GradientPaint } or TextItem { Shadow.Paint: GradientPaint } or ShapeItem { Line: GradientPaint } or CodeItem { Paint: GradientPaint }) throw No("a gradient");
        return Paints.Item(item, paint) switch
        {
            TextItem t => Text(t),
            ShapeItem s => Shape(s),
            BarcodeItem b => b.Percent is < 50 or > 300 || (b.Number is { } d && (d.Length is not (12 or 13) || !d.All(char.IsAsciiDigit))) || (b.AddOn is { Length: > 0 } five && (five.Length != 5 || !five.All(char.IsAsciiDigit))) || b.Bars is { } bars && (bars < ShapeBarcode.Least || bars > ShapeBarcode.Most) ? throw No("a barcode") : b,
            CodeItem c => c.Link.Length > SetCode.Most || c.Link.Any(char.IsControl) || c.Side < SetCode.Least || c.Side > SetCode.Largest || !Enum.IsDefined(c.Level) ? throw No("a QR code") : c,
            _ => item,
        };
    }

    /// <summary>Looks a job over that came from elsewhere: everything in it must be what its own edits could have made of it.</summary>
    /// <exception cref="Refusal">Something is not.</exception>
    public static void Job(Job job)
    {
        if (job.Ticket is null || job.Swatches is null || job.Wraps is null or { Count: 0 or > 4 } || job.Looks is null) throw No("its parts");
        if (Enum.GetValues<TicketFact>().Any(w => job.Ticket.Words(w) is not { Length: <= 300 } said || Plain.Line(said) != said)) throw No("a fact of its ticket");
        if (job.Swatches.Count > 200 || job.Swatches.Any(s => s?.Id is null || s.Name is null || s.Asked is null or { Length: > 60 }) || job.Swatches.DistinctBy(s => s.Id).Count() != job.Swatches.Count) throw No("its swatches");
        foreach (var wrap in job.Wraps)
        {
            if (wrap?.Tracing is { } tracing && (tracing.Picture is null || !Kept(tracing.Picture) || tracing.Strength is < 5 or > 100)) throw No("its tracing");
            if (wrap?.Takes is null or { Count: 0 or > AddTake.Most } || wrap.Current < 0 || wrap.Current >= wrap.Takes.Count) throw No("its takes");
            foreach (var take in wrap.Takes)
            {
                if (take?.Ground is null || take.Items is null || take.Items.Count > AddItem.Most || take.Name is null) throw No("a take");
                if (take.Items.Any(i => i?.Id is null || i.Hold is null || i.Name is null || i.Group is null || !AddItem.CanName(i.Id)) || take.Items.DistinctBy(i => i.Id).Count() != take.Items.Count) throw No("an item");
                foreach (var item in take.Items)
                    if (!Same(Item(item, id => job.Swatches.Any(s => s.Id == id) ? id : null), item)) throw No($"the item {item.Id}");
            }
        }
        if (job.Wraps.SelectMany(w => w.Take.Items).GroupBy(i => i.Id).Any(g => g.Count() > 1)) throw No("an item on two wraps");
        // The house's figures are read as a house file's are, each within its range; the sheets are computed, and refuse what makes none.
        if (job.Ticket.House is null || HouseFile.Read(HouseFile.Write(job.Ticket.House)) is null) throw No("its house");
        _ = job.Sheets();
        if (job.WithPieces().Wraps.Count != job.Wraps.Count) throw No("its wraps");
    }

    /// <summary>Whether two items are written alike; as records they would differ by the lists they hold.</summary>
    private static bool Same(Item a, Item b) => JsonSerializer.SerializeToUtf8Bytes(a, JobJson.Options).AsSpan().SequenceEqual(JsonSerializer.SerializeToUtf8Bytes(b, JobJson.Options));

    private static TextItem Text(TextItem t)
    {
        var s = t.Style;
        if (t.Words.Length > SetWords.Most || s.Size < Length.FromPoints(1) || s.Size > Length.FromPoints(1000) || s.Leading is < 0.5m or > 5 || s.Tracking is < -300 or > 2000 || !Enum.IsDefined(s.Align) || !Enum.IsDefined(s.Stand) || !Enum.IsDefined(s.Case) || !Enum.IsDefined(t.Role) || !Enum.IsDefined(t.Fit)
            || Length.Abs(s.Raise) > Far || Length.Abs(s.Indent) > Far || Length.Abs(s.Space) > Far || s.Features is null || !FeatureText.IsSound(s.Features)
            || t.Columns is < 1 or > FitText.MostColumns || t.Gutter.Units < 0 || t.Gutter > Far || t.Bend is < -360 or > 360 || t.Runs.Count > TextRuns.Most) throw No("its text");
        var last = 0;
        foreach (var r in t.Runs)
        {
            if (r?.Style is not { } own || r.From < last || r.To <= r.From || r.To > t.Words.Length || own.Size is { Points: < 1 or > 1000 } || own.Leading is < 0.5m or > 5 || own.Tracking is < -300 or > 2000 || (own.Features is { } f && !FeatureText.IsSound(f))
                || (own.Align is { } a && !Enum.IsDefined(a)) || (own.Case is { } c && !Enum.IsDefined(c)) || ((Length?[])[own.Raise, own.Indent, own.Space]).Any(l => l is { } x && Length.Abs(x) > Far)) throw No("its runs");
            last = r.To;
        }
        if (t.Edge is { } edge && (edge.Paint is null || edge.Width.Units <= 0 || edge.Width > Far)) throw No("its edge");
        if (t.Shadow is { } shadow && (shadow.Paint is null || Length.Abs(shadow.Right) > Far || Length.Abs(shadow.Down) > Far || shadow.Soft.Units < 0 || shadow.Soft > Length.FromPoints(144) || shadow.Strength is < 0 or > 100)) throw No("its shadow");
        if (t.Backing is { } backing && (backing.Paint is null || backing.Room.Units < 0 || backing.Room > Far || backing.Corner.Units < 0)) throw No("its plate");
        return t with { Words = Plain.Text(t.Words) };
    }

    private static ShapeItem Shape(ShapeItem s)
    {
        if (s.LineWidth < Length.Zero || s.LineWidth > Length.FromPoints(200) || (s is ICornered { Corner.Units: < 0 })) throw No("a line");
        return s switch
        {
            PolygonItem { Corners: < PolygonItem.Least or > PolygonItem.Most } or PolygonItem { Waist: < 0 or > 100 } => throw No("a polygon"),
            FrameItem { Thickness.Units: <= 0 } => throw No("a frame"),
            PlateItem { Rules: < 0 or > PlateItem.MostRules } or PlateItem { Inner.Units: < 0 } => throw No("a label plate"),
            PictureItem { Zoom: < 10 or > 2000 } or PictureItem { PanX: < -100 or > 100 } or PictureItem { PanY: < -100 or > 100 } or PictureItem { Picture: { Wide: <= 0 } or { High: <= 0 } } => throw No("a picture"),
            PictureItem p when !Enum.IsDefined(p.Shape) || p.Corners is < PolygonItem.Least or > PolygonItem.Most || p.Waist is < 0 or > 100 || (p.Growth is { } g && !(Enum.IsDefined(g.Way) && Enum.IsDefined(g.To)))
                || (p.Tiling is { } t && !(Enum.IsDefined(t.Lay) && t.Wide >= TilePicture.Least && t.Wide <= TilePicture.Most && t.OffsetX is >= -100 and <= 100 && t.OffsetY is >= -100 and <= 100)) => throw No("a picture"),
            PictureItem { Picture: { } p } when !Kept(p) => throw No("a picture"),
            LineItem { LineWidth.Units: <= 0 } or LineItem { Dash: < Dash.Whole or > Dash.Dotted } => throw No("a line"),
            _ => s,
        };
    }

    private static bool Kept(Picture p) => p.Hash is { Length: 64 } && p.Hash.All(char.IsAsciiHexDigitLower) && p is { Name: not null, Profile: not null, Wide: > 0, High: > 0 } && Enum.IsDefined(p.Space);

    private static Refusal No(string what) => new("paste", $"{what} can’t be taken in, being out of all range: nothing was changed");
}
