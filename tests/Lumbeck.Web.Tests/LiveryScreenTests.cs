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
        browser.Script("document.querySelector('#liveries summary').click()");
        browser.AndWait(() => browser.Script("document.querySelector(`[data-wear='meridian'][data-way='2']`).click()"));
        var on = Desk.Jobs.Job(slug);
        on.Job.Take.Name.ShouldBe("Meridian");
        on.Job.Take.Items.OfType<TextItem>().Select(t => t.Words)
            .ShouldContain("In the dry year the salt carriers stopped coming.");
        on.Composed.Findings.ShouldNotContain(f => f.Severity == Severity.Stop && f.Item != null);
        browser.Until(() => browser.Text("#take-now") == "Meridian");
        browser.StepBack();
        Desk.Jobs.Job(slug).Job.Wraps[0].Takes.Count.ShouldBe(1);
    }
}
