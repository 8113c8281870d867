namespace Lumbeck.Pdf.Objects;

/// <summary>An array (ISO 32000-2, 7.3.6).</summary>
public sealed class PdfArray(IReadOnlyList<PdfObject> items) : PdfObject
{
    public IReadOnlyList<PdfObject> Items => items;

    public static PdfArray Of(params ReadOnlySpan<double> numbers)
    {
        var all = new PdfObject[numbers.Length];
        for (var n = 0; n < all.Length; n++) all[n] = numbers[n];
        return new(all);
    }

    public static PdfArray Of(params ReadOnlySpan<PdfObject> items) => new(items.ToArray());

    public static PdfArray From(IEnumerable<PdfObject> items) => new([.. items]);
}
