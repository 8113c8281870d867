using System.Collections.Concurrent;
using System.Runtime.InteropServices;
using NetVips;

namespace Lumbeck.Press.Colour;

/// <summary>What a press colour looks like on screen.</summary>
public interface IScreenColour
{
    /// <summary>As <c>#rrggbb</c> in sRGB.</summary>
    string Hex(Ink ink);

    /// <summary>
    /// The same of many at once, in their order: setting a transform up costs far more than it does to carry a colour
    /// through.
    /// </summary>
    IReadOnlyList<string> Hex(IReadOnlyList<Ink> inks);
}

/// <summary>
/// Screen colour through the press profile's A2B table to sRGB, relative colorimetric: paper shows as white; and the
/// mixes that come nearest to colours asked for.
/// Each is converted once and kept.
/// </summary>
/// <param name="condition">A profile by name, such as <c>coated-fogra39-300</c>, and how colours are brought into
/// it.</param>
public sealed class PressColour(PrintingCondition condition) : IScreenColour
{
    private readonly ConcurrentDictionary<Ink, string> _seen = new(), _onPaper = new();
    private readonly ConcurrentDictionary<Asked, Ink> _mixed = new();
    private readonly string _profile = Profiles.PathOf(condition.Profile);

    public PrintingCondition Condition => condition;

    public string Hex(Ink ink) => _seen.GetOrAdd(ink, i => Shown(i, Enums.Intent.Relative));

    public IReadOnlyList<string> Hex(IReadOnlyList<Ink> inks)
    {
        var unknown = inks.Where(i => !_seen.ContainsKey(i)).Distinct().ToList();
        if (unknown.Count > 0)
        {
            using var press = Row(unknown);
            using var screen = press.IccTransform(Profiles.PathOf("sRGB"), inputProfile: _profile,
                intent: Enums.Intent.Relative, depth: 8, embedded: false);
            var rgb = screen.WriteToMemory<byte>();
            for (var i = 0; i < unknown.Count; i++)
                _seen[unknown[i]] = $"#{rgb[i * 3]:x2}{rgb[(i * 3) + 1]:x2}{rgb[(i * 3) + 2]:x2}";
        }
        return [.. inks.Select(i => _seen[i])];
    }

    /// <summary>The same with the paper's own colour (absolute): white is the paper.</summary>
    public string OnPaper(Ink ink) => _onPaper.GetOrAdd(ink, i => Shown(i, Enums.Intent.Absolute));

    /// <summary>A mix as it is seen, against the paper's white.</summary>
    public Lab Lab(Ink ink)
    {
        using var press = One(ink);
        using var lab = press.IccImport(pcs: Enums.PCS.Lab, intent: Enums.Intent.Relative, inputProfile: _profile,
            embedded: false);
        return Read(lab);
    }

    /// <summary>The same of many at once.</summary>
    public IReadOnlyList<Lab> Lab(IReadOnlyList<Ink> inks)
    {
        using var press = Row(inks);
        using var worked = press.IccImport(pcs: Enums.PCS.Lab, intent: Enums.Intent.Relative, inputProfile: _profile,
            embedded: false);
        using var lab = worked.CopyMemory();
        return [.. Enumerable.Range(0, inks.Count).Select(n => Read(lab, n))];
    }

    /// <summary>A colour asked for as it would be seen.</summary>
    public static Lab Lab(Asked asked)
    {
        if (asked is AskedLab { Lab: var own }) return own;
        using var one = Rgb((AskedRgb)asked);
        using var lab = one.IccImport(pcs: Enums.PCS.Lab, intent: Enums.Intent.Relative,
            inputProfile: Profiles.PathOf("sRGB"), embedded: false);
        return Read(lab);
    }

    /// <summary>
    /// The mix that comes nearest to a colour asked for, in whole percents, as the profile has it: colorimetric, so
    /// that what the press can show is matched.
    /// </summary>
    public Ink Mix(Asked asked) => _mixed.GetOrAdd(asked, a =>
    {
        using var press = FromLab(Lab(a));
        var levels = press.WriteToMemory<ushort>();
        static decimal percent(ushort level) => Math.Round(level * 100m / 65535);
        return Ink.Percent(percent(levels[0]), percent(levels[1]), percent(levels[2]), percent(levels[3]));
    });

    /// <summary>As <c>#rrggbb</c>, clipped to what a screen shows.</summary>
    public static string Hex(Asked asked)
    {
        if (asked is AskedRgb rgb) return rgb.Text;
        var own = ((AskedLab)asked).Lab;
        using var lab = LabImage(own);
        using var screen = lab.IccExport(outputProfile: Profiles.PathOf("sRGB"), intent: Enums.Intent.Relative,
            depth: 8);
        return Hex(screen);
    }

    private string Shown(Ink ink, Enums.Intent intent)
    {
        using var press = One(ink);
        using var screen = press.IccTransform(Profiles.PathOf("sRGB"), inputProfile: _profile, intent: intent, depth: 8,
            embedded: false);
        return Hex(screen);
    }

    private Image FromLab(Lab own)
    {
        using var lab = LabImage(own);
        return lab.IccExport(outputProfile: _profile, intent: Enums.Intent.Relative, depth: 16);
    }

    private static Image LabImage(Lab lab)
    {
        float[] values = [(float)lab.L, (float)lab.A, (float)lab.B];
        using var one = Image.NewFromMemoryCopy(MemoryMarshal.AsBytes(values.AsSpan()).ToArray(), 1, 1, 3,
            Enums.BandFormat.Float);
        return one.Copy(interpretation: Enums.Interpretation.Lab);
    }

    private static Image Rgb(AskedRgb rgb)
    {
        using var one = Image.NewFromMemoryCopy(new[] { rgb.R, rgb.G, rgb.B }, 1, 1, 3, Enums.BandFormat.Uchar);
        return one.Copy(interpretation: Enums.Interpretation.Srgb);
    }

    private static Image One(Ink ink) => Row([ink]);

    /// <summary>Inks side by side, a pixel each.</summary>
    private static Image Row(IReadOnlyList<Ink> inks)
    {
        ushort[] cmyk = [.. inks.SelectMany(i => (ushort[])[Level(i.C), Level(i.M), Level(i.Y), Level(i.K)])];
        using var row = Image.NewFromMemoryCopy(MemoryMarshal.AsBytes(cmyk.AsSpan()).ToArray(), inks.Count, 1, 4,
            Enums.BandFormat.Ushort);
        return row.Copy(interpretation: Enums.Interpretation.Cmyk);
    }

    private static Lab Read(Image lab, int at = 0)
    {
        var p = lab.Getpoint(at, 0);
        return new(p[0], p[1], p[2]);
    }

    private static string Hex(Image screen)
    {
        var rgb = screen.WriteToMemory<byte>();
        return $"#{rgb[0]:x2}{rgb[1]:x2}{rgb[2]:x2}";
    }

    private static ushort Level(int hundredths) => (ushort)Math.Round(hundredths * 65535 / 10_000.0);
}
