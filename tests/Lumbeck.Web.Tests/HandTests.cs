using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Lumbeck.Web.Tests;

/// <summary>The hand on the sheet, in a real browser: what it does is measured on the saved job.</summary>
[Collection("browser")]
public sealed class HandTests(Browser browser)
{
    private const string Slug = "tidewatcher";

    private Actions Hand => new(browser.Driver, TimeSpan.FromMilliseconds(20));

    private OnBench Saved(string slug = Slug) =>
        browser.Desk.Jobs.Job(slug);

    private static Bounds Frame(OnBench on, string item) => on.Composed.SheetOf(item).Scene.Item(item)!.Frame;

    private static double Mm(double points) => points * 25.4 / 72;

    /// <summary>Where a point of the sheet, in points, is on the screen.</summary>
    private (int X, int Y) Screen(double x, double y, string surface = "sheet")
    {
        var at = (IReadOnlyList<object>)browser.Script(
            $"const m = document.getElementById('{surface}').getScreenCTM(); return [Math.round(m.a * arguments[0] + " +
            $"m.c * arguments[1] + m.e), Math.round(m.b * arguments[0] + m.d * arguments[1] + m.f)]",
            x, y)!;
        return (Convert.ToInt32(at[0], CultureInfo.InvariantCulture),
            Convert.ToInt32(at[1], CultureInfo.InvariantCulture));
    }

    private Actions Drag((int X, int Y) from, (int X, int Y) to, Actions? hand = null)
    {
        hand = (hand ?? Hand).MoveToLocation(from.X, from.Y).ClickAndHold();
        for (var i = 1; i <= 4; i++)
            hand.MoveToLocation(from.X + ((to.X - from.X) * i / 4), from.Y + ((to.Y - from.Y) * i / 4));
        return hand;
    }

    private (int X, int Y) Grip(string name)
    {
        var at = (IReadOnlyList<object>)browser.Script("const r = document.querySelector(`#sheet .over " +
            "[data-grip=${arguments[0]}]`).getBoundingClientRect(); return [Math.round(r.x + r.width / 2), " +
            "Math.round(r.y + r.height / 2)]",
            name)!;
        return (Convert.ToInt32(at[0], CultureInfo.InvariantCulture),
            Convert.ToInt32(at[1], CultureInfo.InvariantCulture));
    }

    private void Key(string key, bool shift = false, bool ctrl = false) =>
        browser.Script("document.activeElement?.blur?.(); document.body.dispatchEvent(new KeyboardEvent('keydown', { " +
            "key: arguments[0], shiftKey: arguments[1], ctrlKey: arguments[2], bubbles: true, cancelable: true }))",
            key, shift, ctrl);

    private void Pick(params string[] items)
    {
        browser.Go($"/jobs/{Slug}/wrap?item={string.Join(',', items)}");
        browser.Until(() =>
            Convert.ToInt32(browser.Script("return document.querySelectorAll('#sheet .over [data-grip]').length"),
                CultureInfo.InvariantCulture) > 0);
    }

    private void Back() => browser.Undo();

    [Fact]
    public void One_key_centres_a_title_on_the_front_and_another_mirrors_it_to_the_back()
    {
        Pick("lead");
        browser.AndWait(() => browser.Find("#row-lead [data-arrange=copy-to][data-panel=front]").Click());
        var copy = browser.Find("#list-front [id^=row-lead-]").GetDomAttribute("id")![4..];
        browser.AndWait(() => Key("c"));
        var on = Saved();
        var face = on.Composed.Geometry.Sheet.Panel(Part.Front)!.Face;
        // What is drawn is centred, in the box that it hung by.
        var f = on.Composed.Sheets[0].Scene.Item(copy)!.Inked;
        Mm(((f.Left + f.Right) / 2) - face.X.Points - (face.Width.Points / 2)).ShouldBe(0, 0.01);
        on.Job.Item(copy)!.Hold.Box.ShouldBe(on.Job.Item("lead")!.Hold.Box);

        Pick("title");
        browser.AndWait(() => Key("o"));
        on = Saved();
        var mirrored = on.Job.Items.Single(i =>
            i.Id.StartsWith("title-", StringComparison.Ordinal) && i.Id != "title-rule");
        var (was, now) = (Frame(on, "title"), Frame(on, mirrored.Id));
        Mm(now.Left - (on.Composed.Sheets[0].Scene.Width - was.Right)).ShouldBe(0, 0.001);
        Mm(now.Top - was.Top).ShouldBe(0, 0.001);
        for (var i = 0; i < 3; i++) Back();
    }

    /// <summary>
    /// Letters by themselves can be switched off, and act nowhere but where the sheet or a row of it has the focus (WCAG
    /// 2.2, 2.1.4); arrows go on.
    /// </summary>
    [Fact]
    public void Letters_by_themselves_are_switched_off_and_act_only_on_the_sheet()
    {
        Pick("lead");
        var start = JobJson.Write(Saved().Job);
        var before = Frame(Saved(), "lead");
        Key("?");
        browser.Find("#letters-act").Click();
        browser.Find("#keys button").Click();
        // Where a letter did something, it would be answered before the arrow is.
        Key("c");
        browser.AndWait(() => Key("ArrowDown"));
        var after = Frame(Saved(), "lead");
        after.Left.ShouldBe(before.Left, 0.001);
        after.Top.ShouldBeGreaterThan(before.Top);
        Key("?");
        browser.Find("#letters-act").Selected.ShouldBeFalse("what was chosen is kept");
        browser.Find("#letters-act").Click();
        browser.Find("#keys button").Click();
        // From a control beside the sheet no letter acts.
        browser.Script("document.querySelector('#papers summary').dispatchEvent(new KeyboardEvent('keydown', " +
            "{ key: 'x', bubbles: true }))");
        browser.AndWait(() => Key("ArrowDown"));
        Saved().Job.Item("title")!.Hold.Panel.ShouldBe(Part.Front);
        browser.AndWait(() => Key("c"));
        Math.Abs(Frame(Saved(), "lead").Left - before.Left).ShouldBeGreaterThan(0.5);
        // Arrows pressed soon after each other are one step.
        while (!JobJson.Write(Saved().Job).AsSpan().SequenceEqual(start)) Back();
    }

    [Fact]
    public void A_marquee_picks_several_they_are_carried_as_one_and_lined_up()
    {
        Pick("author");
        Key("Escape");
        var before = Saved();
        // Everything of the front, from an empty spot under the spine's foot to above its head; drawn from left to
        // right.
        var face = before.Composed.Geometry.Sheet.Panel(Part.Front)!.Face;
        Drag(Screen(face.X.Points + 6, face.Bottom.Points - 4), Screen(face.Right.Points - 1, face.Y.Points + 2))
            .Release().Perform();
        browser.Until(() => browser.Text("#together").StartsWith("4 items picked", StringComparison.Ordinal));
        var rule = Frame(before, "title-rule");
        var (x, y) = Screen((rule.Left + rule.Right) / 2, (rule.Top + rule.Bottom) / 2);
        browser.AndWait(() => Drag((x, y), (x, y + 40), Hand.KeyDown(Keys.Alt)).Release().KeyUp(Keys.Alt).Perform());
        var after = Saved();
        var down = Frame(after, "title").Top - Frame(before, "title").Top;
        down.ShouldBeGreaterThan(20);
        foreach (var id in new[] { "title", "title-rule", "line", "author" })
        {
            (Frame(after, id).Top - Frame(before, id).Top).ShouldBe(down, 0.05);
            (Frame(after, id).Left - Frame(before, id).Left).ShouldBe(0, 0.05);
        }
        browser.AndWait(() => browser.Find("#together [data-arrange=left]").Click());
        var lined = Saved();
        foreach (var id in new[] { "title", "title-rule", "line" })
            Frame(lined, id).Left.ShouldBe(Frame(lined, "author").Left, 0.02);
        // With Shift one of them is taken away.
        browser.Script("document.querySelector('#row-line [data-row]').dispatchEvent(new MouseEvent('click', { " +
            "bubbles: true, shiftKey: true }))");
        browser.Until(() => browser.Text("#together").StartsWith("3 items picked", StringComparison.Ordinal));
        Back();
        Back();
        JobJson.Write(Saved().Job).ShouldBe(JobJson.Write(before.Job));
    }

    [Fact]
    public void A_corner_sizes_in_proportion_with_Shift_and_the_knob_turns_to_a_quarter()
    {
        Pick("barcode");
        Key("Escape");
        browser.AndWait(() => browser.Find("#list-front [data-add=ellipse]").Click());
        var id = browser.Find("#list-front [id^=row-ellipse-]").GetDomAttribute("id")![4..];
        browser.Until(() =>
            Convert.ToInt32(browser.Script("return document.querySelectorAll('#sheet .over [data-grip]').length"),
                CultureInfo.InvariantCulture) == 9);
        var before = Frame(Saved(), id);
        // One side alone, past lines; the opposite side stays.
        var east = Grip("e");
        browser.AndWait(() =>
            Drag(east, (east.X + 30, east.Y), Hand.KeyDown(Keys.Alt)).Release().KeyUp(Keys.Alt).Perform());
        var wider = Frame(Saved(), id);
        (wider.Left, wider.Top, wider.Bottom)
            .ShouldSatisfyAllConditions(b => b.Left.ShouldBe(before.Left, 0.01), b => b.Top.ShouldBe(before.Top, 0.01),
                b => b.Bottom.ShouldBe(before.Bottom, 0.01));
        (wider.Right - before.Right).ShouldBeGreaterThan(30);
        // In proportion, about the middle.
        var corner = Grip("se");
        browser.AndWait(() =>
            Drag(corner, (corner.X + 12, corner.Y + 12), Hand.KeyDown(Keys.Shift).KeyDown(Keys.Control)).Release()
                .KeyUp(Keys.Control).KeyUp(Keys.Shift).Perform());
        var grown = Frame(Saved(), id);
        ((grown.Right - grown.Left) / (grown.Bottom - grown.Top))
            .ShouldBe((wider.Right - wider.Left) / (wider.Bottom - wider.Top), 0.001);
        ((grown.Left + grown.Right) / 2).ShouldBe((wider.Left + wider.Right) / 2, 0.01);
        // Near a quarter turn it is one.
        var middle = Screen((grown.Left + grown.Right) / 2, (grown.Top + grown.Bottom) / 2);
        var knob = Grip("turn");
        var far = middle.Y - knob.Y;
        browser.AndWait(() =>
        {
            var hand = Hand.MoveToLocation(knob.X, knob.Y).ClickAndHold().MoveToLocation(middle.X + far, middle.Y - far)
                .MoveToLocation(middle.X + far, middle.Y + 2);
            hand.Perform();
            browser.Text("#carried").ShouldContain("90°");
            Hand.Release().Perform();
        });
        Saved().Job.Item(id)!.Turned.ShouldBe(90);
        var turned = Frame(Saved(), id);
        (turned.Right - turned.Left).ShouldBe(grown.Bottom - grown.Top, 0.02);
        for (var i = 0; i < 4; i++) Back();
        Saved().Job.Item(id).ShouldBeNull();
    }

    [Fact]
    public void A_spine_title_is_placed_by_hand_in_the_lens()
    {
        Pick("spine-title");
        var before = Frame(Saved(), "spine-title");
        var at = Screen((before.Left + before.Right) / 2, before.Top + 60, "lens-hits");
        browser.AndWait(() =>
            Drag(at, (at.X + 60, at.Y), Hand.KeyDown(Keys.Shift)).Release().KeyUp(Keys.Shift).Perform());
        var after = Frame(Saved(), "spine-title");
        // Along the lens is down the spine; across it nothing moved.
        (after.Top - before.Top).ShouldBeGreaterThan(15);
        (after.Left - before.Left).ShouldBe(0, 0.01);
        Saved().Job.Item("spine-title")!.Hold.Panel.ShouldBe(Part.Spine);
        browser.Find("#spine-list #row-spine-title [aria-expanded=true]");
        Back();
    }

    [Fact]
    public void A_gap_as_wide_as_its_neighbour_draws_and_is_told()
    {
        browser.Go($"/jobs/{Slug}/wrap");
        var start = Saved();
        var desk = browser.Desk;
        static RectItem tile(string id, decimal x) =>
            new()
            {
                Id = id,
                Hold = new(Part.Back, HoldBox.Face, Anchor.TopLeft, Length.FromMillimetres(x),
                    Length.FromMillimetres(120)),
                Width = new(Length.FromMillimetres(9)),
                Height = new(Length.FromMillimetres(9)),
                Fill = new InkPaint(Ink.Black)
            };
        browser.AndWait(() =>
            desk.Jobs.Apply(Slug,
                new(Guid.NewGuid().ToString(), "tiles",
                    _ =>
                        new Together([new AddItem(tile("tile-1", 15)), new AddItem(tile("tile-2", 33)),
                            new AddItem(tile("tile-3", 65))],
                            "tiles"))));
        browser.Find("#row-tile-3");
        var third = Frame(Saved(), "tile-3");
        var from = Screen((third.Left + third.Right) / 2, (third.Top + third.Bottom) / 2);
        // Nine millimetres part the first two; fourteen are to go, less a little.
        var to = Screen(((third.Left + third.Right) / 2) - (14 * 72 / 25.4) + 0.5, (third.Top + third.Bottom) / 2);
        browser.AndWait(() =>
        {
            Drag(from, to).Perform();
            browser.Until(() => browser.Text("#carried").Contains("equal gaps of 0.354 in", StringComparison.Ordinal));
            Hand.Release().Perform();
        });
        Mm(Frame(Saved(), "tile-3").Left - Frame(Saved(), "tile-2").Right).ShouldBe(9, 0.01);
        Back();
        // The tiles were laid elsewhere: that is said, and nothing taken back unasked.
        var laid = Saved().Revision;
        browser.Find("#docket [data-step=back]").Click();
        browser.Until(() =>
            browser.Text("#notice").Contains("The last step was made elsewhere: tiles.", StringComparison.Ordinal));
        Saved().Revision.ShouldBe(laid);
        browser.AndWait(() => browser.Find("#notice button:last-of-type").Click());
        JobJson.Write(Saved().Job).ShouldBe(JobJson.Write(start.Job));
    }

    [Fact, Wide]
    public void Gestures_are_stepped_back_one_by_one_to_the_identical_start()
    {
        // A hundred in the long runs.
        var most = Environment.GetEnvironmentVariable("LUMBECK_TEST_ALL") == "1" ? 100 : 36;
        Pick("praise");
        var start = JobJson.Write(Saved().Job);
        var states = new List<long>();
        string[] keys = ["ArrowRight", "c", "q", "ArrowDown", "m", "d", "k", "]", "[", "l", "l", "b", "h", "h"];
        for (var n = 0; n < most; n++)
        {
            browser.AndWait(() => Key(keys[n % keys.Length]));
            // A copy is picked in place of what it was made of; nothing moves that is centred already.
            states.Add(browser.Tick);
            if (keys[n % keys.Length] == "k")
            {
                browser.AndWait(() => Key("ArrowLeft"));
                n++;
                states.Add(browser.Tick);
            }
        }
        states.Distinct().Count().ShouldBeGreaterThanOrEqualTo(most);
        for (var n = 0; n < states.Count; n++) browser.AndWait(() => Key("z", ctrl: true));
        JobJson.Write(Saved().Job).AsSpan().SequenceEqual(start).ShouldBeTrue();
    }

    [Fact]
    public void Two_tabs_see_each_others_edits_and_none_is_lost()
    {
        Pick("author");
        var first = browser.Driver.CurrentWindowHandle;
        browser.Driver.SwitchTo().NewWindow(WindowType.Window);
        browser.Go($"/jobs/{Slug}/wrap?item=imprint");
        browser.AndWait(() => Key("ArrowUp"));
        var second = browser.Driver.CurrentWindowHandle;
        browser.Driver.SwitchTo().Window(first);
        var moved = Frame(Saved(), "imprint").Top;
        // The first shows what the second did, by itself.
        browser.Until(() =>
            Math.Abs(Convert.ToDouble(browser.Script("return document.querySelector('#hits " +
                "[data-pick=imprint]').transform.baseVal.consolidate().matrix.f"),
                CultureInfo.InvariantCulture) - moved) < 0.01);
        browser.AndWait(() => Key("ArrowDown"));
        var on = Saved();
        Mm(Frame(on, "imprint").Top - moved).ShouldBe(0, 0.001);
        Back();
        Back();
        browser.Driver.SwitchTo().Window(second).Close();
        browser.Driver.SwitchTo().Window(first);
    }

    [Fact]
    public void More_pages_move_what_they_must_and_bindings_come_and_go_without_loss()
    {
        browser.Go($"/jobs/{Slug}/ticket");
        var start = Saved();
        var title = Frame(start, "title");
        // 312 in the demo, whatever other tests have done before.
        var pages = start.Job.Ticket.Pages;
        browser.Type("#f-ticket-pages", (pages + 28).ToString(CultureInfo.InvariantCulture));
        var thicker = Saved();
        var grown = Mm((thicker.Composed.Geometry.Spine.Width - start.Composed.Geometry.Spine.Width).Points);
        grown.ShouldBe(14 * 0.135, 0.001);
        Mm(Frame(thicker, "title").Left - title.Left).ShouldBe(grown, 0.001);
        thicker.Job.Looks.ShouldBe(start.Job.Looks);
        // To a house that binds cases, as a case, with a jacket, and home again: every item is there, where it was.
        browser.Pick("#f-ticket-house", "Aldwater Bindery");
        var cased = Saved();
        cased.Job.Ticket.Binding.ShouldBe(BindingKind.Case);
        cased.Job.Items.Count().ShouldBe(start.Job.Items.Count());
        cased.Composed.Findings.ShouldNotContain(f => f.Id == "ground.coverage");
        browser.Pick("#f-ticket-binding", "jacket");
        Saved().Job.Wraps.Count.ShouldBe(2);
        browser.Pick("#f-ticket-binding", "case");
        browser.Pick("#f-ticket-house", "Tern & Tallow");
        browser.Type("#f-ticket-pages", pages.ToString(CultureInfo.InvariantCulture));
        var home = Saved();
        JobJson.Write(home.Job with { Ticket = start.Job.Ticket, Looks = start.Job.Looks, Wraps = [home.Job.Wraps[0]] })
            .ShouldBe(JobJson.Write(start.Job with { Wraps = [start.Job.Wraps[0]] }));
        foreach (var item in start.Job.Take.Items) Frame(home, item.Id).ShouldBe(Frame(start, item.Id));
        while (Saved().Revision != start.Revision) Back();
    }

    [Fact]
    public void What_an_item_offers_is_in_a_menu_where_it_was_pressed_and_keys_lead_from_place_to_place()
    {
        browser.Go($"/jobs/{Slug}/wrap");
        var count = Saved().Job.Items.Count();
        const string press = """
            const hit = document.querySelector('#hits [data-pick=author]');
            const at = hit.getBoundingClientRect();
            hit.dispatchEvent(new MouseEvent('contextmenu', { bubbles: true, cancelable: true,
                clientX: at.x + at.width / 2, clientY: at.y + at.height / 2 }));
            """;
        browser.Script(press);
        browser.Until(() => browser.Text("#offers").Contains("duplicate on back", StringComparison.Ordinal));
        browser.Script("return document.activeElement.closest('#offers') !== null").ShouldBe(true);
        Key("Escape");
        browser.Until(() => browser.Count("#offers") == 0);
        browser.Script(press);
        browser.AndWait(() => browser.Find("#offers [data-arrange=copy]").Click());
        browser.Until(() => Saved().Job.Items.Count() == count + 1);
        browser.Count("#offers").ShouldBe(0);
        Back();

        // Added by Enter, it has the keys itself: Enter again adds no second.
        browser.AndWait(() => browser.Find("#list-front [data-add=ellipse]").SendKeys(Keys.Enter));
        browser.Until(() =>
            (bool)browser.Script("return document.activeElement?.closest('[id^=row-ellipse-]') !== null")!);
        Back();

        // The whole spine lies in its lens, and what can be added to it is in view.
        ((bool)browser.Script("const [a, b] = ['lens-drawing', 'lens-way'].map(i => " +
            "document.getElementById(i).getBoundingClientRect()); return a.width <= b.width + 1 && a.height <= " +
                "b.height + 1")!)
            .ShouldBeTrue();
        ((bool)browser.Script("return document.querySelector('#spine-list " +
            "[data-add]').getBoundingClientRect().bottom <= innerHeight")!)
            .ShouldBeTrue();
        browser.Find("#lens-near").Click();
        browser.Until(() => (bool)browser.Script("const w = document.getElementById('lens-way'); return " +
            "w.scrollWidth > w.clientWidth")!);

        // The tracing's panel is closed by Escape and by a click elsewhere.
        foreach (var close in (Action[])[() => Key("Escape"),
            () => browser.Script("document.getElementById('sheet').dispatchEvent(new PointerEvent('pointerdown', { " +
                "bubbles: true }))")])
        {
            browser.Find("#tracing-book summary").Click();
            browser.Until(() => browser.Count("#tracing-book[open]") == 1);
            close();
            browser.Until(() => browser.Count("#tracing-book[open]") == 0);
        }

        browser.Script("document.activeElement.blur()");
        Key("4");
        browser.Until(() => browser.Driver.Url.EndsWith("/check", StringComparison.Ordinal));
        Key("1");
        browser.Until(() => browser.Driver.Url.EndsWith("/ticket", StringComparison.Ordinal));
    }
}
