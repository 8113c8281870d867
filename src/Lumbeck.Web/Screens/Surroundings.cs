using Lumbeck.Core.Measures;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Growing;
using Lumbeck.Store;

namespace Lumbeck.Web.Screens;

/// <summary>
/// What a view shows of things that lie beside its job: faces, pictures, houses, colours as its house prints them.
/// Plain
/// values, each worked out where a view first asks for it.
/// </summary>
public sealed class Surroundings(Desk.AppServices desk, OnBench on)
{
    private readonly Lazy<PressColour> _colour = new(() => desk.Drawer.ColourOf(on.Job.Ticket.House));

    /// <summary>Colours on screen as the job's house prints them.</summary>
    public PressColour Colour => _colour.Value;

    /// <summary>
    /// Ready insides, those first that the ticket's words speak of, with what each makes of its page count where that
    /// would change.
    /// </summary>
    public IEnumerable<(string Name, string Says, string Changes)> Ready => ReadyInsides.For(on.Job.Ticket).Select(r =>
    {
        // What can't be laid on this book says so when it is asked for.
        var laid = ReadyInsides.Begin(r.Name, desk.PlanningYear, on.Job);
        var pages = desk.Jobs.PagesAfter(on.Job, laid) ?? on.Job.Ticket.Pages;
        return (r.Name, r.Says, pages == on.Job.Ticket.Pages ? "" : $"{on.Job.Ticket.Pages} → {pages} pages");
    });

    /// <summary>Faces as they can be set.</summary>
    public IType Type => desk.Drawer.Shelf;

    /// <summary>How many times puzzles were made: pages drawn before the last of them are drawn anew.</summary>
    public int PuzzlesFinished => desk.Drawer.Puzzles.Finished;

    /// <summary>All houses by name.</summary>
    public IReadOnlyList<string> Houses => [.. desk.Houses.All().Select(k => k.House.Name)];

    /// <summary>What has changed in the job's house since it took its rules; null where nothing has.</summary>
    public HouseNews? News => desk.Houses.News(on.Job);

    /// <summary>What the job's profile is, in words.</summary>
    public string Profile =>
        desk.Drawer.Profiles.Names().FirstOrDefault(p => p.Name == on.Job.Ticket.House.Profile).Says
            ?? on.Job.Ticket.House.Profile;

    /// <summary>The job's swatches as its house prints them.</summary>
    public IReadOnlyList<SwatchLook> Swatches => desk.Drawer.Looks(on.Job);

    /// <summary>Faces to pick from, as (what is typed, what people read).</summary>
    public IReadOnlyList<(string Text, string Label)> Faces =>
        [.. desk.Drawer.Shelf.Faces.Select(f => (f.ToString(), desk.Drawer.Shelf.NameOf(f)))];

    /// <summary>Pictures of the Drawer, the newest first, by hash and name.</summary>
    public IReadOnlyList<(string Hash, string Name)> Kept =>
        [.. desk.Drawer.Pictures.All().Take(60).Select(p => (p.Hash, p.Name))];

    /// <summary>Tables of the Drawer, by hash, in words.</summary>
    public IReadOnlyList<(string Hash, string Says)> Tables =>
        [.. desk.Drawer.Tables.All().Take(30).Select(t => (t.Hash, $"{t.Name}, {t.Rows} rows"))];

    /// <summary>The address of a small picture of what is kept.</summary>
    public string Preview(string hash) =>
        PictureLinks.Address(hash, 320, PrintingCondition.Of(on.Job.Ticket.House), false);

    public string NameOf(FaceId face) => desk.Drawer.Shelf.NameOf(face);

    public FaceFacts Facts(FaceId face) => desk.Drawer.Shelf.Facts(face);

    /// <summary>What goes with a swatch.</summary>
    public IReadOnlyList<(string Name, Ink Ink, string Hex)> Harmonies(Swatch swatch) =>
        desk.Drawer.Harmonies(on.Job, swatch);

    /// <summary>What is in a file that was made of the job.</summary>
    public Intake.Opening.Reading Read(PressingRow row) => desk.Pressing.ReadBack(on.Slug, row);

    /// <summary>Whether nothing is said of where a picture is from.</summary>
    public bool IsUnstated(Picture picture) => desk.Drawer.Pictures.Find(picture.Hash) is { Source: "", Licence: "" };

    /// <summary>Whether what an edge was grown with is not much like its picture.</summary>
    public bool IsUnlike(GrownMark grown) => desk.Drawer.Pictures.Grown.Difference(grown) is > Grower.Shows;

    /// <summary>
    /// The share of an RGB picture that loses colour in print, from 0 to 1; 0 where it can't be told.
    /// </summary>
    public double Lost(Picture picture, PrintingCondition condition) =>
        picture is { Space: PictureSpace.Rgb, IsDrawing: false } && desk.Drawer.Pictures.Has(picture.Hash)
            ? desk.Drawer.Pictures.Gamut(picture.Hash, condition).Share
            : 0;
}
