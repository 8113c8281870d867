using System.Xml;
using System.Xml.Linq;
using Lumbeck.Core.Measures;

namespace Lumbeck.Store;

/// <summary>
/// The data folder before anything in it is opened: its owner's alone; what is missing or junk in it is told, and
/// nothing is written over.
/// And what is left over in it is swept.
/// </summary>
public static class DataFolder
{
    /// <summary>
    /// Previews and grown pictures are made again where they are missing: so many bytes of each are kept.
    /// </summary>
    public const long MostPreviews = 1_000_000_000, MostGrown = 4_000_000_000;

    private const UnixFileMode OwnFolder = UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute;
    private const UnixFileMode OwnFile = UnixFileMode.UserRead | UnixFileMode.UserWrite;
    private const string Database = "lumbeck.db", Work = "work.db";

    /// <summary>What an error of a database means to who meets it, and the way out.</summary>
    public static string Means(Microsoft.Data.Sqlite.SqliteException error) => error.SqliteErrorCode switch
    {
        // SQLITE_CORRUPT and SQLITE_NOTADB.
        11 or 26 => "A part of the data folder’s database is damaged. Stop Lumbeck, keep the folder aside, and bring " +
            "lumbeck.db back from a copy of it; packs of single jobs open as ever.",
        // SQLITE_BUSY and SQLITE_LOCKED.
        5 or 6 => "Another program holds the data folder; what was saved is kept. Try again.",
        _ => string.Create(System.Globalization.CultureInfo.InvariantCulture,
            $"The data folder’s database does not answer (SQLite {error.SqliteErrorCode}); what was saved is kept. Try again."),
    };

    /// <summary>Makes the folder, or looks over one that is there.</summary>
    /// <param name="folder">The folder.</param>
    /// <param name="tell">Is told what was strange and put aside.</param>
    /// <exception cref="Refusal">The folder can't be made, or its database is missing beside what it knew, or is
    /// none.</exception>
    public static void Prepare(string folder, Action<string> tell)
    {
        try
        {
            if (OperatingSystem.IsWindows()) Directory.CreateDirectory(folder);
            else Directory.CreateDirectory(folder, OwnFolder);
            Missing(folder);
            if (IsJunk(Path.Combine(folder, Database)))
                throw No(folder, $"{Database} in it is damaged: bring it back from a copy of the folder");
            if (new FileInfo(Path.Combine(folder, Database)) is { Exists: true, Length: 0 } && WasUsed(folder))
                throw No(folder, $"{Database} in it is empty (0 bytes), and nothing is begun anew over it: bring it back " +
                    "from a copy of the folder");
            PutAsideWork(folder, tell);
            Keys(Path.Combine(folder, "keys"), tell);
            Own(folder);
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException && !Disk.IsFull(e))
        {
            throw No(folder, e.Message);
        }
    }

    /// <summary>
    /// A queue that can't be read is put aside: nothing in it is not made again when it is asked for.
    /// </summary>
    internal static void PutAsideWork(string folder, Action<string> tell, bool damaged = false)
    {
        var work = Path.Combine(folder, Work);
        if (!damaged && !IsJunk(work)) return;
        foreach (var left in (string[])[work + "-wal", work + "-shm"]) File.Delete(left);
        tell($"{Work} can’t be read, and is kept as {PutAside(work)}: long work that was waiting is not taken up " +
            $"again");
    }

    private static void Missing(string folder)
    {
        if (File.Exists(Path.Combine(folder, Database))) return;
        if (((string[])["pictures", "files", "faces", "profiles"])
            .FirstOrDefault(f => HasFiles(Path.Combine(folder, f))) is not { } full)
            return;
        throw No(folder,
            $"{Database} is missing from it, and {full} in it are not empty: bring it back from a copy of the folder");
    }

    /// <summary>
    /// Whether a program has worked on the folder: the queue and the keys are written after the database only, so one that
    /// begins at the same moment has written neither.
    /// </summary>
    private static bool WasUsed(string folder) =>
        new FileInfo(Path.Combine(folder, Work)) is { Exists: true, Length: > 0 }
        || ((string[])["keys", "pictures", "files", "faces", "profiles", "tables", "previews"])
            .Any(f => HasFiles(Path.Combine(folder, f)));

    private static bool HasFiles(string folder) =>
        Directory.Exists(folder) && Directory.EnumerateFiles(folder).Any(f => !Path.GetFileName(f).StartsWith('.'));

    /// <summary>Whether a file is there, has something in it, and is no database.</summary>
    private static bool IsJunk(string path)
    {
        if (!File.Exists(path)) return false;
        using var f = new FileStream(path, FileMode.Open, FileAccess.Read, FileShare.ReadWrite | FileShare.Delete);
        var head = new byte[16];
        var read = f.ReadAtLeast(head, head.Length, throwOnEndOfStream: false);
        // An empty one is a database that nothing was written to yet.
        return read > 0 && !head.AsSpan().SequenceEqual("SQLite format 3\0"u8);
    }

    /// <summary>
    /// Keys that open pages after a restart; one that is none is put aside, and a new one is made when it is wanted.
    /// </summary>
    private static void Keys(string folder, Action<string> tell)
    {
        if (!Directory.Exists(folder)) return;
        foreach (var key in Directory.GetFiles(folder, "key-*.xml"))
        {
            try
            {
                using var reader = XmlReader.Create(key, new() { DtdProcessing = DtdProcessing.Prohibit });
                if (XDocument.Load(reader).Root?.Name.LocalName == "key") continue;
            }
            catch (XmlException) { /* told below, as what is well-formed and no key */ }
            tell($"the key {Path.GetFileName(key)} can’t be read, and is kept as {PutAside(key)}: pages that are " +
                $"open are to be opened again");
        }
    }

    private static string PutAside(string path)
    {
        var n = 1;
        while (File.Exists($"{path}.damaged-{n}")) n++;
        File.Move(path, $"{path}.damaged-{n}");
        return Path.GetFileName($"{path}.damaged-{n}");
    }

    /// <summary>What a person keeps is nobody else's on the machine to read.</summary>
    private static void Own(string folder)
    {
        if (OperatingSystem.IsWindows()) return;
        File.SetUnixFileMode(folder, OwnFolder);
        var keys = Path.Combine(folder, "keys");
        // Made before anyone else makes it.
        Directory.CreateDirectory(keys, OwnFolder);
        File.SetUnixFileMode(keys, OwnFolder);
        // SQLite gives its own files the mode of the database.
        foreach (var name in (string[])[Database, Work]) Begin(Path.Combine(folder, name));
        foreach (var file in Directory.EnumerateFiles(folder).Concat(Directory.EnumerateFiles(keys)))
        {
            try { File.SetUnixFileMode(file, OwnFile); }
            catch (FileNotFoundException) { /* another program's, which it took away meanwhile */ }
        }
    }

    /// <summary>
    /// An empty file, where there is none: several programs may begin at once, and none empties what another wrote.
    /// </summary>
    private static void Begin(string path)
    {
        if (File.Exists(path)) return;
        new FileStream(path, FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.ReadWrite | FileShare.Delete)
            .Dispose();
    }

    /// <summary>
    /// Takes away what uploads that never ended left, and the oldest of what can be made again, where there is too much
    /// of it.
    /// </summary>
    /// <param name="folder">The data folder.</param>
    /// <param name="now">What is younger than an hour may still be written.</param>
    /// <param name="mostPreviews">Bytes.</param>
    /// <param name="mostGrown">Bytes.</param>
    public static void Sweep(string folder, DateTimeOffset now, long mostPreviews = MostPreviews,
        long mostGrown = MostGrown)
    {
        var young = now.UtcDateTime - TimeSpan.FromHours(1);
        foreach (var incoming in (string[])["incoming", "previews/incoming"])
            foreach (var file in Files(Path.Combine(folder, incoming)).Where(f => f.LastWriteTimeUtc < young))
                Drop(file);
        // What is half made bears no ending.
        foreach (var aside in Files(Path.Combine(folder, "grown"))
            .Where(f => f.Extension.Length == 0 && f.LastWriteTimeUtc < young))
            Drop(aside);
        foreach (var (name, most) in ((string, long)[])[("previews", mostPreviews), ("grown", mostGrown)])
        {
            var files = Files(Path.Combine(folder, name)).OrderBy(f => f.LastWriteTimeUtc).ToList();
            var bytes = files.Sum(f => f.Length);
            // A fifth below, so that it is not done for every file.
            foreach (var file in files.TakeWhile(f =>
                bytes > most * 4 / 5 && f.LastWriteTimeUtc < young || bytes > most))
            {
                bytes -= file.Length;
                Drop(file);
            }
        }
    }

    private static FileInfo[] Files(string folder) =>
        Directory.Exists(folder) ? new DirectoryInfo(folder).GetFiles() : [];

    private static void Drop(FileInfo file)
    {
        try { file.Delete(); }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            /* another program has it;
            it goes the next time */
        }
    }

    private static Refusal No(string folder, string why) =>
        new("data", $"{Path.GetFullPath(folder)} can't be used as a data folder: {why.Trim().TrimEnd('.')}; or give another with --data");
}
