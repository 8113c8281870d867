using System.Diagnostics;

namespace Lumbeck.Mutants;

/// <summary>A class of tests, how long it takes and which figures it asks for.</summary>
internal sealed record TestClass(string Project, string Name, TimeSpan Takes, IReadOnlySet<int> Sees);

/// <summary>Copies of the tests' folders, in which one assembly is a mutant.</summary>
internal sealed class Bench(string root, string own)
{
    private static readonly TimeSpan Most = TimeSpan.FromMinutes(6);

    /// <summary>So long classes are asked together; the others one by one, the quickest first.</summary>
    private static readonly TimeSpan Together = TimeSpan.FromSeconds(12);

    /// <summary>The class of tests, or the first of several, that tells a mutant from the program; null where none does.</summary>
    public string? Killer(IEnumerable<TestClass> classes, IReadOnlyDictionary<string, string>? environment = null)
    {
        foreach (var project in classes.GroupBy(c => c.Project).OrderBy(p => p.Min(c => c.Takes)))
        {
            var open = project.OrderBy(c => c.Takes).ToList();
            while (open.Count > 0)
            {
                var sum = TimeSpan.Zero;
                var now = open.TakeWhile((c, n) => n == 0 || (sum += c.Takes) < Together).ToList();
                open.RemoveRange(0, now.Count);
                if (!Passes(project.Key, now.Select(c => c.Name),
                    environment)) return $"{project.Key} {now[0].Name.Split('.')[^1]} …";
            }
        }
        return null;
    }

    /// <summary>Lays an assembly in a project's tests.</summary>
    public void Lay(string project, string assembly, string made)
    {
        var place = Path.Combine(Folder(project), assembly);
        File.Delete(place);
        File.Copy(made, place);
    }

    /// <summary>The names of a project's classes.</summary>
    public IReadOnlyList<string> Classes(string project)
    {
        using var run = Start(project, ["-list", "classes"], null);
        var all = run.StandardOutput.ReadToEnd().Split('\n').Select(l => l.Trim())
            .Where(l => l.StartsWith($"Lumbeck.{project}.Tests.", StringComparison.Ordinal)).ToList();
        run.WaitForExit();
        return all;
    }

    /// <summary>Asks one class of the program as it is: how long it takes, and what it asks for. Null where it fails.</summary>
    public TestClass? Look(string project, string name)
    {
        var told = Path.Combine(own, "seen.txt");
        File.Delete(told);
        var since = Stopwatch.GetTimestamp();
        if (!Passes(project, [name], new Dictionary<string, string> { [Switched.Seen] = told })) return null;
        var seen = File.Exists(told) ? File.ReadAllText(told).Split(' ', StringSplitOptions.RemoveEmptyEntries)
            .Select(n => int.Parse(n, System.Globalization.CultureInfo.InvariantCulture)).ToHashSet() : [];
        return new(project, name, Stopwatch.GetElapsedTime(since), seen);
    }

    /// <summary>
    /// A folder of the tests, of links to what was built, but for what the next build writes anew.
    /// </summary>
    public string Folder(string project)
    {
        var folder = Path.Combine(own, project);
        if (Directory.Exists(folder)) return folder;
        Directory.CreateDirectory(own);
        using var copy = Process.Start("cp", ["-al", Path.Combine(root,
            $"tests/Lumbeck.{project}.Tests/bin/Release/net10.0"), folder]);
        copy.WaitForExit();
        foreach (var built in Directory.GetFiles(folder, "Lumbeck.*"))
        {
            var bytes = File.ReadAllBytes(built);
            File.Delete(built);
            File.WriteAllBytes(built, bytes);
        }
        return folder;
    }

    private Process Start(string project, IEnumerable<string> words, IReadOnlyDictionary<string, string>? environment)
    {
        var folder = Folder(project);
        var start = new ProcessStartInfo("dotnet") { WorkingDirectory = folder, RedirectStandardOutput = true,
            RedirectStandardError = true };
        foreach (var word in words.Prepend(Path.Combine(folder, $"Lumbeck.{project}.Tests.dll"))) start.ArgumentList
            .Add(word);
        start.Environment["DOTNET_TieredPGO"] = "0";
        start.Environment["DOTNET_gcConcurrent"] = "0";
        foreach (var (name, value) in environment ?? new Dictionary<string, string>()) start.Environment[name] = value;
        return Process.Start(start)!;
    }

    private bool Passes(string project, IEnumerable<string> classes, IReadOnlyDictionary<string, string>? environment)
    {
        using var run = Start(project, ["-stopOnFail", "-noLogo", "-trait-", "width=wide", .. classes.SelectMany(c =>
            (string[])["-class", c])],
            environment);
        run.OutputDataReceived += (_, _) => { };
        run.ErrorDataReceived += (_, _) => { };
        run.BeginOutputReadLine();
        run.BeginErrorReadLine();
        // One that never ends is told from the program, too.
        if (run.WaitForExit(Most)) return run.ExitCode == 0;
        run.Kill(entireProcessTree: true);
        return false;
    }
}
