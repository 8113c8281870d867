using Lumbeck.Desk;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;
using OpenQA.Selenium;

namespace Lumbeck.Web.Tests;

/// <summary>
/// Check and Press as a hand uses them: mends, waivers, the drift test, files for several houses, and reception.
/// </summary>
[Collection("another browser")]
public sealed class CheckAndPressTests(Browser browser)
{
    private Desk.AppServices Desk => browser.Desk;

    private void Back(int steps)
    {
        for (var i = 0; i < steps; i++) browser.Undo();
    }

    private void Plated() =>
        browser.Until(() => browser.Count("#docket[data-plated=true]") == 1);

    private string Count() => browser.Text("#docket a[href$='/check']");

    [Fact]
    public void A_finding_is_gone_to_mended_and_taken_back()
    {
        browser.Go("/jobs/trouble/check");
        Plated();
        browser.Text("#findings h2").ShouldStartWith("4 stops");
        // Its spot is in view on the sheet, its item picked.
        var fold = browser.Driver.FindElements(By.CssSelector("#findings article"))
            .First(a => a.Text.Contains("zone.fold", StringComparison.Ordinal));
        fold.FindElement(By.LinkText("Go to it")).Click();
        browser.Until(() => browser.Driver.Url.Contains("item=line", StringComparison.Ordinal));
        browser.Find("#row-line [aria-expanded=true]");
        var view = ((string)browser.Script("return document.getElementById('sheet').getAttribute('viewBox')")!)
            .Split(' ').Select(f => double.Parse(f, System.Globalization.CultureInfo.InvariantCulture)).ToArray();
        var place = Desk.Jobs.Job("trouble").Composed.Findings.First(f => f.Id == "zone.fold").Place!.Value;
        view[0].ShouldBeLessThan(place.X.Points);
        (view[0] + view[2]).ShouldBeGreaterThan(place.Right.Points);
        view[2].ShouldBeLessThan(600);
        // Quiet marks on the sheet say why.
        browser.Find("#finds a.stop title").GetDomProperty("textContent").ShouldNotBeEmpty();
        // Mended from the item's own settings, in one step.
        browser.AndWait(() => browser.Find("#row-line [data-mend]").Click());
        Desk.Jobs.Job("trouble").Composed.Findings.ShouldNotContain(f => f.Id == "zone.fold");
        Back(1);
        // All that is certain, in one step too.
        browser.Go("/jobs/trouble/check");
        Plated();
        browser.AndWait(() => browser.Find("[data-mend=all]").Click());
        browser.Until(() => !browser.Text("#findings h2").Contains("stop", StringComparison.Ordinal));
        Count().ShouldNotContain("4");
        Back(1);
        browser.Until(() => browser.Text("#findings h2").StartsWith("4 stops", StringComparison.Ordinal));
    }

    [Fact]
    public void A_rule_is_gone_without_for_a_reason_on_record_and_looked_at_again()
    {
        browser.Go("/jobs/trouble/check");
        Plated();
        var article = browser.Driver.FindElements(By.CssSelector("#findings article"))
            .First(a => a.Text.Contains("picture.resolution", StringComparison.Ordinal));
        article.FindElement(By.CssSelector("details summary")).Click();
        browser.AndWait(() =>
            article.FindElement(By.CssSelector("form input")).SendKeys("a mood, agreed with the author" + Keys.Enter));
        browser.Until(() => browser.Text("#findings h2").StartsWith("3 stops", StringComparison.Ordinal));
        browser.Text("#findings").ShouldContain("“a mood, agreed with the author”");
        Desk.Jobs.Job("trouble").Job.Waivers.Single().Rule.ShouldBe("picture.resolution");
        browser.AndWait(() => browser.Find("[data-heed='picture.resolution']").Click());
        browser.Until(() => browser.Text("#findings h2").StartsWith("4 stops", StringComparison.Ordinal));
        Back(2);
    }

    [Fact]
    public void The_drift_test_moves_cut_and_folds_and_shows_both_ends()
    {
        browser.Go("/jobs/tidewatcher/check");
        var at = (string)browser.Script("return document.getElementById('drift-now').getAttribute('viewBox')")!;
        browser.Script("const s = document.getElementById('drift-across'); s.value = s.max; s.dispatchEvent(new " +
            "Event('input', { bubbles: true }))");
        var moved = (string)browser.Script("return document.getElementById('drift-now').getAttribute('viewBox')")!;
        double x(string box) => double.Parse(box.Split(' ')[0], System.Globalization.CultureInfo.InvariantCulture);
        (x(moved) - x(at)).ShouldBe(Desk.Jobs.Job("tidewatcher").Job.Ticket.House.TrimDrift.Points, 0.02);
        browser.Text("#drift-across-says").ShouldBe("0.063 in right");
        browser.Count("section[aria-label='Drift test'] figure svg").ShouldBe(2);
        browser.Text("section[aria-label='Drift test']").ShouldContain("Nothing suffers");
        // A shake comes to rest where it began.
        browser.Find("[data-shake]").Click();
        browser.Until(() =>
            browser.Text("#drift-across-says") == "true" && browser.Text("#drift-fold-says") == "true"
                && x((string)browser.Script("return document.getElementById('drift-now').getAttribute('viewBox')")!) == x(at));
    }

    [Fact, Wide]
    public void Another_house_s_file_is_pressed_after_saying_what_changes_and_goes_out_of_date()
    {
        browser.Go("/jobs/lighthouse/press");
        browser.Find("nav[aria-label=Printers] a[href='?for=plover']").Click();
        browser.Text("section[aria-label='What changes']").ShouldContain("crop and bleed, folds, ink bar, slug");
        // Its end is told also where, once it was seen, nothing is said of it any more.
        var forgets = browser.Driver.ExecuteCdpCommand("Page.addScriptToEvaluateOnNewDocument", new()
        {
            ["source"] = """
                const ask = window.fetch.bind(window);
                let asked = 0;
                window.fetch = (to, how) => ask(String(to).includes('/works') && asked++ > 0
                  ? String(to).replace(/since=.*/, 'since=9999') : to, how);
                """,
        });
        browser.Find("#press-form .press").Click();
        browser.Until(() =>
            browser.Driver.FindElements(By.CssSelector("#register li"))
                .Any(l => l.Text.Contains("Plover Street", StringComparison.Ordinal)));
        browser.Driver.ExecuteCdpCommand("Page.removeScriptToEvaluateOnNewDocument",
            (Dictionary<string, object?>)forgets!);
        var row = browser.Driver.FindElements(By.CssSelector("#register li"))
            .First(l => l.Text.Contains("Plover Street", StringComparison.Ordinal)).Text;
        row.ShouldContain("accepted by reception");
        row.ShouldContain("up to date");
        browser.Text("#press-body").ShouldContain("PDF/X-1a:2003 in PDF 1.4");
        Desk.Jobs.Apply("lighthouse",
            new("edit-elsewhere", "elsewhere", j => Facts.Write(j, "ticket/finish", "gloss")));
        browser.Until(() => browser.Text("#register").Contains("out of date", StringComparison.Ordinal));
        Desk.Jobs.Undo("lighthouse", "elsewhere");
        // A panel, for a printer that wants it alone; and the front for screens.
        browser.Go("/jobs/lighthouse/press");
        browser.Driver.FindElements(By.CssSelector("form"))
            .First(f => f.Text.Contains("Front for screens", StringComparison.Ordinal))
            .FindElement(By.CssSelector("button")).Click();
        browser.Until(() => browser.Text("#register").Contains("Front for screens", StringComparison.Ordinal));
    }

    [Fact]
    public void A_file_from_elsewhere_is_judged_with_reasons_and_not_kept()
    {
        var file = Path.Combine(browser.Downloads, "from-elsewhere.pdf");
        // Another book's cover, for another trim.
        using (var s = File.Create(file)) Desk.Pressing.WritePress(Desk.Jobs.Job("hive"), new(PressKind.X1a), s);
        browser.Go("/jobs/tidewatcher/press");
        browser.Find("input[type=file][name=file]").SendKeys(file);
        browser.Until(() => browser.Count("#verdict-elsewhere") == 1);
        var says = browser.Text("#verdict-elsewhere");
        says.ShouldContain("from-elsewhere.pdf: rejected by Tern & Tallow");
        says.ShouldContain("The cover would be cut to another size than the ticket’s.");
        browser.Driver.FindElements(By.CssSelector("#register a")).ShouldAllBe(a => a.Text != "from-elsewhere.pdf");
    }

    [Fact]
    public void A_QR_code_is_added_and_its_link_read_from_the_sheet()
    {
        browser.Go("/jobs/hive/wrap");
        browser.Find("[data-add=code]").Click();
        browser.Until(() => Desk.Jobs.Job("hive").Job.Items.OfType<CodeItem>().Any());
        var id = Desk.Jobs.Job("hive").Job.Items.OfType<CodeItem>().Single().Id;
        browser.Type($"#f-item-{id}-link", "https://example.org/hive");
        browser.Until(() =>
            Desk.Jobs.Job("hive").Job.Items.OfType<CodeItem>().Single().Link == "https://example.org/hive");
        Plated();
        var on = Desk.Jobs.Job("hive");
        Desk.Checks.Exactly(on.Composed).ShouldNotContain(f => f.Item == id && f.Id == "barcode.readable");
        browser.AndWait(() => browser.Find("[data-remove]").Click());
        Desk.Jobs.Job("hive").Job.Items.OfType<CodeItem>().ShouldBeEmpty();
    }

    /// <summary>A finished file in a screen's colours is mended on Press, kept with what was said, seen before and
    /// after.</summary>
    [Fact]
    public void A_file_made_elsewhere_is_mended_kept_and_let_go()
    {
        var desk = browser.Desk;
        var slug = $"mended-{Guid.NewGuid():n}"[..18];
        desk.Bench.Begin("Mended", desk.Jobs.Job("hive").Job, "test", slug);
        var file = Path.Combine(browser.Data, $"{slug}.pdf");
        using (var s = File.Create(file))
            desk.Pressing.WritePress(desk.Jobs.Job(slug), new(PressKind.Pdf) { Rgb = true, Marks = false }, s);
        browser.Go($"/jobs/{slug}/press");
        browser.Find("#mend-cover input[type=file]").SendKeys(file);
        browser.Until(() => browser.Count("#mended > details") == 1);
        browser.Text("#mended").ShouldContain($"{slug}.pdf");
        browser.Text("#mended").ShouldContain("accepted by Plover Street");
        browser.Text("#mended").ShouldContain("Colours of a screen were brought to");
        browser.Until(() => browser.Driver.FindElements(By.CssSelector("#mended img"))
            .All(i => (bool)browser.Driver.ExecuteScript("return arguments[0].complete && arguments[0].naturalWidth " +
                "> 0", i)!));
        browser.Text("#mended").ShouldContain("Its barcode reads 978-0-00-000004-0, which is the ticket’s");
        // To be worked on: a take of its own, one picture over the sheet.
        browser.Find("#mended button[formaction*=Lay]").Click();
        browser.Until(() => browser.Driver.Url.EndsWith("/wrap", StringComparison.Ordinal));
        desk.Jobs.Job(slug).Job.Take.ShouldSatisfyAllConditions(t => t.Name.ShouldBe("Finished cover"),
            t => t.Items.Single().ShouldBeOfType<PictureItem>().Picture!.Space.ShouldBe(PictureSpace.Cmyk));
        // Mended again as it is decided now: what is decided is taken over by the next version.
        browser.Go($"/jobs/{slug}/press");
        browser.Find("#mended > details > details > summary").Click();
        browser.Find("#mended input[name=percent]").Clear();
        browser.Find("#mended input[name=percent]").SendKeys("104");
        browser.Find("#mended form[action*=Again] button").Click();
        browser.Until(() => browser.Count("#mended > details") == 2);
        browser.Text("#mended").ShouldContain("By your hand: 104 %");
        browser.Find("#mend-cover summary").Click();
        browser.Find("#mend-cover input[name=percent]").GetAttribute("value").ShouldBe("104");
        browser.Find("#mended > details form[action*=Unmend] button:last-of-type").Click();
        browser.Until(() => browser.Count("#mended > details") == 1);
        File.WriteAllText(file, "no PDF at all");
        browser.Find("#mend-cover input[type=file]").SendKeys(file);
        browser.Until(() => browser.Text("#unmended").Contains("this is no PDF", StringComparison.Ordinal));
        browser.Find("#mended > details form[action*=Unmend] button:last-of-type").Click();
        browser.Until(() => browser.Count("#mended") == 0);
    }

    [Fact, Wide]
    public void A_job_begins_with_a_finished_cover_as_its_take()
    {
        var desk = browser.Desk;
        var title = $"Finished {Guid.NewGuid():n}"[..16];
        var file = Path.Combine(browser.Data, $"{title}.pdf");
        using (var s = File.Create(file))
            desk.Pressing.WritePress(desk.Jobs.Job("hive"), new(PressKind.Pdf) { Rgb = true, Marks = false }, s);
        browser.Go("/");
        browser.Find("input[name=title]").SendKeys(title);
        browser.Find("input[name=cover]").SendKeys(file);
        browser.Find("form[aria-label='From its facts'] button").Click();
        browser.Until(() => browser.Driver.Url.Contains("/press", StringComparison.Ordinal));
        browser.Until(() => browser.Count("#mended > details") == 1);
        browser.Text("#mended").ShouldContain($"{title}.pdf");
        var begun = desk.Bench.All().Single(j => j.Job.Ticket.Title == title).Job;
        begun.Take.Name.ShouldBe("Finished cover");
        begun.Wraps[0].Takes.Count.ShouldBe(2);
    }
}
