using System.Text.Json;

namespace Lumbeck.Desk.Tests;

/// <summary>Liveries on the command line, as a person runs it.</summary>
public sealed class LiveryVerbTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    private (int Exit, string Out, string Error) Run(params string[] arguments) =>
        CommandLine.Run(_folder, arguments);

    [Fact]
    public void A_livery_is_laid_as_a_take_that_nothing_is_found_against_and_the_others_stay()
    {
        using var all = JsonDocument.Parse(Run("liveries", "--json").Out);
        all.RootElement.EnumerateArray().Select(l => l.GetProperty("id").GetString())
            .ShouldBe(LiveryShelf.All.Select(l => l.Id));
        Run("livery", "calder", "--livery", "folio", "--colourway", "2")
            .ShouldSatisfyAllConditions(r => r.Exit.ShouldBe(0),
            r => r.Out.ShouldContain("Folio, mist"));
        var desk = new AppServices(Path.Combine(_folder, "data"), TimeProvider.System);
        // A jacket and the case under it, each with its own.
        var wraps = desk.Jobs.Job("calder").Job.Wraps;
        wraps.Select(w => w.Take.Name).ShouldBe(["Folio", "Folio"]);
        wraps.ShouldAllBe(w => w.Takes.Count == 2);
        desk.Jobs.Job("calder").Composed.Findings.ShouldNotContain(f => f.Severity == Severity.Stop);
        desk.Jobs.Undo("calder", "test").Job.Wraps.ShouldAllBe(w => w.Takes.Count == 1);
        Run("livery", "calder", "--livery", "none").ShouldSatisfyAllConditions(r => r.Exit.ShouldBe(2),
            r => r.Error.ShouldContain("`none` is no livery: take quayside"));
        Run("livery", "calder", "--livery", "folio", "--colourway", "9").Error.ShouldContain("Folio has 3, from 1");
    }

    [Fact]
    public void A_ticket_s_facts_are_told_and_set_all_or_none()
    {
        var picture = Path.Combine(_folder, "author.png");
        using (var image = NetVips.Image.Black(400, 500) + 90) image.Cast(NetVips.Enums.BandFormat.Uchar).Pngsave(picture);
        Run("ticket", "calder", "--set", "category=Fiction / Islands", "--set", "second-price=24 USD", "--portrait",
            picture, "--json")
            .ShouldSatisfyAllConditions(r => r.Exit.ShouldBe(0, r.Error), r =>
            {
                using var told = JsonDocument.Parse(r.Out);
                told.RootElement.GetProperty("category").GetString().ShouldBe("Fiction / Islands");
                told.RootElement.GetProperty("portrait").GetString().ShouldBe("author.png");
            });
        Run("ticket", "calder").Out.ShouldContain("Fiction / Islands");
        Run("ticket", "calder", "--set", "category=Poetry", "--set", "pages=many").ShouldSatisfyAllConditions(
            r => r.Exit.ShouldBe(2), r => r.Error.ShouldContain("many"));
        Run("ticket", "calder", "--set", "colour=red").Error.ShouldContain("is no fact and its text: take title");
        var desk = new AppServices(Path.Combine(_folder, "data"), TimeProvider.System);
        desk.Jobs.Job("calder").Job.Ticket.Category.ShouldBe("Fiction / Islands");
        // One step back takes all of them.
        desk.Jobs.Undo("calder", "test").Job.Ticket.ShouldSatisfyAllConditions(t => t.Category.ShouldBe(""),
            t => t.Portrait.ShouldBeNull());
    }

    [Fact]
    public void What_a_livery_has_no_room_for_is_told_with_its_figure()
    {
        var data = Path.Combine(_folder, "data");
        var desk = new AppServices(DemoData.In(data), TimeProvider.System, DemoBench.Load);
        desk.Jobs.Apply("hive", new(Guid.NewGuid().ToString(), "test",
            _ => new SetFact(TicketFact.Title, new('W', 200))));
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        Run("livery", "hive", "--livery", "ledger").ShouldSatisfyAllConditions(r => r.Exit.ShouldBe(3),
            r => r.Error.ShouldContain("a title of 200 letters"));
    }
}
