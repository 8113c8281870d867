namespace Lumbeck.Desk.Orders;

/// <summary>The inks of a cover and its pages, looked at beside the page.</summary>
public static class CheckOrders
{
    /// <summary>A revision with what its inks and its pages were found to be, once they were looked at.</summary>
    /// <returns>As it was where another revision of the job took its place meanwhile.</returns>
    /// <exception cref="Refusal">They can’t be looked at.</exception>
    public static async Task<Composed> CheckBeside(this PressDesk press, OnBench on)
    {
        if (on.Composed.IsPlated) return on.Composed;
        var row = await press.Queue.Ended(Add(press, on), OrderKinds.Of(press));
        if (row.State == "failed") throw new Refusal("plates", row.Problem);
        if (press.Jobs.Known(on.Revision) is { IsPlated: true } known) return known;
        return row.State == "done" && Made.Read(row.Made).Found is { } found
            ? press.Checks.Keep(on.Composed, found)
            : on.Composed;
    }

    /// <summary>
    /// Has several jobs looked at, one after the other; the next who ask for them know. Nothing where some are being
    /// looked at.
    /// </summary>
    public static void CheckBeside(this PressDesk press, IEnumerable<BenchPlace> places)
    {
        var waiting = places.ToList();
        if (waiting.Count == 0 || !press.Checks.LookingOver.Wait(0)) return;
        _ = Task.Run(async () =>
        {
            try
            {
                foreach (var p in waiting)
                    // What is wrong with one is told where it is opened.
                    try { await press.CheckBeside(new OnBench(p.Id, p.Slug, 0, press.Jobs.Compose(p.Revision))); }
                    catch (Exception e) when (e is Refusal or IOException) { }
            }
            catch (Exception e) when (e is ObjectDisposedException or OperationCanceledException) { /* the end */ }
            finally { press.Checks.LookingOver.Release(); }
        });
    }

    private static string Add(PressDesk press, OnBench on) =>
        press.Queue.Add(Order.Check, on.Slug, on.Revision.ToString(CultureInfo.InvariantCulture), says: "",
            Order.Of(Order.Check, on, "", "").Write());
}
