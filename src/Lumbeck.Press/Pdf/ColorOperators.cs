using Lumbeck.Pdf.Content;
using Lumbeck.Pdf.Writing;

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

    public string Space => screen is not null ? "DeviceRGB" : Gray ? "DeviceGray" : "DeviceCMYK";

    public ContentWriter Fill(ContentWriter to, Ink ink) =>
        to.Op(screen is not null ? Operator.FillRgb : Gray ? Operator.FillGray : Operator.FillCmyk, Numbers(ink));

    public ContentWriter Stroke(ContentWriter to, Ink ink) =>
        to.Op(screen is not null ? Operator.StrokeRgb : Gray ? Operator.StrokeGray : Operator.StrokeCmyk, Numbers(ink));

    /// <summary>Makes many inks known at once, before each is written.</summary>
    public void Know(IReadOnlyList<Ink> inks) => screen?.Hex(inks);

    public double[] Numbers(Ink ink)
    {
        if (Gray) return [(10_000 - ink.K) / 10_000.0];
        if (screen is null) return PressObjects.Shares(ink);
        return [.. Convert.FromHexString(screen.Hex(ink)[1..]).Select(v => v / 255.0)];
    }
}
