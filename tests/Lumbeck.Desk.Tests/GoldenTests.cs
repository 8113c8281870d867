using System.IO.Compression;
using System.Text;
using Lumbeck.Store;
using Lumbeck.Tests.ByChance;

namespace Lumbeck.Desk.Tests;

/// <summary>
/// What earlier versions stored and exported opens: a data folder, packs and house files of each form, as they were
/// written then.
/// </summary>
public sealed class GoldenTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    public static TheoryData<int> Forms() =>
        [.. Enumerable.Range(1, Directory.GetDirectories(Golden.Path("."), "form-*").Length)];

    private string Data(int form)
    {
        var folder = Path.Combine(_folder, $"data-{form}");
        ZipFile.ExtractToDirectory(Golden.Path($"form-{form}/data.zip"), folder);
        return folder;
    }

    private static string Known(AppServices desk, OnBench on)
    {
        var job = on.Job;
        var items = job.Wraps.Sum(w => w.Takes.Sum(t => t.Items.Count));
        return $"{on.Slug} | {job.Ticket.Title} | {job.Ticket.Pages} pages | {items} items | {job.Swatches.Count} " +
            $"swatches | {desk.Jobs.StepList(on).Count} steps";
    }

    [Theory]
    [MemberData(nameof(Forms))]
    public void A_data_folder_opens_with_its_jobs_steps_houses_and_files(int form)
    {
        var told = new List<string>();
        var desk = new AppServices(Data(form), TimeProvider.System, told: told.Add);
        desk.Bench.All().Select(j => Known(desk, j)).ShouldBe(File.ReadAllLines(Golden.Path($"form-{form}/known.txt")));
        desk.Houses.All().Single(h => !h.Ships).House
            .ShouldSatisfyAllConditions(h => h.Name.ShouldBe("Our own house"), h => h.Bleed.Inches.ShouldBe(4));
        desk.Pressing.Pressings("old-2").ShouldHaveSingleItem().File
            .ShouldSatisfyAllConditions(f => desk.Pressing.Files.IsSound(f).ShouldBeTrue());
        desk.Jobs.StepList(desk.Jobs.Job("old-2"), named: true).ShouldHaveSingleItem()
            .Row.Name.ShouldBe("Before the fair");
        told.ShouldBeEmpty();

        foreach (var job in desk.Bench.All().Select(j => j.Slug))
        {
            // Back to the beginning, an edit in the midst of it, and the new steps are kept beside the old.
            var (on, back) = (desk.Jobs.Job(job), 0);
            while (desk.Jobs.Steps(on).Back) (on, back) = (desk.Jobs.Undo(job, "s"), back + 1);
            back.ShouldBeGreaterThan(20);
            on = desk.Jobs.Apply(job, new($"new-{job}", "s", _ => new SetFact(TicketFact.Subtitle, "Opened again")));
            JobJson.Write(new AppServices(desk.Folder, TimeProvider.System).Jobs.Job(job).Job).AsSpan()
                .SequenceEqual(JobJson.Write(on.Job))
                .ShouldBeTrue();
        }
    }

    [Theory]
    [MemberData(nameof(Forms))]
    public async Task Packs_and_house_files_open(int form)
    {
        var (old, desk) = (new AppServices(Data(form), TimeProvider.System),
            new AppServices(Path.Combine(_folder, "new"), TimeProvider.System));
        foreach (var pack in Directory.GetFiles(Golden.Path($"form-{form}"), "old-*.zip"))
        {
            await using var file = File.OpenRead(pack);
            var on = await desk.Bench.Unpack(file, "s");
            JobJson.Write(on.Job).AsSpan().SequenceEqual(JobJson.Write(old.Jobs.Job(on.Slug).Job))
                .ShouldBeTrue(on.Slug);
        }
        foreach (var house in HouseFile.Shipped.Values.Where(h => File.Exists(Golden.Path($"form-{form}/house-{h.Id}.json"))))
            HouseFile.Write(HouseFile.Read(File.ReadAllText(Golden.Path($"form-{form}/house-{house.Id}.json"))))
                .ShouldBe(HouseFile.Write(house));
    }

    [Fact]
    public void Every_form_but_the_one_written_now_has_its_golden_files() =>
        Forms()
            .Count.ShouldBe(StoredForm.Current - 1, "before a new form is written, files of the one before are kept");

    [Fact]
    public async Task A_member_that_is_not_known_is_refused_at_the_door_and_told_in_the_store()
    {
        var desk = new AppServices(Path.Combine(_folder, "one"), TimeProvider.System);
        var on = desk.Bench.Begin("Strange", Starters.Job(HouseFile.Shipped["tern"], "Strange"), "s", "strange");
        var json = Encoding.UTF8.GetString(JobJson.Write(on.Job))
            .Replace("\"swatches\":", "\"glitter\":3,\"swatches\":", StringComparison.Ordinal);

        using var pack = new MemoryStream();
        desk.Bench.WritePack(on, pack);
        using (var zip = new ZipArchive(pack, ZipArchiveMode.Update, leaveOpen: true))
        {
            zip.GetEntry("job.json")!.Delete();
            await using var s = zip.CreateEntry("job.json").Open();
            s.Write(Encoding.UTF8.GetBytes(json));
        }
        pack.Position = 0;
        (await Should.ThrowAsync<Refusal>(() => desk.Bench.Unpack(pack, "s"))).Message.ShouldContain("glitter");
        Should.Throw<Refusal>(() => HouseFile.Read("""{ "name": "H", "glitter_mm": 3 }""")).Message.ShouldContain("glitter_mm");

        var told = new List<string>();
        JobJson.Read(Encoding.UTF8.GetBytes(json), told.Add).Ticket.Title.ShouldBe("Strange");
        HouseFile.Read("""{ "name": "H", "glitter_mm": 3 }""", told.Add).Name.ShouldBe("H");
        told.ShouldBe(["glitter", "glitter_mm"]);
    }

    [Fact]
    public void A_later_form_is_refused_with_its_number()
    {
        var json = Encoding.UTF8.GetString(JobJson.Write(Starters.Job(HouseFile.Shipped["tern"], "Later")));
        var later = json.Replace($"\"form\":{StoredForm.Current}", "\"form\":99", StringComparison.Ordinal);
        Should.Throw<Refusal>(() => JobJson.Read(Encoding.UTF8.GetBytes(later))).Message.ShouldContain("form 99");
        Should.Throw<Refusal>(() => HouseFile.Read("""{ "form": 99 }""")).Message.ShouldContain("form 99");
    }

    [Fact]
    public void After_many_steps_every_revision_is_read_again_as_it_was()
    {
        var store = new JobStore(Path.Combine(_folder, "many"), TimeProvider.System);
        Picture[] pictures = [new(new('a', 64), "a.png", 40, 30, true)];
        var first = new RandomJobs(pictures).Small(2);
        store.Write(w => { w.AddJob("j", "j", first, "s"); return 0; });
        var written = new Dictionary<long, byte[]> { [store.Head("j").Revision] = JobJson.Write(first) };
        var (n, r) = (0, new Chance(7));
        new RandomEdits(pictures).Walk(first, new(7), 300, (edit, before, after) =>
        {
            store.Write(w =>
            {
                var head = w.Append("j", w.Head("j").Revision, n % 4 == 0 ? null : $"g{n / 4}", $"e{n++}", edit,
                    edit.Says(before), after, "s");
                written[head.Revision] = JobJson.Write(after);
                return 0;
            });
        });
        var again = new JobStore(store.Folder, TimeProvider.System);
        foreach (var (revision, json) in written.OrderBy(_ => r.From(0, 1_000_000)))
            JobJson.Write(again.Load(revision)).AsSpan().SequenceEqual(json).ShouldBeTrue($"revision {revision}");
        again.Steps("j", null, 1000, false).Sum(s => s.Parts).ShouldBe(written.Count);
    }
}
