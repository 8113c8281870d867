using System.Net;
using Lumbeck.Desk;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;
using OpenQA.Selenium;

namespace Lumbeck.Web.Tests;

/// <summary>
/// Pictures grown by a key, blends as the plates have them, swatches, tracings and long work, in a real browser.
/// </summary>
[Collection("another browser")]
public sealed class PlatesTests(Browser browser)
{
    private OnBench Saved(string slug) =>
        browser.Desk.Jobs.Job(slug);

    private void Back(int steps)
    {
        for (var n = 0; n < steps; n++) browser.Undo();
    }

    /// <summary>Whether what a page links is there, as this type.</summary>
    private void Fetched(string address, string type) =>
        browser.Until(() =>
            (bool)browser.Driver.ExecuteAsyncScript("const done = arguments[2]; fetch(arguments[0]).then(r => " +
                "done(r.ok && r.headers.get('content-type').startsWith(arguments[1])))",
                address, type)!);

    private void Key(string key) =>
        new OpenQA.Selenium.Interactions.Actions(browser.Driver, TimeSpan.FromMilliseconds(20)).SendKeys(key).Perform();

    [Fact]
    public void A_key_tries_one_way_of_growing_after_the_other_and_the_press_s_own_is_made_beside_the_page()
    {
        browser.Go("/jobs/trouble/wrap?item=road");
        browser.Script("document.activeElement.blur()");
        browser.AndWait(() => Key("r"));
        Fetched(browser.Find("#s-road image.grown").GetDomAttribute("href")!, "image/webp");
        var mirrored = browser.Find("#s-road image.grown").GetDomAttribute("href");
        for (var n = 0; n < 3; n++) browser.AndWait(() => Key("r"));
        ((PictureItem)Saved("trouble").Job.Item("road")!).Growth!.Way.ShouldBe(GrowWay.Synthesis);
        browser.Find("#s-road image.grown").GetDomAttribute("href").ShouldNotBe(mirrored);
        Fetched(browser.Find("#s-road image.grown").GetDomAttribute("href")!, "image/webp");
        // Press resolution follows beside the page; when it is there, nothing is under way any more.
        var mark = Saved("trouble").Composed.Sheets[0].Scene.Item("road")!.Marks.OfType<GrownMark>().Single();
        var desk = browser.Desk;
        browser.Until(() => desk.Drawer.Pictures.Grown.Has(mark));
        browser.Until(() => browser.Count("#works") == 0);
        browser.Type("#f-item-road-grow-seed", "5");
        ((PictureItem)Saved("trouble").Job.Item("road")!).Growth!.Seed.ShouldBe(5);
        Back(5);
    }

    [Fact, Wide]
    public void Blends_show_what_the_plates_have_and_keep_their_picture_until_it_changes()
    {
        browser.Go("/jobs/tidewatcher/wrap?item=title-rule");
        browser.AndWait(() => browser.Find("#f-item-title-rule-blend [value=multiply]").Click());
        var image = browser.Find("#s-title-rule image.by-plates");
        Fetched(image.GetDomAttribute("href")!, "image/jpeg");
        static string key(string href) => href.Split('/')[^1].Split('?')[0];
        var was = key(image.GetDomAttribute("href")!);
        // What changes elsewhere leaves it alone; what lies under it does not.
        browser.Go("/jobs/tidewatcher/wrap?item=blurb");
        browser.Type("#f-item-blurb-size", "11.5 pt");
        key(browser.Find("#s-title-rule image.by-plates").GetDomAttribute("href")!).ShouldBe(was);
        browser.Type("#ground [data-fact='ground/paint']", "Deep water");
        browser.Until(() => key(browser.Find("#s-title-rule image.by-plates").GetDomAttribute("href")!) != was);
        Fetched(browser.Find("#s-title-rule image.by-plates").GetDomAttribute("href")!, "image/jpeg");
        // Looked at closely, it comes finer.
        for (var n = 0; n < 9; n++) browser.Find("[data-see=near]").Click();
        browser.Until(() =>
            int.Parse(browser.Find("#s-title-rule image.by-plates").GetDomAttribute("href")!.Split("ppi=")[1],
                CultureInfo.InvariantCulture) > 144);
        Back(3);
    }

    [Fact, Wide]
    public void Swatches_are_asked_for_in_any_colour_and_what_is_out_of_reach_is_said()
    {
        browser.Go("/jobs/hive/colours");
        browser.Type("#f-swatch-honey-mix", "#00ff66");
        browser.Until(() => browser.Text("#swatch-honey").Contains("out of reach", StringComparison.Ordinal));
        Saved("hive").Job.Swatches.Single(s => s.Id == "honey").Asked.ShouldBe("#00ff66");
        browser.TypeOnly("#f-swatch-honey-mix", "#12");
        browser.Until(() =>
            browser.Text("[data-says='swatch/honey/mix']").Contains("is no colour", StringComparison.Ordinal));
        var count = Saved("hive").Job.Swatches.Count;
        browser.AndWait(() => browser.Find("#swatch-smoke [data-colours=harmony]").Click());
        Saved("hive").Job.Swatches.Count.ShouldBe(count + 1);
        browser.AndWait(() => browser.Find("#swatch-wax [data-colours=remove]").Click());
        Saved("hive").Job.Items.OfType<RectItem>()
            .ShouldNotContain(r =>
                r.Fill != null && r.Fill.Paint is SwatchPaint && ((SwatchPaint)r.Fill.Paint).Swatch == "wax");
        // A palette comes in as it went out, as it looks in print.
        var file = Path.Combine(browser.Downloads, "two.gpl");
        File.WriteAllText(file, "GIMP Palette\n10 80 120\tHarbour\n230 220 190\tSand\n");
        browser.AndWait(() => browser.Find("[data-palette]").SendKeys(file));
        Saved("hive").Job.Swatches.Select(s => s.Name).ShouldContain("Harbour");
        Fetched("/jobs/hive/swatches.gpl", "text/plain");
        Back(4);
    }

    [Fact, Wide]
    public void A_page_of_a_PDF_is_traced_faintly_and_is_no_part_of_the_cover()
    {
        var pdf = Path.Combine(browser.Downloads, "earlier-cover.pdf");
        var desk = browser.Desk;
        using (var s = File.Create(pdf)) desk.Pressing.WritePress(desk.Jobs.Job("tidewatcher"), new(PressKind.X4), s);
        browser.Go("/jobs/hive/wrap");
        browser.Find("#tracing-book summary").Click();
        browser.AndWait(() => browser.Find("[data-tracing]").SendKeys(pdf));
        var image = browser.Find("#tracing image");
        image.GetDomAttribute("opacity").ShouldBe(".35");
        Fetched(image.GetDomAttribute("href")!, "image/webp");
        Saved("hive").Job.Wraps[0].Tracing!.Picture.Name.ShouldBe("earlier-cover, page 1");
        Saved("hive").Composed.Sheets[0].Scene.Items.SelectMany(p => p.Marks).OfType<PictureMark>().ShouldBeEmpty();
        browser.Type("#f-ground-tracing-strength", "60 %");
        browser.Find("#tracing image").GetDomAttribute("opacity").ShouldBe(".6");
        browser.AndWait(() => browser.Find("#tracing-book [data-fact='ground/tracing']").Click());
        browser.Until(() => browser.Count("#tracing image") == 0);
        Back(3);
    }

    [Fact]
    public async Task What_is_asked_for_beyond_what_there_is_is_not_found_and_small_pictures_are_pictures()
    {
        using var client = new HttpClient { BaseAddress = browser.Server.Address };
        var small = await client.GetAsync("/jobs/calder/wrap.jpg?wide=300&sheet=case");
        small.Content.Headers.ContentType!.MediaType.ShouldBe("image/jpeg");
        using (var image = NetVips.Image.NewFromBuffer(await small.Content.ReadAsByteArrayAsync()))
            image.Width.ShouldBe(300);
        foreach (var address in (string[])["/jobs/calder/plates/0123456789abcdef0123456789abcdef",
            "/jobs/none/wrap.jpg", "/grown/x/100/coated-fogra39-300~Relative",
            $"/grown/{new string('a', 64)}_0_1_0_0_0_1000000_1000000_100000_0_0_0/400/coated-fogra39-300~Relative",
            $"/pictures/{new string('b', 64)}/gamut/coated-fogra39-300~Relative", "/pictures/../lumbeck.db/320/x",
            "/jobs/none/swatches.gpl"])
            (await client.GetAsync(address)).StatusCode.ShouldBe(HttpStatusCode.NotFound, address);
        (await client.PostAsync("/profiles?name=x.icc", new ByteArrayContent([1, 2, 3])))
            .StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        using var tab = await browser.Server.Tab("/jobs/calder/wrap");
        (await (await tab.PostAsync("/profiles?name=x.icc", new ByteArrayContent([1, 2, 3])))
            .Content.ReadAsStringAsync())
            .ShouldContain("no colour profile");
        (await (await tab.PostAsync("/jobs/calder/swatches", new StringContent("nonsense")))
            .Content.ReadAsStringAsync())
            .ShouldContain("first line is not");
        (await (await tab.PostAsync("/jobs/calder/tracing?name=a.pdf&page=7",
            new ByteArrayContent("%PDF-1.7 nothing"u8.ToArray())))
            .Content.ReadAsStringAsync())
            .ShouldContain("page 7 of a.pdf can’t be drawn");
    }
}
