using System.Diagnostics;

namespace Lumbeck.Mutants;

/// <summary>Tests that are asked of a mutant: a project of tests, and which of its classes.</summary>
/// <param name="Project">Such as <c>Core</c>.</param>
/// <param name="Classes">Those asked, and after a <c>-</c> those not asked; all where empty.</param>
internal sealed record Suite(string Project, params string[] Classes)
{
    /// <summary>What has none of these figures in it and takes half of the time.</summary>
    private static readonly Suite Core = new("Core", "-*HostileTests", "-*SudokuTests", "-*CalendarTests", "-*PuzzleBookTests",
        "-*PuzzleTests", "-*PageDesignTests", "-*UnicodeTests");

    /// <summary>The likeliest to tell first, then the others, then what is slower.</summary>
    public static IReadOnlyList<Suite> Of(string group) => group switch
    {
        "checks" =>
        [
            new("Core", "*Limit*", "*RulesTests", "*CheckTests", "*DrawnRulesTests", "*MendingTests", "*PictureTests"), Core,
            new("Desk", "*PlateChecksTests"),
        ],
        "geometry" =>
        [
            new("Core", "*GeometryTests", "*BookTests", "*ExplanationTests", "*HouseTests", "*SheetLimitTests"), Core,
            new("Press", "*TemplateTests"), new("Desk", "*DemoFilesTests"),
        ],
        "kinds" =>
        [
            new("Desk", "*DemoFilesTests"), new("Press", "*KindTests", "*PressedPagesTests", "*TemplateTests", "*PressFileTests"),
        ],
        _ =>
        [
            new("Core", "*HouseTests", "*GeometryTests", "*BookTests", "*ExplanationTests"), Core,
            new("Desk", "*DemoFilesTests"),
        ],
    };

    public override string ToString() => Classes.Length == 0 || Classes[0][0] == '-' ? Project : $"{Project} {string.Join(' ', Classes)}";
}

/// <summary>Copies of the tests' folders, in which one assembly is a mutant.</summary>
internal sealed class Bench(string root, string own)
{
    private static readonly TimeSpan Most = TimeSpan.FromMinutes(6);

    /// <summary>The suite that tells a mutant from the program; null where none does.</summary>
    /// <param name="assembly">The mutant's file name.</param>
    /// <param name="made">Where it was written.</param>
    /// <param name="suites">In the order they are asked.</param>
    public string? Killer(string assembly, string made, IEnumerable<Suite> suites)
    {
        foreach (var suite in suites)
        {
            var folder = Folder(suite.Project);
            var place = Path.Combine(folder, assembly);
            File.Delete(place);
            File.Copy(made, place);
            if (!Passes(folder, suite)) return suite.ToString();
        }
        return null;
    }

    /// <summary>
    /// A folder of the tests, of links to what was built; what is replaced becomes a file of its own.
    /// </summary>
    private string Folder(string project)
    {
        var folder = Path.Combine(own, project);
        if (Directory.Exists(folder)) return folder;
        Directory.CreateDirectory(own);
        using var copy = Process.Start("cp", ["-al", Path.Combine(root, $"tests/Lumbeck.{project}.Tests/bin/Release/net10.0"), folder]);
        copy.WaitForExit();
        return folder;
    }

    private static bool Passes(string folder, Suite suite)
    {
        var start = new ProcessStartInfo("dotnet") { WorkingDirectory = folder, RedirectStandardOutput = true, RedirectStandardError = true };
        foreach (var word in (string[])[Path.Combine(folder, $"Lumbeck.{suite.Project}.Tests.dll"), "-stopOnFail", "-noLogo", "-trait-",
            "width=wide", .. suite.Classes.SelectMany(c => c[0] == '-' ? (string[])["-class-", c[1..]] : ["-class", c])]) start.ArgumentList.Add(word);
        start.Environment["DOTNET_TieredPGO"] = "0";
        start.Environment["DOTNET_gcConcurrent"] = "0";
        using var run = Process.Start(start)!;
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
