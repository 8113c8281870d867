using System.IO.Compression;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;
using Lumbeck.Press.Plates;

namespace Lumbeck.Desk.Making;

/// <summary>Files of a job's inside.</summary>
public static class PagesFile
{
    /// <exception cref="Refusal">The job has no pages, or the file wants some that it has not.</exception>
    internal static void Refuse(OnBench on, PressPlan plan)
    {
        var pages = on.Composed.Pages ?? throw new Refusal("inside", on.Job.Inside is { PutBy: true }
            ? "the runs of this job are put by for a file: take them up again first"
            : "this job has no pages that are made here: add a run to its inside");
        if (plan.Kind.MadeOf == MadeOf.PagePictures && plan.Pages.Last > pages.Printed)
            throw new Refusal("pages", $"there is no page {plan.Pages.Last}: from 1 to {pages.Printed}");
    }

    internal static void Write(PressDesk press, OnBench on, PressPlan plan, DateTimeOffset at, Stream output,
        Action<double>? told)
    {
        Refuse(on, plan);
        var (job, pages, drawer) = (on.Job, on.Composed.Pages!, press.Jobs.Drawer);
        var (t, house, art) = (job.Ticket, job.Ticket.House.ForPages(), drawer.PageArtOf(job));
        drawer.Puzzles.Make(pages, () => told?.Invoke(0));
        Scene page(int n) => PageScene.Of(pages, pages.Page(n), art);
        if (plan.Kind.MadeOf == MadeOf.PagePictures) { Pictures(drawer, house, plan, page, output, told); return; }
        var note = new DocumentInfo(t.Title, t.Author,
            $"inside, {t.Trim.Show(t.Unit)}, {pages.Printed} pages, for {t.House.Name}", at, on.JobId, on.Revision)
        {
            Slug = $"{t.Title} · {t.House.Name} · {pages.Printed} pages of {t.Trim.Show(t.Unit)} · " +
                at.UtcDateTime.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture),
        };
        var inside = new InsidePages(pages.Printed, page, t.Reading, t.Trim)
        {
            Black = t.InsideColour == InsideColour.Black ? drawer.BlackOf(house) : null,
            Sheets = Sheets(pages),
        };
        var done = 0;
        PressedPages.Write(output, inside, plan, house, note, drawer.Shelf, drawer.Pictures,
            () => told?.Invoke(Math.Min(0.99, (double)done++ / pages.Printed)));
    }

    /// <summary>One page by itself, to print and try at home.</summary>
    /// <exception cref="Refusal">There is no such page.</exception>
    public static void WriteOnePage(this PressDesk press, OnBench on, int number, Stream output)
    {
        Refuse(on, new(PressKind.Pdf));
        var (job, pages, drawer) = (on.Job, on.Composed.Pages!, press.Jobs.Drawer);
        drawer.Puzzles.Make(pages);
        var scene = PageScene.Of(pages, pages.Page(number), drawer.PageArtOf(job));
        PressedPages.Write(output, new(1, _ => scene, job.Ticket.Reading,
            job.Ticket.Trim), new(PressKind.Pdf) { Marks = true },
            job.Ticket.House.ForPages(),
                new(job.Ticket.Title, job.Ticket.Author, $"page {number}", DateTimeOffset.UnixEpoch, on.JobId,
                    on.Revision),
            drawer.Shelf, drawer.Pictures);
    }

    /// <summary>The sheets that a booklet of a job's pages is printed on.</summary>
    internal static ImmutableArray<BookletSheet> Sheets(InsidePlan pages) =>
        Imposition.Of(pages.Printed, pages.Job.Ticket.Reading,
        pages.Job.Ticket.Paper.Leaf.ToLength(), pages.Inside.Creep == CreepMode.Balanced,
            pages.Inside.Creep != CreepMode.None);

    private static void Pictures(Drawer drawer, House house, PressPlan plan, Func<int, Scene> page, Stream output,
        Action<double>? told)
    {
        byte[] png(int n)
        {
            var scene = page(n);
            var trim = scene.Surface.Trim;
            var perInch = plan.Pixels * 72 / Math.Max(trim.Width.Points, trim.Height.Points);
            if (trim.Width.Points * trim.Height.Points / (72 * 72) * perInch * perInch > PlatePainter.MostPixels)
                throw new Refusal("pixels", $"{plan.Pixels} pixels are more than can be made of a page");
            return drawer.PlatesOf(house)
                .Paint(scene, Bounds.Of(trim), perInch,
                likeness: true).ToPng(PrintingCondition.Of(house));
        }
        var (first, last) = plan.Pages;
        if (first == last) { output.Write(png(first)); return; }
        using var zip = new ZipArchive(output, ZipArchiveMode.Create, leaveOpen: true);
        for (var n = first; n <= last; n++)
        {
            told?.Invoke((double)(n - first) / (last - first + 1));
            var entry = zip.CreateEntry(string.Create(CultureInfo.InvariantCulture, $"page-{n:000}.png"),
                CompressionLevel.NoCompression);
            entry.LastWriteTime = new(2000, 1, 1, 0, 0, 0, TimeSpan.Zero);
            using var s = entry.Open();
            s.Write(png(n));
        }
    }
}
