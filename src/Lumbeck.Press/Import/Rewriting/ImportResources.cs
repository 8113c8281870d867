using System.Text;
using Lumbeck.Press.Import.Resources;
using Lumbeck.Press.Import.Parsing;
using Lumbeck.Press.Pdf;
using UglyToad.PdfPig.Core;
using UglyToad.PdfPig.Tokens;

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
    private readonly double _inkLimit;
    private readonly Dictionary<(IndirectReference, string), (int Number, bool Transparent)> _once = [];
    private readonly Dictionary<string, int> _spotsWritten = [];
    private readonly Dictionary<string, string> _said = [];
    private ImportResources? _masks;
    private readonly Dictionary<(bool, bool), int> _over = [];

    /// <param name="file">The file.</param>
    /// <param name="pdf">What is written.</param>
    /// <param name="inks">The house's.</param>
    /// <param name="aside">A folder for what is kept while it is mended.</param>
    /// <param name="how">How marks are carried over.</param>
    /// <param name="standIns">Faces for those that the file has not.</param>
    public ImportResources(SourceFile file, PdfWriter pdf, PressInks inks, string aside, RewriteOptions how,
        FontSubstitution standIns)
        : this(file, pdf, inks, new ColorSpaceParser(file, aside), how, standIns, new(file), new())
    { }

    private ImportResources(SourceFile file, PdfWriter pdf, PressInks inks, ColorSpaceParser spaces, RewriteOptions how,
        FontSubstitution standIns,
        OptionalContent layers, ImportCounts report, bool light = false)
    {
        (File, _pdf, Inks, Spaces, _standIns, _layers, Report, Light) = (file, pdf, inks, spaces, standIns, layers,
            report, light);
        _copier = new(file, pdf);
        (How, _inkLimit, LeastLine) = (how, (double)how.House.InkLimit / 100, how.House.RuleLeast.Points);
        Pictures = new(file, pdf, _copier, spaces, inks);
        Shadings = new(file, pdf, _copier, spaces, (space, all, alone) => [.. space.Many(inks, all, alone)
            .Select(Shown)], !light && !inks.BlackAlone);
    }

    public SourceFile File { get; }
    public PressInks Inks { get; }
    public RewriteOptions How { get; }
    public ColorSpaceParser Spaces { get; }
    public ImportedImages Pictures { get; }
    public Shadings Shadings { get; }
    public ImportCounts Report { get; }

    /// <summary>The thinnest line that the house prints, in points.</summary>
    public double LeastLine { get; }

    /// <summary>Within a mask by lightness: only how light things are counts.</summary>
    public bool Light { get; }

    /// <summary>What is named by a reference is written once, whatever names it.</summary>
    public int Once(IToken? token, string as_, Func<int> write)
    {
        if (token is not IndirectReferenceToken r) return write();
        if (_once.TryGetValue((r.Data, as_), out var known))
        {
            // What it is within itself is drawn without an end.
            if (known.Number < 0) throw new Refusal("file", "a part of it is drawn within itself");
            Report.Transparent |= known.Transparent;
            return known.Number;
        }
        _once[(r.Data, as_)] = (-1, false);
        var before = Report.Transparent;
        Report.Transparent = false;
        int? number = null;
        try { return (number = write()).Value; }
        finally
        {
            if (number is { } made) _once[(r.Data, as_)] = (made, Report.Transparent);
            else _once.Remove((r.Data, as_));
            Report.Transparent |= before;
        }
    }

    /// <summary>Inks as content sets them.</summary>
    public string Said(ColorSpace space, double[] at, bool fill, ResourceDictionary used)
    {
        if (space is SeparationOrDeviceN { IsSpot: true } met && !Light) Met(met);
        if (space is SeparationOrDeviceN spot && (spot.IsNothing || (spot.IsSpot
            && How.Spots.Contains(spot.Names[0]) && !Light)))
            return $"/{used.Spot(this, spot)} {(fill ? "cs" : "CS")} {PdfSyntax.Figure(at.FirstOrDefault())} " +
                $"{(fill ? "scn" : "SCN")}\n";
        if (!space.IsInk && space is not PatternColorSpace) Report.Colours++;
        if (space is RgbColorSpace or LabColorSpace) Report.ByLight++;
        if (space is SeparationOrDeviceN { IsSpot: true } lost) Report.LostSpots.Add(lost.Names[0]);
        var key = $"{space} {string.Join(' ', at)} {fill}";
        return _said.TryGetValue(key, out var known) ? known : _said[key] = Operator(space, at, fill);
    }

    private readonly Dictionary<string, Inks> _met = [];

    /// <summary>Whether a name stands for one colour throughout.</summary>
    private void Met(SeparationOrDeviceN spot)
    {
        var full = spot.Of(Inks, [1], false);
        if (!_met.TryAdd(spot.Names[0], full) && _met[spot.Names[0]] != full) Report.SpotsTwice.Add(spot.Names[0]);
    }

    /// <summary>A setting of how what is painted is mixed with what lies under it.</summary>
    public int Mixed(bool multiplied) => _mixed.TryGetValue(multiplied, out var known) ? known
        : _mixed[multiplied] = _pdf.Object($"<< /Type /ExtGState /BM /{(multiplied ? "Multiply" : "Normal")} >>");

    private readonly Dictionary<bool, int> _mixed = [];

    private string Operator(ColorSpace space, double[] at, bool fill)
    {
        if (Light || Inks.BlackAlone || space is GrayColorSpace)
            return $"{PdfSyntax.Figure(Light ? Lightness(space, at) : 1 - space.Of(Inks, at).K)} {(fill ? "g" : "G")}\n";
        return $"{Limited(space.Of(Inks, at))} {(fill ? "k" : "K")}\n";
    }

    /// <summary>As figures before a pattern's name.</summary>
    public string InInks(ColorSpace space, double[] at) => Light || Inks.BlackAlone
        ? PdfSyntax.Figure(Light ? Lightness(space, at) : 1 - space.Of(Inks, at).K)
        : Limited(space.Of(Inks, at)).ToString();

    /// <summary>No more ink than dries: the colours give way before the black does.</summary>
    private Inks Limited(Inks i)
    {
        var over = i.C + i.M + i.Y + i.K - _inkLimit;
        if (over <= 0.0005 || _inkLimit <= 1) return i;
        Report.TooMuchInk++;
        var share = Math.Max(0, (_inkLimit - i.K) / (i.C + i.M + i.Y));
        return new(i.C * share, i.M * share, i.Y * share, i.K);
    }

    private Inks Shown(Inks inks) => Light ? Parsing.Inks.Black(Math.Min(1, (0.3 * inks.C) + (0.59 * inks.M)
        + (0.11 * inks.Y) + inks.K)) : inks;

    private double Lightness(ColorSpace space, double[] at) => space switch
    {
        RgbColorSpace when at.Length > 2 => (0.3 * at[0]) + (0.59 * at[1]) + (0.11 * at[2]),
        GrayColorSpace => at.FirstOrDefault(),
        _ => 1 - Shown(space.Of(Inks, at, false)).K,
    };

    /// <summary>A black of several inks: nearly all of the black, and some of each of the others.</summary>
    public bool IsRichBlack(double[] at) => !Light && at is [var c, var m, var y,
        >= 0.85] && c > 0.05 && m > 0.05 && y > 0.05
        && Math.Max(c, Math.Max(m, y)) - Math.Min(c, Math.Min(m, y)) < 0.4;

    /// <summary>A setting of what overprints.</summary>
    public int Over(bool line, bool fill)
    {
        static string said(bool on) => on ? "true" : "false";
        return _over.TryGetValue((line, fill), out var known) ? known
            : _over[(line, fill)] = _pdf.Object($"<< /Type /ExtGState /OP {said(line)} /op {said(fill)} >>");
    }

    /// <summary>A spot's space, with inks standing for it.</summary>
    public int Spot(SeparationOrDeviceN spot)
    {
        if (_spotsWritten.TryGetValue(spot.Names[0], out var known)) return known;
        var samples = new byte[256 * 4];
        foreach (var (n, i) in spot.Many(Inks, [.. Enumerable.Range(0,
            256).Select(n => (double[])[n / 255.0])]).Index())
        {
            foreach (var (k, share) in new[] { i.C, i.M, i.Y, i.K }.Index()) samples[(4 * n)
                + k] = (byte)Math.Round(Math.Clamp(share, 0, 1) * 255);
        }
        var tint = _pdf.Stream("/FunctionType 0 /Domain [0 1] /Range [0 1 0 1 0 1 0 1] /BitsPerSample 8 /Size [256]",
            s => s.Write(samples));
        return _spotsWritten[spot.Names[0]] =
            _pdf.Object($"[/Separation /{PdfSyntax.Name(spot.Names[0])} /DeviceCMYK {tint} 0 R]");
    }

    public int Picture(StreamToken stream, DictionaryToken? spaces)
    {
        if (File.Get(stream.StreamDictionary, "SMask") is StreamToken) Report.Transparent = true;
        return Pictures.Write(stream, spaces, Light);
    }

    /// <summary>A form with what it names.</summary>
    public int Form(StreamToken form, DictionaryToken? resources, bool plain, int depth)
    {
        if (depth > Deepest) throw new Refusal("file", "its parts lie deeper within each other than is read");
        var d = form.StreamDictionary;
        var used = new ResourceDictionary();
        var content = new ContentRewriter(this, File.Decode(form), File.Dictionary(d, "Resources") ?? resources, used,
            plain, depth + 1).Rewritten();
        var group = File.Dictionary(d, "Group") is { } g && File.Name(g, "S") == "Transparency" ? Group(g) : "";
        return _pdf.Stream($"/Type /XObject /Subtype /Form /BBox {Box(d, "BBox")} " +
            $"{Copied(d, "Matrix")}{group}/Resources {used}",
            s => s.Write(content));
    }

    private string Group(DictionaryToken g)
    {
        string flag(string key) => File.Get(g, key) is BooleanToken { Data: true } ? $"/{key} true " : "";
        if (flag("I").Length + flag("K").Length > 0) Report.Transparent = true;
        return $"/Group << /S /Transparency /CS {(Light ? "/DeviceGray" : "/DeviceCMYK")} {flag("I")}{flag("K")}>> ";
    }

    private string Box(DictionaryToken d, string key) => File.Numbers(d, key) is { Length: 4 } b
        ? $"[{string.Join(' ', b.Select(PdfSyntax.Figure))}]" : "[0 0 1 1]";

    private string Copied(DictionaryToken d, string key) => File.Get(d, key) is { } own
        ? $"/{key} {_copier.Write(own)} " : "";

    public int Pattern(IToken? token, DictionaryToken? spaces, DictionaryToken? resources, int depth)
    {
        if (depth > Deepest) throw new Refusal("file", "its parts lie deeper within each other than is read");
        var solid = File.Resolve(token);
        var d = SourceFile.Dictionary(solid) ?? throw new Refusal("file", "it names a pattern that it has not");
        if (File.Number(d, "PatternType") == 2)
        {
            var shading = Shadings.Write(SourceFile.Raw(d, "Shading"), spaces);
            return _pdf.Object($"<< /Type /Pattern /PatternType 2 {Copied(d, "Matrix")}/Shading {shading} 0 R >>");
        }
        if (solid is not StreamToken stream) throw new Refusal("file", "it names a pattern that it has not");
        var (plain, used) = (File.Number(d, "PaintType") == 2, new ResourceDictionary());
        var content = new ContentRewriter(this, File.Decode(stream), File.Dictionary(d, "Resources") ?? resources, used,
            plain, depth + 1).Rewritten();
        return _pdf.Stream($"/Type /Pattern /PatternType 1 /PaintType {(plain ? 2 : 1)} /TilingType " +
            $"{(int)(File.Number(d, "TilingType") ?? 1)} " +
            $"/BBox {Box(d, "BBox")} {Copied(d, "XStep")}{Copied(d, "YStep")}{Copied(d, "Matrix")}/Resources {used}",
                s => s.Write(content));
    }

    /// <summary>Settings of the page, without those of a device.</summary>
    public int Graphics(DictionaryToken d, DictionaryToken? resources, int depth)
    {
        var s = new StringBuilder("<< /Type /ExtGState ");
        foreach (var key in (string[])["LW", "LC", "LJ", "ML", "D", "OP", "op", "OPM", "SA", "CA", "ca", "AIS", "TK",
            "BM"])
            s.Append(Copied(d, key));
        if (File.Get(d, "Font") is ArrayToken
            {
                Data: [var face,
            var size]
            }) s.Append($"/Font [{Face(face, depth)} 0 R {_copier.Write(size)}] ");
        if (File.Number(d, "CA") is < 1 || File.Number(d, "ca") is < 1) Report.Transparent = true;
        if ((File.Get(d, "BM") is ArrayToken { Data: [var first, ..] } ? File.Resolve(first) : File.Get(d,
            "BM")) is NameToken blend
            && blend.Data is not ("Normal" or "Compatible"))
            Report.Transparent = true;
        switch (File.Get(d, "SMask"))
        {
            case NameToken: s.Append("/SMask /None "); break;
            case DictionaryToken mask when File.Get(mask, "G") is StreamToken form:
                Report.Transparent = true;
                var light = File.Name(mask, "S") == "Luminosity";
                // How light it is says what shows: colours within are kept as light as they were.
                var within = light ? _masks ??= new(File, _pdf, Inks, Spaces, How, _standIns, _layers, Report,
                    light: true) : this;
                var group = within.Once(SourceFile.Raw(mask, "G"), "form", () => within.Form(form, resources, false,
                    depth));
                var back = light && File.Numbers(mask, "BC") is { } bc ? $"/BC [{PdfSyntax.Figure(bc.Length switch
                {
                    1 => bc[0],
                    3 => (0.3 * bc[0]) + (0.59 * bc[1]) + (0.11 * bc[2]),
                    4 => 1 - Math.Min(1, (0.3 * bc[0]) + (0.59 * bc[1]) + (0.11 * bc[2]) + bc[3]),
                    _ => 0,
                })}] " : "";
                s.Append($"/SMask << /S /{(light ? "Luminosity" : "Alpha")} /G {group} 0 R {back}{Copied(mask, "TR")}>> ");
                break;
        }
        return _pdf.Object(s.Append(">>").ToString());
    }

    /// <summary>Whether a layer is not printed.</summary>
    public bool IsHidden(IToken? layer) => _layers.IsHidden(layer);
}
