namespace Lumbeck.Core.Tests;

/// <summary>
/// Runs, paragraphs, both directions, fits and the rest, with type that can be reckoned in the head: every letter is
/// half an em wide.
/// </summary>
public sealed class TextLayoutTests
{
    private static readonly PlainType Type = new();

    private static TextToSet Text(string words, decimal size = 10) => new(words, Sample.Style(size));

    private static TextLayout Set(TextToSet text, double width, double height = 1000, bool stops = false) =>
        Typesetter.Set(text, width, height, Type, stops);

    [Fact]
    public void A_run_has_its_own_size_ink_and_case_and_the_rest_has_the_texts()
    {
        var style = Sample.Style(10);
        var runs = TextRuns.Lay([], 4, 8,
            new() { Size = Length.FromPoints(20), Case = LetterCase.Upper, Paint = new InkPaint(Ink.White) }, style);
        var line = Set(Text("the tide rose") with { Runs = runs }, 200).Lines.ShouldHaveSingleItem();
        line.Runs.Select(r => (r.Text, r.Size)).ShouldBe([("the ", 10), ("TIDE", 20), (" rose", 10)]);
        line.Width.ShouldBe((9 * 5) + (4 * 10), 1e-9);
        // The tallest sets the line's room; what is said again of the same letters lies over what was said before.
        line.Ascent.ShouldBe(16, 1e-9);
        TextRuns.Lay(runs, 6, 12, new() { Size = Length.FromPoints(10) }, style).Select(r => (r.From, r.To))
            .ShouldBe([(4, 6), (6, 8)]);
        TextRuns.Lay(runs, 0, 13,
            new() { Size = Length.FromPoints(10), Case = LetterCase.AsTyped, Paint = style.Paint }, style)
            .ShouldBeEmpty();
    }

    [Theory]
    [InlineData(0, 0, 3, 7, 11)] // before the run: it moves along
    [InlineData(4, 0, 3, 7, 11)] // at its beginning: the letter before lends its style
    [InlineData(6, 0, 3, 4, 11)] // within: it grows
    [InlineData(8, 0, 3, 4, 11)] // at its end: what is typed on belongs to it
    [InlineData(9, 0, 3, 4, 8)] // after it
    [InlineData(2, 4, 0, 2, 4)] // its beginning is cut away
    [InlineData(5, 2, 1, 4, 7)]
    public void Runs_stay_with_their_letters_while_words_are_typed(int at, int removed, int inserted, int from, int to)
    {
        var moved = TextRuns.Moved([new(4, 8, new() { Raise = Length.FromPoints(1) })], at, removed, inserted)
            .ShouldHaveSingleItem();
        (moved.From, moved.To).ShouldBe((from, to));
    }

    [Fact]
    public void A_run_whose_letters_all_go_goes_with_them() =>
        TextRuns.Moved([new(4, 8, RunStyle.None)], 3, 6, 2).ShouldBeEmpty();

    [Theory]
    [InlineData("allure", "alllure", 3, 2, 0, 1)]
    [InlineData("allure", "alllure", null, 3, 0, 1)]
    [InlineData("one two", "one", null, 3, 4, 0)]
    [InlineData("", "new", null, 0, 0, 3)]
    public void The_difference_of_two_texts_is_one_stretch(string before, string after, int? caret, int at, int removed,
        int inserted) =>
        SetWords.Difference(before, after, caret).ShouldBe((at, removed, inserted));

    [Fact]
    public void What_is_typed_is_set_by_language_unless_it_is_to_stay_as_typed()
    {
        var job = Sample.Job(Sample.Text("t", "Sea"));
        TextItem typed(Job j) => (TextItem)new SetWords("t", "Sea \"door\"--", 12).Apply(j).Item("t")!;
        typed(job).Words.ShouldBe("Sea “door”–");
        typed(new SetLanguage("de").Apply(job)).Words.ShouldBe("Sea „door“–");
        typed(new FitText("t", AsTyped: true).Apply(job)).Words.ShouldBe("Sea \"door\"--");
    }

    [Fact]
    public void Paragraphs_have_their_own_alignment_space_and_indents()
    {
        var style = Sample.Style(10) with { Space = Length.FromPoints(6), Indent = Length.FromPoints(15) };
        var runs = TextRuns.Lay([], 8, 9, new() { Align = Align.Right, Indent = Length.FromPoints(-15) }, style);
        var lines = Set(new TextToSet("one two\nfour six tens", style) { Runs = runs }, 60).Lines;
        lines.Select(l => l.Text).ShouldBe(["one two", "four six", "tens"]);
        lines[0].X.ShouldBe(15, 1e-9);
        (lines[1].Baseline - lines[0].Baseline).ShouldBe(12 + 6, 1e-9);
        // Hanging: the first line stands out, the others are drawn in; flush right they end at the edge.
        lines[1].X.ShouldBe(60 - 40, 1e-9);
        lines[2].X.ShouldBe(60 - 20, 1e-9);
    }

    [Fact]
    public void Justified_lines_fill_the_measure_and_the_last_does_not()
    {
        var lines = Set(new TextToSet("one two three four five six", Sample.Style(10) with { Align = Align.Justified }),
            72)
            .Lines;
        lines.SkipLast(1).ShouldAllBe(l => Math.Abs(l.Width - 72) < 1e-6);
        lines[^1].Width.ShouldBeLessThan(72);
        lines[0].Spacing.ShouldBeGreaterThan(1);
        // The glyphs stand where the wider spaces put them.
        var last = lines[0].Glyphs.Last();
        (last.X + 5).ShouldBe(72, 1e-6);
    }

    [Fact]
    public void Words_are_parted_only_where_asked_and_at_soft_hyphens()
    {
        var style = Sample.Style(10) with { Align = Align.Justified };
        Set(new TextToSet("an extraordinary photograph", style), 62).Lines.ShouldAllBe(l => !l.Hyphenated);
        var parted = Set(new TextToSet("an extraordinary photograph", style with { Hyphenate = true }), 62).Lines;
        parted.Count(l => l.Hyphenated).ShouldBeGreaterThan(0);
        parted.First(l => l.Hyphenated).Glyphs.Last().Letters.ShouldBe("\u00AD");
        Set(Text("con\u00ADcert"), 22).Lines.Select(l => l.Hyphenated).ShouldBe([true, false]);
    }

    [Fact]
    public void Both_directions_stand_in_one_line_and_right_to_left_paragraphs_begin_at_the_right()
    {
        // Logical order: abc, then three Hebrew letters, then 12.
        var mixed = Set(Text("abc אבג 12"), 200).Lines[0];
        mixed.Runs.Select(r => (r.Text.Trim(), r.RightToLeft)).ShouldContain(("אבג", true));
        var x = mixed.Glyphs.Where(g => g.Letters.Length > 0 && g.Letters[0] != ' ')
            .ToDictionary(g => g.Letters[0], g => g.X);
        x['א'].ShouldBeGreaterThan(x['ב']);
        x['ב'].ShouldBeGreaterThan(x['ג']);
        x['a'].ShouldBeLessThan(x['ג']);
        var hebrew = Set(Text("אבג דה"), 100).Lines[0];
        (hebrew.X + hebrew.Width).ShouldBe(100, 1e-9);
        Set(Text("...") with { RightToLeft = true }, 100).Lines[0].X.ShouldBe(85, 1e-9);
    }

    [Fact]
    public void A_character_that_a_face_lacks_is_drawn_by_the_one_that_stands_in_and_is_told()
    {
        var set = Set(Text("a海Q"), 100);
        set.Instead.ShouldBe([(new System.Text.Rune('海'), BarcodeDrawing.Digits)]);
        set.Lines[0].Runs.Select(r => r.Face).ShouldBe([PlainType.Face, BarcodeDrawing.Digits, PlainType.Face]);
        set.Missing.Select(r => r.ToString()).ShouldBe(["Q"]);
        Sample.Check(Sample.Job(Sample.Text("t", "a海"))).Single(f => f.Id == "text.glyphs")
            .Severity.ShouldBe(Severity.Note);
    }

    [Fact]
    public void Fits_shrink_fill_and_grow()
    {
        var long_ = Text("one two three four five six seven");
        Set(long_, 60, 30).Overset.ShouldNotBeNull();
        var shrunk = Set(long_ with { Fit = Fitting.Shrink }, 60, 30);
        shrunk.Overset.ShouldBeNull();
        shrunk.Scale.ShouldBeLessThan(1);
        shrunk.Height.ShouldBeLessThanOrEqualTo(30.02);
        // A fifth smaller or larger would leave room or run over: it is about as large as goes.
        Set(long_ with { Style = Sample.Style(10 * (decimal)shrunk.Scale * 1.05m) }, 60, 30).Overset.ShouldNotBeNull();
        var filled = Set(Text("four\nletters") with { Fit = Fitting.FillWidth }, 140);
        filled.Lines[1].Width.ShouldBe(140, 0.05);
        filled.Size.ShouldBe(40, 0.05);
        Set(long_ with { Fit = Fitting.Grow }, 60, 1).Overset.ShouldBeNull();
        var item = Sample.Text("t", "one two three four five six seven", wide: 1) with { Fit = Fitting.Grow };
        var job = EditPipeline.Settle(Sample.Job(item), Type);
        ((TextItem)job.Item("t")!).Height.Own.Points.ShouldBe(Set(Text(item.Words, 12), 72).Height, 0.02);
        EditPipeline.Settle(job, Type).ShouldBeSameAs(job);
    }

    [Fact]
    public void Columns_are_filled_one_after_the_other_from_the_side_the_text_begins_at()
    {
        var two = Text("one\ntwo\nsix\nten") with { Columns = 2, Gutter = 10 };
        var lines = Set(two, 110, 25).Lines;
        lines.Select(l => (l.X, l.Text)).ShouldBe([(0, "one"), (0, "two"), (60, "six"), (60, "ten")]);
        lines[2].Baseline.ShouldBe(lines[0].Baseline, 1e-9);
        Set(Text("אבג\nדהו\nזחט") with { Columns = 2, Gutter = 10 }, 110, 25).Lines[0].X.ShouldBeGreaterThan(60);
    }

    [Fact]
    public void An_arc_turns_letters_about_one_middle()
    {
        var set = Set(new TextToSet("abcd", Sample.Style(10) with { Align = Align.Centre }) { Bend = 90 }, 100);
        var glyphs = set.Lines[0].Glyphs.ToList();
        // Half the letters lean left and half right, the outer ones more; the middle is the highest.
        glyphs.Select(g => g.Turn).ShouldBe(glyphs.Select(g => -g.Turn).Reverse(), 1e-6);
        glyphs[0].Turn.ShouldBeLessThan(glyphs[1].Turn);
        glyphs[0].Y.ShouldBeGreaterThan(glyphs[1].Y);
        var radius = 100 / (Math.PI / 2);
        foreach (var g in glyphs)
        {
            // Each stands square to the radius under its own middle.
            var (sin, cos) = Math.SinCos(g.Turn * Math.PI / 180);
            var (mx, my) = (g.X + (2.5 * cos), g.Y + (2.5 * sin));
            Math.Sqrt(Math.Pow(mx - 50, 2) + Math.Pow(my - (9 + radius), 2)).ShouldBe(radius, 0.01);
        }
    }

    [Fact]
    public void Upright_lines_run_down_from_the_right_and_stand_upright_on_a_turned_spine()
    {
        var flat = Set(Text("海山") with { Upright = true }, 40, 100).Lines[0].Glyphs.ToList();
        flat[1].Y.ShouldBeGreaterThan(flat[0].Y);
        flat.ShouldAllBe(g => g.Turn == 0 && g.X > 20);
        // On a spine that reads downward the level box is 100 along and 40 across; on the sheet the letters stand as
        // they do above.
        var spine = Set(Text("海山") with { Upright = true, Turned = Turn.Clockwise }, 100, 40).Lines[0].Glyphs.ToList();
        spine.ShouldAllBe(g => g.Turn == -90);
        spine[1].X.ShouldBeGreaterThan(spine[0].X);
        var toSheet = Placement.Frame(Box.FromEdges(default, default, Length.FromPoints(40), Length.FromPoints(100)),
            Turn.Clockwise);
        var (x, y) = toSheet.At(spine[0].X, spine[0].Y);
        (x, y).ShouldBe((flat[0].X, flat[0].Y));
    }

    [Fact]
    public void A_caret_stands_before_every_letter_and_after_the_last()
    {
        var set = Set(Text("fin ab\nאב"), 100, stops: true);
        set.Stops.Where(s => s.Line == 0).Select(s => (s.At, s.X))
            .ShouldBe([(0, 0), (1, 2.5), (2, 5), (3, 10), (4, 15), (5, 20), (6, 25)]);
        // Read to the left: the caret before the first letter stands at its right.
        set.Stops.Where(s => s.Line == 1).OrderBy(s => s.At).Select(s => s.X).ShouldBe([100, 95, 90]);
        Set(Text("a  "), 100, stops: true).Stops[^1].X.ShouldBe(15, 1e-9);
        Set(Text(""), 100, stops: true).Stops.ShouldHaveSingleItem().At.ShouldBe(0);
    }

    [Fact]
    public void The_spine_is_composed_as_large_as_goes_and_kept_right_until_a_hand_moves_it()
    {
        static TextItem spine(string id, string words, TextRole role) =>
            Sample.Text(id, words, role, Part.Spine, anchor: Anchor.Left) with { Composed = true };
        var job = EditPipeline.Settle(Sample.Job(spine("st", "Salt", TextRole.Title), spine("sa", "Vane",
            TextRole.Author),
            spine("si", "S&V", TextRole.Imprint)),
            Type);
        TextItem at(Job j, string id) => (TextItem)j.Item(id)!;
        at(job, "st").Style.Size.ShouldBeGreaterThan(at(job, "sa").Style.Size);
        at(job, "sa").Style.Size.ShouldBeGreaterThan(at(job, "si").Style.Size);
        var scene = Sample.Scene(job);
        var band = scene.Surface.Zone(ZoneKind.SpineSafe, Part.Spine)!.Box;
        foreach (var id in (string[])["st", "sa", "si"])
        {
            var ink = scene.Item(id)!.Inked.ToBox();
            ink.IsEmpty.ShouldBeFalse();
            ink.Intersect(band).ShouldBe(ink);
        }
        // From the head down: title, author; the imprint at the foot.
        scene.Item("st")!.Inked.Bottom.ShouldBeLessThan(scene.Item("sa")!.Inked.Top);
        scene.Item("sa")!.Inked.Bottom.ShouldBeLessThan(scene.Item("si")!.Inked.Top);
        scene.Item("si")!.Inked.Bottom.ShouldBeGreaterThan(band.Bottom.Points - 12);
        // A tenth larger would touch.
        (scene.Item("st")!.Inked.ToBox().Width.Points * 1.1).ShouldBeGreaterThan(band.Width.Points);
        var thinner = EditPipeline.Settle(new SetPages(140).Apply(job), Type);
        at(thinner, "st").Style.Size.ShouldBeLessThan(at(job, "st").Style.Size);
        Sample.Check(thinner).ShouldNotContain(f => f.Id == "zone.spine");
        var freed = new MoveItem("sa", Length.FromPoints(5), default).Apply(job);
        at(freed, "sa").Composed.ShouldBeFalse();
        at(freed, "st").Composed.ShouldBeTrue();
        at(EditPipeline.Settle(freed, Type), "sa").Hold.ShouldBe(at(freed, "sa").Hold);
        // Where books read up the spine, the imprint stands at the foot all the same.
        var german = EditPipeline.Settle(new SetLanguage("de")
            .Apply(job with
            {
                Ticket = job.Ticket with
                {
                    House = job.Ticket.House
            with
                    { SpineReading = SpineReading.ByLanguage }
                }
            }), Type);
        german.Sheets()[0].Sheet.Panel(Part.Spine)!.Turn.ShouldBe(Turn.CounterClockwise);
        var up = Sample.Scene(german);
        up.Item("si")!.Inked.Top.ShouldBeGreaterThan(up.Item("st")!.Inked.Bottom);
    }

    [Fact]
    public void Letters_are_spaced_so_that_words_span_two_marks()
    {
        var job = Sample.Job(Sample.Text("t", "abcde", anchor: Anchor.TopLeft, dx: 1, dy: 1));
        var drawn = Sample.Scene(job).Item("t")!;
        var (left, top) = (drawn.Inked.Left + 7, drawn.Inked.Top);
        var after = Matching.Span(job, "t", ((left + 90, top), (left, top)), Type).Apply(job);
        var ink = Sample.Scene(after).Item("t")!.Inked;
        ink.Left.ShouldBe(left, 0.02);
        ink.Right.ShouldBe(left + 90, 0.02);
        Should.Throw<Refusal>(() => Matching.Span(job, "t", ((0, 0), (1, 50)), Type))
            .Message.ShouldContain("two marks");
        Should.Throw<Refusal>(() => Matching.Span(job, "t", ((0, 0), (9000, 0)), Type)).Message.ShouldContain("‰");
    }

    [Fact]
    public void Facts_of_some_letters_change_those_alone()
    {
        var job = Sample.Job(Sample.Text("t", "one two\nsix"));
        var after = Facts.Write(job, "item/t/size@4-7", "30").Apply(job);
        Facts.Read(after, "item/t/size@4-7").ShouldBe("30 pt");
        Facts.Read(after, "item/t/size@0-3").ShouldBe("12 pt");
        Facts.Read(after, "item/t/size").ShouldBe("12 pt");
        // What is a paragraph's goes to the whole of it.
        var right = (TextItem)Facts.Write(job, "item/t/align@9-10", "right").Apply(job).Item("t")!;
        right.Runs.ShouldHaveSingleItem().From.ShouldBe(8);
        var lined = (TextItem)Facts.Write(after, "item/t/feature-onum@0-3", "yes").Apply(after).Item("t")!;
        lined.Runs[0].Style.Features.ShouldBe("onum");
        Facts.Write(job, "item/t/feature-liga", "no").Apply(job).Item("t").ShouldBeOfType<TextItem>()
            .Style.Features.ShouldBe("-liga");
        // Set anew as a whole, a text has no letters of their own in that.
        ((TextItem)Facts.Write(after, "item/t/size", "20").Apply(after).Item("t")!).Runs.ShouldBeEmpty();
        JobJson.Read(JobJson.Write(lined is var l ? after.WithItem("t", _ => l) : after)).Item("t")
            .ShouldBeOfType<TextItem>().Runs
            .ShouldBe(lined.Runs);
    }

    [Fact]
    public void Dress_lies_under_the_letters_plate_shadow_edge()
    {
        var text = Sample.Text("t", "Salt") with
        {
            Backing = new(new SwatchPaint("sea"), Length.FromPoints(3), Length.Zero),
            Shadow = new(new InkPaint(Ink.Black), Length.FromPoints(2), Length.FromPoints(2), Length.FromPoints(4), 50),
            Edge = new(new InkPaint(Ink.White), Length.FromPoints(1)),
        };
        var drawn = Sample.Scene(Sample.Job(text)).Item("t")!;
        drawn.Marks.Select(m => m.GetType().Name).ShouldBe(["FillMark", "BlurredMark", "LineMark", "GlyphMark"]);
        drawn.Softens.ShouldBeTrue();
        ((LineMark)drawn.Marks[2]).Width.ShouldBe(2);
        // What the knife must not touch is the letters with their edge, not the plate.
        drawn.Reach.Left.ShouldBeLessThan(drawn.Inked.Left);
        var hard = Sample.Scene(Sample.Job(text with { Shadow = text.Shadow! with { Soft = Length.Zero } }))
            .Item("t")!;
        hard.Marks[1].ShouldBeOfType<FillMark>()
            .Shape.Bounds.Left.ShouldBe(TextDrawing.Inked(hard.Marks, Type).Left + 2, 1e-6);
    }
}
