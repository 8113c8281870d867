using System.Text.Json;
using Lumbeck.Intake.Judging;
using Lumbeck.Intake.Opening;
using Lumbeck.Press.Import;
using Lumbeck.Press.Kinds;
using Lumbeck.Running;
using Lumbeck.Store;

namespace Lumbeck.Desk.Making;

/// <summary>Finished files from other programs, made press-ready for a job's house and taken to its reception.</summary>
public static class MendDesk
{
    /// <summary>What a job wants of a finished file.</summary>
    /// <param name="on">The job.</param>
    /// <param name="inside">Whether it is the inside, not the cover.</param>
    /// <param name="choices">What its maker decided.</param>
    /// <param name="password">What opens it, where it is closed.</param>
    public static MendPlan Wants(OnBench on, bool inside, MendChoices? choices = null, string password = "")
    {
        choices = (choices ?? new()).Sound();
        var t = on.Job.Ticket;
        if (inside)
            return new(t.House.ForPages(), t.Trim, new(default, default, t.Trim.Width, t.Trim.Height))
            {
                Inside = true,
                Multiple = t.PageMultiple,
                Bleed = t.House.Inside.BleedWidth,
                Reading = t.Reading,
                Black = t.InsideColour == InsideColour.Black,
                Choices = choices,
                Password = password,
            };
        if (on.Composed.Sheets is not [var sheet])
            throw new Refusal("sheets", $"this job has {on.Composed.Sheets.Length} sheets: a finished cover of one " +
                $"is mended");
        return new(t.House, sheet.Sheet.Size, sheet.Sheet.Trim)
        {
            Reading = t.Reading,
            Spots = [.. t.House.FinishingInks],
            Sheet = sheet.Sheet,
            Panels = [.. sheet.Sheet.Panels.Select(p => (p.Part, p.Face))],
            Choices = choices,
            Password = password,
            Book = t.Facts,
        };
    }

    /// <summary>A job’s mended files, the last one first, each with what was said of it.</summary>
    public static IReadOnlyList<(MendedRow Row, MendedFile Said)> Mended(this PressDesk press, OnBench on) =>
        [.. new MendShelf(press.Jobs.Store).Of(on.JobId).Select(r => (r,
            JsonSerializer.Deserialize<MendedFile>(r.Report, Options)!))];

    /// <summary>What was decided of a mended file.</summary>
    public static MendChoices Decided(MendedRow row) => row.Choices.Length > 0
        ? JsonSerializer.Deserialize<MendChoices>(row.Choices, Options)! : new()
        {
            Way = row.Scale ? LayWay.Scaled
            : LayWay.Proposed
        };

    /// <summary>What was decided of the last file of this kind, which its next version takes over.</summary>
    public static MendChoices Decided(this PressDesk press, OnBench on, bool inside) =>
        new MendShelf(press.Jobs.Store).Of(on.JobId).FirstOrDefault(r => r.Inside == inside) is { } last
            ? Decided(last) : new();

    /// <summary>Mends a file and keeps it with the job: what came, what was decided, what left, and what was said.</summary>
    /// <param name="press">The press.</param>
    /// <param name="on">The job.</param>
    /// <param name="came">The file that came; its name is kept.</param>
    /// <param name="told">How far it has come.</param>
    /// <param name="ordered">The order's id, where there is one: what it makes is kept once.</param>
    /// <param name="cancel">Ends the work.</param>
    /// <exception cref="Refusal">It can’t be read or mended.</exception>
    public static MendedRow KeepMended(this PressDesk press, OnBench on, CameFile came, Action<double>? told = null,
        string? ordered = null, CancellationToken cancel = default)
    {
        var to = Aside.FilePath();
        try
        {
            var shelf = new MendShelf(press.Jobs.Store);
            var said = press.Mend(on, came.Path, to, Wants(on, came.Inside, came.Choices, came.Password), told, cancel);
            if (shelf.Of(on.JobId).FirstOrDefault(r => r.Inside == came.Inside) is { } last
                && Since(last, press.Files.PathOf(last.Came), came.Path, cancel) is { } line)
                said = said with { Report = said.Report with { Lines = said.Report.Lines.Insert(0, line) } };
            string kept(string file) => press.Files.Keep(s => { using var f = File.OpenRead(file); f.CopyTo(s); }).Name;
            var row = new MendedRow
            {
                Id = ordered ?? Guid.NewGuid().ToString("n"),
                Job = on.JobId,
                Name = Plain.Line(came.Name) is { Length: > 0 } named ? named[..Math.Min(80, named.Length)] : "a file",
                Inside = came.Inside,
                Choices = JsonSerializer.Serialize(came.Choices, Options),
                Came = kept(came.Path),
                File = kept(to),
                Report = JsonSerializer.SerializeToUtf8Bytes(said, Options),
            };
            shelf.Add(row);
            // An inside that is not made here says how many pages the book has, where the ticket takes them over.
            if (came.Inside && !on.Job.HasPages)
            {
                using var pages = File.OpenRead(to);
                var read = InsideReading.Of(pages, row.Name, cancel: cancel);
                press.Jobs.Apply(on.Slug, new($"{row.Id}-inside", "mended", _ => new LayInside(read)));
            }
            return row;
        }
        finally { File.Delete(to); }
    }

    /// <summary>
    /// What is said of a file that a stranger's pack brought: its lines in bounds, and reception's own verdict of it.
    /// </summary>
    /// <exception cref="Refusal">What is said of it is nothing of ours.</exception>
    internal static byte[] Judged(this PressDesk press, OnBench on, MendedRow row)
    {
        try
        {
            Decided(row).Sound();
            var said = JsonSerializer.Deserialize<MendedFile>(row.Report, Options)!.Report;
            if (said.Lines.Length > 5000 || said.Printed is < 0 or > 10_000 || said.Lines.Any(l => l.Says.Length > 2000
                || l.Id.Length > 60))
                throw new Refusal("pack", "what is said of a finished file is too long");
            said = said with { Lines = [.. said.Lines.Select(l => l with { Says = Plain.Line(l.Says) })] };
            return JsonSerializer.SerializeToUtf8Bytes(new MendedFile(said,
                Intake.IntakeDesk.Judge(press.Files.PathOf(row.File), press.Expected(on, row.Inside, said.Printed))),
                    Options);
        }
        catch (Exception e) when (e is JsonException or NullReferenceException or NotSupportedException or ArgumentException)
        {
            throw new Refusal("pack", "what is said of a finished file can’t be read");
        }
    }

    /// <summary>What reception expects of a finished file.</summary>
    private static Intake.Judging.Expected Expected(this PressDesk press, OnBench on, bool inside, int printed)
    {
        if (!inside) return press.Expects(on) with { Number = null };
        var pages = press.ExpectsPages(on);
        return pages with { Pages = pages.Pages! with { Count = printed, Blank = null } };
    }

    /// <summary>Which pages are others than those of the version before; null where nobody here can tell.</summary>
    private static MendLine? Since(MendedRow last, string before, string now, CancellationToken cancel)
    {
        if (!File.Exists(before) || PageSeen.Changed(before, now, cancel) is not { } changed) return null;
        var version = $"the version of {last.At[..Math.Min(16, last.At.Length)].Replace('T', ' ')} ({last.Name})";
        return new("version", MendState.Found, null, changed.Count == 0 ? $"No page looks other than in {version}."
            : $"{(changed.Count == 1 ? "Page" : "Pages")} {Ranges(changed)} " +
                $"{(changed.Count == 1 ? "looks" : "look")} other than in {version}.");
    }

    private static string Ranges(IReadOnlyList<int> pages)
    {
        List<string> said = [];
        for (var n = 0; n < pages.Count;)
        {
            var from = n;
            while (n + 1 < pages.Count && pages[n + 1] == pages[n] + 1) n++;
            said.Add(from == n ? $"{pages[n]}" : $"{pages[from]}–{pages[n]}");
            n++;
        }
        return string.Join(", ", said.Take(20)) + (said.Count > 20 ? " and more" : "");
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
            ? new("barcode", MendState.Found, 1, $"Its barcode reads " +
                $"{said}{(ticket is null ? "" : ", which is the ticket’s")}.")
            : new("barcode", MendState.Left, 1, $"Its barcode reads {said}, the ticket says {ticket}: one of them is wrong.");
    }

    /// <summary>
    /// A mended cover as a take to work on: its page over the whole sheet, whose marks are pressed as they are; words,
    /// plates and codes can be laid over it. Where marks can’t be pressed (another house’s inks, what a kind of file
    /// does not hold), its pixels are, at <see cref="PageSeen.Sharp"/> an inch.
    /// </summary>
    /// <param name="press">The press.</param>
    /// <param name="on">The job.</param>
    /// <param name="row">The mended file.</param>
    /// <param name="id">Of the take.</param>
    /// <param name="cancel">Ends the work.</param>
    /// <exception cref="Refusal">It is an inside, or can’t be drawn here.</exception>
    public static async Task<LayTakes> AsTake(this PressDesk press, OnBench on, MendedRow row, string id,
        CancellationToken cancel)
    {
        if (row.Inside || on.Composed.Sheets is not [var sheet]) throw new Refusal("takes",
            "only a cover of one sheet is laid as a take");
        var page = Aside.FilePath();
        try
        {
            // The sheet alone, without the marks about it.
            var jpeg = await Task.Run(() =>
            {
                var bare = Wants(on, inside: false, Decided(row)) with { Sheet = null };
                void mend(string file, MendPlan plan)
                {
                    using var output = File.Create(page);
                    Mending.Mend(press.Files.PathOf(file), output, plan, press.Jobs.Drawer.Shelf, Note(press, on,
                        plan), cancel: cancel);
                }
                // What a password closes is laid as it left.
                if (Attempt.Of(() => mend(row.Came, bare)) is { } no)
                {
                    if (no.Path != "password") throw no;
                    mend(row.File, bare with { Choices = new() });
                }
                return PageSeen.Sheet(page, sheet.Sheet.Size, PageSeen.Sharp, cancel);
            }, cancel);
            using var s = new MemoryStream(jpeg);
            var pictures = press.Jobs.Drawer.Pictures;
            var picture = await pictures.TakeIn(s, Path.GetFileNameWithoutExtension(row.Name) + ".jpg", cancel);
            pictures.Say(picture.Hash, $"made elsewhere: {row.Name}", "", "the book’s own");
            using (var shown = File.OpenRead(page)) pictures.Shows(picture.Hash, shown);
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
        finally { File.Delete(page); }
    }

    internal static readonly JsonSerializerOptions Options = new(JobJson.Options);

    /// <summary>One of a job’s mended files; null where there is none of that id.</summary>
    public static MendedRow? FindMended(this PressDesk press, OnBench on, string id) =>
        new MendShelf(press.Jobs.Store).Find(on.JobId, id);

    /// <summary>Lets a mended file go.</summary>
    public static void RemoveMended(this PressDesk press, OnBench on, string id)
    {
        if (press.FindMended(on, id) is not { } row) return;
        new MendShelf(press.Jobs.Store).Remove(on.JobId, id);
        press.DropUnused(row.Came);
        press.DropUnused(row.File);
    }

    internal static void DropUnused(this PressDesk press, string file)
    {
        if (!new MendShelf(press.Jobs.Store).IsUsed(file)) press.Files.Drop(file);
    }

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
        var (t, note) = (on.Job.Ticket, Note(press, on, plan));
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
        return new(report, Intake.IntakeDesk.Judge(to, press.Expected(on, plan.Inside, report.Printed)));
    }

    private static DocumentInfo Note(PressDesk press, OnBench on, MendPlan plan)
    {
        var t = on.Job.Ticket;
        var at = DateTimeOffset.Parse(press.Jobs.Store.Revision(on.Revision).At, CultureInfo.InvariantCulture);
        return new(t.Title, t.Author, $"{(plan.Inside ? "inside" : "cover")}, {t.Trim.Show(t.Unit)}, for {t.House.Name}",
            at, on.JobId, on.Revision)
        {
            Slug = $"{t.Title} · {t.House.Name} · {at.UtcDateTime.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)}",
        };
    }
}
