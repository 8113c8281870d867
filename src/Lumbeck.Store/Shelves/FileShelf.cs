using System.Security.Cryptography;

namespace Lumbeck.Store.Shelves;

/// <summary>
/// Files kept under the SHA-256 of what is in them: written aside, flushed to the disk, then named. A name is always
/// whole.
/// </summary>
public sealed class FileShelf
{
    private readonly string _folder;

    public FileShelf(string folder)
    {
        _folder = folder;
        Directory.CreateDirectory(folder);
        // What a program that was killed left half written bears no name, and goes; what another is writing now is
        // younger.
        foreach (var aside in Directory.GetFiles(folder, ".*"))
            if (DateTime.UtcNow - File.GetLastWriteTimeUtc(aside) > Left) File.Delete(aside);
    }

    private static readonly TimeSpan Left = TimeSpan.FromHours(1);

    /// <summary>Keeps what is written and gives its name and length.</summary>
    public (string Name, long Bytes) Keep(Action<Stream> write)
    {
        var aside = Path.Combine(_folder, $".{Guid.NewGuid():n}");
        try
        {
            string name;
            long bytes;
            using (var f = new FileStream(aside, FileMode.CreateNew, FileAccess.ReadWrite))
            {
                write(f);
                f.Flush(flushToDisk: true);
                bytes = f.Length;
                f.Position = 0;
                name = Convert.ToHexStringLower(SHA256.HashData(f));
            }
            File.Move(aside, Path.Combine(_folder, name), overwrite: true);
            return (name, bytes);
        }
        finally { File.Delete(aside); }
    }

    /// <summary>Opens what is kept under a name.</summary>
    /// <exception cref="FileNotFoundException">Nothing is.</exception>
    public FileStream Open(string name) => File.OpenRead(PathOf(name));

    /// <summary>
    /// Whether a kept file is there and still what it was when it was kept. What was found sound is looked at again
    /// only when it was written since.
    /// </summary>
    public bool IsSound(string name)
    {
        var file = new FileInfo(PathOf(name));
        if (!file.Exists) return false;
        var now = (file.Length, file.LastWriteTimeUtc);
        if (_sound.TryGetValue(name, out var known) && known == now) return true;
        using (var f = file.OpenRead()) if (Convert.ToHexStringLower(SHA256.HashData(f)) != name) return false;
        _sound[name] = now;
        return true;
    }

    private readonly System.Collections.Concurrent.ConcurrentDictionary<string, (long, DateTime)> _sound = new();

    /// <summary>Lets a kept file go.</summary>
    public void Drop(string name) => File.Delete(PathOf(name));

    /// <summary>Where it is kept.</summary>
    /// <exception cref="FileNotFoundException">It can be no kept file's name.</exception>
    public string PathOf(string name) => name.Length == 64 && name.All(char.IsAsciiHexDigitLower)
        ? Path.Combine(_folder, name)
        : throw new FileNotFoundException("Not a kept file's name.");
}
