using System.Diagnostics;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;

namespace Lumbeck.Press.Tests;

/// <summary>Other people's tools, run on our files.</summary>
internal static class Tool
{
    /// <summary>Runs a program and gives what it printed; fails the test where the program fails.</summary>
    public static string Run(string program, params string[] arguments)
    {
        var start = new ProcessStartInfo(program) { RedirectStandardOutput = true, RedirectStandardError = true };
        foreach (var a in arguments) start.ArgumentList.Add(a);
        using var process = Process.Start(start)!;
        var error = process.StandardError.ReadToEndAsync();
        var output = process.StandardOutput.ReadToEnd();
        process.WaitForExit();
        process.ExitCode.ShouldBe(0, $"{program} {string.Join(' ', arguments)}\n{output}\n{error.Result}");
        return output;
    }

    /// <summary>What a program says, whether it ends well or not.</summary>
    public static string Try(string program, params string[] arguments)
    {
        var start = new ProcessStartInfo(program) { RedirectStandardOutput = true };
        foreach (var a in arguments) start.ArgumentList.Add(a);
        using var process = Process.Start(start)!;
        var output = process.StandardOutput.ReadToEnd();
        process.WaitForExit();
        return output;
    }

    /// <summary>
    /// Chromium's picture of a page of a folder: <c>NAME.html</c> becomes <c>NAME.png</c>, a pixel for each of the
    /// page's own.
    /// </summary>
    public static void Chromium(Folder folder, string name, int wide, int high, string? fonts = null) => Run("env",
        fonts is null ? "LANG=C" : $"FONTCONFIG_FILE={fonts}", "/usr/bin/chromium-headless-shell",
        "--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run",
            "--disable-background-networking", "--disable-component-update",
        "--disable-sync", "--disable-dev-shm-usage", "--hide-scrollbars", "--force-device-scale-factor=1",
            "--force-color-profile=srgb",
        $"--user-data-dir={folder["profile"]}", $"--window-size={wide},{high}", $"--screenshot={folder[name + ".png"]}",
            new Uri(folder[name + ".html"])
            .AbsoluteUri);

    /// <summary>As coreutils reckons it.</summary>
    public static string Md5(byte[] bytes)
    {
        using var folder = new Folder();
        File.WriteAllBytes(folder["bytes"], bytes);
        return Run("md5sum", folder["bytes"])[..32].ToUpperInvariant();
    }
}

/// <summary>A folder that goes when the test does.</summary>
public sealed class Folder : IDisposable
{
    public string Path { get; } = Directory.CreateTempSubdirectory("lumbeck-").FullName;
    public string this[string name] => System.IO.Path.Combine(Path, name);
    public void Dispose() => Directory.Delete(Path, recursive: true);
}

/// <summary>The demo bench, opened once, and the Tidewatcher's press file.</summary>
public sealed class Pressed : IDisposable
{
    public Pressed()
    {
        Desk = new(DemoData.In(Folder.Path), TimeProvider.System, DemoBench.Load);
        File = Folder["tidewatcher.pdf"];
        Write(Desk, Desk.Jobs.Job("tidewatcher"), File);
    }

    public Folder Folder { get; } = new();
    public Desk.AppServices Desk { get; }
    public string File { get; }

    public static void Write(Desk.AppServices desk, OnBench on, string file)
    {
        using var s = System.IO.File.Create(file);
        desk.Pressing.WritePress(on, new(PressKind.X4) { Marks = false }, s);
    }

    /// <summary>A press file of a job that is on no bench.</summary>
    public string Press(Job job, string name)
    {
        var file = Folder[name];
        Write(Desk,
            Desk.Jobs.Job("tidewatcher") with
            {
                Composed = Composed.Of(Desk.Jobs.Job("tidewatcher").Revision, job, Desk.Drawer.Shelf),
            },
            file);
        return file;
    }

    public void Dispose() => Folder.Dispose();
}
