using Lumbeck.Tests.ByChance;

namespace Lumbeck.Desk.Tests;

/// <summary>What is tried is what is saved: by every kind of edit, whoever asks for it.</summary>
public sealed class PipelineTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;
    private readonly AppServices _desk;

    public PipelineTests() => _desk = new(DemoData.In(Path.Combine(_folder, "one")), TimeProvider.System,
        DemoBench.Load);

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    private static string Json(Job job) => System.Text.Encoding.UTF8.GetString(JobJson.Write(job));

    /// <summary>What comes of an edit that is tried, and then made: the same job, or the same refusal.</summary>
    private bool Compare(string slug, Func<Job, Edit> make, string what)
    {
        var on = _desk.Jobs.Job(slug);
        (Composed? Would, string? Why) tried = (null, null), made = (null, null);
        try { tried.Would = _desk.Jobs.Preview(on.Composed, make(on.Job)); }
        catch (Refusal r) { tried.Why = r.Message; }
        try { made.Would = _desk.Jobs.Apply(slug, new(Guid.NewGuid().ToString("n"), "test", make)).Composed; }
        catch (Refusal r) { made.Why = r.Message; }
        made.Why.ShouldBe(tried.Why, what);
        if (tried.Would is null) return false;
        Json(made.Would!.Job).ShouldBe(Json(tried.Would.Job), what);
        made.Would.Geometry.Sheet.Size.ShouldBe(tried.Would.Geometry.Sheet.Size, what);
        // What is kept is kept so for good: nothing is left to be put right by the next edit.
        Json(EditPipeline.Settle(made.Would.Job, _desk.Drawer.Shelf,
            _desk.Drawer.Tables)).ShouldBe(Json(made.Would.Job), what);
        return true;
    }

    /// <summary>A book of a long text, as long as it needs.</summary>
    private string Novel()
    {
        var job = Starters.Job(_desk.Houses.Get("tern").House, "Long", "5 x 8 in", "120");
        var text = string.Join("\n", Enumerable.Range(0, 170).Select(n =>
            $"In the {n}th year the water rose as it had risen before, and nobody on the quay said a word about it."));
        var run = new PageRun
        {
            Id = "text",
            Goes = RunKind.Needed,
            Designs = [(TextPages)DesignShelf.Of("text") with { Text = text }],
        };
        return _desk.Bench.Begin("Long", job, "test", then: _ => new BeginInside([run], "runs")).Slug;
    }

    [Theory, InlineData("ticket/trim", "6 x 9 in"), InlineData("ticket/trim", "4.25 x 7 in"),
        InlineData("ticket/reading", "rtl"),
        InlineData("ticket/language", "de")]
    public void Pages_and_spine_are_tried_as_they_are_saved(string fact, string text)
    {
        var slug = Novel();
        var before = _desk.Jobs.Job(slug);
        Compare(slug, job => Facts.Write(job, fact, text), $"{fact}: {text}").ShouldBeTrue();
        if (fact == "ticket/trim")
            _desk.Jobs.Job(slug).Job.Ticket.Pages.ShouldNotBe(before.Job.Ticket.Pages);
    }

    [Fact]
    public void Every_kind_of_edit_is_tried_as_it_is_saved()
    {
        var pictures = _desk.Bench.All().SelectMany(j => j.Job.Pictures).DistinctBy(p => p.Hash).ToList();
        var kinds = new HashSet<System.Type>();
        void note(Edit edit)
        {
            kinds.Add(edit.GetType());
            if (edit is Together all) foreach (var e in all.Edits) note(e);
        }
        foreach (var of in Sweep.Spread(["tidewatcher", "hive", "pass", "salt-road", "monday", "calder"], 2))
        {
            var slug = _desk.Jobs.Job(of).Slug;
            var r = new Chance(of.Length);
            // Composed spines and boxes that grow follow whatever the edits do.
            var edits = new List<Edit>();
            new RandomEdits(pictures).Walk(_desk.Jobs.Job(slug).Job, r, Sweep.IsLong ? 400 : 90, (edit, _,
                _) => edits.Add(edit));
            foreach (var (n, edit) in edits.Index())
            {
                note(edit);
                Compare(slug, _ => edit, $"{of}, {n}: {edit.GetType().Name}");
                if (n % 3 != 0) continue;
                var inside = RandomInside.One(_desk.Jobs.Job(slug).Job, r, n);
                note(inside);
                Compare(slug, _ => inside, $"{of}, {n}: {inside.GetType().Name}");
            }
            Compare(slug, job => _desk.Liveries.Wear(job, "ledger", 1, null, "worn").Edit, "a livery");
            Compare(slug, _ => new SetHouse(_desk.Houses.Get("plover").House), "another house");
        }
        kinds.Count.ShouldBeGreaterThan(60);
    }

    [Fact]
    public void Screens_and_the_command_line_call_no_part_of_it_by_itself()
    {
        var root = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(root.FullName, "Lumbeck.slnx"))) root = root.Parent!;
        foreach (var project in (string[])["Lumbeck.Web", "Lumbeck.Cli"])
            foreach (var file in Directory.GetFiles(Path.Combine(root.FullName, "src", project), "*.cs",
                SearchOption.AllDirectories)
                .Where(f => !f.Contains("/obj/", StringComparison.Ordinal)))
                System.Text.RegularExpressions.Regex.Matches(File.ReadAllText(file), @"(\w+)\.Apply\(")
                    .Select(m => m.Groups[1].Value).ShouldAllBe(on => on == "Jobs" || on == "Houses",
                        Path.GetFileName(file));
    }
}
