using Lumbeck.Desk;
using OpenQA.Selenium;

namespace Lumbeck.Web.Tests;

/// <summary>The Houses screen in a real browser.</summary>
[Collection("browser")]
public sealed class HousesTests(Browser browser)
{
    [Fact]
    public void A_house_is_copied_changed_with_its_drawing_and_its_jobs_are_told()
    {
        browser.Go("/houses/plover");
        browser.Find("#f-house-bleed_mm").GetDomAttribute("readonly").ShouldNotBeNull();
        browser.Find("form[action*='plover'] button").Click();
        browser.Until(() => browser.Driver.Url.Contains("/houses/plover-2", StringComparison.Ordinal));

        // Each figure says what it means and shows what it moves.
        browser.Find("#f-house-punch_band_mm").Click();
        browser.Until(() =>
            browser.Text("#house-moves").Contains("On loose covers, 12 mm → 19.2 mm", StringComparison.Ordinal));
        browser.Find("#house-moves .ghost rect");
        browser.Find("#f-house-ink_limit_percent").Click();
        browser.Until(() =>
            browser.Text("#house-moves").Contains("moves nothing on the sheet", StringComparison.Ordinal));

        var desk = browser.Desk;
        var slug = desk.Bench.Begin("Told", Starters.Job(desk.Houses.Get("plover-2").House, "Told", "148 x 210", "96"),
            "tests")
            .Slug;
        // What is one or some of a few is picked, in words.
        browser.Text("#row-kinds").ShouldContain("PDF/X-1a");
        browser.AndWait(() => browser.Find("#f-house-kinds input[value=pdf]").Click());
        browser.Until(() => desk.Houses.Get("plover-2").House.Kinds.Any(k => k.Word == "pdf"));
        browser.AndWait(() => browser.Find("#f-house-kinds input[value=pdf]").Click());
        browser.Until(() => desk.Houses.Get("plover-2").House.Kinds.All(k => k.Word != "pdf"));
        browser.Type("#f-house-bleed_mm", "4");
        browser.Find("#f-house-bleed_mm").GetDomProperty("value").ShouldBe("4 mm");
        browser.TypeOnly("#f-house-page_multiple", "1");
        browser.Until(() =>
            browser.Text("#f-house-page_multiple-says").Contains("from 2 to 64", StringComparison.Ordinal));
        browser.Find("#f-house-page_multiple").SendKeys(Keys.Escape);

        browser.Go($"/jobs/{slug}/ticket");
        browser.Text("#house-news").ShouldContain("bleed: 3 mm → 4 mm");
        browser.Text("#house-news").ShouldContain("sheet’s width 307.6 mm → 309.6 mm (+2 mm)");
        browser.AndWait(() => browser.Find("#house-news [data-take=rules]").Click());
        browser.Until(() => browser.Count("#house-news") == 0);
        browser.Text("#sums").ShouldContain("309.6 × 218 mm");

        browser.Go("/houses/plover-2");
        browser.AndWait(() => browser.Find("#house-head [data-step=back]").Click());
        browser.Until(() => browser.Find("#f-house-bleed_mm").GetDomProperty("value") == "3 mm");
        browser.Go("/");
        browser.Text("main").ShouldContain("its printer’s rules have changed");
        browser.Go("/houses/plover-2");
        browser.Find("form[action*='Away'] button").Click();
        browser.Until(() => browser.Count("form[action*='Out'] button") == 1);
    }

    [Fact]
    public void A_wrong_house_file_is_refused_by_its_key_and_a_right_one_comes_in()
    {
        var file = Path.Combine(browser.Downloads, "house.json");
        File.WriteAllText(file, "{ \"name\": \"Mill Lane\", \"bleed\": 3 }");
        browser.Go("/houses");
        browser.Find("#import input").SendKeys(file);
        browser.Until(() =>
            browser.Text("#import-problem")
                .Contains("no printer has a key `bleed`: did you mean `bleed_mm`?", StringComparison.Ordinal));
        File.WriteAllText(file, "{ \"name\": \"Mill Lane\", \"bleed_mm\": 3 }");
        browser.Find("#import input").SendKeys(file);
        browser.Until(() => browser.Driver.Url.EndsWith("/houses/house", StringComparison.Ordinal));
        browser.Text("h1").ShouldBe("Mill Lane");
    }
}
