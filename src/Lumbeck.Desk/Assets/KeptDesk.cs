using System.Runtime.CompilerServices;
using Lumbeck.Caching;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Pictures;

namespace Lumbeck.Desk.Assets;

/// <summary>What the drawer and the faces tell the rules.</summary>
internal sealed class KeptDesk(PictureDesk pictures, FaceShelf shelf) : IAssetFacts
{
    private readonly ByteCache<(string, PrintingCondition), double> _gamut = new(1_000_000, _ => 200);

    public (string Source, string Licence)? Stated(Picture picture) =>
        pictures.Find(picture.Hash) is { } row ? (row.Source, row.Licence) : null;

    public string? Fault(Picture picture) => pictures.Fault(picture.Hash);

    public double? OutOfGamut(Picture picture, House house)
    {
        var condition = PrintingCondition.Of(house);
        // What could not be found out is asked again.
        try { return _gamut.GetOrAdd((picture.Hash, condition), _ => pictures.Gamut(picture.Hash, condition).Share); }
        catch (Exception e) when (e is Refusal or IOException or NetVips.VipsException) { return null; }
    }

    private readonly ByteCache<(string, bool), (double, double)> _seams = new(1_000_000, _ => 200);

    public (double Across, double Down)? Seams(Picture picture, bool brick)
    {
        try
        {
            return _seams.GetOrAdd((picture.Hash, brick), _ => PictureLooks.Seams(pictures.PathOf(picture.Hash), brick));
        }
        catch (Exception e) when (e is Refusal or IOException or NetVips.VipsException) { return null; }
    }

    private readonly ByteCache<string, IReadOnlyList<(string, string)>> _faces = new(1_000_000, _ => 400);

    public IReadOnlyList<(string Asked, string Face)> FacesOf(Picture picture)
    {
        try { return _faces.GetOrAdd(picture.Hash, pictures.FacesOf); }
        catch (Exception e) when (e is Refusal or IOException) { return []; }
    }

    private readonly ConditionalWeakTable<Pattern, double[]> _gaps = [];

    public IReadOnlyList<double> Gaps(Pattern pattern) => _gaps.GetValue(pattern, Core.Checks.OfDrawn.PatternBeats.Gaps);

    public FaceRights Rights(FaceId face)
    {
        var facts = shelf.Facts(face);
        return new(shelf.NameOf(face), facts.Embedding == Embedding.Never, facts.WholeOnly);
    }
}
