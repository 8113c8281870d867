using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using Lumbeck.Press.Colour;

namespace Lumbeck.Web.Screens;

/// <summary>
/// The small pictures that a paper is chosen by: the front with the paper over the ground, and nothing else.
/// </summary>
public static class PatternPictures
{
    /// <summary>
    /// A name for all that such a picture depends on beside its kind and seed: ground, swatches, printer, size.
    /// </summary>
    public static string Key(Job job, ComposedSheet sheet, ShapeItem? shape = null)
    {
        var house = job.Ticket.House;
        var said = JsonSerializer.Serialize(job.Wraps[sheet.On.Wrap].Take.Ground, JobJson.Options)
            + JsonSerializer.Serialize(shape?.Fill, JobJson.Options)
            + JsonSerializer.Serialize(job.Swatches,
                JobJson.Options) + $"{house.Profile} {house.Intent} {sheet.Sheet.Size} {Face(sheet)}";
        return Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(said)))[..12];
    }

    /// <summary>A picture as JPEG, at true scale for the trim, in the job's own inks.</summary>
    /// <param name="job">The job.</param>
    /// <param name="sheet">The sheet.</param>
    /// <param name="shape">The shape that it would fill; null for the ground.</param>
    /// <param name="exact">The paper itself; null where its kind is asked for.</param>
    /// <param name="kind">The kind of paper, as it lies there or as it is at first.</param>
    /// <param name="seed">Another seed than its own.</param>
    /// <param name="wide">In pixels.</param>
    /// <param name="drawer">For faces, drawings and plates.</param>
    public static byte[] Of(Job job, ComposedSheet sheet, ShapeItem? shape, Pattern? exact, Pattern? kind, Seed? seed,
        int wide, Drawer drawer)
    {
        var (wrap, house) = (sheet.On.Wrap, job.Ticket.House);
        var take = job.Wraps[wrap].Take;
        // A fill without a paint of its own is seen over the ground.
        var under = shape is null ? take.Ground
            : shape.Fill is { Paint: not null } fill ? fill
            : take.Ground with { Pattern = shape.Fill?.Pattern };
        var laid = exact
            ?? (under.Pattern is { } there && there.Kind == kind!.Kind ? there : kind!.In(job.Swatches));
        if (seed is { } given) laid = laid with { Seed = given };
        job = job.With(wrap, take with { Ground = under with { Pattern = laid }, Items = [] });
        var scene = SceneBuilder.Build(job, sheet.On, drawer.Shelf, drawer.DrawingsOf(house));
        var face = Face(sheet);
        var window = Bounds.Of(face);
        return drawer.PlatesOf(house).Paint(scene, window, wide / (window.Right - window.Left) * 72, likeness: true)
            .ToJpeg(PrintingCondition.Of(house), 85);
    }

    private static Box Face(ComposedSheet sheet) => (sheet.Sheet.Panel(Part.Front) ?? sheet.Sheet.Panels[0]).Face;
}
