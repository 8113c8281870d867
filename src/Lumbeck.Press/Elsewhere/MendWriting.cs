using System.Text;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Elsewhere.Source;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Press.Elsewhere;

/// <summary>Pages while they are written.</summary>
internal sealed class MendWriting
{
    private readonly SourceFile _file;
    private readonly string _path, _aside;
    private readonly PdfWriter _pdf;
    private readonly MendPlan _plan;
    private readonly List<MendLine> _lines;
    private readonly CancellationToken _cancel;
    private readonly PressInks _inks;
    private readonly ElsewhereResources _has;
    private readonly Dictionary<int, (int Form, bool Transparent)> _forms = [];
    private readonly Dictionary<int, Came> _came = [];
    private readonly (double Margin, int Form)? _marks;

    /// <summary>A page that came, rewritten: what it says and names; null content where it is drawn as pixels.</summary>
    private sealed record Came(byte[]? Content, UsedResources Used, bool Transparent);

    public MendWriting(SourceFile file, string path, PdfWriter pdf, MendPlan plan, FaceShelf shelf, PressNote note, string aside,
        List<MendLine> lines, CancellationToken cancel)
    {
        (_file, _path, _pdf, _plan, _aside, _lines, _cancel) = (file, path, pdf, plan, aside, lines, cancel);
        if (plan.Sheet is { } sheet && PageBoxes.Of(sheet, new(plan.Kind), plan.House) is { Marked: true } boxes)
            _marks = (boxes.Margin, Marked(boxes, shelf, note));
        var condition = PressCondition.Of(plan.House);
        _inks = new(condition, new BlackAlone(new PressColour(condition)), plan.Black);
        _has = new(file, pdf, _inks, aside, plan, new StandIns(shelf));
    }

    /// <summary>Printer's marks as a form of the whole page.</summary>
    private int Marked(PageBoxes boxes, FaceShelf shelf, PressNote note)
    {
        var faces = new SortedDictionary<FaceId, EmbeddedFace>();
        EmbeddedFace face(FaceId id) => faces.TryGetValue(id, out var f) ? f
            : faces[id] = new(shelf.Open(id), "F" + (faces.Count + 1).ToString(CultureInfo.InvariantCulture), _pdf.Reserve());
        var ink = new InkText(null);
        var has = new PageResources(_pdf, face, new(_pdf, _plan.House, null), new(_pdf), ink, boxes.Media);
        var marks = new PressMarks(boxes, _plan.House, note, has, shelf, ink, new(_plan.Kind)).Draw();
        var fonts = string.Concat(faces.Values.OrderBy(f => f.Number).Select(f => $"/{f.Name} {f.Number} 0 R "));
        var form = _pdf.Stream($"/Type /XObject /Subtype /Form /BBox [{Joined(0, 0, boxes.Wide, boxes.High)}] /Resources " +
            $"{has.Write(fonts)} 0 R", s => s.Write(Encoding.ASCII.GetBytes(marks)));
        foreach (var one in faces.Values) one.Write(_pdf);
        return form;
    }

    private static string Joined(params ReadOnlySpan<double> figures)
    {
        var s = new StringBuilder();
        foreach (var f in figures) s.Append(s.Length > 0 ? " " : "").Append(PdfText.Figure(f));
        return s.ToString();
    }

    public int Page(int tree, LeavingPage page)
    {
        var (content, used, transparent) = (new StringBuilder(), new UsedResources(), false);
        // A page that is as it should be keeps its own content.
        if (_marks is null && page.Parts is [{ } only] && IsAsItShouldBe(only.Place) && only.Clip == new Bounds(0,
            0, page.Wide, page.High)
            && Read(only.Page) is { Content: { } kept } own)
            return Written(tree, page, _pdf.Stream("", s => s.Write(kept)), own.Used, own.Transparent);
        if (_marks is var (margin, marks))
            content.Append('/').Append(used.Add("XObject", marks)).Append(" Do q ").Append(PdfText.Matrix(Affine.Move(margin, margin)))
                .Append(" cm\n");
        foreach (var part in page.Parts)
        {
            var (form, lets) = Form(part.Page);
            transparent |= lets;
            var c = part.Clip;
            content.Append("q\n").Append(Joined(c.Left, c.Top, c.Right - c.Left, c.Bottom - c.Top)).Append(" re\nW\nn\n")
                .Append(PdfText.Matrix(part.Place)).Append(" cm\n/").Append(used.Add("XObject", form)).Append(" Do\nQ\n");
        }
        if (_marks is not null) content.Append("Q\n");
        return Written(tree, page, _pdf.Stream("", s => s.Write(Encoding.ASCII.GetBytes(content.ToString()))), used, transparent);
    }

    /// <summary>Not moved by more than what writing a figure to four places rounds away.</summary>
    private static bool IsAsItShouldBe(Affine place) => place is { A: 1, B: 0, C: 0, D: 1 }
        && Math.Abs(place.E) < 0.002 && Math.Abs(place.F) < 0.002;

    private int Written(int tree, LeavingPage page, int stream, UsedResources used, bool transparent)
    {
        var (t, m) = (page.Trim, _marks?.Margin ?? 0);
        return _pdf.Object($"<< /Type /Page /Parent {tree} 0 R /MediaBox [{Joined(0, 0, page.Wide + (2 * m), page.High + (2 * m))}] " +
            $"/BleedBox [{Joined(m, m, m + page.Wide, m + page.High)}] /TrimBox " +
            $"[{Joined(m + t.Left, m + t.Top, m + t.Right, m + t.Bottom)}] " +
                $"{(transparent ? "/Group << /S /Transparency /CS /DeviceCMYK >> " : "")}" +
            $"/Resources {used} /Contents {stream} 0 R >>");
    }

    /// <summary>A page that came, as a form of its own space, written once.</summary>
    private (int Form, bool Transparent) Form(int n)
    {
        if (_forms.TryGetValue(n, out var known)) return known;
        var came = Read(n);
        if (came.Content is null) return _forms[n] = (Drawn(n), false);
        var media = _file.Numbers(_file.Pages[n], "MediaBox")!;
        return _forms[n] = (_pdf.Stream($"/Type /XObject /Subtype /Form /BBox [{Joined(media)}] /Resources {came.Used}",
            s => s.Write(came.Content)), came.Transparent);
    }

    private Came Read(int n)
    {
        if (_came.TryGetValue(n, out var known)) return known;
        _has.Report.Transparent = false;
        try
        {
            var used = new UsedResources();
            var content = Marks(_file.Pages[n], used);
            if (!_has.Report.Transparent || _plan.Kind.KeepsTransparency) return Keep(new(content, used, _has.Report.Transparent));
            _lines.Add(new("page.pixels", MendState.Left, n + 1, $"Something on page {n + 1} lets through what lies under it, which " +
                $"{_plan.Kind.Title} can’t hold: the page is drawn at {PageRaster.PerInch} pixels an inch, its words too."));
        }
        catch (Refusal r)
        {
            _lines.Add(new("page.pixels", MendState.Left, n + 1, $"On page {n + 1}: {r.Message}. The page is drawn at " +
                $"{PageRaster.PerInch} pixels an inch, its words too."));
        }
        return Keep(new(null, new(), false));
        Came Keep(Came came)
        {
            // Pages come in order, and a spread twice: no more than the last are held.
            if (_came.Count > 4) _came.Clear();
            return _came[n] = came;
        }
    }

    private byte[] Marks(DictionaryToken page, UsedResources used)
    {
        var resources = _file.Dictionary(page, "Resources");
        using var content = new MemoryStream();
        foreach (var part in _file.Get(page, "Contents") switch
        {
            StreamToken one => [one],
            ArrayToken all => all.Data.Select(_file.Solid).OfType<StreamToken>(),
            _ => Enumerable.Empty<StreamToken>(),
        })
        {
            content.Write(_file.Unpacked(part));
            content.WriteByte((byte)'\n');
        }
        var made = new PageContent(_has, content.ToArray(), resources, used, false, 0).Rewritten();
        var notes = Notes(page, used);
        return notes.Length == 0 ? made : [.. "q\n"u8, .. made, .. "Q\n"u8, .. Encoding.ASCII.GetBytes(notes)];
    }

    /// <summary>Notes and fields that are printed, as they look; then they are gone (12.5.5).</summary>
    private string Notes(DictionaryToken page, UsedResources used)
    {
        var s = new StringBuilder();
        foreach (var token in _file.Items(_file.Get(page, "Annots")))
        {
            if (token is not DictionaryToken note || ((int)(_file.Number(note, "F") ?? 0) & 0b100) == 0
                || ((int)(_file.Number(note, "F") ?? 0) & 0b10) != 0 || _file.Name(note, "Subtype") is "Popup" or "Link"
                || _has.IsHidden(SourceFile.Raw(note, "OC")) || _file.Numbers(note, "Rect") is not { Length: 4 } r)
                continue;
            var look = SourceFile.Raw(_file.Dictionary(note, "AP"), "N");
            if (_file.Solid(look) is DictionaryToken states) look = SourceFile.Raw(states, _file.Name(note, "AS") ?? "");
            if (_file.Solid(look) is not StreamToken form || _file.Numbers(form.StreamDictionary,
                "BBox") is not { Length: 4 } b) continue;
            var m = _file.Numbers(form.StreamDictionary, "Matrix") is [var a1, var b1, var c1, var d1, var e1, var f1]
                ? new Affine(a1, b1, c1, d1, e1, f1) : Affine.Identity;
            var box = m.Of(new Bounds(Math.Min(b[0], b[2]), Math.Min(b[1], b[3]), Math.Max(b[0], b[2]), Math.Max(b[1], b[3])));
            var (w, h) = (box.Right - box.Left, box.Bottom - box.Top);
            if (w <= 0 || h <= 0) continue;
            var (sx, sy) = (Math.Abs(r[2] - r[0]) / w, Math.Abs(r[3] - r[1]) / h);
            var name = used.Object(_has, look, form, null, null, 0);
            if (name is null) continue;
            s.Append("q ").Append(PdfText.Matrix(new(sx, 0, 0, sy, Math.Min(r[0], r[2]) - (box.Left * sx),
                Math.Min(r[1], r[3]) - (box.Top * sy))))
                .Append(" cm /").Append(name).Append(" Do Q\n");
        }
        return s.ToString();
    }

    private int Drawn(int n)
    {
        using var image = PageRaster.Of(_path, n + 1, _inks, _aside, _cancel);
        var picture = _pdf.Stream($"/Type /XObject /Subtype /Image /Width {image.Width} /Height {image.Height} /ColorSpace " +
            $"{(image.Bands == 1 ? "/DeviceGray" : "/DeviceCMYK")} /BitsPerComponent 8", s => s.Write(image.WriteToMemory<byte>()));
        var came = CamePage.Of(_file, _file.Pages[n], n + 1);
        // Drawn upright: laid back into the page's own space.
        var place = new Affine(came.Size.Wide, 0, 0, came.Size.High, 0, 0).Then(Back(came.Upright));
        var media = _file.Numbers(_file.Pages[n], "MediaBox")!;
        return _pdf.Stream($"/Type /XObject /Subtype /Form /BBox [{Joined(media)}] /Resources << /XObject << /P {picture} 0 R >> >>",
            s => s.Write(Encoding.ASCII.GetBytes($"q {PdfText.Matrix(place)} cm /P Do Q\n")));
    }

    private static Affine Back(Affine m)
    {
        var det = (m.A * m.D) - (m.B * m.C);
        var (a, b, c, d) = (m.D / det, -m.B / det, -m.C / det, m.A / det);
        return new(a, b, c, d, -((m.E * a) + (m.F * c)), -((m.E * b) + (m.F * d)));
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
            done("colour.spot", $"{string.Join(", ", r.LostSpots)} became process inks: {_plan.House.Name} prints none of that name.");
        if (r.TooMuchInk > 0) done("ink.total",
            $"Colours of more than {_plan.House.InkLimit} % ink have less of the three; their black stayed.");
        if (r.RichWords > 0) done("text.black", "Words in a black of several inks are in black alone.");
        if (r.ThinLines > 0) done("line.thin", $"Lines of no width are {_plan.House.RuleLeast.Points} pt, the least that is printed.");
        if (r.Overprints > 0) done("overprint", "What became inks and was set to overprint knocks out, as it did.");
        foreach (var (face, stands) in r.StoodIn)
            left("face.missing",
                $"The face {face} is not in the file: {stands} stands for it. Look at its lines, or export with all " +
                $"faces.");
    }
}
