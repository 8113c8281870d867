using OpenQA.Selenium;

namespace Lumbeck.Web.Tests;

/// <summary>From bench to press in a real browser.</summary>
[Collection("browser")]
public sealed class JourneyTests(Browser browser)
{
    [Fact]
    public void From_the_bench_through_ticket_wrap_and_check_to_the_pressed_file()
    {
        // Bench
        browser.Go("/");
        browser.Find("a[href='/jobs/tidewatcher/ticket']").Click();

        // Ticket: 312 to 340 pages, the spine grows and everything follows.
        browser.Sum("spine").ShouldBe("156 leaves × 0.135 mm = 21.06 mm = 0.829 in");
        var wide = (string)browser.Script("return document.querySelector('#plan').getAttribute('viewBox')")!;
        browser.Type("#f-ticket-pages", "340");
        browser.Until(() => browser.Sum("spine") == "170 leaves × 0.135 mm = 22.95 mm = 0.904 in");
        browser.Script("return document.querySelector('#plan').getAttribute('viewBox')").ShouldNotBe(wide);
        browser.Text("#plan a[aria-label^='spine']").ShouldBe("0.904 in");
        browser.Text("#docket").ShouldContain("340 pages");

        // What can't be read is said at the field; the last good sheet stays.
        browser.TypeOnly("#f-ticket-trim", "6x");
        browser.Until(() => browser.Text("#f-ticket-trim-says") == "`6x` needs a height: try `6 x 9 in`");
        browser.Find("#f-ticket-trim").GetDomAttribute("aria-invalid").ShouldBe("true");
        browser.Sum("width").ShouldContain("2 covers × 5.25 in");
        browser.Find("#f-ticket-trim").SendKeys(Keys.Escape);
        browser.Until(() => browser.Text("#f-ticket-trim-says") == "novel, 5.25 × 8 in");

        // Wrap: another title, back, and forward again.
        browser.Find("#docket a[href$='/wrap']").Click();
        browser.Find("#row-title button[data-pick]").Click();
        var art = Art("title");
        browser.Type("#f-item-title-words", "The Ebb Ledger");
        browser.Until(() => Art("title") != art);
        var changed = Art("title");
        browser.Until(() =>
            browser.Text("#row-title button[data-pick]").Contains("The Ebb Ledger", StringComparison.Ordinal));
        browser.Undo();
        browser.Until(() => Art("title") == art);
        browser.Find("#f-item-title-words").GetDomProperty("value").ShouldBe("The\nTidewatcher’s\nLedger");
        browser.AndWait(() => browser.Find("#docket [data-step=forward]").Click());
        browser.Until(() => Art("title") == changed);

        // Check
        browser.Find("#docket a[href$='/check']").Click();
        browser.Until(() =>
            browser.Text("#findings")
                .Contains("The front says another title than the ticket.", StringComparison.Ordinal));
        browser.Text("#findings h2").ShouldNotContain("stop");

        // Press: the file is made, read back, and downloaded.
        browser.Find("#docket a[href$='/press']").Click();
        browser.Find("#press-form button").Click();
        var link = browser.Find("#press-body a[download]");
        link.Text.ShouldBe("The-Tidewatchers-Ledger_cover_340p_x4.pdf");
        browser.Text("#press-body").ShouldContain("up to date");
        browser.Text("#press-body").ShouldContain("PDF/X-4 in PDF 1.6");
        browser.Text("#press-body").ShouldContain("The Ebb Ledger");
        link.Click();
        var file = Path.Combine(browser.Downloads, "The-Tidewatchers-Ledger_cover_340p_x4.pdf");
        browser.Until(() => File.Exists(file));
        using var stream = File.OpenRead(file);
        var page = Intake.Opening.Reading.Of(stream).Pages.ShouldHaveSingleItem();
        Length.Abs(page.Media.Width - Length.FromMillimetres(296)).ShouldBeLessThan(Length.FromMillimetres(0.001m));
        page.Words.ShouldContain("The Ebb Ledger");

        // A later edit marks it out of date.
        browser.Undo();
        browser.Until(() => browser.Text("#press-body").Contains("out of date", StringComparison.Ordinal));
    }

    private string Art(string item) => (string)browser.Script($"return document.getElementById('s-{item}').outerHTML")!;

    [Fact]
    public void Ten_quick_nudges_all_arrive_and_are_one_step()
    {
        browser.Go("/jobs/tidewatcher/wrap?item=author");
        var x = browser.Find("#f-item-author-x").GetDomProperty("value");
        var before = Frame("author");
        // Sent from inside the page, faster than any hand.
        browser.Script("for (let i = 0; i < 10; i++) document.body.dispatchEvent(new KeyboardEvent('keydown', { key: " +
            "'ArrowRight', bubbles: true }))");
        browser.Until(() => browser.Find("#f-item-author-x").GetDomProperty("value") == "0.1 in");
        (Frame("author") - before).ShouldBe(7.2, 0.01);
        browser.Undo();
        browser.Until(() => browser.Find("#f-item-author-x").GetDomProperty("value") == x);
    }

    private double Frame(string item) =>
        Convert.ToDouble(browser.Script($"return document.querySelector('#hits " +
            $"[data-pick={item}]').transform.baseVal.consolidate().matrix.e"),
            CultureInfo.InvariantCulture);

    [Fact]
    public void What_was_typed_last_is_kept_when_a_tab_is_pressed_at_once()
    {
        browser.Go("/jobs/tidewatcher/ticket");
        var field = browser.Find("#f-ticket-imprint");
        field.SendKeys(Keys.Control + "a");
        field.SendKeys("Skerry & Vane, Orrin");
        browser.Find("#docket a[href$='/check']").Click();
        browser.Find("#findings");
        browser.Until(() =>
            browser.Desk.Jobs.Job("tidewatcher")
                .Job.Ticket.Imprint == "Skerry & Vane, Orrin");
        browser.Undo();
    }

    [Fact]
    public void What_another_tab_changes_appears_and_a_conflict_offers_both_values()
    {
        browser.Go("/jobs/tidewatcher/ticket");
        var desk = browser.Desk;
        void other(string text) =>
            desk.Jobs.Apply("tidewatcher",
                new(Guid.NewGuid().ToString(), "another-tab", j => Facts.Write(j, "ticket/subtitle", text)));

        // A text that can't be read stays where it is, with what was said of it, while another fact changes.
        browser.TypeOnly("#f-ticket-pages", "many");
        browser.Until(() => browser.Text("#f-ticket-pages-says").Contains("no whole number", StringComparison.Ordinal));
        browser.AndWait(() => other("a story"));
        browser.Find("#f-ticket-pages").GetDomProperty("value").ShouldBe("many");
        browser.Text("#f-ticket-pages-says").ShouldContain("no whole number");
        browser.Find("#f-ticket-pages").SendKeys(Keys.Escape);
        browser.Until(() => browser.Find("#f-ticket-subtitle").GetDomProperty("value") == "a story");

        // The page is kept from looking, so that it edits what it has not seen.
        browser.Script("Object.defineProperty(document, 'hidden', { value: true, configurable: true })");
        other("a tale");
        browser.TypeOnly("#f-ticket-subtitle", "a yarn");
        browser.Until(() =>
            browser.Text("#notice").Contains("it now says a tale; you typed a yarn", StringComparison.Ordinal));
        browser.Until(() => browser.Find("#f-ticket-subtitle").GetDomProperty("value") == "a tale");
        browser.AndWait(() => browser.Find("#notice button:last-of-type").Click());
        browser.Until(() => browser.Find("#f-ticket-subtitle").GetDomProperty("value") == "a yarn");
        desk.Jobs.Job("tidewatcher").Job.Ticket.Subtitle.ShouldBe("a yarn");
        other("a novel");
    }

    [Fact]
    public void Items_are_added_painted_hung_ordered_and_removed_in_their_lists()
    {
        browser.Go("/jobs/tidewatcher/wrap");
        browser.AndWait(() => browser.Find("#list-front [data-add=text]").Click());
        var row = browser.Find("#list-front [id^=row-text-]");
        var id = row.GetDomAttribute("id")!["row-".Length..];
        // The row opens once the page has it.
        browser.Until(() =>
            browser.Text($"#row-{id}").Contains("These are the words it was added with", StringComparison.Ordinal));
        browser.Type($"#f-item-{id}-words", "A second printing");
        browser.Type($"#f-item-{id}-size", "16");
        browser.Find($"#f-item-{id}-size").GetDomProperty("value").ShouldBe("16 pt");
        browser.Type($"#f-item-{id}-ink", "Brass 50 %");
        browser.AndWait(() => browser.Find($"#row-{id} [data-text='bottom right']").Click());
        browser.Until(() => browser.Text($"#row-{id}").Contains("From right", StringComparison.Ordinal));
        browser.Find($"[data-faces='{id}']").Click();
        browser.Find(".face-row[data-face-id='cinzel/600']");
        browser.AndWait(() => browser.Find(".face-row[data-face-id='cinzel/600']").Click());
        browser.Text($"#f-item-{id}-face").ShouldBe("Cinzel SemiBold");
        Art(id).ShouldContain("<use href");
        browser.AndWait(() => browser.Find($"#row-{id} [data-order='-1']").Click());
        browser.AndWait(() => browser.Find($"#row-{id} [data-remove]").Click());
        browser.Until(() => browser.Count("#row-" + id) == 0);
        browser.Undo();
        browser.Until(() => browser.Count("#s-" + id) == 1);
        ((string)browser.Script("return document.getElementById(arguments[0]).namespaceURI", "s-" + id)!)
            .ShouldBe("http://www.w3.org/2000/svg");
        browser.AndWait(() => browser.Find("#docket [data-step=forward]").Click());
    }

    [Fact]
    public void The_sheet_is_picked_from_zones_are_hidden_while_a_key_is_held_and_Escape_lets_go()
    {
        browser.Go("/jobs/tidewatcher/wrap");
        browser.Find("#hits [data-pick=blurb]").Click();
        browser.Find("#f-item-blurb-words").GetDomProperty("value").ShouldStartWith("In one the pilots");
        browser.Script("document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'z', bubbles: true }))");
        browser.Find("#zones").GetDomAttribute("hidden").ShouldNotBeNull();
        browser.Script("document.body.dispatchEvent(new KeyboardEvent('keyup', { key: 'z', bubbles: true }))");
        browser.Find("#zones").GetDomAttribute("hidden").ShouldBeNull();
        browser.Script("document.activeElement.blur(); document.body.dispatchEvent(new KeyboardEvent('keydown', { " +
            "key: 'Escape', bubbles: true }))");
        browser.Until(() => browser.Count("#f-item-blurb-words") == 0);
    }

    [Fact]
    public void A_right_to_left_book_swaps_the_sides_by_itself()
    {
        browser.Go("/jobs/tidewatcher/ticket");
        browser.Pick("#f-ticket-reading", "rtl");
        browser.Go("/jobs/tidewatcher/wrap");
        browser.Find("#left #list-front").Text.ShouldContain("INES KALLWEIT");
        browser.Find("#right #list-back").Text.ShouldContain("978-0-00-000000-2");
        browser.Undo();
        browser.Find("#left #list-back");
    }

    [Fact]
    public void An_edit_waits_out_a_server_that_is_gone_and_arrives_once()
    {
        var folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;
        var server = new Server(folder);
        try
        {
            browser.Driver.Navigate().GoToUrl(new Uri(server.Address, "/jobs/tidewatcher/ticket"));
            // Requests fail as they do when nobody listens; then they reach the server again.
            browser.Script("window.realFetch = window.fetch; window.fetch = () => Promise.reject(new " +
                "TypeError('gone'))");
            browser.TypeOnly("#f-ticket-author", "Ines K.");
            browser.Until(() => browser.Text("#notice").Contains("kept here and sent again", StringComparison.Ordinal));
            browser.AndWait(() => browser.Script("window.fetch = window.realFetch"));
            new Lumbeck.Desk.AppServices(DemoData.In(folder), TimeProvider.System,
                DemoBench.Load).Jobs.Job("tidewatcher")
                .Job.Ticket.Author
                .ShouldBe("Ines K.");
        }
        finally
        {
            server.Dispose();
            Directory.Delete(folder, recursive: true);
        }
    }

    [Fact]
    public void A_new_cover_begins_with_three_facts_and_what_cannot_be_read_is_said_there()
    {
        browser.Go("/");
        browser.Find("[name=title]").SendKeys("Winter Bread");
        browser.Script("document.querySelector('[name=house]').value = 'plover'");
        browser.Find("[name=trim]").SendKeys("A55");
        browser.Find("[name=pages]").SendKeys("96" + Keys.Enter);
        browser.Until(() =>
            browser.Text("#new-problem").Contains("`A55` is no size: try `148 × 210 mm`", StringComparison.Ordinal));
        browser.Find("[name=title]").GetDomProperty("value").ShouldBe("Winter Bread");
        browser.Find("[name=trim]").Clear();
        browser.Find("[name=trim]").SendKeys("148 x 210" + Keys.Enter);
        browser.Until(() => browser.Driver.Url.EndsWith("/jobs/winter-bread/ticket", StringComparison.Ordinal));
        browser.Find("#f-ticket-title").GetDomProperty("value").ShouldBe("Winter Bread");
        browser.Sum("spine").ShouldBe("48 leaves × 0.104 mm + cover 0.56 mm, up to the next 0.1 mm = 5.6 mm");
        // What was not done yet is no stop: it is listed, each line with its way to the spot.
        browser.Text("#foot").ShouldContain("still to do");
        browser.Text("#foot").ShouldNotContain("Stops the press");
        browser.Find("#todo summary").Click();
        browser.Text("#todo").ShouldContain("The front does not say the book’s title.");
        browser.Until(() => browser.Find("#todo a[href*='f-ticket-author']").Displayed);
        browser.Find("#todo a[href*='f-ticket-author']").Click();
        browser.Until(() => browser.Driver.Url.EndsWith("#f-ticket-author", StringComparison.Ordinal));
        browser.Go("/jobs/winter-bread/wrap");
        browser.AndWait(() => browser.Find("#list-front [data-add=title]").Click());
        browser.Until(() =>
            Art("title-" + browser.Find("#list-front [id^=row-title-]").GetDomAttribute("id")!["row-title-".Length..])
                .Contains("<use", StringComparison.Ordinal));
    }

    [Fact, Wide]
    public void Jobs_are_found_ordered_put_away_taken_back_and_removed_for_good()
    {
        browser.Go("/");
        browser.Find("[name=title]").SendKeys("Leaf and Mould");
        browser.Script("document.querySelector('[name=house]').value = 'aldwater'; " +
            "document.querySelector('[name=binding]').value = 'case'");
        browser.Find("[name=trim]").SendKeys("6 x 9 in" + Keys.Enter);
        browser.Until(() => browser.Driver.Url.EndsWith("/jobs/leaf-and-mould/ticket", StringComparison.Ordinal));
        // The unit that was typed stays, whatever the printer reckons in; and the binding is what was asked.
        browser.Find("#f-ticket-trim").GetDomProperty("value").ShouldBe("6 × 9 in");
        browser.Text("#docket").ShouldContain("printed case");

        browser.Go("/");
        IReadOnlyList<string> listed() =>
            [.. browser.Driver.FindElements(By.CssSelector("#jobs > li")).Select(l => l.GetDomAttribute("id")!)];
        listed()[0].ShouldBe("job-leaf-and-mould");
        // Six jobs are in view without scrolling.
        ((bool)browser.Script("return document.querySelectorAll('#jobs > li')[5].getBoundingClientRect().bottom < " +
            "innerHeight")!)
            .ShouldBeTrue();
        // By words of its title and of its printer; only what this test has begun says both.
        browser.Find("#find").SendKeys("mould aldwater");
        browser.Until(() => listed() is ["job-leaf-and-mould"]);
        browser.Find("#find").Clear();
        browser.Find("#find").SendKeys("no such words");
        browser.Until(() => browser.Text("#jobs").Contains("No job says “no such words”", StringComparison.Ordinal));
        browser.Go("/?sort=title");
        List<string> titles = [.. browser.Driver.FindElements(By.CssSelector("#jobs h2 a")).Select(a => a.Text)];
        titles.ShouldBe(titles.OrderBy(t => t, StringComparer.OrdinalIgnoreCase));
        titles.Count.ShouldBeGreaterThan(6);

        browser.Find("#job-leaf-and-mould form[action*='Away'] button").Click();
        browser.Until(() =>
            !listed().Contains("job-leaf-and-mould")
                && browser.Text("main").Contains("Put away: 1", StringComparison.Ordinal));
        browser.Go("/?away=true");
        listed().ShouldBe(["job-leaf-and-mould"]);
        browser.Find("#job-leaf-and-mould form[action*='Back'] button").Click();
        browser.Until(() => listed().Contains("job-leaf-and-mould"));
        browser.Find("#job-leaf-and-mould form[action*='Away'] button").Click();
        browser.Until(() => !listed().Contains("job-leaf-and-mould"));
        browser.Go("/?away=true");
        browser.Find("#job-leaf-and-mould summary").Click();
        browser.Find("#job-leaf-and-mould form[action*='Remove'] button").Click();
        browser.Until(() => browser.Text("#jobs").Contains("Nothing is put away", StringComparison.Ordinal));
        Should.Throw<Refusal>(() =>
            browser.Desk.Jobs.Job("leaf-and-mould"));
    }

    [Fact]
    public void While_the_disk_is_full_edits_are_kept_and_said_so_and_leave_once_there_is_room()
    {
        browser.Go("/jobs/hive/ticket");
        // Five answers as a server gives them whose disk is full; then there is room.
        browser.Script("""
            const real = window.fetch;
            window.refusals = 0;
            window.fetch = (to, how) => how?.method === 'POST' && String(to).endsWith('/edit') && window.refusals++ < 5
              ? Promise.resolve(new Response('{}', { status: 507, headers: { 'Content-Type': 'application/problem+json' } }))
              : real(to, how);
            """);
        browser.TypeOnly("#f-ticket-pages", "130");
        browser.Until(() => browser.Text("#notice").Contains("The disk is full", StringComparison.Ordinal));
        browser.Find("#f-ticket-pages").GetDomProperty("value").ShouldBe("130");
        browser.Until(() =>
            browser.Desk.Jobs.Job("hive").Job.Ticket.Pages == 130);
        ((long)browser.Script("return window.refusals")!).ShouldBeGreaterThan(5);
    }
}
