using Lumbeck.Desk.Demo;

namespace Lumbeck.Tests;

/// <summary>
/// The demo's data folder, laid once for all tests of a day's build and copied for each that wants one of its own.
/// </summary>
internal static class DemoData
{
    private static readonly Lazy<string> Laid = new(() =>
    {
        var build = typeof(DemoBench).Assembly.ManifestModule.ModuleVersionId;
        var folder = Path.Combine(Path.GetTempPath(), $"lumbeck-demo-{DateTime.Now:yyyy-MM-dd}-{build:n}");
        if (Directory.Exists(folder)) return folder;
        var aside = Directory.CreateTempSubdirectory("lumbeck-demo-").FullName;
        _ = new Lumbeck.Desk.AppServices(aside, TimeProvider.System, DemoBench.Load);
        try { Directory.Move(aside, folder); }
        // Another process of tests was quicker.
        catch (IOException) when (Directory.Exists(folder)) { Directory.Delete(aside, recursive: true); }
        return folder;
    });

    /// <summary>Copies the demo into a folder that is not there yet, or empty.</summary>
    public static string In(string folder)
    {
        if (Directory.Exists(folder) && Directory.EnumerateFileSystemEntries(folder).Any()) return folder;
        foreach (var from in Directory.EnumerateDirectories(Laid.Value, "*", SearchOption.AllDirectories).Prepend(Laid.Value))
            Directory.CreateDirectory(Path.Combine(folder, Path.GetRelativePath(Laid.Value, from)));
        foreach (var from in Directory.EnumerateFiles(Laid.Value, "*", SearchOption.AllDirectories))
            File.Copy(from, Path.Combine(folder, Path.GetRelativePath(Laid.Value, from)));
        return folder;
    }

    /// <summary>A desk on a copy of the demo.</summary>
    public static Lumbeck.Desk.AppServices Desk(string folder) => new(In(folder), TimeProvider.System, DemoBench.Load);
}
