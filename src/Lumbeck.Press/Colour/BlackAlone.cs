using System.Collections.Concurrent;
using NetVips;

namespace Lumbeck.Press.Colour;

/// <summary>
/// Colours where black is the only ink: by their lightness through the black's own curve, so that what looks as dark
/// prints as dark (docs/inside.md, Ink).
/// </summary>
public sealed class BlackAlone
{
    private readonly ConcurrentDictionary<Ink, Ink> _known = new();
    private readonly PressColour _colour;
    private readonly Lazy<double[]> _curve;

    /// <param name="colour">The condition that pages are printed in.</param>
    public BlackAlone(PressColour colour)
    {
        _colour = colour;
        _curve = new(() => [.. colour.Lab([.. Enumerable.Range(0, 101).Select(k => Ink.Percent(0, 0, 0, k))])
            .Select(c => c.L)]);
    }

    /// <summary>The black that is as light; what is black alone keeps its tint.</summary>
    public Ink Of(Ink ink) => ink is { C: 0, M: 0, Y: 0 } ? ink : _known.GetOrAdd(ink, i =>
        Ink.Percent(0, 0, 0, Math.Round((decimal)Tint(_colour.Lab(i).L), 1)));

    /// <summary>The same of many at once: setting a transform up costs more than it does to carry them through.</summary>
    public IReadOnlyList<Ink> Of(IReadOnlyList<Ink> inks)
    {
        List<Ink> open = [.. inks.Where(i => i is not { C: 0, M: 0, Y: 0 } && !_known.ContainsKey(i)).Distinct()];
        if (open.Count > 0)
            foreach (var (ink, seen) in open.Zip(_colour.Lab(open)))
                _known[ink] = Ink.Percent(0, 0, 0, Math.Round((decimal)Tint(seen.L), 1));
        return [.. inks.Select(Of)];
    }

    /// <summary>A lightness of 0 to 100 as a tint in percent.</summary>
    public double OfLightness(double lightness) => Tint(lightness);

    private double Tint(double lightness)
    {
        var curve = _curve.Value;
        if (lightness >= curve[0]) return 0;
        if (lightness <= curve[100]) return 100;
        var n = 0;
        while (curve[n + 1] > lightness) n++;
        var step = curve[n] - curve[n + 1];
        return step <= 0 ? n : n + ((curve[n] - lightness) / step);
    }

    /// <summary>A picture as samples of gray, 0 where all of the black is.</summary>
    public Image Of(Image image)
    {
        if (image.Interpretation is Enums.Interpretation.Bw or Enums.Interpretation.Grey16)
            return PictureMakingGray(image);
        using var lab = image.IccImport(pcs: Enums.PCS.Lab, intent: Enums.Intent.Relative, embedded: true,
            inputProfile: image.Interpretation == Enums.Interpretation.Cmyk
                ? Profiles.PathOf(_colour.Condition.Profile)
                : Profiles.PathOf("sRGB"));
        using var light = lab.ExtractBand(0);
        using var levels = (light * 2.55).Cast(Enums.BandFormat.Uchar);
        var table = Enumerable.Range(0, 256).Select(v => (byte)Math.Round(255 - (2.55 * Tint(v / 2.55)))).ToArray();
        using var map = Image.NewFromMemoryCopy(table, 256, 1, 1, Enums.BandFormat.Uchar);
        return levels.Maplut(map).Copy(interpretation: Enums.Interpretation.Bw);
    }

    private static Image PictureMakingGray(Image image) => image.Format == Enums.BandFormat.Ushort
        ? (image / 257).Cast(Enums.BandFormat.Uchar).Copy(interpretation: Enums.Interpretation.Bw)
        : image.Cast(Enums.BandFormat.Uchar);
}
