using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using Lumbeck.Press.Colour;

namespace Lumbeck.Web.Screens;

/// <summary>
/// Small pictures of ornaments and vistas, by which one is chosen: each as it would lie where the picked one lies.
/// </summary>
public static class ArtPictures
{
    /// <summary>
    /// What a picture is of: it changes when the swatches, the sheet, or the item's size and paints do.
    /// </summary>
    public static string Key(Job job, ComposedSheet sheet, SketchedItem item)
    {
        var said = JsonSerializer.Serialize(item, JobJson.Options) + JsonSerializer.Serialize(job.Swatches,
            JobJson.Options)
            + $"{job.Ticket.House.Profile} {job.Ticket.House.Intent} {sheet.Sheet.Size}";
        return Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(said)))[..12];
    }

    /// <summary>The item as another kind or with another seed, as JPEG; a vista shows the front alone.</summary>
    /// <exception cref="Refusal">There is no such kind.</exception>
    public static byte[] Of(Job job, ComposedSheet sheet, SketchedItem item, string? kind, Seed? seed, int wide, Drawer drawer)
    {
        if (kind is not null) item = (SketchedItem)item.Which.With(item, new(Words: kind), Unit.Millimetre);
        if (item is VistaItem whole) item = whole with { Vista = whole.Vista with { Layer = 0 } };
        if (seed is { } other) item = item.With(item.Sketch with { Seed = other });
        item = item with { Hidden = false, Turned = 0, Opacity = 100, Blend = Blend.Normal };
        var (wrap, house) = (sheet.On.Wrap, job.Ticket.House);
        job = job.With(wrap, job.Wraps[wrap].Take with { Items = [item] });
        var scene = SceneBuilder.Build(job, sheet.On, drawer.Shelf, drawer.DrawingsOf(house));
        if (scene.Item(item.Id) is not { Frame.IsEmpty: false } drawnItem)
            throw new Refusal("item", "nothing of it is drawn");
        var window = Window(drawnItem.Frame, item.IsScene ? sheet.Sheet.Panel(Part.Front)?.Face : null);
        return drawer.PlatesOf(house)
            .Paint(scene, window, wide / Math.Max(window.Right - window.Left, window.Bottom - window.Top) * 72,
                likeness: true)
            .ToJpeg(PrintingCondition.Of(house), 85);
    }

    private static Bounds Window(Bounds frame, Box? face)
    {
        if (face is { } f) return Bounds.Of(f);
        var room = 0.06 * Math.Max(frame.Right - frame.Left, frame.Bottom - frame.Top);
        return new(frame.Left - room, frame.Top - room, frame.Right + room, frame.Bottom + room);
    }
}
