using System.Diagnostics;
using System.Diagnostics.Metrics;
using System.Globalization;
using Lumbeck.Web;
using OpenQA.Selenium.Chrome;

namespace Lumbeck.Bench;

/// <summary>
/// The hand on a cover of sixty items: an edit's way, the browser's own work while it drags, and how soon the screen is
/// there.
/// </summary>
internal static class HandBench
{
    private const string Slug = "tidewatcher";

    public static async Task Run(string folder)
    {
        var data = Path.Combine(folder, "hand");
        var desk = new Desk.AppServices(data, TimeProvider.System, DemoBench.Load);
        var have = desk.Jobs.Job(Slug).Job.Take.Items.Count;
        desk.Jobs.Apply(Slug,
            new(Guid.NewGuid().ToString(), "bench",
                _ => new Together([.. Enumerable.Range(0, 60 - have).Select(Tile)], "sixty items")));
        await ScenesPerEdit(data);
        var (server, client) = await Benches.Start(data);
        using var s = server;
        using var c = client;
        try
        {
            Browser(client.BaseAddress!);
        }
        finally
        {
            server.Kill();
            await server.WaitForExitAsync();
        }
    }

    private static AddItem Tile(int n) => new(new PolygonItem
    {
        Id = $"tile-{n}",
        Hold = new(Part.Back, HoldBox.Face, Anchor.TopLeft, Length.FromMillimetres(8 + (n % 9 * 13)),
            Length.FromMillimetres(20 + (n / 9 * 13))),
        Width = new(Length.FromMillimetres(9)),
        Height = new(Length.FromMillimetres(9)),
        Corners = 5 + (n % 4),
        Waist = 50,
        Fill = new InkPaint(Ink.White),
        Opacity = 60,
    });

    /// <summary>How many scenes are built for an edit that a browser makes and another tab fetches.</summary>
    private static async Task ScenesPerEdit(string data)
    {
        var built = 0L;
        using var listener = new MeterListener
        {
            InstrumentPublished = (i, l) => { if (i.Name == "lumbeck.scenes") l.EnableMeasurementEvents(i); },
        };
        listener.SetMeasurementEventCallback<long>((_, n, _, _) => Interlocked.Add(ref built, n));
        listener.Start();
        var app = LumbeckHost.Build(new StartOptions(0, data));
        await app.StartAsync();
        using var client = new HttpClient { BaseAddress = new(app.Urls.First()) };
        var hand = await Hand.At(client, Slug);
        await hand.Nudge();
        built = 0;
        const int edits = 50;
        for (var n = 0; n < edits; n++)
        {
            var seen = hand.Tick;
            await hand.Nudge();
            await client.GetAsync($"/jobs/{Slug}/news?seen={seen}&place=Wrap");
        }
        Console.WriteLine($"{"scenes built for an edit, seen in two tabs",-46} " +
            $"{((double)built / edits).ToString("0.00", CultureInfo.InvariantCulture),12}");
        await app.StopAsync();
        await app.DisposeAsync();
    }

    /// <summary>A browser as tests have it, without a monitor.</summary>
    internal static ChromeDriver Chromium()
    {
        Environment.SetEnvironmentVariable("SE_OFFLINE", "true");
        Environment.SetEnvironmentVariable("SE_AVOID_STATS", "true");
        var options = new ChromeOptions { BinaryLocation = "/usr/bin/chromium" };
        options.AddArguments("--headless=new", "--no-sandbox", "--disable-gpu", "--no-first-run",
            "--disable-dev-shm-usage", "--window-size=1280,800");
        var service = ChromeDriverService.CreateDefaultService("/usr/bin", "chromedriver");
        service.SuppressInitialDiagnosticInformation = true;
        service.HideCommandPromptWindow = true;
        return new(service, options);
    }

    /// <summary>First paint, and the time each pointer event of a drag keeps the browser.</summary>
    private static void Browser(Uri address)
    {
        if (!File.Exists("/usr/bin/chromedriver"))
        {
            Console.WriteLine("no chromedriver here: what a browser does is not measured");
            return;
        }
        using var driver = Chromium();
        foreach (var (name, page) in ((string, string)[])[("first paint of Wrap", "wrap"),
            ("  peer: first paint of Check", "check")])
        {
            var paints = new double[9];
            for (var i = 0; i < paints.Length; i++)
            {
                driver.ExecuteCdpCommand("Network.clearBrowserCache", []);
                driver.Navigate().GoToUrl(new Uri(address, $"/jobs/{Slug}/{page}"));
                paints[i] = 1000 * Convert.ToDouble(driver.ExecuteAsyncScript("const done = arguments[0]; new " +
                    "PerformanceObserver(l => { const p = l.getEntriesByName('first-contentful-paint')[0]; if (p) " +
                    "done(p.startTime); }).observe({ type: 'paint', buffered: true })"),
                    CultureInfo.InvariantCulture);
            }
            Benches.Report(name, paints, page == "wrap" ? new Aim(1, "s") : null);
        }
        driver.Navigate().GoToUrl(new Uri(address, $"/jobs/{Slug}/wrap"));
        foreach (var (name, down) in ((string, bool)[])[("a drag's pointer event", true),
            ("  peer: the same with nothing held", false)])
        {
            var times = (IEnumerable<object>)driver.ExecuteScript("""
                const hit = document.querySelector('#hits [data-pick=title]');
                const r = hit.getBoundingClientRect();
                const [x, y] = [r.x + r.width / 2, r.y + r.height / 2];
                const send = (type, dx, dy) => hit.dispatchEvent(
                    new PointerEvent(type, { pointerId: 1, isPrimary: true, button: 0,
                    clientX: x + dx, clientY: y + dy, bubbles: true, cancelable: true }));
                SVGElement.prototype.setPointerCapture = () => {};
                if (arguments[0]) send('pointerdown', 0, 0);
                const times = [];
                for (let i = 1; i <= 600; i++) {
                    const from = performance.now();
                    send('pointermove', (i * 7) % 160, (i * 5) % 110);
                    times.push((performance.now() - from) * 1000);
                    }
                document.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }));
                send('pointercancel', 0, 0);
                return times;
                """, down)!;
            Benches.Report(name, [.. times.Select(t => Convert.ToDouble(t, CultureInfo.InvariantCulture))],
                at95: down ? new Aim(4, "ms", "95th") : null);
        }
        driver.Quit();
    }
}
