using System.Security.Cryptography;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;

namespace Lumbeck.Desk.Tests;

/// <summary>
/// With their job's id, revision and clock given, the demo's files keep their bytes. Where one is meant to change,
/// <c>LUMBECK_TEST_WIDE=1 LUMBECK_KEEP=1</c> writes the hashes anew.
/// </summary>
public sealed class DemoFilesTests : IDisposable
{
    private static readonly string[] Plans = ["x4", "x4+marks", "x1a", "pdf+outlines", "pdf+rgb", "proof+zones",
        "mockup", "screen+pixels=900"];

    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    private sealed class Still : TimeProvider
    {
        public override DateTimeOffset GetUtcNow() => new(2026, 11, 28, 12, 0, 0, TimeSpan.Zero);
    }

    [Fact]
    public void Every_file_of_the_demo_keeps_its_bytes()
    {
        var desk = new AppServices(_folder, new Still(), DemoBench.Load);
        var made = new List<string>();
        // In a short run two of a job, others of each.
        var asked = desk.Bench.All().SelectMany((on, n) => Sweep.Few(Plans, 4, n).Select(plan => (On: on, Plan: plan)));
        foreach (var (on, plan) in asked.ToList())
        {
            using var file = new MemoryStream();
            // A screen's picture is of the front, and files for printers are asked whether or not this house takes
            // them.
            desk.Pressing.WritePress(on with { JobId = on.Slug }, PressPlan.Read(plan), file);
            made.Add($"{on.Slug} {plan} " +
                $"{Convert.ToHexStringLower(SHA256.HashData(file.GetBuffer().AsSpan(0, (int)file.Length)))}");
        }
        if (Sweep.IsWide && Environment.GetEnvironmentVariable("LUMBECK_KEEP") == "1")
            File.WriteAllLines(Golden.Source("demo-files.txt"), made);
        var kept = File.ReadAllLines(Golden.Path("demo-files.txt"));
        made.Count.ShouldBe(Sweep.IsWide ? kept.Length : kept.Length / 4);
        made.ShouldBeSubsetOf(kept);
    }
}
