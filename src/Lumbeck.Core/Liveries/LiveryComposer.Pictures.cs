namespace Lumbeck.Core.Liveries;

/// <summary>Pictures of the ticket, and of the book's own pages.</summary>
internal sealed partial class LiveryComposer
{
    /// <summary>A picture of a page is laid no larger than this beside the page: it was drawn for that.</summary>
    public const double PageShare = 1 / 3.0;

    /// <summary>The author's picture is upright, four wide to five high.</summary>
    private const double PortraitShape = 1.25;

    private void Portrait(Picture picture, Part panel, double x, double y, double wide) => Items.Add(new PictureItem
    {
        Id = PortraitPart,
        Hold = At(panel, HoldBox.Face, x, y),
        Width = new(Points(wide)),
        Height = new(Points(wide * PortraitShape)),
        Picture = picture,
    });

    /// <summary>
    /// How wide the author's picture is beside a note, or over it where there is no room beside; in points.
    /// </summary>
    private static (double Wide, bool Over) PortraitIn(double inner) =>
        inner < 230 ? (Math.Min(0.6 * inner, 120), true) : (Math.Min(0.28 * inner, 110), false);

    /// <summary>
    /// The imprint's mark at the spine's foot, upright where the book stands, no wider than its safe band.
    /// </summary>
    private static PictureItem MarkOnSpine(Panel spine, Picture mark, double band)
    {
        var side = Math.Min(0.84 * band, Length.FromMillimetres(16).Points);
        var up = spine.Turn == Turn.CounterClockwise;
        return new()
        {
            Id = MarkPart,
            Hold = new(Part.Spine, HoldBox.Safe, up ? Anchor.Left : Anchor.Right, Points(up ? 2 : -2), default),
            Width = new(Points(side)),
            Height = new(Points(side)),
            Turned = up ? 90 : 270,
            Picture = mark,
            Fit = Fit.Contain,
        };
    }

    /// <summary>
    /// Pages in a row, as large as their room carries them; false where that is too small to be of use.
    /// </summary>
    private bool Pages(double x, double y, double w, double h)
    {
        if (inside.Pages.IsEmpty) return false;
        const double gap = 10, least = 54;
        var shape = (double)_ticket.Trim.Height.Millimetres / (double)_ticket.Trim.Width.Millimetres;
        foreach (var count in Enumerable.Range(1, inside.Pages.Length).Reverse())
        {
            var wide = Math.Min(PageShare * _ticket.Trim.Width.Points, (w - (gap * (count - 1))) / count);
            wide = Math.Min(wide, (h - gap) / shape);
            if (wide < least) continue;
            var at = x + ((w - (wide * count) - (gap * (count - 1))) / 2);
            foreach (var (n, page) in inside.Pages.Take(count).Index())
                Items.Add(new PictureItem
                {
                    Id = $"{PagePart}{n + 1}",
                    Hold = At(Part.Back, HoldBox.Face, at + (n * (wide + gap)), y + ((h - (wide * shape)) / 2)),
                    Width = new(Points(wide)),
                    Height = new(Points(wide * shape)),
                    Picture = page,
                    Line = Paint(LiveryTone.Deep),
                    LineWidth = Length.FromPoints(1),
                });
            return true;
        }
        return false;
    }
}
