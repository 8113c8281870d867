namespace Lumbeck.Desk.Orders;

/// <summary>
/// Pictures grown at press resolution beside the page: the order has the recipe, and the picture goes with it.
/// </summary>
public static class GrowOrders
{
    private static string Plan(GrownMark mark) =>
        string.Create(CultureInfo.InvariantCulture, $"{mark.How.Recipe}/{mark.Wide}");

    /// <summary>What is to grow, and how many pixels across.</summary>
    /// <exception cref="Refusal">The plan is none.</exception>
    internal static (Grown How, int Wide) Read(string plan) =>
        plan.Split('/') is [var recipe, var pixels] && Grown.Read(recipe) is { } how
            && int.TryParse(pixels, NumberStyles.None, CultureInfo.InvariantCulture, out var wide)
            && wide is > 0 and <= Press.Pictures.PictureReading.MostSide
            ? (how, wide)
            : throw Order.No("what was to grow can’t be read");

    /// <summary>
    /// Queues what grown pictures of a job are not there yet at press resolution, and leaves those that it has no more
    /// use for.
    /// </summary>
    public static void GrowBeside(this PressDesk press, OnBench on)
    {
        var wanted = on.Composed.Sheets.SelectMany(s => s.Scene.Items).SelectMany(p => p.Marks).OfType<GrownMark>()
            .ToList();
        if (wanted.Count == 0 && !press.Queue.Has(on.Slug)) return;
        foreach (var old in press.Queue.Unfinished(on.Slug))
            if (old.Kind == Order.Grow && wanted.All(m => Plan(m) != old.Of)) press.Queue.Leave(old.Id);
        foreach (var mark in wanted)
            if (!press.Jobs.Drawer.Pictures.Grown.Has(mark))
                press.Queue.Add(Order.Grow, on.Slug, Plan(mark), $"Growing {mark.Picture.Name}",
                    new Order { Kind = Order.Grow, Plan = Plan(mark), Picture = mark.Picture.Name }.Write());
    }
}
