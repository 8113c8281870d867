using System.Diagnostics;
using System.Text.RegularExpressions;

namespace Lumbeck.Web.Tests;

/// <summary>Lumbeck's server as a process of its own, on a data folder and a free port.</summary>
public sealed partial class Server : IDisposable
{
    private readonly Process _process;

    public Server(string data, params string[] more)
    {
        if (!more.Contains("--empty")) DemoData.In(data);
        var bin = new DirectoryInfo(AppContext.BaseDirectory);
        var root = bin;
        while (!File.Exists(Path.Combine(root.FullName, "Lumbeck.slnx"))) root = root.Parent!;
        var program = Path.Combine(root.FullName, "src", "Lumbeck.Web", "bin", bin.Parent!.Name, bin.Name,
            "Lumbeck.Web.dll");
        var start = new ProcessStartInfo("dotnet") { RedirectStandardOutput = true, RedirectStandardError = true };
        foreach (var a in (string[])[program, "--port", "0", "--data", data, .. more]) start.ArgumentList.Add(a);
        _process = Process.Start(start)!;
        string? line;
        do line = _process.StandardOutput.ReadLine()
            ?? throw new InvalidOperationException("The server ended: " + _process.StandardError.ReadToEnd());
        while (!line.StartsWith("Lumbeck is open at ", StringComparison.Ordinal));
        Address = new(line["Lumbeck is open at ".Length..]);
        _ = _process.StandardError.ReadToEndAsync();
        // What went wrong is logged there.
        _ = Task.Run(async () =>
            { while (await _process.StandardOutput.ReadLineAsync() is { } said) lock (_errors) _errors.Add(said); });
    }

    private readonly List<string> _errors = [];

    /// <summary>All that it said since it was open.</summary>
    public IReadOnlyList<string> Said { get { lock (_errors) return [.. _errors]; } }

    /// <summary>What went wrong within, each with the first line of ours that it went through.</summary>
    public IReadOnlyList<string> Errors
    {
        get
        {
            lock (_errors)
                return
                [
                    .. _errors.Select((line, n) => (line, n))
                        .Where(l => l.line.Contains("Exception: ", StringComparison.Ordinal))
                        .Select(l =>
                            l.line.Trim() + " " + _errors.Skip(l.n)
                                .FirstOrDefault(e => e.Contains("at Lumbeck.", StringComparison.Ordinal))?.Trim())
                            .Distinct(),
                ];
        }
    }

    public Uri Address { get; }

    /// <summary>As <c>kill -9</c> does it.</summary>
    public void Kill()
    {
        if (_process.HasExited) return;
        _process.Kill();
        _process.WaitForExit();
    }

    /// <summary>A client as a browser tab would be: with the page's cookie and token.</summary>
    public async Task<HttpClient> Tab(string page)
    {
        var client = new HttpClient { BaseAddress = Address };
        var html = await client.GetStringAsync(page);
        client.DefaultRequestHeaders.Add("X-Lumbeck-Token", Token().Match(html).Groups[1].Value);
        return client;
    }

    public void Dispose()
    {
        Kill();
        _process.Dispose();
    }

    [GeneratedRegex("lumbeck-token\" content=\"([^\"]+)\"")]
    private static partial Regex Token();
}
