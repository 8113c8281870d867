namespace Lumbeck.Core.Checks.OfText;

/// <summary>
/// Words that stand out too little from what truly lies behind them; the title also as shops show it.
/// </summary>
public sealed class TextContrast : PlateRule
{
    private const double Enough = 4.5, EnoughLarge = 3, LargeFrom = 18, BoldLargeFrom = 14;

    /// <summary>The share of a text that may stand out less than it should: letters cross small spots.</summary>
    private const double Spared = 0.15;

    public override string Id => "text.contrast";
    public override string Proves => "words stand out from what lies behind them";
    protected override bool Limited => false;

    protected override IEnumerable<Finding> Look(CheckContext look, PlateContext plates)
    {
        foreach (var (item, drawn) in look.Drawn())
        {
            if (item is not TextItem text || !plates.Letters.TryGetValue(item.Id, out var letters)) continue;
            (double Is, double Wanted)? worst = null;
            foreach (var run in letters)
            {
                var wanted = run.Size >= LargeFrom || (run.Size >= BoldLargeFrom && run.Weight >= 700)
                    ? EnoughLarge
                    : Enough;
                var is_ = Least(run, text, plates);
                if (is_ is { } c && c < wanted && (worst is null || c / wanted < worst.Value.Is / worst.Value.Wanted))
                    worst = (c, wanted);
            }
            if (worst is { } w)
                yield return new()
                {
                    Severity = Severity.Caution,
                    Measured = Said(w.Is),
                    Limit = $"{Said(w.Wanted)} or more",
                    Why = "These words stand out too little from what lies behind them.",
                    Mend = "Take a lighter or darker ink, or lay a backing or a shadow behind them.",
                    Of = item,
                    Place = drawn.Inked.ToBox(),
                };
            else if (text.Role == TextRole.Title && item.Hold.Panel == Part.Front
                && plates.InShops.TryGetValue(item.Id, out var small) && small.Count > 8)
            {
                var seen = small.Select(p => PlateContext.Contrast(p.With, p.Without)).Order()
                    .ElementAt((int)(small.Count * 0.9));
                if (seen < EnoughLarge)
                    yield return new()
                    {
                        Severity = Severity.Caution,
                        Measured = $"{Said(seen)} at 160 pixels",
                        Limit = $"{Said(EnoughLarge)} or more",
                        Why = "As small as shops show it, the title fades into the cover.",
                        Mend = "Set it larger or heavier, or take an ink that stands out more.",
                        Of = item,
                        Place = drawn.Inked.ToBox(),
                    };
            }
        }
    }

    /// <summary>The contrast that all but a small share of a run's letters have.</summary>
    private static double? Least(Behind run, TextItem text, PlateContext plates)
    {
        if (run.Under.Count == 0) return null;
        var contrasts = run.Under.Select(under =>
            PlateContext.Contrast(plates.Luminance(Over(run, text, under)), plates.Luminance(under)))
            .Order().ToList();
        return contrasts[(int)(contrasts.Count * Spared)];
    }

    /// <summary>Letters' inks as they come to lie on what was there.</summary>
    private static uint Over(Behind run, TextItem text, uint under)
    {
        var opacity = (double)text.Opacity / 100;
        uint laid = 0;
        int[] own = [run.Ink.C, run.Ink.M, run.Ink.Y, run.Ink.K];
        for (var i = 0; i < 4; i++)
        {
            var (below, ink) = ((double)((under >> (8 * i)) & 255), own[i] * 0.0255);
            if (run.Overprint && own[i] == 0) ink = below;
            ink = text.Blend switch
            {
                Blend.Multiply => below + ink - (below * ink / 255),
                Blend.Screen => below * ink / 255,
                _ => ink,
            };
            laid |= (uint)Math.Round(below + ((ink - below) * opacity)) << (8 * i);
        }
        return laid;
    }

    private static string Said(double contrast) => $"{contrast.ToString("0.#", CultureInfo.InvariantCulture)} to 1";
}
