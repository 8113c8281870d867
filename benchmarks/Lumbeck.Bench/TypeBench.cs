using System.Diagnostics;
using System.Globalization;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;
using OpenQA.Selenium;

namespace Lumbeck.Bench;

/// <summary>
/// Type: setting a blurb, embedding faces, and from a key pressed on the sheet to the glyphs drawn anew.
/// </summary>
internal static class TypeBench
{
    private const string Sentence = "When the sea leaves the estuary one October morning and does not come back, the " +
        "town asks for the second book and learns, reluctantly, who has been writing in it after her. ";

    /// <summary>
    /// A blurb of 250 words, no two settings of it alike, so that nothing is known from the one before.
    /// </summary>
    private static string Blurb(int n)
    {
        var words = string.Concat(Enumerable.Repeat(Sentence, 9)).Split(' ', StringSplitOptions.RemoveEmptyEntries)
            .Take(249).Append(n.ToString(CultureInfo.InvariantCulture)).ToList();
        words.Insert(100, "\n" + words[100]);
        return string.Join(' ', words);
    }

    public static async Task Run(string folder)
    {
        var shelf = new FaceShelf();
        var style = new TextStyle
        {
            Face = new("eb-garamond", 400, false),
            Size = Length.FromPoints(11),
            Align = Align.Justified,
            Hyphenate = true,
        };
        var n = 0;
        Benches.Time("a 250-word blurb set, justified", 200, 1,
            () => Typesetter.Set(new TextToSet(Blurb(++n), style), 300, 700, shelf).Lines.Length, new Aim(5, "ms"));
        Benches.Time("  peer: HarfBuzz shaping it as one run", 200, 1,
            () =>
            {
                var b = Blurb(++n);
                return shelf.Shape(style.Face, b, 0, b.Length, new(false, "Latn", "en", "")).Glyphs.Length;
            });
        Embed(shelf);
        var (server, client) = await Benches.Start(Path.Combine(folder, "type"));
        using var s = server;
        using var c = client;
        try { Keys(client.BaseAddress!); }
        finally
        {
            server.Kill();
            await server.WaitForExitAsync();
        }
    }

    /// <summary>A press file of four faces with a pangram each, beside copying their files.</summary>
    private static void Embed(FaceShelf shelf)
    {
        FaceId[] faces = [new("eb-garamond", 400, false), new("cormorant-garamond", 600, false),
            new("work-sans", 400, false), new("playfair-display", 700, false)];
        var job = Starters.Job(HouseFile.Shipped["tern"], "Type");
        for (var i = 0; i < faces.Length; i++)
            job = new AddItem(new TextItem
            {
                Id = $"t{i}",
                Words = "Sphinx of black quartz, judge my vow 0123456789",
                Hold = new(Part.Front, HoldBox.Safe, Anchor.Top, default, Length.FromPoints(40 * i)),
                Width = Span.Full,
                Height = new(Length.FromPoints(38)),
                Style = new() { Face = faces[i] }
            })
                .Apply(job);
        var scene = SceneBuilder.Build(job, job.Sheets()[0], shelf);
        var empty = SceneBuilder.Build(job with { Wraps = [job.Wraps[0].With(job.Take with { Items = [] })] },
            job.Sheets()[0], shelf);
        long written(Scene of)
        {
            using var m = new MemoryStream();
            PressFile.Write(m, [of], new(PressKind.X4), job.Ticket.House,
                new("Type", "", "", DateTimeOffset.UnixEpoch, "t", 1), shelf);
            return m.Length;
        }
        Benches.Time("four faces made subsets of and embedded", 60, 1, () => written(scene));
        Benches.Time("  peer: the same file without type (aim: 40 ms under)", 60, 1, () => written(empty));
    }

    /// <summary>From a key's event to the frame in which its glyphs stand, over and over in one text.</summary>
    private static void Keys(Uri address)
    {
        if (!File.Exists("/usr/bin/chromedriver"))
        {
            Console.WriteLine("no chromedriver here: keys are not measured");
            return;
        }
        using var driver = HandBench.Chromium();
        driver.Navigate().GoToUrl(new Uri(address, "/jobs/tidewatcher/wrap?item=title"));
        driver.Manage().Timeouts().AsynchronousJavaScript = TimeSpan.FromSeconds(120);
        driver.FindElement(By.CssSelector("[data-type=title]")).Click();
        var times = (IEnumerable<object>)driver.ExecuteAsyncScript("""
            const done = arguments[0];
            const wait = ms => new Promise(r => setTimeout(r, ms));
            (async () => {
              while (!document.getElementById('carets').dataset.stops || !document.getElementById('typed-in').value) await wait(20);
              const field = document.getElementById('typed-in');
              const art = document.getElementById('s-title').closest('#art');
              const times = [];
              for (let i = 0; i < 60; i++) {
                field.focus();
                const from = performance.now();
                // As a key would: the field changes, then its event is told.
                field.value = i % 2 === 0 ? field.value + 'n' : field.value.slice(0, -1);
                field.setSelectionRange(field.value.length, field.value.length);
                const drawn = new Promise(r => {
                    const o = new MutationObserver(() => { o.disconnect(); requestAnimationFrame(() => r()); });
                    o.observe(art, { subtree: true, childList: true, attributes: true }); });
                field.dispatchEvent(new InputEvent('input', { bubbles: true }));
                await drawn;
                times.push((performance.now() - from) * 1000);
                await wait(60);
              }
              done(times);
            })();
            """)!;
        Benches.Report("a key on the sheet to its glyphs",
            [.. times.Skip(5).Select(t => Convert.ToDouble(t, CultureInfo.InvariantCulture))], new Aim(60, "ms"));
        var round = (IEnumerable<object>)driver.ExecuteAsyncScript("""
            const done = arguments[0];
            (async () => { const times = [];
                for (let i = 0; i < 40; i++) {
                const from = performance.now();
                await (await fetch(document.body.dataset.base + '/news?seen=' + document.body.dataset.tick + '&place=Wrap')).text();
                await new Promise(r => requestAnimationFrame(() => r()));
                times.push((performance.now() - from) * 1000);
                } done(times); })();
            """)!;
        Benches.Report("  peer: asking for nothing, and a frame",
            [.. round.Select(t => Convert.ToDouble(t, CultureInfo.InvariantCulture))]);
        driver.Quit();
    }
}
