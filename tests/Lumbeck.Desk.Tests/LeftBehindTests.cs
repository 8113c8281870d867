using System.Diagnostics;
using Lumbeck.Running;

namespace Lumbeck.Desk.Tests;

/// <summary>What a program leaves that ends in the midst of its work: nothing that runs, nothing that stays.</summary>
public sealed class LeftBehindTests : IDisposable
{
    private readonly string _folder = Aside.Folder().FullName;

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    private string At(string name) => Path.Combine(_folder, name);

    private static bool IsThere(string pid) => Directory.Exists("/proc/" + pid)
        // What has ended and is not waited for by anybody is no program any more.
        && !File.ReadAllText($"/proc/{pid}/stat").Contains(") Z ", StringComparison.Ordinal);

    private static void Until(Func<bool> so) => SpinWait.SpinUntil(so, TimeSpan.FromMinutes(2)).ShouldBeTrue();

    private string Read(string name)
    {
        Until(() => File.Exists(At(name)) && File.ReadAllText(At(name)).EndsWith('\n'));
        return File.ReadAllText(At(name)).Trim();
    }

    [Theory, InlineData("KILL"), InlineData("TERM")]
    [System.Runtime.Versioning.UnsupportedOSPlatform("windows")]
    public async Task It_ends_with_the_program_that_began_it_however_that_ends(string signal)
    {
        // A program that draws and never ends, found before the true one.
        // Written by another process: a file that this one has open, or a child that begins at the same moment, can't be run.
        using (var written = Process.Start("/bin/sh", ["-ec", $"for name in pdftoppm pdftocairo; do printf '#!/bin/sh\\necho $$ > " +
            $"$HERE/drawing\\nexec sleep 600\\n' > {_folder}/$name; chmod 755 {_folder}/$name; done"]))
        {
            await written.WaitForExitAsync();
            written.ExitCode.ShouldBe(0);
        }
        // From a folder that goes while it works, as a shell's may.
        var start = new ProcessStartInfo("/bin/sh")
        {
            RedirectStandardError = true,
            RedirectStandardOutput = true,
            WorkingDirectory = Directory.CreateDirectory(At("gone")).FullName,
        };
        foreach (var a in (string[])["-c", "rmdir \"$PWD\"; exec \"$0\" \"$@\"",
            Path.Combine(AppContext.BaseDirectory, "lumbeck"), "mend", At("given.pdf"), "--house", "tern", "--binding", "paperback",
            "--trim",
            "5x8in", "--pages", "100",
            "--out", At("out.pdf")])
            start.ArgumentList.Add(a);
        start.Environment["PATH"] = _folder + ":" + Environment.GetEnvironmentVariable("PATH");
        start.Environment["HERE"] = _folder;
        start.Environment["TMPDIR"] = Directory.CreateDirectory(At("temporary")).FullName;
        File.WriteAllBytes(At("given.pdf"), Drawn());
        using var program = Process.Start(start)!;
        var said = program.StandardError.ReadToEndAsync();
        Until(() => File.Exists(At("drawing")) || program.HasExited);
        program.HasExited.ShouldBeFalse(program.HasExited ? await said : "");
        var drawing = Read("drawing");
        IsThere(drawing).ShouldBeTrue();
        using (var kill = Process.Start("kill", [$"-{signal}", $"{program.Id}"])) kill.WaitForExit();
        program.WaitForExit();
        Until(() => !IsThere(drawing));
        // What it kept aside goes with it, or when the next begins.
        if (signal == "KILL") Aside.Sweep(At("temporary"));
        Directory.GetFileSystemEntries(At("temporary"), "lumbeck-of-*").ShouldBeEmpty();
    }

    /// <summary>A page with something that must be drawn as pixels: a colour space that no reader knows.</summary>
    private static byte[] Drawn()
    {
        const string content = "/A cs 0.5 sc 10 10 200 200 re f";
        string[] objects =
        [
            "<</Type/Catalog/Pages 2 0 R>>", "<</Type/Pages/Kids[3 0 R]/Count 1>>",
            "<</Type/Page/Parent 2 0 R/MediaBox[0 0 750 600]/Contents 4 0 R/Resources<</ColorSpace<</A[/Unknown 1]>>>>>>",
            $"<</Length {content.Length}>> stream\n{content}\nendstream",
        ];
        var (file, at) = (new System.Text.StringBuilder("%PDF-1.4\n"), new List<int>());
        foreach (var (n, body) in objects.Index())
        {
            at.Add(file.Length);
            file.Append(CultureInfo.InvariantCulture, $"{n + 1} 0 obj {body} endobj\n");
        }
        var table = file.Length;
        file.Append("xref\n0 5\n0000000000 65535 f \n");
        foreach (var offset in at) file.Append(CultureInfo.InvariantCulture, $"{offset:0000000000} 00000 n \n");
        file.Append(CultureInfo.InvariantCulture, $"trailer <</Root 1 0 R/Size 5>>\nstartxref\n{table}\n%%EOF\n");
        return System.Text.Encoding.ASCII.GetBytes(file.ToString());
    }
}
