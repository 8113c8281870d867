using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Lumbeck.Web.Tests;

/// <summary>Items carried over the sheet by hand.</summary>
[Collection("browser")]
public sealed class CarryTests(Browser browser)
{
    private Actions Hand => new(browser.Driver, TimeSpan.FromMilliseconds(20));

    private IWebElement Hit(string id) => browser.Find($"#hits [data-pick='{id}']");

    private string Value(string fact) => browser.Find("#f-item-" + fact).GetDomProperty("value")!;

    /// <summary>Carries an item by pixels, in steps as a hand does.</summary>
    private Actions Carry(string id, int right, int down)
    {
        var hand = Hand.MoveToElement(Hit(id)).ClickAndHold();
        for (var i = 1; i <= 4; i++)
            hand.MoveByOffset((right * i / 4) - (right * (i - 1) / 4), (down * i / 4) - (down * (i - 1) / 4));
        return hand;
    }

    [Fact]
    public void An_item_is_carried_drawn_to_the_middle_and_one_step_takes_it_back()
    {
        browser.Go("/jobs/tidewatcher/wrap");
        var before = Hit("title-rule").GetDomAttribute("transform");
        var tick = browser.Tick;
        // It stands in the middle of the safe box; four pixels on is near enough to the middle of the face, 1/16 in
        // away.
        Carry("title-rule", 4, 60).Perform();
        browser.Until(() => browser.Text("#carried").Contains("middle of the front", StringComparison.Ordinal));
        browser.Tick.ShouldBe(tick);
        // The rule is 1.1 in wide on a face of 5.25: as much is left on either side.
        browser.Driver.FindElements(By.CssSelector("#drawn-to text")).Select(t => t.Text).Count(t => t == "2.075 in")
            .ShouldBe(2);
        browser.AndWait(() => Hand.Release().Perform());
        browser.Until(() => Hit("title-rule").GetDomAttribute("transform") != before);
        browser.Until(() => Value("title-rule-x") == "0.063 in");
        Value("title-rule-panel").ShouldBe("front");
        var rule = browser.Desk.Jobs.Job("tidewatcher");
        var face = rule.Composed.Geometry.Sheet.Panel(Part.Front)!.Face;
        var frame = rule.Composed.Sheets[0].Scene.Item("title-rule")!.Frame;
        ((frame.Left + frame.Right) / 2).ShouldBe(face.X.Points + (face.Width.Points / 2), 0.01);
        browser.Count("#carried").ShouldBe(0);
        // The art lies where the server says, with nothing of the hand's left on it.
        browser.Script("return document.getElementById('s-title-rule').getAttribute('transform').split('translate').length").ShouldBe(2L);
        browser.Undo();
        browser.Until(() => Hit("title-rule").GetDomAttribute("transform") == before);
    }

    [Fact]
    public void Dropped_on_another_panel_it_hangs_there_and_Escape_leaves_it_where_it_was()
    {
        browser.Go("/jobs/tidewatcher/wrap");
        browser.Find("#list-back #row-praise");
        browser.AndWait(() => Carry("praise", 420, 30).Release().Perform());
        browser.Find("#list-front #row-praise");
        browser.Undo();
        browser.Find("#list-back #row-praise");

        var tick = browser.Tick;
        var art = browser.Script("return document.getElementById('s-praise').outerHTML");
        Carry("praise", 60, 60).Perform();
        browser.Until(() => browser.Count("#carried") == 1);
        browser.Script("document.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }))");
        browser.Until(() => browser.Count("#carried") == 0);
        Hand.Release().Perform();
        browser.Script("return document.getElementById('s-praise').outerHTML").ShouldBe(art);
        browser.Tick.ShouldBe(tick);
    }

    [Fact]
    public void What_is_locked_goes_back_and_says_so()
    {
        browser.Go("/jobs/tidewatcher/wrap?item=lead");
        browser.AndWait(() => browser.Find("[data-fact='item/lead/locked']").Click());
        var art = browser.Script("return document.getElementById('s-lead').outerHTML");
        Carry("lead", 40, 40).Release().Perform();
        browser.Until(() => browser.Text("body").Contains("locked: unlock it first", StringComparison.Ordinal));
        browser.Until(() =>
            (string)browser.Script("return document.getElementById('s-lead').outerHTML")! == (string)art!);
        browser.Undo();
    }

    [Fact]
    public void One_press_or_one_key_arranges_what_is_picked()
    {
        browser.Go("/jobs/tidewatcher/wrap?item=back-rule");
        browser.AndWait(() => browser.Find("#row-back-rule [data-arrange=centre]").Click());
        var on = browser.Desk.Jobs.Job("tidewatcher");
        var (face, frame) = (on.Composed.Geometry.Sheet.Panel(Part.Back)!.Face, on.Composed.Sheets[0].Scene.Item("back-rule")!.Frame);
        (frame.Left + frame.Right).ShouldBe((face.X + face.Right).Points, 0.01);
        // A copy is picked in place of what it was made of.
        browser.AndWait(() => browser.Script("document.activeElement.blur(); document.body.dispatchEvent(new " +
            "KeyboardEvent('keydown', { key: 'o', bubbles: true }))"));
        var copy = browser.Find("#list-front [id^=row-back-rule-] [aria-expanded=true]");
        copy.Text.ShouldContain("Rule");
        browser.Undo();
        browser.Undo();
    }
}
