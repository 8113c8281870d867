using Lumbeck.Press.Colour;
using Lumbeck.Press.Pictures;

namespace Lumbeck.Press.Plates;

/// <summary>
/// Composes a part of a scene in the press's own inks (docs/press-files.md): how much of a pixel a shape covers comes
/// from Skia, what lies over what is reckoned here.
/// </summary>
/// <param name="type">Faces.</param>
/// <param name="files">Where pictures are; none are painted where null.</param>
/// <param name="condition">The house's.</param>
public sealed class PlatePainter(IType type, IPictureFiles? files, PrintingCondition condition)
{
    /// <summary>Most pixels of one painting.</summary>
    public const int MostPixels = 30_000_000;

    private readonly PixelShelf _pixels = new(files, condition);

    /// <summary>
    /// Paints a window of a scene: so many of its drawn items, from the lowest, where that is said; finishing inks by their
    /// likeness besides where that is asked.
    /// </summary>
    /// <exception cref="ArgumentException">The window is empty, or has more pixels than can be painted.</exception>
    public Plates Paint(Scene scene, Bounds window, double perInch, int? drawnItems = null, bool likeness = false) =>
        Paint(scene, window, perInch, new() { To = drawnItems ?? int.MaxValue, Likeness = likeness });

    /// <summary>Paints a window of a scene.</summary>
    /// <param name="scene">The sheet.</param>
    /// <param name="window">The part of it, in points.</param>
    /// <param name="perInch">Pixels an inch.</param>
    /// <param name="asked">What of the scene, and who is told of what.</param>
    /// <exception cref="ArgumentException">The window is empty, or has more pixels than can be painted.</exception>
    internal Plates Paint(Scene scene, Bounds window, double perInch, Painting asked)
    {
        var k = perInch / 72;
        var (wide, high) = ((int)Math.Ceiling(((window.Right - window.Left) * k) - 1e-6),
            (int)Math.Ceiling(((window.Bottom - window.Top) * k) - 1e-6));
        if (wide <= 0 || high <= 0 || (long)wide * high > MostPixels)
            throw new ArgumentException($"A window of {wide} × {high} pixels can't be painted.", nameof(window));
        var plates = new Plates(wide, high);
        foreach (var finish in scene.Finishes) plates.Finishes[finish] = new byte[wide * high];
        using var mask = new CoverageMask(wide, high);
        var toPixels = new Affine(k, 0, 0, k, -window.Left * k, -window.Top * k);
        using var edge = SkiaPath.Of(Outline.Rectangle(0, 0, scene.Width, scene.Height), toPixels);
        var sheet = CompositeBuffer.Sheet(plates);
        for (var i = asked.From; i < Math.Min(asked.To, scene.Items.Length); i++)
        {
            var drawn = scene.Items[i];
            var seen = Occlusion.Touches(drawn, window);
            var place = drawn.Place.Then(toPixels);
            var at = i;
            var brush = new Brush(plates, mask, type, _pixels, asked.Likeness)
            {
                Letters = asked.Letters is { } letters ? g => letters(drawn, g, mask, plates) : null,
                Laid = asked.Stops is { } stops && !drawn.Mixes
                    ? n => { if (stops.Contains((at, n))) asked.Reached?.Invoke(at, n, plates); }
                : null,
            };
            if (!drawn.Mixes)
            {
                if (seen || brush.Laid is not null) brush.On(sheet, place, k, edge, drawn.Marks);
                continue;
            }
            if (seen)
            {
                var group = sheet.Group(drawn.StandsAlone);
                group.Mix(drawn.Opacity, drawn.Blend, brush.On(group, place, k, edge, drawn.Marks));
            }
            if (asked.Stops?.Contains((i, Painting.Whole)) == true) asked.Reached?.Invoke(i, Painting.Whole, plates);
        }
        return plates;
    }
}

/// <summary>What of a scene is painted, and who is told of what meanwhile.</summary>
internal sealed record Painting
{
    /// <summary>In place of a mark's number: all of a drawn item.</summary>
    public const int Whole = -1;

    /// <summary>The first drawn item.</summary>
    public int From { get; init; }
    /// <summary>The one after the last.</summary>
    public int To { get; init; } = int.MaxValue;
    /// <summary>
    /// Whether finishing inks are shown by their likeness in process inks, as on screen, besides their plates.
    /// </summary>
    public bool Likeness { get; init; }
    /// <summary>
    /// Is told of each run of type just before it is laid: its drawn item, the run, how it covers, and what lies there.
    /// </summary>
    public Action<DrawnItem, GlyphMark, CoverageMask, Plates>? Letters { get; init; }
    /// <summary>
    /// Places in the order of drawn items and their marks at which <see cref="Reached"/> is told what lies there so far.
    /// </summary>
    public IReadOnlySet<(int Item, int Mark)>? Stops { get; init; }
    public Action<int, int, Plates>? Reached { get; init; }
}
