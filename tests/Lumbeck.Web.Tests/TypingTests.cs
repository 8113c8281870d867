using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Lumbeck.Web.Tests;

/// <summary>
/// Typing on the sheet, choosing faces and matching, in a real browser: what it does is read from the saved job.
/// </summary>
[Collection("browser")]
public sealed class TypingTests(Browser browser)
{
    private const string Slug = "tidewatcher";

    private OnBench Saved() => browser.Desk.Jobs.Job(Slug);
    private TextItem Item(string id) => (TextItem)Saved().Job.Item(id)!;

    private void UndoTo(long revision)
    {
        for (var n = 0; Saved().Revision != revision && n < 60; n++) browser.Undo();
        Saved().Revision.ShouldBe(revision);
    }

    private void Open(string id)
    {
        browser.Go($"/jobs/{Slug}/wrap?item={id}");
        browser.Find($"[data-type={id}]").Click();
        browser.Until(() =>
            (bool)browser.Script("return document.getElementById('carets').dataset.item === arguments[0] && " +
                "document.activeElement.id === 'typed-in'",
                id)!);
    }

    /// <summary>Presses keys in the field that takes them, and waits until all is saved.</summary>
    private void Keys(string keys)
    {
        new Actions(browser.Driver).SendKeys(keys).Perform();
        browser.Until(() => (bool)browser.Script("return document.getElementById('typed-in').value === " +
            "document.querySelector('[data-fact$=\"/words\"]').dataset.value")!);
    }

    /// <summary>Where the caret is drawn, on the screen.</summary>
    private (double X, double Y) Caret()
    {
        var at = (IReadOnlyList<object>)browser.Script("const r = document.querySelector('#caret " +
            ".bar:last-child').getBoundingClientRect(); return [r.x + r.width / 2, r.y + r.height / 2]")!;
        return (Convert.ToDouble(at[0], CultureInfo.InvariantCulture),
            Convert.ToDouble(at[1], CultureInfo.InvariantCulture));
    }

    [Fact]
    public void What_is_typed_on_the_sheet_is_set_properly_where_the_caret_stands_and_is_few_steps_back()
    {
        var before = Saved().Revision;
        Open("praise");
        Keys(OpenQA.Selenium.Keys.End);
        var from = Caret();
        Keys(" \"It's\" --");
        var text = Item("praise");
        text.Words.ShouldBe("“A book with salt in its hinges.” “It’s” –");
        // The caret stands where the last glyph ends, in the browser as in the setting.
        var to = Caret();
        var on = Saved();
        var line = on.Composed.Sheets[0].Scene.Item("praise")!.Layout!.Lines[^1];
        var was = browser.Script("const m = document.querySelector('#hits [data-pick=praise]').getScreenCTM(); " +
            "return m.a * arguments[0] + m.e",
            line.X + line.Width);
        to.X.ShouldBe(Convert.ToDouble(was, CultureInfo.InvariantCulture), 1.5);
        to.X.ShouldBeGreaterThan(from.X);
        Keys(OpenQA.Selenium.Keys.Backspace);
        Item("praise").Words.ShouldEndWith("“It’s” ");
        new Actions(browser.Driver).SendKeys(OpenQA.Selenium.Keys.Escape).Perform();
        browser.Until(() => browser.Count("#typed-in") == 0);
        browser.Count("#caret").ShouldBe(0);
        UndoTo(before);
    }

    [Fact]
    public void Letters_dragged_over_are_set_by_themselves()
    {
        var before = Saved().Revision;
        Open("lead");
        Keys(OpenQA.Selenium.Keys.Home);
        var from = Caret();
        Keys(OpenQA.Selenium.Keys.End);
        var to = Caret();
        new Actions(browser.Driver, TimeSpan.FromMilliseconds(20)).MoveToLocation((int)from.X + 1, (int)from.Y)
            .ClickAndHold().MoveToLocation((int)((from.X + to.X) / 2), (int)from.Y).Release().Perform();
        // The settings speak of the picked letters, once the drag has come to its end.
        static int[] letters(string path) => [.. path.Split('@')[1].Split('-').Select(int.Parse)];
        var path = browser.Until(_ => (string?)browser.Script("return document.querySelector(\"#row-lead " +
            "input[data-fact*='/size@0-']\")?.dataset.fact") is { } fact && letters(fact)[1] is >= 10 and <= 22 ? fact : null)!;
        var range = letters(path);
        browser.Count("#caret .over-letters").ShouldBeGreaterThan(5);
        browser.Type($"input[data-fact='{path}']", "30 pt");
        var run = Item("lead").Runs.ShouldHaveSingleItem();
        (run.From, run.To, run.Style.Size).ShouldBe((0, range[1], Length.FromPoints(30)));
        Item("lead").Style.Size.ShouldBe(Length.FromPoints(21));
        UndoTo(before);
    }

    [Fact]
    public void A_double_click_begins_typing_and_a_click_beside_leaves_it()
    {
        browser.Go($"/jobs/{Slug}/wrap");
        var hit = browser.Find("#hits [data-pick=blurb]");
        new Actions(browser.Driver).DoubleClick(hit).Perform();
        browser.Until(() => (bool)browser.Script("return document.activeElement.id === 'typed-in' && " +
            "document.querySelector('#caret') !== null")!);
        // Up and down keep to the lines, arrows of the sheet do nothing to the item.
        var revision = Saved().Revision;
        var at = Caret();
        new Actions(browser.Driver).SendKeys(OpenQA.Selenium.Keys.Down).Perform();
        browser.Until(() => Caret().Y > at.Y + 5);
        Math.Abs(Caret().X - at.X).ShouldBeLessThan(15);
        Saved().Revision.ShouldBe(revision);
        new Actions(browser.Driver).MoveToElement(browser.Find("#hits [data-pick=title]")).Click().Perform();
        browser.Until(() => browser.Count("#typed-in") == 0);
    }

    [Fact]
    public void Faces_show_the_item_s_own_words_are_narrowed_and_taken()
    {
        var before = Saved().Revision;
        browser.Go($"/jobs/{Slug}/wrap?item=author");
        browser.Find("[data-faces=author]").Click();
        browser.Until(() => browser.Count(".face-row") > 50);
        var rows = browser.Driver.FindElements(By.CssSelector(".face-row"));
        // Those of this job first, with the words of the item.
        rows[0].Text.ShouldContain("in this job");
        rows[0].FindElement(By.TagName("img")).GetDomAttribute("alt").ShouldBe("INES KALLWEIT");
        browser.Until(() => (bool)browser.Script("const i = document.querySelector('.face-row img'); return " +
            "i.complete && i.naturalWidth > 40")!);
        browser.Script("const s = document.querySelector('[data-face-by=kind]'); s.value = 'capitals'; " +
            "s.dispatchEvent(new Event('input', { bubbles: true }))");
        browser.Driver.FindElements(By.CssSelector(".face-row:not([hidden])"))
            .Select(r => r.GetDomAttribute("data-face-id"))
            .ShouldBe(["bebas-neue/400", "cinzel/400", "cinzel/600", "im-fell-english-sc/400"], ignoreOrder: true);
        browser.AndWait(() => browser.Find(".face-row[data-face-id='cinzel/400']").Click());
        Item("author").Style.Face.ShouldBe(new("cinzel", 400, false));
        UndoTo(before);
    }

    [Fact]
    public void Two_clicks_on_the_sheet_space_the_letters_between_them()
    {
        var before = Saved().Revision;
        browser.Go($"/jobs/{Slug}/wrap?item=author");
        browser.Find("#scale-author summary").Click();
        browser.Find("[data-marks=author]").Click();
        var box = (IReadOnlyList<object>)browser.Script("const m = document.getElementById('sheet').getScreenCTM(); " +
            "const r = document.querySelector('#hits [data-pick=author]').getBoundingClientRect(); return [m.a, m.e, " +
            "m.d, m.f, r.y + r.height / 2, r.x, r.width]")!;
        double n(int i) => Convert.ToDouble(box[i], CultureInfo.InvariantCulture);
        var (left, right, y) = ((int)(n(5) + (n(6) * 0.1)), (int)(n(5) + (n(6) * 0.9)), (int)n(4));
        new Actions(browser.Driver, TimeSpan.FromMilliseconds(20)).MoveToLocation(left, y).Click().Perform();
        browser.AndWait(() =>
            new Actions(browser.Driver, TimeSpan.FromMilliseconds(20)).MoveToLocation(right, y).Click().Perform());
        var ink = Saved().Composed.Sheets[0].Scene.Item("author")!.Inked;
        ink.Left.ShouldBe((left - n(1)) / n(0), 0.1);
        ink.Right.ShouldBe((right - n(1)) / n(0), 0.1);
        UndoTo(before);
    }

    [Fact]
    public void The_front_is_seen_as_small_as_shops_show_it()
    {
        browser.Go($"/jobs/{Slug}/wrap");
        browser.Find("[data-see=shop]").Click();
        browser.Until(() => (bool)browser.Script("const i = [...document.querySelectorAll('#shop img')]; return " +
            "i.length === 3 && i.every(x => x.complete && x.naturalWidth > 0)")!);
        var wide = (IReadOnlyList<object>)browser.Script("return [...document.querySelectorAll('#shop img')].map(i " +
            "=> [i.naturalWidth, i.naturalHeight / i.naturalWidth])")!;
        wide.Select(w => Convert.ToInt32(((IReadOnlyList<object>)w)[0], CultureInfo.InvariantCulture))
            .ShouldBe([160, 100, 60]);
        Convert.ToDouble(((IReadOnlyList<object>)wide[0])[1], CultureInfo.InvariantCulture).ShouldBe(8 / 5.25, 0.02);
        browser.Find("[data-see=shop]").Click();
        browser.Find("#shop").Displayed.ShouldBeFalse();
    }

    [Fact]
    public void Words_of_a_spine_are_kept_right_as_pages_change()
    {
        var before = Saved().Revision;
        var size = Item("spine-title").Style.Size;
        browser.Go($"/jobs/{Slug}/ticket");
        browser.Type("#f-ticket-pages", "200");
        Item("spine-title").Style.Size.ShouldBeLessThan(size);
        Saved().Composed.Findings.ShouldNotContain(f => f.Id == "zone.spine" || f.Id == "text.overset");
        UndoTo(before);
    }

    [Fact]
    public async Task A_face_that_is_none_is_refused_by_name_and_one_that_is_comes_into_the_drawer()
    {
        browser.Go("/drawer");
        var folder = Directory.CreateTempSubdirectory().FullName;
        var bad = Path.Combine(folder, "letter.ttf");
        await File.WriteAllTextAsync(bad, "no face at all");
        browser.Find("[data-face]").SendKeys(bad);
        browser.Until(() =>
            browser.Driver.FindElements(By.Id("notice"))
                .Any(n => n.Text.Contains("letter.ttf is no TTF or OTF", StringComparison.Ordinal)));
        var good = Path.Combine(folder, "Mine.ttf");
        File.Copy(Path.Combine(AppContext.BaseDirectory, "faces", "caveat", "700.ttf"), good);
        browser.Find("[data-face]").SendKeys(good);
        browser.Until(() =>
            browser.Driver.FindElements(By.CssSelector("[id^=face-]"))
                .Any(r =>
                    r.Text.Contains("Mine.ttf", StringComparison.Ordinal)
                        && r.Text.Contains("may be put in files", StringComparison.Ordinal)));
        Directory.Delete(folder, recursive: true);
    }

    [Fact]
    public void The_faces_dialog_and_a_caret_are_sound_for_those_who_do_not_see_them()
    {
        var axe = File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "axe.min.js"));
        void sound(string what)
        {
            browser.Script(axe);
            var found = (string)browser.Driver.ExecuteAsyncScript("const done = arguments[arguments.length - 1]; " +
                "axe.run(document, { runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', " +
                "'best-practice'] }).then(r => done(JSON.stringify(r.violations.map(v => v.id + ': ' + v.nodes.map(n " +
                "=> n.html.slice(0, 160)).join(' | ')))))")!;
            found.ShouldBe("[]", what);
        }
        browser.Go($"/jobs/{Slug}/wrap?item=title");
        foreach (var more in browser.Driver.FindElements(By.CssSelector("#row-title details > summary"))) more.Click();
        sound("settings unfolded");
        browser.Find("[data-faces=title]").Click();
        browser.Until(() => browser.Count(".face-row") > 50);
        sound("faces");
        Open("title");
        sound("typing");
    }
}
