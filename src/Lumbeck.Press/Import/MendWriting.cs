using Lumbeck.Pdf.Content;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Import.Rewriting;
using Lumbeck.Press.Import.Resources;
using Lumbeck.Press.Import.Parsing;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Kinds;
using Lumbeck.Pdf.Reading;
using Lumbeck.Pdf.Writing;
using Lumbeck.Press.Pdf;
using NetVips;

namespace Lumbeck.Press.Import;

/// <summary>Pages while they are written.</summary>
internal sealed class MendWriting
{
    private readonly PdfFile _file;
    private readonly string _path, _aside;
    private readonly PdfWriter _pdf;
    private readonly MendPlan _plan;
    private readonly FaceShelf _shelf;
    private readonly DocumentInfo _note;
    private readonly List<MendLine> _lines;
    private readonly CancellationToken _cancel;
    private readonly PressInks _inks;
    private readonly ImportResources _has;
    private readonly Dictionary<int, (PdfRef Form, bool Transparent)> _forms = [];
    private readonly Dictionary<int, Came> _came = [];
    private readonly (double Margin, PdfRef Form)? _marks;

    /// <summary>Writes one page to be drawn, and tells nothing.</summary>
    private bool _alone;

    /// <summary>
    /// A page that came, rewritten: what it says and names; null content where it is drawn as pixels.
    /// </summary>
    private sealed record Came(ReadOnlyMemory<byte>? Content, ResourceDictionary Used, bool Transparent);

    public MendWriting(PdfFile file, string path, PdfWriter pdf, MendPlan plan, FaceShelf shelf, DocumentInfo note,
        string aside,
        List<MendLine> lines, string? from, CancellationToken cancel)
    {
        (_file, _path, _pdf, _plan, _aside, _lines, _cancel) = (file, path, pdf, plan, aside, lines, cancel);
        (_shelf, _note) = (shelf, note);
        if (plan.Sheet is { } sheet && PageBoxes.Of(sheet, new(plan.Kind), plan.House) is { Marked: true } boxes)
            _marks = (boxes.Margin, Marked(boxes, shelf, note));
        var condition = PrintingCondition.Of(plan.House);
        _inks = new(condition, new BlackAlone(new PressColour(condition)), plan.Black) { From = from, Aside = aside };
        _has = new(file, pdf, _inks, new(plan.House, plan.Spots)
        {
            WhiteKnocks = plan.Choices.White == Wish.Change,
            Thickens = plan.Choices.Thicken,
        }, new FontSubstitution(shelf));
    }

    /// <summary>Printer's marks as a form of the whole page.</summary>
    private PdfRef Marked(PageBoxes boxes, FaceShelf shelf, DocumentInfo note)
    {
        var faces = new SortedDictionary<FaceId, EmbeddedFont>();
        EmbeddedFont face(FaceId id) => faces.TryGetValue(id, out var f) ? f
            : faces[id] = new(shelf.Open(id), "F" + (faces.Count + 1).ToString(CultureInfo.InvariantCulture),
                _pdf.Reserve());
        var ink = new ColorOperators(null);
        var has = new PageResources(_pdf, face, new(_pdf, _plan.House, null), new(_pdf), ink, boxes.Media);
        var marks = new PrinterMarks(boxes, _plan.House, note, has, shelf, ink, new(_plan.Kind)).Draw();
        var form = _pdf.Stream(PressObjects.Form(PdfArray.Of(0, 0, boxes.Wide, boxes.High),
            has.Write(PressFile.Fonts(faces.Values))), marks.Written);
        foreach (var one in faces.Values) one.Write(_pdf);
        return form;
    }

    public PdfRef Page(PdfRef tree, LeavingPage page)
    {
        var (content, used, transparent) = (new ContentWriter(), new ResourceDictionary(), false);
        // A page that is as it should be keeps its own content.
        if (_marks is null && page.Parts is [{ } only] && IsAsItShouldBe(only.Place) && only.Clip == new Bounds(0,
            0, page.Wide, page.High)
            && Read(only.Page) is { Content: { } kept } own)
            return Written(tree, page, _pdf.Stream(new(), kept), own.Used, own.Transparent);
        if (_marks is var (margin, marks))
            content.XObject(used.Add("XObject", marks)).Save().Concat(Affine.Move(margin, margin).AsMatrix()).Break();
        foreach (var part in page.Parts)
        {
            var (form, lets) = Form(part.Page);
            transparent |= lets;
            var c = part.Clip;
            content.Save().Break().Rectangle(c.Left, c.Top, c.Right - c.Left, c.Bottom - c.Top).Break()
                .Op(Operator.Clip).Break().Op(Operator.EndPath).Break().Concat(part.Place.AsMatrix()).Break()
                .XObject(used.Add("XObject", form)).Break().Restore().Break();
        }
        if (_marks is not null) content.Restore().Break();
        return Written(tree, page, _pdf.Stream(new(), content.Written), used, transparent);
    }

    /// <summary>Not moved by more than what writing a figure to four places rounds away.</summary>
    private static bool IsAsItShouldBe(Affine place) => place is { A: 1, B: 0, C: 0, D: 1 }
        && Math.Abs(place.E) < 0.002 && Math.Abs(place.F) < 0.002;

    private PdfRef Written(PdfRef tree, LeavingPage page, PdfRef stream, ResourceDictionary used, bool transparent)
    {
        var (t, m) = (page.Trim, _marks?.Margin ?? 0);
        return _pdf.Object(new PdfDict
        {
            ["Type"] = "Page",
            ["Parent"] = tree,
            ["MediaBox"] = PdfArray.Of(0, 0, page.Wide + (2 * m), page.High + (2 * m)),
            ["BleedBox"] = PdfArray.Of(m, m, m + page.Wide, m + page.High),
            ["TrimBox"] = PdfArray.Of(m + t.Left, m + t.Top, m + t.Right, m + t.Bottom),
            ["Group"] = transparent ? PressObjects.InkGroup() : null,
            ["Resources"] = used.Dict(),
            ["Contents"] = stream,
        });
    }

    /// <summary>A page that came, as a form of its own space, written once.</summary>
    private (PdfRef Form, bool Transparent) Form(int n)
    {
        if (_forms.TryGetValue(n, out var known)) return known;
        var came = Read(n);
        if (came.Content is not { } content) return _forms[n] = (Drawn(n), false);
        var media = PdfArray.Of(_file.Numbers(_file.Pages[n], "MediaBox")!);
        return _forms[n] = (_pdf.Stream(PressObjects.Form(media, came.Used.Dict()), content), came.Transparent);
    }

    private Came Read(int n)
    {
        if (_came.TryGetValue(n, out var known)) return known;
        _has.Report.Transparent = false;
        var coloured = _has.Report.ByLight + _has.Pictures.Converted;
        var alone = PageRasterizer.IsHere
            ? new DrawnAlone(_file, n + 1, _pdf, _inks, _plan.Kind.KeepsTransparency, _aside) : null;
        try
        {
            var used = new ResourceDictionary();
            var content = WholePage.Marks(_has, _file.Pages[n], used, alone);
            if (alone is { Any: true })
            {
                List<string> told = [];
                alone.Write(_file.Pages[n], WholePage.Content(_has, _file.Pages[n]), Alone, told, _cancel);
                _lines.AddRange(told.Distinct().Select(t => new MendLine("object.pixels", MendState.Left, n + 1, t)));
                _has.Report.Transparent |= _plan.Kind.KeepsTransparency;
            }
            if (_has.Report.Transparent && _has.Report.ByLight + _has.Pictures.Converted > coloured && !_alone
                && !MixedInLight.SaysInks(_file, _file.Pages[n], _has.Spaces))
                _lines.Add(MixedInLight.Told(n + 1, PageRasterizer.IsHere ? OfPage(n, path =>
                    MixedInLight.Of((_path, n + 1), path, _inks, _aside, _cancel)) : null));
            if (!_has.Report.Transparent || _plan.Kind.KeepsTransparency)
                return Keep(new(content, used, _has.Report.Transparent));
            _lines.Add(new("page.pixels", MendState.Left, n + 1,
                $"Something on page {n + 1} lets through what lies under it, which " +
                $"{_plan.Kind.Title} can’t hold: the page is drawn at {PageRasterizer.PerInch} pixels an inch, its words too."));
        }
        catch (PdfReadException r)
        {
            alone?.GiveUp();
            _lines.Add(new("page.pixels", MendState.Left, n + 1,
                $"On page {n + 1}: {r.Message}. The page is drawn at " +
                $"{PageRasterizer.PerInch} pixels an inch, its words too."));
        }
        return Keep(new(null, new(), false));
        Came Keep(Came came)
        {
            // Pages come in order, and a spread twice: no more than the last are held.
            if (_came.Count > 4) _came.Clear();
            return _came[n] = came;
        }
    }

    private string Alone((string Why, Bounds At) drawn)
    {
        string mm(double points) => Length.FromDrawing(points).Show(_plan.House.Unit);
        return $"{char.ToUpperInvariant(drawn.Why[0])}{drawn.Why[1..]}: that alone is drawn at {PageRasterizer.PerInch} " +
            $"pixels an inch, {mm(drawn.At.Left)} from the " +
            $"left and {mm(drawn.At.Top)} from the head, {mm(drawn.At.Right - drawn.At.Left)} × " +
                $"{mm(drawn.At.Bottom - drawn.At.Top)}.";
    }

    /// <summary>
    /// What is asked of a file of a page alone, its marks in the house's inks and mixed there: what is in inks already
    /// keeps its numbers. Null where its marks can't be read.
    /// </summary>
    private T? OfPage<T>(int n, Func<string, T?> ask) where T : class
    {
        var path = Path.Combine(_aside, $"mixed-{n + 1}.pdf");
        using (var output = File.Create(path))
        {
            using var pdf = new PdfWriter(output, PressKind.X4.Version);
            var plan = _plan with { Kind = PressKind.X4, Sheet = null };
            var writing = new MendWriting(_file, _path, pdf, plan, _shelf, _note, _aside, [], _inks.From, _cancel) { _alone = true };
            if (writing.Read(n) is not { Content: { } content } came) return null;
            var page = _file.Pages[n];
            PdfArray? copied(string name) => _file.Numbers(page, name) is { } box ? PdfArray.Of(box) : null;
            var stream = pdf.Stream(new(), content);
            OnePage.Finish(pdf, new()
            {
                ["MediaBox"] = copied("MediaBox"),
                ["CropBox"] = copied("CropBox"),
                ["Rotate"] = _file.Number(page, "Rotate") is { } by ? new PdfNumber(by, 0) : null,
                ["Group"] = PressObjects.InkGroup(),
                ["Resources"] = came.Used.Dict(),
                ["Contents"] = stream,
            });
        }
        var said = ask(path);
        File.Delete(path);
        return said;
    }

    /// <summary>
    /// A page that lets through what lies under it, drawn in the house's inks; null where its marks can't be read.
    /// </summary>
    private Image? Mixed(int n) => OfPage(n, path =>
    {
        using var drawn = PageRasterizer.Drawn(path, 1, PageRasterizer.PerInch, inks: true, _cancel, _aside);
        if (drawn.Bands != 4) return null;
        if (!_plan.Black) return drawn.CopyMemory();
        using var key = drawn.ExtractBand(3);
        return (255 - key).Cast(Enums.BandFormat.Uchar).CopyMemory();
    });

    private PdfRef Drawn(int n)
    {
        using var image = Mixed(n) ?? PageRasterizer.Of(_path, n + 1, _inks, _aside, _cancel);
        var picture = _pdf.Stream(PressObjects.Image(image.Width, image.Height)
            .Set("ColorSpace", image.Bands == 1 ? "DeviceGray" : "DeviceCMYK"), image.WriteToMemory<byte>());
        var came = ImportedPage.Of(_file, _file.Pages[n], n + 1);
        // Drawn upright: laid back into the page's own space.
        var place = new Affine(came.Size.Wide, 0, 0, came.Size.High, 0, 0).Then(came.Own);
        var media = PdfArray.Of(_file.Numbers(_file.Pages[n], "MediaBox")!);
        return _pdf.Stream(PressObjects.Form(media, PressObjects.Resource("XObject", "P", picture)),
            new ContentWriter().Save().Concat(place.AsMatrix()).XObject("P").Restore().Break().Written);
    }

    /// <summary>What was done throughout, in words.</summary>
    public void Tell()
    {
        var r = _has.Report;
        void done(string id, string says) => _lines.Add(new(id, MendState.Done, null, says));
        void left(string id, string says) => _lines.Add(new(id, MendState.Left, null, says));
        var to = _plan.Black ? "black alone" : $"the inks of {_plan.House.OutputCondition}";
        if (r.Colours > 0) done("colour", $"Colours of a screen were brought to {to}; what has no hue is black alone.");
        if (_has.Pictures.Converted > 0)
            done("colour.pictures",
                $"{Many.Of(_has.Pictures.Converted, "picture")} {(_has.Pictures.Converted == 1 ? "was" : "were")} " +
                $"brought to {to}.");
        foreach (var (what, count) in _has.Spaces.Profiles)
            if (what != "RGB") done("colour.profile",
                $"A profile of {what} was taken out of {Many.Of(count, "place")}: its numbers stayed.");
        if (r.LostSpots.Count > 0)
            done("colour.spot", $"{string.Join(", ", r.LostSpots)} became process inks: {_plan.House.Name} prints " +
                $"none of that name.");
        if (r.TooMuchInk > 0) done("ink.total",
            $"Colours of more than {_plan.House.InkLimit} % ink have less of the three; their black stayed.");
        if (r.RichWords > 0) done("text.black", "Words in a black of several inks are in black alone.");
        if (r.WhiteOver > 0)
        {
            if (_plan.Choices.White == Wish.Open)
                left("overprint.white", $"White is set to overprint in {Many.Of(r.WhiteOver, "place")}, where it is " +
                    $"not seen in print: " +
                    "say whether it is to knock out.");
            else done("overprint.white", _plan.Choices.White == Wish.Change
                ? "White that was set to overprint knocks out, as you asked."
                : "White that is set to overprint stays so, as you asked: it is not seen in print.");
        }
        if (r.Hairlines > 0)
        {
            var thin = $"{Many.Of(r.Hairlines, "line")} {(r.Hairlines == 1 ? "is" : "are")} thinner than the " +
                $"{_plan.House.RuleLeast.Points.ToString("0.##", CultureInfo.InvariantCulture)} pt that print";
            if (_plan.Choices.Thicken) done("line.hair", thin + ": raised to that, as you asked.");
            else _lines.Add(new("line.hair", MendState.Found, null, thin + ": as they were."));
        }
        if (r.ThinLines > 0) done("line.thin", $"Lines of no width are {_plan.House.RuleLeast.Points} pt, the least " +
            $"that is printed.");
        if (r.Overprints > 0) done("overprint", "What became inks and was set to overprint knocks out, as it did.");
        foreach (var (face, stands) in r.StoodIn)
        {
            var words = _file.WordsIn(face, 4);
            var where = words.Count == 0 ? "" : $", in “{string.Join(' ', words.Select(w => w.Word))}…” on page {words[0].Page}";
            left("face.missing", $"The face {face} is not in the file: {stands} stands for it{where}. Look at its lines, or export " +
                "with all faces.");
        }
        if (r.SpotsTwice.Count > 0)
            _lines.Add(new("spot.twice", MendState.Found, null,
                $"{string.Join(", ", r.SpotsTwice)}: one name, and other colours " +
                "that stand for it in several places."));
        if (r.Multiplied > 0) done("spot.mixed",
            "Spots that overprinted and became process inks are multiplied with what lies under them, as they were.");
    }
}
