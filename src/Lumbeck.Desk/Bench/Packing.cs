using System.IO.Compression;
using System.Text.Json;
using System.Text.RegularExpressions;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Pictures;

namespace Lumbeck.Desk.Bench;

/// <summary>A job with all it needs as a ZIP file, to keep or to hand on (docs/pack-file.md).</summary>
public static partial class Packing
{
    /// <summary>Most bytes a pack may hold once unpacked, and most of its job alone.</summary>
    public const long Most = 1_000_000_000, MostJob = 30_000_000;

    private const string About = "pack.json", JobFile = "job.json", ProfileFile = "profile.icc";

    [GeneratedRegex("^pictures/[0-9a-f]{64}$", RegexOptions.CultureInvariant)]
    private static partial Regex PictureName();

    [GeneratedRegex("^faces/[0-9a-f]{64}$", RegexOptions.CultureInvariant)]
    private static partial Regex FaceName();

    [GeneratedRegex("^(pages|mended)/[0-9a-f]{64}$", RegexOptions.CultureInvariant)]
    private static partial Regex FinishedName();

    [GeneratedRegex("^tables/[0-9a-f]{64}$", RegexOptions.CultureInvariant)]
    private static partial Regex TableName();

    private sealed record Pack(int LumbeckPack, string Title, string Slug, IReadOnlyList<PackedPicture> Pictures);

    /// <param name="Hash">Of its file.</param>
    /// <param name="Name">What it is called.</param>
    /// <param name="Source">Where it is from.</param>
    /// <param name="Maker">Who made it.</param>
    /// <param name="Licence">What may be done with it.</param>
    /// <param name="Page">The press-ready page that it shows, by the hash of its file.</param>
    private sealed record PackedPicture(string Hash, string Name, string Source, string Maker, string Licence,
        string? Page = null);

    /// <summary>
    /// Writes what is on the bench, with the pictures of all its takes. The same job gives the same bytes.
    /// </summary>
    public static void WritePack(this BenchDesk bench, OnBench on, Stream output) =>
        Write(bench.Jobs.Drawer, on.Job, on.Slug, output, bench.Finished.Of(on.JobId));

    /// <summary>Writes a job with all it needs.</summary>
    /// <param name="drawer">Where pictures, faces and tables are.</param>
    /// <param name="job">The job.</param>
    /// <param name="slug">Its address.</param>
    /// <param name="output">The pack; not closed.</param>
    /// <param name="finished">Its files that were made elsewhere.</param>
    internal static void Write(Drawer drawer, Job job, string slug, Stream output, IReadOnlyList<PackedFile>? finished = null)
    {
        using var zip = new ZipArchive(output, ZipArchiveMode.Create, leaveOpen: true);
        var hashes = job.Pictures.Select(p => p.Hash).Order(StringComparer.Ordinal).ToList();
        var rows = hashes.Select(h =>
            drawer.Pictures.Find(h)
                ?? throw new Refusal("picture", $"a picture of this job is not in the drawer any more ({h[..12]}…)"))
            .ToList();
        List<string> pages = [.. rows.Select(r => r.Page).Where(p => p.Length > 0).Distinct().Order(StringComparer.Ordinal)];
        // What holds no finished files is read by versions that know none.
        var form = pages.Count > 0 || finished is { Count: > 0 } ? Current : 1;
        Put(zip, About,
            s =>
                JsonSerializer.Serialize(s,
                    new Pack(form, job.Ticket.Title, slug,
                        [.. rows.Select(r => new PackedPicture(r.Hash, r.Name, r.Source, r.Maker, r.Licence,
                            r.Page.Length > 0 ? r.Page : null))]),
                    JobJson.Options));
        Put(zip, JobFile, s => s.Write(JobJson.Write(job)));
        if (job.Ticket.House.Profile is { } profile && profile.StartsWith("own-", StringComparison.Ordinal))
            Put(zip, ProfileFile, s => s.Write(Profiles.Bytes(profile)));
        foreach (var face in job.Faces.Select(drawer.Faces.Own).OfType<Store.Shelves.FaceRow>()
            .OrderBy(f => f.Hash, StringComparer.Ordinal))
            Put(zip, "faces/" + face.Hash, s => s.Write(File.ReadAllBytes(drawer.Faces.PathOf(face.Hash))));
        foreach (var table in TablesOf(job))
        {
            if (drawer.Tables.Kept(table.Hash) is null)
                throw new Refusal("table", $"the table {table.Name} is not in the drawer any more");
            Put(zip, "tables/" + table.Hash, s => s.Write(File.ReadAllBytes(drawer.Tables.PathOf(table.Hash))));
        }
        // Pictures are packed tight already.
        foreach (var hash in hashes)
            Put(zip, "pictures/" + hash,
                s => { using var f = File.OpenRead(drawer.Pictures.PathOf(hash)); f.CopyTo(s); },
                CompressionLevel.NoCompression);
        foreach (var page in pages)
            Put(zip, "pages/" + page, s => { using var f = File.OpenRead(drawer.Pictures.PathOf(page)); f.CopyTo(s); },
                CompressionLevel.NoCompression);
        if (finished is { Count: > 0 }) FinishedFiles.Write(finished, (name, write) =>
            Put(zip, name, write, name == FinishedFiles.About ? CompressionLevel.Optimal : CompressionLevel.NoCompression));
    }

    /// <summary>The form of a pack with finished files in it; one without is of form 1.</summary>
    private const int Current = 2;

    /// <summary>Begins a job from a pack.</summary>
    /// <param name="bench">The bench.</param>
    /// <param name="input">A file that can be searched.</param>
    /// <param name="by">Who unpacks it.</param>
    /// <exception cref="Refusal">It is no pack, holds what a pack does not, or more than one may.</exception>
    public static async Task<OnBench> Unpack(this BenchDesk bench, Stream input, Actor by)
    {
        var (job, slug) = await Read(bench.Jobs, input);
        var on = bench.Begin(job.Ticket.Title, job, by, slug);
        using var zip = new ZipArchive(input, ZipArchiveMode.Read, leaveOpen: true);
        if (zip.GetEntry(FinishedFiles.About) is null) return on;
        try { bench.Finished.TakeIn(on, Read(zip, FinishedFiles.About), name => zip.GetEntry(name)?.Open()); }
        catch (Exception e) when (e is Refusal or InvalidDataException or InvalidOperationException or IOException)
        {
            // Nothing of it stays.
            bench.PutAway(on.Slug);
            bench.Remove(on.Slug);
            throw e is Refusal ? e : No("its finished files are damaged");
        }
        return on;
    }

    /// <summary>Reads a pack, and takes in what its job needs.</summary>
    /// <returns>The job, and the address it wants.</returns>
    /// <exception cref="Refusal">It is no pack, holds what a pack does not, or more than one may.</exception>
    internal static async Task<(Job Job, string? Slug)> Read(JobDesk jobs, Stream input)
    {
        var drawer = jobs.Drawer;
        try
        {
            using var zip = new ZipArchive(input, ZipArchiveMode.Read, leaveOpen: true);
            if (zip.Entries.Count > 3 + AddItem.Most * AddTake.Most) throw No($"it holds {zip.Entries.Count} files");
            foreach (var e in zip.Entries)
                if (e.FullName is not (About or JobFile or ProfileFile or FinishedFiles.About) && !FinishedName()
                    .IsMatch(e.FullName)
                    && !PictureName().IsMatch(e.FullName)
                    && !FaceName().IsMatch(e.FullName) && !TableName().IsMatch(e.FullName))
                    throw No($"it holds a file `{LengthText.Clip(e.FullName)}`, which no pack does");
            if (zip.Entries.Select(e => e.FullName).Distinct().Count() != zip.Entries.Count)
                throw No("it holds one file twice");
            var about = JsonSerializer.Deserialize<Pack>(Read(zip, About), JobJson.Options);
            if (about is not { LumbeckPack: 1 or Current, Pictures: not null })
                throw No("it is of another kind, or of a later version");
            var job = JobJson.Read(Read(zip, JobFile));
            ImportValidation.Job(job);
            var total = 0L;
            var wanted = job.Pictures.ToList();
            foreach (var picture in wanted)
            {
                var entry = zip.GetEntry("pictures/" + picture.Hash)
                    ?? throw No($"the picture {picture.Name} is missing");
                total += entry.Length;
                if (total > Most) throw No($"its pictures are over {Most / 1_000_000} MB");
                await using var s = entry.Open();
                var note = about.Pictures.FirstOrDefault(p => p?.Hash == picture.Hash);
                var known = drawer.Pictures.Has(picture.Hash);
                var taken = await drawer.Pictures.TakeIn(new Limited(s,
                    Math.Min(entry.Length, PictureReading.MostBytes) + 1),
                    note?.Name ?? picture.Name, default);
                if (taken with { Name = picture.Name, PerInch = picture.PerInch } != picture)
                    throw No($"the picture {picture.Name} is not the one its job means");
                if (!known && note is not null)
                    drawer.Pictures.Say(picture.Hash, note.Source, note.Maker, note.Licence);
                if (note?.Page is not { } page || drawer.Pictures.PageHash(picture.Hash) is not null) continue;
                var finished = zip.GetEntry("pages/" + page) ?? throw No($"the page of {picture.Name} is missing");
                total += finished.Length;
                if (total > Most) throw No($"its pictures are over {Most / 1_000_000} MB");
                await using var shown = finished.Open();
                drawer.Pictures.Shows(picture.Hash, new Limited(shown, finished.Length + 1), page);
            }
            if (zip.GetEntry(ProfileFile) is not null
                && ProfileDesk.NameOf(drawer.Profiles.TakeIn(Read(zip, ProfileFile), ProfileFile)
                    .Hash) != job.Ticket.House.Profile)
                throw No("its colour profile is not the one its printer means");
            foreach (var face in zip.Entries.Where(e => FaceName().IsMatch(e.FullName)).ToList())
                if (face.FullName != "faces/" + drawer.Faces.TakeIn(Read(zip, face.FullName), "a face of this pack")
                    .Hash)
                    throw No("a face is not the one its job means");
            foreach (var table in TablesOf(job))
            {
                var file = Read(zip, "tables/" + table.Hash);
                if (TableDesk.HashOf(file) != table.Hash || drawer.Tables.TakeIn(new MemoryStream(file),
                    table.Name) is not { } taken
                    || taken with { Name = table.Name } != table)
                    throw No($"the table {table.Name} is not the one its job means");
            }
            _ = jobs.Worked(0, job);
            return (job,
                about.Slug is { Length: > 0 and <= 60 } slug
                    && slug.All(c => char.IsAsciiLetterLower(c) || char.IsAsciiDigit(c) || c == '-')
                    ? slug
                    : null);
        }
        catch (Exception e) when (e is InvalidDataException or JsonException or NotSupportedException or EndOfStreamException
            or ArgumentException or NullReferenceException or InvalidOperationException or OverflowException)
        { throw No("it is damaged, or no pack of Lumbeck’s"); }
    }

    private static IEnumerable<TableRef> TablesOf(Job job) =>
        (job.Inside?.Tables ?? []).DistinctBy(t => t.Hash).OrderBy(t => t.Hash, StringComparer.Ordinal);

    private static void Put(ZipArchive zip, string name, Action<Stream> write,
        CompressionLevel level = CompressionLevel.Optimal)
    {
        var entry = zip.CreateEntry(name, level);
        entry.LastWriteTime = new(2000, 1, 1, 0, 0, 0, TimeSpan.Zero);
        using var s = entry.Open();
        write(s);
    }

    private static byte[] Read(ZipArchive zip, string name)
    {
        using var s = (zip.GetEntry(name) ?? throw No($"{name} is missing")).Open();
        using var m = new MemoryStream();
        // What a file says of its own length is not believed.
        var buffer = new byte[1 << 16];
        for (int n; (n = s.Read(buffer)) > 0;)
        {
            m.Write(buffer, 0, n);
            if (m.Length > MostJob) throw No($"{name} is over {MostJob / 1_000_000} MB");
        }
        return m.ToArray();
    }

    private static Refusal No(string why) => new("pack", $"this pack can’t be opened: {why}");

    /// <summary>No more of a stream than so many bytes.</summary>
    private sealed class Limited(Stream inner, long most) : Stream
    {
        private long _left = most;
        public override bool CanRead => true;
        public override bool CanSeek => false;
        public override bool CanWrite => false;
        public override long Length => throw new NotSupportedException();
        public override long Position
        {
            get => throw new NotSupportedException();
            set => throw new NotSupportedException();
        }
        public override int Read(byte[] buffer, int offset, int count) => Read(buffer.AsSpan(offset, count));
        public override int Read(Span<byte> buffer)
        {
            var n = inner.Read(buffer);
            return (_left -= n) < 0 ? throw No("a picture is longer than it says") : n;
        }
        public override void Flush() { }
        public override long Seek(long offset, SeekOrigin origin) => throw new NotSupportedException();
        public override void SetLength(long value) => throw new NotSupportedException();
        public override void Write(byte[] buffer, int offset, int count) => throw new NotSupportedException();
    }
}
