using OpenQA.Selenium;

namespace Lumbeck.Web.Tests;

/// <summary>The Inside screen in a browser: runs, openings, the block, tables.</summary>
[Collection("browser")]
public sealed class InsideScreenTests(Browser browser)
{
    private Lumbeck.Desk.AppServices Desk => browser.Desk;

    private Job Job(string slug) => Desk.Jobs.Job(slug).Job;

    /// <summary>A copy of a demo job as the demo begins with it, that no other test works on.</summary>
    private string Begin(string of)
    {
        var folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;
        try
        {
            var job = new Lumbeck.Desk.AppServices(DemoData.In(folder), TimeProvider.System,
                DemoBench.Load).Jobs.Job(of).Job;
            var slug = $"{of}-{Guid.NewGuid():n}"[..20];
            Desk.Bench.Begin(job.Ticket.Title, job, "test", slug);
            return slug;
        }
        finally
        {
            Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
            Directory.Delete(folder, recursive: true);
        }
    }

    private string Shown => (string)browser.Script("return document.getElementById('leaf-says')?.textContent ?? ''")!;

    /// <summary>Presses a key on the page itself, and waits for what it leads to.</summary>
    private void Press(string keys, Func<bool> until)
    {
        browser.Script("document.activeElement?.blur()");
        browser.Driver.SwitchTo().ActiveElement().SendKeys(keys);
        browser.Until(until);
    }

    /// <summary>Whether both pages of the opening are there as pictures.</summary>
    private bool IsDrawn => (bool)browser.Script("""
        const all = [...document.querySelectorAll('#opening image')];
        return all.length > 0 && all.every(i => performance.getEntriesByName(i.href.baseVal.replace(/^/,
            location.origin)).length > 0);
        """)!;

    [Fact]
    public void Openings_are_leafed_by_keys_and_by_hand_and_a_setting_moves_ticket_and_spine()
    {
        var hive = Begin("hive");
        browser.Go($"/jobs/{hive}/inside");
        browser.Until(() => Shown == "1");
        Press(Keys.ArrowRight, () => Shown == "2 | 3");
        Press(Keys.ArrowRight, () => Shown == "4 | 5");
        browser.Until(() => IsDrawn);
        browser.Until(() => browser.Find("#opening").GetAttribute("aria-label")!.Contains("page 4, Openings, table"));
        Press(Keys.End, () => Shown == "120");
        Press(Keys.Home, () => Shown == "1");
        // Run by run, with its settings in place, and back again.
        Press(Keys.Shift + Keys.ArrowRight, () => Shown == "2 | 3");
        browser.Until(() => browser.Count("[data-run-settings='openings']") > 0);
        // The hand on the block.
        browser.Script("""
            const leaf = document.querySelector('[data-leaf="24"] rect').getBoundingClientRect();
            const at = { clientX: leaf.x + leaf.width / 2, clientY: leaf.y + 20, bubbles: true, pointerId: 1 };
            document.querySelector('[data-leaf="24"] rect').dispatchEvent(new PointerEvent('pointerdown', at));
            document.dispatchEvent(new PointerEvent('pointerup', at));
            """);
        browser.Until(() => Shown == "24 | 25");
        // A figure is refused with its range where it stands; what is sound moves pages, ticket and spine.
        browser.TypeOnly("#f-run-openings-1-pitch", "0 mm");
        browser.Until(() => browser.Text("#f-run-openings-1-pitch-says").Contains("from 3 mm to 60 mm"));
        browser.Type("#f-run-openings-1-pitch", "8 mm");
        browser.Until(() => browser.Text("#run-list").Contains("÷ 8 mm = 20 rows"));
        browser.Type("#f-run-openings-count", "60");
        Job(hive).Ticket.Pages.ShouldBe(126);
        browser.Until(() => browser.Text("#inside-bar").Contains("126, printed as 128"));
        browser.Until(() => browser.Text("#foot").Contains("126 pages print as 128; the spine is 7.3 mm"));
        browser.Undo();
        browser.Undo();
        Job(hive).Ticket.Pages.ShouldBe(118);
        // Double, move, take out, each a step.
        browser.Script("document.activeElement?.blur()");
        browser.Find("#row-swarms [data-pick]").Click();
        browser.Until(() => browser.Count("[data-run-settings='swarms']") > 0);
        browser.AndWait(() => browser.Find("[data-run-settings='swarms'] [data-double-run]").Click());
        Job(hive).Inside!.Runs.Count.ShouldBe(6);
        browser.AndWait(() => browser.Find("[data-run-settings='swarms'] [data-shift-run='1']").Click());
        Job(hive).Inside!.Runs[3].Id.ShouldBe("swarms");
        browser.AndWait(() => browser.Find("[data-run-settings='swarms'] [data-drop-run]").Click());
        Job(hive).Inside!.Run("swarms").ShouldBeNull();
        for (var n = 0; n < 3; n++) browser.Undo();
        Job(hive).Inside!.Runs.Select(r => r.Id).ShouldBe(["belongs", "openings", "swarms", "feeding", "honey"]);
        // Every figure at the opening leads to its sum.
        browser.Find("#page-sums [data-sum='gutter']").Click();
        browser.Until(() =>
            browser.Text("#page-sums").Contains("12 mm at Plover Street Reprographics up to 150 pages, 120 here"));
    }

    [Fact]
    public void A_picture_is_laid_behind_a_run_made_stronger_moved_to_the_head_and_taken_away()
    {
        var hive = Begin("hive");
        browser.Go($"/jobs/{hive}/inside");
        browser.Until(() => browser.Count("#row-openings [data-pick]") == 1);
        browser.Script("document.querySelector('#row-openings [data-pick]').click()");
        browser.Until(() => browser.Count("#behind-openings") == 1);
        Backdrop? laid() => Job(hive).Inside!.Run("openings")!.Backdrop;
        void open() => browser.Script("document.getElementById('behind-openings').open = true");
        open();
        browser.AndWait(() => browser.Find("#behind-openings button[data-back-pages]").Click());
        laid().ShouldNotBeNull().ShouldSatisfyAllConditions(b => b.Place.ShouldBe(BackdropPlace.Page),
            b => b.Strength.ShouldBe(20));
        open();
        browser.Type("#behind-openings input[data-fact$='behind-strength']", "45");
        laid()!.Strength.ShouldBe(45);
        open();
        browser.Pick("#behind-openings select[data-fact$='behind-place']", "along the head");
        (laid()!.Place, laid()!.Strength).ShouldBe((BackdropPlace.Head, 100));
        open();
        browser.AndWait(() => browser.Find("#behind-openings button[data-back-pages='']").Click());
        laid().ShouldBeNull();
    }

    [Fact]
    public void An_empty_inside_begins_from_a_ready_one_and_takes_runs_and_a_table()
    {
        var tide = Begin("tidewatcher");
        browser.Go($"/jobs/{tide}/inside");
        browser.Until(() => browser.Text("#run-list").Contains("an inside that stands ready"));
        browser.AndWait(() => browser.Find("[data-ready='dotted']").Click());
        browser.Until(() => browser.Text("#run-list").Contains("the rest"));
        browser.Find("#add-run summary").Click();
        browser.AndWait(() => browser.Find("[data-add-run='prompts']").Click());
        browser.Until(() => browser.Text("#run-list").Contains("Questions"));
        var run = Job(tide).Inside!.Runs.Single(r => r.Designs[0] is Prompts).Id;
        browser.AndWait(() => browser.Type($"#f-run-{run}-1-heading", "Day {day}, {place}"));
        // A CSV file makes its pages; a ragged one is told by its row.
        void drop(string name, string text) => browser.Script("""
            const data = new DataTransfer();
            data.items.add(new File([arguments[1]], arguments[0], { type: 'text/csv' }));
            const drop = new DragEvent('drop', { dataTransfer: data, bubbles: true, cancelable: true });
            document.getElementById('opening-desk').dispatchEvent(drop);
            """, name, text);
        drop("ragged.csv", "day,place\n1,Wick\n2\n");
        browser.Until(() => browser.Text("#notice").Contains("1 cells on row 3, where its heads are 2"));
        drop("days.csv", "day,place\n1,Wick\n2,Tarbet\n3,Scrabster\n");
        browser.Until(() => browser.Text("#run-list").Contains("3 rows of days.csv"));
        Job(tide).Inside!.Run(run)!.Table!.Columns.ShouldBe(["day", "place"]);
        browser.Until(() => (string)browser.Script("return document.body.dataset.sheet")! != "");
        browser.Go("/drawer");
        browser.Text("main").ShouldContain("days.csv");
        // What stops it is told beside the page, and leads back to it.
        browser.Go($"/jobs/{tide}/ticket");
        browser.Text("#inside").ShouldContain("are made here");
        browser.Go($"/jobs/{tide}/press");
        browser.Text("#pages-form").ShouldContain("Single pages");
    }

    [Fact]
    public async Task Pages_and_openings_have_addresses_and_odd_askings_are_refused()
    {
        using var http = new HttpClient { BaseAddress = browser.Server.Address };
        async Task<(int, string)> got(string path)
        {
            var answer = await http.GetAsync(path);
            return ((int)answer.StatusCode, await answer.Content.ReadAsStringAsync());
        }
        (await got("/jobs/hive/page.svg?n=24")).Item2.ShouldStartWith("<svg");
        foreach (var odd in (string[])["n=0", "n=-3", "n=99999"])
            (await got($"/jobs/hive/page.svg?{odd}")).Item1.ShouldBe(404);
        (await got("/jobs/orrin/page.svg?n=1")).Item1.ShouldBe(404);
        (await got("/jobs/nobody/opening?page=1")).Item1.ShouldBe(404);
        (await got("/jobs/hive/opening?page=700000")).Item2.ShouldContain("id=\"spread\"");
        (await got("/jobs/hive/inside.txt")).Item2.ShouldContain("pages of 148 × 210 mm, printed as");
        (await got("/jobs/hive/page.pdf?n=2")).Item2.ShouldStartWith("%PDF-");
        (await http.PostAsync("/jobs/hive/table?name=x.csv", new StringContent("a,b\n1,2")))
            .StatusCode.ShouldBe(System.Net.HttpStatusCode.BadRequest);
    }

    [Fact]
    public void A_planner_takes_a_language_and_dated_notes_and_puzzles_are_told_while_they_are_made()
    {
        var tide = Begin("tidewatcher");
        browser.Go($"/jobs/{tide}/inside");
        browser.Until(() => browser.Text("#run-list").Contains("an inside that stands ready"));
        browser.AndWait(() => browser.Script("document.querySelector(`[data-ready='weekly planner']`).click()"));
        browser.Until(() => browser.Text("#run-list").Contains("Weeks"));
        browser.Script("document.querySelector('#calendars-of-all summary').click()");
        browser.Pick("#f-inside-language", "cy");
        browser.Pick("#f-inside-first-weekday", "Sunday");
        Job(tide).Inside!.Calendar.ShouldSatisfyAllConditions(c => c.Language.ShouldBe("cy"),
            c => c.First.ShouldBe(DayOfWeek.Sunday));
        // A calendar file’s days are kept as a table, and printed.
        browser.Script("""
            const data = new DataTransfer();
            data.items.add(new File([arguments[0]], 'fairs.ics', { type: 'text/calendar' }));
            const drop = new DragEvent('drop', { dataTransfer: data, bubbles: true, cancelable: true });
            document.getElementById('opening-desk').dispatchEvent(drop);
            """, "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//fairs//EN\r\nBEGIN:VEVENT\r\nUID:1\r\n" +
            "DTSTAMP:20260101T000000Z\r\nDTSTART;VALUE=DATE:20270618\r\nSUMMARY:Harbour " +
                "fair\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n");
        browser.Until(() => Job(tide).Inside!.Calendar.Notes is { Rows: 1 });
        // Puzzles stand on their pages once they are made, without anybody asking again.
        browser.AndWait(() => browser.Script("document.querySelector(`[data-ready='puzzle book']`).click()"));
        browser.Until(() => browser.Text("#run-list").Contains("Sudoku, anodd"));
        browser.Script("document.querySelector('#row-hard [data-pick]').click()");
        browser.Until(() => browser.Text("#run-list").Contains("How hard"));
        browser.Until(() => browser.Find("#making").GetAttribute("hidden") is not null
            && (bool)browser.Script("return document.querySelectorAll('#opening image').length === 2")!);
        browser.Until(() => (long)browser.Driver.ExecuteAsyncScript("""
            const done = arguments[arguments.length - 1];
            const pages = [...document.querySelectorAll('#opening image')].map(i => i.getAttribute('href'));
            Promise.all(pages.map(p => fetch(p).then(a => a.text())))
              .then(all => done(all.filter(t => t.length > 10000).length));
            """)! == 2);
        Job(tide).Inside!.Run("solutions")!.Goes.ShouldBe(RunKind.Needed);
    }
}
