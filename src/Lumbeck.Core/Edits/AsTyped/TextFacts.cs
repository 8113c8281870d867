namespace Lumbeck.Core.Edits.AsTyped;

/// <summary>
/// A text's facts: its words, how they are set, how they fit their box, and what they are dressed with.
/// <c>item/blurb/size@4-9</c> is the size of the letters from the fifth to the ninth.
/// </summary>
internal static class TextFacts
{
    private static readonly (string, Align)[] Aligns = [("left", Align.Left), ("centre", Align.Centre),
        ("right", Align.Right), ("justified", Align.Justified)];
    private static readonly (string, Stand)[] Stands = [("head", Stand.Head), ("middle", Stand.Middle),
        ("foot", Stand.Foot)];
    private static readonly (string, LetterCase)[] Cases = [("as typed", LetterCase.AsTyped),
        ("capitals", LetterCase.Upper), ("small letters", LetterCase.Lower), ("small capitals", LetterCase.SmallCaps)];
    private static readonly (string, Fitting)[] Fits = [("as set", Fitting.AsSet), ("shrink", Fitting.Shrink),
        ("fill width", Fitting.FillWidth), ("grow box", Fitting.Grow)];
    private static readonly (string, bool)[] YesNo = [("yes", true), ("no", false)];

    private static TextItem T(Job j, string id) => (TextItem)j.Item(id)!;
    private static string Yes(bool b) => b ? "yes" : "no";
    private static string Number(decimal n) => n.ToString("0.##", CultureInfo.InvariantCulture);
    private static decimal Read(string text, string example, params char[] units) =>
        LengthText.Number(text.Trim().TrimEnd([.. units, ' ']).Replace('−', '-'))
            ?? throw Typed.No($"`{LengthText.Clip(text)}` is no number here: try `{example}`");

    public static IEnumerable<Fact> Of(string id) =>
        [Words(id), .. Letters(id, null), Standing(id), .. Fit(id), .. Dress(id)];

    /// <summary>
    /// The fact of a key such as <c>size@4-9</c>, of some of a text's letters; null where it is none.
    /// </summary>
    public static Fact? Of(string id, string key)
    {
        if (key.StartsWith("feature-", StringComparison.Ordinal))
            return Feature(id, key.Split('@')[0][8..], Range(key), "item/" + id + "/" + key);
        return Range(key) is { } range ? Letters(id, range).FirstOrDefault(f => f.Path == $"item/{id}/{key}") : null;
    }

    /// <summary>The letters that a key names, from one to before another.</summary>
    public static (int From, int To)? Range(string key)
    {
        var at = key.IndexOf('@', StringComparison.Ordinal);
        if (at < 0 || key[(at + 1)..].Split('-') is not [var a, var b]) return null;
        return int.TryParse(a, NumberStyles.None, CultureInfo.InvariantCulture, out var from)
            && int.TryParse(b, NumberStyles.None, CultureInfo.InvariantCulture, out var to)
            ? (from, to)
            : null;
    }

    private static Fact Words(string id) =>
        new($"item/{id}/words", "Words", j => T(j, id).Words, (_, t) => new SetWords(id, t.ReplaceLineEndings("\n")));

    private static Fact Standing(string id) =>
        new($"item/{id}/stand", "Stands", j => Stands.First(a => a.Item2 == T(j, id).Style.Stand).Item1,
            (_, t) => new StyleText(id, Stand: Typed.Choice(t, Stands)))
        {
            Choices = Facts.Of(("head", "at the head"),
                ("middle", "in the middle"), ("foot", "at the foot"))
        };

    private static IEnumerable<Fact> Letters(string id, (int From, int To)? range)
    {
        var suffix = range is { } r ? string.Create(CultureInfo.InvariantCulture, $"@{r.From}-{r.To}") : "";
        TextStyle S(Job j) => range is { } r ? TextRuns.At(T(j, id).Style, T(j, id).Runs, r.From) : T(j, id).Style;
        StyleText on(StyleText edit) => range is { } r ? edit with { From = r.From, To = r.To } : edit;
        Fact fact(string key, string label, Func<TextStyle, string> read, Func<Job, string, StyleText> write) =>
            new($"item/{id}/{key}{suffix}", label, j => read(S(j)), (j, t) => on(write(j, t)));
        yield return fact("face", "Face", s => s.Face.ToString(),
            (_, t) => new StyleText(id,
                Face: FaceId.TryParse(t, out var f) ? f : throw Typed.No($"no face is called `{LengthText.Clip(t)}`")));
        yield return fact("size", "Size", s => s.Size.ShowPoints(),
            (j, t) => new StyleText(id, Size: Facts.Points(t, S(j).Size)));
        yield return fact("leading", "Leading", s => Number(s.Leading) + " ×",
            (_, t) => new StyleText(id,
                Leading: LengthText.Number(t.TrimEnd(' ', '×', 'x'))
                    ?? throw Typed.No($"`{LengthText.Clip(t)}` is no leading: type it as a multiple of the size, such as `1.2`")));
        yield return fact("tracking", "Tracking", s => Number(s.Tracking) + " ‰",
            (_, t) => new StyleText(id, Tracking: Read(t, "50", '‰')));
        yield return new($"item/{id}/ink{suffix}", "Ink", j => S(j).Paint.Show(j.Swatches),
            (j, t) => on(new StyleText(id, Paint: Facts.Paint(j, t))))
        { TakesColour = true };
        yield return fact("align", "Lines", s => Aligns.First(a => a.Item2 == s.Align).Item1,
            (_, t) => new StyleText(id, Align: Typed.Choice(t, Aligns))) with
        {
            Choices = j => j.Ticket.Reading == Reading.LeftToRight
                ? [("left", "flush left"), ("centre", "centred"), ("right", "flush right"), ("justified", "justified")]
                : [("left", "flush right"), ("centre", "centred"), ("right", "flush left"), ("justified", "justified")],
        };
        yield return fact("case", "Case", s => Cases.First(a => a.Item2 == s.Case).Item1,
            (_, t) => new StyleText(id) { Case = Typed.Choice(t, Cases) }) with
        {
            Choices = Facts.Of(("as typed", "as typed"), ("capitals", "capitals"), ("small letters", "small"),
                    ("small capitals", "small caps")),
        };
        yield return fact("raise", "Raised", s => s.Raise.ShowPoints(),
            (_, t) => new StyleText(id) { Raise = Typed.Points(t) });
        yield return fact("features", "Features", s => s.Features, (_, t) => new StyleText(id) { Features = t });
        yield return fact("space", "Space", s => s.Space.ShowPoints(),
            (_, t) => new StyleText(id) { Space = Typed.Points(t) });
        yield return fact("indent", "Indent", s => s.Indent.ShowPoints(),
            (_, t) => new StyleText(id) { Indent = Typed.Points(t) });
        yield return fact("hyphenate", "Hyphens", s => Yes(s.Hyphenate),
            (_, t) => new StyleText(id) { Hyphenate = Typed.Choice(t, YesNo) }) with
        {
            Choices = Facts.Of(("no", "none"), ("yes", "where they help")),
        };
    }

    private static Fact Feature(string id, string tag, (int From, int To)? range, string path)
    {
        TextStyle S(Job j) => range is { } r ? TextRuns.At(T(j, id).Style, T(j, id).Runs, r.From) : T(j, id).Style;
        return new(path, tag, j => Yes(FeatureText.IsOn(S(j).Features, tag)),
            (j, t) => new StyleText(id)
            {
                Features = FeatureText.Turned(S(j).Features, tag, Typed.Choice(t, YesNo)),
                From = range?.From,
                To = range?.To,
            });
    }

    private static IEnumerable<Fact> Fit(string id)
    {
        yield return new($"item/{id}/fit", "Fits", j => Fits.First(f => f.Item2 == T(j, id).Fit).Item1,
            (_, t) => new FitText(id, Fit: Typed.Choice(t, Fits)))
        {
            Choices = Facts.Of(("as set", "as set"),
                ("shrink", "shrinks"), ("fill width", "fills width"), ("grow box", "box grows"))
        };
        yield return new($"item/{id}/columns", "Columns", j => T(j, id).Columns.ToString(CultureInfo.InvariantCulture),
            (_, t) => new FitText(id, Columns: Typed.Whole(t, "2")));
        yield return new($"item/{id}/gutter", "Between", j => T(j, id).Gutter.ShowPoints(),
            (_, t) => new FitText(id, Gutter: Typed.Points(t)));
        yield return new($"item/{id}/upright", "Upright", j => Yes(T(j, id).Upright),
            (_, t) => new FitText(id, Upright: Typed.Choice(t, YesNo)));
        yield return new($"item/{id}/bend", "Arc", j => Number(T(j, id).Bend) + "°",
            (_, t) => new FitText(id, Bend: Read(t, "60°", '°')));
        yield return new($"item/{id}/as-typed", "As typed", j => Yes(T(j, id).AsTyped),
            (_, t) => new FitText(id, AsTyped: Typed.Choice(t, YesNo)));
        yield return new($"item/{id}/composed", "Composed", j => Yes(T(j, id).Composed),
            (_, t) => new FitText(id, Composed: Typed.Choice(t, YesNo)));
    }

    private static IEnumerable<Fact> Dress(string id)
    {
        static bool bare(string t) => t.Trim() is "" or "none";
        Fact fact(string key, string label, Func<Job, string> read, Func<Job, string, Edit> write) =>
            new($"item/{id}/{key}", label, read, write);
        var (black, pt) = (new InkPaint(Ink.Black), (Func<decimal, Length>)Length.FromPoints);
        yield return fact("edge", "Edge", j => T(j, id).Edge?.Paint.Show(j.Swatches) ?? "none",
            (j, t) => new EdgeText(id,
                bare(t)
                    ? null
                    : new(Facts.PlainPaint(j, t, "edges"), T(j, id).Edge?.Width ?? pt(1)))) with
        { TakesColour = true };
        yield return fact("edge-width", "Wide", j => T(j, id).Edge?.Width.ShowPoints() ?? "",
            (j, t) => new EdgeText(id, bare(t) ? null : new(T(j, id).Edge?.Paint ?? black, Typed.Points(t))));

        Edit shade(Job j, string t, Func<TextShadow, TextShadow> with) =>
            new ShadowText(id, bare(t) ? null : with(T(j, id).Shadow ?? new(black, pt(1.5m), pt(1.5m), Length.Zero)));
        yield return fact("shadow", "Shadow", j => T(j, id).Shadow?.Paint.Show(j.Swatches) ?? "none",
            (j, t) => shade(j, t,
                s => s with { Paint = Facts.PlainPaint(j, t, "shadows") })) with
        { TakesColour = true };
        yield return fact("shadow-right", "Right", j => T(j, id).Shadow?.Right.ShowPoints() ?? "",
            (j, t) => shade(j, t, s => s with { Right = Typed.Points(t) }));
        yield return fact("shadow-down", "Down", j => T(j, id).Shadow?.Down.ShowPoints() ?? "",
            (j, t) => shade(j, t, s => s with { Down = Typed.Points(t) }));
        yield return fact("shadow-soft", "Soft", j => T(j, id).Shadow?.Soft.ShowPoints() ?? "",
            (j, t) => shade(j, t, s => s with { Soft = Typed.Points(t) }));
        yield return fact("shadow-strength", "Strength", j => T(j, id).Shadow is { } s ? Number(s.Strength) + " %" : "",
            (j, t) => shade(j, t, s => s with { Strength = Read(t, "60 %", '%') }));

        Edit back(Job j, string t, Func<TextBacking, TextBacking> with) =>
            new BackText(id, bare(t) ? null : with(T(j, id).Backing ?? new(black, pt(4), Length.Zero)));
        yield return fact("backing", "Backing", j => T(j, id).Backing?.Paint.Show(j.Swatches) ?? "none",
            (j, t) => back(j, t, b => b with { Paint = Facts.Paint(j, t) })) with
        { TakesColour = true };
        yield return fact("backing-room", "Room", j => T(j, id).Backing?.Room.ShowPoints() ?? "",
            (j, t) => back(j, t, b => b with { Room = Typed.Points(t) }));
        yield return fact("backing-corner", "Corner", j => T(j, id).Backing?.Corner.ShowPoints() ?? "",
            (j, t) => back(j, t, b => b with { Corner = Typed.Points(t) }));
    }
}
