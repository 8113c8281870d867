namespace Lumbeck.Core.Drawing;

/// <summary>
/// All that one item (or the ground) puts on the sheet. <paramref name="Place"/> carries its marks to the sheet;
/// <paramref name="Frame"/> is its box and
/// <paramref name="Inked"/> what it truly covers, both on the sheet.
/// </summary>
public sealed record DrawnItem(string Item, Part Panel, Affine Place, ImmutableArray<Mark> Marks, Bounds Frame,
    Bounds Inked, TextLayout? Layout = null, bool Clipped = false)
{
    /// <summary>
    /// From the middle of its frame to the middle of what is drawn in it, right and down on the sheet.
    /// </summary>
    public (Length Right, Length Down) OffMiddle => Inked.IsEmpty ? default
        : (Length.FromDrawing((Inked.Left + Inked.Right - Frame.Left - Frame.Right) / 2),
            Length.FromDrawing((Inked.Top + Inked.Bottom - Frame.Top - Frame.Bottom) / 2));

    /// <summary>From 0 for nothing to 1 for all of it.</summary>
    public double Opacity { get; init; } = 1;
    public Blend Blend { get; init; }

    /// <summary>
    /// Whether what lies under it shows through, so that its marks are mixed as one before they are laid down.
    /// </summary>
    public bool Mixes => !IsEmpty && (Opacity < 1 || Blend != Blend.Normal);

    /// <summary>
    /// Whether its marks stand by themselves until they are mixed: what multiplies or screens is mixed with what lies
    /// under it once it is whole.
    /// </summary>
    public bool StandsAlone => Blend != Blend.Normal;

    /// <summary>Whether it lays something soft over what lies under it.</summary>
    public bool Softens => Marks.Any(m => m is BlurredMark);

    /// <summary>Whether it has a picture that something shows through.</summary>
    public bool SeesThrough =>
        Marks.Any(m => m is PictureMark { Picture.Opaque: false }
            or TilesMark { Picture.Opaque: false } or GrownMark { Picture.Opaque: false });

    /// <summary>The finishing inks that something of it is laid in, by name.</summary>
    public IEnumerable<string> Finishes => Marks.Select(m => m.Finish?.Name).OfType<string>().Distinct();

    /// <summary>All that its marks may reach on the sheet, beyond its frame too.</summary>
    public Bounds Reach
    {
        get
        {
            var all = Inked.Union(Frame);
            foreach (var mark in Marks)
                if (MarkReach.Of(mark) is { IsEmpty: false } b) all = all.Union(Place.Of(b));
            return all;
        }
    }

    public const string Ground = "ground";

    public bool IsEmpty => Marks.IsEmpty;
}

/// <summary>
/// One sheet or page as absolute drawing in points from its upper left corner, y down, in press colours. Built once per
/// revision;
/// the screen, the file and the checks all read this one scene.
/// </summary>
public sealed record Scene(Surface Surface, ImmutableArray<DrawnItem> Items)
{
    public double Width => Surface.Size.Width.Points;
    public double Height => Surface.Size.Height.Points;

    /// <summary>The finishing inks that something on it is laid in, by name.</summary>
    public ImmutableSortedSet<string> Finishes => [.. Items.SelectMany(p => p.Finishes)];

    /// <summary>What is drawn of an item; null where it is not on this sheet.</summary>
    public DrawnItem? Item(string item)
    {
        foreach (var drawn in Items) if (drawn.Item == item) return drawn;
        return null;
    }
}
