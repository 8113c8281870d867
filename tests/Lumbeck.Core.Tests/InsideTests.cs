using Lumbeck.Tests.ByChance;

namespace Lumbeck.Core.Tests;

/// <summary>
/// Runs, their count, gutters, folios and tables; booklets' sheets. Properties hold over random insides.
/// </summary>
public sealed class InsideTests
{
    private static readonly House Plover = HouseFile.Shipped["plover"];

    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);

    private static Job Book(Inside inside, BindingKind binding = BindingKind.Paperback,
        Reading reading = Reading.LeftToRight, House? house = null) =>
        new PutInsideBy(false).Apply(new Job(new()
        {
            House = house ?? Plover,
            Title = "Test",
            Trim = Size.FromMillimetres(148, 210),
            Binding = binding,
            Reading = reading,
            Paper = new("Wove", Caliper.FromMillimetres(0.1m)),
        }, [], [Wrap.First(Job.Cover, new Fill(new InkPaint(Ink.White)))])
        { Inside = inside });

    private static PageRun Run(string id, string design = "ruled", RunKind goes = RunKind.Pages, int count = 1) =>
        new() { Id = id, Designs = [DesignShelf.Of(design)], Goes = goes, Count = count };

    private static PageRun ByChance(Chance r, int n)
    {
        var goes = r.Of<RunKind>(RunKind.Pages, RunKind.Spreads, RunKind.Sets, RunKind.Rows, RunKind.Days,
            RunKind.Weeks, RunKind.Months);
        var designs = Enumerable.Range(0, goes == RunKind.Spreads ? r.From(1, 2) : r.From(1, 3))
            .Select(_ => DesignShelf.Of(r.Of("ruled", "dots", "table", "blank", "prompts"))).ToImmutableList();
        var from = new DateOnly(2026, r.From(1, 12), r.From(1, 28));
        return new()
        {
            Id = $"run-{n}",
            Designs = designs,
            Goes = goes,
            Count = r.From(1, 12),
            Begins = r.Of<BeginsOn>(BeginsOn.Next, BeginsOn.Odd, BeginsOn.Even),
            Backs = r.From(0, 4) == 0 ? Backs.Blank : Backs.Pages,
            From = from,
            To = from.AddDays(r.From(0, 60)),
            Table = goes == RunKind.Rows ? new(new string('a', 64), "t.csv", r.From(1, 20), ["name"]) : null,
            Tab = r.From(0, 2) == 0,
        };
    }

    [Fact]
    public void Runs_always_add_up_and_begin_where_they_are_to()
    {
        for (var seed = 1; seed <= 400; seed++)
        {
            var r = new Chance(seed);
            var inside = new Inside { Runs = [.. Enumerable.Range(0, r.From(1, 7)).Select(n => ByChance(r, n))] };
            if (r.From(0, 1) == 1)
                inside = inside with
                {
                    Runs = inside.Runs.Insert(r.From(0, inside.Runs.Count), Run("rest", "dots", RunKind.Rest)),
                };
            if (r.From(0, 1) == 1) inside = inside with { Fixed = r.From(1, 400) };
            var multiple = r.Of<int>(2, 4, 16);
            var counted = Counted.Of(inside, multiple);
            counted.Pages.Length.ShouldBe(counted.Printed);
            (counted.Printed % multiple).ShouldBe(0, $"{seed}");
            var at = 1;
            foreach (var run in counted.Runs)
            {
                run.First.ShouldBe(at + run.BlankBefore, $"{seed}");
                at = run.First + run.Pages;
                var given = inside.Runs[run.Run];
                if (run.Pages > 0 && given.MustBegin != BeginsOn.Next)
                    (run.First % 2 == 1).ShouldBe(given.MustBegin == BeginsOn.Odd, $"{seed}");
                if (given.Goes != RunKind.Rest)
                    run.Pages.ShouldBe(given.Times() * given.Set * (given.Backs == Backs.Pages ? 1 : 2), $"{seed}");
                for (var n = run.First; n < run.First + run.Pages; n++) counted.Pages[n - 1].Run.ShouldBe(run.Run);
            }
            counted.Pages.Count(p => p.Kind == SlotKind.Raised).ShouldBe(counted.Printed - (at - 1), $"{seed}");
            // With a rest and a fixed count that the others leave room for, nothing is left over.
            if (inside.Fixed is { } fixedAt && inside.Runs.Any(x => x.Goes == RunKind.Rest) && at - 1 < fixedAt)
                inside.Runs.SkipWhile(x => x.Goes != RunKind.Rest).Any(x => x.MustBegin != BeginsOn.Next)
                    .ShouldBeTrue($"{seed}");
        }
    }

    [Fact]
    public void The_tickets_pages_and_spine_follow_the_runs_and_typed_pages_fix_the_count()
    {
        var job = Book(new() { Runs = [Run("a", count: 60)] });
        job.Ticket.Pages.ShouldBe(60);
        var spine = job.Geometry().Spine.Width;
        job = Facts.Write(job, "run/a/count", "118").Apply(job);
        (job.Ticket.Pages, job.Geometry().Spine.Pages).ShouldBe((118, 120));
        job.Geometry().Spine.Width.ShouldBeGreaterThan(spine);
        job = new AddRun(Run("r", "dots", RunKind.Rest)).Apply(new SetPages(160).Apply(job));
        (job.Inside!.Fixed, job.Ticket.Pages).ShouldBe((160, 160));
        Counted.Of(job.Inside, 4).Runs[1].ShouldBe(new(1, 119, 42, 0));
        Should.Throw<Refusal>(() => new AddRun(Run("s", "dots", RunKind.Rest)).Apply(job))
            .Message.ShouldContain("takes the rest already");
        Should.Throw<Refusal>(() => Facts.Write(job, "run/a/count", "10000").Apply(job))
            .Message.ShouldContain("from 1 to 5000");
        Should.Throw<Refusal>(() => new AddRun(Run("b", goes: RunKind.Spreads, count: 2600)).Apply(job))
            .Message.ShouldMatch("5[0-9]{3} pages can't be bound");
        Should.Throw<Refusal>(() => Facts.Write(job, "run/a/1-pitch", "0 mm").Apply(job))
            .Message.ShouldContain("from 2 mm to 60 mm");
        // Runs or a file: what lay there is put by, and can be taken up again.
        var filed = new LayInside(new("pages.pdf", 96, [new(Size.FromMillimetres(148, 210), 96, 1)], true, false))
            .Apply(job);
        filed.HasPages.ShouldBeFalse();
        filed.Inside!.Runs.Count.ShouldBe(2);
        var back = new PutInsideBy(false).Apply(filed);
        (back.HasPages, back.Ticket.Pages, back.Ticket.Inside!.Name).ShouldBe((true, 160, "pages.pdf"));
    }

    [Fact]
    public void Gutters_only_step_up_and_the_larger_margin_holds()
    {
        foreach (var house in HouseFile.Shipped.Values)
        {
            var last = Length.Zero;
            for (var pages = 24; pages <= 900; pages += 12)
            {
                var gutter = house.Inside.GutterOf(BindingKind.Paperback, pages).Wide;
                gutter.ShouldBeGreaterThanOrEqualTo(last);
                last = gutter;
            }
        }
        var job = Book(new() { Runs = [Run("a", count: 200)], Margins = new(Mm(3), Mm(20), Mm(14)) });
        var grid = new InsidePlan(job).Grid(0);
        (grid.Head, grid.ForeEdge, grid.Foot, grid.Gutter).ShouldBe((Mm(7), Mm(20), Mm(14), Mm(15)));
        new InsidePlan(Book(job.Inside!, BindingKind.Loose)).Grid(0).Gutter.ShouldBe(Mm(12));
        Should.Throw<Refusal>(() => HouseFile.Read("{\"gutter_mm\":[[100,12],[200,11]]}"))
            .Message.ShouldContain("may never fall");
        Should.Throw<Refusal>(() => HouseFile.Read("{\"gutter_mm\":{\"booklet\":[[100,12]]}}"))
            .Message.ShouldContain("any");
        var typed = HouseText.Write(HouseKeys.Find("gutter_mm")!, Plover,
            "up to 100 pages: 11 mm\nbooklet, up to 96 pages: 8 mm");
        typed.Inside.GutterOf(BindingKind.Booklet, 40).Wide.ShouldBe(Mm(8));
        HouseText.Write(HouseKeys.Find("gutter_mm")!, typed, HouseText.Show(HouseKeys.Find("gutter_mm")!, Plover))
            .Inside.GutterOf(BindingKind.Paperback, 200).Wide.ShouldBe(Mm(15));
    }

    [Theory]
    [InlineData(Reading.LeftToRight)]
    [InlineData(Reading.RightToLeft)]
    public void Imposition_is_a_permutation_and_pages_meet_back_to_back(Reading reading)
    {
        for (var pages = 1; pages <= 200; pages++)
        {
            var leaf = Mm(0.1m);
            var sheets = Imposition.Of(pages, reading, leaf);
            var all = sheets.SelectMany(s => new[] { s.Front.Left, s.Front.Right, s.Back.Left, s.Back.Right }).Order()
                .ToList();
            all.ShouldBe([.. Enumerable.Range(1, sheets.Length * 4)]);
            foreach (var s in sheets)
            {
                // Turned over the short edge, what lies left lies behind what lay right.
                (Math.Max(s.Front.Left, s.Back.Right) - Math.Min(s.Front.Left, s.Back.Right)).ShouldBe(1);
                (Math.Max(s.Front.Right, s.Back.Left) - Math.Min(s.Front.Right, s.Back.Left)).ShouldBe(1);
                foreach (var page in (int[])[s.Front.Left, s.Front.Right, s.Back.Left, s.Back.Right])
                    Imposition.SheetOf(page, pages).ShouldBe(s.Number);
                s.Creep.ShouldBe(s.Number * leaf);
                // Odd pages lie right of the fold in a book read from left to right.
                (s.Front.Right % 2 == 1).ShouldBe(reading == Reading.LeftToRight);
            }
            Imposition.Of(pages, reading, leaf, balanced: true).Sum(s => s.Creep.Units)
                .ShouldBeInRange(-sheets.Length, sheets.Length);
        }
    }

    private sealed class Rows(params string[][] rows) : ITables
    {
        ImmutableArray<ImmutableArray<string>>? ITables.Rows(string hash) => [.. rows.Select(r => r.ToImmutableArray())];
    }

    [Fact]
    public void Words_are_filled_from_rows_and_contents_and_index_from_final_folios()
    {
        var table = new TableRef(new string('b', 64), "hives.csv", 3, ["Name", "Queen"]);
        var rows = new PageRun
        {
            Id = "hives",
            Name = "Hives",
            Goes = RunKind.Rows,
            Table = table,
            Designs = [DesignShelf.Of("ruled") with { Heading = "{name}, {queen}", Header = Mm(12) }],
        };
        var job = Book(new()
        {
            Runs = [Run("belongs", "this-belongs-to"), Run("contents", "contents") with { Begins = BeginsOn.Odd }, rows,
                Run("log", "table", count: 4) with { Name = "Log" },
                Run("index", "index")],
            Folio = new(First: 1),
        });
        var plan = new InsidePlan(job, new Rows(["Willow", "2024"], ["Ash", ""], ["Elm", "2025"]));
        plan.Contents.Select(e => (e.Words, e.Folio)).ShouldBe([("Hives", "4"), ("Log", "7"), ("Index", "11")]);
        plan.Index.Select(e => (e.Words, e.Folio))
            .ShouldBe([("Ash, ", "5"), ("Elm, 2025", "6"), ("Willow, 2024", "4")]);
        plan.Page(4).Facts.Fill("{Name} {n} of {of}, page {page}").ShouldBe("Willow 1 of 3, page 4");
        var found = PageChecks.Of(plan, new PageArt([], new PlainType()));
        found.Single(f => f.Id == "page.fields").Measured.ShouldStartWith("Queen is empty in row 2");
        job = new SetDesignField("hives", 0, "heading", new(Words: "{nme}")).Apply(job);
        PageChecks.Of(new(job, new Rows(["a", "b"], ["c", "d"], ["e", "f"])), new PageArt([], new PlainType()))
            .Single(f => f.Id == "page.fields").Measured.ShouldStartWith("{nme}");
    }

    /// <summary>Numbers go on through all pages of a run, and rows of an opening meet to 0.01 mm.</summary>
    [Fact]
    public void Running_numbers_go_on_and_rows_of_an_opening_meet()
    {
        var log = DesignShelf.Of("table").With("columns", new(Words: "no number 12 mm · what 3"), "");
        var plan = new InsidePlan(Book(new() { Runs = [Run("log", count: 6) with { Designs = [log] }] }));
        List<int> numbers = [.. Enumerable.Range(1, 6).SelectMany(n => log.Draw(plan.Page(n).Surface,
            plan.Page(n).Facts).OfType<Written>()
            .Select(w => int.TryParse(w.Words, out var i) ? i : 0)).Where(i => i > 0)];
        numbers.ShouldBe([.. Enumerable.Range(1, numbers.Count)]);
        numbers.Count.ShouldBeGreaterThan(60);
        var spread = (SpreadTable)DesignShelf.Of("table-spread");
        var opening = new InsidePlan(Book(new()
        {
            Runs = [Run("o", goes: RunKind.Spreads,
            count: 3) with { Designs = [spread] }]
        }));
        double[] heights(int page) =>
            [.. spread.Draw(opening.Page(page).Surface, opening.Page(page).Facts).OfType<Repeated>().First()
                .Places.Select(p => p.F)];
        opening.Page(1).Design.ShouldBeNull("a spread begins on an even page");
        heights(2).Zip(heights(3)).ShouldAllBe(h => Math.Abs(h.First - h.Second) < Mm(0.01m).Points);
        // Each column lies on one of the two pages.
        spread.Draw(opening.Page(3).Surface, opening.Page(3).Facts).OfType<Written>().Select(w => w.Words)
            .ShouldBe(["notes", "done"]);
    }

    [Theory]
    [InlineData("2026-01-01", "2026-12-31", WeekCount.Touching, 53)]
    [InlineData("2012-01-01", "2012-12-31", WeekCount.Touching, 54)]
    [InlineData("2026-01-01", "2026-12-31", WeekCount.Iso, 53)]
    [InlineData("2025-01-01", "2025-12-31", WeekCount.Iso, 52)]
    public void Weeks_of_a_year_are_counted_as_asked(string from, string to, WeekCount count, int weeks)
    {
        var run = Run("w", goes: RunKind.Weeks) with
        {
            From = DateOnly.Parse(from, CultureInfo.InvariantCulture),
            To = DateOnly.Parse(to, CultureInfo.InvariantCulture),
            Weeks = count,
        };
        run.Times().ShouldBe(weeks);
        (run with { Goes = RunKind.Months }).Times().ShouldBe(12);
    }

    /// <summary>
    /// Every rule of pages finds what was done wrong for it, and nothing on the same pages done right.
    /// </summary>
    [Fact]
    public void Every_rule_of_pages_finds_its_own_slip()
    {
        var sound = new Inside
        {
            Runs = [Run("belongs", "this-belongs-to"),
                Run("a", "table", count: 60) with
                {
                    Designs = [DesignShelf.Of("table") with { Heading = "Log", Header = Mm(12) }],
                },
                Run("c", "contents"), Run("b", count: 58)],
        };
        ImmutableArray<Finding> found(Inside inside, BindingKind binding = BindingKind.Paperback, House? house = null,
            ITables? tables = null) =>
            PageChecks.Of(new(Book(inside, binding, house: house), tables), new PageArt([], new PlainType()));
        found(sound).Select(f => $"{f.Id} {f.Measured}").ShouldBeEmpty();
        Inside with(Func<PageRun, PageRun> change, string design = "ruled") =>
            new() { Runs = [change(Run("x", design, count: 8))] };
        var told = new HashSet<string>();
        void finds(string rule, IEnumerable<Finding> all)
        {
            all.Select(f => f.Id).ShouldContain(rule);
            told.Add(rule);
        }
        finds("inside.count", found(sound with { Fixed = 100 }));
        finds("inside.count", found(sound with { Fixed = 200 }));
        finds("inside.gutter", found(new() { Runs = [Run("x", count: 96)] }, BindingKind.Booklet));
        var unbled = Plover with { Inside = Plover.Inside with { Bleed = PageBleed.None } };
        finds("inside.bleed", found(with(r => r) with { Bleeds = true }, house: unbled));
        // Of 26 rows of letters a page has fewer: one page is too few, as long as it needs is not.
        finds("inside.rows", found(new() { Runs = [Run("x", "letters-to-trace", count: 1)] }));
        var needed = new Inside { Runs = [Run("x", "letters-to-trace", count: 1) with { Goes = RunKind.Needed }] };
        var settled = EditPipeline.Settle(Book(needed), new PlainType());
        settled.Inside!.Runs[0].Count.ShouldBeGreaterThan(2);
        PageChecks.Of(new(settled), new PageArt([], new PlainType())).ShouldNotContain(f => f.Id == "inside.rows");
        finds("inside.tabs",
            found(new() { Runs = [.. Enumerable.Range(1, 30).Select(n => Run($"r{n}") with { Tab = true })] }));
        // 8 mm from tab to tab can be told apart, and a hair less can't.
        var trim = Book(sound).Ticket.Trim.Height;
        var most = Enumerable.Range(5, 40).Last(n => new Inside().Tabs.Pitch(trim, n) >= Mm(8));
        found(new() { Runs = [.. Enumerable.Range(0, most).Select(n => Run($"r{n}") with { Tab = true })] })
            .ShouldNotContain(f => f.Id == "inside.tabs");
        new Inside().Tabs.Pitch(trim, most).ShouldBeLessThan(Mm(9.9m));
        finds("inside.table",
            found(with(r => r with { Goes = RunKind.Rows, Table = new(new string('c', 64), "gone.csv", 3, ["a"]) })));
        var days = new TableRef(new string('d', 64), "days.csv", 2, ["date", "text"]);
        finds("inside.notes", found(with(r => r, "month") with { Calendar = new() { Notes = days } }));
        var dated = new Rows(["2031-02-30", "no day"], ["1999-01-01", "long ago"]);
        var notes = found(with(r => r, "month") with { Calendar = new() { Notes = days } }, tables: dated)
            .Where(f => f.Id == "inside.notes").ToList();
        notes.ShouldHaveSingleItem().Measured.ShouldContain("2031-02-30");
        // Six are named, and that there are more.
        var seven = new Rows([.. Enumerable.Range(1, 7).Select(n => (string[])[$"2031-02-3{n}", "no day"])]);
        var named = found(with(r => r, "month") with { Calendar = new() { Notes = days } }, tables: seven)
            .Single(f => f.Id == "inside.notes").Measured;
        (named.Split(", ").Length, named.EndsWith(" and more", StringComparison.Ordinal)).ShouldBe((6, true));
        finds("page.fit", found(with(r => r with { Margins = new(Head: Mm(100), Foot: Mm(109)) })));
        finds("page.words",
            found(with(r =>
                r with { Designs = [r.Designs[0] with { Header = Mm(5), Heading = new string('w', 400) }] })));
        finds("page.fields",
            found(with(r => r with { Designs = [r.Designs[0] with { Header = Mm(12), Heading = "{nobody}" }] })));
        finds("page.edge", found(with(r => r with { Tab = true })));
        finds("page.facing",
            found(new() { Runs = [Run("x", count: 2), Run("y", count: 2) with { Margins = new(Foot: Mm(17)) }] }));
        // The last opening is looked at as the first.
        finds("page.facing",
            found(new() { Runs = [Run("x", count: 6), Run("y", count: 2) with { Margins = new(Foot: Mm(17)) }] }));
        finds("page.folio",
            found(with(r => r with { Tab = true }) with { Tabs = new(Mm(2), Mm(1), Mm(1), Mm(40)), Bleeds = true }));
        var behind = new Backdrop(new(new string('e', 64), "wood.jpg", 4000, 6000, true)) { Strength = 60 };
        finds("page.folio", found(with(r => r with { Backdrop = behind }) with { Bleeds = true }));
        found(with(r => r with { Backdrop = behind with { Strength = 20 } }) with { Bleeds = true })
            .ShouldNotContain(f => f.Id == "page.folio");
        finds("page.picture",
            found(with(r => r with { Backdrop = new(new(new string('e', 64), "small.jpg", 400, 600, true)) })));
        finds("page.line",
            found(with(r =>
                r with { Designs = [r.Designs[0].With("weight", new(Length: Length.FromPoints(0.3m)), "")] })));
        finds("page.line",
            found(with(r =>
                r with { Designs = [r.Designs[0].With("weight", new(Length: Length.FromPoints(0.6m)), "")] })));
        var lightest = (int)Plover.Inside.TintLeast;
        found(with(r => r with { Backdrop = behind with { Strength = lightest - 1 } }))
            .First(f => f.Id == "page.tint").Measured.ShouldStartWith($"a picture at {lightest - 1} %");
        found(with(r => r with { Backdrop = behind with { Strength = lightest } })).ShouldNotContain(f => f.Id == "page.tint");
        finds("page.tint", found(with(r => r with { Behind = new(new InkPaint(Ink.Percent(0, 0, 0, 3))) })));
        finds("page.ink", found(with(r => r with { Behind = new(new InkPaint(Ink.Percent(90, 90, 90, 90))) })));
        finds("page.picture", found(with(r => r, "picture")));
        finds("page.puzzle", found(with(r => r, "sudoku")));
        var glue = Plover with { Inside = Plover.Inside with { Glue = Mm(30), Gutters = [new([new(5000, Mm(5))])] } };
        finds("page.margin", found(with(r => r), house: glue));
        var last = Plover with { Inside = Plover.Inside with { LastPageBlank = true } };
        finds("inside.count", found(with(r => r), house: last));
        told.ShouldBe(PageRule.All.Select(r => r.Id), ignoreOrder: true);
    }

    /// <summary>What a table says stays within its box, however long a word is, and that it is broken is told.</summary>
    [Fact]
    public void A_word_that_no_line_holds_is_broken_within_its_box()
    {
        var word = new string('m', 240);
        var headed = DesignShelf.Of("ruled") with { Header = Mm(60), Heading = $"of {word} and more" };
        var plan = new InsidePlan(Book(new() { Runs = [Run("x", count: 8) with { Designs = [headed] }] }));
        var page = plan.Page(1);
        var words = PageScene.Of(plan, page, new([], new PlainType())).Items.Single(i => i.Item == PageScene.Words);
        var safe = page.Surface.Safe;
        words.Inked.Left.ShouldBeGreaterThanOrEqualTo(safe.X.Points - 0.5);
        words.Inked.Right.ShouldBeLessThanOrEqualTo(safe.Right.Points + 0.5);
        words.Inked.Top.ShouldBeGreaterThanOrEqualTo(safe.Y.Points - 0.5);
        var told = PageChecks.Of(plan, new([], new PlainType())).Where(f => f.Id == "page.words").ToList();
        told.ShouldHaveSingleItem().ShouldSatisfyAllConditions(f => f.Severity.ShouldBe(Severity.Caution),
            f => f.Measured.ShouldContain("is broken"));
    }

    /// <summary>A ready inside fills the pages of the ticket where a run takes the rest and the others leave it any.</summary>
    [Fact]
    public void Ready_runs_fill_the_ticket_s_count()
    {
        ImmutableList<PageRun> runs = [Run("a", "dots", count: 10), Run("b") with { Goes = RunKind.Rest }];
        Job begun(int pages, bool fills) =>
            new BeginInside(runs, "ready") { Fills = fills }.Apply(Book(new() { Runs = [Run("x")] }) with { Inside = null } is var job
                ? job with { Ticket = job.Ticket with { Pages = pages } } : null!);
        begun(200, fills: true).ShouldSatisfyAllConditions(j => j.Inside!.Fixed.ShouldBe(200), j => j.Ticket.Pages.ShouldBe(200));
        begun(8, fills: true).Inside!.Fixed.ShouldBeNull();
        begun(200, fills: false).Inside!.Fixed.ShouldBeNull();
    }

    [Fact]
    public void Designs_as_first_laid_are_sound_in_every_house()
    {
        var puzzles = new PuzzlesAtOnce();
        foreach (var house in HouseFile.Shipped.Values)
            foreach (var (word, _, _) in DesignShelf.All)
            {
                var job = Book(new() { Runs = [Run("x", word, count: 30)] }, house: house);
                var found = PageChecks.Of(new(job, null, puzzles), new PageArt([], new PlainType()))
                    .Where(f => f.Id is not ("page.picture" or "inside.count" or "page.margin"));
                found.Select(f => $"{house.Id} {word}: {f.Id} {f.Measured}").ShouldBeEmpty();
            }
    }

    /// <summary>A picture behind pages lies under what they print, as faint as asked, out to the cut where they bleed.</summary>
    [Theory]
    [InlineData("over the page", true, 20)]
    [InlineData("within the margins", true, 20)]
    [InlineData("along the head", false, 100)]
    [InlineData("along the foot", true, 100)]
    public void A_picture_lies_behind_written_pages(string place, bool bleeds, int strength)
    {
        var picture = new Picture(new string('e', 64), "wood.jpg", 4000, 6000, true);
        var job = Book(new() { Runs = [Run("x", count: 8)], Bleeds = bleeds });
        Should.Throw<Refusal>(() => Facts.Write(job, "run/x/behind-place", place)).Message.ShouldContain("no picture lies behind");
        job = new LayBehind("x", picture).Apply(job);
        job = Facts.Write(job, "run/x/behind-place", place).Apply(job);
        Facts.Read(job, "run/x/behind-strength").ShouldBe($"{strength} %");
        JobJson.Read(JobJson.Write(job)).Inside.ShouldBe(job.Inside);
        job.Inside!.Pictures.ShouldContain(picture);
        var plan = new InsidePlan(job);
        var scene = PageScene.Of(plan, plan.Page(3), new([], new PlainType()));
        var (surface, laid) = (plan.Page(3).Surface, scene.Items[0]);
        (laid.Item, laid.Marks.ShouldHaveSingleItem().ShouldBeOfType<PictureMark>().Strength)
            .ShouldBe((PageScene.Behind, strength / 100.0));
        scene.Items[1].Item.ShouldBe(PageScene.Body);
        var box = laid.Frame.ToBox();
        if (place.EndsWith("page", StringComparison.Ordinal)) box.ShouldBe(surface.Whole);
        if (place.EndsWith("margins", StringComparison.Ordinal)) box.ShouldBe(surface.Safe);
        if (place.EndsWith("head", StringComparison.Ordinal))
            (box.Y, box.Bottom.Show(Unit.Millimetre)).ShouldBe((surface.Safe.Y,
                (surface.Trim.Y + ((1m / 3) * surface.Trim.Height)).Show(Unit.Millimetre)));
        if (place.EndsWith("foot", StringComparison.Ordinal)) box.Bottom.ShouldBe(surface.Size.Height);
        new LayBehind("x").Apply(job).Inside!.Runs[0].Backdrop.ShouldBeNull();
    }

    [Fact]
    public void An_inside_is_carried_by_JSON_and_every_fact_reads_back_as_it_was_typed()
    {
        var r = new Chance(11);
        var job = Book(new()
        {
            Runs = [.. DesignShelf.All.Index()
            .Select(d => ByChance(r, d.Index) with { Designs = [d.Item.First] })]
        });
        var back = JobJson.Read(JobJson.Write(job));
        back.Inside.ShouldBe(job.Inside);
        ImportValidation.Job(back);
        foreach (var fact in InsideFacts.All.Concat(job.Inside!.Runs.SelectMany(x => RunFacts.Of(job, x.Id))))
        {
            var text = fact.Read(job);
            if (text == "rows of a table") continue;
            var edit = Facts.Write(job, fact.Path, text);
            EditJson.Read(EditJson.Write(edit)).ShouldBe(edit, fact.Path);
            Facts.Read(edit.Apply(job), fact.Path).ShouldBe(text, fact.Path);
        }
    }

    /// <summary>
    /// The page of insides lists every design with its settings, their first values and ranges, as they are.
    /// </summary>
    [Fact]
    public void The_page_of_insides_lists_every_design_with_its_settings()
    {
        const string page = "docs/inside.md";
        var terms = new FieldTerms(Unit.Millimetre, [], []);
        string range(PageDesign d, Field f)
        {
            if (f.Choices.Count > 0)
                return string.Join(", ", f.Choices.Select(c => c.Text.Length == 0 ? "nothing" : c.Text));
            if (f.IsWords || f.IsLong || f.IsSwitch) return f.IsSwitch ? "yes, no" : "words";
            var now = f.Read(f.Show(d, terms), terms);
            if (now.Words is not null) return f.IsSwitch ? "yes, no" : f.Key == "seed" ? "a number or a word" : "columns";
            var (_, no) = Attempt.Of(() => d.With(f.Key, now.Length is null ? new(Number: -1) : new(Length: Mm(-1)), ""));
            return no is null ? "" : no.Message[(no.Message.IndexOf("from ", StringComparison.Ordinal) + 5)..]
                .Replace(" to ", " … ", StringComparison.Ordinal);
        }
        string setting(PageDesign d, Field f) =>
            $"| `{f.Key}` | {f.Label} | {f.Show(d, terms).ReplaceLineEndings(" / ")} | {range(d, f)} |";
        string design((string Word, string Group, PageDesign First) d)
        {
            // What every design takes is told once.
            var own = d.First.Fields.Where(f => !f.TakesPaint && f.Key is not ("heading" or "beside" or "header" or "heading-size"))
                .Select(f => setting(d.First, f)).ToList();
            var table = own.Count == 0 ? "no settings"
                : $"| setting | on screen | at first | range |\n|---|---|---|---|\n{string.Join('\n', own)}";
            return $"### `{d.Word}`\n{d.First.Kind}; {d.Group}\n\n{table}\n";
        }
        var begins = File.ReadAllText(Manual.PathOf(page));
        const string mark = "<!-- from here on written by the tests -->\n";
        begins = begins[..(begins.IndexOf(mark, StringComparison.Ordinal) + mark.Length)];
        var text = (begins + "\n" + string.Join('\n', DesignShelf.All.Select(design))).ReplaceLineEndings("\n");
        Manual.Is(page, text);
    }
}
