namespace Lumbeck.Core.Drawing.Sketched;

/// <summary>A maker's own drawing, again and again.</summary>
internal static class MotifDrawing
{
    /// <summary>Its marks in all its places, in points; none where its file is not here.</summary>
    public static IEnumerable<Mark> Marks(OwnMotif paper, Motifs motifs, IReadOnlyList<Swatch> swatches,
        IDrawings? drawings)
    {
        if (paper.Motif is not { } motif || drawings?.Of(motif) is not { } marks || marks.IsEmpty) return [];
        if (paper.InPaints)
            marks = Recoloured.By(marks, [.. paper.Paints.Where(p => p is not FinishPaint)], swatches);
        // As large as its square allows, about the square's middle.
        var scale = motifs.Side / Math.Max(motif.Wide, motif.High);
        var symbol = Moved.All(marks, new Affine(scale, 0, 0, scale, -motif.Wide * scale / 2, -motif.High * scale / 2))
            .ToImmutableArray();
        // What is plainly filled and lined is held once; runs of ink and clips are laid one by one.
        return symbol.All(m => m is FillMark or LineMark)
            ? [new RepeatedMark(symbol, motifs.Places)]
            : motifs.Places.SelectMany(place => Moved.All(symbol, place));
    }
}
