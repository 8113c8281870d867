namespace Lumbeck.Core.Art.Vistas;

/// <summary>
/// What a paint of a vista is: the sky’s head, the sky low down, what gives or takes light, what is far, what is near.
/// </summary>
public enum Role { Sky, Low, Light, Far, Near }

/// <summary>The hour of a vista.</summary>
public enum Hour { Dawn, Noon, Dusk, Night }

/// <summary>
/// Hours, painted in a job's own swatches: each role in the one that is as light, and as warm or cool, as it is then.
/// </summary>
public static class Hours
{
    /// <summary>CIE L* of each role, the sky first.</summary>
    private static readonly Dictionary<Hour, double[]> Lightness = new()
    {
        [Hour.Dawn] = [76, 92, 97, 60, 30],
        [Hour.Noon] = [70, 90, 99, 54, 28],
        [Hour.Dusk] = [32, 68, 88, 28, 12],
        [Hour.Night] = [10, 26, 92, 15, 6],
    };

    /// <summary>What a swatch of the wrong warmth counts as being off, in L*.</summary>
    private const double Amiss = 14;

    /// <summary>The same vista at an hour; as it is where there are too few swatches to choose from.</summary>
    public static Vista At(this Vista vista, Hour hour, IReadOnlyList<Swatch> swatches)
    {
        if (swatches.Count < VistaShelf.LeastSwatches) return vista;
        var paints = vista.Roles().Select(role => (Paint)new SwatchPaint(swatches.MinBy(s => Off(s.Ink, hour, role))!.Id));
        return vista with { Paints = [.. paints] };
    }

    private static double Off(Ink ink, Hour hour, Role role)
    {
        var lab = Seen.Lab(ink);
        // At either end of the day what is low and what shines is warm; by day and by night the sky is cool.
        var warm = hour is Hour.Dawn or Hour.Dusk ? role is Role.Low or Role.Light : role is Role.Light && hour == Hour.Night;
        var cool = role == Role.Sky;
        return Math.Abs(lab.L - Lightness[hour][(int)role]) + ((warm && lab.B < 0) || (cool && lab.B > 0) ? Amiss : 0);
    }
}
