using System.IO.Compression;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Plates;

namespace Lumbeck.Press.Pdf;

/// <summary>A rectangle of a flattened part as it is in the file.</summary>
/// <param name="Place">In points of the sheet.</param>
/// <param name="Image">Its image; null where it is one ink.</param>
/// <param name="Ink">That ink.</param>
/// <param name="Finishes">The same of each finishing ink that may lie there: its image, or its one tint in hundredths
/// of a percent.</param>
internal sealed record FlatDrawn(Bounds Place, int? Image, Ink Ink,
    ImmutableArray<(string Name, int? Image, int Tint)> Finishes);

/// <summary>
/// The flattened parts of a page, written before its content: process inks in their plates' own numbers, finishing inks
/// on plates of their own (ISO 32000-1, 8.6.6.4).
/// </summary>
/// <param name="pdf">The file.</param>
/// <param name="house">Whose profile shows them on a screen.</param>
/// <param name="rgb">In a screen's colours instead.</param>
internal sealed class FlatImages(PdfWriter pdf, House house, bool rgb)
{
    private readonly Dictionary<FlatPart, List<FlatDrawn>> _drawn = [];

    public IReadOnlyList<FlatDrawn> Of(FlatPart part) => _drawn.GetValueOrDefault(part) ?? (IReadOnlyList<FlatDrawn>)[];

    public void Write(FlatPainter painter)
    {
        foreach (var (part, tile) in painter.Tiles())
        {
            if (!_drawn.TryGetValue(part, out var drawn)) _drawn[part] = drawn = [];
            drawn.Add(tile.IsEven
                ? new(tile.Place, null, Even(tile.Inks),
                    [.. tile.Finishes.Select(f => (f.Name, (int?)null, Hundredths(f.Tints[0])))])
                : new(tile.Place, rgb ? Screen(tile) : Samples(tile, "/DeviceCMYK", tile.Inks), Ink.White,
                    [.. tile.Finishes.Select(f => Finish(tile, f.Name, f.Tints))]));
        }
    }

    private static Ink Even(byte[] inks) =>
        new(Hundredths(inks[0]), Hundredths(inks[1]), Hundredths(inks[2]), Hundredths(inks[3]));

    private static int Hundredths(byte level) => (int)Math.Round(level * 10_000 / 255.0);

    private (string, int?, int) Finish(FlatTile tile, string name, byte[] tints) =>
        // Where there is none of it, it is not drawn (8.9.6.4).
        tints.AsSpan().ContainsAnyExcept(tints[0])
            ? (name, Samples(tile, $"{PageResources.Plate(name)} /Mask [0 0]", tints), 0)
            : (name, null, Hundredths(tints[0]));

    private int Samples(FlatTile tile, string space, byte[] samples) =>
        pdf.Stream($"{Head(tile)} /ColorSpace {space}", s => s.Write(samples), level: CompressionLevel.Fastest);

    private int Screen(FlatTile tile)
    {
        using var all = NetVips.Image.NewFromMemory(ScreenTable.Of(house.Profile).ToRgb(tile.Inks), tile.Wide,
            tile.High, 3, NetVips.Enums.BandFormat.Uchar);
        using var screen = all.Copy(interpretation: NetVips.Enums.Interpretation.Srgb);
        var jpeg = screen.JpegsaveBuffer(q: 88, keep: NetVips.Enums.ForeignKeep.None,
            subsampleMode: NetVips.Enums.ForeignSubsample.Off);
        return pdf.Stream($"{Head(tile)} /ColorSpace /DeviceRGB /Filter /DCTDecode", s => s.Write(jpeg),
            compress: false);
    }

    private static string Head(FlatTile tile) =>
        $"/Type /XObject /Subtype /Image /Width {tile.Wide} /Height {tile.High} /BitsPerComponent 8";
}
