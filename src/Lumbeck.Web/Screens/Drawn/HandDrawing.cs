using System.Text;
using System.Text.Json;
using Lumbeck.Press.Svg;

namespace Lumbeck.Web.Screens;

/// <summary>
/// What the hand on the sheet works with: what can be picked, and the sheet's lines, panels and stops as data.
/// </summary>
public static class HandDrawing
{
    /// <summary>The picture that a wrap is traced from, over its art; it is no part of the art.</summary>
    public static string Tracing(JobView v)
    {
        if (v.Job.Wraps[v.Wrap].Tracing is not { } tracing) return "<g id=\"tracing\"></g>";
        var box = tracing.On(v.Sheet);
        var house = v.Ticket.House;
        return new StringBuilder("<g id=\"tracing\" class=\"zones\"><image preserveAspectRatio=\"xMidYMid meet\" opacity=\"")
            .Figure((double)tracing.Strength / 100, 3).Append("\" href=\"")
            .Append(SvgText.Escape(PictureLinks.Address(tracing.Picture.Hash, PictureDesk.Widths[^1],
                Press.Colour.PrintingCondition.Of(house), false)))
            .Append('"').Rect(box).Append("/></g>").ToString();
    }

    /// <summary>What can be picked on the sheet, the lowest first.</summary>
    public static string Hits(JobView v)
    {
        var s = new StringBuilder();
        foreach (var item in v.Take.Items) Hit(s, item, v.Sheet);
        return s.ToString();
    }

    /// <summary>An item's own box, placed on the sheet as the item is.</summary>
    public static void Hit(StringBuilder s, Item item, Sheet sheet)
    {
        if (item.Hidden || Placement.Of(item, sheet) is not { } at) return;
        s.Append("<rect class=\"hit").Append(item is PictureItem { Picture: null } ? " empty" : "")
            .Append(at.Box.Width.Points < 5 || at.Box.Height.Points < 5 ? " thin" : "").Append("\" data-pick=\"")
            .Append(item.Id).Append("\" data-kind=\"")
            .Append(item switch
            {
                TextItem => "text",
                PictureItem => "picture", { OwnSize: not null } => "barcode",
                LineItem => "line",
                _ => "shape"
            })
            .Append("\" data-turned=\"").Append(item.Turned.ToString(CultureInfo.InvariantCulture)).Append('"');
        if (item.Group.Length > 0) s.Append(" data-group=\"").Append(SvgText.Escape(item.Group)).Append('"');
        if (item.Locked) s.Append(" data-locked=\"true\"");
        if (item is TextItem { Starter: true }) s.Append(" data-starter=\"true\"");
        s.Append(" width=\"").Figure(Math.Max(0, at.Box.Width.Points), 3).Append("\" height=\"")
            .Figure(Math.Max(0, at.Box.Height.Points), 3).Append("\" transform=\"").Matrix(at.ToSheet).Append("\"/>");
    }

    /// <summary>
    /// Where a caret can stand in the text that is typed in, in the item's own points: the place in the words, the
    /// line, x, y, turn and reach of each; and each line's ascent and descent.
    /// </summary>
    public static string Carets(JobView v)
    {
        if (!v.Typing || v.Open is not { } id || v.Job.Item(id) is not TextItem text
            || Placement.Of(text, v.Sheet) is not { } at)
            return "<desc id=\"carets\"></desc>";
        var set = Typesetter.Set(text.ToSet(v.Ticket, at.Panel.Turn), at.Box.Width.Points, at.Box.Height.Points,
            v.Around.Type, stops: true);
        var s = new StringBuilder("<desc id=\"carets\" data-item=\"").Append(id).Append("\" data-stops=\"");
        foreach (var c in set.Stops)
            s.Append(c.At).Append(' ').Append(c.Line).Append(' ').Figure(c.X, 2).Append(' ').Figure(c.Y, 2).Append(' ')
                .Figure(c.Turn, 2).Append(' ').Figure(c.Wide, 2).Append(';');
        s.Append("\" data-lines=\"");
        foreach (var l in set.Lines)
        {
            // The middle of an upright line is what its letters stand on.
            var (up, down) = text.Upright
                ? ((l.Ascent + l.Descent) / 2, (l.Ascent + l.Descent) / 2)
                : (l.Ascent, l.Descent);
            s.Append(' ').Figure(up, 2).Append(' ').Figure(down, 2).Append(';');
        }
        // A text without a letter has its caret all the same.
        return s.Append("\" data-size=\"").Figure(set.Size, 2).Append("\"></desc>").ToString();
    }

    /// <summary>
    /// The view, the unit, the lines that things are drawn to, the panels, and the stops of the edge tour.
    /// </summary>
    public static string Frame(JobView v)
    {
        var (sheet, unit) = (v.Sheet, v.Ticket.Unit);
        static string json(object data) => SvgText.Escape(JsonSerializer.Serialize(data, Web));
        static IEnumerable<object[]> lines(IEnumerable<SnapLine> of) =>
            of.Select(l => new object[] { Math.Round(l.At.Points, 4), l.Says });
        static double[] box(Box b) =>
            [Math.Round(b.X.Points, 3), Math.Round(b.Y.Points, 3), Math.Round(b.Width.Points, 3),
                Math.Round(b.Height.Points, 3)];
        var each = unit == Unit.Inch ? Length.FromInches(1) : Length.FromMillimetres(1);
        return new StringBuilder("<desc id=\"frame\" data-view-box=\"").Append(Drawings.ViewBox(sheet))
            .Append("\" data-unit=\"").Append(LengthText.Name(unit)).Append("\" data-points=\"")
                .Append(each.Points.ToString("0.######", CultureInfo.InvariantCulture)).Append("\" data-places=\"")
                .Append(unit == Unit.Inch ? 3 : 2)
            .Append("\" data-upright=\"").Append(json(lines(SnapLines.Upright(sheet)))).Append("\" data-level=\"")
                .Append(json(lines(SnapLines.Level(sheet))))
            .Append("\" data-panels=\"")
                .Append(json(sheet.Panels.Select(p =>
                    new
                    {
                        part = p.Part.Word(),
                        says = p.Part.Say(),
                        face = box(p.Face),
                        edge = box(p.Edge),
                        turn = (int)p.Turn,
                    })))
            .Append("\" data-tour=\"")
                .Append(json(EdgeTour.Of(v.Take, v.Job.Swatches, sheet, unit)
                    .Select(t =>
                        new { name = t.Name, window = box(t.Window), says = t.Says, bare = t.Bare.Select(box) })))
            .Append("\"></desc>").ToString();
    }

    private static readonly JsonSerializerOptions Web =
        new() { Encoder = System.Text.Encodings.Web.JavaScriptEncoder.UnsafeRelaxedJsonEscaping };
}
