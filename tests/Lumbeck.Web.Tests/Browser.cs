using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;
using OpenQA.Selenium.Support.UI;

namespace Lumbeck.Web.Tests;

/// <summary>A headless browser at 1280 × 800 and a server with the demo bench.</summary>
public sealed class Browser : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;
    private readonly ChromeDriverService _service;

    public Browser()
    {
        Environment.SetEnvironmentVariable("SE_OFFLINE", "true");
        Environment.SetEnvironmentVariable("SE_AVOID_STATS", "true");
        Downloads = Directory.CreateDirectory(Path.Combine(_folder, "downloads")).FullName;
        Data = Path.Combine(_folder, "data");
        Server = new(Data);
        _service = ChromeDriverService.CreateDefaultService("/usr/bin", "chromedriver");
        var options = Options("profile");
        options.AddUserProfilePreference("plugins.always_open_pdf_externally", true);
        options.AddUserProfilePreference("download.default_directory", Downloads);
        Driver = Opened(_service, options);
        Driver.ExecuteCdpCommand("Browser.setDownloadBehavior",
            new() { ["behavior"] = "allow", ["downloadPath"] = Downloads });
    }

    private ChromeOptions Options(string profile)
    {
        var options = new WithoutWindows { BinaryLocation = "/usr/bin/chromium-headless-shell" };
        options.AddArguments("--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run",
            "--disable-background-networking", "--disable-component-update", "--disable-sync",
            "--disable-dev-shm-usage", "--hide-scrollbars", "--force-device-scale-factor=1", "--window-size=1280,800",
            $"--user-data-dir={Path.Combine(_folder, profile)}");
        options.SetLoggingPreference("browser", LogLevel.All);
        return options;
    }

    /// <summary>The browser without all that is for a monitor.</summary>
    private sealed class WithoutWindows : ChromeOptions
    {
        public WithoutWindows() => BrowserName = "chrome-headless-shell";
    }

    private static ChromeDriver Opened(ChromeDriverService service, ChromeOptions options)
    {
        // As long as a machine that has other work may take to begin.
        service.InitializationTimeout = TimeSpan.FromMinutes(3);
        var driver = new ChromeDriver(service, options, TimeSpan.FromMinutes(3));
        driver.ExecuteCdpCommand("Emulation.setDeviceMetricsOverride",
            new() { ["width"] = 1280, ["height"] = 800, ["deviceScaleFactor"] = 1, ["mobile"] = false });
        return driver;
    }

    /// <summary>Another browser beside this one, with a profile of its own; whoever asks for it ends it.</summary>
    public ChromeDriver Beside(Action<ChromeOptions> with)
    {
        var options = Options("beside");
        with(options);
        return Opened(ChromeDriverService.CreateDefaultService("/usr/bin", "chromedriver"), options);
    }

    public ChromeDriver Driver { get; }
    public Server Server { get; }

    /// <summary>The server's data, read beside it.</summary>
    public Desk.AppServices Desk => _desk ??= new(Data, TimeProvider.System);

    private Desk.AppServices? _desk;

    public string Data { get; }
    public string Downloads { get; }

    public void Go(string page) => Driver.Navigate().GoToUrl(new Uri(Server.Address, page));

    /// <summary>Asked by a line of script, which costs the browser a third of what its driver's own search does.</summary>
    public IWebElement Find(string css) =>
        Until(_ => (IWebElement?)Script("return document.querySelector(arguments[0])", css), css);

    /// <summary>Picks from a list, or from a select, by what is written for the choice.</summary>
    public void Pick(string css, string value) => AndWait(() =>
    {
        if (Find(css).TagName != "details") { Choose(css, value); return; }
        Find(css + " summary").Click();
        Find($"{css} [data-text='{value}']").Click();
    });

    private void Choose(string css, string value) =>
        Script("const s = arguments[0]; s.focus(); s.value = arguments[1]; s.dispatchEvent(new Event('change', { " +
            "bubbles: true }))",
            Find(css), value);

    /// <summary>How many there are now.</summary>
    public int Count(string css) => Convert.ToInt32(
        Script("return document.querySelectorAll(arguments[0]).length", css), CultureInfo.InvariantCulture);

    /// <summary>The words that are seen of it.</summary>
    public string Text(string css) => Until(_ => (string?)Script("const e = document.querySelector(arguments[0]); " +
        "return e && (e.checkVisibility() ? e.innerText ?? [...e.querySelectorAll('text')].map(t => t.textContent)" +
        ".join('\\n') : '')", css), css)
        .Replace('\u00a0', ' ').Trim();

    /// <summary>The working of a ticket's figure, open or not.</summary>
    public string Sum(string name) =>
        (string)Script("return document.querySelector('#sum-' + arguments[0] + ' .figure')?.textContent ?? ''", name)!;

    /// <summary>Waits for what a condition gives; three minutes at most, for a machine that has other work.</summary>
    public T Until<T>(Func<IWebDriver, T?> condition, string? what = null) => new WebDriverWait(new SystemClock(),
        Driver, TimeSpan.FromMinutes(3), TimeSpan.FromMilliseconds(60))
    { Message = what ?? "the page" }.Until(d =>
    {
        try { return condition(d); }
        catch (StaleElementReferenceException) { return default; }
        // The same, where the page was put in place of another while the browser looked.
        catch (UnknownErrorException e) when (e.Message.Contains("does not belong to the document",
            StringComparison.Ordinal))
        {
            return default;
        }
    })!;

    public void Until(Func<bool> condition) => Until<object>(_ => condition() ? true : null);

    /// <summary>The tick that the page shows.</summary>
    public long Tick =>
        long.Parse((string)Script("return document.body.dataset.tick")!, CultureInfo.InvariantCulture);

    /// <summary>Does something and waits until the page shows a newer tick.</summary>
    public void AndWait(Action act)
    {
        var before = Tick;
        act();
        Until(() => Tick > before);
    }

    /// <summary>Steps back; what was done elsewhere since the page was opened is asked about, and taken back.</summary>
    public void Undo() => AndWait(() =>
    {
        var before = Tick;
        Find("#docket [data-step=back]").Click();
        bool asked() => Count("#notice[data-asks]") > 0;
        Until(() => Tick > before || asked());
        if (Tick == before) Find("#notice[data-asks] button:last-of-type").Click();
    });

    /// <summary>Replaces a field's text and leaves it.</summary>
    public void Type(string css, string text) => AndWait(() => TypeOnly(css, text));

    public void TypeOnly(string css, string text)
    {
        var field = Find(css);
        field.SendKeys(Keys.Control + "a");
        field.SendKeys(text + (field.TagName == "textarea" ? Keys.Tab : Keys.Enter));
    }

    public object? Script(string js, params object[] arguments) => Driver.ExecuteScript(js, arguments);

    public void Dispose()
    {
        Driver.Quit();
        Driver.Dispose();
        _service.Dispose();
        Server.Dispose();
        Directory.Delete(_folder, recursive: true);
    }
}

[CollectionDefinition("browser")]
public sealed class BrowserCollection : ICollectionFixture<Browser>;

/// <summary>A second browser with a server and data of its own: what is asked of both takes half the time.</summary>
[CollectionDefinition("another browser")]
public sealed class AnotherBrowser : ICollectionFixture<Browser>;
