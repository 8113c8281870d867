using Lumbeck.Press.Import.Parsing;
using Lumbeck.Running;
using NetVips;

namespace Lumbeck.Press.Import.Rewriting;

/// <summary>
/// A page that can't be carried over as marks, as pixels: drawn by poppler's <c>pdftoppm</c> where it is installed, what
/// has no hue kept on the black plate.
/// </summary>
internal static class PageRasterizer
{
    public const int PerInch = 400;

    private static readonly Lazy<string?> Program = new(() => ForeignProgram.Find("pdftoppm")),
        Other = new(() => ForeignProgram.Find("pdftocairo"));

    /// <summary>The file may be anybody's.</summary>
    private static readonly Limits Bounded = new(Kilobytes: 1_500_000, Seconds: 30, TimeSpan.FromMinutes(2));

    public static bool IsHere => Program.Value is not null;

    /// <summary>A page, upright, in a house's inks or in gray.</summary>
    /// <param name="path">The file.</param>
    /// <param name="page">From 1.</param>
    /// <param name="inks">The house's.</param>
    /// <param name="aside">A folder for what is kept meanwhile.</param>
    /// <param name="cancel">Whoever asked has gone.</param>
    /// <exception cref="Refusal">It can't be drawn here.</exception>
    public static Image Of(string path, int page, PressInks inks, string aside, CancellationToken cancel)
    {
        using var seen = Drawn(path, page, PerInch, inks: false, cancel, aside);
        return InInks(seen, inks);
    }

    /// <summary>Pixels of a screen in a house's inks, what has no hue on the black plate.</summary>
    public static Image InInks(Image seen, PressInks inks)
    {
        if (inks.BlackAlone) return inks.Black.Of(seen).CopyMemory();
        using var rgb = seen.Copy(interpretation: Enums.Interpretation.Srgb);
        using var press = inks.Transform(rgb, Colour.Profiles.PathOf("sRGB"));
        using var black = inks.Black.Of(rgb);
        using var key = 255 - black;
        using var none = key * 0;
        using var alone = none.Bandjoin(none, none, key).Cast(Enums.BandFormat.Uchar);
        using var r = rgb.ExtractBand(0);
        using var g = rgb.ExtractBand(1);
        using var b = rgb.ExtractBand(2);
        using var plain = (r.Equal(g)) & (g.Equal(b));
        return plain.Ifthenelse(alone, press).Copy(interpretation: Enums.Interpretation.Cmyk).CopyMemory();
    }

    /// <summary>A file's first page, upright, in red, green, blue and how far it covers.</summary>
    /// <param name="path">The file; what is made meanwhile lies beside it.</param>
    /// <param name="page">Which page of the maker's it was, from 1.</param>
    /// <param name="cancel">Whoever asked has gone.</param>
    /// <exception cref="Refusal">It can't be drawn here.</exception>
    public static Image Alone(string path, int page, CancellationToken cancel)
    {
        using var image = Made(Other.Value, page, Path.ChangeExtension(path, null), ".png",
            ["-r", Figure(PerInch), "-cropbox", "-png", "-transp", "-singlefile", "-f", "1", "-l", "1",
                Path.GetFullPath(path)], cancel);
        return image.Bands == 4 ? image.Copy() : image.Bandjoin(255);
    }

    /// <summary>A page as it is drawn, upright, in red, green and blue or in its inks.</summary>
    /// <exception cref="Refusal">It can't be drawn here.</exception>
    public static Image Drawn(string path, int page, double perInch, bool inks, CancellationToken cancel,
        string? within = null)
    {
        if (Program.Value is null) throw No(page);
        var aside = within ?? Aside.Folder().FullName;
        try
        {
            var number = page.ToString(CultureInfo.InvariantCulture);
            return Made(Program.Value, page, Path.Combine(aside, $"page-{number}"), ".tif",
                ["-r", Figure(perInch), "-cropbox", "-tiff", "-tiffcompression", "none",
                    .. inks ? (string[])["-overprint"] : [], "-singlefile", "-f", number, "-l", number,
                    Path.GetFullPath(path)], cancel);
        }
        finally { if (within is null) Directory.Delete(aside, recursive: true); }
    }

    /// <summary>All pages of a file so small that they can be told apart; null where they can't be drawn here.</summary>
    public static IReadOnlyList<byte[]>? Small(string path, CancellationToken cancel)
    {
        if (Program.Value is null) return null;
        var aside = Aside.Folder().FullName;
        try
        {
            if (!Ran(Program.Value, aside, ["-r", "40", "-cropbox", Path.GetFullPath(path), Path.Combine(aside,
                "page")], cancel).IsWell) return null;
            return [.. Directory.GetFiles(aside).Order(StringComparer.Ordinal).Select(File.ReadAllBytes)];
        }
        finally { Directory.Delete(aside, recursive: true); }
    }

    private static string Figure(double perInch) => perInch.ToString("0.###", CultureInfo.InvariantCulture);

    private static Image Made(string? program, int page, string stem, string ending, string[] words,
        CancellationToken cancel)
    {
        if (program is null) throw No(page);
        var ran = Ran(program, Path.GetDirectoryName(stem)!, [.. words, stem], cancel);
        if (!ran.IsWell) throw new Refusal("page", $"page {page} can’t be carried over, and {Path.GetFileName(program)}, " +
            $"which draws it as pixels, did not: {ran.Says}");
        if (!File.Exists(stem + ending)) throw No(page);
        using var image = Image.NewFromFile(stem + ending);
        var read = image.CopyMemory();
        File.Delete(stem + ending);
        return read;
    }

    private static Ending Ran(string program, string within, string[] words, CancellationToken cancel) =>
        ForeignProgram.Run(program, words, Bounded, within, cancel);

    private static Refusal No(int page) => new("page", $"page {page} can’t be carried over, and nothing here can " +
        $"draw it as pixels");
}
