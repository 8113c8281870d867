using Lumbeck.Pdf.Writing;

namespace Lumbeck.Press.Pdf;

/// <summary>
/// What marks repeat, once in a file (form XObjects: ISO 32000-1, 8.10), whatever pages it stands on.
/// </summary>
/// <param name="pdf">The file.</param>
internal sealed class FormXObjects(PdfWriter pdf)
{
    private readonly Dictionary<(Bounds, string), PdfRef> _forms = [];

    // The very same marks are not drawn again to see that they are.
    private readonly Dictionary<(ImmutableArray<Mark>, string?), PdfRef> _known = [];

    /// <summary>The form of some marks.</summary>
    /// <param name="mark">The marks.</param>
    /// <param name="content">Draws them.</param>
    /// <param name="plates">The colour spaces they name, as resources.</param>
    public PdfRef Of(RepeatedMark mark, Func<ContentWriter> content, PdfDict? plates)
    {
        var key = (mark.Symbol, mark.Finish?.Name);
        return _known.TryGetValue(key, out var known) ? known : _known[key] = Of(content(), mark.Reach, plates);
    }

    /// <summary>The form of some content, in points.</summary>
    /// <param name="content">Its content, which sets all of the state that it needs.</param>
    /// <param name="reach">What it may paint on.</param>
    /// <param name="plates">The colour spaces it names, as resources.</param>
    private PdfRef Of(ContentWriter content, Bounds reach, PdfDict? plates)
    {
        static double places(double v) => Math.Round(v, 4);
        var key = (new Bounds(places(reach.Left), places(reach.Top), places(reach.Right), places(reach.Bottom)),
            content.Key());
        if (_forms.TryGetValue(key, out var known)) return known;
        var resources = new PdfDict { ["ExtGState"] = PageResources.Overprinting(), ["ColorSpace"] = plates };
        return _forms[key] = pdf.Stream(PressObjects.Form(reach.AsRectangle(), resources), content.Written);
    }
}
