namespace Lumbeck.Core.Tests;

/// <summary>
/// Rules of geometry and scene, each with what sets it off, what it measures, and that its mend leaves nothing of it.
/// </summary>
public sealed class RulesTests
{
    private sealed class Kept(string source = "a shop", string licence = "for any use", bool never = false,
        string? fault = null)
        : IAssetFacts
    {
        public (string Source, string Licence)? Stated(Picture picture) => (source, licence);
        public string? Fault(Picture picture) => fault;
        public double? OutOfGamut(Picture picture, House house) => 0.08;
        public (double Across, double Down)? Seams(Picture picture, bool brick) => null;
        public IReadOnlyList<double> Gaps(Pattern pattern) => Lumbeck.Core.Checks.OfDrawn.PatternBeats.Gaps(pattern);
        public FaceRights Rights(FaceId face) => new("Plain", never, WholeOnly: !never);
        public IReadOnlyList<(string Asked, string Face)> FacesOf(Picture picture) => [("Helvetica", "Work Sans")];
    }

    private static readonly Picture Photo = new(new string('a', 64), "road.jpg", 3000, 2000, true);

    private static ImmutableArray<Finding> Check(Job job, IAssetFacts? kept = null) =>
        Rules.Check(job.Sheets().Select(s => new CheckContext(job, s, SceneBuilder.Build(job, s, new PlainType()),
            kept)));
    private static List<Finding> Of(Job job, string id, IAssetFacts? kept = null) =>
        [.. Check(job, kept).Where(f => f.Id == id)];

    /// <summary>The one finding of a rule, whose mend, where it has one, mends it.</summary>
    private static Finding Only(Job job, string id, IAssetFacts? kept = null)
    {
        var found = Of(job, id, kept).ShouldHaveSingleItem();
        if (found.Fix is { } mend)
            Of(EditPipeline.Settle(mend.Apply(job), new PlainType()), id, kept).Where(f => f.Item == found.Item)
                .ShouldBeEmpty();
        return found;
    }

    private static Hold At(Part panel, HoldBox box = HoldBox.Face, Anchor anchor = Anchor.Middle, decimal x = 0,
        decimal y = 0) => new(panel, box, anchor, Length.FromInches(x), Length.FromInches(y));
    private static Length Pt(decimal points) => Length.FromPoints(points);
    private static Span In(decimal inches) => new(Length.FromInches(inches));
    private static RectItem Rect(string id, Hold hold, decimal wide, decimal high, Paint? fill) =>
        new() { Id = id, Hold = hold, Width = In(wide), Height = In(high), Fill = fill };
    private static Paint Black => new InkPaint(Ink.Black);

    [Fact]
    public void Every_rule_has_an_id_of_its_own_and_says_what_it_proves()
    {
        Rules.All.Select(r => r.Id).Distinct().Count().ShouldBe(Rules.All.Count);
        Rules.All.ShouldAllBe(r => r.Proves.Length > 10 && !r.Proves.EndsWith('.'));
    }

    [Fact]
    public void A_border_near_a_cut_or_fold_is_uneven_sooner_than_one_farther_in()
    {
        var frame = new FrameItem
        {
            Id = "frame",
            Hold = At(Part.Front, HoldBox.Edge),
            Width = Span.Full,
            Height = Span.Full,
            Thickness = Length.FromMillimetres(1.5m),
            Fill = Black,
        };
        Only(Sample.Job(frame), "zone.edge").Fix.ShouldBeOfType<SetField>();
        Of(Sample.Job(frame with { Thickness = Length.FromMillimetres(6) }), "zone.edge").ShouldBeEmpty();
        var line = new LineItem
        {
            Id = "line",
            Hold = At(Part.Front, anchor: Anchor.Top, y: 0.05m),
            Width = In(3),
            Line = Black,
            LineWidth = Pt(1),
        };
        Only(Sample.Job(line), "zone.edge").Measured.ShouldContain("from it");
        // One that crosses the edge shows no drift.
        Of(Sample.Job(line with { Turned = 90, Hold = At(Part.Front, anchor: Anchor.Top, y: 0) }), "zone.edge")
            .ShouldBeEmpty();
    }

    [Fact]
    public void Drift_harms_what_is_safe_as_drawn_and_names_a_colour_that_ends_on_a_fold()
    {
        var job = Sample.Job(Sample.Text("near", "near", panel: Part.Back, box: HoldBox.Face, anchor: Anchor.TopLeft,
            wide: 1, dx: 0.02m, dy: 1));
        var wild = new SetHouse(job.Ticket.House with
        {
            TrimSafe = Length.FromMillimetres(0.2m),
            TrimDrift = Length.FromMillimetres(3)
        })
            .Apply(job);
        Only(wild, "zone.drift").Measured.ShouldContain("cut off");
        var band = Rect("band", At(Part.Spine, HoldBox.Edge), 1, 1,
            Black) with
        { Width = Span.Full, Height = Span.Full };
        var note = Of(Sample.Job(band), "zone.drift").ShouldHaveSingleItem();
        (note.Severity, note.Measured).ShouldBe((Severity.Note, "ends on the back’s fold"));
        // A ground that stops at the cut is another rule's as drawn, and none of this one's.
        var bare = new PaintGround(null)
            .Apply(Sample.Job(Rect("all", At(Part.Sheet, HoldBox.Face), 1, 1,
                Black) with
            { Width = Span.Full, Height = Span.Full }));
        Of(bare, "zone.drift").ShouldBeEmpty();
        Of(bare, "ground.coverage").ShouldHaveSingleItem();
    }

    [Fact]
    public void Small_type_is_a_caution_and_smaller_a_stop()
    {
        Only(Sample.Job(Sample.Text("t", "small", size: 5)), "text.size").Severity.ShouldBe(Severity.Caution);
        Only(Sample.Job(Sample.Text("t", "tiny", size: 3)), "text.size").Severity.ShouldBe(Severity.Stop);
        var light = Sample.Text("t", "light", size: 7);
        Only(Sample.Job(light with { Style = light.Style with { Paint = new InkPaint(Ink.White) } }), "text.size")
            .Limit.ShouldBe("8 pt or more in light letters");
        Of(Sample.Job(Sample.Text("t", "fine", size: 7)), "text.size").ShouldBeEmpty();
    }

    [Fact]
    public void Small_words_in_many_inks_are_brought_to_two()
    {
        var text = Sample.Text("t", "brown words", size: 10);
        var many =
            Sample.Job(text with { Style = text.Style with { Paint = new InkPaint(Ink.Percent(40, 60, 70, 10)) } });
        Only(many, "text.inks").Measured.ShouldBe("3 inks at 10 pt");
        Of(Sample.Job(text with { Style = text.Style with { Paint = new InkPaint(Ink.Percent(0, 60, 0, 40)) } }),
            "text.inks")
            .ShouldBeEmpty();
    }

    [Theory]
    [InlineData("\"quoted\"", "typewriter quotes")]
    [InlineData("two  spaces", "two spaces side by side")]
    public void What_a_typesetter_would_put_right_is_noted(string words, string measured)
    {
        var note = Only(Sample.Job(Sample.Text("t", words)), "text.typography");
        (note.Severity, note.Measured).ShouldBe((Severity.Note, measured));
    }

    [Fact]
    public void Thin_lines_break_and_light_ones_close()
    {
        var line = new LineItem
        {
            Id = "line",
            Hold = At(Part.Front),
            Width = In(2),
            Line = Black,
            LineWidth = Pt(0.2m),
        };
        Only(Sample.Job(line), "line.weight").Measured.ShouldBe("0.2 pt");
        Only(Sample.Job(line with { Line = new InkPaint(Ink.White), LineWidth = Pt(0.4m) }), "line.weight")
            .Limit.ShouldBe("0.5 pt or more for a light line");
        Of(Sample.Job(line with { LineWidth = Pt(0.5m) }), "line.weight").ShouldBeEmpty();
    }

    [Fact]
    public void A_drawing_s_words_in_another_face_are_told()
    {
        PictureItem hung = new()
        {
            Id = "p",
            Hold = At(Part.Front),
            Width = In(2),
            Height = In(1.3m),
            Picture = Photo with { IsDrawing = true },
        };
        var found = Only(Sample.Job(hung), "picture.face", new Kept());
        (found.Measured, found.Limit).ShouldBe(("Work Sans", "Helvetica"));
        Of(Sample.Job(hung with { Picture = Photo }), "picture.face", new Kept()).ShouldBeEmpty();
    }

    [Theory]
    [InlineData("", "for any use", "no source stated")]
    [InlineData("a shop", "", "no licence stated")]
    [InlineData("a friend", "CC BY-NC 4.0", "CC BY-NC 4.0")]
    public void A_picture_s_source_and_licence_are_asked_for(string source, string licence, string measured)
    {
        var job = Sample.Job(new PictureItem
        {
            Id = "p",
            Hold = At(Part.Front),
            Width = In(2),
            Height = In(1.3m),
            Picture = Photo
        });
        Only(job, "picture.licence", new Kept(source, licence)).Measured.ShouldBe(measured);
        Of(job, "picture.licence", new Kept()).ShouldBeEmpty();
    }

    [Fact]
    public void A_small_picture_is_mended_by_a_smaller_frame_and_stays_where_it_is()
    {
        var job = Sample.Job(new PictureItem
        {
            Id = "p",
            Hold = At(Part.Front),
            Width = In(4),
            Height = In(2.6m),
            Picture = Photo with { Wide = 900, High = 600 }
        });
        var found = Only(job, "picture.resolution");
        var after = (LayItem)found.Fix!;
        after.Width!.Value.Inches.ShouldBeLessThan(3m);
    }

    [Fact]
    public void Black_that_mixes_and_art_in_all_inks()
    {
        var text = Sample.Text("t", "mixed") with { Opacity = 90 };
        Only(Sample.Job(text), "ink.overprint").Limit.ShouldBe("black that overprints");
        Only(Sample.Job(Rect("r", At(Part.Front), 1, 1, new InkPaint(Ink.Percent(100, 100, 100, 100)))),
            "ink.overprint")
            .Limit.ShouldBe("for marks alone");
    }

    [Fact]
    public void Faces_that_no_file_may_hold_stop_and_those_that_want_to_be_whole_are_noted()
    {
        Of(Sample.Job(), "face.embed", new Kept(never: true)).ShouldHaveSingleItem().Severity.ShouldBe(Severity.Stop);
        Of(Sample.Job(), "face.embed", new Kept()).ShouldHaveSingleItem().Severity.ShouldBe(Severity.Note);
    }

    [Fact]
    public void What_is_flattened_is_named_where_the_house_takes_X1a()
    {
        var faded = Rect("r", At(Part.Front), 1, 1, Black) with { Opacity = 50 };
        Of(Sample.Job(faded), "press.transparency").ShouldBeEmpty();
        var plover = new SetHouse(HouseFile.Shipped["plover"]).Apply(Sample.Job(faded));
        Of(plover, "press.transparency").ShouldHaveSingleItem().Item.ShouldBe("r");
    }

    [Fact]
    public void Hidden_and_covered_items_are_noted()
    {
        var under = Rect("under", At(Part.Front), 1, 1, Black);
        Only(Sample.Job(under with { Hidden = true }), "item.lost").Measured.ShouldBe("hidden");
        Only(Sample.Job(under, Rect("over", At(Part.Front), 2, 2, Black) with { Name = "Cloud" }), "item.lost")
            .Measured.ShouldBe("wholly behind “Cloud”");
        Of(Sample.Job(under, Rect("over", At(Part.Front), 2, 2, Black) with { Opacity = 50 }), "item.lost")
            .ShouldBeEmpty();
    }

    [Fact]
    public void A_waived_rule_still_looks_and_no_longer_counts_and_its_reason_stays()
    {
        var job = Sample.Job(Sample.Text("t", "tiny", size: 3));
        Readiness.Of(Check(job)).Stops.ShouldBe(1);
        var waived = new WaiveRule("text.size", "a facsimile, agreed with the printer").Apply(job);
        Of(waived, "text.size").ShouldHaveSingleItem().Waived.ShouldBe("a facsimile, agreed with the printer");
        Readiness.Of(Check(waived)).Stops.ShouldBe(0);
        JobJson.Read(JobJson.Write(waived)).Waivers.Single().Rule.ShouldBe("text.size");
        Readiness.Of(Check(new WaiveRule("text.size", "").Apply(waived))).Stops.ShouldBe(1);
        new WaiveRule("text.size", "because").Says(job).ShouldContain("because");
        Should.Throw<Refusal>(() => Rules.RefuseUnknown(new WaiveRule("text.colour", "why").Apply(job)))
            .Message.ShouldContain("text.colour");
        Should.Throw<Refusal>(() => new WaiveRule("text.size", new string('x', 301)).Apply(job))
            .Path.ShouldBe("waiver/text.size");
    }

    [Fact]
    public void Ink_spots_are_found_with_their_place_to_a_tenth_of_a_millimetre()
    {
        // 300 pixels an inch; a square of 3 mm with 340 % on paper, and a speck that is too small to count.
        const int wide = 600, high = 400;
        var inks = new byte[wide * high * 4];
        void lay(int l, int t, int r, int b)
        {
            for (var y = t; y < b; y++)
                for (var x = l; x < r; x++)
                    for (var i = 0; i < 4; i++) inks[(((y * wide) + x) * 4) + i] = (byte)(255 * 0.85);
        }
        lay(120, 60, 156, 96);
        lay(400, 300, 404, 304);
        var plates = new PlateContext(wide, high, 300, inks) { Luminance = _ => 1, Decode = _ => [] };
        var (place, most) = InkTotal.Spots(plates, 300).ShouldHaveSingleItem();
        most.ShouldBe(340, 2);
        ((double)place.X.Millimetres).ShouldBe(120 * 25.4 / 300, 0.1);
        ((double)place.Bottom.Millimetres).ShouldBe(96 * 25.4 / 300, 0.1);
        InkTotal.Spots(plates, 345).ShouldBeEmpty();
    }

    [Fact]
    public void The_page_of_rules_lists_every_one_with_what_it_proves()
    {
        static string row(CheckRule r) =>
            $"| `{r.Id}` | {r.Proves} | {(r is PlateRule ? "plates" : r is Rule { OfTicket: true } ? "ticket" : "scene")} |";
        var text = $"""
            # What Check looks at

            A finding says which rule, how much it weighs (a **stop** keeps the file from being accepted, a **caution**
            may disappoint, a **todo** has simply not been done yet, a **note** informs), where it is, the figure and the
            limit, whose limit that is, why it matters, and the mend where one is certain: an edit, one press and one step.
            Limits are the house's where it has them, else the trade's; a house may weigh any rule otherwise (`severities` in its
            [file](house-file.md)). A rule that the job goes without, for a reason on record, still looks and no longer
            counts.

            Rules of the ticket and the scene answer with every edit. Rules of plates look at the inks as they lie: they
            follow when the hand rests, and run again at 300 pixels an inch before a file leaves. What could not be
            looked at never counts as fine.

            One rule is one file in `Core/Checks` and its line in `RuleBook/Rules`.

            | rule | what is so when it finds nothing | looks at |
            |---|---|---|
            {string.Join('\n', Rules.All.Select(row))}

            ## On pages that are made here
            They follow beside the page: pages of one design on one side of the fold are looked at once, those made of a
            table's rows each. One rule is one file in `Core/Checks/OfPages` and its line in `PageRule`.

            | rule | what is so when it finds nothing |
            |---|---|
            {string.Join('\n', PageRule.All.Select(r => $"| `{r.Id}` | {r.Proves} |"))}

            ## Some limits, and where they come from
            - A picture's loss of colour counts from 6 CIEDE2000 on, and is a caution from 5 % of its area.
            - Bars need a contrast of 0.55 in red light on a ground of 0.6 (ISO/IEC 15416, grade B).
            - A QR code's square is 0.4 mm or more, a barcode's bars 18 mm high or more: what a reader gets at arm's length.

            """.ReplaceLineEndings("\n");
        Manual.Is("docs/checks.md", text);
    }
}
