using System.Globalization;
using System.Text;

namespace Lumbeck.Press.Tests.Import;

/// <summary>Files as other programs make them, a feature each.</summary>
internal static class MendCorpus
{
    private const string Rgb = "[/ICCBased 4 0 R]";

    /// <summary>Samples of red, green and blue, a row of colours over a row of grays.</summary>
    private static byte[] Samples(int wide, int high) => [.. Enumerable.Range(0, wide * high).SelectMany(n =>
    {
        var (x, y) = (n % wide, n / wide);
        return (byte[])[(byte)(x * 255 / wide), (byte)(y * 255 / high), (byte)(255 - (x * 255 / wide))];
    })];

    private static string Squares(string set) => string.Concat(Enumerable.Range(0, 6).Select(n =>
        string.Format(CultureInfo.InvariantCulture, set, n / 6.0, 1 - (n / 6.0), n % 3 / 3.0) +
            $" {30 + (40 * n)} 40 36 300 re f\n"));

    private static string Mesh(int kind)
    {
        var s = new StringBuilder();
        void put(double v, int bits) => s.Append(((long)Math.Round(v * ((1L << bits) - 1))).ToString(bits == 16 ? "X4" : "X2",
            CultureInfo.InvariantCulture));
        (double X, double Y, double[] C)[] corners = [(0.1, 0.1, [0.9, 0.2, 0.1]), (0.9, 0.1, [0.2, 0.8, 0.2]),
            (0.9, 0.9, [0.2, 0.3, 0.9]), (0.1, 0.9, [0.9, 0.8, 0.2])];
        if (kind is 4)
            foreach (var (n, at) in new[] { 0, 1, 2, 0, 2, 3 }.Index())
            {
                put(0, 8);
                put(corners[at].X, 16);
                put(corners[at].Y, 16);
                foreach (var c in corners[at].C) put(c, 8);
            }
        if (kind is 5)
            foreach (var at in new[] { 0, 1, 3, 2 })
            {
                put(corners[at].X, 16);
                put(corners[at].Y, 16);
                foreach (var c in corners[at].C) put(c, 8);
            }
        if (kind is 6 or 7)
        {
            put(0, 8);
            (double, double)[] round = [(0.1, 0.1), (0.1, 0.4), (0.1, 0.6), (0.1, 0.9), (0.4, 0.8), (0.6, 0.95),
                (0.9, 0.9), (0.9, 0.6), (0.9, 0.4), (0.9, 0.1), (0.6, 0.05), (0.4, 0.2)];
            foreach (var (x, y) in round) { put(x, 16); put(y, 16); }
            if (kind == 7) foreach (var (x, y) in new[] { (0.4, 0.4), (0.4, 0.6), (0.6, 0.6), (0.6, 0.4) }) { put(x,
                16); put(y, 16); }
            foreach (var n in new[] { 0, 3, 2, 1 }) foreach (var c in corners[n].C) put(c, 8);
        }
        return s.ToString();
    }

    private static byte[] Meshed(int kind) => new HandMade()
        .With($"/ShadingType {kind} /ColorSpace /DeviceRGB /BitsPerCoordinate 16 /BitsPerComponent 8 " +
            $"{(kind == 5 ? "/VerticesPerRow 2" : "/BitsPerFlag 8")} " +
            "/Decode [0 300 0 400 0 1 0 1 0 1]", Convert.FromHexString(Mesh(kind)))
        .Page("/S sh", "/Shading << /S 4 0 R >>");

    private const string Helvetica = "/Font << /F << /Type /Font /Subtype /Type1 /BaseFont /Helvetica >> >>";

    /// <summary>Each by its name.</summary>
    public static IReadOnlyDictionary<string, Func<byte[]>> All { get; } = new Dictionary<string, Func<byte[]>>
    {
        ["rgb"] = () => new HandMade().Page(Squares("{0} {1} {2} rg"), ""),
        ["gray"] = () => new HandMade().Page(Squares("{0} g"), ""),
        ["gray-in-rgb"] = () => new HandMade().Page(Squares("{0} {0} {0} rg"), ""),
        ["cmyk"] = () => new HandMade().Page(Squares("{0} {1} {2} 0 k"), ""),
        ["lab"] = () => new HandMade().Page("/L cs\n" + string.Concat(Enumerable.Range(0, 6).Select(n =>
            $"{20 + (12 * n)} {-50 + (20 * n)} {40 - (15 * n)} sc {30 + (40 * n)} 40 36 300 re f\n")),
            "/ColorSpace << /L [/Lab << /WhitePoint [0.9642 1 0.8249] /Range [-100 100 -100 100] >>] >>"),
        ["lines"] = () => new HandMade()
            .Page("1 0 0 RG 6 w 20 20 m 280 380 l S 0 0 1 RG [12 6] 0 d 3 w 20 380 m 140 20 l 280 380 l S " +
            "0 0.5 0 RG 0.2 0.8 0.2 rg 10 w 1 j [] 0 d 150 150 80 120 re B", ""),
        ["clips"] = () => new HandMade().Page("q 150 200 m 250 200 l 200 300 l h W n 0.8 0.1 0.2 rg 0 0 300 400 re f Q " +
            "q 40 40 100 100 re 60 60 60 60 re W* n 0.1 0.3 0.8 rg 0 0 300 400 re f Q", ""),
        ["axial"] = () => new HandMade().Page("/S sh",
            "/Shading << /S << /ShadingType 2 /ColorSpace /DeviceRGB /Coords [30 40 270 360] " +
            "/Extend [true true] /Function << /FunctionType 2 /Domain [0 1] /C0 [0.9 0.1 0.1] /C1 [0.1 0.3 0.9] /N 1 >> >> >>"),
        ["axial-gray"] = () => new HandMade().Page("/S sh",
            "/Shading << /S << /ShadingType 2 /ColorSpace /DeviceRGB /Coords [30 40 270 360] " +
            "/Function << /FunctionType 2 /Domain [0 1] /C0 [0 0 0] /C1 [1 1 1] /N 1 >> >> >>"),
        ["radial"] = () => new HandMade().Page("/S sh",
            "/Shading << /S << /ShadingType 3 /ColorSpace /DeviceRGB /Coords [150 200 10 150 200 140] " +
            "/Extend [true false] /Function << /FunctionType 3 /Domain [0 1] /Bounds [0.4] /Encode [0 1 0 1] /Functions [" +
            "<< /FunctionType 2 /Domain [0 1] /C0 [1 1 0.8] /C1 [0.9 0.4 0.1] /N 1 >> << /FunctionType 2 /Domain [0 " +
                "1] /C0 [0.9 0.4 0.1] /C1 [0.2 0 0.3] /N 1 >>] >> >> >>"),
        ["function-shading"] = () => new HandMade().With("/FunctionType 4 /Domain [0 1 0 1] /Range [0 1 0 1 0 1]",
            "{ 2 copy add 2 div 3 1 roll }")
            .Page("/S sh", "/Shading << /S << /ShadingType 1 /ColorSpace /DeviceRGB /Domain [0 1 0 1] /Matrix [300 " +
                "0 0 400 0 0] /Function 4 0 R >> >>"),
        ["mesh-4"] = () => Meshed(4),
        ["mesh-5"] = () => Meshed(5),
        ["mesh-6"] = () => Meshed(6),
        ["mesh-7"] = () => Meshed(7),
        ["tiling"] = () => new HandMade()
            .With("/Type /Pattern /PatternType 1 /PaintType 1 /TilingType 1 /BBox [0 0 20 20] /XStep 20 /YStep 20 " +
            "/Matrix [1 0.2 0 1 5 7] /Resources << >>", "0.8 0.2 0.1 rg 2 2 8 8 re f 0.1 0.4 0.7 rg 11 11 7 7 re f")
            .Page("/Pattern cs /P scn 20 20 260 360 re f", "/Pattern << /P 4 0 R >>"),
        ["tiling-uncoloured"] = () => new HandMade()
            .With("/Type /Pattern /PatternType 1 /PaintType 2 /TilingType 1 /BBox [0 0 20 20] /XStep 20 /YStep 20 " +
            "/Resources << >>", "2 2 14 14 re f")
                .Page("/U cs 0.9 0.3 0.1 /P scn 20 200 260 180 re f 0.1 0.3 0.8 /P scn 20 20 260 170 re f",
            "/Pattern << /P 4 0 R >> /ColorSpace << /U [/Pattern /DeviceRGB] >>"),
        ["shading-pattern"] = () => new HandMade().Page("/Pattern cs /P scn 150 200 m 280 200 l 200 380 l 60 330 l h f",
            "/Pattern << /P << /PatternType 2 /Matrix [1 0 0 1 0 0] /Shading << /ShadingType 2 /ColorSpace " +
                "/DeviceRGB /Coords [60 200 280 380] " +
            "/Function << /FunctionType 2 /Domain [0 1] /C0 [0.1 0.7 0.3] /C1 [0.8 0.1 0.5] /N 1 >> >> >> >>"),
        ["forms"] = () => new HandMade()
            .With("/Type /XObject /Subtype /Form /BBox [0 0 100 100] /Matrix [1 0.1 0 1 10 0] /Resources << >>",
            "0.9 0.5 0.1 rg 0 0 100 100 re f 0 0 0 rg 20 20 60 60 re f")
            .Page("q 1 0 0 1 30 40 cm /X Do Q q 0.5 0.5 -0.5 0.5 200 200 cm /X Do Q", "/XObject << /X 4 0 R >>"),
        ["picture"] = () => new HandMade()
            .With("/Type /XObject /Subtype /Image /Width 60 /Height 80 /ColorSpace /DeviceRGB /BitsPerComponent 8",
            Samples(60, 80)).Page("q 240 0 0 320 30 40 cm /X Do Q", "/XObject << /X 4 0 R >>"),
        ["picture-decode"] = () => new HandMade()
            .With("/Type /XObject /Subtype /Image /Width 60 /Height 80 /ColorSpace /DeviceRGB /BitsPerComponent 8 " +
            "/Decode [1 0 1 0 1 0]", Samples(60, 80)).Page("q 240 0 0 320 30 40 cm /X Do Q", "/XObject << /X 4 0 R >>"),
        ["picture-indexed"] = () => new HandMade()
            .With("/Type /XObject /Subtype /Image /Width 4 /Height 4 /ColorSpace [/Indexed /DeviceRGB 3 " +
            "<E02010 10A040 2040D0 F0E0C0>] /BitsPerComponent 2", [0x1B, 0x6C, 0xB1, 0xC6])
            .Page("q 240 0 0 320 30 40 cm /X Do Q", "/XObject << /X 4 0 R >>"),
        ["picture-key"] = () => new HandMade()
            .With("/Type /XObject /Subtype /Image /Width 4 /Height 4 /ColorSpace /DeviceRGB /BitsPerComponent 8 " +
            "/Mask [250 255 250 255 250 255]",
            [.. Enumerable.Range(0, 16).SelectMany(n => n % 3 == 0 ? (byte[])[255, 255, 255] : [(byte)(n * 16), 60,
                90])])
            .Page("0.9 0.9 0.3 rg 0 0 300 400 re f q 240 0 0 320 30 40 cm /X Do Q", "/XObject << /X 4 0 R >>"),
        ["picture-soft"] = () => new HandMade()
            .With("/Type /XObject /Subtype /Image /Width 60 /Height 80 /ColorSpace /DeviceRGB /BitsPerComponent 8 " +
            "/SMask 5 0 R",
            Samples(60, 80)).With("/Type /XObject /Subtype /Image /Width 2 /Height 2 /ColorSpace /DeviceGray " +
                "/BitsPerComponent 8", [255, 128, 64, 0])
            .Page("0.2 0.6 0.3 rg 0 0 300 400 re f q 240 0 0 320 30 40 cm /X Do Q", "/XObject << /X 4 0 R >>"),
        ["stencil"] = () => new HandMade()
            .With("/Type /XObject /Subtype /Image /Width 8 /Height 8 /ImageMask true /BitsPerComponent 1",
            [0xAA, 0x55, 0xAA, 0x55, 0xF0, 0xF0, 0x0F, 0x0F]).Page("0.8 0.1 0.4 rg q 240 0 0 320 30 40 cm /X Do Q",
                "/XObject << /X 4 0 R >>"),
        ["inline"] = () => new HandMade()
            .Page("q 240 0 0 320 30 40 cm BI /W 2 /H 2 /CS /RGB /BPC 8 /F /AHx ID E02010 10A040 2040D0 F0E0C0> EI Q",
            ""),
        ["opacity"] = () => new HandMade().Page("0.9 0.2 0.1 rg 40 40 160 240 re f /G gs 0.1 0.3 0.9 rg 100 120 160 240 re f",
            "/ExtGState << /G << /ca 0.5 >> >>"),
        ["mask-by-lightness"] = () => new HandMade()
            .With("/Type /XObject /Subtype /Form /BBox [0 0 300 400] /Group << /S /Transparency /CS /DeviceRGB >> " +
            "/Resources << " +
            "/Shading << /S << /ShadingType 2 /ColorSpace /DeviceRGB /Coords [0 0 300 0] /Extend [true true] " +
                "/Function << /FunctionType 2 /Domain [0 1] /C0 [0 0 0] /C1 [1 1 1] /N 1 >> >> >> >>", "/S sh")
            .Page("0.9 0.8 0.2 rg 0 0 300 400 re f /G gs 0.1 0.3 0.8 rg 20 40 260 320 re f",
                "/ExtGState << /G << /SMask << /S /Luminosity /G 4 0 R >> >> >>"),
        ["spot"] = () => new HandMade().Page("/S cs 1 scn 40 40 100 300 re f 0.5 scn 160 40 100 300 re f",
            "/ColorSpace << /S [/Separation /Moss /DeviceRGB << /FunctionType 2 /Domain [0 1] /C0 [1 1 1] /C1 [0.2 " +
                "0.4 0.15] /N 1 >>] >>"),
        ["two-spots"] = () => new HandMade().With("/FunctionType 4 /Domain [0 1 0 1] /Range [0 1 0 1 0 1 0 1]",
            "{ 0 exch 0 exch 0 }")
            .Page("/S cs 0.8 0.2 scn 40 40 100 300 re f 0.2 0.9 scn 160 40 100 300 re f",
            "/ColorSpace << /S [/DeviceN [/Rust /Reed] /DeviceCMYK 4 0 R] >>"),
        ["layers"] = () => new HandMade { Catalog = "/OCProperties << /OCGs [4 0 R 5 0 R] /D << /OFF [5 0 R] >> >>" }
            .With("<< /Type /OCG /Name (on) >>").With("<< /Type /OCG /Name (off) >>")
            .Page("/OC /A BDC 0.2 0.5 0.8 rg 30 40 100 300 re f EMC /OC /B BDC 0.9 0.1 0.1 rg 160 40 100 300 re f EMC",
            "/Properties << /A 4 0 R /B 5 0 R >>"),
        ["turned"] = () => new HandMade { Entries = "/MediaBox [0 0 400 300] /Rotate 90" }.Page("0.8 0.3 0.1 rg 20 " +
            "20 200 100 re f 0.1 0.2 0.7 rg 250 150 100 120 re f", ""),
        ["unit"] = () => new HandMade { Entries = "/MediaBox [0 0 150 200] /UserUnit 2" }.Page("0.8 0.3 0.1 rg 20 " +
            "20 80 40 re f 0.1 0.2 0.7 rg 60 100 60 70 re f", ""),
        ["origin"] = () => new HandMade { Entries = "/MediaBox [-100 -50 200 350]" }.With("/Type /Pattern " +
            "/PatternType 1 /PaintType 1 /TilingType 1 /BBox [0 0 24 24] /XStep 24 /YStep 24 /Resources << >>",
            "0.8 0.2 0.1 rg 0 0 12 12 re f").Page("/Pattern cs /P scn -80 -30 260 360 re f", "/Pattern << /P 4 0 R >>"),
        ["type-3"] = () => new HandMade()
            .With("<< /Type /Font /Subtype /Type3 /FontBBox [0 0 1000 1000] /FontMatrix [0.001 0 0 0.001 0 0] " +
            "/FirstChar 97 /LastChar 98 " +
            "/Widths [1000 1000] /Encoding << /Type /Encoding /Differences [97 /square /two] >> /CharProcs << " +
                "/square 5 0 R /two 6 0 R >> /Resources << >> >>")
            .With("", "1000 0 0 0 750 750 d1 0 0 750 750 re f").With("",
                "1000 0 d0 0.9 0.1 0.2 rg 0 0 500 750 re f 0.1 0.2 0.9 rg 500 0 250 750 re f")
            .Page("BT 0.1 0.6 0.2 rg /F 60 Tf 30 200 Td (abab) Tj ET", "/Font << /F 4 0 R >>"),
        ["unembedded"] = () => new HandMade()
            .Page("BT 0.1 0.1 0.5 rg /F 24 Tf 30 300 Td (The salt carriers) Tj 0 -40 Td (came at last.) Tj ET",
            Helvetica),
        ["note"] = () => new HandMade
        {
            Entries = "/MediaBox [0 0 300 400] /Annots [<< /Type /Annot /Subtype /Stamp " +
            "/F 4 /Rect [50 50 250 150] /AP << /N 4 0 R >> >>]"
        }
            .With("/Type /XObject /Subtype /Form /BBox [0 0 100 50] /Resources << >>",
                "0.9 0.2 0.2 rg 0 0 100 50 re f 1 1 1 rg 10 10 80 30 re f").Page("0.2 0.4 0.6 rg 50 200 200 150 re f",
                ""),
        ["several-streams"] = () => new HandMade().Page("q 0.5 0 0 0.5 0 0 cm 0.8 0.2 0.5 rg 20 20 400 300 re f", ""),
        ["multiply"] = () => new HandMade().Page("0.98 0.9 0.3 rg 40 40 160 240 re f /G gs 0.5 0.8 0.95 rg 100 120 160 240 re f",
            "/ExtGState << /G << /BM /Multiply >> >>"),
        ["group"] = () => new HandMade()
            .With("/Type /XObject /Subtype /Form /BBox [0 0 300 400] /Group << /S /Transparency /I true >> " +
            "/Resources << >>",
            "0.9 0.2 0.1 rg 40 40 160 240 re f 0.1 0.3 0.9 rg 100 120 160 240 re f").Page("/G gs /X Do",
                "/ExtGState << /G << /ca 0.6 >> >> /XObject << /X 4 0 R >>"),
    };
}
