using Lumbeck.Pdf.Colours;
using Lumbeck.Pdf.Reading;
using Lumbeck.Pdf.Writing;
using Lumbeck.Press.Import.Resources;
using Lumbeck.Press.Import.Parsing;
using Lumbeck.Press.Pdf;

namespace Lumbeck.Press.Import.Rewriting;

/// <summary>
/// What a file from elsewhere has, written once each in a house's inks: pictures, forms, patterns, shadings, faces,
/// settings.
/// </summary>
internal sealed partial class ImportResources
{
    private const int Deepest = 24;

    private readonly PdfWriter _pdf;
    private readonly ObjectCopier _copier;
    private readonly OptionalContent _layers;
    private readonly FontSubstitution _standIns;
    private readonly Dictionary<(PdfRef, string), (PdfRef? Made, bool Transparent)> _once = [];
    private readonly Dictionary<string, PdfRef> _spotsWritten = [];
    private ImportResources? _masks;
    private readonly Dictionary<(bool, bool), PdfRef> _over = [];
    private readonly Dictionary<bool, PdfRef> _mixed = [];

    /// <param name="file">The file.</param>
    /// <param name="pdf">What is written.</param>
    /// <param name="inks">The house's.</param>
    /// <param name="how">How marks are carried over.</param>
    /// <param name="standIns">Faces for those that the file has not.</param>
    public ImportResources(PdfFile file, PdfWriter pdf, PressInks inks, RewriteOptions how, FontSubstitution standIns)
        : this(file, pdf, inks, new ColorSpaceParser(file), how, standIns, new(file), new())
    { }

    private ImportResources(PdfFile file, PdfWriter pdf, PressInks inks, ColorSpaceParser spaces, RewriteOptions how,
        FontSubstitution standIns, OptionalContent layers, ImportCounts report, bool light = false)
    {
        (File, _pdf, Inks, Spaces, _standIns, _layers, Report, Light) = (file, pdf, inks, spaces, standIns, layers,
            report, light);
        _copier = new(file, pdf);
        (How, LeastLine) = (how, how.House.RuleLeast.Points);
        Colours = new(inks, light, (double)how.House.InkLimit / 100, report);
        Pictures = new(file, pdf, _copier, spaces, inks);
        Shadings = new(file, pdf, _copier, spaces, Colours.Many, !light && !inks.BlackAlone);
    }

    public PdfFile File { get; }
    public PressInks Inks { get; }
    public RewriteOptions How { get; }
    public ColorSpaceParser Spaces { get; }
    public ImportedColours Colours { get; }
    public ImportedImages Pictures { get; }
    public Shadings Shadings { get; }
    public ImportCounts Report { get; }

    /// <summary>The thinnest line that the house prints, in points.</summary>
    public double LeastLine { get; }

    /// <summary>Within a mask by lightness: only how light things are counts.</summary>
    public bool Light { get; }

    /// <summary>What is named by a reference is written once, whatever names it.</summary>
    /// <exception cref="PdfReadException">It is drawn within itself.</exception>
    public PdfRef Once(PdfObject? named, string as_, Func<PdfRef> write)
    {
        if (named is not PdfRef r) return write();
        if (_once.TryGetValue((r, as_), out var known))
        {
            // What it is within itself is drawn without an end.
            if (known.Made is null) throw new PdfReadException("a part of it is drawn within itself");
            Report.Transparent |= known.Transparent;
            return known.Made;
        }
        _once[(r, as_)] = (null, false);
        var before = Report.Transparent;
        Report.Transparent = false;
        PdfRef? made = null;
        try { return made = write(); }
        finally
        {
            if (made is not null) _once[(r, as_)] = (made, Report.Transparent);
            else _once.Remove((r, as_));
            Report.Transparent |= before;
        }
    }

    /// <summary>A colour as content sets it.</summary>
    public void Colour(ContentWriter to, ColorSpace space, double[] at, bool fill, ResourceDictionary used)
    {
        if (space is SeparationOrDeviceN { IsSpot: true } met && !Light) Met(met);
        if (space is SeparationOrDeviceN spot && (spot.IsNothing || (spot.IsSpot
            && How.Spots.Contains(spot.Names[0]) && !Light)))
        {
            to.Tint(used.Spot(this, spot), stroke: !fill, at.FirstOrDefault()).Break();
            return;
        }
        Colours.Set(to, space, at, fill);
    }

    private readonly Dictionary<string, Inks> _met = [];

    /// <summary>Whether a name stands for one colour throughout.</summary>
    private void Met(SeparationOrDeviceN spot)
    {
        var full = Inks.Of(spot, [1], false);
        if (!_met.TryAdd(spot.Names[0], full) && _met[spot.Names[0]] != full) Report.SpotsTwice.Add(spot.Names[0]);
    }

    /// <summary>A setting of how what is painted is mixed with what lies under it.</summary>
    public PdfRef Mixed(bool multiplied) => _mixed.TryGetValue(multiplied, out var known) ? known
        : _mixed[multiplied] = _pdf.Object(new PdfDict
        {
            ["Type"] = "ExtGState",
            ["BM"] = multiplied ? "Multiply" : "Normal",
        });

    /// <summary>A setting of what overprints.</summary>
    public PdfRef Over(bool line, bool fill) => _over.TryGetValue((line, fill), out var known) ? known
        : _over[(line, fill)] = _pdf.Object(new PdfDict { ["Type"] = "ExtGState", ["OP"] = line, ["op"] = fill });

    /// <summary>A spot's space, with inks standing for it.</summary>
    public PdfRef Spot(SeparationOrDeviceN spot)
    {
        if (_spotsWritten.TryGetValue(spot.Names[0], out var known)) return known;
        var samples = new byte[256 * 4];
        foreach (var (n, i) in Inks.Many(spot, [.. Enumerable.Range(0, 256).Select(n => (double[])[n / 255.0])]).Index())
            foreach (var (k, share) in i.Numbers.Index())
                samples[(4 * n) + k] = (byte)Math.Round(Math.Clamp(share, 0, 1) * 255);
        var tint = _pdf.Stream(new()
        {
            ["FunctionType"] = 0,
            ["Domain"] = PdfArray.Of(0, 1),
            ["Range"] = PdfArray.Of(0, 1, 0, 1, 0, 1, 0, 1),
            ["BitsPerSample"] = 8,
            ["Size"] = PdfArray.Of(256.0),
        }, samples);
        return _spotsWritten[spot.Names[0]] =
            _pdf.Object(PdfArray.Of("Separation", spot.Names[0], "DeviceCMYK", tint));
    }

    public PdfRef Picture(PdfStream stream, PdfDict? spaces)
    {
        if (File.Get(stream.Dict, "SMask") is PdfStream) Report.Transparent = true;
        return Pictures.Write(stream, spaces, Light);
    }

    private ReadOnlyMemory<byte> Rewritten(PdfStream stream, PdfDict? resources, ResourceDictionary used, bool plain,
        int depth) => new ContentRewriter(this, File.Decode(stream), File.Dict(stream.Dict, "Resources") ?? resources, used,
            plain, depth + 1).Rewritten();

    private static void NotDeeper(int depth)
    {
        if (depth > Deepest) throw new PdfReadException("its parts lie deeper within each other than is read");
    }

    /// <summary>A form with what it names.</summary>
    public PdfRef Form(PdfStream form, PdfDict? resources, bool plain, int depth)
    {
        NotDeeper(depth);
        var (d, used) = (form.Dict, new ResourceDictionary());
        var content = Rewritten(form, resources, used, plain, depth);
        var group = File.Dict(d, "Group") is { } g && File.Name(g, "S") == "Transparency" ? Group(g) : null;
        return _pdf.Stream(PressObjects.Form(Box(d, "BBox"), used.Dict()).Set("Matrix", Copied(d, "Matrix"))
            .Set("Group", group), content);
    }

    private PdfDict Group(PdfDict g)
    {
        bool flag(string key) => File.Get(g, key) is PdfBoolean { Value: true };
        if (flag("I") || flag("K")) Report.Transparent = true;
        return new()
        {
            ["S"] = "Transparency",
            ["CS"] = Light ? "DeviceGray" : "DeviceCMYK",
            ["I"] = flag("I") ? true : null,
            ["K"] = flag("K") ? true : null,
        };
    }

    private PdfArray Box(PdfDict d, string key) =>
        File.Numbers(d, key) is { Length: 4 } b ? PdfArray.Of(b) : PdfArray.Of(0, 0, 1, 1);

    private PdfObject? Copied(PdfDict d, string key) => File.Get(d, key) is { } own ? _copier.Copy(own) : null;

    public PdfRef Pattern(PdfObject? pattern, PdfDict? spaces, PdfDict? resources, int depth)
    {
        NotDeeper(depth);
        var solid = File.Resolve(pattern);
        var d = PdfFile.Dict(solid) ?? throw new PdfReadException("it names a pattern that it has not");
        if (File.Number(d, "PatternType") == 2)
        {
            var shading = Shadings.Write(d["Shading"], spaces);
            return _pdf.Object(new PdfDict
            {
                ["Type"] = "Pattern",
                ["PatternType"] = 2,
                ["Matrix"] = Copied(d, "Matrix"),
                ["Shading"] = shading,
            });
        }
        if (solid is not PdfStream stream) throw new PdfReadException("it names a pattern that it has not");
        var (plain, used) = (File.Number(d, "PaintType") == 2, new ResourceDictionary());
        var content = Rewritten(stream, resources, used, plain, depth);
        return _pdf.Stream(new()
        {
            ["Type"] = "Pattern",
            ["PatternType"] = 1,
            ["PaintType"] = plain ? 2 : 1,
            ["TilingType"] = (int)(File.Number(d, "TilingType") ?? 1),
            ["BBox"] = Box(d, "BBox"),
            ["XStep"] = Copied(d, "XStep"),
            ["YStep"] = Copied(d, "YStep"),
            ["Matrix"] = Copied(d, "Matrix"),
            ["Resources"] = used.Dict(),
        }, content);
    }

    /// <summary>Settings of the page, without those of a device.</summary>
    public PdfRef Graphics(PdfDict d, PdfDict? resources, int depth)
    {
        var s = new PdfDict { ["Type"] = "ExtGState" };
        foreach (var key in (string[])["LW", "LC", "LJ", "ML", "D", "OP", "op", "OPM", "SA", "CA", "ca", "AIS", "TK",
            "BM"])
            s.Set(key, Copied(d, key));
        if (File.Get(d, "Font") is PdfArray { Items: [var face, var size] })
            s.Set("Font", PdfArray.Of(Face(face, depth), _copier.Copy(size)));
        if (File.Number(d, "CA") is < 1 || File.Number(d, "ca") is < 1) Report.Transparent = true;
        if ((File.Get(d, "BM") is PdfArray { Items: [var first, ..] } ? File.Resolve(first) : File.Get(d, "BM")) is
            PdfName { Value: not ("Normal" or "Compatible") })
            Report.Transparent = true;
        switch (File.Get(d, "SMask"))
        {
            case PdfName: s.Set("SMask", "None"); break;
            case PdfDict mask when File.Get(mask, "G") is PdfStream form: s.Set("SMask", Mask(mask, form, resources, depth)); break;
        }
        return _pdf.Object(s);
    }

    private PdfDict Mask(PdfDict mask, PdfStream form, PdfDict? resources, int depth)
    {
        Report.Transparent = true;
        var light = File.Name(mask, "S") == "Luminosity";
        // How light it is says what shows: colours within are kept as light as they were.
        var within = light ? _masks ??= new(File, _pdf, Inks, Spaces, How, _standIns, _layers, Report, light: true) : this;
        var group = within.Once(mask["G"], "form", () => within.Form(form, resources, false, depth));
        return new()
        {
            ["S"] = light ? "Luminosity" : "Alpha",
            ["G"] = group,
            ["BC"] = light && File.Numbers(mask, "BC") is { } bc ? PdfArray.Of(ImportedColours.Lightness(bc)) : null,
            ["TR"] = Copied(mask, "TR"),
        };
    }

    /// <summary>Whether a layer is not printed.</summary>
    public bool IsHidden(PdfObject? layer) => _layers.IsHidden(layer);
}
