namespace Lumbeck.Desk.Tests;

/// <summary>What the bench lists, and in which order.</summary>
public sealed class BenchListTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;
    private readonly AppServices _desk;

    public BenchListTests() => _desk = new(DemoData.In(_folder), TimeProvider.System, DemoBench.Load);

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    private IReadOnlyList<JobSummary> Listed(string? find, string? sort) =>
        [.. BenchList.Asked(find, sort).Of(_desk.Bench.Places()).Select(at => at.Job!)];

    [Fact]
    public void At_first_what_was_begun_last_is_on_top()
    {
        var begun = _desk.Bench.Places().Select(p => p.Job!.Title).Reverse().ToList();
        Listed(null, null).Select(t => t.Title).ShouldBe(begun);
        Listed(null, "colour").Select(t => t.Title)
            .ShouldBe(begun, customMessage: "an order that is not known is the first");
    }

    [Fact]
    public void It_is_sorted_by_what_is_asked_in_any_case_of_letters()
    {
        var what = new Dictionary<string, Func<JobSummary, string>>
        {
            ["title"] = t => t.Title,
            ["author"] = t => t.Author,
            ["printer"] = t => t.House,
        };
        foreach (var (sort, read) in what)
        {
            var said = Listed(null, sort).Select(read).ToList();
            said.Count.ShouldBe(_desk.Bench.Places().Count);
            said.ShouldBe([.. said.Order(StringComparer.OrdinalIgnoreCase)], customMessage: sort);
        }
    }

    [Fact]
    public void What_was_changed_last_comes_first()
    {
        var first = _desk.Bench.Places()[0].Slug;
        _desk.Jobs.Apply(first,
            new("edit-00000001", "maker", job => Facts.Write(job, "ticket/title", job.Ticket.Title + " again")));
        BenchList.Asked(null, "changed").Of(_desk.Bench.Places())[0].Slug.ShouldBe(first);
    }

    [Fact]
    public void Every_word_that_is_looked_for_is_said_somewhere_in_the_ticket()
    {
        var one = _desk.Bench.All()[0].Job.Ticket;
        var found = Listed($" {one.Title.ToUpperInvariant()}  {one.House.Name} ", null);
        found.ShouldContain(t => t.Title == one.Title);
        found.Count.ShouldBeLessThan(_desk.Bench.Places().Count);
        Listed(one.Title + " nobodyofthatname", null).ShouldBeEmpty();
    }

    /// <summary>A thousand jobs from elsewhere are listed at once by their tickets, and looked at meanwhile.</summary>
    [Fact]
    public void Jobs_that_nobody_has_looked_at_are_listed_at_once_and_looked_at_meanwhile()
    {
        for (var n = 0; n < 20; n++) _desk.Bench.Begin($"Copied {n}", Starters.Job(HouseFile.Shipped["tern"], $"Copied {n}"), "t");
        using (var c = new Microsoft.Data.Sqlite.SqliteConnection($"Data Source={Path.Combine(_folder, "lumbeck.db")}"))
        {
            c.Open();
            var forget = c.CreateCommand();
            forget.CommandText = "DELETE FROM summary";
            forget.ExecuteNonQuery();
        }
        var desk = new AppServices(_folder, TimeProvider.System);
        var first = desk.Bench.Places(soon: true);
        first.Count(p => p.Waits).ShouldBe(first.Count - 12);
        first.ShouldAllBe(p => p.Job != null && p.Job.Title.Length > 0 && p.Problem.Length == 0);
        first.Last(p => p.Waits).Job!.Ready.ShouldBe("being looked at");
        SpinWait.SpinUntil(() => desk.Bench.Places(soon: true).All(p => !p.Waits), TimeSpan.FromMinutes(2)).ShouldBeTrue();
        desk.Bench.Places().Select(p => p.Job!.Title).ShouldBe(first.Select(p => p.Job!.Title));
    }

    [Fact]
    public async Task What_a_list_shows_is_what_the_job_says_after_edits_steps_and_looks_at_its_plates()
    {
        async Task Same(string when)
        {
            foreach (var place in new AppServices(_folder, TimeProvider.System).Bench.Places())
            {
                var anew = new AppServices(_folder, TimeProvider.System).Jobs.Job(place.Slug);
                place.Revision.ShouldBe(anew.Revision, when);
                var on = _desk.Jobs.Job(place.Slug);
                var composed = place.Job!.Plated ? await _desk.Pressing.CheckBeside(on) : on.Composed;
                var said = JobSummary.Of(composed);
                // Lists are not compared by what is in them.
                place.Job.ShouldBe(said with
                {
                    Faces = place.Job.Faces,
                    Pictures = place.Job.Pictures,
                    Missing = place.Job.Missing
                },
                    when);
                place.Job.Missing.ShouldBe(said.Missing);
                place.Job.Faces.ShouldBe(said.Faces);
                place.Job.Pictures.ShouldBe(said.Pictures);
            }
        }
        await Same("as begun");
        _desk.Jobs.Apply("hive", new("edit-00000001", "maker", job => Facts.Write(job, "ticket/pages", "160")));
        _desk.Jobs.Apply("orrin", new("edit-00000002", "maker", job => Facts.Write(job, "ticket/author", "")));
        await Same("after edits");
        _desk.Jobs.Undo("hive", "maker");
        await Same("after a step back");
        await _desk.Pressing.CheckBeside(_desk.Jobs.Job("calder"));
        _desk.Bench.Places().Single(p => p.Slug == "calder").Job!.Plated.ShouldBeTrue();
        await Same("after a look at plates");
    }
}
