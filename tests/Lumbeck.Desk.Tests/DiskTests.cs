using Lumbeck.Store;
using Microsoft.Data.Sqlite;

namespace Lumbeck.Desk.Tests;

public sealed class DiskTests
{
    [Fact]
    public void A_full_disk_is_told_from_other_errors_whoever_meets_it()
    {
        // /dev/full takes nothing, as a full disk does.
        var met = Should.Throw<IOException>(() =>
        {
            using var full = new FileStream("/dev/full", FileMode.Open, FileAccess.Write);
            full.Write(new byte[100_000]);
            full.Flush();
        });
        Disk.IsFull(met).ShouldBeTrue();
        Disk.IsFull(new InvalidOperationException("around it", met)).ShouldBeTrue();
        Disk.IsFull(new FileNotFoundException("gone")).ShouldBeFalse();

        var folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;
        try
        {
            using var small = new SqliteConnection($"Data Source={Path.Combine(folder, "small.db")};Pooling=False");
            small.Open();
            void run(string sql)
            {
                using var command = small.CreateCommand();
                command.CommandText = sql;
                command.ExecuteNonQuery();
            }
            run("CREATE TABLE t (x BLOB)");
            run("PRAGMA max_page_count = 4");
            Disk.IsFull(Should.Throw<SqliteException>(() => run("INSERT INTO t VALUES (randomblob(100000))")))
                .ShouldBeTrue();
        }
        finally { Directory.Delete(folder, recursive: true); }
    }
}
