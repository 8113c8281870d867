namespace Lumbeck.Core.Drawing.Pages;

/// <summary>One page of the file, as it is to be drawn.</summary>
/// <param name="Number">Its place in the file, from 1.</param>
/// <param name="Slot">Where it comes from.</param>
/// <param name="Run">Its run; null for what is raised at the end.</param>
/// <param name="Design">What is on it; null for nothing.</param>
/// <param name="Surface">Its box, margins and bleed.</param>
/// <param name="Facts">What its words are filled in with.</param>
public sealed record PlannedPage(int Number, Slot Slot, PageRun? Run, PageDesign? Design, Surface Surface,
    PageFacts Facts)
{
    /// <summary>Whether its folio is printed.</summary>
    public bool PrintsFolio { get; init; }

    /// <summary>Which tab it carries, of how many; null for none.</summary>
    public (int Tab, int Of)? Tab { get; init; }

    /// <summary>What the run's other pages share with it: its design on the same side of the fold.</summary>
    public (int Run, int Design, bool Right, bool Facing, int Time) Body =>
        (Slot.Run, Slot.Design, Number % 2 == 1, Facts.Facing,
        Design?.Varies == true ? Slot.Time : 0);
}
