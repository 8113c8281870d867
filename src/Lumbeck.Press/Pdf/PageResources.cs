using System.Text;

namespace Lumbeck.Press.Pdf;

/// <summary>What a page's content asks for by name (ISO 32000-1, 7.8.3).</summary>
internal interface IPageResources
{
    EmbeddedFont Face(FaceId id);

    /// <summary>
    /// Marks that are mixed as one, with what they are mixed by (11.6.6): the drawn item's blend, or its opacity alone.
    /// </summary>
    string Mix(string marks, DrawnItem drawn, bool plainly);

    /// <summary>A picture that is so many points wide; null where there are no pictures.</summary>
    string? Picture(PictureMark mark, double points);

    /// <summary>A picture grown beyond its edges.</summary>
    string? Grown(GrownMark mark);

    /// <summary>A pattern of tiles (8.7.3), one of which is placed so on the page.</summary>
    string? Tiles(TilesMark mark, Affine cell, double points);

    /// <summary>A shading in the page's own points (8.7.4.5).</summary>
    string Shade(Gradient shade);

    /// <summary>The same as a pattern, for type to be filled with (8.7.4.1).</summary>
    string ShadePattern(Gradient shade);

    /// <summary>
    /// A state that lays what is filled only as far as a soft shape covers it, multiplied with what is there (11.6.4.3,
    /// 11.6.5.2).
    /// </summary>
    string Soft(BlurredMark mark, Affine toPage);

    /// <summary>A finishing ink's plate (8.6.6.4).</summary>
    string Finish(string name);

    /// <summary>A space of several plates that is in the file already.</summary>
    string Space(int space);

    /// <summary>A flattened part's rectangles, in the order they are drawn in.</summary>
    IReadOnlyList<FlatDrawn> Flat(Plates.FlatPart part);

    /// <summary>An image that is in the file already.</summary>
    string Named(int image);

    /// <summary>Marks that are drawn in several places, as a form that the file holds once.</summary>
    /// <param name="mark">The marks.</param>
    /// <param name="content">Draws them in their own coordinates, where the file has none of it.</param>
    string Symbol(RepeatedMark mark, Func<string> content);
}

/// <summary>One page's resources, written as they are asked for.</summary>
/// <param name="pdf">The file.</param>
/// <param name="faces">Its faces.</param>
/// <param name="images">Its pictures.</param>
/// <param name="symbols">What is repeated in it.</param>
/// <param name="ink">How inks are written.</param>
/// <param name="media">The page's whole, in its own points.</param>
internal sealed class PageResources(PdfWriter pdf, Func<FaceId, EmbeddedFont> faces, ImageXObjects images,
    FormXObjects symbols, ColorOperators ink, Bounds media)
    : IPageResources
{
    /// <summary>States that knock out, and that overprint.</summary>
    public const string Overprinting =
        "/Gk << /Type /ExtGState /OP false /op false /OPM 1 >> /Go << /Type /ExtGState /OP true /op true /OPM 1 >>";

    private readonly int _number = pdf.Reserve();
    private readonly StringBuilder _states = new(Overprinting);
    private readonly SortedDictionary<string, int> _objects = new(StringComparer.Ordinal),
        _patterns = new(StringComparer.Ordinal), _shades = new(StringComparer.Ordinal);
    private readonly SortedDictionary<string, string> _plates = new(StringComparer.Ordinal);

    /// <summary>
    /// Whether anything lets through what lies under it, so that the page is composed in its own colours.
    /// </summary>
    public bool Mixes { get; set; }

    public EmbeddedFont Face(FaceId id) => faces(id);

    public string Mix(string marks, DrawnItem drawn, bool plainly)
    {
        Mixes = true;
        var name = string.Create(CultureInfo.InvariantCulture, $"X{++_mixed}");
        var box = $"[{PdfSyntax.Figure(media.Left)} {PdfSyntax.Figure(media.Top)} {PdfSyntax.Figure(media.Right)} " +
            $"{PdfSyntax.Figure(media.Bottom)}]";
        // What multiplies or screens stands by itself until it is whole (11.4.5); what is laid plainly sees what lies
        // under it, so that it can overprint that.
        var alone = plainly ? "" : "/I true ";
        _objects[name] = pdf.Stream($"/Type /XObject /Subtype /Form /BBox {box} /Group << /S /Transparency /CS " +
            $"/DeviceCMYK {alone}>> /Resources {_number} 0 R",
            s => s.Write(Encoding.ASCII.GetBytes(marks)));
        var blend = plainly ? Blend.Normal : drawn.Blend;
        _states.Append($" /{name}g << /Type /ExtGState /ca {PdfSyntax.Figure(drawn.Opacity)} /CA " +
            $"{PdfSyntax.Figure(drawn.Opacity)} /BM /{blend} /AIS false >>");
        return name;
    }

    private int _mixed;

    public string? Picture(PictureMark mark, double points) =>
        images.Of(mark.Picture, points, mark.Convert, mark.Strength) is { } number ? Image(OnPlate(mark, number), mark.Picture) : null;

    public string? Grown(GrownMark mark) =>
        images.Of(mark) is { } number ? Image(OnPlate(mark, number), mark.Picture) : null;

    private string Image(int number, Picture picture)
    {
        Mixes |= !picture.Opaque || images.Lets(number);
        return Named(number);
    }

    /// <summary>A picture in its own inks, or as far as it hides a finishing ink's plate.</summary>
    private int OnPlate(Mark mark, int picture) =>
        mark.Finish is { } finish ? images.OnPlate(picture, Plate(finish.Name), finish.Tint) : picture;

    public string? Tiles(TilesMark mark, Affine cell, double points)
    {
        if (images.Of(mark.Picture, points, mark.Convert) is not { } picture) return null;
        var number = OnPlate(mark, picture);
        Mixes |= !mark.Picture.Opaque || images.Lets(picture);
        var (across, down, tiles) = TilingPattern.Of(mark.Tiling);
        // A pattern's own space is the tile's unit square, y down; its matrix leads to the page (8.7.3.1).
        var content = string.Concat(tiles.Select(t => $"q {PdfPainter.Placed("I", t)}Q\n"));
        var matrix = string.Join(' ',
            ((double[])[cell.A, cell.B, cell.C, cell.D, cell.E, cell.F]).Select(PdfSyntax.Figure));
        var name = string.Create(CultureInfo.InvariantCulture, $"T{_patterns.Count + 1}");
        _patterns[name] = pdf.Stream($"/Type /Pattern /PatternType 1 /PaintType 1 /TilingType 1 /BBox [0 0 {across} " +
            $"{down}] /XStep {across} /YStep {down} /Matrix [{matrix}] /Resources << /XObject << /I {number} 0 R >> >>",
            s => s.Write(Encoding.ASCII.GetBytes(content)));
        return name;
    }

    public string ShadePattern(Gradient shade)
    {
        var name = string.Create(CultureInfo.InvariantCulture, $"T{_patterns.Count + 1}");
        _patterns[name] = pdf.Object($"<< /Type /Pattern /PatternType 2 " +
            $"{(shade.Transform == Affine.Identity ? "" : $"/Matrix [{PdfSyntax.Matrix(shade.Transform)}] ")}/Shading " +
            $"{_shades[Shade(shade)]} 0 R >>");
        return name;
    }

    public string Symbol(RepeatedMark mark, Func<string> content) => Named(symbols.Of(mark, content,
        mark.Finish is not { } finish ? "" : $"/{Finish(finish.Name)} {Plate(finish.Name)}"));

    public string Soft(BlurredMark mark, Affine toPage)
    {
        Mixes = true;
        var (wide, high, cover) = Plates.GaussianBlur.Of(mark, PerInchSoft);
        var b = mark.Bounds;
        var image =
            pdf.Stream($"/Type /XObject /Subtype /Image /Width {wide} /Height {high} /ColorSpace /DeviceGray " +
                $"/BitsPerComponent 8",
            s => s.Write(cover));
        var place = new Affine(b.Right - b.Left, 0, 0, b.Bottom - b.Top, b.Left, b.Top).Then(toPage);
        var box = toPage.Of(b);
        var corners = $"[{PdfSyntax.Figure(box.Left)} {PdfSyntax.Figure(box.Top)} {PdfSyntax.Figure(box.Right)} " +
            $"{PdfSyntax.Figure(box.Bottom)}]";
        var form = pdf.Stream($"/Type /XObject /Subtype /Form /BBox {corners} /Group << /S /Transparency /CS " +
            $"/DeviceGray /I true >> /Resources << /XObject << /I {image} 0 R >> >>",
            s => s.Write(Encoding.ASCII.GetBytes(PdfPainter.Placed("I", place))));
        var name = string.Create(CultureInfo.InvariantCulture, $"Z{++_soft}");
        _states.Append($" /{name} << /Type /ExtGState /BM /Multiply /ca {PdfSyntax.Figure(mark.Strength)} /AIS false " +
            $"/SMask << /Type /Mask /S /Luminosity /G {form} 0 R /BC [0] >> >>");
        return name;
    }

    /// <summary>Soft shapes are made at the resolution that pictures are wanted in.</summary>
    private const double PerInchSoft = 300;
    private int _soft;

    public string Shade(Gradient shade)
    {
        // Before the first stop and after the last nothing changes.
        List<(double At, Ink Ink)> stops = [.. shade.Stops];
        if (stops[0].At > 0) stops.Insert(0, (0, stops[0].Ink));
        if (stops[^1].At < 1) stops.Add((1, stops[^1].Ink));
        // A viewer mixes a screen's colours where the press mixes ink: so many steps between two stops leave it nothing
        // to mix.
        if (ink.OnScreen) stops = [.. Stepped(shade, stops)];
        ink.Know([.. stops.Select(s => s.Ink)]);
        string inks(Ink i) => $"[{ink.Numbers(i)}]";
        var parts = stops.Zip(stops.Skip(1)).Where(p => p.Second.At > p.First.At).ToList();
        var functions = string.Join(' ',
            parts.Select(p =>
                $"<< /FunctionType 2 /Domain [0 1] /N 1 /C0 {inks(p.First.Ink)} /C1 {inks(p.Second.Ink)} >>"));
        var function = pdf.Object($"<< /FunctionType 3 /Domain [0 1] /Functions [{functions}] /Bounds " +
            $"[{string.Join(' ', parts.Skip(1).Select(p => PdfSyntax.Figure(p.First.At)))}] /Encode " +
            $"[{string.Join(' ', parts.Select(_ => "0 1"))}] >>");
        var (x0, y0, x1, y1) = (PdfSyntax.Figure(shade.X0), PdfSyntax.Figure(shade.Y0), PdfSyntax.Figure(shade.X1),
            PdfSyntax.Figure(shade.Y1));
        var (fx, fy) = shade.Focus is { } f ? (PdfSyntax.Figure(f.X), PdfSyntax.Figure(f.Y)) : (x0, y0);
        var coords = shade.IsRadial
            ? $"{fx} {fy} 0 {x0} {y0} " +
                $"{PdfSyntax.Figure(double.Hypot(shade.X1 - shade.X0, shade.Y1 - shade.Y0))}"
            : $"{x0} {y0} {x1} {y1}";
        var name = string.Create(CultureInfo.InvariantCulture, $"S{_shades.Count + 1}");
        _shades[name] = pdf.Object($"<< /ShadingType {(shade.IsRadial ? 3 : 2)} /ColorSpace {ink.Space} /Coords " +
            $"[{coords}] /Function {function} 0 R /Extend [true true] >>");
        return name;
    }

    /// <summary>Steps between two stops of a gradient in a screen's colours.</summary>
    private const int Steps = 32;

    private static IEnumerable<(double At, Ink Ink)> Stepped(Gradient shade, List<(double At, Ink Ink)> stops)
    {
        yield return stops[0];
        foreach (var ((from, _), (to, last)) in stops.Zip(stops.Skip(1)))
        {
            for (var i = 1; i < Steps && to > from; i++)
            {
                var at = from + ((to - from) * i / Steps);
                var (c, m, y, k) = shade.At(at);
                yield return (at, new((int)Math.Round(c), (int)Math.Round(m), (int)Math.Round(y), (int)Math.Round(k)));
            }
            yield return (to, last);
        }
    }

    /// <summary>Flattened parts; none where nothing was flattened.</summary>
    public FlatImages? Flats { get; init; }

    /// <summary>Its object's number.</summary>
    public int Number => _number;

    public IReadOnlyList<FlatDrawn> Flat(Plates.FlatPart part) => Flats?.Of(part) ?? [];

    public string Named(int image)
    {
        var name = string.Create(CultureInfo.InvariantCulture, $"I{image}");
        _objects[name] = image;
        return name;
    }

    /// <summary>The colour of all plates at once, for printer's marks alone (8.6.6.4).</summary>
    public string Registration() => Finish("All");

    public string Finish(string name)
    {
        if (_plates.TryGetValue(name, out var known)) return known[..known.IndexOf(' ', StringComparison.Ordinal)];
        var id = string.Create(CultureInfo.InvariantCulture, $"P{_plates.Count + 1}");
        _plates[name] = $"{id} {Plate(name)}";
        return id;
    }

    public string Space(int space)
    {
        var id = string.Create(CultureInfo.InvariantCulture, $"N{space}");
        _plates[id] = $"{id} {space} 0 R";
        return id;
    }

    /// <summary>The colour space of one plate, with what stands for it on a screen.</summary>
    public static string Plate(string name)
    {
        var likeness = name == "All" ? Ink.Percent(100, 100, 100, 100) : Finishes.Likeness(name);
        return $"[/Separation /{PdfSyntax.Name(name)} /DeviceCMYK << /FunctionType 2 /Domain [0 1] /N 1 /C0 [0 0 0 0] " +
            $"/C1 [{PdfSyntax.Inks(likeness)}] >>]";
    }

    /// <summary>Writes the dictionary under which page and groups find all of it.</summary>
    public int Write(string fonts, string more = "")
    {
        static string refs(SortedDictionary<string, int> of) =>
            string.Concat(of.Select(o => $"/{o.Key} {o.Value} 0 R "));
        return pdf.Object(_number,
            $"<< /ExtGState << {_states} >> /XObject << {refs(_objects)}>> /Pattern << {refs(_patterns)}>> /Shading " +
                $"<< {refs(_shades)}>> /ColorSpace << {string.Concat(_plates.Values.Select(p => $"/{p} "))}>> /Font " +
                $"<< {fonts}>> {more}>>");
    }
}
