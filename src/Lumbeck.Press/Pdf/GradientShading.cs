using Lumbeck.Pdf.Writing;

namespace Lumbeck.Press.Pdf;

/// <summary>Gradients as axial and radial shadings (ISO 32000-2, 8.7.4.5.3 and 8.7.4.5.4).</summary>
internal static class GradientShading
{
    /// <summary>Steps between two stops of a gradient in a screen's colours.</summary>
    private const int Steps = 32;

    /// <summary>Writes a gradient, in its own points.</summary>
    public static PdfRef Write(PdfWriter pdf, Gradient shade, ColorOperators ink)
    {
        // Before the first stop and after the last nothing changes.
        List<(double At, Ink Ink)> stops = [.. shade.Stops];
        if (stops[0].At > 0) stops.Insert(0, (0, stops[0].Ink));
        if (stops[^1].At < 1) stops.Add((1, stops[^1].Ink));
        // A viewer mixes a screen's colours where the press mixes ink: so many steps between two stops leave it nothing
        // to mix.
        if (ink.OnScreen) stops = [.. Stepped(shade, stops)];
        ink.Know([.. stops.Select(s => s.Ink)]);
        var parts = stops.Zip(stops.Skip(1)).Where(p => p.Second.At > p.First.At).ToList();
        var function = pdf.Object(new PdfDict
        {
            ["FunctionType"] = 3,
            ["Domain"] = PdfArray.Of(0, 1),
            ["Functions"] = PdfArray.From(parts.Select(p =>
                PressObjects.Ramp(ink.Numbers(p.First.Ink), ink.Numbers(p.Second.Ink)))),
            ["Bounds"] = PdfArray.From(parts.Skip(1).Select(p => (PdfObject)p.First.At)),
            ["Encode"] = PdfArray.From(parts.SelectMany(_ => (PdfObject[])[0, 1])),
        });
        var (fx, fy) = shade.Focus is { } f ? (f.X, f.Y) : (shade.X0, shade.Y0);
        return pdf.Object(new PdfDict
        {
            ["ShadingType"] = shade.IsRadial ? 3 : 2,
            ["ColorSpace"] = ink.Space,
            ["Coords"] = shade.IsRadial
                ? PdfArray.Of(fx, fy, 0, shade.X0, shade.Y0, double.Hypot(shade.X1 - shade.X0, shade.Y1 - shade.Y0))
                : PdfArray.Of(shade.X0, shade.Y0, shade.X1, shade.Y1),
            ["Function"] = function,
            ["Extend"] = PdfArray.Of(true, true),
        });
    }

    private static IEnumerable<(double At, Ink Ink)> Stepped(Gradient shade, List<(double At, Ink Ink)> stops)
    {
        yield return stops[0];
        foreach (var ((from, _), (to, last)) in stops.Zip(stops.Skip(1)))
        {
            for (var i = 1; i < Steps && to > from; i++)
            {
                var at = from + ((to - from) * i / Steps);
                var (c, m, y, k) = shade.At(at);
                yield return (at, new((int)Math.Round(c), (int)Math.Round(m), (int)Math.Round(y), (int)Math.Round(k)));
            }
            yield return (to, last);
        }
    }
}
