namespace Lumbeck.Press.Pdf;

/// <summary>
/// Runs of type as they are read back. Readers put words that run from right to left in order by guessing from what
/// they see, and guess wrong at spaces and marks that could belong
/// to either side: there the file says which way they run, by marks that show nothing (UAX #9, 2.6).
/// </summary>
internal static class ReadingOrder
{
    private const string LeftToRight = "\u200E", RightToLeft = "\u200F";

    /// <summary>A run's glyphs with what they are read as; the run's own where nothing is in doubt.</summary>
    /// <param name="run">The run.</param>
    /// <param name="before">The one before it in reading order; null for the first.</param>
    public static ImmutableArray<PlacedGlyph> Of(GlyphMark run, GlyphMark? before)
    {
        var turns = before is not null && before.RightToLeft != run.RightToLeft;
        if (!run.RightToLeft && !turns) return run.Glyphs;
        var mark = run.RightToLeft ? RightToLeft : LeftToRight;
        ImmutableArray<PlacedGlyph>.Builder? read = null;
        var leading = turns;
        for (var k = 0; k < run.Glyphs.Length; k++)
        {
            // In reading order: from the right where the run is read so.
            var i = run.RightToLeft ? run.Glyphs.Length - 1 - k : k;
            if (run.Glyphs[i].Letters is not [var letter]) { leading &= run.Glyphs[i].Letters.Length == 0; continue; }
            var bidi = CharacterProperties.Of(letter).BidiClass;
            leading &= bidi is BidiClass.WS or BidiClass.ON or BidiClass.CS or BidiClass.ES or BidiClass.ET;
            if (!leading && !(run.RightToLeft && (bidi is BidiClass.CS or BidiClass.ES or BidiClass.ET))) continue;
            read ??= run.Glyphs.ToBuilder();
            read[i] = run.Glyphs[i] with { Letters = mark + letter + mark };
        }
        return read?.ToImmutable() ?? run.Glyphs;
    }
}
