using Lumbeck.Intake.Opening;

namespace Lumbeck.Intake.Judging;

/// <summary>Transparency where there may be none, and layers.</summary>
internal static class TransparencyChecks
{
    public static void Look(PageUse use, House house, Findings found)
    {
        // A house that takes PDF/X-1a alone flattens nothing itself.
        if (found.IsX1a || (house.Kinds.Count == 1 && !house.Kinds[0].KeepsTransparency))
            foreach (var how in use.Transparent)
                found.Stop("transparency", how, "none",
                    "PDF/X-1a knows no transparency: it has to be flattened before.");
        if (found.IsX1a && use.Layers) found.Stop("layers", "optional content", "none", "PDF/X-1a has no layers.");
        else if (use.Layers && found.Kind == "PDF")
            found.Caution("layers", "optional content", "none", "What prints depends on which layers are shown.");
    }
}
