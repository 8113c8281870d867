using System.IO.Compression;
using Dapper;
using Lumbeck.Store;
using Microsoft.Data.Sqlite;

namespace Lumbeck.Desk.Tests;

/// <summary>The store's own promises: schemas, the register, and that no edit holds up another program's.</summary>
public sealed class StoreTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(_folder, recursive: true);
    }

    private T In<T>(string database, Func<SqliteConnection, T> work)
    {
        using var c = new SqliteConnection($"Data Source={Path.Combine(_folder, database)};Pooling=False");
        c.Open();
        return work(c);
    }

    private AppServices Begun()
    {
        var desk = new AppServices(_folder, TimeProvider.System);
        desk.Bench.Begin("Salt", Starters.Job(HouseFile.Shipped["tern"], "Salt"), "one");
        return desk;
    }

    [Theory, InlineData("lumbeck.db"), InlineData("work.db")]
    public void What_a_later_program_has_changed_is_refused_and_left_as_it_is(string database)
    {
        Begun().Dispose();
        In(database, c => c.Execute("INSERT INTO SchemaVersions (ScriptName, Applied) " +
            "VALUES ('Lumbeck.Store.Migrations.0999-later.sql', '2031-01-01')"));
        if (database == "work.db")
            In(database, c => c.Execute("UPDATE SchemaVersions SET ScriptName = 'Lumbeck.Store.Migrations.Work.0999-later.sql' " +
                "WHERE ScriptName LIKE '%0999%'"));
        string[] all() => In(database, c => c.Query<string>("SELECT ScriptName FROM SchemaVersions UNION ALL " +
            "SELECT sql FROM sqlite_master WHERE sql NOT NULL").Order(StringComparer.Ordinal).ToArray());
        var before = all();
        Should.Throw<Refusal>(() => new AppServices(_folder, TimeProvider.System)).Message
            .ShouldContain("is of schema 999, and this Lumbeck knows");
        all().ShouldBe(before);
        Directory.GetFiles(_folder, "*.schema-*").ShouldBeEmpty();
    }

    [Fact]
    public void Before_a_schema_is_changed_what_was_there_is_copied_beside_it_once()
    {
        ZipFile.ExtractToDirectory(Golden.Path("form-5/data.zip"), _folder);
        var (run, jobs) = In("lumbeck.db", c => (c.ExecuteScalar<int>("SELECT count(*) FROM SchemaVersions"),
            c.ExecuteScalar<int>("SELECT count(*) FROM job")));
        for (var n = 0; n < 2; n++) new AppServices(_folder, TimeProvider.System).Dispose();
        SqliteConnection.ClearAllPools();
        var copy = Path.GetFileName(Directory.GetFiles(_folder, "lumbeck.db.schema-*").ShouldHaveSingleItem());
        copy.ShouldBe($"lumbeck.db.schema-{run}");
        In(copy, c => c.ExecuteScalar<int>("SELECT count(*) FROM SchemaVersions")).ShouldBe(run);
        In(copy, c => c.ExecuteScalar<int>("SELECT count(*) FROM job")).ShouldBe(jobs);
        In("lumbeck.db", c => c.ExecuteScalar<int>("SELECT count(*) FROM SchemaVersions")).ShouldBeGreaterThan(run);
        In("lumbeck.db", c => c.Query("PRAGMA foreign_key_check").Count()).ShouldBe(0);
        In("lumbeck.db", c => c.ExecuteScalar<string>("PRAGMA integrity_check")).ShouldBe("ok");
    }

    [Fact]
    public void A_new_folder_needs_no_copy()
    {
        Begun().Dispose();
        Directory.GetFiles(_folder, "*.schema-*").ShouldBeEmpty();
    }

    [Fact]
    public void An_order_that_is_done_twice_is_in_the_register_once()
    {
        var store = new JobStore(_folder, TimeProvider.System);
        using var desk = Begun();
        var on = desk.Jobs.Job("salt");
        PressingRow row(string? ordered) => new()
        {
            Job = on.JobId,
            Revision = on.Revision,
            Kind = "x4",
            Name = "salt.pdf",
            File = "00",
            Ordered = ordered,
        };
        foreach (var ordered in (string?[])["one", "one", "two", null, null])
            store.Write(w => { w.AddPressing(row(ordered)); return 0; });
        desk.Pressing.Pressings("salt").Select(p => p.Ordered).ShouldBe([null, null, "two", "one"]);
        var mended = new MendShelf(store);
        for (var n = 0; n < 2; n++) mended.Add(new() { Id = "one", Job = on.JobId, Name = "came.pdf" });
        mended.Of(on.JobId).ShouldHaveSingleItem();
        Should.Throw<SqliteException>(() => mended.Add(new() { Id = "two", Job = "no job", Name = "came.pdf" }));
    }

    [Fact]
    public void While_an_edit_is_made_another_program_can_write_however_often_it_comes_between()
    {
        using var here = Begun();
        using var other = new AppServices(_folder, TimeProvider.System);
        var (comes, n) = (12, 0);
        var on = here.Jobs.Apply("salt", new("mine", "one", _ =>
        {
            // Each time that it is made, another program changes the job first: it would wait in vain if the store were held.
            if (n++ < comes) other.Jobs.Apply("salt", new($"theirs-{n}", "two", _ => new SetPages(100 + (2 * n))));
            return new SetFact(TicketFact.Title, "Mine");
        }));
        on.Job.Ticket.Title.ShouldBe("Mine");
        on.Job.Ticket.Pages.ShouldBe(100 + (2 * comes));
        n.ShouldBe(comes + 1);
    }

    [Fact]
    public void Edits_of_one_job_that_come_at_once_are_all_made()
    {
        using var desk = Begun();
        Parallel.For(0, 24, new() { MaxDegreeOfParallelism = 8 }, n =>
            desk.Jobs.Apply("salt", new($"edit-{n}", "one", _ => new AddSwatch(new($"s{n}", $"Ink {n}", Ink.Percent(n, 0, 0, 0))))));
        Enumerable.Range(0, 24).ShouldAllBe(n => desk.Jobs.Job("salt").Job.Swatches.Any(s => s.Id == $"s{n}"));
    }
}
