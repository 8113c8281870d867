using Lumbeck.Pdf.Colours;
using Lumbeck.Pdf.Functions;
using Lumbeck.Pdf.Reading;
using Lumbeck.Pdf.Shadings;
using Lumbeck.Press.Import.Parsing;
using Lumbeck.Pdf.Writing;

namespace Lumbeck.Press.Import.Resources;

/// <summary>
/// Shadings of all seven types (ISO 32000-1, 8.7.4.5) in a house's inks: what says a colour by a function has one of
/// inks, sampled finely; the corners of meshes have inks in place of colours.
/// </summary>
internal sealed class Shadings(PdfFile file, PdfWriter pdf, ObjectCopier copier, ColorSpaceParser spaces,
    Func<ColorSpace,
    IReadOnlyList<double[]>, bool, IReadOnlyList<Inks>> inks,
    bool keeps)
{
    private const int Fine = 512, FineAcross = 48;

    /// <summary>Writes a shading; returns its object.</summary>
    /// <param name="token">As it is written.</param>
    /// <param name="named">The page's own spaces.</param>
    /// <exception cref="PdfReadException">It can't be read.</exception>
    public PdfRef Write(PdfObject? token, PdfDict? named)
    {
        var solid = file.Resolve(token);
        var d = PdfFile.Dict(solid) ?? throw No();
        var space = spaces.Read(d["ColorSpace"], named);
        if (space is SeparationOrDeviceN { IsNothing: true }) return pdf.Object(Nothing());
        var kind = (int)(file.Number(d, "ShadingType") ?? 0);
        var common = new PdfDict
        {
            ["ShadingType"] = kind,
            ["ColorSpace"] = "DeviceCMYK",
            ["Background"] = file.Numbers(d, "Background") is { } b ? PdfArray.Of(inks(space, [b], true)[0].Numbers) : null,
        };
        foreach (var key in (string[])["BBox", "AntiAlias", "Coords", "Extend", "Matrix"])
            if (file.Get(d, key) is { } own) common.Set(key, copier.Copy(own));
        var function = file.Get(d, "Function") is { } f ? Function.Read(file, f) : null;
        switch (kind)
        {
            case 1 when function is not null:
                var plane = file.Numbers(d, "Domain") is { Length: 4 } four ? four : [0, 1, 0, 1];
                return pdf.Object(common.Set("Domain", PdfArray.Of(plane))
                    .Set("Function", Sampled(function, space, plane, FineAcross)));
            case 2 or 3 when function is not null:
                var line = file.Numbers(d, "Domain") is { Length: 2 } two ? two : [0, 1];
                return pdf.Object(common.Set("Domain", PdfArray.Of(line))
                    .Set("Function", Sampled(function, space, line, Fine)));
            case >= 4 and <= 7 when solid is PdfStream mesh:
                return Mesh(mesh, kind, space, function, common);
            default:
                throw No();
        }
    }

    /// <summary>What begins where it ends paints nothing (8.7.4.5.3): so does what is on no plate.</summary>
    private static PdfDict Nothing() => new()
    {
        ["ShadingType"] = 2,
        ["ColorSpace"] = "DeviceGray",
        ["Coords"] = PdfArray.Of(0, 0, 0, 0),
        ["Function"] = Press.Pdf.PressObjects.Ramp([1], [1]),
    };

    private static PdfReadException No() => new("it holds a shading that can’t be read");

    /// <summary>A function whose figures are inks, by samples of sixteen bits.</summary>
    private PdfRef Sampled(Function function, ColorSpace space, double[] domain, int fine)
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
        return pdf.Stream(new()
        {
            ["FunctionType"] = 0,
            ["Domain"] = PdfArray.Of(domain),
            ["Range"] = PdfArray.Of(0, 1, 0, 1, 0, 1, 0, 1),
            ["BitsPerSample"] = 16,
            ["Size"] = across == 1 ? PdfArray.Of((double)fine) : PdfArray.Of(fine, fine),
        }, samples);
    }

    private static void Put(byte[] to, int at, Inks i)
    {
        foreach (var (n, share) in new[] { i.C, i.M, i.Y, i.K }.Index())
        {
            var level = (ushort)Math.Round(Math.Clamp(share, 0, 1) * 65535);
            (to[at + (2 * n)], to[at + (2 * n) + 1]) = ((byte)(level >> 8), (byte)level);
        }
    }

    private PdfRef Mesh(PdfStream mesh, int kind, ColorSpace space, Function? function, PdfDict common)
    {
        var d = mesh.Dict;
        int of(string key) => (int)(file.Number(d, key) ?? 0);
        var (place, colour, flag) = (of("BitsPerCoordinate"), of("BitsPerComponent"), of("BitsPerFlag"));
        if (place is < 1 or > 32 || colour is < 1 or > 16 || flag is < 0 or > 8
            || file.Numbers(d, "Decode") is not { Length: >= 6 } decode)
            throw No();
        var same = new PdfDict(common).Set("BitsPerCoordinate", place).Set("BitsPerComponent", colour)
            .Set("Decode", PdfArray.Of(decode));
        if (kind == 5) same.Set("VerticesPerRow", of("VerticesPerRow"));
        else same.Set("BitsPerFlag", flag);
        if (function is not null)
            return copier.Packed(mesh, same.Set("Function", Sampled(function, space, [decode[4], decode[5]], Fine)));
        if (keeps && space is CmykColorSpace) return copier.Packed(mesh, same);
        return Triangles(mesh, new(kind, place, colour, flag, of("VerticesPerRow"), decode), space, common);
    }

    /// <summary>Triangles so fine that it makes no difference in which space a colour runs within them.</summary>
    private PdfRef Triangles(PdfStream mesh, MeshShading.Written written, ColorSpace space, PdfDict common)
    {
        if (written.Kind == 5 && written.Row < 2) throw No();
        var corners = MeshShading.Fine(file.Decode(mesh), written, space.Components, file.Decoder.Cancel);
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
        return pdf.Stream(new PdfDict(common).Set("ShadingType", 4).Set("BitsPerCoordinate", 32).Set("BitsPerFlag", 8)
            .Set("BitsPerComponent", 16).Set("Decode", PdfArray.Of([.. d.AsSpan(..4), 0, 1, 0, 1, 0, 1, 0, 1])), made);
    }
}
