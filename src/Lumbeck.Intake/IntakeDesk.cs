using System.Globalization;
using Lumbeck.Intake.Judging;
using Lumbeck.Intake.Opening;
using Lumbeck.Running;
using UglyToad.PdfPig;
using UglyToad.PdfPig.Exceptions;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Intake;

/// <summary>
/// A house's simulated reception: it gets the finished file and the house's rules, opens it with code of its own, and
/// accepts or rejects it with reasons.
/// What a standard allows is allowed, whoever wrote the file; what could not be looked at is said, and never counts as
/// fine.
/// </summary>
public static class IntakeDesk
{
    /// <summary>
    /// How long a file is worked on, and how long that is waited for on a machine that has other work.
    /// </summary>
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(8), Longest = TimeSpan.FromSeconds(90);

    /// <summary>Deep files are read on a stack of their own, in bytes.</summary>
    private const int Stack = 64 << 20;

    private const long MostBytes = 2_000_000_000;

    /// <param name="path">The file.</param>
    /// <param name="expected">The job's sheets and house.</param>
    public static Verdict Judge(string path, Expected expected)
    {
        var found = new Findings();
        var done = false;
        // Findings of a reader that went astray are not waited for.
        var reader = new Thread(() =>
        {
            var own = new ThreadCpuTime();
            Read(path, expected, found, () => own.Spent > Patience);
            done = true;
        }, Stack)
        { IsBackground = true };
        reader.Start();
        if (!reader.Join(Longest) || !done)
        {
            var late_ = new Findings();
            late_.Stop("file.readable", $"over {Patience.TotalSeconds:0} s", "a few seconds",
                "The file can’t be read in the time a reception has.");
            return late_.Verdict(expected.House.Name, "");
        }
        return found.Verdict(expected.House.Name, found.Kind);
    }

    private static void Read(string path, Expected expected, Findings found, Func<bool> late)
    {
        try
        {
            var bytes = new FileInfo(path).Length;
            if (bytes > MostBytes)
            {
                found.Stop("file.size", $"{bytes / 1_000_000} MB", $"{expected.House.FileLimit} MB",
                    "The file is far too large.");
                return;
            }
            if (bytes > expected.House.FileLimit * 1_000_000L)
                found.Stop("file.size", $"{(bytes / 1e6).ToString("0.#", CultureInfo.InvariantCulture)} MB",
                    $"{expected.House.FileLimit} MB", $"{expected.House.Name} takes no larger file.");
            using var file = File.OpenRead(path);
            Span<byte> head = stackalloc byte[1024];
            var read = file.ReadAtLeast(head, head.Length, throwOnEndOfStream: false);
            file.Position = 0;
            if (head[..read].IndexOf("%PDF-"u8) < 0)
            {
                found.Stop("file.readable", bytes == 0 ? "empty" : "no PDF", "a PDF", "This is no PDF.");
                return;
            }
            if (!BoundedStream.EndsAsPdf(file)) { CutOff(found); return; }
            var filters = new BoundedFilters();
            using var bounded = new BoundedStream(file, BoundedStream.Opening);
            using var document = PdfDocument.Open(bounded,
                new ParsingOptions
                {
                    UseLenientParsing = true,
                    SkipMissingFonts = true,
                    FilterProvider = filters,
                    MaxStackDepth = 100,
                });
            bounded.Allow(Patience);
            if (document.IsEncrypted)
            {
                found.Stop("file.encrypted", "encrypted", "open", "An encrypted file can’t be printed.");
                return;
            }
            Examine(new(document, filters), filters, path, expected, found, late);
        }
        catch (PdfDocumentEncryptedException)
        {
            found.Stop("file.encrypted", "encrypted", "open", "An encrypted file can’t be printed.");
        }
        catch (BoundsExceededException)
        {
            found.Stop("file.readable", "more than is looked at", "a cover",
                "The file unpacks to more, or nests deeper, than any cover does.");
        }
        catch (TimeoutException)
        {
            found.Stop("file.readable", $"over {Patience.TotalSeconds:0} s", "a few seconds",
                "The file can’t be read in the time a reception has.");
        }
        catch (Exception e) when (e is not OutOfMemoryException)
        {
            found.Stop("file.readable", "damaged", "a sound PDF",
                "The file is damaged and can’t be read: export it again.");
        }
    }

    private static void CutOff(Findings found) => found.Stop("file.readable", "its end is missing", "a whole PDF",
        "The file was cut off: its end, which says where its parts are, is missing. Export it again, or send it again.");

    private static void Examine(Pdf pdf, BoundedFilters filters, string path, Expected expected, Findings found,
        Func<bool> late)
    {
        FileChecks.Look(pdf, expected, found);
        ForbiddenObjects.Look(pdf, found);
        if (expected.Pages is { } inside) { InsideChecks.Look(pdf, filters, inside, expected, found, late); return; }
        var count = pdf.Document.NumberOfPages;
        if (count != expected.Sheets.Count)
        {
            found.Stop("pages.count", count == 1 ? "1 page" : $"{count} pages",
                expected.Sheets.Count == 1 ? "1 page" : $"{expected.Sheets.Count} pages",
                "Reception wants one page a sheet.");
            return;
        }
        var pages = Enumerable.Range(1, count).Select(n => pdf.Document.GetPageDictionary(n, pdf)).ToList();
        var shapes = pages.ConvertAll(p => PageBoxes.Of(pdf, p));
        // Drawn beside the reading, which takes about as long.
        var drawings = new PageDrawings(path);
        foreach (var (n, begun) in shapes.Index())
            if (begun is not null)
            {
                EdgeCheck.Begin(drawings, n + 1, begun);
                BarcodeCheck.Begin(drawings, n + 1, begun, expected.Sheets[n], expected);
            }
        for (var i = 0; i < count; i++)
        {
            var (page, sheet) = (pages[i], expected.Sheets[i]);
            if (shapes[i] is not { } shape)
            {
                found.Stop("box.media", $"page {i + 1} has none",
                "a MediaBox", "A page without a size can’t be printed.");
                continue;
            }
            filters.Allow((shape.Media.R - shape.Media.L) * (shape.Media.T - shape.Media.B) / (72 * 72));
            BoxChecks.Look(shape, sheet, expected.House, found);
            var use = new PageUse();
            new ContentInterpreter(pdf, use, shape.Bleed ?? shape.Media, late)
                .Page(page, pdf.Inherited(page, "Resources") as DictionaryToken);
            SecondEye.Begin(drawings, i + 1, use);
            ColourChecks.Look(use, expected, found);
            TransparencyChecks.Look(use, expected.House, found);
            FaceChecks.Look(pdf, use, expected.House, found);
            PictureChecks.Look(pdf, use, expected.House, found);
            InkCheck.Look(drawings, i + 1, pdf, use, expected.House, found);
            MarkChecks.Look(use, shape, sheet, expected.House, found);
            ForbiddenObjects.OnPage(pdf, page, shape, use, found);
            EdgeCheck.Look(drawings, i + 1, shape, sheet, expected.House, found);
            BarcodeCheck.Look(drawings, i + 1, shape, sheet, expected, found);
            SecondEye.Look(drawings, i + 1, use, expected.House, found);
        }
    }
}
