using Lumbeck.Intake;
using Lumbeck.Intake.Judging;
using Lumbeck.Intake.Opening;

namespace Lumbeck.Desk.Doors;

/// <summary>Inside PDFs laid on a ticket. They are read from the disk and not kept; what they say is.</summary>
public static class InsideDesk
{
    /// <summary>Largest inside taken, in bytes.</summary>
    public const long Most = 500_000_000;

    /// <summary>Takes an inside in, part by part, to a file of its own, reads it, and lets the file go.</summary>
    /// <exception cref="Refusal">It is over the limit, empty, encrypted, damaged or no PDF.</exception>
    public static async Task<InsideFile> ReadInside(this Drawer drawer, Stream upload, string name,
        CancellationToken cancel)
    {
        var folder = Directory.CreateDirectory(Path.Combine(drawer.Folder, "incoming")).FullName;
        // A name of its own: nothing of the sender's decides a path.
        var path = Path.Combine(folder, Guid.NewGuid().ToString("n"));
        try
        {
            await using var file = new FileStream(path,
                new FileStreamOptions
                {
                    Mode = FileMode.CreateNew,
                    Access = FileAccess.ReadWrite,
                    Options = FileOptions.DeleteOnClose,
                    BufferSize = 1 << 16,
                });
            var buffer = new byte[1 << 16];
            long total = 0;
            for (int read; (read = await upload.ReadAsync(buffer, cancel)) > 0;)
            {
                total += read;
                if (total > Most)
                    throw new Refusal("ticket/inside",
                        $"{Named(name)} is over {Most / 1_000_000} MB: export it with pictures at 300 per inch, or " +
                            $"leave pages and size to the ticket");
                await file.WriteAsync(buffer.AsMemory(0, read), cancel);
            }
            file.Position = 0;
            return InsideReading.Of(file, Named(name), cancel: cancel);
        }
        finally { File.Delete(path); }
    }

    /// <summary>The file's name as it can stand in a sentence.</summary>
    private static string Named(string name)
    {
        var plain = string.Concat(Path.GetFileName(name.Replace('\\', '/')).Where(c => !char.IsControl(c))).Trim();
        return plain.Length == 0 ? "the inside" : plain.Length <= 60 ? plain : plain[..59] + "…";
    }
}
