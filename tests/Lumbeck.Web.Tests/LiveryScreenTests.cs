using OpenQA.Selenium;

namespace Lumbeck.Web.Tests;

/// <summary>A livery taken on Wrap, and the words that a ticket knows for it.</summary>
[Collection("browser")]
public sealed class LiveryScreenTests(Browser browser)
{
    private Lumbeck.Desk.AppServices Desk => browser.Desk;

    [Fact]
    public void A_livery_is_laid_as_a_take_with_the_blurb_that_the_ticket_says()
    {
        var slug = $"worn-{Guid.NewGuid():n}"[..16];
        Desk.Bench.Begin("The Salt Road", Starters.Job(HouseFile.Shipped["tern"], "The Salt Road"), "test", slug);
        browser.Go($"/jobs/{slug}/ticket");
        browser.Script("document.querySelector('#said-of-it').open = true");
        browser.Type("#f-ticket-author", "Jonas Fell");
        browser.Type("#f-ticket-blurb", "In the dry year the salt carriers stopped coming.");
        browser.Type("#f-ticket-quotations", "I slept at last. — A. Reader");
        Desk.Jobs.Job(slug).Job.Ticket.ReviewQuotes.ShouldHaveSingleItem().Source.ShouldBe("A. Reader");
        browser.Go($"/jobs/{slug}/wrap");
        // An empty sheet offers them first; what is tried on leaves no step.
        browser.Until(() => browser.Find("#fitting").Displayed);
        browser.Until(() => browser.Count("#fits img[src*='worn.jpg']")
            == LiveryShelf.All.Length);
        Press(Keys.ArrowRight);
        browser.Until(() => browser.Text("#fit-livery") == LiveryShelf.All[0].Name);
        browser.Find("#worn[href*='livery=quayside']");
        Press(Keys.ArrowDown);
        browser.Find("#worn[href*='way=2']");
        Press("s");
        browser.Find("#worn[href*='seed=2']");
        Press(Keys.Escape);
        browser.Until(() => browser.Count("#worn") == 0);
        Desk.Jobs.Job(slug).Job.Wraps[0].Takes.Count.ShouldBe(1);

        browser.Find("#see-fitting").Click();
        browser.Find("#fits [data-livery=meridian]").Click();
        browser.Find("#worn[href*='livery=meridian']");
        Press(Keys.ArrowDown);
        browser.AndWait(() => Press(Keys.Enter));
        var on = Desk.Jobs.Job(slug);
        on.Job.Take.Name.ShouldBe("Meridian");
        on.Job.Take.Worn!.Way.ShouldBe(2);
        on.Job.Take.Items.OfType<TextItem>().Select(t => t.Words)
            .ShouldContain("In the dry year the salt carriers stopped coming.");
        on.Composed.Findings.ShouldNotContain(f => f.Severity == Severity.Stop && f.Item != null);
        browser.Until(() => browser.Text("#take-now") == "Meridian" && !browser.Find("#fitting").Displayed);

        // The words change; set again, all follows but what a hand has moved.
        Desk.Jobs.Apply(slug, new($"{slug}-nudge", "elsewhere", _ => new MoveItem("author",
            Length.FromPoints(0), Length.FromPoints(-30))));
        Desk.Jobs.Apply(slug, new($"{slug}-title", "elsewhere", _ => new SetFact(TicketFact.Title,
            "The Long Road of Salt and Rain")));
        var moved = Desk.Jobs.Job(slug).Job.Item("author")!.Hold;
        browser.Until(() => browser.Text("#list-front").Contains("Rain", StringComparison.Ordinal));
        browser.AndWait(() => browser.Find("#set-again").Click());
        var again = Desk.Jobs.Job(slug).Job;
        again.Item("author")!.Hold.ShouldBe(moved);
        ((TextItem)again.Item("title")!).Style.Size.ShouldBeLessThan(((TextItem)on.Job.Item("title")!).Style.Size);
        browser.Undo();
    }

    [Fact]
    public void A_starter_begins_a_job_and_a_cover_is_kept_as_a_livery_for_the_next()
    {
        browser.Go("/looks");
        browser.Find("#starter-book-129-198 form button").Click();
        browser.Until(() => browser.Driver.Url.Contains("/jobs/", StringComparison.Ordinal));
        var slug = new Uri(browser.Driver.Url).Segments[2].Trim('/');
        browser.Type("#f-ticket-title", "Low Water");
        browser.Go($"/jobs/{slug}/wrap");
        browser.Find("#fitting").Displayed.ShouldBeFalse("a sheet that is laid out is not empty");
        browser.Text("#list-front").ShouldContain("Low Water");
        browser.Text("#foot").ShouldContain("still to do");

        browser.Go("/looks");
        browser.Script("document.querySelector('select[name=slug]').value = arguments[0]", slug);
        browser.Find("input[name=name]").SendKeys("Low Water series" + Keys.Enter);
        browser.Find("[id^=livery-low-water]");
        browser.Go("/");
        browser.Find("[name=title]").SendKeys("High Water");
        browser.Script("const s = document.querySelector('[name=look]'); " +
            "s.value = [...s.options].find(o => o.textContent.startsWith('Low Water series')).value");
        browser.Find("[name=title]").SendKeys(Keys.Enter);
        browser.Until(() => browser.Driver.Url.EndsWith("/jobs/high-water/ticket", StringComparison.Ordinal));
        var job = Desk.Jobs.Job("high-water").Job;
        job.Items.OfType<TextItem>().ShouldContain(t => t.Words == "High Water");
        job.Take.Worn!.Livery.ShouldStartWith("low-water");
        browser.Go("/looks");
        browser.Find("[id^=livery-low-water] form button").Click();
        browser.Until(() => browser.Count("[id^=livery-low-water]") == 0);
    }

    private void Press(string pressed) => new OpenQA.Selenium.Interactions.Actions(browser.Driver).SendKeys(pressed)
        .Perform();

    /// <summary>The author’s picture on Ticket; and where a wrap is full, the room asks which take to let go.</summary>
    [Fact]
    public void A_ticket_takes_pictures_and_a_full_wrap_asks_which_take_goes()
    {
        var slug = $"full-{Guid.NewGuid():n}"[..16];
        var job = Starters.Job(HouseFile.Shipped["tern"], "The Salt Road");
        for (var n = 2; n <= AddTake.Most; n++) job = new AddTake(0, $"take-{n}", $"Take {n}").Apply(job);
        Desk.Bench.Begin("The Salt Road", job, "test", slug);
        var file = Path.Combine(browser.Data, $"{slug}.png");
        using (var image = NetVips.Image.Black(400, 500) + 90) image.Cast(NetVips.Enums.BandFormat.Uchar).Pngsave(file);
        browser.Go($"/jobs/{slug}/ticket");
        browser.Script("document.querySelector('#said-of-it').open = true");
        browser.Find("[data-ticket-picture=portrait]").SendKeys(file);
        browser.Until(() => browser.Text("#ticket-portrait").Contains($"{slug}.png", StringComparison.Ordinal));
        Desk.Jobs.Job(slug).Job.Ticket.Portrait!.Wide.ShouldBe(400);
        browser.AndWait(() => browser.Find("[data-ticket-picture-off=portrait]").Click());
        Desk.Jobs.Job(slug).Job.Ticket.Portrait.ShouldBeNull();

        browser.Go($"/jobs/{slug}/wrap");
        if (!browser.Find("#fitting").Displayed) browser.Find("#see-fitting").Click();
        browser.Until(() => browser.Text("#fit-full").Contains("24 takes are as many as the cover holds",
            StringComparison.Ordinal));
        browser.Find("#fit-full option[value=take-9]").Click();
        browser.Find("#fits [data-livery=meridian]").Click();
        browser.Find("#worn[href*='livery=meridian']");
        browser.AndWait(() => browser.Find("[data-fit=take]").Click());
        var wrap = Desk.Jobs.Job(slug).Job.Wraps[0];
        wrap.Take.Name.ShouldBe("Meridian");
        wrap.Takes.Count.ShouldBe(AddTake.Most);
        wrap.Takes.ShouldNotContain(t => t.Name == "Take 9");
    }
}
