using System.Diagnostics;
using System.Reflection;
using System.Text;

namespace Lumbeck.Desk.Tests;

/// <summary>The command line, on a copy of the demo.</summary>
internal static class CommandLine
{
    private static readonly AsyncLocal<(StringWriter Out, StringWriter Error)?> Heard = new();
    private static readonly Lock OneAtATime = new();
    private static readonly MethodInfo Main = Assembly.Load("lumbeck").EntryPoint!;

    static CommandLine()
    {
        Console.SetOut(new Routed(Console.Out, () => Heard.Value?.Out));
        Console.SetError(new Routed(Console.Error, () => Heard.Value?.Error));
    }

    /// <summary>Runs it within this process, which saves each call the second that a program takes to begin.</summary>
    /// <param name="folder">Where it is run; its data lies in <c>data</c> there.</param>
    /// <param name="arguments">What is typed.</param>
    public static (int Exit, string Out, string Error) Run(string folder, params string[] arguments)
    {
        lock (OneAtATime)
        {
            var before = Environment.CurrentDirectory;
            (StringWriter Out, StringWriter Error) heard = (new(), new());
            try
            {
                Environment.SetEnvironmentVariable("LUMBECK_DATA", DemoData.In(Path.Combine(folder, "data")));
                Environment.CurrentDirectory = folder;
                Heard.Value = heard;
                var exit = (int)Main.Invoke(null, BindingFlags.DoNotWrapExceptions, null, [arguments], null)!;
                return (exit, heard.Out.ToString(), heard.Error.ToString());
            }
            finally
            {
                Heard.Value = null;
                Environment.CurrentDirectory = before;
                Environment.SetEnvironmentVariable("LUMBECK_DATA", null);
            }
        }
    }

    /// <summary>The same as a person runs it: a process of its own.</summary>
    public static (int Exit, string Out, string Error) Apart(string folder, params string[] arguments)
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

    /// <summary>Writes where the one who runs it listens; as before where nobody does.</summary>
    private sealed class Routed(TextWriter plain, Func<TextWriter?> heard) : TextWriter
    {
        private TextWriter To => heard() ?? plain;
        public override Encoding Encoding => plain.Encoding;
        public override void Write(char value) => To.Write(value);
        public override void Write(string? value) => To.Write(value);
        public override void Flush() => To.Flush();
    }
}
