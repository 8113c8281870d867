using Lumbeck.Core.Houses;
using Lumbeck.Desk;
using Lumbeck.Press.Pdf;
using NetVips;

namespace Lumbeck.Press.Tests.ByChance;

/// <summary>A desk whose drawer holds one picture of every kind, smooth, so that what differs is not their grain.</summary>
public sealed class RandomDesk : IDisposable
{
    public RandomDesk()
    {
        Desk = new(Folder.Path, TimeProvider.System);
        Pictures = [TakeIn(Blobs(3).JpegsaveBuffer(q: 95, subsampleMode: Enums.ForeignSubsample.Off), "blobs.jpg"), TakeIn(Seen().PngsaveBuffer(), "seen.png"), TakeIn(Blobs(1).PngsaveBuffer(), "gray.png"), TakeIn(Blobs(4).TiffsaveBuffer(), "inks.tif"), TakeIn(System.Text.Encoding.UTF8.GetBytes(Drawing), "drawn.svg")];
        Jobs = new(Pictures);
    }

    public Folder Folder { get; } = new();
    public Desk.Desk Desk { get; }
    public IReadOnlyList<Picture> Pictures { get; }
    public RandomJobs Jobs { get; }

    private const string Drawing = """
        <svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 120 90">
          <defs><linearGradient id="g"><stop offset="0" stop-color="#e8d9a0"/><stop offset="1" stop-color="#205070"/></linearGradient></defs>
          <rect width="120" height="60" fill="url(#g)"/>
          <path d="M10 80 60 10 110 80z" fill="#b04030" stroke="#202020" stroke-width="3"/>
          <circle cx="60" cy="55" r="16" fill="none" stroke="#f0f0f0" stroke-width="5"/>
        </svg>
        """;

    private Picture TakeIn(byte[] file, string name) => Desk.Pictures.TakeIn(new MemoryStream(file), name, default).GetAwaiter().GetResult();

    private static Image Blobs(int bands)
    {
        using var x = Image.Xyz(420, 320);
        var all = Enumerable.Range(0, bands).Select(i => (((x[0] * (0.018 + (0.006 * i))) + (i * 50)).Math(Enums.OperationMath.Sin) * ((x[1] * (0.011 + (0.004 * i)) * 57.3).Math(Enums.OperationMath.Cos)) * 90) + 128).ToArray();
        return all[0].Bandjoin(all[1..]).Cast(Enums.BandFormat.Uchar).Copy(interpretation: bands switch { 1 => Enums.Interpretation.Bw, 4 => Enums.Interpretation.Cmyk, _ => Enums.Interpretation.Srgb });
    }

    private static Image Seen()
    {
        using var x = Image.Xyz(420, 320);
        return Blobs(3).Bandjoin((x[0] * 255 / 420).Cast(Enums.BandFormat.Uchar)).Copy(interpretation: Enums.Interpretation.Srgb);
    }

    /// <summary>A job on no bench, worked out as one that is.</summary>
    public OnBench On(Job job) => Desk.Job("tidewatcher") is var on ? on with { Composed = Desk.Worked(on.Revision, job) } : null!;

    public string Made(OnBench on, PressPlan plan)
    {
        var file = Folder[$"random-{Guid.NewGuid():n}.pdf"];
        using (var s = File.Create(file)) Desk.WritePress(on, plan, s);
        return file;
    }

    /// <summary>What differs too much between a file's plates and the painter's.</summary>
    public IEnumerable<string> Differs(OnBench on, PressPlan plan) => Compared(on, plan).Where(a => a.Plain > PlateJudge.PlainMost || a.Pictured > PlateJudge.PicturedMost).Select(a => $"{plan.Kind.Word}, {a.Plate}: {a.Plain} plain, {a.Pictured} in pictures, of 255; at {a.At}");

    public IEnumerable<Apart> Compared(OnBench on, PressPlan plan)
    {
        var file = Made(on, plan);
        try
        {
            var pages = PlateJudge.Ghostscript(file, on.Composed.Sheets.Length);
            return [.. on.Composed.Sheets.SelectMany((sheet, i) =>
            {
                var (wide, high) = (pages[i]["Cyan"].Wide, pages[i]["Cyan"].High);
                return PlateJudge.Compare(pages[i], PlateJudge.Painted(Desk.PlatesOf(on.Job.Ticket.House), sheet.Scene, wide, high), PlateJudge.Pictured(sheet.Scene, wide, high));
            })];
        }
        finally { File.Delete(file); }
    }

    public void Dispose() => Folder.Dispose();
}

/// <summary>Random jobs in print: what each file lays on each plate is what the plate painter, and so the page, has there.</summary>
public sealed class RandomPressTests(RandomDesk random) : IClassFixture<RandomDesk>
{
    [Theory]
    [MemberData(nameof(Seeds))]
    public void Small_jobs_print_as_they_are_seen(int seed)
    {
        var on = random.On(random.Jobs.Small(seed));
        ((PressKind[])[PressKind.X4, PressKind.X1a]).SelectMany(kind => random.Differs(on, new(kind) { Marks = false })).ShouldBeEmpty($"seed {seed}");
    }

    public static TheoryData<int> Seeds() => [.. Enumerable.Range(1, 60)];
}
