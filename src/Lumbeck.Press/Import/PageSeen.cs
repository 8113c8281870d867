using Lumbeck.Press.Colour;
using Lumbeck.Press.Import.Rewriting;
using Lumbeck.Press.Import.Parsing;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Kinds;
using Lumbeck.Running;
using NetVips;

namespace Lumbeck.Press.Import;

/// <summary>
/// Pages before and after, to be looked at side by side: the one that came as a screen shows it, the one that leaves as
/// the house's press would, and where they differ.
/// </summary>
public static class PageSeen
{
    /// <summary>Pixels an inch of a cover that is to be printed from them.</summary>
    public const int Sharp = PageRasterizer.PerInch;

    /// <summary>
    /// The room for marks about a mended cover's sheet, in points; none where the house wants no marks.
    /// </summary>
    public static double Room(Surface sheet, House house) => PageBoxes.Of(sheet, new(house.Kinds[0]), house).Margin;

    /// <summary>Whether pages can be drawn here.</summary>
    public static bool IsHere => PageRasterizer.IsHere;

    /// <exception cref="Refusal">It can’t be drawn.</exception>
    public static byte[] Came(string path, int page, double perInch, MendPlan plan, FaceShelf shelf,
        CancellationToken cancel)
    {
        using var seen = AsItCame(path, page, perInch, plan, shelf, cancel);
        return seen.JpegsaveBuffer(q: 85, keep: Enums.ForeignKeep.None);
    }

    /// <summary>A page as a screen shows it; of a picture, the page that is made of it.</summary>
    private static Image AsItCame(string path, int page, double perInch, MendPlan plan, FaceShelf shelf,
        CancellationToken cancel)
    {
        var aside = Aside.Folder();
        try
        {
            var file = AsPage.Of(path, plan, shelf, aside.FullName) ?? path;
            return PageRasterizer.Drawn(file, page, perInch, inks: false, cancel, aside.FullName);
        }
        finally { aside.Delete(recursive: true); }
    }

    /// <exception cref="Refusal">It can’t be drawn.</exception>
    public static byte[] Left(string path, int page, double perInch, PrintingCondition condition,
        CancellationToken cancel)
    {
        using var seen = InPrint(path, page, perInch, condition, cancel);
        return seen.JpegsaveBuffer(q: 85, keep: Enums.ForeignKeep.None);
    }

    private static Image InPrint(string path, int page, double perInch, PrintingCondition condition,
        CancellationToken cancel)
    {
        using var inks = PageRasterizer.Drawn(path, page, perInch, inks: true, cancel);
        using var cmyk = inks.Copy(interpretation: Enums.Interpretation.Cmyk);
        return ScreenView.Of(cmyk, condition).CopyMemory();
    }

    /// <summary>
    /// A mended cover's sheet, bleed and all, as a CMYK JPEG of the numbers that are printed.
    /// </summary>
    /// <param name="path">The mended file.</param>
    /// <param name="sheet">The sheet's size; what lies about it are marks.</param>
    /// <param name="perInch">Pixels an inch.</param>
    /// <param name="cancel">Ends the work.</param>
    /// <exception cref="Refusal">It can’t be drawn.</exception>
    public static byte[] Sheet(string path, Size sheet, double perInch, CancellationToken cancel)
    {
        using var drawn = PageRasterizer.Drawn(path, 1, perInch, inks: true, cancel);
        var (wide, high) = ((int)Math.Round(sheet.Width.Points * perInch / 72),
            (int)Math.Round(sheet.Height.Points * perInch / 72));
        (wide, high) = (Math.Min(wide, drawn.Width), Math.Min(high, drawn.Height));
        using var part = drawn.ExtractArea((drawn.Width - wide) / 2, (drawn.Height - high) / 2, wide, high);
        using var cmyk = part.Copy(interpretation: Enums.Interpretation.Cmyk, xres: perInch / 25.4,
            yres: perInch / 25.4);
        return cmyk.JpegsaveBuffer(q: 95, keep: Enums.ForeignKeep.None, subsampleMode: Enums.ForeignSubsample.Off);
    }

    /// <summary>The number of a barcode anywhere on a mended cover; null where none is read.</summary>
    /// <exception cref="Refusal">It can’t be drawn.</exception>
    public static string? Barcode(string path, CancellationToken cancel) =>
        // A module of 80 % is two pixels wide at first; what can't be read so is looked at more closely.
        Barcode(path, 200, cancel) ?? Barcode(path, 300, cancel);

    private static string? Barcode(string path, double perInch, CancellationToken cancel)
    {
        using var drawn = PageRasterizer.Drawn(path, 1, perInch, inks: true, cancel);
        var inks = drawn.WriteToMemory<byte>();
        var seen = new byte[drawn.Width * drawn.Height];
        // A reader's light is red: cyan and black are dark in it.
        for (var n = 0; n < seen.Length; n++) seen[n] = (byte)((255 - (inks[4 * n] * 0.9)) * (255 - inks[(4 * n) + 3]) / 255);
        return Codes.CodeReading.Read(seen, drawn.Width, drawn.Height)
            .FirstOrDefault(c => c.Length >= 13 && c.Take(13).All(char.IsAsciiDigit))?[..13];
    }

    /// <summary>White where the two are alike, the darker the further apart (ΔE*ab 25 and more is black).</summary>
    /// <exception cref="Refusal">One of them can’t be drawn.</exception>
    public static byte[] Apart((string Path, int Page) came, (string Path, int Page) left, double perInch,
        MendPlan plan, FaceShelf shelf,
        PrintingCondition condition,
        CancellationToken cancel)
    {
        using var was = AsItCame(came.Path, came.Page, perInch, plan, shelf, cancel);
        var house = new PressInks(condition, new BlackAlone(new PressColour(condition)), false);
        using var rgb = was.Copy(interpretation: Enums.Interpretation.Srgb);
        using var press = house.Transform(rgb, Profiles.PathOf("sRGB"));
        using var shown = ScreenView.Of(press, condition);
        using var now = InPrint(left.Path, left.Page, perInch, condition, cancel);
        using var apart = DeltaE(shown, now);
        using var dark = (255 - (apart * 10.2)).Cast(Enums.BandFormat.Uchar);
        return dark.JpegsaveBuffer(q: 85, keep: Enums.ForeignKeep.None);
    }

    /// <summary>
    /// How far two pictures of a screen are apart at each place (ΔE*ab), the second laid on the first's middle.
    /// </summary>
    internal static Image DeltaE(Image first, Image second)
    {
        using var sized = second.Gravity(Enums.CompassDirection.Centre, first.Width, first.Height, extend: Enums.Extend.White);
        // Edges that fall on other pixels are no difference.
        using var one = first.Gaussblur(1.2);
        using var other = sized.Gaussblur(1.2);
        return one.Colourspace(Enums.Interpretation.Lab).DE76(other.Colourspace(Enums.Interpretation.Lab)).CopyMemory();
    }

    /// <summary>
    /// The pages of a file, from 1, that look other than those of another, page beside page; null where they can’t be
    /// drawn here.
    /// </summary>
    public static IReadOnlyList<int>? Changed(string before, string now, CancellationToken cancel)
    {
        if (PageRasterizer.Small(before, cancel) is not { } was || PageRasterizer.Small(now,
            cancel) is not { } seen) return null;
        return [.. Enumerable.Range(0, seen.Count).Where(n => n >= was.Count || !was[n].AsSpan().SequenceEqual(seen[n]))
            .Select(n => n + 1)];
    }
}
