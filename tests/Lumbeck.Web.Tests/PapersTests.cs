namespace Lumbeck.Web.Tests;

/// <summary>Papers chosen by looking.</summary>
[Collection("browser")]
public sealed class PapersTests(Browser browser)
{
    private Pattern? Paper => new Lumbeck.Desk.Desk(browser.Data, TimeProvider.System, DemoBench.Load).Jobs.Job("lighthouse")
        .Job.Take.Ground.Pattern;

    private bool IsOpen => (bool)browser.Script("return document.querySelector('#papers').open")!;

    [Fact]
    public void A_paper_is_picked_from_small_pictures_in_the_job_s_own_inks_and_its_settings_typed()
    {
        browser.Go("/jobs/lighthouse/wrap");
        browser.Find("#papers summary").Click();
        // Each family is shown, as a picture that is truly there.
        browser.Until(() =>
            Convert.ToInt32(browser.Script("return [...document.querySelectorAll('#papers [data-fact=\"ground/paper\"] img')]" +
            ".filter(i => i.complete && i.naturalWidth > 40).length"), System.Globalization.CultureInfo.InvariantCulture) > 10);
        browser.AndWait(() => browser.Find("#papers [data-text='hexagons']").Click());
        Paper.ShouldBeOfType<Hexagons>().Scale.ShouldBe(100);
        IsOpen.ShouldBeTrue("another is looked at");
        browser.Text("#paper-now").ShouldBe("hexagons");

        browser.AndWait(() => browser.Find("#papers [data-fact='ground/paper-seed']").Click());
        browser.Type("#f-ground-paper-scale", "150");
        browser.Type("#f-ground-paper-filled", "80 %");
        Paper.ShouldBeOfType<Hexagons>().ShouldSatisfyAllConditions(
            p => p.Scale.ShouldBe(150), p => p.Filled.ShouldBe(80), p => p.Seed.Value.ShouldBe(4ul));
        browser.TypeOnly("#f-ground-paper-turn", "400");
        browser.Until(() => browser.Text("#f-ground-paper-turn-says").Contains("from -180 to 180°"));

        // Another family keeps scale and turn.
        browser.AndWait(() => browser.Find("#papers [data-text='tossed leaves']").Click());
        Paper.ShouldBeOfType<TossedLeaves>().Scale.ShouldBe(150);
        browser.AndWait(() => browser.Find("#papers [data-text='none']").Click());
        Paper.ShouldBeNull();
        browser.StepBack();
        Paper.ShouldBeOfType<TossedLeaves>();
        browser.Script("document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }))");
        browser.Until(() => !IsOpen);
    }
}
