using UglyToad.PdfPig.Core;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Intake.Opening;

/// <summary>
/// Walks through content with as much of the graphics state as reception asks about (ISO 32000-1, 8.4). Ends with an
/// exception where there is more than it looks at.
/// </summary>
internal sealed class ContentInterpreter(Pdf pdf, PageUse use, (double L, double B, double R, double T) bleed,
    Func<bool> late)
{
    private const int MostOperators = 1_500_000, MostForms = 24, MostContent = 40_000_000;

    private sealed record GraphicsState
    {
        public TransformationMatrix Ctm { get; init; } = TransformationMatrix.Identity;
        public string Fill { get; init; } = "DeviceGray";
        public string Stroke { get; init; } = "DeviceGray";
        public bool FillAll { get; init; }
        public bool StrokeAll { get; init; }
        public bool FillNone { get; init; }
        public double FillInk { get; init; } = 100;
        /// <summary>Which of the fill's shares are the four inks', where it names plates.</summary>
        public IReadOnlyList<int> FillProcess { get; init; } = [];
        public double StrokeInk { get; init; } = 100;
        public double Weight { get; init; } = 1;
        public bool Overprint { get; init; }
        /// <summary>Whether inks of none leave what is under them where they overprint (8.6.7).</summary>
        public bool OverprintMode { get; init; }
        public int TextRenderingMode { get; init; }
        public DictionaryToken? Face { get; init; }
        public (double L, double B, double R, double T)? Clip { get; init; }
    }

    private readonly HashSet<string> _seen = [];
    private readonly ColorSpaces _spaces = new(pdf, use);

    public void Page(DictionaryToken page, DictionaryToken? resources)
    {
        var content = new MemoryStream();
        foreach (var part in pdf.Get(page, "Contents") switch
        {
            StreamToken s => [s],
            ArrayToken a => a.Data.Select(pdf.Resolve).OfType<StreamToken>(),
            _ => (IEnumerable<StreamToken>)[]
        })
        {
            content.Write(pdf.Decode(part).Span);
            content.WriteByte((byte)'\n');
            if (content.Length > MostContent) throw new BoundsExceededException();
        }
        Group(page, "page");
        Walk(content.GetBuffer().AsMemory(0, (int)content.Length), resources, new(), 0);
    }

    private void Walk(ReadOnlyMemory<byte> content, DictionaryToken? resources, GraphicsState state, int depth)
    {
        if (depth > MostForms) throw new BoundsExceededException();
        var saved = new Stack<GraphicsState>();
        var path = new List<(char Kind, double X, double Y)>();
        foreach (var (op, o) in new ContentTokenizer(content).All())
        {
            if (++use.Operators > MostOperators) throw new BoundsExceededException();
            if ((use.Operators & 4095) == 0 && late()) throw new TimeoutException();
            double n(int i) => i < o.Count && o[i] is double d ? d : 0;
            string? name(int i) => i < o.Count && o[i] is PdfName p ? p.Value : null;
            // White, gray and black in any space are black alone.
            use.Coloured |= op switch
            {
                "rg" or "RG" => n(0) != n(1) || n(1) != n(2),
                "k" or "K" => n(0) + n(1) + n(2) > 0.004,
                "sc" or "scn" => state.Fill == "DeviceCMYK" && o.Count == 4 && n(0) + n(1) + n(2) > 0.004,
                "SC" or "SCN" => state.Stroke == "DeviceCMYK" && o.Count == 4 && n(0) + n(1) + n(2) > 0.004,
                _ => false,
            };
            use.Paints |= op is "f" or "F" or "f*" or "S" or "s" or "B" or "B*" or "b" or "b*" or "sh"
                or "Tj" or "TJ" or "'" or "\"" or "BI";
            switch (op)
            {
                case "q": if (saved.Count < 5000) saved.Push(state); break;
                case "Q": if (saved.Count > 0) state = saved.Pop(); break;
                case "cm":
                    state = state with
                    {
                        Ctm = TransformationMatrix.FromValues(n(0), n(1), n(2), n(3), n(4), n(5)).Multiply(state.Ctm),
                    }; break;
                case "w": state = state with { Weight = n(0) }; break;
                case "gs":
                    state = Extended(pdf.Dictionary(pdf.Dictionary(resources, "ExtGState"), name(0) ?? ""),
                    state); break;
                case "g":
                    state = state with
                    {
                        Fill = "DeviceGray",
                        FillInk = (1 - n(0)) * 100,
                        FillAll = false,
                        FillNone = n(0) >= 0.9999,
                    }; break;
                case "G":
                    state = state with
                    {
                        Stroke = "DeviceGray",
                        StrokeInk = (1 - n(0)) * 100,
                        StrokeAll = false,
                    }; break;
                case "rg":
                    state = state with
                    {
                        Fill = "DeviceRGB",
                        FillInk = 0,
                        FillAll = false,
                        FillNone = false,
                    }; break;
                case "RG": state = state with { Stroke = "DeviceRGB", StrokeInk = 0, StrokeAll = false }; break;
                case "k":
                    state = state with
                    {
                        Fill = "DeviceCMYK",
                        FillInk = (n(0) + n(1) + n(2) + n(3)) * 100,
                        FillAll = n(0) > 0.99 && n(1) > 0.99 && n(2) > 0.99 && n(3) > 0.99,
                        FillNone = n(0) + n(1) + n(2) + n(3) <= 0,
                    }; break;
                case "K":
                    state = state with
                    {
                        Stroke = "DeviceCMYK",
                        StrokeInk = (n(0) + n(1) + n(2) + n(3)) * 100,
                        StrokeAll = n(0) > 0.99 && n(1) > 0.99 && n(2) > 0.99 && n(3) > 0.99,
                    }; break;
                case "cs":
                    {
                        var (space, all) = _spaces.Of(name(0), resources);
                        state = state with
                        {
                            Fill = space,
                            FillInk = 0,
                            FillAll = all,
                            FillNone = false,
                            FillProcess = _spaces.Process(name(0), resources),
                        }; break;
                    }
                case "CS":
                    {
                        var (space, all) = _spaces.Of(name(0), resources);
                        state = state with { Stroke = space, StrokeInk = 0, StrokeAll = all }; break;
                    }
                case "sc" or "scn":
                    if (name(o.Count - 1) is { } pattern
                        && pdf.Get(pdf.Dictionary(resources, "Pattern"), pattern) is { } p)
                        Pattern(p, resources, state, depth);
                    // A device's space is painted in alike, however its inks are set (8.6.8).
                    else if (state.Fill == "DeviceCMYK")
                        state = state with
                        {
                            FillInk = (n(0) + n(1) + n(2) + n(3)) * 100,
                            FillAll = n(0) > 0.99 && n(1) > 0.99 && n(2) > 0.99 && n(3) > 0.99,
                            FillNone = n(0) + n(1) + n(2) + n(3) <= 0,
                        };
                    else if (state.FillProcess.Count > 0)
                        state = state with { FillInk = state.FillProcess.Sum(n) * 100 };
                    else if (state.Fill == "DeviceGray")
                        state = state with { FillInk = (1 - n(0)) * 100, FillNone = n(0) >= 0.9999 };
                    break;
                case "SC" or "SCN":
                    if (name(o.Count - 1) is { } lined && pdf.Get(pdf.Dictionary(resources, "Pattern"), lined) is { } q)
                        Pattern(q, resources, state, depth);
                    else if (state.Stroke == "DeviceCMYK")
                        state = state with
                        {
                            StrokeInk = (n(0) + n(1) + n(2) + n(3)) * 100,
                            StrokeAll = n(0) > 0.99 && n(1) > 0.99 && n(2) > 0.99 && n(3) > 0.99,
                        };
                    else if (state.Stroke == "DeviceGray") state = state with { StrokeInk = (1 - n(0)) * 100 };
                    break;
                case "m": path.Add(('m', n(0), n(1))); break;
                case "l": path.Add(('l', n(0), n(1))); break;
                case "c": path.Add(('c', n(0), n(1))); path.Add(('c', n(2), n(3))); path.Add(('c', n(4), n(5))); break;
                case "v" or "y": path.Add(('c', n(0), n(1))); path.Add(('c', n(2), n(3))); break;
                case "re":
                    path.Add(('m', n(0), n(1))); path.Add(('l', n(0) + n(2), n(1))); path.Add(('l', n(0) + n(2),
                    n(1) + n(3))); path.Add(('l', n(0), n(1) + n(3))); path.Add(('l', n(0), n(1))); break;
                case "W" or "W*": state = state with { Clip = Both(state.Clip, Box(path, state)) }; break;
                case "n": path.Clear(); break;
                case "f" or "F" or "f*": Fill(path, state); path.Clear(); break;
                case "S" or "s": Stroke(path, state); path.Clear(); break;
                case "B" or "B*" or "b" or "b*": Fill(path, state); Stroke(path, state); path.Clear(); break;
                case "sh": Shading(pdf.Get(pdf.Dictionary(resources, "Shading"), name(0) ?? ""), resources); break;
                case "Tf":
                    if (name(0) is { } face) state = state with
                    {
                        Face = pdf.Dictionary(pdf.Dictionary(resources, "Font"), face),
                    }; break;
                case "Tr": state = state with { TextRenderingMode = (int)n(0) }; break;
                case "Tj" or "TJ" or "'" or "\"":
                    use.Words = true;
                    if (state.Face is { } set) Face(set, state, depth);
                    if (state.TextRenderingMode is 3 or 7) break;
                    Painted(state.Fill, state.FillInk, state);
                    if (OverprintsWhite(state)) use.WhiteOverprints = true;
                    break;
                case "BI": if (o[0] is InlineImage inline) Inline(inline, resources, state); break;
                case "Do":
                    Draw(pdf.Get(pdf.Dictionary(resources, "XObject"), name(0) ?? "") as StreamToken, resources,
                    state, depth); break;
                case "BDC": if (name(0) == "OC") use.Layers = true; break;
            }
        }
    }

    /// <summary>An extended state (8.4.5).</summary>
    private GraphicsState Extended(DictionaryToken? gs, GraphicsState state)
    {
        if (gs is null) return state;
        foreach (var key in (string[])["ca", "CA"])
            if (pdf.Number(gs, key) is < 1) use.Transparent.Add($"{key} under 1");
        if (pdf.Get(gs, "BM") is { } bm
            && (bm is NameToken n ? [n.Data]
                : pdf.Items(bm).OfType<NameToken>().Select(t => t.Data).Take(1).ToArray()) is [var mode, ..]
            && mode is not ("Normal" or "Compatible"))
            use.Transparent.Add("blend mode " + mode);
        if (pdf.Get(gs, "SMask") is DictionaryToken or StreamToken) use.Transparent.Add("soft mask");
        foreach (var key in (string[])["TR", "TR2"])
            if (pdf.Get(gs, key) is { } tr && tr is not NameToken { Data: "Identity" or "Default" })
                use.States.Add("transfer curve");
        if (pdf.Get(gs, "HT") is { } ht && ht is not NameToken { Data: "Default" }) use.States.Add("halftone");
        foreach (var key in (string[])["BG", "BG2", "UCR", "UCR2"])
            if (pdf.Get(gs, key) is { } k && k is not NameToken) use.States.Add("black generation");
        if (pdf.Get(gs, "Font") is ArrayToken { Data.Count: > 0 } f && pdf.Resolve(f.Data[0]) is DictionaryToken font)
            state = state with { Face = font };
        if (pdf.Get(gs, "op", "OP") is BooleanToken over)
        {
            state = state with { Overprint = over.Data };
            use.Overprints |= over.Data;
        }
        if (pdf.Number(gs, "OPM") is { } how) state = state with { OverprintMode = how == 1 };
        return pdf.Number(gs, "LW") is { } weight ? state with { Weight = weight } : state;
    }

    /// <summary>
    /// White that is set to overprint leaves nothing on the sheet; in overprint mode 0 it knocks out all the same, and
    /// only other plates are left.
    /// </summary>
    private static bool OverprintsWhite(GraphicsState state) =>
        state is { Overprint: true, FillNone: true, OverprintMode: true, Fill: "DeviceCMYK" or "DeviceGray" };

    private void Painted(string space, double ink, GraphicsState state)
    {
        if (space != "Pattern") use.Spaces.Add(space);
        if (!state.FillAll) use.MostInk = Math.Max(use.MostInk, ink);
    }

    private void Fill(List<(char, double X, double Y)> path, GraphicsState state)
    {
        if (Box(path, state) is not { } box) return;
        if (Outside(box, state))
        {
            use.PaintsOutside = true;
            if (Beyond(box)) { use.Spaces.Add(state.Fill == "Pattern" ? "DeviceCMYK" : state.Fill); return; }
        }
        Painted(state.Fill, state.FillInk, state);
        if (state.FillAll && (box.R - box.L) * (box.T - box.B) > 4) use.MostInk = Math.Max(use.MostInk, 400);
        if (OverprintsWhite(state)) use.WhiteOverprints = true;
    }

    private void Stroke(List<(char Kind, double X, double Y)> path, GraphicsState state)
    {
        if (Box(path, state) is not { } box) return;
        use.Spaces.Add(state.Stroke == "Pattern" ? "DeviceCMYK" : state.Stroke);
        if (Outside(box, state)) use.PaintsOutside = true;
        else if (!state.StrokeAll) use.MostInk = Math.Max(use.MostInk, state.StrokeInk);
        var scale = Math.Sqrt(Math.Abs((state.Ctm.A * state.Ctm.D) - (state.Ctm.B * state.Ctm.C)));
        for (var i = 1; i < path.Count && use.Strokes.Count < 200_000; i++)
            if (path[i].Kind == 'l')
            {
                var (a, b) = (state.Ctm.Transform(new PdfPoint(path[i - 1].X, path[i - 1].Y)),
                    state.Ctm.Transform(new PdfPoint(path[i].X, path[i].Y)));
                use.Strokes.Add(new(a.X, a.Y, b.X, b.Y, state.Weight * scale, state.StrokeAll));
            }
    }

    private void Draw(StreamToken? x, DictionaryToken? resources, GraphicsState state, int depth)
    {
        if (x is null) return;
        var d = x.StreamDictionary;
        if (d.ContainsKey(NameToken.Create("OC"))) use.Layers = true;
        switch (pdf.Name(d, "Subtype"))
        {
            case "Image": Image(x, d, resources, state); break;
            case "PS": use.PostScript = true; break;
            case "Form":
                if (pdf.Name(d, "Subtype2") == "PS") use.PostScript = true;
                Group(d, "form");
                var at = pdf.Numbers(d, "Matrix") is [var a, var b, var c, var e, var f, var g]
                    ? TransformationMatrix.FromValues(a, b, c, e, f, g).Multiply(state.Ctm)
                    : state.Ctm;
                Walk(pdf.Decode(x), pdf.Dictionary(d, "Resources") ?? resources, state with { Ctm = at }, depth + 1);
                break;
        }
    }

    /// <summary>A transparency group lets nothing through by itself, but PDF/X-1a knows none (ISO 15930-4).</summary>
    private void Group(DictionaryToken d, string what)
    {
        if (pdf.Name(pdf.Dictionary(d, "Group"), "S") == "Transparency")
            use.Transparent.Add($"transparency group of a {what}");
    }

    private void Pattern(IToken token, DictionaryToken? resources, GraphicsState state, int depth)
    {
        if (token is StreamToken tiles)
        {
            if (_seen.Add($"{tiles.GetHashCode()}/{depth}"))
                Walk(pdf.Decode(tiles), pdf.Dictionary(tiles.StreamDictionary, "Resources") ?? resources, state,
                    depth + 1);
        }
        else if (token is DictionaryToken d)
        {
            if (pdf.Dictionary(d, "ExtGState") is { } gs) Extended(gs, state);
            Shading(pdf.Get(d, "Shading"), resources);
        }
    }

    private void Shading(IToken? token, DictionaryToken? resources)
    {
        use.Shades = true;
        var d = token switch { DictionaryToken own => own, StreamToken s => s.StreamDictionary, _ => null };
        if (d is not null)
            use.Spaces.Add(pdf.Get(d, "ColorSpace") is NameToken { Data: var name } ? _spaces.Of(name, resources).Space
                : _spaces.Of(pdf.Get(d, "ColorSpace")).Space);
    }

    private void Face(DictionaryToken font, GraphicsState state, int depth)
    {
        var name = pdf.Name(font, "BaseFont") ?? $"Type 3 {use.Faces.Count}";
        if (!use.Faces.TryAdd(name, font)) return;
        if (pdf.Name(font, "Subtype") != "Type3" || pdf.Dictionary(font, "CharProcs") is not { } procs) return;
        foreach (var glyph in procs.Data.Values.Take(500).Select(pdf.Resolve).OfType<StreamToken>())
            Walk(pdf.Decode(glyph), pdf.Dictionary(font, "Resources"), state, depth + 1);
    }

    private void Inline(InlineImage image, DictionaryToken? resources, GraphicsState state)
    {
        object? get(string a, string b) => image.Entries.GetValueOrDefault(a) ?? image.Entries.GetValueOrDefault(b);
        var mask = get("IM", "ImageMask") is true;
        var space = get("CS", "ColorSpace") switch
        {
            PdfName own => _spaces.Of(ColorSpaces.Full(own.Value), resources).Space,
            List<object?> many when many is [PdfName { Value: "I" or "Indexed" }, PdfName under,
                ..] => ColorSpaces.Full(under.Value),
            _ => "DeviceGray",
        };
        var (w, h) = (get("W", "Width") is double dw ? (int)dw : 1, get("H", "Height") is double dh ? (int)dh : 1);
        Place(w, h, mask ? state.Fill : space, get("BPC", "BitsPerComponent") is double bits ? (int)bits : 8, [], mask,
            null, null, state);
    }

    private void Image(StreamToken stream, DictionaryToken d, DictionaryToken? resources, GraphicsState state)
    {
        var mask = pdf.Get(d, "ImageMask") is BooleanToken { Data: true };
        use.Paints = true;
        var space = mask
            ? state.Fill
            : pdf.Get(d, "ColorSpace") is NameToken { Data: var name }
            ? _spaces.Of(name, resources).Space
            : pdf.Get(d, "ColorSpace") is { } own
            ? _spaces.Of(own).Space
            : "DeviceRGB";
        var soft = pdf.Get(d, "SMask") is StreamToken || pdf.Number(d, "SMaskInData") is > 0;
        if (soft) use.Transparent.Add("soft mask of a picture");
        foreach (var alternate in pdf.Items(pdf.Get(d, "Alternates")).OfType<DictionaryToken>().Take(4))
            if (pdf.Get(alternate, "DefaultForPrinting") is BooleanToken { Data: true })
                use.States.Add("alternate picture for printing");
        if (pdf.Get(d, "OPI") is not null) use.States.Add("OPI");
        Place((int)(pdf.Number(d, "Width", "W") ?? 1), (int)(pdf.Number(d, "Height", "H") ?? 1), space,
            mask ? 1 : (int)(pdf.Number(d, "BitsPerComponent", "BPC") ?? 8), pdf.Filters(d), mask, stream, d, state);
    }

    private void Place(int wide, int high, string space, int bits, IReadOnlyList<string> filters, bool mask,
        StreamToken? stream, DictionaryToken? d, GraphicsState state)
    {
        var m = state.Ctm;
        var (across, down) = (Math.Sqrt((m.A * m.A) + (m.B * m.B)), Math.Sqrt((m.C * m.C) + (m.D * m.D)));
        var perInch = Math.Min(across > 0 ? wide / across * 72 : 1e9, down > 0 ? high / down * 72 : 1e9);
        List<(char, double, double)> corners = [('m', 0, 0), ('l', 1, 0), ('l', 1, 1), ('l', 0, 1)];
        var box = Box(corners, state)!.Value;
        if (Outside(box, state)) use.PaintsOutside = true;
        use.Spaces.Add(space);
        if (use.Images.Count < 5000)
            use.Images.Add(new(wide, high, perInch, space, bits, filters, mask, stream, d, box));
    }

    private static (double L, double B, double R, double T)? Box(List<(char, double X, double Y)> path,
        GraphicsState state)
    {
        if (path.Count == 0) return null;
        var (l, b, r, t) = (double.MaxValue, double.MaxValue, double.MinValue, double.MinValue);
        foreach (var (_, x, y) in path)
        {
            var p = state.Ctm.Transform(new PdfPoint(x, y));
            (l, b, r, t) = (Math.Min(l, p.X), Math.Min(b, p.Y), Math.Max(r, p.X), Math.Max(t, p.Y));
        }
        return (l, b, r, t);
    }

    private static (double L, double B, double R, double T)? Both((double L, double B, double R, double T)? a,
        (double L, double B, double R, double T)? b) =>
        a is not { } x
            ? b
            : b is not { } y
            ? a
            : (Math.Max(x.L, y.L), Math.Max(x.B, y.B), Math.Min(x.R, y.R), Math.Min(x.T, y.T));

    /// <summary>Whether any of what is painted is seen outside the bleed.</summary>
    private bool Outside((double L, double B, double R, double T) box, GraphicsState state)
    {
        if (state.Clip is { } c)
            box = (Math.Max(box.L, c.L), Math.Max(box.B, c.B), Math.Min(box.R, c.R), Math.Min(box.T, c.T));
        return box.R >= box.L && box.T >= box.B
            && (box.L < bleed.L - 0.5 || box.B < bleed.B - 0.5 || box.R > bleed.R + 0.5 || box.T > bleed.T + 0.5);
    }

    private bool Beyond((double L, double B, double R, double T) box) =>
        box.R <= bleed.L + 0.01 || box.L >= bleed.R - 0.01 || box.T <= bleed.B + 0.01 || box.B >= bleed.T - 0.01;
}
