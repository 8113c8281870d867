using Lumbeck.Core.Liveries.Fiction;
using Lumbeck.Core.Liveries.Uses;

namespace Lumbeck.Core.Liveries.Shelf;

/// <summary>The liveries that ship. One is added by its file and its line here.</summary>
public static class LiveryShelf
{
    /// <summary>Letters of a title that every livery has room for on a front of 129 × 198 mm and more.</summary>
    public const int LongestTitle = 120;

    public static ImmutableArray<Livery> All { get; } =
    [
        QuaysideLivery.Look, AlmanacLivery.Look, StanzaLivery.Look, SignalLivery.Look,
        NightfallLivery.Look, AfterglowLivery.Look, FarlightLivery.Look, ThicketLivery.Look,
        MeridianLivery.Look, FolioLivery.Look, OrchardLivery.Look, HearthsideLivery.Look,
        LanternLivery.Look, BandstandLivery.Look, WorkbenchLivery.Look, PrimerLivery.Look,
        WayfarerLivery.Look, LedgerLivery.Look, FieldnoteLivery.Look,
    ];

    /// <exception cref="Refusal">There is none of that name.</exception>
    public static Livery Of(string id) => All.FirstOrDefault(l =>
        l.Id == id || l.Name.Equals(id, StringComparison.OrdinalIgnoreCase))
        ?? throw new Refusal("livery",
            $"`{LengthText.Clip(id)}` is no livery: take {string.Join(", ", All.Select(l => l.Id))}");
}
