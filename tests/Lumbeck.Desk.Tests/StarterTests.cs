namespace Lumbeck.Desk.Tests;

/// <summary>Covers to begin from: those that ship, those kept from jobs, and their files.</summary>
public sealed class StarterTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;
    private readonly AppServices _desk;

    public StarterTests() => _desk = new(DemoData.In(_folder), TimeProvider.System, DemoBench.Load);

    public void Dispose()
    {
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        Directory.Delete(_folder, recursive: true);
    }

    [Fact]
    public void Eleven_ship_and_none_stops_the_press_once_its_words_are_there()
    {
        var all = _desk.Starters.All();
        all.Count.ShouldBe(11);
        all.Select(s => s.Name).Distinct().Count().ShouldBe(11);
        foreach (var s in all)
        {
            var job = _desk.Starters.Begun(s.Id, "");
            job.Ticket.Title.ShouldBe("");
            job.Ticket.Author.ShouldBe("");
            var empty = _desk.Jobs.Worked(0, job);
            empty.Readiness.Stops.ShouldBe(0, s.Name);
            // Its words are still to be replaced, which is no fault.
            empty.Readiness.Todos.ShouldBeGreaterThan(0, s.Name);
            job = _desk.Starters.Begun(s.Id, "Winter Bread");
            foreach (var (fact, words) in ((TicketFact, string)[])[(TicketFact.Author, "Mila Brandt"),
                (TicketFact.Subtitle, "forty loaves"), (TicketFact.Note, "She bakes."),
                (TicketFact.Blurb, "Bread through a long winter, one loaf a week.")])
                job = new SetFact(fact, words).Apply(job);
            job = _desk.Liveries.Again(EditPipeline.Settle(job, _desk.Drawer.Shelf)).Apply(job);
            var on = _desk.Jobs.Worked(0, EditPipeline.Settle(job, _desk.Drawer.Shelf));
            on.Findings.Where(f => f.Severity < Severity.Todo && f.Item is not null)
                .Select(f => $"{f.Id} {f.Item} {f.Measured}").ShouldBeEmpty(s.Name);
            on.Job.Items.OfType<TextItem>().ShouldAllBe(t => !t.Starter, s.Name);
            on.Job.Items.OfType<TextItem>().ShouldContain(t => t.Words == "Winter Bread");
        }
    }

    [Fact]
    public async Task Any_job_is_kept_as_one_goes_out_and_in_as_a_pack_and_holds_nothing_of_its_book()
    {
        foreach (var slug in (string[])["tidewatcher", "orrin", "calder", "hive", "monday"])
        {
            var job = _desk.Jobs.Job(slug).Job;
            var kept = _desk.Starters.Keep(job, $"Like {slug}");
            var begun = _desk.Starters.Begun(kept.Id, "");
            begun.Ticket.House.Id.ShouldBe(job.Ticket.House.Id);
            begun.Ticket.Trim.ShouldBe(job.Ticket.Trim);
            var written = System.Text.Encoding.UTF8.GetString(JobJson.Write(begun));
            if (job.Ticket.Isbn is { } isbn) written.ShouldNotContain(isbn.Digits);
            if (job.Ticket.Blurb.Length > 0) written.ShouldNotContain(job.Ticket.Blurb);
            begun.Take.Ground.ShouldBe(job.Take.Ground);
            using var pack = new MemoryStream();
            _desk.Starters.Export(kept.Name, pack);
            pack.Position = 0;
            using var other = new Elsewhere();
            var came = await other.Desk.Starters.TakeIn(pack);
            came.Name.ShouldBe(kept.Name);
            var there = other.Desk.Starters.Begun(came.Id, "A Second One");
            there.Ticket.Title.ShouldBe("A Second One");
            other.Desk.Jobs.Worked(0, there).Findings.ShouldNotContain(f => f.Id == "picture.missing");
        }
        Should.Throw<Refusal>(() => _desk.Starters.Begun("nothing", "")).Message.ShouldContain("`nothing` is no starter");
        Should.Throw<Refusal>(() => _desk.Starters.Keep(_desk.Jobs.Job("orrin").Job, " "));
        await Should.ThrowAsync<Refusal>(() => _desk.Starters.TakeIn(new MemoryStream([1, 2, 3])));
        // A second of the same name gets its own.
        _desk.Starters.Keep(_desk.Jobs.Job("orrin").Job, "Like orrin").Name.ShouldBe("Like orrin 2");
    }

    private sealed class Elsewhere : IDisposable
    {
        private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;
        public AppServices Desk => field ??= new(_folder, TimeProvider.System);
        public void Dispose()
        {
            Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
            Directory.Delete(_folder, recursive: true);
        }
    }
}
