using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using Lumbeck.Press.Colour;

namespace Lumbeck.Web.Screens;

/// <summary>
/// The small pictures that a paper is chosen by: the front with the paper over the ground, and nothing else.
/// </summary>
public static class PaperPictures
{
    /// <summary>
    /// A name for all that such a picture depends on beside its kind and seed: ground, swatches, printer, size.
    /// </summary>
    public static string Key(Job job, ComposedSheet sheet)
    {
        var house = job.Ticket.House;
        var said = JsonSerializer.Serialize(job.Wraps[sheet.On.Wrap].Take.Ground, JobJson.Options)
            + JsonSerializer.Serialize(job.Swatches,
                JobJson.Options) + $"{house.Profile} {house.Intent} {sheet.Sheet.Size} {Face(sheet)}";
        return Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(said)))[..12];
    }

    /// <summary>A picture as JPEG, at true scale for the trim, in the job's own inks.</summary>
    /// <param name="job">The job.</param>
    /// <param name="sheet">The sheet.</param>
    /// <param name="kind">The kind of paper.</param>
    /// <param name="seed">Another seed than its own.</param>
    /// <param name="wide">In pixels.</param>
    /// <param name="drawer">For faces, drawings and plates.</param>
    public static byte[] Of(Job job, ComposedSheet sheet, Pattern kind, Seed? seed, int wide, Drawer drawer)
    {
        var (wrap, house) = (sheet.On.Wrap, job.Ticket.House);
        var take = job.Wraps[wrap].Take;
        var laid = take.Ground.Pattern is { } there && there.Kind == kind.Kind ? there : kind.In(job.Swatches);
        if (seed is { } given) laid = laid with { Seed = given };
        job = job.With(wrap, take with { Ground = take.Ground with { Pattern = laid }, Items = [] });
        var scene = SceneBuilder.Build(job, sheet.On, drawer.Shelf, drawer.DrawingsOf(house));
        var face = Face(sheet);
        var window = new Bounds(face.X.Points, face.Y.Points, face.Right.Points, face.Bottom.Points);
        return drawer.PlatesOf(house).Paint(scene, window, wide / (window.Right - window.Left) * 72, likeness: true)
            .ToJpeg(PressCondition.Of(house), 85);
    }

    private static Box Face(ComposedSheet sheet) => (sheet.Sheet.Panel(Part.Front) ?? sheet.Sheet.Panels[0]).Face;
}
