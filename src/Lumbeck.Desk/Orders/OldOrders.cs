using Lumbeck.Store;

namespace Lumbeck.Desk.Orders;

/// <summary>
/// Pieces that were queued before orders were whole: of the job they say the revision, which is read from the store.
/// </summary>
internal static class OldOrders
{
    /// <exception cref="Refusal">The revision, or the house, is not there any more.</exception>
    public static Order Read(PressDesk press, WorkRow piece)
    {
        if (piece.Kind == Order.Grow) return new() { Kind = Order.Grow, Plan = piece.Of };
        if (piece.Of.Split('/') is not [var number, var plan, .. var rest]
            || !long.TryParse(number, NumberStyles.None, CultureInfo.InvariantCulture, out var revision))
            throw Order.No("what it is of can’t be read");
        var row = press.Jobs.Row(piece.Job);
        var on = new OnBench(row.Id, row.Slug, 0, press.Jobs.Compose(revision));
        var house = rest.FirstOrDefault();
        // Another house's rules came with it; the first versions named the house alone.
        if (house is not null)
            on = on with
            {
                Composed = press.ForHouse(on,
                    piece.With.Length > 0 ? HouseFile.Read(piece.With, _ => { }) : press.Houses.Get(house).House),
            };
        return Order.Of(Order.Press, on, plan, press.At(revision), house);
    }
}
