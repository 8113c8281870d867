using System.IO.Compression;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;
using Lumbeck.Tests.ByChance;

namespace Lumbeck.Desk.Tests;

/// <summary>
/// The golden files of the form that is written now: made by every run, and with <c>LUMBECK_KEEP=1</c> kept beside those
/// of earlier forms. That is done once, before a new form is written.
/// </summary>
public sealed class GoldenFiles : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    [Fact]
    public void A_data_folder_with_its_packs_and_house_files_can_be_kept_as_it_is_written_today()
    {
        var data = Path.Combine(_folder, "data");
        var desk = new AppServices(data, TimeProvider.System, d =>
        {
            // The demo's pictures, and none of its jobs.
            DemoBench.Load(d);
            foreach (var job in d.Bench.Places()) d.Bench.PutAway(job.Slug);
            foreach (var job in d.Bench.Places(away: true)) d.Bench.Remove(job.Slug);
        });
        Picture[] pictures = [.. desk.Drawer.Pictures.All().Where(p => !p.Drawn).OrderBy(p => p.Bytes).Take(1)
            .Select(p => new Picture(p.Hash, p.Name, (int)p.Wide, (int)p.High, true))];
        foreach (var row in desk.Drawer.Pictures.All())
            if (pictures.All(p => p.Hash != row.Hash)) desk.Drawer.Pictures.Remove(row.Hash);
        var known = new List<string>();
        foreach (var seed in (int[])[2, 5, 9])
        {
            var slug = $"old-{seed}";
            var first = new RandomJobs(pictures).Small(seed);
            var on = desk.Bench.Begin($"Old {seed}", first, "keep", slug);
            var n = 0;
            new RandomEdits(pictures).Walk(first, new(seed), 60, (edit, _, _) =>
                on = desk.Jobs.Apply(slug, new($"{slug}-{n++}", "keep", _ => edit)));
            if (seed == 2)
            {
                desk.Jobs.NameStep(slug, on.Revision, "Before the fair");
                desk.Pressing.Press(on, new(PressKind.Mockup), null);
            }
            known.Add($"{slug} | {on.Job.Ticket.Title} | {on.Job.Ticket.Pages} pages | " +
                $"{on.Job.Wraps.Sum(w => w.Takes.Sum(t => t.Items.Count))} items | {on.Job.Swatches.Count} swatches | " +
                $"{desk.Jobs.StepList(on).Count} steps");
            using var pack = File.Create(Path.Combine(_folder, slug + ".zip"));
            desk.Bench.WritePack(on, pack);
        }
        var house = desk.Houses.Copy("tern").House.Id;
        desk.Houses.Edit(house, "golden-1", "name", "Our own house");
        desk.Houses.Edit(house, "golden-2", "bleed_mm", "4 in");
        foreach (var ships in HouseFile.Shipped.Values)
            File.WriteAllText(Path.Combine(_folder, $"house-{ships.Id}.json"), HouseFile.Write(ships));
        File.WriteAllLines(Path.Combine(_folder, "known.txt"), known);

        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        foreach (var made in (string[])["previews", "grown", "keys", "incoming"])
            if (Directory.Exists(Path.Combine(data, made))) Directory.Delete(Path.Combine(data, made), recursive: true);
        ZipFile.CreateFromDirectory(data, Path.Combine(_folder, "data.zip"), CompressionLevel.SmallestSize, false);
        new FileInfo(Path.Combine(_folder, "data.zip")).Length.ShouldBeLessThan(3_000_000);
        known.Count.ShouldBe(3);

        if (Environment.GetEnvironmentVariable("LUMBECK_KEEP") != "1") return;
        var to = Golden.Source($"form-{StoredForm.Current}");
        if (Directory.Exists(to)) return;
        Directory.CreateDirectory(to);
        foreach (var file in Directory.GetFiles(_folder)) File.Copy(file, Path.Combine(to, Path.GetFileName(file)));
    }
}
