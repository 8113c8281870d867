using Lumbeck.Press.Kinds;

namespace Lumbeck.Press.Tests.ByChance;

/// <summary>
/// The program's files as MuPDF draws them, a third reader that shares no code with Ghostscript or poppler: it lays
/// on each process plate what the plate painter has there.
/// </summary>
public sealed class OtherEyesTests(RandomDesk random) : IClassFixture<RandomDesk>
{
    /// <summary>Jobs of the demo without an ink of their own, which it shows by its likeness.</summary>
    public static TheoryData<string, string> Files()
    {
        string[] jobs = ["tidewatcher", "hive", "lamp"], kinds = ["x4", "x1a"];
        return [.. from job in jobs from kind in kinds where Sweep.IsWide || kind == kinds[Array.IndexOf(jobs, job) % 2]
            select (job, kind)];
    }

    [Theory]
    [MemberData(nameof(Files))]
    public void MuPDF_lays_the_inks_that_were_meant(string job, string kind)
    {
        var on = random.Desk.Jobs.Job(job);
        on.Composed.Sheets.SelectMany(s => s.Scene.Finishes).ShouldBeEmpty();
        var file = random.Made(on, PressPlan.Read(kind) with { Marks = false });
        var pages = PlateJudge.MuPdf(file, on.Composed.Sheets.Length);
        foreach (var (n, page) in pages.Index())
        {
            var scene = on.Composed.Sheets[n].Scene;
            var (wide, high) = (page["Cyan"].Wide, page["Cyan"].High);
            var painted = PlateJudge.Painted(random.Desk.Drawer.PlatesOf(on.Job.Ticket.House), scene, wide, high);
            PlateJudge.Compare(page, painted, PlateJudge.Pictured(scene, wide, high), PlateJudge.Fine(scene, wide, high))
                .Where(a => a.Plain > PlateJudge.PlainMost || a.Pictured > PlateJudge.PicturedMost)
                .Select(a => $"{a.Plate}: {a.Plain} plain, {a.Pictured} in pictures, of 255; at {a.At}").ShouldBeEmpty();
        }
    }
}
