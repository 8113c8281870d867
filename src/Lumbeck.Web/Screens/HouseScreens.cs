namespace Lumbeck.Web.Screens;

/// <summary>What the parts of the Houses screen are given.</summary>
/// <param name="Known">The house.</param>
/// <param name="Open">The key whose figure is looked at.</param>
/// <param name="Desk">For the other houses, and the jobs that follow this one.</param>
public sealed record HouseView(KnownHouse Known, HouseKey Open, Desk.AppServices Desk)
{
    public House House => Known.House;
    public bool Fixed => Known.Ships;
}

/// <summary>Makes the Houses screen out of its parts.</summary>
public sealed class HouseScreens(Desk.AppServices desk, PartialRenderer partials)
{
    public async Task<Screen> Of(KnownHouse known, string? open)
    {
        var view = new HouseView(known, HouseKeys.Find(open ?? "") ?? HouseKeys.Find("bleed_mm")!, desk);
        var parts = new List<Fragment>();
        foreach (var (id, partial) in ((string, string)[])[("house-head", "_HouseHead"), ("house-keys", "_HouseKeys"),
            ("house-moves", "_HouseMoves")])
            parts.Add(new(id, await partials.Render(partial, view)));
        return new(parts);
    }
}
