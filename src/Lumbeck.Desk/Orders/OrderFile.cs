using System.IO.Compression;
using System.Text;

namespace Lumbeck.Desk.Orders;

/// <summary>
/// An order as a file, for a program that has no part in the data folder: the order, and with it the pack of its job,
/// or the picture that is to grow (docs/orders.md).
/// </summary>
public static class OrderFile
{
    private const string About = "order.json", Pack = "pack.zip", Picture = "picture";

    /// <summary>Most letters of an order without its job.</summary>
    private const int MostAbout = 10_000;

    /// <summary>Writes an order with all it needs.</summary>
    /// <exception cref="Refusal">A picture of it is not there any more.</exception>
    public static void WriteOrder(this PressDesk press, Order order, Stream output)
    {
        using var zip = new ZipArchive(output, ZipArchiveMode.Create, leaveOpen: true);
        Put(zip, About, s => s.Write(Encoding.UTF8.GetBytes(order.Write(withJob: false))));
        // What a pack is made of is packed tight already.
        if (order.Job is { } job) Put(zip, Pack, s => Packing.Write(press.Jobs.Drawer, job, order.Slug, s));
        else
            Put(zip, Picture, s =>
            {
                using var f = File.OpenRead(press.Jobs.Drawer.Pictures.PathOf(GrowOrders.Read(order.Plan).How.Hash));
                f.CopyTo(s);
            });
    }

    /// <summary>Reads an order, and takes in what it brings.</summary>
    /// <param name="press">Of a folder that is the order’s alone.</param>
    /// <param name="input">A file that can be searched.</param>
    /// <exception cref="Refusal">It is no order, or brings what an order does not.</exception>
    public static async Task<Order> ReadOrder(this PressDesk press, Stream input)
    {
        try
        {
            using var zip = new ZipArchive(input, ZipArchiveMode.Read, leaveOpen: true);
            if (zip.Entries.Count != 2 || zip.Entries[0].FullName != About
                || zip.Entries[1].FullName is not (Pack or Picture))
                throw Order.No("it is damaged, or no order of Lumbeck’s");
            var order = Order.Read(Encoding.UTF8.GetString(Bounded(zip.Entries[0])));
            if (!IsSound(order)) throw Order.No("it asks for what no order does");
            var brought = zip.Entries[1];
            if (order.Kind == Order.Grow)
            {
                var hash = GrowOrders.Read(order.Plan).How.Hash;
                await using var s = brought.Open();
                var taken = await press.Jobs.Drawer.Pictures.TakeIn(s, order.Picture ?? "picture", default);
                return taken.Hash == hash ? order : throw Order.No("its picture is not the one it means");
            }
            using var pack = new FileStream(Path.Combine(press.Jobs.Drawer.Folder, Path.GetRandomFileName()),
                new FileStreamOptions
                {
                    Mode = FileMode.CreateNew,
                    Access = FileAccess.ReadWrite,
                    Options = FileOptions.DeleteOnClose,
                });
            await using (var s = brought.Open()) await Copy(s, pack);
            return order with { Job = (await Packing.Read(press.Jobs, pack)).Job };
        }
        catch (Exception e) when (e is InvalidDataException or EndOfStreamException or ArgumentException
            or NotSupportedException)
        { throw Order.No("it is damaged, or no order of Lumbeck’s"); }
    }

    private static bool IsSound(Order order) =>
        order.Job is null && order.Revision >= 0 && IsName(order.JobId) && IsName(order.Slug)
        && order.Kind switch
        {
            Order.Press => DateTimeOffset.TryParse(order.At, CultureInfo.InvariantCulture, out _),
            Order.Check or Order.Grow => order.At.Length == 0,
            _ => false,
        };

    private static bool IsName(string id) => id.Length <= 60 && id.All(c => char.IsAsciiLetterOrDigit(c) || c == '-');

    private static void Put(ZipArchive zip, string name, Action<Stream> write)
    {
        var entry = zip.CreateEntry(name, CompressionLevel.NoCompression);
        entry.LastWriteTime = new(2000, 1, 1, 0, 0, 0, TimeSpan.Zero);
        using var s = entry.Open();
        write(s);
    }

    private static byte[] Bounded(ZipArchiveEntry entry)
    {
        using var s = entry.Open();
        var read = new byte[MostAbout + 1];
        var n = s.ReadAtLeast(read, read.Length, throwOnEndOfStream: false);
        return n <= MostAbout ? read[..n] : throw Order.No("it is longer than an order can be");
    }

    /// <summary>No more than a pack may hold; what a file says of its own length is not believed.</summary>
    private static async Task Copy(Stream from, Stream to)
    {
        var buffer = new byte[1 << 16];
        for (int n; (n = await from.ReadAsync(buffer)) > 0;)
        {
            await to.WriteAsync(buffer.AsMemory(0, n));
            if (to.Length > Packing.Most) throw Order.No($"its pack is over {Packing.Most / 1_000_000} MB");
        }
        to.Position = 0;
    }
}
