using Lumbeck.Pdf.Colours;
using Lumbeck.Pdf.Functions;
using Lumbeck.Pdf.Reading;
using Lumbeck.Pdf.Writing;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Import.Parsing;
using Lumbeck.Press.Pdf;
using NetVips;

namespace Lumbeck.Press.Import.Resources;

/// <summary>
/// Pictures in a house's inks. What is in inks already, gray, or a mask keeps its bytes; a table of colours has inks in
/// its place; the rest goes through profiles, and is packed again without loss where it was.
/// </summary>
internal sealed class ImportedImages(PdfFile file, PdfWriter pdf, ObjectCopier copier, ColorSpaceParser spaces,
    PressInks inks)
{
    private const long MostPixels = 120_000_000;

    /// <summary>In place of a picture on no plate.</summary>
    private static PdfDict Nothing() => PressObjects.Form(PdfArray.Of(0, 0, 1, 1), new PdfDict());

    /// <summary>Pictures whose colours were brought to the house's.</summary>
    public int Converted { get; private set; }

    /// <summary>Writes a picture; returns its object.</summary>
    /// <param name="image">Its stream; an inline one has its short names read as the long ones.</param>
    /// <param name="named">The page's own spaces.</param>
    /// <param name="light">How light it is counts alone: it is a mask's.</param>
    /// <exception cref="PdfReadException">It can't be read.</exception>
    public PdfRef Write(PdfStream image, PdfDict? named, bool light = false)
    {
        var d = image.Dict;
        var (wide, high) = ((int)(file.Number(d, "Width", "W") ?? 0), (int)(file.Number(d, "Height", "H") ?? 0));
        if (wide < 1 || high < 1 || (long)wide * high > MostPixels) throw No();
        var decode = file.Numbers(d, "Decode", "D");
        var decoded = decode is null ? null : PdfArray.Of(decode);
        if (file.Get(d, "ImageMask", "IM") is PdfBoolean { Value: true })
            return copier.Packed(image, Head(wide, high, null, 1).Set("ImageMask", true).Set("Decode", decoded));
        var (data, coding) = file.Decoder.DecodeUntilImage(file, image);
        var space = (d["ColorSpace"] ?? d["CS"]) is { } told ? spaces.Read(told, named)
            : null;
        var bits = (int)(file.Number(d, "BitsPerComponent", "BPC") ?? 8);
        var seen = Seen(d, named);
        if (Numbers(d) is { } hidden) seen.Set("Mask", PdfArray.Of(hidden));
        // Nothing is printed in more than eight bits, and PDF 1.4, which PDF/X-1a is, knows no more (ISO 32000-1, 8.9.5.1).
        if (coding != "JPXDecode" && space is GrayColorSpace && bits <= 8)
            return copier.Packed(image, Head(wide, high, "DeviceGray", bits).Set("Decode", decoded).With(seen));
        if (coding != "JPXDecode" && space is CmykColorSpace && !inks.BlackAlone && inks.From is null && !light
            && bits <= 8)
            return copier.Packed(image, Head(wide, high, "DeviceCMYK", bits).Set("Decode", decoded).With(seen));
        if (coding != "JPXDecode" && space is IndexedColorSpace or SeparationOrDeviceN { Components: 1,
            IsNothing: false } && bits <= 8)
            return copier.Packed(image, Head(wide, high, Table(space, bits, decode, light), bits).With(seen));
        if (space is SeparationOrDeviceN { IsNothing: true }) return pdf.Stream(Nothing(), _ => { });
        if (space?.IsInk() != true) Converted++;
        using var pixels = Pixels(data, coding, space, wide, high, bits, decode);
        // What hides by its colour is told before that changes.
        if (Numbers(d) is { } key && coding is null && space is not null)
            seen = Seen(d, named).Set("Mask", Hidden(pixels, key, bits));
        using var press = light ? Lightness(pixels) : inks.BlackAlone ? inks.Black.Of(pixels) : InInks(pixels, space);
        var gray = press.Bands == 1;
        var head = Head(press.Width, press.Height, gray ? "DeviceGray" : "DeviceCMYK", 8);
        if (coding is not null)
            return pdf.Stream(pdf.Reserve(), head.Set("Decode", gray ? null : PdfArray.Of(1, 0, 1, 0, 1, 0, 1, 0))
                .Set("Filter", "DCTDecode").With(seen), s => press.JpegsaveStream(s, q: 95,
                    keep: Enums.ForeignKeep.None, subsampleMode: Enums.ForeignSubsample.Off), compress: false);
        return pdf.Stream(head.With(seen), press.WriteToMemory<byte>());
    }

    private static PdfReadException No() => new("it holds a picture that can’t be read");

    private static PdfDict Head(int wide, int high, PdfObject? space, int bits) =>
        PressObjects.Image(wide, high, bits).Set("ColorSpace", space);

    /// <summary>Colours that are not seen, by the picture's own figures (8.9.6.4).</summary>
    private double[]? Numbers(PdfDict d) => file.Get(d, "Mask") is PdfArray a ? file.Numbers(a) : null;

    /// <summary>What of it is seen: its soft mask, or its stencil.</summary>
    private PdfDict Seen(PdfDict d, PdfDict? named)
    {
        if (file.Get(d, "SMask") is PdfStream soft) return new() { ["SMask"] = Soft(soft) };
        return file.Get(d, "Mask") is PdfStream hard ? new() { ["Mask"] = Write(hard, named) } : new();
    }

    private PdfRef Soft(PdfStream soft)
    {
        var d = soft.Dict;
        var bits = (int)(file.Number(d, "BitsPerComponent") ?? 8);
        var (data, coding) = file.Decoder.DecodeUntilImage(file, soft);
        var head = Head((int)(file.Number(d, "Width") ?? 1), (int)(file.Number(d, "Height") ?? 1), "DeviceGray", 8);
        if (coding == "JPXDecode")
        {
            using var image = Coded(data, coding);
            using var one = image.ExtractBand(0);
            return pdf.Stream(head, one.Cast(Enums.BandFormat.Uchar).WriteToMemory<byte>());
        }
        return copier.Packed(soft, head.Set("BitsPerComponent", bits)
            .Set("Decode", file.Numbers(d, "Decode") is { } decode ? PdfArray.Of(decode) : null));
    }

    private PdfArray Table(ColorSpace space, int bits, double[]? decode, bool light)
    {
        var most = space is IndexedColorSpace i ? Math.Min(i.Most, (1 << bits) - 1) : (1 << bits) - 1;
        double[] at(int n) => space is IndexedColorSpace own ? own.Entry(Indexed(n)) : [Share(n)];
        int Indexed(int n) => decode is [var a, var b]
            ? (int)Math.Clamp(Math.Round(a + (n * (b - a) / ((1 << bits) - 1))), 0, 255) : n;
        double Share(int n) => (decode is [var a, var b] ? a : 0) + (n / (double)most * (decode is [var c, var e]
            ? e - c : 1));
        var under = space is IndexedColorSpace table ? table.Base : space;
        List<double[]> entries = [.. Enumerable.Range(0, most + 1).Select(at)];
        var alone = under is RgbColorSpace && entries.All(c => c[0] == c[1] && c[1] == c[2]);
        if (!under.IsInk()) Converted++;
        var made = inks.Many(under, entries, alone);
        static byte level(double share) => (byte)Math.Round(Math.Clamp(share, 0, 1) * 255);
        if (light || made.All(k => k is { C: 0, M: 0, Y: 0 }))
            return PdfArray.Of("Indexed", "DeviceGray", most, PdfString.Hex([.. made.Select(k =>
                level(light ? 1 - Math.Min(1, (0.3 * k.C) + (0.59 * k.M) + (0.11 * k.Y) + k.K) : 1 - k.K))]));
        return PdfArray.Of("Indexed", "DeviceCMYK", most, PdfString.Hex(
            [.. made.SelectMany(k => (byte[])[level(k.C), level(k.M), level(k.Y), level(k.K)])]));
    }

    private Image InInks(Image pixels, ColorSpace? space) => pixels.Bands switch
    {
        1 => pixels.Copy(),
        4 => inks.From is { } from && !inks.BlackAlone ? inks.Transform(pixels, from) : pixels.Copy(),
        _ => inks.Transform(pixels, inks.PathOf((space as RgbColorSpace)?.Profile) is { Length: > 0 } own ? own
            : Profiles.PathOf("sRGB")),
    };

    private static Image Lightness(Image pixels)
    {
        if (pixels.Bands == 1) return pixels.Copy();
        using var weights = pixels.Bands == 4 ? Image.NewFromArray(new[,] { { -0.3, -0.59, -0.11, -1.0 } })
            : Image.NewFromArray(new[,] { { 0.3, 0.59, 0.11 } });
        using var light = pixels.Recomb(weights);
        return (pixels.Bands == 4 ? light + 255 : light).Cast(Enums.BandFormat.Uchar)
            .Copy(interpretation: Enums.Interpretation.Bw);
    }

    private static Image Coded(byte[] data, string coding)
    {
        try
        {
            var image = coding == "DCTDecode" ? Image.JpegloadBuffer(data) : Image.NewFromBuffer(data);
            if ((long)image.Width * image.Height > MostPixels) throw No();
            return image;
        }
        catch (VipsException) { throw No(); }
    }

    /// <summary>A picture as pixels of eight bits: gray, red-green-blue or inks.</summary>
    private Image Pixels(byte[] data, string? coding, ColorSpace? space, int wide, int high, int bits, double[]? decode)
    {
        if (coding is not null)
        {
            if (coding is not ("DCTDecode" or "JPXDecode")) throw No();
            using var image = Coded(data, coding);
            using var flat = image.HasAlpha() && image.Bands is 2 or 4
                && image.Interpretation != Enums.Interpretation.Cmyk
                ? image.ExtractBand(0, n: image.Bands - 1) : image.Copy();
            using var eight = flat.Format == Enums.BandFormat.Uchar ? flat.Copy() : flat.Format == Enums.BandFormat.Ushort
                ? (flat / 257).Cast(Enums.BandFormat.Uchar) : flat.Cast(Enums.BandFormat.Uchar);
            // A JPEG of four inks holds them the other way round, as its maker says; read, they are as they are printed.
            var turned = decode is [1, 0, ..] && eight.Bands != 4 ? 255 - eight : eight.Copy();
            return turned.Cast(Enums.BandFormat.Uchar).Copy(interpretation: eight.Bands switch
            {
                1 => Enums.Interpretation.Bw,
                4 => Enums.Interpretation.Cmyk,
                _ => Enums.Interpretation.Srgb,
            });
        }
        space ??= new GrayColorSpace();
        var n = space.Components;
        // One that says it is far larger than what is there is damaged, or means harm.
        if (bits is not (1 or 2 or 4 or 8 or 16) || (long)wide * high * n > int.MaxValue
            || (long)wide * high * n * bits / 8 > 8L * (data.Length + 4096)) throw No();
        var samples = space is RgbColorSpace or CmykColorSpace or GrayColorSpace ? Plain(data, wide, high, n, bits,
            decode)
            : Worked(data, space, wide, high, bits, decode, out n);
        using var raw = Image.NewFromMemory(samples, wide, high, n, Enums.BandFormat.Uchar);
        return raw.Copy(interpretation: n switch
        {
            1 => Enums.Interpretation.Bw,
            4 => Enums.Interpretation.Cmyk,
            _ => Enums.Interpretation.Srgb,
        });
    }

    private static byte[] Plain(byte[] data, int wide, int high, int n, int bits, double[]? decode)
    {
        var count = wide * high * n;
        var plain = new byte[count];
        if (bits == 8) data.AsSpan(0, Math.Min(count, data.Length)).CopyTo(plain);
        else
        {
            var (from, most) = (new BitReader(data), (1 << bits) - 1);
            for (var y = 0; y < high; y++, from.Align())
                for (var x = 0; x < wide * n; x++) plain[(y * wide * n) + x] = (byte)(from.Next(bits) * 255L / most);
        }
        if (decode is null || decode.Length < 2 * n || Enumerable.Range(0, n).All(k => decode[2 * k] == 0
            && decode[(2 * k) + 1] == 1)) return plain;
        for (var at = 0; at < count; at++)
        {
            var (a, b) = (decode[2 * (at % n)], decode[(2 * (at % n)) + 1]);
            plain[at] = (byte)Math.Round(Math.Clamp(a + (plain[at] / 255.0 * (b - a)), 0, 1) * 255);
        }
        return plain;
    }

    /// <summary>Samples of other spaces, worked out one by one and each once.</summary>
    private byte[] Worked(byte[] data, ColorSpace space, int wide, int high, int bits, double[]? decode, out int bands)
    {
        bands = 4;
        var (from, most, known) = (new BitReader(data), Math.Pow(2, bits) - 1, new Dictionary<string, Inks>());
        var made = new byte[(long)wide * high * 4];
        for (var y = 0; y < high; y++, from.Align())
        {
            file.Decoder.Cancel.ThrowIfCancellationRequested();
            for (var x = 0; x < wide; x++)
            {
                var c = new double[space.Components];
                for (var k = 0; k < c.Length; k++)
                {
                    var (a, b) = decode is not null && (2 * k) + 1 < decode.Length
                        ? (decode[2 * k], decode[(2 * k) + 1]) : space.Range(k, bits);
                    c[k] = a + (from.Next(bits) / most * (b - a));
                }
                var key = string.Join(' ', c);
                if (!known.TryGetValue(key, out var ink)) known[key] = ink = inks.Of(space, c, false);
                var at = 4 * ((y * wide) + x);
                (made[at], made[at + 1], made[at + 2], made[at + 3]) = ((byte)(ink.C * 255), (byte)(ink.M * 255),
                    (byte)(ink.Y * 255), (byte)(ink.K * 255));
            }
        }
        return made;
    }

    private PdfRef Hidden(Image pixels, double[] key, int bits)
    {
        var (data, n, most) = (pixels.WriteToMemory<byte>(), pixels.Bands, (1 << bits) - 1);
        var row = (pixels.Width + 7) / 8;
        var mask = new byte[row * pixels.Height];
        for (var p = 0; p < pixels.Width * pixels.Height; p++)
        {
            var hides = true;
            for (var k = 0; k < n && hides && (2 * k) + 1 < key.Length; k++)
                hides = data[(p * n) + k] >= key[2 * k] * 255 / most
                    && data[(p * n) + k] <= key[(2 * k) + 1] * 255 / most;
            if (hides) mask[(p / pixels.Width * row) + (p % pixels.Width / 8)] |= (byte)(0x80 >> (p % pixels.Width % 8));
        }
        return pdf.Stream(Head(pixels.Width, pixels.Height, null, 1).Set("ImageMask", true), mask);
    }
}
