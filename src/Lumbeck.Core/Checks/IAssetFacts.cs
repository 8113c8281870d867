namespace Lumbeck.Core.Checks;

/// <summary>What a face's licence bits allow (OpenType, OS/2 fsType).</summary>
/// <param name="Name">As people read it.</param>
/// <param name="Never">It may be in no file.</param>
/// <param name="WholeOnly">It may not be made a subset of.</param>
public sealed record FaceRights(string Name, bool Never, bool WholeOnly);

/// <summary>
/// The port through which rules learn what is kept beside a job: whose its pictures are, and what its faces allow.
/// </summary>
public interface IAssetFacts
{
    /// <summary>
    /// Where a picture is from and what it may be used for, as its maker stated; empty where nothing was. Null where it
    /// is not here.
    /// </summary>
    (string Source, string Licence)? Stated(Picture picture);

    /// <summary>Why a picture can't be printed, in words: its file is missing or damaged. Null where it can.</summary>
    string? Fault(Picture picture);

    /// <summary>
    /// The share of an RGB picture, from 0 to 1, that moves by more than 6 ΔE2000 in the house's inks; null where it is
    /// not known.
    /// </summary>
    double? OutOfGamut(Picture picture, House house);

    /// <summary>
    /// How much more a picture’s opposite edges differ, where they meet as tiles, than neighbours within it do, in mean
    /// ΔE2000: its left and right, its head and foot. Null where it is not known.
    /// </summary>
    /// <param name="picture">The picture.</param>
    /// <param name="brick">Whether each second row lies half a tile aside.</param>
    (double Across, double Down)? Seams(Picture picture, bool brick);

    /// <summary>
    /// What <see cref="OfDrawn.PatternBeats.Gaps"/> says of a pattern: it takes long, and is asked again at every edit.
    /// </summary>
    IReadOnlyList<double> Gaps(Pattern pattern);

    FaceRights Rights(FaceId face);

    /// <summary>Families that a drawing's words ask for and do not get, each with the face they are set in.</summary>
    IReadOnlyList<(string Asked, string Face)> FacesOf(Picture picture);
}
