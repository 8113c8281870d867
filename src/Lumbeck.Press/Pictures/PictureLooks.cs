using Lumbeck.Press.Colour;
using NetVips;

namespace Lumbeck.Press.Pictures;

/// <summary>
/// What can be told of a picture from a small copy of it: its colours, and those the press can't show.
/// </summary>
public static class PictureLooks
{
    /// <summary>From this difference on (CIEDE2000) a colour counts as lost (docs/checks.md, picture.colour).</summary>
    public const double Lost = 6;

    /// <summary>
    /// The colours that a picture is made of, as the press shows them, the most frequent first: means of clusters in
    /// Lab, from fixed beginnings.
    /// </summary>
    public static IReadOnlyList<AskedRgb> Palette(string path, PrintingCondition condition, int count)
    {
        using var sized = Small(path, 96);
        using var flat = sized.HasAlpha() ? sized.Flatten(background: [255]) : sized.Copy();
        using var press = PictureMaking.Press(flat, condition, false);
        using var screen = press.Bands == 1
            ? press.Colourspace(Enums.Interpretation.Srgb)
            : ScreenView.Of(press, condition);
        using var lab = screen.Colourspace(Enums.Interpretation.Lab);
        var rgb = screen.WriteToMemory<byte>();
        var points = lab.Cast(Enums.BandFormat.Float).WriteToMemory<float>();
        var n = points.Length / 3;
        double far(int i,
            (double L, double A, double B) c) => Math.Pow(points[i * 3] - c.L, 2) + Math.Pow(points[(i * 3) + 1] - c.A,
                2) + Math.Pow(points[(i * 3) + 2] - c.B, 2);
        (double, double, double) at(int i) => (points[i * 3], points[(i * 3) + 1], points[(i * 3) + 2]);
        // Begun with the mean, then with what lies farthest from all before.
        var middle = (points.Where((_, i) => i % 3 == 0).Average(), points.Where((_, i) => i % 3 == 1).Average(),
            points.Where((_, i) => i % 3 == 2).Average());
        List<(double L, double A, double B)> centres = [at(Enumerable.Range(0, n).MinBy(i => far(i, middle)))];
        while (centres.Count < Math.Min(count, n))
            centres.Add(at(Enumerable.Range(0, n).MaxBy(i => centres.Min(c => far(i, c)))));
        var of = new int[n];
        for (var round = 0; round < 12; round++)
        {
            for (var i = 0; i < n; i++)
            {
                var best = 0;
                for (var c = 1; c < centres.Count; c++) if (far(i, centres[c]) < far(i, centres[best])) best = c;
                of[i] = best;
            }
            for (var c = 0; c < centres.Count; c++)
            {
                var own = Enumerable.Range(0, n).Where(i => of[i] == c).ToList();
                if (own.Count > 0)
                    centres[c] = (own.Average(i => points[i * 3]), own.Average(i => points[(i * 3) + 1]),
                        own.Average(i => points[(i * 3) + 2]));
            }
        }
        // A colour is one that is in the picture, the nearest to its cluster's middle.
        return [.. Enumerable.Range(0, centres.Count).Select(c =>
            Enumerable.Range(0, n).Where(i => of[i] == c)
                .ToList()).Where(own => own.Count > 0).OrderByDescending(own => own.Count)
            .Select(own => own.MinBy(i => far(i, centres[of[i]])))
                .Select(i => new AskedRgb(rgb[i * 3], rgb[(i * 3) + 1], rgb[(i * 3) + 2])).Distinct()];
    }

    /// <summary>A small copy whose pixels can be read again and again.</summary>
    private static Image Small(string path, int wide)
    {
        using var sized = PictureMaking.Sized(path, wide);
        return sized.CopyMemory();
    }

    /// <summary>
    /// How much more a picture’s edges differ where they meet as tiles than neighbouring columns and rows within it do,
    /// in mean CIEDE2000; 0 where they go on in one another.
    /// </summary>
    public static (double Across, double Down) Seams(string path, bool brick)
    {
        using var sized = Small(path, 480);
        using var flat = sized.HasAlpha() ? sized.Flatten(background: [255]) : sized.Copy();
        using var lab = (flat.Interpretation is Enums.Interpretation.Cmyk
            ? flat.IccImport(inputProfile: "cmyk", embedded: true, intent: Enums.Intent.Relative)
            : flat.Colourspace(Enums.Interpretation.Lab)).CopyMemory();
        var (w, h) = (lab.Width, lab.Height);
        if (w < 4 || h < 4) return (0, 0);
        double apart(Image a, Image b)
        {
            using (a) using (b) using (var off = a.DE00(b)) return off.Avg();
        }
        double within(Func<int, Image> line, int many) =>
            Enumerable.Range(1, 6).Average(n => apart(line(many * n / 8), line((many * n / 8) + 1)));
        Image column(int x) => lab.ExtractArea(x, 0, 1, h);
        Image row(int y) => lab.ExtractArea(0, y, w, 1);
        var across = apart(column(w - 1), column(0)) - within(column, w);
        using var head = row(0);
        var down = apart(row(h - 1), brick ? head.Wrap(x: w / 2, y: 0) : head.Copy()) - within(row, h);
        return (Math.Max(0, across), Math.Max(0, down));
    }

    /// <summary>
    /// How much of an RGB picture the press can't show as asked, from 0 to 1; and a small picture of it with those
    /// parts in the findings' colour.
    /// </summary>
    public static (double Share, byte[] Where) Gamut(string path, PrintingCondition condition)
    {
        using var sized = Small(path, 420);
        using var flat = sized.HasAlpha() ? sized.Flatten(background: [255]) : sized.Copy();
        using var asked =
            flat.Interpretation is Enums.Interpretation.Cmyk or Enums.Interpretation.Bw or Enums.Interpretation.Grey16
            ? null
            : flat.IccTransform(Profiles.PathOf("sRGB"), inputProfile: Profiles.PathOf("sRGB"), embedded: true,
                intent: Enums.Intent.Relative, depth: 8)
                .CopyMemory();
        if (asked is null) return (0, []);
        using var press = PictureMaking.Press(flat, condition, false);
        using var shown = ScreenView.Of(press, condition);
        using var moved = asked.Colourspace(Enums.Interpretation.Lab).DE00(shown.Colourspace(Enums.Interpretation.Lab));
        using var lost = moved > Lost;
        using var brick = (asked * 0 + (double[])[154, 51, 39]).Cast(Enums.BandFormat.Uchar)
            .Copy(interpretation: Enums.Interpretation.Srgb);
        using var pale = ((asked * 0.4) + 150).Cast(Enums.BandFormat.Uchar)
            .Copy(interpretation: Enums.Interpretation.Srgb);
        using var where = lost.Ifthenelse(brick, pale);
        return (lost.Avg() / 255, where.WebpsaveBuffer(q: 80, keep: Enums.ForeignKeep.None));
    }
}
