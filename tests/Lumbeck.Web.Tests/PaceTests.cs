using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Lumbeck.Web.Tests;

/// <summary>
/// Real keys at a person's pace into every kind of field of every screen, with answers that come late: what is stored is
/// what was typed. The same for every pace and delay on a false clock: tests/client.
/// </summary>
[Collection("another browser")]
public sealed class PaceTests(Browser browser)
{
    private const string Words = "Of quiet days";

    private static readonly (int Pace, int Late)[] Pairs =
        [.. from late in (int[])[0, 60, 200, 800] from pace in (int[])[0, 40, 80, 120, 180, 250, 400] select (pace,
            late)];

    /// <summary>A spread of them where not all are asked for: fast and slow, early and late.</summary>
    private static readonly (int Pace, int Late)[] Few = [(120, 200), (80, 800), (180, 60), (40, 0), (120, 60)];

    /// <summary>The ways in which a text comes into a field, by keys and by what keys stand for.</summary>
    private enum Way { Keys, Mended, Replaced, Pasted, Composed }

    public static TheoryData<string, string> Screens => new()
    {
        { "hive", "ticket" }, { "tidewatcher", "wrap?item=blurb" }, { "tidewatcher", "wrap?item=isbn" },
        { "hive", "inside?run=openings" }, { "tidewatcher", "colours" },
    };

    private OnBench Saved(string slug) => browser.Desk.Jobs.Job(slug);

    /// <summary>How late answers come to this browser from now on.</summary>
    private void Late(int ms) => browser.Script("sessionStorage.setItem('late', arguments[0])", ms);

    /// <summary>Answers come as late as is asked for, half of it on the way there.</summary>
    private string ComeLate() => (string)((Dictionary<string, object>)browser.Driver.ExecuteCdpCommand(
        "Page.addScriptToEvaluateOnNewDocument", new()
        {
            ["source"] = """
                const real = window.fetch;
                const half = () => new Promise(r => setTimeout(r, Number(sessionStorage.getItem('late') ?? 0) / 2));
                window.fetch = async (...a) => { await half(); const answer = await real(...a); await half(); return answer; };
                """,
        })!)["identifier"];

    /// <summary>Waits until the page has nothing that is not answered: it would let itself be left.</summary>
    private void UntilAnswered() => browser.Until(() => (bool)browser.Script("""
        const leaving = new Event('beforeunload', { cancelable: true });
        window.dispatchEvent(leaving);
        return !leaving.defaultPrevented;
        """)!);

    private void Press(string keys, int pace)
    {
        var hand = new Actions(browser.Driver, TimeSpan.Zero);
        foreach (var key in keys)
        {
            hand.SendKeys(key.ToString());
            if (pace > 0) hand.Pause(TimeSpan.FromMilliseconds(pace));
        }
        hand.Perform();
    }

    private void All() => browser.Driver.SwitchTo().ActiveElement().SendKeys(Keys.Control + "a");

    /// <summary>Puts a text in place of what the field in hand holds.</summary>
    private void Type(Way way, string text, int pace)
    {
        All();
        switch (way)
        {
            case Way.Keys: Press(text, pace); break;
            case Way.Mended:
                Press(text + "xy", pace);
                Press(Keys.Backspace + Keys.Backspace, pace);
                break;
            case Way.Replaced:
                Press("A draft", pace);
                All();
                Press(Keys.Delete, pace);
                Press(text, pace);
                break;
            case Way.Pasted:
                Press("A draft", pace);
                All();
                browser.Driver.ExecuteCdpCommand("Input.insertText", new() { ["text"] = text[..^2] });
                Press(text[^2..], pace);
                break;
            case Way.Composed:
                Press(text[..^2], pace);
                foreach (var sofar in (string[])["a", "ab", text[^2..]])
                    browser.Driver.ExecuteCdpCommand("Input.imeSetComposition",
                        new() { ["text"] = sofar, ["selectionStart"] = sofar.Length, ["selectionEnd"] = sofar.Length });
                Press("", pace);
                browser.Driver.ExecuteCdpCommand("Input.insertText", new() { ["text"] = text[^2..] });
                break;
        }
    }

    private string Value(string css) =>
        (string)browser.Script("return document.querySelector(arguments[0])?.value ?? '(gone)'", css)!;

    /// <summary>Does something in a browser to which answers come late.</summary>
    private void Lately(Action what)
    {
        var patch = ComeLate();
        try { what(); }
        finally
        {
            Late(0);
            browser.Driver.ExecuteCdpCommand("Page.removeScriptToEvaluateOnNewDocument",
                new() { ["identifier"] = patch });
        }
    }

    /// <summary>Some of the fields that a screen has, by their ids, with everything unfolded.</summary>
    private IEnumerable<string> Fields()
    {
        browser.Script("document.querySelectorAll('details').forEach(d => { if (!d.dataset.picks) d.open = true; })");
        var fields = ((IReadOnlyList<object>)browser.Script("""
            return [...document.querySelectorAll('input[data-fact],textarea[data-fact]')]
              .filter(f => f.id && f.checkVisibility() && !f.readOnly && !['file', 'color', 'range', 'checkbox'].includes(f.type))
              .map(f => f.id);
            """)!).Cast<string>().ToArray();
        fields.Length.ShouldBeGreaterThan(1);
        return Sweep.Spread(fields, Math.Max(1, fields.Length / (Sweep.IsWide ? 3 : 2)), 1);
    }

    [Theory, MemberData(nameof(Screens))]
    public void What_is_typed_is_stored(string of, string screen)
    {
        var slug = $"{of}-{Guid.NewGuid():n}"[..20];
        browser.Desk.Bench.Begin(of, Saved(of).Job, "tests", slug);
        Lately(() =>
        {
            browser.Go($"/jobs/{slug}/{screen}");
            var turn = screen.Length;
            foreach (var id in Fields())
                foreach (var (pace, late) in Sweep.IsLong ? Sweep.Spread(Pairs, 5, turn) : [Few[turn % 5]])
                {
                    if (Facts.Find(Saved(slug).Job, Path(id)) is not { } fact) continue;
                    // A figure is typed as it stands, words are others.
                    Stored(id, Sentences(Path(id)) ? Words : null, (Way)(turn++ % 5), pace, late,
                        () => fact.Read(Saved(slug).Job));
                }
        });
    }

    [Fact, Wide]
    public void What_is_typed_of_a_house_is_stored()
    {
        var house = browser.Desk.Houses.Copy("plover").House.Id;
        Lately(() =>
        {
            browser.Go($"/houses/{house}");
            var turn = 0;
            foreach (var id in Fields())
                foreach (var (pace, late) in Sweep.IsLong ? Sweep.Spread(Pairs, 5, turn) : [Few[turn % 5]])
                {
                    var key = HouseKeys.All.Single(k => k.Name == Path(id)["house/".Length..]);
                    Stored(id, key.Kind == KeyKind.Text && key.Name is "name" or "source" ? $"{Words} {turn}" : null,
                        (Way)(turn++ % 5), pace, late,
                        () => HouseText.Show(key, browser.Desk.Houses.Get(house).House));
                }
            turn.ShouldBeGreaterThan(1);
        });
    }

    [Fact]
    public void Why_a_job_goes_without_a_rule_is_kept_as_it_was_typed()
    {
        var slug = $"why-{Guid.NewGuid():n}"[..20];
        browser.Desk.Bench.Begin("Why", Saved("trouble").Job, "tests", slug);
        Lately(() =>
        {
            foreach (var (pace, late) in Sweep.IsLong ? Pairs : Sweep.Few([Few[0], Few[1]], 2))
            {
                browser.Go($"/jobs/{slug}/check");
                browser.Script("document.querySelector('[data-waive]').closest('details').open = true");
                var rule = (string)browser.Script("return document.querySelector('[data-waive]').dataset.waive")!;
                browser.Find("[data-waive] input").Click();
                Late(late);
                // The plates are looked at meanwhile, and what they show comes into the page.
                Press(Words + "xy" + Keys.Backspace + Keys.Backspace, pace);
                Value("[data-waive] input").ShouldBe(Words, $"{pace} ms a key, answers after {late} ms");
                browser.Driver.SwitchTo().ActiveElement().SendKeys(Keys.Enter);
                browser.Until(() => Saved(slug).Job.Waivers.Any(w => w.Rule == rule));
                Saved(slug).Job.Waivers.Single(w => w.Rule == rule).Reason.ShouldBe(Words);
                UntilAnswered();
                browser.Desk.Jobs.Undo(slug, "tests");
            }
        });
    }

    private string Path(string id) =>
        (string)browser.Script("return document.getElementById(arguments[0])?.dataset.fact ?? ''", id)!;

    /// <summary>Types a text in place of what a field holds, and looks at what is kept.</summary>
    private void Stored(string id, string? words, Way way, int pace, int late, Func<string> kept)
    {
        var css = "#" + id;
        var what = $"{id}, {way}, {pace} ms a key, answers after {late} ms";
        var text = words ?? kept();
        if (text.Length == 0 || text.Contains('\n', StringComparison.Ordinal)) return;
        Late(late);
        browser.Script("""
            const field = document.querySelector(arguments[0]);
            for (let at = field.closest('details'); at; at = at.parentElement.closest('details')) at.open = true;
            field.scrollIntoView({ block: 'center' });
            field.focus();
            """, css);
        Type(words is null ? Way.Keys : way, text, pace);
        Value(css).ShouldBe(text, what);
        browser.Driver.SwitchTo().ActiveElement().SendKeys(Keys.Tab);
        UntilAnswered();
        Value(css).ShouldBe(text, what);
        kept().ShouldBe(text, what);
    }

    private static bool Sentences(string path) =>
        path.Split('/')[^1] is "title" or "subtitle" or "author" or "publisher" or "imprint" or "blurb" or "about" or "words"
            or "name" or "notes" or "series" or "running-head" or "heading" or "credit";

    [Fact]
    public void What_is_typed_on_the_sheet_is_stored_from_its_first_key()
    {
        var slug = $"pace-{Guid.NewGuid():n}"[..20];
        browser.Desk.Bench.Begin("Pace", Saved("tidewatcher").Job, "tests", slug);
        Lately(() =>
        {
            foreach (var (pace, late) in Sweep.IsLong ? Pairs : Sweep.Few([Few[0], Few[1]], 2))
                foreach (var id in (string[])["title", "praise"])
                {
                    browser.Go($"/jobs/{slug}/wrap?item={id}");
                    Late(late);
                    browser.Find($"[data-type={id}]").Click();
                    // The keys come before the caret does.
                    Press(Words, pace);
                    browser.Driver.SwitchTo().ActiveElement().SendKeys(Keys.Escape);
                    browser.Until(() => browser.Count("#typed-in") == 0);
                    UntilAnswered();
                    var words = ((TextItem)Saved(slug).Job.Item(id)!).Words;
                    words.ShouldBe(Words, $"{id}, {pace} ms a key, answers after {late} ms");
                }
        });
    }
}
