using Lumbeck.Caching;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Plates;
using Lumbeck.Store;

namespace Lumbeck.Desk.Assets;

/// <summary>
/// What jobs are made of beside their own words: pictures, faces, profiles, and how a house prints each.
/// </summary>
public sealed class Drawer
{
    /// <summary>Printers whose colours, drawings and plates are kept at hand.</summary>
    private const int Most = 16;

    private readonly ByteCache<PrintingCondition, PressColour> _colours = new(Most, _ => 1);
    private readonly ByteCache<PrintingCondition, DrawingDesk> _drawings = new(Most, _ => 1);
    private readonly ByteCache<PrintingCondition, BlackAlone> _blacks = new(Most, _ => 1);
    private readonly ByteCache<PrintingCondition, PlatePainter> _plates = new(Most, _ => 1);

    internal Drawer(JobStore store)
    {
        Folder = store.Folder;
        Pictures = new(store, Shelf);
        Profiles = new(store);
        Faces = new(store, Shelf);
        Tables = new(store);
        Puzzles = new(store.Folder);
        Kept = new KeptDesk(Pictures, Shelf);
    }

    /// <summary>The data folder.</summary>
    internal string Folder { get; }

    /// <summary>Faces that can be set: those that ship, and makers' own.</summary>
    public FaceShelf Shelf { get; } = new();

    /// <summary>Makers' own faces.</summary>
    public FaceDesk Faces { get; }

    /// <summary>Printers' own profiles.</summary>
    public ProfileDesk Profiles { get; }

    /// <summary>Pictures, kept untouched.</summary>
    public PictureDesk Pictures { get; }

    /// <summary>Tables, whose rows make pages.</summary>
    public TableDesk Tables { get; }

    /// <summary>Puzzles, made beside the page.</summary>
    public PuzzleDesk Puzzles { get; }

    /// <summary>What rules learn of pictures and faces.</summary>
    internal IAssetFacts Kept { get; }

    /// <summary>Screen colour through a house's own press profile.</summary>
    /// <exception cref="Refusal">The house names a profile that is not here.</exception>
    public PressColour ColourOf(House house) => ColourOf(Condition(house));

    /// <summary>Drawn pictures in a house's press colours.</summary>
    public IDrawings DrawingsOf(House house) => DrawingsOf(Condition(house));

    /// <summary>What makes colours black where a house prints pages in black alone.</summary>
    public BlackAlone BlackOf(House house) => _blacks.GetOrAdd(Condition(house), c => new(ColourOf(c)));

    /// <summary>What a job’s pages are drawn with.</summary>
    public PageArt PageArtOf(Job job)
    {
        var house = job.Ticket.House.ForPages();
        return new(job.Swatches, Shelf, DrawingsOf(house))
        {
            Black = job.Ticket.InsideColour == InsideColour.Black ? BlackOf(house).Of : null,
        };
    }

    /// <summary>Composes sheets as a house's press lays them down.</summary>
    public PlatePainter PlatesOf(House house) => _plates.GetOrAdd(Condition(house), c => new(Shelf, Pictures, c));

    /// <summary>A drawn picture by itself, as SVG in press colours.</summary>
    /// <exception cref="FileNotFoundException">There is no such drawing.</exception>
    public string Drawing(string hash, PrintingCondition condition)
    {
        var row = Pictures.Find(hash) ?? throw new FileNotFoundException("No such picture.");
        var picture = new Picture(hash, row.Name, (int)row.Wide, (int)row.High, false) { IsDrawing = true };
        var marks = DrawingsOf(condition).Of(picture) ?? throw new FileNotFoundException("No such drawing.");
        return new Press.Svg.SvgPainter(Shelf, ColourOf(condition)).Alone(marks, row.Wide, row.High);
    }

    private PressColour ColourOf(PrintingCondition condition) => _colours.GetOrAdd(condition, c => new(c));

    private DrawingDesk DrawingsOf(PrintingCondition condition) =>
        _drawings.GetOrAdd(condition, c => new(Pictures, ColourOf(c), Shelf));

    /// <summary>A house's condition; a profile that another program brought meanwhile is known from here on.</summary>
    private PrintingCondition Condition(House house)
    {
        Profiles.Learn(house.Profile);
        return PrintingCondition.Of(house);
    }
}
