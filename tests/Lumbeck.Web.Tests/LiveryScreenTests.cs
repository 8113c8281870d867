using OpenQA.Selenium;

namespace Lumbeck.Web.Tests;

/// <summary>A livery taken on Wrap, and the words that a ticket knows for it.</summary>
[Collection("browser")]
public sealed class LiveryScreenTests(Browser browser)
{
    private Lumbeck.Desk.Desk Desk => new(browser.Data, TimeProvider.System, DemoBench.Load);

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
        Desk.Jobs.Job(slug).Job.Ticket.Quotations.ShouldHaveSingleItem().Source.ShouldBe("A. Reader");
        browser.Go($"/jobs/{slug}/wrap");
        // An empty sheet offers them first; what is tried on leaves no step.
        browser.Until(() => browser.Find("#fitting").Displayed);
        browser.Until(() => browser.Driver.FindElements(By.CssSelector("#fits img[src*='worn.jpg']")).Count
            == LiveryShelf.All.Length);
        Press(Keys.ArrowRight);
        browser.Until(() => browser.Text("#fit-livery") == LiveryShelf.All[0].Name);
        browser.Find("#worn[href*='livery=quayside']");
        Press(Keys.ArrowDown);
        browser.Find("#worn[href*='way=2']");
        Press("s");
        browser.Find("#worn[href*='seed=2']");
        Press(Keys.Escape);
        browser.Until(() => browser.Driver.FindElements(By.Id("worn")).Count == 0);
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
        Desk.Jobs.Apply(slug, new($"{slug}-title", "elsewhere", _ => new SetFact(TicketFact.Title, "The Long Road of Salt and Rain")));
        var moved = Desk.Jobs.Job(slug).Job.Item("author")!.Hold;
        browser.Until(() => browser.Text("#list-front").Contains("Rain", StringComparison.Ordinal));
        browser.AndWait(() => browser.Find("#set-again").Click());
        var again = Desk.Jobs.Job(slug).Job;
        again.Item("author")!.Hold.ShouldBe(moved);
        ((TextItem)again.Item("title")!).Style.Size.ShouldBeLessThan(((TextItem)on.Job.Item("title")!).Style.Size);
        browser.StepBack();
    }

    private void Press(string pressed) => new OpenQA.Selenium.Interactions.Actions(browser.Driver).SendKeys(pressed).Perform();
}
