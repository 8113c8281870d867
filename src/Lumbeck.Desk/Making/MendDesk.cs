using System.Text.Json;
using Lumbeck.Intake.Judging;
using Lumbeck.Intake.Opening;
using Lumbeck.Press.Elsewhere;
using Lumbeck.Press.Kinds;
using Lumbeck.Store;

namespace Lumbeck.Desk.Making;

/// <summary>A mended file as reception sees it, with what was said while it was mended.</summary>
public sealed record MendedFile(MendReport Report, Verdict Verdict)
{
    /// <summary>Whether reception takes it and nothing is left to its maker.</summary>
    public bool IsWhole => Verdict.Accepted && Report.IsWhole;
}

/// <summary>Finished files from other programs, made press-ready for a job's house and taken to its reception.</summary>
public static class MendDesk
{
    /// <summary>What a job wants of a finished file.</summary>
    /// <param name="on">The job.</param>
    /// <param name="inside">Whether it is the inside, not the cover.</param>
    /// <param name="scale">Whether pages of another size are scaled.</param>
    public static MendPlan Wants(OnBench on, bool inside, bool scale = false)
    {
        var t = on.Job.Ticket;
        if (inside)
            return new(t.House.ForPages(), t.Trim, new(default, default, t.Trim.Width, t.Trim.Height))
            {
                Inside = true,
                Multiple = t.PageMultiple,
                Bleed = t.House.Inside.BleedWidth,
                Reading = t.Reading,
                Black = t.InsideColour == InsideColour.Black,
                Scale = scale,
            };
        if (on.Composed.Sheets is not [var sheet])
            throw new Refusal("sheets", $"this job has {on.Composed.Sheets.Length} sheets: a finished cover of one is mended");
        return new(t.House, sheet.Sheet.Size, sheet.Sheet.Trim)
        {
            Reading = t.Reading,
            Spots = [.. t.House.FinishingInks],
            Sheet = sheet.Sheet,
            Panels = [.. sheet.Sheet.Panels.Select(p => (p.Part, p.Face))],
            Scale = scale,
        };
    }

    /// <summary>A job’s mended files, the last one first, each with what was said of it.</summary>
    public static IReadOnlyList<(MendedRow Row, MendedFile Said)> Mended(this PressDesk press, OnBench on) =>
        [.. new MendShelf(press.Jobs.Store).Of(on.JobId).Select(r => (r, JsonSerializer.Deserialize<MendedFile>(r.Report, Options)!))];

    /// <summary>Mends a file and keeps it with the job: what came, what left, and what was said.</summary>
    /// <param name="press">The press.</param>
    /// <param name="on">The job.</param>
    /// <param name="path">The file that came.</param>
    /// <param name="name">What it is called.</param>
    /// <param name="inside">Whether it is the inside.</param>
    /// <param name="scale">Whether pages of another size are scaled.</param>
    /// <param name="cancel">Ends the work.</param>
    /// <exception cref="Refusal">It can’t be read or mended.</exception>
    public static MendedRow KeepMended(this PressDesk press, OnBench on, string path, string name, bool inside, bool scale,
        CancellationToken cancel)
    {
        var to = Path.Combine(Path.GetTempPath(), Path.GetRandomFileName());
        try
        {
            var said = press.Mend(on, path, to, Wants(on, inside, scale), cancel: cancel);
            string kept(string file) => press.Files.Keep(s => { using var f = File.OpenRead(file); f.CopyTo(s); }).Name;
            var row = new MendedRow
            {
                Id = Guid.NewGuid().ToString("n"),
                Job = on.JobId,
                Name = Plain.Line(name) is { Length: > 0 } line ? line[..Math.Min(80, line.Length)] : "a file",
                Inside = inside,
                Scale = scale,
                Came = kept(path),
                File = kept(to),
                Report = JsonSerializer.SerializeToUtf8Bytes(said, Options),
            };
            new MendShelf(press.Jobs.Store).Add(row);
            // An inside that is not made here says how many pages the book has, where the ticket takes them over.
            if (inside && !on.Job.HasPages)
            {
                using var pages = File.OpenRead(to);
                var read = InsideReading.Of(pages, row.Name, cancel: cancel);
                press.Jobs.Apply(on.Slug, new(Guid.NewGuid().ToString(), "mended", _ => new LayInside(read)));
            }
            return row;
        }
        finally { File.Delete(to); }
    }

    /// <summary>The file's own barcode beside the ticket's.</summary>
    private static IEnumerable<MendLine> Barcode(string path, Isbn? ticket, CancellationToken cancel)
    {
        var read = PageSeen.Barcode(path, cancel);
        if (read is null)
        {
            if (ticket is { } wanted)
                yield return new("barcode", MendState.Found, 1, $"No barcode was read; the ticket’s number is {wanted}.");
            yield break;
        }
        var said = Isbn.TryParse(read, out var isbn, out _) ? isbn.ToString() : read;
        yield return ticket is null || ticket.Value.Digits == read
            ? new("barcode", MendState.Found, 1, $"Its barcode reads {said}{(ticket is null ? "" : ", which is the ticket’s")}.")
            : new("barcode", MendState.Left, 1, $"Its barcode reads {said}, the ticket says {ticket}: one of them is wrong.");
    }

    /// <summary>
    /// A mended cover as a take to work on: one picture over the whole sheet, in the inks that are printed, at
    /// <see cref="PageSeen.Sharp"/> pixels an inch; words, plates and codes can be laid over it.
    /// </summary>
    /// <param name="press">The press.</param>
    /// <param name="on">The job.</param>
    /// <param name="row">The mended file.</param>
    /// <param name="id">Of the take.</param>
    /// <param name="cancel">Ends the work.</param>
    /// <exception cref="Refusal">It is an inside, or can’t be drawn here.</exception>
    public static async Task<LayTakes> AsTake(this PressDesk press, OnBench on, MendedRow row, string id, CancellationToken cancel)
    {
        if (row.Inside || on.Composed.Sheets is not [var sheet]) throw new Refusal("takes",
            "only a cover of one sheet is laid as a take");
        var jpeg = await Task.Run(() => PageSeen.Sheet(press.Files.PathOf(row.File), sheet.Sheet.Size, PageSeen.Sharp,
            cancel), cancel);
        using var s = new MemoryStream(jpeg);
        var picture = await press.Jobs.Drawer.Pictures.TakeIn(s, Path.GetFileNameWithoutExtension(row.Name) + ".jpg", cancel);
        press.Jobs.Drawer.Pictures.Say(picture.Hash, $"made elsewhere: {row.Name}", "", "the book’s own");
        var item = new PictureItem
        {
            Id = "finished-cover",
            Hold = new(Part.Sheet, HoldBox.Edge, Anchor.TopLeft, default, default),
            Width = Span.Full,
            Height = Span.Full,
            Picture = picture,
        };
        return new([new(id, "Finished cover", new Fill(new InkPaint(Ink.White)), [item])], [], "finished cover");
    }

    private static readonly JsonSerializerOptions Options = new(JobJson.Options);

    /// <summary>One of a job’s mended files; null where there is none of that id.</summary>
    public static MendedRow? FindMended(this PressDesk press, OnBench on, string id) =>
        new MendShelf(press.Jobs.Store).Find(on.JobId, id);

    /// <summary>Lets a mended file go.</summary>
    public static void RemoveMended(this PressDesk press, OnBench on, string id) =>
        new MendShelf(press.Jobs.Store).Remove(on.JobId, id);

    /// <summary>Mends a file and takes it to reception.</summary>
    /// <param name="press">The press.</param>
    /// <param name="on">The job.</param>
    /// <param name="path">The file; it is left as it is.</param>
    /// <param name="to">Where the mended one is written.</param>
    /// <param name="plan">What is wanted of it.</param>
    /// <param name="told">How far it has come.</param>
    /// <param name="cancel">Ends the work.</param>
    /// <exception cref="Refusal">It can’t be read or mended.</exception>
    public static MendedFile Mend(this PressDesk press, OnBench on, string path, string to, MendPlan plan,
        Action<double>? told = null, CancellationToken cancel = default)
    {
        var t = on.Job.Ticket;
        var at = DateTimeOffset.Parse(press.Jobs.Store.Revision(on.Revision).At, CultureInfo.InvariantCulture);
        var note = new PressNote(t.Title, t.Author, $"{(plan.Inside ? "inside" : "cover")}, {t.Trim.Show(t.Unit)}, for {t.House.Name}",
            at, on.JobId, on.Revision)
        {
            Slug = $"{t.Title} · {t.House.Name} · {at.UtcDateTime.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)}",
        };
        MendReport report;
        using (var output = new FileStream(to, FileMode.Create, FileAccess.Write, FileShare.None, 1 << 16))
            report = Mending.Mend(path, output, plan, press.Jobs.Drawer.Shelf, note, told, cancel);
        if (!plan.Inside && PageSeen.IsHere)
            report = report with { Lines = report.Lines.AddRange(Barcode(to, t.Isbn, cancel)) };
        if (plan.Inside && report.Printed != on.Composed.Geometry.Spine.Pages)
            report = report with
            {
                Lines = report.Lines.Add(new("pages.count", MendState.Left, null,
                    $"The file prints as {Many.Of(report.Printed, "page")}, the " +
                    $"ticket says {on.Composed.Geometry.Spine.Pages}: take its count " +
                        $"over on Ticket, for the spine.")),
            };
        var expected = plan.Inside
            ? press.ExpectsPages(on) with { Pages = press.ExpectsPages(on).Pages! with { Count = report.Printed, Blank = null } }
            : press.Expects(on) with { Number = null };
        return new(report, Intake.IntakeDesk.Judge(to, expected));
    }
}
