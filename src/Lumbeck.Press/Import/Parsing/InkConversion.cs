using Lumbeck.Pdf.Colours;

namespace Lumbeck.Press.Import.Parsing;

/// <summary>Colours of a file's spaces in a house's inks.</summary>
internal static class InkConversion
{
    /// <summary>Whether a space's figures are inks already, so that they and their overprint stay.</summary>
    public static bool IsInk(this ColorSpace space) =>
        space is GrayColorSpace or CmykColorSpace or SeparationOrDeviceN { IsProcess: true };

    /// <param name="inks">The house's.</param>
    /// <param name="space">Whose figures they are.</param>
    /// <param name="c">The figures.</param>
    /// <param name="alone">Whether what has no hue becomes black alone.</param>
    public static Inks Of(this PressInks inks, ColorSpace space, double[] c, bool alone = true) =>
        inks.Many(space, [c], alone)[0];

    /// <summary>The same of many at once, which is far quicker where they go through a profile.</summary>
    public static IReadOnlyList<Inks> Many(this PressInks inks, ColorSpace space, IReadOnlyList<double[]> all,
        bool alone = true) => space switch
        {
            GrayColorSpace => [.. all.Select(c => PressInks.Gray(At(c, 0)))],
            RgbColorSpace rgb => inks.Rgb([.. all.Select(c => (At(c, 0), At(c, 1), At(c, 2)))],
                inks.PathOf(rgb.Profile), alone),
            CmykColorSpace => inks.Came([.. all.Select(Shares)]),
            LabColorSpace => inks.Lab([.. all.Select(c => (At(c, 0), At(c, 1), At(c, 2)))]),
            IndexedColorSpace table => inks.Many(table.Base,
                [.. all.Select(c => table.Entry((int)Math.Clamp(At(c, 0), 0, table.Most)))], alone),
            SeparationOrDeviceN { Names: ["All"] } =>
                inks.Came([.. all.Select(c => new Inks(At(c, 0), At(c, 0), At(c, 0), At(c, 0)))]),
            SeparationOrDeviceN { IsProcessOrNothing: true } n => inks.Came([.. all.Select(c =>
                new Inks(n.TintOf("Cyan", c), n.TintOf("Magenta", c), n.TintOf("Yellow", c), n.TintOf("Black", c)))]),
            SeparationOrDeviceN n => inks.Many(n.Alternate, [.. all.Select(c => n.Tint.Evaluate(c))], alone),
            PatternColorSpace { Under: { } under } => inks.Many(under, all, alone),
            _ => [.. all.Select(_ => Inks.Black(1))],
        };

    /// <summary>DeviceCMYK's figures as they stand.</summary>
    public static Inks Shares(double[] c)
    {
        double share(int n) => Math.Clamp(At(c, n), 0, 1);
        return new(share(0), share(1), share(2), share(3));
    }

    private static double At(double[] c, int n) => ColorSpace.At(c, n);
}
