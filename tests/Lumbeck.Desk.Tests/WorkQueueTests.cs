using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;
using Lumbeck.Store;
using Microsoft.Data.Sqlite;
using Microsoft.Extensions.Logging;

namespace Lumbeck.Desk.Tests;

/// <summary>Long work beside everything else: in order, two at a time, told of, left, and taken up again.</summary>
public sealed class WorkQueueTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;
    private readonly WorkStore _store;
    private readonly ManualResetEventSlim _go = new(false);
    private int _running, _most, _looked;

    public WorkQueueTests() => _store = new(_folder, TimeProvider.System);

    public void Dispose()
    {
        _go.Dispose();
        Directory.Delete(_folder, recursive: true);
    }

    /// <summary>What an owner is told.</summary>
    private sealed class Heard : ILogger<WorkQueue>
    {
        public System.Collections.Concurrent.ConcurrentQueue<string> Told { get; } = new();
        public IDisposable? BeginScope<TState>(TState state) where TState : notnull => null;
        public bool IsEnabled(LogLevel logLevel) => true;
        public void Log<TState>(LogLevel level, EventId id, TState state, Exception? e,
            Func<TState, Exception?, string> words) => Told.Enqueue($"{level} {words(state, e)}");
    }

    private readonly Heard _log = new();

    private WorkQueue Begun()
    {
        var works = new WorkQueue(_store, _log);
        works.Start(
        [
            new("wait", (_, told, cancel) =>
            {
                var now = Interlocked.Increment(ref _running);
                lock (_store) _most = Math.Max(_most, now);
                try { told(0.5); _go.Wait(cancel); return "it"; }
                finally { Interlocked.Decrement(ref _running); }
            }),
            new("look", (_, _, _) => { Interlocked.Increment(ref _looked); return "seen"; }),
            new("fail", (_, _, _) => throw new Refusal("x", "the picture is gone")),
            new("break", (_, _, _) => throw new InvalidOperationException("a bug")),
        ]);
        return works;
    }

    private static void Until(Func<bool> so) => SpinWait.SpinUntil(so, TimeSpan.FromMinutes(3)).ShouldBeTrue();

    [Fact]
    public void Two_pieces_run_at_once_the_rest_wait_and_the_same_is_not_queued_twice()
    {
        using var works = Begun();
        var ids = Enumerable.Range(0, 4).Select(n => works.Add("wait", "salt", $"{n}", $"Piece {n}")).ToList();
        works.Add("wait", "salt", "3", "Piece 3 again").ShouldBe(ids[3]);
        Until(() => works.Of("salt", "").Count(w => w.State == "running") == 2);
        works.Of("salt", "").Count(w => w.State == "waiting").ShouldBe(2);
        Until(() => works.Find(ids[0])!.Share == 0.5 && Volatile.Read(ref _running) == 2);
        _go.Set();
        Until(() => ids.All(id => works.Find(id)!.State == "done"));
        _most.ShouldBe(2);
        works.Find(ids[0])!.Share.ShouldBe(1);
        works.Add("wait", "salt", "3", "Piece 3 once more").ShouldNotBe(ids[3]);
    }

    [Fact]
    public void A_piece_can_be_left_waiting_or_in_the_midst_and_one_that_fails_says_why()
    {
        using var works = Begun();
        var ids = Enumerable.Range(0, 3).Select(n => works.Add("wait", "salt", $"{n}", "Piece")).ToList();
        Until(() => works.Of("salt", "").Count(w => w.State == "running") == 2);
        foreach (var id in ids) works.Leave(id);
        Until(() => Volatile.Read(ref _running) == 0);
        ids.ShouldAllBe(id => works.Find(id)!.State == "left");
        var (failed, broken, unknown) = (works.Add("fail", "salt", "a", "A"), works.Add("break", "salt", "b", "B"),
            works.Add("other", "salt", "c", "C"));
        Until(() => ((string[])[failed, broken, unknown]).All(id => works.Find(id)!.State == "failed"));
        works.Find(failed)!.Problem.ShouldBe("the picture is gone");
        works.Find(broken)!.Problem.ShouldContain("a bug");
        works.Find(unknown)!.Problem.ShouldContain("`other`");
    }

    [Fact]
    public void What_was_under_way_when_the_program_ended_is_done_by_the_next()
    {
        string id, waiting;
        using (var works = Begun())
        {
            id = works.Add("wait", "salt", "1", "Piece");
            Until(() => works.Find(id)!.State == "running");
            works.Add("wait", "salt", "2", "Piece");
            waiting = works.Add("wait", "salt", "3", "Piece");
        }
        // Ended in order, it was given back as if it had not been begun.
        _store.Find(id)!.ShouldSatisfyAllConditions(w => w.State.ShouldBe("waiting"), w => w.Attempts.ShouldBe(0));
        _go.Set();
        using var next = Begun();
        Until(() => next.Find(id)!.State == "done" && next.Find(waiting)!.State == "done");
    }

    private sealed class Clock : TimeProvider
    {
        public DateTimeOffset Now { get; set; } = new(2026, 5, 1, 12, 0, 0, TimeSpan.Zero);
        public override DateTimeOffset GetUtcNow() => Now;
    }

    [Fact]
    public void A_piece_whose_program_ended_three_times_is_set_aside_and_said_and_can_be_asked_for_again()
    {
        var clock = new Clock();
        var store = new WorkStore(_folder, clock);
        var id = store.Add("press", "salt", "1/x4", "Pressing");
        var gone = "elsewhere/1/1/1";
        for (var n = 1; n <= WorkStore.MostAttempts; n++)
        {
            store.Take(gone)!.Attempts.ShouldBe(n);
            store.Take("another/2/2/2").ShouldBeNull("its time is not over");
            store.Renew(id, gone).ShouldBeTrue();
            clock.Now += WorkStore.Lease + TimeSpan.FromSeconds(1);
        }
        store.Take("another/2/2/2").ShouldBeNull();
        store.Find(id)!.ShouldSatisfyAllConditions(w => w.State.ShouldBe("failed"),
            w => w.Problem.ShouldContain("set aside"));
        store.Renew(id, gone).ShouldBeFalse();
        store.End(id, "done", worker: gone);
        store.Find(id)!.State.ShouldBe("failed");
        store.Take("another/2/2/2").ShouldBeNull();
        store.Add("press", "salt", "1/x4", "Pressing").ShouldNotBe(id);
        store.Take("another/2/2/2").ShouldNotBeNull().Attempts.ShouldBe(1);
    }

    [Fact]
    public async Task What_a_page_asks_for_waits_for_no_press_run_and_is_not_listed()
    {
        using var works = Begun();
        var kinds = Array.Empty<WorkKind>();
        // Both hands are busy, and another piece waits.
        foreach (var n in (string[])["1", "2", "3"]) works.Add("wait", "salt", n, "Piece");
        Until(() => Volatile.Read(ref _running) == 2);
        var looked = await works.Ended(works.Add("look", "salt", "7", ""), kinds);
        (looked.State, looked.Made, Volatile.Read(ref _looked)).ShouldBe(("done", "seen", 1));
        works.Of("salt", "").Select(w => w.Kind).Distinct().ShouldBe(["wait"]);
        _go.Set();
    }

    [Fact]
    public void Of_what_pages_ask_for_the_newest_goes_first_and_takes_the_place_of_the_same_job_s_before()
    {
        var clock = new Clock();
        var store = new WorkStore(_folder, clock);
        string look(string job, string of)
        {
            clock.Now += TimeSpan.FromSeconds(1);
            return store.Add("look", job, of, "");
        }
        var (one, other, newer) = (look("salt", "1"), look("hive", "1"), look("salt", "2"));
        store.Find(one)!.State.ShouldBe("left");
        store.Take("me/1/1/1", listed: true).ShouldBeNull();
        store.Take("me/1/1/1", listed: false)!.Id.ShouldBe(newer);
        store.Take("me/1/1/1", listed: false)!.Id.ShouldBe(other);
        // One that is under way is not left for the next.
        look("salt", "3");
        store.Find(newer)!.State.ShouldBe("running");
        store.End(newer, "done", worker: "me/1/1/1", made: "seen");
        clock.Now += TimeSpan.FromMinutes(11);
        look("salt", "4");
        store.Find(newer).ShouldBeNull("nobody waits for it any more");
    }

    [Fact]
    public void What_a_page_asks_for_is_not_begun_again_once_it_was_set_aside()
    {
        var clock = new Clock();
        var store = new WorkStore(_folder, clock);
        var id = store.Add("look", "salt", "1", "");
        for (var n = 0; n < WorkStore.MostAttempts; n++)
        {
            store.Take("gone/1/1/1", listed: false).ShouldNotBeNull();
            clock.Now += WorkStore.Lease + TimeSpan.FromSeconds(1);
        }
        store.Take("another/2/2/2").ShouldBeNull();
        store.Add("look", "salt", "1", "").ShouldBe(id);
        store.Find(id)!.Problem.ShouldBe("it was begun 3 times, and each time the program ended: it is set aside " +
            "until something is changed");
        store.Take("another/2/2/2").ShouldBeNull();
        // Another revision is another matter.
        store.Add("look", "salt", "2", "").ShouldNotBe(id);
        store.Take("another/2/2/2").ShouldNotBeNull();
    }

    /// <summary>Something that the queue's file is told in SQL, by another.</summary>
    private void Sql(string sql)
    {
        using var c = new SqliteConnection($"Data Source={Path.Combine(_folder, "work.db")}");
        c.Open();
        using var command = c.CreateCommand();
        command.CommandText = sql;
        command.ExecuteNonQuery();
    }

    /// <summary>
    /// From when on the store takes no more of what is written, by the words of the update that fails first.
    /// </summary>
    [Theory, InlineData("state = 'running'"), InlineData("lease"), InlineData("share"),
        InlineData("state IN ('done', 'failed')")]
    public void A_store_that_fails_for_a_while_stops_nothing_for_good(string first)
    {
        var fails = first switch
        {
            "state = 'running'" => "NEW.state = 'running' AND OLD.state = 'waiting'",
            "lease" => "NEW.lease <> OLD.lease AND OLD.state = 'running'",
            "share" => "NEW.share <> OLD.share AND NEW.state = 'running'",
            _ => "NEW.state IN ('done', 'failed')",
        };
        Sql($"CREATE TRIGGER broken BEFORE UPDATE ON work WHEN {fails} BEGIN SELECT RAISE(ABORT, 'no'); END");
        using var works = Begun();
        _go.Set();
        string[] ids = [.. Enumerable.Range(0, 3).Select(n => works.Add("wait", "salt", $"{n}", "Piece")),
            works.Add("fail", "salt", "f", "It fails"), works.Add("look", "salt", "1", "")];
        // It was met, more than once where it matters.
        Until(() => _log.Told.Count(t => t.StartsWith("Error", StringComparison.Ordinal)
            && t.Contains("SQLite 19", StringComparison.Ordinal)) >= 2);
        Sql("DROP TRIGGER broken");
        Until(() => ids.All(id => works.Find(id)!.State is "done" or "failed"));
        ids.Select(id => works.Find(id)!.State).ShouldBe(["done", "done", "done", "failed", "done"]);
        works.Find(ids[3])!.Problem.ShouldBe("the picture is gone");
        // And what is asked for now is done as ever.
        var next = works.Add("wait", "salt", "next", "Next");
        Until(() => works.Find(next)!.State == "done");
    }

    [Fact]
    public void A_queue_that_is_gone_and_comes_back_is_gone_on_with()
    {
        using var works = Begun();
        Sql("ALTER TABLE work RENAME TO away");
        Should.Throw<SqliteException>(() => works.Add("wait", "salt", "0", "Piece"));
        Until(() => _log.Told.Any(t => t.Contains("begins again", StringComparison.Ordinal)));
        Sql("ALTER TABLE away RENAME TO work");
        _go.Set();
        var id = works.Add("wait", "salt", "1", "Piece");
        Until(() => works.Find(id)!.State == "done");
    }

    [Fact]
    public void An_owner_is_told_what_begins_ends_and_fails_and_why_but_no_words_of_books()
    {
        using var works = Begun();
        _go.Set();
        string[] ids = [works.Add("wait", "a-secret-title", "0", "A secret title"),
            works.Add("break", "a-secret-title", "0", "A secret title"), works.Add("fail", "a-secret-title", "0",
                "A secret title")];
        Until(() => ids.All(id => works.Find(id)!.State is "done" or "failed"));
        // An order's end is in the store before it is in the log.
        Until(() => ids.All(id => _log.Told.Any(t => t.Contains($"{id} done in", StringComparison.Ordinal)
            || t.Contains($"{id} failed", StringComparison.Ordinal))));
        var told = string.Join('\n', _log.Told);
        told.ShouldContain($"Order wait {ids[0]} begun");
        told.ShouldContain($"Order wait {ids[0]} done in ");
        told.ShouldContain($"Error Order break {ids[1]} failed: System.InvalidOperationException: 0x");
        told.ShouldContain("at Lumbeck.Desk.Tests.WorkQueueTests");
        told.ShouldContain($"Order fail {ids[2]} failed: Lumbeck.Core.Refusal: refused at x");
        foreach (var word in (string[])["secret", "a bug", "the picture is gone"]) told.ShouldNotContain(word);
    }

    [Fact]
    public void Two_programs_on_one_folder_do_nothing_twice_and_one_that_begins_leaves_the_other_s_alone()
    {
        var done = new System.Collections.Concurrent.ConcurrentBag<string>();
        WorkKind[] kinds =
        [
            new("count", (piece, _, _) => { done.Add(piece.Of); return ""; }),
            new("wait", (piece, _, cancel) => { _go.Wait(cancel); done.Add(piece.Of); return ""; }),
        ];
        using var one = new WorkQueue(new WorkStore(_folder, TimeProvider.System));
        one.Start(kinds);
        var held = one.Add("wait", "salt", "held", "Held");
        Until(() => one.Find(held)!.State == "running");
        using var two = new WorkQueue(new WorkStore(_folder, TimeProvider.System));
        two.Start(kinds);
        var ids = Enumerable.Range(0, 60).Select(n => (n % 2 == 0 ? one : two).Add("count", "salt", $"{n}", "Piece"))
            .ToList();
        Until(() => ids.All(id => one.Find(id)!.State == "done"));
        one.Find(held)!.State.ShouldBe("running");
        _go.Set();
        Until(() => one.Find(held)!.State == "done");
        done.Order().ShouldBe([.. Enumerable.Range(0, 60).Select(n => $"{n}").Append("held").Order()]);
    }

    [Fact]
    public void What_a_program_of_this_machine_left_that_is_gone_is_taken_up_at_once()
    {
        var id = _store.Add("wait", "salt", "1", "Piece");
        // No process has this number.
        _store.Take($"{Environment.MachineName}/{int.MaxValue}/1/1").ShouldNotBeNull();
        _go.Set();
        using var works = Begun();
        Until(() => works.Find(id)!.State == "done");
        works.Find(id)!.Attempts.ShouldBe(2);
    }

    [Fact]
    public void A_press_run_left_in_the_midst_leaves_no_file_and_one_that_is_not_is_in_the_register()
    {
        var desk = new AppServices(DemoData.In(Path.Combine(_folder, "desk")), TimeProvider.System, DemoBench.Load);
        desk.Pressing.StartWorks();
        var on = desk.Jobs.Job("calder");
        // Left from within: the first that is told of it ends it.
        Should.Throw<OperationCanceledException>(() =>
            desk.Pressing.Press(on, new PressPlan(PressKind.X4), _ => throw new OperationCanceledException()));
        Directory.GetFiles(Path.Combine(desk.Folder, "files")).ShouldBeEmpty();
        desk.Pressing.Pressings("calder").ShouldBeEmpty();
        var id = desk.Pressing.PressBeside(on, new(PressKind.X4));
        Until(() => desk.Pressing.Queue.Find(id)!.State == "done");
        desk.Pressing.Pressings("calder").Single().Revision.ShouldBe(on.Revision);
        Should.Throw<Refusal>(() => desk.Pressing.PressBeside(desk.Jobs.Job("hive"), new(PressKind.X4))).Message
            .ShouldContain("takes PDF/X-1a:2003");
        desk.Pressing.Queue.Dispose();
    }

    [Fact]
    public void Grown_edges_are_made_beside_the_page_and_what_nobody_wants_any_more_is_left()
    {
        var desk = new AppServices(DemoData.In(Path.Combine(_folder, "desk")), TimeProvider.System, DemoBench.Load);
        OnBench apply(Edit e) => desk.Jobs.Apply("trouble", new(Guid.NewGuid().ToString(), "grow", _ => e));
        desk.Pressing.GrowBeside(apply(new GrowPicture("road", new(GrowWay.Synthesis))));
        var first = desk.Pressing.Queue.Of("trouble", "").Single();
        (first.Kind, first.State, first.Says).ShouldBe((Order.Grow, "waiting", "Growing salt-road.jpg"));
        // Another way is tried before the first is made.
        var on = apply(new GrowPicture("road", new(GrowWay.Stretch)));
        desk.Pressing.GrowBeside(on);
        desk.Pressing.Queue.Find(first.Id)!.State.ShouldBe("left");
        desk.Pressing.StartWorks();
        var mark = on.Composed.Sheets[0].Scene.Item("road")!.Marks.OfType<GrownMark>().Single();
        Until(() => desk.Drawer.Pictures.Grown.Has(mark));
        desk.Pressing.GrowBeside(on);
        Until(() => desk.Pressing.Queue.Unfinished("trouble").Count == 0);
        // Grown to the bleed, the front is bare no more; back and spine still are.
        Coverage.Bare(on.Job.Take, on.Composed.Sheets[0].Sheet, on.Composed.Sheets[0].Sheet.Panel(Part.Front)!.Edge)
            .ShouldBeEmpty();
        desk.Pressing.Queue.Dispose();
    }

    [Fact]
    public void The_job_in_trouble_has_each_of_its_troubles_found()
    {
        var found = new AppServices(DemoData.In(Path.Combine(_folder, "desk")), TimeProvider.System, DemoBench.Load)
            .Jobs.Job("trouble")
            .Composed.Findings.Where(f => f.Severity == Severity.Stop).Select(f => (f.Id, f.Item)).ToList();
        foreach (var trouble in ((string, string?)[])[("ground.coverage", null), ("zone.fold", "line"),
            ("picture.resolution", "road"), ("barcode.digits", "barcode")])
            found.ShouldContain(trouble);
    }
}
