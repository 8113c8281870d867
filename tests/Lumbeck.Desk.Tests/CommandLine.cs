using System.Diagnostics;

namespace Lumbeck.Desk.Tests;

/// <summary>The command line as a person runs it: a process of its own.</summary>
internal static class CommandLine
{
    /// <param name="folder">Where it is run; its data lies in <c>data</c> there.</param>
    /// <param name="arguments">What is typed.</param>
    public static (int Exit, string Out, string Error) Run(string folder, params string[] arguments)
    {
        var start = new ProcessStartInfo(Path.Combine(AppContext.BaseDirectory, "lumbeck"))
        {
            RedirectStandardOutput = true,
            RedirectStandardError = true,
            WorkingDirectory = folder,
        };
        start.Environment["LUMBECK_DATA"] = DemoData.In(Path.Combine(folder, "data"));
        foreach (var a in arguments) start.ArgumentList.Add(a);
        using var process = Process.Start(start)!;
        var error = process.StandardError.ReadToEndAsync();
        var output = process.StandardOutput.ReadToEnd();
        process.WaitForExit();
        return (process.ExitCode, output, error.Result);
    }
}
