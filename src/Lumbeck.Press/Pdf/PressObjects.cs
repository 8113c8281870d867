namespace Lumbeck.Press.Pdf;

/// <summary>What a scene measures, as a PDF has it.</summary>
internal static class PressObjects
{
    public static PdfMatrix AsMatrix(this Affine m) => new(m.A, m.B, m.C, m.D, m.E, m.F);

    /// <summary>A rectangle of two corners (ISO 32000-2, 7.9.5).</summary>
    public static PdfArray AsRectangle(this Bounds b) => PdfArray.Of(b.Left, b.Top, b.Right, b.Bottom);

    /// <summary>A box of a sheet whose y runs down, measured from its page's lower left.</summary>
    public static PdfArray Rectangle(Box box, Length pageHeight) => PdfArray.Of(box.X.Points,
        (pageHeight - box.Bottom).Points, box.Right.Points, (pageHeight - box.Y).Points);

    /// <summary>Shares of the four inks, exactly as given: hundredths of a percent have four places.</summary>
    public static double[] Shares(Ink i) => [i.C / 10_000.0, i.M / 10_000.0, i.Y / 10_000.0, i.K / 10_000.0];

    /// <summary>An image's own entries (8.9.5), but for its colour space.</summary>
    public static PdfDict Image(int wide, int high, int bits = 8) => new()
    {
        ["Type"] = "XObject",
        ["Subtype"] = "Image",
        ["Width"] = wide,
        ["Height"] = high,
        ["BitsPerComponent"] = bits,
    };

    /// <summary>A form's own entries (8.10.2).</summary>
    public static PdfDict Form(PdfArray box, PdfObject resources) => new()
    {
        ["Type"] = "XObject",
        ["Subtype"] = "Form",
        ["BBox"] = box,
        ["Resources"] = resources,
    };

    /// <summary>A page that is mixed in its inks (11.6.6).</summary>
    public static PdfDict InkGroup() => new() { ["S"] = "Transparency", ["CS"] = "DeviceCMYK" };

    /// <summary>Resources of one kind and one name.</summary>
    public static PdfDict Resource(string kind, string name, PdfObject what) =>
        new() { [kind] = new PdfDict { [name] = what } };

    /// <summary>An exponential function from none of something to all of it (7.10.3).</summary>
    public static PdfDict Ramp(ReadOnlySpan<double> from, ReadOnlySpan<double> to) => new()
    {
        ["FunctionType"] = 2,
        ["Domain"] = PdfArray.Of(0, 1),
        ["N"] = 1,
        ["C0"] = PdfArray.Of(from),
        ["C1"] = PdfArray.Of(to),
    };

    /// <summary>A tree of pages in one node (7.7.3.2).</summary>
    public static PdfDict Tree(IReadOnlyList<PdfRef> kids) => new()
    {
        ["Type"] = "Pages",
        ["Count"] = kids.Count,
        ["Kids"] = PdfArray.From(kids),
    };
}
