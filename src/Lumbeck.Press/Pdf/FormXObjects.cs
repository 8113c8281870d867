using System.Text;

namespace Lumbeck.Press.Pdf;

/// <summary>
/// What marks repeat, once in a file (form XObjects: ISO 32000-1, 8.10), whatever pages it stands on.
/// </summary>
/// <param name="pdf">The file.</param>
internal sealed class FormXObjects(PdfWriter pdf)
{
    private readonly Dictionary<string, int> _forms = new(StringComparer.Ordinal);

    // The very same marks are not drawn again to see that they are.
    private readonly Dictionary<(ImmutableArray<Mark>, string?), int> _known = [];

    /// <summary>The form of some marks.</summary>
    /// <param name="mark">The marks.</param>
    /// <param name="content">Draws them.</param>
    /// <param name="plates">The colour spaces they name, as resources.</param>
    public int Of(RepeatedMark mark, Func<string> content, string plates)
    {
        var key = (mark.Symbol, mark.Finish?.Name);
        return _known.TryGetValue(key, out var known) ? known : _known[key] = Of(content(), mark.Reach, plates);
    }

    /// <summary>The form of some content, in points.</summary>
    /// <param name="content">Its content, which sets all of the state that it needs.</param>
    /// <param name="reach">What it may paint on.</param>
    /// <param name="plates">The colour spaces it names, as resources.</param>
    private int Of(string content, Bounds reach, string plates)
    {
        var key = $"{PdfSyntax.Figure(reach.Left)} {PdfSyntax.Figure(reach.Top)} {PdfSyntax.Figure(reach.Right)} " +
            $"{PdfSyntax.Figure(reach.Bottom)}\n{content}";
        if (_forms.TryGetValue(key, out var known)) return known;
        var resources = $"<< /ExtGState << {PageResources.Overprinting} >> {(plates.Length > 0 ? $"/ColorSpace << {plates} >> " : "")}>>";
        return _forms[key] = pdf.Stream($"/Type /XObject /Subtype /Form /BBox " +
            $"[{key[..key.IndexOf('\n', StringComparison.Ordinal)]}] /Resources {resources}",
            s => s.Write(Encoding.ASCII.GetBytes(content)));
    }
}
