using Lumbeck.Tests.ByChance;

namespace Lumbeck.Desk.Tests;

/// <summary>What holds after any edits: jobs come back from their own JSON and packs to the byte, what edits make import accepts, and a swatch goes without a trace.</summary>
public sealed class RandomWalkTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;
    private readonly Desk _desk;
    private readonly IReadOnlyList<Picture> _pictures;

    public RandomWalkTests()
    {
        _desk = new(Path.Combine(_folder, "one"), TimeProvider.System);
        _pictures = [.. _desk.Jobs().SelectMany(j => j.Job.Pictures).DistinctBy(p => p.Hash)];
    }

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    private Job Begun(int seed) => seed % 2 == 0 ? new RandomJobs(_pictures).Small(seed) : new RandomJobs(_pictures).Any(seed);

    [Theory]
    [MemberData(nameof(Seeds))]
    public void After_every_edit_a_job_is_what_its_own_JSON_says_and_what_import_takes(int seed)
    {
        new RandomEdits(_pictures).Walk(Begun(seed), new(seed), 120, (edit, _, after) =>
        {
            var json = JobJson.Write(after);
            JobJson.Write(JobJson.Read(json)).AsSpan().SequenceEqual(json).ShouldBeTrue($"seed {seed}, {edit}: read and written it is another");
            Should.NotThrow(() => ImportValidation.Job(JobJson.Read(json)), $"seed {seed}, {edit}");
        });
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
            SoftMark s => [s.Ink],
            GlyphMark { Shade: { } run } => run.Stops.Select(s => s.Ink),
            GlyphMark g => [g.Ink],
            ShadeMark s => s.Shade.Stops.Select(x => x.Ink),
            DrawingMark d => d.Marks.SelectMany(of),
            _ => [],
        };
        return [.. _desk.Worked(0, job).Sheets.SelectMany(s => s.Scene.Pieces).SelectMany(p => p.Marks).SelectMany(of)];
    }

    [Theory]
    [InlineData(3)]
    [InlineData(4)]
    [InlineData(11)]
    [InlineData(16)]
    public async Task A_job_of_any_edits_comes_back_from_its_pack_to_the_byte(int seed)
    {
        var job = new RandomEdits(_pictures).Walk(Begun(seed), new(seed), 80);
        var slug = _desk.Begin("By chance", job, "walk").Slug;
        byte[] pack(Desk desk) { using var m = new MemoryStream(); desk.WritePack(desk.Job(slug), m); return m.ToArray(); }
        var first = pack(_desk);
        var other = new Desk(Path.Combine(_folder, "two"), TimeProvider.System, demo: false);
        var on = await other.Unpack(new MemoryStream(first), "walk");
        JobJson.Write(on.Job).ShouldBe(JobJson.Write(_desk.Job(slug).Job));
        pack(other).ShouldBe(first);
    }
}
