using System.Diagnostics;
using System.Globalization;
using System.Net.Http.Json;
using System.Text.RegularExpressions;
using Lumbeck.Desk;
using Lumbeck.Press.Kinds;
using Lumbeck.Pdf.Objects;
using Lumbeck.Pdf.Writing;

namespace Lumbeck.Bench;

/// <summary>
/// What is timed: medians over many runs after a warm-up, in one process, on an otherwise idle machine.
/// </summary>
internal static partial class Benches
{
    /// <summary>The demo novel's whole arithmetic, beside the same sums in plain doubles.</summary>
    public static void Geometry()
    {
        var tern = HouseFile.Shipped["tern"];
        var book = new BookFacts(BindingKind.Paperback, Reading.LeftToRight, Size.FromInches(5.25m, 8), 312,
            tern.Papers[0]);
        Time("geometry, exact", 2000, 50, () => WrapGeometry.Of(book, tern), new Aim(20, "µs"));
        foreach (var (kind, _) in BindingKinds.Words.Select(w => (w.Value, w.Word))
            .Where(w => w.Value != BindingKind.Paperback))
            Time($"  the same book as a {kind.Say()}", 2000, 20,
                () => WrapGeometry.Of(book with { Binding = kind }, tern));
        Time("a printer's figures explained", 500, 5,
            () => Explanation.Of(book, tern, Size.FromInches(11.33m, 8), default), new Aim(2, "ms"));
        Time("  peer: the same widths in doubles", 2000, 50, () =>
        {
            double spine = 312 / 2 * 0.135, width = (2 * 133.35) + spine + (2 * 3.175), height = 203.2 + (2 * 3.175);
            double[] folds = [3.175 + 133.35, 3.175 + 133.35 + spine];
            return (width, height, folds);
        });
    }

    /// <summary>The demo novel's scene and checks, with type already shaped, beside its arithmetic alone.</summary>
    public static void Compose(string folder)
    {
        var desk = new Desk.AppServices(Path.Combine(folder, "compose"), TimeProvider.System, DemoBench.Load);
        var on = desk.Jobs.Job("tidewatcher");
        Time("scene and checks, warm", 200, 1, () => Composed.Of(on.Revision, on.Job, desk.Drawer.Shelf));
        Time("  peer: its geometry alone", 200, 1, () => on.Job.Geometry());
    }

    /// <summary>The demo novel's press file, beside writing that many bytes.</summary>
    public static void Press(string folder)
    {
        var desk = new Desk.AppServices(Path.Combine(folder, "press"), TimeProvider.System, DemoBench.Load);
        var on = desk.Jobs.Job("tidewatcher");
        var file = Path.Combine(folder, "cover.pdf");
        Time("press file, PDF/X-4", 30, 1, () =>
        {
            using var s = File.Create(file);
            desk.Pressing.WritePress(on, new(PressKind.X4), s);
            return s.Length;
        }, new Aim(150, "ms"));
        var bytes = File.ReadAllBytes(file);
        Time($"  peer: writing its {bytes.Length / 1000} kB", 30, 1,
            () => { File.WriteAllBytes(file, bytes); return 0; });
    }

    /// <summary>
    /// An edit from a browser's request to its answer, beside what the disk takes to flush; and what the Wrap screen
    /// weighs.
    /// </summary>
    public static async Task Server(string folder)
    {
        var (server, client) = await Start(Path.Combine(folder, "server"));
        using var s = server;
        using var c = client;
        try
        {
            var hand = await Hand.At(client, "tidewatcher");
            Time("an edit's round trip", 500, 1, () => hand.Resize().GetAwaiter().GetResult(), new Aim(15, "ms"));
            var clerk = await Hand.At(client, "calder", "Ticket");
            Time("ticket redrawn: pages changed", 200, 1, () => clerk.Pages().GetAwaiter().GetResult(), new Aim(30, "ms"));
            Time("ticket tried: pages typed, nothing saved", 200, 1, () => clerk.TryPages().GetAwaiter().GetResult());
            using (var f = new FileStream(Path.Combine(folder, "fsync"), FileMode.Create))
                Time("  peer: 4 kB written and flushed to this disk", 200, 1, () =>
                {
                    f.Write(new byte[4096]);
                    f.Flush(flushToDisk: true);
                    return 0;
                });
            Time("  peer: asking for news when there is none", 200, 1,
                () => client.GetAsync($"/jobs/tidewatcher/news?seen={hand.Tick}&place=Wrap").GetAwaiter().GetResult()
                    .StatusCode);
            await Weigh(client, await client.GetStringAsync("/jobs/tidewatcher/wrap?item=title"));
        }
        finally
        {
            server.Kill();
            await server.WaitForExitAsync();
        }
    }

    /// <summary>A server of its own on a data folder, and a client of it.</summary>
    internal static async Task<(Process Server, HttpClient Client)> Start(string data)
    {
        var bin = new DirectoryInfo(AppContext.BaseDirectory);
        var root = bin;
        while (!File.Exists(Path.Combine(root.FullName, "Lumbeck.slnx"))) root = root.Parent!;
        var start = new ProcessStartInfo("dotnet") { RedirectStandardOutput = true };
        foreach (var a in (string[])[Path.Combine(root.FullName, "src", "Lumbeck.Web", "bin", "Release", "net10.0",
            "Lumbeck.Web.dll"),
            "--port", "0", "--data", data])
            start.ArgumentList.Add(a);
        var server = Process.Start(start)!;
        string? line;
        do line = await server.StandardOutput.ReadLineAsync()
            ?? throw new InvalidOperationException("The server did not start.");
        while (!line.StartsWith("Lumbeck is open at ", StringComparison.Ordinal));
        return (server, new HttpClient { BaseAddress = new(line["Lumbeck is open at ".Length..]) });
    }

    /// <summary>
    /// An inside of 500 MB from the sender's first byte to the ticket's answer, beside copying as much on this disk;
    /// and the most memory the server ever had.
    /// </summary>
    public static async Task Inside(string folder)
    {
        var (server, client) = await Start(Path.Combine(folder, "inside"));
        using var s1 = server;
        using var c1 = client;
        client.DefaultRequestHeaders.Add("X-Lumbeck-Token",
            Token().Match(await client.GetStringAsync("/jobs/tidewatcher/ticket")).Groups[1].Value);
        var file = Path.Combine(folder, "inside.pdf");
        using (var s = File.Create(file))
        using (var pdf = new PdfWriter(s, "1.6"))
        {
            var noise = new byte[1_240_000];
            new Random(7).NextBytes(noise);
            var tree = pdf.Reserve();
            var kids = Enumerable.Range(0, 400).Select(_ =>
            {
                var picture = pdf.Stream(pdf.Reserve(), new()
                {
                    ["Type"] = "XObject",
                    ["Subtype"] = "Image",
                    ["Width"] = 1000,
                    ["Height"] = 413,
                    ["BitsPerComponent"] = 8,
                    ["ColorSpace"] = "DeviceRGB",
                }, o => o.Write(noise), compress: false);
                return pdf.Object(new PdfDict
                {
                    ["Type"] = "Page",
                    ["Parent"] = tree,
                    ["MediaBox"] = PdfArray.Of(0, 0, 378, 576),
                    ["Resources"] = new PdfDict { ["XObject"] = new PdfDict { ["P"] = picture } },
                });
            }).ToList();
            pdf.Object(tree, new PdfDict { ["Type"] = "Pages", ["Count"] = kids.Count, ["Kids"] = PdfArray.From(kids) });
            pdf.Finish(pdf.Object(new PdfDict { ["Type"] = "Catalog", ["Pages"] = tree }), pdf.Object(new PdfDict()));
        }
        long most() =>
            long.Parse(File.ReadLines($"/proc/{server.Id}/status").First(l =>
                l.StartsWith("VmHWM", StringComparison.Ordinal)).Split(' ', StringSplitOptions.RemoveEmptyEntries)[1],
                CultureInfo.InvariantCulture) / 1000;
        var before = most();
        var from = Stopwatch.GetTimestamp();
        using (var body = File.OpenRead(file))
        {
            var answer = await client.PostAsync("/jobs/tidewatcher/inside?name=inside.pdf", new StreamContent(body));
            answer.EnsureSuccessStatusCode();
        }
        var took = Stopwatch.GetElapsedTime(from);
        Console.WriteLine($"{$"an inside of {new FileInfo(file).Length / 1_000_000} MB laid on",-46} " +
            $"{$"{took.TotalSeconds:0.00} s",12}   the server's most memory {most()} MB, {before} MB " +
            $"before{new Aim(3, "s").Says(took.TotalSeconds)}{new Aim(200, "MB", "memory").Says(most())}");
        from = Stopwatch.GetTimestamp();
        File.Copy(file, file + ".copy");
        server.Kill();
        await server.WaitForExitAsync();
        Console.WriteLine($"{"  peer: copying the file on this disk",-46} " +
            $"{$"{Stopwatch.GetElapsedTime(from).TotalSeconds:0.00} s",12}");
    }

    private static async Task Weigh(HttpClient client, string page)
    {
        client.DefaultRequestHeaders.AcceptEncoding.ParseAdd("br");
        async Task<int> bytes(string path) => (await client.GetByteArrayAsync(path)).Length;
        var html = await bytes("/jobs/tidewatcher/wrap");
        var rest = 0;
        foreach (var asset in Asset().Matches(page).Select(m => m.Groups[1].Value).Distinct())
            rest += await bytes(asset);
        foreach (var face in (string[])["/built/hanken-grotesk.woff2", "/built/spline-sans-mono.woff2"])
            rest += await bytes(face);
        Console.WriteLine($"{"Wrap, all it loads",-46} {$"{(html + rest) / 1000.0:0} kB",12}   page " +
            $"{html / 1000.0:0} kB, script, styles and faces {rest / 1000.0:0} kB, " +
            $"compressed{new Aim(300, "kB").Says((html + rest) / 1000.0)}");
        Console.WriteLine($"{"  peer: the page without compression",-46} " +
            $"{$"{System.Text.Encoding.UTF8.GetByteCount(page) / 1000.0:0} kB",12}");
    }

    /// <param name="name">What is timed.</param>
    /// <param name="runs">How many figures are taken, after a tenth as many that are not.</param>
    /// <param name="batch">Calls a figure.</param>
    /// <param name="work">What is called.</param>
    /// <param name="median">What the middle figure is to stay under.</param>
    /// <param name="at95">What the 95th of a hundred is to stay under.</param>
    internal static void Time<T>(string name, int runs, int batch, Func<T> work, Aim? median = null, Aim? at95 = null)
    {
        for (var i = 0; i < Math.Max(3, runs / 10) * batch; i++) work();
        var times = new double[runs];
        for (var i = 0; i < runs; i++)
        {
            var from = Stopwatch.GetTimestamp();
            for (var j = 0; j < batch; j++) work();
            times[i] = Stopwatch.GetElapsedTime(from).TotalMicroseconds / batch;
        }
        Report(name, times, median, at95);
    }

    /// <summary>Prints what runs took, in microseconds.</summary>
    internal static void Report(string name, double[] times, Aim? median = null, Aim? at95 = null)
    {
        Array.Sort(times);
        static string shown(double us) =>
            us < 1000
                ? string.Create(CultureInfo.InvariantCulture, $"{us:0.00} µs")
                : string.Create(CultureInfo.InvariantCulture, $"{us / 1000:0.00} ms");
        var (middle, high) = (times[times.Length / 2], times[(int)(times.Length * 0.95)]);
        Console.WriteLine($"{name,-46} {shown(middle),12} {shown(high),12} {shown(times[0]),12} " +
            $"{shown(times[^1]),12}{median?.SaysOf(middle)}{at95?.SaysOf(high)}");
    }

    [GeneratedRegex("lumbeck-token\" content=\"([^\"]+)\"")]
    internal static partial Regex Token();

    [GeneratedRegex("__RequestVerificationToken\" type=\"hidden\" value=\"([^\"]+)\"")]
    internal static partial Regex Form();

    [GeneratedRegex("data-tick=\"(\\d+)\"")]
    internal static partial Regex Tick();

    [GeneratedRegex("(?:href|src)=\"(/(?:built|mark)[^\"]+)\"")]
    private static partial Regex Asset();
}
