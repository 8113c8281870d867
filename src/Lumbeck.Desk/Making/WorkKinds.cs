using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;
using Lumbeck.Store;

namespace Lumbeck.Desk.Making;

/// <summary>The kinds of long work: pressing a file, growing pictures at press resolution, and mending files from
/// elsewhere.</summary>
public static class WorkKinds
{
    public const string Press = "press", Grow = "grow", Mend = "mend";

    /// <summary>Begins to do the long work that waits on a press.</summary>
    public static void StartWorks(this PressDesk press) => press.Works.Start(Of(press));

    private static IReadOnlyList<WorkKind> Of(PressDesk press) =>
    [
        new(Press, (piece, told, _) =>
        {
            var parts = piece.Of.Split('/');
            var revision = long.Parse(parts[0], CultureInfo.InvariantCulture);
            var row = press.Jobs.Row(piece.Job);
            var on = new OnBench(row.Id, row.Slug, 0, press.Jobs.Compose(revision));
            // Another house's rules came with the order; orders of before named the house alone.
            if (parts.Length > 2)
                on = on with
                {
                    Composed = press.ForHouse(on,
                        piece.With.Length > 0
                            ? HouseFile.Read(piece.With, _ => { })
                            : press.Houses.Get(parts[2]).House),
                };
            press.Press(on, PressPlan.Read(parts[1]), told);
        }),
        new(Grow, (piece, told, cancel) =>
        {
            var parts = piece.Of.Split('/');
            press.Jobs.Drawer.Pictures.Grown.Make(Grown.Read(parts[0]) ?? throw new Refusal("work",
                "what was to grow can’t be read any more"),
                int.Parse(parts[1], CultureInfo.InvariantCulture), preview: false, told, cancel);
        }),
        new(Mend, (piece, told, cancel) => MendOrders.Do(press, piece, told, cancel)),
    ];

    /// <summary>Queues the press file of what is on the bench.</summary>
    /// <exception cref="Refusal">The house takes no such file.</exception>
    /// <param name="press">The press.</param>
    /// <param name="on">The job as it is.</param>
    /// <param name="plan">What is asked.</param>
    /// <param name="house">Another house than the job's own, by its id.</param>
    public static string PressBeside(this PressDesk press, OnBench on, PressPlan plan, string? house = null)
    {
        var there = house is null || house == on.Job.Ticket.House.Id ? null : press.Houses.Get(house).House;
        if (there is not null) on = on with { Composed = press.ForHouse(on, there) };
        press.RefusePress(on, plan);
        return press.Works.Add(Press, on.Slug,
            string.Create(CultureInfo.InvariantCulture,
                $"{on.Revision}/{plan.Write()}{(there is null ? "" : "/" + there.Id)}"),
            $"Pressing {PressedFile.FileName(on, plan)}",
            there is null ? "" : HouseFile.Write(there));
    }

    /// <summary>
    /// Queues what grown pictures of a job are not there yet at press resolution, and leaves those that it has no more
    /// use for.
    /// </summary>
    public static void GrowBeside(this PressDesk press, OnBench on)
    {
        var wanted = on.Composed.Sheets.SelectMany(s => s.Scene.Pieces).SelectMany(p => p.Marks).OfType<GrownMark>()
            .ToList();
        if (wanted.Count == 0 && !press.Works.Has(on.Slug)) return;
        string of(GrownMark m) => string.Create(CultureInfo.InvariantCulture, $"{m.How.Recipe}/{m.Wide}");
        foreach (var old in press.Works.Unfinished(on.Slug))
            if (old.Kind == Grow && wanted.All(m => of(m) != old.Of)) press.Works.Leave(old.Id);
        foreach (var mark in wanted)
            if (!press.Jobs.Drawer.Pictures.Grown.Has(mark))
                press.Works.Add(Grow, on.Slug, of(mark), $"Growing {mark.Picture.Name}");
    }
}
