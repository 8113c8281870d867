using Lumbeck.Running;

namespace Lumbeck.Desk.Doors;

/// <summary>
/// Pictures to trace: any that the drawer takes, and pages of PDFs where poppler is on this machine to draw them.
/// </summary>
public static class TracingDesk
{
    private const long MostPdf = 100_000_000;

    private static readonly Limits Bounded = new(Kilobytes: 900_000, Seconds: 20, TimeSpan.FromSeconds(60));

    /// <exception cref="Refusal">It is nothing that can be shown, or is a PDF and nothing here draws one.</exception>
    public static async Task<Picture> TakeInTracing(this Drawer drawer, Stream upload, string name, int page,
        CancellationToken cancel)
    {
        var aside = Aside.FilePath();
        try
        {
            var head = new byte[5];
            await using (var f = File.Create(aside))
            {
                var buffer = new byte[1 << 16];
                for (int n; (n = await upload.ReadAsync(buffer, cancel)) > 0;)
                {
                    if (f.Position + n > MostPdf)
                        throw new Refusal("tracing",
                            $"{Path.GetFileName(name)} is over {MostPdf / 1_000_000} MB: save it smaller");
                    await f.WriteAsync(buffer.AsMemory(0, n), cancel);
                }
                f.Position = 0;
                await f.ReadAtLeastAsync(head, head.Length, throwOnEndOfStream: false, cancel);
            }
            var drawn = head.AsSpan().SequenceEqual("%PDF-"u8)
                ? await Drawn(aside, Path.GetFileName(name), page, cancel)
                : aside;
            await using var picture = File.OpenRead(drawn);
            return await drawer.Pictures.TakeIn(picture,
                drawn == aside ? name : $"{Path.GetFileNameWithoutExtension(name)}, page {page}", cancel);
        }
        finally
        {
            File.Delete(aside);
            File.Delete(aside + ".png");
        }
    }

    private static async Task<string> Drawn(string pdf, string name, int page, CancellationToken cancel)
    {
        if (page is < 1 or > 5000) throw new Refusal("tracing", $"{name} has no page {page}");
        if (ForeignProgram.Find("pdftoppm") is not { } program)
            throw new Refusal("tracing",
                "a page of a PDF can be traced where poppler is installed (`pdftoppm`), which it is not here: save the page as a PNG");
        // No side over 4,000 pixels, so that a page of any size is drawn in bounded time and memory.
        string[] words = ["-png", "-singlefile", "-scale-to", "4000", "-f", $"{page}", "-l", $"{page}", pdf, pdf];
        var drawn = await Task.Run(() => ForeignProgram.Run(program, words, Bounded, Path.GetDirectoryName(pdf)!,
            cancel), cancel);
        return drawn.IsWell && File.Exists(pdf + ".png")
            ? pdf + ".png"
            : throw new Refusal("tracing", $"page {page} of {name} can’t be drawn: it is damaged, locked, has no such page, " +
                $"or takes more than {Bounded.Seconds} s of work");
    }
}
