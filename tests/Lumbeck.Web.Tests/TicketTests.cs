using Lumbeck.Desk;
using Lumbeck.Press.Kinds;
using Lumbeck.Pdf.Objects;
using Lumbeck.Pdf.Writing;
using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Lumbeck.Web.Tests;

/// <summary>
/// The ticket in a real browser: every binding, what a change would do, the printer's figures, the inside.
/// </summary>
[Collection("another browser")]
public sealed class TicketTests(Browser browser)
{
    private Desk.AppServices Desk => browser.Desk;

    /// <summary>A job of its own, so that no test finds another's.</summary>
    private string Begin(string house, string title, params Edit[] edits)
    {
        var desk = Desk;
        return desk.Bench.Begin(title,
            edits.Aggregate(Starters.Job(desk.Houses.Get(house).House, title), (j, e) => e.Apply(j)), "tests")
            .Slug;
    }

    public static TheoryData<string, string, string, string, string> Bindings() => new()
    {
        { "tern", "front", "none", "8.75 × 11.25 in", "24 to 828 pages" },
        { "tern", "paperback", "0.531 in", "17.781 × 11.25 in", "24 to 828 pages" },
        { "plover", "paperback", "11 mm", "313 × 216 mm", "40 to 400 pages" },
        { "plover", "booklet", "none", "302 × 216 mm", "8 to 64 pages" },
        { "plover", "loose", "none", "154 × 216 mm", "40 to 400 pages" },
        { "aldwater", "case", "19 mm", "317 × 238 mm", "64 to 720 pages" },
        { "aldwater", "jacket", "20 mm", "477 × 210 mm", "64 to 720 pages" },
    };

    [Theory]
    [MemberData(nameof(Bindings))]
    public void Every_binding_shows_spine_sheet_and_page_limits_without_scrolling_and_no_figure_without_a_unit(string house,
        string binding, string spine, string sheet, string range)
    {
        var trim = house == "tern"
            ? Size.FromInches(8.5m, 11)
            : house == "plover"
            ? Size.FromMillimetres(148, 210)
            : Size.FromMillimetres(129, 198);
        var slug = Begin(house, $"Bound {house} {binding}", new SetTrim(trim), new SetPages(200));
        browser.Go($"/jobs/{slug}/ticket");
        if (browser.Find("#f-ticket-binding").GetDomAttribute("data-now") != binding)
            browser.Pick("#f-ticket-binding", binding);
        string[] shown = [.. ((string)browser.Script("return [...document.querySelectorAll('#sums > div:first-child " +
            "> div')].map(d => [...d.children].map(c => c.textContent.trim()).join('|') + '|' + " +
            "(d.getBoundingClientRect().bottom <= innerHeight && d.getBoundingClientRect().top >= 0)).join('\\n')")!)
            .Split('\n')];
        shown.ShouldAllBe(s => s.EndsWith("|true"));
        shown[0].ShouldContain($"|{spine}|");
        shown[1].ShouldContain($"|{sheet}|");
        shown[2].ShouldContain($"|{range}|");
        // Each figure opens its working, and no other stays open, with a unit in it and on the chains.
        string[] figures = [.. ((string)browser.Script("""
            return [...document.querySelectorAll('#sums [data-sum]')].map(f => {
              f.click();
              const open = [...document.querySelectorAll('[data-working]')].filter(w => w.offsetParent !== null);
              const own = document.getElementById('sum-' + f.dataset.sum);
              return f.textContent.trim() + '|' + (open.length === 1 && own.offsetParent !== null);
            }).join('\n')
            """)!).Split('\n')];
        figures.Length.ShouldBeGreaterThan(9);
        figures.ShouldAllBe(f => f.EndsWith("|true", StringComparison.Ordinal));
        figures.ShouldAllBe(f => Units.Any(u => f.Split('|')[0].EndsWith(u, StringComparison.Ordinal)));
        var chains = ((string)browser.Script(
            "return [...document.querySelectorAll('#plan .chain text')].map(t => t.textContent.trim()).join('\\n')")!).Split('\n').ToList();
        chains.Count.ShouldBeGreaterThan(1);
        chains.ShouldAllBe(t => t.EndsWith(" mm") || t.EndsWith(" in"));
        Clipped().ShouldBeEmpty();

        // And the cover can be worked on, sheet by sheet, and checked.
        var sheets = Desk.Jobs.Job(slug).Composed.Sheets;
        foreach (var s in sheets)
        {
            browser.Go($"/jobs/{slug}/wrap?sheet={s.On.Id}");
            foreach (var panel in s.Sheet.Panels.Where(p => p.CarriesText && p.Part != Part.Spine))
                browser.Find($"#list-{panel.Part.Word()} [data-add=text]");
            browser.AndWait(() => browser.Find("[data-add=rectangle]").Click());
            browser.Until(() => browser.Count("#art [id^=s-rectangle-] path") == 1);
        }
        browser.Go($"/jobs/{slug}/check");
        browser.Count("aside > div svg").ShouldBe(sheets.Length);
        Desk.Jobs.Job(slug).Job.Items.Count().ShouldBe(sheets.Length);
    }

    private static readonly string[] Units = ["mm", "in", "g", "pages", "pages, raised", "pixels", "folds", "1 fold",
        "not known"];

    /// <summary>Texts and fields whose words run out of their box.</summary>
    private string Clipped() =>
        (string)browser.Script("return [...document.querySelectorAll('#facts *, #sums *, #changes *, #house-keys *, " +
            "#house-moves *')].filter(e => e.offsetParent && !e.closest('.sr-only') && e.scrollWidth > e.clientWidth " +
            "+ 1 && ['INPUT','SELECT','TEXTAREA','BUTTON','P','DD','H1','H2','LI'].includes(e.tagName) && " +
            "getComputedStyle(e).display !== 'inline').map(e => e.tagName + '#' + e.id + ' ' + (e.value ?? " +
            "e.textContent).slice(0, 40)).join('\\n')")!;

    [Fact]
    public void Words_as_long_as_German_ones_are_clipped_nowhere()
    {
        var slug = Begin("aldwater", "Donaudampfschifffahrtsgesellschaftskapitänsmütze",
            new SetBinding(BindingKind.Jacket), new SetFact(TicketFact.Imprint, "Lichtbildnereiverlag"),
            new SetFact(TicketFact.Edition, "durchgesehen"), new SetPrice(new(1234.5m, "EUR")), new SetPages(222),
            new SetLanguage("gd"), new SetUnit(Unit.Inch), new PinSpine(Length.FromMillimetres(21.7m)),
            new SetPlates(new(16, HouseFile.Shipped["aldwater"].Papers[3])));
        browser.Go($"/jobs/{slug}/ticket");
        Clipped().ShouldBeEmpty();
        browser.Driver.ExecuteCdpCommand("Emulation.setDeviceMetricsOverride",
            new() { ["width"] = 1024, ["height"] = 800, ["deviceScaleFactor"] = 1, ["mobile"] = false });
        Convert.ToInt64(browser.Script("return document.documentElement.scrollWidth"), CultureInfo.InvariantCulture)
            .ShouldBeLessThanOrEqualTo(1024);
        browser.Driver.ExecuteCdpCommand("Emulation.setDeviceMetricsOverride",
            new() { ["width"] = 1280, ["height"] = 800, ["deviceScaleFactor"] = 1, ["mobile"] = false });
    }

    [Fact]
    public void What_a_change_would_do_is_shown_before_and_after_it_is_taken_over()
    {
        var slug = Begin("tern", "Tried", new SetPages(312));
        browser.Go($"/jobs/{slug}/ticket");
        var field = browser.Find("#f-ticket-pages");
        field.SendKeys(Keys.Control + "a");
        field.SendKeys("340");
        browser.Until(() => browser.Text("#changes").StartsWith("Would change:", StringComparison.Ordinal));
        browser.Text("#changes").ShouldContain("spine 0.829 in → 0.904 in (+0.075 in)");
        browser.Find("#plan .ghost");
        browser.Sum("spine").ShouldStartWith("170 leaves");
        Desk.Jobs.Job(slug).Job.Ticket.Pages.ShouldBe(312);
        // Left alone, it is as it was, even where the page is just asking what others did.
        HoldNews();
        Held();
        field.SendKeys(Keys.Escape);
        browser.Script("window.release()");
        browser.Until(() => browser.Count("#plan .ghost") == 0);
        browser.Sum("spine").ShouldStartWith("156 leaves");
        Desk.Jobs.Job(slug).Job.Ticket.Pages.ShouldBe(312);
        // Taken over, the old outline stays for comparison until the next step.
        browser.Type("#f-ticket-pages", "340");
        browser.Until(() => browser.Text("#changes").StartsWith("Changed:", StringComparison.Ordinal));
        browser.Find("#plan .ghost");
        browser.Type("#f-ticket-subtitle", "a novel");
        browser.Until(() => browser.Count("#plan .ghost") == 0);
        // A usual size is tried when it is pointed at, taken over when it is pressed.
        browser.Find("#sizes summary").Click();
        var size = browser.Find("#sizes [data-text='6 × 9 in']");
        PointAt(browser.Find("#sizes [data-text='5.5 × 8.5 in']"));
        browser.Until(() => browser.Text("#changes").Contains("panel 5 in → 5.5 in", StringComparison.Ordinal));
        // From one straight to the next, though what is saved is still on its way.
        HoldNews();
        PointAt(size.FindElement(By.CssSelector("span")));
        Held();
        browser.Until(() => browser.Script("return window.tries") is > 0L);
        browser.Script("window.release()");
        browser.Until(() => browser.Text("#changes").Contains("panel 5 in → 6 in (+1 in)", StringComparison.Ordinal));
        // From its words to its edge it is still pointed at: nothing more is asked, and nothing taken away.
        browser.Script("""
            window.asked = [];
            const ask = window.fetch.bind(window);
            window.fetch = (to, how) => { window.asked.push(String(to)); return ask(to, how); };
            """);
        new Actions(browser.Driver)
            .MoveToElement(size, (size.Size.Width / 2) - 2, (size.Size.Height / 2) - 2).Perform();
        browser.Script("return document.elementsFromPoint(...arguments)[0].matches('button[data-try]')",
            size.Location.X + size.Size.Width - 2, size.Location.Y + size.Size.Height - 2).ShouldBe(true);
        browser.Until(() => browser.Script("return asked.some(a => a.includes('/news?'))") is true);
        browser.Script("return asked.every(a => !a.includes('tried=true') && !a.endsWith('/try'))").ShouldBe(true);
        browser.Text("#changes").ShouldContain("panel 5 in → 6 in (+1 in)");
        browser.AndWait(() => size.Click());
        browser.Until(() => browser.Find("#f-ticket-trim").GetDomProperty("value") == "6 × 9 in");
        browser.Find("#sizes").GetDomAttribute("open").ShouldBeNull();
    }

    private void PointAt(IWebElement element) =>
        new Actions(browser.Driver).MoveToElement(element).Perform();

    /// <summary>The next answer to what the page asks of others waits until it is released; trials answered meanwhile
    /// are counted.</summary>
    private void HoldNews() => browser.Script("""
        const ask = window.fetch.bind(window);
        delete window.release;
        window.tries = 0;
        window.fetch = async (to, how) => {
          const holds = String(to).includes('/news?') && !window.release;
          const held = holds && new Promise(release => { window.release = () => { window.fetch = ask; release(); }; });
          const answer = await ask(to, how);
          await held;
          if (String(to).endsWith('/try')) window.tries++;
          return answer;
        };
        """);

    private void Held() => browser.Until(() => browser.Script("return window.release !== undefined") is true);

    [Fact]
    public void A_printer_s_figures_are_explained_and_the_spine_pinned_and_unpinned()
    {
        var slug = Begin("tern", "Figures", new SetTrim(Size.FromInches(5.25m, 8)), new SetPages(312));
        browser.Go($"/jobs/{slug}/ticket");
        browser.Type("#f-ticket-printer-says", "11.58 x 8.25 in");
        browser.Until(() => browser.Text("#verdict").StartsWith("Agrees", StringComparison.Ordinal));
        browser.Type("#f-ticket-printer-says", "11.33 x 8");
        browser.Until(() => browser.Text("#verdict").Contains("The bleed is left out", StringComparison.Ordinal));
        browser.Text("#verdict li").ShouldContain("11.579 in − 2 × 0.125 in");
        browser.Type("#f-ticket-printer-says", "0.83 in");
        browser.Until(() => browser.Text("#verdict").StartsWith("Agrees", StringComparison.Ordinal));
        browser.Type("#f-ticket-printer-says", "21.6 mm");
        browser.AndWait(() => browser.Find("#verdict button").Click());
        browser.Until(() => browser.Text("#sums").Contains("pinned to the printer’s figure", StringComparison.Ordinal));
        browser.Text("#verdict").ShouldContain("pinned to 0.85 in");
        Desk.Jobs.Job(slug).Composed.Findings.ShouldContain(f => f.Id == "ticket.spine-pinned");
        browser.AndWait(() => browser.Find("#verdict [data-fact='ticket/pinned'][data-text='']").Click());
        browser.Until(() => !browser.Text("#sums").Contains("pinned", StringComparison.Ordinal));
        browser.TypeOnly("#f-ticket-printer-says", "wide");
        browser.Until(() =>
            browser.Text("#f-ticket-printer-says-says")
                .Contains("neither a full size nor a spine", StringComparison.Ordinal));
    }

    [Fact]
    public void An_inside_laid_on_the_ticket_is_compared_and_taken_over_and_begins_a_job_too()
    {
        var file = Path.Combine(browser.Downloads, "ledger inside.pdf");
        using (var s = File.Create(file))
        using (var pdf = new PdfWriter(s, "1.6"))
        {
            var tree = pdf.Reserve();
            var page = Enumerable.Range(0, 318)
                .Select(_ => pdf.Object(new PdfDict
                {
                    ["Type"] = "Page",
                    ["Parent"] = tree,
                    ["MediaBox"] = PdfArray.Of(0, 0, 441, 666),
                })).ToList();
            pdf.Object(tree, new PdfDict { ["Type"] = "Pages", ["Count"] = 318, ["Kids"] = PdfArray.From(page) });
            pdf.Finish(pdf.Object(new PdfDict { ["Type"] = "Catalog", ["Pages"] = tree }), pdf.Object(new PdfDict()));
        }
        var slug = Begin("tern", "Inside", new SetTrim(Size.FromInches(5.25m, 8)), new SetPages(312));
        browser.Go($"/jobs/{slug}/ticket");
        browser.AndWait(() => browser.Find("#inside-file").SendKeys(file));
        browser.Until(() =>
            browser.Text("#inside").Contains("The ticket says 312 pages of 5.25 × 8 in", StringComparison.Ordinal));
        // 6.125 × 9.25 in: a 6 × 9 in page with bleed at three edges.
        browser.Text("#inside").ShouldContain("318 pages of 6.125 × 9.25 in, which is 6 × 9 in with bleed.");
        browser.Text("#inside").ShouldContain("The last page is blank");
        browser.AndWait(() => browser.Find("#inside [data-take=inside]").Click());
        browser.Until(() => browser.Text("#inside").Contains("Agrees with the ticket", StringComparison.Ordinal));
        (Desk.Jobs.Job(slug).Job.Ticket.Pages, Desk.Jobs.Job(slug).Job.Ticket.Trim)
            .ShouldBe((318, Size.FromInches(6, 9)));
        browser.Undo();
        browser.Until(() => browser.Find("#f-ticket-pages").GetDomProperty("value") == "312");

        var torn = Path.Combine(browser.Downloads, "torn.pdf");
        File.WriteAllText(torn, "%PDF-1.4\nnothing follows");
        browser.Find("#inside-file").SendKeys(torn);
        browser.Until(() => browser.Text("#notice").Contains("torn.pdf was cut off", StringComparison.Ordinal));

        browser.Go("/");
        browser.Script("document.querySelector('[data-inside] [name=house]').value = 'tern'");
        browser.Find("#begin-inside").SendKeys(file);
        browser.Until(() => browser.Driver.Url.EndsWith("/jobs/ledger-inside/ticket", StringComparison.Ordinal));
        browser.Find("#f-ticket-trim").GetDomProperty("value").ShouldBe("6 × 9 in");
    }

    [Fact]
    public void A_blank_sheet_is_saved_from_the_ticket_under_a_name_that_says_what_it_is()
    {
        browser.Go("/jobs/calder/ticket");
        browser.Find("#facts a[href*='blank.pdf'][href*='panel=front']").Click();
        browser.Until(() =>
            File.Exists(Path.Combine(browser.Downloads,
                "Winter-over-Calder-Sound_front_aldwater_141x228mm_spine-26mm_blank.pdf")));
    }

    [Fact]
    public void A_copy_of_another_job_has_its_cover_and_both_its_wraps()
    {
        browser.Go("/");
        browser.Script("document.querySelector('[name=slug]').value = 'calder'");
        browser.Find("form[action*='Copy'] button").Click();
        browser.Until(() =>
            browser.Driver.Url.EndsWith("/jobs/winter-over-calder-sound-copy/ticket", StringComparison.Ordinal));
        browser.Find("#f-ticket-isbn").GetDomProperty("value").ShouldBe("");
        browser.Go("/jobs/winter-over-calder-sound-copy/wrap?sheet=case");
        browser.Find("#row-case-title");
    }
}
