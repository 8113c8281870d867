using Lumbeck.Core.Houses;
using Lumbeck.Core.Jobs;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Pictures;
using Lumbeck.Press.Plates;

namespace Lumbeck.Press.Pdf;

/// <summary>A file's pictures, each written once at the resolution it is needed in.</summary>
internal sealed class PressImages(PdfWriter pdf, House house, IPictureFiles? files)
{
    /// <summary>Flattened parts are painted and written so many pixels at a time.</summary>
    private const int Band = 12_000_000;

    private readonly Dictionary<(string What, int Wide, bool Convert), int> _written = [];
    private readonly Dictionary<(Scene Upto, Bounds Window, double PerInch), (int, Affine)> _flat = [];

    /// <summary>Pixels an inch at most; the house's where null.</summary>
    public int? PerInch { get; init; }

    /// <summary>Written as a screen shows them.</summary>
    public bool Rgb { get; init; }

    /// <summary>Paints what is flattened.</summary>
    public PlatePainter? Painter { get; init; }

    /// <summary>Is told of each picture before it is made; may end the work by throwing.</summary>
    public Action? Before { get; init; }

    /// <summary>At no more than the house's highest useful resolution, and never more than there is.</summary>
    public int? Of(Picture picture, double points, bool convert) => files is null ? null
        : Of(picture.Hash, Math.Clamp((int)Math.Ceiling(points / 72 * (PerInch ?? house.PictureMost)), 1, picture.Wide), convert, () => files.PathOf(picture.Hash));

    public int? Of(GrownMark mark) => files is null ? null : Of(mark.How.Recipe, mark.Wide, mark.Convert, () => files.GrownOf(mark, mark.Wide));

    private int Of(string what, int wide, bool convert, Func<string> file) => _written.TryGetValue((what, wide, convert), out var known) ? known
        : _written[(what, wide, convert)] = Make(file, wide, convert);

    private int Make(Func<string> file, int wide, bool convert)
    {
        Before?.Invoke();
        return Rgb ? Write(PictureMaking.ForProof(file(), wide, PressCondition.Of(house), convert)) : Write(PictureMaking.ForPress(file(), wide, PressCondition.Of(house), convert));
    }

    /// <summary>An image with its samples as JPEG (7.4.8) and what shows through it as a soft mask (11.6.5.3).</summary>
    private int Write(PressPicture p)
    {
        var mask = p.Alpha is { } alpha ? pdf.Stream($"/Type /XObject /Subtype /Image /Width {p.Wide} /Height {p.High} /ColorSpace /DeviceGray /BitsPerComponent 8", s => s.Write(alpha)) : (int?)null;
        // JPEG files of four inks hold them the other way round, as their readers expect.
        var colour = Rgb ? "/ColorSpace /DeviceRGB" : p.Gray ? "/ColorSpace /DeviceGray" : "/ColorSpace /DeviceCMYK /Decode [1 0 1 0 1 0 1 0]";
        return pdf.Stream($"/Type /XObject /Subtype /Image /Width {p.Wide} /Height {p.High} {colour} /BitsPerComponent 8 /Filter /DCTDecode{(mask is { } m ? $" /SMask {m} 0 R" : "")}", p.Save, compress: false);
    }

    /// <summary>A flattened part: its plates' own numbers, not pressed through JPEG, a band at a time; and where its unit square lies.</summary>
    public (int Number, Affine Place) Of(FlatMark mark)
    {
        if (_flat.TryGetValue((mark.Upto, mark.Window, mark.PerInch), out var known)) return known;
        var painter = Painter ?? throw new InvalidOperationException("Nothing paints what is flattened.");
        var (k, w) = (mark.PerInch / 72, mark.Window);
        var (wide, high) = ((int)Math.Ceiling(((w.Right - w.Left) * k) - 1e-6), (int)Math.Ceiling(((w.Bottom - w.Top) * k) - 1e-6));
        var rows = Math.Clamp(Band / wide, 1, high);
        IEnumerable<Plates.Plates> bands()
        {
            for (var row = 0; row < high; row += rows)
            {
                Before?.Invoke();
                var last = Math.Min(high, row + rows);
                yield return painter.Paint(mark.Upto, new(w.Left, w.Top + (row / k), w.Left + (wide / k), w.Top + (last / k)), mark.PerInch, likeness: Rgb);
            }
        }
        var head = $"/Type /XObject /Subtype /Image /Width {wide} /Height {high} /BitsPerComponent 8 ";
        int number;
        if (Rgb)
        {
            var table = ScreenTable.Of(house.Profile);
            using var all = NetVips.Image.NewFromMemory(bands().SelectMany(b => table.ToRgb(b.Inks)).ToArray(), wide, high, 3, NetVips.Enums.BandFormat.Uchar);
            using var screen = all.Copy(interpretation: NetVips.Enums.Interpretation.Srgb);
            var jpeg = screen.JpegsaveBuffer(q: 88, keep: NetVips.Enums.ForeignKeep.None, subsampleMode: NetVips.Enums.ForeignSubsample.Off);
            number = pdf.Stream(head + "/ColorSpace /DeviceRGB /Filter /DCTDecode", s => s.Write(jpeg), compress: false);
        }
        else number = pdf.Stream(head + "/ColorSpace /DeviceCMYK", s => { foreach (var band in bands()) s.Write(band.Inks); }, level: System.IO.Compression.CompressionLevel.Fastest);
        return _flat[(mark.Upto, mark.Window, mark.PerInch)] = (number, new(wide / k, 0, 0, high / k, w.Left, w.Top));
    }
}
