using OpenQA.Selenium;

namespace Lumbeck.Web.Tests;

/// <summary>Papers chosen by looking.</summary>
[Collection("browser")]
public sealed class PatternsTests(Browser browser)
{
    private Pattern? Paper => browser.Desk
        .Jobs.Job("lighthouse")
        .Job.Take.Ground.Pattern;

    private bool IsOpen => IsOpenAt("#papers");

    private bool IsOpenAt(string book) =>
        (bool)browser.Script($"return document.querySelector('{book}')?.open === true")!;

    [Fact, Wide]
    public void A_paper_is_picked_from_small_pictures_in_the_job_s_own_inks_and_its_settings_typed()
    {
        browser.Go("/jobs/lighthouse/wrap");
        browser.Find("#papers summary").Click();
        // Each family is shown, as a picture that is truly there.
        browser.Until(() =>
            Convert.ToInt32(browser.Script("return [...document.querySelectorAll('#papers " +
                "[data-fact=\"ground/paper\"] img')]" +
            ".filter(i => i.complete && i.naturalWidth > 40).length"),
                System.Globalization.CultureInfo.InvariantCulture) > 10);
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
        browser.Undo();
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
    [Fact, Wide]
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
            return IsOpenAt("details[data-book]")
                && Convert.ToInt32(browser.Script("return [...document.querySelectorAll('details[data-book] img')]" +
            ".filter(i => i.complete && i.naturalWidth > 20).length"),
                System.Globalization.CultureInfo.InvariantCulture) > 10;
        });
        browser.AndWait(() =>
            browser.Script("document.querySelector(\"details[data-book] [data-text='ribbon']\").click()"));
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

    /// <summary>
    /// A drawing comes from the Drawer onto a panel, becomes the motif of the ground’s paper, and the paper is carried
    /// and turned by hand; a paper that goes with it fills a panel.
    /// </summary>
    [Fact, Wide]
    public void A_drawing_of_the_Drawer_is_found_laid_as_a_motif_and_moved_by_hand()
    {
        var file = Path.Combine(browser.Downloads, "gull of the sound.svg");
        File.WriteAllText(file, "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 60 40'>" +
            "<path fill='#235' d='M2 20Q15 2 30 20Q45 2 58 20z'/></svg>");
        browser.Go("/jobs/lighthouse/wrap");
        browser.AndWait(() => browser.Find("#list-front [data-add=picture]").Click());
        var frame = browser.Find("#list-front [id^=row-picture-]").GetDomAttribute("id")![4..];
        browser.AndWait(() => browser.Find($"#row-{frame} [data-picture]").SendKeys(file));

        // From the Drawer, by its name.
        browser.Find("#kept-front summary").Click();
        browser.Until(() => browser.Count("#kept-front [data-kept]") > 2);
        browser.Find("#kept-front [name=find]").SendKeys("of the sound");
        browser.Until(() => browser.Count("#kept-front [data-kept]") == 1);
        browser.AndWait(() => browser.Script("document.querySelector('#kept-front [data-kept]').click()"));
        Job.Items.OfType<PictureItem>().Count(p => p.Picture?.Name == "gull of the sound.svg").ShouldBe(2);
        var drawing = Job.Items.OfType<PictureItem>().Last();
        browser.AndWait(() => browser.Script("document.querySelector(\"[data-toggle='item/" + drawing.Id +
            "/colours']\").click()"));
        ((PictureItem)Job.Item(drawing.Id)!).InSwatches.ShouldBeTrue();

        browser.Find("#papers summary").Click();
        browser.AndWait(() => browser.Find("#papers [data-text='own motif']").Click());
        browser.Until(() => browser.Count("#papers [data-motif]") > 0);
        browser.AndWait(() => browser.Script("document.querySelector('#papers [data-motif]').click()"));
        Paper.ShouldBeOfType<OwnMotif>().Motif!.Name.ShouldBe("gull of the sound.svg");
        browser.AndWait(() =>
            browser.Script("document.querySelector('#papers [data-text=\"plain companion\"]').click()"));
        Paper.ShouldNotBeOfType<OwnMotif>();
        browser.Undo();

        browser.Find("#see-paper").Click();
        ByHand("[data-knob]", 0, 60);
        Paper.ShouldBeOfType<OwnMotif>().ShouldSatisfyAllConditions(p => p.Turn.ShouldBeGreaterThan(20),
            p => p.Scale.ShouldBeGreaterThan(105));
        var (turn, moved) = (Paper!.Turn, Paper.MovedRight);
        ByHand("#sheet", 50, 0);
        Paper!.Turn.ShouldBe(turn);
        Paper.MovedRight.ShouldBeGreaterThan(moved + 3);
        browser.Undo();
        Paper.MovedRight.ShouldBe(moved);
        browser.Find("#see-paper").Click();
        browser.Until(() => browser.Count(".paper-ring") == 0);
        // The same of a paper in a shape, about its own middle.
        browser.AndWait(() => browser.Find("#list-front [data-add='paper']").Click());
        var filled = Job.Items.OfType<RectItem>().First(r => r.Fill?.Pattern is not null).Id;
        Pattern shape() => ((ShapeItem)Job.Item(filled)!).Fill!.Pattern!;
        var was = shape();
        browser.Until(() =>
        {
            browser.Script($"document.getElementById('paper-hand-{filled}')?.click()");
            return browser.Count(".paper-ring") == 1;
        });
        ByHand("[data-knob]", 0, 60);
        shape().Turn.ShouldBeGreaterThan(20);
        ByHand("#sheet", 50, 0);
        shape().MovedRight.ShouldBeGreaterThan(was.MovedRight + 3);
        browser.Script($"document.getElementById('paper-hand-{filled}').click()");
        browser.Until(() => browser.Count(".paper-ring") == 0);
        browser.AndWait(() => browser.Script($"document.querySelector('#row-{filled} [data-remove]').click()"));
        // As it was, for what else is tried on this cover.
        browser.AndWait(() => browser.Script("document.querySelector('#papers [data-text=none]').click()"));
    }

    /// <summary>Takes hold of the middle of something, and lets go so many pixels right and down of it.</summary>
    private void ByHand(string css, int right, int down) => browser.AndWait(() =>
        new OpenQA.Selenium.Interactions.Actions(browser.Driver, TimeSpan.FromMilliseconds(20))
            .MoveToElement(browser.Find(css)).ClickAndHold().MoveByOffset(right / 2, down / 2)
            .MoveByOffset(right - (right / 2), down - (down / 2)).Release().Perform());

    private Job Job =>
        browser.Desk.Jobs.Job("lighthouse").Job;

    private T Item<T>() where T : Item => Job.Items.OfType<T>().Last();
}
