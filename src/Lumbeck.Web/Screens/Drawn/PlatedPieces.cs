using System.Security.Cryptography;
using System.Text;
using Lumbeck.Caching;
using Lumbeck.Press.Svg;

namespace Lumbeck.Web.Screens;

/// <summary>
/// What a browser can't show by itself: pieces that blend in press colours, and inks that overprint what is not plain.
/// For these the page is given a picture of what the plates
/// have there; it changes its address only when what it shows changes.
/// </summary>
public sealed class PlatedPieces(Desk.Desk desk, Drawings drawings)
{
    /// <summary>Pixels an inch at first; the page asks for more when it is looked at more closely.</summary>
    public const int PerInch = 144, MostPerInch = 1200;
    private const double MostPixels = 5_000_000;
    // Each holds its scene.
    private const int Most = 120;

    private readonly ByteCache<string, (Scene Scene, int Pieces, Bounds Window, House House)> _known = new(Most, _ => 1);
    private readonly ByteCache<(string Key, int PerInch), byte[]> _made = new(24_000_000, picture => picture.Length);

    /// <summary>A sheet's pieces as they are shown, the lowest first.</summary>
    public IReadOnlyList<Fragment> Of(Composed c, ComposedSheet sheet, string address)
    {
        var (painter, house, scene) = (drawings.Painter(c), c.Job.Ticket.House, sheet.Scene);
        var told = new List<Fragment>();
        for (var i = 0; i < scene.Pieces.Length; i++)
        {
            var piece = scene.Pieces[i];
            var html = painter.Piece(piece);
            if (piece.Mixes || piece.Softens || Overprints(piece))
            {
                var under = piece.Mixes || piece.Softens ? null : Under.Plain(scene, i);
                if (under is { } ink) html = painter.Piece(Under.Over(piece, ink));
                else if (Window(scene, piece) is { } window)
                {
                    var key = Key(told, scene, i, window, html, house);
                    _known.Keep(key, (scene, i + 1, window, house));
                    html = painter.Plated(piece, window,
                        string.Create(CultureInfo.InvariantCulture, $"{address}/plates/{key}?ppi={PerInch}"));
                }
            }
            told.Add(new(SvgPainter.IdOf(piece.Item), html, Svg: true));
        }
        return told;
    }

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
                    .ToJpeg(Press.Colour.PressCondition.Of(known.House), 92));
    }

    private static bool Overprints(Piece piece) =>
        piece.Marks.Any(m =>
            m is FillMark { Overprint: true, Finish: null } or GlyphMark
            {
                Overprint: true, Finish: null,
                Shade: null
            });

    /// <summary>What a piece covers, in whole points within the sheet.</summary>
    private static Bounds? Window(Scene scene, Piece piece)
    {
        var b = piece.Reach;
        if (b.IsEmpty) return null;
        var w = new Bounds(Math.Max(0, Math.Floor(b.Left)), Math.Max(0, Math.Floor(b.Top)),
            Math.Min(scene.Width, Math.Ceiling(b.Right)), Math.Min(scene.Height, Math.Ceiling(b.Bottom)));
        return w.IsEmpty ? null : w;
    }

    /// <summary>A name for all that lies in a window up to a piece.</summary>
    private static string Key(List<Fragment> below, Scene scene, int piece, Bounds window, string own, House house)
    {
        using var hash = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        hash.AppendData(Encoding.UTF8.GetBytes($"{house.Profile} {house.Intent} {window}"));
        for (var i = 0; i < piece; i++)
            if (Under.Touches(scene.Pieces[i], window)) hash.AppendData(Encoding.UTF8.GetBytes(below[i].Html));
        hash.AppendData(Encoding.UTF8.GetBytes(own));
        return Convert.ToHexStringLower(hash.GetHashAndReset())[..32];
    }
}
