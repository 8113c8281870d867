using Lumbeck.Tests.ByChance;

namespace Lumbeck.Desk.Tests;

/// <summary>
/// What holds after any edits: jobs come back from their own JSON and packs to the byte, what edits make import
/// accepts, and a swatch goes without a trace.
/// </summary>
public sealed class RandomWalkTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;
    private readonly AppServices _desk;
    private readonly IReadOnlyList<Picture> _pictures;

    public RandomWalkTests()
    {
        _desk = new(DemoData.In(Path.Combine(_folder, "one")), TimeProvider.System, DemoBench.Load);
        _pictures = [.. _desk.Bench.All().SelectMany(j => j.Job.Pictures).DistinctBy(p => p.Hash)];
    }

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    private Job Begun(int seed) =>
        seed % 2 == 0 ? new RandomJobs(_pictures).Small(seed) : new RandomJobs(_pictures).Any(seed);

    [Theory]
    [MemberData(nameof(Seeds))]
    public void After_every_edit_a_job_is_what_its_own_JSON_says_and_what_import_takes(int seed)
    {
        new RandomEdits(_pictures).Walk(Begun(seed), new(seed), 120, (edit, _, after) =>
        {
            var json = JobJson.Write(after);
            JobJson.Write(JobJson.Read(json)).AsSpan().SequenceEqual(json)
                .ShouldBeTrue($"seed {seed}, {edit}: read and written it is another");
            Should.NotThrow(() => ImportValidation.Job(JobJson.Read(json)), $"seed {seed}, {edit}");
        });
    }

    [Theory]
    [MemberData(nameof(Seeds))]
    public void What_an_edit_touched_is_what_its_result_differs_in(int seed)
    {
        new RandomEdits(_pictures).Walk(Begun(seed), new(seed), 60, (edit, before, after) =>
        {
            var same = JobJson.Write(before).AsSpan().SequenceEqual(JobJson.Write(after));
            var touched = Touched.Between(before, after);
            (touched.Count == 0).ShouldBe(same, $"seed {seed}, {edit}");
            Touched.Between(after, before).ShouldBe(touched, ignoreOrder: true, $"seed {seed}, {edit}");
            touched.ShouldAllBe(a => touched.Any(a.Meets));
        });
    }

    [Theory]
    [InlineData(2)]
    [InlineData(5)]
    public void Back_and_then_forward_again_is_where_one_was(int seed)
    {
        var slug = _desk.Bench.Begin("Back and forth", Begun(seed), "walk").Slug;
        var (r, states) = (new Chance(seed), new List<byte[]>());
        new RandomEdits(_pictures).Walk(_desk.Jobs.Job(slug).Job, new(seed), 40, (edit, _, _) =>
        {
            var gesture = r.One(3) ? $"g{r.From(0, 9)}" : null;
            try { _desk.Jobs.Apply(slug, new(Guid.NewGuid().ToString("n"), "walk", _ => edit, null, gesture)); }
            catch (Refusal) { }
        });
        var end = JobJson.Write(_desk.Jobs.Job(slug).Job);
        var back = 0;
        for (; _desk.Jobs.Steps(_desk.Jobs.Job(slug)).Back && back < 25; back++)
        {
            states.Add(JobJson.Write(_desk.Jobs.Job(slug).Job));
            _desk.Jobs.Undo(slug, "walk");
        }
        for (; back > 0; back--)
            JobJson.Write(_desk.Jobs.Redo(slug, "walk").Job).AsSpan().SequenceEqual(states[back - 1])
                .ShouldBeTrue($"seed {seed}, step {back}");
        JobJson.Write(_desk.Jobs.Job(slug).Job).AsSpan().SequenceEqual(end).ShouldBeTrue();
    }

    private static bool All => Environment.GetEnvironmentVariable("LUMBECK_TEST_ALL") == "1";

    public static TheoryData<int> Mended() => All ? [.. Enumerable.Range(1, 60)] : [3, 4, 5, 6];

    [Theory]
    [MemberData(nameof(Mended))]
    public void Each_mend_removes_its_finding(int seed)
    {
        var job = new RandomJobs(_pictures).Small(seed);
        foreach (var finding in _desk.Checks.Exactly(_desk.Jobs.Worked(0, job)).Where(f => f.Fix is not null))
        {
            var after = _desk.Checks.Exactly(_desk.Jobs.Worked(0, finding.Fix!.Apply(job)));
            after.ShouldNotContain(
                f =>
                    f.Id == finding.Id && f.Item == finding.Item && f.Sheet == finding.Sheet
                        && f.Measured == finding.Measured,
                $"seed {seed}, {finding.Key}: {finding.Fix}");
        }
    }

    /// <summary>
    /// Liveries on whatever lies there, hands on what they laid, set again, kept and put on another job: what comes of it
    /// is what import takes, and no picture and no code is lost.
    /// </summary>
    [Theory]
    [MemberData(nameof(Seeds))]
    public void Liveries_over_whatever_lies_there_make_what_import_takes_and_lose_nothing(int seed)
    {
        var (r, edits, n) = (new Chance(seed + 400), new RandomEdits(_pictures), 0);
        var job = edits.Walk(Begun(seed), new(seed), 30);
        Job sound(Job after, string what)
        {
            after = EditPipeline.Settle(after, _desk.Drawer.Shelf);
            var json = JobJson.Write(after);
            JobJson.Write(JobJson.Read(json)).AsSpan().SequenceEqual(json).ShouldBeTrue($"seed {seed}, {what}");
            Should.NotThrow(() => ImportValidation.Job(JobJson.Read(json)), $"seed {seed}, {what}");
            return after;
        }
        Job wear(Job on, string livery)
        {
            var was = on.Wraps.Select(w => w.Take).ToList();
            on = sound(_desk.Liveries.Wear(on, livery, r.From(1, 3), $"{n}", $"worn-{++n}").Edit.Apply(on), $"{livery} worn");
            foreach (var (wrap, take) in was.Index().Where(w => on.Wraps[w.Index].Current == $"worn-{n}"))
            {
                var now = on.Wraps[wrap].Take;
                var kept = now.Pictures.Select(p => p.Hash).ToHashSet();
                take.Items.OfType<PictureItem>().Where(p => p is { Hidden: false, Picture: not null }
                    && !(p.Laid?.Part is "spine-mark" or "portrait" or "page-1" or "page-2" or "page-3" && Figures.AsLaid(p)))
                    .ShouldAllBe(p => kept.Contains(p.Picture!.Hash), $"seed {seed}, {livery}: a picture");
                now.Items.Concat(now.Beside).OfType<CodeItem>().Count()
                    .ShouldBeGreaterThanOrEqualTo(take.Items.OfType<CodeItem>().Count(c => !c.Hidden),
                        $"seed {seed}, {livery}");
            }
            return on;
        }
        for (var round = 0; round < 4; round++)
        {
            job = wear(job, r.Of([.. LiveryShelf.All]).Id);
            job = edits.Walk(job, new(seed + (97 * round)), 15);
            if (job.Take.Worn is not null) job = sound(_desk.Liveries.Again(job).Apply(job), "set again");
            foreach (var (wrap, item) in job.Wraps.SelectMany((w, k) => w.Take.Beside.Select(i => (k, i))).ToList())
                job = sound((r.One(3) ? new DropBeside(wrap, item.Id) : (Edit)new LayBeside(wrap, item.Id,
                    job.Sheets().First(s => s.Wrap == wrap).Sheet.Panels[0].Part)).Apply(job), "from beside the sheet");
        }
        if (job.Items.All(i => i.Hidden)) return;
        var own = _desk.Liveries.Keep(job, $"By chance {seed}");
        _ = wear(edits.Walk(Begun(seed + 1), new(seed), 20), own.Id);
        _ = wear(edits.Walk(Begun(seed + 2), new(seed), 20), _desk.Liveries.TakeIn(_desk.Liveries.Export(own.Id)).Id);
        sound(_desk.Starters.Begun(_desk.Starters.Keep(job, $"By chance {seed}").Id, "Begun"), "begun from it");
    }

    public static TheoryData<int> Seeds() => [.. Enumerable.Range(1, 8)];

    [Theory]
    [MemberData(nameof(Seeds))]
    public void A_swatch_that_is_removed_leaves_every_ink_as_it_was(int seed)
    {
        var job = new RandomEdits(_pictures).Walk(Begun(seed), new(seed), 40);
        foreach (var swatch in job.Swatches)
        {
            var was = Inks(job);
            var uses = Paints.Uses(job, swatch.Id);
            var after = new RemoveSwatch(swatch.Id).Apply(job);
            Inks(after).ShouldBe(was, $"seed {seed}, {swatch.Name} with {uses} uses");
            System.Text.Encoding.UTF8.GetString(JobJson.Write(after)).ShouldNotContain($"\"swatch\":\"{swatch.Id}\"");
            job = after;
        }
    }

    /// <summary>Every ink that is laid, in the order it is: of all sheets, words, codes and papers.</summary>
    private List<Ink> Inks(Job job)
    {
        IEnumerable<Ink> of(Mark mark) => mark switch
        {
            FillMark f => [f.Ink],
            LineMark l => [l.Ink],
            BlurredMark s => [s.Ink],
            GlyphMark { Gradient: { } run } => run.Stops.Select(s => s.Ink),
            GlyphMark g => [g.Ink],
            GradientMark s => s.Gradient.Stops.Select(x => x.Ink),
            DrawingMark d => d.Marks.SelectMany(of),
            _ => [],
        };
        return [.. _desk.Jobs.Worked(0, job).Sheets.SelectMany(s => s.Scene.Items).SelectMany(p => p.Marks)
            .SelectMany(of)];
    }

    [Theory]
    [InlineData(3)]
    [InlineData(4)]
    [InlineData(11)]
    [InlineData(16)]
    public async Task A_job_of_any_edits_comes_back_from_its_pack_to_the_byte(int seed)
    {
        var job = new RandomEdits(_pictures).Walk(Begun(seed), new(seed), 80);
        var slug = _desk.Bench.Begin("By chance", job, "walk").Slug;
        byte[] pack(AppServices desk)
        {
            using var m = new MemoryStream(); desk.Bench.WritePack(desk.Jobs.Job(slug), m);
            return m.ToArray();
        }
        var first = pack(_desk);
        var other = new AppServices(Path.Combine(_folder, "two"), TimeProvider.System);
        var on = await other.Bench.Unpack(new MemoryStream(first), "walk");
        JobJson.Write(on.Job).ShouldBe(JobJson.Write(_desk.Jobs.Job(slug).Job));
        pack(other).ShouldBe(first);
    }
}
