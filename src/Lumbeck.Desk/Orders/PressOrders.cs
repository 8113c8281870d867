using Lumbeck.Press.Kinds;

namespace Lumbeck.Desk.Orders;

/// <summary>Press files made beside the page.</summary>
public static class PressOrders
{
    /// <summary>Queues the press file of what is on the bench.</summary>
    /// <exception cref="Refusal">The house takes no such file.</exception>
    /// <param name="press">The press.</param>
    /// <param name="on">The job as it is.</param>
    /// <param name="plan">What is asked.</param>
    /// <param name="house">Another house than the job's own, by its id.</param>
    public static string PressBeside(this PressDesk press, OnBench on, PressPlan plan, string? house = null)
    {
        var (order, there) = press.Ordered(on, plan, house);
        return press.Queue.Add(Order.Press, on.Slug,
            string.Create(CultureInfo.InvariantCulture,
                $"{order.Revision}/{order.Plan}{(order.House is null ? "" : "/" + order.House)}"),
            $"Pressing {PressedFile.FileName(there, plan)}", order.Write());
    }

    /// <summary>The order of a press file, and the job as it is to be pressed.</summary>
    /// <exception cref="Refusal">The house takes no such file.</exception>
    public static (Order Order, OnBench There) Ordered(this PressDesk press, OnBench on, PressPlan plan,
        string? house = null)
    {
        if (house == on.Job.Ticket.House.Id) house = null;
        if (house is not null) on = on with { Composed = press.ForHouse(on, press.Houses.Get(house).House) };
        press.RefusePress(on, plan);
        return (Order.Of(Order.Press, on, plan.Write(), press.At(on.Revision), house), on);
    }
}
