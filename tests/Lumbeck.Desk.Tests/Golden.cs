using System.Runtime.CompilerServices;

namespace Lumbeck.Desk.Tests;

/// <summary>Files that were made by earlier versions, and are read for ever.</summary>
internal static class Golden
{
    /// <summary>Beside the tests that run.</summary>
    public static string Path(string name) => System.IO.Path.Combine(AppContext.BaseDirectory, "Golden", name);

    /// <summary>In the sources, to be written anew.</summary>
    public static string Source(string name, [CallerFilePath] string here = "") =>
        System.IO.Path.GetFullPath(System.IO.Path.Combine(System.IO.Path.GetDirectoryName(here)!, "../Golden", name));
}
