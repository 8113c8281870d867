namespace Lumbeck.Tests.ByChance;

/// <summary>Edits by chance: every edit, on items of every kind. What can't be done is refused, and is left.</summary>
/// <param name="pictures">Pictures that are in the drawer.</param>
public sealed class RandomEdits(IReadOnlyList<Picture> pictures)
{
    private int _made;

    /// <summary>
    /// A job after so many edits that were not refused; each is told with the job before it and after.
    /// </summary>
    public Job Walk(Job job, Chance r, int edits, Action<Edit, Job, Job>? told = null)
    {
        for (var tries = 0; edits > 0 && tries < 40 * edits + 400; tries++)
        {
            try
            {
                var edit = One(job, r);
                var next = edit.Apply(job);
                _ = next.Sheets();
                told?.Invoke(edit, job, next);
                job = next;
                edits--;
            }
            catch (Refusal) { }
        }
        return job;
    }

    private Edit One(Job job, Chance r)
    {
        var wrap = r.From(0, job.Wraps.Count - 1);
        var items = job.Wraps[wrap].Take.Items;
        if (r.One(9)) return RandomInside.One(job, r, ++_made);
        if (items.IsEmpty || r.One(4)) return r.One(2) ? OfTicket(job, r) : OfJob(job, r, wrap);
        string any() => r.Of([.. items]).Id;
        return r.One(5) ? OfSome(job, r, any, wrap) : OfOne(job, r, r.Of([.. items]));
    }

    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);
    private static Length Pt(decimal points) => Length.FromPoints(points);

    private Edit OfTicket(Job job, Chance r) => r.From(0, 20) switch
    {
        0 =>
            new SetFact(r.Of(Enum.GetValues<TicketFact>()),
                r.Of("By chance", "", "Tide and time", "Meer‮ rückwärts", " spaced \t out ")),
        1 => new SetIsbn(r.Of("9780000000002", "9780000000019", null)),
        2 => new SetContributors([new("Jo March", "translator"), .. r.One(2) ? (Person[])[new("Ann Fell", "foreword")] : []]),
        3 => new SetPrice(r.One(3) ? null : new(r.From(1, 99) + 0.99m, r.Of("USD", "GBP", "EUR"))),
        4 => new SetLanguage(r.Of("en", "de", "he", "ja", "ar")),
        5 => new SetInsideColour(r.Of(Enum.GetValues<InsideColour>())),
        6 => new SetReading(r.Of(Enum.GetValues<Reading>())),
        7 => new SetUnit(r.Of(Enum.GetValues<Unit>())),
        8 => new SetPrinterSays(r.Of("", "12.5 mm", "300 x 220")),
        9 => new PinSpine(r.One(2) ? null : Mm(r.From(3, 40))),
        10 => new SetBinding(r.Of(Enum.GetValues<BindingKind>())),
        11 => new SetBack(r.One(2)),
        12 =>
            new SetTrim(r.Of(Size.FromInches(5.25m, 8), Size.FromInches(6, 9), Size.FromMillimetres(148, 210),
                Size.FromMillimetres(180, 240))),
        13 => new SetPages(r.From(10, 400)),
        14 => new SetPaper(r.Of([.. job.Ticket.House.Papers])),
        15 => new SetDummy(r.One(2) ? null : Mm(r.From(4, 30))),
        16 => new SetEndpapers(r.One(2) ? null : Mm(0.4m)),
        17 => new SetSecondPrice(r.One(3) ? null : new(r.From(1, 99), r.Of("USD", "EUR"))),
        18 => new SetReviewQuotes(r.One(3) ? [] : [new("What a book", "The Quayside Review"), new("More", "")]),
        19 => new SetTicketPicture(r.Of(Enum.GetValues<TicketPicture>()),
            r.One(3) || pictures.Count == 0 ? null : r.Of([.. pictures])),
        _ => new SetFlaps(r.One(2), r.One(2) ? null : Mm(r.From(60, 90))),
    };

    private Edit OfJob(Job job, Chance r, int wrap)
    {
        var takes = job.Wraps[wrap].Takes;
        string swatch() => job.Swatches.IsEmpty ? "none" : r.Of([.. job.Swatches]).Id;
        return r.From(0, 14) switch
        {
            0 => new PaintGround(r.One(5) ? null : Any(r, job), wrap),
            1 =>
                new LayPattern(r.One(3) ? null : Paper(r, job),
                    wrap),
            2 => new SetGroundPattern("seed", new(Number: r.From(1, 99)), wrap),
            3 => new SetGroundPattern("paint-1", new(Paint: Plain(r, job)), wrap),
            4 => new AddSwatch(new($"n{++_made}", $"New {_made}", Ink.Percent(r.From(0, 100), r.From(0, 100), 0, 0))),
            5 =>
                new SetSwatch(swatch(), r.One(2) ? $"Named {++_made}" : null,
                    r.One(2) ? Ink.Percent(0, r.From(0, 100), r.From(0, 100), 0) : null),
            6 => new RemoveSwatch(swatch()),
            7 => new AddTake(wrap, $"take-{++_made}", $"take {_made}"),
            8 => new ChooseTake(wrap, takes[r.From(0, takes.Count - 1)].Id),
            9 => new NameTake(wrap, takes[r.From(0, takes.Count - 1)].Id, $"named {++_made}"),
            10 => new RemoveTake(wrap, takes[r.From(0, takes.Count - 1)].Id),
            11 => new SwapCovers(wrap),
            12 => new WaiveRule(r.Of("zone.trim", "text.size", "ink.total"), r.Of("", "the printer knows")),
            13 => new LayTracing(r.One(2) ? null : new(r.Of([.. pictures]), r.From(10, 90)), wrap),
            _ =>
                new AddItem(Added(r, job, $"a{++_made}",
                    job.Sheets().FirstOrDefault(s => s.Wrap == wrap)?.Sheet.Panels is { Length: > 0 } panels
                        ? r.Of([.. panels]).Part
                        : Part.Sheet),
                    Wrap: wrap),
        };
    }

    private Item Added(Chance r, Job job, string id, Part panel)
    {
        var hold = new Hold(panel, r.Of(HoldBox.Face, HoldBox.Safe, HoldBox.Edge), r.Of(Enum.GetValues<Anchor>()),
            default, default);
        var (wide, high) = (new Span(Mm(r.From(10, 60))), new Span(Mm(r.From(10, 60))));
        return r.From(0, 10) switch
        {
            8 => new OrnamentItem
            {
                Id = id,
                Hold = hold,
                Width = wide,
                Height = high,
                Ornament = r.Of([.. OrnamentShelf.All]).First,
            },
            9 => new VistaItem
            {
                Id = id,
                Hold = hold,
                Width = wide,
                Height = high,
                Vista = r.Of([.. VistaShelf.All]).First,
            },
            0 => new TextItem { Id = id, Hold = hold, Width = wide, Height = high, Words = "Light on the water" },
            1 => new RectItem { Id = id, Hold = hold, Width = wide, Height = high, Fill = Any(r, job) },
            2 => new EllipseItem { Id = id, Hold = hold, Width = wide, Height = high, Fill = Any(r, job) },
            3 => new LineItem { Id = id, Hold = hold, Width = wide, Line = Plain(r, job), LineWidth = Pt(2) },
            4 => new PolygonItem { Id = id, Hold = hold, Width = wide, Height = high, Fill = Any(r, job) },
            5 => new FrameItem
            {
                Id = id,
                Hold = hold,
                Width = wide,
                Height = high,
                Thickness = Mm(2),
                Fill = Plain(r, job),
            },
            6 => new PlateItem
            {
                Id = id,
                Hold = hold,
                Width = wide,
                Height = high,
                Fill = Any(r, job),
                Line = Plain(r, job),
                LineWidth = Pt(1),
            },
            7 => new CodeItem { Id = id, Hold = hold, Link = "https://example.org", Paint = Plain(r, job) },
            _ => new PictureItem { Id = id, Hold = hold, Width = wide, Height = high, Picture = r.Of([.. pictures]) },
        };
    }

    /// <summary>What is done with drawn art alone; it is refused of anything else.</summary>
    private Edit Drawn(Job job, Chance r, string any)
    {
        var drawn = job.Items.Where(i => i is OrnamentItem or VistaItem).Select(i => i.Id).FirstOrDefault() ?? any;
        return r.From(0, 3) switch
        {
            0 => new FourCorners(drawn, $"k{++_made}"),
            1 => new WordsInOrnament(drawn, $"n{++_made}"),
            2 => new TakeApart(drawn, $"l{++_made}"),
            _ => new VistaInSwatches(drawn),
        };
    }

    private Edit OfSome(Job job, Chance r, Func<string> any, int wrap)
    {
        ImmutableArray<string> some = [.. Enumerable.Range(0, r.From(2, 4)).Select(_ => any()).Distinct()];
        return r.From(0, 7) switch
        {
            0 => new LineUp(some, r.Of(Enum.GetValues<Along>())),
            1 => new SpaceOut(some, r.One(2)),
            2 => new SameSize(some, r.One(2), r.One(2)),
            3 => new GroupItems(some, $"Group {++_made}"),
            4 => new Ungroup(some),
            5 =>
                new PasteItems(Clip.Read(Clip.Write(job, some)), $"p{++_made}", wrap,
                    r.One(2) ? null : r.Of(Part.Front, Part.Back, Part.Spine)),
            6 when r.One(3) => Drawn(job, r, any()),
            6 => new DuplicateItem(any(), $"c{++_made}", r.One(3), r.One(2) ? r.Of(Part.Front, Part.Back) : null),
            _ => new RemoveItem(any()),
        };
    }

    private Edit OfOne(Job job, Chance r, Item item)
    {
        var id = item.Id;
        return r.From(0, 3) switch
        {
            0 => Placed(r, id),
            1 => Looks(r, id),
            2 => item switch
            {
                TextItem t => OfText(job, r, t),
                BarcodeItem or CodeItem => OfCode(job, r, item),
                PictureItem => OfPicture(r, id),
                _ => OfShape(job, r, id),
            },
            // Edits of other kinds are refused by their item.
            _ => r.From(0, 3) switch
            {
                0 => OfShape(job, r, id),
                1 => OfCode(job, r, item),
                2 => OfPicture(r, id),
                _ => item is TextItem t ? OfText(job, r, t) : new SetWords(id, "none"),
            },
        };
    }

    private static Edit Placed(Chance r, string id) => r.From(0, 8) switch
    {
        0 => new MoveItem(id, Mm(r.From(-30, 30)), Mm(r.From(-30, 30))),
        1 => new SizeItem(id, new(Mm(r.From(5, 90)), r.From(0, 100) / 100m), r.One(2) ? null : new(Mm(r.From(5, 90)))),
        2 => new TurnItem(id, r.From(-720, 720)),
        3 =>
            new LayItem(id, Mm(r.From(10, 200)), Mm(r.From(10, 200)), r.One(2) ? Mm(r.From(5, 80)) : null,
                r.One(2) ? Mm(r.From(5, 80)) : null, r.One(2) ? r.From(-360, 360) : null),
        4 =>
            new HoldItem(id, r.One(2) ? null : r.Of(Enum.GetValues<Part>()), r.Of(Enum.GetValues<HoldBox>()),
                r.Of(Enum.GetValues<Anchor>())),
        5 => new CentreItem(id, r.One(2)),
        6 => new StretchItem(id, r.Of(Enum.GetValues<Reach>())),
        7 => new DropItem(id, Mm(r.From(-90, 90)), Mm(r.From(-40, 40))),
        _ => new OrderItem(id, r.From(-5, 5)),
    };

    private static Edit Looks(Chance r, string id) => r.From(0, 5) switch
    {
        0 => new NameItem(id, r.Of("", "The sun", "a\tname‮")),
        1 => new KeepWhole(id, r.One(2)),
        2 => new FadeItem(id, r.From(0, 100)),
        3 => new BlendItem(id, r.Of(Enum.GetValues<Blend>())),
        4 => new HideItem(id, r.One(2)),
        _ => new LockItem(id, r.One(2)),
    };

    private static Edit OfText(Job job, Chance r, TextItem t) => r.From(0, 6) switch
    {
        0 =>
            new SetWords(t.Id,
                r.Of("Tide", "Tide and time\nand \"what\" lay between -- all of it", "", "של ימים", "a‮b")),
        1 => new StyleText(t.Id, Size: Pt(r.From(6, 90)), Paint: Any(r, job), Tracking: r.From(-50, 300)),
        2 =>
            new StyleText(t.Id, Paint: Any(r, job), Size: r.One(2) ? Pt(r.From(6, 60)) : null)
            {
                From = r.From(0, 4),
                To = r.From(3, 12),
                Case = r.Of(Enum.GetValues<LetterCase>())
            },
        3 =>
            new FitText(t.Id, r.Of(Enum.GetValues<Fitting>()), r.From(1, 3), Bend: r.One(2) ? r.From(-360, 360) : null),
        4 => new EdgeText(t.Id, r.One(3) ? null : new(Plain(r, job), Pt(r.From(1, 8)))),
        5 =>
            new ShadowText(t.Id,
                r.One(3)
                    ? null
                    : new(Plain(r, job), Pt(r.From(-9, 9)), Pt(r.From(-9, 9)), Pt(r.From(0, 12)), r.From(0, 100))),
        _ => new BackText(t.Id, r.One(3) ? null : new(Any(r, job), Pt(r.From(0, 12)), Pt(r.From(0, 6)))),
    };

    private static Edit OfShape(Job job, Chance r, string id) => r.From(0, 5) switch
    {
        0 => new FillShape(id, r.One(5) ? null : Any(r, job)),
        1 => new LineShape(id, r.One(5) ? null : Plain(r, job)),
        _ => OfField(job, r, id),
    };

    private static Edit OfCode(Job job, Chance r, Item item) => r.From(0, 4) switch
    {
        0 => BarcodeItem.NumberField.Set(item.Id, r.Of(null, "9780000000019", "4006381333931")),
        1 => BarcodeItem.AddOnField.Set(item.Id, r.Of(null, "", "51299")),
        2 => CodeItem.LinkField.Set(item.Id, "https://example.org/t"),
        _ => OfField(job, r, item.Id),
    };

    /// <summary>Any field of an item, with a value of its kind that may be.</summary>
    private static Edit OfField(Job job, Chance r, string id)
    {
        if (job.Item(id) is not { Fields: { Count: > 0 } fields }) return new NameItem(id, "plain");
        var field = r.Of([.. fields]);
        var terms = new FieldTerms(Unit.Millimetre, job.Swatches, []);
        FieldValue[] values = field.TakesPaint ? [new(Paint: Plain(r, job))]
            : field.Choices.Count > 0 ? [.. field.Choices.Select(c => field.Read(c.Text, terms))]
            : field.IsSwitch ? [new(Words: "yes"), new(Words: "no")]
            : field.Show(job.Item(id)!, terms) is var now && now.EndsWith('%')
                ? [new(Number: r.From(0, 90)), new(Number: r.From(60, 210))]
            : field.IsWords ? [new(Words: "https://example.org/t")]
            : [new(Length: Mm(r.From(0, 30)), Number: r.From(3, 12))];
        return new SetField(id, field.Key, r.Of(values));
    }

    private Edit OfPicture(Chance r, string id) => r.From(0, 6) switch
    {
        0 => new HangPicture(id, r.One(5) ? null : r.Of([.. pictures])),
        1 =>
            new FitPicture(id, r.Of(Enum.GetValues<Fit>()), r.From(50, 300), r.From(-100, 100), r.From(-100, 100),
                r.Of(Enum.GetValues<Flip>())),
        2 => new PushPicture(id, Mm(r.From(-20, 20)), Mm(r.From(-20, 20))),
        3 => new FramePicture(id, r.Of(Enum.GetValues<Outlined>())),
        4 =>
            new TilePicture(id,
                r.One(2) ? null : new(r.Of(Enum.GetValues<TilingMode>()), Mm(r.From(10, 60)), r.From(-100, 100))),
        5 =>
            new GrowPicture(id,
                r.One(2) ? null : new(r.Of(GrowWay.Mirror, GrowWay.Stretch), r.Of(Enum.GetValues<GrowTo>()))),
        _ => new ConvertPicture(id, r.One(2)),
    };

    /// <summary>Any paper, in any paints.</summary>
    private static Pattern Paper(Chance r, Job job)
    {
        var kind = r.Of([.. PatternShelf.Kinds]);
        return kind with
        {
            Seed = r.From(1, 99),
            Scale = r.From(60, 200),
            Turn = r.Of(0, 0, 15, -90),
            Outlined = r.One(8) ? Length.FromPoints(r.Of(0.5m, 1m, 2m)) : null,
            Paints = [.. kind.Paints.Select(_ => Plain(r, job))],
        };
    }

    private static Paint Plain(Chance r, Job job) => r.From(0, 5) switch
    {
        0 when job.Ticket.House.FinishingInks.Count > 0 => new FinishPaint(r.Of([.. job.Ticket.House.FinishingInks]),
            100 * r.From(20, 100)),
        1 => new InkPaint(Ink.Black),
        2 => new InkPaint(Ink.Percent(r.From(0, 100), r.From(0, 100), 0, 0)),
        _ =>
            job.Swatches.IsEmpty
                ? new InkPaint(Ink.White)
                : new SwatchPaint(r.Of([.. job.Swatches]).Id, 100 * r.From(5, 100)),
    };

    private static Paint Any(Chance r, Job job) => r.One(4)
        ? new GradientPaint(r.Of(Run.Straight, Run.Round), r.From(0, 359),
            [new(job.Swatches.IsEmpty ? new InkPaint(Ink.Black) : new SwatchPaint(r.Of([.. job.Swatches]).Id), 0),
                new(new InkPaint(Ink.Percent(0, 0, r.From(0, 100), 0)), 10_000)])
        : Plain(r, job);
}
