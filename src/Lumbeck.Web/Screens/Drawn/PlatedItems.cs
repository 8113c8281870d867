using System.Security.Cryptography;
using System.Text;
using Lumbeck.Caching;
using Lumbeck.Press.Svg;

namespace Lumbeck.Web.Screens;

/// <summary>
/// What a browser can't show by itself: items that blend in press colours, and inks that overprint what is not plain.
/// For these the page is given a picture of what the plates
/// have there; it changes its address only when what it shows changes.
/// </summary>
public sealed class PlatedItems(Desk.AppServices desk, Drawings drawings)
{
    /// <summary>Pixels an inch at first; the page asks for more when it is looked at more closely.</summary>
    public const int PerInch = 144, MostPerInch = 1200;
    private const double MostPixels = 5_000_000;
    // Each holds its scene.
    private const int Most = 120;

    private readonly ByteCache<string, (Scene Scene, int Pieces, Bounds Window, House House)> _known = new(Most,
        _ => 1);
    private readonly ByteCache<(string Key, int PerInch), byte[]> _made = new(24_000_000, picture => picture.Length);

    /// <summary>A sheet's items as they are shown, the lowest first.</summary>
    public IReadOnlyList<Fragment> Of(Composed c, ComposedSheet sheet, string address)
    {
        var (painter, house, scene) = (drawings.Painter(c), c.Job.Ticket.House, sheet.Scene);
        var told = new List<Fragment>();
        for (var i = 0; i < scene.Items.Length; i++)
        {
            var drawnItem = scene.Items[i];
            var html = Drawn(painter, drawnItem, address);
            if (drawnItem.Mixes || drawnItem.Softens || Overprints(drawnItem))
            {
                var under = drawnItem.Mixes || drawnItem.Softens ? null : Occlusion.Plain(scene, i);
                if (under is { } ink) html = painter.Item(Occlusion.Over(drawnItem, ink));
                else if (Window(scene, drawnItem) is { } window)
                {
                    var key = Key(told, scene, i, window, html, house);
                    _known.Keep(key, (scene, i + 1, window, house));
                    html = painter.Plated(drawnItem, window,
                        string.Create(CultureInfo.InvariantCulture, $"{address}/plates/{key}?ppi={PerInch}"));
                }
            }
            told.Add(new(SvgPainter.IdOf(drawnItem.Item), html, Svg: true));
        }
        return told;
    }

    /// <summary>
    /// A item as the page holds it. Drawn art of many marks, a paper or a vista, has an address of its own, which says
    /// what it shows: the page stays small, and what did not change is neither drawn nor sent anew.
    /// </summary>
    private string Drawn(SvgPainter painter, DrawnItem drawnItem, string address)
    {
        if (drawnItem.Mixes || drawnItem.Softens || !IsArt(drawnItem.Marks)) return painter.Item(drawnItem);
        var art = _art.GetValue(drawnItem, p => OfArt(painter, p));
        return art.Key.Length == 0
            ? painter.Item(drawnItem)
            : SvgPainter.Elsewhere(drawnItem, art.Window, $"{address}/drawn/{art.Key}.svg");
    }

    private Art OfArt(SvgPainter painter, DrawnItem drawnItem)
    {
        var window = drawnItem.Place.Inverse().Of(drawnItem.Frame);
        // Curls and leaves reach a little beyond their box; the ground ends with the sheet.
        var room = drawnItem.Item == DrawnItem.Ground ? 0 : 0.25 * Math.Max(window.Right - window.Left,
            window.Bottom - window.Top);
        window = new(window.Left - room, window.Top - room, window.Right + room, window.Bottom + room);
        var svg = painter.Alone(drawnItem.Marks, window);
        // A paper is never in the page, however little it draws.
        var paper = drawnItem.Item == DrawnItem.Ground ? drawnItem.Marks.Length > 1 : drawnItem.Marks.Any(m => m is DrawingMark);
        if (!paper && svg.Length < Inline) return new("", window);
        var key = Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(svg)))[..32];
        _svgs.Keep(key, svg);
        return new(key, window);
    }

    /// <summary>The drawing of a key, as SVG; null where nothing that is on the bench has it.</summary>
    public string? ArtOf(string slug, string key)
    {
        if (_svgs.TryGet(key, out var svg)) return svg;
        var c = desk.Jobs.Job(slug).Composed;
        foreach (var sheet in c.Sheets)
            foreach (var drawnItem in sheet.Scene.Items.Where(p => !p.Mixes && !p.Softens && IsArt(p.Marks)))
            {
                var window = OfArt(drawings.Painter(c), drawnItem);
                if (window.Key == key && _svgs.TryGet(key, out svg)) return svg;
            }
        return null;
    }

    /// <summary>Whether marks are shapes and lines alone, which need nothing of the page.</summary>
    private static bool IsArt(IReadOnlyList<Mark> marks) =>
        marks.Count > 0 && MarkLeaves.Of(marks).All(m => m is FillMark or LineMark or GradientMark);

    private sealed record Art(string Key, Bounds Window);

    /// <summary>What is shorter stays in the page.</summary>
    private const int Inline = 12_000;

    private readonly System.Runtime.CompilerServices.ConditionalWeakTable<DrawnItem, Art> _art = [];
    private readonly ByteCache<string, string> _svgs = new(24_000_000, svg => 2 * svg.Length);

    /// <summary>The picture of a key, as JPEG; null where nothing that is on the bench has it.</summary>
    public byte[]? Picture(string slug, string key, int perInch)
    {
        if (!_known.TryGet(key, out var known))
        {
            // After the server was begun anew: what is on the bench is gone through once more.
            var c = desk.Jobs.Job(slug).Composed;
            foreach (var sheet in c.Sheets) _ = Of(c, sheet, "");
            if (!_known.TryGet(key, out known)) return null;
        }
        var square = (known.Window.Right - known.Window.Left) * (known.Window.Bottom - known.Window.Top) / 5184;
        perInch = (int)Math.Min(Math.Clamp(perInch, 36, MostPerInch), Math.Sqrt(MostPixels / square));
        return _made.GetOrAdd((key, perInch),
            _ =>
                desk.Drawer.PlatesOf(known.House)
                    .Paint(known.Scene, known.Window, perInch, known.Pieces, likeness: true)
                    .ToJpeg(Press.Colour.PrintingCondition.Of(known.House), 92));
    }

    private static bool Overprints(DrawnItem drawnItem) =>
        drawnItem.Marks.Any(m =>
            m is FillMark { Overprint: true, Finish: null } or GlyphMark
            {
                Overprint: true, Finish: null,
                Gradient: null
            });

    /// <summary>What a item covers, in whole points within the sheet.</summary>
    private static Bounds? Window(Scene scene, DrawnItem drawnItem)
    {
        var b = drawnItem.Reach;
        if (b.IsEmpty) return null;
        var w = new Bounds(Math.Max(0, Math.Floor(b.Left)), Math.Max(0, Math.Floor(b.Top)),
            Math.Min(scene.Width, Math.Ceiling(b.Right)), Math.Min(scene.Height, Math.Ceiling(b.Bottom)));
        return w.IsEmpty ? null : w;
    }

    /// <summary>A name for all that lies in a window up to a item.</summary>
    private static string Key(List<Fragment> below, Scene scene, int drawnItem, Bounds window, string own, House house)
    {
        using var hash = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        hash.AppendData(Encoding.UTF8.GetBytes($"{house.Profile} {house.Intent} {window}"));
        for (var i = 0; i < drawnItem; i++)
            if (Occlusion.Touches(scene.Items[i], window)) hash.AppendData(Encoding.UTF8.GetBytes(below[i].Html));
        hash.AppendData(Encoding.UTF8.GetBytes(own));
        return Convert.ToHexStringLower(hash.GetHashAndReset())[..32];
    }
}
