namespace Lumbeck.Core.Tests;

/// <summary>Files of the project that say what the program does, and are held to it.</summary>
internal static class Manual
{
    /// <summary>Whether a file says a text; LUMBECK_WRITE_MANUAL=1 writes it anew, to be read over.</summary>
    /// <param name="path">From the project's root.</param>
    public static void Is(string path, string text)
    {
        if (Environment.GetEnvironmentVariable("LUMBECK_WRITE_MANUAL") == "1") File.WriteAllText(PathOf(path), text);
        File.ReadAllText(PathOf(path)).ShouldBe(text);
    }

    public static string PathOf(string path)
    {
        var root = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(root.FullName, "Lumbeck.slnx"))) root = root.Parent!;
        return Path.Combine(root.FullName, path);
    }
}
