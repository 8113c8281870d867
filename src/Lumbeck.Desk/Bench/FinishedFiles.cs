using System.Text.Json;
using Lumbeck.Store;

namespace Lumbeck.Desk.Bench;

/// <summary>A finished file as a pack has it: what came, what left, what was decided and what was said.</summary>
public sealed record PackedFile(string At, string Name, bool Inside, string Choices, string Came, string File,
    JsonElement Report)
{
    internal Func<string, string>? PathOf { get; init; }
}

/// <summary>A job's files that were made elsewhere and mended, as they go with its pack (docs/pack-file.md).</summary>
/// <param name="store">The store.</param>
/// <param name="files">Where files are kept.</param>
public sealed class FinishedFiles(JobStore store, FileShelf files)
{
    internal const string About = "mended.json";

    /// <summary>Most files of one job that a pack brings, and most bytes of them.</summary>
    private const int Most = 100;
    private const long MostBytes = 4_000_000_000;

    /// <summary>
    /// Takes a mended file to reception again: what a pack says of it is not believed. Returns what is said then.
    /// </summary>
    internal Func<OnBench, MendedRow, byte[]>? Judged { get; set; }

    /// <summary>A job's, the first one first.</summary>
    internal IReadOnlyList<PackedFile> Of(string job) => [.. new MendShelf(store).Of(job).Reverse().Select(r =>
        new PackedFile(r.At, r.Name, r.Inside, r.Choices, r.Came, r.File, JsonSerializer.Deserialize<JsonElement>(r.Report))
        { PathOf = files.PathOf })];

    internal static void Write(IReadOnlyList<PackedFile> all, Action<string, Action<Stream>> put)
    {
        put(About, s => JsonSerializer.Serialize(s, all, JobJson.Options));
        foreach (var name in all.SelectMany(f => new[] { f.Came, f.File }).Distinct().Order(StringComparer.Ordinal))
            put("mended/" + name, s => { using var f = File.OpenRead(all[0].PathOf!(name)); f.CopyTo(s); });
    }

    /// <summary>Keeps the finished files of a pack with the job that was begun from it.</summary>
    /// <exception cref="Refusal">A file is not what the pack says.</exception>
    internal void TakeIn(OnBench on, byte[] about, Func<string, Stream?> open)
    {
        List<PackedFile?> all;
        try { all = JsonSerializer.Deserialize<List<PackedFile?>>(about, JobJson.AtTheDoor) ?? []; }
        catch (JsonException) { throw No("what it says of finished files can’t be read"); }
        if (all.Count > Most) throw No($"it has {all.Count} finished files: up to {Most}");
        var left = MostBytes;
        foreach (var one in all)
        {
            if (one is not { Name: not null, Choices: not null, At: not null }) throw No("a finished file has no name");
            foreach (var file in (string[])[one.Came, one.File])
                if (file is not { Length: 64 } || !file.All(char.IsAsciiHexDigitLower)) throw No("a finished file " +
                    "has no hash");
                else left -= Keep(file, open("mended/" + file) ?? throw No($"the file {one.Name} is missing"), left);
            var row = new MendedRow
            {
                Id = Guid.NewGuid().ToString("n"),
                Job = on.JobId,
                At = one.At.Length is > 0 and < 40 ? one.At : "",
                Name = Plain.Line(one.Name) is { Length: > 0 } line ? line[..Math.Min(80, line.Length)] : "a file",
                Inside = one.Inside,
                Choices = one.Choices,
                Came = one.Came,
                File = one.File,
                Report = JsonSerializer.SerializeToUtf8Bytes(one.Report),
            };
            new MendShelf(store).Add(row with { Report = Judged?.Invoke(on, row) ?? row.Report });
        }
    }

    private long Keep(string name, Stream file, long most)
    {
        if (File.Exists(files.PathOf(name))) { file.Dispose(); return 0; }
        using (file)
        {
            var (kept, bytes) = files.Keep(s =>
            {
                var buffer = new byte[1 << 16];
                var all = 0L;
                for (int n; (n = file.Read(buffer)) > 0;)
                {
                    if ((all += n) > most) throw No("its finished files are too large");
                    s.Write(buffer, 0, n);
                }
            });
            if (kept == name) return bytes;
            files.Drop(kept);
            throw No("a finished file is not the one that it says");
        }
    }

    private static Refusal No(string why) => new("pack", $"this pack can’t be opened: {why}");
}
