using Lumbeck.Press.Import.Parsing;
using Lumbeck.Press.Pdf;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Press.Import.Resources;

/// <summary>
/// Shadings of all seven types (ISO 32000-1, 8.7.4.5) in a house's inks: what says a colour by a function has one of
/// inks, sampled finely; the corners of meshes have inks in place of colours.
/// </summary>
internal sealed class Shadings(SourceFile file, PdfWriter pdf, ObjectCopier copier, ColorSpaceParser spaces,
    Func<ColorSpace,
    IReadOnlyList<double[]>, bool, IReadOnlyList<Inks>> inks,
    bool keeps)
{
    private const int Fine = 512, FineAcross = 48;

    /// <summary>Writes a shading; returns its object.</summary>
    /// <param name="token">As it is written.</param>
    /// <param name="named">The page's own spaces.</param>
    /// <exception cref="Refusal">It can't be read.</exception>
    public int Write(IToken? token, DictionaryToken? named)
    {
        var solid = file.Resolve(token);
        var d = SourceFile.Dictionary(solid) ?? throw No();
        var space = spaces.Read(SourceFile.Raw(d, "ColorSpace"), named);
        if (space is SeparationOrDeviceN { IsNothing: true }) return pdf.Object(Nothing);
        var kind = (int)(file.Number(d, "ShadingType") ?? 0);
        var background = file.Numbers(d, "Background") is { } b ? $"/Background [{inks(space, [b], true)[0]}] " : "";
        string common(string entries) => $"/ShadingType {kind} /ColorSpace /DeviceCMYK {background}{entries}" +
            string.Concat(((string[])["BBox", "AntiAlias", "Coords", "Extend", "Matrix"]).Where(k => file.Get(d,
                k) is not null)
                .Select(k => $"/{k} {copier.Write(file.Get(d, k))} "));
        var function = file.Get(d, "Function") is { } f ? Function.Read(file, f) : null;
        switch (kind)
        {
            case 1 when function is not null:
                var plane = file.Numbers(d, "Domain") is { Length: 4 } four ? four : [0, 1, 0, 1];
                return pdf.Object($"<< {common("")}/Domain [{PdfSyntax.Figures(plane)}] /Function " +
                    $"{Sampled(function, space, plane, FineAcross)} 0 R >>");
            case 2 or 3 when function is not null:
                var line = file.Numbers(d, "Domain") is { Length: 2 } two ? two : [0, 1];
                return pdf.Object($"<< {common("")}/Domain [{PdfSyntax.Figures(line)}] /Function " +
                    $"{Sampled(function, space, line, Fine)} 0 R >>");
            case >= 4 and <= 7 when solid is StreamToken mesh:
                return Mesh(mesh, kind, space, function, common);
            default:
                throw No();
        }
    }

    /// <summary>What begins where it ends paints nothing (8.7.4.5.3): so does what is on no plate.</summary>
    private const string Nothing = "<< /ShadingType 2 /ColorSpace /DeviceGray /Coords [0 0 0 0] " +
        "/Function << /FunctionType 2 /Domain [0 1] /N 1 /C0 [1] /C1 [1] >> >>";

    private static Refusal No() => new("file", "it holds a shading that can’t be read");

    /// <summary>A function whose figures are inks, by samples of sixteen bits.</summary>
    private int Sampled(Function function, ColorSpace space, double[] domain, int fine)
    {
        var across = domain.Length / 2;
        var count = across == 1 ? fine : fine * fine;
        var points = Enumerable.Range(0, count).Select(n =>
        {
            double at(int k, int i) => domain[2 * k] + ((domain[(2 * k) + 1] - domain[2 * k]) * i / (fine - 1));
            return function.Evaluate(across == 1 ? [at(0, n)] : [at(0, n % fine), at(1, n / fine)]);
        }).ToList();
        // From gray to gray it stays on the black plate.
        var gray = space is RgbColorSpace && points.All(c => c.Length > 2 && c[0] == c[1] && c[1] == c[2]);
        var samples = new byte[count * 8];
        foreach (var (n, ink) in inks(space, points, gray).Index()) Put(samples, 8 * n, ink);
        return pdf.Stream($"/FunctionType 0 /Domain [{PdfSyntax.Figures(domain)}] /Range [0 1 0 1 0 1 0 1] /BitsPerSample 16 " +
            $"/Size [{(across == 1 ? $"{fine}" : $"{fine} {fine}")}]", s => s.Write(samples));
    }

    private static void Put(byte[] to, int at, Inks i)
    {
        foreach (var (n, share) in new[] { i.C, i.M, i.Y, i.K }.Index())
        {
            var level = (ushort)Math.Round(Math.Clamp(share, 0, 1) * 65535);
            (to[at + (2 * n)], to[at + (2 * n) + 1]) = ((byte)(level >> 8), (byte)level);
        }
    }

    private int Mesh(StreamToken mesh, int kind, ColorSpace space, Function? function, Func<string, string> common)
    {
        var d = mesh.StreamDictionary;
        int of(string key) => (int)(file.Number(d, key) ?? 0);
        var (place, colour, flag) = (of("BitsPerCoordinate"), of("BitsPerComponent"), of("BitsPerFlag"));
        if (place is < 1 or > 32 || colour is < 1 or > 16 || flag is < 0 or > 8
            || file.Numbers(d, "Decode") is not { Length: >= 6 } decode)
            throw No();
        var row = kind == 5 ? $"/VerticesPerRow {of("VerticesPerRow")} " : $"/BitsPerFlag {flag} ";
        var places = $"/BitsPerCoordinate {place} {row}";
        if (function is not null)
        {
            var by = Sampled(function, space, [decode[4], decode[5]], Fine);
            return pdf.Stream(pdf.Reserve(), common(places)
                + $"/BitsPerComponent {colour} /Decode [{PdfSyntax.Figures(decode)}] /Function {by} 0 R " +
                copier.Packing(mesh), s => s.Write(mesh.Data.Span), compress: false);
        }
        if (keeps && space is CmykColorSpace)
            return pdf.Stream(pdf.Reserve(), common(places) + $"/BitsPerComponent {colour} /Decode [{PdfSyntax.Figures(decode)}] " +
                copier.Packing(mesh), s => s.Write(mesh.Data.Span), compress: false);
        return Triangles(mesh, new(kind, place, colour, flag, of("VerticesPerRow"), decode), space, common);
    }

    /// <summary>Triangles so fine that it makes no difference in which space a colour runs within them.</summary>
    private int Triangles(StreamToken mesh, MeshShadings.Written written, ColorSpace space, Func<string, string> common)
    {
        if (written.Kind == 5 && written.Row < 2) throw No();
        var corners = MeshShadings.Fine(file.Decode(mesh), written, space.Components, file.Decoder.Cancel);
        var colours = inks(space, [.. corners.Select(c => c.C)], false);
        var d = written.Decode;
        var made = new byte[corners.Count * 17];
        for (var n = 0; n < corners.Count; n++)
        {
            var at = (17 * n) + 1;
            foreach (var (k, v) in new[] { corners[n].X, corners[n].Y }.Index())
            {
                var share = d[(2 * k) + 1] == d[2 * k] ? 0 : (v - d[2 * k]) / (d[(2 * k) + 1] - d[2 * k]);
                System.Buffers.Binary.BinaryPrimitives.WriteUInt32BigEndian(made.AsSpan(at + (4 * k)),
                    (uint)Math.Round(Math.Clamp(share, 0, 1) * uint.MaxValue));
            }
            Put(made, at + 8, colours[n]);
        }
        return pdf.Stream(common("").Replace($"/ShadingType {written.Kind} ", "/ShadingType 4 ", StringComparison.Ordinal) +
            $"/BitsPerCoordinate 32 /BitsPerFlag 8 /BitsPerComponent 16 /Decode [{PdfSyntax.Figures(d.AsSpan(..4))} 0 1 0 1 0 1 0 1]",
                s => s.Write(made));
    }
}
