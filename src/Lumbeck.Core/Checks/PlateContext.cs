namespace Lumbeck.Core.Checks;

/// <summary>
/// What lay under letters before they were laid down: one ink over samples of what was there, packed as C, M, Y, K from
/// the lowest byte.
/// </summary>
/// <param name="Ink">The letters'.</param>
/// <param name="Overprint">They leave the other plates as they are.</param>
/// <param name="Size">In points.</param>
/// <param name="Weight">Of their face, 400 for regular.</param>
/// <param name="Under">Samples, spread evenly over the letters.</param>
public sealed record Behind(Ink Ink, bool Overprint, double Size, int Weight, IReadOnlyList<uint> Under);

/// <summary>One sheet as the press lays it down, as plain data: what rules of plates look at.</summary>
/// <param name="Wide">Pixels across.</param>
/// <param name="High">Pixels down.</param>
/// <param name="PerInch">Pixels an inch.</param>
/// <param name="Inks">Row by row, four bytes a pixel, 255 for all of an ink.</param>
public sealed record PlateContext(int Wide, int High, double PerInch, byte[] Inks)
{
    /// <summary>By item, what lies behind its letters.</summary>
    public IReadOnlyDictionary<string, IReadOnlyList<Behind>> Letters { get; init; } = new Dictionary<string,
        IReadOnlyList<Behind>>();

    /// <summary>
    /// By item, pixels of the front as shops show it, 160 pixels high, that differ with its letters and without: how
    /// bright each is, from 0 to 1.
    /// </summary>
    public IReadOnlyDictionary<string,
        IReadOnlyList<(double With, double Without)>> InShops
    { get; init; } = new Dictionary<string,
        IReadOnlyList<(double, double)>>();

    /// <summary>Plates of finishing inks by name, one byte a pixel.</summary>
    public IReadOnlyDictionary<string, byte[]> Finishes { get; init; } = new Dictionary<string, byte[]>();

    /// <summary>
    /// How bright four inks from 0 to 255 are through the press profile: relative luminance, 1 for paper.
    /// </summary>
    public required Func<uint, double> Luminance { get; init; }

    /// <summary>What a decoder reads in a part of the sheet.</summary>
    public required Func<Box, IReadOnlyList<string>> Decode { get; init; }

    /// <summary>How far two brightnesses are apart, from 1 to 21 (WCAG 2, contrast ratio).</summary>
    public static double Contrast(double a, double b) => (Math.Max(a, b) + 0.05) / (Math.Min(a, b) + 0.05);

    /// <summary>The inks of a pixel.</summary>
    public ReadOnlySpan<byte> At(int x, int y) => Inks.AsSpan(((y * Wide) + x) * 4, 4);

    /// <summary>
    /// All that is laid on a pixel, finishing inks as the likeness a screen shows of them: 0 for bare paper, 255 for
    /// all of one ink.
    /// </summary>
    public double Laid(int x, int y)
    {
        var at = (y * Wide) + x;
        double laid = Inks[at * 4] + Inks[(at * 4) + 1] + Inks[(at * 4) + 2] + Inks[(at * 4) + 3];
        foreach (var (name, tints) in Finishes)
            laid += tints[at] * (double)(Core.Colour.Finishes.Likeness(name).Total / 100m);
        return laid;
    }

    /// <summary>A part of the pixels as a place on the sheet.</summary>
    public Box Place(int left, int top, int right, int bottom)
    {
        Length mm(int pixels) => Length.FromDrawing(pixels * 72 / PerInch);
        return Box.FromEdges(mm(left), mm(top), mm(right), mm(bottom));
    }

    /// <summary>The pixels that a place covers.</summary>
    public (int Left, int Top, int Right, int Bottom) Pixels(Box box)
    {
        int at(Length l, int most) => Math.Clamp((int)Math.Round(l.Points * PerInch / 72), 0, most);
        return (at(box.X, Wide), at(box.Y, High), at(box.Right, Wide), at(box.Bottom, High));
    }
}
