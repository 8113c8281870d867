using Lumbeck.Pdf.Writing;

namespace Lumbeck.Press.Pdf;

/// <summary>What a page's content asks for by name (ISO 32000-1, 7.8.3).</summary>
internal interface IPageResources
{
    EmbeddedFont Face(FaceId id);

    /// <summary>
    /// Marks that are mixed as one, with what they are mixed by (11.6.6): the drawn item's blend, or its opacity alone.
    /// </summary>
    string Mix(ContentWriter marks, DrawnItem drawn, bool plainly);

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
    string Space(PdfRef space);

    /// <summary>A flattened part's rectangles, in the order they are drawn in.</summary>
    IReadOnlyList<FlatDrawn> Flat(Plates.FlatPart part);

    /// <summary>An image that is in the file already.</summary>
    string Named(PdfRef image);

    /// <summary>Marks that are drawn in several places, as a form that the file holds once.</summary>
    /// <param name="mark">The marks.</param>
    /// <param name="content">Draws them in their own coordinates, where the file has none of it.</param>
    string Symbol(RepeatedMark mark, Func<ContentWriter> content);
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
    public static PdfDict Overprinting()
    {
        static PdfDict state(bool on) =>
            new() { ["Type"] = "ExtGState", ["OP"] = on, ["op"] = on, ["OPM"] = 1 };
        return new() { ["Gk"] = state(false), ["Go"] = state(true) };
    }

    private readonly PdfRef _reference = pdf.Reserve();
    private readonly PdfDict _states = Overprinting();
    private readonly SortedDictionary<string, PdfObject> _objects = new(StringComparer.Ordinal),
        _patterns = new(StringComparer.Ordinal), _shades = new(StringComparer.Ordinal),
        _spaces = new(StringComparer.Ordinal);
    private readonly Dictionary<string, string> _plates = new(StringComparer.Ordinal);
    private int _mixed, _soft;

    /// <summary>
    /// Whether anything lets through what lies under it, so that the page is composed in its own colours.
    /// </summary>
    public bool Mixes { get; set; }

    public EmbeddedFont Face(FaceId id) => faces(id);

    public string Mix(ContentWriter marks, DrawnItem drawn, bool plainly)
    {
        Mixes = true;
        var name = string.Create(CultureInfo.InvariantCulture, $"X{++_mixed}");
        // What multiplies or screens stands by itself until it is whole (11.4.5); what is laid plainly sees what lies
        // under it, so that it can overprint that.
        _objects[name] = pdf.Stream(PressObjects.Form(media.AsRectangle(), _reference)
            .Set("Group", PressObjects.InkGroup().Set("I", plainly ? null : true)), marks.Written);
        _states.Set(name + "g", new PdfDict
        {
            ["Type"] = "ExtGState",
            ["ca"] = drawn.Opacity,
            ["CA"] = drawn.Opacity,
            ["BM"] = (plainly ? Blend.Normal : drawn.Blend).ToString(),
            ["AIS"] = false,
        });
        return name;
    }

    public string? Picture(PictureMark mark, double points) =>
        images.Of(mark.Picture, points, mark.Convert, mark.Strength) is { } image
            ? Image(OnPlate(mark, image), mark.Picture) : null;

    public string? Grown(GrownMark mark) =>
        images.Of(mark) is { } image ? Image(OnPlate(mark, image), mark.Picture) : null;

    private string Image(PdfRef image, Picture picture)
    {
        Mixes |= !picture.Opaque || images.Lets(image);
        return Named(image);
    }

    /// <summary>A picture in its own inks, or as far as it hides a finishing ink's plate.</summary>
    private PdfRef OnPlate(Mark mark, PdfRef picture) =>
        mark.Finish is { } finish ? images.OnPlate(picture, finish.Name, finish.Tint) : picture;

    public string? Tiles(TilesMark mark, Affine cell, double points)
    {
        if (images.Of(mark.Picture, points, mark.Convert) is not { } picture) return null;
        var image = OnPlate(mark, picture);
        Mixes |= !mark.Picture.Opaque || images.Lets(picture);
        var (across, down, tiles) = TilingPattern.Of(mark.Tiling);
        // A pattern's own space is the tile's unit square, y down; its matrix leads to the page (8.7.3.1).
        var content = new ContentWriter();
        foreach (var tile in tiles)
        {
            content.Save();
            PdfPainter.Placed(content, "I", tile).Restore().Break();
        }
        return Pattern(pdf.Stream(new()
        {
            ["Type"] = "Pattern",
            ["PatternType"] = 1,
            ["PaintType"] = 1,
            ["TilingType"] = 1,
            ["BBox"] = PdfArray.Of(0, 0, across, down),
            ["XStep"] = across,
            ["YStep"] = down,
            ["Matrix"] = cell.AsMatrix().ToArray(4),
            ["Resources"] = PressObjects.Resource("XObject", "I", image),
        }, content.Written));
    }

    private string Pattern(PdfRef pattern)
    {
        var name = string.Create(CultureInfo.InvariantCulture, $"T{_patterns.Count + 1}");
        _patterns[name] = pattern;
        return name;
    }

    public string ShadePattern(Gradient shade)
    {
        var shading = _shades[Shade(shade)];
        return Pattern(pdf.Object(new PdfDict
        {
            ["Type"] = "Pattern",
            ["PatternType"] = 2,
            ["Matrix"] = shade.Transform == Affine.Identity ? null : shade.Transform.AsMatrix().ToArray(),
            ["Shading"] = shading,
        }));
    }

    public string Symbol(RepeatedMark mark, Func<ContentWriter> content) => Named(symbols.Of(mark, content,
        mark.Finish is not { } finish ? null : new PdfDict { [Finish(finish.Name)] = Plate(finish.Name) }));

    public string Soft(BlurredMark mark, Affine toPage)
    {
        Mixes = true;
        var (wide, high, cover) = Plates.GaussianBlur.Of(mark, PerInchSoft);
        var b = mark.Bounds;
        var image = pdf.Stream(PressObjects.Image(wide, high).Set("ColorSpace", "DeviceGray"), cover);
        var place = new Affine(b.Right - b.Left, 0, 0, b.Bottom - b.Top, b.Left, b.Top).Then(toPage);
        var form = pdf.Stream(PressObjects.Form(toPage.Of(b).AsRectangle(), PressObjects.Resource("XObject", "I", image))
            .Set("Group", new PdfDict { ["S"] = "Transparency", ["CS"] = "DeviceGray", ["I"] = true }),
            PdfPainter.Placed(new(), "I", place).Written);
        var name = string.Create(CultureInfo.InvariantCulture, $"Z{++_soft}");
        _states.Set(name, new PdfDict
        {
            ["Type"] = "ExtGState",
            ["BM"] = "Multiply",
            ["ca"] = mark.Strength,
            ["AIS"] = false,
            ["SMask"] = new PdfDict
            {
                ["Type"] = "Mask",
                ["S"] = "Luminosity",
                ["G"] = form,
                ["BC"] = PdfArray.Of(0.0),
            },
        });
        return name;
    }

    /// <summary>Soft shapes are made at the resolution that pictures are wanted in.</summary>
    private const double PerInchSoft = 300;

    public string Shade(Gradient shade)
    {
        var name = string.Create(CultureInfo.InvariantCulture, $"S{_shades.Count + 1}");
        _shades[name] = GradientShading.Write(pdf, shade, ink);
        return name;
    }

    /// <summary>Flattened parts; none where nothing was flattened.</summary>
    public FlatImages? Flats { get; init; }

    /// <summary>Where its dictionary is, once it is written.</summary>
    public PdfRef Reference => _reference;

    public IReadOnlyList<FlatDrawn> Flat(Plates.FlatPart part) => Flats?.Of(part) ?? [];

    public string Named(PdfRef image)
    {
        var name = string.Create(CultureInfo.InvariantCulture, $"I{image.Number}");
        _objects[name] = image;
        return name;
    }

    /// <summary>The colour of all plates at once, for printer's marks alone (8.6.6.4).</summary>
    public string Registration() => Finish("All");

    public string Finish(string name)
    {
        if (_plates.TryGetValue(name, out var known)) return known;
        var id = string.Create(CultureInfo.InvariantCulture, $"P{_spaces.Count + 1}");
        _spaces[id] = Plate(name);
        return _plates[name] = id;
    }

    public string Space(PdfRef space)
    {
        var id = string.Create(CultureInfo.InvariantCulture, $"N{space.Number}");
        _spaces[id] = space;
        return id;
    }

    /// <summary>The colour space of one plate, with what stands for it on a screen.</summary>
    public static PdfArray Plate(string name)
    {
        var likeness = name == "All" ? Ink.Percent(100, 100, 100, 100) : Finishes.Likeness(name);
        return PdfArray.Of("Separation", name, "DeviceCMYK",
            PressObjects.Ramp([0, 0, 0, 0], PressObjects.Shares(likeness)));
    }

    /// <summary>Writes the dictionary under which page and groups find all of it.</summary>
    /// <param name="fonts">Its fonts by name.</param>
    /// <param name="properties">What marked content names (14.6.2); null for none.</param>
    public PdfRef Write(PdfDict fonts, PdfDict? properties = null) => pdf.Object(_reference, new PdfDict
    {
        ["ExtGState"] = _states,
        ["XObject"] = new PdfDict(_objects),
        ["Pattern"] = new PdfDict(_patterns),
        ["Shading"] = new PdfDict(_shades),
        ["ColorSpace"] = new PdfDict(_spaces),
        ["Font"] = fonts,
        ["Properties"] = properties,
    });
}
