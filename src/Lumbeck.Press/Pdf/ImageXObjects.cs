using Lumbeck.Pdf.Writing;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Pictures;

namespace Lumbeck.Press.Pdf;

/// <summary>A file's pictures, each written once at the resolution it is needed in.</summary>
internal sealed class ImageXObjects(PdfWriter pdf, House house, IPictureFiles? files)
{
    private readonly Dictionary<(string What, int Wide, bool Convert, double Strength), PdfRef> _written = [];
    private readonly Dictionary<(PdfRef Picture, string Plate, int Tint), PdfRef> _onPlates = [];
    private readonly Dictionary<PdfRef, PdfRef> _masks = [];
    private readonly Dictionary<string, PdfRef?> _pages = [];
    private readonly HashSet<PdfRef> _letting = [];

    /// <summary>Pixels an inch at most; the house's where null.</summary>
    public int? PerInch { get; init; }

    /// <summary>Written as a screen shows them.</summary>
    public bool Rgb { get; init; }

    /// <summary>What makes them black alone; null where they keep their inks.</summary>
    public Colour.BlackAlone? Black { get; init; }

    /// <summary>Is told of each picture before it is made; may end the work by throwing.</summary>
    public Action? Before { get; init; }

    /// <summary>
    /// The form of a page that a picture shows, and whether something on it lets through; null where it is pixels.
    /// </summary>
    public Func<Picture, (PdfRef Form, bool Lets)?>? Pages { get; init; }

    /// <summary>Whether something lets through within a page that was asked for.</summary>
    public bool Lets(PdfRef image) => _letting.Contains(image);

    /// <summary>
    /// At no more than the house's highest useful resolution, and never more than there is. A page that is printed
    /// fainter than it is comes as its pixels.
    /// </summary>
    public PdfRef? Of(Picture picture, double points, bool convert, double strength = 1) => files is null ? null
        : strength == 1 && Page(picture) is { } page ? page
        : Of(picture.Hash, Math.Clamp((int)Math.Ceiling(points / 72 * (PerInch ?? house.PictureMost)), 1, picture.Wide),
            convert, strength, () => files.PathOf(picture.Hash));

    private PdfRef? Page(Picture picture)
    {
        if (Pages is null) return null;
        if (_pages.TryGetValue(picture.Hash, out var known)) return known;
        var page = Pages(picture);
        if (page is (var form, true)) _letting.Add(form);
        return _pages[picture.Hash] = page?.Form;
    }

    public PdfRef? Of(GrownMark mark) =>
        files is null ? null : Of(mark.How.Recipe, mark.Wide, mark.Convert, 1, () => files.GrownOf(mark, mark.Wide));

    /// <summary>
    /// A picture's coverage in one tint of a finishing ink's plate: a single sample, seen through the picture's own
    /// soft mask.
    /// </summary>
    /// <param name="picture">One that is in the file.</param>
    /// <param name="plate">The plate's name.</param>
    /// <param name="tint">Of 10,000.</param>
    public PdfRef OnPlate(PdfRef picture, string plate, int tint)
    {
        if (_onPlates.TryGetValue((picture, plate, tint), out var known)) return known;
        var image = PressObjects.Image(1, 1).Set("ColorSpace", PageResources.Plate(plate))
            .Set("SMask", _masks.GetValueOrDefault(picture));
        return _onPlates[(picture, plate, tint)] = pdf.Stream(image, (byte[])[(byte)(tint * 255 / 10_000)]);
    }

    private PdfRef Of(string what, int wide, bool convert, double strength, Func<string> file) =>
        _written.TryGetValue((what, wide, convert, strength), out var known) ? known
        : _written[(what, wide, convert, strength)] = Make(file, wide, convert, strength);

    private PdfRef Make(Func<string> file, int wide, bool convert, double strength)
    {
        Before?.Invoke();
        if (Black is { } black && !Rgb) return Write(PictureMaking.ForBlack(file(), wide, black), strength);
        return Rgb
            ? Write(PictureMaking.ForProof(file(), wide, PrintingCondition.Of(house), convert), strength)
            : Write(PictureMaking.ForPress(file(), wide, PrintingCondition.Of(house), convert), strength);
    }

    /// <summary>
    /// An image with its samples as JPEG (7.4.8) and what shows through it as a soft mask (11.6.5.3); a share of its
    /// inks is said by its Decode array (8.9.5.2).
    /// </summary>
    private PdfRef Write(PressPicture p, double strength)
    {
        var mask = p.Alpha is { } alpha
            ? pdf.Stream(PressObjects.Image(p.Wide, p.High).Set("ColorSpace", "DeviceGray"), alpha) : null;
        // JPEG files of four inks hold them the other way round, as their readers expect.
        var (space, bands, fullest, none) = Rgb ? ("DeviceRGB", 3, 0.0, 1.0) : p.Gray ? ("DeviceGray", 1, 0, 1)
            : ("DeviceCMYK", 4, 1, 0);
        double[] decode = [none + ((fullest - none) * strength), none];
        var image = pdf.Stream(PressObjects.Image(p.Wide, p.High).Set("ColorSpace", space)
            .Set("Decode", strength < 1 || bands == 4
                ? PdfArray.From(Enumerable.Range(0, 2 * bands).Select(n => (PdfObject)decode[n % 2])) : null)
            .Set("Filter", "DCTDecode").Set("SMask", mask), p.Save, compress: false);
        if (mask is not null) _masks[image] = mask;
        return image;
    }
}
