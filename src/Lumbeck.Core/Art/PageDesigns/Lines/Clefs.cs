namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>What says which notes a staff's lines are.</summary>
public enum Clef { None, Treble, Bass, Alto }

/// <summary>Clefs drawn in spaces of a staff, from its uppermost line down.</summary>
internal static class Clefs
{
    /// <summary>How far a clef reaches over its staff, under it, and along it, in spaces.</summary>
    public static (double Over, double Under, double Wide) Reach(Clef clef) => clef switch
    {
        Clef.Treble => (1.5, 1.8, 3),
        Clef.None => (0, 0, 0),
        _ => (0, 0, 3.2),
    };

    /// <param name="clef">Which.</param>
    /// <param name="space">A space, in points.</param>
    /// <param name="slot">Its paint’s place.</param>
    public static IEnumerable<Drawn> Draw(Clef clef, double space, int slot)
    {
        var at = new Affine(space, 0, 0, space, 0.7 * space, 0);
        Drawn line(double wide, Action<Pen> draw) => new Line(Shapes.Of(draw).Under(at), wide * space, slot);
        Drawn dot(double x, double y, double r) => new Area(Shapes.Circle(x, y, r).Under(at), slot);
        switch (clef)
        {
            case Clef.Treble:
                // Round the second line from below, up, and down through it.
                yield return line(0.24, p =>
                {
                    p.Move(1.35, 3.5);
                    p.Cubic(0.95, 3.4, 0.95, 2.7, 1.45, 2.6);
                    p.Cubic(2.2, 2.5, 2.45, 3.5, 1.8, 3.85);
                    p.Cubic(1.1, 4.2, 0.15, 3.8, 0.2, 2.85);
                    p.Cubic(0.25, 1.9, 1.15, 1.35, 1.6, 0.7);
                    p.Cubic(2.0, 0.1, 1.95, -0.8, 1.6, -1.15);
                    p.Cubic(1.2, -0.95, 1.0, -0.2, 1.1, 0.4);
                    p.Line(1.72, 4.6);
                    p.Cubic(1.8, 5.3, 1.1, 5.5, 0.85, 5.1);
                });
                yield return dot(0.95, 4.95, 0.28);
                break;
            case Clef.Bass:
                // Two points about the second line from above.
                yield return dot(0.5, 1, 0.34);
                yield return line(0.26, p =>
                {
                    p.Move(0.35, 1.05);
                    p.Cubic(0.25, 0.25, 1.75, -0.05, 1.95, 1.05);
                    p.Cubic(2.1, 2.0, 1.2, 2.9, 0.2, 3.4);
                });
                yield return dot(2.5, 0.5, 0.18);
                yield return dot(2.5, 1.5, 0.18);
                break;
            case Clef.Alto:
                // Two bows that meet on the middle line.
                yield return new Area(Shapes.Box(0.1, 0, 0.5, 4).Under(at), slot);
                yield return line(0.14, p => p.Path((0.8, 0), (0.8, 4)));
                yield return line(0.24, p =>
                {
                    p.Move(1.1, 0.5);
                    p.Cubic(1.3, -0.1, 2.4, 0.1, 2.25, 1.0);
                    p.Cubic(2.15, 1.7, 1.4, 1.6, 1.25, 1.3);
                    p.Line(0.95, 2);
                    p.Line(1.25, 2.7);
                    p.Cubic(1.4, 2.4, 2.15, 2.3, 2.25, 3.0);
                    p.Cubic(2.4, 3.9, 1.3, 4.1, 1.1, 3.5);
                });
                break;
        }
    }
}
