using System.Text;
using Lumbeck.Pdf.Content;
using Lumbeck.Pdf.Writing;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;
using Lumbeck.Press.Svg;
using NetVips;

namespace Lumbeck.Press.Templates;

/// <summary>The blank sheet as files: PDF with its boxes, SVG in millimetres, PNG at 300 per inch.</summary>
public static class TemplateFile
{
    /// <summary>Pixels an inch of the PNG.</summary>
    public const int PixelsPerInch = 300;

    /// <summary>
    /// One page with its boxes set; all zones on one layer of optional content (ISO 32000-1, 8.11) that shows on screen
    /// and does not print.
    /// </summary>
    public static void WritePdf(Stream output, Scene scene, DocumentInfo note, FaceShelf shelf)
    {
        using var pdf = new PdfWriter(output, "1.6");
        var (tree, layer) = (pdf.Reserve(), pdf.Reserve());
        var faces = new SortedDictionary<FaceId, EmbeddedFont>();
        EmbeddedFont Face(FaceId id) =>
            faces.TryGetValue(id, out var f)
                ? f
                : faces[id] = new(shelf.Open(id), "F" + (faces.Count + 1).ToString(CultureInfo.InvariantCulture),
                    pdf.Reserve());
        var ink = new ColorOperators(null);
        var has = new PageResources(pdf, Face, new(pdf, new(), null), new(pdf), ink,
            new(0, 0, scene.Width, scene.Height));
        var content = new ContentWriter().Name("OC").Name("Zones").Op(Operator.BeginMarkedProperties).Break()
            .Append(new PdfPainter(Plates.Flattened.None(scene), has, ink, PdfPainter.OnPage(scene)).Paint()).EndMarked().Break();
        var stream = pdf.Stream(new(), content.Written);
        var h = scene.Surface.Size.Height;
        pdf.Object(layer, new PdfDict
        {
            ["Type"] = "OCG",
            ["Name"] = PdfString.Text("Zones, not printed"),
            ["Intent"] = PdfArray.Of("View", "Design"),
            ["Usage"] = new PdfDict
            {
                ["View"] = new PdfDict { ["ViewState"] = "ON" },
                ["Print"] = new PdfDict { ["PrintState"] = "OFF" },
                ["Export"] = new PdfDict { ["ExportState"] = "OFF" },
            },
        });
        var page = pdf.Object(new PdfDict
        {
            ["Type"] = "Page",
            ["Parent"] = tree,
            ["MediaBox"] = PressObjects.Rectangle(scene.Surface.Whole, h),
            ["BleedBox"] = PressObjects.Rectangle(scene.Surface.Whole, h),
            ["TrimBox"] = PressObjects.Rectangle(scene.Surface.Trim, h),
            ["Resources"] = has.Write(PressFile.Fonts(faces.Values), new() { ["Zones"] = layer }),
            ["Contents"] = stream,
        });
        foreach (var face in faces.Values) face.Write(pdf);
        pdf.Object(tree, PressObjects.Tree([page]));
        var only = PdfArray.Of(layer);
        var catalog = pdf.Object(new PdfDict
        {
            ["Type"] = "Catalog",
            ["Pages"] = tree,
            ["OCProperties"] = new PdfDict
            {
                ["OCGs"] = only,
                ["D"] = new PdfDict
                {
                    ["Name"] = PdfString.Text("Zones"),
                    ["BaseState"] = "ON",
                    ["ON"] = only,
                    ["Order"] = only,
                    ["AS"] = PdfArray.From(((string[])["View", "Print", "Export"]).Select(e => new PdfDict
                    {
                        ["Event"] = e,
                        ["Category"] = PdfArray.Of([(PdfObject)e]),
                        ["OCGs"] = only,
                    })),
                },
            },
        });
        pdf.Finish(catalog, pdf.Object(new PdfDict
        {
            ["Title"] = PdfString.Text(note.Title),
            ["Subject"] = PdfString.Text(note.Subject),
            ["Producer"] = PdfString.Text("Lumbeck"),
            ["CreationDate"] = PdfString.Date(note.At),
            ["ModDate"] = PdfString.Date(note.At),
        }));
    }

    /// <summary>In real millimetres: a user unit is one; each kind of zone a named group of rectangles.</summary>
    public static string Svg(Scene scene, DocumentInfo note)
    {
        var sheet = scene.Surface;
        var s =
            new StringBuilder("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"")
            .Mm(sheet.Size.Width).Append("mm\" height=\"").Mm(sheet.Size.Height).Append("mm\" viewBox=\"0 0 ")
            .Mm(sheet.Size.Width).Append(' ').Mm(sheet.Size.Height)
            .Append("\">\n<title>").Append(SvgText.Escape(note.Title)).Append("</title>\n<desc>")
                .Append(SvgText.Escape(note.Subject)).Append("</desc>\n");
        foreach (var kind in sheet.Zones.GroupBy(z => z.Kind).OrderBy(k => k.Key))
        {
            Group(s, kind.Key.Word(),
                kind.Key switch
                {
                    ZoneKind.Bleed => "fill=\"#1d2a25\" fill-opacity=\".12\" stroke=\"none\"",
                    ZoneKind.Hinge or ZoneKind.Score or ZoneKind.Punch => "fill=\"#1d2a25\" fill-opacity=\".2\" stroke=\"none\"",
                    ZoneKind.Barcode => "stroke-dasharray=\".7 1\"",
                    _ => "stroke-dasharray=\".35 1.4\"",
                },
                kind.First().Reason);
            foreach (var zone in kind)
                s.Append("<rect data-panel=\"").Append(zone.Panel.Word()).Append("\" x=\"").Mm(zone.Box.X)
                    .Append("\" y=\"").Mm(zone.Box.Y).Append("\" width=\"").Mm(zone.Box.Width).Append("\" height=\"")
                    .Mm(zone.Box.Height).Append("\"/>\n");
            s.Append("</g>\n");
        }
        Group(s, "trim", "", "cut, or turned, here");
        s.Append("<rect x=\"").Mm(sheet.Trim.X).Append("\" y=\"").Mm(sheet.Trim.Y).Append("\" width=\"")
            .Mm(sheet.Trim.Width).Append("\" height=\"").Mm(sheet.Trim.Height).Append("\"/>\n</g>\n");
        Group(s, "folds", "stroke-dasharray=\"3.2 1 .5 1\"", "folded here");
        foreach (var f in sheet.Folds)
            s.Append("<path d=\"M").Mm(f).Append(" 0V").Mm(sheet.Size.Height).Append("\"/>\n");
        foreach (var f in sheet.FoldsAcross)
            s.Append("<path d=\"M0 ").Mm(f).Append('H').Mm(sheet.Size.Width).Append("\"/>\n");
        s.Append("</g>\n<g id=\"names\" font-family=\"sans-serif\" font-size=\"3.2\" text-anchor=\"middle\" " +
            "fill=\"#1d2a25\">\n");
        foreach (var p in sheet.Panels.Where(p => p.Face.Width > Length.FromMillimetres(20)))
            s.Append("<text x=\"").Mm(p.Face.X + (0.5m * p.Face.Width)).Append("\" y=\"")
                .Mm(p.Face.Y + (0.5m * p.Face.Height)).Append("\">").Append(p.Part.Say()).Append(", ")
                .Append(p.Face.Size.Show(Unit.Millimetre)).Append("</text>\n");
        return s.Append("</g>\n</svg>\n").ToString();
    }

    /// <summary>Black on white at 300 pixels an inch, the pixel size set in the file (PNG, pHYs).</summary>
    public static void WritePng(Stream output, Scene scene, FaceShelf shelf)
    {
        var (w, h) = (Pixels(scene.Surface.Size.Width), Pixels(scene.Surface.Size.Height));
        var picture = new SvgPainter(shelf, new PlainInk()).Picture(scene);
        using var drawn = Image.SvgloadBuffer(Encoding.UTF8.GetBytes(picture), dpi: 72, scale: PixelsPerInch / 72.0);
        using var flat = drawn.Flatten(background: [255]);
        // The loader rounds up; the sheet's own pixels are the nearest whole.
        using var sized = flat.Gravity(Enums.CompassDirection.NorthWest, w, h, extend: Enums.Extend.White);
        using var grey = sized.Colourspace(Enums.Interpretation.Bw);
        using var named = grey.Copy(xres: PixelsPerInch / 25.4, yres: PixelsPerInch / 25.4);
        output.Write(named.PngsaveBuffer(compression: 7, bitdepth: 4));
    }

    private static int Pixels(Length l) => (int)Math.Round(l.Inches * PixelsPerInch, MidpointRounding.AwayFromZero);

    private static void Group(StringBuilder s, string name, string style, string why) =>
        s.Append("<g id=\"zone-").Append(name).Append('"')
            .Append(style.Contains("fill=", StringComparison.Ordinal) ? ""
                : " fill=\"none\" stroke=\"#1d2a25\" stroke-width=\".2\"")
            .Append(' ').Append(style).Append("><title>").Append(SvgText.Escape(why)).Append("</title>\n");

    private static StringBuilder Mm(this StringBuilder s, Length l) =>
        s.Append(Math.Round(l.Millimetres, 4).ToString("0.####", CultureInfo.InvariantCulture));

    private sealed class PlainInk : Colour.IScreenColour
    {
        public string Hex(Ink ink) => "#1d2a25";
        public IReadOnlyList<string> Hex(IReadOnlyList<Ink> inks) => [.. inks.Select(Hex)];
    }
}
