namespace Lumbeck.Web.Tests;

/// <summary>Papers chosen by looking.</summary>
[Collection("browser")]
public sealed class PapersTests(Browser browser)
{
    private Pattern? Paper => new Lumbeck.Desk.Desk(browser.Data, TimeProvider.System, DemoBench.Load)
        .Jobs.Job("lighthouse")
        .Job.Take.Ground.Pattern;

    private bool IsOpen => IsOpenAt("#papers");

    private bool IsOpenAt(string book) => (bool)browser.Script($"return document.querySelector('{book}')?.open === true")!;

    [Fact]
    public void A_paper_is_picked_from_small_pictures_in_the_job_s_own_inks_and_its_settings_typed()
    {
        browser.Go("/jobs/lighthouse/wrap");
        browser.Find("#papers summary").Click();
        // Each family is shown, as a picture that is truly there.
        browser.Until(() =>
            Convert.ToInt32(browser.Script("return [...document.querySelectorAll('#papers " +
                "[data-fact=\"ground/paper\"] img')]" +
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
        // What is taken one after the other, with nothing typed between, is one step.
        browser.StepBack();
        Paper.ShouldBeOfType<Hexagons>().Scale.ShouldBe(150);
        IsOpen.ShouldBeFalse("it is left when something else is pressed");
        browser.Find("#papers summary").Click();

        // By keys: an arrow walks, Enter takes, space shows other seeds, Escape puts back what lay there.
        Key("[data-fact='ground/paper-seed']", "ArrowRight");
        browser.Until(() => (string)browser.Script("return document.activeElement.dataset.text")! == "6");
        Key("[data-text='6']", " ");
        browser.Until(() => (string)browser.Script("return document.activeElement.dataset.text")! == "18");
        browser.AndWait(() => browser.Script("document.activeElement.click()"));
        Paper.ShouldBeOfType<Hexagons>().Seed.Value.ShouldBe(18ul);
        browser.AndWait(() =>
            browser.Script("document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: " +
                "true }))"));
        Paper.ShouldBeOfType<Hexagons>().Seed.Value.ShouldBe(4ul);
        browser.Until(() => !IsOpen);
    }

    private void Key(string at, string key) => browser.Script(
        $"const b = document.querySelector(\"#papers {at}\"); b.focus(); b.dispatchEvent(new " +
            $"KeyboardEvent('keydown', " +
        $"{{ key: '{key}', bubbles: true, cancelable: true }}))");

    /// <summary>An ornament, its words, its corners; a vista under all else, and its layers.</summary>
    [Fact]
    public void Ornaments_and_vistas_are_added_chosen_by_looking_and_taken_apart()
    {
        browser.Go("/jobs/lighthouse/wrap");
        browser.AndWait(() => browser.Find("[data-add='label'][data-panel='front']").Click());
        Item<OrnamentItem>().Ornament.ShouldBeOfType<NotebookLabel>();
        // What was added takes the keys; a book that was opened before then closes.
        browser.Until(() =>
        {
            // By the page's own script: the list may be drawn anew between finding it and pressing.
            browser.Script("document.querySelector('details[data-book]:not([open]) summary')?.click()");
            return IsOpenAt("details[data-book]");
        });
        browser.Until(() =>
            Convert.ToInt32(browser.Script("return [...document.querySelectorAll('details[data-book] img')]" +
            ".filter(i => i.complete && i.naturalWidth > 20).length"), System.Globalization.CultureInfo.InvariantCulture) > 10);
        browser.AndWait(() => browser.Find("details[data-book] [data-text='ribbon']").Click());
        Item<OrnamentItem>().Ornament.ShouldBeOfType<Ribbon>();
        browser.AndWait(() => browser.Find("[data-arrange='words-in']").Click());
        var (words, ribbon) = (Job.Items.OfType<TextItem>().Last(), Item<OrnamentItem>());
        words.Group.ShouldBe(ribbon.Group);

        browser.AndWait(() => browser.Find("[data-add='corner'][data-panel='front']").Click());
        browser.AndWait(() => browser.Find("[data-arrange='four-corners']").Click());
        Job.Items.OfType<OrnamentItem>().Where(o => o.Ornament is ScrollCorner).Select(o => o.Flip)
            .ShouldBe([Flip.None, Flip.Across, Flip.Down, Flip.Both], ignoreOrder: true);

        browser.AndWait(() => browser.Find("[data-add='vista'][data-panel='front']").Click());
        Job.Take.Items[0].ShouldBeOfType<VistaItem>("it lies under all else");
        browser.AndWait(() => browser.Find("[data-arrange='take-apart']").Click());
        Job.Items.OfType<VistaItem>().Select(v => v.Vista.Layer).ShouldBe([1, 2, 3, 4, 5, 6]);
    }

    private Job Job =>
        new Lumbeck.Desk.Desk(browser.Data, TimeProvider.System, DemoBench.Load).Jobs.Job("lighthouse").Job;

    private T Item<T>() where T : Item => Job.Items.OfType<T>().Last();
}
