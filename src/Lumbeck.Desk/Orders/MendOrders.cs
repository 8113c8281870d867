using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using Lumbeck.Press.Import;
using Lumbeck.Store;

namespace Lumbeck.Desk.Orders;

/// <summary>
/// Finished files mended beside the page: the order has the file, its name and what was decided, and nothing else is
/// asked for it.
/// </summary>
public static class MendOrders
{
    private sealed record Asked(string Came, string Name, bool Inside, MendChoices Choices, bool Lay);

    /// <summary>Queues the mending of a file.</summary>
    /// <param name="press">The press.</param>
    /// <param name="on">The job as it is.</param>
    /// <param name="came">The file; it is copied before this returns.</param>
    /// <param name="lay">Whether a cover is laid as a take, too.</param>
    /// <exception cref="Refusal">It can’t be mended, or what was decided makes no sense.</exception>
    public static string MendBeside(this PressDesk press, OnBench on, CameFile came, bool lay = false)
    {
        Mending.Look(came.Path, MendDesk.Wants(on, came.Inside, came.Choices), press.Jobs.Drawer.Shelf, default);
        var kept = press.Files.Keep(s => { using var f = File.OpenRead(came.Path); f.CopyTo(s); }).Name;
        var order = JsonSerializer.Serialize(new Asked(kept, came.Name, came.Inside, came.Choices, lay), MendDesk.Options);
        var sum = Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(order)));
        return press.Queue.Add(Order.Mend, on.Slug,
            string.Create(CultureInfo.InvariantCulture, $"{on.Revision}/{sum[..16]}"),
            $"Mending {Plain.Line(came.Name)}", order);
    }

    internal static string Do(PressDesk press, WorkRow piece, Action<double> told, CancellationToken cancel)
    {
        var order = JsonSerializer.Deserialize<Asked>(piece.With, MendDesk.Options)
            ?? throw new Refusal("work", "what was to be mended can’t be read any more");
        var on = press.Jobs.Job(piece.Job);
        try
        {
            var row = press.KeepMended(on, new(press.Files.PathOf(order.Came), order.Name, order.Inside,
                order.Choices), told, piece.Id, cancel);
            if (!order.Lay || !PageSeen.IsHere) return "";
            var laid = press.AsTake(on, row, $"take-{row.Id[..8]}", cancel).GetAwaiter().GetResult();
            press.Jobs.Apply(on.Slug, new($"{row.Id}-take", "mended", _ => laid));
            return "";
        }
        catch (Refusal)
        {
            // What can't be mended is not kept, unless it came before.
            press.DropUnused(order.Came);
            throw;
        }
    }
}
