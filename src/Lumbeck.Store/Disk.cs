using Microsoft.Data.Sqlite;

namespace Lumbeck.Store;

/// <summary>What the disk says when it will not take more.</summary>
public static class Disk
{
    /// <summary>
    /// Whether an error, or one that led to it, says that there is no room: ENOSPC and EDQUOT (POSIX), ERROR_DISK_FULL,
    /// SQLITE_FULL.
    /// </summary>
    public static bool IsFull(Exception? e)
    {
        for (; e is not null; e = e.InnerException)
            if (e is SqliteException { SqliteErrorCode: 13 }
                || (e is IOException && (e.HResult & 0xffff) is 28 or 122 or 0x70))
                return true;
        return false;
    }

    /// <summary>The same for people.</summary>
    public const string Full = "The disk is full. " + Meaning;

    /// <summary>What that means, and the way out.</summary>
    public const string Meaning = "Nothing was changed, and nothing that was kept is lost. Make room, and it goes on.";
}
