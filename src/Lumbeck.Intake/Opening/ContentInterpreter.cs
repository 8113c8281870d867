using UglyToad.PdfPig.Core;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Intake.Opening;

/// <summary>
/// Walks through content with as much of the graphics state as reception asks about (ISO 32000-1, 8.4). Ends with an
/// exception where there is more than it looks at.
/// </summary>
internal sealed partial class ContentInterpreter(Pdf pdf, PageUse use, (double L, double B, double R, double T) bleed,
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
}
