namespace Lumbeck.Core.Liveries;

/// <summary>Words as large as their room carries them.</summary>
internal static class LiveryType
{
    /// <summary>
    /// The largest size, in half points, at which words fit a room in so many lines, no word of them broken.
    /// </summary>
    /// <param name="words">What is set.</param>
    /// <param name="style">In which face and leading.</param>
    /// <param name="wide">The room's width, in points.</param>
    /// <param name="high">Its height.</param>
    /// <param name="most">The largest size.</param>
    /// <param name="least">The smallest; what does not fit at it is told.</param>
    /// <param name="lines">Lines at most.</param>
    /// <param name="ink">Whether its letters' ink stays within the room, too.</param>
    /// <returns>The size and the height that it takes; null where it does not fit.</returns>
    public static (double Size, double High)? Fit(string words, TextStyle style, double wide, double high, double most,
        double least, int lines, Ticket ticket, IType type, bool ink = false)
    {
        for (var size = Math.Floor(2 * most) / 2; size >= least; size -= Math.Max(0.5, Math.Floor(size / 12) / 2))
            if (At(words, style, wide, size, ticket, type, ink) is { } set && set.Lines <= lines && set.High <= high)
                return (size, set.High);
        return null;
    }

    private static (int Lines, double High)? At(string words, TextStyle style, double wide, double size, Ticket ticket,
        IType type, bool ink)
    {
        var sized = style with { Size = Length.FromPoints((decimal)size) };
        // The longest word by itself: where it is too wide it would be broken.
        foreach (var word in words.Split([' ', '\n'], StringSplitOptions.RemoveEmptyEntries))
            if (word.All(c => c < 0x3000) && Typesetter.Set(word, sized, 1e6, 1e6, type).Lines is [var one, ..]
                && one.Width > wide)
                return null;
        if (style.Space > Length.Zero) sized = sized with { Space = Length.FromPoints((decimal)size / 2) };
        var set = Typesetter.Set(Grown(words, sized).ToSet(ticket, Turn.None), wide, 1, type);
        if (ink && Reaches(set, wide, type)) return null;
        return set.Lines.Length == 0 || set.Missing.Length > 0 || set.Overset is not null ? null
            : (set.Lines.Length, set.Height);
    }

    /// <summary>
    /// Sloping letters and swashes reach out of their own width: how far beyond the room, in points, is spared.
    /// </summary>
    private const double Spared = 2.5;

    private static bool Reaches(TextLayout set, double wide, IType type)
    {
        var inked = TextDrawing.Inked(set.Lines.SelectMany(l => l.Runs.Select(r =>
            (Mark)new GlyphMark(r.Face, r.Size, l.X, l.Baseline, r.Glyphs, r.Text, Ink.Black, false))), type);
        return !inked.IsEmpty && (inked.Left < -Spared || inked.Right > wide + Spared);
    }

    private static TextItem Grown(string words, TextStyle style) => new()
    {
        Id = "",
        Hold = new(Part.Front, HoldBox.Face, Anchor.TopLeft, default, default),
        Words = words,
        Style = style,
        Fit = Fitting.Grow,
    };
}
