using NetVips;
using OpenQA.Selenium;

namespace Lumbeck.Web.Tests;

/// <summary>Pictures put into frames and dropped on panels, in a real browser.</summary>
[Collection("browser")]
public sealed class PictureTests(Browser browser)
{
    private OnBench Saved() =>
        browser.Desk.Jobs.Job("orrin");

    private string Made(string name, int wide, int high)
    {
        var path = Path.Combine(browser.Downloads, name);
        using var image = (Image.Gaussnoise(wide, high, mean: 128, sigma: 20).Bandjoin(Image.Black(wide, high) + 90)
            .Bandjoin(Image.Black(wide, high) + 160))
            .Cast(Enums.BandFormat.Uchar).Copy(interpretation: Enums.Interpretation.Srgb);
        File.WriteAllBytes(path, image.JpegsaveBuffer(q: 80));
        return path;
    }

    private void Back() => browser.Undo();

    [Fact]
    public void A_picture_is_put_in_a_frame_fitted_and_its_resolution_is_always_said()
    {
        browser.Go("/jobs/orrin/wrap");
        browser.AndWait(() => browser.Find("#list-front [data-add=picture]").Click());
        var id = browser.Find("#list-front [id^=row-picture-]").GetDomAttribute("id")![4..];
        browser.Find($"#hits .empty[data-pick={id}]");
        browser.AndWait(() => browser.Find($"#row-{id} [data-picture]").SendKeys(Made("valley.jpg", 900, 600)));
        browser.Until(() =>
            browser.Text($"#row-{id}").Contains("pixels an inch; sharp up to", StringComparison.Ordinal));
        browser.Text($"#row-{id} [data-row]").ShouldContain("valley.jpg");
        var image = browser.Find($"#s-{id} image");
        image.GetDomAttribute("href")!.ShouldStartWith("/pictures/");
        browser.Until(() =>
            (bool)browser.Driver.ExecuteAsyncScript("const done = arguments[1]; fetch(arguments[0]).then(r => " +
                "done(r.ok && r.headers.get('content-type') === 'image/webp'))",
                image.GetDomAttribute("href")!)!);
        // Where it is too large for its pixels, it says so where the eye is.
        browser.Type($"#f-item-{id}-width", "150 mm");
        browser.Type($"#f-item-{id}-height", "100 mm");
        browser.Find($"#row-{id} .text-brick");
        browser.Type($"#f-item-{id}-width", "70 mm");
        browser.Type($"#f-item-{id}-height", "40 mm");
        browser.Until(() => browser.Count($"#row-{id} p.text-brick") == 0);
        var before = browser.Find($"#s-{id} image").GetDomAttribute("transform");
        browser.Type($"#f-item-{id}-pan-y", "-100 %");
        browser.Until(() => browser.Find($"#s-{id} image").GetDomAttribute("transform") != before);
        ((PictureItem)Saved().Job.Item(id)!).PanY.ShouldBe(-100);
        // By hand, with Ctrl held: the picture moves and the frame stays.
        var frame = Saved().Composed.Sheets[0].Scene.Item(id)!.Frame;
        var r = (IReadOnlyList<object>)browser.Script("const r = document.querySelector('#hits [data-pick=' + " +
            "arguments[0] + ']').getBoundingClientRect(); return [Math.round(r.x + r.width / 2), Math.round(r.y + " +
            "r.height / 2)]",
            id)!;
        var (x, y) = (Convert.ToInt32(r[0], CultureInfo.InvariantCulture),
            Convert.ToInt32(r[1], CultureInfo.InvariantCulture));
        browser.AndWait(() =>
            new OpenQA.Selenium.Interactions.Actions(browser.Driver, TimeSpan.FromMilliseconds(20))
                .KeyDown(Keys.Control).MoveToLocation(x, y).ClickAndHold().MoveToLocation(x, y + 4)
                .MoveToLocation(x, y + 8).Release().KeyUp(Keys.Control).Perform());
        ((PictureItem)Saved().Job.Item(id)!).PanY.ShouldBeGreaterThan(-100);
        Saved().Composed.Sheets[0].Scene.Item(id)!.Frame.ShouldBe(frame);
        for (var n = 0; n < 8; n++) Back();
    }

    [Fact]
    public void A_picture_dropped_on_a_panel_hangs_there_in_its_own_proportions_and_what_is_none_is_refused()
    {
        browser.Go("/jobs/orrin/wrap");
        const string drop = """
            const bytes = Uint8Array.from(atob(arguments[0]), c => c.charCodeAt(0));
            const data = new DataTransfer();
            data.items.add(new File([bytes], arguments[1]));
            const at = document.querySelector('#hits [data-pick=blurb]').getBoundingClientRect();
            document.getElementById('sheet').dispatchEvent(new DragEvent('drop', { dataTransfer: data,
                clientX: at.x + 20, clientY: at.bottom + 40, bubbles: true, cancelable: true }));
            """;
        browser.AndWait(() =>
            browser.Script(drop, Convert.ToBase64String(File.ReadAllBytes(Made("bridge.jpg", 400, 300))),
                "bridge.jpg"));
        var row = browser.Find("#list-back [id^=row-picture-] [aria-expanded=true]");
        row.Text.ShouldContain("bridge.jpg");
        var item = Saved().Job.Items.OfType<PictureItem>().Single(p => p.Hold.Panel == Part.Back);
        item.Hold.Panel.ShouldBe(Part.Back);
        ((double)item.Width.Own.Units / item.Height.Own.Units).ShouldBe(4 / 3.0, 0.001);
        // The drawer has it, asks where it is from, and keeps what a step still shows.
        browser.Go("/drawer");
        var listed = $"#picture-{item.Picture!.Hash[..12]}";
        browser.Text(listed).ShouldContain("bridge.jpg 400 × 300 pixels");
        browser.Text(listed).ShouldContain("Bridges of the Orrin Valley");
        browser.Find(listed + " [name=maker]").SendKeys("Edda Lindqvist");
        browser.Find(listed + " [name=licence]").SendKeys("for this edition" + Keys.Enter);
        browser.Until(() => browser.Find(listed + " [name=maker]").GetDomAttribute("value") == "Edda Lindqvist");
        var desk = browser.Desk;
        desk.Drawer.Pictures.Credits(desk.Jobs.Job("orrin").Job)
            .ShouldContain("bridge.jpg: by Edda Lindqvist, source not stated, for this edition");
        browser.Go("/jobs/orrin/wrap");
        Back();
        Should.Throw<Refusal>(() => desk.Drawer.Pictures.Remove(item.Picture.Hash)).Message
            .ShouldContain("used by orrin, if only in an earlier step");
        browser.AndWait(() => browser.Find("#docket [data-step=forward]").Click());
        var tick = browser.Tick;
        browser.Script(drop, Convert.ToBase64String("%PDF-1.7 no picture"u8.ToArray()), "plan.pdf");
        browser.Until(() =>
            browser.Text("#notice")
                .StartsWith("plan.pdf is no picture that can be taken in", StringComparison.Ordinal));
        browser.Tick.ShouldBe(tick);
        Back();
    }

    private const string Brought = """
        const [kind, ...files] = arguments;
        const data = new DataTransfer();
        for (const [name, bytes] of files) data.items.add(new File([Uint8Array.from(atob(bytes), c => c.charCodeAt(0))],
            name, { type: 'image/jpeg' }));
        const at = document.querySelector('#hits [data-pick=blurb]').getBoundingClientRect();
        const where = { clientX: at.x + 20, clientY: at.bottom + 40, bubbles: true, cancelable: true };
        const sheet = document.getElementById('sheet');
        sheet.dispatchEvent(new PointerEvent('pointermove', where));
        if (kind === 'drop') sheet.dispatchEvent(new DragEvent('drop', { dataTransfer: data, ...where }));
        else {
          if (kind !== 'paste') data.setData('text/plain', kind);
          document.body.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
        }
        """;

    private object[] Bytes(string name, int wide, int high) =>
        [name, Convert.ToBase64String(File.ReadAllBytes(Made(name, wide, high)))];

    [Fact]
    public void Several_files_come_in_beside_one_another_and_what_is_pasted_lies_where_the_pointer_was()
    {
        browser.Go("/jobs/orrin/wrap");
        IReadOnlyList<PictureItem> pictures() =>
            [.. Saved().Job.Items.OfType<PictureItem>().Where(p => p.Hold.Panel == Part.Back)];
        var texts = Saved().Job.Items.OfType<TextItem>().Count();
        browser.Script(Brought, "drop", Bytes("one.jpg", 300, 200), Bytes("two.jpg", 200, 300));
        browser.Until(() => pictures().Count == 2);
        pictures().Select(p => p.Picture!.Name).ShouldBe(["one.jpg", "two.jpg"], ignoreOrder: true);
        var frames = pictures().OrderBy(p => p.Picture!.Name)
            .Select(p => Saved().Composed.Sheets[0].Scene.Item(p.Id)!.Frame).ToList();
        var aside = Length.FromMillimetres(8).Points;
        static double middle(double from, double to) => (from + to) / 2;
        (middle(frames[1].Left, frames[1].Right) - middle(frames[0].Left, frames[0].Right))
            .ShouldBe(aside, 0.1, "each lies aside of the one before");
        (middle(frames[1].Top, frames[1].Bottom) - middle(frames[0].Top, frames[0].Bottom)).ShouldBe(aside, 0.1);

        browser.Until(() => browser.Tick == Saved().Tick);
        browser.Script(Brought, "paste", Bytes("three.jpg", 120, 120));
        browser.Until(() => pictures().Count == 3);

        browser.Until(() => browser.Tick == Saved().Tick);
        browser.Script(Brought, "A line from elsewhere,\nand another");
        browser.Until(() => Saved().Job.Items.OfType<TextItem>().Count() == texts + 1);
        var text = Saved().Job.Items.OfType<TextItem>().Last();
        (text.Words, text.Hold.Panel, text.Starter).ShouldBe(("A line from elsewhere,\nand another", Part.Back, false));

        // On a picture that hangs there another is laid, and only with Alt in its place.
        browser.Until(() => browser.Tick == Saved().Tick);
        const string onto = """
            const data = new DataTransfer();
            data.items.add(new File([Uint8Array.from(atob(arguments[1]), c => c.charCodeAt(0))], arguments[0],
                { type: 'image/jpeg' }));
            const hit = document.querySelector('#hits [data-pick=' + arguments[2] + ']');
            const at = hit.getBoundingClientRect();
            hit.dispatchEvent(new DragEvent('drop', { dataTransfer: data,
                altKey: arguments[3], clientX: at.x + 9, clientY: at.y + 9, bubbles: true, cancelable: true }));
            """;
        var hung = pictures()[0];
        var four = Bytes("four.jpg", 90, 60);
        browser.Script(onto, four[0], four[1], hung.Id, false);
        browser.Until(() => pictures().Count == 4);
        pictures().Single(p => p.Id == hung.Id).Picture.ShouldBe(hung.Picture);
        browser.Until(() => browser.Tick == Saved().Tick);
        browser.Script(onto, four[0], four[1], hung.Id, true);
        browser.Until(() => pictures().Single(p => p.Id == hung.Id).Picture!.Name == "four.jpg");
        browser.Until(() => browser.Tick == Saved().Tick);
        for (var n = 0; n < 6; n++) Back();
        pictures().ShouldBeEmpty();
    }
}
