namespace Lumbeck.Core.Tests;

/// <summary>Whatever is typed is read or refused in words; nothing throws, and the job stays whole.</summary>
public sealed class HostileTests
{
    [ByChance(500)]
    public void Any_text_is_read_or_refused_by_every_reader(string? typed)
    {
        var text = typed ?? "";
        if (!LengthText.TryParse(text, Unit.Inch, out _, out var why)) why.ShouldNotBeEmpty();
        if (!LengthText.TryParseSize(text, Unit.Millimetre, out _, out why)) why.ShouldNotBeEmpty();
        if (!PaintText.TryParse(text, [new("sea", "Sea", Ink.Black)], out _, out why)) why.ShouldNotBeEmpty();
        if (!PaperText.TryParse(text, HouseFile.Shipped["tern"], out _, out why)) why.ShouldNotBeEmpty();
        if (!Isbn.TryParse(text, out _, out why)) why.ShouldNotBeEmpty();
        if (FaceId.TryParse(text, out var face)) face.Family.ShouldNotBeEmpty();
        if (Caliper.TryParseFraction(text, out var caliper))
            Caliper.TryParseFraction(caliper.Fraction, out _).ShouldBeTrue();
        try { HouseFile.Read(text); }
        catch (Refusal r) { r.Message.ShouldNotBeEmpty(); }
    }

    /// <summary>Texts that have the look of figures, where slips hide.</summary>
    private static readonly string[] Slips = ["", " ", "0", "-1", "1e9", "999999999",
        "99999999999999999999999999999999", "0.0000000001 in", "1/0", "5 1/2", "½½", "6x", "x", "6 x 9 x 2", "100 %",
        "1000 % + 9 in", "101%", "-5 %", "Sea", "sea 101 %", "Sea -3 %", "0 0 0 0", "1 2 3", "1 2 3 4 5", "101 0 0 0",
        "ltr", "RTL", "yes", "none", "front", "back-fore-edge", "sheet", "top left", "eb-garamond/400i", "/400", "a/",
        "376 ppi", "0 ppi", "90 gsm × 0", "0 gsm x 9", "1 gsm x 99", "978", "٣٤", "1,5", ",5", "5,", "NaN", "∞",
        "\u0000", "\ud800", "🂡", "'; DROP TABLE job;--", "<script>alert(1)</script>", "../../etc", new('9', 400)];

    [Fact]
    public void Every_fact_reads_or_refuses_every_slip_and_what_it_makes_can_be_drawn_and_checked()
    {
        var job = Sample.Job(new RectItem
        {
            Id = "band",
            Hold = new(Part.Spine, HoldBox.Edge, Anchor.Middle, default, default),
            Width = Span.Full,
            Height = Span.Full,
            Fill = new SwatchPaint("sea")
        },
            new BarcodeItem { Id = "code", Hold = new(Part.Back, HoldBox.Room, Anchor.Middle, default, default) });
        job = new LayPattern(new ContourLines { Seed = 3, Paints = [new InkPaint(Ink.Black)] }).Apply(job);
        var (made, refused) = (0, 0);
        foreach (var fact in TicketFacts.All.Concat(GroundFacts.Of(job, 0)).Concat(GroundFacts.OfSwatch("sea"))
            .Concat(job.Take.Items.SelectMany(ItemFacts.Of)).ToList())
            foreach (var slip in Slips)
            {
                Job after;
                try { after = Facts.Write(job, fact.Path, slip).Apply(job); }
                catch (Refusal r)
                {
                    r.Path.ShouldBe(fact.Path, $"{fact.Path} with “{slip}”: {r.Message}");
                    r.Message.Length.ShouldBeInRange(10, 260);
                    r.Message.ShouldNotContain("\n");
                    refused++;
                    continue;
                }
                made++;
                // Drawing all of it takes most of the time.
                if (!Sweep.IsLong && made % 4 != 0) continue;
                Sample.Check(after).ShouldAllBe(f => f.Why.Length > 0 && f.Measured.Length > 0 && f.Limit.Length > 0);
                JobJson.Read(JobJson.Write(after)).Take.Items.Count.ShouldBe(job.Take.Items.Count);
            }
        made.ShouldBeGreaterThan(300);
        refused.ShouldBeGreaterThan(1000);
    }

    /// <summary>Pieces that fields are generated from: figures, units, words and what gets between them.</summary>
    private static readonly string[] Scraps = ["0", "1", "5", "7.5", ",25", "312", "1e3", "99999", "-", "−", "½", "/",
        "1/3", " ", "x", "×", "by", ";", ",", ":", "(", ")", "\"", "mm", "in", "cm", "pt", "mil", "µm", "ppi", "gsm",
        "g/m²", "cm³/g", "%", "pages", "up to", "from", "yes", "no", "none", "stop", "note", "ticket.trim", "case",
        "jacket", "loose", "front", "round", "rtl", "he", "GBP", "£", "translator", "Wove 90", "Offset 80", "\n", "\t",
        "\0", "ü", "ש", "🂡", "\ud800", "null", "[", "]", "{", "}", "x4", "down"];

    [Fact]
    public void Generated_fields_are_read_or_refused_and_every_sheet_stays_whole()
    {
        var many = Sweep.IsLong ? 100_000 : 20_000;
        var random = new Random(20260101);
        string field() =>
            string.Concat(Enumerable.Range(0, random.Next(1, 6)).Select(_ => Scraps[random.Next(Scraps.Length)]));
        var jobs = HouseFile.Shipped.Values.SelectMany(h =>
            h.Bindings.Select(b => new SetBinding(b).Apply(new SetHouse(h).Apply(Sample.Job()))))
            .ToList();
        var house = HouseFile.Shipped["aldwater"];
        var (made, refused) = (0, 0);
        for (var n = 0; n < many; n++)
        {
            var text = field();
            try
            {
                if (n % 5 == 4)
                {
                    var key = HouseKeys.All[random.Next(HouseKeys.All.Count)];
                    var next = HouseText.Write(key, house, text);
                    HouseText.Show(key, next).ShouldNotBeNull();
                    // Now and then the change is kept, so that figures meet others than the shipped.
                    if (n % 50 == 49) house = next;
                }
                else
                {
                    var at = random.Next(jobs.Count);
                    var after = Facts.Write(jobs[at], TicketFacts.All[random.Next(TicketFacts.All.Count)].Path, text)
                        .Apply(jobs[at]);
                    foreach (var printed in after.Sheets())
                    {
                        printed.Sheet.Regions.Aggregate(Length.Zero, (x, r) => x + r.Width)
                            .ShouldBe(printed.Sheet.Size.Width);
                        printed.Geometry.Sums(after.Ticket.Unit)
                            .ShouldAllBe(s => s.Figure.Length > 0 && s.Text.Length > 0);
                    }
                    if (n % 20 == 3) jobs[at] = after;
                }
                made++;
            }
            catch (Refusal r)
            {
                r.Message.Length.ShouldBeInRange(10, 700, r.Message);
                refused++;
            }
        }
        made.ShouldBeGreaterThan(many / 10);
        refused.ShouldBeGreaterThan(many / 10);
    }

    [ByChance(200)]
    public void No_word_is_lost_between_lines(NonEmptyArray<NonEmptyString> parts, PositiveInt wide)
    {
        var words = parts.Get.Select(p => string.Concat(p.Get.Where(c => char.IsAsciiLetterOrDigit(c))))
            .Where(w => w.Length > 0).ToList();
        var width = 20 + (wide.Get % 300);
        var set = Typesetter.Set(string.Join(' ', words), Sample.Style(10), width, 1e6, new PlainType());
        string.Join(' ', set.Lines.Select(l => l.Text)).ShouldBe(string.Join(' ', words));
        set.Lines.ShouldAllBe(l => l.Width <= width + 0.01 || !l.Text.Contains(' '));
        // A word more on a line than it bears, or a line more than the words need, is never taken.
        // The plain face draws 5 pt a glyph, and f and i together are one.
        static int Wide(string word) => 5 * word.Replace("fi", "f", StringComparison.Ordinal).Length;
        var least = 1;
        var full = -5.0;
        foreach (var word in words)
        {
            if (full + 5 + Wide(word) > width + 0.01
                && full >= 0) { least++; full = -5; }
            full += 5 + Wide(word);
        }
        set.Lines.Length.ShouldBeLessThanOrEqualTo(least + 1);
        (set.Overset is null).ShouldBe(words.All(w => Wide(w) <= width + 0.01));
    }

    [ByChance(200)]
    public void Any_twelve_digits_make_one_check_digit_that_is_accepted_and_no_other(PositiveInt seed)
    {
        var twelve = (seed.Get % 2 == 0 ? "978" : "979") + (seed.Get * 7919L % 1_000_000_000)
            .ToString("000000000", CultureInfo.InvariantCulture);
        var right = Ean13.CheckDigit(twelve);
        for (var d = '0'; d <= '9'; d++) Isbn.TryParse(twelve + d, out _, out _).ShouldBe(d == right);
        Isbn.TryParse(Isbn.Hyphenate(twelve + right), out var back, out _).ShouldBeTrue();
        back.Digits.ShouldBe(twelve + right);
    }

    [Fact]
    public void An_item_that_would_name_an_element_of_the_page_or_a_path_is_refused()
    {
        foreach (var id in new[] { "", "ground", "Title", "a b", "a/b", "<x>", new string('a', 41), "ünder" })
            Should.Throw<Refusal>(() => new AddItem(Sample.Text(id, "x")).Apply(Sample.Job()));
        Should.Throw<Refusal>(() => new AddItem(Sample.Text("title", "x")).Apply(Sample.Job()))
            .Message.ShouldContain("already");
    }
}
