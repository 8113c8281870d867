using Lumbeck.Store;
using Microsoft.Data.Sqlite;

namespace Lumbeck.Desk.Tests;

/// <summary>
/// What is spoilt says so in its own place, and the rest goes on; and several programs on one store see what the others
/// brought.
/// </summary>
public sealed class SpoiltTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    private static byte[] Face() =>
        File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "faces", "zilla-slab", "600.ttf"));

    private void Sql(string sql)
    {
        using var c = new SqliteConnection($"Data Source={Path.Combine(_folder, "lumbeck.db")};Pooling=False");
        c.Open();
        using var command = c.CreateCommand();
        command.CommandText = sql;
        command.ExecuteNonQuery().ShouldBeGreaterThan(0);
    }

    [Fact]
    public void A_job_or_a_house_whose_state_is_spoilt_says_so_and_all_others_are_there()
    {
        var desk = new AppServices(DemoData.In(_folder), TimeProvider.System, DemoBench.Load);
        desk.Houses.Copy("tern");
        desk.Houses.Copy("plover");
        Sql("UPDATE revision SET state = x'0102', apart = 0 WHERE job = (SELECT id FROM job WHERE slug = 'hive')");
        Sql("UPDATE house_revision SET state = '{ \"bleed_mm\": \"wide\" }' WHERE house = 'tern-2'");

        desk = new(DemoData.In(_folder), TimeProvider.System, DemoBench.Load);
        var places = desk.Bench.Places();
        places.Count.ShouldBe(10);
        places.Single(p => p.Job is null)
            .ShouldSatisfyAllConditions(p => p.Slug.ShouldBe("hive"), p => p.Problem.ShouldContain("is damaged"));
        desk.Bench.All().Count.ShouldBe(9);
        desk.Houses.All().Select(h => h.House.Id).ShouldBe(["aldwater", "plover", "tern", "wren", "plover-2"]);
        desk.Houses.Spoilt().ShouldHaveSingleItem()
            .ShouldSatisfyAllConditions(h => h.Id.ShouldBe("tern-2"), h => h.Problem.ShouldContain("bleed_mm"));
    }

    [Fact]
    public void A_face_whose_file_is_gone_keeps_no_other_job_away_and_brought_in_again_it_is_back()
    {
        var desk = new AppServices(DemoData.In(_folder), TimeProvider.System, DemoBench.Load);
        var row = desk.Drawer.Faces.TakeIn(Face(), "Mine.ttf");
        desk.Jobs.Apply("tidewatcher", new("set-it-in-mine", "s", j => Facts.Write(j, "item/title/face", row.Id)));
        File.Delete(desk.Drawer.Faces.PathOf(row.Hash));

        desk = new(DemoData.In(_folder), TimeProvider.System, DemoBench.Load);
        desk.Bench.Places().Single(p => p.Job is null)
            .ShouldSatisfyAllConditions(p => p.Slug.ShouldBe("tidewatcher"), p => p.Problem.ShouldContain(row.Id));
        desk.Drawer.Faces.TakeIn(Face(), "Mine.ttf");
        desk.Bench.Places().ShouldAllBe(p => p.Job != null);
    }

    [Fact]
    public void What_one_program_brings_the_others_see_at_once()
    {
        var (one, two) = (new AppServices(DemoData.In(_folder), TimeProvider.System, DemoBench.Load),
            new AppServices(DemoData.In(_folder), TimeProvider.System, DemoBench.Load));
        var row = two.Drawer.Faces.TakeIn(Face(), "Mine.ttf");
        two.Jobs.Apply("tidewatcher", new("set-it-in-mine", "s", j => Facts.Write(j, "item/title/face", row.Id)));
        one.Bench.Places().ShouldAllBe(p => p.Job != null);
        FaceId.TryParse(row.Id, out var face).ShouldBeTrue();
        one.Jobs.Job("tidewatcher").Composed.Sheets[0].Scene.Item("title")!.Marks.OfType<GlyphMark>()
            .ShouldContain(g => g.Face == face);
    }

    private static readonly DateTimeOffset Later = DateTimeOffset.UtcNow.AddHours(3);

    private string Put(string name, string what = "junk")
    {
        var path = Path.Combine(_folder, name);
        Directory.CreateDirectory(Path.GetDirectoryName(path)!);
        File.WriteAllText(path, what);
        return path;
    }

    [Theory]
    [InlineData(false)]
    [InlineData(true)]
    public void A_queue_that_is_junk_is_put_aside_and_told_and_the_program_begins(bool within)
    {
        _ = new AppServices(DemoData.In(_folder), TimeProvider.System, DemoBench.Load);
        SqliteConnection.ClearAllPools();
        var work = Path.Combine(_folder, "work.db");
        foreach (var left in (string[])[work + "-wal", work + "-shm"]) File.Delete(left);
        var junk = within
            ? [.. "SQLite format 3\0"u8, .. new byte[4000]]
            : "no database, but long enough to be one"u8.ToArray();
        File.WriteAllBytes(work, junk);
        var told = new List<string>();
        var desk = new AppServices(DemoData.In(_folder), TimeProvider.System, DemoBench.Load, told: told.Add);
        told.ShouldHaveSingleItem().ShouldContain("work.db.damaged-1");
        File.ReadAllBytes(work + ".damaged-1").ShouldBe(junk);
        desk.Bench.All().Count.ShouldBe(10);
        desk.Pressing.Queue.ShouldNotBeNull();
    }

    [Fact]
    public void A_key_that_is_none_is_put_aside_and_told()
    {
        var key = Put("keys/key-0.xml", "<key");
        Put("keys/key-1.xml", "<!DOCTYPE key [<!ENTITY a 'b'>]><key>&a;</key>");
        var good = Put("keys/key-2.xml", "<key id=\"2\"/>");
        var told = new List<string>();
        _ = new AppServices(DemoData.In(_folder), TimeProvider.System, DemoBench.Load, told: told.Add);
        told.Count.ShouldBe(2);
        File.Exists(key).ShouldBeFalse();
        File.Exists(key + ".damaged-1").ShouldBeTrue();
        File.Exists(good).ShouldBeTrue();
    }

    [Fact]
    public void A_database_that_is_missing_beside_a_full_folder_or_is_none_is_said_and_nothing_is_written()
    {
        Put("pictures/" + new string('a', 64));
        var said = Should.Throw<Refusal>(() => new AppServices(DemoData.In(_folder), TimeProvider.System,
            DemoBench.Load));
        said.Message.ShouldContain("lumbeck.db is missing from it, and pictures in it are not empty");
        Directory.GetFiles(_folder).ShouldBeEmpty();
        var database = Put("lumbeck.db", "no database, but long enough to be one");
        Should.Throw<Refusal>(() => new AppServices(DemoData.In(_folder), TimeProvider.System, DemoBench.Load))
            .Message.ShouldContain("is damaged");
        File.ReadAllText(database).ShouldStartWith("no database");
    }

    [Fact]
    public void A_database_of_no_bytes_in_a_folder_that_was_worked_in_is_not_begun_anew()
    {
        Put("lumbeck.db", "");
        Put("work.db", "a queue");
        Should.Throw<Refusal>(() => new AppServices(DemoData.In(_folder), TimeProvider.System, DemoBench.Load))
            .Message.ShouldContain("lumbeck.db in it is empty (0 bytes), and nothing is begun anew over it: bring it back");
        new FileInfo(Path.Combine(_folder, "lumbeck.db")).Length.ShouldBe(0);
        // One that ended in its first moment left nothing that was kept.
        File.Delete(Path.Combine(_folder, "work.db"));
        new AppServices(_folder, TimeProvider.System, DemoBench.Load).Bench.All().Count.ShouldBe(10);
    }

    [Fact]
    [System.Runtime.Versioning.UnsupportedOSPlatform("windows")]
    public void The_folder_and_what_is_in_it_are_the_owner_s_alone()
    {
        File.SetUnixFileMode(_folder, (UnixFileMode)0b111_111_111);
        _ = new AppServices(DemoData.In(_folder), TimeProvider.System, DemoBench.Load);
        File.GetUnixFileMode(_folder).ShouldBe((UnixFileMode)0b111_000_000);
        File.GetUnixFileMode(Path.Combine(_folder, "keys")).ShouldBe((UnixFileMode)0b111_000_000);
        Directory.GetFiles(_folder).Where(f => !f.EndsWith(".lock", StringComparison.Ordinal))
            .Select(f => File.GetUnixFileMode(f)).Distinct()
            .ShouldBe([(UnixFileMode)0b110_000_000]);
    }

    [Fact]
    public async Task Programs_that_begin_on_one_new_folder_at_once_all_find_it_made()
    {
        for (var round = 0; round < 50; round++)
        {
            var folder = Path.Combine(_folder, $"new-{round}");
            using var together = new Barrier(6);
            await Task.WhenAll(Enumerable.Range(0, 6).Select(_ => Task.Factory.StartNew(() =>
            {
                together.SignalAndWait();
                DataFolder.Prepare(folder, told => throw new InvalidOperationException(told));
            }, TaskCreationOptions.LongRunning)));
            Directory.GetFiles(folder).Select(Path.GetFileName).Order().ShouldBe(["lumbeck.db", "work.db"]);
        }
    }

    [Fact]
    public void What_uploads_left_is_swept_and_previews_have_a_ceiling()
    {
        string[] left = [Put("incoming/a"), Put("previews/incoming/b"), Put("grown/0123456789abcdef")];
        var kept = Put("grown/picture-100-1.jpg", new('x', 50));
        List<string> previews = [.. Enumerable.Range(0, 10).Select(n => Put($"previews/p{n}.webp", new('x', 100)))];
        foreach (var (file, n) in previews.Select((f, n) => (f, n)))
            File.SetLastWriteTimeUtc(file, DateTime.UtcNow.AddMinutes(n - 100));

        DataFolder.Sweep(_folder, DateTimeOffset.UtcNow);
        left.ShouldAllBe(f => File.Exists(f), "they may still be written");
        DataFolder.Sweep(_folder, Later, mostPreviews: 600);
        left.ShouldAllBe(f => !File.Exists(f));
        File.Exists(kept).ShouldBeTrue();
        // The oldest go, down to four fifths of what may be.
        previews.Select(File.Exists).ShouldBe([.. Enumerable.Range(0, 10).Select(n => n >= 6)]);
    }

    [Fact]
    public void Houses_put_away_do_not_count()
    {
        var desk = new AppServices(_folder, TimeProvider.System);
        for (var n = 0; n < 210; n++) desk.Houses.PutAway(desk.Houses.Copy("tern").House.Id);
        desk.Houses.Copy("tern").House.Name.ShouldBe("Tern & Tallow, own rules");
        desk.Houses.Away().Count.ShouldBe(210);
    }
}
