namespace Lumbeck.Press.Growing;

/// <summary>
/// Growing a picture out of its own patches, from coarse to fine: what lies beyond its edges is made of squares of
/// itself that go with what is there already
/// (after the idea of texture optimisation by patches that vote; the search is by neighbours and chance).
/// </summary>
internal static class Synthesis
{
    /// <summary>Halvings until the widest margin is no more than this many pixels.</summary>
    private const int Coarsest = 10;

    /// <param name="known">The picture, by halvings: 0 for the finest.</param>
    /// <param name="margins">What is wanted beyond it at each.</param>
    /// <param name="levels">How many halvings there are.</param>
    /// <param name="finest">The level to end at; 0 for press resolution, more for a preview, which is the same picture
    /// coarser.</param>
    /// <param name="seed">Another seed, another outcome.</param>
    /// <param name="told">Is told the share that is done.</param>
    /// <param name="cancel">Ends it.</param>
    /// <returns>The whole, and how unlike its squares are to what they stand for, in levels.</returns>
    public static (PixelGrid Whole, double Difference) Make(Func<int, PixelGrid> known, Func<int, Margins> margins,
        int levels, int finest, int seed, Action<double>? told, CancellationToken cancel)
    {
        Patches? patches = null;
        PixelGrid? whole = null;
        for (var level = levels - 1; level >= finest; level--)
        {
            var m = margins(level);
            // The mirror image gives the coarsest its first look; finer ones begin with what the coarser found.
            var next = PlainWays.Mirror(known(level), m);
            // What the coarser levels and the decoder needed is let go of before the largest arrays are made.
            if (level <= 1) GC.Collect();
            var stride = level >= 3 ? 1 : level >= 1 ? 2 : 3;
            var now = patches is null
                ? new Patches(next, m, stride, seed)
                : Patches.Finer(patches, next, m, stride, seed + level);
            var coarsest = patches is null;
            var rounds = coarsest ? 12 : level >= 3 ? 6 : level >= 1 ? 4 : 3;
            var reach = Math.Max(next.Wide, next.High);
            if (!coarsest) { now.Search(0, 1); now.Vote(); }
            for (var round = 0; round < rounds; round++)
            {
                cancel.ThrowIfCancellationRequested();
                var radius = coarsest ? Math.Max(4, reach >> (round / 3)) : level >= 1 ? 24 : 12;
                now.Search((2 * round) + 1, radius);
                now.Search((2 * round) + 2, radius);
                now.Vote(join: level == finest && round == rounds - 1);
                told?.Invoke(Done(levels, finest, level, (round + 1.0) / rounds));
            }
            (patches, whole) = (now, next);
        }
        return (whole!, patches!.Difference);
    }

    /// <summary>
    /// How many halvings a picture takes: until its margin is small, and not beyond where it still has squares enough.
    /// </summary>
    public static int Levels(int wide, int high, Margins m)
    {
        var (levels, most, side) = (1, Math.Max(Math.Max(m.Left, m.Right), Math.Max(m.Top, m.Bottom)),
            Math.Min(wide, high));
        while (most > Coarsest && side > 4 * Patches.Side && levels < 12)
            (levels, most, side) = (levels + 1, most / 2, side / 2);
        return levels;
    }

    // Each finer level takes about four times as long as the one before.
    private static double Done(int levels, int finest, int level, double part)
    {
        double sum = 0, done = 0;
        for (var l = levels - 1; l >= finest; l--)
        {
            var cost = Math.Pow(4, levels - 1 - l);
            sum += cost;
            if (l > level) done += cost;
            else if (l == level) done += cost * part;
        }
        return done / sum;
    }
}
