namespace Lumbeck.Core.Drawing.Pages;

/// <summary>What a page is drawn with beside itself.</summary>
/// <param name="Swatches">The job's.</param>
/// <param name="Type">Faces; without them no words are set.</param>
/// <param name="Drawings">What drawn pictures hold.</param>
public sealed record PageArt(IReadOnlyList<Swatch> Swatches, IType? Type = null, IDrawings? Drawings = null)
{
    /// <summary>An ink as it is printed where black is the only one; null where pages are in colour.</summary>
    public Func<Ink, Ink>? Black { get; init; }
}

/// <summary>
/// A page of an inside as a scene: what lies behind, its body, which pages of its design share, pictures, words, folio,
/// tab.
/// </summary>
public static class PageScene
{
    /// <summary>Items' names.</summary>
    public const string Behind = "behind", Body = "page", Words = "words", Folio = "folio", Tab = "tab", Back = "back";

    /// <summary>A design alone, as it is looked at without a book.</summary>
    /// <exception cref="Refusal">The design does not fit the page.</exception>
    public static Scene Of(PageDesign design, Surface page, PageArt art, PageFacts? at = null)
    {
        List<Drawn> drawn = [.. design.Draw(page, at)];
        List<DrawnItem> items = [.. Items(Lines(drawn, design, art), drawn, design, page, art, new())];
        if (design is TextPages text && art.Type is { } type)
            items.Add(Flowed(TextFlow.Of(text, at ?? PageFacts.None, page.Safe.Width.Points, page.Safe.Height.Points,
                new(), "en",
                type), 0, false, page, art));
        return new(page, [.. items]);
    }

    /// <summary>A page of a plan.</summary>
    /// <exception cref="Refusal">Its design does not fit it.</exception>
    public static Scene Of(InsidePlan plan, PlannedPage page, PageArt art)
    {
        var surface = page.Surface;
        var items = ImmutableArray.CreateBuilder<DrawnItem>();
        if (page.Run?.Behind is { } fill && page.Slot.Kind == SlotKind.Page)
            items.Add(Filled(Behind, fill, plan.Inside.Bleeds ? surface.Whole : surface.Safe, surface, art));
        if (page.Run?.Backdrop is { } drop && page.Slot.Kind == SlotKind.Page
            && Picture(Behind, new(drop.Picture, Bounds.Of(drop.On(surface, plan.Inside.Bleeds)), false), art,
                drop.Strength / 100m) is { } laid)
            items.Add(laid);
        if (page.Slot.Kind == SlotKind.Back) items.AddRange(Backed(plan, page, art));
        if (page.Design is { } design)
        {
            List<Drawn> drawn = [.. design.Draw(surface, page.Facts)];
            items.AddRange(Items(plan.Body(page, () => Lines(drawn, design, art)), drawn, design, surface, art,
                plan.Inside));
            if (design is TextPages && art.Type is { } type)
                items.Add(Flowed(plan.Flow(page, type), InsidePlan.FlowedTo(page), plan.EndsFlow(page), surface, art));
        }
        if (page.PrintsFolio && art.Type is not null) items.AddRange(Numbered(plan, page, art));
        if (page.Tab is { } tab) items.Add(Tabbed(plan, page, tab, art));
        return new(surface, items.ToImmutable());
    }

    private static IEnumerable<DrawnItem> Items(ImmutableArray<Mark> body, List<Drawn> drawn, PageDesign design,
        Surface page,
        PageArt art, Inside inside)
    {
        foreach (var sketched in drawn.OfType<ToColour>())
            yield return Coloured(sketched, design, art);
        foreach (var hung in drawn.OfType<Hung>())
            if (Picture(Body, hung, art) is { } picture) yield return picture;
        if (!body.IsEmpty) yield return Laid(Body, body, page);
        if (art.Type is not { } type) yield break;
        List<(Written, TextLayout)> set = [.. drawn.OfType<Written>().Select(w => (w, Set(w, design, inside, type)))];
        if (set.Count > 0) yield return Worded(Words, set, page, art);
    }

    /// <summary>What is no word and no picture, each stretch of one plate as marks that a file holds once.</summary>
    private static ImmutableArray<Mark> Lines(List<Drawn> drawn, PageDesign design, PageArt art) =>
        [.. PatternDrawing.ByFinish(drawn.Where(d => d is not (Written or Hung or ToColour))
                .SelectMany(d => PatternDrawing.Marks(d, design.Paints, art.Swatches))
                .SelectMany(m => m is RepeatedMark r ? r.Each() : [m]).Select(m => Inked(m, art)))
            .Select(marks => new RepeatedMark(marks, [Affine.Identity]) { Finish = marks[0].Finish })];

    private static TextLayout Set(Written words, PageDesign design, Inside inside, IType type)
    {
        var first = SetAt(words, design, inside, type);
        if (!words.Fits || (first.Overset is null && first.Forced is null)) return first;
        for (var share = 0.9; share > Written.Smallest - 0.01; share -= 0.1)
            if (SetAt(words with { Size = share * words.Size }, design, inside, type) is { Overset: null, Forced: null } fits)
                return fits;
        return first;
    }

    private static TextLayout SetAt(Written words, PageDesign design, Inside inside, IType type)
    {
        var style = new TextStyle
        {
            Face = words.Heads ? inside.Heads : inside.Text,
            Size = Length.FromPoints(Math.Round((decimal)words.Size, 2)),
            Paint = design.Paints.Count > words.Slot ? design.Paints[words.Slot] : new InkPaint(Ink.Black),
            Leading = words.Leading,
            Align = words.Align,
            Stand = words.Stand,
        };
        var (wide, high) = (Math.Max(1, words.Box.Right - words.Box.Left), Math.Max(1, words.Box.Bottom - words.Box.Top));
        TextLayout set(string said) => Typesetter.Set(new TextToSet(said, style) { SidesOfBox = true }, wide, high, type);
        var laid = set(words.Words);
        if (laid.Overset is null || laid.Lines.All(l => l.Width <= wide + 0.01)) return laid;
        // A word that no line holds is broken where the line ends: nothing leaves its box.
        var forced = words.Words.Split(' ', '\n').Where(w => set(w).Lines.Any(l => l.Width > wide + 0.01)).ToList();
        return set(forced.Aggregate(words.Words, (said, w) => said.Replace(w, Breakable(w), StringComparison.Ordinal))) with
        {
            Forced = forced.FirstOrDefault(),
        };
    }

    /// <summary>
    /// A word that may be broken between any two of its characters (U+200B ZERO WIDTH SPACE, UAX #14).
    /// </summary>
    private static string Breakable(string word)
    {
        var each = new List<string>();
        for (var c = StringInfo.GetTextElementEnumerator(word); c.MoveNext();) each.Add(c.GetTextElement());
        return string.Join('\u200b', each);
    }

    private static DrawnItem Worded(string name, List<(Written Words, TextLayout Set)> set, Surface page, PageArt art)
    {
        IEnumerable<Mark> lettered((Written Words, TextLayout Set) one, double dx, double dy) =>
            from line in one.Set.Lines
            from run in line.Runs
            where run.Glyphs.Length > 0
            let mark = PaintedMarks.Letters(line, run, art.Swatches, Length.FromPoints(1000))
            select Inked(mark with { X = mark.X + one.Words.Box.Left + dx, Y = mark.Y + one.Words.Box.Top + dy }, art);
        ImmutableArray<Mark> marks = [.. set.SelectMany(one => lettered(one, 0, 0))];
        var inked = TextDrawing.Inked(marks, art.Type!);
        var safe = Bounds.Of(page.Safe);
        if (!inked.IsEmpty && !safe.Holds(inked))
        {
            // Letters of some scripts reach farther from their line than a box of Latin ones allows for: words whose box
            // lies within the margins are moved in with their ink.
            marks = [.. set.SelectMany(one =>
            {
                if (!safe.Holds(one.Words.Box)) return lettered(one, 0, 0);
                var own = TextDrawing.Inked([.. lettered(one, 0, 0)], art.Type!);
                return own.IsEmpty ? [] : lettered(one, Into(own.Left, own.Right, safe.Left, safe.Right),
                    Into(own.Top, own.Bottom, safe.Top, safe.Bottom));
            })];
            inked = TextDrawing.Inked(marks, art.Type!);
        }
        // What a box is too small for is told by its words; where its own size was asked for they are all there.
        var over = set.FirstOrDefault(s => s.Set.Overset is not null || !s.Set.Missing.IsEmpty).Set
            ?? set.FirstOrDefault(s => s.Set.Forced is not null).Set;
        return new(name, Part.Page, Affine.Identity, marks, Whole(page), inked, over, Clipped: true);
    }

    /// <summary>How far a stretch is moved to lie within another; 0 where it is longer.</summary>
    private static double Into(double from, double to, double least, double most) => to - from > most - least ? 0
        : from < least ? least - from : to > most ? most - to : 0;

    /// <summary>A page of a text; where its run has no page for the rest, that is told.</summary>
    private static DrawnItem Flowed(ImmutableArray<ImmutableArray<FlowedLine>> flow, int n, bool last, Surface page,
        PageArt art)
    {
        var lines = n < flow.Length ? flow[n] : [];
        var (x, y) = (page.Safe.X.Points, page.Safe.Y.Points);
        ImmutableArray<Mark> marks = [.. from one in lines
                                         from run in one.Line.Runs
                                         where run.Glyphs.Length > 0
                                         let mark = PaintedMarks.Letters(one.Line, run, art.Swatches, Length.FromPoints(1000))
                                         select Inked(mark with { X = mark.X + x + one.X, Y = y + one.Y }, art)];
        var over = last && n + 1 < flow.Length ? flow[n + 1].FirstOrDefault()?.Line.Text ?? "the rest" : null;
        return new(Words, Part.Page, Affine.Identity, marks, Whole(page), TextDrawing.Inked(marks, art.Type!),
            over is null ? null : new TextLayout([.. lines.Select(l => l.Line)], 0, over, []), Clipped: true);
    }

    /// <summary>Art as its visible edges, in a frame.</summary>
    private static DrawnItem Coloured(ToColour sketched, PageDesign design, PageArt art)
    {
        var b = sketched.Box;
        var clip = Outline.Rectangle(b.Left, b.Top, b.Right - b.Left, b.Bottom - b.Top);
        var marks = Outlining.On(b, sketched.Sketch, sketched.Weight, design.Paints[sketched.Slot], art.Swatches, art.Drawings)
            .Select(m => Inked(m, art));
        return new(Body, Part.Page, Affine.Identity, [.. PatternDrawing.ByFinish(marks)
            .Select(s => (Mark)new DrawingMark(s, clip) { Finish = s[0].Finish })], b, b, Clipped: true);
    }

    private static IEnumerable<DrawnItem> Backed(InsidePlan plan, PlannedPage page, PageArt art)
    {
        var (surface, run) = (page.Surface, page.Run!);
        if (run.Backs == Backs.Solid)
            yield return Filled(Back, new(new InkPaint(Ink.Black)), plan.Inside.Bleeds ? surface.Whole : surface.Safe, surface, art);
        if (run.Backs != Backs.Note || art.Type is null || run.BackNote.Length == 0) yield break;
        var safe = surface.Safe;
        var note = new Written(page.Facts.Fill(run.BackNote),
            Bounds.Of(safe), 8, 0)
        { Align = Align.Centre, Stand = Stand.Foot };
        yield return Worded(Back, [(note, Set(note, new BlankPage { Paints = [] }, plan.Inside, art.Type))], surface, art);
    }

    private static IEnumerable<DrawnItem> Numbered(InsidePlan plan, PlannedPage page, PageArt art)
    {
        var (surface, folio, size) = (page.Surface, plan.Inside.Folio, plan.Inside.Folio.Size.Points);
        var (trim, safe) = (surface.Trim, surface.Safe);
        var right = plan.Grid(page.Slot.Run).IsRight(page.Number);
        var atHead = folio.Place == FolioPlace.OuterHead;
        // Half-way between what is printed and the cut.
        var (from, to) = atHead ? (trim.Y.Points, safe.Y.Points) : (safe.Bottom.Points, trim.Bottom.Points);
        var middle = (from + to) / 2;
        var box = new Bounds(safe.X.Points, middle - size, safe.Right.Points, middle + (0.5 * size));
        var outer = folio.Place == FolioPlace.MiddleFoot ? Align.Centre : right ? Align.Right : Align.Left;
        List<Written> words = [new(page.Facts.Folio, box, size, 0) { Align = outer, Stand = Stand.Foot }];
        if (folio.Beside.Length > 0 && folio.Place != FolioPlace.MiddleFoot)
            words.Add(new(page.Facts.Fill(folio.Beside), box, 0.9 * size, 0)
            { Align = right ? Align.Left : Align.Right, Stand = Stand.Foot });
        yield return Worded(Folio, [.. words.Select(w => (w, Set(w, new BlankPage { Paints = [] },
            plan.Inside, art.Type!)))], surface, art);
    }

    private static DrawnItem Tabbed(InsidePlan plan, PlannedPage page, (int Tab, int Of) tab, PageArt art)
    {
        var (surface, index) = (page.Surface, plan.Inside.Tabs);
        var (top, bottom) = index.At(surface.Trim.Height, tab.Tab, tab.Of);
        var right = plan.Grid(page.Slot.Run).IsRight(page.Number);
        var (x, end) = right ? (surface.Trim.Right - index.Depth, surface.Size.Width) : (Length.Zero, surface.Trim.X + index.Depth);
        var box = new Box(x, surface.Trim.Y + top, end - x, bottom - top);
        return Filled(Tab, new(new InkPaint(Ink.Black)), box, surface, art);
    }

    private static DrawnItem Filled(string name, Fill fill, Box box, Surface page, PageArt art)
    {
        var b = Bounds.Of(box);
        var shape = Outline.Rectangle(b.Left, b.Top, b.Right - b.Left, b.Bottom - b.Top);
        var marks = ImmutableArray.CreateBuilder<Mark>();
        if (fill.Paint is { } paint)
            marks.Add(Inked(PaintedMarks.Filled(shape, paint, art.Swatches, b.Right, b.Bottom), art));
        if (fill.Pattern is { } pattern)
            foreach (var stretch in PatternDrawing.ByFinish(
                new LaidPaper(pattern, fill.Paint, art.Swatches, b, b, new(0, 0, b.Right, b.Bottom),
                    art.Drawings).Marks()
                    .Select(m => Inked(m, art))))
                marks.Add(new DrawingMark(stretch, shape) { Finish = stretch[0].Finish });
        return new(name, Part.Page, Affine.Identity, marks.ToImmutable(), b, b, Clipped: true);
    }

    private static DrawnItem? Picture(string name, Hung hung, PageArt art, decimal strength = 1)
    {
        var (p, b) = (hung.Picture, hung.Box);
        var (w, h) = (b.Right - b.Left, b.Bottom - b.Top);
        var (sx, sy) = (w / p.Wide, h / p.High);
        var scale = hung.Whole ? Math.Min(sx, sy) : Math.Max(sx, sy);
        var place = new Affine(p.Wide * scale, 0, 0, p.High * scale,
            b.Left + ((w - (p.Wide * scale)) / 2), b.Top + ((h - (p.High * scale)) / 2));
        var clip = Outline.Rectangle(b.Left, b.Top, w, h);
        if (!p.IsDrawing)
            return new(name, Part.Page, Affine.Identity, [new PictureMark(p, place, clip)
            { Convert = true, Strength = (double)strength }], b, b, Clipped: true);
        if (art.Drawings?.Of(p) is not { } marks) return null;
        var laid = Moved.All(marks, new Affine(scale, 0, 0, scale, place.E, place.F)).Select(m => Inked(m, art))
            .Select(m => strength == 1 ? m : Blackened.Of(m, ink => ink.Tint((int)(10_000 * strength))));
        return new(name, Part.Page, Affine.Identity, [.. PatternDrawing.ByFinish(laid)
            .Select(s => (Mark)new DrawingMark(s, clip) { Finish = s[0].Finish })], b, b, Clipped: true);
    }

    private static DrawnItem Laid(string name, ImmutableArray<Mark> marks, Surface page) =>
        new(name, Part.Page, Affine.Identity, marks, Whole(page), marks.OfType<RepeatedMark>()
            .Aggregate(Bounds.None, (all, m) => all.Union(m.Reach)), Clipped: true);

    private static Bounds Whole(Surface page) => new(0, 0, page.Size.Width.Points, page.Size.Height.Points);

    /// <summary>A mark as it is printed: where black is the only ink, all of it is black.</summary>
    private static T Inked<T>(T mark, PageArt art) where T : Mark => art.Black is { } black ? (T)Blackened.Of(mark, black) : mark;
}
