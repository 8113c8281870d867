using Lumbeck.Desk;

namespace Lumbeck.Tests.ByChance;

/// <summary>
/// Jobs by chance, the same for a seed every time: every kind of item in every paint, blend, opacity, effect, picture
/// and script, at every house, in every binding and direction.
/// </summary>
/// <param name="pictures">Pictures that are in the drawer.</param>
public sealed class RandomJobs(IReadOnlyList<Picture> pictures)
{
    /// <summary>A front of 100 × 140 mm, with a few items.</summary>
    public Job Small(int seed)
    {
        var r = new Chance(seed);
        var house = HouseFile.Shipped["tern"] with
        {
            FinishingInks = ["foil", "varnish"],
            Bindings = [BindingKind.Front, BindingKind.Paperback],
            TrimLeast = Size.FromMillimetres(90, 120),
        };
        var job = Starters.Job(house, "By chance");
        job = job with
        {
            Ticket = job.Ticket with
            {
                Binding = BindingKind.Front,
                Trim = Size.FromMillimetres(100, 140),
                Language = r.Of("en", "he", "ar", "ja"),
            },
        };
        return Sketched(Patterned(Filled(job.WithPieces(), r, r.From(2, 9)), seed), seed);
    }

    /// <summary>Any house, binding, size and direction, with up to thirty items a wrap.</summary>
    public Job Any(int seed)
    {
        var r = new Chance(seed);
        var house = r.Of([.. HouseFile.Shipped.Values]) with { FinishingInks = r.One(3) ? [] : ["foil", "white"] };
        var job = Starters.Job(house, "By chance, large");
        var trim = house.Trims.Count > 0 ? r.Of([.. house.Trims]).Size : job.Ticket.Trim;
        foreach (var edit in (Edit[])[new SetBinding(r.Of([.. house.Bindings])), new SetTrim(trim),
            new SetPages(8 * r.From(6, 60)), new SetReading(r.Of(Reading.LeftToRight, Reading.RightToLeft)),
            new SetLanguage(r.Of("en", "de", "he", "ar", "ja"))])
        {
            // What a house does not make stays as it was.
            try { var next = edit.Apply(job); _ = next.Sheets(); job = next; }
            catch (Refusal) { }
        }
        return Sketched(Patterned(Filled(job.WithPieces(), r, r.From(4, 30)), seed), seed);
    }

    /// <summary>
    /// A front of 100 × 140 mm where the kinds meet that are hard to print: a gradient ground with a calm paper, words
    /// with every effect in finishing inks, and each of them mixed.
    /// </summary>
    public Job Thorny(int seed)
    {
        var (job, r) = (Small(seed), new Chance(seed + 11_000_000));
        job = job with { Wraps = [.. job.Wraps.Select(w => w with { Takes = [w.Take with { Items = [] }] })] };
        Paint finish() => new FinishPaint(r.Of([.. job.Ticket.House.FinishingInks]),
            r.One(2) ? 10_000 : 100 * r.From(20, 100));
        Paint one() => r.From(0, 3) switch { 0 or 1 => finish(), 2 => Graded(r, job), _ => Plain(r, job) };
        Pattern calm(Pattern paper) => paper with
        {
            Calm = [new CalmBox(r.From(0, 30), r.From(0, 60), r.From(20, 60), r.From(15, 50), r.From(20, 95))],
            Fade = r.One(3) ? r.Of(Enum.GetValues<PatternFade>()) : PatternFade.None,
            Mirrored = r.One(4),
        };
        Item mixed(Item item) => item with
        {
            Opacity = r.One(2) ? r.From(5, 95) : 100,
            Blend = r.Of(Blend.Normal, Blend.Multiply, Blend.Screen),
            Hidden = false,
        };
        job = new PaintGround(r.One(3) ? new InkPaint(Ink.Percent(r.From(0, 12), r.From(0, 12), 0, 0)) : Graded(r,
            job), 0).Apply(job);
        if (r.One(2)) job = new LayPattern(calm(Paper(r, job)), 0).Apply(job);
        for (var n = 0; n < r.From(1, 3); n++)
        {
            var hold = new Hold(Part.Front, HoldBox.Face, Anchor.TopLeft, Mm(r.From(0, 40)), Mm(r.From(0, 80)));
            var words = Words(r, job, $"t{n}", hold, new(Mm(r.From(30, 60))), new(Mm(r.From(15, 50))));
            Item item = r.From(0, 3) switch
            {
                0 or 1 => words with
                {
                    Style = words.Style with { Paint = one(), Size = Length.FromPoints(r.From(20, 60)) },
                    Runs = [],
                    Edge = r.One(2) ? new(r.One(2) ? finish() : Plain(r, job), Length.FromPoints(r.From(1,
                        12) / 4m)) : null,
                    Shadow = r.One(2)
                        ? new(r.One(2) ? finish() : Plain(r, job), Length.FromPoints(r.From(-6, 6)),
                            Length.FromPoints(r.From(-6, 6)),
                            Length.FromPoints(r.One(3) ? 0 : r.From(1, 12)), r.From(20, 100))
                        : null,
                    Backing = r.One(3) ? new(one(), Length.FromPoints(r.From(0, 10)), default) : null,
                },
                2 => new VistaItem
                {
                    Id = $"v{n}",
                    Hold = hold,
                    Width = new(Mm(r.From(40, 90))),
                    Height = new(Mm(r.From(40, 90))),
                    Vista = r.Of([.. VistaShelf.All]).First with { Seed = r.From(1, 99) },
                },
                _ => new RectItem
                {
                    Id = $"r{n}",
                    Hold = hold,
                    Width = new(Mm(r.From(30, 70))),
                    Height = new(Mm(r.From(30, 70))),
                    Fill = one(),
                    Line = r.One(2) ? one() is GradientPaint ? finish() : Plain(r, job) : null,
                    LineWidth = Length.FromPoints(3),
                },
            };
            job = new AddItem(mixed(item), Wrap: 0).Apply(job);
            if (item is RectItem && r.One(2)) job = new PatternShape(item.Id, calm(Paper(r, job))).Apply(job);
        }
        return job;
    }

    private static GradientPaint Graded(Chance r, Job job)
    {
        Paint stop() =>
            r.One(2) ? new SwatchPaint(r.Of([.. job.Swatches]).Id, 100 * r.From(10, 100)) : new InkPaint(Mix(r));
        return new(r.Of(Run.Straight, Run.Round), r.From(0, 359),
            [new(stop(), 0), .. r.One(3) ? (Stop[])[new(stop(), 100 * r.From(20, 80))] : [], new(stop(), 10_000)]);
    }

    /// <summary>In each fifth job every other shape is filled with a pattern.</summary>
    private static Job Patterned(Job job, int seed)
    {
        if (seed % 5 != 4) return job;
        var r = new Chance(seed + 7_000_000);
        foreach (var shape in job.Items.OfType<ShapeItem>().Where(s => s is not LineItem).ToList())
            if (r.One(2))
                job = new PatternShape(shape.Id, Paper(r, job))
                    .Apply(job);
        return job;
    }

    /// <summary>
    /// In each fourth job an ornament, in each eighth a vista as well; in each sixth the ground's paper is mirrored,
    /// faded
    /// or calm.
    /// </summary>
    private static Job Sketched(Job job, int seed)
    {
        var r = new Chance(seed + 9_000_000);
        if (seed % 8 == 5)
        {
            var vista = r.Of([.. VistaShelf.All]).First with
            {
                Seed = r.From(1, 999),
                Haze = r.From(0, 90),
                Stand = r.From(15, 85),
            };
            var hold = new Hold(Part.Sheet, HoldBox.Edge, Anchor.TopLeft, default, default);
            job = new AddItem(Dressed(new VistaItem
            {
                Id = "vista",
                Hold = hold,
                Width = Span.Full,
                Height = Span.Full,
                Vista = vista with { Paints = r.One(2) ? vista.Paints : [.. vista.Paints.Select(_ => Plain(r, job))] },
            }, r), 0).Apply(job);
        }
        if (seed % 4 == 1) job = new AddItem(Dressed(Ornament(r, job, "ornament"), r)).Apply(job);
        if (seed % 6 == 3 && job.Take.Ground.Pattern is { } paper)
            job = new LayPattern(paper with
            {
                Mirrored = r.One(2),
                Fade = r.Of(Enum.GetValues<PatternFade>()),
                Start = r.Of(PatternStart.Fold, PatternStart.Middle),
                MovedRight = r.From(-9, 9),
                Calm = r.One(2) ? [new CalmBox(r.From(0, 30), r.From(0, 40), 40, 30, r.From(20, 95))] : [],
            }).Apply(job);
        return job;
    }

    private static OrnamentItem Ornament(Chance r, Job job, string id)
    {
        var first = r.Of([.. OrnamentShelf.All]).First;
        return new()
        {
            Id = id,
            Ornament = first with
            {
                Seed = r.From(1, 999),
                Outlined = r.One(6) ? Length.FromPoints(r.Of(0.5m, 1m, 2m)) : null,
                Paints = [.. first.Paints.Select(_ => Plain(r, job))],
            },
            Flip = r.Of(Enum.GetValues<Flip>()),
            Hold = new(r.Of(Part.Front, Part.Back), HoldBox.Safe, r.Of(Enum.GetValues<Anchor>()), default, default),
            Width = new(Mm(r.From(8, 80))),
            Height = new(Mm(r.From(8, 80))),
        };
    }

    private Job Filled(Job job, Chance r, int items)
    {
        job = new SetFact(TicketFact.Title, "By chance").Apply(new SetIsbn("9780000000002").Apply(job));
        for (var i = 0; i < 3; i++) job = new AddSwatch(new($"s{i}", $"Colour {(char)('a' + i)}", Mix(r))).Apply(job);
        for (var wrap = 0; wrap < Binding.Of(job.Ticket.Binding).Pieces.Length; wrap++)
        {
            job = new PaintGround(r.One(6) ? null : AnyPaint(r, job), wrap).Apply(job);
            if (r.One(3))
                job = new LayPattern(Paper(r, job), wrap)
                    .Apply(job);
            var sheet = job.Sheets().First(s => s.Wrap == wrap).Sheet;
            for (var i = 0; i < items; i++)
            {
                var item = Dressed(Item(r, job, $"w{wrap}i{i}",
                    r.Of([Part.Sheet, .. sheet.Panels.Select(p => p.Part)])),
                    r);
                job = new AddItem(item, Wrap: wrap).Apply(job);
            }
        }
        return job;
    }

    private static Item Dressed(Item item, Chance r) => item with
    {
        Opacity = r.One(3) ? r.From(5, 95) : 100,
        Blend = r.One(4) ? r.Of(Blend.Multiply, Blend.Screen) : Blend.Normal,
        Turned = r.One(3) ? r.From(0, 359) : r.One(3) ? 90 * r.From(0, 3) : 0,
        Hidden = r.One(20),
    };

    private Item Item(Chance r, Job job, string id, Part panel)
    {
        Hold hold() =>
            new(panel, r.Of(HoldBox.Face, HoldBox.Safe, HoldBox.Edge), r.Of(Enum.GetValues<Anchor>()),
                Mm(r.From(-20, 20)), Mm(r.From(-20, 20)));
        Span side() => r.One(5) ? Span.Full : new(Mm(r.From(4, 70)), r.One(4) ? r.From(0, 50) / 100m : 0);
        Paint? maybe() => r.One(3) ? null : AnyPaint(r, job);
        Paint? line() => r.One(2) ? null : Plain(r, job);
        var weight = Length.FromPoints(r.From(1, 40) / 4m);
        return r.From(0, 10) switch
        {
            0 or 1 => Words(r, job, id, hold(), new(Mm(r.From(20, 90))), new(Mm(r.From(8, 60)))),
            2 => new RectItem
            {
                Id = id,
                Hold = hold(),
                Width = side(),
                Height = side(),
                Fill = AnyPaint(r, job),
                Line = line(),
                LineWidth = weight,
                Corner = r.One(3) ? Mm(r.From(1, 9)) : default,
            },
            3 => new EllipseItem
            {
                Id = id,
                Hold = hold(),
                Width = side(),
                Height = side(),
                Fill = maybe(),
                Line = line(),
                LineWidth = weight,
            },
            4 => new LineItem
            {
                Id = id,
                Hold = hold(),
                Width = side(),
                Line = Plain(r, job),
                LineWidth = weight,
                Dash = r.Of(Enum.GetValues<Dash>()),
            },
            5 => new PolygonItem
            {
                Id = id,
                Hold = hold(),
                Width = side(),
                Height = side(),
                Corners = r.From(3, 9),
                Waist = r.One(2) ? r.From(20, 90) : 0,
                Fill = AnyPaint(r, job),
                Line = line(),
                LineWidth = weight,
            },
            6 => new FrameItem
            {
                Id = id,
                Hold = hold(),
                Width = side(),
                Height = side(),
                Thickness = Mm(r.From(1, 6)),
                Corner = r.One(2) ? Mm(r.From(1, 5)) : default,
                Fill = AnyPaint(r, job),
                Line = line(),
                LineWidth = weight,
            },
            7 => new PlateItem
            {
                Id = id,
                Hold = hold(),
                Width = side(),
                Height = side(),
                Fill = maybe(),
                Line = Plain(r, job),
                LineWidth = weight,
                Inner = r.One(2) ? Mm(2) : default,
                Rules = r.From(0, 4),
                Corner = r.One(2) ? Mm(3) : default,
            },
            8 => new BarcodeItem { Id = id, Hold = hold(), Percent = r.From(80, 120), Plate = !r.One(4) },
            9 => new CodeItem
            {
                Id = id,
                Hold = hold(),
                Link = "https://example.org/" + id,
                Side = Mm(r.From(12, 40)),
                Paint = Plain(r, job),
            },
            _ => Pictured(r, job, id, hold(), side(), side()),
        };
    }

    private PictureItem Pictured(Chance r, Job job, string id, Hold hold, Span wide, Span high) => new()
    {
        Id = id,
        Hold = hold,
        Width = wide,
        Height = high,
        Picture = r.Of([.. pictures]),
        Fit = r.Of(Fit.Cover, Fit.Contain),
        Zoom = r.One(2) ? r.From(60, 180) : 100,
        PanX = r.From(-100, 100),
        Flip = r.Of(Flip.None, Flip.Across, Flip.Down, Flip.Both),
        Shape = r.Of(Enum.GetValues<Outlined>()),
        Fill = r.One(3) ? AnyPaint(r, job) : null,
        Line = r.One(3) ? Plain(r, job) : null,
        LineWidth = Length.FromPoints(2),
        Tiling = r.One(4) ? new(r.Of(Enum.GetValues<TilingMode>()), Mm(r.From(12, 40))) : null,
    };

    private static TextItem Words(Chance r, Job job, string id, Hold hold, Span wide, Span high)
    {
        var words = job.Ticket.Language switch
        {
            "he" => r.Of("אור על המים", "ספר של ימים ולילות"),
            "ar" => r.Of("ضوء على الماء", "كتاب الأيام"),
            "ja" => r.Of("水の上の光。", "「昼と夜」の本"),
            _ => r.Of("Light on the water", "A book of days and nights, and of what lay between", "Tide\nand time"),
        };
        Paint letters() => r.One(3) ? new InkPaint(Ink.Black) : r.One(4) ? AnyPaint(r, job) : Plain(r, job);
        var face = job.Ticket.Language switch
        {
            "he" => "frank-ruhl-libre",
            "ar" => "amiri",
            "ja" => "zen-maru-gothic",
            _ => r.Of("eb-garamond", "oswald", "work-sans"),
        };
        return new()
        {
            Id = id,
            Hold = hold,
            Width = wide,
            Height = high,
            Words = words,
            Style = new()
            {
                Face = new(face, face == "zen-maru-gothic" ? 500 : 400, false),
                Size = Length.FromPoints(r.From(7, 60)),
                Paint = letters(),
                Align = r.Of(Enum.GetValues<Align>()),
                Tracking = r.One(3) ? r.From(-20, 200) : 0
            },
            Runs = r.One(3)
                ? [new TextRun(1, 5, new() { Paint = letters(), Size = Length.FromPoints(r.From(8, 50)) })]
                : [],
            Fit = r.Of(Enum.GetValues<Fitting>()),
            Bend = r.One(5) ? r.From(-180, 180) : 0,
            Edge = r.One(4) ? new(Plain(r, job), Length.FromPoints(r.From(1, 12) / 4m)) : null,
            Shadow = r.One(4)
                ? new(Plain(r, job), Length.FromPoints(r.From(-6, 6)), Length.FromPoints(r.From(-6, 6)),
                    Length.FromPoints(r.One(2) ? r.From(1, 12) : 0), r.From(20, 100))
                : null,
            Backing = r.One(4)
                ? new(AnyPaint(r, job), Length.FromPoints(r.From(0, 10)), Length.FromPoints(r.One(2) ? 4 : 0))
                : null,
        };
    }

    private static Ink Mix(Chance r)
    {
        decimal one() => r.One(3) ? 0 : r.From(0, 100);
        return Ink.Percent(one(), one(), one(), r.One(2) ? 0 : r.From(0, 80));
    }

    /// <summary>Any paper, in any paints.</summary>
    private static Pattern Paper(Chance r, Job job)
    {
        var kind = r.Of([.. PatternShelf.Kinds]);
        return kind with
        {
            Seed = r.From(1, 99),
            Scale = r.From(60, 200),
            Turn = r.Of(0, 0, 15, -90),
            Outlined = r.One(6) ? Length.FromPoints(r.Of(0.5m, 1m, 2m)) : null,
            Paints = [.. kind.Paints.Select(_ => Plain(r, job))],
        };
    }

    /// <summary>Any paint but a gradient.</summary>
    private static Paint Plain(Chance r, Job job) => r.From(0, 9) switch
    {
        0 or 1 => new SwatchPaint(r.Of([.. job.Swatches]).Id, r.One(2) ? 10_000 : 100 * r.From(5, 100)),
        2 when job.Ticket.House.FinishingInks.Count > 0 => new FinishPaint(r.Of([.. job.Ticket.House.FinishingInks]),
            r.One(2) ? 10_000 : 100 * r.From(20, 100)),
        3 => new InkPaint(Ink.White),
        4 => new InkPaint(Ink.Black),
        _ => new InkPaint(Mix(r)),
    };

    private static Paint AnyPaint(Chance r, Job job)
    {
        return r.One(4) ? Graded(r, job) : Plain(r, job);
    }

    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);
}
