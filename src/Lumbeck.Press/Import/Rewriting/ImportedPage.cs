using Lumbeck.Pdf.Reading;

namespace Lumbeck.Press.Import.Rewriting;

/// <summary>A page that came, upright: its size, and what of it is meant to be left when it is cut.</summary>
/// <param name="Upright">From its own space to one whose lower left corner is its own, turned and scaled as it is
/// shown.</param>
/// <param name="Size">So shown, in points.</param>
/// <param name="Trim">What it says is left when it is cut; null where it says nothing.</param>
/// <param name="Bleeds">How far its art runs past that, in points.</param>
internal sealed record ImportedPage(Affine Upright, (double Wide, double High) Size, Bounds? Trim, double Bleeds)
{
    /// <exception cref="Refusal">It has no size.</exception>
    public static ImportedPage Of(PdfFile file, PdfDict page, int number)
    {
        Bounds? box(string key) => file.Numbers(page, key) is [var a, var b, var c, var d]
            && Math.Abs(c - a) is > 1 and < 20_000 && Math.Abs(d - b) is > 1 and < 20_000
            ? new(Math.Min(a, c), Math.Min(b, d), Math.Max(a, c), Math.Max(b, d)) : null;
        var media = box("MediaBox") ?? throw new Refusal("file", $"page {number} has no size");
        if (box("CropBox") is { } crop && crop.Meet(media) is { IsEmpty: false } seen) media = seen;
        var unit = file.Number(page, "UserUnit") is { } u and > 0 and < 100 ? u : 1;
        var turned = ((((int)(file.Number(page, "Rotate") ?? 0) / 90) % 4) + 4) % 4;
        var (w, h) = ((media.Right - media.Left) * unit, (media.Bottom - media.Top) * unit);
        var flat = Affine.Move(-media.Left, -media.Top).Then(new Affine(unit, 0, 0, unit, 0, 0));
        var upright = flat.Then(turned switch
        {
            1 => new Affine(0, -1, 1, 0, 0, w),
            2 => new Affine(-1, 0, 0, -1, w, h),
            3 => new Affine(0, 1, -1, 0, h, 0),
            _ => Affine.Identity,
        });
        var size = turned % 2 == 1 ? (h, w) : (w, h);
        // A trim box that is all of the page says nothing.
        if (box("TrimBox") is not { } own || own.Meet(media) is not { IsEmpty: false } inside
            || Same(inside, media)) return new(upright, size, null, 0);
        var trim = upright.Of(inside);
        var art = box("BleedBox") is { } bleed && bleed.Meet(media) is { IsEmpty: false } b2 ? upright.Of(b2) : new(0,
            0, size.Item1,
            size.Item2);
        var past = new[] { trim.Left - art.Left, art.Right - trim.Right, trim.Top - art.Top,
            art.Bottom - trim.Bottom }.Min();
        return new(upright, size, trim, Math.Max(0, past));
    }

    private static bool Same(Bounds a, Bounds b) => Math.Abs(a.Left - b.Left) < 0.1 && Math.Abs(a.Right - b.Right) < 0.1
        && Math.Abs(a.Top - b.Top) < 0.1 && Math.Abs(a.Bottom - b.Bottom) < 0.1;

    /// <summary>From the upright page's points back to its own space.</summary>
    public Affine Own => Upright.Inverse();
}
