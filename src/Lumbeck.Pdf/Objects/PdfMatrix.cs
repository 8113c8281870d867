namespace Lumbeck.Pdf.Objects;

/// <summary>
/// A transformation matrix [a b c d e f] (ISO 32000-2, 8.3.3): x' = a·x + c·y + e, y' = b·x + d·y + f.
/// </summary>
public readonly record struct PdfMatrix(double A, double B, double C, double D, double E, double F)
{
    public static PdfMatrix Identity => new(1, 0, 0, 1, 0, 0);

    /// <summary>This first, then <paramref name="next"/>.</summary>
    public PdfMatrix Then(PdfMatrix next) => new(
        (A * next.A) + (B * next.C), (A * next.B) + (B * next.D),
        (C * next.A) + (D * next.C), (C * next.B) + (D * next.D),
        (E * next.A) + (F * next.C) + next.E, (E * next.B) + (F * next.D) + next.F);

    /// <summary>By how much areas grow; negative where it mirrors.</summary>
    public double Determinant => (A * D) - (B * C);

    /// <summary>What undoes it; of one that flattens everything, nothing sensible.</summary>
    public PdfMatrix Inverse()
    {
        var d = Determinant;
        return new(D / d, -B / d, -C / d, A / d, ((C * F) - (D * E)) / d, ((B * E) - (A * F)) / d);
    }

    /// <summary>As an array, its shares to eight places: a small unit may be carried far.</summary>
    public PdfArray ToArray(int places = 8)
    {
        // Where it leads to is in points, of which four places are enough; a smaller unit has as many as its shares.
        var far = places > 8 ? places : 4;
        return PdfArray.Of(new PdfNumber(A, places), new PdfNumber(B, places), new PdfNumber(C, places),
            new PdfNumber(D, places), new PdfNumber(E, far), new PdfNumber(F, far));
    }
}
