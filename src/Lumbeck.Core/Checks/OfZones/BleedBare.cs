namespace Lumbeck.Core.Checks.OfZones;

/// <summary>
/// Art that stops at the cut: along a side, white paper in the bleed beside something that is none just within the cut,
/// seen on the plates.
/// </summary>
public sealed class BleedBare : PlateRule
{
    /// <summary>
    /// How much of a side may be so: something white may end there by design. A reception spares a little more.
    /// </summary>
    private const double Spared = 0.15;

    /// <summary>
    /// Up to 5 % of ink in all is paper to the eye, from 8 % on it is none. A reception's figures lie a little further
    /// apart.
    /// </summary>
    private const double Paper = 13, Inked = 20;

    /// <summary>Where within the cut it is looked at, in widths of the bleed.</summary>
    private static readonly decimal[] Depths = [0.3m, 0.5m, 0.7m];

    /// <summary>How far to both sides of that something still counts: a reception's pixels are this large.</summary>
    private static readonly Length Near = Length.FromPoints(0.75m);

    public override string Id => "bleed.bare";
    public override string Proves => "art runs out past every cut";
    protected override bool Limited => false;

    protected override IEnumerable<Finding> Look(CheckContext look, PlateContext plates)
    {
        var (trim, whole) = (look.Sheet.Trim, look.Sheet.Whole);
        // A ground that leaves the sheet bare is told by its own rule.
        if (Coverage.Bare(look.Take, look.Sheet, whole).Count > 0) yield break;
        // A side, how wide its bleed is, and a strip along it between two distances within the cut.
        (string Side, Length Bleed, Func<Length, Length, Box> Strip)[] sides =
        [
            ("left", trim.X, (a, b) => Box.FromEdges(trim.X + a, trim.Y, trim.X + b, trim.Bottom)),
            ("right", whole.Right - trim.Right,
                (a, b) => Box.FromEdges(trim.Right - b, trim.Y, trim.Right - a, trim.Bottom)),
            ("head", trim.Y, (a, b) => Box.FromEdges(trim.X, trim.Y + a, trim.Right, trim.Y + b)),
            ("foot", whole.Bottom - trim.Bottom,
                (a, b) => Box.FromEdges(trim.X, trim.Bottom - b, trim.Right, trim.Bottom - a)),
        ];
        foreach (var (side, bleed, strip) in sides)
        {
            if (bleed < Length.FromPoints(2)) continue;
            List<double> laid(decimal depth, bool most) =>
                Laid(plates, strip((depth * bleed) - Near, (depth * bleed) + Near), side is "left" or "right", most);
            var outside = laid(-0.5m, most: false);
            // What stops at the cut lies all along within it: a line there is no art that stops.
            List<List<double>> inside = [.. Depths.Select(d => laid(d, most: true))];
            var bare = outside.Where((paper, n) => paper <= Paper && inside.All(i => i[n] >= Inked)).Count();
            if (bare <= Spared * outside.Count) continue;
            var place = strip(-0.5m * bleed, 0.5m * bleed);
            yield return new()
            {
                Severity = Severity.Stop,
                Measured = $"bare at the {side}",
                Limit = "art out to the bleed",
                Why = "The art stops at the cut: where the knife wanders, white paper shows.",
                Mend = "Run what lies there out to the edge of the bleed.",
                Panel = Part.Sheet,
                Place = place,
            };
        }
    }

    /// <summary>What is laid along a strip, pixel by pixel: the most or the least across it.</summary>
    private static List<double> Laid(PlateContext plates, Box strip, bool upright, bool most)
    {
        var (left, top, right, bottom) = plates.Pixels(strip);
        (right, bottom) = (Math.Clamp(right, left + 1, plates.Wide), Math.Clamp(bottom, top + 1, plates.High));
        (left, top) = (Math.Min(left, right - 1), Math.Min(top, bottom - 1));
        var (along, across) = upright ? (bottom - top, right - left) : (right - left, bottom - top);
        double at(int n, int k) => upright ? plates.Laid(left + k, top + n) : plates.Laid(left + n, top + k);
        double one(int n) =>
            Enumerable.Range(0, across).Select(k => at(n, k)) is var all && most ? all.Max() : all.Min();
        return [.. Enumerable.Range(0, along).Select(one)];
    }
}
