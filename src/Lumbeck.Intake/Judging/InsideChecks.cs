using System.Globalization;
using Lumbeck.Intake.Opening;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Intake.Judging;

/// <summary>
/// The pages of an inside against its ticket: their count, one size throughout, faces, colour page by page, resolution,
/// and blanks where none should be. Pages of the same content are read once.
/// </summary>
internal static class InsideChecks
{
    /// <summary>No inside has more pages.</summary>
    private const int Most = 5200;

    /// <summary>Pages of a size are as near as 0.5 mm.</summary>
    private static readonly double Near = Length.FromMillimetres(0.5m).Points;

    public static void Look(Pdf pdf, BoundedFilters filters, ExpectedPages inside, Expected expected, Findings found,
        Func<bool> late)
    {
        var (house, count) = (expected.House, pdf.Document.NumberOfPages);
        if (count != inside.Count)
            found.Stop("pages.count", Pages(count), Pages(inside.Count),
                "The file has another count of pages than the book.");
        if (count > Most) return;
        var pages = Leaves(pdf).Take(Most).ToList();
        var known = new Dictionary<string, PageUse>(StringComparer.Ordinal);
        (double W, double H)? first = null;
        List<int> coloured = [], blank = [], odd = [];
        foreach (var (n, page) in pages.Index())
        {
            if (late()) throw new TimeoutException();
            if (PageBoxes.Of(pdf, page) is not { } shape)
            {
                found.Stop("box.media", $"page {n + 1} has none", "a MediaBox",
                    "A page without a size can’t be printed.");
                continue;
            }
            var trim = shape.Trim ?? shape.Media;
            var (w, h) = ((trim.R - trim.L) * shape.Unit, (trim.T - trim.B) * shape.Unit);
            if (first is { } one && (Math.Abs(w - one.W) > Near || Math.Abs(h - one.H) > Near)) odd.Add(n + 1);
            if (first is null)
            {
                first = (w, h);
                Boxes(shape, w, h, inside, house, found);
            }
            filters.Allow((shape.Media.R - shape.Media.L) * (shape.Media.T - shape.Media.B) / (72 * 72));
            var resources = pdf.Inherited(page, "Resources");
            var key = $"{Named(pdf.Get(page, "Contents"), page, "Contents")} {Named(resources, page, "Resources")}";
            if (!known.TryGetValue(key, out var use))
            {
                use = new();
                new ContentInterpreter(pdf, use, shape.Bleed ?? shape.Media, late)
                    .Page(page, pdf.Resolve(resources) as DictionaryToken);
                ColourChecks.Look(use, expected, found);
                TransparencyChecks.Look(use, house, found);
                FaceChecks.Look(pdf, use, house, found);
                PictureChecks.Look(pdf, use, house, found);
                if (use.MostInk > (double)house.InkLimit + 0.5)
                    found.Stop("ink.total", $"{use.MostInk.ToString("0", CultureInfo.InvariantCulture)} % on page " +
                        $"{n + 1}",
                        $"{house.InkLimit} %", "So much ink does not dry on an inside’s paper.");
                if (known.Count < 2000) known[key] = use;
            }
            if (IsColoured(use)) coloured.Add(n + 1);
            if (!use.Paints && inside.Blank is { } meant && !meant.Contains(n + 1)) blank.Add(n + 1);
        }
        if (odd.Count > 0)
            found.Stop("pages.size", $"{Told(odd)} of another size", "one size throughout",
                "Pages of a book are cut to one size.");
        if (inside.Black && coloured.Count > 0)
            found.Stop("colour.inside", $"{Told(coloured)} in colour", "black alone",
                "The ticket says that the inside is printed in black only.");
        if (blank.Count > 0)
            found.Stop("page.blank", $"{Told(blank)} blank", "what the ticket’s runs have there",
                "A page is empty that should be printed on.");
    }

    private static void Boxes(PageBoxes shape, double w, double h, ExpectedPages inside, House house, Findings found)
    {
        if (shape.Trim is null && (inside.Bleed.Units > 0 || found.Kind != "PDF"))
            found.Stop("box.trim", "no TrimBox", inside.Trim.Show(house.Unit),
                "Without it nobody knows where the pages are cut.");
        if (Math.Abs(w - inside.Trim.Width.Points) > Near || Math.Abs(h - inside.Trim.Height.Points) > Near)
            found.Stop("box.trim", new Size(Length.FromDrawing(w),
                Length.FromDrawing(h)).Show(house.Unit), inside.Trim.Show(house.Unit),
                "The pages would be cut to another size than the ticket’s.");
        if (inside.Bleed.Units <= 0 || shape.Trim is not { } trim) return;
        var bleed = shape.Bleed ?? shape.Media;
        // The bound edge may have none.
        var least = new[] { bleed.T - trim.T, trim.B - bleed.B,
            Math.Max(trim.L - bleed.L, bleed.R - trim.R) }.Min() * shape.Unit;
        if (least < inside.Bleed.Points - Near)
            found.Stop("box.bleed", Length.FromDrawing(Math.Max(0, least)).Show(house.Unit), inside.Bleed.Show(house.Unit),
                "The art does not run far enough past the cut.");
    }

    private static bool IsColoured(PageUse use) => use.Coloured
        || use.Images.Any(i =>
            !i.Mask && i.Space is "DeviceRGB" or "DeviceCMYK" or "ICCBased3" or "ICCBased4" or "CalRGB" or "Lab")
        || use.Plates.Any(p => p is not ("All" or "None" or "Black"));

    /// <summary>An entry that is a reference by its number, so that pages that share it are known.</summary>
    private static string Named(IToken? token, DictionaryToken page, string key) =>
        page.TryGet(NameToken.Create(key), out var own) && own is IndirectReferenceToken r ? r.Data.ToString()!
        : token is null ? "-" : $"{page.GetHashCode()}";

    /// <summary>All pages in their order, the tree walked once; none of its nodes twice.</summary>
    private static IEnumerable<DictionaryToken> Leaves(Pdf pdf)
    {
        var open = new Stack<IToken?>([pdf.Catalog.TryGet(NameToken.Create("Pages"), out var root) ? root : null]);
        var seen = new HashSet<UglyToad.PdfPig.Core.IndirectReference>();
        while (open.Count > 0)
        {
            var token = open.Pop();
            if (token is IndirectReferenceToken r && !seen.Add(r.Data)) continue;
            if (pdf.Resolve(token) is not DictionaryToken node) continue;
            if (pdf.Get(node, "Kids") is not ArrayToken kids) { yield return node; continue; }
            for (var i = kids.Data.Count - 1; i >= 0; i--) open.Push(kids.Data[i]);
        }
    }

    private static string Pages(int n) => n == 1 ? "1 page" : $"{n} pages";

    private static string Told(List<int> pages) =>
        pages.Count == 1 ? $"page {pages[0]}" : $"{pages.Count} pages, the first {pages[0]},";
}
