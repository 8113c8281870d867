using Lumbeck.Press.Import.Rewriting;
using Lumbeck.Press.Import.Parsing;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Kinds;
using Lumbeck.Pdf.Reading;
using Lumbeck.Pdf.Writing;
using Lumbeck.Press.Pdf;
using Lumbeck.Running;

namespace Lumbeck.Press.Import;

/// <summary>
/// A finished file from another program made press-ready: its pages laid on the book's own, their marks in the house's
/// inks, words still words (docs/elsewhere.md).
/// </summary>
public static class Mending
{
    // No picture is asked for twice: what a past one was made of is not kept.
    static Mending() => NetVips.Cache.Max = 0;

    /// <param name="path">The file; it is left as it is.</param>
    /// <param name="output">The mended one, written from front to back; not closed.</param>
    /// <param name="plan">What it is to become.</param>
    /// <param name="shelf">Faces that may stand in for those it has not.</param>
    /// <param name="note">What the file says of itself.</param>
    /// <param name="told">How far it has come, from 0 to 1.</param>
    /// <param name="cancel">Ends the work.</param>
    /// <exception cref="Refusal">It can't be read, or can't be mended; the reason is named.</exception>
    /// <exception cref="OperationCanceledException">It was ended.</exception>
    public static MendReport Mend(string path, Stream output, MendPlan plan, FaceShelf shelf, DocumentInfo note,
        Action<double>? told = null, CancellationToken cancel = default)
    {
        try { return Readable(() => Run(path, output, plan, shelf, note, told, cancel)); }
        catch (Exception e) when (e is not (Refusal or OperationCanceledException or IOException or OutOfMemoryException))
        {
            throw new Refusal("file", "this file is damaged and can’t be read: export it again");
        }
    }

    /// <summary>What can't be read in a file is refused as the maker's file.</summary>
    private static T Readable<T>(Func<T> read)
    {
        try { return LargeStackThread.Run(read); }
        catch (PdfReadException e) { throw new Refusal(e is PdfPasswordException ? "password" : "file", e.Message); }
    }

    /// <summary>Looks at a file as far as it takes to know whether it can be mended at all.</summary>
    /// <exception cref="Refusal">It can't be read, or can't be mended; the reason is named.</exception>
    public static void Look(string path, MendPlan plan, FaceShelf shelf,
        CancellationToken cancel) => Readable(() =>
    {
        var aside = Aside.Folder();
        try
        {
            using var file = Opened(AsPage.Of(path, plan, shelf, aside.FullName) ?? path, plan, cancel);
            return Laid(file, plan, []).Count;
        }
        finally { aside.Delete(recursive: true); }
    });

    private static PdfFile Opened(string path, MendPlan plan, CancellationToken cancel)
    {
        var file = PdfFile.Open(path, cancel, plan.Password);
        if (!file.IsEncrypted || plan.Choices.MayChange) return file;
        file.Dispose();
        throw new Refusal("rights", "this file is closed against changes: say that you may change it, and it is mended");
    }

    private static IReadOnlyList<LeavingPage> Laid(PdfFile file, MendPlan plan, List<MendLine> lines)
    {
        List<ImportedPage> came = [.. file.Pages.Select((p, n) => ImportedPage.Of(file, p, n + 1))];
        return plan.Inside ? new InsideLaying(plan, lines, file.Folios).Lay(came) : new CoverLaying(plan,
            lines).Lay(came);
    }

    private static MendReport Run(string path, Stream output, MendPlan plan, FaceShelf shelf, DocumentInfo note,
        Action<double>? told,
        CancellationToken cancel)
    {
        var aside = Aside.Folder();
        try
        {
            path = AsPage.Of(path, plan, shelf, aside.FullName) ?? path;
            using var file = Opened(path, plan, cancel);
            var lines = new List<MendLine>();
            if (file.IsEncrypted)
                lines.Add(new("file.encrypted", MendState.Done, null,
                    "The file was closed against changes: you said that you may change it, and it leaves open."));
            var pages = Laid(file, plan, lines);
            using var pdf = new PdfWriter(output, plan.Kind.Version);
            var writing = new MendWriting(file, path, pdf, plan, shelf, note, aside.FullName, lines,
                Condition(file, plan, aside.FullName, lines), cancel);
            var tree = pdf.Reserve();
            var kids = new List<PdfRef>();
            foreach (var (n, page) in pages.Index())
            {
                cancel.ThrowIfCancellationRequested();
                kids.Add(writing.Page(tree, page));
                told?.Invoke(0.98 * (n + 1) / pages.Count);
            }
            writing.Tell();
            PressFile.Finish(pdf, tree, kids, new PressPlan(plan.Kind) { Inside = plan.Inside }, plan.House, note,
                plan.Inside && plan.Reading == Reading.RightToLeft);
            return new(file.Pages.Count, pages.Count,
                [.. lines.OrderBy(l => l.Page ?? 0).ThenBy(l => l.State)]);
        }
        finally { aside.Delete(recursive: true); }
    }

    /// <summary>
    /// What the file's own inks were made for, where that is not what the house prints and their colours are to stay:
    /// the profile's file. Says what is to be decided.
    /// </summary>
    private static string? Condition(PdfFile file, MendPlan plan, string aside, List<MendLine> lines)
    {
        if (file.Condition is not { Length: > 0 } own || file.ConditionProfile is not { } profile
            || own.Contains(plan.House.OutputCondition, StringComparison.OrdinalIgnoreCase)
            || plan.House.OutputCondition.Contains(own, StringComparison.OrdinalIgnoreCase)) return null;
        var said = $"The file’s inks were made for {LengthText.Clip(own)}, {plan.House.Name} prints " +
            $"{plan.House.OutputCondition}";
        var (state, what) = plan.Choices.Inks switch
        {
            Wish.Change => (MendState.Done, "their colours stayed and their numbers changed, as you asked; black " +
                "alone stayed."),
            Wish.Keep => (MendState.Done, "their numbers stayed, as you asked."),
            _ => (MendState.Left, "their numbers stayed. Say whether numbers or colours are to stay."),
        };
        lines.Add(new("condition", state, null, $"{said}: {what}"));
        if (plan.Choices.Inks != Wish.Change) return null;
        var path = Path.Combine(aside, "own.icc");
        File.WriteAllBytes(path, profile);
        return path;
    }
}
