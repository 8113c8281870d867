namespace Lumbeck.Press.Pictures;

/// <summary>Where pictures' files are.</summary>
public interface IPictureFiles
{
    /// <summary>The path of a kept picture.</summary>
    string PathOf(string hash);

    /// <summary>
    /// The path of a picture grown beyond its edges, so many pixels wide as a whole; made where it is not there yet.
    /// </summary>
    string GrownOf(GrownMark mark, int wide);

    /// <summary>The path of the press-ready page that a picture shows; null where it is pixels alone.</summary>
    string? PageOf(string hash) => null;
}
