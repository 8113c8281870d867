namespace Lumbeck.Web.Wire;

/// <summary>Puts a livery on every wrap of a job, as a take of its own.</summary>
/// <param name="Livery">Its word.</param>
/// <param name="Colourway">Which of its sets of colours, from 1.</param>
/// <param name="Seed">Of its paper; the livery’s own at 0.</param>
/// <param name="New">The take’s id.</param>
public sealed record WearLivery(string Livery, int Colourway, int Seed, string New) : Ask
{
    public override Edit Make(Asking at) =>
        Wearing.Of(at.Job, Livery, Colourway, Seed == 0 ? null : Seed.ToString(CultureInfo.InvariantCulture),
        New, at.Desk.Drawer.Shelf).Edit;
}
