using Lumbeck.Press.Elsewhere.Source;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;

namespace Lumbeck.Press.Elsewhere;

/// <summary>
/// A finished file from another program made press-ready: its pages laid on the book's own, their marks in the house's
/// inks, words still words (docs/elsewhere.md).
/// </summary>
public static class Mending
{
    private const int Stack = 64 << 20;

    /// <param name="path">The file; it is left as it is.</param>
    /// <param name="output">The mended one, written from front to back; not closed.</param>
    /// <param name="plan">What it is to become.</param>
    /// <param name="shelf">Faces that may stand in for those it has not.</param>
    /// <param name="note">What the file says of itself.</param>
    /// <param name="told">How far it has come, from 0 to 1.</param>
    /// <param name="cancel">Ends the work.</param>
    /// <exception cref="Refusal">It can't be read, or can't be mended; the reason is named.</exception>
    /// <exception cref="OperationCanceledException">It was ended.</exception>
    public static MendReport Mend(string path, Stream output, MendPlan plan, FaceShelf shelf, PressNote note,
        Action<double>? told = null, CancellationToken cancel = default)
    {
        MendReport? report = null;
        Exception? failed = null;
        // What lies deep within itself is read on a stack of its own.
        var reader = new Thread(() =>
        {
            try { report = Run(path, output, plan, shelf, note, told, cancel); }
            catch (Exception e) { failed = e; }
        }, Stack)
        { IsBackground = true };
        reader.Start();
        reader.Join();
        if (failed is Refusal or OperationCanceledException or IOException or OutOfMemoryException)
            System.Runtime.ExceptionServices.ExceptionDispatchInfo.Throw(failed);
        return failed is null ? report! : throw new Refusal("file", "this file is damaged and can’t be read: export it again");
    }

    private static MendReport Run(string path, Stream output, MendPlan plan, FaceShelf shelf, PressNote note, Action<double>? told,
        CancellationToken cancel)
    {
        using var file = SourceFile.Open(path, cancel);
        var aside = Directory.CreateTempSubdirectory("lumbeck-mend-");
        try
        {
            var lines = new List<MendLine>();
            if (file.IsEncrypted)
                lines.Add(new("file.encrypted", MendState.Done, null, "The file was encrypted without a password: it leaves open."));
            List<CamePage> came = [.. file.Pages.Select((p, n) => CamePage.Of(file, p, n + 1))];
            var laying = new Laying(plan, lines);
            var pages = plan.Inside ? laying.Inside(came) : laying.Cover(came);
            using var pdf = new PdfWriter(output, plan.Kind.Version);
            var writing = new MendWriting(file, path, pdf, plan, shelf, note, aside.FullName, lines, cancel);
            var tree = pdf.Reserve();
            var kids = new List<int>();
            foreach (var (n, page) in pages.Index())
            {
                cancel.ThrowIfCancellationRequested();
                kids.Add(writing.Page(tree, page));
                told?.Invoke(0.98 * (n + 1) / pages.Count);
            }
            writing.Tell();
            PressFile.Finish(pdf, tree, kids, new PressPlan(plan.Kind) { Inside = plan.Inside }, plan.House, note,
                plan.Inside && plan.Reading == Reading.RightToLeft);
            return new(came.Count, pages.Count,
                [.. lines.OrderBy(l => l.Page ?? 0).ThenBy(l => l.State)]);
        }
        finally { aside.Delete(recursive: true); }
    }
}
