using Lumbeck.Tests.ByChance;

namespace Lumbeck.Desk.Tests;

/// <summary>What an edit left alone is not drawn anew, and nobody could tell.</summary>
public sealed class ComposingTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    [Theory]
    [InlineData("tidewatcher")]
    [InlineData("calder")]
    [InlineData("hive")]
    public void After_each_of_many_edits_the_sheets_are_those_of_a_job_that_is_opened_anew(string slug)
    {
        var desk = new AppServices(DemoData.In(_folder), TimeProvider.System, DemoBench.Load);
        var on = desk.Jobs.Job(slug);
        var (made, kept, n) = (0, 0, 0);
        new RandomEdits([.. desk.Bench.All().SelectMany(j => j.Job.Pictures)]).Walk(on.Job, new(slug.Length), 40,
            (edit, _, _) =>
        {
            var before = on;
            on = desk.Jobs.Apply(slug, new($"edit-{n++:0000}", "test", _ => edit));
            if (on.Revision == before.Revision) return;
            made++;
            var anew = desk.Jobs.Worked(0, on.Job);
            for (var s = 0; s < anew.Sheets.Length; s++)
            {
                var (now, fresh) = (on.Composed.Sheets[s].Scene, anew.Sheets[s].Scene);
                now.Items.Length.ShouldBe(fresh.Items.Length);
                for (var p = 0; p < now.Items.Length; p++)
                {
                    Said(desk, now.Items[p], on.Job).ShouldBe(Said(desk, fresh.Items[p], on.Job),
                        $"edit {n}, {now.Items[p].Item}");
                    if (before.Composed.Sheets.Any(b => b.Scene.Items.Any(x => ReferenceEquals(x,
                        now.Items[p])))) kept++;
                }
            }
            on.Composed.Drawn.Select(f => f.Key).ShouldBe(anew.Drawn.Select(f => f.Key));
        });
        made.ShouldBeGreaterThan(15);
        kept.ShouldBeGreaterThan(made, "most items are those of before");
    }

    private static string Said(AppServices desk, DrawnItem drawn, Job job) =>
        new Press.Svg.SvgPainter(desk.Drawer.Shelf, desk.Drawer.ColourOf(job.Ticket.House)).Item(drawn);

    [Fact]
    public async Task A_text_that_takes_long_to_set_holds_nobody_else_up()
    {
        var desk = new AppServices(DemoData.In(_folder), TimeProvider.System, DemoBench.Load);
        using var begun = new ManualResetEventSlim();
        using var go = new ManualResetEventSlim();
        // An edit that waits while it is made stands for one that takes long.
        var slow = Task.Run(() => desk.Jobs.Apply("tidewatcher", new("slow-1", "one", _ =>
        {
            begun.Set();
            go.Wait(TimeSpan.FromMinutes(2)).ShouldBeTrue();
            return new SetWords("line", "slow");
        })));
        begun.Wait(TimeSpan.FromMinutes(2)).ShouldBeTrue();
        desk.Jobs.Apply("tidewatcher", new("quick-1", "two", _ => new SetWords("author", "quick")));
        desk.Jobs.Apply("hive", new("quick-2", "two", _ => new SetUnit(Unit.Inch)));
        go.Set();
        var on = await slow;
        // It was made again of what lies there now.
        (on.Job.Item("line") as TextItem)!.Words.ShouldBe("slow");
        (on.Job.Item("author") as TextItem)!.Words.ShouldBe("quick");
        desk.Jobs.StepList(on).Count.ShouldBe(3);
    }
}
