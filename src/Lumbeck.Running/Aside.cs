using System.Diagnostics;
using System.Globalization;

namespace Lumbeck.Running;

/// <summary>
/// Temporary files and folders. Each bears the name of the program that made it, so that the next that begins takes away
/// what one left that did not end in order.
/// </summary>
public static class Aside
{
    private const string Prefix = "lumbeck-of-";

    private static string Mine { get; } = string.Create(CultureInfo.InvariantCulture,
        $"{Prefix}{Environment.ProcessId}-{RunningProcess.Started(Process.GetCurrentProcess())}-");

    /// <summary>An empty folder, its owner's alone.</summary>
    public static DirectoryInfo Folder() => Directory.CreateTempSubdirectory(Mine);

    /// <summary>The path of a file that is not there yet.</summary>
    public static string FilePath() => Path.Combine(Path.GetTempPath(), Mine + Path.GetRandomFileName());

    /// <summary>Takes away what programs of this machine left that are gone.</summary>
    /// <param name="within">The folder; the system's own for temporary files where it is null.</param>
    public static void Sweep(string? within = null)
    {
        foreach (var left in new DirectoryInfo(within ?? Path.GetTempPath()).EnumerateFileSystemInfos(Prefix + "*"))
        {
            if (left.Name[Prefix.Length..].Split('-') is not [var id, var started, ..]
                || !int.TryParse(id, NumberStyles.None, CultureInfo.InvariantCulture, out var process)
                || !long.TryParse(started, NumberStyles.None, CultureInfo.InvariantCulture, out var then)
                || RunningProcess.IsThere(process, then))
                continue;
            try
            {
                if (left is DirectoryInfo folder) folder.Delete(recursive: true); else left.Delete();
            }
            catch (Exception e) when (e is IOException or UnauthorizedAccessException)
            {
                // Somebody else's, or gone.
            }
        }
    }
}
