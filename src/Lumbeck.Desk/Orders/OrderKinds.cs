using Lumbeck.Press.Kinds;
using Lumbeck.Store;

namespace Lumbeck.Desk.Orders;

/// <summary>
/// How each kind of order is done, and what this folder keeps of it. A new kind is a method and a line in the list.
/// </summary>
public static class OrderKinds
{
    /// <summary>Begins to do the orders of a folder.</summary>
    public static void StartWorks(this PressDesk press) => press.Queue.Start(Of(press));

    /// <summary>Does one order that another program took, as that program.</summary>
    public static void DoOnce(this PressDesk press, string id) => press.Queue.Once(id, Of(press));

    /// <summary>What can be done of what waits in the queue.</summary>
    internal static IReadOnlyList<WorkKind> Of(PressDesk press) =>
    [
        .. All.Select(k => new WorkKind(k.Kind, (piece, told, cancel) =>
        {
            var order = Order.IsOne(piece.With) ? Order.Read(piece.With) : OldOrders.Read(press, piece);
            var made = k.Do(press, order, told, cancel);
            k.Keep(press, piece, made);
            return made.Write();
        }, piece => k.Apart is { } apart && apart(press, Order.IsOne(piece.With) ? Order.Read(piece.With)
            : OldOrders.Read(press, piece)))),
        new(Order.Mend, (piece, told, cancel) => MendOrders.Do(press, piece, told, cancel), Apart: _ => true),
    ];

    /// <summary>Does an order with what it brings; nothing of it is kept but the file.</summary>
    /// <exception cref="Refusal">It can’t be done.</exception>
    public static Made Do(PressDesk press, Order order, Action<double> told, CancellationToken cancel) =>
        All.FirstOrDefault(k => k.Kind == order.Kind)?.Do(press, order, told, cancel)
            ?? throw Order.No("it is of a kind that is not known");

    private delegate Made Doing(PressDesk press, Order order, Action<double> told, CancellationToken cancel);

    private sealed record OrderKind(string Kind, Doing Do, Action<PressDesk, WorkRow, Made> Keep,
        Func<PressDesk, Order, bool>? Apart = null);

    /// <summary>Pixels of all its pictures from which on a job is pressed in a process of its own.</summary>
    private const long ManyPixels = 8_000_000;

    private static bool HasManyPixels(PressDesk press, Order order) =>
        order.On(press.Jobs).Job.Pictures.Where(p => !p.IsDrawing).Distinct()
            .Sum(p => (long)p.Wide * p.High) > ManyPixels;

    private static readonly OrderKind[] All =
    [
        new(Order.Press, Pressed, (press, piece, made) =>
            press.Register(made.Pressed! with { Ordered = piece.Id }), HasManyPixels),
        new(Order.Check, Checked, (press, _, made) =>
        {
            if (made.Of is { } of) press.Checks.Keep(of, made.Found!.Value);
        }),
        new(Order.Grow, Grown, (_, _, _) => { }),
    ];

    private static Made Pressed(PressDesk press, Order order, Action<double> told, CancellationToken cancel)
    {
        var row = press.Make(order.On(press.Jobs), PressPlan.Read(order.Plan).Possible(), order.At, told);
        return new() { Pressed = row, Name = row.Name, Path = press.Files.PathOf(row.File) };
    }

    private static Made Checked(PressDesk press, Order order, Action<double> told, CancellationToken cancel)
    {
        var of = order.On(press.Jobs).Composed;
        try
        {
            return Attempt.Telling(r => new("plates", $"the inks can’t be looked at: {r.Message}"), () =>
                order.Plan == Order.Exact
                    ? new Made { Found = press.Checks.Whole(of, () => told(0)) }
                    : new() { Of = of, Found = press.Checks.Plates(of, () => told(0)) });
        }
        catch (Exception e) when (e is IOException or NetVips.VipsException)
        {
            throw new Refusal("plates", "the inks can’t be looked at: a picture of this cover can’t be read");
        }
    }

    private static Made Grown(PressDesk press, Order order, Action<double> told, CancellationToken cancel)
    {
        var (how, wide) = GrowOrders.Read(order.Plan);
        var path = press.Jobs.Drawer.Pictures.Grown.Make(how, wide, preview: false, told, cancel);
        return new() { Name = PressedFile.Plain($"{order.Picture ?? "picture"}-grown.jpg"), Path = path };
    }
}
