namespace Lumbeck.Art;

/// <summary>The pictures of the demo covers, each as large as its cover wants it at 300 pixels an inch.</summary>
internal static class Scenes
{
    public static IReadOnlyList<(string Name, int Wide, int High, Action<Canvas> Paint)> All { get; } =
    [
        ("orrin-valley-in-mist.jpg", 5200, 2240, Valley),
        ("calder-sound-by-night.jpg", 6080, 2700, Sound),
        ("evening-off-the-last-light.jpg", 3240, 2520, Evening),
        ("salt-road.jpg", 620, 930, Road),
    ];

    private static void Valley(Canvas c)
    {
        c.Sky(0, 1, (0, 0x3b5470), (0.5, 0x637a8c), (0.72, 0x9a998c), (1, 0xb8aa8c));
        c.Glow(0.74, 0.74, 0.42, 0xecd9b0, 0.6);
        for (var layer = 0; layer < 6; layer++)
        {
            var near = layer / 5.0;
            c.Ridge(31 + (layer * 17), 0.76 + (0.062 * layer), 0.30 - (0.03 * layer), 0.9 + (0.5 * layer),
                Blend(0x7b8d99, 0x22364a, near), Blend(0xa8a698, 0x52687a, near), 0.12 + (0.05 * near),
                firs: layer >= 3);
        }
        c.Streaks(5, 160, 0.74, 0.98, 0xe6dcc4, 0.10, 0.5, 0.006);
    }

    private static void Sound(Canvas c)
    {
        const double horizon = 0.66, moon = 0.6665;
        c.Sky(0, horizon, (0, 0x1d2636), (0.6, 0x2b384d), (1, 0x56687c));
        c.Stars(3, 900, 0.55);
        c.Glow(moon, 0.45, 0.42, 0xcfd6d8, 0.5);
        c.Disc(moon, 0.45, 0.062, 0xf0ecd8);
        for (var layer = 0; layer < 4; layer++)
            c.Ridge(71 + (layer * 13), horizon + 0.005, 0.16 - (0.034 * layer), 1.1 + (0.7 * layer),
                Blend(0x46566c, 0x1e2736, (layer + 1) / 4.0), Blend(0x64748a, 0x243045, (layer + 1) / 4.0), 0.01);
        c.Sky(horizon, 1, (0, 0x4c5f75), (0.35, 0x2c3a4e), (1, 0x1d2635));
        c.Streaks(11, 1500, horizon + 0.004, 1, 0x8296a8, 0.16, 0.22, 0.0016);
        c.Streaks(12, 900, horizon + 0.002, 1, 0x1b2330, 0.22, 0.3, 0.003);
        c.Streaks(13, 1300, horizon + 0.002, 0.99, 0xf2ecd4, 0.62, 0.055, 0.0018, moon, 0.16);
    }

    private static void Evening(Canvas c)
    {
        const double horizon = 0.72;
        c.Sky(0, horizon, (0, 0x24405a), (0.5, 0x56789a), (0.82, 0xc49a86), (1, 0xe6b98a));
        c.Stars(9, 160, 0.3);
        c.Streaks(21, 420, 0.40, 0.64, 0x3c5674, 0.10, 0.55, 0.0035);
        c.Streaks(22, 260, 0.5, 0.71, 0xf6d8b0, 0.12, 0.5, 0.0025);
        c.Sky(horizon, 1, (0, 0xa8968c), (0.2, 0x557086), (1, 0x1f3a50));
        c.Streaks(23, 900, horizon + 0.003, 1, 0xe4c8a4, 0.22, 0.16, 0.0022);
        c.Streaks(24, 700, horizon + 0.003, 1, 0x1a3044, 0.25, 0.2, 0.003);
    }

    private static void Road(Canvas c)
    {
        c.Sky(0, 1, (0, 0xd9b98a), (0.5, 0xe8d5b0), (1, 0xb98f62));
        c.Glow(0.5, 0.4, 0.4, 0xfff3d4, 0.7);
        for (var layer = 0; layer < 4; layer++)
            c.Ridge(7 + (layer * 5), 0.6 + (0.1 * layer), 0.2 - (0.03 * layer), 1.4 + layer,
                Blend(0xc7a47a, 0x5d3f2a, (layer + 1) / 4.0), 0xe0c79c, 0.2);
    }

    private static uint Blend(uint a, uint b, double share)
    {
        uint one(int shift)
        {
            var (from, to) = ((double)((a >> shift) & 0xff), (double)((b >> shift) & 0xff));
            return (uint)Math.Round(from + ((to - from) * share)) << shift;
        }
        return one(16) | one(8) | one(0);
    }
}
