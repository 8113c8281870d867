namespace Lumbeck.Press.Pdf;

/// <summary>
/// How a file writes its inks: in exactly their own numbers, or as a screen shows them (ISO 32000-1, 8.6.4).
/// </summary>
/// <param name="screen">The press's colours on screen; null for the inks themselves.</param>
/// <param name="gray">Whether black is the only ink, so that all is gray (8.6.4.2): one of both ways
/// throughout.</param>
internal sealed class ColorOperators(Colour.IScreenColour? screen, bool gray = false)
{
    /// <summary>Whether black is the only ink.</summary>
    public bool Gray => gray && screen is null;

    public bool OnScreen => screen is not null;

    public string Space => screen is not null ? "/DeviceRGB" : Gray ? "/DeviceGray" : "/DeviceCMYK";

    public string Filled(Ink ink) => Numbers(ink) + (screen is not null ? " rg" : Gray ? " g" : " k");

    public string Lined(Ink ink) => Numbers(ink) + (screen is not null ? " RG" : Gray ? " G" : " K");

    /// <summary>Makes many inks known at once, before each is written.</summary>
    public void Know(IReadOnlyList<Ink> inks) => screen?.Hex(inks);

    public string Numbers(Ink ink)
    {
        if (Gray) return PdfSyntax.Figure((10_000 - ink.K) / 10_000.0);
        if (screen is null) return PdfSyntax.Inks(ink);
        var rgb = Convert.FromHexString(screen.Hex(ink)[1..]);
        return string.Join(' ', rgb.Select(v => PdfSyntax.Figure(v / 255.0)));
    }
}
