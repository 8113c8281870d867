using Lumbeck.Pdf.Writing;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Pdf;
using Lumbeck.Press.Pictures;
using Lumbeck.Press.Plates;

namespace Lumbeck.Press.Kinds;

/// <summary>An inside as it is pressed.</summary>
/// <param name="Count">Its pages as printed.</param>
/// <param name="Page">One of them, from 1, in the order they are read.</param>
/// <param name="Reading">Which way the book reads.</param>
/// <param name="Trim">Of a page.</param>
public sealed record InsidePages(int Count, Func<int, Scene> Page, Reading Reading, Size Trim)
{
    /// <summary>What makes its colours black; null where pages are in colour.</summary>
    public BlackAlone? Black { get; init; }

    /// <summary>Sheets of a booklet that is printed at home.</summary>
    public ImmutableArray<BookletSheet> Sheets { get; init; } = [];
}

/// <summary>
/// Writes files of an inside (docs/press-files.md, Pages): single pages with their boxes, openings, or a booklet's
/// sheets. Whatever pages share is in the file once: bodies, contents and resources.
/// </summary>
public static class PressedPages
{
    /// <param name="output">Written from front to back; not closed.</param>
    /// <param name="inside">The pages.</param>
    /// <param name="plan">What is asked.</param>
    /// <param name="house">The house as it takes pages.</param>
    /// <param name="note">What the file says of itself.</param>
    /// <param name="shelf">Where the faces are.</param>
    /// <param name="pictures">Where pictures' files are; null where there are none.</param>
    /// <param name="before">Is told of each page and picture before it is made; may end the work by throwing.</param>
    /// <exception cref="Refusal">A page can't be drawn, or a face's licence forbids what was asked.</exception>
    public static void Write(Stream output, InsidePages inside, PressPlan plan, House house, DocumentInfo note,
        FaceShelf shelf,
        IPictureFiles? pictures = null, Action? before = null)
    {
        using var pdf = new PdfWriter(output, plan.Kind.Version);
        var file = new PageWriting(pdf, inside, plan, house, note, shelf, pictures, before);
        var tree = pdf.Reserve();
        List<PdfRef> kids = plan.Kind.MadeOf switch
        {
            MadeOf.Openings =>
                [.. Openings(inside).Select(o => file.Placed(tree, o.Wide, inside.Trim.Height.Points, o.Pages))],
            MadeOf.Imposed => [.. file.Booklet(tree)],
            _ => [.. Enumerable.Range(1, inside.Count).Select(n => file.Single(tree, n))],
        };
        file.Finish();
        PressFile.Finish(pdf, tree, kids, plan, house, note, inside.Reading == Reading.RightToLeft);
    }

    /// <summary>Openings in the order they are read: the first and the last page stand alone.</summary>
    private static IEnumerable<(double Wide, (int, Affine)[] Pages)> Openings(InsidePages inside)
    {
        var wide = inside.Trim.Width.Points;
        for (var n = 0; n <= inside.Count; n += 2)
        {
            (int, Affine)[] pages = [.. ((int[])[n, n + 1]).Where(p => p >= 1 && p <= inside.Count)
                .Select(p => (p, Affine.Move(p % 2 == 1 == (inside.Reading == Reading.LeftToRight) ? wide : 0, 0)))];
            if (pages.Length == 0) continue;
            // One that stands alone is a page of its own size.
            yield return pages.Length == 2 ? (2 * wide, pages) : (wide, [(pages[0].Item1, Affine.Identity)]);
        }
    }
}

/// <summary>One file of pages while it is written.</summary>
internal sealed class PageWriting
{
    private readonly PdfWriter _pdf;
    private readonly InsidePages _inside;
    private readonly PressPlan _plan;
    private readonly House _house;
    private readonly DocumentInfo _note;
    private readonly FaceShelf _shelf;
    private readonly Action? _before;
    private readonly ColorOperators _ink;
    private readonly ImageXObjects _images;
    private readonly FormXObjects _symbols;
    private readonly PlatePainter _painter;
    private readonly SortedDictionary<FaceId, EmbeddedFont> _faces = [];
    private readonly Dictionary<string, PdfRef> _contents = new(StringComparer.Ordinal);
    private readonly Dictionary<int, (PdfRef Form, Bounds Trim)> _forms = [];
    private readonly List<PageResources> _open = [];
    private readonly HashSet<FaceId> _known = [];
    private readonly Dictionary<string, PdfRef> _flats = new(StringComparer.Ordinal);
    private PageResources? _shared;

    public PageWriting(PdfWriter pdf, InsidePages inside, PressPlan plan, House house, DocumentInfo note,
        FaceShelf shelf,
        IPictureFiles? pictures, Action? before)
    {
        (_pdf, _inside, _plan, _house, _note, _shelf, _before) = (pdf, inside, plan, house, note, shelf, before);
        var condition = PrintingCondition.Of(house);
        _ink = new(plan.InRgb ? new PressColour(condition) : null, inside.Black is not null);
        _images = new(pdf, house, pictures)
        {
            Before = before,
            Rgb = plan.InRgb,
            PerInch = plan.Kind.PicturesPerInch,
            Black = inside.Black,
        };
        _symbols = new(pdf);
        _painter = new(shelf, pictures, condition);
    }

    /// <summary>A page by itself, with its boxes.</summary>
    public PdfRef Single(PdfRef tree, int number)
    {
        var (page, content, has) = Drawn(number);
        if (page.Marked)
            content = page.WithinBleed(content).Append(new PrinterMarks(page, _house, _note, has, _shelf, _ink, _plan,
                Shapes).Draw());
        return _pdf.Object(page.Page(tree).Set("Group", Group(has)).Set("Resources", has.Reference)
            .Set("Contents", Content(content)));
    }

    /// <summary>A page that shows others of the file, each cut to its trim.</summary>
    public PdfRef Placed(PdfRef tree, double wide, double high, IEnumerable<(int Page, Affine Place)> pages)
    {
        var (s, names) = (new ContentWriter(), new SortedDictionary<string, PdfObject>(StringComparer.Ordinal));
        foreach (var (number, place) in pages)
        {
            var (form, trim) = Form(number);
            var name = string.Create(CultureInfo.InvariantCulture, $"I{form.Number}");
            names[name] = form;
            s.Save().Concat(Affine.Move(-trim.Left, -trim.Top).Then(place).AsMatrix()).XObject(name).Restore().Break();
        }
        return _pdf.Object(new PdfDict
        {
            ["Type"] = "Page",
            ["Parent"] = tree,
            ["MediaBox"] = PdfArray.Of(0, 0, wide, high),
            ["Resources"] = new PdfDict { ["XObject"] = new PdfDict(names) },
            ["Contents"] = Content(s),
        });
    }

    /// <summary>
    /// Sheets of paper with two pages on each side, the back turned over the short edge; smaller where the paper is too
    /// small.
    /// </summary>
    public IEnumerable<PdfRef> Booklet(PdfRef tree)
    {
        const double mm = 72 / 25.4;
        var (wide, high) = _plan.Letter ? (792.0, 612.0) : (297 * mm, 210 * mm);
        var (w, h) = (_inside.Trim.Width.Points, _inside.Trim.Height.Points);
        var scale = Math.Min(1, Math.Min(wide / (2 * w), high / h));
        foreach (var sheet in _inside.Sheets)
            foreach (var side in (SheetSide[])[sheet.Front, sheet.Back])
            {
                var (middle, foot, creep) = (wide / 2, (high - (h * scale)) / 2, sheet.Creep.Points * scale);
                (int, Affine)[] both =
                [
                    (side.Left, new Affine(scale, 0, 0, scale, middle - (w * scale) + creep, foot)),
                    (side.Right, new Affine(scale, 0, 0, scale, middle - creep, foot)),
                ];
                yield return Placed(tree, wide, high, both.Where(p => p.Item1 >= 1 && p.Item1 <= _inside.Count));
            }
    }

    /// <summary>Writes what pages asked for.</summary>
    public void Finish()
    {
        var fonts = PressFile.Fonts(_faces.Values);
        foreach (var has in _open) has.Write(fonts);
        foreach (var face in _faces.Values) face.Write(_pdf);
    }

    private static PdfDict? Group(PageResources has) => has.Mixes ? PressObjects.InkGroup() : null;

    private PdfRef Content(ContentWriter content)
    {
        var key = content.Key();
        return _contents.TryGetValue(key, out var known) ? known
            : _contents[key] = _pdf.Stream(new(), content.Written);
    }

    private (PdfRef Form, Bounds Trim) Form(int number)
    {
        if (_forms.TryGetValue(number, out var known)) return known;
        var (page, content, has) = Drawn(number);
        var t = page.Trim;
        var trim = new Bounds(page.Margin + t.X.Points, page.High - page.Margin - t.Bottom.Points,
            page.Margin + t.Right.Points, page.High - page.Margin - t.Y.Points);
        var form = _pdf.Stream(PressObjects.Form(trim.AsRectangle(), has.Reference).Set("Group", Group(has)),
            content.Written);
        return _forms[number] = (form, trim);
    }

    private Func<GlyphMark, Outline>? Shapes =>
        _plan.Outlines || (_house.OutlinesOnly && _plan.Kind.IsForPrinter) ? g => TextDrawing.Shape([g], _shelf) : null;

    private (PageBoxes Page, ContentWriter Content, PageResources Has) Drawn(int number)
    {
        _before?.Invoke();
        var scene = _inside.Page(number);
        if (scene.Items.SelectMany(p => p.Marks).OfType<GlyphMark>().Any(g => !_known.Contains(g.Face)))
        {
            PressFile.RefuseFaces(scene, _shelf);
            _known.UnionWith(scene.Items.SelectMany(p => p.Marks).OfType<GlyphMark>().Select(g => g.Face));
        }
        var page = PageBoxes.Of(scene.Surface, _plan, _house);
        var flattened = _plan.Flat
            ? Flattening.Of(scene, _plan.Kind.FlatPerInch, finishes: _plan.InRgb)
            : Flattening.WhatMust(scene, _plan.Kind.FlatPerInch);
        FlatImages? flats = null;
        if (!flattened.Parts.IsEmpty)
        {
            flats = new(_pdf, _house, _plan.InRgb) { Black = _inside.Black, Shared = _flats };
            flats.Write(new(_painter, scene, flattened.Parts, page.Sight) { Likeness = _plan.InRgb, Before = _before });
        }
        var has = flats is null ? _shared ??= Resources(page, null) : Resources(page, flats);
        has.Mixes = false;
        var content = new PdfPainter(flattened, has, _ink, page.OnPage(flattened.Scene), Shapes).Paint();
        return (page, content, has);
    }

    private PageResources Resources(PageBoxes page, FlatImages? flats)
    {
        var has = new PageResources(_pdf, Face, _images, _symbols, _ink, page.Media) { Flats = flats };
        _open.Add(has);
        return has;
    }

    private EmbeddedFont Face(FaceId id) => _faces.TryGetValue(id, out var f) ? f
        : _faces[id] = new(_shelf.Open(id), "F" + (_faces.Count + 1).ToString(CultureInfo.InvariantCulture),
            _pdf.Reserve());
}
