namespace Lumbeck.Core.Checks.OfZones;

/// <summary>Art that stops at the cut: along a side, white paper in the bleed beside something that is none just within the cut, seen on the plates.</summary>
public sealed class BleedBare : PlateRule
{
    /// <summary>How much of a side may be so: something white may end there by design. A reception spares a little more.</summary>
    private const double Spared = 0.15;

    /// <summary>Lighter than this is paper; darker than that is none (relative luminance).</summary>
    private const double Paper = 0.93, Inked = 0.90;

    public override string Id => "bleed.bare";
    public override string Proves => "art runs out past every cut";
    protected override bool Limited => false;

    public override IEnumerable<Finding> Find(Look look, PlateLook plates)
    {
        var (trim, whole) = (look.Sheet.Trim, look.Sheet.Whole);
        // A ground that leaves the sheet bare is told by its own rule.
        if (Coverage.Bare(look.Take, look.Sheet, whole).Count > 0) yield break;
        // A side, how wide its bleed is, and a strip of places along it, so far from the cut.
        (string Side, Length Bleed, Func<Length, Box> Strip)[] sides =
        [
            ("left", trim.X, far => Box.FromEdges(trim.X + far, trim.Y, trim.X + far, trim.Bottom)),
            ("right", whole.Right - trim.Right, far => Box.FromEdges(trim.Right - far, trim.Y, trim.Right - far, trim.Bottom)),
            ("head", trim.Y, far => Box.FromEdges(trim.X, trim.Y + far, trim.Right, trim.Y + far)),
            ("foot", whole.Bottom - trim.Bottom, far => Box.FromEdges(trim.X, trim.Bottom - far, trim.Right, trim.Bottom - far)),
        ];
        foreach (var (side, bleed, strip) in sides)
        {
            if (bleed < Length.FromPoints(2)) continue;
            var half = 0.5m * bleed;
            var (outside, inside) = (Light(plates, strip(-half)), Light(plates, strip(half)));
            var bare = outside.Zip(inside).Count(p => p.First >= Paper && p.Second < Inked);
            if (bare <= Spared * outside.Count) continue;
            var (a, b) = (strip(-half), strip(half));
            yield return Found(
                look, Severity.Stop, $"bare at the {side}", "art out to the bleed",
                "The art stops at the cut: where the knife wanders, white paper shows.",
                "Run what lies there out to the edge of the bleed.",
                panel: Part.Sheet,
                place: Box.FromEdges(Length.Min(a.X, b.X), Length.Min(a.Y, b.Y), Length.Max(a.Right, b.Right), Length.Max(a.Bottom, b.Bottom)));
        }
    }

    /// <summary>How light the sheet is along a line.</summary>
    private static List<double> Light(PlateLook plates, Box line)
    {
        var (left, top, right, bottom) = plates.Pixels(line);
        var light = new List<double>();
        for (var y = Math.Min(top, plates.High - 1); y < Math.Min(Math.Max(bottom, top + 1), plates.High); y++)
            for (var x = Math.Min(left, plates.Wide - 1); x < Math.Min(Math.Max(right, left + 1), plates.Wide); x++)
                light.Add(plates.Luminance(BitConverter.ToUInt32(plates.At(x, y))));
        return light;
    }
}
