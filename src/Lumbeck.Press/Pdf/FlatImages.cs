using System.IO.Compression;
using System.Security.Cryptography;
using System.Text;
using Lumbeck.Pdf.Writing;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Plates;

namespace Lumbeck.Press.Pdf;

/// <summary>A rectangle of a flattened part as it is in the file.</summary>
/// <param name="Place">In points of the sheet.</param>
/// <param name="Image">Its image; null where it is one ink.</param>
/// <param name="Ink">That ink.</param>
/// <param name="Space">The object of the space in which it has finishing inks too; null where it has none.</param>
/// <param name="Tints">Those inks' tints in hundredths of a percent, in the space's order.</param>
internal sealed record FlatDrawn(Bounds Place, PdfRef? Image, Ink Ink, PdfRef? Space, ImmutableArray<int> Tints);

/// <summary>
/// The flattened parts of a page, written before its content: process inks in their plates' own numbers, and finishing
/// inks in one DeviceN space with them (ISO 32000-1, 8.6.6.5), so that what a viewer shows of them does not hang on
/// whether it heeds overprinting.
/// </summary>
/// <param name="pdf">The file.</param>
/// <param name="house">Whose profile shows them on a screen.</param>
/// <param name="rgb">In a screen's colours instead.</param>
internal sealed class FlatImages(PdfWriter pdf, House house, bool rgb)
{
    private readonly Dictionary<FlatPart, List<FlatDrawn>> _drawn = [];
    private readonly Dictionary<string, PdfRef> _spaces = new(StringComparer.Ordinal);

    /// <summary>What makes them black alone; null where they keep their inks.</summary>
    public BlackAlone? Black { get; init; }

    /// <summary>Images of the file's other pages by the SHA-256 of their samples: what repeats is in it once.</summary>
    public Dictionary<string, PdfRef> Shared { get; init; } = [];

    public IReadOnlyList<FlatDrawn> Of(FlatPart part) => _drawn.GetValueOrDefault(part) ?? (IReadOnlyList<FlatDrawn>)[];

    public void Write(FlatPainter painter)
    {
        foreach (var (part, painted) in painter.Tiles())
        {
            var tile = Black is null || rgb ? painted : painted with { Inks = Blackened(painted, Black) };
            if (!_drawn.TryGetValue(part, out var drawn)) _drawn[part] = drawn = [];
            ImmutableArray<(string Name, byte[] Tints)> laid =
                [.. tile.Finishes.Where(f => f.Tints.AsSpan().ContainsAnyExcept((byte)0))];
            var space = laid.IsEmpty ? null : Space([.. laid.Select(f => f.Name)]);
            drawn.Add(tile.IsEven
                ? new(tile.Place, null, Even(tile.Inks), space, [.. laid.Select(f => Hundredths(f.Tints[0]))])
                : new(tile.Place, rgb ? Screen(tile) : Samples(tile, space, laid), Ink.White, space, []));
        }
    }

    /// <summary>The same by their lightness; what is black alone keeps its tint.</summary>
    private static byte[] Blackened(FlatTile tile, BlackAlone black)
    {
        var (wide, high) = tile.IsEven ? (1, 1) : (tile.Wide, tile.High);
        using var inks = NetVips.Image.NewFromMemoryCopy(tile.Inks, wide, high, 4, NetVips.Enums.BandFormat.Uchar);
        using var cmyk = inks.Copy(interpretation: NetVips.Enums.Interpretation.Cmyk);
        using var gray = black.Of(cmyk);
        var light = gray.WriteToMemory<byte>();
        var done = new byte[tile.Inks.Length];
        for (var p = 0; p < light.Length; p++)
            done[(4 * p) + 3] = tile.Inks.AsSpan(4 * p, 3).ContainsAnyExcept((byte)0) ? (byte)(255 - light[p])
                : tile.Inks[(4 * p) + 3];
        return done;
    }

    private static Ink Even(byte[] inks) =>
        new(Hundredths(inks[0]), Hundredths(inks[1]), Hundredths(inks[2]), Hundredths(inks[3]));

    private static int Hundredths(byte level) => (int)Math.Round(level * 10_000 / 255.0);

    private PdfRef Samples(FlatTile tile, PdfRef? space, ImmutableArray<(string Name, byte[] Tints)> laid)
    {
        if (space is null)
        {
            var key = $"{tile.Wide} {Convert.ToHexString(SHA256.HashData(tile.Inks))}";
            if (Shared.TryGetValue(key, out var known)) return known;
            return Shared[key] = pdf.Stream(Head(tile, "DeviceCMYK"), tile.Inks, CompressionLevel.Fastest);
        }
        var bands = 4 + laid.Length;
        var samples = new byte[tile.Wide * tile.High * bands];
        for (var pixel = 0; pixel < tile.Wide * tile.High; pixel++)
        {
            tile.Inks.AsSpan(pixel * 4, 4).CopyTo(samples.AsSpan(pixel * bands));
            for (var f = 0; f < laid.Length; f++) samples[(pixel * bands) + 4 + f] = laid[f].Tints[pixel];
        }
        return pdf.Stream(Head(tile, space), samples, CompressionLevel.Fastest);
    }

    /// <summary>The four inks and some finishing inks as one colour space.</summary>
    private PdfRef Space(ImmutableArray<string> finishes)
    {
        var key = string.Join('/', finishes);
        if (_spaces.TryGetValue(key, out var known)) return known;
        var tint = pdf.Stream(new()
        {
            ["FunctionType"] = 4,
            ["Domain"] = Unit(4 + finishes.Length),
            ["Range"] = Unit(4),
        }, Encoding.ASCII.GetBytes(Shown(finishes)));
        var plates = new PdfDict();
        foreach (var name in finishes) plates.Set(name, PageResources.Plate(name));
        return _spaces[key] = pdf.Object(PdfArray.Of("DeviceN",
            PdfArray.From([.. Process, .. finishes.Select(f => (PdfObject)f)]), "DeviceCMYK", tint,
            new PdfDict { ["Colorants"] = plates }));
    }

    private static readonly PdfObject[] Process = ["Cyan", "Magenta", "Yellow", "Black"];

    /// <summary>From 0 to 1, so often.</summary>
    private static PdfArray Unit(int count) =>
        PdfArray.From(Enumerable.Range(0, 2 * count).Select(n => (PdfObject)(n % 2)));

    /// <summary>
    /// What a screen shows of them (a calculator function, 7.10.5): the process inks with each finishing ink's likeness
    /// printed over them, which never takes any of them away.
    /// </summary>
    private static string Shown(ImmutableArray<string> finishes)
    {
        var s = new StringBuilder("{ ");
        // The last of them lies on top; the four lie under all that are left, black uppermost.
        for (var left = finishes.Length; left > 0; left--)
        {
            var likeness = Finishes.Likeness(finishes[left - 1]);
            foreach (var (i, share) in new[] { likeness.K, likeness.Y, likeness.M, likeness.C }.Index())
            {
                if (share == 0) continue;
                var all = left + i + 1;
                s.Append(CultureInfo.InvariantCulture, $"{all} -1 roll dup 1 exch sub 2 index ")
                    .Append((share / 10_000.0).ToString("0.####", CultureInfo.InvariantCulture))
                    .Append(CultureInfo.InvariantCulture, $" mul mul add {all} 1 roll ");
            }
            s.Append("pop ");
        }
        return s.Append('}').ToString();
    }

    private PdfRef Screen(FlatTile tile)
    {
        using var all = NetVips.Image.NewFromMemory(ScreenTable.Of(house.Profile).ToRgb(tile.Inks), tile.Wide,
            tile.High, 3, NetVips.Enums.BandFormat.Uchar);
        using var screen = all.Copy(interpretation: NetVips.Enums.Interpretation.Srgb);
        var jpeg = screen.JpegsaveBuffer(q: 88, keep: NetVips.Enums.ForeignKeep.None,
            subsampleMode: NetVips.Enums.ForeignSubsample.Off);
        return pdf.Stream(Head(tile, "DeviceRGB").Set("Filter", "DCTDecode"), s => s.Write(jpeg), compress: false);
    }

    private static PdfDict Head(FlatTile tile, PdfObject space) =>
        PressObjects.Image(tile.Wide, tile.High).Set("ColorSpace", space);
}
