using System.Text.Json;
using OpenQA.Selenium;

namespace Lumbeck.Web.Tests;

/// <summary>What holds on every screen.</summary>
[Collection("another browser")]
public sealed class PageTests(Browser browser)
{
    private static readonly string Axe = File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "axe.min.js"));

    public static TheoryData<string> Pages() =>
        ["/", "/jobs/tidewatcher/ticket", "/jobs/tidewatcher/wrap", "/jobs/tidewatcher/wrap?item=title",
            "/jobs/tidewatcher/wrap?item=spine-band", "/jobs/tidewatcher/wrap?item=barcode",
            "/jobs/tidewatcher/wrap?item=title,line,author", "/jobs/hive/wrap?item=plate", "/jobs/tidewatcher/history",
            "/jobs/tidewatcher/takes", "/jobs/tidewatcher/check", "/jobs/tidewatcher/press", "/jobs/nowhere/wrap",
            "/jobs/calder/ticket", "/jobs/calder/wrap?sheet=case", "/jobs/lighthouse/wrap",
            "/jobs/trouble/wrap?item=road", "/jobs/calder/colours", "/drawer", "/houses", "/looks",
            "/houses/aldwater?key=joint_mm"];

    [Theory]
    [MemberData(nameof(Pages))]
    public void A_page_is_sound_runs_over_no_window_and_says_nothing_in_the_console(string page)
    {
        browser.Driver.Manage().Logs.GetLog("browser");
        browser.Go(page);
        Sound(page);
        // The first thing Tab meets leads past the head to the work.
        browser.Find("#skip").SendKeys(OpenQA.Selenium.Keys.Enter);
        ((string)browser.Script("return document.activeElement.tagName")!).ShouldBe("MAIN", page);
        foreach (var wide in new[] { 1024, 1280 })
        {
            browser.Driver.ExecuteCdpCommand("Emulation.setDeviceMetricsOverride",
                new() { ["width"] = wide, ["height"] = 800, ["deviceScaleFactor"] = 1, ["mobile"] = false });
            Convert.ToInt64(browser.Script("return document.documentElement.scrollWidth"), CultureInfo.InvariantCulture)
                .ShouldBeLessThanOrEqualTo(wide, page);
        }
        browser.Driver.Manage().Logs.GetLog("browser").Where(l => !l.Message.Contains("404", StringComparison.Ordinal))
            .Select(l => l.Message)
            .ShouldBeEmpty();
    }

    /// <summary>
    /// What is pressed is 24 px high and wide at least; the figures on a chain of measures reach beyond themselves.
    /// </summary>
    [Theory]
    [InlineData("/")]
    [InlineData("/jobs/tidewatcher/ticket")]
    [InlineData("/jobs/tidewatcher/wrap?item=title")]
    [InlineData("/jobs/monday/inside")]
    [InlineData("/jobs/tidewatcher/check")]
    [InlineData("/jobs/tidewatcher/press")]
    [InlineData("/drawer")]
    [InlineData("/looks")]
    [InlineData("/houses")]
    public void Nothing_that_is_pressed_is_too_small(string page)
    {
        browser.Go(page);
        var small = (string)browser.Script("return [...document.querySelectorAll('a[href],button,input,select,textarea,summary')]" +
            ".filter(e => e.checkVisibility({ visibilityProperty: true }) && !e.closest('svg,.sr-only') && e.id !== 'skip' " +
            "&& e.type !== 'hidden' && !e.matches('.sr-only')).map(e => { const r = (/checkbox|radio/.test(e.type) ? " +
            "e.closest('label') ?? e : e).getBoundingClientRect(); return r.width < 23.5 || r.height < 23.5 ? " +
            "`${e.outerHTML.slice(0, 90)} ${r.width}x${r.height}` : '' }).filter(s => s).join(' | ')")!;
        small.ShouldBeEmpty(page);
    }

    /// <summary>At half a window, or enlarged to 200 %, nothing lies to the side of it (WCAG 1.4.10).</summary>
    [Theory]
    [InlineData("/")]
    [InlineData("/jobs/tidewatcher/ticket")]
    [InlineData("/jobs/tidewatcher/press")]
    [InlineData("/drawer")]
    [InlineData("/jobs/tidewatcher/check")]
    [InlineData("/houses")]
    public void A_narrow_window_shows_one_thing_under_the_other(string page)
    {
        browser.Go(page);
        try
        {
            browser.Driver.ExecuteCdpCommand("Emulation.setDeviceMetricsOverride",
                new() { ["width"] = 640, ["height"] = 400, ["deviceScaleFactor"] = 2, ["mobile"] = false });
            Convert.ToInt64(browser.Script("return document.documentElement.scrollWidth"), CultureInfo.InvariantCulture)
                .ShouldBeLessThanOrEqualTo(640, page);
        }
        finally
        {
            browser.Driver.ExecuteCdpCommand("Emulation.setDeviceMetricsOverride",
                new() { ["width"] = 1280, ["height"] = 800, ["deviceScaleFactor"] = 1, ["mobile"] = false });
        }
    }

    /// <summary>
    /// The focus goes on from where it was when what had it is gone, greyed out, or on a page asked for anew.
    /// </summary>
    [Fact]
    public void The_focus_never_falls_to_the_page_as_a_whole()
    {
        string here() => (string)browser.Script("return document.activeElement.tagName + ' ' + (document.activeElement.name ?? '')")!;
        browser.Go("/");
        here().ShouldStartWith("BODY", customMessage: "a page begins at its beginning");
        browser.Script("document.querySelector('form[aria-label=\"From its facts\"] [name=pages]').value = 'many'");
        browser.Find("form[aria-label=\"From its facts\"] button").SendKeys(Keys.Enter);
        browser.Until(() => browser.Text("#new-problem").Length > 0);
        here().ShouldBe("INPUT pages");
        browser.Go("/jobs/tidewatcher/wrap?item=line");
        browser.AndWait(() => browser.Find("[data-remove]").SendKeys(Keys.Enter));
        browser.Until(() => !here().StartsWith("BODY", StringComparison.Ordinal));
        browser.AndWait(() => browser.Find("[data-step=back]").SendKeys(Keys.Enter));
        browser.Until(() => !here().StartsWith("BODY", StringComparison.Ordinal));
    }

    /// <summary>
    /// Who does not see the sheet hears what is picked and where it stands, and its new figures once it moves.
    /// </summary>
    [Fact]
    public void What_is_picked_and_moved_is_said_with_its_figures()
    {
        browser.Go("/jobs/tidewatcher/wrap");
        browser.Script("document.querySelector('#row-title [data-row]').click()");
        browser.Until(() => browser.Script("return document.getElementById('picked-says').textContent") is string s
            && s.StartsWith("Title, on the front: ", StringComparison.Ordinal) && s.Contains(" in from its left edge, "));
        var before = browser.Script("return document.getElementById('picked-says').textContent");
        browser.AndWait(() => browser.Script("document.body.dispatchEvent(new KeyboardEvent('keydown', " +
            "{ key: 'ArrowDown', bubbles: true }))"));
        browser.Until(() => !Equals(browser.Script("return document.getElementById('picked-says').textContent"), before));
        browser.Undo();
    }

    [Theory]
    [InlineData("?")]
    [InlineData("v")]
    [InlineData("y")]
    [InlineData("e")]
    public void Axe_finds_nothing_in_what_a_key_opens(string key)
    {
        browser.Go("/jobs/tidewatcher/wrap");
        browser.Script("document.body.dispatchEvent(new KeyboardEvent('keydown', { key: arguments[0], bubbles: true }))", key);
        browser.Until(() =>
            browser.Count("dialog[open], #tour:not([hidden])") == 1);
        Sound(key);
    }

    private void Sound(string page)
    {
        browser.Script(Axe);
        var found = (string)browser.Driver.ExecuteAsyncScript("const done = arguments[arguments.length - 1]; " +
            "axe.run(document, { runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'] " +
            "}).then(r => done(JSON.stringify(r.violations.map(v => v.id + ': ' + v.nodes.map(n => n.html.slice(0, " +
            "160) + ' ' + n.any.map(a => a.message).join(' ')).join(' | ')))))")!;
        found.Length.ShouldBe("[]".Length, $"{page}: {found}");
    }

    [Fact, Wide]
    public void No_request_leaves_the_machine()
    {
        // Listening to the network slows a browser down, so one of its own does.
        using var listening = browser.Beside(options => options.SetLoggingPreference("performance", LogLevel.All));
        listening.Manage().Logs.GetLog("performance");
        foreach (var page in Sweep.Few(Pages(), 2)) listening.Navigate().GoToUrl(new Uri(browser.Server.Address,
            (string)page));
        listening.Navigate().GoToUrl(new Uri(browser.Server.Address, "/jobs/tidewatcher/wrap?item=title"));
        long tick() => long.Parse(listening.FindElement(By.TagName("body")).GetDomAttribute("data-tick")!,
            CultureInfo.InvariantCulture);
        var before = tick();
        listening.ExecuteScript("document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown', bubbles: " +
            "true }))");
        browser.Until(() => tick() > before);
        var asked = listening.Manage().Logs.GetLog("performance")
            .Select(l => JsonDocument.Parse(l.Message).RootElement.GetProperty("message"))
            .Where(m => m.GetProperty("method").GetString() == "Network.requestWillBeSent")
            .Select(m => new Uri(m.GetProperty("params").GetProperty("request").GetProperty("url").GetString()!))
                .ToList();
        asked.Count.ShouldBeGreaterThan(20);
        asked.Where(u => u.Scheme is not "data" && u.Authority != browser.Server.Address.Authority).ShouldBeEmpty();
        browser.Go("/jobs/tidewatcher/wrap");
        browser.Undo();
    }

    [Fact]
    public void Every_control_of_the_wrap_is_reached_by_the_keyboard_with_a_visible_focus()
    {
        browser.Go("/jobs/tidewatcher/wrap?item=line");
        var wanted = Convert.ToInt32(browser.Script(
            "return [...document.querySelectorAll('button:not([disabled]),a[href],input,select,textarea,summary,[tabindex]')]" +
            ".filter(e => e.checkVisibility({ contentVisibilityAuto: true })).length"), CultureInfo.InvariantCulture);
        browser.Script("window.reached = []; document.addEventListener('focusin', () => { const e = " +
            "document.activeElement; const s = getComputedStyle(e); window.reached.push([e.tagName, e.id, " +
            "e.dataset.pick, e.dataset.add, e.dataset.panel, e.dataset.text, e.dataset.step, e.dataset.order, " +
            "e.dataset.remove, e.dataset.see, e.dataset.arrange, e.getAttribute('href'), " +
            "e.getAttribute('aria-label'), e.textContent.slice(0, 20)].join('|') + (s.outlineStyle === 'none' || " +
            "s.outlineWidth === '0px' ? ' WITHOUT FOCUS' : '')) })");
        // As many presses of the key at once as the browser takes.
        for (var pressed = 0; pressed < wanted + 5; pressed += 20)
            browser.Driver.SwitchTo().ActiveElement().SendKeys(string.Concat(Enumerable.Repeat(Keys.Tab, 20)));
        var reached = ((IReadOnlyCollection<object>)browser.Script("return window.reached")!).Cast<string>().ToHashSet();
        reached.Where(r => r.EndsWith("WITHOUT FOCUS", StringComparison.Ordinal)).ShouldBeEmpty();
        reached.Count.ShouldBeGreaterThanOrEqualTo(wanted - 2);
    }
}
