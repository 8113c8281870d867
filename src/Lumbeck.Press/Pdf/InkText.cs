namespace Lumbeck.Press.Pdf;

/// <summary>
/// How a file writes its inks: in exactly their own numbers, or as a screen shows them (ISO 32000-1, 8.6.4).
/// </summary>
/// <param name="screen">The press's colours on screen; null for the inks themselves.</param>
internal sealed class InkText(Colour.IScreenColour? screen)
{
    public bool OnScreen => screen is not null;

    public string Space => screen is null ? "/DeviceCMYK" : "/DeviceRGB";

    public string Filled(Ink ink) => Numbers(ink) + (screen is null ? " k" : " rg");

    public string Lined(Ink ink) => Numbers(ink) + (screen is null ? " K" : " RG");

    /// <summary>Makes many inks known at once, before each is written.</summary>
    public void Know(IReadOnlyList<Ink> inks) => screen?.Hex(inks);

    public string Numbers(Ink ink)
    {
        if (screen is null) return PdfText.Inks(ink);
        var rgb = Convert.FromHexString(screen.Hex(ink)[1..]);
        return string.Join(' ', rgb.Select(v => PdfText.Figure(v / 255.0)));
    }
}
