namespace Lumbeck.Web.Wire;

/// <summary>
/// Moves a paper as a hand did: in points of the sheet, times as large, degrees clockwise; the ground's where no shape is
/// named.
/// </summary>
public sealed record MoveGroundPattern(double Right, double Down, double Larger, double Turned, string? Item = null) : Ask
{
    public override Edit Make(Asking at) =>
        new MovePattern(Points("paper", Right), Points("paper", Down), Larger, Turned, at.Wrap, Item);
}

/// <summary>Calms the ground's paper where words lie now.</summary>
public sealed record CalmAgain : Ask
{
    public override Edit Make(Asking at) => new CalmPattern(true, at.Wrap);
}
