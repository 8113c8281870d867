using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Lumbeck.Web.Tests;

/// <summary>Seeing the sheet near and far, and what keeps everything: takes, steps, and items as text.</summary>
[Collection("browser")]
public sealed class SeeingTests(Browser browser)
{
    private OnBench Saved(string slug = "tidewatcher") =>
        browser.Desk.Jobs.Job(slug);

    private double[] View() =>
        [.. browser.Find("#sheet").GetDomAttribute("viewBox")!.Split(' ')
            .Select(n => double.Parse(n, CultureInfo.InvariantCulture))];

    private double Scale() =>
        Convert.ToDouble(browser.Script("return document.getElementById('sheet').getScreenCTM().a"),
            CultureInfo.InvariantCulture);

    private void Key(string key, bool shift = false) =>
        browser.Script("document.activeElement?.blur?.(); document.body.dispatchEvent(new KeyboardEvent('keydown', { " +
            "key: arguments[0], shiftKey: arguments[1], bubbles: true, cancelable: true }))",
            key, shift);

    private void Back() => browser.Undo();

    [Fact]
    public void The_wheel_rolls_and_with_Ctrl_comes_nearer_to_where_it_points()
    {
        browser.Go("/jobs/tidewatcher/wrap");
        var whole = View();
        const string wheel = "const e = new WheelEvent('wheel', { deltaY: arguments[0], ctrlKey: arguments[1], " +
            "clientX: 800, clientY: 300, bubbles: true, cancelable: true }); " +
            "document.getElementById('sheet').dispatchEvent(e); return e.defaultPrevented";
        const string under = "const p = new DOMPoint(800, " +
            "300).matrixTransform(document.getElementById('sheet').getScreenCTM().inverse()); return " +
            "`${p.x.toFixed(2)} ${p.y.toFixed(2)}`";
        var point = browser.Script(under);
        var scale = Scale();
        browser.Script(wheel, -120, true).ShouldBe(true);
        Scale().ShouldBeGreaterThan(scale * 1.2);
        browser.Script(under).ShouldBe(point);
        var near = View();
        browser.Script(wheel, 60, false);
        View()[1].ShouldBeGreaterThan(near[1]);
        View()[0].ShouldBe(near[0], 0.01);
        // Grips keep their size, whatever the distance.
        browser.Script("document.querySelector('#row-title [data-row]').click()");
        browser.Until(() => (bool)browser.Script("return Math.abs((document.querySelector('#sheet .over " +
            "rect.grip')?.getBoundingClientRect().width ?? 0) - 6.8) < 1.5")!);
        Key("s");
        View().ShouldBe(whole);
    }

    [Fact]
    public void Two_fingers_drawn_apart_come_nearer_and_carry_nothing()
    {
        browser.Go("/jobs/tidewatcher/wrap");
        var (scale, tick) = (Scale(), browser.Tick);
        void touch(string type, params (int X, int Y)[] at) =>
            browser.Driver.ExecuteCdpCommand("Input.dispatchTouchEvent",
                new()
                {
                    ["type"] = type,
                    ["touchPoints"] = at.Select((p, i) =>
                        new Dictionary<string, object> { ["x"] = p.X, ["y"] = p.Y, ["id"] = i })
                        .ToArray()
                });
        touch("touchStart", (800, 300));
        touch("touchStart", (800, 300), (860, 300));
        for (var n = 1; n <= 4; n++) touch("touchMove", (800 - (n * 15), 300), (860 + (n * 15), 300));
        touch("touchEnd");
        Scale().ShouldBeGreaterThan(scale * 1.8);
        browser.Count("#carried").ShouldBe(0);
        browser.Tick.ShouldBe(tick);
    }

    [Fact]
    public void Panel_item_and_true_size_are_one_key_away()
    {
        browser.Go("/jobs/tidewatcher/wrap?item=author");
        browser.Until(() => browser.Count("#sheet .over") == 1);
        Key("p");
        var front = Saved().Composed.Geometry.Sheet.Panel(Part.Front)!.Edge;
        var v = View();
        (v[0] + (v[2] / 2)).ShouldBe(front.X.Points + (front.Width.Points / 2), 0.1);
        (v[3] >= front.Height.Points && v[3] < front.Height.Points * 1.3).ShouldBeTrue();
        Key("i");
        View()[2].ShouldBeLessThan(v[2]);
        // A pixel of a screen not measured is taken for 1/96 inch; measured, it is what the card says.
        browser.Script("localStorage.removeItem('lumbeck-pixels-a-millimetre')");
        Key("t");
        Scale().ShouldBe(96 / 72.0, 0.001);
        browser.Text("#near").ShouldBe("100 %");
        // A card of 85.6 mm laid on the screen, and the shape drawn out to 428 pixels.
        browser.Find("[data-see=measure]").Click();
        browser.Script("const w = document.getElementById('card-width'); w.value = 428; w.dispatchEvent(new " +
            "Event('input', { bubbles: true }))");
        browser.Find("#card").Size.Width.ShouldBe(428);
        browser.Find("#measure [value=keep]").Click();
        browser.Until(() => Math.Abs(Scale() - (5 * 25.4 / 72)) < 0.001);
        Key("s");
        Key("t");
        Scale().ShouldBe(5 * 25.4 / 72, 0.001);
        browser.Script("localStorage.removeItem('lumbeck-pixels-a-millimetre')");
    }

    [Fact]
    public void One_panel_alone_and_zones_by_kind_change_what_is_seen_and_not_the_cover()
    {
        browser.Go("/jobs/tidewatcher/wrap?item=author");
        browser.Until(() => browser.Count("#sheet .over") == 1);
        var tick = browser.Tick;
        Key("a");
        browser.Find("#on-sheet").GetDomAttribute("clip-path").ShouldBe("url(#alone)");
        browser.Find("#see-alone[aria-pressed=true]");
        Key("a");
        browser.Find("#on-sheet").GetDomAttribute("clip-path").ShouldBeNull();
        bool seen(string zone) =>
            (bool)browser.Script("return getComputedStyle(document.querySelector('#zones .' + arguments[0])).display " +
                "!== 'none'", zone)!;
        browser.Find("#zone-kinds summary").Click();
        browser.Find("[data-zone=bleed]").Click();
        (seen("z-bleed"), seen("z-fold")).ShouldBe((false, true));
        // Also after the page was left and opened again.
        browser.Go("/jobs/tidewatcher/wrap");
        seen("z-bleed").ShouldBeFalse();
        browser.Find("#zone-kinds summary").Click();
        browser.Find("[data-zone=bleed]").Click();
        seen("z-bleed").ShouldBeTrue();
        browser.Tick.ShouldBe(tick);
    }

    [Fact]
    public void The_edge_tour_stops_eight_times_and_shows_a_bare_hair_where_there_is_one()
    {
        browser.Go("/jobs/tidewatcher/wrap");
        for (var n = 1; n <= 8; n++)
        {
            Key("e");
            browser.Text("#tour-says").ShouldStartWith($"{n} of 8 · ");
            browser.Text("#tour-says").ShouldEndWith("covered to the edge of the sheet");
            Scale().ShouldBeGreaterThan(3);
        }
        Key("e");
        browser.Find("#tour").Displayed.ShouldBeFalse();

        Key("e");
        var desk = browser.Desk;
        Edit[] bare = [new PaintGround(null),
            new AddItem(new RectItem { Id = "sky",
                Hold = new(Part.Sheet, HoldBox.Edge, Anchor.BottomRight, default, default),
                Width = new(Length.FromMillimetres(-0.2m), 1), Height = Span.Full, Fill = new SwatchPaint("estuary") },
                At: 0)];
        browser.AndWait(() =>
            desk.Jobs.Apply("tidewatcher",
                new(Guid.NewGuid().ToString(), "bare", _ => new Together([.. bare], "bare"))));
        browser.Until(() =>
            browser.Text("#tour-says")
                .EndsWith("corner at head left: bare, up to 0.008 in wide", StringComparison.Ordinal));
        browser.Count("#bare rect").ShouldBe(1);
        Key("Escape");
        browser.Count("#bare").ShouldBe(0);
        Back();
    }

    [Fact]
    public void The_book_folds_from_the_same_art_and_turns_by_keys()
    {
        browser.Go("/jobs/calder/wrap");
        Key("y");
        browser.Find("#book[open]");
        foreach (var (leaf, shown) in ((string, bool)[])[("front", true), ("back", true), ("spine", true),
            ("front-flap", true), ("back-flap", false)])
            browser.Find($".leaf-{leaf}").Displayed.ShouldBe(shown, leaf);
        browser.Find(".leaf-spine use").GetDomAttribute("href").ShouldBe("#art");
        var pose = browser.Find("#book-body").GetCssValue("transform");
        browser.Find(".stage").SendKeys(Keys.ArrowRight);
        browser.Find("#book-body").GetCssValue("transform").ShouldNotBe(pose);
        browser.Find("[data-book=back]").Click();
        browser.Find(".leaf-back-flap").Displayed.ShouldBeTrue();
        browser.Find(".stage").SendKeys(Keys.Escape);
        browser.Until(() => browser.Count("#book[open]") == 0);
    }

    [Fact]
    public void Keys_are_listed_and_the_sheet_is_told_in_words()
    {
        browser.Go("/jobs/tidewatcher/wrap");
        Key("?");
        browser.Until(() => browser.Text("#keys").Contains("swap front and back", StringComparison.Ordinal));
        // A dialog keeps the keys: nothing happens behind it.
        var tick = browser.Tick;
        Key("x");
        browser.Find("#keys button").Click();
        Key("v");
        browser.Until(() =>
            browser.Text("#in-words-text")
                .Contains("From left to right: back, spine, front.", StringComparison.Ordinal));
        browser.Find("#in-words button").Click();
        browser.Tick.ShouldBe(tick);
        Key("n");
        browser.Find("#row-spine-band [aria-pressed=true]");
        // On a row, Shift and Enter add it; with nothing picked the arrows push the sheet.
        browser.Find("#row-title [data-row]").SendKeys(Keys.Shift + Keys.Enter);
        browser.Until(() => browser.Text("#together").StartsWith("2 items", StringComparison.Ordinal));
        Key("Escape");
        var view = View();
        Key("ArrowRight");
        View()[0].ShouldBeGreaterThan(view[0]);
        Key("s");
        Key("n");
        browser.Find("#row-spine-band [aria-pressed=true]");
        browser.AndWait(() => Key("l"));
        browser.Until(() => browser.Text("#announced").Contains("locked of", StringComparison.Ordinal));
        Back();
        browser.Until(() => browser.Text("#announced").StartsWith("Undone", StringComparison.Ordinal));
    }

    [Fact]
    public void Items_are_copied_as_text_and_pasted_on_another_job()
    {
        browser.Driver.ExecuteCdpCommand("Browser.grantPermissions",
            new() { ["permissions"] = new[] { "clipboardReadWrite", "clipboardSanitizedWrite" } });
        browser.Go("/jobs/tidewatcher/wrap?item=title-rule,line");
        browser.Until(() => browser.Text("#together").StartsWith("2 items", StringComparison.Ordinal));
        browser.Script("document.activeElement?.blur?.()");
        new Actions(browser.Driver).KeyDown(Keys.Control).SendKeys("c").KeyUp(Keys.Control).Perform();
        browser.Until(() => browser.Driver.ExecuteAsyncScript("const done = arguments[0]; " +
            "navigator.clipboard.readText().then(t => done(t.includes('lumbeck-items')), () => done(false))") is true);
        browser.Go("/jobs/lighthouse/wrap");
        browser.AndWait(() =>
            new Actions(browser.Driver).KeyDown(Keys.Control).SendKeys("v").KeyUp(Keys.Control).Perform());
        browser.Until(() => browser.Text("#together").StartsWith("2 items", StringComparison.Ordinal));
        var on = Saved("lighthouse");
        var pasted = on.Job.Items.Where(i => i.Id.StartsWith("paste-", StringComparison.Ordinal)).ToList();
        pasted.Select(i => i.Kind).ShouldBe(["Rule", "Subtitle"]);
        on.Job.Swatches.ShouldContain(s => s.Name == "Brass");
        Back();

        // Five thousand of them are answered in words, and nothing is changed.
        var all = Enumerable.Range(0, 5000).Select(n => $$"""
            {
              "is": "ellipse", "id": "e{{n}}", "width": { "own": 900000, "share": 0 },
              "hold": { "panel": "front", "box": "face", "anchor": "middle", "dx": 0, "dy": 0 }
            }
            """);
        var many = $$"""{ "lumbeck-items": 1, "swatches": [], "items": [{{string.Join(',', all)}}] }""";
        var tick = browser.Tick;
        browser.Script("const d = new DataTransfer(); d.setData('text/plain', arguments[0]); " +
            "document.body.dispatchEvent(new ClipboardEvent('paste', { clipboardData: d, bubbles: true, cancelable: true }))",
            many);
        browser.Until(() => browser.Text("#notice") == "5000 items were pasted: a cover holds up to 500");
        browser.Tick.ShouldBe(tick);
    }

    [Fact]
    public void Takes_lie_side_by_side_and_any_is_chosen_for_press()
    {
        browser.Go("/jobs/orrin/wrap");
        browser.Find("#takes summary").Click();
        browser.AndWait(() => browser.Find("#takes [data-design=new]").Click());
        browser.Until(() => browser.Text("#take-now") == "Take 2");
        browser.Script("document.querySelector('#row-title [data-row]').click()");
        browser.Find("#row-title [aria-expanded=true]");
        browser.AndWait(() => browser.Find("#row-title [data-remove]").Click());
        browser.Go("/jobs/orrin/takes");
        browser.Count("main li").ShouldBe(2);
        browser.Until(() =>
            (bool)browser.Script("return [...document.images].every(i => i.complete && i.naturalWidth > 0)")!);
        browser.Find("#take-first .press").Click();
        browser.Until(() => browser.Text("#take-first").Contains("on the bench, for press", StringComparison.Ordinal));
        Saved("orrin").Job.Item("title").ShouldNotBeNull();
        browser.Go("/jobs/orrin/wrap");
        for (var n = 0; n < 3; n++) Back();
        Saved("orrin").Job.Wraps[0].Takes.Count.ShouldBe(1);
    }

    [Fact]
    public void A_step_is_named_found_again_and_brought_back()
    {
        browser.Go("/jobs/calder/wrap?item=title");
        browser.Until(() => browser.Count("#sheet .over") == 1);
        var start = Saved("calder");
        browser.AndWait(() => Key("ArrowDown"));
        browser.AndWait(() => Key("q"));
        browser.Find("#docket a[href$='/history']").Click();
        browser.Until(() => browser.Count("main li") >= 3);
        browser.Until(() =>
            (bool)browser.Script("return [...document.images].every(i => i.complete && i.naturalWidth > 0)")!);
        var first = $"#step-{start.Revision}";
        browser.Find(first + " input[name=name]").SendKeys("before the turn" + Keys.Enter);
        browser.Until(() => browser.Text(first).StartsWith("before the turn", StringComparison.Ordinal));
        browser.Go("/jobs/calder/history?named=true");
        browser.Count("main li").ShouldBe(1);
        browser.Find(first + " form:first-of-type button").Click();
        browser.Until(() => browser.Driver.Url.EndsWith("/wrap", StringComparison.Ordinal));
        JobJson.Write(Saved("calder").Job).ShouldBe(JobJson.Write(start.Job));
        Saved("calder").Revision.ShouldNotBe(start.Revision);
        Back();
        Saved("calder").Job.Item("title")!.Turned.ShouldBe(90);
        Back();
        Back();
    }
}
